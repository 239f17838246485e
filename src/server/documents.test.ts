import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { Ajv2020 } from 'ajv/dist/2020';
import fc from 'fast-check';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { documentJsonSchema, type ImportReport, type KitchenDocument, type VersionRecord } from '#contract';
import { anyEntry } from '../contract/testing/anyKitchen';
import type { RunningKitchen } from './start';
import { Client, dropFolder, openKitchen, sampleFormula, tempFolder, type Refused } from './testing/kitchen';

const folders = [tempFolder(), tempFolder()];
let demo: RunningKitchen;
let empty: RunningKitchen;
let [from, to] = [] as unknown as [Client, Client];
const now = (): Date => new Date('2026-11-26T12:00:00.000Z');

/** Ours: a vinegar from the orchard, as its label would have it. */
const LAKE = {
  id: 'lake_vinegar',
  name: 'Lake vinegar',
  aliases: [],
  category: 'vinegar',
  spoonDensityGPerMl: 1.01,
  gPer100G: { water: 94, acetic: 5 },
  typicalPh: 2.6,
  energyKcalPer100G: 15,
  unitWeightsG: {},
  edibleYieldFraction: 1,
  allergensEu14: [],
  allergensUs9: [],
  allergensMayBeIn: [],
  emulsifierClass: 'none',
  emulsifierNote: '',
  hazards: [],
  strength: '',
  shelfNote: '',
  proteinBufferMmolPerPhPerG: 0.5,
  pungencyIndex: {},
  bodyIndex: 0,
  tag: 'estimate',
  source: 'its label',
};

beforeAll(async () => {
  demo = await openKitchen(folders[0]!, { demo: true, now });
  empty = await openKitchen(folders[1]!, { now });
  [from, to] = [new Client(demo.address), new Client(empty.address)];
  expect((await from.put('ingredients/lake_vinegar', LAKE)).status).toBe(200);
});
afterAll(async () => {
  await demo.stop();
  await empty.stop();
  folders.forEach(dropFolder);
});

let run = 0;
describe('a document of formulas', () => {
  it('keeps to its published schema, as a validator sees it', async () => {
    const published = JSON.parse(
      readFileSync(join(import.meta.dirname, '../../docs/document.schema.json'), 'utf8'),
    ) as object;
    expect(published).toEqual(documentJsonSchema());
    const { body } = await from.get<KitchenDocument>('document');
    const validate = new Ajv2020({ strict: false, validateFormats: false }).compile(published);
    expect(validate(body), JSON.stringify(validate.errors?.slice(0, 2))).toBe(true);
    expect(validate({ ...body, formulas: [{ ...body.formulas[0], shelf: 'cellar' }] })).toBe(false);
    expect((await from.get('document/schema')).status).toBe(200);
  });

  it('goes into another kitchen and comes out the same, versions and all', async () => {
    const { body } = await from.get<KitchenDocument>('document');
    expect(body.formulas).toHaveLength(10);
    expect(body.ingredients.map(({ id }) => id as string)).toEqual(['lake_vinegar']);
    const report = await to.post<ImportReport>('document', body);
    expect(report.status).toBe(201);
    expect(report.body).toMatchObject({ same: [], beside: [], ingredientsAdded: 1, ingredientsKept: [] });
    const out = (await to.get<KitchenDocument>('document')).body;
    expect(out).toEqual(body);
    // Brought in twice it is there once.
    const again = await to.post<ImportReport>('document', body);
    expect(again.body).toMatchObject({ added: [], beside: [] });
    expect(again.body.same).toHaveLength(10);
    expect((await to.get<KitchenDocument>('document')).body.formulas).toHaveLength(10);
    const versions = (await to.get<VersionRecord[]>('formulas/walnut-cider/versions')).body;
    expect(versions.map(({ number, parent }) => [number, parent])).toEqual([
      [4, 2],
      [3, 1],
      [2, 1],
      [1, null],
    ]);
  });

  it('stands beside what already has its name, and never over it', async () => {
    const { body } = await from.get<KitchenDocument>('document?formula=plum-thyme');
    expect(body.formulas.map(({ id }) => id as string)).toEqual(['plum-thyme']);
    const changed = {
      ...body,
      formulas: body.formulas.map((entry) => ({
        ...entry,
        formula: { ...entry.formula, name: 'Plum, sharper' },
      })),
    };
    const report = (await to.post<ImportReport>('document', changed)).body;
    expect([report.added, report.beside]).toEqual([[], ['Plum, sharper']]);
    const names = (await to.get<KitchenDocument>('document')).body.formulas.map(
      ({ formula }) => formula.name,
    );
    expect(names).toContain('Plum & thyme');
    expect(names).toContain('Plum, sharper');
    const other = { ...(await from.get<KitchenDocument>('document')).body, formulas: [] };
    const own = {
      ...other,
      ingredients: other.ingredients.map((row) => ({ ...row, name: 'Lake vinegar, aged' })),
    };
    expect((await to.post<ImportReport>('document', own)).body.ingredientsKept).toEqual([
      'Lake vinegar, aged',
    ]);
  });

  it('comes out as it went in, whatever kitchen it is of', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.uniqueArray(anyEntry, { selector: ({ id }) => id, maxLength: 4 }),
        async (entries) => {
          const formulas = entries.map((entry) => ({ ...entry, id: `any-${run++}-${entry.id}` }));
          const document = { ygranaDocument: 1, madeAt: now().toISOString(), formulas, ingredients: [] };
          const { status, body } = await to.post<ImportReport>('document', document);
          expect([status, body.added]).toEqual([201, entries.map(({ formula }) => formula.name)]);
          for (const entry of formulas) {
            const out = (await to.get<KitchenDocument>(`document?formula=${entry.id}`)).body;
            expect(out.formulas).toEqual([entry]);
          }
          expect((await to.post<ImportReport>('document', document)).body.same).toHaveLength(entries.length);
        },
      ),
      { numRuns: 25 },
    );
  });

  it('of the first form is brought up to date; a newer, a foreign and a broken one are refused', async () => {
    const {
      styleId: _s,
      targetRatio: _r,
      tool: _t,
      mixSeconds: _m,
      basedOnVersion: _b,
      ...young
    } = sampleFormula('First form');
    const at = '2026-01-05T09:00:00.000Z';
    const additions = young.additions.map(({ locked: _l, measuredBy: _o, ...addition }) => addition);
    const formula = { ...young, additions };
    const first = {
      ygranaDocument: 0,
      madeAt: at,
      formulas: [
        { id: 'first', createdAt: at, formula, versions: [{ number: 1, note: '', formula, createdAt: at }] },
      ],
    };
    expect((await to.post<ImportReport>('document', first)).body.added).toEqual(['First form']);
    for (const [document, says] of [
      [{ ygranaDocument: 9, formulas: [] }, 'newer Ygrana'],
      [{ recipes: [] }, 'no Ygrana document'],
      [[], 'no Ygrana document'],
      [{ ...first, ygranaDocument: 1 }, 'not understood at formulas.0'],
    ] as const) {
      const { status, body } = await to.post<Refused['body']>('document', document);
      expect([status, body.error.message]).toEqual([400, expect.stringContaining(says)]);
    }
    expect((await to.get('document?formula=nobody')).status).toBe(404);
  });
});
