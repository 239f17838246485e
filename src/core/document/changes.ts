/** Reversible changes of a document: what is sent, what undo takes back. */
import { at, isFields, isItems, itemOf, keysOf, put, same, type Rules, type Path } from './document';

export interface Change {
  readonly path: Path;
  /** Not there: the place is new. */
  readonly from?: unknown;
  /** Not there: the place is taken out. */
  readonly to?: unknown;
}

/** What stands where a change expected something else. */
export interface Refusal {
  readonly change: Change;
  readonly current?: unknown;
}

export type Applied<T> =
  | { readonly status: 'applied'; readonly doc: T }
  | { readonly status: 'conflict'; readonly refusals: readonly Refusal[] };

/** The changes that lead from one to the other, each as deep as it goes. */
export function changesBetween(before: unknown, after: unknown, { whole }: Rules): readonly Change[] {
  const changes: Change[] = [];
  walk(before, after, []);
  return changes;

  function walk(a: unknown, b: unknown, path: Path): void {
    if (same(a, b)) return;
    const isOpen = !whole(path);
    if (isOpen && isItems(a) && isItems(b) && a.length + b.length > 0) {
      const ids = new Set([...a, ...b].map(({ id }) => id));
      for (const id of ids) walk(itemOf(a, id), itemOf(b, id), [...path, id]);
    } else if (isOpen && isFields(a) && isFields(b)) {
      for (const key of keysOf(a, b)) walk(a[key], b[key], [...path, key]);
    } else {
      changes.push({
        path,
        ...(a === undefined ? {} : { from: a }),
        ...(b === undefined ? {} : { to: b }),
      });
    }
  }
}

/** The changes that take these back. */
export const invertChanges = (changes: readonly Change[]): readonly Change[] =>
  [...changes].reverse().map(({ path, ...change }) => ({
    path,
    ...('to' in change ? { from: change.to } : {}),
    ...('from' in change ? { to: change.from } : {}),
  }));

/**
 * Applies changes to a document that may have moved on meanwhile. What already is as wanted is left alone, so
 * applying the same change twice does no harm. All or nothing.
 */
export function applyChanges<T>(doc: T, changes: readonly Change[]): Applied<T> {
  const refusals: Refusal[] = [];
  let next = doc;
  for (const change of changes) {
    const current = at(next, change.path);
    if (same(current, change.to)) continue;
    const place = at(next, change.path.slice(0, -1));
    // The whole has its place even where there is nothing yet.
    const hasPlace = change.path.length === 0 || isFields(place) || isItems(place);
    if (hasPlace && same(current, change.from)) next = put(next, change.path, change.to);
    else refusals.push({ change, ...(current === undefined ? {} : { current }) });
  }
  return refusals.length > 0 ? { status: 'conflict', refusals } : { status: 'applied', doc: next };
}

/** What fits is applied, what does not is left out. */
export const applyWhatFits = <T>(doc: T, changes: readonly Change[]): T =>
  changes.reduce((now, change) => {
    const result = applyChanges(now, [change]);
    return result.status === 'applied' ? result.doc : now;
  }, doc);
