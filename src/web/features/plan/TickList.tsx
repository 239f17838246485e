import type { PlanContent } from '#contract';
import { sayDuration } from '#words/hold';
import type { DayTask, Placed } from '#core/service';
import { planWords } from '#words/screens/plan';
import { Button } from '../../ui/Button';
import { sayTime, secondsOfDay } from '#kitchen/day';
import type { DayPlan } from '#kitchen/day';

interface TickListProps {
  readonly day: string;
  readonly plan: DayPlan;
  readonly content: PlanContent;
  readonly now: Date;
  readonly onChange: (patch: Pick<PlanContent, 'done'> | Pick<PlanContent, 'begun'>) => void;
}

const NARROW_S = 15 * 60;

/** What comes next, to begin and to tick off; it outlives a reload. */
export function TickList({ day, plan, content, now, onChange }: TickListProps) {
  const { begun, done } = content;
  const behind = Object.entries(done)
    .filter(([id]) => plan.tasks.has(id))
    .sort(([, a], [, b]) => a.localeCompare(b));
  const isFree = ({ after }: DayTask): boolean => after.every((id) => done[id] !== undefined);
  return (
    <section
      aria-label={planWords.toDo}
      className="card grid grid-cols-[minmax(0,1fr)] content-start gap-1 p-4"
    >
      <h2 className="font-name text-lg font-bold">{planWords.toDo}</h2>
      {plan.placed.length === 0 && behind.length === 0 && (
        <p className="text-quiet">{planWords.nothingYet}</p>
      )}
      <ol data-testid="to-do">
        {plan.placed.map((one) => (
          <li key={one.task.id} className="flex items-center gap-2 border-t border-rule">
            <label className="flex min-h-11 flex-1 cursor-pointer items-center gap-3 py-1">
              <input
                type="checkbox"
                className="size-5 accent-leaf"
                checked={false}
                onChange={() => {
                  onChange({ done: { ...done, [one.task.id]: new Date().toISOString() } });
                }}
              />
              <TaskWords
                {...one}
                runs={begun[one.task.id] !== undefined}
                slackS={plan.slack.get(one.task.id) ?? 0}
                movedS={plan.movedS.get(one.task.id) ?? 0}
                nowS={secondsOfDay(day, now)}
              />
            </label>
            {begun[one.task.id] !== undefined ? (
              <Button
                aria-label={planWords.notBegunAfterAllName(one.task.name)}
                onClick={() => {
                  const { [one.task.id]: _gone, ...rest } = begun;
                  onChange({ begun: rest });
                }}
              >
                {planWords.notBegun}
              </Button>
            ) : (
              isFree(one.task) && (
                <Button
                  aria-label={planWords.beginName(one.task.name)}
                  onClick={() => {
                    onChange({ begun: { ...begun, [one.task.id]: new Date().toISOString() } });
                  }}
                >
                  {planWords.begin}
                </Button>
              )
            )}
          </li>
        ))}
        {behind.map(([id, at]) => (
          <li key={id} className="border-t border-rule text-quiet">
            <label className="flex min-h-11 cursor-pointer items-center gap-3 py-1">
              <input
                type="checkbox"
                className="size-5 accent-leaf"
                checked
                onChange={() => {
                  const { [id]: _gone, ...rest } = done;
                  onChange({ done: rest });
                }}
              />
              <span className="w-14">{sayTime(secondsOfDay(day, new Date(at)))}</span>
              <span className="flex-1 line-through">{plan.tasks.get(id)?.name}</span>
            </label>
          </li>
        ))}
      </ol>
    </section>
  );
}

interface TaskWordsProps extends Placed<DayTask> {
  readonly runs: boolean;
  readonly slackS: number;
  readonly movedS: number;
  readonly nowS: number;
}

function TaskWords({ task, startS, endS, runs, slackS, movedS, nowS }: TaskWordsProps) {
  const planned = startS + task.seconds;
  return (
    <>
      <span className="w-14 shrink-0 self-start pt-1.5 font-semibold">{sayTime(startS)}</span>
      <span className="min-w-0 flex-1">
        {task.name}
        {!task.handsOn && <span className="text-quiet"> {planWords.untilEndsWaiting(sayTime(endS))}</span>}
        <span
          className={`block text-sm ${
            runs
              ? 'font-semibold text-leaf'
              : movedS >= 60 || slackS < NARROW_S
                ? 'font-semibold text-acid-ink'
                : 'text-quiet'
          }`}
        >
          {sayStanding({ runs, leftS: planned - nowS, movedS, slackS })}
        </span>
      </span>
    </>
  );
}

/** Whole minutes: nobody acts on seconds here. */
const inMinutes = (seconds: number): string => sayDuration(Math.round(seconds / 60) * 60);

function sayStanding({
  runs,
  leftS,
  movedS,
  slackS,
}: {
  readonly runs: boolean;
  readonly leftS: number;
  readonly movedS: number;
  readonly slackS: number;
}): string {
  if (runs) return leftS > 30 ? planWords.runsInminutesLeft(inMinutes(leftS)) : planWords.shouldBeDone;
  if (movedS >= 60) return planWords.inminutesLaterThanPlanned(inMinutes(movedS));
  return slackS < 60 ? planWords.noTimeToLose : planWords.inminutesToSpare(inMinutes(slackS));
}
