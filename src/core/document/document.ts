/**
 * What several people change at once: an object of fields, of objects, and of lists whose items have an `id`.
 * A place in it is a path of keys and ids. Everything here works on plain JSON and leaves what it is given
 * alone; what is the same afterwards is the same object.
 */

export type Path = readonly string[];

/** What is special about a kind of document. */
export interface Rules {
  /** Taken whole: the parts mean nothing alone, like the ends of a range. */
  readonly whole: (path: Path) => boolean;
  /** Where two set it, one is as good as the other: a task ticked twice is ticked. */
  readonly either: (path: Path) => boolean;
}
export const PLAIN: Rules = { whole: () => false, either: () => false };

type Fields = Readonly<Record<string, unknown>>;
type Item = Fields & { readonly id: string };

export const isFields = (value: unknown): value is Fields =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** An empty list may become one of items. */
export const isItems = (value: unknown): value is readonly Item[] =>
  Array.isArray(value) && value.every((one) => isFields(one) && typeof one.id === 'string');

/** Equal as JSON is; a field that is undefined is as one that is not there. */
export function same(a: unknown, b: unknown): boolean {
  if (Object.is(a, b)) return true;
  if (Array.isArray(a) || Array.isArray(b)) {
    if (!Array.isArray(a) || !Array.isArray(b)) return false;
    return a.length === b.length && a.every((one, i) => same(one, b[i]));
  }
  if (!isFields(a) || !isFields(b)) return false;
  return keysOf(a, b).every((key) => same(a[key], b[key]));
}

export const keysOf = (...all: readonly Fields[]): readonly string[] => [
  ...new Set(all.flatMap((one) => Object.keys(one))),
];

export const itemOf = (items: readonly Item[], id: string): Item | undefined =>
  items.find((one) => one.id === id);

/** What stands there; undefined: nothing does. */
export function at(doc: unknown, [key, ...rest]: Path): unknown {
  if (key === undefined) return doc;
  if (isItems(doc)) return at(itemOf(doc, key), rest);
  return isFields(doc) && Object.hasOwn(doc, key) ? at(doc[key], rest) : undefined;
}

/** The document with another value there; undefined takes it out. Where the way there is gone, nothing changes. */
export function put<T>(doc: T, path: Path, value: unknown): T {
  return putAt(doc, path, value) as T;
}

function putAt(doc: unknown, [key, ...rest]: Path, value: unknown): unknown {
  if (key === undefined) return value;
  if (isItems(doc)) return putItem(doc, key, rest, value);
  if (!isFields(doc)) return doc;
  if (rest.length > 0 && !Object.hasOwn(doc, key)) return doc;
  const next = putAt(doc[key], rest, value);
  if (next !== undefined) return Object.is(next, doc[key]) ? doc : { ...doc, [key]: next };
  const { [key]: _gone, ...others } = doc;
  return others;
}

function putItem(items: readonly Item[], id: string, rest: Path, value: unknown): unknown {
  const item = itemOf(items, id);
  if (!item) return rest.length > 0 || value === undefined ? items : [...items, value];
  const next = putAt(item, rest, value);
  if (next === undefined) return items.filter((one) => one !== item);
  return items.map((one) => (one === item ? next : one));
}

/** Whether one place lies in the other, or is it. */
export const overlap = (a: Path, b: Path): boolean => {
  const shorter = Math.min(a.length, b.length);
  return a.slice(0, shorter).every((key, i) => key === b[i]);
};
