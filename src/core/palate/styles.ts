/**
 * Styles with a window per measure. The balance (oil to acid, sharpness, salt, sweetness, richness, body) has windows
 * computed from a dozen invented dressings each, over schools and kitchens: [min − pad, max + pad], pad = max(10 % of the
 * range, half a step), half a step more below for salt and sugar, one and a half steps where fewer than three dressings speak for a style (estimate). Seasoning
 * (garlic, heat, mustard, bitter oil) is the cook's own: its windows reach from nothing to where it is harsh for nearly
 * everybody. They describe those dressings, not the world: a kitchen adjusts them, or makes its own from what it likes.
 */
import { exactly, SPOON_VOLUMES } from '#core/quantity';
import { REFERENCE_CATALOGUE, type Catalogue, type Ingredient } from '#core/ingredient';
import { PALATE, PALATE_KEYS, palateValue, type PalateKey, type PalatePortion } from './measures';
import { recipeLines } from './startFromStyle';
import { STYLE_IDS, STYLE_RECIPES, type StyleId } from './styleRecipes';

export interface PalateWindow {
  readonly low: number;
  readonly high: number;
}
export type Windows = Readonly<Partial<Record<PalateKey, PalateWindow>>>;

export interface Style {
  readonly id: string;
  readonly name: string;
  readonly says: string;
  /** A measure without a window is not judged. */
  readonly windows: Windows;
}

/** Windows of the plain oil-and-acid schools meet without a gap. */
const SCHOOL_RATIOS: Partial<Record<StyleId, PalateWindow>> = {
  equal_mild: { low: 0.7, high: 1.25 },
  brisk_1_5_1: { low: 1.25, high: 1.75 },
  sharp_2_1: { low: 1.75, high: 2.5 },
  classic_3_1: { low: 2.5, high: 3.5 },
};
/** Oil hidden in creamy things is no poured oil: a ratio would say nothing. */
const WITHOUT_RATIO: ReadonlySet<StyleId> = new Set<StyleId>([
  ...(['creamy_yoghurt', 'mayo_buttermilk', 'mayo_pink', 'mayo_blue', 'mayo_mustard'] as const),
  ...(['tahini', 'herb_in_oil', 'avocado_green', 'herb_mayonnaise', 'yolk_built'] as const),
  ...(['mayonnaise', 'nut_seed', 'green_sauce', 'fruit_puree', 'cream', 'warm'] as const),
]);
/** Styles that must be somewhat sweet; the others may do without. */
const SWEET: ReadonlySet<StyleId> = new Set<StyleId>([
  ...(['sweet_fruit', 'equal_mild', 'brisk_1_5_1', 'honey_mustard', 'fruit_puree'] as const),
]);
const FROM_ZERO: ReadonlySet<PalateKey> = new Set<PalateKey>(['garlic', 'heat', 'mustard', 'bitter']);
const SUGARS: ReadonlySet<PalateKey> = new Set<PalateKey>(['sweet', 'sugarToAcid']);
/** Half a step too little of these goes unnoticed where half a step too much does not; estimate. */
const FORGIVING: ReadonlySet<PalateKey> = new Set<PalateKey>(['salt', 'sweet', 'sugarToAcid']);
const FEW = 3;

/** Spoons of the style recipes. */
const ML_OF: Readonly<Record<string, number>> = {
  ml: 1,
  tsp: SPOON_VOLUMES.metric.tspMl,
  tbsp: SPOON_VOLUMES.metric.tbspMl,
};

function portionOf(ingredient: Ingredient, amountText: string): PalatePortion {
  const [count = '0', unit = 'g'] = amountText.split(' ');
  const massG = Number(count) * (unit === 'g' ? 1 : ML_OF[unit]! * ingredient.spoonDensityGPerMl);
  return { ingredient, massG: exactly(massG), form: '' };
}

export function stylePortions(styleId: StyleId, catalogue: Catalogue): readonly (readonly PalatePortion[])[] {
  return STYLE_RECIPES[styleId].recipes.map((recipe) =>
    recipeLines(recipe, catalogue).map(({ ingredient, amountText }) => portionOf(ingredient, amountText)),
  );
}

/**
 * Where seasoning is harsh for nearly everybody; below it is taste. Common practice: more raw garlic than an aioli, more
 * chilli than a hot sauce's spoonful, mustard that is the sauce itself. As the measures have it, g of reference per g.
 */
const HARSH: Partial<Record<PalateKey, number>> = { garlic: 0.05, heat: 0.008, mustard: 0.1, bitter: 1.2 };

/** The cook's own: never a fault inside what people eat. */
function withOwnSeasoning(windows: Windows): Windows {
  const wide = Object.entries(HARSH).map(([key, harsh]) => {
    const high = Math.max(harsh, windows[key as PalateKey]?.high ?? 0);
    return [key, { low: 0, high }] as const;
  });
  return { ...windows, ...Object.fromEntries(wide) };
}

/** Windows around some dressings that are liked. @param dressings at least one */
export function windowsFrom(
  dressings: readonly (readonly PalatePortion[])[],
  { sweet = false, ratio = true }: { readonly sweet?: boolean; readonly ratio?: boolean } = {},
): Windows {
  const windows: Partial<Record<PalateKey, PalateWindow>> = {};
  for (const key of PALATE_KEYS) {
    if (key === 'ratio' && !ratio) continue;
    const values = dressings.flatMap((portions) => palateValue(portions, key) ?? []);
    if (values.length < dressings.length) continue;
    const [min, max] = [Math.min(...values), Math.max(...values)];
    const steps = dressings.length < FEW ? 1.5 : 0.5;
    const pad = Math.max(0.1 * (max - min), steps * PALATE[key].step);
    const below = FORGIVING.has(key) ? pad + 0.5 * PALATE[key].step : pad;
    const fromZero = FROM_ZERO.has(key) || (SUGARS.has(key) && !sweet);
    windows[key] = { low: fromZero ? 0 : Math.max(0, min - below), high: max + pad };
  }
  return windows;
}

export const STYLES: readonly Style[] = STYLE_IDS.map((id): Style => {
  const computed = windowsFrom(stylePortions(id, REFERENCE_CATALOGUE), {
    sweet: SWEET.has(id),
    ratio: !WITHOUT_RATIO.has(id),
  });
  const school = SCHOOL_RATIOS[id];
  const { name } = STYLE_RECIPES[id];
  const windows = withOwnSeasoning(computed);
  return { id, name, says: '', windows: school ? { ...windows, ratio: school } : windows };
});

/** How far from a ratio that the cook set still counts as it. */
export const TYPED_RATIO_TOLERANCE = 0.25;

/** A ratio that the cook typed is the target, whatever the style says. */
export function withTypedRatio(style: Style, typed: number | null): Style {
  if (typed === null) return style;
  const ratio = { low: Math.max(0, typed - TYPED_RATIO_TOLERANCE), high: typed + TYPED_RATIO_TOLERANCE };
  return { ...style, windows: { ...style.windows, ratio } };
}
