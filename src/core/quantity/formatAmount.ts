/**
 * Back from grams and millilitres to what a cook would read: grams at a sensible precision, or the
 * nearest real spoons ("2 tbsp + 1 tsp"), never "0.37 cup".
 */
import { SPOON_VOLUMES, type SpoonSystem } from './spoons';

const FRACTION_SIGNS: readonly (readonly [number, string])[] = [
  [1 / 8, '⅛'],
  [1 / 4, '¼'],
  [1 / 3, '⅓'],
  [1 / 2, '½'],
  [2 / 3, '⅔'],
  [3 / 4, '¾'],
];

/** 1.5 → "1½"; a number that is no kitchen fraction keeps up to two decimals. */
export function formatCount(value: number): string {
  const whole = Math.floor(value + 1e-6);
  const part = value - whole;
  if (Math.abs(part) < 1e-3) return String(whole);
  const sign = FRACTION_SIGNS.find(([fraction]) => Math.abs(part - fraction) < 2e-3);
  if (sign) return whole === 0 ? sign[1] : `${whole}${sign[1]}`;
  return String(Number(value.toFixed(2)));
}

/** Decimals a cook can act on for a mass in g or a volume in ml: 0.25, 5.5, 91.0, 374. */
export function sensibleDecimals(value: number): number {
  const size = Math.abs(value);
  if (size === 0 || size >= 199.5) return 0;
  return size < 0.995 ? 2 : 1;
}

/** A mass in g or volume in ml rounded to what a cook can act on. */
export const sensibly = (value: number): number => Number(value.toFixed(sensibleDecimals(value)));

interface SpoonStep {
  readonly ml: number;
  readonly text: string;
  readonly unit: string;
  /** How many measures are filled; fewer is less work. */
  readonly fills: number;
}

export interface NearestSpoons {
  readonly text: string;
  readonly volumeMl: number;
  /** (spoons − wanted) / wanted. */
  readonly relativeError: number;
}

/**
 * The nearest amount that real spoons and cups can measure, of at most two kinds of measure.
 * A second kind must earn its place by being clearly nearer.
 *
 * @param volumeMl what is wanted, ml, > 0
 * @returns null where it is below half the smallest spoon (⅛ tsp) or not a positive number
 */
export function nearestSpoons(volumeMl: number, system: SpoonSystem): NearestSpoons | null {
  const smallest = SPOON_VOLUMES[system].tspMl / 8;
  if (!(volumeMl >= smallest / 2) || !Number.isFinite(volumeMl)) return null;
  let best: { text: string; ml: number; cost: number } | null = null;
  for (const large of [null, ...ladder(system, volumeMl)]) {
    for (const small of [null, ...ladder(system, volumeMl)]) {
      if (!large && !small) continue;
      if (large && small && !goTogether(large, small)) continue;
      const ml = (large?.ml ?? 0) + (small?.ml ?? 0);
      const text = [large?.text, small?.text].filter(Boolean).join(' + ');
      const fills = (large?.fills ?? 0) + (small?.fills ?? 0);
      const cost = Math.abs(ml / volumeMl - 1) + 0.004 * fills + (large && small ? 0.012 : 0);
      if (!best || cost < best.cost) best = { text, ml, cost };
    }
  }
  return best && { text: best.text, volumeMl: best.ml, relativeError: best.ml / volumeMl - 1 };
}

/** Two kinds of measure; of teaspoons, also a small one and the eighth beside it. */
function goTogether(large: SpoonStep, small: SpoonStep): boolean {
  if (!(small.ml < large.ml)) return false;
  return small.unit !== large.unit || (large.ml < 6 * small.ml + 1e-9 && small.text === '⅛ tsp');
}

function ladder(system: SpoonSystem, upToMl: number): SpoonStep[] {
  const volumes = SPOON_VOLUMES[system];
  const steps: SpoonStep[] = [];
  const add = (unit: string, unitMl: number, counts: readonly number[]): void => {
    for (const count of counts) {
      const ml = count * unitMl;
      if (ml > upToMl * 1.3) continue;
      steps.push({
        ml,
        unit,
        text: `${formatCount(count)} ${unit === 'cup' && count > 1 ? 'cups' : unit}`,
        fills: Math.ceil(count),
      });
    }
  };
  add('tsp', volumes.tspMl, [0.125, 0.25, 0.5, 0.75, 1, 1.25, 1.5, 1.75, 2, 2.5]);
  add('tbsp', volumes.tbspMl, [0.5, 1, 1.5, 2, 3]);
  const cups = Math.min(40, Math.ceil((upToMl * 1.3) / volumes.cupMl));
  const quarters = [0.25, 1 / 3, 0.5, 2 / 3, 0.75];
  const counts = quarters.concat(
    Array.from({ length: cups }, (_, whole) => [0, ...quarters].map((part) => whole + 1 + part)).flat(),
  );
  add('cup', volumes.cupMl, counts);
  return steps;
}
