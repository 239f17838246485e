/**
 * One process owns a data folder: the embedded engine does not guard this itself, and two writers silently lose
 * rows. The lock is the operating system's, on a file that the owner keeps open (flock(2)): it ends with the
 * process however that ends, and it holds across containers that share the folder. A note beside it says who
 * the owner is. Where the system has no such lock, the note decides: by the process where its number means
 * something here, else by a heartbeat.
 */
import { randomBytes } from 'node:crypto';
import {
  closeSync,
  linkSync,
  mkdirSync,
  openSync,
  readFileSync,
  renameSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import { spawnSync } from 'node:child_process';
import { dirname, join } from 'node:path';
import {
  identityOfFolder,
  identityOfProcess,
  isRunning,
  sharesProcesses,
  type FolderIdentity,
  type ProcessIdentity,
} from './identity';

export interface LockOwner extends ProcessIdentity {
  readonly folder: FolderIdentity;
  readonly address: string;
  readonly since: string;
  /** When it was last known to be there. */
  readonly seen: string;
  /** Whether the operating system holds the lock, or only this note. */
  readonly heldBy: 'system' | 'note';
  /** Of this taking: who finds another has lost the folder. */
  readonly token: string;
}

export interface FolderLock {
  readonly status: 'locked';
  readonly heldBy: LockOwner['heldBy'];
  readonly release: () => void;
  /** Renews the note. @returns false where the folder has become another's */
  readonly beat: (now: Date) => boolean;
}

export type LockResult = FolderLock | { readonly status: 'taken'; readonly owner: LockOwner };

export const NOTE = 'in-use.json';
const LOCK_FILE = 'in-use.lock';
export const BEAT_MS = 5000;
/** A note of another system that was not renewed for so long is one of a process that is gone. */
const SILENT_MS = 6 * BEAT_MS;

/**
 * @param system how the system locks; the tests leave it out to see the note decide
 */
export function lockFolder(
  folder: string,
  address: string,
  now: Date,
  system: (file: string) => SystemLock = lockBySystem,
): LockResult {
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const here = identityOfFolder(folder);
  const note = join(folder, NOTE);
  const held = system(join(folder, LOCK_FILE));
  if (held === 'taken') return { status: 'taken', owner: ownerIn(note) ?? nobodyKnown(here, now) };
  const heldBy = held === 'none' ? 'note' : 'system';
  const mine: LockOwner = {
    ...identityOfProcess(),
    folder: here,
    address,
    since: now.toISOString(),
    seen: now.toISOString(),
    heldBy,
    token: randomBytes(16).toString('hex'),
  };
  const owner = claim(note, mine, now);
  if (owner) {
    if (held !== 'none') closeSync(held);
    return { status: 'taken', owner };
  }
  return {
    status: 'locked',
    heldBy,
    beat: (at) => {
      if (heldBy === 'note' && ownerIn(note)?.token !== mine.token) return false;
      rewrite(note, { ...mine, seen: at.toISOString() });
      return true;
    },
    release: () => {
      if (ownerIn(note)?.token === mine.token) rmSync(note, { force: true });
      if (held !== 'none') closeSync(held);
    },
  };
}

/** Ours is the note, or whose it is and stays. */
function claim(note: string, mine: LockOwner, now: Date): LockOwner | null {
  const draft = `${note}.${mine.token}`;
  writeFileSync(draft, JSON.stringify(mine), { mode: 0o600 });
  try {
    for (let attempt = 0; attempt < 3; attempt++) {
      if (linked(draft, note)) return null;
      const text = readOrNull(note);
      if (text === null) continue;
      const owner = parseOwner(text, dirname(note));
      if (owner && holds(owner, mine, now)) return owner;
      clearStale(note, text, mine.token);
    }
  } finally {
    rmSync(draft, { force: true });
  }
  return ownerIn(note) ?? mine;
}

/** Whether the note in a folder is that of a living owner of this very folder. */
function holds(owner: LockOwner, mine: LockOwner, now: Date): boolean {
  // The system would have said so.
  if (mine.heldBy === 'system' && owner.heldBy === 'system') return false;
  if (sharesProcesses(owner, mine)) {
    // A folder that was copied with its note.
    if (!isSame(owner.folder, mine.folder)) return false;
    return isRunning(owner);
  }
  return Math.abs(now.getTime() - Date.parse(owner.seen)) < SILENT_MS;
}

/** The descriptor that holds the lock, `taken`, or `none` where the system cannot lock here. */
export type SystemLock = number | 'taken' | 'none';

/**
 * The program takes the lock on our open file, not on one of its own: it stays ours when the program has ended
 * (flock(2): locks belong to the open file description).
 */
export function lockBySystem(file: string): SystemLock {
  const descriptor = openSync(file, 'a', 0o600);
  const { status } = spawnSync('flock', ['-x', '-n', '3'], {
    stdio: ['ignore', 'ignore', 'ignore', descriptor],
  });
  if (status === 0) return descriptor;
  closeSync(descriptor);
  return status === 1 ? 'taken' : 'none';
}

/** A hard link either appears whole or not at all, whoever else tries at the same time. */
function linked(draft: string, note: string): boolean {
  try {
    linkSync(draft, note);
    return true;
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code === 'EEXIST') return false;
    throw error;
  }
}

/** Moves the stale note aside; if another starter was faster and this was its fresh note, puts it back. */
function clearStale(note: string, staleText: string, token: string): void {
  const aside = `${note}.stale.${token}`;
  try {
    renameSync(note, aside);
  } catch {
    return;
  }
  if (readOrNull(aside) !== staleText) linked(aside, note);
  rmSync(aside, { force: true });
}

function rewrite(note: string, owner: LockOwner): void {
  const draft = `${note}.${owner.token}`;
  writeFileSync(draft, JSON.stringify(owner), { mode: 0o600 });
  renameSync(draft, note);
}

/** The owner that the folder's note names; not one of a folder that it was copied from. */
export function ownerOf(folder: string): LockOwner | null {
  const owner = ownerIn(join(folder, NOTE));
  if (!owner) return null;
  const isCopy =
    sharesProcesses(owner, identityOfProcess()) && !isSame(owner.folder, identityOfFolder(folder));
  return isCopy ? null : owner;
}

const isSame = (one: FolderIdentity, other: FolderIdentity): boolean =>
  one.device === other.device && one.inode === other.inode;

const ownerIn = (note: string): LockOwner | null => parseOwner(readOrNull(note) ?? '', dirname(note));

function nobodyKnown(folder: FolderIdentity, now: Date): LockOwner {
  const unknown = { pid: 0, processStart: null, host: '', boot: null, pidNamespace: null };
  const at = now.toISOString();
  return { ...unknown, folder, address: '', since: at, seen: at, heldBy: 'system', token: '' };
}

function readOrNull(file: string): string | null {
  try {
    return readFileSync(file, 'utf8');
  } catch {
    return null;
  }
}

/** Of a release before, the note said only the process and where it answers: of this system and this folder. */
function parseOwner(text: string, folder: string): LockOwner | null {
  try {
    const value = JSON.parse(text) as Partial<LockOwner>;
    if (typeof value.pid !== 'number') return null;
    if (value.token !== undefined) return value as LockOwner;
    const { pid, processStart = null, address = '', since = '' } = value;
    const here = { ...identityOfProcess(), folder: identityOfFolder(folder) };
    return { ...here, pid, processStart, address, since, seen: since, heldBy: 'note', token: '' };
  } catch {
    return null;
  }
}
