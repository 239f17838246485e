/**
 * What a label prints of nutrition, as the interval it stands for. Rounding: per 100 g or 100 ml as the guidance to
 * Regulation (EU) 1169/2011 has it; per serving the coarser steps of both sides of the sea (21 CFR 101.9). From memory.
 */
export const NUTRIENTS = ['energyKcal', 'fatG', 'carbohydrateG', 'sugarsG', 'proteinG', 'saltG'] as const;
export type Nutrient = (typeof NUTRIENTS)[number];
/** As printed; what the tables do not know (saturated fat) is not among them. */
export type Printed = Readonly<Partial<Record<Nutrient, number>>>;

/** Energy of fat, kcal per g: nothing holds more. */
export const kcalMost = 9;

/** What the figures are printed of, g; from a volume it is an interval. */
export interface PrintedPer {
  readonly lowG: number;
  readonly highG: number;
  readonly serving: boolean;
}
export const PER_100_G: PrintedPer = { lowG: 100, highG: 100, serving: false };

/** No dressing is lighter than oil or heavier than honey with soy sauce, g/ml; estimate. */
const DENSITY = { low: 0.91, high: 1.2 };

/**
 * @param serving null: 100 of the unit; else how much of it. @param net what the bottle holds, where both stand on it
 * @throws RangeError where an amount is not more than 0
 */
export function printedPer(
  unit: 'g' | 'ml',
  serving: number | null,
  net: { readonly ml: number; readonly g: number } | null,
): PrintedPer {
  const amount = serving ?? 100;
  if (!(amount > 0) || (net && !(net.ml > 0 && net.g > 0)))
    throw new RangeError('A serving and what the bottle holds are more than nothing.');
  const isServing = serving !== null;
  if (unit === 'g') return { lowG: amount, highG: amount, serving: isServing };
  const own = net ? net.g / net.ml : null;
  // A bottle's net figures are rounded to about a hundredth; figures that cannot be belong to no dressing.
  const known = own !== null && own >= DENSITY.low && own <= DENSITY.high;
  const [low, high] = known ? [own * 0.985, own * 1.015] : [DENSITY.low, DENSITY.high];
  return { lowG: amount * low, highG: amount * high, serving: isServing };
}

/** In 100 g of it, what was printed of so much. */
export function printedAs(
  nutrient: Nutrient,
  printed: number,
  per: PrintedPer,
): { low: number; high: number } {
  const { low, high } = roundedAs(nutrient, printed, per.serving);
  return { low: (low * 100) / per.highG, high: (high * 100) / per.lowG };
}

/** Half of the step that is printed, either way. @param printed ≥ 0 */
export function roundedAs(
  nutrient: Nutrient,
  printed: number,
  serving = false,
): { readonly low: number; readonly high: number } {
  // "0 g" may stand where there is up to half a gram of it, or a hundredth of salt.
  if (printed === 0)
    return { low: 0, high: nutrient === 'energyKcal' ? 4 : nutrient === 'saltG' ? 0.0125 : 0.5 };
  const step = serving ? coarseStep(nutrient, printed) : fineStep(nutrient, printed);
  return { low: Math.max(0, printed - step / 2), high: printed + step / 2 };
}

function fineStep(nutrient: Nutrient, printed: number): number {
  if (nutrient === 'energyKcal') return 1;
  if (nutrient === 'saltG') return printed >= 1 ? 0.1 : 0.01;
  return printed >= 10 ? 1 : 0.1;
}
function coarseStep(nutrient: Nutrient, printed: number): number {
  if (nutrient === 'energyKcal') return printed > 50 ? 10 : 5;
  if (nutrient === 'saltG') return printed >= 1 ? 0.1 : 0.025;
  if (nutrient === 'fatG') return printed >= 5 ? 1 : 0.5;
  return 1;
}
