/**
 * The kitchen's database: the embedded one in a folder, or a PostgreSQL server that several processes
 * share. Both take the same migrations and answer the same queries; what must not happen twice at once
 * takes a lock by name, which on the embedded one is always free.
 */
import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { sql, type SQL } from 'drizzle-orm';
import { drizzle as drizzleServer } from 'drizzle-orm/node-postgres';
import { migrate as migrateServer } from 'drizzle-orm/node-postgres/migrator';
import type { PgDatabase, PgQueryResultHKT } from 'drizzle-orm/pg-core';
import type { PGlite } from '@electric-sql/pglite';
import { drizzle, type PgliteDatabase } from 'drizzle-orm/pglite';
import { migrate } from 'drizzle-orm/pglite/migrator';
import pg from 'pg';
import { runningWords } from '#words/screens/running';
import { Embedded } from './embedded';
import { KitchenPool } from './pool';
import { EmbeddedWire, ServerWire, type Wire } from './wire';
import * as schema from './schema';

/** Either of the two, or a transaction on it. */
export type Database = PgDatabase<PgQueryResultHKT, typeof schema>;

/** Where a kitchen's rows lie. `folder` undefined keeps everything in memory. */
export type DatabasePlace =
  | {
      readonly folder: string | undefined;
      /** There is nothing yet, and nobody will miss it half made. */
      readonly isForWork?: boolean;
    }
  | { readonly url: string };

export interface OpenDatabase {
  readonly db: Database;
  /** Tells the other processes that share the database, and hears from them. */
  readonly wire: Wire;
  /** What only one process may do at a time, such as putting the first rows in. */
  readonly alone: <T>(work: () => Promise<T>) => Promise<T>;
  /** Of a kitchen in a folder: its files. */
  readonly embedded?: Embedded;
  readonly close: () => Promise<void>;
}

/** Something a person can mend, told in one sentence. */
export class DatabaseError extends Error {}

/**
 * Opens (and, the first time, creates) the tables and brings them up to date.
 * @throws DatabaseError where the server cannot be reached, or where a newer Ygrana has been here
 */
export function openDatabase(place: DatabasePlace, migrationsFolder: string): Promise<OpenDatabase> {
  return 'url' in place ? openServer(place.url, migrationsFolder) : openFolder(place, migrationsFolder);
}

/** Brings the tables of an open database up to date. */
export async function bringUpToDate(db: Database, migrationsFolder: string): Promise<void> {
  await migrate(db as unknown as PgliteDatabase<typeof schema>, { migrationsFolder });
}

async function openFolder(
  { folder, isForWork }: Exclude<DatabasePlace, { url: string }>,
  migrationsFolder: string,
): Promise<OpenDatabase> {
  const embedded = isForWork && folder !== undefined ? await Embedded.bear(folder) : await openEngine(folder);
  const db = drizzle(embedded as unknown as PGlite, { schema });
  try {
    await refuseNewer(db, migrationsFolder);
    await migrate(db, { migrationsFolder });
  } catch (error) {
    await embedded.close().catch(() => undefined);
    throw error instanceof DatabaseError ? error : damaged(folder, error);
  }
  return {
    db,
    wire: new EmbeddedWire(),
    alone: (work) => work(),
    embedded,
    close: () => embedded.close(),
  };
}

async function openEngine(folder: string | undefined): Promise<Embedded> {
  try {
    return await Embedded.open(folder);
  } catch (error) {
    throw damaged(folder, error);
  }
}

/** A folder that holds a database that cannot be opened; what can be done is said by who knows its backups. */
export class DamagedError extends DatabaseError {}

function damaged(folder: string | undefined, error: unknown): DamagedError {
  const cause = (error as { cause?: unknown }).cause ?? error;
  const { message = '' } = cause as { message?: string };
  return new DamagedError(
    runningWords.theDatabaseCannotBeOpened(folder ?? '', message.split('\n')[0] || runningWords.noAnswer),
  );
}

const MOST_CONNECTIONS = 10;
const PATIENCE_MS = 5000;
/** Any number will do, as long as nothing else in the database uses it. */
const ALONE_KEY = 7_926_411;

async function openServer(url: string, migrationsFolder: string): Promise<OpenDatabase> {
  const connection = {
    connectionString: url,
    application_name: 'ygrana',
    connectionTimeoutMillis: PATIENCE_MS,
    keepAlive: true,
    options: '-c TimeZone=UTC',
  };
  if (!/^postgres(?:ql)?:\/\//.test(url)) throw new DatabaseError(NOT_A_URL);
  let pool: KitchenPool;
  try {
    pool = new KitchenPool({ ...connection, max: MOST_CONNECTIONS });
  } catch {
    throw new DatabaseError(NOT_A_URL);
  }
  const db = drizzleServer(pool, { schema });
  const alone = async <T>(work: () => Promise<T>): Promise<T> => {
    const client = await pool.connect();
    try {
      await client.query('select pg_advisory_lock($1)', [ALONE_KEY]);
      return await work();
    } finally {
      await client.query('select pg_advisory_unlock($1)', [ALONE_KEY]).catch(() => undefined);
      client.release();
    }
  };
  try {
    await alone(async () => {
      await refuseNewer(db, migrationsFolder);
      await migrateServer(db, { migrationsFolder });
    });
    const wire = await ServerWire.open(() => new pg.Client(connection), randomUUID());
    return {
      db,
      wire,
      alone,
      close: async () => {
        await wire.close();
        await pool.end();
      },
    };
  } catch (error) {
    await pool.end();
    throw error instanceof DatabaseError ? error : unreachable(error);
  }
}

const NOT_A_URL = runningWords.databaseUrlCannotBeRead;

/** The address is not said again: it holds a password. */
function unreachable(error: unknown): DatabaseError {
  const cause = (error as { cause?: unknown }).cause ?? error;
  const { code = '', message = '' } = cause as { code?: string; message?: string };
  if (code === 'ERR_INVALID_URL') return new DatabaseError(NOT_A_URL);
  return new DatabaseError(
    runningWords.thePostgresqlServerOfDatabase(message || code || runningWords.noAnswer),
  );
}

interface Journal {
  readonly entries: readonly { readonly idx: number }[];
}
export const journalOf = (migrationsFolder: string): Journal =>
  JSON.parse(readFileSync(join(migrationsFolder, 'meta/_journal.json'), 'utf8')) as Journal;

/** An older program would write rows the newer one does not expect. */
async function refuseNewer(db: Database, migrationsFolder: string): Promise<void> {
  const [there] = await found<{ name: string | null }>(
    db,
    sql`select to_regclass('drizzle.__drizzle_migrations')::text as name`,
  );
  if (there?.name == null) return;
  const [done] = await found<{ n: number }>(
    db,
    sql`select count(*)::int as n from drizzle.__drizzle_migrations`,
  );
  if (done!.n > journalOf(migrationsFolder).entries.length)
    throw new DatabaseError(runningWords.thisKitchenWasOpenedBy);
}

/** Rows of a query written by hand; both drivers answer alike, their types do not say so. */
export const found = async <T>(db: Pick<Database, 'execute'>, query: SQL): Promise<readonly T[]> =>
  ((await db.execute(query)) as { rows: readonly T[] }).rows;

/** Until the transaction ends, nobody else holds the lock of this name. */
export async function lockInside(tx: Pick<Database, 'execute'>, name: string): Promise<void> {
  await tx.execute(sql`select pg_advisory_xact_lock(hashtextextended(${name}, 0))`);
}
