/**
 * Two tests at the counter that set how thick this kitchen's yoghurt, tahini or mayonnaise is. A teaspoon on a plate tilted
 * to 45°: seconds until its front has run 5 cm; and the line that a finger draws through what coats the back of a spoon.
 *
 *   u = (τ_w δ/3 η)(1 − ξ)²(1 + ξ/2),  τ_w = ρ g sin 45° δ,  ξ = τ_y/τ_w,  t = 5 cm/u
 *
 * the even film of a Bingham fluid (textbook result; from memory); δ, the film that a teaspoon of 5 ml leaves over 5 cm of
 * a trail 3 cm wide. One time cannot tell yield from viscosity: both are scaled by one factor. Range: 0.3 s to 3 min,
 * within a factor of about two: estimate.
 */
import type { Ingredient, StructureValues } from '#core/ingredient';
import { GRAVITY } from './columnGrid';
import { structureOf } from './structure';

/** What was seen; `seconds` null: it did not run within three minutes. */
export type CounterTest =
  | { readonly kind: 'plate'; readonly seconds: number | null }
  | { readonly kind: 'spoon'; readonly line: 'stays' | 'closes' };

export const PLATE_LIMITS_S = { low: 0.3, high: 180 } as const;

const TEASPOON_M3 = 5e-6;
const TRAIL_M = 0.03;
const RUN_M = 0.05;
const FILM_M = TEASPOON_M3 / TRAIL_M / RUN_M;
const DENSITY = 1020;
const WALL_PA = DENSITY * GRAVITY * Math.SQRT1_2 * FILM_M;
const MOST_FACTOR = 30;
/** A line that stays is what cooks call coating a spoon. */
const STAYS_FROM = { yieldStressPa: 1, viscosityPaS: 0.4 } as const;

/** An even film runs evenly: seconds for 5 cm, from so far in so long. @param ranMm > 0, mm. @param seconds > 0, s */
export const secondsOfRun = (ranMm: number, seconds: number): number => (seconds * RUN_M * 1000) / ranMm;

/** Seconds to run 5 cm; Infinity where its own yield holds it. */
export function plateSeconds({
  yieldStressPa,
  viscosityPaS,
}: Pick<StructureValues, 'yieldStressPa' | 'viscosityPaS'>): number {
  const share = yieldStressPa / WALL_PA;
  if (share >= 1) return Infinity;
  const speed = ((WALL_PA * FILM_M) / (3 * viscosityPaS)) * (1 - share) ** 2 * (1 + share / 2);
  return RUN_M / speed;
}

const scaled = (body: StructureValues, factor: number): StructureValues => ({
  ...body,
  yieldStressPa: body.yieldStressPa * factor,
  viscosityPaS: body.viscosityPaS * factor,
});

/** How much thicker than the pantry says the test makes it; 1: it agrees, or nothing can be said. */
export function factorOf(body: StructureValues, test: CounterTest): number {
  if (test.kind === 'plate') {
    const wanted = test.seconds ?? PLATE_LIMITS_S.high;
    const now = plateSeconds(body);
    if (test.seconds === null && now >= PLATE_LIMITS_S.high) return 1;
    return solve((factor) => plateSeconds(scaled(body, factor)) - wanted);
  }
  const stays = (factor: number): boolean =>
    body.yieldStressPa * factor >= STAYS_FROM.yieldStressPa ||
    body.viscosityPaS * factor >= STAYS_FROM.viscosityPaS;
  if (stays(1) === (test.line === 'stays')) return 1;
  return solve((factor) => (stays(factor) ? 1 : -1));
}

const HALVINGS = 50;
/** Where a rising function crosses nothing, within the bounds; the bound itself where it does not. */
function solve(rising: (factor: number) => number): number {
  let [low, high] = [Math.log(1 / MOST_FACTOR), Math.log(MOST_FACTOR)];
  for (let i = 0; i < HALVINGS; i++) {
    const middle = (low + high) / 2;
    if (rising(Math.exp(middle)) < 0) low = middle;
    else high = middle;
  }
  return Math.exp(high);
}

/** The thing with the body that the test found. What has no body of its own stays as it is. */
export function withTest(ingredient: Ingredient, test: CounterTest | null | undefined): Ingredient {
  const body = structureOf(ingredient);
  if (!test || !body) return ingredient;
  return { ...ingredient, structure: scaled(body, factorOf(body, test)) };
}
