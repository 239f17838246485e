import { useMemo } from 'react';
import { proposeMarks, type Marks, type Photo } from '#core/glass';
import { glassWords } from '#words/screens/glass';
import { useOpened } from '../../parts/picture/useOpened';
import { Button } from '../../ui/Button';
import { MeasureOne, type MeasureOneProps } from './MeasureOne';
import { usualMarks } from './seenIn';

interface OnePictureProps extends Omit<MeasureOneProps, 'opened' | 'startMarks' | 'onDone'> {
  /** Where the jar stood in the picture before this one. */
  readonly before: Marks | null;
  /** @param marks null: it could not be opened */
  readonly onDone: (marks: Marks | null) => void;
}

/** The picture that waits longest: opened, and measured. */
export function OnePicture({ before, onDone, ...rest }: OnePictureProps) {
  const opened = useOpened(rest.picture.jpeg);
  const photo = opened === null || opened === 'failed' ? null : opened.photo;
  const start = useMemo(() => photo && startFor(photo, before), [photo, before]);
  if (opened === null || (opened !== 'failed' && !start)) return <p role="status">{glassWords.opening}</p>;
  if (opened === 'failed')
    return (
      <p role="alert" className="flex flex-wrap items-center gap-3">
        {glassWords.cannotOpenAgain}
        <Button
          onClick={() => {
            onDone(null);
          }}
        >
          {glassWords.skip}
        </Button>
      </p>
    );
  return <MeasureOne {...rest} opened={opened} startMarks={start!} onDone={onDone} />;
}

/** The camera stood where it stood before, as far as the pictures are as large; else where a jar is seen to stand. */
function startFor(photo: Photo, before: Marks | null): Marks {
  const { width, height } = photo;
  const fits = before && [...before.floor, ...before.surface].every(({ x, y }) => x < width && y < height);
  return (fits ? before : proposeMarks(photo)) ?? usualMarks(width, height);
}
