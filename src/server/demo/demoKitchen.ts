/** The invented kitchen of the demonstration: Tarn House, a guesthouse on a mountain lake. Written as its cooks would say it. */
import type { SpoonSystem } from '#core/quantity';

export interface DemoLine {
  readonly text: string;
  /** A frozen version of another formula instead of an ingredient: its id and number; `text` is the amount. */
  readonly made?: readonly [formulaId: string, version: number];
  readonly note?: string;
  readonly optional?: boolean;
  readonly phase?: 'base' | 'oil' | 'finish';
  /** 0 where none is said. */
  readonly stage?: number;
}

export interface DemoFormula {
  readonly id: string;
  readonly name: string;
  readonly vesselId: string;
  readonly spoons: SpoonSystem;
  /** What is aimed at. */
  readonly styleId: string;
  /** Places to stop; none: it is made in one. */
  readonly stages?: readonly string[];
  readonly lines: readonly DemoLine[];
  /** Frozen versions in order; none: never frozen. */
  readonly history?: readonly DemoVersion[];
}

export interface DemoVersion {
  readonly note: string;
  readonly cook: DemoCook['id'];
  /** Amounts that were otherwise then, by line: what they said. */
  readonly before: Readonly<Record<number, string>>;
  /** The version it grew from, where that is not the one just before. */
  readonly from?: number;
}

export interface DemoCook {
  readonly id: 'ida' | 'bo' | 'runa';
  readonly name: string;
  readonly initials: string;
}

export const DEMO_COOKS: readonly DemoCook[] = [
  { id: 'ida', name: 'Ida', initials: 'ID' },
  { id: 'bo', name: 'Bo', initials: 'BO' },
  { id: 'runa', name: 'Runa', initials: 'RU' },
];

/** Stock, price and bottle: [ingredient id, on hand in g, price, pack in g, bottle]. Invented. */
export const DEMO_PANTRY: readonly (readonly [
  id: string,
  onHandG: number | null,
  price: number | null,
  packMassG: number | null,
  bottle?: {
    readonly label?: string;
    readonly acidityGPer100Ml?: number;
    readonly openedOn?: string;
    readonly useBy?: string;
  },
])[] = [
  [
    'vin_cider5',
    1900,
    6.4,
    2020,
    { label: 'orchard, second cask', acidityGPer100Ml: 5.2, openedOn: '2026-09-14' },
  ],
  ['vin_redwine6', 400, 3.9, 505],
  ['vin_whitewine6', 900, 3.6, 1010],
  ['vin_rice42', 350, 4.8, 505],
  ['salt_sea_fine', 2500, 2.1, 1000],
  ['salt_table', 4000, 0.9, 1000],
  ['honey', 900, 11.5, 1000, { label: 'lime blossom' }],
  ['maple', null, 9.8, 330],
  ['sugar_white', 3000, 1.3, 1000],
  ['mustard_grain', 420, 3.2, 500, { openedOn: '2026-10-02' }],
  ['mustard_dijon', 700, 2.9, 500],
  ['mustard_sweet', 250, 2.7, 350],
  ['shallot', 600, 3.4, 1000],
  ['garlic', 300, 6.8, 1000],
  ['black_pepper', 180, 22, 1000],
  [
    'walnut_oil',
    460,
    14.5,
    462,
    { label: 'toasted, press by the mill', openedOn: '2026-10-20', useBy: '2027-01-10' },
  ],
  ['rapeseed', 4500, 12, 4585],
  ['rapeseed_cold', 900, 7.2, 917],
  ['sunflower', 4600, 9.5, 4600],
  ['sunflower_ho', null, 11, 4560],
  ['grapeseed', 500, 6.9, 922],
  ['olive_ev', 2700, 29, 2740, { openedOn: '2026-11-02' }],
  ['sesame_toasted', 230, 5.4, 230],
  ['buttermilk', 2000, 1.4, 1030, { useBy: '2026-11-29' }],
  ['soured_cream', 500, 1.9, 500],
  ['lemon_juice', 960, 7.5, 960],
  ['dill', 60, 1.8, 50],
  ['tahini', 450, 7.2, 500],
  ['white_beans_cooked', 400, 1.6, 480],
];

export const DEMO_KITCHEN_NAME = 'Tarn House';
export const DEMO_SPOONS: SpoonSystem = 'metric';

export const DEMO_FORMULAS: readonly DemoFormula[] = [
  {
    id: 'walnut-cider',
    name: 'Walnut & cider house',
    vesselId: 'swing_top_500',
    spoons: 'metric',
    styleId: 'classic_3_1',
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
    history: [
      { note: 'lunch terrace, first week', cook: 'ida', before: { 6: '45 ml', 7: '195 ml' } },
      { note: 'more walnut', cook: 'ida', before: { 2: '2 tsp' } },
      {
        note: 'try without so much mustard',
        cook: 'bo',
        from: 1,
        before: { 3: '1 tsp', 6: '45 ml', 7: '195 ml' },
      },
      { note: 'back to v2, a little sweeter', cook: 'ida', from: 2, before: { 0: '85 ml' } },
    ],
  },
  {
    id: 'plum-thyme',
    name: 'Plum & thyme',
    vesselId: 'jam_jar_200',
    spoons: 'metric',
    styleId: 'sweet_fruit',
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
    styleId: 'brisk_1_5_1',
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
    history: [{ note: 'noodle salad', cook: 'runa', before: {} }],
  },
  {
    id: 'caraway-beet',
    name: 'Caraway & beet',
    vesselId: 'preserving_jar_500',
    spoons: 'metric',
    styleId: 'sharp_2_1',
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
    styleId: 'creamy_yoghurt',
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
    history: [{ note: 'trout salad', cook: 'bo', before: { 2: 'juice of 1 lemon' } }],
  },
  {
    id: 'date-tahini',
    name: 'Date tahini',
    vesselId: 'preserving_jar_500',
    spoons: 'metric',
    styleId: 'tahini',
    lines: [
      { text: 'juice of 1½ lemons' },
      { text: '¾ tsp fine sea salt' },
      { text: '3 soft dates, mashed' },
      { text: '90 g tahini' },
      { text: '1 clove garlic, grated to a paste' },
      { text: 'two pinches of ground cumin' },
      { text: '90 ml water', note: 'last: the tahini seizes, then loosens' },
    ],
    history: [{ note: 'roast carrots', cook: 'runa', before: {} }],
  },
  {
    id: 'yolk-horseradish',
    name: 'Horseradish, yolk-built',
    vesselId: 'beaker_800',
    spoons: 'metric',
    styleId: 'yolk_built',
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
    styleId: 'light_tofu',
    stages: ['Sharp base', '+ white beans', '+ herbs'],
    lines: [
      { text: '50 ml cider vinegar' },
      { text: '1 tsp fine sea salt' },
      { text: '150 g cooked white beans', stage: 1 },
      { text: '90 ml water', stage: 1 },
      { text: '1 small shallot, minced' },
      { text: '2 tsp Dijon mustard' },
      { text: '45 ml extra-virgin olive oil' },
      { text: 'a handful of parsley leaves', phase: 'finish', stage: 2 },
      { text: '1 tbsp tarragon, chopped', phase: 'finish', stage: 2 },
    ],
    history: [{ note: 'green bean salad', cook: 'ida', before: { 6: '60 ml' } }],
  },
  {
    id: 'house-mayonnaise',
    name: 'House mayonnaise',
    vesselId: 'beaker_800',
    spoons: 'metric',
    styleId: 'yolk_built',
    lines: [
      { text: '2 yolks, at room temperature' },
      { text: '30 ml white wine vinegar' },
      { text: '2 tsp Dijon mustard' },
      { text: '½ tsp fine sea salt' },
      { text: '280 ml sunflower oil' },
      { text: '2 tsp lemon juice', phase: 'finish' },
    ],
    history: [
      { note: 'the old way', cook: 'ida', before: { 1: '20 ml', 4: '320 ml' } },
      { note: 'sharper, looser', cook: 'runa', before: {} },
    ],
  },
  {
    id: 'chive-pepper',
    name: 'Chive & pepper',
    vesselId: 'preserving_jar_500',
    spoons: 'metric',
    styleId: 'mayo_buttermilk',
    lines: [
      { text: '120 g', made: ['house-mayonnaise', 1], note: 'from the first version, not the new one' },
      { text: '100 g buttermilk' },
      { text: '2 tsp cider vinegar' },
      { text: '¼ tsp fine sea salt' },
      { text: '8 grinds black pepper' },
      { text: '3 tbsp chives, snipped', phase: 'finish' },
    ],
  },
];
