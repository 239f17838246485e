import { useCallback, useMemo, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import type { SpreadTargets } from '#core/batch';
import { composition } from '#core/composition';
import {
  currentStep,
  deviationOf,
  plannedLines,
  standingEvents,
  type PlanReason,
  type PlanWay,
  type Step,
  type TrialEvent,
} from '#core/trial';
import { makeWords } from '#words/screens/make';
import { useCounter } from '../../data/instruments';
import { makingOf, statesOf, type Jar } from '../../data/jars';
import { contextFor, vesselOf } from '#kitchen/reading';
import { useKitchen } from '../../data/kitchen';
import { record } from '../../sync/outbox';
import { portionsNow } from '../../data/trials';
import type { WorkingFormula } from '../../sync/workingSlice';
import { Button } from '../../ui/Button';
import { KeyHelp } from '../../ui/KeyHelp';
import { OutboxNotice } from '../../parts/OutboxNotice';
import { useShortcuts } from '../../ui/shortcuts';
import { DisputePanel } from './DisputePanel';
import { DonePanel } from './DonePanel';
import { DoPanel } from './DoPanel';
import { FinishedPanel } from './FinishedPanel';
import { JarNow } from './JarNow';
import { deviationNote, openDeviation } from '#kitchen/repair';
import { OtherwisePanel } from './OtherwisePanel';
import { RepairPanel } from './RepairPanel';
import { SplitPanel } from './SplitPanel';
import { StepList } from './StepList';
import { stepName, stepWordsOf } from '#kitchen/repair';
import { TesterPanel } from '../../parts/TesterPanel';
import { useAwake } from './useAwake';
import { useScaleClaim } from '../../data/scale';
import type { StepActions } from './stepActions';
import { WeighPanel } from './WeighPanel';
import { JarCautions } from '../../parts/JarCautions';

interface MakingProps {
  readonly jar: Jar;
  /** The other loads of its batch. */
  readonly batchMates: readonly Jar[];
  readonly working: WorkingFormula;
  readonly onAnother: () => void;
}

/** One step at a time: what is next, what the scale says, what is in the jar. */
export function Making({ jar, batchMates, working, onAnother }: MakingProps) {
  const kitchen = useKitchen();
  const { catalogue, settings } = kitchen;
  const navigate = useNavigate();
  const making = makingOf(jar);
  const states = useMemo(() => statesOf(jar), [jar]);
  const current = currentStep(states);
  const [viewed, setViewed] = useState<string | null>(null);
  const [otherwise, setOtherwise] = useState(false);
  const [helping, setHelping] = useState(false);
  // Not state: a panel says them at every render.
  const actions = useRef<StepActions>({});
  const setActions = useCallback((next: StepActions) => {
    actions.current = next;
  }, []);
  const vessel = vesselOf({ ...working.formula, vesselId: jar.vesselId }, kitchen.vessels);
  const context = useMemo(() => contextFor(working.formula, kitchen), [working.formula, kitchen]);
  const portions = useMemo(() => portionsNow(jar, catalogue), [jar, catalogue]);
  const volumeMl = useMemo(() => composition(portions).mixedVolumeMl, [portions]);
  const deviation = useMemo(() => {
    const first = making.steps.flatMap((step) => (step.kind === 'weigh' ? [step.line] : []));
    return deviationOf(first, plannedLines(states), catalogue);
  }, [making, states, catalogue]);
  const counter = useCounter(current || viewed ? jar.id : null);
  const scale = useScaleClaim(counter, jar.id, working.formula.name, current !== null);
  useAwake(current !== null);

  // Until a tap is written down, a second one is a wet finger's.
  const writing = useRef(false);
  const say = (...events: readonly TrialEvent[]): void => {
    if (writing.current) return;
    writing.current = true;
    setViewed(null);
    void record({ trialId: jar.id, formulaId: jar.formulaId }, events).finally(() => {
      writing.current = false;
    });
  };
  const plan = (
    reason: PlanReason,
    targets: Extract<TrialEvent, { kind: 'planned' }>['targets'],
    steps: readonly Step[],
    before: string | null,
    way: PlanWay,
  ): void => {
    say({ kind: 'planned', reason, targets, steps, before, note: '', way });
  };
  const openLoads = useMemo(
    () =>
      batchMates
        .filter(({ batch }) => batch?.role === 'load')
        .map((load) => ({ trialId: load.id, states: statesOf(load) })),
    [batchMates],
  );
  /** The loads to come make it good: theirs first, so that a failure leaves the question open. */
  const spread = (reason: PlanReason, loads: readonly SpreadTargets[], way: PlanWay): void => {
    for (const { trialId, targets } of loads) {
      const event = { kind: 'planned', reason, targets, steps: [], before: null, note: '', way } as const;
      void record({ trialId, formulaId: jar.formulaId }, [event]);
    }
    plan(reason, [], [], null, way);
  };
  const standing = standingEvents(jar.events);
  const newest = standing.at(-1);
  const undo = (): void => {
    if (newest && newest.event.kind !== 'tasted') say({ kind: 'corrected', eventId: newest.id });
  };
  const disputed = states.find(({ status }) => status === 'disputed');
  const off = openDeviation(states, making, deviation, standing);
  const split = newest?.event.kind === 'split';
  const shown = states.find(({ step }) => step.id === viewed) ?? current;
  const back = (): void => {
    const place = shown ? states.indexOf(shown) : states.length;
    const before = states[place - 1];
    if (before) setViewed(before.step.id);
  };
  const forward = (): void => {
    const next = shown && states[states.indexOf(shown) + 1];
    setViewed(next && next.step.id !== current?.step.id ? next.step.id : null);
  };
  const viewing = viewed !== null && shown !== current;
  const shortcuts = [
    {
      keys: [' ', 'Enter', 'PageDown', 'ArrowRight'],
      does: makeWords.nextTakeWhatIsIn,
      run: () => {
        if (viewing) forward();
        else actions.current.next?.();
      },
    },
    { keys: ['PageUp', 'ArrowLeft', 'Backspace'], does: makeWords.backToLookAtThe, run: back },
    { keys: ['t'], does: makeWords.setTheScaleToZero, run: () => actions.current.tare?.() },
    { keys: ['h'], does: makeWords.typeTheWeightByHand, run: () => actions.current.byHand?.() },
    { keys: ['mod+z', 'u'], does: makeWords.undoTheLastStep, run: undo },
    {
      keys: ['o'],
      does: makeWords.itWentOtherwiseLeftOut,
      run: () => {
        setOtherwise(true);
      },
    },
    {
      keys: ['?'],
      does: makeWords.showTheseKeys,
      run: () => {
        setHelping(true);
      },
    },
  ] as const;
  useShortcuts(shortcuts);

  const step = ((): React.ReactNode => {
    if (disputed)
      return (
        <DisputePanel
          state={disputed}
          catalogue={catalogue}
          making={making}
          settings={settings}
          onSay={say}
        />
      );
    if (split)
      return (
        <SplitPanel
          {...{ jar, portions, volumeMl, vessel, context, kitchen, formula: working.formula, onPlan: plan }}
          before={current?.step.id ?? null}
        />
      );
    if (off && !viewing)
      return (
        <RepairPanel
          {...{ off, states, deviation, making, vessel, context, kitchen, formula: working.formula }}
          openLoads={openLoads}
          onSpread={spread}
          onPlan={plan}
          onUndo={undo}
        />
      );
    if (!shown)
      return (
        <FinishedPanel
          {...{ jar, batchMates, portions, volumeMl, settings, onSay: say, onAnother }}
          onTaste={() => void navigate(`/formulas/${jar.formulaId}/taste?jar=${jar.id}`)}
        />
      );
    if (viewing && shown.status !== 'open')
      return (
        <DonePanel
          state={shown}
          name={stepName(shown.step, catalogue, making, settings, shown)}
          settings={settings}
          onSay={say}
          onForward={forward}
        />
      );
    return shown.step.kind === 'do' ? (
      <DoPanel
        key={shown.step.id}
        step={shown.step}
        making={making}
        jar={jar}
        words={stepWordsOf(catalogue, settings)}
        onSay={say}
        onActions={setActions}
      />
    ) : (
      <WeighPanel
        key={shown.step.id}
        state={shown}
        scale={scale}
        counter={counter}
        {...{ making, portions, volumeMl, kitchen, context, formula: working.formula }}
        onSay={say}
        onActions={setActions}
      />
    );
  })();

  return (
    // A click leaves the focus nowhere, so that the foot switch does not press the last button again.
    <div
      className="grid gap-3"
      onClick={({ detail }) => {
        if (detail > 0 && document.activeElement instanceof HTMLButtonElement) document.activeElement.blur();
      }}
    >
      <OutboxNotice trialId={jar.id} />
      <div className="grid gap-3.5 lg:min-h-[calc(100dvh-140px)] lg:grid-cols-[300px_minmax(0,1fr)_250px]">
        <StepList
          states={states}
          current={viewing ? shown : (off?.state ?? shown)}
          waiting={jar.waiting}
          note={deviationNote(states, making, deviation, catalogue, settings)}
          {...{ making, catalogue, settings }}
        />
        <div className="order-first grid content-start gap-3 lg:order-none">
          {step}
          <div className="flex flex-wrap gap-4">
            <Button
              className="min-h-16 px-6"
              disabled={shown !== null && states.indexOf(shown) === 0}
              onClick={back}
            >
              {makeWords.back}
            </Button>
            <Button
              className="min-h-16 px-6"
              disabled={!newest || newest.event.kind === 'tasted'}
              onClick={undo}
            >
              {makeWords.undoTheLast}
            </Button>
            {current && (
              <Button
                className="min-h-16 px-6"
                onClick={() => {
                  setOtherwise(true);
                }}
              >
                {makeWords.itWentOtherwise}
              </Button>
            )}
          </div>
        </div>
        <JarNow
          {...{ portions, vessel, volumeMl, settings, states, making, catalogue }}
          shown={shown}
          pouring={shown && shown.status === 'open' ? scale.netG : null}
        />
      </div>
      {!current && <JarCautions jar={jar} formulaId={jar.formulaId} portions={portions} kitchen={kitchen} />}
      {scale.simulated && <TesterPanel counter={counter} />}
      {otherwise && current && (
        <OtherwisePanel
          state={current}
          states={states}
          scale={scale}
          {...{ making, catalogue, context }}
          onSay={say}
          onClose={() => {
            setOtherwise(false);
          }}
        />
      )}
      {helping && (
        <KeyHelp
          open
          onClose={() => {
            setHelping(false);
          }}
          groups={[{ title: makeWords.make, shortcuts }]}
        />
      )}
    </div>
  );
}
