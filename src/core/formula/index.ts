export { swappedForm } from './nameWords';
export {
  ADDITION_FIELDS,
  applyDiff,
  changesOf,
  diffFormulas,
  diffOf,
  FORMULA_FIELDS,
  isEmptyDiff,
  type Conflict,
  type FieldChange,
  type FormulaDiff,
} from './diff';
export {
  emptyFormula,
  inOrder,
  PHASES,
  rankAt,
  servingsIn,
  TOOLS,
  type Addition,
  type AdditionId,
  type Formula,
  type FormulaId,
  type Phase,
  type Tool,
  type VesselId,
} from './formula';
export {
  readAddition,
  stampMeasures,
  readLine,
  readLines,
  usualPhase,
  type AdditionLine,
} from './readAddition';
export { type AdditionReading, type ReadAddition, type ReadingContext } from './reading';
export { restOf } from './rest';
export {
  inStages,
  lastStage,
  MOST_STAGE_NAME,
  MOST_STAGES,
  stageStarts,
  stagesOf,
  tidyStageName,
  upToStage,
  withLaterStages,
  withStageNames,
} from './stages';
export { contentDiff, restoredFrom, sameContent, type FrozenVersion } from './version';
