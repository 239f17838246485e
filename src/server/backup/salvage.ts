/**
 * Reads what can be read of a damaged database, page by page and where a page fails row by row, straight from the
 * tables and past every index. What could not be read, and what refers to it, is named and left out; the rest is a
 * backup like any other.
 */
import { PGlite } from '@electric-sql/pglite';
import { getTableName, is, sql, type SQL } from 'drizzle-orm';
import { getTableConfig, PgTable } from 'drizzle-orm/pg-core';
import { drizzle } from 'drizzle-orm/pglite';
import { found, type Database } from '../db/client';
import * as schema from '../db/schema';
import { TABLES, type BackupRow, type TableName } from './format';
import { columnsOf, identifiers } from './rows';
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
    const db = drizzle(engine, { schema });
    for (const way of ['enable_indexscan', 'enable_bitmapscan', 'enable_indexonlyscan'])
      await db.execute(sql`set ${sql.identifier(way)} = off`);
    const left: Left[] = [];
    const header = {
      migrations: Math.max(1, await migrationsOf(db)),
      madeAt: now.toISOString(),
      kitchen: '',
    };
    const written = await writeBackup(file, header, everyRow(db, left));
    return { ...written, left };
  } finally {
    await engine.close().catch(() => undefined);
  }
}

async function migrationsOf(db: Database): Promise<number> {
  const [row] = await found<{ n: number }>(
    db,
    sql`select count(*)::int as n from drizzle.__drizzle_migrations`,
  );
  return row!.n;
}

async function* everyRow(db: Database, left: Left[]): AsyncGenerator<BackupRow> {
  const there = new Map<TableName, ReadonlySet<string>>();
  for (const table of TABLES) {
    const keys = new Set<string>();
    for await (const { text, row } of rowsOf(db, table, left)) {
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
  db: Database,
  table: TableName,
  left: Left[],
): AsyncGenerator<{ readonly text: string; readonly row: Row }> {
  let names: SQL | null;
  let pages: number;
  try {
    names = await namesOf(db, table);
    // A table that a kitchen of that day did not have.
    if (names === null) return;
    pages = await pagesOf(db, table);
  } catch (error) {
    left.push({ table, page: null, id: null, why: reasonOf(error) });
    return;
  }
  for (let page = 0; page < pages; page++) {
    const range = sql`ctid >= ${`(${page},0)`}::tid and ctid < ${`(${page + 1},0)`}::tid`;
    const whole = await texts(db, table, names, range).catch(() => null);
    for await (const text of whole ?? oneByOne(db, table, names, page, left))
      yield { text, row: JSON.parse(text) as Row };
  }
}

async function* oneByOne(
  db: Database,
  table: TableName,
  names: SQL,
  page: number,
  left: Left[],
): AsyncGenerator<string> {
  const failed = new Set<string>();
  for (let place = 1; place <= MOST_ROWS_A_PAGE; place++) {
    const at = sql`ctid = ${`(${page},${place})`}::tid`;
    try {
      yield* await texts(db, table, names, at);
    } catch (error) {
      const why = reasonOf(error);
      const id = await idAt(db, table, at);
      // A page that cannot be read at all says the same of each of its rows: once is enough.
      const said = id ?? why;
      if (failed.has(said)) continue;
      failed.add(said);
      left.push({ table, page, id, why });
    }
  }
}

/** The name of a row whose contents are lost may still be there. */
async function idAt(db: Database, table: TableName, at: SQL): Promise<string | null> {
  for (const column of ['id', 'ingredient_id', 'day', 'key', 'formula_id']) {
    const rows = await found<{ id: string }>(
      db,
      sql`select ${sql.identifier(column)}::text as id from ${sql.identifier(table)} where ${at}`,
    ).catch(() => null);
    if (rows) return rows[0]?.id ?? null;
  }
  return null;
}

async function texts(db: Database, table: string, names: SQL, where: SQL): Promise<string[]> {
  const rows = await found<{ text: string }>(
    db,
    sql`select row_to_json(t)::text as text from (select ${names} from ${sql.identifier(table)} where ${where}) t`,
  );
  return rows.map(({ text }) => text);
}

async function namesOf(db: Database, table: TableName): Promise<SQL | null> {
  const names = await columnsOf(db, table);
  return names.length === 0 ? null : identifiers(names);
}

async function pagesOf(db: Database, table: string): Promise<number> {
  const [row] = await found<{ bytes: number }>(
    db,
    sql`select pg_relation_size(${table}::regclass)::int as bytes`,
  );
  return Math.ceil(row!.bytes / PAGE_BYTES);
}

/** The database's own words, not those of the query builder around them. */
function reasonOf(thrown: unknown): string {
  const error = (thrown as { cause?: unknown } | null)?.cause ?? thrown;
  return error instanceof Error ? error.message.split('\n')[0]! : String(error);
}
