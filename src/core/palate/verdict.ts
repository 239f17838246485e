/**
 * How a dressing sits in a style, and why: d = distance outside the window in steps,
 * score = 100 exp(−0.15 Σ w min(d, 3)²), reasons by w min(d, 3)². No taste is claimed beyond
 * "inside the window of this style", and nothing is ever called safe.
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
  readonly reasons: readonly VerdictReason[];
  /** Measures with a window and no value: not judged, not passed. */
  readonly notJudged: readonly PalateKey[];
}

const STEEPNESS = 0.15;
const FARTHEST = 3;
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
    const { low, high } = window;
    found.push({
      loss: PALATE[measure].weight * Math.min(steps, FARTHEST) ** 2,
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
    reasons: found.map(({ reason }) => reason),
    notJudged,
  };
}
