/**
 * A whole kitchen as one file: gzipped lines of JSON, rows as the database itself writes them. The first line
 * says of when it is, each following one is a row, the last has a sum over them all. It holds no paths and no
 * program, only rows. (Of releases before, it was one JSON value; that is read, too.)
 */
import { runningWords } from '#words/screens/running';
import { z } from 'zod';

export const BACKUP_FORMAT = 2;

/** What a file may be at most: checked while it is read, before anything is built of it. */
export const LIMITS = {
  packedBytes: 128 * 1024 * 1024,
  unpackedBytes: 1024 * 1024 * 1024,
  rowBytes: 8 * 1024 * 1024,
  rows: 4_000_000,
  depth: 64,
} as const;

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
  'pictures',
  'measures',
  'panels',
  'panel_answers',
  'batches',
  'batch_events',
  'dressings',
  'plans',
  'formula_dishes',
  'practice',
  'timers',
] as const;
/** What belongs to one database and its screens, not to what a kitchen keeps. */
export const NOT_SAVED = ['secrets', 'shared_revisions', 'applied_shared'] as const;
export type TableName = (typeof TABLES)[number];

export const headerSchema = z.object({
  /** How many migrations its tables had been through. */
  migrations: z.int().min(1).max(10_000),
  madeAt: z.iso.datetime(),
  kitchen: z.string().max(200),
});
export type BackupHeader = z.infer<typeof headerSchema>;

/** A row as the text that the database takes; checked only as far as the limits go. */
export interface BackupRow {
  readonly table: TableName;
  readonly text: string;
}

/** Something that a person can mend, told in one sentence. */
export class BackupError extends Error {}

const KNOWN: ReadonlySet<string> = new Set(TABLES);
/** @throws BackupError for a table that no kitchen has */
export function knownTable(name: unknown): TableName {
  if (typeof name !== 'string' || !KNOWN.has(name))
    throw new BackupError(
      runningWords.thisIsNoBackupOfA(String(name).slice(0, 40), runningWords.noSuchTable),
    );
  return name as TableName;
}

/** Counts what was read of a file, and stops it where it goes beyond any kitchen. @throws BackupError */
export class Bounds {
  private rows = 0;

  row(text: string): void {
    this.rows += 1;
    if (this.rows > LIMITS.rows) throw new BackupError(runningWords.thisFileIsLargerThan);
    if (depthOf(text) > LIMITS.depth) throw new BackupError(runningWords.thisIsNoBackupOf);
  }
}

/** How deep a JSON text is nested, without building it. */
export function depthOf(text: string): number {
  let [depth, most, isInside] = [0, 0, false];
  for (let i = 0; i < text.length; i++) {
    const code = text.charCodeAt(i);
    if (isInside) {
      if (code === BACKSLASH) i += 1;
      else if (code === QUOTE) isInside = false;
    } else if (code === QUOTE) isInside = true;
    else if (code === OPEN_ARRAY || code === OPEN_OBJECT) most = Math.max(most, ++depth);
    else if (code === CLOSE_ARRAY || code === CLOSE_OBJECT) depth -= 1;
  }
  return most;
}
const [QUOTE, BACKSLASH] = [34, 92];
const [OPEN_ARRAY, CLOSE_ARRAY, OPEN_OBJECT, CLOSE_OBJECT] = [91, 93, 123, 125];
