import { planWords } from '#words/screens/plan';
import type { PlanContent } from '#contract';
import { sayDuration } from '#words/hold';
import type { WayOut } from '#core/service';
import { sayTime } from '#kitchen/day';
import type { DayPlan } from '#kitchen/day';

const SHOWN = 4;
const some = (all: readonly string[], between: string): string =>
  all.slice(0, SHOWN).join(between) +
  (all.length > SHOWN ? planWords.betweenAndPartMore(between, all.length - SHOWN) : '');

/** What does not fit, what comes late of it, what is at risk, and the cheapest ways out. */
export function BehindNote({ plan, content }: { plan: DayPlan; content: PlanContent }) {
  const { conflicts, clashes, late, movedS, tasks } = plan;
  if (conflicts.length === 0 && clashes.length === 0 && late.length === 0) return null;
  const nameOf = (id: string): string => tasks.get(id)?.name ?? id;
  const behind = new Set(conflicts.map(({ task }) => task.id));
  // What waits for something that is behind is behind because of that.
  const roots = conflicts.filter(({ task }) => !task.after.some((id) => behind.has(id)));
  const isJob = (id: string): boolean => content.jobs.some((job) => job.id === id);
  const lateBy = new Map<string, number>();
  for (const { task, byS } of late)
    if (!isJob(task.id)) lateBy.set(task.serviceId, Math.max(byS, lateBy.get(task.serviceId) ?? 0));
  const comesLate = [
    ...content.services.flatMap(({ id, name, atMin: at }) => {
      const byS = lateBy.get(id);
      return byS === undefined
        ? []
        : [planWords.nameAtSaytimeBysLate(name, sayTime(at * 60 + byS), sayDuration(byS))];
    }),
    ...late.flatMap(({ task, byS }) =>
      isJob(task.id) ? [planWords.nameIsReadyBysLate(task.name, sayDuration(byS))] : [],
    ),
  ];
  const moved = [...movedS.keys()].map(nameOf);
  // It changes by the minute: no alert, which would be read out again and again.
  return (
    <div role="note" className="border-l-4 border-l-acid pl-3" data-testid="conflicts">
      {roots.length > 0 && (
        <p className="font-semibold">
          {some(
            roots.map(({ task, byS }) =>
              planWords.nameofShouldHaveBegunBys(nameOf(task.id), sayDuration(byS)),
            ),
            '; ',
          )}
          .
        </p>
      )}
      {clashes.map(({ task, kind, other }) => (
        <p key={`${task.id} ${other.id}`} className="font-semibold">
          {kind === 'after'
            ? planWords.nameofWasPutSoLate(nameOf(task.id), nameOf(other.id))
            : planWords.nameofAndNameof2WerePut(nameOf(task.id), nameOf(other.id))}
        </p>
      ))}
      {late.length > 0 && (
        <p data-testid="at-risk">
          {planWords.asItGoesNow} <strong>{comesLate.join('; ')}</strong>.
          {moved.length > 0 && planWords.movedSome(some(moved, ', '))}
        </p>
      )}
      {late.length === 0 && conflicts.length > 0 && <p>{planWords.begunNowEverythingIsStill}</p>}
      {(conflicts.length > 0 || late.length > 0) && (
        <p>
          {plan.ways.length === 0
            ? planWords.nothingHereTakesAllOf
            : planWords.cheapestWays(plan.ways.map((way) => sayWay(way, nameOf)).join('; or '))}
        </p>
      )}
    </div>
  );
}

function sayWay(way: WayOut, nameOf: (id: string) => string): string {
  switch (way.kind) {
    case 'shorten':
      return planWords.cutNameofToTos(nameOf(way.taskId), sayDuration(way.toS));
    case 'another-tool':
      return planWords.aSecondTool(way.tool.toLowerCase());
    case 'another-cook':
      return planWords.anotherPairOfHands;
    case 'leave-out':
      return planWords.leaveOutTaskids(way.taskIds.map(nameOf).join(', '));
    case 'serve-later': {
      const later = planWords.serveBysLater(sayDuration(way.byS));
      return way.without.length === 0
        ? later
        : planWords.leaveOutWithoutAndLater(way.without.map(nameOf).join(', '), later);
    }
  }
}
