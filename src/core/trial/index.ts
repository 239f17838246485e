export {
  isKind,
  PLAN_REASONS,
  SIGHTS,
  SOURCES,
  standingEvents,
  type LoggedEvent,
  type PlanReason,
  type Predicted,
  type Sight,
  type Reading,
  type Source,
  type TrialEvent,
} from './event';
export { learnHold, lessonOf, type HoldLesson, type LearntHold } from './learnHold';
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
export {
  currentStep,
  plannedLines,
  stepStates,
  type MakingPlan,
  type PlannedLine,
  type StepState,
  type StepStatus,
} from './making';
export { planMaking, tipsFor, type MakingSetting } from './planMaking';
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
export { BITE_WORDS, ON_WORDS, ROW_WORDS, sayDeed, sayTasting, SIGHT_WORDS } from './sayTrial';
export {
  DEEDS,
  makingSteps,
  type Deed,
  type DoStep,
  type Step,
  type StepLine,
  type ToTasteStep,
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
  type MeasuredPh,
  type Standing,
  type VersionState,
} from './trial';
export {
  GAP_MS,
  heldStill,
  inWindow,
  pouringRate,
  STILL_MS,
  takeable,
  weighingWindow,
  type ScaleReading,
  type Window,
} from './weighing';
