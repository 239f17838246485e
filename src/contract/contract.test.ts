import { describe, expect, it } from 'vitest';
import { emptyFormula, type VesselId } from '#core/formula';
import { STYLES } from '#core/palate';
import { madeId, REFERENCE_INGREDIENTS } from '#core/ingredient';
import { STARTING_VESSELS } from '#core/vessel';
import {
  changeRequestSchema,
  cookSchema,
  DEFAULT_SETTINGS,
  EMPTY_PANTRY_ENTRY,
  ERROR_STATUS,
  formulaSchema,
  formulateSchema,
  newFormulaSchema,
  pantryEntrySchema,
  settingsSchema,
  styleSchema,
  vesselSchema,
} from './index';

const formula = emptyFormula('House', 'jar' as VesselId, 'metric');
const addition = {
  id: 'one',
  amountText: '30 ml',
  ingredientId: null,
  ingredientText: 'vinegar',
  form: '',
  note: '',
  phase: 'base',
  optional: false,
  locked: false,
  measuredBy: null,
  stage: 0,
  rank: 0,
};

describe('what may cross the boundary', () => {
  it('starting values pass their own schemas', () => {
    expect(settingsSchema.safeParse(DEFAULT_SETTINGS).success).toBe(true);
    expect(pantryEntrySchema.safeParse(EMPTY_PANTRY_ENTRY).success).toBe(true);
    for (const vessel of STARTING_VESSELS) expect(vesselSchema.safeParse(vessel).success).toBe(true);
    for (const { id, name, says, windows } of STYLES) {
      expect(styleSchema.safeParse({ id, name, says, windows }).error?.issues ?? []).toEqual([]);
    }
    expect(formulaSchema.safeParse(formula).success).toBe(true);
    expect(REFERENCE_INGREDIENTS.length).toBeGreaterThan(150);
  });

  it.each([
    ['a field too many', { ...formula, luck: 1 }],
    ['no name', { ...formula, name: '   ' }],
    ['a serving of nothing', { ...formula, servingVolumeMl: 0 }],
    ['a serving that is no number', { ...formula, servingVolumeMl: NaN }],
    ['spoons of nowhere', { ...formula, spoons: 'roman' }],
    ['a ratio out of reach', { ...formula, targetRatio: 1000 }],
    ['a tool of nowhere', { ...formula, tool: 'spoon' }],
    ['mixing for no time', { ...formula, mixSeconds: 0 }],
    ['a version before the first', { ...formula, basedOnVersion: 0 }],
    ['a phase that is none', { ...formula, additions: [{ ...addition, phase: 'later' }] }],
    ['an id with a slash', { ...formula, additions: [{ ...addition, id: 'a/b' }] }],
    ['an endless rank', { ...formula, additions: [{ ...addition, rank: Infinity }] }],
    ['too many lines', { ...formula, additions: Array.from({ length: 201 }, () => addition) }],
    ['an endless note', { ...formula, additions: [{ ...addition, note: 'x'.repeat(2001) }] }],
  ])('refuses a formula with %s', (_what, wrong) => {
    expect(formulaSchema.safeParse(wrong).success).toBe(false);
  });

  const change = (updated: unknown) => ({
    baseRevision: 0,
    idempotencyKey: 'a-good-key',
    diff: { added: [], removed: [], updated: [updated] },
  });
  it.each([
    ['a formula’s field', { additionId: null, field: 'name', from: 'a', to: 'b' }, true],
    ['an addition’s field', { additionId: 'one', field: 'locked', from: false, to: true }, true],
    ['a tool', { additionId: null, field: 'tool', from: null, to: 'whisk' }, true],
    ['a tool that is none', { additionId: null, field: 'tool', from: null, to: 'spoon' }, false],
    ['a mixing time', { additionId: null, field: 'mixSeconds', from: 30, to: 75 }, true],
    ['a typed ratio', { additionId: null, field: 'targetRatio', from: null, to: 2.5 }, true],
    [
      'an addition’s field on the formula',
      { additionId: null, field: 'phase', from: 'base', to: 'oil' },
      false,
    ],
    ['a formula’s field on an addition', { additionId: 'one', field: 'vesselId', from: 'a', to: 'b' }, false],
    [
      'a value the field would refuse',
      { additionId: 'one', field: 'phase', from: 'base', to: 'later' },
      false,
    ],
    ['an empty name', { additionId: null, field: 'name', from: 'a', to: '' }, false],
  ])('a change of %s: %s', (_what, updated, ok) => {
    expect(changeRequestSchema.safeParse(change(updated)).success).toBe(ok);
  });

  it('refuses short keys, bad days, upside-down windows and nameless cooks', () => {
    expect(changeRequestSchema.safeParse({ ...change(null), idempotencyKey: 'k' }).success).toBe(false);
    const bottle = { ...EMPTY_PANTRY_ENTRY.bottle, openedOn: '2026-13-45' };
    expect(pantryEntrySchema.safeParse({ ...EMPTY_PANTRY_ENTRY, bottle }).success).toBe(false);
    const style = { id: 'x', name: 'X', says: '', windows: { salt: { low: 2, high: 1 } } };
    expect(styleSchema.safeParse(style).success).toBe(false);
    expect(cookSchema.safeParse({ id: 'ida', name: '', initials: 'ID' }).success).toBe(false);
    expect(newFormulaSchema.safeParse({ id: '', formula }).success).toBe(false);
  });

  it('takes a version inside a formula by an id as long as it needs to be', () => {
    const long = madeId('f'.repeat(64), 12345);
    const withMade = { ...formula, additions: [{ ...addition, ingredientId: long }] };
    expect(formulaSchema.safeParse(withMade).success).toBe(true);
    const endless = { ...formula, additions: [{ ...addition, ingredientId: 'x'.repeat(81) }] };
    expect(formulaSchema.safeParse(endless).success).toBe(false);
  });

  const ask = { volumeMl: 300, onHand: [{ ingredientId: 'olive_ev' }] };
  it.each([
    ['as little as there is', ask, true],
    [
      'locks and targets',
      { ...ask, locks: [{ ingredientId: 'honey', massG: 5 }], targets: [{ measure: 'salt', value: 0.015 }] },
      true,
    ],
    ['no volume', { ...ask, volumeMl: 0 }, false],
    ['nothing on hand', { ...ask, onHand: [] }, false],
    ['a measure that is none', { ...ask, targets: [{ measure: 'crunch', value: 1 }] }, false],
    ['an endless amount', { ...ask, onHand: [{ ingredientId: 'olive_ev', maxG: Infinity }] }, false],
    ['a word too many', { ...ask, please: true }, false],
  ])('a question for amounts with %s', (_what, question, ok) => {
    expect(formulateSchema.safeParse(question).success).toBe(ok);
  });

  it('fills what is left out of a question for amounts', () => {
    expect(formulateSchema.parse(ask)).toMatchObject({
      styleId: null,
      targets: [],
      locks: [],
      onHand: [{ maxG: null }],
    });
  });

  it('every error code has a status that a client understands', () => {
    for (const status of Object.values(ERROR_STATUS)) expect(status).toBeGreaterThanOrEqual(400);
    expect(Object.values(ERROR_STATUS).filter((status) => status >= 500)).toEqual([500, 503]);
  });
});
