/**
 * Thinner and thicker by the thickness model itself: of each thing that may go in, the smallest gesture that moves the
 * apparent viscosity by a step a spoon feels. The steps: estimate.
 */
import { mixedVolumeMlPerG } from '#core/composition';
import { emulsionState } from '#core/emulsion';
import { exactly } from '#core/quantity';
import type { JudgedPortion } from '#core/reckoning';
import type { Severity } from './complaints';
import { asMixed } from './effect';
import { gesturesNear, ladder, type Gesture } from './gestures';
import type { Handed } from './inHand';
import { doseG, type MayAdd } from './program';

/** Apparent viscosity moves by this factor for "a little" and "clearly". */
const WANTED: Readonly<Record<Severity, number>> = { 1: 1.3, 2: 1.8 };
/** Less of a move than this is not worth a spoon. */
const LEAST_MOVE = 1.12;
/** Amounts tried where there is no hand: from a fifth of a kitchen step up. */
const GRID = { from: 0.2, ratio: 1.15, most: 60 };
/** Xanthan works within 0.1 to 0.2 % of the water; under 0.08 % it may do harm. */
const GUM_OF_WATER = { low: 0.0008, high: 0.0022 };

export interface BodyWay {
  readonly handed: Handed;
  /** It goes part of the way only. */
  readonly partial: boolean;
}

/** Pa s; null where nothing in it makes a body. */
export const viscosityOf = (portions: readonly JudgedPortion[]): number | null =>
  emulsionState(asMixed(portions))?.thickness.apparentViscosityPaS ?? null;

interface Asked {
  readonly portions: readonly JudgedPortion[];
  readonly massG: number;
  readonly roomMl: number | null;
  readonly way: 'thinner' | 'thicker';
  readonly severity: Severity;
  readonly gum: boolean;
}

/** One way for each thing that moves it, in the order of `mayAdd`; none where nothing does. */
export function bodyWays(asked: Asked, mayAdd: readonly MayAdd[]): readonly BodyWay[] {
  const before = viscosityOf(asked.portions);
  if (before === null || before <= 0) return [];
  return mayAdd.flatMap((one) => wayWith(one, before, asked) ?? []);
}

function wayWith(
  mayAdd: MayAdd,
  before: number,
  { portions, massG, roomMl, way, severity, gum }: Asked,
): BodyWay | null {
  const moved = (gesture: Gesture): number => {
    const more = { ingredient: mayAdd.ingredient, form: mayAdd.form, massG: exactly(gesture.massG) };
    const after = viscosityOf([...portions, more]);
    if (after === null || after <= 0) return 1;
    return way === 'thicker' ? after / before : before / after;
  };
  const mostG = Math.min(
    mayAdd.stockG ?? Infinity,
    roomMl === null ? Infinity : roomMl / mixedVolumeMlPerG(mayAdd.ingredient),
  );
  const waterG = portions.reduce((sum, one) => sum + one.ingredient.composition.water * one.massG.nominal, 0);
  const within = ({ massG: g }: Gesture): boolean =>
    g <= mostG && (!gum || (g >= GUM_OF_WATER.low * waterG && g <= GUM_OF_WATER.high * waterG));
  let [best, most]: [Gesture | null, number] = [null, LEAST_MOVE];
  for (const gesture of gesturesOf(mayAdd, massG).filter(within)) {
    const by = moved(gesture);
    if (by >= WANTED[severity]) return { handed: handed(mayAdd, gesture), partial: false };
    // A little water first makes a paste thicker: what comes after may still thin it.
    if (by > most) [best, most] = [gesture, by];
  }
  // Half a dose of gum does harm, not half the good.
  return best ? { handed: handed(mayAdd, best), partial: !gum } : null;
}

const handed = (mayAdd: MayAdd, gesture: Gesture): Handed => ({
  mayAdd,
  massG: gesture.massG,
  gesture: mayAdd.hand ? gesture : null,
});

/** Everything that may be tried, smallest first: measures of the hand, then grams; without a hand a fine grid. */
function gesturesOf({ ingredient, hand }: MayAdd, jarMassG: number): readonly Gesture[] {
  const grid = Array.from({ length: GRID.most }, (_, i) => {
    const massG = GRID.from * doseG(ingredient, jarMassG) * GRID.ratio ** i;
    return { unit: 'g', count: massG, massG } as const satisfies Gesture;
  });
  if (!hand) return grid;
  const spoons = ladder(hand);
  const beyond = grid
    .filter(({ massG }) => massG > (spoons.at(-1)?.massG ?? 0))
    .flatMap(({ massG }) => gesturesNear(massG, hand, 1));
  return [...spoons, ...beyond.filter((one, i) => i === 0 || one.massG > beyond[i - 1]!.massG)];
}
