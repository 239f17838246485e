/** The shelf's filter: what is left out, and in which order the rest stands. */
import { SHELF_STATES, type Shelf, type ShelfKind, type ShelfSort, type ShelfState } from '#contract';
import { normaliseName } from '#core/ingredient';
import type { Facets } from './facets';

export const STATE_FILTERS = ['any', ...SHELF_STATES] as const;
export type StateFilter = (typeof STATE_FILTERS)[number];

export interface ShelfFilter {
  readonly q: string;
  readonly place: Shelf;
  readonly state: StateFilter;
  readonly kind: ShelfKind;
  readonly acid: string;
  readonly avoid: string;
  readonly onHand: boolean;
  readonly sort: ShelfSort;
}

export const needsFacets = ({ kind, acid, avoid, onHand, sort }: ShelfFilter): boolean =>
  kind !== 'any' || acid !== '' || avoid !== '' || onHand || sort === 'sharpest' || sort === 'largest';

/** Something is left out; place and order leave nothing out. */
export const isFiltered = ({
  q,
  state,
  kind,
  acid,
  avoid,
  onHand,
}: Omit<ShelfFilter, 'sort' | 'place'>): boolean =>
  q !== '' || state !== 'any' || kind !== 'any' || acid !== '' || avoid !== '' || onHand;

/** A formula as it is sifted: what a filter may ask about it. */
export interface Sifted {
  readonly place: Shelf;
  readonly name: string;
  /** Name and ingredients as plain words. */
  readonly text: string;
  readonly updatedAt: string;
  /** Asked only where the filter needs it. */
  readonly state: () => ShelfState;
  readonly facets: () => Facets;
}

function passes(one: Sifted, filter: ShelfFilter, words: readonly string[]): boolean {
  if (one.place !== filter.place) return false;
  if (filter.state !== 'any' && one.state() !== filter.state) return false;
  if (!words.every((word) => one.text.includes(word))) return false;
  if (filter.kind === 'any' && !filter.acid && !filter.avoid && !filter.onHand) return true;
  const facets = one.facets();
  if (filter.kind !== 'any' && facets.creamy !== (filter.kind === 'creamy')) return false;
  if (filter.acid && facets.acid !== filter.acid) return false;
  if (filter.avoid && (facets.allergens.has(filter.avoid) || facets.allergensOpen)) return false;
  return !filter.onHand || facets.missing === 0;
}

/** What the filter leaves, in its order. */
export function applyFilter<T extends Sifted>(all: readonly T[], filter: ShelfFilter): readonly T[] {
  const words = normaliseName(filter.q).split(' ').filter(Boolean);
  const kept = all.filter((one) => passes(one, filter, words));
  const ratio = (one: Sifted): number => one.facets().oilToAcid ?? Infinity;
  switch (filter.sort) {
    case 'shelf':
      return kept;
    case 'name':
      return kept.sort((a, b) => a.name.localeCompare(b.name));
    case 'changed':
      return kept.sort((a, b) => b.updatedAt.localeCompare(a.updatedAt));
    case 'sharpest':
      return kept.sort((a, b) => ratio(a) - ratio(b));
    case 'largest':
      return kept.sort((a, b) => b.facets().volumeMl - a.facets().volumeMl);
  }
}
