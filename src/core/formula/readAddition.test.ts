import { describe, expect, it } from 'vitest';
import { measuringWith, REFERENCE_CATALOGUE } from '#core/ingredient';
import type { SpoonSystem } from '#core/quantity';
import { readLine } from './readAddition';

const context = (spoons: SpoonSystem = 'us') =>
  ({ catalogue: REFERENCE_CATALOGUE, measuring: measuringWith(spoons), decimalSign: 'point' }) as const;

function mass(text: string, spoons: SpoonSystem = 'us') {
  const { reading } = readLine(text, context(spoons));
  if (reading.status !== 'read') throw new Error(`“${text}”: ${reading.problem.code}`);
  return { id: reading.ingredient.id as string, ...reading.massG, doubts: reading.doubts };
}

describe('a typed line to grams', () => {
  // Unit weights are table values; loose measures are common practice.
  it.each([
    ['90 ml extra-virgin olive oil', 'olive_ev', 82.17, 82.17, 82.17],
    ['30 ml vin_redwine6', 'vin_redwine6', 30.3, 30.3, 30.3],
    ['1 tsp salt_table', 'salt_table', 6.0, 6.0, 6.0],
    ['1 tbsp salt', 'salt_table', 18.0, 18.0, 18.0],
    ['1 tsp flaky kosher salt', 'salt_kosher_flaky', 2.8, 2.8, 2.8],
    ['1 fat clove', 'garlic', 6, 5, 8],
    ['1 clove garlic', 'garlic', 3, 2, 5],
    ['1 small shallot', 'shallot', 20, 12, 30],
    ['juice of 1 lemon', 'lemon_juice', 48, 30, 60],
    ['juice of ½ lemon', 'lemon_juice', 24, 15, 30],
    ['juice of 1 lime', 'lime_juice', 38, 20, 50],
    ['zest of 1 lime', 'lime_zest', 4, 4, 4],
    ['3 fillets', 'anchovy', 12, 9, 15],
    ['1 yolk', 'egg_yolk', 17, 14, 20],
    ['a grind of pepper', 'black_pepper', 0.05, 0.03, 0.15],
    ['a knob of ginger', 'ginger', 15, 10, 20],
    ['a handful of basil leaves', 'basil', 15, 8, 30],
    ['a pinch of salt', 'salt_table', 0.366, 0.244, 0.732],
    ['salt to taste', 'salt_table', 0, 0, 0],
    ['2 tbsp finely chopped dill', 'dill', 6, 6, 6],
    ['1 cup basil leaves', 'basil', 24, 24, 24],
    ['olive oil 90 ml', 'olive_ev', 82.17, 82.17, 82.17],
    ['1 tsp caster sugar', 'sugar_white', 4.2, 4.2, 4.2],
  ])('%s', (text, id, nominal, low, high) => {
    const read = mass(text);
    expect(read.id).toBe(id);
    expect(read.nominal).toBeCloseTo(nominal, 1);
    expect(read.low).toBeCloseTo(low, 1);
    expect(read.high).toBeCloseTo(high, 1);
  });

  it('measures with the formula’s own spoons', () => {
    const systems = ['us', 'metric', 'imperial', 'au'] as const;
    expect(systems.map((spoons) => mass('1 tbsp water', spoons).nominal.toFixed(1))).toEqual([
      '14.8',
      '15.0',
      '17.7',
      '20.0',
    ]);
    expect(mass('1 tsp salt', 'metric').nominal).toBeCloseTo(6.086, 2);
  });

  it('asks whether ounces of a liquid are weight or volume, and of a solid does not', () => {
    const oil = mass('3 oz olive oil');
    expect(oil.doubts[0]?.code).toBe('ounce-weight-or-volume');
    expect(oil.low).toBeCloseTo(81.0, 1);
    expect(oil.high).toBeCloseTo(85.05, 1);
    expect(mass('3 oz by weight olive oil').doubts).toEqual([]);
    expect(mass('3 oz parmesan').doubts).toEqual([]);
  });

  it('keeps form apart and tells a guess from a name', () => {
    expect(readLine('1 clove garlic, grated to a paste', context())).toMatchObject({
      amountText: '1 clove',
      ingredientId: 'garlic',
      form: 'grated to a paste',
    });
    expect(readLine('10 ml fresh lemon juice', context())).toMatchObject({
      ingredientId: 'lemon_juice',
      form: 'fresh',
    });
    expect(mass('1 lemon').doubts[0]?.code).toBe('counted-as');
    expect(mass('10 g hemp seed and sumac'.replace('hemp seed and ', '')).doubts).toEqual([]);
  });

  it.each([
    ['90 ml dragon oil', 'unknown-ingredient'],
    ['10 ml vinegar', 'ambiguous-ingredient'],
    ['90 olive oil', 'no-unit'],
    ['3 fillets olive oil', 'no-unit-weight'],
    ['90 ml', 'no-ingredient'],
    ['vinegar', 'no-amount'],
    ['2000 kg water', 'too-large'],
  ])('keeps “%s” as typed and says %s', (text, code) => {
    const line = readLine(text, context());
    expect(line.reading).toMatchObject({ status: 'unread', problem: { code } });
    expect(`${line.amountText} ${line.ingredientText}`.trim()).toContain(text.split(' ').at(-1));
  });
});
