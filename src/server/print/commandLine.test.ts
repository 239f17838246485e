/** A batch on paper with no browser: from a kitchen that is closed, and by one that is open. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { BatchRecord } from '#contract';
import { migrationsFolder, dropFolder, openKitchen, tempFolder, Client } from '../testing/kitchen';
import { isPaper, printToFile } from './commandLine';

const folder = tempFolder();
const options = { dataFolder: folder, migrationsFolder, now: () => new Date('2026-11-27T08:00:00Z') };
let id = '';

beforeAll(async () => {
  const kitchen = await openKitchen(folder, { demo: true });
  id = (await new Client(kitchen.address).get<BatchRecord[]>('batches')).body[0]!.id;
  await kitchen.stop();
});
afterAll(() => {
  dropFolder(folder);
});

const isPdf = (file: string): boolean => readFileSync(file).subarray(0, 5).toString() === '%PDF-';

describe('paper from the command line', () => {
  it('comes out of the folder itself', async () => {
    for (const kind of ['sheet', 'labels', 'pull-list'] as const) {
      const file = join(folder, `${kind}.pdf`);
      expect(await printToFile(kind, id, file, options)).toContain(file);
      expect(isPdf(file)).toBe(true);
    }
    await expect(printToFile('sheet', 'nobody', join(folder, 'x.pdf'), options)).rejects.toThrow(/no batch/);
    expect(isPaper('poster')).toBe(false);
  });

  it('comes from the kitchen that has the folder open', async () => {
    const kitchen = await openKitchen(folder);
    try {
      const file = join(folder, 'open.pdf');
      await printToFile('labels', id, file, options);
      expect(isPdf(file)).toBe(true);
      await expect(printToFile('sheet', 'nobody', file, options)).rejects.toThrow(/no such batch/);
    } finally {
      await kitchen.stop();
    }
  });
});
