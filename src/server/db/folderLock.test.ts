import { spawn } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { dropFolder, tempFolder } from '../testing/kitchen';
import { lockFolder } from './folderLock';

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

describe('the lock on a data folder', () => {
  it('is taken, names its owner, and is let go', () => {
    const lock = lockFolder(folder, 'http://here', at);
    if (lock.status !== 'locked') throw new Error('taken');
    expect(JSON.parse(readFileSync(note(), 'utf8'))).toMatchObject({
      pid: process.pid,
      address: 'http://here',
    });
    expect(lockFolder(folder, 'http://there', at)).toMatchObject({
      status: 'taken',
      owner: { address: 'http://here' },
    });
    lock.release();
    expect(lockFolder(folder, 'http://there', at).status).toBe('locked');
  });

  it('of a living process holds', async () => {
    const child = spawn(process.execPath, ['-e', 'setTimeout(() => {}, 20000)']);
    leave({ pid: child.pid, processStart: null, address: 'http://other', since: '' });
    expect(lockFolder(folder, 'http://here', at)).toMatchObject({
      status: 'taken',
      owner: { pid: child.pid },
    });
    const ended = new Promise((done) => child.once('exit', done));
    child.kill('SIGKILL');
    await ended;
    expect(lockFolder(folder, 'http://here', at).status).toBe('locked');
  });

  it('of a process that began at another time is stale: the number was given again', () => {
    leave({ pid: process.ppid, processStart: '1', address: 'http://other', since: '' });
    expect(lockFolder(folder, 'http://here', at).status).toBe('locked');
  });

  it.each([['nothing'], ['{"pid":'], ['{"address":"x"}'], ['']])(
    'that cannot be read (%s) is taken over',
    (text) => {
      leave(text);
      expect(lockFolder(folder, 'http://here', at).status).toBe('locked');
    },
  );

  it('does not let go of what became another’s', () => {
    const lock = lockFolder(folder, 'http://here', at);
    if (lock.status !== 'locked') throw new Error('taken');
    leave({ pid: process.ppid, processStart: null, address: 'http://other', since: '' });
    lock.release();
    expect(JSON.parse(readFileSync(note(), 'utf8'))).toMatchObject({ address: 'http://other' });
  });
});
