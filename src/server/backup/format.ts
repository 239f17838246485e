/**
 * A whole kitchen as one file: gzipped JSON, rows as the database itself writes them. It holds no paths and
 * no program, only rows; a sum over them tells whether it is whole.
 */
import { sayIssue } from '#words/problems';
import { runningWords } from '#words/screens/running';
import { createHash } from 'node:crypto';
import { gunzipSync, gzipSync } from 'node:zlib';
import { z } from 'zod';

export const BACKUP_FORMAT = 1;
/** Unpacked; a larger one would not fit the memory of a small machine. */
export const MOST_UNPACKED_BYTES = 512 * 1024 * 1024;
export const MOST_PACKED_BYTES = 128 * 1024 * 1024;

/** In an order in which every row finds what it refers to. Device claims and the like are not data. */
export const TABLES = [
  'formulas',
  'versions',
  'applied_changes',
  'ingredients',
  'vessels',
  'settings',
  'pantry',
  'cooks',
  'styles',
  'trials',
  'trial_events',
  'measures',
  'panels',
  'panel_answers',
  'batches',
  'batch_events',
  'dressings',
  'plans',
  'timers',
] as const;
/** What belongs to one database and its screens, not to what a kitchen keeps. */
export const NOT_SAVED = ['secrets', 'shared_revisions', 'applied_shared'] as const;
export type TableName = (typeof TABLES)[number];

const backupSchema = z.strictObject({
  ygranaBackup: z.literal(BACKUP_FORMAT),
  /** How many migrations its tables had been through. */
  migrations: z.int().min(1).max(10_000),
  madeAt: z.iso.datetime(),
  kitchen: z.string().max(200),
  rows: z.partialRecord(z.enum(TABLES), z.array(z.record(z.string(), z.unknown()))),
  sha256: z.string().regex(/^[0-9a-f]{64}$/),
});
export type Backup = z.infer<typeof backupSchema>;

export class BackupError extends Error {}

const sumOf = (rows: unknown): string => createHash('sha256').update(JSON.stringify(rows)).digest('hex');

export const pack = (backup: Omit<Backup, 'sha256' | 'ygranaBackup'>): Buffer =>
  gzipSync(JSON.stringify({ ygranaBackup: BACKUP_FORMAT, ...backup, sha256: sumOf(backup.rows) }));

/** @throws BackupError with what is wrong and what to do */
export function unpack(bytes: Uint8Array): Backup {
  if (bytes.length > MOST_PACKED_BYTES) throw new BackupError(runningWords.thisFileIsLargerThan);
  let text: string;
  try {
    text = gunzipSync(bytes, { maxOutputLength: MOST_UNPACKED_BYTES }).toString('utf8');
  } catch {
    throw new BackupError(runningWords.thisIsNoBackupOr);
  }
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    throw new BackupError(runningWords.thisIsNoBackupOf);
  }
  const checked = backupSchema.safeParse(value);
  if (!checked.success) {
    const [issue] = checked.error.issues;
    throw new BackupError(
      runningWords.thisIsNoBackupOfA(issue!.path.join('.') || runningWords.theTop, sayIssue(issue!)),
    );
  }
  if (sumOf(checked.data.rows) !== checked.data.sha256)
    throw new BackupError(runningWords.thisBackupIsDamagedIts);
  return checked.data;
}
