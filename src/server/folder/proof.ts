/**
 * Who owns a folder can read what was just put into it. The command line asks a running kitchen to do so before
 * it trusts that the kitchen at an address is the one of this folder: a note may be old, or a copy.
 */
import { createHash, randomBytes } from 'node:crypto';
import { readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

const NAME = /^[0-9a-f]{32}$/;
const fileOf = (folder: string, name: string): string => join(folder, `proof-${name}`);
const markOf = (text: string): string => createHash('sha256').update(text).digest('hex');

/** The server's side. @returns the mark of what lies in its own folder under this name; null where nothing does */
export function proofIn(folder: string, name: string): string | null {
  if (!NAME.test(name)) return null;
  try {
    return markOf(readFileSync(fileOf(folder, name), 'utf8'));
  } catch {
    return null;
  }
}

/** @param ask the server's answer for a name; it may fail */
export async function ownsFolder(
  folder: string,
  ask: (name: string) => Promise<string | null>,
): Promise<boolean> {
  const [name, secret] = [randomBytes(16).toString('hex'), randomBytes(32).toString('hex')];
  const file = fileOf(folder, name);
  writeFileSync(file, secret, { mode: 0o600 });
  try {
    return (await ask(name).catch(() => null)) === markOf(secret);
  } finally {
    rmSync(file, { force: true });
  }
}
