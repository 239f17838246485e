import { describe, expect, it } from 'vitest';
import type { AdditionId, Formula, VesselId } from '#core/formula';
import { emptyFormula, readLine } from '#core/formula';
import {
  HAZARDS,
  measuringWith,
  REFERENCE_CATALOGUE,
  REFERENCE_INGREDIENTS,
  type IngredientId,
} from '#core/ingredient';
import { judgeFormula, reckonFormula, type Judgement } from '#core/reckoning';
import { STARTING_VESSELS } from '#core/vessel';
import { CAUTION_CODES, type CautionCode } from './cautions';
import { HAZARD_DAYS, SHELF_STABLE_DAYS } from './keeping';
import { sayCaution, sayKeeping, sayPh } from './saySafety';
import { THRESHOLDS } from './thresholds';

const context = {
  catalogue: REFERENCE_CATALOGUE,
  measuring: measuringWith('metric'),
  decimalSign: 'point',
} as const;

function judged(...lines: string[]): Judgement {
  const formula: Formula = {
    ...emptyFormula('x', 'jar' as VesselId, 'metric'),
    additions: lines.map((text, rank) => {
      const { amountText, ingredientId, ingredientText, form } = readLine(text, context);
      const id = `a${rank}` as AdditionId;
      return {
        id,
        amountText,
        ingredientId,
        ingredientText,
        form,
        note: '',
        phase: 'base',
        optional: false,
        locked: false,
        measuredBy: null,
        rank,
      };
    }),
  };
  return judgeFormula(reckonFormula(formula, STARTING_VESSELS[0]!, context));
}
const codes = (judgement: Judgement): readonly CautionCode[] => judgement.cautions.map(({ code }) => code);

const VINAIGRETTE = ['90 ml rapeseed oil', '30 ml white vinegar', '2 g salt'];

describe('keeping', () => {
  it.each([
    ['only what keeps by itself', [], 14, 'shelf_stable'],
    ['prepared mustard', ['8 g Dijon mustard'], 14, 'shelf_stable'],
    ['soy sauce and maple', ['10 g soy sauce', '10 g maple syrup'], 14, 'shelf_stable'],
    ['dried thyme', ['1 tsp dried thyme'], 14, 'shelf_stable'],
    ['raw garlic', ['1 clove garlic, grated'], 4, 'raw_allium'],
    ['roasted garlic all the same', ['1 clove garlic, roasted'], 4, 'raw_allium'],
    ['a clove taken out again', ['1 clove garlic, whole, taken out'], 4, 'raw_allium'],
    ['fresh herbs', ['5 g dill'], 4, 'fresh_herb'],
    ['fresh herbs to taste', ['dill to taste'], 4, 'fresh_herb'],
    ['lemon juice', ['15 ml lemon juice'], 4, 'raw_vegetable_or_fruit'],
    ['an opened jar', ['20 g roasted pepper'], 4, 'opened_preserve'],
    ['dairy', ['20 g buttermilk'], 5, 'dairy'],
    ['blue cheese', ['20 g blue cheese, mashed'], 5, 'dairy'],
    ['mayonnaise', ['30 g mayonnaise'], 5, 'mayonnaise'],
    ['anchovy', ['2 fillets'], 5, 'fish'],
    ['silken tofu', ['50 g tofu'], 4, 'plant_protein'],
    ['pasteurised yolk', ['17 g pasteurised yolk'], 4, 'pasteurised_egg'],
    ['raw yolk', ['1 yolk'], 2, 'raw_egg'],
    ['avocado', ['60 g avocado'], 1, 'avocado'],
    ['a line that cannot be read', ['some moonlight'], 4, 'not_all_read'],
  ] as const)('%s', (_name, lines, days, reason) => {
    const { keeping } = judged(...VINAIGRETTE, ...lines);
    expect([keeping.days, keeping.reason]).toEqual([days, reason]);
    expect(sayKeeping(keeping)).toContain('An estimate.');
  });

  it('the least of all that apply counts, and hardly any acid shortens it to three days', () => {
    expect(judged(...VINAIGRETTE, '1 yolk', '5 g dill', '60 g avocado').keeping.days).toBe(1);
    const mild = judged('100 ml water', '40 ml coconut milk');
    expect(mild.keeping).toMatchObject({ days: 3, reason: 'high_ph' });
    expect(codes(mild)).toContain('high_ph');
  });

  it('no hazard keeps longer than what keeps by itself', () => {
    for (const hazard of HAZARDS) expect(HAZARD_DAYS[hazard]).toBeLessThanOrEqual(SHELF_STABLE_DAYS);
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
    ['boil_dried_beans', ['80 g white beans']],
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
    expect(oil.cautions[0]).toMatchObject({ code: 'infused_oil', weight: 'grave', limit: 4 });
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

  it('each is a sentence with its reason and source; none says safe', () => {
    const all = [
      judged(
        ...VINAIGRETTE,
        '1 yolk',
        '20 g blue cheese, mashed',
        '1 clove garlic, grated',
        '1 tsp honey',
        '80 g white beans',
      ),
      judged('200 ml olive oil', '3 cloves garlic'),
      judged('90 ml soybean oil', '30 g salt', '30 ml water'),
      judged('100 ml water', '40 ml coconut milk'),
    ];
    const seen = new Set<CautionCode>();
    for (const judgement of all) {
      for (const caution of judgement.cautions) {
        seen.add(caution.code);
        const { what, why } = sayCaution(caution);
        expect(what.length).toBeGreaterThan(15);
        expect(why.length).toBeGreaterThan(15);
        expect(caution.source).not.toBe('');
        expect(`${what} ${why} ${sayPh(judgement.ph)}`).not.toMatch(/\bis safe\b|NaN|undefined|null/);
      }
    }
    expect([...seen].sort()).toEqual([...CAUTION_CODES].sort());
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
    expect(allergens.eu14.map(({ allergen }) => allergen)).toEqual(['mustard', 'nuts', 'sulphites']);
    expect(allergens.us9.map(({ allergen }) => allergen)).toEqual(['tree nuts']);
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
