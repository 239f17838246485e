/**
 * What a kitchen shares and several may change at once: one document a thing, changed by reversible changes
 * that say from what to what. Formulas have a route of their own, on the same ground. Apart from the schemas:
 * the interface needs this at once and the checks only later.
 */
import { PLAIN, type Path, type Rules } from '#core/document';
import type { Style } from '#core/palate';
import type { Vessel } from '#core/vessel';
import { DEFAULT_SETTINGS, EMPTY_DISHES, EMPTY_PANTRY_ENTRY, EMPTY_PLAN, EMPTY_PRACTICE } from './defaults';
import type { DishesContent } from './dishes';
import type { Cook, OwnIngredient, PantryEntry, Settings } from './kitchen';
import type { PlanContent } from './plan';
import type { PracticeContent } from './practice';

/** By kind; null: there is none, or it was taken out. */
export interface SharedDoc {
  readonly plan: PlanContent;
  readonly settings: Settings;
  readonly pantry: PantryEntry;
  readonly vessel: Vessel | null;
  readonly style: Style | null;
  readonly ingredient: OwnIngredient | null;
  readonly cook: Cook | null;
  /** By the formula that they are dressed with. */
  readonly dishes: DishesContent;
  /** By the cook. */
  readonly practice: PracticeContent;
}
export type SharedKind = keyof SharedDoc;

/** One kitchen, one id. */
export const SETTINGS_ID = 'kitchen';

/** What stands there before anybody has changed it. */
export const SHARED_START: SharedDoc = {
  plan: EMPTY_PLAN,
  settings: DEFAULT_SETTINGS,
  pantry: EMPTY_PANTRY_ENTRY,
  vessel: null,
  style: null,
  ingredient: null,
  cook: null,
  dishes: EMPTY_DISHES,
  practice: EMPTY_PRACTICE,
};
export const SHARED_KINDS = Object.keys(SHARED_START) as readonly SharedKind[];

const isAt = (path: Path, ...keys: readonly (string | null)[]): boolean =>
  path.length === keys.length && keys.every((key, i) => key === null || key === path[i]);

/** One part more of it and the rest is another's. */
const PART_BY_PART: Rules = { whole: (path) => path.length > 0, either: () => false };

export const SHARED_RULES: Readonly<Record<SharedKind, Rules>> = {
  // Two who tick off the same task mean the same.
  plan: { whole: () => false, either: ([first]) => first === 'done' || first === 'begun' },
  // The ends of a range, and what a scale can carry, mean nothing alone.
  settings: {
    whole: (path) => isAt(path, 'smallMeasures', null, null) || isAt(path, 'batch', 'scale'),
    either: () => false,
  },
  pantry: PLAIN,
  vessel: PART_BY_PART,
  style: { whole: (path) => isAt(path, 'windows', null), either: () => false },
  ingredient: PART_BY_PART,
  cook: PLAIN,
  dishes: PLAIN,
  practice: PLAIN,
};

export interface SharedRecord<K extends SharedKind = SharedKind> {
  readonly kind: K;
  readonly id: string;
  /** Counts its changes; 0: nobody has changed it. */
  readonly revision: number;
  readonly doc: SharedDoc[K];
}
