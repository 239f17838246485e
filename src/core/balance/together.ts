/** Several complaints in one plan: every one of them becomes hard, and whatever answers any of them may go in. */
import { PLANS, type Complaint, type Now, type PlanSpec, type Severity } from './complaints';
import type { Limit, Limits } from './program';
import type { PalateKey } from '#core/palate';

export interface Asked {
  readonly complaint: Complaint;
  readonly severity: Severity;
}

/** The tighter of two ends; null where they exclude each other. */
function both(a: Limit, b: Limit): Limit | null {
  const low = Math.max(a.low ?? -Infinity, b.low ?? -Infinity);
  const high = Math.min(a.high ?? Infinity, b.high ?? Infinity);
  if (low > high) return null;
  return { ...(Number.isFinite(low) ? { low } : {}), ...(Number.isFinite(high) ? { high } : {}) };
}

/**
 * Its targets are null where one complaint says nothing of this dressing, or two contradict each other.
 * @param first how many of each complaint's plans lend what may go in
 */
export function togetherSpec(asked: readonly Asked[], first: number): PlanSpec {
  const chosen = asked.map(({ complaint, severity }) => ({ specs: PLANS[complaint], severity }));
  const roles = [
    ...new Set(chosen.flatMap(({ specs }) => specs.slice(0, first).flatMap((spec) => spec.roles))),
  ];
  return {
    id: 'together',
    roles,
    answers: 3,
    targets: (now: Now, windows: Limits) => {
      let all: Partial<Record<PalateKey, Limit>> = {};
      for (const { specs, severity } of chosen) {
        const found = specs
          .map((spec) => spec.targets(now, windows, severity))
          .find((limits) => limits !== null);
        if (!found) return null;
        for (const [key, limit] of Object.entries(found) as [PalateKey, Limit][]) {
          const joined = both(all[key] ?? {}, limit);
          if (!joined) return null;
          all = { ...all, [key]: joined };
        }
      }
      return all;
    },
  };
}
