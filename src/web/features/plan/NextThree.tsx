import type { PlanContent } from '#contract';
import { sayTime, secondsOfDay, today, type DayPlan } from '#kitchen/day';
import { sayDuration } from '#words/hold';
import { planWords } from '#words/screens/plan';
import { sayDishOf, sayStepOf } from '#words/service';
import { Button } from '../../ui/Button';
import { focusHeading } from '../../ui/focus';

interface NextThreeProps {
  readonly day: string;
  readonly plan: DayPlan;
  readonly content: PlanContent;
  readonly now: Date;
  readonly onChange: (patch: Pick<PlanContent, 'done'> | Pick<PlanContent, 'begun'>) => void;
}

const SHOWN = 3;

/** What to do next, to be read from across the kitchen; the first is begun and ticked off here. */
export function NextThree({ day, plan, content: { begun, done }, now, onChange }: NextThreeProps) {
  const nowS = secondsOfDay(day, now);
  const isToday = day === today();
  const write = (patch: Pick<PlanContent, 'done'> | Pick<PlanContent, 'begun'>): void => {
    onChange(patch);
    focusHeading(document.getElementById('next-things'));
  };
  return (
    <section aria-labelledby="next-things" className="grid gap-2" data-testid="next-three">
      <h2 id="next-things" className="sr-only">
        {planWords.nextThingsToDo}
      </h2>
      <ol className="grid gap-3 sm:grid-cols-3">
        {plan.placed.slice(0, SHOWN).map(({ task, startS, endS }, i) => {
          const runs = begun[task.id] !== undefined;
          return (
            <li
              key={task.id}
              className={`grid content-start gap-1 rounded-lg border-2 p-3 ${i === 0 ? 'border-leaf bg-mint' : 'border-rule bg-paper'}`}
            >
              <span className="flex flex-wrap items-baseline gap-x-3">
                <strong className="font-name text-3xl font-bold tabular-nums">{sayTime(startS)}</strong>
                {isToday && <span>{runs ? sayLeft(endS - nowS) : sayUntil(startS - nowS)}</span>}
              </span>
              <span className="text-xl leading-snug font-semibold [overflow-wrap:anywhere]">
                {task.step === null ? task.name : sayStepOf(task.step)}
              </span>
              {task.step !== null && <span className="[overflow-wrap:anywhere]">{sayDishOf(task)}</span>}
              {i === 0 && (
                <Button
                  kind="main"
                  className="mt-1 min-h-16 text-lg print:hidden"
                  data-next
                  aria-label={
                    runs || !task.handsOn ? planWords.doneName(task.name) : planWords.beginName(task.name)
                  }
                  onClick={() => {
                    const at = new Date().toISOString();
                    if (runs || !task.handsOn) write({ done: { ...done, [task.id]: at } });
                    else write({ begun: { ...begun, [task.id]: at } });
                  }}
                >
                  {runs || !task.handsOn ? planWords.done2 : planWords.begin}
                </Button>
              )}
            </li>
          );
        })}
      </ol>
    </section>
  );
}

/** To the minute within the hour: what is read here is acted on. */
const inMinutes = (seconds: number): string => {
  const minutes = Math.max(1, Math.round(seconds / 60));
  return minutes < 60 ? planWords.minutesOnly(minutes) : sayDuration(minutes * 60);
};

function sayUntil(seconds: number): string {
  if (seconds >= 60) return planWords.inTime(inMinutes(seconds));
  return seconds > -60 ? planWords.now : planWords.since(inMinutes(-seconds));
}
const sayLeft = (seconds: number): string =>
  seconds > 30 ? planWords.runsInminutesLeft(inMinutes(seconds)) : planWords.shouldBeDone;
