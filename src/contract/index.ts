export { ERROR_STATUS, type ErrorBody, type ErrorCode } from './errors';
export {
  additionIdSchema,
  changeRequestSchema,
  diffSchema,
  formulaIdSchema,
  formulaRecordSchema,
  formulaSchema,
  freezeRequestSchema,
  newFormulaSchema,
  versionSummarySchema,
  type ChangeRequest,
  type FormulaRecord,
  type FreezeRequest,
  type NewFormula,
  type VersionRecord,
} from './formula';
export {
  DEFAULT_SETTINGS,
  ingredientRowSchema,
  rangeSchema,
  settingsSchema,
  vesselSchema,
  type OwnIngredient,
  type Settings,
} from './kitchen';
