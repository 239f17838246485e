/**
 * The one record of an ingredient: composition per 100 g, how it measures, what it may do to
 * people. Values come from the files in data/, each row with tag and source; figure by figure they
 * are known from different places, see `provenance.ts`.
 */
import type { Range } from '#core/quantity';

export type IngredientId = string & { readonly __brand: 'IngredientId' };

export const CATEGORIES = [
  ...(['oil', 'vinegar', 'citrus', 'fruit', 'salt', 'savoury', 'sweet', 'emulsifier'] as const),
  ...(['creamy', 'thickener', 'aromatic', 'spice', 'herb', 'veg', 'water'] as const),
] as const;
export type Category = (typeof CATEGORIES)[number];

export const TAGS = ['published', 'common practice', 'from memory', 'estimate'] as const;
/** Where a value comes from. `published`: it was compared with a source that is at hand, and agreed. */
export type Tag = (typeof TAGS)[number];

export const HAZARDS = [
  ...(['raw_egg', 'pasteurised_egg', 'mayonnaise', 'dairy', 'soft_or_blue_cheese'] as const),
  ...(['fish', 'raw_allium', 'cooked_allium', 'fresh_herb', 'raw_vegetable_or_fruit'] as const),
  ...(['opened_preserve', 'plant_protein', 'avocado', 'honey', 'dry'] as const),
  /** Lemon, lime, yuzu, verjuice: own pH at most 3.0; cold for flavour and yeast. */
  'sour_juice',
  /** Raw seed sprouts. */
  'sprouts',
  /** Raw fish, meat or shellfish; milk, cheese or juice that was not pasteurised. */
  'raw_food',
  /** Meat, hard-boiled egg, stock, cooked grain or potato, moist bread. */
  'cooked_food',
  /** Wet and none of these, or entered by hand: perishable until said otherwise. */
  'unlisted',
] as const;
export type Hazard = (typeof HAZARDS)[number];

/** What safety asks of an ingredient beyond its hazards. Tag: common practice. */
export const TRAITS = [
  /** A plant that is sour by itself (citrus, berry, tomato): its own pH counts. */
  'sour_by_nature',
  /** Bought yoghurt, buttermilk, soured cream: pH 4.6 at most (yoghurt: 21 CFR 131.200, recalled; the others: estimate). */
  'cultured_milk',
  /** A spice that is no leaf, root or fruit flesh: outside what spoils under oil. */
  'pepper_or_seed',
  /** Cooked beans and peas: low-acid, and they spoil under oil. */
  'bean',
] as const;
export type Trait = (typeof TRAITS)[number];

/** What a dressing meets where the thing lies in a dish; see `core/dish/surfaces.ts`. */
export const SURFACE_KINDS = [
  ...(['tender', 'sturdy', 'shredded', 'crisp', 'watery', 'cooked', 'pulse', 'grain'] as const),
  ...(['pasta', 'potato', 'soft', 'piece', 'bread', 'fruit', 'dry', 'fine'] as const),
] as const;
export type SurfaceKind = (typeof SURFACE_KINDS)[number];

/** What a kitchen that entered an ingredient by hand has said of it. */
export interface ByHand {
  /** The question which of the listed allergens are in it was answered, be it "none". */
  readonly allergensAnswered: boolean;
  /** pH and composition were typed from a label, not filled in. */
  readonly phFromLabel: boolean;
  /** The label says that it keeps in the cupboard once opened. */
  readonly keepsUncooled: boolean;
}

/** Mass fractions, 0..1, basis whole. Fibre and polyol are inside otherCarbohydrate. */
export interface Composition {
  readonly water: number;
  readonly fat: number;
  readonly protein: number;
  readonly sucrose: number;
  readonly glucose: number;
  readonly fructose: number;
  readonly lactose: number;
  readonly otherCarbohydrate: number;
  readonly fibre: number;
  readonly polyol: number;
  /** All sodium counted as NaCl (sodium × 2.54). */
  readonly salt: number;
  readonly acetic: number;
  readonly citric: number;
  readonly lactic: number;
  readonly malic: number;
  readonly tartaric: number;
  readonly ethanol: number;
}
export const COMPONENTS = [
  ...(['water', 'fat', 'protein', 'sucrose', 'glucose', 'fructose', 'lactose'] as const),
  ...(['otherCarbohydrate', 'fibre', 'polyol', 'salt'] as const),
  ...(['acetic', 'citric', 'lactic', 'malic', 'tartaric', 'ethanol'] as const),
] as const satisfies readonly (keyof Composition)[];

export interface Ingredient {
  readonly id: IngredientId;
  readonly name: string;
  /** Other words a cook may type for it. */
  readonly aliases: readonly string[];
  readonly category: Category;
  /** Grams per millilitre as a cook measures it: bulk density, air between the grains included. */
  readonly spoonDensityGPerMl: number;
  readonly composition: Composition;
  /** pH of the ingredient alone; null where it holds too little water to have one. */
  readonly typicalPh: number | null;
  /** The pH is of this very bottle, read with a meter. */
  readonly phMeasured?: boolean;
  /** What the table says where a bottle's reading stands in for it. */
  readonly tablePh?: number | null;
  readonly energyKcalPer100G: number;
  /** Edible grams of one unit, e.g. clove, yolk, tsp (US spoon), tbsp_chopped. */
  readonly unitWeightsG: Readonly<Record<string, Range>>;
  /** Edible share of what is bought, 0..1; used only for weights said as bought. */
  readonly edibleYieldFraction: number;
  readonly allergensEu14: readonly string[];
  readonly allergensUs9: readonly string[];
  /** Compound things vary by maker: what the label should be read for, in the words of the EU list. */
  readonly allergensMayBeIn: readonly string[];
  readonly emulsifierClass: 'none' | 'mild' | 'good' | 'strong';
  readonly emulsifierNote: string;
  readonly hazards: readonly Hazard[];
  readonly traits: readonly Trait[];
  /** Only where the kitchen entered it itself. */
  readonly byHand?: ByHand;
  /** Salt, sugar or acid preserve it for months once opened; common practice. */
  readonly keepsOpened: boolean;
  /** What it becomes once its salt is washed off: capers in salt become capers. */
  readonly onceRinsed: IngredientId | null;
  readonly strength: string;
  readonly shelfNote: string;
  /** Counts as "acid" in the oil-to-acid ratio: vinegars and citrus juices. */
  readonly isAcidLiquid: boolean;
  /** mmol H+ per pH unit and gram of protein. */
  readonly proteinBufferMmolPerPhPerG: number;
  /** Reference grams per gram: garlic (raw 1), heat (chilli flakes 1), mustard (powder 1), bitterOil (extra-virgin 1). */
  readonly pungencyIndex: Readonly<Record<PungencyKind, number>>;
  /** 0-70 as an index, thickeners beyond; a ranking, not a viscosity. */
  readonly bodyIndex: number;
  /** Sweetness that is no sugar, as sucrose mass fraction (sugar substitutes). */
  readonly otherSweetnessAsSucrose: number;
  readonly tag: Tag;
  readonly source: string;
  /** Row of the food table with which its composition was compared; null: with none. */
  readonly comparedWith: string | null;
  /** What it is to an emulsion; null: as its class. */
  readonly emulsion: EmulsionValues | null;
  /** Its body; null: as its category, or none. */
  readonly structure: StructureValues | null;
  /** Left out: as its category. */
  readonly surface?: SurfaceKind;
  /** Only where it is a frozen version of another formula. */
  readonly made?: MadeOf;
}

export const EMULSIFIER_KINDS = ['yolk', 'milk', 'lecithin', 'mustard', 'protein', 'weak', 'none'] as const;
export type EmulsifierKind = (typeof EMULSIFIER_KINDS)[number];
export const OIL_STATES = ['free', 'emulsified', 'bound', 'none'] as const;
export type OilState = (typeof OIL_STATES)[number];

/** How an ingredient acts in an emulsion. Tag: estimate. */
export interface EmulsionValues {
  readonly kind: EmulsifierKind;
  readonly adsorbableMassFraction: number;
  /** Swollen particles, ml per g. */
  readonly swollenMlPerG: number;
  readonly mucilageMassFraction: number;
  /** Whether its fat still has to be broken up, is in drops already, or is bound. */
  readonly oilState: OilState;
  /** Drops of emulsified fat, µm. */
  readonly dropUm: number;
}

/** Kinds of body; each loses it in its own way when it is thinned. */
export const STRUCTURE_FAMILIES = [
  ...(['packed', 'starch', 'dairy', 'cream', 'thin', 'nut', 'pulp'] as const),
  ...(['curd', 'mustard', 'yolk', 'paste', 'fruit', 'raw'] as const),
] as const;
export type StructureFamily = (typeof STRUCTURE_FAMILIES)[number];
/** `pieces`: only what the tool crushes counts; `firm`: without a machine little of its body comes out. */
export const STRUCTURE_CUTS = ['smooth', 'pieces', 'firm'] as const;
export type StructureCut = (typeof STRUCTURE_CUTS)[number];

/** The body of a thing neat, stirred smooth. Viscosity and exponent: estimate. */
export interface StructureValues {
  readonly family: StructureFamily;
  /** Pa, ≥ 0. */
  readonly yieldStressPa: number;
  /** At 50 1/s, Pa s, > 0. */
  readonly viscosityPaS: number;
  /** How fast the body goes when it is thinned, 2-12. */
  readonly exponent: number;
  /** What holds drops in it although it pours, Pa: cream, buttermilk, yolk. */
  readonly restPa: number;
  readonly cut: StructureCut;
}

export const PUNGENCY_KINDS = ['garlic', 'heat', 'mustard', 'bitterOil'] as const;
export type PungencyKind = (typeof PUNGENCY_KINDS)[number];

/** All ingredients at hand, by id. */
export type Catalogue = ReadonlyMap<IngredientId, Ingredient>;

/** What of a gram of it was poured as oil or as acidic liquid, and what it takes once mixed. */
export interface MadeOf {
  readonly formulaId: string;
  readonly version: number;
  /** A newer version exists, of this number; null: this is the latest. */
  readonly newer: number | null;
  readonly pouredOil: PerGram;
  readonly acidLiquid: PerGram;
  readonly mixedVolumeMlPerG: number;
  readonly tastedMeqPer100G: number;
  /** What a gram of it is made of; shares add up to 1. */
  readonly parts: readonly MadePart[];
  /** Lines of it that could not be read, as they were typed. */
  readonly unread: readonly string[];
}

export interface MadePart {
  readonly ingredient: Ingredient;
  /** Of the whole, 0..1; 0 where it goes in to taste. */
  readonly massFraction: number;
  readonly form: string;
  /** Larger than 5 mm. */
  readonly pieces: boolean;
}

export interface PerGram {
  readonly g: number;
  readonly ml: number;
}
