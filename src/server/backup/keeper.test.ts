import { mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { KitchenClock } from '../folder/clock';
import { dropFolder, tempFolder } from '../testing/kitchen';
import { BackupKeeper, type KeeperParts } from './keeper';

let folder = '';
let second = '';
let wall = 0;
let said: string[] = [];
let emptied: Date[] = [];
beforeEach(() => {
  [folder, second] = [tempFolder(), tempFolder()];
  wall = Date.parse('2026-05-01T08:00:00Z');
  [said, emptied] = [[], []];
});
afterEach(() => {
  [folder, second].forEach(dropFolder);
});

function keeper(parts: Partial<KeeperParts> = {}): BackupKeeper {
  const now = (): Date => new Date(wall);
  return new BackupKeeper({
    dataFolder: folder,
    secondPlace: second,
    save: (file) => {
      writeFileSync(file, `backup of ${now().toISOString()}`);
      return Promise.resolve();
    },
    clock: new KitchenClock(folder, now, () => wall),
    emptyBin: (savedAt) => Promise.resolve(emptied.push(savedAt)),
    now,
    say: (line) => said.push(line),
    ...parts,
  });
}
const nextDay = (): void => {
  wall += 86_400_000;
};

describe('the keeper of daily backups', () => {
  it('makes one a day, however often it looks, here and in the second place', async () => {
    const here = keeper();
    for (let n = 0; n < 3; n++) await here.tend();
    nextDay();
    await here.tend();
    const names = ['kitchen-2026-05-01.ygrana', 'kitchen-2026-05-02.ygrana'];
    expect(readdirSync(join(folder, 'backups'))).toEqual(names);
    expect(readdirSync(second)).toEqual(names);
    expect(readFileSync(join(second, names[0]!), 'utf8')).toContain('2026-05-01T08');
    expect(here.state).toMatchObject({ newest: { day: '2026-05-02' }, kept: 2, trouble: null });
  });

  it('says what went wrong, tries again, and throws nothing away meanwhile', async () => {
    let isFull = true;
    const here = keeper({
      save: (file) => {
        if (isFull) return Promise.reject(new Error('No space left on the disk.'));
        writeFileSync(file, 'x');
        return Promise.resolve();
      },
    });
    await here.tend();
    nextDay();
    await here.tend();
    expect(here.state.trouble).toContain('No space left on the disk.');
    expect([said.length, emptied.length, here.state.kept]).toEqual([2, 0, 0]);
    isFull = false;
    await here.tend();
    expect([here.state.trouble, here.state.kept, emptied.length]).toEqual([null, 1, 1]);
  });

  it('a second place that is gone is said, and the first goes on', async () => {
    const file = join(second, 'no-folder');
    writeFileSync(file, '');
    const here = keeper({ secondPlace: join(file, 'below') });
    await here.tend();
    expect(here.state).toMatchObject({ kept: 1, trouble: null });
    expect(here.state.second?.trouble).toContain('could not be copied');
  });

  it('empties the bin behind a backup of that very day, and only when the clock is believed', async () => {
    const here = keeper();
    await here.tend();
    expect(emptied).toEqual([]);
    nextDay();
    await here.tend();
    expect(emptied).toEqual([new Date(wall)]);
    await here.tend();
    expect(emptied).toHaveLength(1);
  });

  it('keeps what a wrong clock made, and goes on by the right one', async () => {
    mkdirSync(join(folder, 'backups'));
    writeFileSync(join(folder, 'backups', 'kitchen-2027-01-01.ygrana'), '');
    const here = keeper();
    await here.tend();
    expect(readdirSync(join(folder, 'backups'))).toHaveLength(2);
  });
});
