export { candidatesFor, ROLES, rolesOf, type CandidateContext, type Role } from './candidates';
export { COMPLAINTS, type Complaint, type Severity } from './complaints';
export { effectOf, stateOf, type Effect, type State } from './effect';
export type { Dilution, Impossible } from './impossible';
export { type MayAdd } from './program';
export { withDoses, type Dose, type Remedy, type RemedyRequest } from './planSearch';
export { searchRemedies, type RemedyAnswer } from './remedy';
export { finish, type Progress, type Work } from './steps';
export {
  formulate,
  type FormulateAnswer,
  type FormulateOutcome,
  type Missed,
  type Variant,
} from './formulate';
export { overpour, type Overpour, type Poured } from './overpour';
export {
  roundPlan,
  type Damage,
  type PlanLine,
  type RoundedLine,
  type Rounding,
  type RoundTo,
} from './rounding';
export {
  swapIngredient,
  type Moved,
  type Swap,
  type SwapAnswer,
  type SwappedLine,
  type SwapRequest,
} from './swap';
export { leaningsAsked, readLeanings, type Leaning, type ReadLeanings } from './leanings';
export type { WholeUnit } from './ladder';
export { PLANS } from './complaints';
export { PlanSearch, subsetsOf } from './planSearch';
export type { FormulateRequest, Obstacle, OnHand, Target } from './formulateRequest';
export { PLAN_IDS, type PlanId } from './complaints';
