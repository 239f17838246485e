export {
  isKind,
  mixedAt,
  ADDED_WAYS,
  PLAN_REASONS,
  PLAN_WAYS,
  SIGHTS,
  SOURCES,
  standingEvents,
  type LoggedEvent,
  type AddedWay,
  type PlanReason,
  type PlanWay,
  type Predicted,
  type Sight,
  type Reading,
  type Source,
  type TrialEvent,
} from './event';
export { learnHold, lessonOf, looksInside, type HoldLesson, type LearntHold } from './learnHold';
export {
  bottleChanges,
  drifts,
  keepsFailing,
  madeSince,
  type BottleChange,
  type Drift,
  type Failing,
  type KitchenJar,
} from './kitchenNews';
export { observationsOf, shiftedStyle, type Observation, type Shift } from './learnWindows';
export { currentStep, plannedLines, stepStates, type MakingPlan, type StepState } from './making';
export { stageReached } from './stageReached';
export { planMaking, tipsFor } from './planMaking';
export {
  deviationOf,
  fillRequest,
  movedMeasures,
  NOTICED_STEPS,
  rescaling,
  wayBackStyle,
  type Deviation,
  type Moved,
  type Rescaling,
} from './repair';
export {
  DEEDS,
  makingSteps,
  type DoStep,
  type Step,
  type StepLine,
  type StepNote,
  type TrialLine,
  type WeighStep,
} from './step';
export {
  BITES,
  complaintsOf,
  DRAWN_G,
  saysNothing,
  TASTE_ROWS,
  TASTED_ON,
  type Bite,
  type Said,
  type TastedOn,
  type TasteRow,
  type TasteRows,
  type TasteValue,
  NOTHING_SAID,
  type Tasting,
} from './tasting';
export {
  addedLines,
  asMade,
  isAsPlanned,
  measuredPh,
  minutesSinceShake,
  standingOf,
  trialLines,
  trialPortions,
  versionState,
  merged,
  MAKINGS_THAT_PROVE,
  VERSION_STATES,
  type Standing,
  type VersionState,
} from './trial';
export {
  heldStill,
  inWindow,
  pouringRate,
  takeable,
  weighingWindow,
  type WeighingWindow,
  type ScaleReading,
} from './weighing';
export { diaryOf, type DiaryEntry } from './diary';
export { standingComplaints } from './standingComplaints';
export { whatItComesTo, type ComesTo } from './comesTo';
export { firstLayerFrom } from './measuredLook';
