/** Amounts that can be measured: real spoons and cups, or steps of a scale. */
import type { Ingredient } from '#core/ingredient';
import { formatCount, nearestSpoons, SPOON_VOLUMES, type SpoonSystem } from '#core/quantity';

export interface Candidate {
  readonly massG: number;
  /** As a cook would read it: "1½ tsp", "61 g". */
  readonly text: string;
  readonly how: 'kept' | 'spoons' | 'scale' | 'dilution' | 'whole';
}

/** US kitchen ladder; larger amounts go on in quarter cups. Tag: common practice. */
const LADDER: readonly (readonly ['tsp' | 'tbsp' | 'cup', readonly number[]])[] = [
  ['tsp', [1 / 8, 1 / 4, 1 / 2, 3 / 4, 1, 1.5, 2]],
  ['tbsp', [1, 1.5, 2, 3]],
  ['cup', [1 / 4, 1 / 3, 1 / 2, 2 / 3, 3 / 4, 1, 1.25, 1.5, 2]],
];
const NEAREST = 4;
const PINCH_ML = 0.3;

export function spoonCandidates(
  massG: number,
  ingredient: Ingredient,
  system: SpoonSystem,
): readonly Candidate[] {
  const volumes = SPOON_VOLUMES[system];
  const ml = { tsp: volumes.tspMl, tbsp: volumes.tbspMl, cup: volumes.cupMl };
  const density = ingredient.spoonDensityGPerMl;
  const beyond = Array.from(
    { length: Math.max(0, Math.ceil((massG / density / ml.cup) * 4) + 2) },
    (_, i) => i / 4,
  ).filter((count) => count > 2);
  const steps = LADDER.flatMap(([unit, counts]) =>
    [...counts, ...(unit === 'cup' ? beyond : [])].map((count): Candidate => ({
      massG: count * ml[unit] * density,
      text: `${formatCount(count)} ${unit}`,
      how: 'spoons',
    })),
  );
  const pinch: Candidate = { massG: PINCH_ML * density, text: '1 pinch', how: 'spoons' };
  const single = nearest(massG < steps[0]!.massG ? [pinch, ...steps] : steps, massG);
  // Two measures together ("¼ cup + 1 tbsp") where they come nearer than any single one.
  const pair = nearestSpoons(massG / density, system);
  if (!pair?.text.includes('+')) return single;
  const both: Candidate = { massG: pair.volumeMl * density, text: pair.text, how: 'spoons' };
  return [both, ...single.slice(0, NEAREST - 1)];
}

/** Where a step is less than this share of the amount, a second step away is never wanted. */
const FINE_STEP = 0.005;

/** Whole steps of a scale, never nothing. */
export function scaleCandidates(massG: number, readabilityG: number): readonly Candidate[] {
  const below = Math.floor(massG / readabilityG);
  const near =
    readabilityG < FINE_STEP * massG ? [below, below + 1] : [below - 1, below, below + 1, below + 2];
  return near
    .filter((steps) => steps >= 1)
    .map((steps): Candidate => {
      const rounded = Number((steps * readabilityG).toFixed(3));
      return { massG: rounded, text: `${rounded} g`, how: 'scale' };
    });
}

/** A thing that is used whole: an egg, a lemon, a pack. */
export interface WholeUnit {
  /** As it is said for one: "yolk". */
  readonly unit: string;
  /** Edible grams of one, > 0. */
  readonly massG: number;
}

const plural = (unit: string, count: number): string => (count === 1 ? unit : `${unit}s`);

/** Whole things just below and above, never none. */
export function wholeCandidates(massG: number, { unit, massG: oneG }: WholeUnit): readonly Candidate[] {
  const below = Math.floor(massG / oneG + 1e-9);
  return [below - 1, below, below + 1, below + 2]
    .filter((count) => count >= 1)
    .map((count): Candidate => ({
      massG: count * oneG,
      text: `${count} ${plural(unit, count)}`,
      how: 'whole',
    }));
}

/** One part in nine parts of a carrier: a tenth of the scale's step can be weighed. */
export const DILUTION_PARTS = 10;

export function dilutionCandidates(massG: number, readabilityG: number): readonly Candidate[] {
  return scaleCandidates(massG * DILUTION_PARTS, readabilityG).map(({ massG: takeG }) => {
    const strongG = Number((takeG / DILUTION_PARTS).toFixed(4));
    return { massG: strongG, text: `${strongG} g`, how: 'dilution' };
  });
}

/** By distance on a logarithmic ladder. */
function nearest(candidates: readonly Candidate[], massG: number): readonly Candidate[] {
  const distance = ({ massG: g }: Candidate): number => Math.abs(Math.log(g / massG));
  return [...candidates].sort((a, b) => distance(a) - distance(b)).slice(0, NEAREST);
}
