export { choicesOf, facetsOf, reckonShelved, searchText, type Facets } from './facets';
export {
  applyFilter,
  isFiltered,
  needsFacets,
  STATE_FILTERS,
  type ShelfFilter,
  type Sifted,
  type StateFilter,
} from './filter';
