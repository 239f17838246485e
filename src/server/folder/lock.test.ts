import { spawn } from 'node:child_process';
import { cpSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { dropFolder, tempFolder } from '../testing/kitchen';
import { identityOfFolder, identityOfProcess } from './identity';
import { lockBySystem, lockFolder, ownerOf, type LockOwner, type LockResult, type SystemLock } from './lock';

let folder = '';
beforeEach(() => {
  folder = tempFolder();
});
afterEach(() => {
  dropFolder(folder);
});
const at = new Date('2026-05-01T08:00:00Z');
const note = (): string => join(folder, 'in-use.json');
const leave = (owner: unknown): void => {
  writeFileSync(note(), typeof owner === 'string' ? owner : JSON.stringify(owner));
};
const noSystem = (): SystemLock => 'none';
const lock = (system: (file: string) => SystemLock, now = at): LockResult =>
  lockFolder(folder, 'http://here', now, system);
const owner = (patch: Partial<LockOwner>): LockOwner => ({
  ...identityOfProcess(),
  folder: identityOfFolder(folder),
  address: 'http://other',
  since: at.toISOString(),
  seen: at.toISOString(),
  heldBy: 'note',
  token: 'other',
  ...patch,
});
const after = (seconds: number): Date => new Date(at.getTime() + seconds * 1000);

describe.each([
  ['held by the system', lockBySystem],
  ['held by its note', noSystem],
])('the lock on a data folder, %s', (_how, system) => {
  it('is taken, names its owner, and is let go', () => {
    const first = lock(system);
    if (first.status !== 'locked') throw new Error('taken');
    expect(JSON.parse(readFileSync(note(), 'utf8'))).toMatchObject({
      pid: process.pid,
      address: 'http://here',
    });
    expect(lockFolder(folder, 'http://there', at, system)).toMatchObject({
      status: 'taken',
      owner: { address: 'http://here' },
    });
    first.release();
    expect(lockFolder(folder, 'http://there', at, system).status).toBe('locked');
  });

  it('of a living process holds', async () => {
    const child = spawn(process.execPath, ['-e', 'setTimeout(() => {}, 20000)']);
    leave({ pid: child.pid, processStart: null, address: 'http://other', since: '' });
    expect(lock(system)).toMatchObject({
      status: 'taken',
      owner: { pid: child.pid },
    });
    const ended = new Promise((done) => child.once('exit', done));
    child.kill('SIGKILL');
    await ended;
    expect(lock(system).status).toBe('locked');
  });

  it('of a process that began at another time is stale: the number was given again', () => {
    leave({ pid: process.ppid, processStart: '1', address: 'http://other', since: '' });
    expect(lock(system).status).toBe('locked');
  });

  it.each([['nothing'], ['{"pid":'], ['{"address":"x"}'], ['']])(
    'that cannot be read (%s) is taken over',
    (text) => {
      leave(text);
      expect(lock(system).status).toBe('locked');
    },
  );

  it('does not let go of what became another’s', () => {
    const first = lock(system);
    if (first.status !== 'locked') throw new Error('taken');
    leave({ pid: process.ppid, processStart: null, address: 'http://other', since: '' });
    first.release();
    expect(JSON.parse(readFileSync(note(), 'utf8'))).toMatchObject({ address: 'http://other' });
  });
});

describe('a folder that is shared with another system', () => {
  const elsewhere = { host: 'another', pidNamespace: 'pid:[1]', boot: 'b' };
  it('is not taken while the note of its owner is renewed, and is once it has been silent', () => {
    leave(owner(elsewhere));
    expect(lock(noSystem, after(20)).status).toBe('taken');
    expect(lock(noSystem, after(40)).status).toBe('locked');
  });

  it('an owner that was asleep finds the folder taken, and says so', () => {
    const first = lock(noSystem);
    if (first.status !== 'locked') throw new Error('taken');
    expect(first.beat(after(5))).toBe(true);
    leave(owner(elsewhere));
    expect(first.beat(after(60))).toBe(false);
  });

  it('the system’s lock is not believed beside an owner that knows of none', () => {
    leave(owner(elsewhere));
    expect(lock(lockBySystem, after(10)).status).toBe('taken');
    expect(lock(lockBySystem, after(60)).status).toBe('locked');
  });
});

describe('a copy of a folder', () => {
  it('is what it is: it opens beside the original, and its note leads nowhere', () => {
    for (const system of [lockBySystem, noSystem]) {
      const first = lock(system);
      if (first.status !== 'locked') throw new Error('taken');
      const copy = `${folder}-copy`;
      cpSync(folder, copy, { recursive: true });
      expect(ownerOf(copy)).toBeNull();
      expect(ownerOf(folder)?.address).toBe('http://here');
      const second = lockFolder(copy, 'http://copy', at, system);
      expect(second.status).toBe('locked');
      if (second.status === 'locked') second.release();
      first.release();
      dropFolder(copy);
    }
  });

  it('a folder that was moved while it is open stays locked', () => {
    const first = lock(lockBySystem);
    const moved = `${folder}-moved`;
    renameSync(folder, moved);
    expect(lockFolder(moved, 'http://there', at).status).toBe('taken');
    if (first.status === 'locked') first.release();
    renameSync(moved, folder);
  });
});
