import { useMemo, useState } from 'react';
import { marksProblem, type GlassLayer, type Marks, type Photo } from '#core/glass';
import { firstLayerFrom, type Predicted } from '#core/trial';
import type { Hold } from '#core/emulsion';
import { glassWords } from '#words/screens/glass';
import type { Settings } from '#contract';
import type { Jar } from '../../data/jars';
import { sayError, useKeepPictureMutation } from '../../data/kitchenApi';
import { typedNumber } from '../../form/typed';
import { SearchState } from '../../parts/SearchState';
import { byNow } from '../../sync/device';
import { put } from '../../sync/outbox';
import { Alert } from '../../ui/Alert';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { useSearch } from '../../workers/useSearch';
import { base64Of } from '../../parts/picture/decode';
import { MarkedPicture } from './MarkedPicture';
import { SeenLayers } from './SeenLayers';
import { sharesOf, sightOf, withBorder, type BelowAt } from './seenIn';
import type { Waiting } from './useWaiting';

export interface MeasureOneProps {
  readonly picture: Waiting;
  readonly opened: { readonly url: string; readonly photo: Photo };
  readonly jar: Jar;
  readonly formulaId: Jar['formulaId'];
  readonly startMarks: Marks;
  /** Minutes since the shake when it was taken; null: nobody knows. */
  readonly sinceMin: number | null;
  readonly liquidMm: number;
  readonly predicted: Predicted | null;
  readonly hold: Hold | null;
  readonly below: BelowAt;
  readonly settings: Settings;
  readonly onDone: (marks: Marks) => void;
}

/** One picture: marked, measured, kept or left out. */
export function MeasureOne(props: MeasureOneProps) {
  const {
    picture,
    opened,
    jar,
    formulaId,
    startMarks,
    sinceMin,
    liquidMm,
    predicted,
    hold,
    below,
    settings,
    onDone,
  } = props;
  const { photo, url } = opened;
  // Sent again after an answer was lost it is the same picture, and the same look.
  const { id, takenAt } = picture;
  const [marks, setMarks] = useState(startMarks);
  const [moved, setMoved] = useState<readonly GlassLayer[] | null>(null);
  const [text, setText] = useState(sinceMin === null ? '' : String(Math.round(sinceMin)));
  const [keep, keeping] = useKeepPictureMutation();
  const problem = marksProblem(photo, marks);
  const question = useMemo(() => (problem ? null : { photo, marks }), [photo, marks, problem]);
  const { search, stop, again } = useSearch('glass', question);
  const layers = moved ?? (search.status === 'done' && question ? search.answer.layers : null);
  const minutes = typedNumber(text, { above: 0, to: 60 * 1440 });
  const keepIt = async (): Promise<void> => {
    if (!layers || minutes.wrong) return;
    const seconds = minutes.fits ? minutes.value * 60 : null;
    const jpeg = await base64Of(picture.jpeg);
    const seen = {
      marks: { floor: [...marks.floor], surface: [...marks.surface] } as never,
      layers: layers.map((layer) => ({ ...layer, doubt: [...layer.doubt] as [number, number] })),
      byHand: moved !== null,
    };
    const sent = { trialId: jar.id, id, takenAt, seconds, seen, by: byNow(), jpeg };
    const answer = await keep(sent);
    if (!('data' in answer)) return;
    // The same look as one by eye: it teaches the hold in the same way.
    if (seconds !== null) {
      const saw = sightOf(layers);
      const firstLayerS = hold && firstLayerFrom(hold, sharesOf(layers, below), seconds);
      const look = { kind: 'looked', saw, seconds, predicted, note: '' } as const;
      const event = firstLayerS ? { ...look, firstLayerS } : look;
      await put({ kind: 'event', trialId: jar.id, formulaId, event, id });
    }
    onDone(marks);
  };
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3 lg:grid-cols-[minmax(0,1fr)_300px]">
      <MarkedPicture
        url={url}
        photo={photo}
        marks={marks}
        layers={layers}
        onMarks={(next) => {
          setMarks(next);
          setMoved(null);
        }}
        onBorder={(border, at) => {
          if (layers) setMoved(withBorder(layers, border, at));
        }}
      />
      <div className="grid content-start gap-3">
        <p className="text-sm text-quiet">{glassWords.markIt}</p>
        {problem && <p role="alert">{glassWords.marksProblem[problem]}</p>}
        {question && (
          <SearchState search={search} what={glassWords.measuring} onStop={stop} onAgain={again} />
        )}
        {layers && <SeenLayers layers={layers} liquidMm={liquidMm} below={below} settings={settings} />}
        {moved && (
          <p className="text-sm">
            {glassWords.byHand}{' '}
            <Button
              onClick={() => {
                setMoved(null);
              }}
            >
              {glassWords.asFound}
            </Button>
          </p>
        )}
        <Field
          label={glassWords.minutesSinceTheShake}
          inputMode="decimal"
          value={text}
          onText={setText}
          problem={minutes.wrong ? glassWords.minutesAboveNothing : null}
        />
        <div className="flex flex-wrap gap-3">
          <Button
            kind="main"
            className="min-h-11"
            disabled={!layers || minutes.wrong || keeping.isLoading}
            onClick={() => void keepIt()}
          >
            {glassWords.keep}
          </Button>
          <Button
            className="min-h-11"
            onClick={() => {
              onDone(marks);
            }}
          >
            {glassWords.skip}
          </Button>
        </div>
        {keeping.error !== undefined && <Alert>{glassWords.notKept(sayError(keeping.error))}</Alert>}
      </div>
    </div>
  );
}
