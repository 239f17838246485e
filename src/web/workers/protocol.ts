/** What page and worker say to each other. Everything is plain data. */
import type { BatchAnswer, BatchRequest } from '#core/batch';
import type { Hold, HoldRequest } from '#core/emulsion';
import type { Ingredient, IngredientId } from '#core/ingredient';
import type { InTheGlass, Marks, Photo } from '#core/glass';
import type { JarToMake, LikedJar, Liking } from '#core/liking';
import type { LabelOutcome, Printed, PrintedPer } from '#core/label';
import type { Fault, WrongRound } from '#core/practise';
import type { JudgedPortion } from '#core/reckoning';
import type { SeasonRequest, SeasonWay } from '#core/season';
import type {
  Hand,
  FormulateOutcome,
  FormulateRequest,
  Progress,
  RemedyAnswer,
  RemedyRequest,
  Rounding,
  PlanLine,
  RoundTo,
} from '#core/balance';

export interface LabelQuestion {
  /** The list as it stands on the bottle. */
  readonly text: string;
  readonly printed: Printed;
  readonly per: PrintedPer;
  readonly ingredients: readonly Ingredient[];
}

export interface LikingQuestion {
  readonly jars: readonly LikedJar[];
  readonly ingredients: readonly Ingredient[];
  /** What is on hand. */
  readonly onHand: readonly IngredientId[];
}

export interface SeasonQuestion {
  /** In the order they are made: what one uses the next has not. */
  readonly batches: readonly Omit<SeasonRequest, 'catalogue' | 'stock'>[];
  readonly ingredients: readonly Ingredient[];
  readonly stock: SeasonRequest['stock'];
}

export interface PractiseQuestion {
  readonly dressings: readonly (readonly JudgedPortion[])[];
  readonly wanted: readonly Fault[];
  readonly difficulty: number;
  readonly seed: number;
  readonly ingredients: readonly Ingredient[];
  readonly hand: Hand;
}

export interface Questions {
  readonly remedies: RemedyRequest;
  readonly formulate: { readonly request: FormulateRequest; readonly to: RoundTo };
  readonly hold: HoldRequest;
  readonly batch: BatchRequest;
  /** Several, in their order. */
  readonly batches: readonly BatchRequest[];
  /** A jar with a hidden fault, of one of these dressings. */
  readonly practise: PractiseQuestion;
  /** A bought bottle's label, worked backwards. */
  readonly label: LabelQuestion;
  /** The layers of a jar in a picture. */
  readonly glass: { readonly photo: Photo; readonly marks: Marks };
  /** What prices and what must go change in these batches. */
  readonly season: SeasonQuestion;
  /** What jars that were tasted say of who tasted them. */
  readonly liking: LikingQuestion;
  readonly round: { readonly plan: readonly PlanLine[]; readonly to: RoundTo };
}
export interface Answers {
  readonly remedies: RemedyAnswer;
  /** With each answer rounded to what can be measured. */
  readonly formulate: { readonly outcome: FormulateOutcome; readonly roundings: readonly Rounding[] };
  /** Null where there is nothing to separate. */
  readonly hold: { readonly hold: Hold | null };
  readonly practise: { readonly round: WrongRound | null };
  readonly label: LabelOutcome;
  /** With the jars to make next, in their order. */
  readonly liking: { readonly liking: Liking; readonly next: readonly JarToMake[] };
  readonly glass: InTheGlass;
  /** Of each batch. */
  readonly season: readonly (readonly SeasonWay[])[];
  readonly round: Rounding;
  readonly batch: BatchAnswer;
  readonly batches: readonly BatchAnswer[];
}
export type Kind = keyof Questions;

export type ToWorker =
  | { readonly type: 'ask'; readonly id: number; readonly kind: Kind; readonly question: Questions[Kind] }
  | { readonly type: 'cancel'; readonly id: number };

export type FromWorker =
  | { readonly type: 'progress'; readonly id: number; readonly progress: Progress }
  | { readonly type: 'answer'; readonly id: number; readonly answer: Answers[Kind] }
  | { readonly type: 'failed'; readonly id: number; readonly message: string };
