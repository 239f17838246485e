import fc from 'fast-check';
import { expect, it } from 'vitest';
import { SHELF_KINDS, SHELF_SORTS } from '#contract';
import { isFiltered, needsFacets, STATE_FILTERS, type ShelfFilter } from '#kitchen/shelf';
import { filterFrom, paramsFrom } from './address';

it('the filter stands in the address whole, and only what differs', () => {
  const filter: fc.Arbitrary<ShelfFilter> = fc.record({
    q: fc.string({ maxLength: 20 }),
    place: fc.constantFrom('shelf', 'archive', 'bin'),
    state: fc.constantFrom(...STATE_FILTERS),
    kind: fc.constantFrom(...SHELF_KINDS),
    acid: fc.constantFrom('', 'Lemon juice'),
    avoid: fc.constantFrom('', 'milk'),
    onHand: fc.boolean(),
    sort: fc.constantFrom(...SHELF_SORTS),
  });
  fc.assert(
    fc.property(filter, (wanted) => {
      expect(filterFrom(new URLSearchParams(paramsFrom(wanted).toString()))).toEqual(wanted);
    }),
  );
  const plain = filterFrom(new URLSearchParams('state=nonsense&sort=luck'));
  expect([paramsFrom(plain).toString(), isFiltered(plain), needsFacets(plain)]).toEqual(['', false, false]);
});
