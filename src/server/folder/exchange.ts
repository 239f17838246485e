/**
 * Another database takes the place of a folder's own, in two renames. A note that is there before the first of them
 * and gone after the second lets any start after a kill finish what was begun: exactly the old or the new one opens.
 */
import {
  closeSync,
  existsSync,
  fsyncSync,
  mkdirSync,
  openSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import { basename, dirname, join } from 'node:path';

const DATABASE = 'db';
const NOTE = 'exchange.json';
const WORK = 'work';
const REPLACED = 'replaced-';
const GONE = 'gone-';

interface Exchange {
  /** Names within the folder for work. */
  readonly built: string;
  readonly replaced: string;
}

export const databaseIn = (dataFolder: string): string => join(dataFolder, DATABASE);
export const asideIn = (dataFolder: string): string => join(dataFolder, 'aside');

/** A new empty folder for what is thrown away at the latest at the next start. */
export function workFolder(dataFolder: string, name: string): string {
  const folder = join(dataFolder, WORK, `${name}-${process.pid}-${Date.now().toString(36)}`);
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  return folder;
}

/**
 * @param built holds the new database in `db`; it lies in the folder for work
 * @returns where what was there before now lies, in `db`; null: nothing was
 */
export function exchange(dataFolder: string, built: string): string | null {
  const replaced = join(dataFolder, WORK, REPLACED + basename(built));
  const hadOne = existsSync(databaseIn(dataFolder));
  mkdirSync(replaced, { recursive: true, mode: 0o700 });
  const note: Exchange = { built: basename(built), replaced: basename(replaced) };
  const file = join(dataFolder, NOTE);
  writeFileSync(`${file}.part`, JSON.stringify(note), { mode: 0o600 });
  flush(`${file}.part`);
  renameSync(`${file}.part`, file);
  flush(dataFolder);
  finishExchange(dataFolder);
  return hadOne ? replaced : null;
}

/** Goes on with an exchange that a kill left half done. */
export function finishExchange(dataFolder: string): void {
  const file = join(dataFolder, NOTE);
  if (!existsSync(file)) return;
  const note = JSON.parse(readFileSync(file, 'utf8')) as Exchange;
  const [built, replaced] = [note.built, note.replaced].map((name) => join(dataFolder, WORK, name, DATABASE));
  const here = databaseIn(dataFolder);
  if (existsSync(built!)) {
    if (existsSync(here)) {
      mkdirSync(dirname(replaced!), { recursive: true, mode: 0o700 });
      renameSync(here, replaced!);
    }
    renameSync(built!, here);
  }
  flush(dataFolder);
  rmSync(file, { force: true });
}

/**
 * What a kill left of work is thrown away; what an exchange replaced is not: it is laid aside as it is.
 * @returns where that lies now
 */
export function clearWork(dataFolder: string): readonly string[] {
  for (const name of readdirSync(dataFolder)) if (name.startsWith(GONE)) throwAway(join(dataFolder, name));
  const work = join(dataFolder, WORK);
  if (!existsSync(work)) return [];
  const kept = readdirSync(work)
    .filter((name) => name.startsWith(REPLACED) && existsSync(join(work, name, DATABASE)))
    .map((name) => layAside(dataFolder, join(work, name)));
  // Under another name first: a process of the killed kitchen that has not noticed yet finds its files no more.
  const gone = join(dataFolder, `${GONE}${process.pid}`);
  renameSync(work, gone);
  throwAway(gone);
  return kept;
}

function throwAway(folder: string): void {
  try {
    rmSync(folder, { recursive: true, force: true, maxRetries: 10, retryDelay: 100 });
  } catch {
    // Still being written to: the next start throws it away.
  }
}

/** @returns the folder's place among what was laid aside */
export function layAside(dataFolder: string, folder: string): string {
  const aside = asideIn(dataFolder);
  mkdirSync(aside, { recursive: true, mode: 0o700 });
  const target = join(aside, `database-${basename(folder)}`);
  renameSync(folder, target);
  return target;
}

/** To the disk, so that a power cut cannot turn the order round. Folders, too, where the system lets. */
function flush(path: string): void {
  try {
    const descriptor = openSync(path, 'r');
    try {
      fsyncSync(descriptor);
    } finally {
      closeSync(descriptor);
    }
  } catch {
    // A system that opens no folders.
  }
}
