/**
 * The jar strip: a paper strip taped upright on the outside of a jar, with a line where each addition ends,
 * so that it can be filled with no scale and no cup. The strip's lower edge stands where the jar stands;
 * the inside floor is one thickness of glass above it. On a sloping wall paper lies along the slope:
 *   s(h) = glass + ∫ √(1 + r′(h)²) dh over the outline.
 * All lengths in mm. That the wall is as thick as the floor, and its outside as its inside: estimate.
 */
import { brimHeightMm, fillLines, radiusAt, type Outline, type Vessel } from '#core/vessel';

export const USUAL_GLASS_MM = 4;
export const GLASS_LIMITS_MM = { low: 0, high: 20 } as const;
/** An upright sheet of A4 less what printers leave white. */
export const TALLEST_STRIP_MM = 277;
/** Lines nearer than this cannot be told apart by eye; estimate. */
export const LEAST_GAP_MM = 1.5;
export const CHECK_BAR_MM = 50;

export interface StripAddition {
  readonly name: string;
  /** The amount as it is said, for what a strip cannot measure: "½ tsp". */
  readonly said: string;
  /** Once mixed, ml. */
  readonly mixedVolumeMl: number;
}

export interface StripLine {
  readonly name: string;
  readonly said: string;
  /** Inside the jar, after this addition, ml and mm. */
  readonly volumeMl: number;
  readonly heightMm: number;
  /** From the lower edge of the strip, along the paper. */
  readonly alongMm: number;
  /** Too little to see: the amount as it is said goes by the spoon. */
  readonly bySpoon: boolean;
}

export interface Strip {
  readonly status: 'strip';
  readonly lines: readonly StripLine[];
  /** Where the inside floor is. */
  readonly floorMm: number;
  /** Where the brim is: the strip ends here. */
  readonly brimMm: number;
  /** The wall slopes somewhere: press the paper against it. */
  readonly slopes: boolean;
}
export type StripAnswer =
  | Strip
  | { readonly status: 'too-tall'; readonly mm: number }
  | { readonly status: 'overflows'; readonly name: string }
  | { readonly status: 'nothing-in-it' };

const SLOPE = 0.02;

/** @throws RangeError where the glass is no thickness of 0 to 20 mm */
export function stripOf(
  vessel: Vessel,
  additions: readonly StripAddition[],
  glassMm = USUAL_GLASS_MM,
): StripAnswer {
  if (!(glassMm >= GLASS_LIMITS_MM.low && glassMm <= GLASS_LIMITS_MM.high))
    throw new RangeError(`The glass is ${GLASS_LIMITS_MM.low} to ${GLASS_LIMITS_MM.high} mm thick.`);
  const { outline } = vessel;
  const brimMm = glassMm + alongMm(outline, brimHeightMm(outline));
  if (brimMm > TALLEST_STRIP_MM) return { status: 'too-tall', mm: brimMm };
  const poured = additions.filter(({ mixedVolumeMl }) => mixedVolumeMl > 0);
  if (poured.length === 0) return { status: 'nothing-in-it' };
  const filled = fillLines(
    vessel,
    poured.map(({ mixedVolumeMl }) => mixedVolumeMl),
  );
  const over = filled.findIndex(({ overflows }) => overflows);
  if (over >= 0) return { status: 'overflows', name: poured[over]!.name };
  let before = glassMm;
  const lines = filled.map(({ volumeMl, heightMm }, i): StripLine => {
    const along = glassMm + alongMm(outline, heightMm);
    const bySpoon = along - before < LEAST_GAP_MM;
    before = along;
    return { name: poured[i]!.name, said: poured[i]!.said, volumeMl, heightMm, alongMm: along, bySpoon };
  });
  return { status: 'strip', lines, floorMm: glassMm, brimMm, slopes: slopes(outline) };
}

/** Along the wall from the inside floor up to a height, mm. */
export function alongMm(outline: Outline, heightMm: number): number {
  let along = 0;
  for (let i = 1; i < outline.length; i++) {
    const [below, above] = [outline[i - 1]!, outline[i]!];
    const top = Math.min(heightMm, above.heightMm);
    if (top <= below.heightMm) break;
    along += Math.hypot(top - below.heightMm, radiusAt(outline, top) - below.radiusMm);
  }
  return along;
}

const slopes = (outline: Outline): boolean =>
  outline.some((point, i) => {
    const below = outline[i - 1];
    if (!below) return false;
    return Math.abs(point.radiusMm - below.radiusMm) > SLOPE * (point.heightMm - below.heightMm);
  });

/** Where labels stand so that none lies on another, keeping their order and as near to their lines as can be. */
export function spreadLabels(
  wantedMm: readonly number[],
  gapMm: number,
  lowMm: number,
  highMm: number,
): readonly number[] {
  const placed = [...wantedMm];
  for (let i = 0; i < placed.length; i++)
    placed[i] = Math.max(placed[i]!, i === 0 ? lowMm : placed[i - 1]! + gapMm);
  for (let i = placed.length - 1; i >= 0; i--)
    placed[i] = Math.min(placed[i]!, i === placed.length - 1 ? highMm : placed[i + 1]! - gapMm);
  return placed;
}
