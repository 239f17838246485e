import { isDeepStrictEqual } from 'node:util';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { EMPTY_PANTRY_ENTRY, readDocument, type BatchRecord, type TrialRecord } from '#contract';
import { measuringWith, REFERENCE_CATALOGUE, type IngredientId } from '#core/ingredient';
import { fromCsv, toCsv } from '#core/interchange';
import { reckonFormula } from '#core/reckoning';
import { STARTING_VESSELS } from '#core/vessel';
import { anyEntry, anyJars, anyPantryEntry } from '../../../contract/testing/anyKitchen';
import { sourceOf } from '#kitchen/tables';
import { changedEntries, readTable } from '#kitchen/tables';
import {
  BATCH_HEADER,
  batchRows,
  FORMULA_HEADER,
  formulaRows,
  INGREDIENT_HEADER,
  ingredientRows,
  LOG_HEADER,
  logRows,
} from '#kitchen/tables';

const formulaTable = (entries: readonly Parameters<typeof formulaRows>[0][]): string =>
  toCsv([
    FORMULA_HEADER,
    ...entries.flatMap((entry) => {
      const { formula } = entry;
      const vessel = STARTING_VESSELS.find(({ id }) => id === formula.vesselId)!;
      const context = {
        catalogue: REFERENCE_CATALOGUE,
        decimalSign: 'point',
        measuring: measuringWith('metric'),
      };
      return formulaRows(
        entry,
        reckonFormula(formula, vessel, context as Parameters<typeof reckonFormula>[2]),
      );
    }),
  ]);
const logTable = (jars: readonly TrialRecord[]): string =>
  toCsv([
    LOG_HEADER,
    ...logRows(
      jars,
      () => 'Ida',
      () => '=House',
    ),
  ]);

describe('tables of the kitchen come back whole', () => {
  it('formulas with all their versions, whatever is written in them', () => {
    const distinct = fc.uniqueArray(anyEntry, { selector: ({ id }) => id, minLength: 1, maxLength: 4 });
    fc.assert(
      fc.property(distinct, (entries) => {
        const source = sourceOf(formulaTable(entries));
        expect(source.kind).toBe('document');
        const document = readDocument((source as { value: unknown }).value);
        expect(document.status === 'read' && document.document.formulas).toEqual(entries);
      }),
      { numRuns: 60 },
    );
  });

  it('the log, jar by jar, event by event', () => {
    fc.assert(
      fc.property(anyJars, (jars) => {
        const reading = readTable(logTable(jars));
        expect(reading).toEqual({ kind: 'records', jars, batches: [] });
      }),
      { numRuns: 60 },
    );
  });

  it('stock, prices and bottles; what was not changed is not written again', () => {
    const ids = [...REFERENCE_CATALOGUE.keys()].slice(0, 6);
    fc.assert(
      fc.property(fc.array(anyPantryEntry, { maxLength: 6 }), (all) => {
        const pantry = Object.fromEntries(all.map((entry, i) => [ids[i]!, entry]));
        const reading = readTable(
          toCsv([INGREDIENT_HEADER, ...ingredientRows(REFERENCE_CATALOGUE, pantry, [])]),
        );
        if (reading?.kind !== 'stock') throw new Error(JSON.stringify(reading));
        for (const [i, entry] of all.entries()) expect(reading.entries.get(ids[i]!)).toEqual(entry);
        expect(changedEntries(reading.entries, pantry)).toEqual([]);
        expect(changedEntries(reading.entries, {}).map(([id]) => id)).toEqual(
          ids.filter(
            (id) =>
              !isDeepStrictEqual(
                { ...(pantry[id] ?? EMPTY_PANTRY_ENTRY) },
                {
                  ...EMPTY_PANTRY_ENTRY,
                  bottle: {
                    ...EMPTY_PANTRY_ENTRY.bottle,
                    ...(id in pantry ? { thickness: null } : {}),
                  },
                },
              ),
          ),
        );
      }),
      { numRuns: 60 },
    );
  });

  it('a stock table from before thickness was kept leaves it as it is', () => {
    const id = 'yoghurt_whole' as IngredientId;
    const bottle = { ...EMPTY_PANTRY_ENTRY.bottle, thickness: { kind: 'plate', seconds: 12 } as const };
    const pantry = { [id]: { ...EMPTY_PANTRY_ENTRY, bottle } };
    const at = INGREDIENT_HEADER.indexOf('thickness');
    const without = [INGREDIENT_HEADER, ...ingredientRows(REFERENCE_CATALOGUE, pantry, [])].map((row) =>
      row.filter((_, i) => i !== at),
    );
    const reading = readTable(toCsv(without));
    if (reading?.kind !== 'stock') throw new Error(JSON.stringify(reading));
    expect(changedEntries(reading.entries, pantry)).toEqual([]);
  });

  it('batches with loads whose records are longer than a cell', () => {
    const [jar] = fc.sample(
      anyJars.filter(({ length }) => length > 0),
      { numRuns: 1, seed: 7 },
    )[0]!;
    const note = '=SUM(A1:A9) "and" ½, '.repeat(40);
    const events = Array.from({ length: 120 }, (_, i) => ({
      id: `n${i}`,
      by: jar!.by,
      at: jar!.at,
      event: { kind: 'noted' as const, note: `${i} ${note}`.slice(0, 999).trim() },
    }));
    const line = {
      name: 'Cider vinegar',
      form: '',
      exactG: 10,
      plannedG: 10,
      asideG: 0,
      aside: 'no' as const,
    };
    const batch: BatchRecord = {
      id: 'b1',
      number: '20261126-01',
      formulaId: jar!.formulaId,
      formulaName: '+1',
      base: null,
      version: 1,
      day: '2026-11-26',
      by: jar!.by,
      at: jar!.at,
      state: 'planned',
      whole: null,
      events,
      loads: [{ ...jar!, batch: { batchId: 'b1', role: 'load', load: 1, of: 1 } }],
      plan: {
        target: '1 l',
        scaleFactor: 1,
        madeMl: 1000,
        yieldMl: 980,
        massG: 990,
        portions: 30,
        portionMl: 30,
        school: 'hold-back',
        rounding: 'mixed',
        readabilityG: 1,
        tool: 'blender',
        storage: null,
        styleId: null,
        mixingVesselId: jar!.vesselId,
        toTaste: [],
        drift: [],
        safety: { kind: 'said', because: '', allergens: [], cautions: [], onLabel: null },
        cost: null,
        lines: [{ ingredientId: 'vin_cider5' as IngredientId, ...line }],
        keeping: { days: 4, cold: true },
        versionState: 'proven',
      },
    };
    const table = toCsv([BATCH_HEADER, ...batchRows([batch])]);
    const rows = fromCsv(table);
    if (rows.status !== 'read') throw new Error(rows.message);
    expect(rows.rows.length).toBeGreaterThan(3);
    for (const row of rows.rows) for (const cell of row) expect(cell.length).toBeLessThanOrEqual(32_767);
    expect(readTable(table)).toEqual({ kind: 'records', jars: [], batches: [batch] });
  });
});

describe('a table that was changed', () => {
  const entry = {
    ...fc.sample(
      anyEntry.filter(({ formula }) => formula.additions.length > 2),
      { numRuns: 1, seed: 3 },
    )[0]!,
  };
  const table = formulaTable([{ ...entry, formula: { ...entry.formula, name: 'House' } }]);

  it('in its amounts is read as words, for a draft', () => {
    const rows = fromCsv(table);
    if (rows.status !== 'read') throw new Error(rows.message);
    const [header, first, ...rest] = rows.rows;
    const changed = [...first!];
    changed[2] = '45 ml';
    const reading = readTable(toCsv([header!, changed, ...rest]));
    expect(reading?.kind).toBe('text');
    expect((reading as { text: string }).text).toContain('House\nIngredients:\n45 ml');
  });

  it.each([
    ['id,name\nhoney,Honey', 'has no column category'],
    [
      toCsv([
        INGREDIENT_HEADER,
        ['honey', 'Honey', 'x', '1', 'lots', ...Array.from({ length: 11 }, () => '')],
      ]),
      'Honey: onHandG “lots” is no number',
    ],
    [
      toCsv([INGREDIENT_HEADER, ['honey', 'Honey', 'x', '1', '-5', ...Array.from({ length: 11 }, () => '')]]),
      'Honey: onHandG not below nothing',
    ],
    [toCsv([LOG_HEADER, ['', '', '', 'j1', '', 'begun', '{"id": "j1"']]), 'record is cut off'],
    [toCsv([LOG_HEADER, ['', '', '', 'j1', '', 'begun', '{}']]), 'Jar j1: id'],
    [toCsv([LOG_HEADER, ['', '', '', 'j1', '', 'split', '{"id"']]), 'an event is cut off'],
    [toCsv([BATCH_HEADER, ['20261126-01', ...Array.from({ length: 13 }, () => '')]]), 'record is cut off'],
  ])('to nonsense is refused, and says where: %#', (text, says) => {
    const reading = readTable(text);
    expect(reading?.kind).toBe('unread');
    expect((reading as { says: string }).says).toContain(says);
  });

  it('is no table of ours without our header', () => {
    expect(readTable('90 ml rapeseed oil\n30 ml cider vinegar')).toBeNull();
    expect(readTable('name,amount\nx,y')).toBeNull();
  });
});
