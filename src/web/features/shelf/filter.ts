/** The shelf's filter: its state is the address, so that it survives a reload and can be shared. */
import type { Shelf, ShelfRecord, Standings } from '#contract';
import { normaliseName } from '#core/ingredient';
import type { Kitchen } from '#kitchen/reading';
import { facetsOf, searchText } from './facets';

export const SORTS = ['shelf', 'name', 'changed', 'sharpest', 'largest'] as const;
export type Sort = (typeof SORTS)[number];
export const STATES = ['any', 'unfrozen', 'draft', 'tried', 'proven', 'changes'] as const;
export type StateFilter = (typeof STATES)[number];
export const KINDS = ['any', 'clear', 'creamy'] as const;
export type Kind = (typeof KINDS)[number];

export interface ShelfFilter {
  readonly q: string;
  readonly place: Shelf;
  readonly state: StateFilter;
  readonly kind: Kind;
  readonly acid: string;
  readonly avoid: string;
  readonly onHand: boolean;
  readonly sort: Sort;
}

const oneOf = <T extends string>(list: readonly T[], text: string | null): T =>
  list.find((item) => item === text) ?? list[0]!;

export function filterFrom(params: URLSearchParams): ShelfFilter {
  return {
    q: params.get('q') ?? '',
    place: oneOf(['shelf', 'archive', 'bin'] as const, params.get('place')),
    state: oneOf(STATES, params.get('state')),
    kind: oneOf(KINDS, params.get('kind')),
    acid: params.get('acid') ?? '',
    avoid: params.get('avoid') ?? '',
    onHand: params.get('onHand') === '1',
    sort: oneOf(SORTS, params.get('sort')),
  };
}

/** Only what differs from the plain shelf stands in the address. */
export function paramsFrom(filter: ShelfFilter): URLSearchParams {
  const params = new URLSearchParams();
  const plain = filterFrom(params);
  for (const key of Object.keys(filter) as (keyof ShelfFilter)[]) {
    if (filter[key] !== plain[key]) params.set(key, filter[key] === true ? '1' : String(filter[key]));
  }
  return params;
}

export const needsFacets = ({ kind, acid, avoid, onHand, sort }: ShelfFilter): boolean =>
  kind !== 'any' || acid !== '' || avoid !== '' || onHand || sort === 'sharpest' || sort === 'largest';

export const isFiltered = (filter: ShelfFilter): boolean =>
  [...paramsFrom(filter).keys()].some((key) => key !== 'sort' && key !== 'place');

/** How the version stands that a formula grew from; working changes stand for nothing yet. */
export function stateOf(
  { id, formula, changed }: ShelfRecord,
  standings: Standings,
): Exclude<StateFilter, 'any'> {
  const { basedOnVersion } = formula;
  if (basedOnVersion === null) return 'unfrozen';
  return changed ? 'changes' : (standings[id]?.[basedOnVersion]?.state ?? 'draft');
}

function passes(
  record: ShelfRecord,
  filter: ShelfFilter,
  words: readonly string[],
  kitchen: Kitchen,
  standings: Standings,
): boolean {
  if (record.shelf !== filter.place) return false;
  if (filter.state !== 'any' && stateOf(record, standings) !== filter.state) return false;
  if (!words.every((word) => searchText(record).includes(word))) return false;
  if (filter.kind === 'any' && !filter.acid && !filter.avoid && !filter.onHand) return true;
  const facets = facetsOf(record, kitchen);
  if (filter.kind !== 'any' && facets.creamy !== (filter.kind === 'creamy')) return false;
  if (filter.acid && facets.acid !== filter.acid) return false;
  if (filter.avoid && (facets.allergens.has(filter.avoid) || facets.allergensOpen)) return false;
  return !filter.onHand || facets.missing === 0;
}

export function applyFilter(
  records: readonly ShelfRecord[],
  filter: ShelfFilter,
  kitchen: Kitchen,
  standings: Standings = {},
): readonly ShelfRecord[] {
  const words = normaliseName(filter.q).split(' ').filter(Boolean);
  const kept = records.filter((record) => passes(record, filter, words, kitchen, standings));
  const ratio = (record: ShelfRecord): number =>
    facetsOf(record, kitchen).reckoning.totals.measures.oilToAcidVolumeRatio ?? Infinity;
  const volume = (record: ShelfRecord): number => facetsOf(record, kitchen).reckoning.totals.mixedVolumeMl;
  switch (filter.sort) {
    case 'shelf':
      return kept;
    case 'name':
      return kept.sort((a, b) => a.formula.name.localeCompare(b.formula.name));
    case 'changed':
      return kept.sort((a, b) => b.updatedAt.localeCompare(a.updatedAt));
    case 'sharpest':
      return kept.sort((a, b) => ratio(a) - ratio(b));
    case 'largest':
      return kept.sort((a, b) => volume(b) - volume(a));
  }
}
