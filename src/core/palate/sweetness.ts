/**
 * Sweetness as sucrose: sucrose 1, fructose 1.20 (1.1-1.7), glucose 0.70 (0.6-0.75), lactose 0.20
 * (0.16-0.4), handbook ranges from memory. Sugar substitutes bring sweetness and no sugar.
 */
import type { Ingredient } from '#core/ingredient';

const RELATIVE = { sucrose: 1, fructose: 1.2, glucose: 0.7, lactose: 0.2 } as const;

/** Grams of sucrose that would be as sweet as one gram. */
export function sucroseEquivalentOf({ composition: c, otherSweetnessAsSucrose }: Ingredient): number {
  const { sucrose, fructose, glucose, lactose } = RELATIVE;
  return (
    sucrose * c.sucrose +
    fructose * c.fructose +
    glucose * c.glucose +
    lactose * c.lactose +
    otherSweetnessAsSucrose
  );
}
