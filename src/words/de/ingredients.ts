/** What lies in the pantry and on the board, by its English name. What is missing keeps its English one. */
import { BOWL } from './bowl';
import { LARDER } from './larder';
import { PLANTS } from './plants';
import { POURABLES } from './pourables';

export const INGREDIENTS: Readonly<Record<string, string>> = { ...POURABLES, ...LARDER, ...PLANTS, ...BOWL };

/** What a cook says for short, by English name. */
export const SHORT: Readonly<Record<string, readonly string[]>> = {
  'Extra-virgin olive oil': ['Olivenöl'],
  'Fine table salt': ['Salz'],
  'Dijon-type mustard': ['Senf', 'scharfer Senf'],
  'White wine vinegar 6 %': ['Weißweinessig', 'Essig'],
  'Red wine vinegar 6 %': ['Rotweinessig'],
  'Cider vinegar 5 %': ['Apfelessig'],
  'Garlic, raw, peeled': ['Knoblauch'],
  'Shallot, raw': ['Schalotte', 'Schalotten'],
  'Egg yolk, raw': ['Eigelb'],
  'Whole-milk yoghurt': ['Joghurt'],
  'Parsley, fresh': ['Petersilie'],
};

/** Vessels that come with the house. */
export const VESSELS: Readonly<Record<string, string>> = {
  '200 ml jam jar': '200-ml-Marmeladenglas',
  '350 ml jam jar': '350-ml-Marmeladenglas',
  '500 ml swing-top': '500-ml-Bügelflasche',
  '500 ml preserving jar': '500-ml-Einmachglas',
  '1 l preserving jar': '1-l-Einmachglas',
  '750 ml squeeze bottle': '750-ml-Quetschflasche',
  '800 ml blender beaker': '800-ml-Mixbecher',
  '1.5 l mixing bowl': '1,5-l-Rührschüssel',
  '2.5 l tub': '2,5-l-Wanne',
  '5 l tub': '5-l-Wanne',
  '10 l bucket': '10-l-Eimer',
  '20 l bucket': '20-l-Eimer',
};

/** Allergens as the law names them (Regulation (EU) 1169/2011, Annex II, German edition: from memory). */
export const ALLERGENS: Readonly<Record<string, string>> = {
  'cereals containing gluten': 'glutenhaltiges Getreide',
  wheat: 'Weizen',
  rye: 'Roggen',
  barley: 'Gerste',
  oats: 'Hafer',
  spelt: 'Dinkel',
  crustaceans: 'Krebstiere',
  eggs: 'Eier',
  egg: 'Eier',
  fish: 'Fisch',
  peanuts: 'Erdnüsse',
  peanut: 'Erdnüsse',
  soybeans: 'Soja',
  soya: 'Soja',
  soy: 'Soja',
  milk: 'Milch',
  nuts: 'Schalenfrüchte',
  'tree nuts': 'Schalenfrüchte',
  almond: 'Mandel',
  hazelnut: 'Haselnuss',
  walnut: 'Walnuss',
  cashew: 'Cashew',
  pecan: 'Pekannuss',
  'brazil nut': 'Paranuss',
  pistachio: 'Pistazie',
  macadamia: 'Macadamia',
  celery: 'Sellerie',
  mustard: 'Senf',
  sesame: 'Sesam',
  'sulphur dioxide and sulphites': 'Schwefeldioxid und Sulfite',
  sulphites: 'Sulfite',
  lupin: 'Lupine',
  molluscs: 'Weichtiere',
};
