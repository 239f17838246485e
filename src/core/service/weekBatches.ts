/** Which batches a week's services come to, when what stands in the fridge may serve several days. */

export interface DayNeed {
  readonly formulaId: string;
  /** Days are counted from any first one. */
  readonly day: number;
  /** ≥ 0. */
  readonly volumeMl: number;
  /** It is made that day; else it may stand in the fridge. */
  readonly fresh: boolean;
}

export interface WeekBatch {
  readonly formulaId: string;
  readonly day: number;
  readonly volumeMl: number;
  /** The days it serves, in their order. */
  readonly serves: readonly number[];
}

/**
 * As few batches as the keeping allows: each is made on the first day that nothing serves yet and does for
 * all days within its keeping (the day of making is day 1). Taking the earliest need each time is known to
 * give the fewest intervals. What has to be fresh is made that day, and joins that day's batch.
 * @param keepingDays of a formula, ≥ 1
 */
export function weekBatches(
  needs: readonly DayNeed[],
  keepingDays: (formulaId: string) => number,
): readonly WeekBatch[] {
  const batches: WeekBatch[] = [];
  for (const formulaId of new Set(needs.map((need) => need.formulaId))) {
    const keeping = Math.max(1, Math.floor(keepingDays(formulaId)));
    const own = needs.filter((need) => need.formulaId === formulaId && need.volumeMl > 0);
    const made = new Map<number, { volumeMl: number; serves: Set<number> }>();
    const add = (at: number, { day, volumeMl }: DayNeed): void => {
      const batch = made.get(at) ?? { volumeMl: 0, serves: new Set<number>() };
      batch.volumeMl += volumeMl;
      batch.serves.add(day);
      made.set(at, batch);
    };
    // A day on which one is made anyway is where the standing ones are taken from, too.
    for (const need of own.filter(({ fresh }) => fresh)) add(need.day, need);
    for (const need of own.filter(({ fresh }) => !fresh).sort((a, b) => a.day - b.day)) {
      const within = [...made.keys()].filter((day) => day <= need.day && need.day < day + keeping);
      add(within.length > 0 ? Math.max(...within) : need.day, need);
    }
    for (const [day, { volumeMl, serves }] of made)
      batches.push({ formulaId, day, volumeMl, serves: [...serves].sort((a, b) => a - b) });
  }
  return batches.sort((a, b) => a.day - b.day || a.formulaId.localeCompare(b.formulaId));
}
