import { describe, expect, it } from 'vitest';
import { DEFAULT_SETTINGS, EMPTY_PANTRY_ENTRY } from '#contract';
import { emptyFormula, type AdditionId } from '#core/formula';
import { REFERENCE_CATALOGUE } from '#core/ingredient';
import { allergenGroup } from '#core/safety';
import { DEFAULT_VESSEL_ID, STARTING_VESSELS } from '#core/vessel';
import { addTyped } from '#kitchen/edits';
import { contextFor, type Kitchen } from '#kitchen/reading';
import { facetsOf, searchText } from './facets';
import { applyFilter, isFiltered, needsFacets, type ShelfFilter, type Sifted } from './filter';

const PLAIN: ShelfFilter = {
  q: '',
  place: 'shelf',
  state: 'any',
  kind: 'any',
  acid: '',
  avoid: '',
  onHand: false,
  sort: 'shelf',
};
const stocked = (onHandG: number) => ({ ...EMPTY_PANTRY_ENTRY, onHandG });
const kitchen: Kitchen = {
  settings: { ...DEFAULT_SETTINGS, spoons: 'metric' },
  vessels: STARTING_VESSELS,
  catalogue: REFERENCE_CATALOGUE,
  own: { byId: new Map(), now: () => null },
  pantry: { rapeseed: stocked(500), vin_cider5: stocked(500), honey: stocked(3) },
};
let n = 0;
function sifted(name: string, lines: readonly string[], rest: Partial<Sifted> = {}): Sifted {
  const empty = emptyFormula(name, DEFAULT_VESSEL_ID, 'metric');
  const formula = lines.reduce(
    (next, line) => addTyped(next, line, contextFor(empty, kitchen), () => `a${++n}` as AdditionId),
    empty,
  );
  return {
    place: 'shelf',
    name,
    text: searchText(formula),
    updatedAt: `2026-10-0${(n % 9) + 1}T08:00:00.000Z`,
    state: () => 'unfrozen',
    facets: () => facetsOf(formula, kitchen),
    ...rest,
  };
}
const shelf = [
  sifted('Cider', ['30 ml cider vinegar', '90 ml rapeseed oil']),
  sifted('Honeyed', ['30 ml cider vinegar', '1 tbsp honey', '60 ml rapeseed oil']),
  sifted('Yoghurt', ['200 g yoghurt', '1 tbsp lemon juice']),
  sifted('Old one', ['30 ml red wine vinegar', '90 ml walnut oil'], { place: 'archive' }),
];
const names = (patch: Partial<ShelfFilter>, all: readonly Sifted[] = shelf): string[] =>
  applyFilter(all, { ...PLAIN, ...patch }).map(({ name }) => name);

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
    const list = (['unfrozen', 'draft', 'proven', 'changes'] as const).map((state) =>
      sifted(state, ['30 ml cider vinegar'], { state: () => state }),
    );
    expect(names({ state: 'any' }, list)).toHaveLength(4);
    for (const { name } of list) expect(names({ state: name as ShelfFilter['state'] }, list)).toEqual([name]);
    expect(names({ state: 'tried' }, list)).toEqual([]);
  });
  it('sorts', () => {
    expect(names({ sort: 'name' })).toEqual(['Cider', 'Honeyed', 'Yoghurt']);
    expect(names({ sort: 'largest' })[0]).toBe('Yoghurt');
    expect(names({ sort: 'sharpest' })).toEqual(['Yoghurt', 'Honeyed', 'Cider']);
  });
  it('asks for facets only where it needs them', () => {
    expect([needsFacets(PLAIN), needsFacets({ ...PLAIN, q: 'thyme', state: 'proven' })]).toEqual([
      false,
      false,
    ]);
    expect(needsFacets({ ...PLAIN, sort: 'largest' })).toBe(true);
    const lazy = sifted('Lazy', ['1 tbsp honey'], {
      facets: () => {
        throw new Error('reckoned for nothing');
      },
    });
    expect(names({ q: 'honey', sort: 'name' }, [lazy])).toEqual(['Lazy']);
    expect([isFiltered(PLAIN), isFiltered({ ...PLAIN, place: 'bin', sort: 'name' } as ShelfFilter)]).toEqual([
      false,
      false,
    ]);
    expect(isFiltered({ ...PLAIN, avoid: 'milk' })).toBe(true);
  });
  it('names an allergen by its group', () => {
    expect(allergenGroup('cereals containing gluten (wheat)')).toBe('cereals containing gluten');
  });
});
