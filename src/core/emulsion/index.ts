export { byGain, candidateChanges, withChange, type Change } from './changes';
export { runColumn, type ColumnInput } from './column';
export { risingVelocityMPerS, sizeClasses } from './columnGrid';
export { hold, HOLD_DAYS, layersAt, stepHold, type Hold, type LimitedBy, type Layers } from './hold';
export { emulsionState, type EmulsionState, type OutsidePhase, type HoldRequest } from './state';
export {
  bandFactorFrom,
  beliefFrom,
  observed,
  observedBetween,
  shifted,
  SHARED,
  stillFine,
  type Belief,
} from './learning';
export { makingTips, type MakingTip } from './making';
export { oilState, solidFraction, timeToReachS, type OilState } from './oils';
export {
  FREE_LIMIT,
  paceNow,
  pourOn,
  startPouring,
  type PaceNow,
  type Pouring,
  type PourSetting,
} from './pace';
export { PACES, pourPlan, type Pace, type PourPlan } from './pour';
export { remixOf, type Remix } from './remix';
export { rescue, TROUBLES, type Rescue, type RescueStep, type Trouble } from './rescue';
export { factorOf, PLATE_LIMITS_S, secondsOfRun, withTest, type CounterTest } from './counterTests';
export { type Thickness } from './thickness';
export { THICKNESS_CLASSES, type ThicknessClass } from '#core/ingredient';
export { structureOf } from './structure';
export { TOOL_VALUES } from './tools';
export {
  COLD_C,
  holdKey,
  holdRequest,
  ROOM_C,
  ROOM_LIMIT_S,
  USUAL_HEIGHT_M,
  usualSeconds,
  usualTemperatureC,
  usualTool,
} from './holdOf';
