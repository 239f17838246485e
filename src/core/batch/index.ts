export {
  batchNumber,
  batchStateOf,
  deviationsOf,
  isWeighed,
  latestOf,
  signProblem,
  standingBatchEvents,
  tastedRight,
  TEMPERATURES_AT,
  type BatchEvent,
  BATCH_STATES,
  type BatchState,
  type LoadDeviation,
  type LoadLog,
  type LoggedBatchEvent,
  type SignProblem,
  type TemperatureAt,
} from './batchRecord';
export { boughtUnitOf, countNeeded, type BoughtUnit } from './boughtUnits';
export { coolingOf, COOLING_LIMITS, type Cooling, type CoolingSetting, type WayToCool } from './cooling';
export {
  heldBackOf,
  SCHOOLS,
  USUAL_HOLD_BACK,
  type HeldBack,
  type HoldBackShares,
  type School,
} from './holdBack';
export { loadMaking, type LoadSetting } from './loadMaking';
export {
  capacityOf,
  hasOwnVessel,
  LOADS_AS,
  mixSecondsFor,
  OPEN_FILL_SHARE,
  powerWPerL,
  splitIntoLoads,
  usualBatchTool,
  warmingK,
  type Capacity,
  type Loads,
  type LoadsAs,
} from './loads';
export {
  driftBetween,
  driftOf,
  planBatch,
  type BatchAnswer,
  type BatchDrift,
  type BatchLine,
  type BatchLoad,
  type BatchPlan,
  type BatchProblem,
  type BatchRequest,
  type LoadLine,
  type PlannedBatchLine,
  type Storage,
} from './planBatch';
export { poursOf, type ScaleLimits } from './pours';
export { pullListOf, type PullLine, type PullList, type PullRequest, type StockFacts } from './pullList';
export {
  dealOut,
  ENOUGH_LOSS,
  roundLoads,
  ROUNDINGS,
  wholeUnitOf,
  type RoundedLoad,
  type RoundingKind,
  type RoundingSetting,
} from './roundLoads';
export { snapshotOf, type BatchSnapshot, type SnapshotAbout } from './snapshot';
export { spreadOver, type OpenLoad, type SpreadTargets } from './spread';
export {
  batchSize,
  MOST_BATCH_ML,
  ordersByVersion,
  type BatchSize,
  type BatchTarget,
  type Limiting,
  type Order,
  type SizeProblem,
} from './target';
export {
  keepUntil,
  keepUntilProblem,
  type NotAfter,
  type UseBy,
  type UseByChange,
  type UseByProblem,
} from './useBy';
