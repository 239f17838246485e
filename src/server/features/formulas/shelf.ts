import { sql } from 'drizzle-orm';
import { setImmediate as nextTurn } from 'node:timers/promises';
import type { Shelf, ShelfAnswer, ShelfChoices, ShelfQuery, ShelfRecord, VersionStanding } from '#contract';
import type { FormulaId } from '#core/formula';
import {
  applyFilter,
  choicesOf,
  facetsOf,
  isFiltered,
  needsFacets,
  searchText,
  type ShelfFilter,
  type Sifted,
} from '#kitchen/shelf';
import { found, type Database } from '../../db/client';
import type { KitchenNow } from '../kitchen/atWork';
import { readShelved, type Shelved } from './shelved';
import { stateOf, waited, type Known, type Marked, type ShelfText } from './shelfKnown';

/** How versions of formulas stand, by formula and number. */
export type StandingsOf = (
  ids: readonly FormulaId[],
  untilMs?: number,
) => Promise<ReadonlyMap<FormulaId, Readonly<Record<number, VersionStanding>>>>;
const READ_AT_ONCE = 30;
/** An answer waits this long for what is not read yet; the rest is pending. */
const WAIT_MS = 60;
const LATER_MS = 400;
/** Reading many formulas lets other answers through this often. */
const SLICE_MS = 8;

/**
 * The shelf, a window at a time. What a filter needs is read once and kept; only what has changed since is
 * read again, whoever changed it. The plain shelf needs no more than the formulas it shows.
 */
export class ShelfBoard {
  private whole = '';
  private marked: readonly Marked[] = [];
  private readonly known = new Map<FormulaId, Known>();
  private reading: Promise<void> | null = null;

  constructor(
    private readonly db: Database,
    private readonly kitchenNow: () => Promise<KitchenNow>,
    private readonly standingsOf: StandingsOf,
  ) {}

  async answer(query: ShelfQuery): Promise<ShelfAnswer> {
    const filter: ShelfFilter = query;
    const sifts = isFiltered(filter) || needsFacets(filter) || query.sort === 'name' || query.frozen;
    const plain = query.ids === undefined && !sifts;
    // The first look at a long shelf, and the first after a change, waits for no list of it.
    if (plain && this.whole === '') return this.straight(query);
    const mark = await this.wholeMark();
    if (plain && mark !== this.whole) return this.straight(query);
    await this.look(mark);
    const { ids, pending } =
      query.ids !== undefined
        ? { ids: query.ids, pending: 0 }
        : sifts
          ? await this.sift(filter, query.frozen)
          : { ids: this.plain(filter), pending: 0 };
    const shown = query.ids ?? ids.slice(query.offset, query.offset + query.limit);
    await this.read(shown);
    return {
      records: await this.standing(
        shown.flatMap((id) => {
          const record = this.known.get(id)?.record;
          return record ? [record] : [];
        }),
      ),
      offset: query.ids !== undefined ? 0 : query.offset,
      // Of ids that are asked for, those that are there.
      total: query.ids === undefined ? ids.length : ids.filter((id) => this.known.has(id)).length,
      here: this.marked.filter(({ shelf }) => shelf === query.place).length,
      everywhere: this.marked.length,
      pending,
    };
  }

  /** Acids and allergens that occur, of what has been read so far; the rest is read meanwhile. */
  async choices(): Promise<ShelfChoices> {
    await this.look(await this.wholeMark());
    await Promise.race([this.readOn(), waited(performance.now() + WAIT_MS)]);
    const { kitchen, mark } = await this.kitchenNow();
    const [acids, allergens] = [new Set<string>(), new Set<string>()];
    for (const one of this.known.values()) {
      if (one.choices?.of !== mark)
        one.choices = { of: mark, choices: choicesOf(one.record.formula, kitchen) };
      for (const acid of one.choices.choices.acids) acids.add(acid);
      for (const allergen of one.choices.choices.allergens) allergens.add(allergen);
    }
    const pending = this.marked.filter(({ id, mark: of }) => this.known.get(id)?.mark !== of).length;
    return { acids: [...acids].sort(), allergens: [...allergens].sort(), pending };
  }

  /** All that are not in the bin, as far as they are read: to be searched. */
  async texts(): Promise<{ readonly texts: readonly ShelfText[]; readonly pending: number }> {
    await this.look(await this.wholeMark());
    await Promise.race([this.readOn(), waited(performance.now() + WAIT_MS)]);
    const texts = this.marked.flatMap(({ id, shelf }): ShelfText[] => {
      const one = shelf === 'bin' ? undefined : this.known.get(id);
      return one ? [{ id, name: one.record.formula.name, text: one.text }] : [];
    });
    const pending = this.marked.filter(({ id, mark }) => this.known.get(id)?.mark !== mark).length;
    return { texts, pending };
  }

  private async straight({ place, sort, offset, limit }: ShelfQuery): Promise<ShelfAnswer> {
    const order = sort === 'changed' ? sql`updated_at desc, created_at, id` : sql`created_at, id`;
    const counts = await found<{ shelf: Shelf; n: number }>(
      this.db,
      sql`select shelf, count(*)::int as n from formulas group by shelf`,
    );
    const ids = await found<{ id: FormulaId }>(
      this.db,
      sql`select id from formulas where shelf = ${place} order by ${order} offset ${offset} limit ${limit}`,
    );
    const read = new Map(
      (
        await readShelved(
          this.db,
          ids.map(({ id }) => id),
        )
      ).map((record) => [record.id, record]),
    );
    this.readSoon();
    const here = counts.find(({ shelf }) => shelf === place)?.n ?? 0;
    return {
      records: await this.standing(ids.flatMap(({ id }) => read.get(id) ?? [])),
      offset,
      total: here,
      here,
      everywhere: counts.reduce((sum, { n }) => sum + n, 0),
      pending: 0,
    };
  }

  /** Reads in a moment what will be asked for: once the kitchen is open, and after an answer that did not wait for it. */
  readSoon(): void {
    setTimeout(() => {
      this.wholeMark()
        .then((mark) => this.look(mark))
        .then(() => this.standingsOf(this.plain({ place: 'shelf', sort: 'shelf' }).slice(0, READ_AT_ONCE)))
        .then(() => this.readOn())
        // A database that goes away meanwhile is told of by what asks it next.
        .catch(() => undefined);
    }, LATER_MS).unref();
  }

  private async wholeMark(): Promise<string> {
    const [now] = await found<{ mark: string }>(
      this.db,
      sql`select concat_ws(' ', count(*), sum(revision), max(updated_at), max(shelf_since),
            (select count(*) from versions)) as mark from formulas`,
    );
    return now!.mark;
  }

  /** What has changed since the last question, by one row a formula, and only if anything has. */
  private async look(mark: string): Promise<void> {
    if (mark === this.whole) return;
    const rows = await found<{ id: FormulaId; shelf: Shelf; updated_at: string; mark: string }>(
      this.db,
      sql`select f.id, f.shelf, f.updated_at, concat_ws(' ', f.revision, f.shelf, f.updated_at, v.n) as mark
          from formulas f left join (select formula_id, count(*) as n from versions group by formula_id) v
            on v.formula_id = f.id
          order by f.created_at, f.id`,
    );
    this.marked = rows.map(({ id, shelf, updated_at, mark: of }) => ({
      id,
      shelf,
      updatedAt: new Date(updated_at).toISOString(),
      mark: of,
    }));
    const there = new Set(rows.map(({ id }) => id));
    for (const id of this.known.keys()) if (!there.has(id)) this.known.delete(id);
    this.whole = mark;
  }

  private plain({ place, sort }: Pick<ShelfFilter, 'place' | 'sort'>): readonly FormulaId[] {
    const here = this.marked.filter(({ shelf }) => shelf === place);
    const sorted = sort === 'changed' ? here.sort((a, b) => b.updatedAt.localeCompare(a.updatedAt)) : here;
    return sorted.map(({ id }) => id);
  }

  private async sift(filter: ShelfFilter, frozen: boolean) {
    const until = performance.now() + WAIT_MS;
    const { kitchen, mark } = await this.kitchenNow();
    const needed = needsFacets(filter);
    await Promise.race([this.readOn(), waited(until)]);
    const standings =
      filter.state === 'any'
        ? null
        : await this.standingsOf(
            this.marked.map(({ id }) => id),
            until,
          );
    const ready: (Sifted & { readonly id: FormulaId })[] = [];
    let pending = 0;
    let sliced = performance.now();
    for (const { id, mark: of } of this.marked) {
      const one = this.known.get(id);
      if (one?.mark !== of) {
        pending += 1;
        continue;
      }
      if (needed && one.facets?.of !== mark) {
        if (performance.now() > until) {
          pending += 1;
          continue;
        }
        one.facets = { of: mark, facets: facetsOf(one.record.formula, kitchen) };
        if (performance.now() - sliced > SLICE_MS) {
          await nextTurn();
          sliced = performance.now();
        }
      }
      if (frozen && one.record.latestNumber === 0) continue;
      if (standings && !standings.has(id)) {
        pending += 1;
        continue;
      }
      ready.push({
        id,
        place: one.record.shelf,
        name: one.record.formula.name,
        text: one.text,
        updatedAt: one.record.updatedAt,
        state: () => stateOf(one.record, standings?.get(id)),
        facets: () => one.facets!.facets,
      });
    }
    return { ids: applyFilter(ready, filter).map(({ id }) => id), pending };
  }

  /** Reads all that is not read yet, in the background; asked twice it is one reading. */
  private readOn(): Promise<void> {
    this.reading ??= this.readAll()
      // A database that goes away meanwhile is told of by what asks it next.
      .catch(() => undefined)
      .finally(() => {
        this.reading = null;
      });
    return this.reading;
  }

  private async readAll(): Promise<void> {
    const stale = this.marked.filter(({ id, mark }) => this.known.get(id)?.mark !== mark);
    for (let at = 0; at < stale.length; at += READ_AT_ONCE) {
      await this.read(stale.slice(at, at + READ_AT_ONCE).map(({ id }) => id));
      await nextTurn();
    }
  }

  private async read(ids: readonly FormulaId[]): Promise<void> {
    const marks = new Map(this.marked.map(({ id, mark }) => [id, mark]));
    const stale = ids.filter((id) => marks.has(id) && this.known.get(id)?.mark !== marks.get(id));
    for (const record of await readShelved(this.db, stale)) {
      this.known.set(record.id, {
        mark: marks.get(record.id)!,
        record,
        text: searchText(record.formula),
        facets: null,
        choices: null,
      });
    }
  }

  private async standing(all: readonly Shelved[]): Promise<readonly ShelfRecord[]> {
    const standings = await this.standingsOf(all.map(({ id }) => id));
    return all.map((record) => ({ ...record, state: stateOf(record, standings.get(record.id)) }));
  }
}
