/**
 * How a dressing sits in a style, and why: d = distance outside the window in steps, too little counted as
 * {@link FORGIVEN} of too much, because what lacks can be added at the table and what is too much cannot be taken out;
 * score = 100 exp(−0.15 Σ w min(d, 3)²), reasons by w min(d, 3)². No taste is claimed beyond
 * "inside the window of this style", and nothing is ever called safe. A score says: 100, in every window; from 60, a cook
 * would serve it; below 40, something is really off.
 */
import { PALATE, PALATE_KEYS, type Palate, type PalateKey } from './measures';
import type { Style } from './styles';

export interface VerdictReason {
  readonly measure: PalateKey;
  readonly direction: 'low' | 'high';
  readonly value: number;
  readonly low: number;
  readonly high: number;
  /** What it would have to move by to reach the window, in the unit of the measure, > 0. */
  readonly moveBy: number;
  /** Outside by addition of something without it: the batch grows at least by this share; null where low. */
  readonly growth: number | null;
}

export interface Verdict {
  /** 0..100, whole. */
  readonly score: number;
  /** Σ w min(d, 3)², what the score is made of; 0: inside every window. */
  readonly loss: number;
  readonly reasons: readonly VerdictReason[];
  /** Measures with a window and no value: not judged, not passed. */
  readonly notJudged: readonly PalateKey[];
}

const STEEPNESS = 0.15;
const FARTHEST = 3;
/** Of what can still be added too little weighs less; estimate. */
const FORGIVEN = 0.8;
const ADDED_AT_TABLE: ReadonlySet<PalateKey> = new Set<PalateKey>(['acid', 'salt', 'sweet', 'sugarToAcid']);
/** Measures of the whole, where adding something without it dilutes. */
const DILUTES: ReadonlySet<PalateKey> = new Set<PalateKey>([
  ...(['acid', 'salt', 'sweet', 'fat', 'body', 'garlic', 'heat', 'mustard', 'bitter'] as const),
]);

/** Steps outside the window; 0 inside. */
export function stepsOutside(
  key: PalateKey,
  value: number,
  { low, high }: { low: number; high: number },
): number {
  return Math.max(low - value, value - high, 0) / PALATE[key].step;
}

export function verdictOf(palate: Palate, style: Style): Verdict {
  const notJudged: PalateKey[] = [];
  const found: { reason: VerdictReason; loss: number }[] = [];
  for (const measure of PALATE_KEYS) {
    const window = style.windows[measure];
    if (!window) continue;
    const { value } = palate[measure];
    if (value === null) {
      notJudged.push(measure);
      continue;
    }
    const steps = stepsOutside(measure, value, window);
    // Rounding of a window's own recipes is not outside.
    if (steps < 1e-9) continue;
    const direction = value > window.high ? 'high' : 'low';
    const felt = direction === 'low' && ADDED_AT_TABLE.has(measure) ? FORGIVEN * steps : steps;
    const { low, high } = window;
    found.push({
      loss: PALATE[measure].weight * Math.min(felt, FARTHEST) ** 2,
      reason: {
        measure,
        direction,
        value,
        low,
        high,
        moveBy: direction === 'high' ? value - high : low - value,
        growth: direction === 'high' && DILUTES.has(measure) && high > 0 ? value / high - 1 : null,
      },
    });
  }
  found.sort((a, b) => b.loss - a.loss);
  const loss = found.reduce((sum, entry) => sum + entry.loss, 0);
  return {
    score: Math.round(100 * Math.exp(-STEEPNESS * loss)),
    loss,
    reasons: found.map(({ reason }) => reason),
    notJudged,
  };
}

/** From this score on nobody tastes what is outside (estimate). */
export const A_HAIR = 99;
export const SCORE_BANDS = { served: 60, off: 40 } as const;
export type ScoreBand = 'inside' | 'served' | 'doubtful' | 'off';

/** What a score means to a cook. @param score 0..100 */
export function bandOfScore(score: number): ScoreBand {
  if (score >= 100) return 'inside';
  if (score >= SCORE_BANDS.served) return 'served';
  return score >= SCORE_BANDS.off ? 'doubtful' : 'off';
}
