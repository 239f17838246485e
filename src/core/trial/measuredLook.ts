/**
 * A measured layer as a lesson: the model's own course says when a layer of this height should be there, t*; it was there
 * at t. So the first layer showed at median · t / t*: one factor on the clock, which is how lessons move the hold.
 */
import { layersAt, type Hold } from '#core/emulsion';

export interface MeasuredShares {
  /** Shares of the volume, 0..1. */
  readonly watery: number;
  readonly oil: number;
}

/** Thinner than this no border is certain, and the course says little. */
const LEAST_SHARE = 0.02;
const [FIRST_S, LAST_S, STEPS] = [10, 14 * 86_400, 600];

/**
 * @param hold with its frames drawn. @param seconds after mixing, > 0
 * @returns s; null where nothing is parted enough, or the model never parts so far
 */
export function firstLayerFrom(hold: Hold, { watery, oil }: MeasuredShares, seconds: number): number | null {
  if (hold.medianS === null || hold.frames.length === 0 || !(seconds > 0)) return null;
  // What is outside is at the bottom in one kind of emulsion, on top in the other.
  const inverted = hold.state.outsidePhase === 'oil';
  const [serum, free] = inverted ? [oil, watery] : [watery, oil];
  const [which, share] = serum >= free ? (['serum', serum] as const) : (['free', free] as const);
  if (share < LEAST_SHARE) return null;
  for (let i = 0; i <= STEPS; i++) {
    const at = FIRST_S * (LAST_S / FIRST_S) ** (i / STEPS);
    if (layersAt(hold.frames, at, hold.heightM)[which] >= share) return (hold.medianS * seconds) / at;
  }
  return null;
}
