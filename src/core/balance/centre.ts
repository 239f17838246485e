/** Where in its window a measure should come to rest. */
import type { PalateWindow } from '#core/palate';
import type { Limit } from './program';

export interface Centre {
  readonly value: number;
  /** Less is fine: a window that begins at nothing has no middle to aim for. */
  readonly oneSided: boolean;
}

/** The middle of the window, as far as the limits of the search allow it. */
export function centreOf(window: PalateWindow, limit: Limit | undefined): Centre {
  const middle = (window.low + window.high) / 2;
  return {
    value: Math.min(Math.max(middle, limit?.low ?? 0), limit?.high ?? Infinity),
    oneSided: window.low === 0 && limit?.low !== undefined && limit.low <= 0,
  };
}
