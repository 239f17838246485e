/** What a shelf is sifted and ordered by. Without schemas: the first page needs no more than these. */
export const SHELVES = ['shelf', 'archive', 'bin'] as const;
export type Shelf = (typeof SHELVES)[number];
export const SHELF_SORTS = ['shelf', 'name', 'changed', 'sharpest', 'largest'] as const;
export type ShelfSort = (typeof SHELF_SORTS)[number];
export const SHELF_KINDS = ['any', 'clear', 'creamy'] as const;
export type ShelfKind = (typeof SHELF_KINDS)[number];
/** How the version stands that a formula grew from; working changes stand for nothing yet. */
export const SHELF_STATES = ['unfrozen', 'draft', 'tried', 'proven', 'changes'] as const;
export type ShelfState = (typeof SHELF_STATES)[number];
