/** Lines as cooks say them, what they are and about how much. Weights: spoon and cup volumes by the rows' densities; the rest is common practice. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { measuringWith, REFERENCE_CATALOGUE } from '#core/ingredient';
import { readLines } from './readAddition';

const context = {
  catalogue: REFERENCE_CATALOGUE,
  measuring: measuringWith('metric'),
  decimalSign: 'point',
} as const;

/** "id grams" for each addition; unread lines say so. */
function said(text: string): readonly (readonly [string, number])[] {
  return readLines(text, context).map(({ reading }) =>
    reading.status === 'read'
      ? ([reading.ingredient.id as string, reading.massG.nominal] as const)
      : ([`unread: ${reading.problem.code}`, 0] as const),
  );
}

type Row = readonly [text: string, ...expected: (string | number)[]];

/** A line, then for each addition its id and the least and most grams. */
const LINES: readonly Row[] = [
  // nuts, seeds, fruit are what they are
  ['½ cup chopped walnuts', 'walnuts', 50, 70],
  ['a handful of toasted hazelnuts', 'hazelnuts', 8, 30],
  ['2 tbsp pumpkin seeds, toasted', 'pumpkin_seed', 14, 20],
  ['30 g pine nuts', 'pine_nuts', 29, 31],
  ['1 tbsp sesame seeds', 'sesame_seed', 8, 12],
  ['1 tsp nigella seeds', 'nigella_seed', 2, 4],
  ['1 tbsp chia seeds', 'chia_seed', 9, 13],
  ['40 g flaked almonds', 'almonds', 39, 41],
  ['a cup of pecans', 'pecans', 95, 125],
  ['2 tbsp roasted peanuts', 'peanuts', 15, 22],
  ['8 strawberries', 'strawberry', 70, 140],
  ['1 cup fresh raspberries', 'raspberry', 110, 140],
  ['100 g blueberries', 'blueberry', 99, 101],
  ['6 cherries, pitted', 'cherry', 28, 60],
  ['a few blackberries', 'blackberry', 12, 40],
  ['half an apple, grated', 'apple', 60, 100],
  ['1 ripe pear', 'pear', 120, 200],
  ['2 tbsp raisins', 'raisins', 15, 22],
  ['50 g dried cranberries', 'cranberries_dried', 49, 51],
  ['pulp of 3 passion fruit', 'passion_fruit', 36, 90],
  ['3 tbsp pomegranate seeds', 'pomegranate_seeds', 28, 40],
  // what it is put in for is no name of it
  ['a splash of water to loosen', 'water', 3, 10],
  ['2 tbsp water, to thin it out', 'water', 29, 31],
  ['1 tbsp chives to garnish', 'chives', 2, 4],
  ['pinch of sugar to balance the dressing', 'sugar_white', 0.2, 0.8],
  ['1 tbsp olive oil for drizzling', 'olive_ev', 13, 14],
  ['1 tsp honey for sweetness', 'honey', 6, 8],
  ['olive oil for finishing', 'olive_ev', 0, 0],
  ['3 tbsp olive oil for frying', 'unread: unknown-ingredient', 0, 0],
  // packs that say their size, before or after the name
  ['1 can (400 g) chickpeas', 'chickpeas_cooked', 399, 401],
  ['1 tin chickpeas (400 g)', 'chickpeas_cooked', 399, 401],
  ['2 small pots (150 g) Greek yoghurt', 'yoghurt_greek', 299, 301],
  ['1 packet (250 g) silken tofu', 'tofu_silken', 249, 251],
  ['1 (5 oz) container Greek yogurt', 'yoghurt_greek', 141, 142],
  ['half a stick of butter', 'butter', 55, 58],
  ['a dash of Worcestershire', 'anchovy_malt_sauce', 0.3, 1.5],
  ['S&P', 'salt_table', 0, 0, 'black_pepper', 0, 0],
  ['s & p to taste', 'salt_table', 0, 0, 'black_pepper', 0, 0],
  ['a pinch each of s&p', 'salt_table', 0.2, 0.8, 'black_pepper', 0.05, 0.4],
  // a part of one, and a thing whose amount comes last
  ['½ a red onion, diced', 'onion_red', 40, 80],
  ['0.5 of a lemon', 'lemon_juice', 15, 30],
  ['2 limes juiced', 'lime_juice', 40, 100],
  ['1 head roasted garlic', 'garlic_roasted', 20, 80],
  ['roasted garlic, 1 head', 'garlic_roasted', 20, 80],
  ['1 tsp English mustard', 'mustard_english', 5, 6],
  ['1 tsp garlic granules', 'garlic_powder', 2, 4],
  ['1 tbsp light brown sugar', 'sugar_brown', 12, 16],
  // wines and juices are no vinegar
  ['¼ cup red wine', 'wine_red', 55, 66],
  ['30 ml dry white wine', 'wine_white', 28, 31],
  ['a glug of dry sherry', 'sherry_dry', 9, 42],
  ['2 tbsp mirin', 'mirin', 30, 38],
  ['1 tbsp sake', 'sake', 14, 16],
  ['100 ml apple juice', 'apple_juice', 100, 110],
  ['3 tbsp pomegranate juice', 'pomegranate_juice', 43, 50],
  ['juice of 1 blood orange', 'blood_orange_juice', 40, 85],
  ['2 tbsp cranberry juice', 'cranberry_juice', 29, 33],
  // salty and fermented things
  ['1 tbsp white miso', 'miso_white', 15, 20],
  ['2 tsp red miso', 'miso_red', 10, 14],
  ['1 tbsp oyster sauce', 'oyster_sauce', 16, 20],
  ['2 tsp hoisin sauce', 'hoisin', 11, 14],
  ['1 tsp gochujang', 'gochujang', 5, 7],
  ['a teaspoon of harissa', 'harissa', 4.5, 6],
  ['1 tbsp salt-packed capers, rinsed', 'capers', 7, 14],
  ['1 tsp capers in salt', 'capers_salted', 2.5, 5],
  ['2 tbsp olive brine', 'olive_brine', 29, 34],
  ['1 tbsp pickle juice', 'pickle_brine', 14, 17],
  ['4 cornichons, chopped', 'gherkin', 15, 38],
  ['2 gherkins', 'gherkin', 40, 80],
  ['10 kalamata olives', 'olive_kalamata', 28, 62],
  ['1 tbsp tapenade', 'tapenade', 13, 17],
  ['2 tbsp sweet relish', 'relish', 28, 35],
  ['1 cup kimchi', 'kimchi', 130, 170],
  ['2 sheets of nori', 'nori', 5, 7],
  ['½ cup dashi', 'dashi', 110, 132],
  ['60 ml vegetable stock', 'stock', 58, 62],
  ['1 tsp bouillon powder', 'stock_powder', 3.8, 5],
  ['a splash of Worcestershire sauce', 'anchovy_malt_sauce', 3, 12],
  // dairy and plant creams
  ['3 tbsp labneh', 'labneh', 42, 52],
  ['100 g quark', 'quark', 99, 101],
  ['2 tbsp cream cheese, softened', 'cream_cheese', 26, 33],
  ['60 ml single cream', 'cream_single', 58, 63],
  ['½ cup half-and-half', 'half_and_half', 115, 132],
  ['200 ml kefir', 'kefir', 200, 212],
  ['50 g ricotta', 'ricotta', 49, 51],
  ['40 g soft goat cheese', 'goat_cheese', 39, 41],
  ['2 tbsp grated pecorino', 'pecorino', 10, 15],
  ['½ cup coconut cream', 'coconut_cream', 115, 132],
  ['100 g soya yoghurt', 'soy_yoghurt', 99, 101],
  ['60 ml oat cream', 'oat_cream', 58, 63],
  ['a dollop of mascarpone', 'mascarpone', 12, 42],
  ['1 tbsp almond butter', 'almond_butter', 14, 18],
  ['1 katori hung curd', 'yoghurt_greek', 110, 210],
  ['2 tbsp milk powder', 'milk_powder', 13, 17],
  // oils and fats
  ['90 ml vegetable oil', 'vegetable_oil', 80, 85],
  ['1 tbsp corn oil', 'corn_oil', 13, 15],
  ['2 tsp chilli oil', 'chilli_oil', 8.5, 10],
  ['1 tbsp oil from the anchovies', 'anchovy_oil', 13, 15],
  ['2 tbsp melted butter', 'butter', 26, 31],
  ['1 tbsp bacon fat', 'bacon_fat', 12.5, 15],
  // sweet
  ['1 tbsp golden syrup', 'golden_syrup', 19, 23],
  ['2 tsp black treacle', 'treacle', 13, 15.5],
  ['1 tsp jaggery', 'jaggery', 3, 5],
  ['1 tbsp hot honey', 'honey_hot', 19, 23],
  ['1 heaped tsp marmalade', 'marmalade', 7, 14],
  ['2 tsp apricot jam', 'jam_apricot', 11, 15],
  ['1 tbsp stem ginger syrup', 'ginger_syrup', 18, 22],
  ['1 tsp demerara sugar', 'sugar_demerara', 4, 5],
  // heat, herbs, spices
  ['1 serrano chile, minced', 'serrano', 4, 9],
  ['2 green chillies', 'jalapeno', 18, 36],
  ['1 tsp za’atar', 'zaatar', 1.7, 2.6],
  ['a pinch of chaat masala', 'chaat_masala', 0.08, 0.4],
  ['½ tsp smoked paprika', 'paprika_smoked', 0.9, 1.5],
  ['1 tsp dried mint', 'mint_dry', 0.6, 1.3],
  ['1 tsp Italian seasoning', 'italian_herbs', 0.7, 1.4],
  ['a pinch of saffron', 'saffron', 0.01, 0.3],
  ['10 g chervil', 'chervil', 9.9, 10.1],
  ['a handful of sorrel', 'sorrel', 8, 30],
  ['30 g watercress', 'watercress', 29, 31],
  ['a handful of arugula', 'rocket', 8, 30],
  ['20 g ramps', 'garlic_wild', 19, 21],
  ['1 stalk lemongrass', 'lemongrass', 5, 20],
  ['6 sage leaves', 'sage', 1.5, 3.5],
  ['1 stick of celery', 'celery', 28, 60],
  ['4 cloves roasted garlic', 'garlic_roasted', 11, 24],
  ['1 tbsp freshly grated horseradish root', 'horseradish_fresh', 5, 9],
  ['2 tbsp creamed horseradish', 'horseradish_cream', 27, 35],
  // care changes what is left of a piece, not what was weighed
  ['1 shallot, sweated', 'shallot', 12, 24],
  ['30 g shallot, sweated', 'shallot', 30, 30],
  ['1 jalapeño, deseeded', 'jalapeno', 10, 13],
  ['2 roasted peppers', 'pepper_roasted', 100, 300],
  ['4 cloves garlic, roasted', 'garlic', 8, 10],
  // thickeners and other helpers
  ['1 tsp cornstarch', 'cornflour', 2.2, 3.2],
  ['1 tbsp cornflour', 'cornflour', 7, 9],
  ['¼ tsp xanthan gum', 'xanthan', 0.4, 1.2],
  ['1 tsp citric acid', 'citric_acid', 4, 5.5],
  ['2 hard-boiled egg yolks, sieved', 'egg_yolk_boiled', 28, 40],
  ['1 hard-boiled egg, chopped', 'egg_boiled', 44, 60],
  ['2 egg whites', 'egg_white', 54, 78],
  // sums and differences
  ['1 cup minus 2 tbsp yoghurt', 'yoghurt_whole', 215, 235],
  ['½ cup less 1 tbsp olive oil', 'olive_ev', 96, 106],
  ['2 tbsp plus 1 tsp tahini', 'tahini', 34, 39],
  ['100 g plus 1 tbsp honey', 'honey', 119, 123],
  // amounts, sizes and hedges of every kind
  ['two and a half tablespoons of olive oil', 'olive_ev', 31, 37],
  ['a third of a cup of buttermilk', 'buttermilk', 80, 92],
  ['three quarters of a teaspoon of salt', 'salt_table', 3.8, 5.2],
  ['one half cup of tahini', 'tahini', 115, 140],
  ['a cup and a quarter of yoghurt', 'yoghurt_whole', 300, 335],
  ['1 (50 g) tin anchovies, drained', 'anchovy', 25, 50],
  ['two 400 g tins of chickpeas, drained', 'chickpeas_cooked', 400, 560],
  ['a 200 g tub of crème fraîche', 'creme_fraiche', 198, 202],
  ['2 x 20 g packets of parmesan', 'parmesan', 39, 41],
  ['3 tbsp (45 ml) lime juice', 'lime_juice', 44, 48],
  ['about 60 ml cider vinegar', 'vin_cider5', 58, 63],
  ['roughly 2 tbsp honey', 'honey', 38, 46],
  ['scant tablespoon of Dijon', 'mustard_dijon', 12.5, 16],
  ['a generous teaspoon of capers', 'capers', 2.5, 7],
  ['a heaped teaspoon of wholegrain mustard', 'mustard_grain', 5, 11],
  ['2-3 tbsp water', 'water', 30, 45],
  ['2 to 3 cloves garlic', 'garlic', 6, 12],
  ['a few sprigs of thyme', 'thyme_fresh', 0.5, 8],
  ['a small bunch of chives', 'chives', 5, 40],
  ['a handful of basil leaves', 'basil', 5, 30],
  ['12 mint leaves', 'mint', 2, 8],
  ['4 sprigs of dill', 'dill', 0.5, 10],
  ['a small shallot, finely diced', 'shallot', 12, 30],
  ['half a red onion', 'onion_red', 40, 80],
  ['1 fat clove of garlic, crushed', 'garlic', 5, 8],
  ['a thumb of ginger', 'ginger', 10, 40],
  ['the juice of 2 lemons', 'lemon_juice', 60, 120],
  ['juice of half an orange', 'orange_juice', 25, 60],
  ['zest of half a lime', 'lime_zest', 0.5, 4],
  ['the yolks of three eggs', 'egg_yolk', 45, 60],
  ['caster sugar, 1 tsp', 'sugar_white', 3.5, 5.5],
  ['1 tbsp scallions, sliced', 'scallion', 3, 10],
  ['1 tbsp cilantro, chopped', 'cilantro', 1, 7],
  ['2 tbsp double cream', 'cream', 28, 32],
  ['3 tbsp curd', 'yoghurt_whole', 42, 50],
  ['1 tsp coriander seeds, toasted', 'coriander_seed', 1.2, 2.5],
  ['1 gherkin, chopped', 'gherkin', 20, 45],
  ['1 dessertspoon of redcurrant jelly', 'jelly_redcurrant', 11, 16],
  ['15 g salted peanuts', 'peanuts', 14.9, 15.1],
  ['1 tbsp groundnut oil', 'peanut_oil', 13, 15],
  ['2 tbsp rapeseed oil or sunflower oil', 'rapeseed', 26, 29],
  ['1 tbsp honey or agave', 'honey', 19, 23],
  ['2 tsp Dijon or English mustard', 'mustard_dijon', 9, 12],
  ['1 tbsp white or red wine vinegar', 'vin_whitewine6', 14, 16.5],
  ['1 tsp sea salt or kosher salt', 'salt_sea_fine', 4, 8],
  ['another splash of water', 'water', 2, 12],
  ['one more pinch of salt', 'salt_table', 0.2, 0.8],
  ['a tiny bit of cayenne', 'cayenne', 0.05, 1.2],
  ['a dash of fish sauce', 'fish_sauce', 0.4, 2],
  ['a drop of toasted sesame oil', 'sesame_toasted', 0.02, 0.2],
  ['a knob of butter', 'butter', 10, 20],
  ['a ladle of stock', 'stock', 60, 130],
  ['1 pint buttermilk', 'buttermilk', 480, 600],
  ['0.25 l olive oil', 'olive_ev', 225, 232],
  ['½ tsp freshly ground black pepper', 'black_pepper', 0.9, 1.6],
  ['10 grinds of pepper', 'black_pepper', 0.3, 1.6],
  ['1 TL honey', 'honey', 6, 8],
  ['2 EL olive oil', 'olive_ev', 26, 29],
  ['3 parts olive oil', 'olive_ev', 75, 90],
  ['100 g silken tofu, drained', 'tofu_silken', 99, 101],
  ['1 ripe avocado', 'avocado', 90, 200],
  ['2 tbsp mayo', 'mayo_full', 26, 32],
  ['1 tbsp nutritional yeast', 'nutritional_yeast', 3, 9],
  ['1 tbsp sun-dried tomatoes, chopped', 'sundried_tomato', 6, 18],
  ['hot water, 2 tbsp', 'water', 29, 31],
  ['2 tbsp really good balsamic vinegar', 'vin_balsamic', 30, 36],
  ['1 cup loosely packed parsley', 'parsley', 12, 65],
  ['30 g rocket, chopped', 'rocket', 29, 31],
  ['2 tsp poppy seeds', 'poppy_seed', 4, 8],
  // two in one
  ['zest and juice of 2 limes', 'lime_zest', 2, 8, 'lime_juice', 44, 80],
  ['the finely grated zest and juice of half a lemon', 'lemon_zest', 1, 5, 'lemon_juice', 14, 32],
  ['1 grapefruit, juice and zest', 'unread', 0, 0],
  ['2 limes (zest and juice)', 'lime_zest', 2, 8, 'lime_juice', 44, 80],
  ['1 lemon, juiced and zested', 'lemon_zest', 2, 9, 'lemon_juice', 28, 60],
  ['1 tbsp each chopped parsley and chives', 'parsley', 2, 6, 'chives', 2, 6],
  ['½ tsp each of cumin, paprika and sumac', 'cumin', 0.8, 1.4, 'paprika', 0.9, 1.6, 'sumac', 0.8, 2],
  ['a pinch each of salt and sugar', 'salt_table', 0.2, 0.8, 'sugar_white', 0.15, 0.6],
  ['1 tsp salt and black pepper', 'salt_table', 5, 7, 'black_pepper', 1.7, 3],
  ['sea salt and freshly ground black pepper, to taste', 'salt_sea_fine', 0, 0, 'black_pepper', 0, 0],
];

describe('lines as they are said', () => {
  it.each(LINES.map((row) => [row] as const))('“%s”', ([text, ...expected]) => {
    const found = said(text);
    if (expected[0] === 'unread') {
      expect(found[0]![0]).toMatch(/^unread/);
      return;
    }
    expect(found.map(([id]) => id)).toEqual(expected.filter((one) => typeof one === 'string'));
    found.forEach(([id, massG], n) => {
      const [low, high] = [expected[3 * n + 1] as number, expected[3 * n + 2] as number];
      expect(massG, id).toBeGreaterThanOrEqual(low);
      expect(massG, id).toBeLessThanOrEqual(high);
    });
  });
});

const AMOUNTS = [
  ['two tablespoons', 30],
  ['2 tbsp', 30],
  ['two and a half tablespoons', 37.5],
  ['half a cup', 125],
  ['1/4 cup', 62.5],
  ['three quarters of a cup', 187.5],
  ['a teaspoon', 5],
  ['1½ tsp', 7.5],
  ['40 ml', 40],
  ['0.5 dl', 50],
  ['one dessertspoon', 10],
  ['a cup and a half', 375],
] as const;
const POURED = [
  'olive oil',
  'rapeseed oil',
  'cider vinegar',
  'sherry vinegar',
  'soy sauce',
  'buttermilk',
  'maple syrup',
] as const;
const WRAPPED = [
  (amount: string, name: string) => `${amount} ${name}`,
  (amount: string, name: string) => `${amount} of ${name}`,
  (amount: string, name: string) => `${amount} of really good ${name}`,
  (amount: string, name: string) => `- ${amount} ${name}, if you like`,
  (amount: string, name: string) => `another ${amount.replace(/^an? |^one /, '')} of ${name}`,
] as const;

describe('any amount of anything poured', () => {
  it('weighs its volume, however it is wrapped in words', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...AMOUNTS),
        fc.constantFrom(...POURED),
        fc.constantFrom(...WRAPPED.slice(0, 4)),
        ([amount, ml], name, wrap) => {
          const [plain] = said(`${ml} ml ${name}`);
          const [found] = said(wrap(amount, name));
          expect(found![0]).toBe(plain![0]);
          // Cups and spoons of some things were weighed: they need not agree with their density to the gram.
          expect(Math.abs(found![1] / plain![1] - 1)).toBeLessThan(0.04);
        },
      ),
      { numRuns: 150 },
    );
  });

  it('twice the number is twice the weight', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 60 }),
        fc.constantFrom('g', 'ml', 'tbsp', 'tsp', 'cup'),
        fc.constantFrom(...POURED),
        (count, unit, name) => {
          const [[, once], [, twice]] = [
            said(`${count} ${unit} ${name}`)[0]!,
            said(`${count * 2} ${unit} ${name}`)[0]!,
          ];
          expect(twice).toBeCloseTo(2 * once, 6);
        },
      ),
    );
  });
});

describe('two in one', () => {
  it('is never fewer words than were said: what cannot be parted is kept as one line', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 60 }), (text) => {
        expect(readLines(text, context).length).toBeGreaterThan(0);
      }),
    );
    expect(said('salt and vinegar crisps')).toHaveLength(1);
    expect(said('1 tbsp each of moonlight and sand')).toHaveLength(1);
  });
});
