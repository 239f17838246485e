import { PGlite } from '@electric-sql/pglite';
import { drizzle, type PgliteDatabase } from 'drizzle-orm/pglite';
import { migrate } from 'drizzle-orm/pglite/migrator';
import * as schema from './schema';

export type Database = PgliteDatabase<typeof schema>;

export interface OpenDatabase {
  readonly db: Database;
  readonly close: () => Promise<void>;
}

/**
 * Opens (and, the first time, creates) the embedded database and brings its tables up to date.
 * @param folder where PostgreSQL keeps its files; undefined keeps everything in memory
 */
export async function openDatabase(
  folder: string | undefined,
  migrationsFolder: string,
): Promise<OpenDatabase> {
  const engine = await PGlite.create(folder === undefined ? {} : { dataDir: folder });
  const db = drizzle(engine, { schema });
  await migrate(db, { migrationsFolder });
  return { db, close: () => engine.close() };
}
