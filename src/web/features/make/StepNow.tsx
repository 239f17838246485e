import { useNavigate } from 'react-router';
import type { ReactNode } from 'react';
import { stepName, stepWordsOf } from '#kitchen/repair';
import type { Kitchen } from '#kitchen/reading';
import type { CounterView } from '../../data/instruments';
import type { Jar } from '../../data/jars';
import type { Scale } from '../../data/scale';
import type { WorkingFormula } from '../../sync/working';
import { DisputePanel } from './DisputePanel';
import { DonePanel } from './DonePanel';
import { DoPanel } from './DoPanel';
import { FinishedPanel } from './FinishedPanel';
import { RepairPanel } from './RepairPanel';
import { SplitPanel } from './SplitPanel';
import type { StepActions } from './stepActions';
import { useNextStage } from './useNextStage';
import type { JarState, Saying, Viewed } from './useMaking';
import { WeighPanel } from './WeighPanel';

interface StepNowProps {
  readonly jar: Jar;
  readonly batchMates: readonly Jar[];
  readonly working: WorkingFormula;
  readonly kitchen: Kitchen;
  readonly state: JarState;
  readonly viewed: Viewed;
  readonly saying: Saying;
  readonly scale: Scale;
  readonly counter: CounterView;
  readonly onUndo: () => void;
  readonly onAnother: () => void;
  readonly onActions: (actions: StepActions) => void;
}

/** What is to be done now: a question that is open comes before the next step. */
export function StepNow(props: StepNowProps): ReactNode {
  const { jar, batchMates, working, kitchen, state, viewed, saying, scale, counter, onActions } = props;
  const { catalogue, settings } = kitchen;
  const { making, states, vessel, context, portions, volumeMl, deviation, openLoads, off } = state;
  const { formula } = working;
  const { shown, viewing, forward } = viewed;
  const { say, plan, spread } = saying;
  const navigate = useNavigate();
  const next = useNextStage(jar, making, kitchen);
  if (state.disputed)
    return (
      <DisputePanel
        catalogue={catalogue}
        making={making}
        settings={settings}
        state={state.disputed}
        onSay={say}
      />
    );
  if (state.newest?.event.kind === 'split')
    return (
      <SplitPanel
        jar={jar}
        portions={portions}
        volumeMl={volumeMl}
        vessel={vessel}
        kitchen={kitchen}
        onPlan={plan}
        before={state.current?.step.id ?? null}
      />
    );
  if (off && !viewing)
    return (
      <RepairPanel
        off={off}
        states={states}
        deviation={deviation}
        making={making}
        vessel={vessel}
        kitchen={kitchen}
        formula={formula}
        openLoads={openLoads}
        onSpread={spread}
        onPlan={plan}
        onUndo={props.onUndo}
      />
    );
  if (!shown)
    return (
      <FinishedPanel
        jar={jar}
        batchMates={batchMates}
        portions={portions}
        volumeMl={volumeMl}
        settings={settings}
        name={formula.name}
        onSay={say}
        onAnother={props.onAnother}
        next={next}
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
      words={stepWordsOf(catalogue, settings)}
      making={making}
      place={states.indexOf(shown) + 1}
      of={states.length}
      jar={jar}
      onActions={onActions}
      onSay={say}
    />
  ) : (
    <WeighPanel
      key={shown.step.id}
      state={shown}
      making={making}
      place={states.indexOf(shown) + 1}
      of={states.length}
      portions={portions}
      volumeMl={volumeMl}
      kitchen={kitchen}
      context={context}
      formula={formula}
      scale={scale}
      counter={counter}
      onActions={onActions}
      onSay={say}
    />
  );
}
