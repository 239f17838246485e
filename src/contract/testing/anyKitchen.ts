/** Any kitchen, for properties: whatever the schemas let in, with names and notes that a spreadsheet would trip over. */
import fc from 'fast-check';
import type { KitchenDocument, PantryEntry, TrialRecord } from '../index';
import {
  PHASES,
  type Addition,
  type AdditionId,
  type Formula,
  type FormulaId,
  type VesselId,
} from '#core/formula';
import { STARTING_VESSELS } from '#core/vessel';
import type { IngredientId } from '#core/ingredient';

/** Begins like a formula of a spreadsheet, holds quotes, separators and line ends, or is any text at all. */
export const anyWords = (most: number): fc.Arbitrary<string> =>
  fc
    .oneof(
      fc.string({ unit: 'grapheme', maxLength: Math.min(most, 24) }),
      fc.constantFrom(
        '=1+1',
        '+1',
        "'=x",
        '@SUM(A1)',
        '-2',
        '\t',
        'a,b;c',
        '"quoted"',
        'two\nlines',
        'two\r\nlines',
        '½ cup',
      ),
    )
    .map((text) => text.slice(0, most).replaceAll('\u0000', ''));
const anyName = anyWords(60).map((text) => text.trim() || 'Nameless');
const anyId = fc.stringMatching(/^[a-z0-9]{6,12}$/);
const anyMoment = fc
  .integer({ min: Date.UTC(2020, 0, 1), max: Date.UTC(2026, 10, 1) })
  .map((ms) => new Date(ms).toISOString());
const anyIngredient = fc.constantFrom(
  'rapeseed',
  'vin_cider5',
  'honey',
  'salt_table',
) as fc.Arbitrary<IngredientId>;

const anyAddition = (index: number): fc.Arbitrary<Addition> =>
  fc.record({
    id: fc.constant(`a${index}` as AdditionId),
    amountText: fc.constantFrom('30 ml', '1 tsp', '⅓ cup', 'a pinch', '', '=3', '12,5 g'),
    ingredientId: fc.option(anyIngredient, { nil: null }),
    ingredientText: anyWords(60),
    form: anyWords(40),
    note: anyWords(200),
    phase: fc.constantFrom(...PHASES),
    optional: fc.boolean(),
    locked: fc.boolean(),
    measuredBy: fc.option(anyId, { nil: null }),
    stage: fc.integer({ min: 0, max: 3 }),
    rank: fc.integer({ min: 0, max: 99 }),
  });

export const anyFormula: fc.Arbitrary<Formula> = fc.record({
  name: anyName,
  vesselId: fc.constantFrom(...STARTING_VESSELS.map(({ id }) => id)) as fc.Arbitrary<VesselId>,
  spoons: fc.constantFrom('us', 'metric', 'imperial', 'au'),
  partVolumeMl: fc.integer({ min: 1, max: 5000 }),
  servingVolumeMl: fc.integer({ min: 1, max: 1000 }),
  countsOptional: fc.boolean(),
  styleId: fc.option(anyId, { nil: null }),
  targetRatio: fc.option(fc.double({ min: 0.05, max: 50, noNaN: true }), { nil: null }),
  tool: fc.option(fc.constantFrom('shake', 'whisk', 'blender'), { nil: null }),
  mixSeconds: fc.option(fc.integer({ min: 1, max: 3600 }), { nil: null }),
  stageNames: fc.constantFrom('', 'Base\n+ pesto', 'Base\n+ herbs\n+ cream'),
  basedOnVersion: fc.constant(null),
  additions: fc
    .integer({ min: 0, max: 5 })
    .chain((count) => fc.tuple(...Array.from({ length: count }, (_, i) => anyAddition(i)))),
}) as fc.Arbitrary<Formula>;

type Entry = KitchenDocument['formulas'][number];
/** A formula with up to three versions, grown from each other. */
export const anyEntry: fc.Arbitrary<Entry> = fc
  .record({
    id: anyId as unknown as fc.Arbitrary<FormulaId>,
    shelf: fc.constantFrom('shelf', 'archive', 'bin'),
    createdAt: anyMoment,
    formula: anyFormula,
    frozen: fc.array(fc.tuple(anyFormula, anyWords(100), anyMoment), { maxLength: 3 }),
  })
  .map(({ frozen, formula, ...entry }): Entry => ({
    ...entry,
    formula: { ...formula, basedOnVersion: frozen.length > 0 ? frozen.length : null },
    versions: frozen.map(([content, note, createdAt], i) => ({
      number: i + 1,
      parent: i === 0 ? null : i,
      note,
      createdAt,
      formula: { ...content, basedOnVersion: i === 0 ? null : i },
      by: { cookId: null, deviceId: 'any' },
    })),
  }));

const by = { cookId: 'ida', deviceId: 'any' };
const anyEvent = fc.oneof(
  fc.record({
    kind: fc.constant('added' as const),
    lines: fc.constant([{ ingredientId: 'honey' as IngredientId, form: '', massG: 3.5 }]),
    note: anyWords(200),
  }),
  fc.record({ kind: fc.constant('shook' as const), seconds: fc.integer({ min: 0, max: 100 }) }),
  fc.constant({ kind: 'split' as const }),
);
/** Jars with what happened to them, ids of their own. */
export const anyJars: fc.Arbitrary<readonly TrialRecord[]> = fc
  .array(
    fc.record({
      seed: anyId,
      formulaId: anyId as unknown as fc.Arbitrary<FormulaId>,
      at: anyMoment,
      form: anyWords(60),
      events: fc.array(fc.tuple(anyEvent, anyMoment), { maxLength: 5 }),
    }),
    { maxLength: 5 },
  )
  .map((jars) =>
    jars.map(({ seed, formulaId, at, form, events }, n): TrialRecord => ({
      id: `jar${n}${seed}`,
      formulaId,
      version: 1,
      styleId: null,
      making: null,
      batch: null,
      by,
      at,
      vesselId: 'swing_top_500' as VesselId,
      lines: [{ ingredientId: 'rapeseed' as IngredientId, form, massG: 82.5 }],
      events: events.map(([event, when], i) => ({ id: `e${n}${i}${seed}`, event, by, at: when })),
    })),
  );

const anyAmount = fc.option(fc.double({ min: 0, max: 99_999, noNaN: true }), { nil: null });
const anyDay = anyMoment.map((at) => at.slice(0, 10));
export const anyPantryEntry: fc.Arbitrary<PantryEntry> = fc.record({
  onHandG: anyAmount,
  price: anyAmount,
  packMassG: fc.option(fc.double({ min: 0.1, max: 99_999, noNaN: true }), { nil: null }),
  bottle: fc.record({
    label: anyWords(80),
    acidityGPer100Ml: fc.option(fc.double({ min: 4, max: 9, noNaN: true }), { nil: null }),
    ph: fc.option(fc.double({ min: 0, max: 14, noNaN: true }), { nil: null }),
    openedOn: fc.option(anyDay, { nil: null }),
    useBy: fc.option(anyDay, { nil: null }),
    thickness: fc.constantFrom(
      null,
      { kind: 'plate', seconds: 12 } as const,
      { kind: 'plate', seconds: null } as const,
      { kind: 'spoon', line: 'stays' } as const,
    ),
  }),
});
