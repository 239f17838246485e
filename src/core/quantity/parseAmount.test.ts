import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { parseAmount } from './parseAmount';
import type { DecimalSign } from './readNumber';

/** [typed, nominal count, unit, low, high]; low and high default to the nominal. Common practice where loose. */
type Case = readonly [string, number, string, number?, number?];

const TABLE: readonly Case[] = [
  ['⅓ cup', 1 / 3, 'cup'],
  ['1/3 c', 1 / 3, 'cup'],
  ['1⁄3 cup', 1 / 3, 'cup'],
  ['1½ tsp', 1.5, 'tsp'],
  ['1 1/2 tsp', 1.5, 'tsp'],
  ['1 ½ teaspoons', 1.5, 'tsp'],
  ['½ tsp.', 0.5, 'tsp'],
  ['2 T', 2, 'tbsp'],
  ['2 t', 2, 'tsp'],
  ['0,5 l', 0.5, 'l'],
  ['0.5 l', 0.5, 'l'],
  ['.5 l', 0.5, 'l'],
  [',5 dl', 0.5, 'dl'],
  ['1,5 dl', 1.5, 'dl'],
  ['1.500,5 g', 1500.5, 'g'],
  ['1,500.5 g', 1500.5, 'g'],
  ['2-3 tbsp', 2.5, 'tbsp', 2, 3],
  ['2–3 tbsp', 2.5, 'tbsp', 2, 3],
  ['2 to 3 tbsp', 2.5, 'tbsp', 2, 3],
  ['3 to 2 tbsp', 2.5, 'tbsp', 2, 3],
  ['2 or 3 tbsp', 2.5, 'tbsp', 2, 3],
  ['½ to 1 tsp', 0.75, 'tsp', 0.5, 1],
  ['1½-2 cups', 1.75, 'cup', 1.5, 2],
  ['about 90 ml', 90, 'ml', 81, 99],
  ['approx. 90 ml', 90, 'ml', 81, 99],
  ['~90ml', 90, 'ml', 81, 99],
  ['roughly a cup', 1, 'cup', 0.9, 1.1],
  ['a pinch', 1, 'pinch'],
  ['pinch', 1, 'pinch'],
  ['two pinches', 2, 'pinch'],
  ['a couple of pinches', 2.5, 'pinch', 2, 3],
  ['couple pinches', 2.5, 'pinch', 2, 3],
  ['a few drops', 4, 'drop', 3, 5],
  ['a dash', 1, 'dash'],
  ['3 drops', 3, 'drop'],
  ['a grind', 1, 'grind'],
  ['6 grinds', 6, 'grind'],
  ['3 turns of the mill', 3, 'grind'],
  ['a handful', 1, 'handful'],
  ['a splash', 1, 'splash'],
  ['a knob', 1, 'knob'],
  ['scant tbsp', 0.9, 'tbsp'],
  ['a scant tbsp', 0.9, 'tbsp'],
  ['1 scant cup', 0.9, 'cup'],
  ['heaped tsp', 1.5, 'tsp', 1.3, 2],
  ['2 heaping tsp', 3, 'tsp', 2.6, 4],
  ['a level tablespoon', 1, 'tbsp'],
  ['a rounded tsp', 1.25, 'tsp', 1.1, 1.5],
  ['juice of ½ lemon', 0.5, 'juice'],
  ['the juice of half a lemon', 0.5, 'juice'],
  ['juice of a lime', 1, 'juice'],
  ['juice from 2 limes', 2, 'juice'],
  ['juice of 1-2 limes', 1.5, 'juice', 1, 2],
  ['zest of 1 lime', 1, 'zest'],
  ['1 fat clove', 1, 'clove'],
  ['5 to 6 cloves', 5.5, 'clove', 5, 6],
  ['half a clove', 0.5, 'clove'],
  ['3 fillets', 3, 'fillet'],
  ['1 small shallot', 1, 'each'],
  ['a large avocado', 1, 'each'],
  ['1 yolk', 1, 'yolk'],
  ['2 egg yolks', 2, 'yolk'],
  ['2 eggs', 2, 'egg'],
  ['1 whole egg', 1, 'egg'],
  ['4 sprigs', 4, 'sprig'],
  ['10 leaves', 10, 'leaf'],
  ['½ bunch', 0.5, 'bunch'],
  ['90 g', 90, 'g'],
  ['90g', 90, 'g'],
  ['90 grams', 90, 'g'],
  ['0.2 kg', 0.2, 'kg'],
  ['250 mg', 250, 'mg'],
  ['3 oz', 3, 'oz'],
  ['3 oz by weight', 3, 'ozWeight'],
  ['3 oz by volume', 3, 'floz'],
  ['8 fl oz', 8, 'floz'],
  ['8 fl. oz.', 8, 'floz'],
  ['8 fluid ounces', 8, 'floz'],
  ['¼ lb', 0.25, 'lb'],
  ['1 part', 1, 'part'],
  ['three parts', 3, 'part'],
  ['2 dessertspoons', 2, 'dessertspoon'],
  ['1 pint', 1, 'pint'],
  ['10 cl', 10, 'cl'],
  ['one and a half cups', 1.5, 'cup'],
  ['half a cup', 0.5, 'cup'],
  ['a dozen leaves', 12, 'leaf'],
  ['2\u00a0tbsp', 2, 'tbsp'],
  ['- 2 tbsp', 2, 'tbsp'],
  ['olive oil 90 ml', 90, 'ml'],
];

function read(text: string, sign: DecimalSign = 'point') {
  const parsed = parseAmount(text, sign);
  if (parsed.status !== 'read' || parsed.amount.kind !== 'measured')
    throw new Error(`“${text}” was not read`);
  return { ...parsed, term: parsed.amount.terms[0]!, terms: parsed.amount.terms };
}

describe('amounts as cooks say them', () => {
  it.each(TABLE.map((row) => ({ text: row[0], row })))('$text', ({ row }) => {
    const [text, nominal, unit, low = nominal, high = nominal] = row;
    const { term } = read(text);
    expect(term.unit).toBe(unit);
    expect(term.count.nominal).toBeCloseTo(nominal, 9);
    expect(term.count.low).toBeCloseTo(low, 9);
    expect(term.count.high).toBeCloseTo(high, 9);
  });

  it('knows enough phrasings to be tested on', () => {
    expect(TABLE.length).toBeGreaterThanOrEqual(80);
  });

  it('adds spoons that are said together', () => {
    expect(read('2 tbsp + 1 tsp').terms.map((term) => term.unit)).toEqual(['tbsp', 'tsp']);
    expect(read('1 cup plus 2 tbsp honey').rest).toBe('honey');
  });

  it('keeps size apart from number, and what follows apart from the amount', () => {
    const clove = read('1 fat clove garlic, grated to a paste');
    expect(clove.term.size).toBe('fat');
    expect(clove.amountText).toBe('1 fat clove');
    expect(clove.rest).toBe('garlic, grated to a paste');
    expect(read('1½ tsp of salt').rest).toBe('salt');
    expect(read('juice of ½ lemon, strained').amountText).toBe('juice of ½ lemon');
  });

  it('lets the decimal sign decide what 1,500 is, and says that it is doubtful', () => {
    expect(read('1,500 g', 'point').term.count.nominal).toBe(1500);
    expect(read('1,500 g', 'comma').term.count.nominal).toBe(1.5);
    expect(read('1,500 g', 'point').doubts).toEqual([
      { code: 'thousands-or-decimal', text: '1,500', takenAs: 1500 },
    ]);
    expect(read('1.500 g', 'comma').doubts).toHaveLength(1);
    expect(read('0,500 g').doubts).toEqual([]);
  });

  it('takes 1-1/2 for one and a half, and says so', () => {
    const parsed = read('1-1/2 tsp');
    expect(parsed.term.count.nominal).toBe(1.5);
    expect(parsed.doubts[0]?.code).toBe('mixed-or-range');
  });

  it('reads to taste wherever it stands', () => {
    for (const text of ['to taste', 'salt to taste', 'salt, to taste', 'to taste salt', 'pepper as needed']) {
      const parsed = parseAmount(text, 'point');
      expect(parsed).toMatchObject({ status: 'read', amount: { kind: 'to-taste' } });
    }
  });

  it.each([
    ['', 'empty'],
    ['   ', 'empty'],
    ['some', 'no-amount'],
    ['red wine vinegar', 'no-amount'],
    ['-5 g', 'negative'],
    ['1/0 cup', 'bad-number'],
    ['1.2.3 g', 'bad-number'],
    ['1//2 g', 'bad-number'],
    ['9999999999 g', 'too-large'],
    ['juice and zest of 1 lemon', 'two-things'],
  ])('refuses “%s” and says why', (text, code) => {
    expect(parseAmount(text, 'point')).toMatchObject({ status: 'unread', problem: { code } });
  });
});

describe('properties', () => {
  const units = ['g', 'ml', 'tsp', 'tbsp', 'cup', 'pinch', 'clove', 'part'];

  it('never throws and never gives NaN, whatever is typed', () => {
    const words = fc.constantFrom(
      '½',
      '1',
      ',',
      '.',
      '/',
      '-',
      ' ',
      'to',
      'tsp',
      'juice of',
      'a',
      'about',
      'g',
      '+',
      'e',
      '٣',
    );
    const typed = fc.oneof(
      fc.string(),
      fc.array(words, { maxLength: 12 }).map((list) => list.join(' ')),
      fc.array(words, { maxLength: 12 }).map((list) => list.join('')),
    );
    fc.assert(
      fc.property(typed, fc.constantFrom<DecimalSign>('point', 'comma'), (text, sign) => {
        const parsed = parseAmount(text, sign);
        if (parsed.status !== 'read' || parsed.amount.kind !== 'measured') return;
        for (const { count } of parsed.amount.terms) {
          expect(Number.isFinite(count.low + count.nominal + count.high)).toBe(true);
          expect(count.low).toBeLessThanOrEqual(count.nominal);
          expect(count.nominal).toBeLessThanOrEqual(count.high);
          expect(count.low).toBeGreaterThanOrEqual(0);
        }
      }),
      { numRuns: 3000 },
    );
  });

  it('reads the same number with comma and point', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 99 }),
        fc.integer({ min: 0, max: 99 }),
        fc.constantFrom(...units),
        (whole, part, unit) => {
          const decimals = String(part).padStart(2, '0');
          expect(read(`${whole},${decimals} ${unit}`).term).toEqual(
            read(`${whole}.${decimals} ${unit}`).term,
          );
        },
      ),
    );
  });

  it('loses no word: amount and rest together are what was typed', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 500 }),
        fc.constantFrom(...units),
        fc.constantFrom('honey', 'olive oil', 'dill, chopped'),
        (n, unit, name) => {
          const parsed = read(`${n} ${unit} ${name}`);
          expect(`${parsed.amountText} ${parsed.rest}`).toBe(`${n} ${unit} ${name}`);
        },
      ),
    );
  });
});
