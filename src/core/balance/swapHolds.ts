/**
 * What a swap does to what holds the dressing together, and the second thing that would keep it: less oil, and mustard
 * where less oil alone is not enough. Found on the emulsion model; limits are estimates.
 */
import type { Hold } from '#core/emulsion';
import type { Catalogue, Ingredient, IngredientId, ThicknessClass } from '#core/ingredient';
import { exactly } from '#core/quantity';
import type { JudgedPortion } from '#core/reckoning';
import { stateOf } from './effect';

/** What a swap loses beside the palate; none of it where nothing is lost. */
export interface Lost {
  /** How much less surface its binders can cover, 0..1; null where nothing much is lost. */
  readonly binder: number | null;
  readonly holdS: { readonly before: number | null; readonly after: number | null } | null;
  readonly thickness: { readonly before: ThicknessClass; readonly after: ThicknessClass } | null;
  /** It would split. */
  readonly splits: boolean;
  /** So near to splitting that the doubt of the limit reaches it. */
  readonly mightSplit: boolean;
}

const MUCH = 0.3;
const HALF = 0.5;
/** A dressing that held for less than this is shaken again anyway, s. */
const HELD_S = 600;
const FOR_GOOD_S = 14 * 86_400;

const coverM2 = (hold: Hold | null): number =>
  (hold?.state.phases.surfaces ?? []).reduce((sum, { areaM2 }) => sum + areaM2, 0);
const holdsS = (hold: Hold | null): number => (hold ? Math.min(hold.medianS ?? FOR_GOOD_S, FOR_GOOD_S) : 0);

const atLimit = (hold: Hold | null): boolean => (hold?.state.roomForOilMl?.low ?? 1) <= 0;

export function lostBy(before: Hold | null, after: Hold | null): Lost {
  const [had, has] = [coverM2(before), coverM2(after)];
  const binder = had > 0 && has < had * (1 - MUCH) ? 1 - has / had : null;
  const shorter = holdsS(before) >= HELD_S && holdsS(after) < HALF * holdsS(before);
  const [was, is] = [before?.state.thickness.class, after?.state.thickness.class];
  return {
    binder,
    holdS: shorter && before && after ? { before: before.medianS, after: after.medianS } : null,
    thickness: was && is && was !== is ? { before: was, after: is } : null,
    splits: Boolean(after?.state.split && !before?.state.split),
    mightSplit: atLimit(after) && !atLimit(before),
  };
}

/** A sauce that keeps together for so long sees a service through, s; estimate. */
const A_SERVICE_S = 3600;
/** It comes apart where it did not, or within half the time and within a service. */
const fails = ({ splits, mightSplit, holdS }: Lost): boolean =>
  splits || mightSplit || (holdS !== null && (holdS.after ?? FOR_GOOD_S) < A_SERVICE_S);

export interface SecondThing {
  /** All oils times this, 0..1. */
  readonly oilFactor: number;
  /** g of mustard; 0: less oil alone is enough. */
  readonly mustardG: number;
  readonly mustard: Ingredient | null;
}

/** Less oil than this is another dressing. */
const LEAST_OIL = 0.4;
/** Mustard a cook takes to hold a sauce, of its mass. */
const MUSTARD_SHARES: readonly number[] = [0, 0.03, 0.06];
const HALVINGS = 14;

/**
 * What keeps it together after all: the most oil that does, without or with mustard; null where it holds as it is, or
 * nothing does.
 * @param portions after the swap. @param locked by portion: its amount stays
 */
export function secondThing(
  before: Hold | null,
  portions: readonly JudgedPortion[],
  locked: ReadonlySet<number>,
  catalogue: Catalogue,
): SecondThing | null {
  const after = stateOf(portions);
  if (!before || !fails(lostBy(before, after.hold))) return null;
  const mustard = catalogue.get('mustard_dijon' as IngredientId) ?? null;
  for (const share of mustard ? MUSTARD_SHARES : [0]) {
    const mustardG = share * after.massG;
    const holdsAt = (factor: number): boolean =>
      !fails(
        lostBy(before, stateOf(withSecond(portions, { oilFactor: factor, mustardG, mustard }, locked)).hold),
      );
    if (!holdsAt(LEAST_OIL)) continue;
    if (holdsAt(1)) return { oilFactor: 1, mustardG, mustard };
    let [low, high] = [LEAST_OIL, 1];
    for (let i = 0; i < HALVINGS; i++) {
      const middle = 0.5 * (low + high);
      if (holdsAt(middle)) low = middle;
      else high = middle;
    }
    return { oilFactor: low, mustardG, mustard };
  }
  return null;
}

/** The portions with less of every oil that is not locked, and with the mustard. */
export function withSecond(
  portions: readonly JudgedPortion[],
  { oilFactor, mustardG, mustard }: SecondThing,
  locked: ReadonlySet<number>,
): readonly JudgedPortion[] {
  const less = portions.map((portion, i) =>
    portion.ingredient.category === 'oil' && !locked.has(i)
      ? { ...portion, massG: exactly(oilFactor * portion.massG.nominal) }
      : portion,
  );
  return mustard && mustardG > 0
    ? [...less, { ingredient: mustard, form: '', massG: exactly(mustardG) }]
    : less;
}
