/** What the foot switch and the space bar do now: each step panel says. */
export interface StepActions {
  readonly next?: () => void;
  readonly tare?: () => void;
  readonly byHand?: () => void;
}
