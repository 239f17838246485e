/**
 * What cooks have typed and nobody has knowingly changed since: in the end each of it must be in the kitchen, or
 * in an open question on some screen.
 */
import { at, changesBetween, overlap, PLAIN, same, type Clash, type Path, type Rules } from '#core/document';

/** Undefined: taken out. */
export interface Entry {
  readonly path: Path;
  readonly value: unknown;
}

const isFields = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

function leaves(value: unknown, path: Path): readonly Entry[] {
  if (Array.isArray(value))
    return (value as readonly { id: string }[]).flatMap((one) => leaves(one, [...path, one.id]));
  if (!isFields(value)) return [{ path, value }];
  return Object.entries(value).flatMap(([key, one]) => (key === 'id' ? [] : leaves(one, [...path, key])));
}

const within = (inner: Path, outer: Path): boolean => inner.length >= outer.length && overlap(inner, outer);

export class Ledger {
  private entries: readonly Entry[] = [];
  /** Every place that was typed at, as often as it was. */
  private asked: readonly Path[] = [];
  private readonly seen = new Set<string>();

  constructor(start: unknown) {
    for (const leaf of leaves(start, [])) this.isNew(leaf);
  }

  /**
   * Somebody looked at the one and made the other of it.
   * Going back to what stood there before (undo, redo) asks for nothing: whoever saw it then and took it out, or
   * changed it, did so knowingly.
   * @param base what the kitchen had confirmed: taking out what it does not have asks for nothing either
   * @param asks false: it was going back
   */
  typed(before: unknown, after: unknown, clashes: readonly Clash[], base: unknown, asks: boolean): void {
    for (const { path, from, to } of changesBetween(before, after, PLAIN)) {
      for (const clash of clashes.filter((one) => overlap(one.path, path))) this.settled(clash, null);
      if (from === undefined) this.forget({ path, value: undefined });
      else for (const leaf of leaves(from, path)) this.forget(leaf);
      const fresh = to === undefined ? [{ path, value: undefined }] : leaves(to, path);
      const asked = fresh.filter(
        (leaf) => this.isNew(leaf) && asks && (base === null || !same(at(base, leaf.path), leaf.value)),
      );
      this.entries = [...this.entries, ...asked];
      // Taken out by going back is taken out, too.
      const done = fresh.filter((leaf) => asked.includes(leaf) || leaf.value === undefined);
      this.asked = [...this.asked, ...done.map((one) => one.path)];
    }
  }

  /** A cook chose: what was not kept is gone, knowingly. */
  settled({ path, mine, theirs }: Clash, keep: 'mine' | 'theirs' | null): void {
    for (const gone of [keep !== 'mine' && mine, keep !== 'theirs' && theirs]) {
      if (gone === false) continue;
      for (const leaf of gone === undefined ? [{ path, value: undefined }] : leaves(gone, path))
        this.forget(leaf);
    }
  }

  /** What is in neither. */
  lost(doc: unknown, clashes: readonly Clash[], rules: Rules): readonly Entry[] {
    return this.entries.filter(({ path, value }) => {
      const now = at(doc, path);
      if (same(now, value)) return false;
      // Two who ticked the same off, or took out the same, meant the same: the one's stands for both, and so
      // does taking it back.
      if ((rules.either(path) || value === undefined) && this.typedAt(path) > 1) return false;
      return !clashes.some(({ path: place, mine, theirs }) => {
        if (!within(path, place) && !within(place, path)) return false;
        const rest = path.slice(place.length);
        return [mine, theirs].some((side) => same(at(side, rest), value));
      });
    });
  }

  private typedAt(path: Path): number {
    return this.asked.filter((one) => same(one, path)).length;
  }

  private isNew({ path, value }: Entry): boolean {
    if (value === undefined) return true;
    const name = JSON.stringify([path, value]);
    const isNew = !this.seen.has(name);
    this.seen.add(name);
    return isNew;
  }

  private forget({ path, value }: Entry): void {
    this.entries = this.entries.filter((one) => !(same(one.path, path) && same(one.value, value)));
  }
}
