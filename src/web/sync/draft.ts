/**
 * Something shared as one screen holds it: what the kitchen confirmed, what stands on the screen, what clashes,
 * how to go back, and what is under way. Pure; who sends and who keeps it is decided elsewhere.
 */
import {
  applyChanges,
  applyWhatFits,
  at,
  changesBetween,
  invertChanges,
  joined,
  put,
  rebase,
  same,
  settle,
  unsettled,
  type Change,
  type Clash,
  type Merged,
  type Path,
  type Rules,
} from '#core/document';

/** Changes that were sent, under a key: sent again until an answer comes, taken once. */
export interface Sent {
  readonly key: string;
  readonly changes: readonly Change[];
}

export interface Draft<T> {
  /** The last state that the kitchen confirmed. */
  readonly base: T;
  readonly doc: T;
  readonly clashes: readonly Clash[];
  readonly inFlight: Sent | null;
  /** So many changes at a time: fewer after a refusal, until the one at fault is found. Null: all. */
  readonly most: number | null;
  readonly past: readonly (readonly Change[])[];
  readonly future: readonly (readonly Change[])[];
}

const UNDO_LIMIT = 200;

export const draftOf = <T>(base: T): Draft<T> => ({
  base,
  doc: base,
  clashes: [],
  inFlight: null,
  most: null,
  past: [],
  future: [],
});

/** What is to be sent: from what was confirmed to what stands here. */
export const unsent = <T>({ base, doc }: Pick<Draft<T>, 'base' | 'doc'>, rules: Rules): readonly Change[] =>
  changesBetween(base, doc, rules);

export const pathsOf = (changes: readonly Change[]): readonly Path[] => changes.map(({ path }) => path);

export function edit<T>(draft: Draft<T>, doc: T, rules: Rules): Draft<T> {
  const changes = changesBetween(draft.doc, doc, rules);
  if (changes.length === 0) return draft;
  return {
    ...remembering(draft, changes),
    doc,
    clashes: unsettled(draft.clashes, pathsOf(changes)),
  };
}

/** One more step to go back. */
export const remembering = <T>(draft: Draft<T>, changes: readonly Change[]): Draft<T> => ({
  ...draft,
  past: [...draft.past, changes].slice(-UNDO_LIMIT),
  future: [],
});

/** Undo and redo of one's own. A step that no longer fits (changed elsewhere meanwhile) is dropped. */
export function step<T>(draft: Draft<T>, from: 'past' | 'future'): Draft<T> {
  const stack = draft[from];
  const changes = stack.at(-1);
  if (!changes) return draft;
  const rest = { ...draft, [from]: stack.slice(0, -1) };
  const result = applyChanges(draft.doc, from === 'past' ? invertChanges(changes) : changes);
  if (result.status === 'conflict') return rest;
  const other = from === 'past' ? 'future' : 'past';
  return {
    ...rest,
    [other]: [...draft[other], changes],
    doc: result.doc,
    clashes: unsettled(draft.clashes, pathsOf(changes)),
  };
}

export const settled = <T>(draft: Draft<T>, clash: Clash, keep: 'mine' | 'theirs'): Draft<T> => ({
  ...draft,
  ...settle(draft, clash, keep),
});

/** What goes out next: what was sent without an answer first, as it was; null: nothing. */
export function nextToSend<T>(draft: Draft<T>, newKey: () => string, rules: Rules): Sent | null {
  if (draft.inFlight) return draft.inFlight;
  const changes = unsent(draft, rules);
  return changes.length === 0 ? null : { key: newKey(), changes: changes.slice(0, draft.most ?? undefined) };
}

const over = <T>(draft: Draft<T>, base: T, theirs: T, rules: Rules): Draft<T> => ({
  ...draft,
  ...rebase(base, draft, theirs, rules),
  base: theirs,
});

/** The kitchen took what was under way: what was typed since goes on top of what it now holds. */
export function taken<T>(draft: Draft<T>, theirs: T, rules: Rules): Draft<T> {
  const expected = draft.inFlight ? applyWhatFits(draft.base, draft.inFlight.changes) : draft.base;
  const most = draft.most === null ? null : draft.most * 2;
  const next = { ...over(draft, expected, theirs, rules), inFlight: null };
  return { ...next, most: most !== null && unsent(next, rules).length > 0 ? most : null };
}

/** The kitchen took none of it, for something clashes: all that was not sent is looked at anew. */
export const notTaken = <T>(draft: Draft<T>, theirs: T, rules: Rules): Draft<T> => ({
  ...over(draft, draft.base, theirs, rules),
  inFlight: null,
});

/**
 * The kitchen will not have what was under way, whoever sends it. Half of it is tried by itself, and half of
 * that, until the one change at fault is set aside with the reason; everything else goes on its way.
 */
export function refusedBy<T>(draft: Draft<T>, why: string): Draft<T> {
  const changes = draft.inFlight?.changes ?? [];
  const [only] = changes;
  if (!only) return { ...draft, inFlight: null };
  if (changes.length > 1) return { ...draft, inFlight: null, most: Math.ceil(changes.length / 2) };
  const { path } = only;
  const mine = at(draft.doc, path);
  const theirs = at(draft.base, path);
  const open = { ...draft, inFlight: null, most: draft.most };
  // Typed anew since: that has not been refused.
  if (!same(mine, only.to) || same(mine, theirs)) return open;
  const clash: Clash = { path, base: theirs, mine, theirs, why };
  return {
    ...open,
    doc: put(draft.doc, path, theirs),
    clashes: [...unsettled(draft.clashes, [path]), clash],
  };
}

/** News. While something is under way its answer brings them. */
export const heard = <T>(draft: Draft<T>, theirs: T, rules: Rules): Draft<T> =>
  draft.inFlight ? draft : over(draft, draft.base, theirs, rules);

/** Brought up to a newer state that another tab had met, even while something is under way. */
export const broughtTo = <T>(draft: Draft<T>, theirs: T, rules: Rules): Draft<T> =>
  over(draft, draft.base, theirs, rules);

/** Work of a tab that is gone, on top of this one's. Its own undo stays with this one if it has none. */
export function takenOver<T>(draft: Draft<T>, orphan: Draft<T>, rules: Rules): Draft<T> {
  const next: Merged<T> = joined(draft, whatArrived(orphan, draft.base), orphan, rules);
  const history = draft.past.length + draft.future.length > 0 ? draft : orphan;
  return { ...draft, ...next, past: history.past, future: history.future };
}

/** Of what was under way without an answer, what the kitchen shows has arrived: it is no clash with itself. */
const whatArrived = <T>({ base, inFlight }: Draft<T>, theirs: T): T =>
  (inFlight?.changes ?? []).reduce(
    (now, { path, to }) => (same(at(theirs, path), to) ? put(now, path, to) : now),
    base,
  );
