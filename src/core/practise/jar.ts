/**
 * A jar to practise on: a dressing of the kitchen that is taken as right the way it is. What is right again is its own
 * palate with a step and a half to either side, its own thickness, and not about to split. Steps: see
 * `core/palate/measures`.
 */
import { composition } from '#core/composition';
import { emulsionState, holdRequest, ROOM_C, USUAL_HEIGHT_M, usualSeconds } from '#core/emulsion';
import type { Ingredient, ThicknessClass } from '#core/ingredient';
import { A_HAIR, PALATE, palateOf, verdictOf, type PalateKey, type Style } from '#core/palate';
import { exactly } from '#core/quantity';
import type { JudgedPortion } from '#core/reckoning';

export const FAULTS = [
  ...(['sharp', 'dull', 'flat', 'salty', 'sweet', 'oily', 'thin', 'thick'] as const),
  ...(['harsh', 'bitter', 'splitting'] as const),
] as const;
export type Fault = (typeof FAULTS)[number];

/** What it is to be again: a step and a half to either side of what it was. */
const EITHER_SIDE = 1.5;
const JUDGED: readonly PalateKey[] = [
  'acid',
  'salt',
  'sweet',
  'fat',
  'body',
  'garlic',
  'heat',
  'mustard',
  'bitter',
];

export function asItWas(portions: readonly JudgedPortion[], name: string): Style {
  const palate = palateOf(portions);
  const windows = Object.fromEntries(
    JUDGED.flatMap((key) => {
      const { value } = palate[key];
      const by = EITHER_SIDE * PALATE[key].step;
      return value === null ? [] : [[key, { low: Math.max(0, value - by), high: value + by }] as const];
    }),
  );
  return { id: 'as-it-was', name, says: '', windows };
}

/** A jar near what it holds: how a hand sees it coming. */
export function stateOfJar(portions: readonly JudgedPortion[]) {
  const volumeMl = composition(portions).mixedVolumeMl;
  if (!(volumeMl > 0)) return null;
  const mixing = { tool: 'whisk', seconds: usualSeconds('whisk') } as const;
  return emulsionState(
    holdRequest(portions, { ...mixing, volumeMl, heightM: USUAL_HEIGHT_M, temperatureC: ROOM_C }),
  );
}
export function isAboutToSplit(portions: readonly JudgedPortion[]): boolean {
  const state = stateOfJar(portions);
  return state !== null && (state.split || state.nearLimit);
}

export const thicknessOf = (portions: readonly JudgedPortion[]): ThicknessClass | null =>
  stateOfJar(portions)?.thickness.classes[1] ?? null;

/** What a jar is to be again, and what was done to it. */
export interface AboutJar {
  readonly faults: readonly Fault[];
  readonly style: Style;
  /** As it was. */
  readonly thickness: ThicknessClass | null;
}

/** Right again: inside every window of what it was, as thick as it was, and not about to split. */
export function isRightAgain(
  portions: readonly JudgedPortion[],
  { style, faults, thickness }: AboutJar,
): boolean {
  if (faults.includes('splitting')) return !isAboutToSplit(portions);
  // What thins or thickens it tastes of next to nothing: a pinch of gum is not mended with salt.
  if (isOfBody(faults)) return thicknessOf(portions) === thickness;
  return verdictOf(palateOf(portions), style).score >= A_HAIR;
}
export const isOfBody = (faults: readonly Fault[]): boolean =>
  faults.includes('thin') || faults.includes('thick');

export const withMass = (
  portions: readonly JudgedPortion[],
  index: number,
  massG: number,
): readonly JudgedPortion[] =>
  portions.map((portion, i) => (i === index ? { ...portion, massG: exactly(massG) } : portion));
export const withMore = (
  portions: readonly JudgedPortion[],
  ingredient: Ingredient,
  massG: number,
): readonly JudgedPortion[] => [...portions, { ingredient, massG: exactly(massG), form: '', pieces: false }];
export const massOf = (portions: readonly JudgedPortion[]): number =>
  portions.reduce((sum, { massG }) => sum + massG.nominal, 0);
