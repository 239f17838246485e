export type { News } from './news';
export {
  newPictureSchema,
  PICTURE_LIMITS,
  seenSchema,
  type NewPicture,
  type PictureRecord,
  type PicturesAnswer,
  type Seen,
} from './picture';
export { storable } from './storable';
export { ANYONE, MOST_ANSWERS, practiceContentSchema, type PracticeContent } from './practice';
export {
  dishesContentSchema,
  MOST_DISH_TEXT,
  MOST_DISHES,
  type DishesContent,
  type KeptDish,
} from './dishes';
export { planOfRow, SHAPE, upgradePlanContent } from './shapes';
export { DEFAULT_SETTINGS, EMPTY_PANTRY_ENTRY, EMPTY_PLAN, NOBODY } from './defaults';
export {
  batchRecordSchema,
  OPERATIONS,
  openApiDocument,
  type ApiWords,
  type GroupName,
  trialRecordSchema,
  type BackupsState,
  type Operation,
  type Restored,
  type Restoring,
} from './api';
export { recordsSchema, type KitchenRecords, type RecordsReport } from './records';
export { ERROR_STATUS, type ErrorBody, type ErrorCode } from './errors';
export {
  additionIdSchema,
  bySchema,
  changeRequestSchema,
  diffSchema,
  formulaIdSchema,
  ingredientIdSchema,
  formulaSchema,
  freezeContentSchema,
  freezeRequestSchema,
  madeQuerySchema,
  MOST_NUMBER,
  newFormulaSchema,
  shelfRequestSchema,
  versionSchema,
  type By,
  type ChangeRequest,
  type FormulaRecord,
  type FreezeAnswer,
  type FreezeRequest,
  type Kin,
  type KinAnswer,
  type MadeRecord,
  type NewFormula,
  type VersionRecord,
} from './formula';
export {
  SHELF_KINDS,
  SHELF_SORTS,
  SHELF_STATES,
  SHELVES,
  type Shelf,
  type ShelfKind,
  type ShelfSort,
  type ShelfState,
} from './shelfKinds';
export {
  MOST_AT_ONCE,
  shelfQuerySchema,
  type ShelfAnswer,
  type ShelfAsk,
  type ShelfChoices,
  type ShelfQuery,
  type ShelfRecord,
} from './shelf';
export {
  cookSchema,
  ingredientRowSchema,
  pantryEntrySchema,
  rangeSchema,
  settingsSchema,
  styleSchema,
  vesselSchema,
  type Cook,
  type OwnIngredient,
  type PantryEntry,
  type Settings,
} from './kitchen';
export { ANSWERS_STORE, KITCHEN_HEADER, OUT_OF_STORE_HEADER, TAKE_OVER } from './headers';
export { signInSchema, type SessionState } from './session';
export { labelJsonSchema, labelSchema } from './label';
export { formulateJsonSchema, formulateSchema, type FormulateJson } from './balance';
export {
  newEventSchema,
  newTrialSchema,
  lineSchema,
  makingPlanSchema,
  trialBatchSchema,
  trialEventSchema,
  trialIdSchema,
  type NewEvent,
  type NewTrial,
  type Standings,
  type TrialBatch,
  type TrialEventRecord,
  type TrialRecord,
  type VersionStanding,
} from './trial';
export { findQuerySchema, type FindAnswer } from './find';
export {
  jarsQuerySchema,
  logQuerySchema,
  type JarsAnswer,
  type JarTimes,
  type KitchenNews,
  type LogAnswer,
  type LogEntry,
  type StyleSaid,
} from './log';
export { newMeasureSchema, type MeasureRecord, type NewMeasure } from './measure';
export {
  MOST_TASTERS,
  newAnswerSchema,
  newPanelSchema,
  newPanelShape,
  type NewAnswer,
  type NewPanel,
  type PanelRecord,
  type SampleRef,
} from './panel';
export { newTimerSchema, type NewTimer, type TimerRecord, type TimersAnswer } from './timer';
export {
  claimSchema,
  handSchema,
  INSTRUMENTS,
  POUR_HOLDS_MS,
  tareSchema,
  type DevicesAnswer,
  type DevicesFrame,
  type Hand,
  type Instrument,
  type InstrumentInfo,
  type InstrumentReading,
  type ScaleClaim,
} from './device';
export {
  batchEventSchema,
  batchesQuerySchema,
  batchListQuerySchema,
  combineSchema,
  daySchema,
  MOST_BATCH_LOADS,
  newBatchEventSchema,
  newBatchSchema,
  snapshotSchema,
  type BatchEventRecord,
  type BatchList,
  type BatchRecord,
  type Combine,
  type BaseOfBatch,
  type NewBatch,
  type NewEnding,
  type NewBatchEvent,
} from './batch';
export {
  MOST_LABELS,
  jarLabelQuerySchema,
  labelQuerySchema,
  readerQuerySchema,
  printSheetSchema,
  printStripSchema,
  type PrintSheet,
  type PrintStrip,
} from './paper';
export {
  SETTINGS_ID,
  SHARED_KINDS,
  SHARED_RULES,
  SHARED_START,
  type SharedDoc,
  type SharedKind,
  type SharedRecord,
} from './shared';
export { SHARED_SCHEMAS, sharedChangesSchema, sharedKindSchema, type SharedChanges } from './changesSchemas';
export { newDressingSchema, type DressingRecord, type NewDressing } from './service';
export {
  DOCUMENT_FORMAT,
  documentQuerySchema,
  documentJsonSchema,
  documentSchema,
  readDocument,
  type DocumentReading,
  type ImportReport,
  type KitchenDocument,
} from './document';
export {
  jobSchema,
  planContentOf,
  planContentSchema,
  serviceSchema,
  putPlanSchema,
  type PlanContent,
  type PlanDish,
  type PlanJob,
  type PlanRecord,
  type PlanService,
  type PutPlan,
} from './plan';
