/**
 * How a jar is spoiled: one measure pushed out by a known number of noticeable steps, by more or less of what brings it;
 * water or gum that went in; oil that was poured on too far.
 */
import type { CandidateContext } from '#core/balance';
import { THICKNESS_CLASSES, type IngredientId } from '#core/ingredient';
import {
  PALATE,
  palateContributions,
  palateValue,
  stepsOutside,
  type PalateKey,
  type Style,
} from '#core/palate';
import type { JudgedPortion } from '#core/reckoning';
import { isAboutToSplit, massOf, stateOfJar, thicknessOf, withMass, withMore, type Fault } from './jar';

interface Push {
  readonly measures: readonly PalateKey[];
  readonly direction: 'low' | 'high';
}
type Tasted = Exclude<Fault, 'splitting' | 'thin' | 'thick' | 'bitter'>;
const PUSHES: Readonly<Record<Tasted, Push>> = {
  sharp: { measures: ['acid'], direction: 'high' },
  dull: { measures: ['acid'], direction: 'low' },
  flat: { measures: ['salt'], direction: 'low' },
  salty: { measures: ['salt'], direction: 'high' },
  sweet: { measures: ['sweet'], direction: 'high' },
  oily: { measures: ['fat'], direction: 'high' },
  harsh: { measures: ['garlic', 'heat', 'mustard'], direction: 'high' },
};

export interface Pushed {
  readonly portions: readonly JudgedPortion[];
  /** Outside by so many steps. */
  readonly steps: number;
}

/** The least x between 0 and 1 from which on it is so; it is so at 1. */
function leastWhere(isSo: (x: number) => boolean): number {
  let [near, far] = [0, 1];
  for (let i = 0; i < 40; i++) {
    const middle = (near + far) / 2;
    if (isSo(middle)) far = middle;
    else near = middle;
  }
  return far;
}

/** Less than this nobody tastes for certain. */
const LEAST_STEPS = 1.2;

/**
 * More of what brings it, or less, until the measure is so many steps outside; where that cannot be had, as far as it
 * goes.
 *
 * @returns null where this dressing cannot have the fault: there is no garlic to be too harsh
 */
function pushed(
  portions: readonly JudgedPortion[],
  fault: Tasted,
  style: Style,
  steps: number,
): Pushed | null {
  const { measures, direction } = PUSHES[fault];
  const measure = measures.find((key) => (palateValue(portions, key) ?? 0) > PALATE[key].step / 2);
  if (measure === undefined) return null;
  const driver = palateContributions(portions, measure)[0];
  if (!driver || driver.portion.massG.nominal <= 0) return null;
  const massG = driver.portion.massG.nominal;
  const at = (x: number): readonly JudgedPortion[] =>
    withMass(portions, driver.index, massG * (direction === 'high' ? 1 + x * (MOST_TIMES - 1) : 1 - x));
  return pushedTo(at, measure, direction, style, steps);
}

function pushedTo(
  at: (x: number) => readonly JudgedPortion[],
  measure: PalateKey,
  direction: 'low' | 'high',
  style: Style,
  steps: number,
): Pushed | null {
  const window = style.windows[measure];
  if (!window) return null;
  const outside = (x: number): number => {
    const value = palateValue(at(x), measure) ?? 0;
    const isThere = direction === 'high' ? value > window.high : value < window.low;
    return isThere ? stepsOutside(measure, value, window) : 0;
  };
  const reached = Math.min(steps, outside(1));
  if (reached < LEAST_STEPS) return null;
  return { portions: at(leastWhere((x) => outside(x) >= reached)), steps: reached };
}
/** More than so many times as much nobody puts in by mistake. */
const MOST_TIMES = 6;

/** A neutral oil that was an extra-virgin one, in part or all of it. */
function embittered(
  portions: readonly JudgedPortion[],
  style: Style,
  steps: number,
  { catalogue }: CandidateContext,
): Pushed | null {
  const bitter = catalogue.get(BITTER_OIL);
  const oils = portions
    .map((portion, index) => ({ ...portion, index }))
    .filter(({ ingredient }) => ingredient.category === 'oil' && ingredient.pungencyIndex.bitterOil < 0.3)
    .sort((a, b) => b.massG.nominal - a.massG.nominal);
  const oil = oils[0];
  if (!bitter || !oil) return null;
  const massG = oil.massG.nominal;
  const at = (x: number): readonly JudgedPortion[] =>
    withMore(withMass(portions, oil.index, massG * (1 - x)), bitter, massG * x);
  return pushedTo(at, 'bitter', 'high', style, steps);
}
const BITTER_OIL = 'olive_ev' as IngredientId;

/** Water that went in, or gum, until it is of another thickness. */
function ofOtherBody(
  portions: readonly JudgedPortion[],
  fault: 'thin' | 'thick',
  steps: number,
  { catalogue }: CandidateContext,
): Pushed | null {
  const before = thicknessOf(portions);
  const added = catalogue.get((fault === 'thin' ? 'water' : 'xanthan') as IngredientId);
  if (before === null || !added) return null;
  const mostG = massOf(portions) * (fault === 'thin' ? 0.5 : 0.004);
  const at = (x: number): readonly JudgedPortion[] => withMore(portions, added, mostG * x);
  const place = (x: number): number => {
    const now = thicknessOf(at(x));
    return now === null ? 0 : Math.abs(THICKNESS_CLASSES.indexOf(now) - THICKNESS_CLASSES.indexOf(before));
  };
  if (place(1) === 0) return null;
  // Easier: well beyond the border of the class.
  const least = leastWhere((x) => place(x) > 0);
  return { portions: at(Math.min(1, least * (1 + steps / 10))), steps };
}

/** Oil poured on until it is within a hair of splitting. */
function split(portions: readonly JudgedPortion[], steps: number): Pushed | null {
  const state = stateOfJar(portions);
  const oil = portions.findIndex(
    ({ ingredient, massG }) => ingredient.category === 'oil' && massG.nominal > 0,
  );
  if (oil < 0 || !state?.roomForOilMl || state.split || state.nearLimit) return null;
  const massG = portions[oil]!.massG.nominal;
  const at = (x: number): readonly JudgedPortion[] =>
    withMass(portions, oil, massG * (1 + x * (MOST_TIMES - 1)));
  if (!isAboutToSplit(at(1))) return null;
  return { portions: at(Math.min(1, leastWhere((x) => isAboutToSplit(at(x))) * (1 + steps / 40))), steps };
}

/** @returns null where this dressing cannot have it */
export function withFault(
  portions: readonly JudgedPortion[],
  fault: Fault,
  style: Style,
  steps: number,
  context: CandidateContext,
): Pushed | null {
  switch (fault) {
    case 'splitting':
      return split(portions, steps);
    case 'thin':
    case 'thick':
      return ofOtherBody(portions, fault, steps, context);
    case 'bitter':
      return embittered(portions, style, steps, context);
    default:
      return pushed(portions, fault, style, steps);
  }
}
