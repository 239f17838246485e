export { byGain, candidateChanges, tryChange, withChange, type Change, type ChangeResult } from './changes';
export { runColumn, stepColumn, type ColumnFrame, type ColumnInput, type ColumnResult } from './column';
export { risingVelocityMPerS, sizeClasses } from './columnGrid';
export {
  classOfHold,
  COLUMN_GRID,
  emulsionState,
  hold,
  HOLD_DAYS,
  layersAt,
  stepHold,
  type EmulsionState,
  type OutsidePhase,
  type Hold,
  type LimitedBy,
  type HoldClass,
  type HoldRequest,
  type Layers,
} from './hold';
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
export { makingTips, type MakingLine, type MakingTip } from './making';
export { oilState, solidFraction, standingC, timeToReachS, type OilState } from './oils';
export { emulsionPartOf, type EmulsionPart, type PartAmount } from './part';
export {
  FREE_LIMIT,
  paceNow,
  pourOn,
  startPouring,
  type PaceNow,
  type Pouring,
  type PourSetting,
} from './pace';
export { PACES, pourPlan, type Pace, type PourPlan, type PourStage } from './pour';
export { remixOf, type Remix } from './remix';
export { rescue, TROUBLES, type Rescue, type RescueContext, type RescueStep, type Trouble } from './rescue';
export { THICKNESS_CLASSES, type ThicknessClass } from './thickness';
export { TOOL_VALUES, type ToolValues } from './tools';
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
  type HoldSetting,
} from './holdOf';
