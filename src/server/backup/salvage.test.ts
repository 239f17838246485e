import { closeSync, openSync, writeSync } from 'node:fs';
import { join } from 'node:path';
import { sql } from 'drizzle-orm';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import type { ShelfAnswer } from '#contract';
import { found } from '../db/client';
import {
  Client,
  dropFolder,
  migrationsFolder,
  openKitchen,
  openTables,
  sampleFormula,
  tempFolder,
} from '../testing/kitchen';
import { restoreFromFile, salvageToFile, saveToFile } from './commandLine';

const folders: string[] = [];
let folder = '';
beforeEach(() => {
  folder = tempFolder();
  folders.push(folder);
});
afterEach(() => {
  folders.splice(0).forEach(dropFolder);
});
const at = (dataFolder: string) => ({
  dataFolder,
  migrationsFolder,
  now: () => new Date('2026-11-26T12:00:00Z'),
});

/** A closed kitchen of so many formulas; where the table's pages lie. */
async function kitchenOf(count: number): Promise<string> {
  const kitchen = await openKitchen(folder);
  const client = new Client(kitchen.address, null);
  for (let n = 0; n < count; n++)
    await client.post('formulas', { id: `f-${n}`, formula: sampleFormula(`Number ${n}`) });
  await kitchen.stop();
  const { db, close } = await openTables(folder);
  const [row] = await found<{ path: string }>(db, sql`select pg_relation_filepath('formulas') as path`);
  await db.execute(sql`checkpoint`);
  await close();
  return join(folder, 'db', row!.path);
}

/** Writes over a page, as a bad sector would. */
function damagePage(file: string, page: number): void {
  const descriptor = openSync(file, 'r+');
  writeSync(descriptor, Buffer.alloc(8192, 0xa5), 0, 8192, page * 8192);
  closeSync(descriptor);
}

describe('salvage', () => {
  it('reads around a damaged page, names it, and what it saves opens as a kitchen', async () => {
    damagePage(await kitchenOf(60), 1);
    // An ordinary backup says that it cannot.
    await expect(saveToFile(join(folder, 'plain.ygrana'), at(folder))).rejects.toThrow(/page/);
    const file = join(folder, 'salvaged.ygrana');
    const said = await salvageToFile(file, at(folder));
    expect(said).toMatch(/What could not be read:\n- formulas, page 1: .*page/);
    const fresh = tempFolder();
    folders.push(fresh);
    expect(await restoreFromFile(file, at(fresh))).toMatch(/[3-5]\d formulas/);
    const kitchen = await openKitchen(fresh);
    const body = (await new Client(kitchen.address).get<ShelfAnswer>('formulas?limit=100')).body.records;
    await kitchen.stop();
    expect(body.length).toBeGreaterThan(25);
    expect(body.length).toBeLessThan(60);
    expect(new Set(body.map(({ formula }) => formula.name)).size).toBe(body.length);
  });

  it('saves all of a kitchen that is whole, and says so', async () => {
    await kitchenOf(3);
    const file = join(folder, 'salvaged.ygrana');
    expect(await salvageToFile(file, at(folder))).toContain('Everything could be read');
  });

  it('is refused while the kitchen is open', async () => {
    const kitchen = await openKitchen(folder);
    await expect(salvageToFile(join(folder, 'x.ygrana'), at(folder))).rejects.toThrow('Close it first');
    await kitchen.stop();
  });
});
