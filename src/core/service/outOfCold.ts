/**
 * The clock of one container: it starts when the container first leaves the cold and is never set back;
 * standing out to warm counts. 4 h in a service, 2 h at home: FDA Food Code 3-501.19 and home advice, as
 * recalled. An estimate: the local code decides.
 */
import { THRESHOLDS } from '#core/safety';

export const SERVED_AT = ['service', 'home'] as const;
export type ServedAt = (typeof SERVED_AT)[number];

export interface ColdClock {
  readonly leftS: number;
  readonly throwAwayAtMs: number;
  readonly over: boolean;
}

const LIMIT_H: Readonly<Record<ServedAt, number>> = {
  service: THRESHOLDS.outOfColdServiceH.value,
  home: THRESHOLDS.outOfColdHomeH.value,
};

/** @param firstOutMs when it first left the cold, ms since the epoch */
export function coldClockOf(firstOutMs: number, nowMs: number, at: ServedAt = 'service'): ColdClock {
  const throwAwayAtMs = firstOutMs + LIMIT_H[at] * 3_600_000;
  const leftS = Math.max(0, (throwAwayAtMs - nowMs) / 1000);
  return { leftS, throwAwayAtMs, over: leftS <= 0 };
}
