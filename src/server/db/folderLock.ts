/**
 * One process owns a data folder. The embedded engine does not guard this itself, and two writers
 * silently lose rows, so the owner leaves a note with its process id; the note of a process that
 * is gone is taken over, so that a kill leaves nothing that needs hand work.
 */
import { linkSync, mkdirSync, readFileSync, renameSync, rmSync, unlinkSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

export interface LockOwner {
  readonly pid: number;
  /** Tells a process apart from a later one with the same id; null where the system does not say. */
  readonly processStart: string | null;
  readonly address: string;
  readonly since: string;
}

export type LockResult =
  | { readonly status: 'locked'; readonly release: () => void }
  | { readonly status: 'taken'; readonly owner: LockOwner };

export function lockFolder(folder: string, address: string, now: Date): LockResult {
  mkdirSync(folder, { recursive: true });
  const lockFile = join(folder, 'in-use.json');
  const mine: LockOwner = {
    pid: process.pid,
    processStart: processStart(process.pid),
    address,
    since: now.toISOString(),
  };
  const draft = `${lockFile}.${process.pid}`;
  writeFileSync(draft, JSON.stringify(mine));
  try {
    for (let attempt = 0; attempt < 3; attempt++) {
      if (claim(draft, lockFile)) {
        return { status: 'locked', release: () => releaseIfMine(lockFile) };
      }
      const text = readOrNull(lockFile);
      if (text === null) continue;
      const owner = parseOwner(text);
      if (owner && isAlive(owner)) return { status: 'taken', owner };
      clearStale(lockFile, text);
    }
  } finally {
    rmSync(draft, { force: true });
  }
  const owner = parseOwner(readOrNull(lockFile) ?? '');
  return { status: 'taken', owner: owner ?? mine };
}

/** A hard link either appears whole or not at all, whoever else tries at the same time. */
function claim(draft: string, lockFile: string): boolean {
  try {
    linkSync(draft, lockFile);
    return true;
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code === 'EEXIST') return false;
    throw error;
  }
}

/** Moves the stale note aside; if another starter was faster and this was its fresh note, puts it back. */
function clearStale(lockFile: string, staleText: string): void {
  const aside = `${lockFile}.stale.${process.pid}`;
  try {
    renameSync(lockFile, aside);
  } catch {
    return;
  }
  if (readOrNull(aside) !== staleText) claim(aside, lockFile);
  unlinkSync(aside);
}

function releaseIfMine(lockFile: string): void {
  const owner = parseOwner(readOrNull(lockFile) ?? '');
  if (owner?.pid === process.pid) rmSync(lockFile, { force: true });
}

function readOrNull(file: string): string | null {
  try {
    return readFileSync(file, 'utf8');
  } catch {
    return null;
  }
}

function parseOwner(text: string): LockOwner | null {
  try {
    const value = JSON.parse(text) as Partial<LockOwner>;
    return typeof value.pid === 'number' ? (value as LockOwner) : null;
  } catch {
    return null;
  }
}

function isAlive(owner: LockOwner): boolean {
  try {
    process.kill(owner.pid, 0);
  } catch (error) {
    return (error as NodeJS.ErrnoException).code === 'EPERM';
  }
  const start = processStart(owner.pid);
  return start === null || owner.processStart === null || start === owner.processStart;
}

/** Field 22 of /proc/PID/stat (proc(5)); the name in brackets before it may hold spaces. */
function processStart(pid: number): string | null {
  const stat = readOrNull(`/proc/${pid}/stat`);
  return stat?.slice(stat.lastIndexOf(')') + 2).split(' ')[19] ?? null;
}
