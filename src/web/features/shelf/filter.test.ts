import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DEFAULT_SETTINGS, EMPTY_PANTRY_ENTRY, type ShelfRecord } from '#contract';
import { emptyFormula, type AdditionId, type FormulaId } from '#core/formula';
import { REFERENCE_CATALOGUE } from '#core/ingredient';
import { allergenGroup } from '#core/safety';
import { DEFAULT_VESSEL_ID, STARTING_VESSELS } from '#core/vessel';
import { addTyped } from '#kitchen/edits';
import { contextFor, type Kitchen } from '#kitchen/reading';
import {
  applyFilter,
  filterFrom,
  isFiltered,
  KINDS,
  needsFacets,
  paramsFrom,
  SORTS,
  STATES,
  type ShelfFilter,
} from './filter';

const stocked = (onHandG: number) => ({ ...EMPTY_PANTRY_ENTRY, onHandG });
const kitchen: Kitchen = {
  settings: { ...DEFAULT_SETTINGS, spoons: 'metric' },
  vessels: STARTING_VESSELS,
  catalogue: REFERENCE_CATALOGUE,
  own: { byId: new Map(), now: () => null },
  pantry: { rapeseed: stocked(500), vin_cider5: stocked(500), honey: stocked(3) },
};
let n = 0;
function record(name: string, lines: readonly string[], rest: Partial<ShelfRecord> = {}): ShelfRecord {
  const empty = emptyFormula(name, DEFAULT_VESSEL_ID, 'metric');
  const formula = lines.reduce(
    (next, line) => addTyped(next, line, contextFor(empty, kitchen), () => `a${++n}` as AdditionId),
    empty,
  );
  const at = `2026-10-0${(n % 9) + 1}T08:00:00.000Z`;
  return {
    id: name as FormulaId,
    revision: 0,
    formula,
    shelf: 'shelf',
    changed: false,
    latestNumber: 0,
    createdAt: at,
    updatedAt: at,
    ...rest,
  };
}
const shelf = [
  record('Cider', ['30 ml cider vinegar', '90 ml rapeseed oil']),
  record('Honeyed', ['30 ml cider vinegar', '1 tbsp honey', '60 ml rapeseed oil']),
  record('Yoghurt', ['200 g yoghurt', '1 tbsp lemon juice']),
  record('Old one', ['30 ml red wine vinegar', '90 ml walnut oil'], { shelf: 'archive' }),
];
const names = (patch: Partial<ShelfFilter>): string[] =>
  applyFilter(shelf, { ...filterFrom(new URLSearchParams()), ...patch }, kitchen).map(
    ({ formula }) => formula.name,
  );

describe('the shelf’s filter', () => {
  it('by place, words, kind, acid, allergen and stock', () => {
    expect(names({})).toEqual(['Cider', 'Honeyed', 'Yoghurt']);
    expect(names({ place: 'archive' })).toEqual(['Old one']);
    expect(names({ q: 'honey CIDER' })).toEqual(['Honeyed']);
    expect(names({ kind: 'creamy' })).toEqual(['Yoghurt']);
    expect(names({ kind: 'clear' })).toEqual(['Cider', 'Honeyed']);
    expect(names({ acid: 'Lemon juice' })).toEqual(['Yoghurt']);
    expect(names({ avoid: 'milk' })).toEqual(['Cider', 'Honeyed']);
    expect(names({ onHand: true })).toEqual(['Cider']);
  });
  it('by state', () => {
    const frozen = { ...shelf[0]!, formula: { ...shelf[0]!.formula, basedOnVersion: 1 } };
    const list = [frozen, { ...frozen, changed: true }, shelf[1]!];
    const count = (state: ShelfFilter['state']) =>
      applyFilter(list, { ...filterFrom(new URLSearchParams()), state }, kitchen).length;
    expect([count('any'), count('unfrozen'), count('draft'), count('changes')]).toEqual([3, 1, 1, 1]);
    // Made right twice it is proven; working changes on top of it are not.
    const standings = { [frozen.id]: { 1: { state: 'proven' as const, right: 2, made: 3 } } };
    const proven = applyFilter(
      list,
      { ...filterFrom(new URLSearchParams()), state: 'proven' },
      kitchen,
      standings,
    );
    expect(proven).toEqual([frozen]);
  });
  it('sorts', () => {
    expect(names({ sort: 'name' })).toEqual(['Cider', 'Honeyed', 'Yoghurt']);
    expect(names({ sort: 'largest' })[0]).toBe('Yoghurt');
    expect(names({ sort: 'sharpest' })).toEqual(['Yoghurt', 'Honeyed', 'Cider']);
  });
  it('stands in the address whole, and only what differs', () => {
    const filter: fc.Arbitrary<ShelfFilter> = fc.record({
      q: fc.string({ maxLength: 20 }),
      place: fc.constantFrom('shelf', 'archive', 'bin'),
      state: fc.constantFrom(...STATES),
      kind: fc.constantFrom(...KINDS),
      acid: fc.constantFrom('', 'Lemon juice'),
      avoid: fc.constantFrom('', 'milk'),
      onHand: fc.boolean(),
      sort: fc.constantFrom(...SORTS),
    });
    fc.assert(
      fc.property(filter, (wanted) => {
        expect(filterFrom(new URLSearchParams(paramsFrom(wanted).toString()))).toEqual(wanted);
      }),
    );
    const plain = filterFrom(new URLSearchParams('state=nonsense&sort=luck'));
    expect([paramsFrom(plain).toString(), isFiltered(plain), needsFacets(plain)]).toEqual(['', false, false]);
  });
  it('names an allergen by its group', () => {
    expect(allergenGroup('cereals containing gluten (wheat)')).toBe('cereals containing gluten');
  });
});
