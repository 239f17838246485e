/**
 * Which folder, seen from which system: what a note in it says of its writer. A copied folder has another
 * number at the file system; another container has process numbers of its own; another start of the machine
 * has another boot id.
 */
import { readFileSync, readlinkSync, statSync } from 'node:fs';
import { hostname } from 'node:os';

export interface FolderIdentity {
  readonly device: number;
  readonly inode: number;
}

export interface ProcessIdentity {
  readonly pid: number;
  /** Tells a process apart from a later one with the same id; null where the system does not say. */
  readonly processStart: string | null;
  readonly host: string;
  /** Of this start of the machine; null where the system does not say. */
  readonly boot: string | null;
  /** Process ids mean something only within one. */
  readonly pidNamespace: string | null;
}

export function identityOfFolder(folder: string): FolderIdentity {
  const { dev, ino } = statSync(folder);
  return { device: dev, inode: ino };
}

export const identityOfProcess = (): ProcessIdentity => ({
  pid: process.pid,
  processStart: processStart(process.pid),
  host: hostname(),
  boot: readOrNull('/proc/sys/kernel/random/boot_id')?.trim() ?? null,
  pidNamespace: linkOrNull('/proc/self/ns/pid'),
});

/** Whether the process ids of the two mean the same processes. */
export const sharesProcesses = (one: ProcessIdentity, other: ProcessIdentity): boolean =>
  one.host === other.host && one.boot === other.boot && one.pidNamespace === other.pidNamespace;

/** Only for one that shares our processes. */
export function isRunning({ pid, processStart: began }: ProcessIdentity): boolean {
  try {
    process.kill(pid, 0);
  } catch (error) {
    return (error as NodeJS.ErrnoException).code === 'EPERM';
  }
  const start = processStart(pid);
  return start === null || began === null || start === began;
}

/** Field 22 of /proc/PID/stat (proc(5)); the name in brackets before it may hold spaces. */
function processStart(pid: number): string | null {
  const stat = readOrNull(`/proc/${pid}/stat`);
  return stat?.slice(stat.lastIndexOf(')') + 2).split(' ')[19] ?? null;
}

function readOrNull(file: string): string | null {
  try {
    return readFileSync(file, 'utf8');
  } catch {
    return null;
  }
}

function linkOrNull(path: string): string | null {
  try {
    return readlinkSync(path);
  } catch {
    return null;
  }
}
