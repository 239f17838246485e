import { describe, expect, it } from 'vitest';
import { DEFAULT_SETTINGS, EMPTY_PANTRY_ENTRY, type PantryEntry, type ShelfRecord } from '#contract';
import { finish } from '#core/balance';
import { emptyFormula, readLine, type Addition, type AdditionId } from '#core/formula';
import { REFERENCE_CATALOGUE } from '#core/ingredient';
import { STYLES } from '#core/palate';
import { seasonWays } from '#core/season';
import { DEFAULT_VESSEL_ID, STARTING_VESSELS } from '#core/vessel';
import { contextFor, type Kitchen } from '#kitchen/reading';
import { inSeason, mustGoSoon, seasonJob, stockForSeason } from '.';

const entry = (onHandG: number, price: number, useBy: string | null = null): PantryEntry => ({
  ...EMPTY_PANTRY_ENTRY,
  ...{ onHandG, price, packMassG: 1000 },
  bottle: { ...EMPTY_PANTRY_ENTRY.bottle, useBy },
});
const KITCHEN: Kitchen = {
  settings: { ...DEFAULT_SETTINGS, decimalSign: 'comma' },
  vessels: STARTING_VESSELS,
  catalogue: REFERENCE_CATALOGUE,
  own: { byId: new Map(), now: () => null },
  pantry: {
    olive_ev: entry(5000, 12),
    walnut_oil: entry(5000, 30),
    rapeseed: entry(5000, 3),
    vin_whitewine6: entry(5000, 4),
    mustard_dijon: entry(500, 10, '2026-12-01'),
    lemon_juice: entry(0, 6, '2026-12-02'),
    honey: entry(200, 9, '2026-11-01'),
    salt_table: entry(500, 1),
  },
};
const LINES = [
  '30 g white wine vinegar',
  '8 g dijon mustard',
  '1.6 g salt',
  '60 g extra-virgin olive oil',
  '30 g walnut oil',
  'pepper, to taste',
];
const empty = emptyFormula('House', DEFAULT_VESSEL_ID, 'metric');
const formula = {
  ...empty,
  stageNames: 'base\n+ oil',
  additions: LINES.map((text, rank): Addition => {
    const point = { ...KITCHEN, settings: DEFAULT_SETTINGS };
    const { amountText, ingredientId, ingredientText, form } = readLine(text, contextFor(empty, point));
    return {
      id: `a${rank}` as AdditionId,
      ...{ amountText, ingredientId, ingredientText, form, rank },
      ...{
        note: 'as ever',
        phase: rank === 3 || rank === 4 ? 'oil' : 'base',
        optional: false,
        locked: rank === 3,
        measuredBy: null,
        stage: rank > 2 ? 1 : 0,
      },
    };
  }),
};
const RECORD = { id: 'house', formula } as unknown as ShelfRecord;

describe('season and price of a kitchen', () => {
  it('knows what is due soon, not what is past its day or gone', () => {
    const due = mustGoSoon(KITCHEN.pantry, REFERENCE_CATALOGUE, '2026-11-28', '2026-12-05');
    expect(due.map(({ ingredient }) => ingredient.id)).toEqual(['mustard_dijon']);
  });

  it('writes the change as a draft: lines that stand keep their note and stage, oil comes last', () => {
    const stock = stockForSeason(KITCHEN, new Set());
    // 30 money for 1000 g: 0.03 a gram.
    expect(stock.get('walnut_oil' as never)).toMatchObject({ pricePerG: 0.03, onHandG: 5000, mustGo: false });
    const job = seasonJob(RECORD, 1000, { ...KITCHEN, readAmountsWith: 'point' }, () => STYLES[0]!)!;
    expect(job.request.times).toBeGreaterThan(6);
    const [way] = finish(seasonWays({ ...job.request, stock, catalogue: REFERENCE_CATALOGUE }));
    let ids = 0;
    const draft = inSeason(
      formula,
      { ...KITCHEN, readAmountsWith: 'point' },
      way!,
      'House, with rapeseed',
      () => `n${ids++}`,
    );
    expect(draft.name).toBe('House, with rapeseed');
    const names = draft.additions.map(({ ingredientText }) => ingredientText);
    expect(names.at(-1)).toMatch(/rapeseed/i);
    const fresh = draft.additions.at(-1)!;
    expect([fresh.stage, fresh.phase]).toEqual([1, 'oil']);
    // What could not be read stands as it was typed.
    expect(names.some((name) => /pepper/.test(name))).toBe(true);
    expect(draft.additions.find(({ ingredientId }) => ingredientId === 'mustard_dijon')).toMatchObject({
      note: 'as ever',
      stage: 0,
    });
    // The cook locked it: its share of the jar stands.
    expect(draft.additions.find(({ ingredientId }) => ingredientId === 'olive_ev')!.locked).toBe(true);
    expect(new Set(draft.additions.map(({ id }) => id)).size).toBe(draft.additions.length);
    expect(
      draft.additions.every(({ amountText }) => !/\d\.\d g$/.test(amountText) || amountText === '1.6 g'),
    ).toBe(true);
  });

  it('knows what a dressing is called after; oil and vinegar are in no name', () => {
    const named = (name: string) => {
      const kitchen = { ...KITCHEN, readAmountsWith: 'point' as const };
      const job = seasonJob({ ...RECORD, formula: { ...formula, name } }, 1000, kitchen, () => null)!;
      return [...job.request.calledAfter].sort();
    };
    expect(named('House')).toEqual([]);
    expect(named('Walnut & mustard house')).toEqual(['mustard_dijon', 'walnut_oil']);
    expect(named('White vinegar and oil')).toEqual([]);
  });

  it('has no job where nothing can be read', () => {
    expect(
      seasonJob({ ...RECORD, formula: { ...formula, additions: [] } }, 1000, KITCHEN, () => null),
    ).toBeNull();
  });
});
