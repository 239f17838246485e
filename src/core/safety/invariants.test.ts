/** Adding anything never makes a dressing keep longer, warmer or with fewer warnings, except by the named lines. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { countedOwnPh, isWet } from '#core/acidity';
import {
  ownIngredientFromRow,
  REFERENCE_CATALOGUE,
  REFERENCE_INGREDIENTS,
  type Ingredient,
  type IngredientId,
  type IngredientRow,
} from '#core/ingredient';
import { exactly } from '#core/quantity';
import { CAUTION_TABLE, type CautionCode } from './cautions';
import type { LimitName } from './keeping';
import type { SafetyPart } from './parts';
import { safetyOf, type Safety } from './safety';

const SEED = Number(process.env.SAFETY_SEED ?? Math.floor(Date.now() / 86_400_000));
const PAIRS = Number(process.env.SAFETY_PAIRS ?? 1200);

const of = (id: string): Ingredient => REFERENCE_CATALOGUE.get(id as IngredientId)!;
const part = (id: string, g: number, more: Partial<SafetyPart> = {}): SafetyPart => ({
  ingredient: of(id),
  massG: exactly(g),
  ...more,
});

const LABEL: IngredientRow = {
  id: 'own_x',
  name: 'Own thing',
  aliases: [],
  category: 'savoury',
  spoonDensityGPerMl: 1,
  gPer100G: { water: 60, protein: 5, salt: 2 },
  typicalPh: 5.5,
  energyKcalPer100G: 100,
  unitWeightsG: {},
  edibleYieldFraction: 1,
  allergensEu14: [],
  allergensUs9: [],
  allergensMayBeIn: [],
  emulsifierClass: 'none',
  emulsifierNote: '',
  hazards: ['unlisted'],
  strength: '',
  shelfNote: '',
  proteinBufferMmolPerPhPerG: 0.5,
  pungencyIndex: {},
  bodyIndex: 0,
  tag: 'estimate',
  source: 'label',
};
const OWN: readonly Ingredient[] = [
  ['Own relish', false, false, false],
  ['Egg sauce', true, false, false],
  ['Own vinegar', true, true, true],
  ['Garlic paste', false, true, false],
].map(([name, allergensAnswered, phFromLabel, keepsUncooled], i) =>
  ownIngredientFromRow({
    ...LABEL,
    id: `own_${i}`,
    name: name as string,
    typicalPh: name === 'Own vinegar' ? 2.6 : 5.5,
    byHand: {
      allergensAnswered: allergensAnswered as boolean,
      phFromLabel: phFromLabel as boolean,
      keepsUncooled: keepsUncooled as boolean,
    },
  }),
);
const made = (parts: readonly SafetyPart[], unread: readonly string[]): Ingredient => {
  const total = parts.reduce((sum, { massG }) => sum + massG.nominal, 0) || 1;
  return {
    ...of('mayo_full'),
    id: 'made-x-1' as IngredientId,
    made: {
      formulaId: 'x',
      version: 1,
      newer: null,
      mixedVolumeMlPerG: 1,
      tastedMeqPer100G: 0,
      unread,
      pouredOil: { g: 0, ml: 0 },
      acidLiquid: { g: 0, ml: 0 },
      parts: parts.map(({ ingredient, massG, form = '', pieces = false }) => ({
        ingredient,
        form,
        pieces,
        massFraction: massG.nominal / total,
      })),
    },
  };
};

const anyIngredient = fc.oneof(
  { weight: 9, arbitrary: fc.constantFrom(...REFERENCE_INGREDIENTS) },
  { weight: 1, arbitrary: fc.constantFrom(...OWN) },
);
const grams = fc.oneof(
  { weight: 6, arbitrary: fc.double({ min: -0.3, max: 2.5, noNaN: true }).map((x) => 10 ** x) },
  { weight: 1, arbitrary: fc.constant(0) },
);
const anyPart: fc.Arbitrary<SafetyPart> = fc
  .record({
    ingredient: anyIngredient,
    massG: grams.map(exactly),
    pieces: fc.boolean().map((yes) => yes),
    form: fc.constantFrom('', '', '', 'home-made', 'chopped', 'taken out', 'hard-boiled'),
  })
  .map((one) => ({ ...one, pieces: one.pieces && isWet(one.ingredient) }));
const UNREAD = [
  '60 g almond spread',
  '5 g moonlight',
  '20 g rye breadcrumbs',
  '1 tbsp honey sauce',
  '2 egg things',
];
const anyUnread = fc.array(fc.constantFrom(...UNREAD), { maxLength: 1 });
const oftenRead = fc.oneof(
  { weight: 8, arbitrary: fc.constant<string[]>([]) },
  { weight: 1, arbitrary: anyUnread },
);
const anyFormula = fc.record({
  parts: fc.array(anyPart, { minLength: 1, maxLength: 6 }),
  unread: oftenRead,
});

type Added =
  | { readonly kind: 'part'; readonly part: SafetyPart }
  | { readonly kind: 'unread'; readonly text: string }
  | { readonly kind: 'reading'; readonly ph: number };
const anyAdded: fc.Arbitrary<Added> = fc.oneof(
  { weight: 8, arbitrary: anyPart.map((one) => ({ kind: 'part' as const, part: one })) },
  {
    weight: 2,
    arbitrary: fc
      .constantFrom('water', 'salt_table', 'sugar_white', 'vin_white5', 'lemon_juice', 'olive_ev')
      .chain((id) => grams.map((g) => ({ kind: 'part' as const, part: part(id, g) }))),
  },
  {
    weight: 1,
    arbitrary: anyFormula.chain((inner) =>
      grams.map((g) => ({
        kind: 'part' as const,
        part: { ingredient: made(inner.parts, inner.unread), massG: exactly(g) },
      })),
    ),
  },
  { weight: 1, arbitrary: fc.constantFrom(...UNREAD).map((text) => ({ kind: 'unread' as const, text })) },
  {
    weight: 1,
    arbitrary: fc.double({ min: 1, max: 9, noNaN: true }).map((ph) => ({ kind: 'reading' as const, ph })),
  },
);

/** A counterexample as a cook would write it down. */
const sayPart = ({ ingredient, massG, form = '', pieces }: SafetyPart): string =>
  `${massG.nominal.toFixed(2)} ${ingredient.id}${ingredient.made ? `{${ingredient.made.parts.map((p) => `${p.massFraction.toFixed(3)} ${p.ingredient.id}`).join('; ')} / ${ingredient.made.unread.join()}}` : ''} ${form}${pieces ? ' (pieces)' : ''}`;
const sayFormula = ({ parts, unread }: { parts: readonly SafetyPart[]; unread: readonly string[] }): string =>
  [...parts.map(sayPart), ...unread].join(' + ');
const sayAdded = (added: Added): string =>
  added.kind === 'part' ? sayPart(added.part) : added.kind === 'unread' ? added.text : `reads ${added.ph}`;
const readable = <T extends object>(arbitrary: fc.Arbitrary<T>, say: (value: T) => string): fc.Arbitrary<T> =>
  arbitrary.map(
    (value) => ({ ...value, [fc.toStringMethod]: () => say(value) }),
    (value) => value as T,
  );

/** What may be the cause of a line being crossed. */
const isAcid = ({ ingredient }: SafetyPart): boolean =>
  ingredient.made !== undefined ||
  (isWet(ingredient) && (countedOwnPh(ingredient) ?? 7) <= 4.6) ||
  dryAcid(ingredient);
const dryAcid = ({ composition: c }: Ingredient): boolean =>
  c.citric + c.malic + c.acetic + c.tartaric > 0.005;
const isSolute = ({ ingredient: { composition: c, made: inner } }: SafetyPart): boolean =>
  inner !== undefined || c.salt > 0.005 || c.sucrose + c.glucose + c.fructose + c.lactose > 0.01;

const ACID_LIMITS: ReadonlySet<LimitName> = new Set<LimitName>([
  ...(['low_acid', 'tcs', 'sour_juice', 'no_acid_reserve', 'weak_acid', 'under_oil'] as const),
]);
const SOLUTE_LIMITS: ReadonlySet<LimitName> = new Set<LimitName>([
  ...(['low_acid', 'tcs', 'no_acid_reserve', 'weak_acid'] as const),
]);
const ACID_CAUTIONS: ReadonlySet<CautionCode> = new Set<CautionCode>(['infused_oil', 'raw_egg_acid']);

const graveOf = ({ cautions }: Safety): readonly CautionCode[] =>
  cautions.filter(({ tier }) => tier === 1).map(({ code }) => code);

function check(before: Safety, after: Safety, added: Added): void {
  const acid = added.kind === 'part' && added.part.massG.nominal > 0 && isAcid(added.part);
  const solute = added.kind === 'part' && added.part.massG.nominal > 0 && isSolute(added.part);
  if (after.keeping.days > before.keeping.days) {
    const { limit } = before.keeping;
    expect(
      (acid && ACID_LIMITS.has(limit)) || (solute && SOLUTE_LIMITS.has(limit)),
      `longer by ${limit}`,
    ).toBe(true);
  }
  if (before.keeping.cold && !after.keeping.cold) expect(acid || solute, 'uncooled').toBe(true);
  for (const code of graveOf(before)) {
    if (!graveOf(after).includes(code)) expect(acid && ACID_CAUTIONS.has(code), `${code} gone`).toBe(true);
  }
  for (const list of ['eu14', 'us9'] as const) {
    const now = new Set(after.allergens[list].map(({ allergen }) => allergen));
    for (const { allergen } of before.allergens[list]) expect(now.has(allergen), allergen).toBe(true);
  }
  expect(after.allergens.missing).toEqual(expect.arrayContaining([...before.allergens.missing]));
}

describe('nothing added makes it milder', () => {
  it(`over random formulas and additions (seed ${SEED}, ${PAIRS} pairs)`, () => {
    fc.assert(
      fc.property(
        readable(anyFormula, sayFormula),
        readable(anyAdded, sayAdded),
        ({ parts, unread }, added) => {
          const before = safetyOf(parts, { unread });
          const after = safetyOf(added.kind === 'part' ? [...parts, added.part] : parts, {
            unread: added.kind === 'unread' ? [...unread, added.text] : unread,
            meteredPh: added.kind === 'reading' ? added.ph : null,
          });
          check(before, after, added);
        },
      ),
      { seed: SEED, numRuns: PAIRS },
    );
  }, 120_000);

  it('every state has an answer, and neither scale nor order changes it', () => {
    fc.assert(
      fc.property(anyFormula, fc.double({ min: 0.05, max: 40, noNaN: true }), ({ parts, unread }, factor) => {
        const one = safetyOf(parts, { unread });
        const scaled = parts.map((p) => ({ ...p, massG: exactly(p.massG.nominal * factor) })).reverse();
        const other = safetyOf(scaled, { unread });
        expect(one.keeping.days).toBeGreaterThanOrEqual(1);
        expect(Number.isInteger(one.keeping.days)).toBe(true);
        expect([other.keeping.days, other.keeping.cold, other.keeping.limit]).toEqual([
          ...[one.keeping.days, one.keeping.cold, one.keeping.limit],
        ]);
        expect(graveOf(other)).toEqual(graveOf(one));
      }),
      { seed: SEED, numRuns: 400 },
    );
  }, 120_000);

  it('a formula inside gives at least its own hazards, allergens and limit', () => {
    fc.assert(
      fc.property(anyFormula, anyFormula, grams, (inner, outer, g) => {
        const inside = safetyOf(inner.parts, { unread: inner.unread });
        const whole = safetyOf(
          [...outer.parts, { ingredient: made(inner.parts, inner.unread), massG: exactly(g) }],
          { unread: outer.unread },
        );
        expect(whole.keeping.days).toBeLessThanOrEqual(inside.keeping.days);
        if (inside.keeping.cold) expect(whole.keeping.cold).toBe(true);
        expect(graveOf(whole)).toEqual(expect.arrayContaining([...graveOf(inside)]));
        const names = whole.allergens.eu14.map(({ allergen }) => allergen);
        expect(names).toEqual(expect.arrayContaining(inside.allergens.eu14.map(({ allergen }) => allergen)));
      }),
      { seed: SEED, numRuns: 400 },
    );
  }, 120_000);
});

/** One pair for each named line: without it, what is said would not change. */
describe('what acid, salt and sugar may do', () => {
  const days = (...parts: SafetyPart[]): readonly [number, LimitName] => {
    const { keeping } = safetyOf(parts);
    return [keeping.days, keeping.limit];
  };
  const grave = (...parts: SafetyPart[]): readonly CautionCode[] => graveOf(safetyOf(parts));

  it('L1: soy sauce and water is hardly acid, with vinegar it is not', () => {
    const thin = [part('soy_sauce', 60), part('water', 60)];
    expect(days(...thin)).toEqual([3, 'low_acid']);
    expect(days(...thin, part('vin_rice42', 40))[1]).toBe('tcs');
    expect(days(...thin, part('vin_white5', 120))).toEqual([14, 'shelf']);
  });

  it('L2: juice keeps a week once all of it is sour', () => {
    const juice = [part('lemon_juice', 20), part('orange_juice', 20)];
    expect(days(...juice)).toEqual([4, 'cut_plant']);
    const mild = [part('lemon_juice', 10), part('mustard_dijon', 60)];
    expect(days(...mild)).toEqual([4, 'sour_juice']);
    expect(days(...mild, part('lemon_juice', 60))).toEqual([7, 'sour_juice']);
  });

  it('L3: strong acetic acid may stand uncooled, and so may nothing that is only bracketed', () => {
    const weak = [part('vin_white5', 10), part('water', 90)];
    expect(safetyOf(weak).keeping.cold).toBe(true);
    expect(safetyOf([...weak, part('vin_white5', 100)]).keeping.cold).toBe(false);
    expect(safetyOf([...weak, part('lemon_juice', 100)]).keeping.cold).toBe(true);
  });

  it('L4: garlic under oil, reached by a sour water phase or held in one stirred with milk', () => {
    const oil = [part('olive_ev', 90), part('garlic', 5)];
    expect(grave(...oil)).toContain('infused_oil');
    const sour = safetyOf([...oil, part('vin_redwine6', 30)]);
    expect(graveOf(sour)).not.toContain('infused_oil');
    expect(sour.keeping).toMatchObject({ days: 4, limit: 'under_oil', cold: true });
    expect(graveOf(safetyOf([...oil, part('yoghurt_whole', 200)]))).not.toContain('infused_oil');
    // A drop reaches nothing, however sour it is.
    expect(grave(part('olive_ev', 200), part('garlic', 5), part('vin_redwine6', 15))).toContain(
      'infused_oil',
    );
    const powder = [part('olive_ev', 90), part('garlic_powder', 2), part('water', 5)];
    expect(grave(...powder)).toContain('infused_oil');
    expect(safetyOf([...powder, part('vin_redwine6', 30)]).keeping.limit).toBe('shelf');
  });

  it('L5: enough vinegar takes the acid line from raw egg, never the egg’s own', () => {
    const egg = [part('egg_yolk', 17), part('sunflower', 160), part('vin_whitewine6', 6)];
    expect(grave(...egg)).toEqual(['raw_egg', 'raw_egg_acid']);
    expect(grave(...egg, part('vin_whitewine6', 40))).toEqual(['raw_egg']);
    expect(grave(...egg.slice(0, 2), part('lemon_juice', 60))).toEqual(['raw_egg', 'raw_egg_acid']);
  });

  it('L6: acid that rises past 0.3 and 1.4 % of the water', () => {
    const thin = [part('water', 200), part('vin_white5', 5)];
    expect(days(...thin)).toEqual([3, 'no_acid_reserve']);
    expect(days(...thin, part('vin_white5', 20))).toEqual([7, 'weak_acid']);
    expect(days(...thin, part('vin_white5', 120))).toEqual([14, 'shelf']);
  });

  it('L7: salt and sugar that take up the water', () => {
    const brine = [part('water', 100), part('salt_table', 5)];
    expect(days(...brine)).toEqual([3, 'low_acid']);
    expect(days(...brine, part('salt_table', 29))).toEqual([14, 'shelf']);
    expect(safetyOf([...brine, part('salt_table', 29)]).keeping.cold).toBe(false);
    expect(days(part('honey', 100))).toEqual([14, 'shelf']);
    expect(days(part('honey', 100), part('water', 100))[0]).toBeLessThan(14);
  });
});

it('every code has a tier, and only grave ones are the first', () => {
  expect(Object.entries(CAUTION_TABLE).flatMap(([code, { tier }]) => (tier === 1 ? [code] : []))).toEqual([
    ...['infused_oil', 'raw_egg', 'raw_egg_acid', 'sprouts', 'raw_food'],
    ...['allergen_unknown', 'infants_honey'],
  ]);
});
