/** A kitchen's rows into a file, read again afterwards: a backup that was never read is none. */
import { eq } from 'drizzle-orm';
import { SETTINGS_ID } from '#contract';
import type { Database } from '../db/client';
import { journalOf } from '../db/client';
import { settings } from '../db/schema';
import { runningWords } from '#words/screens/running';
import { BackupError, type TableName } from './format';
import { readBackup } from './read';
import { atOneMoment } from './rows';
import { writeBackup, type Written } from './write';

export interface Saved extends Written {
  readonly kitchen: string;
}

/** @throws BackupError where what was written cannot be read again as it was written */
export async function saveKitchen(
  db: Database,
  file: string,
  migrationsFolder: string,
  now: Date,
): Promise<Saved> {
  const kitchen = await nameOf(db);
  const header = {
    migrations: journalOf(migrationsFolder).entries.length,
    madeAt: now.toISOString(),
    kitchen,
  };
  const written = await atOneMoment(db, (rows) => writeBackup(file, header, rows)).catch(unreadable);
  await checkBackup(file, written.rows);
  return { ...written, kitchen };
}

/** A database that is damaged in one place can still be read around it. */
function unreadable(error: unknown): never {
  const cause = (error as { cause?: { code?: string; message?: string } }).cause;
  if (!cause || !DAMAGED.test(cause.code ?? '')) throw error;
  throw new BackupError(
    runningWords.theKitchenCannotBeReadWhole(cause.message ?? '', runningWords.salvageCommand),
  );
}
/** PostgreSQL's data_corrupted and index_corrupted, and what comes of a damaged row. */
const DAMAGED = /^(?:XX...|58...|22...)$/;

async function nameOf(db: Database): Promise<string> {
  const [row] = await db.select().from(settings).where(eq(settings.id, SETTINGS_ID));
  return row?.content.kitchenName ?? '';
}

/** @throws BackupError where it is not whole, or holds other counts than those */
export async function checkBackup(file: string, wanted: Written['rows']): Promise<void> {
  const counts: Partial<Record<TableName, number>> = {};
  await readBackup(file, {
    onRow: ({ table }) => {
      counts[table] = (counts[table] ?? 0) + 1;
    },
  });
  const differs = Object.entries(wanted).some(([table, count]) => counts[table as TableName] !== count);
  if (differs) throw new BackupError(runningWords.thisBackupIsDamagedIts);
}
