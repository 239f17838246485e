/**
 * What a hand puts into a jar: pinches, squeezes, splashes, spoons, a yolk, in this kitchen's own measures; by the scale
 * where it is more than a few spoons, or the jar is a batch. Which measure serves which thing: common practice.
 */
import { isPoured, toMass, type Ingredient, type Measuring } from '#core/ingredient';
import { exactly, type Unit } from '#core/quantity';

/** One measure of a hand, and how often it is taken. */
export interface HandUnit {
  readonly unit: Unit;
  /** Of one, g. */
  readonly massG: number;
  readonly counts: readonly number[];
}

export interface Gesture {
  readonly unit: Unit;
  readonly count: number;
  /** Of all of it, g. */
  readonly massG: number;
}

/** How this cook doses. */
export interface Hand {
  readonly measuring: Measuring;
  /** The smallest step of the scale, g. */
  readonly readabilityG: number;
}

/** From this mass on a jar is a batch: what can be weighed is weighed, g; estimate. */
export const BATCH_FROM_G = 2000;
/** Fewer steps of the scale than this say nothing. */
const LEAST_STEPS = 5;

type Ladder = readonly (readonly [Unit, readonly number[]])[];
const FEW_SPOONS: readonly number[] = [1, 1.5, 2, 3, 4];
const LADDERS = {
  yolk: [['yolk', [1, 2, 3]]],
  gum: [
    ['pinch', [1, 2]],
    ['tsp', [1 / 8, 1 / 4, 1 / 2, 1]],
  ],
  dry: [
    ['pinch', [1, 2, 3]],
    ['tsp', [1 / 4, 1 / 2, 3 / 4, 1, 1.5, 2]],
    ['tbsp', FEW_SPOONS],
  ],
  sugar: [
    ['pinch', [1, 2, 3]],
    ['tsp', [1 / 4, 1 / 2, 1, 1.5, 2]],
    ['tbsp', FEW_SPOONS],
  ],
  citrus: [
    ['squeeze', [1, 2]],
    ['tbsp', [1, 1.5, 2, 3, 4]],
  ],
  poured: [
    ['splash', [1, 2]],
    ['tbsp', FEW_SPOONS],
  ],
  spooned: [
    ['tsp', [1 / 2, 1, 1.5, 2]],
    ['tbsp', FEW_SPOONS],
  ],
  oil: [
    ['tsp', [1, 2]],
    ['tbsp', FEW_SPOONS],
  ],
} as const satisfies Record<string, Ladder>;

const STRONG_GUM = 1000;

function ladderOf(ingredient: Ingredient): Ladder {
  const { category, id, composition, bodyIndex } = ingredient;
  if (id.startsWith('egg_yolk')) return LADDERS.yolk;
  if (category === 'thickener') return bodyIndex > STRONG_GUM ? LADDERS.gum : LADDERS.spooned;
  if (category === 'salt' || category === 'spice') return LADDERS.dry;
  if (category === 'sweet') return composition.water < 0.05 ? LADDERS.sugar : LADDERS.spooned;
  if (category === 'citrus') return LADDERS.citrus;
  if (category === 'oil') return LADDERS.oil;
  return isPoured(ingredient) && composition.water > 0.6 ? LADDERS.poured : LADDERS.spooned;
}

/** @param jarMassG what is in the jar: a batch is dosed by the scale. @returns smallest first, never empty */
export function handUnitsFor(
  ingredient: Ingredient,
  { measuring, readabilityG }: Hand,
  jarMassG: number,
): readonly HandUnit[] {
  if (jarMassG >= BATCH_FROM_G && ladderOf(ingredient) !== LADDERS.yolk)
    return [{ unit: 'g', massG: readabilityG, counts: [] }];
  // Beyond spoons a jug serves what is poured, the scale the rest.
  const bulk: HandUnit = isPoured(ingredient)
    ? { unit: 'ml', massG: ingredient.spoonDensityGPerMl, counts: [] }
    : { unit: 'g', massG: readabilityG, counts: [] };
  const units = ladderOf(ingredient).flatMap(([unit, counts]): HandUnit[] => {
    const own = measuring.own?.now(unit, ingredient.id) ?? null;
    const terms = [{ count: exactly(1), unit, size: null }];
    const one = toMass({ kind: 'measured', terms }, ingredient, measuring, '', own);
    return one.status === 'read' && one.massG.nominal > 0 ? [{ unit, massG: one.massG.nominal, counts }] : [];
  });
  return [...units, bulk];
}

/** Two figures are what a cook weighs or pours beyond the spoons: 85 g, 240 ml, 1300 g. */
function inBulk(massG: number, { unit, massG: stepG }: HandUnit): readonly Gesture[] {
  const perUnitG = unit === 'g' ? 1 : stepG;
  const amount = massG / perUnitG;
  const step = Math.max(stepG / perUnitG, 10 ** Math.floor(Math.log10(amount)) / 10);
  const below = Math.floor(amount / step + 1e-9);
  return [below - 1, below, below + 1, below + 2]
    .filter((steps) => steps * step * perUnitG >= LEAST_STEPS * stepG)
    .map((steps): Gesture => {
      const count = Number((steps * step).toFixed(3));
      return { unit, count, massG: count * perUnitG };
    });
}

/** Everything a hand can do of it up to the largest measure, smallest first, without twice the same. */
export function ladder(units: readonly HandUnit[]): readonly Gesture[] {
  const all = units
    .flatMap(({ unit, massG, counts }) =>
      counts.map((count): Gesture => ({ unit, count, massG: count * massG })),
    )
    .sort((a, b) => a.massG - b.massG);
  return all.filter((gesture, i) => i === 0 || gesture.massG > all[i - 1]!.massG * 1.02);
}

/**
 * Gestures near an amount, nearest first; the smallest one where it is less than that.
 * @param massG g, > 0
 */
export function gesturesNear(massG: number, units: readonly HandUnit[], count = 3): readonly Gesture[] {
  const spoons = ladder(units);
  const bulk = units.find(({ counts }) => counts.length === 0);
  const largest = spoons.at(-1)?.massG ?? 0;
  const all = [...spoons, ...(bulk && massG > largest ? inBulk(massG, bulk) : [])];
  if (all.length === 0 && bulk) {
    const least = LEAST_STEPS * bulk.massG;
    return [{ unit: bulk.unit, count: bulk.unit === 'g' ? least : LEAST_STEPS, massG: least }];
  }
  const off = (gesture: Gesture): number => Math.abs(Math.log(gesture.massG / massG));
  return all.sort((a, b) => off(a) - off(b)).slice(0, count);
}
