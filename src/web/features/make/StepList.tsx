import { useState } from 'react';
import type { Catalogue } from '#core/ingredient';
import type { MakingPlan, StepState } from '#core/trial';
import { formatAmount, type NumberStyle } from '#words/numbers';
import { makeWords } from '#words/screens/make';
import { sayClock } from '../../parts/Timers';
import { stepName } from '#kitchen/repair';
import { Button } from '../../ui/Button';

interface StepListProps {
  readonly states: readonly StepState[];
  readonly current: StepState | null;
  readonly making: MakingPlan;
  readonly catalogue: Catalogue;
  readonly settings: NumberStyle;
  /** Events that only this browser has yet. */
  readonly waiting: ReadonlySet<string>;
  readonly note: string | null;
  /** Which of them is now, from 1; null: none is left. */
  readonly place: number | null;
}

const SIGN = { done: '✓', 'left-out': '–', disputed: '?', open: '' } as const;

/** All steps, what is done and how it came out. To be read, not to be touched. */
export function StepList(props: StepListProps) {
  const { states, current, making, catalogue, settings, waiting, note, place } = props;
  const [open, setOpen] = useState(false);
  const left = states.filter(({ status }) => status === 'open').length;
  return (
    <section aria-label={makeWords.steps} className="card flex min-h-0 flex-col p-4 lg:overflow-auto">
      <div className="flex items-baseline justify-between gap-2 lg:mb-1">
        <h2 className="font-semibold">
          {place === null ? makeWords.lengthSteps(states.length) : makeWords.stepOf(place, states.length)}
        </h2>
        <span className="text-sm text-quiet">
          {left === 0 ? makeWords.allDone : makeWords.leftToGo(left)}
        </span>
        <Button
          className="min-h-16 lg:hidden"
          aria-expanded={open}
          onClick={() => {
            setOpen(!open);
          }}
        >
          {open ? makeWords.foldSteps : makeWords.showSteps}
        </Button>
      </div>
      <ol data-testid="steps" className={open ? '' : 'hidden lg:block'}>
        {states.map((state, index) => {
          const { step, status } = state;
          const only = state.closedBy !== null && waiting.has(state.closedBy);
          return (
            <li
              key={step.id}
              aria-current={state === current ? 'step' : undefined}
              className={`-mx-4 flex min-h-10 items-center gap-3 border-b border-rule px-4 py-1 ${state === current ? 'bg-tape-soft' : ''}`}
            >
              <span
                className={`grid size-6.5 shrink-0 place-items-center rounded-full border-2 text-sm font-semibold ${status === 'open' ? 'border-rule' : 'border-leaf bg-bottle text-white'}`}
              >
                {SIGN[status] || index + 1}
              </span>
              <span className="min-w-0 flex-1 font-semibold [overflow-wrap:anywhere]">
                {stepName(step, catalogue, making, settings, state)}
                {status === 'left-out' && (
                  <span className="font-normal text-quiet"> {makeWords.leftOut2}</span>
                )}
                {only && <span className="font-normal text-quiet"> {makeWords.waiting}</span>}
              </span>
              <span className="whitespace-nowrap text-quiet">{amountOf(state, settings)}</span>
            </li>
          );
        })}
      </ol>
      {note && (
        <p className="mt-auto pt-4 text-sm" data-testid="deviation-note">
          {note}
        </p>
      )}
    </section>
  );
}

function amountOf({ step, status, massG, plannedG }: StepState, settings: NumberStyle): string {
  if (status === 'left-out') return '';
  if (massG > 0) return formatAmount(massG, 'g', settings);
  if (step.kind === 'do') return step.seconds === null ? '' : sayClock(step.seconds);
  return plannedG === null ? makeWords.toTaste : formatAmount(plannedG, 'g', settings);
}
