import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { composition } from '#core/composition';
import { measuringWith, REFERENCE_CATALOGUE, type IngredientId, type OwnMeasures } from '#core/ingredient';
import { palateValue, STYLE_IDS, STYLES, stylePortions, type PalateKey } from '#core/palate';
import { exactly, range } from '#core/quantity';
import type { JudgedPortion } from '#core/reckoning';
import {
  aQuarterMl,
  candidatesFor,
  COMPLAINTS,
  finish,
  gesturesNear,
  handUnitsFor,
  ladder,
  likelyGestures,
  PLANS,
  searchRemedies,
  withDoses,
  type Complaint,
  type Hand,
  type RemedyRequest,
} from '.';
import { sayDose, sayEnough, sayGesture } from '#words/balance';
import { viscosityOf } from './bodyWays';
import { ceilingOf } from './ceilings';
import { dressing, named } from './testing';

const HAND: Hand = { measuring: measuringWith('metric'), readabilityG: 1 };
const styleOf = (id: string) => STYLES.find((style) => style.id === id)!;
const total = (portions: readonly JudgedPortion[]): number =>
  portions.reduce((sum, { massG }) => sum + massG.nominal, 0);

/** As the screens ask: this kitchen's hand, and no more than a quarter unasked. */
function mend(portions: readonly JudgedPortion[], complaint: Complaint, about: Partial<RemedyRequest> = {}) {
  return finish(
    searchRemedies({
      portions,
      complaint,
      severity: 1,
      style: null,
      roomMl: aQuarterMl(composition(portions).mixedVolumeMl),
      aQuarter: true,
      mayAdd: candidatesFor(portions, {
        catalogue: REFERENCE_CATALOGUE,
        stockG: () => null,
        locked: new Set(),
        hand: HAND,
      }),
      ...about,
    }),
  );
}
const idsOf = (answer: ReturnType<typeof mend>): readonly string[][] =>
  answer.remedies.map(({ doses }) => doses.map(({ mayAdd }) => mayAdd.ingredient.id as string));

describe('what a hand does', () => {
  const units = (id: string, jarG = 200) => handUnitsFor(named(id), HAND, jarG);
  it('is a pinch of salt, a squeeze of lemon, a splash of vinegar, a spoon of honey, a whole yolk', () => {
    const first = (id: string): string => sayGesture(ladder(units(id))[0]!);
    expect(['salt_table', 'lemon_juice', 'vin_cider5', 'honey', 'egg_yolk'].map(first)).toEqual([
      'a pinch',
      'a squeeze',
      'a splash',
      '½ tsp',
      'a yolk',
    ]);
  });

  it('uses this cook’s own pinch', () => {
    const own = {
      id: 'p',
      unit: 'pinch',
      ingredientId: 'salt_table' as IngredientId,
      massG: range(0.8, 0.6, 1),
      spoonDensityGPerMl: named('salt_table').spoonDensityGPerMl,
      count: 3,
    } as const;
    const measures: OwnMeasures = {
      byId: new Map([['p', own]]),
      now: (unit, id) => (unit === 'pinch' && id === 'salt_table' ? own : null),
    };
    const hand = { ...HAND, measuring: { ...HAND.measuring, own: measures } };
    expect(handUnitsFor(named('salt_table'), hand, 200)[0]!.massG).toBeCloseTo(0.8, 9);
  });

  it('is weighed where it is more than a few spoons or the jar is a batch, never below five steps of the scale', () => {
    expect(gesturesNear(240, units('sunflower'))[0]).toMatchObject({ unit: 'ml', count: 260 });
    expect(gesturesNear(242, units('mayo_full'))[0]).toMatchObject({ unit: 'g', massG: 240 });
    expect(units('salt_table', 10_000)).toEqual([{ unit: 'g', massG: 1, counts: [] }]);
    expect(gesturesNear(0.4, units('salt_table', 10_000))[0]).toMatchObject({ massG: 5 });
    expect(gesturesNear(27.3, units('salt_table', 10_000))[0]).toMatchObject({ massG: 27 });
  });

  it('is said with its thing, and where it is too much', () => {
    const [salt] = candidatesFor(dressing('salt_table 2g'), {
      catalogue: REFERENCE_CATALOGUE,
      stockG: () => null,
      locked: new Set(),
      hand: HAND,
    });
    const [pinch, two] = ladder(salt!.hand!);
    expect(sayDose({ mayAdd: salt!, massG: two!.massG, gesture: two! })).toBe(
      'two pinches of fine table salt',
    );
    const dose = { mayAdd: salt!, massG: pinch!.massG, gesture: pinch! };
    expect(sayEnough({ ...dose, enoughG: 3.2 * pinch!.massG })).toBe(
      'Too far beyond three pinches of fine table salt.',
    );
    expect(sayEnough({ ...dose, enoughG: pinch!.massG })).toContain('than that is too far');
    expect(sayEnough({ ...dose, enoughG: null })).toBeNull();
    expect(sayEnough(dose)).toBeNull();
  });
});

describe('the order of the trade', () => {
  const sharp = dressing('olive_ev 60ml, lemon_juice 45ml, salt_table 1.2g');
  it('too sharp: something sweet, then oil, then water', () => {
    const found = idsOf(mend(sharp, 'too-sharp', { style: styleOf('lemon_oil') }));
    const place = (id: string): number => found.findIndex((ids) => ids[0] === id || ids[1] === id);
    expect(place('sugar_white')).toBe(0);
    expect(place('olive_ev')).toBeGreaterThan(0);
    expect(place('water')).toBeGreaterThan(place('olive_ev'));
  });

  it('flat: salt, then the acid that is in it', () => {
    const found = idsOf(mend(dressing('olive_ev 90ml, vin_redwine6 30ml, salt_table 1g'), 'flat'));
    expect(found[0]).toEqual(['salt_table']);
    expect(found[1]).toEqual(['vin_redwine6']);
  });

  it('too thick a yoghurt takes a spoon or two of something thin, not a litre', () => {
    const greek = dressing('yoghurt_greek 180g, lemon_juice 8g, salt_table 1.8g');
    const { remedies } = mend(greek, 'too-thick', { style: styleOf('creamy_yoghurt') });
    expect(remedies[0]!.doses.map(({ mayAdd }) => mayAdd.ingredient.id)).toEqual(['water']);
    expect(remedies[0]!.effect.grownMl).toBeLessThan(20);
    expect(viscosityOf(withDoses(greek, remedies[0]!.doses))!).toBeLessThan(viscosityOf(greek)! / 1.2);
  });

  it('nobody puts buttermilk in a balsamic, or oil into a bought mayonnaise sauce', () => {
    const balsamic = dressing('olive_ev 60ml, vin_balsamic 60ml, salt_table 1g');
    for (const complaint of COMPLAINTS) {
      expect(idsOf(mend(balsamic, complaint)).flat()).not.toContain('buttermilk');
      const pink = dressing('mayo_full 120g, ketchup 45g, vin_white5 6ml');
      expect(idsOf(mend(pink, complaint)).flat()).not.toContain('olive_ev');
    }
  });

  it('an ingredient that is dearer, new to the label or far to reach comes later', () => {
    const jar = dressing('olive_ev 90ml, vin_redwine6 30ml, salt_table 1.2g, honey 4g');
    const [first] = idsOf(mend(jar, 'needs-sweet'));
    expect(first).toEqual(['honey']);
  });
});

describe('several complaints at once', () => {
  const jar = dressing('olive_ev 90ml, vin_redwine6 36ml, mustard_dijon 5g, salt_table 0.9g');
  const also = [{ complaint: 'needs-salt', severity: 1 }] as const;

  it('are one plan: sweet and salt, with what each takes by itself', () => {
    const answer = mend(jar, 'needs-sweet', { also });
    const { before, remedies, alone } = answer;
    expect(idsOf(answer)[0]!.toSorted()).toEqual(['salt_table', 'sugar_white']);
    expect(remedies[0]!.effect.palate.salt.value!).toBeGreaterThan(before.judgement.palate.salt.value!);
    expect(remedies[0]!.effect.palate.sweet.value!).toBeGreaterThan(before.judgement.palate.sweet.value!);
    expect(alone.map(({ complaint, remedy }) => [complaint, remedy !== null])).toEqual([
      ['needs-sweet', true],
      ['needs-salt', true],
    ]);
  });

  it('thickness first, the tastes after it, as one answer', () => {
    const thin = dressing('yoghurt_whole 160g, lemon_juice 12ml, milk 40g, salt_table 0.6g');
    const answer = mend(thin, 'too-thin', { also });
    expect(answer.remedies.length).toBeGreaterThan(0);
    const [first] = answer.remedies;
    expect(viscosityOf(withDoses(thin, first!.doses))!).toBeGreaterThan(viscosityOf(thin)!);
    expect(first!.effect.palate.salt.value!).toBeGreaterThan(answer.before.judgement.palate.salt.value!);
  });

  it('mend the thickness though nothing can be done about the other', () => {
    const thin = dressing('yoghurt_whole 160g, lemon_juice 12ml, milk 40g, salt_table 1.6g');
    const { remedies } = mend(thin, 'too-thin', { also: [{ complaint: 'harsh-garlic', severity: 1 }] });
    expect(remedies.length).toBeGreaterThan(0);
    expect(remedies.every(({ partial }) => partial)).toBe(true);
  });

  it('that exclude each other are said to', () => {
    const { remedies, meaningless } = mend(jar, 'too-salty', { also });
    expect(remedies).toEqual([]);
    expect(meaningless).toBe(true);
  });
});

/** What a complaint is about: which way its measure has to move. */
const MOVES: Readonly<Partial<Record<Complaint, readonly [PalateKey, 1 | -1]>>> = {
  'needs-acid': ['acid', 1],
  'needs-salt': ['salt', 1],
  'needs-sweet': ['sweet', 1],
  'too-oily': ['fat', -1],
  lean: ['fat', 1],
  'harsh-garlic': ['garlic', -1],
  'too-hot': ['heat', -1],
  'strong-mustard': ['mustard', -1],
};

describe('properties over the dressings of every style', () => {
  const cases = fc.record({
    styleId: fc.constantFrom(...STYLE_IDS),
    which: fc.nat(11),
    complaint: fc.constantFrom(...COMPLAINTS),
    severity: fc.constantFrom(1 as const, 2 as const),
  });
  const portionsOf = (styleId: (typeof STYLE_IDS)[number], which: number): readonly JudgedPortion[] => {
    const all = stylePortions(styleId, REFERENCE_CATALOGUE);
    return all[which % all.length]!;
  };

  it('no answer beyond a quarter, above a ceiling or below a dose; each moves what was complained of', () => {
    fc.assert(
      fc.property(cases, ({ styleId, which, complaint, severity }) => {
        const portions = portionsOf(styleId, which);
        const { mixedVolumeMl } = composition(portions);
        const { remedies } = mend(portions, complaint, { style: styleOf(styleId), severity });
        for (const { doses, effect, partial } of remedies) {
          expect(effect.grownMl).toBeLessThanOrEqual(aQuarterMl(mixedVolumeMl) + 1e-6);
          const after = withDoses(portions, doses);
          for (const { mayAdd, massG, gesture } of doses) {
            const { ingredient, hand } = mayAdd;
            const smallest = ladder(hand!)[0]?.massG ?? 5 * hand![0]!.massG;
            expect(massG, ingredient.id).toBeGreaterThanOrEqual(smallest - 1e-9);
            expect(gesture?.massG).toBeCloseTo(massG, 9);
            const ceiling = ceilingOf(ingredient, styleId) ?? 1;
            const share =
              after.reduce(
                (sum, one) => sum + (one.ingredient.id === ingredient.id ? one.massG.nominal : 0),
                0,
              ) / total(after);
            expect(share, ingredient.id).toBeLessThanOrEqual(ceiling + 1e-9);
          }
          const moves = MOVES[complaint];
          if (moves && !partial) {
            const [key, way] = moves;
            const moved = (palateValue(after, key) ?? 0) - (palateValue(portions, key) ?? 0);
            expect(moved * way, `${complaint} of ${styleId}`).toBeGreaterThan(0);
          }
          if (complaint === 'too-thin' || complaint === 'too-thick') {
            const factor = viscosityOf(after)! / viscosityOf(portions)!;
            if (complaint === 'too-thin') expect(factor).toBeGreaterThan(1);
            else expect(factor).toBeLessThan(1);
          }
        }
      }),
      { numRuns: process.env.YGRANA_TORTURE ? 400 : 50, seed: 22 },
    );
  });

  it('answers scale with the jar: ten times the jar takes about ten times as much', () => {
    fc.assert(
      fc.property(cases, ({ styleId, which, complaint }) => {
        const one = portionsOf(styleId, which);
        const ten = one.map((portion) => ({ ...portion, massG: exactly(10 * portion.massG.nominal) }));
        const style = styleOf(styleId);
        const ways = (portions: readonly JudgedPortion[]): ReadonlyMap<string, number> =>
          new Map(
            mend(portions, complaint, { style, severity: 2 }).remedies.map(({ planId, doses }) => [
              `${planId} ${doses
                .map(({ mayAdd }) => mayAdd.ingredient.id)
                .toSorted()
                .join()}`,
              doses.reduce((sum, { massG }) => sum + massG, 0),
            ]),
          );
        const large = ways(ten);
        for (const [way, smallG] of ways(one)) {
          const largeG = large.get(way);
          // A pinch is coarse for a small jar: within a factor of three of ten times as much.
          if (largeG !== undefined)
            expect(Math.abs(Math.log(largeG / smallG / 10)), way).toBeLessThan(Math.log(3.2));
        }
      }),
      { numRuns: process.env.YGRANA_TORTURE ? 200 : 16, seed: 5 },
    );
  });

  it('has an answer, or says why not, for whatever it can say something of', () => {
    for (const [place, styleId] of STYLE_IDS.entries()) {
      for (const complaint of COMPLAINTS.filter((_, i) => (i + place) % 4 === 0)) {
        const answer = mend(portionsOf(styleId, 0), complaint, { style: styleOf(styleId) });
        const says = answer.remedies.length + answer.impossible.length;
        expect(says > 0 || answer.meaningless || answer.alreadyMet, `${styleId} ${complaint}`).toBe(true);
      }
    }
  });
});

describe('the next gesture', () => {
  it('is of what is in the jar, one for each thing a taster reaches for, and a staple of what is missing', () => {
    const jar = dressing('olive_ev 90ml, vin_redwine6 30ml, mustard_dijon 5g');
    const mayAdd = candidatesFor(jar, {
      catalogue: REFERENCE_CATALOGUE,
      stockG: () => null,
      locked: new Set(),
      hand: HAND,
    });
    const found = likelyGestures(mayAdd, total(jar));
    expect(found.map(({ mayAdd: one }) => one.ingredient.id)).toEqual([
      ...['salt_table', 'vin_redwine6', 'honey', 'olive_ev', 'water', 'mustard_dijon'],
    ]);
    for (const { mayAdd: one, gesture } of found) expect(gesture.massG).toBe(ladder(one.hand!)[0]!.massG);
  });

  it('every complaint has plans whose roles somebody can play', () => {
    for (const complaint of COMPLAINTS)
      expect(PLANS[complaint].every(({ roles }) => roles.length > 0)).toBe(true);
  });
});
