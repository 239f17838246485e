/** A making planned from a reckoned version: amounts scaled, order and deeds from what the hold asks for. */
import {
  ROOM_C,
  emulsionState,
  holdRequest,
  makingTips,
  USUAL_HEIGHT_M,
  type MakingTip,
} from '#core/emulsion';
import type { Tool } from '#core/formula';
import type { IngredientId } from '#core/ingredient';
import { exactly } from '#core/quantity';
import type { JudgedPortion, Judgement, Reckoning } from '#core/reckoning';
import type { Vessel } from '#core/vessel';
import type { MakingPlan } from './making';
import { makingSteps, type DoStep, type Step, type StepLine } from './step';

export interface MakingSetting {
  /** Times the version's own amounts, > 0. */
  readonly scaleFactor: number;
  readonly tool: Tool;
  readonly seconds: number;
  readonly roomC: number | null;
  readonly bottles: Readonly<Partial<Record<IngredientId, string>>>;
  readonly vessel: Vessel;
}

/** A line that nobody could read, and whether it belongs before the oil. */
interface Unread {
  readonly early: boolean;
  readonly step: DoStep;
}

/**
 * Stage by stage, each to its end: what is made can be stopped, tasted and gone on from there.
 *
 * @throws RangeError where the scale factor is no number above 0
 */
export function planMaking(reckoning: Reckoning, judgement: Judgement, setting: MakingSetting): MakingPlan {
  const { scaleFactor, tool, seconds, roomC, bottles } = setting;
  if (!(scaleFactor > 0 && Number.isFinite(scaleFactor)))
    throw new RangeError('How much to make must be more than nothing.');
  const plannedVolumeMl = reckoning.totals.mixedVolumeMl * scaleFactor;
  const portions = judgement.portions.map((portion) => ({
    ...portion,
    massG: exactly(portion.massG.nominal * scaleFactor),
  }));
  const tips = tipsFor(portions, plannedVolumeMl, setting);
  const counted = reckoning.additions.filter((entry) => entry.counted);
  const stages = [...new Set(counted.map(({ addition }) => addition.stage))].sort((x, y) => x - y);
  return {
    scaleFactor,
    plannedVolumeMl,
    tool,
    seconds,
    roomC,
    bottles,
    steps: stages.flatMap((stage, place) =>
      stageSteps(
        counted.filter(({ addition }) => addition.stage === stage),
        tips,
        setting,
        // Deeds of two stages are two.
      ).map((step) =>
        place > 0 && step.kind === 'do' && step.deed !== 'said'
          ? { ...step, id: `${step.id}-${stage}` }
          : step,
      ),
    ),
  };
}

function stageSteps(
  counted: Reckoning['additions'],
  tips: readonly MakingTip[],
  { scaleFactor, tool, seconds }: MakingSetting,
): readonly Step[] {
  const lines = counted.flatMap(({ addition, reading }): StepLine[] => {
    if (reading.status !== 'read') return [];
    const massG = reading.massG.nominal * scaleFactor;
    return [
      {
        id: addition.id,
        ingredient: reading.ingredient,
        form: addition.form,
        massG: massG > 0 ? massG : null,
        said: Math.abs(scaleFactor - 1) < 1e-9 ? addition.amountText : '',
      },
    ];
  });
  const unread = counted.flatMap(({ addition, reading }): Unread[] =>
    reading.status === 'read'
      ? []
      : [
          {
            early: addition.phase === 'base',
            step: {
              kind: 'do',
              id: addition.id,
              deed: 'said',
              seconds: null,
              said: `${addition.amountText} ${addition.ingredientText}`.trim(),
            },
          },
        ],
  );
  const steps = makingSteps(lines, tips, { tool, seconds });
  // What could not be read goes where its part of the formula does: with the base before the oil, else before the last deed.
  const mix = steps.at(-1)?.kind === 'do' ? steps.length - 1 : steps.length;
  const oils = new Set(lines.filter(({ ingredient }) => ingredient.category === 'oil').map(({ id }) => id));
  const oil = steps.findIndex(({ id }) => oils.has(id));
  const first = oil < 0 ? mix : oil;
  const stepsOf = (early: boolean): readonly DoStep[] =>
    unread.filter((one) => one.early === early).map(({ step }) => step);
  return [
    ...steps.slice(0, first),
    ...stepsOf(true),
    ...steps.slice(first, mix),
    ...stepsOf(false),
    ...steps.slice(mix),
  ];
}

/** What has to be minded in the making, from what the hold asks for. @param volumeMl of what is made at once */
export function tipsFor(
  portions: readonly JudgedPortion[],
  volumeMl: number,
  { tool, seconds, roomC, vessel }: Pick<MakingSetting, 'tool' | 'seconds' | 'roomC' | 'vessel'>,
): readonly MakingTip[] {
  if (portions.length === 0 || !(volumeMl > 0)) return [];
  const request = holdRequest(portions, {
    tool,
    seconds,
    volumeMl,
    heightM: USUAL_HEIGHT_M,
    temperatureC: roomC ?? ROOM_C,
    fillShare: Math.min(1, volumeMl / vessel.brimfulVolumeMl),
  });
  return makingTips(
    portions.map(({ ingredient, form, massG }) => ({ ingredient, form, massG: massG.nominal })),
    emulsionState(request),
    { tool, seconds, volumeMl, brimfulMl: vessel.brimfulVolumeMl, closes: vessel.closes },
  );
}
