/**
 * Saving what has split, will not take, is too thick or too thin, or has set in the fridge: quantities from
 * this batch. Steps: common practice; sums: arithmetic on the phases. A rescue that brings raw egg or a new
 * allergen is listed last and marked by whoever shows it.
 */
import type { EmulsifierKind, IngredientId } from '#core/ingredient';
import { cloudPointC, oilValuesOf, timeToReachS } from './oils';
import type { EmulsionState, HoldRequest } from './state';
import { pourPlan, type PourPlan } from './pour';
import { emulsionPartOf } from './madePart';
import { thickenWithOilMl, thinToG } from './adjust';
import type { ThicknessClass } from '#core/ingredient';
import type { Ingredient } from '#core/ingredient';

export const TROUBLES = ['split', 'wont-take', 'too-thick', 'too-thin', 'set-in-fridge'] as const;
export type Trouble = (typeof TROUBLES)[number];

/** Steps as data: sentences are made of them in one place. */
export type RescueStep =
  | {
      readonly code: 'new-base';
      readonly ingredientId: IngredientId;
      readonly massG: number;
      readonly waterMl: number;
    }
  | { readonly code: 'drip-in'; readonly volumeMl: number; readonly plan: PourPlan }
  | { readonly code: 'add-water-first'; readonly volumeMl: number }
  | { readonly code: 'warm-bowl' }
  | { readonly code: 'warm-oil'; readonly toC: number }
  | { readonly code: 'halve-oil' }
  | { readonly code: 'thin-with'; readonly ingredientId: IngredientId; readonly massG: number }
  | { readonly code: 'thicken-with-oil'; readonly volumeMl: number; readonly plan: PourPlan }
  | { readonly code: 'thicken-with-gum'; readonly massG: number }
  | { readonly code: 'stand-out'; readonly seconds: number; readonly toC: number }
  | { readonly code: 'lukewarm-bath' }
  | { readonly code: 'shake-again' };

export interface Rescue {
  readonly steps: readonly RescueStep[];
  /** What it brings that was not in it; null where nothing. */
  readonly brings: IngredientId | null;
}

export interface RescueContext {
  readonly request: HoldRequest;
  readonly state: EmulsionState;
  readonly roomC: number;
  readonly volumeMl: number;
  /** What is in the dressing. */
  readonly ingredients: readonly Ingredient[];
  readonly wanted?: ThicknessClass;
  /** Waters down with this: vinegar, citrus, or water. */
  readonly thinners: readonly Ingredient[];
}

const OIL_PER_YOLK_ML = 200;
const OIL_PER_MUSTARD_ML = 100;
const MUSTARD_TSP_G = 5.1;
const YOLK_G = 17;
const SAFE_OIL = 0.8;
const FRIDGE_C = 4;
const ABOVE_CLOUD_K = 4;

export function rescue(trouble: Trouble, context: RescueContext): readonly Rescue[] {
  switch (trouble) {
    case 'split':
      return splitRescues(context);
    case 'wont-take':
      return [wontTake(context)];
    case 'too-thick':
      return context.thinners.flatMap((thinner) => {
        const massG = thinToG(
          context.request,
          context.state,
          emulsionPartOf(thinner),
          context.wanted ?? 'pours-like-cream',
        );
        return massG
          ? [{ steps: [{ code: 'thin-with', ingredientId: thinner.id, massG }], brings: null } as const]
          : [];
      });
    case 'too-thin':
      return tooThin(context);
    case 'set-in-fridge':
      return [setInFridge(context)];
  }
}

/** A new base in a clean bowl from the binder the dressing already has; the broken sauce is dripped into it. */
function splitRescues(context: RescueContext): readonly Rescue[] {
  const { state, request, volumeMl, ingredients } = context;
  const { tool } = request.mixing;
  const oilMl = (state.phases.freeOilM3 + state.phases.preEmulsifiedM3) * 1e6;
  const watersideMl = state.phases.continuousM3 * 1e6;
  const base = (kind: EmulsifierKind): { id: IngredientId; massG: number; has: boolean } => {
    const own = ingredients.find(
      (ingredient) => emulsionPartOf(ingredient).emulsifier === kind && ingredient.category === 'emulsifier',
    );
    const yolks = Math.max(1, Math.ceil(oilMl / OIL_PER_YOLK_ML));
    return kind === 'yolk'
      ? { id: own?.id ?? ('egg_yolk_past' as IngredientId), massG: yolks * YOLK_G, has: own !== undefined }
      : {
          id: own?.id ?? ('mustard_dijon' as IngredientId),
          // A new base begins with a teaspoon at least.
          massG: Math.max(1, oilMl / OIL_PER_MUSTARD_ML) * MUSTARD_TSP_G,
          has: own !== undefined,
        };
  };
  const kinds: readonly EmulsifierKind[] = ['yolk', 'mustard'];
  return kinds
    .map((kind) => base(kind))
    .sort((a, b) => Number(b.has) - Number(a.has))
    .map(({ id, massG, has }): Rescue => {
      // Brings the oil down to four fifths.
      const waterMl = Math.max(5, (oilMl * (1 - SAFE_OIL)) / SAFE_OIL - watersideMl - massG);
      const plan = pourPlan(massG + waterMl, volumeMl, tool === 'shake' ? 'whisk' : tool);
      return {
        steps: [
          { code: 'new-base', ingredientId: id, massG, waterMl },
          { code: 'drip-in', volumeMl, plan },
        ],
        brings: has ? null : id,
      };
    });
}

function wontTake({ state, request: { temperatureC }, ingredients }: RescueContext): Rescue {
  const { phases, limit } = state;
  const most = limit.mostOil;
  const steps: RescueStep[] = [];
  const hasYolk = ingredients.some((ingredient) => emulsionPartOf(ingredient).emulsifier === 'yolk');
  if (hasYolk && temperatureC < 15) steps.push({ code: 'warm-bowl' });
  const cloud = Math.max(...phases.oils.map(({ id, share }) => cloudPointC(oilValuesOf(id), share)), -50);
  if (temperatureC < cloud) steps.push({ code: 'warm-oil', toC: Math.ceil(cloud + 5) });
  const oilM3 = phases.freeOilM3 + phases.preEmulsifiedM3;
  const shortM3 = (oilM3 * (1 - most)) / most - phases.continuousM3;
  steps.push({ code: 'add-water-first', volumeMl: Math.max(5, shortM3 * 1e6) }, { code: 'halve-oil' });
  return { steps, brings: null };
}

function tooThin(context: RescueContext): readonly Rescue[] {
  const { state, request, volumeMl } = context;
  const { tool } = request.mixing;
  const found: Rescue[] = [];
  const oilMl = thickenWithOilMl(request, context.wanted ?? 'coats-a-spoon');
  if (oilMl) {
    found.push({
      steps: [
        {
          code: 'thicken-with-oil',
          volumeMl: oilMl,
          plan: pourPlan(volumeMl, oilMl, tool === 'shake' ? 'whisk' : tool, 20, false),
        },
      ],
      brings: null,
    });
  }
  // A tenth of a per cent of the water side, slurried in oil first.
  const massG = 0.001 * state.phases.continuousKg * 1000;
  const has = context.ingredients.some(({ id }) => id === 'xanthan');
  found.push({
    steps: [{ code: 'thicken-with-gum', massG }],
    brings: has ? null : ('xanthan' as IngredientId),
  });
  return found;
}

function setInFridge({ state, roomC, volumeMl }: RescueContext): Rescue {
  const cloud = Math.max(
    ...state.phases.oils.map(({ id, share }) => cloudPointC(oilValuesOf(id), share)),
    -50,
  );
  const toC = cloud + ABOVE_CLOUD_K;
  const steps: RescueStep[] = [];
  if (toC > FRIDGE_C && toC < roomC) {
    steps.push({ code: 'stand-out', seconds: timeToReachS(FRIDGE_C, roomC, toC, volumeMl), toC });
    steps.push({ code: 'lukewarm-bath' });
  }
  steps.push({ code: 'shake-again' });
  return { steps, brings: null };
}
