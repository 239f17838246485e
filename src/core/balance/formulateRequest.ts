/** What is asked of a formulation, and what may stand in its way. */
import type { Ingredient } from '#core/ingredient';
import type { PalateKey, Style } from '#core/palate';

export interface FormulateRequest {
  /** > 0. */
  readonly volumeMl: number;
  readonly style: Style | null;
  readonly onHand: readonly OnHand[];
  readonly targets: readonly Target[];
}

export interface OnHand {
  readonly ingredient: Ingredient;
  readonly form?: string;
  /** At least this goes in: what is locked, or wants using up; g. */
  readonly minG: number;
  /** Null: enough. */
  readonly maxG: number | null;
}

export type Obstacle =
  /** It runs out. */
  | { readonly kind: 'stock'; readonly ingredient: Ingredient }
  /** It has to go in. */
  | { readonly kind: 'locked'; readonly ingredient: Ingredient }
  /** A cook puts in no more of it. */
  | { readonly kind: 'ceiling'; readonly ingredient: Ingredient }
  /** The style is nothing without so much of it. */
  | { readonly kind: 'defines'; readonly ingredient: Ingredient }
  | { readonly kind: 'window'; readonly measure: PalateKey; readonly end: 'low' | 'high' }
  | { readonly kind: 'target'; readonly measure: PalateKey };

export interface Target {
  readonly measure: PalateKey;
  readonly value: number;
}
