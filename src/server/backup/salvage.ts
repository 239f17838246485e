/**
 * Reads what can be read of a damaged database, page by page and where a page fails row by row, straight from the
 * tables and past every index. What could not be read, and what refers to it, is named and left out; the rest is a
 * backup like any other.
 */
import { PGlite } from '@electric-sql/pglite';
import { getTableName, is } from 'drizzle-orm';
import { getTableConfig, PgTable } from 'drizzle-orm/pg-core';
import * as schema from '../db/schema';
import { TABLES, type BackupRow, type TableName } from './format';
import { writeBackup, type Written } from './write';

export interface Left {
  readonly table: TableName;
  /** Where in the table; null: a row that refers to one that is lost. */
  readonly page: number | null;
  readonly id: string | null;
  readonly why: string;
}
export interface Salvaged extends Written {
  readonly left: readonly Left[];
}

/** @param folder the database's own, with nobody in it @throws where not even the engine opens */
export async function salvage(folder: string, file: string, now: Date): Promise<Salvaged> {
  const engine = await PGlite.create({ dataDir: folder });
  try {
    await engine.exec(
      'set enable_indexscan = off; set enable_bitmapscan = off; set enable_indexonlyscan = off',
    );
    const left: Left[] = [];
    const header = {
      migrations: Math.max(1, await migrationsOf(engine)),
      madeAt: now.toISOString(),
      kitchen: '',
    };
    const written = await writeBackup(file, header, everyRow(engine, left));
    return { ...written, left };
  } finally {
    await engine.close().catch(() => undefined);
  }
}

async function migrationsOf(engine: PGlite): Promise<number> {
  const { rows } = await engine.query<{ n: number }>(
    'select count(*)::int as n from drizzle.__drizzle_migrations',
  );
  return rows[0]!.n;
}

async function* everyRow(engine: PGlite, left: Left[]): AsyncGenerator<BackupRow> {
  const there = new Map<TableName, ReadonlySet<string>>();
  for (const table of TABLES) {
    const keys = new Set<string>();
    for await (const { text, row } of rowsOf(engine, table, left)) {
      const missing = parentsOf(table).find(
        ({ column, parent }) => !there.get(parent)?.has(String(row[column])),
      );
      if (missing) {
        left.push({
          table,
          page: null,
          id: idOf(row),
          why: `${missing.parent} ${String(row[missing.column])}`,
        });
        continue;
      }
      keys.add(idOf(row));
      yield { table, text };
    }
    there.set(table, keys);
  }
}

type Row = Readonly<Record<string, unknown>>;
const idOf = (row: Row): string =>
  String(row.id ?? row.ingredient_id ?? row.day ?? row.key ?? row.formula_id ?? '');

interface Parent {
  readonly column: string;
  readonly parent: TableName;
}
/** What a row refers to, as the tables' own description has it. */
function parentsOf(table: TableName): readonly Parent[] {
  const tables = Object.values<unknown>(schema).filter((one) => is(one, PgTable));
  const found = tables.find((one) => getTableName(one) === table);
  return getTableConfig(found!).foreignKeys.map((key) => {
    const { columns, foreignTable } = key.reference();
    return { column: columns[0]!.name, parent: getTableName(foreignTable) as TableName };
  });
}

const PAGE_BYTES = 8192;
/** More rows than that fit no page: each has a header of 24 bytes and a pointer of 4. */
const MOST_ROWS_A_PAGE = Math.floor(PAGE_BYTES / 28);

async function* rowsOf(
  engine: PGlite,
  table: TableName,
  left: Left[],
): AsyncGenerator<{ readonly text: string; readonly row: Row }> {
  let names: string;
  let pages: number;
  try {
    names = await columns(engine, table);
    // A table that a kitchen of that day did not have.
    if (names === '') return;
    pages = await pagesOf(engine, table);
  } catch (error) {
    left.push({ table, page: null, id: null, why: reasonOf(error) });
    return;
  }
  for (let page = 0; page < pages; page++) {
    const range = `ctid >= '(${page},0)'::tid and ctid < '(${page + 1},0)'::tid`;
    const whole = await texts(engine, table, names, range).catch(() => null);
    for await (const text of whole ?? oneByOne(engine, table, names, page, left))
      yield { text, row: JSON.parse(text) as Row };
  }
}

async function* oneByOne(
  engine: PGlite,
  table: TableName,
  names: string,
  page: number,
  left: Left[],
): AsyncGenerator<string> {
  const failed = new Set<string>();
  for (let place = 1; place <= MOST_ROWS_A_PAGE; place++) {
    const at = `ctid = '(${page},${place})'::tid`;
    try {
      yield* await texts(engine, table, names, at);
    } catch (error) {
      const why = reasonOf(error);
      const id = await idAt(engine, table, at);
      // A page that cannot be read at all says the same of each of its rows: once is enough.
      const said = id ?? why;
      if (failed.has(said)) continue;
      failed.add(said);
      left.push({ table, page, id, why });
    }
  }
}

/** The name of a row whose contents are lost may still be there. */
async function idAt(engine: PGlite, table: TableName, at: string): Promise<string | null> {
  for (const column of ['id', 'ingredient_id', 'day', 'key', 'formula_id']) {
    const found = await engine
      .query<{ id: string }>(`select "${column}"::text as id from "${table}" where ${at}`)
      .catch(() => null);
    if (found) return found.rows[0]?.id ?? null;
  }
  return null;
}

async function texts(engine: PGlite, table: string, names: string, where: string): Promise<string[]> {
  const { rows } = await engine.query<{ text: string }>(
    `select row_to_json(t)::text as text from (select ${names} from "${table}" where ${where}) t`,
  );
  return rows.map(({ text }) => text);
}

async function columns(engine: PGlite, table: string): Promise<string> {
  const { rows } = await engine.query<{ name: string }>(
    `select column_name as name from information_schema.columns where table_schema = current_schema() and table_name = $1 and is_generated = 'NEVER' order by ordinal_position`,
    [table],
  );
  return rows.map(({ name }) => `"${name}"`).join(', ');
}

async function pagesOf(engine: PGlite, table: string): Promise<number> {
  const { rows } = await engine.query<{ bytes: number }>(
    `select pg_relation_size('"${table}"'::regclass)::int as bytes`,
  );
  return Math.ceil(rows[0]!.bytes / PAGE_BYTES);
}

const reasonOf = (error: unknown): string =>
  error instanceof Error ? error.message.split('\n')[0]! : String(error);
