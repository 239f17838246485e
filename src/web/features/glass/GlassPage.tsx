import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { PICTURE_LIMITS } from '#contract';
import { proposeMarks, type Marks, type Photo } from '#core/glass';
import { minutesSinceShake } from '#core/trial';
import { makingHold } from '#kitchen/holds';
import { vesselOf } from '#kitchen/reading';
import { glassWords } from '#words/screens/glass';
import { isBeingMade, makingOf, type Jar } from '../../data/jars';
import { useKitchen } from '../../data/kitchen';
import { usePicturesQuery } from '../../data/kitchenApi';
import { portionsNow, predictedBy } from '../../data/trials';
import { WithJars } from '../../parts/FormulaPage';
import { StageHead } from '../../parts/StageHead';
import type { WorkingFormula } from '../../sync/working';
import { useDrawnHolds } from '../../workers/useHolds';
import { decodePicture, MOST_FILE_BYTES, type Decoded } from '../../parts/picture/decode';
import { Course, KeptPictures } from './KeptPictures';
import { MeasureOne } from './MeasureOne';
import { WatchJar } from './WatchJar';
import { belowIn, usualMarks } from './seenIn';

/** The newest jar of a formula, looked at with pictures. */
export function GlassPage() {
  return (
    <WithJars what={glassWords.lookWithAPicture}>
      {(working, jars) => {
        const jar = jars.find((one) => !isBeingMade(one) && one.batch?.role !== 'load');
        return (
          <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
            <StageHead id={working.id} name={working.formula.name} detail={glassWords.detail} />
            {jar ? (
              <Looking key={jar.id} working={working} jar={jar} />
            ) : (
              <p className="card p-4">
                {glassWords.noJar}{' '}
                <Link to={`/formulas/${working.id}/make`} className="text-leaf underline">
                  {glassWords.makeOne}
                </Link>
              </p>
            )}
          </div>
        );
      }}
    </WithJars>
  );
}

const MOST_AT_ONCE = 24;

function Looking({ working, jar }: { readonly working: WorkingFormula; readonly jar: Jar }) {
  const kitchen = useKitchen();
  const { settings } = kitchen;
  const kept = usePicturesQuery(jar.id).data;
  const [waiting, setWaiting] = useState<readonly Decoded[]>([]);
  const [count, setCount] = useState({ done: 0, all: 0 });
  const [says, setSays] = useState<readonly string[]>([]);
  const [reading, setReading] = useState(false);
  const [marks, setMarks] = useState<Marks | null>(null);
  const portions = useMemo(() => portionsNow(jar, kitchen.catalogue), [jar, kitchen.catalogue]);
  const vessel = vesselOf({ ...working.formula, vesselId: jar.vesselId }, kitchen.vessels);
  const { tool, seconds, roomC } = makingOf(jar);
  const asked = useMemo(
    () => [makingHold(portions, { tool, seconds, vessel, roomC })],
    [portions, tool, seconds, vessel, roomC],
  );
  const { holds, failed } = useDrawnHolds(asked);
  const [hold = null] = holds;
  const liquidMm = (asked[0]?.heightM ?? 0) * 1000;
  const below = useMemo(() => belowIn(vessel.outline, liquidMm), [vessel, liquidMm]);
  const take = async (files: readonly File[]): Promise<void> => {
    setReading(true);
    const troubles = files.length > MOST_AT_ONCE ? [glassWords.tooMany(MOST_AT_ONCE)] : [];
    const found: Decoded[] = [];
    for (const file of files.slice(0, MOST_AT_ONCE)) {
      if (file.size > MOST_FILE_BYTES) {
        troubles.push(glassWords.tooLarge(file.name, inMb(MOST_FILE_BYTES)));
        continue;
      }
      const decoded = await decodePicture(file);
      if (decoded) found.push(decoded);
      else troubles.push(glassWords.cannotOpen(file.name));
    }
    found.sort((a, b) => a.takenAt.localeCompare(b.takenAt));
    setWaiting(found);
    setCount({ done: 0, all: found.length });
    setSays(troubles);
    setReading(false);
  };
  const [now] = waiting;
  const last = kept?.pictures.at(-1)?.seen.marks ?? null;
  const start = useMemo(() => now && startFor(now.photo, marks ?? last), [now, marks, last]);
  return (
    <>
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
        <p className="text-sm text-quiet">
          {glassWords.staysHere(
            inMb(kept?.usedBytes ?? 0),
            inMb(kept?.mostBytes ?? PICTURE_LIMITS.kitchenBytes),
          )}
        </p>
        {reading && <p role="status">{glassWords.reading}</p>}
        {says.map((line) => (
          <p key={line} role="alert">
            {line}
          </p>
        ))}
        {now && start && (
          <>
            <h2 className="font-name text-lg font-bold">{glassWords.pictureOf(count.done + 1, count.all)}</h2>
            <MeasureOne
              key={now.url}
              decoded={now}
              jar={jar}
              formulaId={working.id}
              startMarks={start}
              sinceMin={minutesSinceShake(jar.events, now.takenAt)}
              liquidMm={liquidMm}
              below={below}
              hold={hold}
              predicted={predictedBy(hold, jar)}
              settings={settings}
              onDone={(used) => {
                URL.revokeObjectURL(now.url);
                setMarks(used);
                setWaiting(waiting.slice(1));
                setCount({ ...count, done: count.done + 1 });
              }}
            />
          </>
        )}
      </section>
      <WatchJar
        jarId={jar.id}
        onFound={(picture, used) => {
          if (used) setMarks(used);
          setWaiting([...waiting, picture]);
          setCount({ ...count, all: count.all + 1 });
        }}
      />
      <Course pictures={kept?.pictures ?? []} hold={hold} failed={failed} below={below} />
      <KeptPictures pictures={kept?.pictures ?? []} liquidMm={liquidMm} below={below} settings={settings} />
    </>
  );
}

const inMb = (bytes: number): string => `${Math.ceil(bytes / 1024 / 1024)} MB`;

/** The camera stood where it stood before, as far as the pictures are as large; else where a jar is seen to stand. */
function startFor(photo: Photo, before: Marks | null): Marks {
  const { width, height } = photo;
  const fits = before && [...before.floor, ...before.surface].every(({ x, y }) => x < width && y < height);
  return (fits ? before : proposeMarks(photo)) ?? usualMarks(width, height);
}
