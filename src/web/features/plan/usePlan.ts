/** The plan of a day as React sees it: worked out again when something changes, and by the minute. */
import { planWords } from '#words/screens/plan';
import { useMemo } from 'react';
import type { PlanContent, ShelfRecord } from '#contract';
import type { Kitchen } from '#kitchen/reading';
import { usePlannedBowls } from '../../data/bowls';
import { useFormulasById } from '../../data/shelf';
import { useNow } from '../../ui/useNow';
import { askedBy, planDay, type Asked, type DayPlan } from '#kitchen/day';

/** The dressings of these services. */
export const dishesOf = (services: PlanContent['services']): readonly string[] =>
  services.flatMap(({ dishes }) => dishes.map(({ formulaId }) => formulaId as string));

/** What the dressings of these services ask. */
export function useAsked(
  services: PlanContent['services'],
  shelf: readonly ShelfRecord[],
  kitchen: Kitchen,
): ReadonlyMap<string, Asked> {
  const ids = [...new Set(dishesOf(services))].sort().join(' ');
  return useMemo(() => {
    const wanted = new Set(ids.split(' '));
    return new Map(
      shelf.filter(({ id }) => wanted.has(id)).map((record) => [record.id, askedBy(record, kitchen)]),
    );
  }, [shelf, ids, kitchen]);
}

export const nameIn =
  (shelf: readonly ShelfRecord[]) =>
  (formulaId: string): string =>
    shelf.find(({ id }) => id === formulaId)?.formula.name ?? planWords.aDressingThatIsGone;

function usePlan(
  day: string,
  content: PlanContent,
  shelf: readonly ShelfRecord[],
  asked: ReadonlyMap<string, Asked>,
  now: Date,
): DayPlan {
  // By the minute: the day is not worked out anew at every tick of the clock.
  const minute = Math.floor(now.getTime() / 60_000);
  return useMemo(
    () => planDay(day, content, nameIn(shelf), asked, new Date(minute * 60_000)),
    [day, content, shelf, asked, minute],
  );
}

/** A day with what its dressings ask and what its dishes take. */
export function useDay(day: string, content: PlanContent, kitchen: Kitchen) {
  const shelf = useFormulasById(dishesOf(content.services));
  const now = useNow();
  const asked = useAsked(content.services, shelf, kitchen);
  const plan = usePlan(day, content, shelf, asked, now);
  const bowls = usePlannedBowls(
    content.services.flatMap(({ dishes }) => dishes),
    shelf,
    kitchen,
  );
  return { shelf, now, asked, plan, bowls };
}
