/** Until when a batch may be used: the shortest reason decides, the day of making being day 1. */
import type { Keeping } from '#core/safety';

export interface UseBy {
  /** YYYY-MM-DD. */
  readonly day: string;
  /** Counting the day it is made; 0 where what went in was over before. */
  readonly days: number;
  /** Typed where the kitchen says otherwise than the cautions; empty: they decide. What went in, where that caps it. */
  readonly reason: string;
  /** Something that went in has an earlier day of its own. */
  readonly capped: boolean;
}

/** The earliest use-by of a carton or bottle that went in. */
export interface NotAfter {
  /** YYYY-MM-DD. */
  readonly day: string;
  /** Of what: "Buttermilk". */
  readonly name: string;
}

export interface UseByChange {
  readonly days: number;
  readonly reason: string;
}

export type UseByProblem = 'no-days' | 'reason-missing';

const DAY_MS = 86_400_000;
const LEAST_REASON = 8;
const MOST_DAYS = 60;

/**
 * @param madeOn YYYY-MM-DD
 * @param notAfter what went in keeps no longer for having gone in: it caps a typed reason too
 * @throws RangeError where `madeOn` is no day
 */
export function keepUntil(
  madeOn: string,
  keeping: Pick<Keeping, 'days'>,
  change: UseByChange | null = null,
  notAfter: NotAfter | null = null,
): UseBy {
  const made = Date.parse(`${madeOn}T00:00:00Z`);
  if (Number.isNaN(made)) throw new RangeError(`“${madeOn}” is no day such as 2026-05-31.`);
  const days = change?.days ?? keeping.days;
  const day = new Date(made + (days - 1) * DAY_MS).toISOString().slice(0, 10);
  if (notAfter && notAfter.day < day) {
    const left = Math.round((Date.parse(`${notAfter.day}T00:00:00Z`) - made) / DAY_MS) + 1;
    return { day: notAfter.day, days: Math.max(0, left), reason: notAfter.name, capped: true };
  }
  return { day, days, reason: change?.reason ?? '', capped: false };
}

/** A kitchen may shorten as it likes; longer only with a reason that is kept. */
export function keepUntilProblem(
  keeping: Pick<Keeping, 'days'>,
  { days, reason }: UseByChange,
): UseByProblem | null {
  if (!(Number.isInteger(days) && days >= 1 && days <= MOST_DAYS)) return 'no-days';
  return days > keeping.days && reason.trim().length < LEAST_REASON ? 'reason-missing' : null;
}
