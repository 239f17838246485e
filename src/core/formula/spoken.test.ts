import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { measuringWith, REFERENCE_CATALOGUE } from '#core/ingredient';
import { readLine, type AdditionLine } from './readAddition';

const context = {
  catalogue: REFERENCE_CATALOGUE,
  measuring: measuringWith('metric'),
  decimalSign: 'point',
} as const;
const read = (text: string): AdditionLine => readLine(text, context);
const grams = (text: string): number => {
  const { reading } = read(text);
  if (reading.status !== 'read') throw new Error(`${text}: ${JSON.stringify(reading.problem)}`);
  return reading.massG.nominal;
};

/** Spoken words, and the same said plainly; what the words mean is common practice. */
const SAME: readonly (readonly [string, string])[] = [
  ['one third of a cup of honey', '1/3 cup honey'],
  ['two fifths of a cup of water', '0.4 cup water'],
  ['five eighths of a cup of grapeseed oil', '5/8 cup grapeseed oil'],
  ['a sixth of a teaspoon of salt', '1/6 tsp salt'],
  ['three and two thirds cups of buttermilk', '3 2/3 cup buttermilk'],
  ['a dessertspoon and a half of tahini', '1.5 dessertspoon tahini'],
  ['2 and a half tablespoons maple syrup', '2.5 tbsp maple syrup'],
  ['half of a teaspoon paprika', '1/2 tsp paprika'],
  ['a couple of tablespoons of honey', '2 tbsp honey'],
  ['a couple of tablespoons plus 1 teaspoon honey', '2 tbsp plus 1 tsp honey'],
  ['another tablespoon of lime juice', '1 tbsp lime juice'],
  ['2 more teaspoons of sugar', '2 tsp sugar'],
  ['3 tbsp (48 g) tahini', '48 g tahini'],
  ['20 ml (4 tsp) lemon juice', '20 ml lemon juice'],
  ['100 g (3½ oz) soured cream', '100 g soured cream'],
  ['2 cloves (7 g) garlic', '7 g garlic'],
  ['1 heaped cup (30 g) basil', '30 g basil'],
  ['two 30 g tubes tomato paste', '60 g tomato paste'],
  ['3 x 15 ml rice vinegar', '45 ml rice vinegar'],
  ['6 mint leaves', '6 leaves mint'],
  ['2 thyme sprigs', '2 sprigs thyme'],
  ['the yolks of 2 eggs', '2 egg yolks'],
  ['3 extra fresh egg yolks', '3 egg yolks'],
  ['finely grated zest of 1 lime', 'zest of 1 lime'],
  ['the rind of half an orange', 'zest of half an orange'],
  ['a bulb of garlic', '12 cloves garlic'],
  ['2 EL honey', '2 tbsp honey'],
  ['90 ml really lovely extra virgin olive oil', '90 ml extra virgin olive oil'],
  ['2 tbsp top-quality sherry vinegar', '2 tbsp sherry vinegar'],
  ['1 tbsp cold boiled water', '1 tbsp water'],
  ['1 cup unsweetened natural Greek yoghurt', '1 cup Greek yoghurt'],
  ['1 tbsp light, mild-flavoured olive oil', '1 tbsp light olive oil'],
  ['60 ml grapeseed or sunflower oil', '60 ml grapeseed oil'],
  ['2 tsp honey or maple syrup', '2 tsp honey'],
  ['1 tbsp cider or sherry vinegar', '1 tbsp cider vinegar'],
  ['1 tsp honey or 2 tsp sugar', '1 tsp honey'],
];

/** What is poured or dropped by eye: an ingredient, and grams that a hand may well take. */
const LOOSE: readonly (readonly [string, string, number, number])[] = [
  ['a squeeze of lime', 'lime_juice', 3, 12],
  ['a big squeeze of orange', 'orange_juice', 3, 20],
  ['two good glugs of rapeseed oil', 'rapeseed', 20, 90],
  ['a dollop of soured cream', 'soured_cream', 12, 45],
  ['a drizzle of honey', 'honey', 4, 22],
  ['a tiny drizzle of walnut oil', 'walnut_oil', 0.8, 10],
  ['a heaped spoonful of tahini', 'tahini', 6, 40],
  ['a touch of maple syrup', 'maple', 2, 14],
  ['a little bit of salt', 'salt_table', 0.2, 2],
  ['3 cm of ginger', 'ginger', 6, 25],
  ['a 2-inch piece of ginger', 'ginger', 10, 45],
];

describe('what cooks say', () => {
  it.each(SAME)('“%s” is %s', (spoken, plain) => {
    const [a, b] = [read(spoken), read(plain)];
    expect(a.reading).toMatchObject({ status: 'read' });
    expect(a.ingredientId).toBe(b.ingredientId);
    expect(grams(spoken)).toBeCloseTo(grams(plain), 6);
  });

  it.each(LOOSE)('“%s” is some %s', (spoken, id, low, high) => {
    const line = read(spoken);
    if (line.reading.status !== 'read') throw new Error(JSON.stringify(line.reading.problem));
    expect(line.ingredientId).toBe(id);
    const { massG } = line.reading;
    expect(massG.nominal).toBeGreaterThanOrEqual(low);
    expect(massG.nominal).toBeLessThanOrEqual(high);
    expect(massG.high / massG.low).toBeGreaterThan(1.5);
  });

  it.each([
    ['40 g beechnuts', 'beechnuts'],
    ['30 ml elderflower wine', 'elderflower wine'],
    ['10 g grape seeds', 'grape seeds'],
    ['1 cup rice wine lees', 'rice wine lees'],
    ['2 tbsp walnut ketchup paste', 'walnut ketchup paste'],
  ])('“%s” is nothing rather than something else', (text, said) => {
    const { reading, ingredientText } = read(text);
    expect(reading).toMatchObject({ status: 'unread', problem: { code: 'unknown-ingredient' } });
    expect(ingredientText).toContain(said);
  });

  it('a tin is what stays of it in the sieve, with both words kept', () => {
    const line = read('1 (400 g) tin white beans, drained and rinsed');
    expect([line.amountText, line.form]).toEqual(['400 g', 'drained and rinsed, tin']);
    expect(grams('1 (400 g) tin white beans, drained and rinsed')).toBeCloseTo(240, 6);
    expect(grams('400 g tin of coconut milk')).toBeCloseTo(400, 6);
  });

  it('what cannot be weighed is asked for, with answers that are read', () => {
    const asked = (text: string): readonly string[] => {
      const { reading } = read(text);
      return reading.status === 'unread' && 'amounts' in reading.problem
        ? (reading.problem.amounts ?? [])
        : [];
    };
    for (const [text, name, first] of [
      ['a jar of pesto', 'pesto', '190 g'],
      ['2 tins of anchovies', 'anchovies', '800 g'],
      ['a tub of yoghurt', 'yoghurt', '150 g'],
      ['90 olive oil', 'olive oil', '90 ml'],
      ['2 honey', 'honey', '2 tsp'],
      ['3 fillets of paprika', 'paprika', '3 tsp'],
    ] as const) {
      expect(asked(text)[0], text).toBe(first);
      for (const amount of asked(text)) expect(grams(`${amount} ${name}`), amount).toBeGreaterThan(0);
    }
    // Nothing is asked where the name itself is not known, or a pack's size was said.
    expect(asked('a jar of moonlight')).toEqual([]);
    expect(asked('1 (190 g) jar pesto')).toEqual([]);
  });

  it('two amounts that differ by more than a sixth are asked about, others are not', () => {
    const doubts = (text: string): readonly string[] => {
      const { reading } = read(text);
      return reading.status === 'read' ? reading.doubts.map(({ code }) => code) : ['unread'];
    };
    expect(doubts('1 tbsp (45 g) honey')).toEqual(['amounts-differ']);
    expect(doubts('1 tbsp (21 g) honey')).toEqual([]);
    expect(doubts('60 ml lemon juice or white wine vinegar')).toEqual(['first-of-two']);
  });
});

describe('a line', () => {
  const praise = fc.constantFrom(
    'really good',
    'best-quality',
    'lovely',
    'your favourite'.slice(5),
    'decent',
    'proper',
  );
  const plain = fc.constantFrom(
    '60 ml olive oil',
    '2 tbsp cider vinegar',
    '1 tsp dijon mustard',
    '40 g tahini',
    '½ cup buttermilk',
  );
  it('is read the same with a word of praise in it', () => {
    fc.assert(
      fc.property(plain, praise, (text, word) => {
        const [, amount, name] = /^(\S+ \S+) (.+)$/.exec(text)!;
        const praised = `${amount!} ${word} ${name!}`;
        expect(read(praised).ingredientId).toBe(read(text).ingredientId);
        expect(grams(praised)).toBeCloseTo(grams(text), 9);
      }),
    );
  });

  it('weighs twice as much for twice the number', () => {
    const number = fc.integer({ min: 1, max: 400 });
    const rest = fc.constantFrom(
      'g salt',
      'tbsp honey',
      'tsp (dessert) sugar'.slice(0, 3) + ' sugar',
      'egg yolks',
      'cloves garlic',
      'ml olive oil',
    );
    fc.assert(
      fc.property(number, rest, (n, words) => {
        expect(grams(`${2 * n} ${words}`)).toBeCloseTo(2 * grams(`${n} ${words}`), 6);
      }),
    );
  });

  it('loses no word: what was typed stands in its amount, its name or its form', () => {
    const lines = fc.constantFrom(...SAME.map(([spoken]) => spoken), ...LOOSE.map(([spoken]) => spoken));
    const worn = new Set([
      'a',
      'an',
      'the',
      'of',
      'and',
      'x',
      'yolks',
      'eggs',
      'bulb',
      'rind',
      'inch',
      'piece',
      'more',
      'another',
      'sprigs',
      'leaves',
    ]);
    fc.assert(
      fc.property(lines, (text) => {
        const line = read(text);
        const kept =
          `${line.amountText} ${line.ingredientText} ${line.form} ${line.ingredientId ?? ''}`.toLowerCase();
        const lost = text
          .toLowerCase()
          .split(/[^\p{L}]+/u)
          .filter((word) => word.length > 1 && !worn.has(word) && !kept.includes(word.replace(/s$/, '')));
        // Numbers in words become the count of the amount.
        expect(lost.filter((word) => !/^(?:two|one|three|five|el|tubes?)$/.test(word))).toEqual([]);
      }),
    );
  });
});
