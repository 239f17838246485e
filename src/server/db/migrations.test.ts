import { cpSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { sql } from 'drizzle-orm';
import { expect, it } from 'vitest';
import { batchRecordSchema, DEFAULT_SETTINGS, formulaSchema, settingsSchema } from '#contract';
import type { DoStep } from '#core/trial';
import { stepSaid } from '#kitchen/repair';
import { saySafetyOfTheDay } from '#words/safety';
import { sayDeed } from '#words/trial';
import { BatchStore } from '../features/batches/store';
import { found } from './client';
import { FormulaStore } from '../features/formulas/store';
import { KitchenStore } from '../features/kitchen/store';
import { ServiceStore } from '../features/service/store';
import { TrialStore } from '../features/trials/store';
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
    expect(record.formula.additions[0]).toEqual({ ...addition, locked: false, measuredBy: null, stage: 0 });
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

const LUNCH = { id: 's1', name: 'Lunch', at: 720, covers: 40, dishes: [] };

it('reads jars and batches of the release before shapes were written as they were, and says the same of them', async () => {
  const folder = tempFolder();
  const at = '2026-11-26T09:00:00.000Z';
  const by = { deviceId: 'old', cookId: null };
  const plan = {
    target: '2 l',
    scaleFactor: 20,
    madeMl: 2040,
    yieldMl: 2000,
    massG: 1980,
    portions: 60,
    portionMl: 30,
    school: 'by-weight',
    rounding: 'scale',
    readabilityG: 1,
    tool: 'stick-pro',
    mixingVesselId: 'tub_5000',
    storage: null,
    styleId: null,
    lines: [
      {
        ingredientId: 'vin_cider5',
        name: 'Cider vinegar 5 %',
        form: '',
        exactG: 500,
        plannedG: 500,
        asideG: 0,
        aside: 'no',
      },
    ],
    toTaste: [],
    drift: [],
    keeping: { days: 4, because: 'garlic, herbs or vegetables under oil', cold: true },
    allergens: ['mustard', 'perhaps celery'],
    cautions: ['Garlic under oil: cold, and within 4 days, cooked or raw.'],
    onLabel: ['Garlic under oil: never uncooled'],
    notAfter: null,
    cost: null,
    versionState: 'proven',
  };
  const making = {
    scaleFactor: 20,
    plannedVolumeMl: 2040,
    tool: 'stick-pro',
    seconds: 60,
    roomC: null,
    bottles: {},
    steps: [
      { kind: 'do', id: 'do-steep', deed: 'steep', seconds: 600, said: 'Leave the shallot in the acid' },
      {
        kind: 'weigh',
        id: 'oil.2',
        line: { ingredientId: 'olive_ev', form: '', massG: 700 },
        said: 'pour 2 of 2',
        paced: true,
      },
    ],
  };
  const planned = {
    kind: 'planned',
    reason: 'left-out',
    targets: [],
    steps: [],
    before: null,
    note: 'fill the vessel',
  };
  try {
    const before = await openTables(folder, migrationsUpTo(14, folder));
    const json = (value: unknown) => sql`${JSON.stringify(value)}::jsonb`;
    await before.db.execute(
      sql`insert into batches (id, formula_id, version, day, place, plan, by, created_at)
          values ('b1', 'f1', 3, '2026-11-26', 1, ${json(plan)}, ${json(by)}, ${at})`,
    );
    await before.db.execute(
      sql`insert into trials (id, formula_id, version, vessel_id, lines, making, batch, by, created_at)
          values ('b1-1', 'f1', 3, 'tub_5000', '[]'::jsonb, ${json(making)},
                  ${json({ batchId: 'b1', role: 'load', load: 1, of: 1 })}, ${json(by)}, ${at})`,
    );
    await before.db.execute(
      sql`insert into trial_events (id, trial_id, event, by, created_at)
          values ('e1', 'b1-1', ${json(planned)}, ${json(by)}, ${at})`,
    );
    const day = {
      cooks: 2,
      from: 420,
      services: [LUNCH],
      jobs: [],
      begun: {},
      done: {},
      moved: { 's1.d1.mix': 690 },
    };
    await before.db.execute(
      sql`insert into plans (day, revision, content, updated_at) values ('2026-11-28', 3, ${json(day)}, ${at})`,
    );
    await before.close();

    const now = await openTables(folder);
    const service = new ServiceStore(now.db, () => new Date(at));
    const { at: atMin, ...lunch } = LUNCH;
    expect(await service.plan('2026-11-28')).toMatchObject({
      revision: 3,
      content: { fromMin: 420, movedMin: day.moved, services: [{ ...lunch, atMin }] },
    });
    const store = new BatchStore(now.db, () => new Date(at), new TrialStore(now.db, () => new Date(at)));
    const record = (await store.get('b1'))!;
    expect(batchRecordSchema.safeParse(record).error?.issues ?? []).toEqual([]);
    const { keeping, allergens, cautions, onLabel, ...same } = plan;
    expect(record.plan).toMatchObject({ ...same, keeping: { days: 4, cold: true } });
    expect(saySafetyOfTheDay(record.plan.safety)).toMatchObject({
      because: keeping.because,
      allergens,
      cautions,
      onLabel,
    });
    expect(record.loads[0]).toMatchObject({ making, events: [{ event: planned }] });
    const words = { nameOf: String, amount: String };
    const [steep, oil] = record.loads[0]!.making!.steps;
    expect(sayDeed(steep as DoStep, 'stick-pro', words)).toBe('Leave the shallot in the acid');
    expect(stepSaid(oil!, words)).toBe('pour 2 of 2');
    // What lies there is not rewritten: it says which shape it has.
    const rows = await found<{ shape: number }>(now.db, sql`select shape from batches`);
    expect(rows).toEqual([{ shape: 1 }]);
    await now.close();
  } finally {
    dropFolder(folder);
  }
});
