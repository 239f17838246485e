/** Work that was not sent yet, carried over to what the kitchen now holds; and how a cook settles a clash. */
import { at, overlap, put, same, type Path, type Rules } from './document';
import { merge, type Clash, type Merged } from './merge';

/**
 * What stands on the screen, brought up to what the kitchen now holds. Clashes that were there before are
 * looked at anew: one may have gone, or grown from a field to its whole line.
 * @param base the last state that the kitchen confirmed
 */
export function rebase<T>(base: T, { doc, clashes }: Merged<T>, theirs: T, rules: Rules): Merged<T> {
  const { shown, behind } = parted(base, doc, clashes);
  const was = shown.reduce((now, clash) => put(now, clash.path, clash.base), base);
  const mine = shown.reduce((now, clash) => put(now, clash.path, clash.mine), doc);
  const next = merge(was, mine, theirs, rules);
  return { doc: next.doc, clashes: [...next.clashes, ...followed(behind, doc, next.doc)] };
}

/** Work of elsewhere (a tab that is gone) on top of this one's. Where both did something, this one's shows. */
export function joined<T>(own: Merged<T>, base: T, other: Merged<T>, rules: Rules): Merged<T> {
  const next = rebase(base, other, own.doc, rules);
  return { doc: next.doc, clashes: [...followed(own.clashes, own.doc, next.doc), ...next.clashes] };
}

/**
 * Usually the screen shows the kitchen's value at a clash. Where it shows another (something of this cook's own
 * that was not sent, or a second clash at the same place), that value has to be carried over by itself.
 */
function parted<T>(base: T, doc: T, clashes: readonly Clash[]): { shown: Clash[]; behind: Clash[] } {
  const shown: Clash[] = [];
  const behind: Clash[] = [];
  for (const clash of clashes) {
    const showsTheirs = same(at(doc, clash.path), at(base, clash.path));
    const isFirst = !shown.some(({ path }) => overlap(path, clash.path));
    // What the kitchen refuses would be as unwelcome again: it waits until the cook has changed it.
    (showsTheirs && isFirst && clash.why === undefined ? shown : behind).push(clash);
  }
  return { shown, behind };
}

/** The same clashes with what now stands there; one about a line that is gone is about the line. */
const followed = (clashes: readonly Clash[], before: unknown, after: unknown): readonly Clash[] =>
  clashes.map((clash) => retold(clash, before, after)).filter(({ mine, theirs }) => !same(mine, theirs));

function retold({ path, base, mine, why }: Clash, before: unknown, after: unknown): Clash {
  for (let depth = 1; depth < path.length; depth++) {
    const line = path.slice(0, depth);
    const was = at(before, line);
    if (was === undefined || at(after, line) !== undefined) continue;
    const rest = path.slice(depth);
    return { path: line, base: put(was, rest, base), mine: put(was, rest, mine), ...reason(why) };
  }
  const theirs = at(after, path);
  return {
    path,
    ...(base === undefined ? {} : { base }),
    ...(mine === undefined ? {} : { mine }),
    ...(theirs === undefined ? {} : { theirs }),
    ...reason(why),
  };
}
const reason = (why: string | undefined): object => (why === undefined ? {} : { why });

/** The clashes left when the cook has worked on: who types where there is a clash has settled it. */
export const unsettled = (clashes: readonly Clash[], touched: readonly Path[]): readonly Clash[] => {
  const left = clashes.filter(({ path }) => !touched.some((one) => overlap(one, path)));
  return left.length === clashes.length ? clashes : left;
};

/** A clash settled by the cook: their own value, or what the screen shows. What else is open there stays open. */
export function settle<T>({ doc, clashes }: Merged<T>, clash: Clash, keep: 'mine' | 'theirs'): Merged<T> {
  const next = keep === 'mine' ? put(doc, clash.path, clash.mine) : doc;
  return {
    doc: next,
    clashes: followed(
      clashes.filter((one) => one !== clash && !isAlike(one, clash)),
      doc,
      next,
    ),
  };
}

/** By what it says: one that came out of a store is another object. */
const isAlike = (a: Clash, b: Clash): boolean => same(a.path, b.path) && same(a.mine, b.mine);
