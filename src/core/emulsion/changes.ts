/**
 * What would make it hold longer: candidate changes, each run through the model again (ten at most), the
 * three with most effect first. Nothing is canned: what does not help this dressing is not shown.
 */
import type { Tool } from '#core/formula';
import type { Ingredient, IngredientId } from '#core/ingredient';
import type { Hold } from './hold';
import type { HoldRequest } from './state';
import { stepHold } from './hold';
import { emulsionPartOf } from './madePart';
import { TOOL_VALUES } from './tools';

export type Change =
  | { readonly kind: 'tool'; readonly tool: Tool; readonly seconds: number }
  | { readonly kind: 'mix-longer'; readonly seconds: number }
  | { readonly kind: 'add'; readonly ingredientId: IngredientId; readonly massG: number }
  | { readonly kind: 'colder'; readonly temperatureC: number };

export interface ChangeResult {
  readonly change: Change;
  readonly hold: Hold;
  /** Times as long as now, at least 1; Infinity where it then holds beyond the course. */
  readonly gain: number;
}

const MOST_RUNS = 10;
const COLD_C = 5;
const WORTH_IT = 1.25;

/** What to try, likeliest first. @param ingredients what may be added, by id */
export function candidateChanges(
  request: HoldRequest,
  now: Hold,
  ingredients: ReadonlyMap<IngredientId, Ingredient>,
): readonly Change[] {
  const { tool, seconds, volumeMl } = request.mixing;
  const changes: Change[] = [];
  const finer = (Object.keys(TOOL_VALUES) as Tool[])
    .filter(
      (other) =>
        TOOL_VALUES[other].dropM < 0.8 * TOOL_VALUES[tool].dropM && TOOL_VALUES[other].leastMl <= volumeMl,
    )
    .sort((a, b) => TOOL_VALUES[b].dropM - TOOL_VALUES[a].dropM);
  for (const other of [finer[0], finer.at(-1)]) {
    if (other && !changes.some((change) => change.kind === 'tool' && change.tool === other)) {
      changes.push({ kind: 'tool', tool: other, seconds: TOOL_VALUES[other].referenceS });
    }
  }
  if (seconds < 2 * TOOL_VALUES[tool].referenceS)
    changes.push({ kind: 'mix-longer', seconds: Math.round(seconds * 2.5) });
  const { phases } = now.state;
  const oilMl = (phases.freeOilM3 + phases.preEmulsifiedM3) * 1e6;
  const add = (id: string, massG: number): void => {
    if (ingredients.has(id as IngredientId) && massG > 0)
      changes.push({ kind: 'add', ingredientId: id as IngredientId, massG });
  };
  const own = [...ingredients.keys()].find((id) => /^mustard_/.test(id)) ?? 'mustard_dijon';
  add(own, Math.max(5, (oilMl / 100) * 5));
  add('garlic', Math.max(3, (oilMl / 100) * 2));
  if (phases.gumOfWater < 5e-4) add('xanthan', 0.0015 * phases.waterG);
  add('egg_yolk_past', 17 * Math.max(1, Math.ceil(oilMl / 800)));
  if (request.temperatureC > COLD_C + 5) changes.push({ kind: 'colder', temperatureC: COLD_C });
  return changes.slice(0, MOST_RUNS);
}

export function withChange(
  request: HoldRequest,
  change: Change,
  ingredients: ReadonlyMap<IngredientId, Ingredient>,
): HoldRequest {
  switch (change.kind) {
    case 'tool':
      return { ...request, mixing: { ...request.mixing, tool: change.tool, seconds: change.seconds } };
    case 'mix-longer':
      return { ...request, mixing: { ...request.mixing, seconds: change.seconds } };
    case 'colder':
      return { ...request, temperatureC: change.temperatureC };
    case 'add': {
      const ingredient = ingredients.get(change.ingredientId);
      return ingredient
        ? {
            ...request,
            amounts: [...request.amounts, { part: emulsionPartOf(ingredient), massG: change.massG }],
          }
        : request;
    }
  }
}

/** One change run through the model; null where it does not help enough to be worth a word. */
export function* tryChange(
  request: HoldRequest,
  now: Hold,
  change: Change,
  ingredients: ReadonlyMap<IngredientId, Ingredient>,
): Generator<number, ChangeResult | null, void> {
  const then = yield* stepHold(withChange(request, change, ingredients));
  if (!then || now.medianS === null) return null;
  const gain = then.medianS === null ? Infinity : then.medianS / now.medianS;
  return gain >= WORTH_IT ? { change, hold: then, gain } : null;
}

export const byGain = (a: ChangeResult, b: ChangeResult): number => b.gain - a.gain;
