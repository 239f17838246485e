/**
 * Steps of a making: what is weighed and what is done, one after the other. Order: acids and water
 * first, salt into them and stirred, then the base as the cook wrote it, free oils last. Common practice.
 */
import type { MakingTip, RescueStep } from '#core/emulsion';
import { TOOL_VALUES } from '#core/emulsion';
import { restOf, type Tool } from '#core/formula';
import type { Ingredient, IngredientId } from '#core/ingredient';

/** One thing of a known weight, in a jar or to be put into one. */
export interface TrialLine {
  readonly ingredientId: IngredientId;
  readonly form: string;
  /** > 0. */
  readonly massG: number;
}

export type Deed = 'stir' | 'steep' | 'whisk-base' | 'mix' | 'said';
export const DEEDS: readonly Deed[] = ['stir', 'steep', 'whisk-base', 'mix', 'said'];

/** What is to be said at a step beside its name, as a finding: put into words only where it is shown. */
export type StepNote =
  | { readonly code: 'steep'; readonly ingredientIds: readonly IngredientId[] }
  /** Left to stand because the line says so; `inAcid`: what is left lies in it. */
  | { readonly code: 'rest'; readonly ingredientIds: readonly IngredientId[] }
  | { readonly code: 'pour'; readonly pour: number; readonly of: number }
  /** One part in nine parts of the carrier; this much of that is taken. */
  | { readonly code: 'dilution'; readonly carrierId: IngredientId; readonly takeG: number }
  | { readonly code: 'rescue'; readonly step: RescueStep };

export interface WeighStep {
  readonly kind: 'weigh';
  readonly id: string;
  /** As planned when the making began. */
  readonly line: TrialLine;
  /** The amount as it was typed; empty where it was reckoned. */
  readonly said: string;
  readonly note?: StepNote | undefined;
  /** Oil that goes in at a pace. */
  readonly paced: boolean;
}
/** "To taste": nothing is weighed, what goes in may be. */
export interface ToTasteStep {
  readonly kind: 'to-taste';
  readonly id: string;
  readonly ingredientId: IngredientId;
  readonly form: string;
  readonly said: string;
}
export interface DoStep {
  readonly kind: 'do';
  readonly id: string;
  readonly deed: Deed;
  /** Null: until it is so. */
  readonly seconds: number | null;
  /** Words of their own; empty where the deed or the note says it. */
  readonly said: string;
  readonly note?: StepNote | undefined;
}
export type Step = WeighStep | ToTasteStep | DoStep;

export interface StepLine {
  readonly id: string;
  readonly ingredient: Ingredient;
  readonly form: string;
  /** Null: to taste. */
  readonly massG: number | null;
  readonly said: string;
  readonly note?: StepNote | undefined;
}

const STIR_S = 30;
const WHISK_S = 30;

/**
 * @param lines in the formula's own order
 * @param tips of the hold: what they say has to be done becomes a step
 */
export function makingSteps(
  lines: readonly StepLine[],
  tips: readonly MakingTip[],
  { tool, seconds }: { readonly tool: Tool; readonly seconds: number },
): readonly Step[] {
  const isOil = ({ ingredient }: StepLine): boolean => ingredient.category === 'oil';
  const isAcid = ({ ingredient }: StepLine): boolean => ingredient.isAcidLiquid;
  const isSalt = ({ ingredient }: StepLine): boolean => ingredient.category === 'salt';
  const has = (code: MakingTip['code']): boolean => tips.some((tip) => tip.code === code);
  const pour = tips.find((tip) => tip.code === 'pour');
  const paced = pour?.plan.status === 'stages';
  const acids = lines.filter(isAcid);
  const salts = acids.length > 0 ? lines.filter(isSalt) : [];
  const oils = lines.filter(isOil);
  const rest = lines.filter((line) => !acids.includes(line) && !salts.includes(line) && !oils.includes(line));
  const steep = tips.find((tip) => tip.code === 'steep-in-acid');
  const steeped = rest.filter(({ ingredient }) => steep?.ingredients.includes(ingredient));
  const longest = Math.max(
    (steep && steeped.length > 0 ? steep.minutes : 0) * 60,
    ...[...acids, ...salts, ...steeped].map(({ form }) => restOf(form)?.seconds ?? 0),
  );
  const others = rest.filter((line) => !steeped.includes(line));
  const add = (line: StepLine): Step => stepFor(line, paced && isOil(line));
  const steps: Step[] = [...acids.map(add), ...salts.map(add)];
  if (salts.length > 0) steps.push(deed('stir', STIR_S));
  steps.push(...steeped.map(add));
  if (longest > 0) {
    const left = steeped.length > 0 ? steeped : acids;
    const code = steeped.length > 0 ? 'steep' : 'rest';
    steps.push({ ...deed('steep', longest), note: { code, ingredientIds: idsOf(left) } });
  }
  for (const line of others) steps.push(add(line), ...restAfter(line));
  if (has('whisk-base') && oils.length > 0) steps.push(deed('whisk-base', WHISK_S));
  for (const line of oils) steps.push(add(line), ...restAfter(line));
  // What was whisked while the oil went in is mixed already.
  if (lines.length > 0 && !paced)
    steps.push(deed('mix', TOOL_VALUES[tool].uptakeS === null ? seconds : null));
  return steps;
}

const idsOf = (lines: readonly StepLine[]): readonly IngredientId[] => [
  ...new Set(lines.map(({ ingredient }) => ingredient.id)),
];

/** "soaked, left ten minutes": the words of the line say so. */
function restAfter(line: StepLine): readonly DoStep[] {
  const rest = restOf(line.form);
  if (!rest) return [];
  return [
    {
      ...deed('steep', rest.seconds),
      id: `do-rest-${line.id}`,
      note: { code: 'rest', ingredientIds: idsOf([line]) },
    },
  ];
}

function stepFor({ id, ingredient, form, massG, said, note }: StepLine, paced: boolean): Step {
  const ingredientId = ingredient.id;
  return massG !== null && massG > 0
    ? { kind: 'weigh', id, line: { ingredientId, form, massG }, said, paced, ...(note ? { note } : {}) }
    : { kind: 'to-taste', id, ingredientId, form, said };
}

const deed = (what: Deed, seconds: number | null): DoStep => ({
  kind: 'do',
  id: `do-${what}`,
  deed: what,
  seconds,
  said: '',
});
