/**
 * How long a container takes to get cold. What runs stirs itself and follows T(t) = T_f + (T_0 − T_f) exp(−t/τ),
 * τ = 4000 s (V/0.3 l)^⅓ (estimate); what is thick is cold last in the middle, by conduction (see `conduction.ts`).
 * Stirred in ice water heat leaves about eight times as fast (estimate). Limits: FDA Food Code 3-501.14 as recalled: 57 to 21 °C within 2 h, to 5 °C within 4 h more;
 * what was made of things at room temperature: 5 °C within 4 h.
 */
import { timeToReachS } from '#core/emulsion';
import { conductedS } from './conduction';

export const COOL_TO_C = 5;
const WARM_FROM_C = 57;
const WARM_MID_C = 21;
const HOUR_S = 3600;
export const COOLING_LIMITS = { midS: 2 * HOUR_S, restS: 4 * HOUR_S } as const;
const ICE_WATER_C = 0.5;
const ICE_FASTER = 8;
/** As long as it takes to fetch and pour, nothing is worth naming below this, ml. */
const LEAST_CONTAINER_ML = 100;

export interface CoolingSetting {
  /** Of what goes into the container, °C. */
  readonly startC: number;
  readonly fridgeC: number;
  /** It does not stir itself: coats a spoon or thicker, or nobody knows. */
  readonly thick: boolean;
}

export type WayToCool =
  /** No container larger than this, ml. */
  | { readonly kind: 'smaller-containers'; readonly mostMl: number }
  /** Ingredients from the fridge, so that it starts at this, °C. */
  | { readonly kind: 'pre-chill'; readonly startC: number }
  | { readonly kind: 'ice-bath'; readonly seconds: number };

export type Cooling =
  | {
      readonly status: 'cools';
      /** Until it has reached 5 °C, s; 0 where it is that cold. */
      readonly seconds: number;
      /** Until 21 °C, where it begins warmer. */
      readonly midS: number | null;
      readonly inTime: boolean;
      readonly ways: readonly WayToCool[];
    }
  /** The fridge is not below 5 °C. */
  | { readonly status: 'never' };

/** @param volumeMl in one container, > 0 */
export function coolingOf(volumeMl: number, setting: CoolingSetting): Cooling {
  const { startC, fridgeC, thick } = setting;
  if (fridgeC >= COOL_TO_C) return { status: 'never' };
  const seconds = reach(startC, fridgeC, COOL_TO_C, volumeMl, thick);
  const midS = startC > WARM_MID_C ? reach(startC, fridgeC, WARM_MID_C, volumeMl, thick) : null;
  const inTime = coolsInTime(volumeMl, setting);
  return { status: 'cools', seconds, midS, inTime, ways: inTime ? [] : waysFor(volumeMl, setting) };
}

/** Thick or not, it is never sooner cold than what stirs itself. */
const reach = (fromC: number, airC: number, toC: number, volumeMl: number, thick: boolean): number => {
  if (fromC <= toC) return 0;
  const stirred = timeToReachS(fromC, airC, toC, volumeMl);
  return thick ? Math.max(stirred, conductedS(volumeMl, fromC, airC, toC)) : stirred;
};

function coolsInTime(volumeMl: number, { startC, fridgeC, thick }: CoolingSetting): boolean {
  const midS = reach(Math.min(startC, WARM_FROM_C), fridgeC, WARM_MID_C, volumeMl, thick);
  const restS = reach(Math.min(startC, WARM_MID_C), fridgeC, COOL_TO_C, volumeMl, thick);
  return midS <= COOLING_LIMITS.midS && restS <= COOLING_LIMITS.restS;
}

function waysFor(volumeMl: number, setting: CoolingSetting): readonly WayToCool[] {
  const { startC } = setting;
  const ways: WayToCool[] = [];
  const mostMl = largest(LEAST_CONTAINER_ML, volumeMl, (ml) => coolsInTime(ml, setting));
  if (mostMl !== null) ways.push({ kind: 'smaller-containers', mostMl });
  if (startC <= WARM_MID_C + 10) {
    const from = largest(COOL_TO_C, startC, (c) => coolsInTime(volumeMl, { ...setting, startC: c }));
    if (from !== null) ways.push({ kind: 'pre-chill', startC: from });
  }
  const seconds = reach(startC, ICE_WATER_C, COOL_TO_C, volumeMl, false) / ICE_FASTER;
  ways.push({ kind: 'ice-bath', seconds });
  return ways;
}

const HALVINGS = 40;
/** The largest value that is still good; null where not even the least is. Good below, not good above. */
function largest(least: number, most: number, good: (value: number) => boolean): number | null {
  if (!good(least)) return null;
  let [low, high] = [least, most];
  for (let i = 0; i < HALVINGS; i++) {
    const middle = (low + high) / 2;
    if (good(middle)) low = middle;
    else high = middle;
  }
  return low;
}
