import { cpSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { sql } from 'drizzle-orm';
import { expect, it } from 'vitest';
import { DEFAULT_SETTINGS, formulaSchema, settingsSchema } from '#contract';
import { FormulaStore } from '../features/formulas/store';
import { KitchenStore } from '../features/kitchen/store';
import { dropFolder, formulaId, migrationsFolder, tempFolder, openTables } from '../testing/kitchen';

/** The migrations up to and including number `last`, as a kitchen of that time had them. */
function migrationsUpTo(last: number, folder: string): string {
  const target = join(folder, `migrations-${last}`);
  mkdirSync(target, { recursive: true });
  cpSync(migrationsFolder, target, { recursive: true });
  const journalFile = join(target, 'meta/_journal.json');
  const journal = JSON.parse(readFileSync(journalFile, 'utf8')) as { entries: { idx: number }[] };
  writeFileSync(
    journalFile,
    JSON.stringify({ ...journal, entries: journal.entries.filter(({ idx }) => idx <= last) }),
  );
  return target;
}

it('brings a kitchen of the first day up to date: every field is there, versions know their parents', async () => {
  const folder = tempFolder();
  try {
    const first = await openTables(folder, migrationsUpTo(0, folder));
    const addition = {
      id: 'one',
      amountText: '30 ml',
      ingredientId: 'vin_cider5',
      ingredientText: 'cider vinegar',
      form: '',
      note: '',
      phase: 'base',
      optional: false,
      rank: 0,
    };
    const content = JSON.stringify({
      name: 'Old',
      vesselId: 'swing_top_500',
      spoons: 'metric',
      partVolumeMl: 30,
      servingVolumeMl: 30,
      countsOptional: true,
      additions: [addition],
    });
    const at = '2026-01-05T09:00:00Z';
    await first.db.execute(sql`insert into formulas values ('old', 3, ${content}::jsonb, ${at}, ${at})`);
    for (const number of [1, 2]) {
      await first.db.execute(
        sql`insert into versions values ('old', ${number}, ${content}::jsonb, '', ${at})`,
      );
    }
    // Settings as a kitchen of that day had them: what came later is filled in.
    const { learning: _l, provenAfter: _p, batch: _b, currency: _c, ...young } = DEFAULT_SETTINGS;
    const { ladle: _ladle, ...volumes } = young.smallMeasures.volumeMl;
    const settings = JSON.stringify({
      ...young,
      kitchenName: 'Old house',
      smallMeasures: { ...young.smallMeasures, volumeMl: volumes },
    });
    await first.db.execute(sql`insert into settings values ('kitchen', ${settings}::jsonb, ${at})`);
    await first.close();

    const now = await openTables(folder);
    const store = new FormulaStore(now.db, () => new Date(at));
    const record = (await store.get(formulaId('old')))!;
    expect(formulaSchema.safeParse(record.formula).error?.issues ?? []).toEqual([]);
    expect(record).toMatchObject({ shelf: 'shelf', latestNumber: 2, baseVersion: { number: 2, parent: 1 } });
    expect(record.formula.additions[0]).toEqual({ ...addition, locked: false, measuredBy: null });
    const versions = await store.versions(formulaId('old'));
    const kitchen = await new KitchenStore(now.db, () => new Date(at)).settings();
    expect(settingsSchema.safeParse(kitchen).error?.issues ?? []).toEqual([]);
    expect(kitchen).toMatchObject({ kitchenName: 'Old house', batch: DEFAULT_SETTINGS.batch });
    for (const { formula } of versions) expect(formulaSchema.safeParse(formula).success).toBe(true);
    await now.close();
  } finally {
    dropFolder(folder);
  }
});
