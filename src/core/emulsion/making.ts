/** How to make it hold, from what is in it: order, what to do first, what to mind. Common practice; sums computed. */
import type { Tool } from '#core/formula';
import { ROOM_C } from './holdOf';
import type { Ingredient } from '#core/ingredient';
import type { EmulsionState } from './state';
import { cloudPointC, oilValuesOf, solidFraction, timeToReachS } from './oils';
import { emulsionPartOf } from './madePart';
import { pourPlan, type PourPlan } from './pour';
import { TOOL_VALUES } from './tools';

export interface MakingLine {
  readonly ingredient: Ingredient;
  readonly form: string;
  readonly massG: number;
}

type PlainCode =
  | 'garlic-alone'
  | 'rub-dried-herbs'
  | 'salt-into-acid'
  | 'toast-seeds'
  | 'smell-nut-oil'
  | 'green-on-the-day'
  | 'yolk-at-room'
  | 'whisk-base';

export type MakingTip =
  | { readonly code: PlainCode; readonly ingredients: readonly Ingredient[] }
  | { readonly code: 'steep-in-acid'; readonly ingredients: readonly Ingredient[]; readonly minutes: number }
  | { readonly code: 'pour'; readonly plan: PourPlan; readonly tool: Tool; readonly oilMl: number }
  | {
      readonly code: 'too-little-for-tool' | 'too-much-for-tool';
      readonly tool: Tool;
      readonly limitMl: number;
    }
  | { readonly code: 'too-full-to-shake'; readonly mostMl: number }
  | { readonly code: 'blender-bitter'; readonly ingredients: readonly Ingredient[] }
  | { readonly code: 'blender-heat'; readonly risesK: number }
  | { readonly code: 'oil-sets'; readonly ingredients: readonly Ingredient[]; readonly standOutS: number }
  | { readonly code: 'gum-too-little' };

const FRIDGE_C = 4;
const NIGHT_S = 12 * 3600;
/** Net power of a kitchen blender, W, and heat capacity of a dressing, J/(kg K); estimate. */
const BLENDER_W = 150;
const HEAT_J_PER_KG_K = 2800;

interface MakingSetting {
  readonly tool: Tool;
  readonly seconds: number;
  readonly volumeMl: number;
  readonly brimfulMl: number;
  readonly closes: boolean;
}
type Pick = (test: (line: MakingLine) => boolean) => readonly Ingredient[];

/** What to do and to heed in the making, in the order of the work. @param state null: no emulsion */
export function makingTips(
  lines: readonly MakingLine[],
  state: EmulsionState | null,
  setting: MakingSetting,
): readonly MakingTip[] {
  const pick: Pick = (test) => [...new Set(lines.filter(test).map(({ ingredient }) => ingredient))];
  const massG = lines.reduce((sum, line) => sum + line.massG, 0);
  return [
    ...beforeTheOil(pick),
    ...pouring(state, setting),
    ...forTheTool(pick, massG, setting),
    ...inTheFridge(pick, state, setting),
  ];
}

function beforeTheOil(pick: Pick): readonly MakingTip[] {
  const tips: MakingTip[] = [];
  const when = (code: PlainCode, ingredients: readonly Ingredient[]): void => {
    if (ingredients.length > 0) tips.push({ code, ingredients });
  };
  const acids = pick(({ ingredient }) => ingredient.isAcidLiquid);
  when(
    'toast-seeds',
    pick(
      ({ ingredient, form }) =>
        ingredient.category === 'spice' &&
        /seed|cumin|caraway|coriander|fennel|poppy|sesame/i.test(ingredient.name) &&
        !/toast/i.test(form),
    ),
  );
  when(
    'rub-dried-herbs',
    pick(({ ingredient }) => /dry$/.test(ingredient.id)),
  );
  when(
    'garlic-alone',
    pick(({ ingredient, form }) => ingredient.id === 'garlic' && !/powder|whole/i.test(form)),
  );
  when(
    'yolk-at-room',
    pick(
      ({ ingredient }) =>
        emulsionPartOf(ingredient).emulsifier === 'yolk' &&
        ingredient.hazards.some((hazard) => /egg/.test(hazard)),
    ),
  );
  if (acids.length > 0)
    when(
      'salt-into-acid',
      pick(({ ingredient }) => ingredient.category === 'salt'),
    );
  const alliums = pick(({ ingredient }) =>
    ['garlic', 'shallot', 'onion_red', 'onion_white', 'scallion'].includes(ingredient.id),
  );
  if (acids.length > 0 && alliums.length > 0)
    tips.push({ code: 'steep-in-acid', ingredients: alliums, minutes: 10 });
  when(
    'smell-nut-oil',
    pick(
      ({ ingredient }) =>
        /walnut|hazelnut|sesame|pumpkin|flax/.test(ingredient.id) && ingredient.category === 'oil',
    ),
  );
  return tips;
}

function pouring(state: EmulsionState | null, { volumeMl, tool }: MakingSetting): readonly MakingTip[] {
  const oilMl = (state?.phases.freeOilM3 ?? 0) * 1e6;
  if (oilMl <= 0) return [];
  const plan = pourPlan(Math.max(5, volumeMl - oilMl), oilMl, tool);
  return [
    ...(plan.status === 'stages' ? [{ code: 'whisk-base', ingredients: [] } as const] : []),
    { code: 'pour', plan, tool, oilMl },
  ];
}

function forTheTool(pick: Pick, massG: number, setting: MakingSetting): readonly MakingTip[] {
  const { tool, seconds, volumeMl, brimfulMl, closes } = setting;
  const tips: MakingTip[] = [];
  const { leastMl, mostMl, shearsHard } = TOOL_VALUES[tool];
  if (volumeMl < leastMl) tips.push({ code: 'too-little-for-tool', tool, limitMl: leastMl });
  if (volumeMl > mostMl) tips.push({ code: 'too-much-for-tool', tool, limitMl: mostMl });
  if (tool === 'shake' && closes && volumeMl > 0.75 * brimfulMl)
    tips.push({ code: 'too-full-to-shake', mostMl: 0.75 * brimfulMl });
  const bitter = pick(
    ({ ingredient }) => ingredient.pungencyIndex.bitterOil >= 1 && ingredient.category === 'oil',
  );
  if (shearsHard && seconds > 30 && bitter.length > 0)
    tips.push({ code: 'blender-bitter', ingredients: bitter });
  const massKg = massG / 1000;
  const risesK = shearsHard && massKg > 0 ? (BLENDER_W * seconds) / (massKg * HEAT_J_PER_KG_K) : 0;
  if (ROOM_C + risesK > 40) tips.push({ code: 'blender-heat', risesK });
  return tips;
}

function inTheFridge(
  pick: Pick,
  state: EmulsionState | null,
  { volumeMl }: MakingSetting,
): readonly MakingTip[] {
  const tips: MakingTip[] = [];
  const green = pick(
    ({ ingredient }) => ingredient.category === 'herb' && ingredient.composition.water > 0.3,
  );
  if (green.length > 0 && pick(({ ingredient }) => ingredient.isAcidLiquid).length > 0)
    tips.push({ code: 'green-on-the-day', ingredients: green });
  if (state) {
    const { oils } = state.phases;
    if (solidFraction(oils, FRIDGE_C, NIGHT_S) >= 0.01) {
      const cloud = Math.max(...oils.map(({ id, share }) => cloudPointC(oilValuesOf(id), share)));
      const sets = pick(({ ingredient }) =>
        oils.some(({ id, share }) => id === ingredient.id && cloudPointC(oilValuesOf(id), share) > FRIDGE_C),
      );
      const to = Math.min(cloud + 4, ROOM_C - 1);
      tips.push({
        code: 'oil-sets',
        ingredients: sets,
        standOutS: to > FRIDGE_C ? timeToReachS(FRIDGE_C, ROOM_C, to, volumeMl) : 0,
      });
    }
    if (state.phases.gumOfWater > 0 && state.phases.gumOfWater < 8e-4) tips.push({ code: 'gum-too-little' });
  }
  return tips;
}
