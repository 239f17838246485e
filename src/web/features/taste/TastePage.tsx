import { useMemo, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import type { TrialRecord, VersionRecord } from '#contract';
import {
  restoredFrom,
  sayVersion,
  sameContent,
  type AdditionId,
  type Formula,
  type FormulaId,
} from '#core/formula';
import { composition } from '#core/composition';
import { judgeFormula, reckonFormula } from '#core/reckoning';
import {
  addedLines,
  BITES,
  BITE_WORDS,
  complaintsOf,
  DRAWN_G,
  ON_WORDS,
  saysNothing,
  standingOf,
  TASTED_ON,
  type Bite,
  type TastedOn,
  type TasteRows as Rows,
  type TrialEvent,
} from '#core/trial';
import { AMBER_SHARE, HARDLY_MIXES_SHARE, type Vessel } from '#core/vessel';
import {
  sayError,
  useBeginTrialMutation,
  useFreezeMutation,
  useRecordEventMutation,
  useTrialsQuery,
  useVersionsQuery,
} from '../../api/kitchenApi';
import { formatAmount } from '../../format';
import { readDecimal } from '../../readDecimal';
import { takeDoses } from '../../store/balanceEdits';
import { byNow, newId } from '../../store/device';
import { contextFor, useKitchen, vesselOf } from '../../store/kitchen';
import { useAppDispatch } from '../../store/store';
import { aimOf, useStyles } from '../../store/styles';
import { portionsNow } from '../../store/trials';
import { useWorking } from '../../store/useWorking';
import { edited, versionFrozen, type WorkingFormula } from '../../store/workingSlice';
import { Button } from '../../ui/Button';
import { Chips } from '../../ui/Chips';
import { Field } from '../../ui/Field';
import { FormulaStages } from '../../ui/FormulaStages';
import { Loading, Trouble } from '../../ui/PageState';
import { JarLog } from './JarLog';
import { Mends } from './Mends';
import { TasteRows } from './TasteRows';

export function TastePage() {
  const id = useParams().id as FormulaId;
  const { working, error, retry } = useWorking(id);
  const trials = useTrialsQuery(id);
  if (working && trials.data) return <TasteBench key={id} working={working} trials={trials.data} />;
  const trouble = error ?? trials.error;
  if (trouble) {
    return (
      <Trouble
        error={trouble}
        retry={() => {
          retry();
          void trials.refetch();
        }}
      >
        <Link to="/" className="inline-flex items-center font-semibold text-bottle underline">
          Back to the shelf
        </Link>
      </Trouble>
    );
  }
  return <Loading what="the jar" />;
}

const STANDING_WORDS = {
  untasted: 'not tasted yet',
  right: 'right as made',
  'right-after-mending': 'right after mending',
  'not-right': 'not right yet',
} as const;

/** Taste a jar, say what the mouth says, mend it by additions, and keep every gram and word. */
function TasteBench({ working, trials }: { working: WorkingFormula; trials: readonly TrialRecord[] }) {
  const [trial] = trials;
  return (
    <div className="grid gap-3">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
        <h1 className="tape font-name -rotate-[0.6deg] px-4 py-1.5 text-xl font-bold [overflow-wrap:anywhere]">
          {working.formula.name}{' '}
          <span className="font-sans text-sm font-semibold">
            {trial
              ? `v${trial.version}, jar ${trials.length}`
              : sayVersion(working.formula, working.baseVersion)}
          </span>
        </h1>
        {trial && (
          <span className="text-sm text-quiet">
            {STANDING_WORDS[standingOf(trial.events.map(({ event }) => event))]}
          </span>
        )}
        <span className="ml-auto">
          <FormulaStages id={working.id} />
        </span>
      </div>
      {trial ? <Tasting key={trial.id} working={working} trial={trial} /> : <NoJar working={working} />}
      {trial && (
        <details className="card p-4">
          <summary className="font-name min-h-8 cursor-pointer font-bold">Another jar</summary>
          <BeginJar working={working} />
        </details>
      )}
    </div>
  );
}

function NoJar({ working }: { working: WorkingFormula }) {
  return (
    <section aria-label="No jar yet" className="card max-w-2xl p-5">
      <h2 className="font-name mb-1 text-lg font-bold">No jar of this yet</h2>
      <p className="mb-3 text-quiet">
        A tasting belongs to a jar: what went into it is kept, and what you add to mend it.
      </p>
      <BeginJar working={working} />
    </section>
  );
}

/** A jar is made from a version: working changes are frozen first. */
function BeginJar({ working }: { working: WorkingFormula }) {
  const { id, formula, baseVersion } = working;
  const kitchen = useKitchen();
  const dispatch = useAppDispatch();
  const [freeze, freezing] = useFreezeMutation();
  const [begin, beginning] = useBeginTrialMutation();
  const needsFreezing = baseVersion === null || !sameContent(baseVersion.formula, formula);
  const linesOf = (made: Formula) =>
    judgeFormula(reckonFormula(made, vesselOf(made, kitchen.vessels), contextFor(made, kitchen)))
      .portions.filter(({ massG }) => massG.nominal > 0)
      .map(({ ingredient, form, massG }) => ({ ingredientId: ingredient.id, form, massG: massG.nominal }));
  const lines = linesOf(formula);
  const start = async (): Promise<void> => {
    let version = baseVersion?.number ?? 0;
    if (needsFreezing) {
      const { record, version: made } = await freeze({
        id,
        revision: working.revision,
        note: 'for a jar',
        by: byNow(),
      }).unwrap();
      dispatch(versionFrozen({ id, record }));
      version = made.number;
    }
    await begin({
      id: newId(),
      formulaId: id,
      version,
      vesselId: formula.vesselId,
      lines,
      by: byNow(),
    }).unwrap();
  };
  const error = freezing.error ?? beginning.error;
  return (
    <>
      <Button
        kind="main"
        className="min-h-16 px-6"
        disabled={lines.length === 0 || working.save !== 'saved' || freezing.isLoading || beginning.isLoading}
        onClick={() => void start().catch(() => undefined)}
      >
        {needsFreezing
          ? `Freeze as v${working.latestNumber + 1} and begin a jar`
          : `Begin a jar of v${baseVersion.number}`}
      </Button>
      {lines.length === 0 && (
        <p className="mt-2 text-sm text-quiet">There is nothing in it yet. Compose it first.</p>
      )}
      {error && (
        <p role="alert" className="mt-2 font-semibold text-acid-ink">
          Not begun. {sayError(error)}
        </p>
      )}
    </>
  );
}

const NO_ROWS: Rows = {};

function Tasting({ working, trial }: { working: WorkingFormula; trial: TrialRecord }) {
  const { id, formula } = working;
  const kitchen = useKitchen();
  const styles = useStyles();
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const [rows, setRows] = useState(NO_ROWS);
  const [bite, setBite] = useState<Bite>('garlic');
  const [flat, setFlat] = useState(false);
  const [on, setOn] = useState<TastedOn>('leaf');
  const [minutesText, setMinutesText] = useState('');
  const [note, setNote] = useState('');
  // One id for what is being said: sent again after a failure it is the same tasting.
  const [tastingId, setTastingId] = useState(newId);
  const [record, recording] = useRecordEventMutation();
  const context = useMemo(() => contextFor(formula, kitchen), [formula, kitchen]);
  const style = useMemo(() => aimOf(formula, styles), [formula, styles]);
  const portions = useMemo(() => portionsNow(trial, kitchen.catalogue), [trial, kitchen.catalogue]);
  const vessel = vesselOf({ ...formula, vesselId: trial.vesselId }, kitchen.vessels);
  const roomMl = Math.max(0, roomOf(vessel) - composition(portions).mixedVolumeMl);
  const minutes = minutesText.trim() === '' ? null : readDecimal(minutesText);
  const minutesFit = minutesText.trim() === '' || (minutes !== null && minutes >= 0);
  const tasting = (right: boolean) => ({
    ...{
      on,
      temperatureC: null,
      minutesAfterShake: minutes,
      rows: right ? NO_ROWS : rows,
      flat: flat && !right,
      right,
      note,
    },
    bite: (rows.bite ?? 0) > 0 && !right ? bite : null,
    drawnG: on === 'dish' ? 0 : DRAWN_G,
  });
  const said = useMemo(
    () => complaintsOf({ rows, bite: (rows.bite ?? 0) > 0 ? bite : null, flat, right: false }),
    [rows, bite, flat],
  );
  const append = (event: TrialEvent): Promise<boolean> =>
    record({
      id: event.kind === 'tasted' ? tastingId : newId(),
      event,
      by: byNow(),
      trialId: trial.id,
      formulaId: id,
    })
      .unwrap()
      .then(
        () => true,
        () => false,
      );
  const clear = (): void => {
    setRows(NO_ROWS);
    setFlat(false);
    setNote('');
    setMinutesText('');
    setTastingId(newId());
  };
  const recordTasting = async (right: boolean): Promise<boolean> => {
    const done = await append({ kind: 'tasted', ...tasting(right) });
    if (done) clear();
    return done;
  };
  const mended = addedLines(trial.events.map(({ event }) => event));
  const version = useVersionsQuery(id).data?.find(({ number }) => number === trial.version);
  /** The version this jar was made from, with what mended it: pressed twice it is the same. */
  const takeMends = (made: VersionRecord): void => {
    const start = restoredFrom(made);
    const reckoning = reckonFormula(start, vesselOf(start, kitchen.vessels), contextFor(start, kitchen));
    const doses = mended.flatMap(({ ingredientId, form, massG }) => {
      const ingredient = kitchen.catalogue.get(ingredientId);
      return ingredient ? [{ mayAdd: { ingredient, form, stockG: null }, massG }] : [];
    });
    const taking = { context: contextFor(start, kitchen), newId: () => newId() as AdditionId };
    dispatch(edited({ id, formula: takeDoses(start, reckoning.additions, doses, taking) }));
    void navigate(`/formulas/${id}/compose`);
  };
  const nothing = saysNothing({ rows, flat, right: false, note });
  return (
    <div className="grid gap-3.5 lg:grid-cols-[minmax(0,1fr)_440px]">
      <div className="grid content-start gap-3.5">
        <section aria-label="What does it say?" className="card p-4">
          <div className="mb-3 flex flex-wrap items-center gap-4">
            <h2 className="font-name mr-auto text-lg font-bold">What does it say?</h2>
            <Button
              className={`min-h-16 min-w-24 ${flat ? 'border-2 border-bottle bg-tape-soft' : ''}`}
              aria-pressed={flat}
              onClick={() => {
                setFlat(!flat);
              }}
            >
              Flat
            </Button>
            <Button
              className="min-h-16 min-w-24"
              disabled={recording.isLoading || !nothing || !minutesFit}
              title={nothing ? undefined : 'Take back what was said first'}
              onClick={() => void recordTasting(true)}
            >
              Right
            </Button>
          </div>
          <TasteRows rows={rows} onRows={setRows} />
          {(rows.bite ?? 0) > 0 && (
            <div className="mt-3 flex flex-wrap items-center gap-2">
              Of what?{' '}
              <Chips
                label="Bite of"
                value={bite}
                options={BITES.map((value) => ({ value, label: BITE_WORDS[value] }))}
                onChange={setBite}
              />
            </div>
          )}
          <div className="mt-4 flex flex-wrap items-end gap-4">
            <Chips
              label="Tasted"
              value={on}
              options={TASTED_ON.map((value) => ({ value, label: ON_WORDS[value] }))}
              onChange={setOn}
            />
            <Field
              label="Minutes since the shake"
              className="w-44"
              inputMode="decimal"
              value={minutesText}
              onText={setMinutesText}
              problem={minutesFit ? null : 'A number of minutes, or nothing.'}
            />
            <Field
              label="In your own words"
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
              disabled={nothing || recording.isLoading || !minutesFit}
              onClick={() => void recordTasting(false)}
            >
              Record what it says
            </Button>
          </div>
          {recording.isError && (
            <p role="alert" className="mt-2 font-semibold text-acid-ink">
              Not recorded; what you said still stands here. {sayError(recording.error)}
            </p>
          )}
          <p className="mt-2 text-sm text-quiet">
            A clean {on === 'dish' ? 'fork' : on} each time, nothing goes back in.
            {on !== 'dish' && ` ${DRAWN_G} g are counted out of the jar.`}
          </p>
        </section>
        <section aria-label="This jar so far" className="card p-4">
          <div className="flex flex-wrap items-center justify-between gap-3">
            <h2 className="font-name text-lg font-bold">This jar so far</h2>
            {mended.length > 0 && version && (
              <Button
                onClick={() => {
                  takeMends(version);
                }}
              >
                Take the mends into Compose
              </Button>
            )}
          </div>
          <JarLog trial={trial} catalogue={kitchen.catalogue} settings={kitchen.settings} />
        </section>
      </div>
      <section aria-label="What would mend it" className="card content-start p-4">
        <div className="mb-2 flex items-baseline justify-between gap-2">
          <h2 className="font-name text-lg font-bold">What would mend it</h2>
          <span className="text-sm text-quiet">
            room in the jar {formatAmount(roomMl, 'ml', kitchen.settings)}
          </span>
        </div>
        <Mends
          portions={portions}
          said={said}
          style={style}
          roomMl={roomMl}
          formula={formula}
          context={context}
          kitchen={kitchen}
          busy={recording.isLoading}
          onAdded={(remedy) => {
            // What the mouth said is kept before the addition that answers it.
            void (async () => {
              if (!(await append({ kind: 'tasted', ...tasting(false) }))) return;
              const lines = remedy.doses.map(({ mayAdd: { ingredient, form }, massG }) => ({
                ingredientId: ingredient.id,
                form,
                massG,
              }));
              if (await append({ kind: 'added', lines, note: '' })) clear();
            })();
          }}
        />
      </section>
    </div>
  );
}

const roomOf = ({ brimfulVolumeMl, closes }: Vessel): number =>
  brimfulVolumeMl * (closes ? AMBER_SHARE : HARDLY_MIXES_SHARE);
