import type { PlanContent } from '#contract';
import { sayDuration } from '#core/emulsion';
import type { WayOut } from '#core/service';
import { sayTime } from './clock';
import type { DayPlan } from './planDay';

/** What does not fit, what comes late of it, what is at risk, and the cheapest ways out. */
export function BehindNote({ plan, services }: { plan: DayPlan; services: PlanContent['services'] }) {
  const { conflicts, clashes, late, movedS, tasks } = plan;
  if (conflicts.length === 0 && clashes.length === 0 && late.length === 0) return null;
  const nameOf = (id: string): string => tasks.get(id)?.name ?? id;
  const lateBy = new Map<string, number>();
  for (const { task, byS } of late)
    lateBy.set(task.serviceId, Math.max(byS, lateBy.get(task.serviceId) ?? 0));
  const lateServices = services.flatMap((service) => {
    const byS = lateBy.get(service.id);
    return byS === undefined
      ? []
      : [`${service.name} at ${sayTime(service.at * 60 + byS)}, ${sayDuration(byS)} late`];
  });
  const moved = [...movedS.keys()].map(nameOf);
  return (
    <div role="alert" className="border-l-4 border-l-acid pl-3" data-testid="conflicts">
      {conflicts.length > 0 && (
        <p className="font-semibold">
          {conflicts
            .map(({ task, byS }) => `${nameOf(task.id)} should have begun ${sayDuration(byS)} ago`)
            .join('; ')}
          .
        </p>
      )}
      {clashes.map(({ task, kind, other }) => (
        <p key={`${task.id} ${other.id}`} className="font-semibold">
          {kind === 'after'
            ? `${nameOf(task.id)} was put so late that ${nameOf(other.id)} cannot wait for it.`
            : `${nameOf(task.id)} and ${nameOf(other.id)} were put on the same hands or tool at once.`}
        </p>
      ))}
      {late.length > 0 && (
        <p data-testid="at-risk">
          As it goes now: <strong>{lateServices.join('; ')}</strong>.
          {moved.length > 0 && ` Moved: ${moved.slice(0, 5).join(', ')}${moved.length > 5 ? ', …' : ''}.`}
        </p>
      )}
      {late.length === 0 && conflicts.length > 0 && <p>Begun now, everything is still in time.</p>}
      {(conflicts.length > 0 || late.length > 0) && (
        <p>
          {plan.ways.length === 0
            ? 'Nothing here takes all of it away: leave something out.'
            : `Cheapest: ${plan.ways.map((way) => sayWay(way, nameOf)).join('; or ')}.`}
        </p>
      )}
    </div>
  );
}

function sayWay(way: WayOut, nameOf: (id: string) => string): string {
  switch (way.kind) {
    case 'shorten':
      return `cut “${nameOf(way.taskId)}” to ${sayDuration(way.toS)}`;
    case 'another-tool':
      return `a second ${way.tool.toLowerCase()}`;
    case 'another-cook':
      return 'another pair of hands';
    case 'serve-later':
      return `serve ${sayDuration(way.byS)} later`;
  }
}
