import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { mixedVolumeMlPerG } from '#core/composition';
import { PALATE, palateValue, type PalateKey, type Style } from '#core/palate';
import { exactly } from '#core/quantity';
import type { JudgedPortion } from '#core/reckoning';
import {
  COMPLAINTS,
  finish,
  PLANS,
  PlanSearch,
  searchRemedies,
  stateOf,
  withDoses,
  type RemedyRequest,
} from '.';
import { doseG, limitRows, measureRow } from './program';
import { dressing, mayAdd } from './testing';

const style = (windows: Style['windows']): Style => ({ id: 'test', name: 'Test', says: '', windows });
/** Windows of the worked cases. */
const CLASSIC = style({
  acid: { low: 0.012, high: 0.0205 },
  ratio: { low: 2.7, high: 3.5 },
  salt: { low: 0.012, high: 0.018 },
});

const request = (portions: readonly JudgedPortion[], about: Partial<RemedyRequest> = {}): RemedyRequest => ({
  portions,
  complaint: 'into-band',
  severity: 2,
  style: CLASSIC,
  roomMl: 250,
  mayAdd: mayAdd('olive_ev', 'vin_redwine6', 'water', 'salt_table'),
  allowAll: true,
  ...about,
});
const solve = (...args: Parameters<typeof request>) => finish(searchRemedies(request(...args)));

const salty = dressing('olive_ev 90ml, vin_redwine6 30ml, salt_table 4g, mustard_dijon 5g');

describe('rows of the program', () => {
  it('are those worked out by hand (arithmetic): 90 ml oil, 30 ml vinegar, 4 g salt, 5 g mustard', () => {
    const more = mayAdd('olive_ev', 'vin_redwine6');
    const [salt] = limitRows([measureRow('salt', salty, more)], { salt: { high: 0.018 } });
    // In per cent: −1.8 y1 − 1.8 y2 ≤ −208.754
    expect(salt!.coefficients.map((c) => c * 100)).toEqual([
      expect.closeTo(-1.8, 6),
      expect.closeTo(-1.8, 6),
    ]);
    expect(salt!.high! * 100).toBeCloseTo(-208.754, 2);
    const [ratio] = limitRows([measureRow('ratio', salty, more)], { ratio: { high: 3.5 } });
    expect(ratio!.coefficients[0]).toBeCloseTo(1.0953, 3);
    expect(ratio!.coefficients[1]).toBeCloseTo(-3.4653, 3);
    expect(ratio!.high!).toBeCloseTo(15, 2);
    const [acid] = limitRows([measureRow('acid', salty, more)], { acid: { high: 0.0205 } });
    expect(acid!.coefficients.map((c) => c * 100)).toEqual([
      expect.closeTo(-2.05, 3),
      expect.closeTo(3.9508, 2),
    ]);
    expect(acid!.high! * 100).toBeCloseTo(55.252, 1);
  });
});

describe('worked cases', () => {
  it('too salty at 3.52 %: 116 g of salt-free oil and vinegar (arithmetic), a batch 1.955 times as large', () => {
    expect(palateValue(salty, 'salt')! * 100).toBeCloseTo(3.519, 2);
    const { remedies } = solve(salty, { mayAdd: mayAdd('olive_ev', 'vin_redwine6') });
    const added = remedies[0]!.doses.reduce((sum, { massG }) => sum + massG, 0);
    expect(added).toBeGreaterThan(115.97 - 0.2);
    // Centring may add 5 % and half a gram per 100 g.
    expect(added).toBeLessThan(1.05 * 115.97 + 0.7);
    expect(remedies[0]!.effect.palate.ratio.value).toBeGreaterThan(2.7);
    expect((121.47 + 115.97) / 121.47).toBeCloseTo(1.955, 3);
  });

  it('says what 60 ml of room can reach, how much it would take, and which share to replace', () => {
    const { remedies, impossible } = solve(salty, { roomMl: 60, mayAdd: mayAdd('olive_ev', 'vin_redwine6') });
    // What fits goes part of the way, and says so.
    expect(remedies.map(({ partial }) => partial)).toEqual([true]);
    expect(remedies[0]!.effect.palate.salt.value! * 100).toBeCloseTo(2.42, 1);
    const [why] = impossible;
    expect(why!.moreRoom!.volumeMl).toBeGreaterThan(122);
    expect(why!.moreRoom!.volumeMl).toBeLessThan(126);
    const { dilution } = why!;
    expect(dilution!.reachable! * 100).toBeCloseTo(2.42, 1);
    expect(dilution!.growth).toBeCloseTo(0.955, 2);
    // f0 (1 − r) = f*: the arithmetic of replacing.
    expect(0.03519 * (1 - dilution!.replaceFraction)).toBeCloseTo(0.018, 4);
  });

  it('too sharp at 2.50 %: 43.674 g of oil, which is T (a0/a1 − 1) (arithmetic)', () => {
    const sharp = dressing('olive_ev 60ml, vin_redwine6 40ml, mustard_dijon 5g, salt_table 1.5g');
    const target = style({ acid: { low: 0, high: 0.0175 } });
    const asked = request(sharp, { style: target, mayAdd: mayAdd('olive_ev') });
    const before = stateOf(sharp);
    const search = new PlanSearch(asked, before, PLANS['into-band'][0]!, target.windows, asked.mayAdd);
    const [least] = search.leastAddition([0], search.limits)!;
    expect(Math.abs(least! - 43.674)).toBeLessThan(0.1);
    expect(least).toBeCloseTo(before.massG * (palateValue(sharp, 'acid')! / 0.0175 - 1), 4);
  });

  it('moves salt away from the edge where the least answer would park it', () => {
    const { remedies } = solve(dressing('olive_ev 60ml, vin_redwine6 40ml, salt_table 2.2g'));
    const { salt } = remedies[0]!.effect.palate;
    expect(salt.value!).toBeGreaterThan(0.012);
    expect(salt.value!).toBeLessThan(0.0179);
  });

  const GRID: readonly (readonly [
    what: string,
    jar: string,
    first: readonly [id: string, most: number, step: number],
    second: readonly [id: string, most: number, step: number],
    windows: Style['windows'],
  ])[] = [
    [
      'too sharp',
      'olive_ev 60ml, vin_redwine6 40ml, salt_table 1.7g',
      ['olive_ev', 120, 0.5],
      ['water', 40, 0.5],
      CLASSIC.windows,
    ],
    [
      'flat yoghurt',
      'yoghurt_whole 200g, olive_ev 20ml, lemon_juice 4ml, salt_table 0.8g',
      ['salt_table', 3, 0.02],
      ['vin_cider5', 30, 0.1],
      { salt: { low: 0.0079, high: 0.012 }, acid: { low: 0.0063, high: 0.0095 } },
    ],
    [
      'too sweet',
      'sunflower 120ml, vin_white5 60ml, sugar_white 62g, salt_table 3g',
      ['sunflower', 160, 1],
      ['vin_white5', 80, 1],
      { sweet: { low: 0.09, high: 0.2 }, sugarToAcid: { low: 6, high: 16 }, ratio: { low: 1.2, high: 2.25 } },
    ],
    [
      'bitter and oily',
      'olive_ev 120ml, vin_redwine6 26ml, salt_table 2g',
      ['sunflower', 120, 1],
      ['vin_redwine6', 60, 1],
      { bitter: { low: 0, high: 0.6 }, ratio: { low: 2.5, high: 3.5 }, acid: { low: 0.0125, high: 0.0197 } },
    ],
  ];
  it.each(GRID)('agrees with a search over a grid: %s', (_what, jar, first, second, windows) => {
    const portions = dressing(jar);
    const more = mayAdd(first[0], second[0]);
    const { remedies } = solve(portions, { style: style(windows), mayAdd: more, roomMl: null });
    const dose = more.map(({ ingredient }) => doseG(ingredient, stateOf(portions).massG));
    // What is least is kitchen steps plus one an ingredient: the same is asked of the grid.
    const cost = (grams: readonly number[]): number =>
      grams.reduce((sum, g, i) => sum + (g > 1e-9 ? 1 + g / dose[i]! : 0), 0);
    let least = Infinity;
    for (let a = 0; a <= first[1]; a += first[2]) {
      for (let b = 0; b <= second[1]; b += second[2]) {
        const after = withDoses(portions, [
          { mayAdd: more[0]!, massG: a },
          { mayAdd: more[1]!, massG: b },
        ]);
        const inside = (Object.keys(windows) as PalateKey[]).every((key) => {
          const value = palateValue(after, key)!;
          return value >= windows[key]!.low && value <= windows[key]!.high;
        });
        if (inside) least = Math.min(least, cost([a, b]));
      }
    }
    const asked = request(portions, { style: style(windows), mayAdd: more, roomMl: null });
    const search = new PlanSearch(asked, stateOf(portions), PLANS['into-band'][0]!, windows, more);
    const ours = Math.min(
      ...[[0], [1], [0, 1]].flatMap((subset) => {
        const y = search.leastAddition(subset, search.limits);
        return y ? [cost([0, 1].map((j) => y[subset.indexOf(j)] ?? 0))] : [];
      }),
    );
    expect(remedies.length).toBeGreaterThan(0);
    expect(ours).toBeLessThanOrEqual(least + 1e-6);
    // A step of the grid is all that the grid may be off by.
    expect(least - ours).toBeLessThan(first[2] / dose[0]! + second[2] / dose[1]! + 1e-6);
  });
});

describe('plans of a complaint', () => {
  const sharp = dressing('olive_ev 60ml, vin_redwine6 40ml, mustard_dijon 5g, salt_table 1.7g');
  const all = mayAdd(
    'olive_ev',
    'sunflower',
    'vin_redwine6',
    'lemon_juice',
    'water',
    'salt_table',
    'honey',
    'yoghurt_whole',
  );

  it('too sharp is diluted, covered or thinned; each does what it says', () => {
    const { remedies, before } = solve(sharp, {
      complaint: 'too-sharp',
      style: null,
      mayAdd: all,
      allowAll: false,
    });
    const byPlan = (id: string) => remedies.find(({ planId }) => planId === id)!;
    const acid = before.judgement.palate.acid.value!;
    expect(byPlan('dilute').effect.palate.acid.value).toBeLessThanOrEqual(acid * 0.85 + 1e-6);
    expect(byPlan('thin').effect.palate.salt.value).toBeGreaterThanOrEqual(
      before.judgement.palate.salt.value! - 1e-6,
    );
    expect(byPlan('cover').doses.map(({ mayAdd: { ingredient } }) => ingredient.id)).toContain('honey');
    expect(byPlan('cover').effect.palate.acid.value).toBeLessThanOrEqual(acid + 1e-9);
  });

  it('half a step takes less than a full one', () => {
    const least = (severity: 1 | 2): number =>
      solve(sharp, {
        complaint: 'too-sharp',
        style: null,
        severity,
        mayAdd: mayAdd('olive_ev'),
        allowAll: false,
      }).remedies.find(({ planId }) => planId === 'dilute')!.doses[0]!.massG;
    expect(least(1)).toBeLessThan(least(2));
  });

  it('says nothing of garlic where there is none, and keeps to the stock', () => {
    expect(solve(sharp, { complaint: 'harsh-garlic' }).meaningless).toBe(true);
    const little = [{ ...mayAdd('olive_ev')[0]!, stockG: 3 }];
    expect(solve(sharp, { complaint: 'too-sharp', mayAdd: little }).remedies).toHaveLength(0);
  });

  it('names what cannot be had together', () => {
    const { impossible } = solve(sharp, { mayAdd: mayAdd('vin_redwine6') });
    expect(impossible[0]!.inTheWay.length).toBeGreaterThan(0);
  });

  it('does not thin the acid round raw egg past the line', () => {
    const egg = dressing('egg_yolk 17g, sunflower 160g, vin_whitewine6 35g, salt_table 1.5g');
    const { remedies } = solve(egg, { complaint: 'too-sharp', style: null, mayAdd: all, allowAll: false });
    expect(remedies.length).toBeGreaterThan(0);
    for (const { effect } of remedies) {
      expect(effect.newCautions.map(({ code }) => code)).not.toContain('raw_egg_acid');
    }
  });

  it('thickens and thins only where the thickness model says so too', () => {
    const cream = dressing(
      'yoghurt_whole 160g, mayo_full 40g, lemon_juice 12ml, salt_table 1.4g, olive_ev 30ml',
    );
    const thin = solve(cream, {
      complaint: 'too-thick',
      style: null,
      mayAdd: mayAdd('water', 'buttermilk'),
      allowAll: false,
    });
    expect(thin.remedies.map(({ planId }) => planId)).toContain('thin');
    const thick = solve(cream, {
      complaint: 'too-thin',
      style: null,
      mayAdd: mayAdd('mayo_full', 'tahini', 'xanthan'),
      allowAll: false,
    });
    expect(thick.remedies.length).toBeGreaterThan(0);
    for (const { effect } of thick.remedies)
      expect(effect.palate.body.value!).toBeGreaterThan(thick.before.judgement.palate.body.value!);
  });

  it('asks for nothing where all is well', () => {
    const well = dressing('olive_ev 90ml, vin_redwine6 30ml, salt_table 1.7g');
    expect(solve(well)).toMatchObject({ remedies: [], impossible: [], alreadyMet: true });
  });

  it('refuses an empty jar', () => {
    expect(() => solve([])).toThrow(RangeError);
  });
});

describe('properties', () => {
  const dressings = fc.record({
    oil: fc.integer({ min: 20, max: 120 }),
    vinegar: fc.integer({ min: 10, max: 80 }),
    salt: fc.integer({ min: 1, max: 80 }),
    honey: fc.integer({ min: 0, max: 20 }),
    complaint: fc.constantFrom(...COMPLAINTS),
  });
  const more = mayAdd('olive_ev', 'vin_redwine6', 'water', 'salt_table', 'honey');

  it('every answer keeps its own rows to 1e-6, is never negative, fits, and lowers nothing poured', () => {
    fc.assert(
      fc.property(dressings, ({ oil, vinegar, salt, honey, complaint }) => {
        const jar = dressing(
          `olive_ev ${oil}ml, vin_redwine6 ${vinegar}ml, salt_table ${salt / 10}g, honey ${honey}g`,
        );
        const { remedies } = solve(jar, { complaint, mayAdd: more, roomMl: 120 });
        for (const { doses, effect, partial } of remedies) {
          expect(Math.min(...doses.map(({ massG }) => massG))).toBeGreaterThan(0);
          const volume = doses.reduce(
            (ml, { mayAdd: m, massG }) => ml + massG * mixedVolumeMlPerG(m.ingredient),
            0,
          );
          expect(volume).toBeLessThanOrEqual(120 + 1e-5);
          if (complaint !== 'into-band' || partial) continue;
          for (const key of ['acid', 'ratio', 'salt'] as const) {
            const value = effect.palate[key].value!;
            const slack = 1e-6 * Math.max(1, PALATE[key].step);
            expect(value).toBeGreaterThanOrEqual(CLASSIC.windows[key]!.low - slack);
            expect(value).toBeLessThanOrEqual(CLASSIC.windows[key]!.high + slack);
          }
        }
      }),
      { numRuns: 60, seed: 7 },
    );
  });

  it('k times the batch, room and stock give k times the answer', () => {
    const times = (portions: readonly JudgedPortion[], k: number) =>
      portions.map((portion) => ({ ...portion, massG: exactly(portion.massG.nominal * k) }));
    const jar = dressing('olive_ev 60ml, vin_redwine6 40ml, salt_table 1.7g, mustard_dijon 5g');
    const answer = (k: number) =>
      solve(times(jar, k), { roomMl: 100 * k, mayAdd: more }).remedies[0]!.doses.map(
        ({ mayAdd: m, massG }) => [m.ingredient.id, massG / k],
      );
    const one = answer(1);
    for (const k of [3, 40]) {
      answer(k).forEach(([id, massG], i) => {
        expect(id).toBe(one[i]![0]);
        expect(massG as number).toBeCloseTo(one[i]![1] as number, 4);
      });
    }
  });

  it('is work that reports and can be left', () => {
    const work = searchRemedies(request(salty, { mayAdd: more }));
    const first = work.next();
    expect(first.done).toBe(false);
    expect(first.value).toMatchObject({ total: 1 });
    work.return(undefined as never);
    expect(work.next().done).toBe(true);
  });
});
