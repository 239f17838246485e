import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { REFERENCE_CATALOGUE, REFERENCE_INGREDIENTS, type IngredientId } from '#core/ingredient';
import { exactly, range } from '#core/quantity';
import type { AdditionId, VesselId } from '#core/formula';
import { isCreamy } from './body';
import { PALATE_KEYS, palateContributions, palateOf, palateValue, type PalatePortion } from './measures';
import { nutritionOf } from './nutrition';
import { formFactor } from './pungency';
import { sayWhy } from '#words/finding';
import { sayNear, sayReason } from '#words/palate';
import { formulaFromStyle } from './startFromStyle';
import { STYLE_IDS, STYLE_RECIPES } from './styleRecipes';
import { STYLES, stylePortions, windowsFrom, withTypedRatio } from './styles';
import { sucroseEquivalentOf } from './sweetness';
import { nearestStyles } from './nearestStyles';
import { bandOfScore, verdictOf } from './verdict';

const ingredient = (id: string) => REFERENCE_CATALOGUE.get(id as IngredientId)!;
const g = (id: string, massG: number, form = ''): PalatePortion => ({
  ingredient: ingredient(id),
  massG: exactly(massG),
  form,
});
const ml = (id: string, volume: number): PalatePortion => g(id, volume * ingredient(id).spoonDensityGPerMl);
const style = (id: string) => STYLES.find((each) => each.id === id)!;

describe('measures', () => {
  it('honey is as sweet as 74.97 g of sucrose per 100 g (table × relative sweetness)', () => {
    expect(sucroseEquivalentOf(ingredient('honey')) * 100).toBeCloseTo(74.97, 1);
  });
  it('a sugar substitute is sweet and no sugar', () => {
    const portions = [g('water', 90), g('erythritol', 10)];
    expect(palateValue(portions, 'sweet')! * 100).toBeCloseTo(6.5, 6);
    expect(nutritionOf(portions)!.sugarsGPer100G).toBe(0);
  });
  it('says who brings a measure', () => {
    const [first, second] = palateContributions([g('mayo_full', 120), g('salt_table', 2.5)], 'salt');
    expect([first!.portion.ingredient.id, second!.portion.ingredient.id]).toEqual([
      'salt_table',
      'mayo_full',
    ]);
    expect(second!.amount).toBeCloseTo(1.93, 2);
  });
  it('form moves the bite and nothing else', () => {
    const clove = (form: string) => palateOf([g('water', 97), g('garlic', 3, form)]);
    const bites = ['whole, taken out after an hour', 'whole', 'sliced', 'minced', 'grated to a paste'].map(
      (form) => clove(form).garlic.value!,
    );
    expect(bites).toEqual([...bites].sort((a, b) => a - b));
    expect(clove('roasted').garlic.value!).toBeLessThan(clove('').garlic.value!);
    for (const key of PALATE_KEYS.filter((each) => each !== 'garlic')) {
      expect(clove('roasted')[key].value).toEqual(clove('')[key].value);
    }
    expect([formFactor('heat', 'without seeds'), formFactor('heat', 'finely chopped')]).toEqual([0.5, 1]);
  });
  it('carries loose amounts through to a range', () => {
    const loose: PalatePortion = { ...g('salt_table', 2), massG: range(2, 1, 4) };
    const { value, range: bounds } = palateOf([g('water', 98), loose]).salt;
    expect([bounds.low! < value!, value! < bounds.high!]).toEqual([true, true]);
    expect(bounds.high).toBeCloseTo((4 * 0.996) / 102, 9);
  });
  it('scaling and order change nothing', () => {
    const portion = fc
      .tuple(fc.constantFrom(...REFERENCE_INGREDIENTS), fc.double({ min: 0.1, max: 200, noNaN: true }))
      .map(([found, massG]): PalatePortion => ({ ingredient: found, massG: exactly(massG), form: '' }));
    fc.assert(
      fc.property(
        fc.array(portion, { minLength: 1, maxLength: 10 }),
        fc.double({ min: 0.1, max: 40, noNaN: true }),
        (portions, k) => {
          const scaled = [...portions]
            .reverse()
            .map((each) => ({ ...each, massG: exactly(each.massG.nominal * k) }));
          for (const key of PALATE_KEYS) {
            const [a, b] = [palateValue(portions, key), palateValue(scaled, key)];
            if (a !== null && b !== null)
              expect(Math.abs(b - a)).toBeLessThanOrEqual(1e-9 * Math.max(1, Math.abs(a)));
          }
        },
      ),
    );
  });
  it('tells creamy from clear', () => {
    expect(isCreamy([ml('olive_ev', 90), ml('vin_cider5', 30)])).toBe(false);
    expect(isCreamy([g('buttermilk', 200), g('soured_cream', 120)])).toBe(true);
    expect(isCreamy([g('egg_yolk', 17), g('sunflower', 160)])).toBe(true);
    expect(isCreamy([])).toBeNull();
  });
});

describe('styles', () => {
  it.each(STYLE_IDS)('%s holds its own dressings', (id) => {
    for (const portions of stylePortions(id, REFERENCE_CATALOGUE)) {
      expect(verdictOf(palateOf(portions), style(id))).toMatchObject({ score: 100, reasons: [] });
    }
  });
  it('rests on a dozen dressings each, and no two of them are the same', () => {
    for (const id of STYLE_IDS) {
      const { recipes } = STYLE_RECIPES[id];
      expect(recipes.length, id).toBeGreaterThanOrEqual(12);
      expect(new Set(recipes).size, id).toBe(recipes.length);
    }
  });
  // What cooks call so, per cent; common practice.
  it.each([
    ['classic_3_1', 'acid', 1.3, 1.9],
    ['classic_3_1', 'salt', 1, 1.6],
    ['sharp_2_1', 'fat', 53, 62],
    ['sweet_fruit', 'sweet', 10, 25],
    ['yolk_built', 'acid', 0.4, 1],
    ['tahini', 'salt', 1, 1.5],
  ] as const)('%s, %s: %d to %d lies inside', (id, key, low, high) => {
    const window = style(id).windows[key]!;
    expect(window.low * 100).toBeLessThanOrEqual(low);
    expect(window.high * 100).toBeGreaterThanOrEqual(high);
  });
  it('textbook dressings are served: mayonnaise, aioli, lemon and oil with a pinch of salt', () => {
    const score = (id: string, ...portions: Parameters<typeof palateOf>[0][number][]): number =>
      verdictOf(palateOf(portions), style(id)).score;
    const yolk = [g('egg_yolk', 17), ml('lemon_juice', 12)];
    expect(
      score('yolk_built', ...yolk, ml('sunflower', 180), g('mustard_dijon', 4), g('salt_table', 1.5)),
    ).toBeGreaterThanOrEqual(60);
    expect(
      score('yolk_built', ...yolk, ml('olive_ev', 150), g('garlic', 8), g('salt_table', 1.6)),
    ).toBeGreaterThanOrEqual(60);
    expect(
      score('lemon_oil', ml('olive_ev', 80), ml('lemon_juice', 40), g('salt_table', 1)),
    ).toBeGreaterThanOrEqual(60);
    // Something is really off.
    expect(score('classic_3_1', ml('olive_ev', 90), ml('vin_white5', 30), g('salt_table', 6))).toBeLessThan(
      40,
    );
  });
  it('seasoning is the cook’s own: a clove, a pinch of chilli or pepper more keeps its rank', () => {
    const base = [ml('olive_ev', 120), ml('vin_redwine6', 60), g('salt_table', 2.2), g('mustard_dijon', 10)];
    for (const id of ['sharp_2_1', 'brisk_1_5_1', 'classic_3_1'] as const) {
      const before = verdictOf(palateOf(base), style(id)).score;
      for (const more of [g('garlic', 5), g('chilli_flakes', 0.4), g('black_pepper', 0.6), g('parsley', 5)]) {
        const after = verdictOf(palateOf([...base, more]), style(id));
        expect(after.score, `${id} ${more.ingredient.id}`).toBeGreaterThanOrEqual(before - 3);
        expect(after.reasons.map(({ measure }) => measure)).not.toContain('garlic');
        expect(after.reasons.map(({ measure }) => measure)).not.toContain('heat');
      }
    }
    const harsh = verdictOf(palateOf([...base, g('garlic', 40)]), style('sharp_2_1'));
    expect(harsh.reasons.map(({ measure }) => measure)).toContain('garlic');
  });
  it('the schools’ ratios meet without a gap', () => {
    const windows = ['equal_mild', 'brisk_1_5_1', 'sharp_2_1', 'classic_3_1'].map(
      (id) => style(id).windows.ratio!,
    );
    windows.slice(1).forEach((window, i) => {
      expect(window.low).toBe(windows[i]!.high);
    });
  });
  it('a ratio the cook typed is the target', () => {
    const typed = withTypedRatio(style('classic_3_1'), 2);
    expect(typed.windows.ratio).toEqual({ low: 1.75, high: 2.25 });
    expect(withTypedRatio(typed, null)).toBe(typed);
  });
  it('a kitchen’s own style holds what it was made from', () => {
    const liked = [[ml('walnut_oil', 60), ml('vin_cider5', 30), g('salt_table', 1.4)]];
    const own = { id: 'own', name: 'Ours', says: '', windows: windowsFrom(liked, { sweet: true }) };
    expect(verdictOf(palateOf(liked[0]!), own).score).toBe(100);
  });
  it('a new formula can start from each', () => {
    let n = 0;
    for (const id of STYLE_IDS) {
      const formula = formulaFromStyle(
        id,
        'jar' as VesselId,
        REFERENCE_CATALOGUE,
        () => `a${++n}` as AdditionId,
      );
      expect(formula.additions.length).toBeGreaterThan(2);
      expect(formula.styleId).toBe(id);
    }
  });
});

describe('the style that fits best', () => {
  it('is its own, or among the three nearest, for every dressing that a style rests on', () => {
    let first = 0;
    let all = 0;
    for (const id of STYLE_IDS) {
      for (const portions of stylePortions(id, REFERENCE_CATALOGUE)) {
        const [one, ...others] = nearestStyles(portions, STYLES).slice(0, 3);
        all += 1;
        if (one!.style.id === id) first += 1;
        expect([one!, ...others].map(({ style: near }) => near.id)).toContain(id);
      }
    }
    // Some lie on the border of two schools: a blue-cheese sauce that is mostly cream.
    expect(first / all).toBeGreaterThan(0.85);
  });
  it('is no mayonnaise without an egg or what stands in for it, and nothing of an empty jar', () => {
    const oily = [ml('olive_ev', 90), ml('vin_redwine6', 30), g('salt_table', 1.4)];
    expect(nearestStyles(oily, STYLES)[0]!.style.id).toBe('classic_3_1');
    expect(nearestStyles([], STYLES)).toEqual([]);
  });
});

describe('a verdict explains itself', () => {
  const salty = [ml('olive_ev', 90), ml('vin_white5', 30), g('salt_table', 4)];
  const verdict = verdictOf(palateOf(salty), style('classic_3_1'));
  it('gives the weightiest reason first, with what to move', () => {
    expect(verdict.reasons[0]).toMatchObject({ measure: 'salt', direction: 'high' });
    expect(verdict.score).toBeLessThan(50);
    // Growing the batch by this share alone brings the salt to the window’s edge.
    const { value, high, growth } = verdict.reasons[0]!;
    expect(value / (1 + growth!)).toBeCloseTo(high, 12);
    expect(sayReason(verdict.reasons[0]!)).toMatch(
      /^Salt 3\.42 % salt is high: window 0\.\d\d to 1\.\d\d, 1\.\d\d too much/,
    );
    expect(sayWhy(verdict)).toMatch(/^Far too salty/);
    expect(sayNear(verdict.score, style('classic_3_1'))).toMatch(/^(Not quite|Far from) Classic, 3 : 1$/);
  });
  it('a hair outside is said to be a hair, not nothing', () => {
    const reason = verdict.reasons[0]!;
    expect(sayReason({ ...reason, moveBy: 1e-6 })).toContain('a hair too much');
  });
  it('scores mean something: 100 inside, from 60 served, below 40 really off', () => {
    expect([100, 99, 60, 59, 40, 39].map(bandOfScore)).toEqual([
      ...['inside', 'served', 'served', 'doubtful', 'doubtful', 'off'],
    ]);
  });
  it('too much counts for more than too little of what can be added at the table', () => {
    const { windows } = style('classic_3_1');
    const at = (salt: number): number => {
      const palate = palateOf([ml('olive_ev', 90), ml('vin_white5', 30), g('salt_table', 1.4)]);
      const value = { value: salt, range: { low: salt, high: salt } };
      return verdictOf(
        { ...palate, salt: value },
        { ...style('classic_3_1'), windows: { salt: windows.salt! } },
      ).loss;
    };
    expect(at(windows.salt!.high + 0.002)).toBeGreaterThan(at(windows.salt!.low - 0.002));
  });
  it('lists what it cannot judge as not judged', () => {
    const dry = verdictOf(palateOf([ml('olive_ev', 90)]), style('classic_3_1'));
    expect(dry.notJudged).toContain('ratio');
  });
});
