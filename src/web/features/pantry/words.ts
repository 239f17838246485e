/** Kitchen words for what the ingredient record holds. */
import { pantryWords } from '#words/screens/pantry';
import type { Category, Composition, Hazard, StructureFamily } from '#core/ingredient';

export const CATEGORY_WORDS: Record<Category, string> = {
  oil: pantryWords.oil,
  vinegar: pantryWords.vinegar,
  citrus: pantryWords.citrus,
  fruit: pantryWords.fruit,
  salt: pantryWords.salt,
  savoury: pantryWords.savoury,
  sweet: pantryWords.sweet,
  emulsifier: pantryWords.binder,
  creamy: pantryWords.creamy,
  thickener: pantryWords.thickener,
  aromatic: pantryWords.aromatic,
  spice: pantryWords.spice,
  herb: pantryWords.herb,
  veg: pantryWords.vegetable,
  water: pantryWords.water,
};

export const HAZARD_WORDS: Record<Hazard, string> = {
  raw_egg: pantryWords.rawEgg,
  pasteurised_egg: pantryWords.pasteurisedEgg,
  mayonnaise: 'mayonnaise',
  dairy: 'dairy',
  soft_or_blue_cheese: pantryWords.softOrBlueCheese,
  fish: 'fish',
  raw_allium: pantryWords.rawGarlicOrOnion,
  cooked_allium: pantryWords.cookedGarlicOrOnion,
  fresh_herb: pantryWords.freshHerb,
  raw_vegetable_or_fruit: pantryWords.vegetableOrFruit,
  opened_preserve: pantryWords.openedJarOrBottle,
  plant_protein: pantryWords.beanSoyOrNutMilk,
  avocado: 'avocado',
  honey: pantryWords.honeyNotForInfantsUnder,
  dry: pantryWords.dryKeepsWhileDry,
  sour_juice: pantryWords.freshSourJuice,
  sprouts: pantryWords.rawSprouts,
  raw_food: pantryWords.rawOrNotPasteurised,
  cooked_food: pantryWords.cookedFood,
  unlisted: pantryWords.perishableUntilSaidOtherwise,
};

export const COMPONENT_WORDS: Record<keyof Composition, string> = {
  water: pantryWords.water,
  fat: pantryWords.fat,
  protein: pantryWords.protein,
  sucrose: pantryWords.sucrose,
  glucose: pantryWords.glucose,
  fructose: pantryWords.fructose,
  lactose: pantryWords.lactose,
  otherCarbohydrate: pantryWords.otherCarbohydrate,
  fibre: pantryWords.ofItFibre,
  polyol: pantryWords.ofItPolyols,
  salt: pantryWords.saltAllSodium,
  acetic: pantryWords.aceticAcid,
  citric: pantryWords.citricAcid,
  lactic: pantryWords.lacticAcid,
  malic: pantryWords.malicAcid,
  tartaric: pantryWords.tartaricAcid,
  ethanol: pantryWords.alcohol,
};

/** The EU's list of 14 (Regulation (EU) 1169/2011, Annex II), in short words. */
export const ALLERGENS = [
  ...(['cereals containing gluten', 'crustaceans', 'eggs', 'fish', 'peanuts', 'soy', 'milk'] as const),
  ...(['nuts', 'celery', 'mustard', 'sesame', 'sulphites', 'lupin', 'molluscs'] as const),
] as const;

export const FAMILY_WORDS: Record<StructureFamily, string> = {
  packed: pantryWords.familyPacked,
  starch: pantryWords.familyStarch,
  dairy: pantryWords.familyDairy,
  cream: pantryWords.familyCream,
  thin: pantryWords.familyThin,
  nut: pantryWords.familyNut,
  pulp: pantryWords.familyPulp,
  curd: pantryWords.familyCurd,
  mustard: pantryWords.familyMustard,
  yolk: pantryWords.familyYolk,
  paste: pantryWords.familyPaste,
  fruit: pantryWords.familyFruit,
  raw: pantryWords.familyRaw,
};
