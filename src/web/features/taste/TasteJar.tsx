import { useMemo, useRef, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { composition } from '#core/composition';
import type { Remedy } from '#core/balance';
import {
  BITES,
  complaintsOf,
  currentStep,
  DRAWN_G,
  minutesSinceShake,
  saysNothing,
  standingEvents,
  standingOf,
  TASTED_ON,
  type Bite,
  type Step,
  type TastedOn,
  type TasteRows as Rows,
  type Tasting,
  type TrialEvent,
} from '#core/trial';
import { BITE_WORDS, ON_WORDS } from '#words/trial';
import { AMBER_SHARE, HARDLY_MIXES_SHARE, type Vessel } from '#core/vessel';
import { formatAmount } from '#words/numbers';
import { tasteWords } from '#words/screens/taste';
import { readDecimal } from '../../ui/readDecimal';
import { newId } from '../../sync/device';
import { makingOf, statesOf, type Jar } from '../../data/jars';
import { contextFor, vesselOf } from '#kitchen/reading';
import { useKitchen } from '../../data/kitchen';
import { record } from '../../sync/outbox';
import { aimOf, useStyles } from '../../data/styles';
import { useJarJudged } from '../../data/useJarJudged';
import { portionsNow } from '../../data/trials';
import type { WorkingFormula } from '../../sync/workingSlice';
import { Button } from '../../ui/Button';
import { Chips } from '../../ui/Chips';
import { Field } from '../../ui/Field';
import { JarCautions } from '../../parts/JarCautions';
import { Measured } from '../../parts/Measured';
import { JarLog } from '../../parts/JarLog';
import { KeepVersion } from './KeepVersion';
import { Mends } from './Mends';
import { TasteRows } from './TasteRows';

const NO_ROWS: Rows = {};

/** A number within bounds, or nothing. */
function readOptional(text: string, low: number, high: number): { fits: boolean; value: number | null } {
  if (text.trim() === '') return { fits: true, value: null };
  const value = readDecimal(text);
  return { fits: value !== null && value >= low && value <= high, value };
}

/** One jar: what the mouth says of it, what would mend it, and what has happened to it. */
export function TasteJar({ working, jar }: { working: WorkingFormula; jar: Jar }) {
  const { id, formula } = working;
  const kitchen = useKitchen();
  const { settings } = kitchen;
  const styles = useStyles();
  const navigate = useNavigate();
  const [rows, setRows] = useState(NO_ROWS);
  const [bite, setBite] = useState<Bite>('garlic');
  const [flat, setFlat] = useState(false);
  const [on, setOn] = useState<TastedOn>('leaf');
  const [minutesText, setMinutesText] = useState('');
  const [temperatureText, setTemperatureText] = useState('');
  const [drawnText, setDrawnText] = useState('');
  const [note, setNote] = useState('');
  const [keeping, setKeeping] = useState(false);
  const context = useMemo(() => contextFor(formula, kitchen), [formula, kitchen]);
  const style = useMemo(() => aimOf(formula, styles), [formula, styles]);
  const portions = useMemo(() => portionsNow(jar, kitchen.catalogue), [jar, kitchen.catalogue]);
  const unread = useJarJudged(jar, id, portions, kitchen)?.allergens.missing ?? NOTHING;
  const vessel = vesselOf({ ...formula, vesselId: jar.vesselId }, kitchen.vessels);
  const roomMl = Math.max(0, roomOf(vessel) - composition(portions).mixedVolumeMl);
  const sinceShake = minutesSinceShake(jar.events, new Date().toISOString());
  const open = currentStep(statesOf(jar));

  const { tool, seconds } = makingOf(jar);
  const mixed = useMemo(() => ({ tool, seconds, vessel }), [tool, seconds, vessel]);
  const minutes = readOptional(minutesText, 0, 100_000);
  const temperature = readOptional(temperatureText, -5, 90);
  const drawn = readOptional(drawnText, 0, 1000);
  const fits = minutes.fits && temperature.fits && drawn.fits;
  const tasting = (right: boolean): Tasting => ({
    on,
    temperatureC: temperature.value,
    minutesAfterShake: minutes.value ?? (sinceShake === null ? null : Math.round(sinceShake)),
    rows: right ? NO_ROWS : rows,
    bite: (rows.bite ?? 0) > 0 && !right ? bite : null,
    flat: flat && !right,
    right,
    note,
    drawnG: drawn.value ?? (on === 'dish' ? 0 : DRAWN_G),
  });
  const said = useMemo(
    () => complaintsOf({ rows, bite: (rows.bite ?? 0) > 0 ? bite : null, flat, right: false }),
    [rows, bite, flat],
  );
  // Until a tap is written down, a second one is a wet finger's.
  const writing = useRef(false);
  const say = async (...events: readonly TrialEvent[]): Promise<void> => {
    if (writing.current) return;
    writing.current = true;
    try {
      await record({ trialId: jar.id, formulaId: id }, events);
    } finally {
      writing.current = false;
    }
  };
  const clear = (): void => {
    setRows(NO_ROWS);
    setFlat(false);
    setNote('');
    setMinutesText('');
    setTemperatureText('');
    setDrawnText('');
  };
  const recordTasting = (right: boolean): void => {
    void say({ kind: 'tasted', ...tasting(right) });
    clear();
  };
  /** What the mouth said is kept first; what answers it becomes steps on the scale. */
  const mend = async (remedy: Remedy): Promise<void> => {
    const steps = remedy.doses.map(({ mayAdd: { ingredient, form }, massG }): Step => ({
      kind: 'weigh',
      id: `mend-${newId()}`,
      said: '',
      paced: false,
      line: { ingredientId: ingredient.id, form, massG },
    }));
    const shake: Step = { kind: 'do', id: `do-mix-${newId()}`, deed: 'mix', seconds, said: '' };
    await say(
      { kind: 'tasted', ...tasting(false) },
      { kind: 'planned', reason: 'mend', targets: [], steps: [...steps, shake], before: null, note: '' },
    );
    void navigate(`/formulas/${id}/make?jar=${jar.id}`);
  };
  const nothing = saysNothing({ rows, flat, right: false, note });
  const standing = standingOf(jar.events);
  const right = standing === 'right' || standing === 'right-after-mending';
  const last = standingEvents(jar.events).at(-1);
  return (
    <div className="grid gap-3.5 lg:grid-cols-[minmax(0,1fr)_440px]">
      <div className="grid content-start gap-3.5">
        {open && (
          <p className="border-l-4 border-l-sweet bg-tape-soft px-3 py-2 font-semibold">
            {tasteWords.thisJarIsStillBeing}{' '}
            <Link to={`/formulas/${id}/make?jar=${jar.id}`} className="text-bottle underline">
              {tasteWords.goOnWithItsSteps}
            </Link>
          </p>
        )}
        {right && (
          <section aria-label={tasteWords.right} className="card border-l-4 border-l-bottle p-4">
            <KeepVersion
              {...{ working, jar, kitchen }}
              open={keeping}
              onOpen={() => {
                setKeeping(true);
              }}
              onClose={() => {
                setKeeping(false);
              }}
            />
          </section>
        )}
        <section aria-label={tasteWords.whatDoesItSay} className="card p-4">
          <div className="mb-3 flex flex-wrap items-center gap-4">
            <h2 className="font-name mr-auto text-lg font-bold">{tasteWords.whatDoesItSay}</h2>
            <Button
              className={`min-h-16 min-w-24 ${flat ? 'border-2 border-bottle bg-tape-soft' : ''}`}
              aria-pressed={flat}
              onClick={() => {
                setFlat(!flat);
              }}
            >
              {tasteWords.flat}
            </Button>
            <Button
              className="min-h-16 min-w-24"
              disabled={!nothing || !fits}
              title={nothing ? undefined : tasteWords.takeBackWhatWasSaid}
              onClick={() => {
                recordTasting(true);
              }}
            >
              {tasteWords.right}
            </Button>
          </div>
          <TasteRows rows={rows} onRows={setRows} />
          {(rows.bite ?? 0) > 0 && (
            <div className="mt-3 flex flex-wrap items-center gap-2">
              {tasteWords.ofWhat}{' '}
              <Chips
                label={tasteWords.biteOf}
                value={bite}
                options={BITES.map((value) => ({ value, label: BITE_WORDS[value] }))}
                onChange={setBite}
              />
            </div>
          )}
          <div className="mt-4 flex flex-wrap items-start gap-4">
            <div className="grid gap-1 font-semibold">
              {tasteWords.tasted}
              <Chips
                label={tasteWords.tasted}
                value={on}
                options={TASTED_ON.map((value) => ({ value, label: ON_WORDS[value] }))}
                onChange={setOn}
              />
            </div>
            <Field
              label={tasteWords.minutesSinceTheShake}
              className="w-44"
              inputMode="decimal"
              placeholder={sinceShake === null ? '' : String(Math.round(sinceShake))}
              value={minutesText}
              onText={setMinutesText}
              problem={minutes.fits ? null : tasteWords.aNumberOfMinutesOr}
            />
            <Field
              label={tasteWords.atC}
              className="w-24"
              inputMode="decimal"
              value={temperatureText}
              onText={setTemperatureText}
              problem={temperature.fits ? null : tasteWords.n5To90}
            />
            <Field
              label={tasteWords.drawnG}
              className="w-24"
              inputMode="decimal"
              placeholder={on === 'dish' ? '0' : String(DRAWN_G)}
              value={drawnText}
              onText={setDrawnText}
              problem={drawn.fits ? null : tasteWords.n0To1000}
            />
            <Field
              label={tasteWords.inYourOwnWords}
              className="min-w-52 flex-1"
              maxLength={1000}
              value={note}
              onText={setNote}
            />
          </div>
          <div className="sticky bottom-0 -mx-4 mt-3 bg-card px-4 py-3">
            <Button
              kind="main"
              className="min-h-16 w-full"
              disabled={nothing || !fits}
              onClick={() => {
                recordTasting(false);
              }}
            >
              {tasteWords.recordWhatItSays}
            </Button>
          </div>
          <p className="mt-2 text-sm text-quiet">
            {tasteWords.aCleanFormEachTime(on === 'dish' ? tasteWords.fork : on)}
          </p>
          <Measured jar={jar} settings={settings} onSay={(...events) => void say(...events)} />
        </section>
        <section aria-label={tasteWords.thisJarSoFar} className="card p-4">
          <div className="flex flex-wrap items-center justify-between gap-3">
            <h2 className="font-name text-lg font-bold">{tasteWords.thisJarSoFar}</h2>
            {last && (
              <Button
                className="min-h-16 px-5"
                onClick={() => void say({ kind: 'corrected', eventId: last.id })}
              >
                {tasteWords.undoTheLast}
              </Button>
            )}
          </div>
          <JarLog jar={jar} catalogue={kitchen.catalogue} settings={settings} />
        </section>
      </div>
      <div className="grid content-start gap-3.5">
        <section aria-label={tasteWords.whatWouldMendIt} className="card content-start p-4">
          <div className="mb-2 flex items-baseline justify-between gap-2">
            <h2 className="font-name text-lg font-bold">{tasteWords.whatWouldMendIt}</h2>
            <span className="text-sm text-quiet">
              {tasteWords.roomInTheJarRoomml(formatAmount(roomMl, 'ml', settings))}
            </span>
          </div>
          <Mends
            mixed={mixed}
            portions={portions}
            unread={unread}
            said={said}
            style={style}
            roomMl={roomMl}
            formula={formula}
            context={context}
            kitchen={kitchen}
            busy={open !== null || !fits}
            onAdded={(remedy) => void mend(remedy)}
          />
        </section>
        <JarCautions jar={jar} formulaId={id} portions={portions} kitchen={kitchen} />
      </div>
    </div>
  );
}

const NOTHING: readonly string[] = [];

const roomOf = ({ brimfulVolumeMl, closes }: Vessel): number =>
  brimfulVolumeMl * (closes ? AMBER_SHARE : HARDLY_MIXES_SHARE);
