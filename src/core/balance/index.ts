export { candidatesFor, rolesOf, type CandidateContext, type Role } from './candidates';
export { COMPLAINTS, type Complaint, type Severity } from './complaints';
export { effectOf, lessAcidThanAllowed, stateOf, type Effect, type State } from './effect';
export type { Impossible } from './impossible';
export { type MayAdd } from './program';
export { withDoses } from './planSearch';
export type { Dose, Remedy, RemedyRequest } from './remedyRequest';
export { aQuarterMl, searchRemedies, type RemedyAnswer } from './remedy';
export { gesturesNear, handUnitsFor, ladder, type Gesture, type Hand } from './gestures';
export { degreeOf, findingOf, type Degree, type Finding, adviceOf, landsRight } from './finding';
export { likelyGestures } from './likelyGestures';
export type { Asked } from './together';
export { finish, type Progress, type Work } from './steps';
export {
  formulate,
  type FormulateAnswer,
  type FormulateOutcome,
  type Missed,
  type Variant,
} from './formulate';
export { overpour, type Poured } from './overpour';
export { roundPlan, type PlanLine, type RoundedLine, type Rounding, type RoundTo } from './rounding';
export {
  applySwap,
  swapIngredient,
  swappedPlainly,
  type Swap,
  type SwapAnswer,
  type SwappedLine,
} from './swap';
export { leaningsAsked, readLeanings } from './leanings';
export { PLANS } from './complaints';
export { PlanSearch } from './planSearch';
export { subsetsOf } from './subsets';
export type { FormulateRequest, Obstacle, OnHand, Target } from './formulateRequest';
export { type PlanId } from './complaints';
export type { Lost } from './swapHolds';
export { wholeOf } from './wholeUnits';
export { ceilingOf } from './ceilings';
export { lostBy } from './swapHolds';
