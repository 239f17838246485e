import type { PlanContent } from '#contract';
import { sayDuration } from '#core/emulsion';
import { sayTime } from './clock';
import type { DayPlan } from './usePlan';

interface TickListProps {
  readonly day: string;
  readonly plan: DayPlan;
  readonly content: PlanContent;
  readonly onDone: (done: PlanContent['done']) => void;
}

const NARROW_S = 15 * 60;

/** What comes next, to tick off; it outlives a reload. */
export function TickList({ plan, content, onDone }: TickListProps) {
  const behind = Object.entries(content.done)
    .filter(([id]) => plan.names.has(id))
    .sort(([, a], [, b]) => a.localeCompare(b));
  return (
    <section aria-label="To do" className="card grid content-start gap-1 p-4">
      <h2 className="font-name text-lg font-bold">To do</h2>
      {plan.placed.length === 0 && behind.length === 0 && <p className="text-quiet">Nothing yet.</p>}
      <ol data-testid="to-do">
        {plan.placed.map(({ task, startS, endS }) => {
          const slack = plan.slack.get(task.id) ?? 0;
          return (
            <li key={task.id} className="border-t border-rule">
              <label className="flex min-h-11 cursor-pointer items-center gap-3 py-1">
                <input
                  type="checkbox"
                  className="size-5 accent-bottle"
                  checked={false}
                  onChange={() => {
                    onDone({ ...content.done, [task.id]: new Date().toISOString() });
                  }}
                />
                <span className="w-14 font-semibold">{sayTime(startS)}</span>
                <span className="flex-1">
                  {task.name}
                  {!task.handsOn && <span className="text-quiet"> until {sayTime(endS)}, waiting</span>}
                </span>
                <span
                  className={`text-sm whitespace-nowrap ${slack < NARROW_S ? 'font-semibold text-acid-ink' : 'text-quiet'}`}
                >
                  {slack < 60 ? 'no time to lose' : `${sayDuration(slack)} to spare`}
                </span>
              </label>
            </li>
          );
        })}
        {behind.map(([id, at]) => (
          <li key={id} className="border-t border-rule text-quiet">
            <label className="flex min-h-11 cursor-pointer items-center gap-3 py-1">
              <input
                type="checkbox"
                className="size-5 accent-bottle"
                checked
                onChange={() => {
                  const { [id]: _gone, ...rest } = content.done;
                  onDone(rest);
                }}
              />
              <span className="w-14">
                {new Date(at).toLocaleTimeString(undefined, { hour: '2-digit', minute: '2-digit' })}
              </span>
              <span className="flex-1 line-through">{plan.names.get(id)}</span>
            </label>
          </li>
        ))}
      </ol>
    </section>
  );
}
