/** How thick a thing is in this kitchen: two tests at the counter that need nothing bought. */
import { useEffect, useState } from 'react';
import {
  emulsionState,
  factorOf,
  holdRequest,
  PLATE_LIMITS_S,
  structureOf,
  type CounterTest,
} from '#core/emulsion';
import { mixedVolumeMlPerG } from '#core/composition';
import type { Ingredient } from '#core/ingredient';
import { exactly } from '#core/quantity';
import type { PantryEntry } from '#contract';
import { sayThickness } from '#words/hold';
import { sayTaught, thicknessWords as words } from '#words/screens/thickness';
import { sayError } from '../../data/kitchenApi';
import { typedNumber } from '../../form/typed';
import { TiltedPlate } from '../../parts/drawing/TiltedPlate';
import { ThicknessSpoon } from '../../parts/drawing/ThicknessSpoon';
import { useSaveShared } from '../../sync/useSaveShared';
import { Alert } from '../../ui/Alert';
import { PlateByPicture } from './PlateByPicture';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/Field';

/** Neat, stirred smooth, from the fridge. */
function neatly(ingredient: Ingredient) {
  return emulsionState(
    holdRequest([{ ingredient, massG: exactly(100) }], {
      tool: 'fork',
      seconds: 30,
      volumeMl: 100 * mixedVolumeMlPerG(ingredient),
      heightM: 0.05,
      temperatureC: 5,
    }),
  )?.thickness;
}

interface ThicknessCardProps {
  /** With what the kitchen found. */
  readonly ingredient: Ingredient;
  /** As the table has it. */
  readonly table: Ingredient;
  readonly entry: PantryEntry;
}

/** Undefined where nobody ever tested: undo brings back exactly that, so that other screens see no change. */
type Found = PantryEntry['bottle']['thickness'];

function having(entry: PantryEntry, found: Found): PantryEntry {
  const { thickness: _, ...bottle } = entry.bottle;
  return { ...entry, bottle: found === undefined ? bottle : { ...bottle, thickness: found } };
}

/** Nothing for what has no body of its own. */
export function ThicknessCard({ ingredient, table, entry }: ThicknessCardProps) {
  const body = structureOf(table);
  const [save, saving] = useSaveShared('pantry');
  const [before, setBefore] = useState<{ readonly was: Found; readonly is: Found } | null>(null);
  const thick = neatly(ingredient);
  if (!body || body.cut === 'pieces' || !thick) return null;
  const found = entry.bottle.thickness;
  const put = (next: Found, was: Found = found): void => {
    save(ingredient.id, having(entry, was), having(entry, next)).then(
      () => {
        setBefore({ was, is: next });
      },
      () => undefined,
    );
  };
  return (
    <section aria-label={words.howThickIsIt} className="card grid gap-3 p-4" data-testid="thickness">
      <h2 className="font-name text-lg font-bold">{words.howThickIsIt}</h2>
      <p className="flex items-center gap-3">
        <ThicknessSpoon thickness={thick.class} size={60} />
        <span>
          <strong>{words.neatThick(sayThickness(thick))}</strong>
          <span className="block text-sm text-quiet" role="status">
            {found ? sayTaught(found, factorOf(body, found)) : words.asThePantrySaysEstimate}
          </span>
        </span>
      </p>
      <PlateTest
        onFound={(test) => {
          put(test);
        }}
      />
      <PlateByPicture
        onFound={(test) => {
          put(test);
        }}
      />
      <SpoonTest
        onFound={(test) => {
          put(test);
        }}
      />
      {saving.error !== undefined && <Alert>{words.notKept(sayError(saving.error))}</Alert>}
      <div className="flex flex-wrap gap-3">
        {before && (
          <Button
            onClick={() => {
              put(before.was, before.is);
            }}
          >
            {words.undo}
          </Button>
        )}
        {found && (
          <Button
            onClick={() => {
              put(null);
            }}
          >
            {words.forgetIt}
          </Button>
        )}
      </div>
    </section>
  );
}

interface TestProps {
  readonly onFound: (test: CounterTest) => void;
}

/** Started as the plate is tilted, stopped as the front passes 5 cm; or typed. */
function PlateTest({ onFound }: TestProps) {
  const [from, setFrom] = useState<number | null>(null);
  const [now, setNow] = useState(0);
  const [text, setText] = useState('');
  useEffect(() => {
    if (from === null) return;
    const timer = setInterval(() => {
      setNow(performance.now());
    }, 100);
    return () => {
      clearInterval(timer);
    };
  }, [from]);
  const ran = from === null ? 0 : Math.max(0, (now - from) / 1000);
  const typed = typedNumber(text, { from: PLATE_LIMITS_S.low, to: PLATE_LIMITS_S.high });
  const begin = (): void => {
    const at = performance.now();
    setNow(at);
    setFrom(at);
  };
  const found = (seconds: number | null): void => {
    setFrom(null);
    setText('');
    onFound({ kind: 'plate', seconds });
  };
  return (
    <fieldset className="grid gap-2">
      <legend className="font-semibold">{words.thePlate}</legend>
      <div className="flex items-center gap-3">
        <TiltedPlate />
        <p className="text-sm text-quiet">{words.aTeaspoonOnAPlate}</p>
      </div>
      {from === null ? (
        <div className="flex flex-wrap items-end gap-3">
          <Button kind="main" className="min-h-14 px-5" onClick={begin}>
            {words.tiltedStart}
          </Button>
          <Field
            label={words.orSeconds}
            className="w-32"
            inputMode="decimal"
            value={text}
            onText={setText}
            problem={!typed.wrong ? null : words.betweenLowAndHigh(PLATE_LIMITS_S.low, PLATE_LIMITS_S.high)}
          />
          <Button
            className="min-h-11"
            disabled={typed.value === null}
            onClick={() => {
              if (typed.value !== null) found(typed.value);
            }}
          >
            {words.set}
          </Button>
          <Button
            className="min-h-11"
            onClick={() => {
              found(null);
            }}
          >
            {words.itDoesNotRun}
          </Button>
        </div>
      ) : (
        <div className="flex flex-wrap items-center gap-3">
          <Button
            kind="main"
            autoFocus
            className="min-h-14 px-5"
            onClick={() => {
              const seconds = (performance.now() - from) / 1000;
              found(
                seconds > PLATE_LIMITS_S.high
                  ? null
                  : Number(Math.max(PLATE_LIMITS_S.low, seconds).toFixed(1)),
              );
            }}
          >
            {words.itHasRun5Cm}
          </Button>
          <span className="font-name text-2xl font-bold" aria-live="off">
            {words.seconds(ran.toFixed(1))}
          </span>
          <Button
            className="min-h-11"
            onClick={() => {
              setFrom(null);
            }}
          >
            {words.stopTheClock}
          </Button>
        </div>
      )}
    </fieldset>
  );
}

function SpoonTest({ onFound }: TestProps) {
  return (
    <fieldset className="grid gap-2">
      <legend className="font-semibold">{words.theBackOfTheSpoon}</legend>
      <p className="text-sm text-quiet">{words.drawAFingerThrough}</p>
      <div className="flex flex-wrap gap-3">
        {(['stays', 'closes'] as const).map((line) => (
          <Button
            key={line}
            className="min-h-11"
            onClick={() => {
              onFound({ kind: 'spoon', line });
            }}
          >
            {line === 'stays' ? words.theLineStays : words.theLineCloses}
          </Button>
        ))}
      </div>
    </fieldset>
  );
}
