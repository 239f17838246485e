/** Until when a batch may be used: the shortest reason decides, the day of making being day 1. */
import type { Keeping } from '#core/safety';

export interface UseBy {
  /** YYYY-MM-DD. */
  readonly day: string;
  readonly days: number;
  /** Typed where the kitchen says otherwise than the cautions; empty: they decide. */
  readonly reason: string;
}

export interface UseByChange {
  readonly days: number;
  readonly reason: string;
}

export type UseByProblem = 'no-days' | 'reason-missing';

const DAY_MS = 86_400_000;
const LEAST_REASON = 8;
const MOST_DAYS = 60;

/** @param madeOn YYYY-MM-DD @throws RangeError where that is no day */
export function keepUntil(
  madeOn: string,
  keeping: Pick<Keeping, 'days'>,
  change: UseByChange | null = null,
): UseBy {
  const made = Date.parse(`${madeOn}T00:00:00Z`);
  if (Number.isNaN(made)) throw new RangeError(`“${madeOn}” is no day such as 2026-05-31.`);
  const days = change?.days ?? keeping.days;
  return {
    day: new Date(made + (days - 1) * DAY_MS).toISOString().slice(0, 10),
    days,
    reason: change?.reason ?? '',
  };
}

/** A kitchen may shorten as it likes; longer only with a reason that is kept. */
export function keepUntilProblem(
  keeping: Pick<Keeping, 'days'>,
  { days, reason }: UseByChange,
): UseByProblem | null {
  if (!(Number.isInteger(days) && days >= 1 && days <= MOST_DAYS)) return 'no-days';
  return days > keeping.days && reason.trim().length < LEAST_REASON ? 'reason-missing' : null;
}
