import { useMemo, useState } from 'react';
import { PICTURE_LIMITS } from '#contract';
import type { Marks } from '#core/glass';
import { minutesSinceShake } from '#core/trial';
import { glassWords } from '#words/screens/glass';
import { useJarHold } from '../../data/jarHold';
import type { Jar } from '../../data/jars';
import { useKitchen } from '../../data/kitchen';
import { usePicturesQuery } from '../../data/kitchenApi';
import { predictedBy } from '../../data/trials';
import { inMb, sayNotTaken, takePicture, type Taken } from '../../parts/picture/decode';
import type { WorkingFormula } from '../../sync/working';
import { useDrawnHolds } from '../../workers/useHolds';
import { Course, KeptPictures } from './KeptPictures';
import { OnePicture } from './OnePicture';
import { belowIn } from './seenIn';
import { useWaiting } from './useWaiting';
import { WatchJar } from './WatchJar';

const MOST_AT_ONCE = 24;

/** The looks of one jar: those that wait, those that a camera takes, those that were kept. */
export function Looking({ working, jar }: { readonly working: WorkingFormula; readonly jar: Jar }) {
  const { settings } = useKitchen();
  const kept = usePicturesQuery(jar.id).data;
  const { waiting, done, add, letGo } = useWaiting(jar.id);
  const [marks, setMarks] = useState<Marks | null>(null);
  const { asked, vessel } = useJarHold(working.formula, jar);
  const { holds, failed } = useDrawnHolds(asked);
  const [hold = null] = holds;
  const liquidMm = (asked[0]?.heightM ?? 0) * 1000;
  const below = useMemo(() => belowIn(vessel.outline, liquidMm), [vessel, liquidMm]);
  const [now] = waiting;
  const pictures = kept?.pictures ?? [];
  return (
    <>
      <TakeIn
        usedBytes={kept?.usedBytes ?? 0}
        mostBytes={kept?.mostBytes ?? PICTURE_LIMITS.kitchenBytes}
        onTaken={(taken) => {
          add(taken, null);
        }}
      />
      {now && (
        <section aria-label={glassWords.measuring} className="card grid grid-cols-[minmax(0,1fr)] gap-3 p-4">
          <h2 className="font-name text-lg font-bold">
            {glassWords.pictureOf(done + 1, done + waiting.length)}
          </h2>
          <OnePicture
            key={now.id}
            picture={now}
            before={now.marks ?? marks ?? pictures.at(-1)?.seen.marks ?? null}
            jar={jar}
            formulaId={working.id}
            sinceMin={minutesSinceShake(jar.events, now.takenAt)}
            liquidMm={liquidMm}
            below={below}
            hold={hold}
            predicted={predictedBy(hold, jar)}
            settings={settings}
            onDone={(used) => {
              if (used) setMarks(used);
              letGo(now.id);
            }}
          />
        </section>
      )}
      <WatchJar
        jarId={jar.id}
        onFound={(picture, used) => {
          add([picture], used);
        }}
      />
      <Course formulaId={working.id} pictures={pictures} hold={hold} failed={failed} below={below} />
      <KeptPictures jar={jar} pictures={pictures} liquidMm={liquidMm} below={below} settings={settings} />
    </>
  );
}

function TakeIn({
  usedBytes,
  mostBytes,
  onTaken,
}: {
  readonly usedBytes: number;
  readonly mostBytes: number;
  readonly onTaken: (taken: readonly Taken[]) => void;
}) {
  const [says, setSays] = useState<readonly string[]>([]);
  const [reading, setReading] = useState<string | null>(null);
  const take = async (files: readonly File[]): Promise<void> => {
    const troubles = files.length > MOST_AT_ONCE ? [glassWords.tooMany(MOST_AT_ONCE)] : [];
    const found: Taken[] = [];
    const some = files.slice(0, MOST_AT_ONCE);
    for (const [i, file] of some.entries()) {
      setReading(glassWords.reading(i + 1, some.length));
      const taken = await takePicture(file);
      if ('why' in taken) troubles.push(sayNotTaken(file.name, taken));
      else found.push(taken);
    }
    onTaken(found);
    setSays(troubles);
    setReading(null);
  };
  return (
    <section
      aria-label={glassWords.lookWithAPicture}
      className="card grid grid-cols-[minmax(0,1fr)] gap-3 p-4"
      onDragOver={(event) => {
        event.preventDefault();
      }}
      onDrop={(event) => {
        event.preventDefault();
        void take([...event.dataTransfer.files]);
      }}
    >
      <div className="flex flex-wrap items-center gap-3">
        <label className="inline-flex min-h-11 cursor-pointer items-center rounded-md bg-bottle px-4 font-semibold text-white has-focus-visible:outline-3 has-focus-visible:outline-offset-2 has-focus-visible:outline-leaf">
          {glassWords.takeOrChoose}
          <input
            type="file"
            accept="image/*"
            multiple
            className="sr-only"
            onChange={({ target }) => {
              void take([...(target.files ?? [])]);
              target.value = '';
            }}
          />
        </label>
        <span className="flex-1 basis-72 text-sm text-quiet">{glassWords.orDrop}</span>
      </div>
      <p className="text-sm text-quiet">{glassWords.staysHere(inMb(usedBytes), inMb(mostBytes))}</p>
      {reading !== null && <p role="status">{reading}</p>}
      {says.map((line) => (
        <p key={line} role="alert">
          {line}
        </p>
      ))}
    </section>
  );
}
