import { useEffect } from 'react';
import { pourPlan } from '#core/emulsion';
import { sayPour } from '#words/hold';
import type { DoStep, MakingPlan, TrialEvent } from '#core/trial';
import { sayDeed, type StepWords } from '#words/trial';
import { makeWords } from '#words/screens/make';
import { startTimer, useTimers } from '../../data/timers';
import type { Jar } from '../../data/jars';
import { Button } from '../../ui/Button';
import { sayClock } from '../../parts/Timers';
import type { StepActions } from './stepActions';

interface DoPanelProps {
  readonly step: DoStep;
  readonly making: MakingPlan;
  readonly jar: Jar;
  /** Which of how many steps it is. */
  readonly place: number;
  readonly of: number;
  readonly words: StepWords;
  readonly onSay: (...events: readonly TrialEvent[]) => void;
  readonly onActions: (actions: StepActions) => void;
}

/** Beyond this a sentence is set smaller, or it fills the screen. */
const LONG = 50;

/** Something to do, for a time: the timer runs in the frame while the work goes on. */
export function DoPanel({ step, making, jar, place, of, words, onSay, onActions }: DoPanelProps) {
  const { timers } = useTimers();
  const label = sayDeed(step, making.tool, words);
  const running = timers.some((timer) => timer.trialId === jar.id && timer.label === label);
  const done = (): void => {
    onSay({ kind: 'did', stepId: step.id });
  };
  const start = (): void => {
    if (step.seconds === null) return;
    void startTimer({ label, seconds: step.seconds, formulaId: jar.formulaId, trialId: jar.id });
  };
  useEffect(() => {
    onActions({ next: done });
    return () => {
      onActions({});
    };
  });
  return (
    <section
      aria-label={makeWords.thisStep}
      className="card grid grid-cols-[minmax(0,1fr)] content-start gap-4 p-5 sm:p-8"
    >
      <h2
        className={`font-name font-bold ${label.length > LONG ? 'text-2xl sm:text-3xl' : 'text-4xl sm:text-5xl'}`}
        data-testid="step-name"
        data-step-heading
        aria-label={makeWords.stepAloud(label, place, of)}
      >
        {label}
      </h2>
      {step.seconds !== null && (
        <p className="font-name text-[clamp(4rem,9vw,7rem)] leading-none font-bold text-quiet">
          {sayClock(step.seconds)}
        </p>
      )}
      {step.deed === 'steep' && <p className="text-lg text-quiet">{makeWords.goOnMeanwhileIfThe}</p>}
      {step.deed === 'mix' && step.seconds === null && (
        <p className="text-lg text-quiet">{sayPour(pourPlan(1, 0, making.tool), making.tool)}</p>
      )}
      <div className="flex flex-wrap gap-4">
        <Button kind="main" className="min-h-16 flex-1 basis-60 text-xl" onClick={done}>
          {makeWords.done2}
        </Button>
        {step.seconds !== null && (
          <Button className="min-h-16 px-6 text-lg" disabled={running} onClick={start}>
            {running ? makeWords.timerRuns : makeWords.timeSeconds(sayClock(step.seconds))}
          </Button>
        )}
      </div>
    </section>
  );
}
