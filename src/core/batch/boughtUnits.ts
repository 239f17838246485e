/**
 * How things are bought: lemons, heads of garlic, bunches, litres. Weights of one are the ingredient's own
 * unit weights; a head of garlic counted as ten cloves and the bunch of a herb that has none of its own
 * are estimates.
 */
import { spreadOf, type Ingredient } from '#core/ingredient';
import { range, type Range } from '#core/quantity';

export type BoughtUnit =
  | {
      readonly kind: 'counted';
      /** What one is called: "head", "lemon", "lime to grate". */
      readonly unit: string;
      /** Edible grams of one. */
      readonly massG: Range;
      readonly estimated: boolean;
    }
  | { readonly kind: 'litres' }
  | { readonly kind: 'grams' };

const CLOVES_A_HEAD = { nominal: 10, low: 8, high: 13 };
const BUNCH_G = { nominal: 25, low: 15, high: 40 };
const POURED: ReadonlySet<string> = new Set(['oil', 'vinegar', 'citrus', 'water']);

export function boughtUnitOf(ingredient: Ingredient): BoughtUnit {
  const { unitWeightsG, category, id, name } = ingredient;
  const of = (unit: string, key: string, estimated = false): BoughtUnit => ({
    kind: 'counted',
    unit,
    massG: spreadOf(key, unitWeightsG[key]!),
    estimated,
  });
  if (unitWeightsG.juice) return of(fruitOf(id), 'juice');
  if (unitWeightsG.zest) return of(`${fruitOf(id)} to grate`, 'zest');
  // Pasteurised yolk comes in cartons.
  if (unitWeightsG.yolk && ingredient.hazards.includes('raw_egg')) return of('egg', 'yolk');
  if (unitWeightsG.egg) return of('egg', 'egg');
  if (unitWeightsG.clove) {
    const { nominal, low, high } = spreadOf('clove', unitWeightsG.clove);
    const massG = range(nominal * CLOVES_A_HEAD.nominal, low * CLOVES_A_HEAD.low, high * CLOVES_A_HEAD.high);
    return { kind: 'counted', unit: 'head', massG, estimated: true };
  }
  if (unitWeightsG.bunch) return of('bunch', 'bunch');
  if (category === 'herb' && ingredient.hazards.includes('fresh_herb'))
    return {
      kind: 'counted',
      unit: 'bunch',
      massG: range(BUNCH_G.nominal, BUNCH_G.low, BUNCH_G.high),
      estimated: true,
    };
  if (unitWeightsG.fillet) return of('fillet', 'fillet');
  if (unitWeightsG.each) return of(singular(name), 'each');
  return POURED.has(category) || /milk/i.test(name) ? { kind: 'litres' } : { kind: 'grams' };
}

/** "lemon_juice" → "lemon". */
const fruitOf = (id: string): string => id.split('_')[0]!;
/** "Shallot, raw" → "shallot"; "Dates, soft" → "date". */
const singular = (name: string): string => {
  const word = name.split(/[,(]/)[0]!.trim().toLowerCase();
  return word.endsWith('oes') ? word.slice(0, -2) : word.endsWith('s') ? word.slice(0, -1) : word;
};

/** The least whole number that is enough, with what it may come to where the things are large or small. */
export function countNeeded(neededG: number, massG: Range): { nominal: number; low: number; high: number } {
  const count = (each: number): number => Math.ceil(neededG / each - 1e-9);
  return { nominal: count(massG.nominal), low: count(massG.high), high: count(massG.low) };
}
