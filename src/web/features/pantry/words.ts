/** Kitchen words for what the ingredient record holds. */
import type { Category, Composition, Hazard, Tag } from '#core/ingredient';

export const CATEGORY_WORDS: Record<Category, string> = {
  oil: 'Oil',
  vinegar: 'Vinegar',
  citrus: 'Citrus',
  fruit: 'Fruit',
  salt: 'Salt',
  savoury: 'Savoury',
  sweet: 'Sweet',
  emulsifier: 'Binder',
  creamy: 'Creamy',
  thickener: 'Thickener',
  aromatic: 'Aromatic',
  spice: 'Spice',
  herb: 'Herb',
  veg: 'Vegetable',
  water: 'Water',
};

export const HAZARD_WORDS: Record<Hazard, string> = {
  raw_egg: 'raw egg',
  pasteurised_egg: 'pasteurised egg',
  mayonnaise: 'mayonnaise',
  dairy: 'dairy',
  soft_or_blue_cheese: 'soft or blue cheese',
  fish: 'fish',
  raw_allium: 'raw garlic or onion',
  cooked_allium: 'cooked garlic or onion',
  fresh_herb: 'fresh herb',
  raw_vegetable_or_fruit: 'vegetable or fruit',
  opened_preserve: 'opened jar or bottle',
  plant_protein: 'bean, soy or nut milk',
  avocado: 'avocado',
  honey: 'honey: not for infants under 12 months',
  dry: 'dry: keeps while dry',
  sour_juice: 'fresh sour juice',
  sprouts: 'raw sprouts',
  cooked_food: 'cooked food',
  unlisted: 'perishable until said otherwise',
};

export const COMPONENT_WORDS: Record<keyof Composition, string> = {
  water: 'Water',
  fat: 'Fat',
  protein: 'Protein',
  sucrose: 'Sucrose',
  glucose: 'Glucose',
  fructose: 'Fructose',
  lactose: 'Lactose',
  otherCarbohydrate: 'Other carbohydrate',
  fibre: 'of it fibre',
  polyol: 'of it polyols',
  salt: 'Salt (all sodium)',
  acetic: 'Acetic acid',
  citric: 'Citric acid',
  lactic: 'Lactic acid',
  malic: 'Malic acid',
  tartaric: 'Tartaric acid',
};

export const TAG_WORDS: Record<Tag, string> = {
  published: 'published, as recalled: to be confirmed against the source',
  'common practice': 'common practice',
  'from memory': 'from memory',
  estimate: 'estimate',
};

/** The EU's list of 14 (Regulation (EU) 1169/2011, Annex II), in short words. */
export const ALLERGENS = [
  ...(['cereals containing gluten', 'crustaceans', 'eggs', 'fish', 'peanuts', 'soy', 'milk'] as const),
  ...(['nuts', 'celery', 'mustard', 'sesame', 'sulphites', 'lupin', 'molluscs'] as const),
] as const;
