import type { PlanContent, PlanRecord } from '#contract';
import { daysAfter } from '#kitchen/day';
import { planWords } from '#words/screens/plan';
import { sayError, usePlanWeekQuery } from '../../data/kitchenApi';
import { newId } from '../../sync/device';
import { useSaveShared } from '../../sync/useSaveShared';
import { Button } from '../../ui/Button';

/** Days without a service get those of a week ago. */
export function AsLastWeek({ from, plans }: { from: string; plans: readonly PlanRecord[] }) {
  const before = usePlanWeekQuery(daysAfter(from, -7)).data ?? [];
  const [save, saving] = useSaveShared('plan');
  const takeOver = plans.flatMap(({ day, content }, i) => {
    const old = before[i]?.content;
    return content.services.length === 0 && old && old.services.length > 0
      ? [{ day, content, next: copied(content, old) }]
      : [];
  });
  if (takeOver.length === 0) return null;
  return (
    <>
      <Button
        disabled={saving.isLoading}
        onClick={() => {
          for (const { day, content, next } of takeOver) save(day, content, next).catch(() => undefined);
        }}
      >
        {planWords.asLastWeekForm(
          takeOver.length === 1 ? planWords.onOneEmptyDay : planWords.onLengthEmptyDays(takeOver.length),
        )}
      </Button>
      {saving.error !== undefined && (
        <span role="alert" className="font-semibold text-acid-ink">
          {planWords.notKeptError(sayError(saving.error))}
        </span>
      )}
    </>
  );
}

/** Services and side jobs under new ids; nothing of what was ticked or moved. */
function copied(content: PlanContent, old: PlanContent): PlanContent {
  const ids = new Map(old.services.map(({ id }) => [id, newId()]));
  return {
    ...content,
    cooks: old.cooks,
    fromMin: old.fromMin,
    services: old.services.map((service) => ({
      ...service,
      id: ids.get(service.id)!,
      dishes: service.dishes.map((dish) => ({ ...dish, id: newId() })),
    })),
    jobs: old.jobs.map((job) => ({
      ...job,
      id: newId(),
      serviceId: ids.get(job.serviceId) ?? job.serviceId,
    })),
  };
}
