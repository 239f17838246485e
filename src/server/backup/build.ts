/**
 * A new database out of a backup, in a folder of its own: read to its end, put in at the state of its own day,
 * brought up to date, and every row held to what a kitchen understands. Nothing of the kitchen is touched.
 */
import { cpSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { sayIssue } from '#words/problems';
import { runningWords } from '#words/screens/running';
import { bringUpToDate, journalOf, openDatabase, type Database } from '../db/client';
import { BackupError, type BackupHeader, type TableName } from './format';
import { readBackup } from './read';
import { atOneMoment, countOn, RowLoader } from './rows';
import { ROW_SCHEMAS } from './rowSchemas';

export const STAGES = ['checking', 'building', 'understanding', 'exchanging'] as const;
export interface Progress {
  readonly stage: (typeof STAGES)[number];
  readonly rows: number;
}
export type OnProgress = (progress: Progress) => void;

export interface Built {
  readonly header: BackupHeader;
  readonly rows: Readonly<Partial<Record<TableName, number>>>;
}

/** Said so often. */
const EVERY = 2000;

/**
 * @param folder empty; the database is then in `db` below it, closed
 * @param finish what else goes in, last of all
 * @throws BackupError where the file is refused
 */
export async function buildFrom(
  file: string,
  folder: string,
  migrationsFolder: string,
  onProgress: OnProgress = () => undefined,
  finish: (db: Database) => Promise<unknown> = () => Promise.resolve(),
): Promise<Built> {
  const say = (stage: Progress['stage']) => {
    let rows = 0;
    return () => {
      rows += 1;
      if (rows % EVERY === 0) onProgress({ stage, rows });
    };
  };
  onProgress({ stage: 'checking', rows: 0 });
  // To its end and within bounds, before anything is built.
  const header = await readBackup(file, { onRow: say('checking') });
  if (header.migrations > journalOf(migrationsFolder).entries.length)
    throw new BackupError(runningWords.thisBackupWasMadeBy);

  onProgress({ stage: 'building', rows: 0 });
  const database = await openDatabase(
    { folder: join(folder, 'db'), isForWork: true },
    migrationsUpTo(header.migrations, migrationsFolder, folder),
  );
  try {
    await load(database.db, file, say('building'));
    await bringUpToDate(database.db, migrationsFolder);
    onProgress({ stage: 'understanding', rows: 0 });
    const rows = await understand(database.db, say('understanding'));
    await finish(database.db);
    return { header, rows };
  } finally {
    await database.close();
  }
}

const load = (db: Database, file: string, told: () => void): Promise<void> =>
  db.transaction(async (tx) => {
    const loader = new RowLoader(tx);
    try {
      await readBackup(file, {
        onRow: async (row) => {
          await loader.add(row);
          told();
        },
      });
      await loader.end();
      await countOn(tx);
    } catch (error) {
      throw error instanceof BackupError
        ? error
        : new BackupError(runningWords.thisBackupDoesNotFit(reasonOf(error)));
    }
  });

/** Rows that the database takes may still be nonsense to the kitchen. */
const understand = (db: Database, told: () => void): Promise<Built['rows']> =>
  atOneMoment(db, async (rows) => {
    const counts: Partial<Record<TableName, number>> = {};
    for await (const { table, text } of rows) {
      counts[table] = (counts[table] ?? 0) + 1;
      const checked = ROW_SCHEMAS[table].safeParse(JSON.parse(text));
      told();
      if (checked.success) continue;
      const [issue] = checked.error.issues;
      throw new BackupError(
        runningWords.thisBackupHoldsSomethingThat(table, issue!.path.join('.'), sayIssue(issue!)),
      );
    }
    return counts;
  });

/** The migrations as a kitchen of that day had them. */
function migrationsUpTo(count: number, migrationsFolder: string, folder: string): string {
  const target = join(folder, 'migrations');
  cpSync(migrationsFolder, target, { recursive: true });
  const journal = journalOf(target);
  const entries = journal.entries.filter(({ idx }) => idx < count);
  writeFileSync(join(target, 'meta/_journal.json'), JSON.stringify({ ...journal, entries }));
  return target;
}

const reasonOf = (error: unknown): string => {
  const cause = (error as { cause?: unknown }).cause ?? error;
  return cause instanceof Error ? cause.message.split('\n')[0]! : runningWords.aRowCannotBeRead;
};
