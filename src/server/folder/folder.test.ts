import { cpSync, existsSync, mkdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { dropFolder, tempFolder } from '../testing/kitchen';
import { KitchenClock } from './clock';
import { clearWork, databaseIn, exchange, finishExchange, workFolder } from './exchange';
import { closeToOthers } from './modes';
import { ownsFolder, proofIn } from './proof';

let folder = '';
beforeEach(() => {
  folder = tempFolder();
});
afterEach(() => {
  dropFolder(folder);
});

describe('an exchange of databases', () => {
  const content = (): string => readFileSync(join(databaseIn(folder), 'what'), 'utf8');
  const begun = (): string => {
    mkdirSync(databaseIn(folder));
    writeFileSync(join(databaseIn(folder), 'what'), 'old');
    const built = workFolder(folder, 'restore');
    mkdirSync(join(built, 'db'));
    writeFileSync(join(built, 'db', 'what'), 'new');
    return built;
  };

  it('puts the new one there and hands over the old one', () => {
    const replaced = exchange(folder, begun())!;
    expect(content()).toBe('new');
    expect(readFileSync(join(replaced, 'db', 'what'), 'utf8')).toBe('old');
    expect(existsSync(join(folder, 'exchange.json'))).toBe(false);
  });

  it('killed between any two of its steps, a start finds exactly the old or the new one', () => {
    // The states between: nothing noted; noted; the old one moved; both moved.
    for (const state of ['nothing', 'noted', 'moved', 'both']) {
      dropFolder(folder);
      mkdirSync(folder);
      const built = begun();
      const name = built.split('/').at(-1)!;
      if (state !== 'nothing')
        writeFileSync(
          join(folder, 'exchange.json'),
          JSON.stringify({ built: name, replaced: `replaced-${name}` }),
        );
      const replaced = join(folder, 'work', `replaced-${name}`);
      if (state === 'moved' || state === 'both') {
        mkdirSync(replaced, { recursive: true });
        cpSync(databaseIn(folder), join(replaced, 'db'), { recursive: true });
        dropFolder(databaseIn(folder));
      }
      if (state === 'both') {
        cpSync(join(built, 'db'), databaseIn(folder), { recursive: true });
        dropFolder(join(built, 'db'));
      }
      finishExchange(folder);
      const aside = clearWork(folder);
      expect([state, content()]).toEqual([state, state === 'nothing' ? 'old' : 'new']);
      // What was replaced is never thrown away unread.
      expect(aside.map((path) => readFileSync(join(path, 'db', 'what'), 'utf8'))).toEqual(
        state === 'nothing' ? [] : ['old'],
      );
      expect(existsSync(join(folder, 'work'))).toBe(false);
    }
  });
});

describe('the kitchen’s clock', () => {
  const DAY = 86_400_000;
  let wall = Date.parse('2026-05-01T08:00:00Z');
  let run = 0;
  const clock = (): KitchenClock =>
    new KitchenClock(
      folder,
      () => new Date(wall),
      () => run,
    );
  const pass = (ms: number): void => {
    wall += ms;
    run += ms;
  };

  it('is believed once the kitchen has run a day, over several openings', () => {
    for (let opening = 0; opening < 4; opening++) {
      const here = clock();
      expect(here.isSteady).toBe(false);
      for (let hour = 0; hour < 6; hour++) {
        pass(3_600_000);
        here.tick();
      }
      // Closed overnight.
      wall += DAY / 2;
    }
    expect(clock().isSteady).toBe(true);
  });

  it.each([
    ['40 days ahead while it was closed', 40, true],
    ['40 days ahead while it was open', 40, false],
    ['a year back', -365, true],
  ])('%s: it says so, and ages wait', (_what, days, isClosed) => {
    const first = clock();
    for (let hour = 0; hour < 30; hour++) {
      pass(3_600_000);
      first.tick();
    }
    expect([first.isSteady, first.jumpedDays]).toEqual([true, null]);
    wall += days * DAY;
    const then = isClosed ? clock() : first;
    if (!isClosed) then.tick();
    expect([then.isSteady, then.jumpedDays]).toEqual([false, days]);
    // Set right again is another jump.
    wall -= days * DAY;
    then.tick();
    expect(then.isSteady).toBe(false);
  });
});

describe('the proof of a folder', () => {
  it('is given by who reads the folder itself, and by nobody else', async () => {
    const other = tempFolder();
    expect(await ownsFolder(folder, (name) => Promise.resolve(proofIn(folder, name)))).toBe(true);
    expect(await ownsFolder(folder, (name) => Promise.resolve(proofIn(other, name)))).toBe(false);
    expect(await ownsFolder(folder, () => Promise.reject(new Error('nobody there')))).toBe(false);
    expect(proofIn(folder, '../in-use.json')).toBeNull();
    dropFolder(other);
  });
});

it('what is there already is closed to other users', () => {
  mkdirSync(join(folder, 'db', 'base'), { recursive: true, mode: 0o755 });
  writeFileSync(join(folder, 'db', 'base', '1'), '', { mode: 0o666 });
  closeToOthers(folder);
  const modes = ['', 'db', 'db/base', 'db/base/1'].map((path) => statSync(join(folder, path)).mode & 0o777);
  expect(modes).toEqual([0o700, 0o700, 0o700, 0o600]);
});
