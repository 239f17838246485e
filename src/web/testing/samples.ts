/** A kitchen and its records for component tests: as small as they may be. */
import { DEFAULT_SETTINGS, type TrialRecord } from '#contract';
import { emptyFormula, type Addition, type AdditionId, type Formula, type FormulaId } from '#core/formula';
import { REFERENCE_CATALOGUE, type IngredientId } from '#core/ingredient';
import { STARTING_VESSELS } from '#core/vessel';
import type { Kitchen } from '#kitchen/reading';
import type { WorkingFormula } from '../sync/working';

export const KITCHEN: Kitchen = {
  settings: DEFAULT_SETTINGS,
  vessels: STARTING_VESSELS,
  catalogue: REFERENCE_CATALOGUE,
  pantry: {},
  own: { byId: new Map(), now: () => null },
};

const addition = (rank: number, amountText: string, id: string, text: string): Addition => ({
  id: `a${rank}` as AdditionId,
  amountText,
  ingredientId: id as IngredientId,
  ingredientText: text,
  form: '',
  measuredBy: null,
  stage: 0,
  note: '',
  phase: id.startsWith('olive') ? 'oil' : 'base',
  optional: false,
  locked: false,
  rank,
});
export const VINAIGRETTE: Formula = {
  ...emptyFormula('House vinaigrette', STARTING_VESSELS[0]!.id, 'metric'),
  styleId: 'classic_3_1',
  additions: [
    addition(0, '60 ml', 'vin_cider5', 'cider vinegar'),
    addition(1, '3 g', 'salt_table', 'salt'),
    addition(2, '10 g', 'mustard_dijon', 'Dijon mustard'),
    addition(3, '180 ml', 'olive_ev', 'olive oil'),
  ],
};

const AT = '2026-11-26T09:00:00.000Z';
export const WORKING: WorkingFormula = {
  id: 'house' as FormulaId,
  formula: VINAIGRETTE,
  revision: 1,
  latestNumber: 1,
  baseVersion: {
    number: 1,
    parent: null,
    createdAt: AT,
    note: '',
    formula: VINAIGRETTE,
  } as unknown as WorkingFormula['baseVersion'],
  canUndo: false,
  canRedo: false,
  save: 'saved',
  clashes: [],
  unmirrored: false,
};

export const jarOf = (about: Partial<TrialRecord> = {}): TrialRecord => ({
  id: 'jar-1',
  formulaId: WORKING.id,
  version: 1,
  vesselId: STARTING_VESSELS[0]!.id,
  styleId: 'classic_3_1',
  lines: [
    { ingredientId: 'vin_cider5' as IngredientId, form: '', massG: 61 },
    { ingredientId: 'salt_table' as IngredientId, form: '', massG: 3 },
    { ingredientId: 'mustard_dijon' as IngredientId, form: '', massG: 10 },
    { ingredientId: 'olive_ev' as IngredientId, form: '', massG: 164 },
  ],
  making: null,
  batch: null,
  by: { cookId: null, deviceId: 'here' },
  at: AT,
  events: [],
  ...about,
});
