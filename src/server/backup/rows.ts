/** Rows out of and into the tables, as the database writes and reads them itself. */
import { sql } from 'drizzle-orm';
import { found, type Database } from '../db/client';
import { TABLES, type Backup, type TableName } from './format';

type Executes = Pick<Database, 'execute'>;
type Rows = Backup['rows'];
const CHUNK = 500;

/** Every table at one moment. */
export const readRows = (db: Database): Promise<Rows> =>
  db.transaction((tx) => readTables(tx), { isolationLevel: 'repeatable read' });

async function readTables(tx: Executes): Promise<Rows> {
  const rows: Record<string, Record<string, unknown>[]> = {};
  for (const table of await present(tx)) {
    const all = await found<{ row: Record<string, unknown> }>(
      tx,
      sql`select to_jsonb(t) as row from ${sql.identifier(table)} t`,
    );
    const columns = new Set(await columnsOf(tx, table));
    rows[table] = all.map(({ row }) =>
      Object.fromEntries(Object.entries(row).filter(([name]) => columns.has(name))),
    );
  }
  return rows;
}

/**
 * Everything that is there goes, everything that is given comes: both, or neither.
 * @param before told what is there; nothing can be written between that and its end
 */
export function replaceRows(
  db: Database,
  rows: Rows,
  before: (rows: Rows) => void = () => undefined,
): Promise<void> {
  return db.transaction(async (tx) => {
    const tables = await present(tx);
    const names = sql.join(
      tables.map((table) => sql.identifier(table)),
      sql`, `,
    );
    await tx.execute(sql`lock table ${names} in access exclusive mode`);
    before(await readTables(tx));
    await tx.execute(sql`truncate ${names}`);
    for (const table of tables) await insertRows(tx, table, rows[table] ?? []);
  });
}

async function present(db: Executes): Promise<readonly TableName[]> {
  const there: TableName[] = [];
  for (const table of TABLES) if (await exists(db, table)) there.push(table);
  return there;
}

async function insertRows(
  db: Executes,
  table: TableName,
  rows: readonly Record<string, unknown>[],
): Promise<void> {
  const columns = await columnsOf(db, table);
  const names = sql.join(
    columns.map((name) => sql.identifier(name)),
    sql`, `,
  );
  for (let i = 0; i < rows.length; i += CHUNK) {
    const chunk = JSON.stringify(rows.slice(i, i + CHUNK));
    await db.execute(
      sql`insert into ${sql.identifier(table)} (${names}) select ${names} from jsonb_populate_recordset(null::${sql.identifier(table)}, ${chunk}::jsonb)`,
    );
  }
  // What is written next must not meet a number that came from the file.
  for (const name of await countedColumns(db, table)) {
    const column = sql.identifier(name);
    await db.execute(
      sql`select setval(pg_get_serial_sequence(${table}, ${name}), (select coalesce(max(${column}), 0) + 1 from ${sql.identifier(table)}), false)`,
    );
  }
}

const countedColumns = async (db: Executes, table: TableName): Promise<readonly string[]> =>
  (
    await found<{ name: string }>(
      db,
      sql`select column_name as name from information_schema.columns where table_schema = current_schema() and table_name = ${table} and column_default like 'nextval(%'`,
    )
  ).map(({ name }) => name);

const exists = async (db: Executes, table: TableName): Promise<boolean> =>
  (await found<{ name: string | null }>(db, sql`select to_regclass(${table})::text as name`))[0]?.name !==
  null;

/** Without those the database works out by itself. */
const columnsOf = async (db: Executes, table: TableName): Promise<readonly string[]> =>
  (
    await found<{ name: string }>(
      db,
      sql`select column_name as name from information_schema.columns where table_schema = current_schema() and table_name = ${table} and is_generated = 'NEVER' order by ordinal_position`,
    )
  ).map(({ name }) => name);
