import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { REFERENCE_CATALOGUE } from '#core/ingredient';
import { mixedVolumeMlPerG } from '#core/composition';
import { PALATE, PALATE_KEYS, palateValue, STYLES } from '#core/palate';
import { exactly } from '#core/quantity';
import {
  finish,
  formulate,
  overpour,
  roundPlan,
  swapIngredient,
  type FormulateAnswer,
  type PlanLine,
  type RoundTo,
  type Target,
} from '.';
import { dressing, named } from './testing';
import { dilutionCandidates, scaleCandidates, spoonCandidates } from './ladder';

const styleOf = (id: string) => STYLES.find((style) => style.id === id)!;
const hand = (text: string) =>
  text.split(',').map((part) => {
    const [id = '', maxG] = part.trim().split(' ');
    return { ingredient: named(id), minG: 0, maxG: maxG === undefined ? null : Number(maxG) };
  });

describe('formulate', () => {
  const answers = (volumeMl: number, text: string, style: string, targets: readonly Target[] = []) => {
    const outcome = finish(formulate({ volumeMl, style: styleOf(style), onHand: hand(text), targets }));
    if (outcome.status !== 'answers') throw new Error(outcome.status);
    return outcome.answers;
  };
  const volumeOf = ({ portions }: FormulateAnswer): number =>
    portions.reduce((ml, { ingredient, massG }) => ml + massG.nominal * mixedVolumeMlPerG(ingredient), 0);

  it('meets the targets of a classic dressing of 250 ml exactly', () => {
    const targets: Target[] = [
      { measure: 'ratio', value: 3 },
      { measure: 'salt', value: 0.015 },
      { measure: 'acid', value: 0.0145 },
      { measure: 'mustard', value: 0.015 },
    ];
    const [best] = answers(
      250,
      'olive_ev, vin_redwine6, mustard_dijon, honey, salt_table, water',
      'classic_3_1',
      targets,
    );
    expect(best!.loss).toBeLessThan(0.02);
    expect(volumeOf(best!)).toBeCloseTo(250, 4);
    for (const { measure, value } of targets) {
      expect(best!.state.judgement.palate[measure].value!).toBeCloseTo(value, 4);
    }
  });

  it('gives several answers that really differ', () => {
    const found = answers(
      300,
      'yoghurt_whole, lemon_juice, vin_cider5, olive_ev, sunflower, salt_table, water',
      'creamy_yoghurt',
    );
    expect(found.length).toBeGreaterThan(1);
    expect(
      new Set(found.map(({ portions }) => portions.map(({ ingredient }) => ingredient.id).join())).size,
    ).toBeGreaterThan(1);
  });

  it('says what is missed and what runs out where a target cannot be reached', () => {
    const [best] = answers(250, 'olive_ev 100, vin_redwine6, salt_table', 'classic_3_1');
    expect(best!.missed.map(({ measure }) => measure)).toContain('ratio');
    expect(best!.inTheWay).toContainEqual(
      expect.objectContaining({ kind: 'stock', ingredient: named('olive_ev') }),
    );
  });

  it('keeps what is locked, and refuses what does not fill or overfills the vessel', () => {
    const locked = { ingredient: named('lemon_juice'), minG: 20, maxG: 20 };
    const style = styleOf('lemon_oil');
    const request = {
      volumeMl: 120,
      style,
      targets: [],
      onHand: [locked, ...hand('olive_ev, salt_table, water')],
    };
    const outcome = finish(formulate(request));
    if (outcome.status !== 'answers') throw new Error(outcome.status);
    for (const { portions } of outcome.answers) {
      expect(portions.find(({ ingredient }) => ingredient.id === 'lemon_juice')!.massG.nominal).toBeCloseTo(
        20,
        6,
      );
    }
    const only = (maxG: number, minG = 0) =>
      finish(formulate({ ...request, onHand: [{ ingredient: named('olive_ev'), minG, maxG }] }));
    expect(only(20)).toMatchObject({ status: 'not-enough' });
    expect(only(900, 900)).toMatchObject({ status: 'too-much' });
    expect(finish(formulate({ ...request, style: null })).status).toBe('nothing-to-aim-for');
    expect(() => finish(formulate({ ...request, volumeMl: 0 }))).toThrow(RangeError);
  });

  it('fills the volume and never goes below nothing, whatever is asked, of random pantries', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 50, max: 2000 }),
        fc.constantFrom(...STYLES),
        fc.subarray(
          [
            'olive_ev',
            'sunflower',
            'vin_redwine6',
            'lemon_juice',
            'honey',
            'mustard_dijon',
            'yoghurt_whole',
            'salt_table',
          ],
          { minLength: 1 },
        ),
        (volumeMl, style, ids) => {
          const onHand = [...ids, 'water'].map((id) => ({ ingredient: named(id), minG: 0, maxG: null }));
          const outcome = finish(formulate({ volumeMl, style, onHand, targets: [] }));
          if (outcome.status !== 'answers') throw new Error(outcome.status);
          for (const answer of outcome.answers) {
            expect(volumeOf(answer)).toBeCloseTo(volumeMl, 3);
            for (const { massG } of answer.portions) expect(massG.nominal).toBeGreaterThan(0);
          }
        },
      ),
      { numRuns: process.env.YGRANA_TORTURE ? 500 : 70, seed: 3 },
    );
  });
});

describe('rounding', () => {
  const plan = (text: string): readonly PlanLine[] =>
    dressing(text).map(({ ingredient, massG }) => ({
      ingredient,
      form: '',
      massG: massG.nominal,
      kept: false,
    }));
  const CLASSIC =
    'olive_ev 149.75g, vin_redwine6 55.22g, mustard_dijon 12.02g, honey 4.52g, salt_table 2.68g, water 16.27g';

  /** The loss written out plainly, apart from the code under test. */
  function lossOf(lines: readonly PlanLine[], masses: readonly number[]): number {
    const portions = (of: (i: number) => number) =>
      lines.map(({ ingredient, form }, i) => ({ ingredient, form, massG: exactly(of(i)) }));
    const exact = portions((i) => lines[i]!.massG);
    const now = portions((i) => masses[i]!);
    const volume = (list: typeof exact): number =>
      list.reduce((ml, { ingredient, massG }) => ml + massG.nominal * mixedVolumeMlPerG(ingredient), 0);
    let loss = (Math.log(volume(now) / volume(exact)) / 0.1) ** 2;
    for (const key of PALATE_KEYS) {
      const target = palateValue(exact, key);
      if (target === null) continue;
      const value = palateValue(now, key);
      loss += value === null ? 9 : Math.min(3, Math.abs(value - target) / PALATE[key].step) ** 2;
    }
    return loss;
  }

  it('finds what full enumeration finds, and only then says proven', () => {
    const lines = plan('olive_ev 91g, vin_redwine6 29g, salt_table 1.7g, honey 5.3g');
    const found = roundPlan(lines, { kind: 'spoons', spoons: 'us' });
    const options = lines.map(({ massG, ingredient }) => spoonCandidates(massG, ingredient, 'us'));
    const lists = options.map((list, i) => {
      const most = i === 2 ? 0.1 : 0.25;
      const near = list.filter((candidate) => Math.abs(candidate.massG / lines[i]!.massG - 1) <= most);
      return near.length > 0 ? near : list.slice(0, 2);
    });
    let least = Infinity;
    for (const a of lists[0]!)
      for (const b of lists[1]!)
        for (const c of lists[2]!)
          for (const d of lists[3]!) {
            least = Math.min(least, lossOf(lines, [a.massG, b.massG, c.massG, d.massG]));
          }
    expect(found.proven).toBe(true);
    expect(found.loss).toBeCloseTo(least, 9);
    expect(found.loss).toBeCloseTo(
      lossOf(
        lines,
        found.lines.map(({ massG }) => massG),
      ),
      9,
    );
  });

  it('is never worse than rounding each to its nearest, on 120 random plans', () => {
    const ids = [
      'olive_ev',
      'vin_redwine6',
      'salt_table',
      'honey',
      'mustard_dijon',
      'garlic',
      'black_pepper',
      'water',
      'lemon_juice',
      'sugar_white',
      'dill',
      'xanthan',
    ];
    const modes: RoundTo[] = [
      { kind: 'spoons', spoons: 'us' },
      { kind: 'scale', readabilityG: 1 },
      { kind: 'mixed', readabilityG: 5, spoons: 'metric' },
    ];
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 2, max: 900 }), { minLength: 3, maxLength: 12 }),
        fc.constantFrom(...modes),
        (tenths, mode) => {
          const lines = tenths.map((value, i): PlanLine => ({
            ingredient: named(ids[i]!),
            form: '',
            massG: value / 10,
            kept: false,
          }));
          const { loss, naiveLoss, lines: rounded } = roundPlan(lines, mode);
          expect(loss).toBeLessThanOrEqual(naiveLoss + 1e-9);
          expect(Math.min(...rounded.map(({ massG }) => massG))).toBeGreaterThan(0);
        },
      ),
      { numRuns: process.env.YGRANA_TORTURE ? 400 : 60, seed: 5 },
    );
  });

  it('mixed mode saves the salt that a 5 g scale cannot weigh', () => {
    const coarse = roundPlan(plan(CLASSIC), { kind: 'scale', readabilityG: 5 });
    const mixed = roundPlan(plan(CLASSIC), { kind: 'mixed', readabilityG: 5, spoons: 'us' });
    // 2.7 g of salt becomes 5 g: the farthest a measure is counted is 3 steps.
    expect(coarse.loss).toBeGreaterThan(9);
    expect(mixed.loss).toBeLessThan(1);
    const salt = mixed.lines[4]!;
    expect(['spoons', 'dilution']).toContain(salt.how);
  });

  it('leaves herbs and spices at their nearest, which no measure speaks for', () => {
    const lines = plan(`${CLASSIC}, caraway 2.1g`);
    const { lines: found } = roundPlan(lines, { kind: 'spoons', spoons: 'metric' });
    expect(found.at(-1)!.text).toBe('1 tsp');
  });

  it('keeps what is locked, and searches longer plans without calling them proven', () => {
    const lines = plan(
      `${CLASSIC}, soy_sauce 7.3g, maple 3.4g, mayo_full 21.6g, lemon_juice 11.4g, capers 6.6g`,
    ).map((line, i) => ({
      ...line,
      kept: i === 0,
    }));
    const rounded = roundPlan(lines, { kind: 'scale', readabilityG: 1 });
    expect(rounded.lines[0]).toMatchObject({ massG: 149.75, text: null, how: 'kept' });
    expect(rounded.proven).toBe(false);
    expect(rounded.gap).toBeGreaterThanOrEqual(0);
  });

  it('offers what can be measured', () => {
    expect(scaleCandidates(2.68, 1).map(({ massG }) => massG)).toEqual([1, 2, 3, 4]);
    expect(scaleCandidates(0.2, 5).map(({ massG }) => massG)).toEqual([5, 10]);
    expect(dilutionCandidates(0.23, 1).map(({ massG }) => massG)).toContain(0.2);
    expect(spoonCandidates(0.1, named('black_pepper'), 'us')[0]!.text).toBe('1 pinch');
  });
});

describe('swaps', () => {
  const swap = (text: string, index: number, to: string, style: string | null = null) =>
    swapIngredient({
      portions: dressing(text),
      index,
      to: named(to),
      catalogue: REFERENCE_CATALOGUE,
      style: style === null ? null : styleOf(style),
      locked: new Set(),
    });
  const grams = (answer: ReturnType<typeof swap>, id: string, plan = 0): number =>
    answer.swaps[plan]!.lines.find(({ ingredient }) => ingredient.id === id)!.toG;

  it('30 ml of lemon is 22.9 ml of 6 % vinegar and 7 ml of water, at equal tasted acid (table)', () => {
    const answer = swap('olive_ev 90ml, lemon_juice 30ml, salt_table 1.5g', 1, 'vin_whitewine6');
    expect(answer.kept).toBe('acid');
    const ml = grams(answer, 'vin_whitewine6') / named('vin_whitewine6').spoonDensityGPerMl;
    expect(ml).toBeCloseTo(22.9, 0);
    expect(Math.abs(ml - 22.9)).toBeLessThan(0.2);
    expect(Math.abs(grams(answer, 'water') - 7)).toBeLessThan(0.4);
    expect(answer.swaps[0]!.effect.newAllergens).toContain('sulphites');
  });

  it('21 g of honey is 15.76 g of sugar and 3.6 g of water (arithmetic)', () => {
    const answer = swap('olive_ev 80ml, vin_cider5 40ml, honey 21g', 2, 'sugar_white');
    expect(grams(answer, 'sugar_white')).toBeCloseTo(15.76, 1);
    expect(grams(answer, 'water')).toBeCloseTo(3.6, 1);
    expect(answer.swaps[0]!.effect.goneCautions).toContain('infants_honey');
  });

  it('salt for salt is grams for grams, though 2.14 spoons of flaky make one of table (weights from memory)', () => {
    const answer = swap('olive_ev 80ml, vin_cider5 40ml, salt_table 6g', 2, 'salt_kosher_flaky');
    expect(grams(answer, 'salt_kosher_flaky')).toBeCloseTo(6, 1);
    const spoons = grams(answer, 'salt_kosher_flaky') / named('salt_kosher_flaky').spoonDensityGPerMl;
    const before = 6 / named('salt_table').spoonDensityGPerMl;
    expect(spoons / before).toBeCloseTo(2.14, 1);
  });

  it('shallot and red onion change places weight for weight; garlic powder by its dry solids (estimate)', () => {
    expect(
      grams(swap('olive_ev 80ml, vin_cider5 40ml, shallot 12g', 2, 'onion_red'), 'onion_red'),
    ).toBeCloseTo(12, 6);
    expect(
      grams(swap('olive_ev 80ml, vin_cider5 40ml, garlic 3g', 2, 'garlic_powder'), 'garlic_powder'),
    ).toBeCloseTo(1.3, 1);
  });

  it('yoghurt for mayonnaise lets oil, acid, salt and gum follow, and says that fat cannot be kept', () => {
    const answer = swap(
      'mayo_full 120g, buttermilk 100g, vin_white5 10ml, salt_table 1.4g, dill 4g, chives 4g',
      0,
      'yoghurt_greek',
      'mayo_buttermilk',
    );
    const followed = answer.swaps.find(({ id }) => id === 'rest-follows')!;
    expect(followed.notKept.map(({ measure }) => measure)).toContain('fat');
    expect(followed.keeps).toEqual(expect.arrayContaining(['acid', 'salt', 'body']));
    expect(followed.effect.goneAllergens).toContain('eggs');
    expect(followed.lines.find(({ ingredient }) => ingredient.id === 'buttermilk')).toBeUndefined();
    const avocado = swap(
      'mayo_full 120g, buttermilk 100g, vin_white5 10ml, salt_table 1.4g',
      0,
      'avocado',
      'mayo_buttermilk',
    );
    expect(avocado.swaps[0]!.effect.keeping.days).toBe(1);
  });
});

describe('over-pour', () => {
  it('75 g of vinegar for 60.6 makes 316.3 ml of 255.6 (arithmetic)', () => {
    const lines = [
      { plannedG: 60.6, pouredG: 75 },
      { plannedG: 164, pouredG: 0 },
    ];
    const answer = overpour(lines, 0, 255.6, 400);
    expect(answer).toMatchObject({ status: 'rescale' });
    if (answer.status === 'rescale') expect(answer.volumeMl).toBeCloseTo(316.3, 1);
    expect(overpour(lines, 0, 255.6, 300)).toMatchObject({ status: 'no-rescale', reason: 'vessel' });
    expect(overpour([lines[0]!, { plannedG: 10, pouredG: 20 }], 0, 255.6, 400)).toMatchObject({
      reason: 'poured',
    });
    expect(overpour([{ plannedG: 60, pouredG: 50 }], 0, 100, 200).status).toBe('not-over');
    expect(() => overpour(lines, 9, 100, 200)).toThrow(RangeError);
  });
});

describe('few things, and whole ones', () => {
  it('takes whole yolks, cloves and halves of a lemon where the rest can follow', () => {
    const hand = ['egg_yolk_past', 'sunflower', 'lemon_juice', 'salt_table', 'mustard_dijon', 'garlic'].map(
      (id) => ({
        ingredient: named(id),
        minG: 0,
        maxG: null,
      }),
    );
    const outcome = finish(
      formulate({ volumeMl: 250, style: styleOf('yolk_built'), onHand: hand, targets: [] }),
    );
    if (outcome.status !== 'answers') throw new Error(outcome.status);
    const { portions } = outcome.answers[0]!;
    const yolk = portions.find(({ ingredient }) => ingredient.id === 'egg_yolk_past')!;
    expect(yolk.massG.nominal / 17).toBeCloseTo(Math.round(yolk.massG.nominal / 17), 6);
  });

  it('uses nothing that nobody would miss', () => {
    const many = [
      ...[
        'olive_ev',
        'sunflower',
        'rapeseed',
        'vin_redwine6',
        'vin_cider5',
        'lemon_juice',
        'salt_table',
        'honey',
      ],
      ...['mustard_dijon', 'water', 'thyme_fresh', 'parsley', 'cumin', 'black_pepper', 'shallot'],
    ].map((id) => ({ ingredient: named(id), minG: 0, maxG: null }));
    const outcome = finish(
      formulate({ volumeMl: 250, style: styleOf('classic_3_1'), onHand: many, targets: [] }),
    );
    if (outcome.status !== 'answers') throw new Error(outcome.status);
    expect(outcome.answers[0]!.portions.length).toBeLessThanOrEqual(6);
    expect(outcome.answers[0]!.loss).toBeLessThan(0.2);
  });
});
