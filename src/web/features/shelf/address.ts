/** The filter as the address has it, so that it survives a reload and can be shared. */
import { SHELF_KINDS, SHELF_SORTS, SHELVES } from '#contract';
import { STATE_FILTERS, type ShelfFilter } from '#kitchen/shelf';

const oneOf = <T extends string>(list: readonly T[], text: string | null): T =>
  list.find((item) => item === text) ?? list[0]!;

export function filterFrom(params: URLSearchParams): ShelfFilter {
  return {
    q: params.get('q') ?? '',
    place: oneOf(SHELVES, params.get('place')),
    state: oneOf(STATE_FILTERS, params.get('state')),
    kind: oneOf(SHELF_KINDS, params.get('kind')),
    acid: params.get('acid') ?? '',
    avoid: params.get('avoid') ?? '',
    onHand: params.get('onHand') === '1',
    sort: oneOf(SHELF_SORTS, params.get('sort')),
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
