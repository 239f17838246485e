/**
 * A jar with a hidden fault, one or two, and the way back that the reckoning takes: the very search of the mends, or the
 * least gesture that thickens, thins, or gives the oil room again.
 */
import {
  candidatesFor,
  finish,
  landsRight,
  rolesOf,
  searchRemedies,
  withDoses,
  type CandidateContext,
  type MayAdd,
  type Remedy,
  type Role,
} from '#core/balance';
import type { JudgedPortion } from '#core/reckoning';
import { asItWas, isOfBody, isRightAgain, thicknessOf, type AboutJar, type Fault } from './jar';
import { withFault, type Pushed } from './pushes';

export interface FaultyJar extends AboutJar {
  readonly portions: readonly JudgedPortion[];
  /** What the reckoning would do: the least that lands. */
  readonly way: readonly WayStep[];
  /** How far out, in noticeable steps: what makes it easy. */
  readonly steps: number;
}
export type WayStep = Remedy['doses'][number];

/** Fewer gestures than this a cook takes anyway. */
const MOST_GESTURES = 6;

/**
 * @param portions of a dressing of the kitchen, taken as right
 * @returns null where it cannot have these faults, or nothing that goes in mends them
 */
export function faultyJar(
  portions: readonly JudgedPortion[],
  faults: readonly Fault[],
  steps: number,
  context: CandidateContext,
  name = '',
): FaultyJar | null {
  const style = asItWas(portions, name);
  const thickness = thicknessOf(portions);
  let jar: Pushed = { portions, steps };
  for (const fault of faults) {
    const next = withFault(jar.portions, fault, style, steps, context);
    if (!next) return null;
    jar = { portions: next.portions, steps: Math.min(jar.steps, next.steps) };
  }
  const about = { style, faults, thickness };
  if (isRightAgain(jar.portions, about)) return null;
  const way = wayBack(jar.portions, about, context);
  return way && { ...about, ...jar, way };
}

function wayBack(
  portions: readonly JudgedPortion[],
  about: AboutJar,
  context: CandidateContext,
): readonly WayStep[] | null {
  const { style, faults } = about;
  const mayAdd = candidatesFor(portions, context);
  if (faults.includes('splitting') || isOfBody(faults)) return oneGesture(portions, about, mayAdd);
  const { remedies } = finish(
    searchRemedies({
      ...{ portions, mayAdd, style },
      ...{ complaint: 'into-band', severity: 2, roomMl: null, allowAll: true },
    }),
  );
  const found = remedies.find((remedy) => remedy.partial !== true && landsRight(remedy));
  return found && found.doses.length <= MOST_GESTURES ? found.doses : null;
}

/** What a cook reaches for; common practice. */
const MENDED_BY = {
  splitting: ['water', 'acid', 'mustard', 'thin creamy', 'creamy'],
  thin: ['thickener', 'mustard', 'creamy'],
  thick: ['water', 'acid', 'thin creamy'],
} as const satisfies Partial<Record<Fault, readonly Role[]>>;

/** The least of one thing that does it: a spoon of what holds oil or thins it, a pinch of gum. */
function oneGesture(
  portions: readonly JudgedPortion[],
  about: AboutJar,
  mayAdd: readonly MayAdd[],
): readonly WayStep[] | null {
  const [fault] = about.faults.filter((one): one is keyof typeof MENDED_BY => one in MENDED_BY);
  if (!fault) return null;
  const roles: readonly Role[] = MENDED_BY[fault];
  const doses = mayAdd
    .filter(({ ingredient }) => rolesOf(ingredient).some((role) => roles.includes(role)))
    .flatMap((one) =>
      (one.hand ?? []).flatMap(({ unit, massG, counts }) =>
        counts.map((count) => ({
          mayAdd: one,
          massG: massG * count,
          gesture: { unit, count, massG: massG * count },
        })),
      ),
    )
    .sort((a, b) => a.massG - b.massG);
  const found = doses.find((dose) => isRightAgain(withDoses(portions, [dose]), about));
  return found ? [found] : null;
}
