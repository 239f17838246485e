/** What is asked of a mend, and what an answer is. */
import type { Style } from '#core/palate';
import type { JudgedPortion } from '#core/reckoning';
import type { Complaint, PlanId, Severity } from './complaints';
import type { Effect } from './effect';
import type { Gesture } from './gestures';
import type { MayAdd } from './program';
import type { Asked } from './together';

export interface RemedyRequest {
  readonly portions: readonly JudgedPortion[];
  readonly complaint: Complaint;
  readonly severity: Severity;
  readonly style: Style | null;
  /** How much may still go in, ml; null: no limit. */
  readonly roomMl: number | null;
  readonly mayAdd: readonly MayAdd[];
  /** Complained of as well: one plan serves them all. */
  readonly also?: readonly Asked[];
  /** The room is a quarter of what is there, not the jar's: nobody asked for more. */
  readonly aQuarter?: boolean;
  /** What the jar costs as it stands, in the kitchen's money; left out: not known. */
  readonly jarCost?: number;
  /** What may go in was named: the plans' own lists do not narrow it. */
  readonly allowAll?: boolean;
  readonly unread?: readonly string[];
}

export interface Dose {
  readonly mayAdd: MayAdd;
  readonly massG: number;
  /** How a hand does it; left out: to the gram. */
  readonly gesture?: Gesture;
  /** From here on it is too much, g; null: not within a dozen times as much. Left out: nobody asked. */
  readonly enoughG?: number | null;
}

export interface Remedy {
  readonly status: 'possible';
  readonly planId: PlanId;
  readonly doses: readonly Dose[];
  readonly effect: Effect;
  /** Kitchen steps, lower is less: what plans are ranked by, with what they newly bring. */
  readonly burden: number;
  /** It goes part of the way: something stays outside. */
  readonly partial?: boolean;
}
