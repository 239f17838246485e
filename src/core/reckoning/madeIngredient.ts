/**
 * The ingredient record of a frozen formula, worked out from its parts: composition, bite and body by
 * weight, allergens and hazards of all of them, pH by the charge balance. In the ratio its poured oil
 * and acid count as poured, except where it is creamy: oil held in a mayonnaise is no poured oil.
 * Its keeping time begins when it is made, not when it is used.
 */
import { calculatedPh, tastedMeqPer100G } from '#core/acidity';
import { composition } from '#core/composition';
import { inOrder, readAddition, type Formula, type ReadingContext } from '#core/formula';
import {
  acidLiquidOf,
  catalogueOf,
  COMPONENTS,
  HAZARDS,
  madeId,
  madeName,
  pouredOilOf,
  PUNGENCY_KINDS,
  readMadeId,
  type Catalogue,
  type Category,
  type Composition,
  type Hazard,
  type Ingredient,
  type IngredientId,
  type PungencyKind,
} from '#core/ingredient';
import { formFactor, isCreamy } from '#core/palate';
import { portionsOf, type JudgedPortion } from './judgement';
import { typedLine } from './reckoning';

/** A frozen version that may go into another formula. */
export interface MadeVersion {
  readonly formulaId: string;
  readonly number: number;
  /** The highest number of that formula. */
  readonly latest: number;
  readonly formula: Formula;
}

const LEAST_WATER = 0.05;
const DRY = { water: 0.12, fat: 0.3 };
const PLANTS: ReadonlySet<Category> = new Set<Category>(['aromatic', 'herb', 'veg', 'spice', 'oil', 'salt']);

interface MadeParts {
  readonly perGram: (value: (portion: JudgedPortion) => number) => number;
  readonly parts: Composition;
  readonly isCreamy: boolean;
  readonly mlPerG: number;
}
/** What a gram of it does to palate and pH: the mean of its parts, by weight. */
function tasteOf({ perGram, parts, isCreamy: creamy, mlPerG }: MadeParts) {
  return {
    proteinBufferMmolPerPhPerG:
      parts.protein > 0
        ? perGram(({ ingredient: i }) => i.composition.protein * i.proteinBufferMmolPerPhPerG) / parts.protein
        : 0,
    pungencyIndex: Object.fromEntries(
      PUNGENCY_KINDS.map((kind) => [
        kind,
        perGram(({ ingredient, form }) => ingredient.pungencyIndex[kind] * formFactor(kind, form)),
      ]),
    ) as Record<PungencyKind, number>,
    bodyIndex: Math.max(
      perGram(({ ingredient }) => ingredient.bodyIndex),
      creamy ? emulsifiedBody(perGram(({ ingredient }) => pouredOilOf(ingredient).ml) / mlPerG) : 0,
    ),
    emulsion: null,
    otherSweetnessAsSucrose: perGram(({ ingredient }) => ingredient.otherSweetnessAsSucrose),
  };
}

/** Null where nothing in it could be read: there is nothing to put in. */
export function madeIngredient(
  { formulaId, number, latest, formula }: MadeVersion,
  context: ReadingContext,
): Ingredient | null {
  const counted = inOrder(formula.additions).filter(({ optional }) => !optional || formula.countsOptional);
  const read = counted.map((addition) => ({
    reading: readAddition(addition, context),
    form: addition.form,
    said: addition.ingredientText,
    typed: typedLine(addition),
  }));
  const portions = portionsOf(
    read.flatMap(({ reading, form, said }) => (reading.status === 'read' ? [{ reading, form, said }] : [])),
  );
  const { massG, mixedVolumeMl } = composition(portions);
  if (!(massG > 0)) return null;
  const perGram = (value: (portion: JudgedPortion) => number): number =>
    portions.reduce((sum, portion) => sum + value(portion) * portion.massG.nominal, 0) / massG;
  const parts = Object.fromEntries(
    COMPONENTS.map((key) => [key, perGram(({ ingredient }) => ingredient.composition[key])]),
  ) as unknown as Composition;
  const creamy = isCreamy(portions) === true;
  const unread = read.flatMap(({ reading, typed }) => (reading.status === 'unread' ? [typed] : []));
  const union = (of: (ingredient: Ingredient) => readonly string[]): readonly string[] => [
    ...new Set(portions.flatMap(({ ingredient }) => of(ingredient))),
  ];
  const dry = parts.water < DRY.water && parts.fat < DRY.fat;
  const isLatest = number === latest;
  return {
    id: madeId(formulaId, number),
    name: madeName(formula.name, number),
    aliases: isLatest ? [formula.name] : [],
    category: categoryOf(portions, parts, { creamy, dry }),
    spoonDensityGPerMl: dry
      ? 1 / perGram(({ ingredient }) => 1 / ingredient.spoonDensityGPerMl)
      : massG / mixedVolumeMl,
    composition: parts,
    typicalPh: parts.water > LEAST_WATER ? calculatedPh(portions) : null,
    energyKcalPer100G: perGram(({ ingredient }) => ingredient.energyKcalPer100G),
    unitWeightsG: {},
    edibleYieldFraction: 1,
    allergensEu14: union(({ allergensEu14 }) => allergensEu14),
    allergensUs9: union(({ allergensUs9 }) => allergensUs9),
    allergensMayBeIn: union(({ allergensMayBeIn }) => allergensMayBeIn),
    emulsifierClass: creamy ? 'good' : 'none',
    emulsifierNote: '',
    hazards: hazardsOf(portions, unread.length > 0),
    traits: [],
    keepsOpened: false,
    onceRinsed: null,
    strength: '',
    shelfNote: '',
    isAcidLiquid: false,
    structure: null,
    ...tasteOf({ perGram, parts, isCreamy: creamy, mlPerG: mixedVolumeMl / massG }),
    tag: 'estimate',
    comparedWith: null,
    source: `reckoned from version ${number} of “${formula.name}”`,
    made: {
      formulaId,
      version: number,
      newer: isLatest ? null : latest,
      pouredOil: perGramOf(perGram, creamy ? null : pouredOilOf),
      acidLiquid: perGramOf(perGram, acidLiquidOf),
      mixedVolumeMlPerG: mixedVolumeMl / massG,
      parts: portions.map((portion) => ({
        ingredient: portion.ingredient,
        massFraction: portion.massG.nominal / massG,
        form: portion.form,
        pieces: portion.pieces ?? false,
      })),
      unread,
      tastedMeqPer100G: perGram(({ ingredient }) => tastedMeqPer100G(ingredient)),
    },
  };
}

/**
 * Oil held by yolk thickens beyond its parts: nothing at half oil by volume, a mayonnaise (60 of 70) from 78 %
 * on. Tag: estimate.
 */
const emulsifiedBody = (oilVolumeFraction: number): number =>
  60 * Math.min(1, Math.max(0, (oilVolumeFraction - 0.5) / 0.28));

function perGramOf(
  perGram: (value: (portion: JudgedPortion) => number) => number,
  of: typeof pouredOilOf | null,
): { g: number; ml: number } {
  if (!of) return { g: 0, ml: 0 };
  return {
    g: perGram(({ ingredient }) => of(ingredient).g),
    ml: perGram(({ ingredient }) => of(ingredient).ml),
  };
}

/** What keeps for months in its own jar does not shorten the life of what it went into. */
function hazardsOf(portions: readonly JudgedPortion[], unread: boolean): readonly Hazard[] {
  const found = new Set<Hazard>(unread ? ['unlisted'] : []);
  for (const { ingredient } of portions) {
    for (const hazard of ingredient.hazards) {
      if (!(hazard === 'opened_preserve' && ingredient.keepsOpened)) found.add(hazard);
    }
  }
  return HAZARDS.filter((hazard) => found.has(hazard));
}

function categoryOf(
  portions: readonly JudgedPortion[],
  { water, fat }: Composition,
  { creamy, dry }: { creamy: boolean; dry: boolean },
): Category {
  if (dry) return 'spice';
  // Water from herbs and vegetables alone says nothing of pH.
  if (
    water > 0 &&
    portions.every(({ ingredient: i }) => PLANTS.has(i.category) || i.composition.water === 0)
  ) {
    return 'herb';
  }
  if (creamy) return 'creamy';
  return fat > DRY.fat ? 'emulsifier' : 'savoury';
}

/**
 * The catalogue with every version that may go into a formula; versions may rest on other versions.
 * @param contextFor how a version's own lines are read, given what is known so far
 */
export function withMade(
  catalogue: Catalogue,
  versions: readonly MadeVersion[],
  contextFor: (formula: Formula, catalogue: Catalogue) => ReadingContext,
): Catalogue {
  if (versions.length === 0) return catalogue;
  const waiting = new Map(versions.map((version) => [madeId(version.formulaId, version.number), version]));
  const known = new Map(catalogue);
  const make = (id: IngredientId): void => {
    const version = waiting.get(id);
    if (!version) return;
    waiting.delete(id);
    for (const { ingredientId } of version.formula.additions) if (ingredientId) make(ingredientId);
    const made = madeIngredient(version, contextFor(version.formula, known));
    if (made) known.set(made.id, made);
  };
  for (const id of [...waiting.keys()]) make(id);
  return catalogueOf([...known.values()]);
}

/** Every formula that a formula is made with, directly or through others. */
export function madeWith(
  formula: Formula,
  versionOf: (id: IngredientId) => Formula | null,
): ReadonlySet<string> {
  const found = new Set<string>();
  const seen = new Set<IngredientId>();
  const visit = ({ additions }: Formula): void => {
    for (const { ingredientId } of additions) {
      const made = ingredientId && readMadeId(ingredientId);
      if (!made || seen.has(ingredientId)) continue;
      seen.add(ingredientId);
      found.add(made.formulaId);
      const inner = versionOf(ingredientId);
      if (inner) visit(inner);
    }
  };
  visit(formula);
  return found;
}
