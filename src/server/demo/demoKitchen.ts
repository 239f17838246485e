/** The invented kitchen of the demonstration: Tarn House, a guesthouse on a mountain lake. Written as its cooks would say it. */
import type { SpoonSystem } from '#core/quantity';

export interface DemoLine {
  readonly text: string;
  readonly note?: string;
  readonly optional?: boolean;
  readonly phase?: 'base' | 'oil' | 'finish';
}

export interface DemoFormula {
  readonly id: string;
  readonly name: string;
  readonly vesselId: string;
  readonly spoons: SpoonSystem;
  readonly lines: readonly DemoLine[];
  /** Lines changed since the frozen version, by index: what they said then. None: never frozen. */
  readonly frozen?: { readonly note: string; readonly before: Readonly<Record<number, string>> };
}

export const DEMO_KITCHEN_NAME = 'Tarn House';
export const DEMO_SPOONS: SpoonSystem = 'metric';

export const DEMO_FORMULAS: readonly DemoFormula[] = [
  {
    id: 'walnut-cider',
    name: 'Walnut & cider house',
    vesselId: 'swing_top_500',
    spoons: 'metric',
    lines: [
      { text: '90 ml cider vinegar', note: 'label says 5 % acid' },
      { text: '1 tsp fine sea salt' },
      { text: '1 tbsp honey' },
      { text: '1 tbsp wholegrain mustard' },
      { text: '20 g shallot, grated to a paste' },
      { text: '6 grinds black pepper' },
      { text: '60 ml walnut oil', note: 'toasted, assertive' },
      { text: '180 ml rapeseed oil' },
    ],
    frozen: { note: 'lunch terrace, first week', before: { 6: '45 ml', 7: '195 ml' } },
  },
  {
    id: 'plum-thyme',
    name: 'Plum & thyme',
    vesselId: 'jam_jar_200',
    spoons: 'metric',
    lines: [
      { text: '30 ml red wine vinegar' },
      { text: '½ tsp fine sea salt' },
      { text: '2 tsp maple syrup' },
      { text: '70 g plum purée', note: 'yellow plums from the lower garden' },
      { text: '1 tsp fresh thyme leaves, stripped' },
      { text: '100 ml high-oleic sunflower oil' },
    ],
  },
  {
    id: 'ginger-sesame',
    name: 'Rice vinegar, ginger & toasted sesame',
    vesselId: 'jam_jar_350',
    spoons: 'metric',
    lines: [
      { text: '60 ml rice vinegar' },
      { text: '2 tbsp soy sauce' },
      { text: '1½ tbsp honey' },
      { text: '2 tsp grated ginger' },
      { text: '1 fat clove garlic, grated to a paste' },
      { text: '90 ml grapeseed oil' },
      { text: '1 tbsp toasted sesame oil' },
      { text: '1 tsp sesame seeds', phase: 'finish' },
      { text: 'a pinch of chilli flakes', phase: 'finish', optional: true },
    ],
    frozen: { note: 'noodle salad', before: {} },
  },
  {
    id: 'caraway-beet',
    name: 'Caraway & beet',
    vesselId: 'preserving_jar_500',
    spoons: 'metric',
    lines: [
      { text: '45 ml white wine vinegar' },
      { text: '2 tsp table salt', note: 'tastes too salty, look again' },
      { text: '1 tsp sugar' },
      { text: '120 g cooked beetroot, puréed smooth' },
      { text: '1 tsp caraway seed, toasted and cracked' },
      { text: '1 tsp prepared horseradish' },
      { text: '110 ml cold-pressed rapeseed oil' },
    ],
  },
  {
    id: 'buttermilk-dill',
    name: 'Buttermilk & dill',
    vesselId: 'preserving_jar_1000',
    spoons: 'metric',
    lines: [
      { text: '1½ cups buttermilk' },
      { text: '½ cup soured cream' },
      { text: 'juice of ½ lemon' },
      { text: '1 tsp fine sea salt' },
      { text: '1 small clove garlic, grated to a paste' },
      { text: '1 tbsp mild sweet mustard' },
      { text: '2 tbsp sunflower oil' },
      { text: '4 tbsp chopped dill', phase: 'finish' },
      { text: '2 tbsp chives, snipped', phase: 'finish', optional: true },
    ],
    frozen: { note: 'trout salad', before: { 2: 'juice of 1 lemon' } },
  },
  {
    id: 'date-tahini',
    name: 'Date tahini',
    vesselId: 'preserving_jar_500',
    spoons: 'metric',
    lines: [
      { text: 'juice of 1½ lemons' },
      { text: '¾ tsp fine sea salt' },
      { text: '3 soft dates, mashed' },
      { text: '90 g tahini' },
      { text: '1 clove garlic, grated to a paste' },
      { text: 'two pinches of ground cumin' },
      { text: '90 ml water', note: 'last: the tahini seizes, then loosens' },
    ],
    frozen: { note: 'roast carrots', before: {} },
  },
  {
    id: 'yolk-horseradish',
    name: 'Horseradish, yolk-built',
    vesselId: 'beaker_800',
    spoons: 'metric',
    lines: [
      { text: '2 yolks, at room temperature', note: 'raw: pasteurised ones for guests who ask' },
      { text: '25 ml white wine vinegar' },
      { text: '¾ tsp fine sea salt' },
      { text: '1 tbsp Dijon mustard' },
      { text: '2 tbsp prepared horseradish' },
      { text: '280 ml sunflower oil', note: 'drops first, then a thread' },
      { text: 'juice of ½ lemon', phase: 'finish' },
      { text: 'salt to taste', phase: 'finish' },
    ],
  },
  {
    id: 'herb-white-bean',
    name: 'Lean herb & white bean',
    vesselId: 'preserving_jar_500',
    spoons: 'metric',
    lines: [
      { text: '50 ml cider vinegar' },
      { text: '1 tsp fine sea salt' },
      { text: '150 g cooked white beans' },
      { text: '90 ml water' },
      { text: '1 small shallot, minced' },
      { text: '2 tsp Dijon mustard' },
      { text: '45 ml extra-virgin olive oil' },
      { text: 'a handful of parsley leaves', phase: 'finish' },
      { text: '1 tbsp tarragon, chopped', phase: 'finish' },
    ],
    frozen: { note: 'green bean salad', before: { 6: '60 ml' } },
  },
];
