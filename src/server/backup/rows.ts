/** Rows out of and into the tables as the database writes and reads them itself, a few hundred at a time. */
import { sql } from 'drizzle-orm';
import { found, type Database } from '../db/client';
import { TABLES, type BackupRow, type TableName } from './format';

type Executes = Pick<Database, 'execute'>;
const AT_ONCE = 500;
const CHUNK_CHARACTERS = 2_000_000;

/** Every table at one moment. @param work reads the rows; it ends before the moment does */
export const atOneMoment = <T>(
  db: Database,
  work: (rows: AsyncIterable<BackupRow>, tx: Executes) => Promise<T>,
): Promise<T> => db.transaction((tx) => work(rowsOf(tx), tx), { isolationLevel: 'repeatable read' });

/** Inside a transaction: what is asked for meanwhile is not mixed in. */
export async function* rowsOf(
  tx: Executes,
  tables: readonly TableName[] = TABLES,
): AsyncGenerator<BackupRow> {
  for (const table of await present(tx, tables)) {
    const names = identifiers(await columnsOf(tx, table));
    await tx.execute(
      sql`declare rows_read no scroll cursor for select row_to_json(t)::text as text from (select ${names} from ${sql.identifier(table)}) t`,
    );
    for (;;) {
      const some = await found<{ text: string }>(tx, sql`fetch ${sql.raw(String(AT_ONCE))} from rows_read`);
      for (const { text } of some) yield { table, text };
      if (some.length < AT_ONCE) break;
    }
    await tx.execute(sql`close rows_read`);
  }
}

/** Takes rows in the order of the tables and puts them in; `end` puts the last ones in. */
export class RowLoader {
  private table: TableName | null = null;
  private chunk: string[] = [];
  private characters = 0;
  private into: { readonly names: ReturnType<typeof identifiers> } | null = null;

  /** @param placeOf another table to put them in, of the same columns */
  constructor(
    private readonly tx: Executes,
    private readonly placeOf: (table: TableName) => string = (table) => table,
  ) {}

  async add({ table, text }: BackupRow): Promise<void> {
    if (table !== this.table) {
      await this.flush();
      this.table = table;
      this.into = (await exists(this.tx, table))
        ? { names: identifiers(await columnsOf(this.tx, table)) }
        : null;
    }
    this.chunk.push(text);
    this.characters += text.length;
    if (this.chunk.length >= AT_ONCE || this.characters > CHUNK_CHARACTERS) await this.flush();
  }

  async end(): Promise<void> {
    await this.flush();
  }

  private async flush(): Promise<void> {
    const { chunk, into, table } = this;
    this.chunk = [];
    this.characters = 0;
    if (chunk.length === 0 || !into || !table) return;
    const place = sql.identifier(this.placeOf(table));
    await this.tx.execute(
      sql`insert into ${place} (${into.names}) select ${into.names} from jsonb_populate_recordset(null::${sql.identifier(table)}, ${`[${chunk.join(',')}]`}::jsonb)`,
    );
  }
}

/** What is written next must not meet a number that came from the file. */
export async function countOn(tx: Executes): Promise<void> {
  for (const table of await present(tx))
    for (const name of await countedColumns(tx, table)) {
      const column = sql.identifier(name);
      await tx.execute(
        sql`select setval(pg_get_serial_sequence(${table}, ${name}), (select coalesce(max(${column}), 0) + 1 from ${sql.identifier(table)}), false)`,
      );
    }
}

/** Until the transaction ends nobody else reads or writes. */
export async function lockTables(tx: Executes): Promise<void> {
  const names = identifiers(await present(tx));
  await tx.execute(sql`lock table ${names} in access exclusive mode`);
}

export async function emptyTables(tx: Executes): Promise<void> {
  await tx.execute(sql`truncate ${identifiers(await present(tx))}`);
}

export async function present(
  db: Executes,
  tables: readonly TableName[] = TABLES,
): Promise<readonly TableName[]> {
  const there: TableName[] = [];
  for (const table of tables) if (await exists(db, table)) there.push(table);
  return there;
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
export const columnsOf = async (db: Executes, table: TableName): Promise<readonly string[]> =>
  (
    await found<{ name: string }>(
      db,
      sql`select column_name as name from information_schema.columns where table_schema = current_schema() and table_name = ${table} and is_generated = 'NEVER' order by ordinal_position`,
    )
  ).map(({ name }) => name);

export const identifiers = (names: readonly string[]) =>
  sql.join(
    names.map((name) => sql.identifier(name)),
    sql`, `,
  );
