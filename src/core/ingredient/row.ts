/** A row of the data files, as written there: grams per 100 g, zeros left out. Turned into an {@link Ingredient} once. */
import { exactly, range, type Range } from '#core/quantity';
import {
  CATEGORIES,
  COMPONENTS,
  EMULSIFIER_KINDS,
  HAZARDS,
  OIL_STATES,
  STRUCTURE_CUTS,
  STRUCTURE_FAMILIES,
  SURFACE_KINDS,
  PUNGENCY_KINDS,
  TAGS,
  TRAITS,
  type ByHand,
  type Composition,
  type EmulsionValues,
  type Ingredient,
  type IngredientId,
  type PungencyKind,
  type StructureValues,
} from './ingredient';

export interface IngredientRow {
  readonly id: string;
  readonly name: string;
  readonly aliases: readonly string[];
  readonly category: string;
  readonly spoonDensityGPerMl: number;
  readonly gPer100G: Readonly<Record<string, number | undefined>>;
  readonly typicalPh: number | null;
  readonly energyKcalPer100G: number;
  /** A weight, or nominal, low and high. */
  readonly unitWeightsG: Readonly<Record<string, number | readonly number[] | undefined>>;
  readonly edibleYieldFraction: number;
  readonly allergensEu14: readonly string[];
  readonly allergensUs9: readonly string[];
  readonly allergensMayBeIn: readonly string[];
  readonly emulsifierClass: string;
  /** What is only read stands in `notes`, for the table; a kitchen's own row has it here. */
  readonly emulsifierNote?: string;
  readonly hazards: readonly string[];
  readonly traits?: readonly string[];
  readonly byHand?: ByHand;
  readonly keepsOpened?: boolean;
  readonly onceRinsed?: string;
  readonly strength: string;
  readonly shelfNote?: string;
  readonly proteinBufferMmolPerPhPerG: number;
  readonly pungencyIndex: Readonly<Record<string, number | undefined>>;
  readonly bodyIndex: number;
  readonly emulsion?:
    (Omit<EmulsionValues, 'kind' | 'oilState'> & { kind: string; oilState: string }) | undefined;
  readonly structure?:
    | (Omit<StructureValues, 'family' | 'cut' | 'restPa'> & {
        readonly family: string;
        readonly cut?: string;
        readonly restPa?: number;
      })
    | undefined;
  readonly otherSweetnessSucroseGPer100G?: number;
  readonly surface?: string;
  readonly tag: string;
  readonly comparedWith?: string;
  readonly source?: string;
}

const EMULSIFIER_CLASSES = ['none', 'mild', 'good', 'strong'] as const;
const ACID_LIQUID_CATEGORIES: ReadonlySet<string> = new Set(['vinegar', 'citrus']);

/** @throws Error naming the row and the word where a row uses a word outside its closed list. */
export function ingredientFromRow(row: IngredientRow): Ingredient {
  const category = oneOf(CATEGORIES, row.category, row.id);
  return {
    id: row.id as IngredientId,
    name: row.name,
    aliases: row.aliases,
    category,
    spoonDensityGPerMl: row.spoonDensityGPerMl,
    composition: compositionFrom(row),
    typicalPh: row.typicalPh,
    energyKcalPer100G: row.energyKcalPer100G,
    unitWeightsG: Object.fromEntries(
      Object.entries(row.unitWeightsG).flatMap(([unit, weight]) =>
        weight === undefined ? [] : [[unit, weightRange(weight)]],
      ),
    ),
    edibleYieldFraction: row.edibleYieldFraction,
    allergensEu14: row.allergensEu14,
    allergensUs9: row.allergensUs9,
    allergensMayBeIn: row.allergensMayBeIn,
    emulsifierClass: oneOf(EMULSIFIER_CLASSES, row.emulsifierClass, row.id),
    emulsifierNote: row.emulsifierNote ?? '',
    hazards: row.hazards.map((hazard) => oneOf(HAZARDS, hazard, row.id)),
    traits: (row.traits ?? []).map((trait) => oneOf(TRAITS, trait, row.id)),
    ...(row.byHand ? { byHand: row.byHand } : {}),
    keepsOpened: row.keepsOpened ?? false,
    strength: row.strength,
    shelfNote: row.shelfNote ?? '',
    onceRinsed: (row.onceRinsed ?? null) as IngredientId | null,
    isAcidLiquid: ACID_LIQUID_CATEGORIES.has(category),
    proteinBufferMmolPerPhPerG: row.proteinBufferMmolPerPhPerG,
    pungencyIndex: Object.fromEntries(
      PUNGENCY_KINDS.map((kind) => [kind, row.pungencyIndex[kind] ?? 0]),
    ) as Record<PungencyKind, number>,
    bodyIndex: row.bodyIndex,
    emulsion: row.emulsion
      ? {
          ...row.emulsion,
          kind: oneOf(EMULSIFIER_KINDS, row.emulsion.kind, row.id),
          oilState: oneOf(OIL_STATES, row.emulsion.oilState, row.id),
        }
      : null,
    structure: row.structure
      ? {
          ...row.structure,
          family: oneOf(STRUCTURE_FAMILIES, row.structure.family, row.id),
          restPa: row.structure.restPa ?? 0,
          cut: oneOf(STRUCTURE_CUTS, row.structure.cut ?? 'smooth', row.id),
        }
      : null,
    otherSweetnessAsSucrose: (row.otherSweetnessSucroseGPer100G ?? 0) / 100,
    ...(row.surface === undefined ? {} : { surface: oneOf(SURFACE_KINDS, row.surface, row.id) }),
    tag: oneOf(TAGS, row.tag, row.id),
    source: row.source ?? '',
    comparedWith: row.comparedWith ?? null,
  };
}

/**
 * A kitchen's own row. Rows kept before the questions were asked count as not answered, except where
 * an allergen was ticked: who names one has read the label.
 */
export function ownIngredientFromRow(row: IngredientRow): Ingredient {
  const byHand = row.byHand ?? {
    allergensAnswered: row.allergensEu14.length > 0,
    phFromLabel: false,
    keepsUncooled: row.keepsOpened ?? false,
  };
  // A copy of capers may be the cook's own: what its label says decides, not what the copied row said.
  return ingredientFromRow({ ...row, byHand, keepsOpened: byHand.keepsUncooled });
}

function compositionFrom(row: IngredientRow): Composition {
  for (const key of Object.keys(row.gPer100G)) oneOf(COMPONENTS, key, row.id);
  return Object.fromEntries(
    COMPONENTS.map((key) => [key, (row.gPer100G[key] ?? 0) / 100]),
  ) as unknown as Composition;
}

/** Grown things differ by nature; where a row gives one weight, they may be a quarter lighter or heavier (estimate). */
const GROWN_UNITS: ReadonlySet<string> = new Set(['clove', 'each', 'leaf', 'sprig', 'bunch', 'piece']);

export function weightRange(weight: number | readonly number[]): Range {
  if (typeof weight === 'number') return exactly(weight);
  const [nominal = 0, low = nominal, high = nominal] = weight;
  return range(nominal, low, high);
}

export function spreadOf(unit: string, weight: Range): Range {
  const grown = GROWN_UNITS.has(unit) && weight.low === weight.high;
  return grown ? range(weight.nominal, weight.nominal * 0.75, weight.nominal * 1.25) : weight;
}

function oneOf<T extends string>(list: readonly T[], word: string, rowId: string): T {
  const found = list.find((item) => item === word);
  if (!found) throw new Error(`Ingredient ${rowId}: “${word}” is none of ${list.join(', ')}.`);
  return found;
}

/** A thing of the dish, shorter: what is the same for nearly all of them, or follows from the rest, is left out. */
export type DishRow = Pick<
  IngredientRow,
  'id' | 'name' | 'aliases' | 'category' | 'gPer100G' | 'typicalPh' | 'hazards'
> &
  Partial<IngredientRow> & { readonly surface: string };

/** 9 a gram of fat, 4 of protein, sugar and starch, 2 of fibre, 3 of acids (EU 1169/2011, annex XIV, from memory). */
const kcalOf = ({ gPer100G: g }: Pick<IngredientRow, 'gPer100G'>): number => {
  const of = (...keys: readonly string[]): number => keys.reduce((sum, key) => sum + (g[key] ?? 0), 0);
  const starch = of('otherCarbohydrate') - of('fibre');
  return Math.round(
    9 * of('fat') +
      4 * (of('protein', 'sucrose', 'glucose', 'fructose', 'lactose') + starch) +
      2 * of('fibre') +
      3 * of('acetic', 'citric', 'lactic', 'malic', 'tartaric'),
  );
};

/** Density, buffer and strength of a thing that is forked, not spooned. Tag: estimate. */
export const fromDishRow = (row: DishRow): IngredientRow => ({
  spoonDensityGPerMl: 0.5,
  energyKcalPer100G: kcalOf(row),
  edibleYieldFraction: 1,
  unitWeightsG: {},
  allergensEu14: [],
  allergensUs9: [],
  allergensMayBeIn: [],
  emulsifierClass: 'none',
  strength: 'mild',
  proteinBufferMmolPerPhPerG: 0.5,
  pungencyIndex: {},
  bodyIndex: 0,
  tag: 'from memory',
  ...row,
  aliases: withItsDoing(row),
});

/** "Couscous, cooked" is also called "cooked couscous", and so is each of its other names. */
function withItsDoing({ name, aliases }: Pick<DishRow, 'name' | 'aliases'>): readonly string[] {
  const doing = /, (cooked|roasted|grilled|fried|braised|poached)\b/.exec(name)?.[1];
  if (doing === undefined) return aliases;
  const done = aliases.filter((alias) => !alias.includes(doing)).map((alias) => `${doing} ${alias}`);
  return [...new Set([...aliases, ...done])];
}
