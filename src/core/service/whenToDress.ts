/** When a dish wants its dressing. Common practice. */
import type { DishKind } from './dress';

export const MOMENTS = ['at-once', '5-minutes', 'half-hour', 'hour', 'overnight'] as const;
export type Moment = (typeof MOMENTS)[number];
export const MOMENT_MINUTES: Readonly<Record<Moment, number>> = {
  'at-once': 0,
  '5-minutes': 5,
  'half-hour': 30,
  hour: 60,
  overnight: 720,
};

export interface Timing {
  readonly best: Moment;
  readonly latestOk: Moment;
  /** This share goes on first, the rest at the end; 1: all at once. */
  readonly firstShare: number;
  /** It drinks salt while it rests. */
  readonly saltAgain: boolean;
}

export const TIMING: Readonly<Record<DishKind, Timing>> = {
  'tender-leaves': timing('at-once', '5-minutes', 1, false),
  'sturdy-leaves': timing('5-minutes', 'hour', 1, false),
  slaw: timing('half-hour', 'overnight', 0.5, true),
  'raw-vegetables': timing('5-minutes', 'half-hour', 1, false),
  cooked: timing('hour', 'overnight', 0.5, true),
  'warm-potato': timing('half-hour', 'hour', 0.5, true),
  'fish-or-meat': timing('at-once', 'half-hour', 1, false),
};

function timing(best: Moment, latestOk: Moment, firstShare: number, saltAgain: boolean): Timing {
  return { best, latestOk, firstShare, saltAgain };
}

export interface DressingTimes {
  /** Before it is served, s. */
  readonly firstS: number;
  readonly firstMl: number;
  /** At the end; 0: all went on before. */
  readonly lastMl: number;
}

export function dressingTimes(
  kind: DishKind,
  totalMl: number,
  moment: Moment = TIMING[kind].best,
): DressingTimes {
  const { firstShare } = TIMING[kind];
  const split = moment === 'at-once' ? 1 : firstShare;
  return { firstS: MOMENT_MINUTES[moment] * 60, firstMl: totalMl * split, lastMl: totalMl * (1 - split) };
}
