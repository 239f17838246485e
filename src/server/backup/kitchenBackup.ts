/**
 * Saving and restoring a whole kitchen. A file is unpacked and checked, put into a new database in a
 * temporary folder at the state of its own day, brought up to date there and read through; only then the
 * kitchen's rows are replaced, in one transaction, after a backup of them was laid aside.
 */
import { cpSync, mkdirSync, mkdtempSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { formulaSchema, settingsSchema, vesselSchema, type Restored } from '#contract';
import { sayIssue } from '#words/problems';
import { runningWords } from '#words/screens/running';
import { journalOf, openDatabase, type Database } from '../db/client';
import { renewKitchenId } from '../http/kitchenId';
import { BackupError, pack, unpack, type Backup } from './format';
import { readRows, replaceRows } from './rows';

export interface BackupPlace {
  readonly migrationsFolder: string;
  /** Where backups laid aside are kept. */
  readonly asideFolder: string;
}

export const saveKitchen = async (db: Database, place: BackupPlace, now: Date): Promise<Buffer> =>
  packed(await readRows(db), place, now);

function packed(rows: Backup['rows'], { migrationsFolder }: BackupPlace, now: Date): Buffer {
  const settings = rows.settings?.[0]?.content as { kitchenName?: string } | undefined;
  return pack({
    migrations: journalOf(migrationsFolder).entries.length,
    madeAt: now.toISOString(),
    kitchen: settings?.kitchenName ?? '',
    rows,
  });
}

/** @throws BackupError where the file is refused: then nothing was changed */
export async function restoreKitchen(
  db: Database,
  place: BackupPlace,
  bytes: Uint8Array,
  now: Date,
): Promise<Restored> {
  const backup = unpack(bytes);
  const rows = await broughtUpToDate(backup, place.migrationsFolder);
  let asideFile = '';
  await replaceRows(db, rows, (there) => {
    asideFile = layAside(packed(there, place, now), place, now);
  });
  await renewKitchenId(db);
  return {
    kitchen: backup.kitchen,
    madeAt: backup.madeAt,
    asideFile,
    formulas: rows.formulas?.length ?? 0,
    jars: rows.trials?.length ?? 0,
    batches: rows.batches?.length ?? 0,
  };
}

/** Written whole or not at all: under another name first, then renamed. */
function layAside(bytes: Buffer, { asideFolder }: BackupPlace, now: Date): string {
  mkdirSync(asideFolder, { recursive: true });
  const file = join(asideFolder, `before-restore-${now.toISOString().replaceAll(/[:.]/g, '-')}.ygrana`);
  writeFileSync(`${file}.part`, bytes);
  renameSync(`${file}.part`, file);
  return file;
}

async function broughtUpToDate(backup: Backup, migrationsFolder: string): Promise<Backup['rows']> {
  const all = journalOf(migrationsFolder).entries.length;
  if (backup.migrations > all) throw new BackupError(runningWords.thisBackupWasMadeBy);
  const folder = mkdtempSync(join(tmpdir(), 'ygrana-restore-'));
  try {
    const data = join(folder, 'db');
    const then = await openDatabase(
      { folder: data },
      migrationsUpTo(backup.migrations, migrationsFolder, folder),
    );
    try {
      await replaceRows(then.db, backup.rows);
    } catch (error) {
      throw new BackupError(runningWords.thisBackupDoesNotFit(reasonOf(error)));
    } finally {
      await then.close();
    }
    const today = await openDatabase({ folder: data }, migrationsFolder);
    try {
      const rows = await readRows(today.db);
      readThrough(rows);
      return rows;
    } finally {
      await today.close();
    }
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

/** The migrations as a kitchen of that day had them. */
function migrationsUpTo(count: number, migrationsFolder: string, folder: string): string {
  const target = join(folder, 'migrations');
  cpSync(migrationsFolder, target, { recursive: true });
  const journal = journalOf(target);
  const entries = journal.entries.filter(({ idx }) => idx < count);
  writeFileSync(join(target, 'meta/_journal.json'), JSON.stringify({ ...journal, entries }));
  return target;
}

/** Rows that the database takes may still be nonsense to the kitchen. */
function readThrough(rows: Backup['rows']): void {
  const check = (
    table: 'formulas' | 'versions' | 'vessels' | 'settings',
    schema: typeof formulaSchema | typeof settingsSchema | typeof vesselSchema,
  ): void => {
    for (const row of rows[table] ?? []) {
      const checked = schema.safeParse(row.content);
      if (checked.success) continue;
      const [issue] = checked.error.issues;
      throw new BackupError(
        runningWords.thisBackupHoldsSomethingThat(table, issue!.path.join('.'), sayIssue(issue!)),
      );
    }
  };
  check('formulas', formulaSchema);
  check('versions', formulaSchema);
  check('vessels', vesselSchema);
  check('settings', settingsSchema);
}

const reasonOf = (error: unknown): string => {
  const cause = (error as { cause?: unknown }).cause ?? error;
  return cause instanceof Error ? cause.message.split('\n')[0]! : runningWords.aRowCannotBeRead;
};
