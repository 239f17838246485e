/**
 * An ingredient of the kitchen's own from what a food label says, per 100 g or per 100 ml. What a
 * label does not say is filled in and stays an estimate: the rest is water, sugars are taken as
 * sucrose (as half glucose, half fructose in sour things), the density follows from the composition.
 */
import { bodyFromWord, type ThicknessClass } from './body';
import { COMPONENTS, type Category, type Composition, type Hazard } from './ingredient';
import type { IngredientRow } from './row';

export interface LabelValues {
  readonly id: string;
  readonly name: string;
  readonly category: Category;
  /** What the label's figures are per. */
  readonly per: '100 g' | '100 ml';
  readonly fatG: number;
  readonly carbohydrateG: number;
  readonly sugarsG: number;
  readonly proteinG: number;
  readonly saltG: number;
  /** As printed on vinegars: g acetic acid per 100 ml. */
  readonly acidityGPer100Ml: number | null;
  readonly densityGPerMl: number | null;
  readonly ph: number | null;
  readonly allergensEu14: readonly string[];
  /** Whether the cook has said which allergens the label names, be it none. */
  readonly allergensAnswered: boolean;
  /** How thick it is, in kitchen words; null: nobody said. */
  readonly thickness: ThicknessClass | null;
  /** Perishable until the cook says that it keeps by itself. */
  readonly keepsUnopened: boolean;
}

export type LabelProblem =
  { readonly code: 'too-much'; readonly totalG: number } | { readonly code: 'more-sugar-than-carbohydrate' };

export type LabelReading =
  | { readonly status: 'read'; readonly row: IngredientRow; readonly guessed: readonly string[] }
  | { readonly status: 'unread'; readonly problem: LabelProblem };

const SOUR: ReadonlySet<Category> = new Set<Category>(['vinegar', 'citrus', 'fruit']);
/**
 * The US name of what the EU list names (FALCPA 2004, FASTER Act 2021). Gluten may be of barley or
 * rye; wheat is said, the stricter reading.
 */
const US_NAME: Readonly<Record<string, string>> = {
  'cereals containing gluten': 'wheat',
  crustaceans: 'crustacean shellfish',
  eggs: 'egg',
  fish: 'fish',
  peanuts: 'peanut',
  soy: 'soybean',
  milk: 'milk',
  nuts: 'tree nuts',
  sesame: 'sesame',
};
const CEREALS_THAT_ARE_WHEAT = /wheat|spelt|kamut|durum|emmer|einkorn/i;

/** "nuts (walnut)" → "tree nuts (walnut)"; a cereal that is no wheat is no allergen of the US list. */
export function usNamesOf(allergen: string): readonly string[] {
  const [, group = allergen, detail = ''] = /^([^(]*?)\s*(?:\((.*)\))?$/.exec(allergen) ?? [];
  const name = US_NAME[group];
  if (name === undefined) return [];
  if (group === 'cereals containing gluten')
    return detail === '' || CEREALS_THAT_ARE_WHEAT.test(detail) ? [name] : [];
  return [detail === '' || !NAMED_GROUPS.has(group) ? name : `${name} (${detail})`];
}
/** Groups of which the very kind has to be named: Regulation (EU) 1169/2011 Annex II, FALCPA (recalled). */
const NAMED_GROUPS: ReadonlySet<string> = new Set(['nuts', 'fish', 'crustaceans']);

/** Middle of the category, where the label cannot say; tag: estimate. */
const USUAL_PH: Partial<Record<Category, number>> = {
  vinegar: 2.8,
  citrus: 2.6,
  fruit: 3.6,
  savoury: 5,
  creamy: 4.6,
};
/** mmol H+ per pH unit and gram of protein; tag: estimate. */
const USUAL_PROTEIN_BUFFER = 0.5;
const DAIRY_PROTEIN_BUFFER = 0.9;
/** Rounding on labels may carry the sum a little over. */
const LARGEST_TOTAL_G = 101;

/** All figures ≥ 0 and finite, names trimmed: checked by the caller. Energy: Regulation (EU) 1169/2011 Annex XIV factors. */
export function ingredientFromLabel(label: LabelValues): LabelReading {
  const guessed: string[] = [];
  if (label.sugarsG > label.carbohydrateG + 0.05) {
    return { status: 'unread', problem: { code: 'more-sugar-than-carbohydrate' } };
  }
  const density = label.densityGPerMl ?? densityOf(label);
  if (label.densityGPerMl === null) guessed.push('density');
  const to100G = label.per === '100 g' ? 1 : 1 / density;
  const acetic = label.acidityGPer100Ml === null ? 0 : label.acidityGPer100Ml / density;
  const parts: Partial<Record<keyof Composition, number>> = {
    fat: label.fatG * to100G,
    protein: label.proteinG * to100G,
    otherCarbohydrate: (label.carbohydrateG - label.sugarsG) * to100G,
    salt: label.saltG * to100G,
    acetic,
    ...sugars(label, to100G),
  };
  const total = Object.values(parts).reduce((sum, value) => sum + value, 0);
  if (total > LARGEST_TOTAL_G) return { status: 'unread', problem: { code: 'too-much', totalG: total } };
  guessed.push('water', 'kind of sugar');
  const water = Math.max(0, 100 - total);
  const ph = label.ph ?? (water > 15 ? (USUAL_PH[label.category] ?? 5.5) : null);
  if (label.ph === null && ph !== null) guessed.push('pH');
  const hazards: readonly Hazard[] = label.keepsUnopened ? [] : ['unlisted'];
  const round = (value: number): number => Number(value.toFixed(3));
  const composed = { water, ...parts };
  const body = label.thickness === null ? null : bodyFromWord(label.thickness, label.category);
  return {
    status: 'read',
    guessed,
    row: {
      id: label.id,
      name: label.name,
      aliases: [],
      category: label.category,
      spoonDensityGPerMl: round(density),
      gPer100G: Object.fromEntries(
        COMPONENTS.flatMap((key) => (composed[key] ? [[key, round(composed[key])]] : [])),
      ),
      typicalPh: ph,
      energyKcalPer100G: round(
        to100G * (9 * label.fatG + 4 * (label.proteinG + label.carbohydrateG)) + 3 * acetic,
      ),
      unitWeightsG: {},
      edibleYieldFraction: 1,
      allergensEu14: label.allergensEu14,
      allergensUs9: [...new Set(label.allergensEu14.flatMap(usNamesOf))],
      allergensMayBeIn: [],
      emulsifierClass: 'none',
      emulsifierNote: '',
      hazards,
      byHand: {
        allergensAnswered: label.allergensAnswered,
        phFromLabel: label.ph !== null,
        keepsUncooled: label.keepsUnopened,
      },
      strength: '',
      shelfNote: '',
      proteinBufferMmolPerPhPerG: label.allergensEu14.includes('milk')
        ? DAIRY_PROTEIN_BUFFER
        : USUAL_PROTEIN_BUFFER,
      pungencyIndex: {},
      bodyIndex: 0,
      ...(body ? { structure: body } : {}),
      tag: 'estimate',
      source: 'label, entered by hand',
    },
  };
}

function sugars({ category, sugarsG }: LabelValues, to100G: number): Partial<Composition> {
  const each = sugarsG * to100G;
  return SOUR.has(category) ? { glucose: each / 2, fructose: each / 2 } : { sucrose: each };
}

/** Ideal mixing as in the mixed volume (see composition/mixedVolume.ts): estimate within a few per cent for what pours. */
function densityOf({ fatG, carbohydrateG, proteinG, saltG, category }: LabelValues): number {
  if (category === 'oil') return 0.918;
  const solids = fatG + carbohydrateG + proteinG + saltG;
  const water = Math.max(0, 100 - solids);
  return 100 / (1.002 * water + 1.09 * fatG + 0.62 * carbohydrateG + 0.74 * proteinG + 0.31 * saltG);
}
