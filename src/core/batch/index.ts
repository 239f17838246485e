export {
  batchNumber,
  batchStateOf,
  deviationsOf,
  isEnough,
  isWeighed,
  latestOf,
  madeMl,
  signProblem,
  standingBatchEvents,
  tastedRight,
  TEMPERATURES_AT,
  type BatchEvent,
  BATCH_STATES,
  type BatchState,
  type SignProblem,
  type TemperatureAt,
} from './batchRecord';
export { COOLING_LIMITS, type Cooling, type WayToCool } from './cooling';
export { SCHOOLS, USUAL_HOLD_BACK, type School } from './holdBack';
export { loadMaking } from './loadMaking';
export { hasOwnVessel, LOADS_AS, OPEN_FILL_SHARE, usualBatchTool, type LoadsAs } from './loads';
export {
  planBatch,
  type BatchAnswer,
  type BatchLine,
  type BatchLoad,
  type BatchPlan,
  type BatchProblem,
  type BatchRequest,
  type LoadLine,
} from './planBatch';
export { pullListOf, type PullLine, type PullList, type StockFacts } from './pullList';
export { endingTarget, massPerMl, splitOf, type Split } from './split';
export { ENOUGH_LOSS, ROUNDINGS, type RoundingKind } from './roundLoads';
export { sharedBases, type DressingOfTheDay, type SharedBase } from './sharedBases';
export { snapshotOf, type BatchSnapshot } from './snapshot';
export { spreadOver, type OpenLoad, type SpreadTargets } from './spread';
export { batchSize, ordersByVersion, type BatchTarget } from './target';
export { keepUntil, keepUntilProblem, type NotAfter, type UseBy, type UseByProblem } from './useBy';
export { PACE_LIMITS, paceAfter } from './handWork';
