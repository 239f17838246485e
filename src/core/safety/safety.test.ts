import { describe, expect, it } from 'vitest';
import {
  ingredientFromLabel,
  ownIngredientFromRow,
  REFERENCE_INGREDIENTS,
  type IngredientId,
} from '#core/ingredient';
import { judgePortions, type Judgement } from '#core/reckoning';
import { judgedLines } from '../reckoning/testing';
import type { CautionCode } from './cautions';
import { LIMIT_DAYS, LIMIT_NAMES, SHELF_DAYS } from './keeping';
import { THRESHOLDS } from './thresholds';
import { PLAIN_LABEL } from '../ingredient/testing';

const judged = (...lines: string[]): Judgement => judgedLines(lines);
const codes = (judgement: Judgement): readonly CautionCode[] => judgement.cautions.map(({ code }) => code);

const VINAIGRETTE = ['90 ml rapeseed oil', '30 ml white vinegar', '2 g salt'];

describe('keeping', () => {
  it.each([
    ['only what keeps by itself', [], 14, 'shelf'],
    ['prepared mustard', ['8 g Dijon mustard'], 14, 'shelf'],
    ['soy sauce and maple', ['10 g soy sauce', '10 g maple syrup'], 14, 'shelf'],
    ['dried thyme', ['1 tsp dried thyme'], 14, 'shelf'],
    ['raw garlic', ['1 clove garlic, grated'], 4, 'under_oil'],
    ['roasted garlic all the same', ['1 clove garlic, roasted'], 4, 'under_oil'],
    ['a clove taken out again', ['1 clove garlic, whole, taken out'], 4, 'under_oil'],
    ['fresh herbs', ['5 g dill'], 4, 'under_oil'],
    ['fresh herbs to taste', ['dill to taste'], 4, 'under_oil'],
    ['lemon juice', ['15 ml lemon juice'], 7, 'sour_juice'],
    ['orange juice', ['15 ml orange juice'], 4, 'cut_plant'],
    ['an opened jar', ['20 g sun-dried tomato, chopped'], 4, 'opened_preserve'],
    ['a roasted pepper that may be the cook’s own', ['20 g roasted pepper, mashed'], 4, 'under_oil'],
    ['dairy', ['20 g buttermilk'], 5, 'dairy'],
    ['blue cheese', ['20 g blue cheese, mashed'], 5, 'dairy'],
    ['mayonnaise', ['30 g mayonnaise'], 5, 'mayonnaise'],
    ['anchovy', ['2 fillets'], 5, 'fish'],
    ['silken tofu', ['50 g tofu'], 4, 'plant_protein'],
    ['pasteurised yolk', ['17 g pasteurised yolk'], 4, 'pasteurised_egg'],
    ['raw yolk', ['1 yolk'], 2, 'raw_egg'],
    ['avocado', ['60 g avocado'], 1, 'avocado'],
    ['a line that cannot be read', ['some moonlight'], 3, 'low_acid'],
  ] as const)('%s', (_name, lines, days, reason) => {
    const { keeping } = judged(...VINAIGRETTE, ...lines);
    expect([keeping.days, keeping.limit]).toEqual([days, reason]);
  });

  it('the least of all that apply counts, and hardly any acid shortens it to three days', () => {
    expect(judged(...VINAIGRETTE, '1 yolk', '5 g dill', '60 g avocado').keeping.days).toBe(1);
    const mild = judged('100 ml water', '40 ml coconut milk');
    expect(mild.keeping).toMatchObject({ days: 3, limit: 'low_acid' });
    expect(codes(mild)).toContain('high_ph');
  });

  it('no limit is longer than what keeps by itself, and on a tie the earlier names it', () => {
    for (const name of LIMIT_NAMES) expect(LIMIT_DAYS[name] ?? 7).toBeLessThanOrEqual(SHELF_DAYS);
    expect(judged('60 g milk', 'some moonlight').keeping.limit).toBe('low_acid');
  });
});

describe('cautions', () => {
  it.each([
    ['raw_egg', ['1 yolk']],
    ['raw_egg_acid', ['1 yolk']],
    ['menu_notice', ['1 yolk']],
    ['susceptible_guests', ['20 g blue cheese, mashed']],
    ['cold_holding', ['20 g buttermilk']],
    ['cold_service', ['20 g buttermilk']],
    ['garlic_or_herb_under_oil', ['1 clove garlic, grated']],
    ['infants_honey', ['1 tsp honey']],
    ['boil_dried_beans', ['80 g white beans, dried']],
    ['unread', ['some moonlight']],
    ['allergen_unknown', ['some moonlight']],
    ['sprouts', ['10 g alfalfa sprouts']],
    ['raw_food', ['40 g raw salmon']],
    ['acid_and_metal', []],
    ['dressed_dishes', []],
    ['marinade', []],
    ['local_code', []],
  ] as const)('%s', (code, lines) => {
    const judgement = judged(...VINAIGRETTE, ...lines);
    expect(codes(judgement)).toContain(code);
  });

  it('an oil with garlic or herbs is its own, gravest case', () => {
    const oil = judged('200 ml olive oil', '3 cloves garlic, steeped and taken out');
    expect(oil.cautions[0]).toMatchObject({ code: 'infused_oil', tier: 1, limit: 4 });
    expect(oil.ph.status).toBe('refused');
  });

  it('soybean oil counts as soy; more salt than water holds is said', () => {
    expect(codes(judged('90 ml soybean oil', '30 ml white vinegar'))).toContain('soy_oil');
    expect(codes(judged('30 ml white vinegar', '20 g salt'))).toContain('salt_undissolved');
  });

  it('enough vinegar silences the acid caution of a raw yolk, never the egg’s own', () => {
    const sour = judged('1 yolk', '160 ml sunflower oil', '40 ml white wine vinegar');
    expect(sour.ph.status).toBe('below_calculated');
    expect(codes(sour)).not.toContain('raw_egg_acid');
    expect(codes(sour)).toContain('raw_egg');
    const lemon = judged('1 yolk', '160 ml sunflower oil', '45 ml lemon juice');
    expect(codes(lemon)).toContain('raw_egg_acid');
  });

  it('what goes in to taste brings its cautions and its allergens', () => {
    const judgement = judged(...VINAIGRETTE, 'honey to taste', 'mayonnaise to taste');
    expect(codes(judgement)).toEqual(expect.arrayContaining(['infants_honey', 'cold_holding']));
    expect(judgement.allergens.eu14.map(({ allergen }) => allergen)).toContain('eggs');
  });

  it('an empty jar has none', () => {
    expect(judged().cautions).toEqual([]);
  });
});

describe('lines and allergens', () => {
  it('regulatory limits are those recalled from their sources', () => {
    expect([THRESHOLDS.alarmPh.value, THRESHOLDS.coldPh.value, THRESHOLDS.coldC.value]).toEqual([
      4.6, 4.2, 5,
    ]);
    expect([THRESHOLDS.allergensEu.value, THRESHOLDS.allergensUs.value]).toEqual([14, 9]);
    for (const { source, tag } of Object.values(THRESHOLDS)) expect([source, tag].every(Boolean)).toBe(true);
  });

  it('names who brings an allergen, and what may be in compound things', () => {
    const { allergens } = judged(
      '90 ml walnut oil',
      '30 ml cider vinegar',
      '1 tsp Dijon mustard',
      '10 g ketchup',
    );
    expect(allergens.eu14.map(({ allergen }) => allergen)).toEqual(['mustard', 'nuts (walnut)', 'sulphites']);
    expect(allergens.us9.map(({ allergen }) => allergen)).toEqual(['tree nuts (walnut)']);
    expect(allergens.mayBeIn.map(({ allergen }) => allergen)).toEqual(['celery']);
    expect(allergens.eu14[0]!.from[0]!.id).toBe('mustard_dijon' as IngredientId);
  });

  it('no row holds water, is mild and has no hazard', () => {
    const bare = REFERENCE_INGREDIENTS.filter(
      ({ composition, typicalPh, hazards, category }) =>
        composition.water > 0.15 && (typicalPh ?? 0) > 4 && category !== 'water' && hazards.length === 0,
    );
    expect(bare.map(({ id }) => id)).toEqual([]);
  });

  it('pieces refuse a pH, broken up they do not', () => {
    expect(judged(...VINAIGRETTE, '6 leaves basil').ph.reasons).toContain('pieces');
    expect(judged(...VINAIGRETTE, '6 leaves basil, chopped').ph.reasons).not.toContain('pieces');
    expect(judged(...VINAIGRETTE, '5 g parsley, chopped').ph.reasons).not.toContain('pieces');
  });
});

describe('entered by hand', () => {
  const label = {
    id: 'own_1',
    ...PLAIN_LABEL,
    ph: null as number | null,
    allergensEu14: [] as readonly string[],
    allergensAnswered: false,
    keepsUnopened: false,
    thickness: null,
  };
  const own = (name: string, more: Partial<typeof label> = {}) => {
    const reading = ingredientFromLabel({ ...label, ...more, name });
    if (reading.status !== 'read') throw new Error('unread');
    return ownIngredientFromRow(reading.row);
  };
  const withOwn = (ingredient: ReturnType<typeof own>): Judgement =>
    judgePortions([
      ...judged(...VINAIGRETTE).portions,
      { ingredient, form: '', massG: { nominal: 20, low: 20, high: 20 } },
    ]);

  it('is cold, never uncooled, and its pH is not known unless a label gave it', () => {
    const bare = withOwn(own('House pickle juice'));
    expect(bare.phBound.upper).toBeNull();
    expect(bare.keeping).toMatchObject({ days: 3, limit: 'low_acid', cold: true });
    const labelled = withOwn(own('Pickle juice', { ph: 3.2, keepsUnopened: true }));
    expect(labelled.phBound.upper).toBeLessThan(4);
    expect(labelled.keeping).toMatchObject({ days: 14, limit: 'shelf', cold: true });
    expect(withOwn(own('Pickle juice', { ph: 3.2 })).keeping).toMatchObject({ days: 4, limit: 'unlisted' });
  });

  it('its words count as those of a line that could not be read', () => {
    expect(codes(withOwn(own('Honey glaze')))).toContain('infants_honey');
    expect(codes(withOwn(own('Egg and caper sauce')))).toContain('raw_egg');
    expect(codes(withOwn(own('Chilli and garlic paste')))).toContain('infused_oil');
    expect(withOwn(own('Sprout salad')).keeping).toMatchObject({ days: 2, limit: 'sprouts' });
    expect(withOwn(own('Ginger kombucha', { ph: 3.1 })).phBound.upper).toBeNull();
  });

  it('an allergen question nobody answered leaves the list open; an answer closes it', () => {
    const open = withOwn(own('Walnut relish'));
    expect(open.allergens.missing).toEqual(['Walnut relish']);
    expect(open.allergens.probableEu14.map(({ allergen }) => allergen)).toEqual(['nuts (walnut)']);
    expect(codes(open)).toContain('allergen_unknown');
    const closed = withOwn(
      own('Walnut relish', { allergensAnswered: true, allergensEu14: ['nuts (walnut)', 'fish (cod)'] }),
    );
    expect(closed.allergens.missing).toEqual([]);
    expect(closed.allergens.us9.map(({ allergen }) => allergen)).toEqual([
      'fish (cod)',
      'tree nuts (walnut)',
    ]);
    expect(codes(closed)).not.toContain('allergen_unknown');
  });

  it('rows of before the question was asked count as not answered, unless an allergen was ticked', () => {
    const reading = ingredientFromLabel({ ...label, name: 'Old row' });
    if (reading.status !== 'read') throw new Error('unread');
    const { byHand: asked, ...old } = reading.row;
    expect(asked).toBeDefined();
    expect(ownIngredientFromRow(old).byHand?.allergensAnswered).toBe(false);
    expect(ownIngredientFromRow({ ...old, allergensEu14: ['milk'] }).byHand?.allergensAnswered).toBe(true);
  });
});

describe('a meter', () => {
  const metered = (ph: number, ...lines: string[]): Judgement =>
    judgePortions(judged(...lines).portions, [], ph);

  it('shortens and adds, and never lengthens, uncools or lifts', () => {
    expect(metered(5, ...VINAIGRETTE).keeping).toMatchObject({ days: 3, limit: 'low_acid', cold: true });
    const garlic = ['90 ml olive oil', '2 cloves garlic, grated', '5 ml water'];
    expect(codes(metered(2.5, ...garlic))).toContain('infused_oil');
    const milk = ['100 g milk'];
    expect(metered(3, ...milk).keeping).toEqual(judged(...milk).keeping);
    const egg = ['1 yolk', '160 ml sunflower oil', '40 ml white wine vinegar'];
    expect(codes(judged(...egg))).not.toContain('raw_egg_acid');
    expect(codes(metered(4.5, ...egg))).toContain('raw_egg_acid');
  });

  it('counts for nothing in oil, and what is not known stays unknown', () => {
    expect(metered(3, '90 ml olive oil').ph.status).toBe('refused');
    const unread = judgePortions(judged('90 ml olive oil', '30 ml water').portions, ['moonlight'], 3);
    expect(unread.phBound.upper).toBeNull();
  });
});
