/**
 * Three-way merge, place by place: what one side changed is taken, what both changed differently is a clash
 * that keeps both until a cook settles it. The method is the usual one of version control, on trees.
 */
import { isFields, isItems, itemOf, keysOf, same, type Path, type Rules } from './document';

/** One place, changed on both sides. Undefined: taken out. */
export interface Clash {
  readonly path: Path;
  readonly base?: unknown;
  readonly mine?: unknown;
  readonly theirs?: unknown;
  /** Set where it is no other's change that stands against mine: the kitchen does not take it. */
  readonly why?: string;
}

export interface Merged<T> {
  /** Shows theirs where there is a clash. */
  readonly doc: T;
  readonly clashes: readonly Clash[];
}

/** @param base what both grew from */
export function merge<T>(base: T, mine: T, theirs: T, { whole, either }: Rules): Merged<T> {
  const clashes: Clash[] = [];
  const doc = merged(base, mine, theirs, []) as T;
  return { doc, clashes };

  function merged(b: unknown, m: unknown, t: unknown, path: Path): unknown {
    if (same(m, b) || same(m, t)) return t;
    if (same(t, b)) return m;
    if (!whole(path)) {
      if (isItems(b) && isItems(m) && isItems(t)) return items(b, m, t, path);
      if (isFields(b) && isFields(m) && isFields(t)) return fields(b, m, t, path);
      // Both made the same thing anew: what differs in it is what clashes.
      if (b === undefined && isFields(m) && isFields(t)) return fields({}, m, t, path);
    }
    if (m !== undefined && t !== undefined && either(path)) return t;
    clashes.push({ path, ...given('base', b), ...given('mine', m), ...given('theirs', t) });
    return t;
  }

  function fields(b: object, m: object, t: object, path: Path): unknown {
    const [was, my, their] = [b, m, t] as Record<string, unknown>[];
    const next: Record<string, unknown> = {};
    for (const key of keysOf(their!, my!)) {
      const value = merged(was![key], my![key], their![key], [...path, key]);
      if (value !== undefined) next[key] = value;
    }
    return next;
  }

  function items(
    b: readonly { id: string }[],
    m: readonly { id: string }[],
    t: readonly { id: string }[],
    path: Path,
  ): unknown {
    const order = orderOf(idsOf(b), idsOf(m), idsOf(t));
    return order.flatMap((id) => {
      const item = merged(itemOf(b, id), itemOf(m, id), itemOf(t, id), [...path, id]);
      return item === undefined ? [] : [item];
    });
  }
}

const given = (name: string, value: unknown): object => (value === undefined ? {} : { [name]: value });
const idsOf = (items: readonly { id: string }[]): readonly string[] => items.map(({ id }) => id);

/** Theirs, unless only mine was moved about; what the other side alone has follows. */
function orderOf(base: readonly string[], mine: readonly string[], theirs: readonly string[]): string[] {
  const theirsMoved = !same(
    theirs.filter((id) => base.includes(id)),
    base.filter((id) => theirs.includes(id)),
  );
  const [first, second] = theirsMoved ? [theirs, mine] : [mine, theirs];
  return [...new Set([...first, ...second])];
}
