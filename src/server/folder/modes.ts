/** What a kitchen keeps is for its own user alone: folders 0700, files 0600, also what an earlier release left. */
import { chmodSync, lstatSync, readdirSync } from 'node:fs';
import { join } from 'node:path';

const FOLDER = 0o700;
const FILE = 0o600;

/** Does nothing where the system has no such modes, or where another user owns what is there. */
export function closeToOthers(path: string): void {
  let entry;
  try {
    entry = lstatSync(path);
  } catch {
    // Gone meanwhile: the engine comes and goes with its own files.
    return;
  }
  if (entry.isSymbolicLink()) return;
  const wanted = entry.isDirectory() ? FOLDER : FILE;
  if ((entry.mode & 0o777) !== wanted) setMode(path, wanted);
  if (entry.isDirectory()) for (const name of readdirSync(path)) closeToOthers(join(path, name));
}

function setMode(path: string, mode: number): void {
  try {
    chmodSync(path, mode);
  } catch {
    // A file system without modes.
  }
}
