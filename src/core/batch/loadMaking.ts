/** A load as a making of its own, so that it is weighed out like a jar: one step at a time, each pour a step. */
import type { Tool } from '#core/formula';
import type { Ingredient, IngredientId } from '#core/ingredient';
import { exactly } from '#core/quantity';
import { makingSteps, tipsFor, type MakingPlan, type Step, type StepLine, type StepNote } from '#core/trial';
import type { Vessel } from '#core/vessel';
import type { BatchLoad, BatchPlan, LoadLine } from './planBatch';

export interface LoadSetting {
  readonly tool: Tool;
  readonly roomC: number | null;
  readonly bottles: Readonly<Partial<Record<IngredientId, string>>>;
  readonly vessel: Vessel;
  /** Lines nobody could read, as they were typed. */
  readonly unread: readonly string[];
}

export function loadMaking(plan: BatchPlan, load: BatchLoad, setting: LoadSetting): MakingPlan {
  const { tool, roomC, bottles, vessel, unread } = setting;
  const seconds = Math.max(1, Math.round(load.mixSeconds));
  const byId = new Map(load.lines.map((entry) => [entry.line.id, entry]));
  const lines = load.lines.map(({ line, massG, text, carrier }): StepLine => ({
    id: line.id,
    ingredient: line.ingredient,
    form: line.form,
    massG,
    said: carrier ? '' : (text ?? ''),
    ...(carrier ? { note: diluted(massG, carrier) } : {}),
  }));
  const portions = load.lines.map(({ line, massG }) => ({
    ingredient: line.ingredient,
    form: line.form,
    massG: exactly(massG),
  }));
  const steps = makingSteps(lines, tipsFor(portions, load.volumeMl, { tool, seconds, roomC, vessel }), {
    tool,
    seconds,
  });
  const said = unread.map((text, i): Step => ({
    kind: 'do',
    id: `unread-${i + 1}`,
    deed: 'said',
    seconds: null,
    said: text,
  }));
  // What a jar's whisk has done by the last drop of oil, litres still need: every load has its mixing.
  const mixing = steps.find((step) => step.id === MIX_ID) ?? mixFor(seconds);
  const all = [...steps.filter((step) => step !== mixing), ...said, mixing];
  return {
    scaleFactor: plan.scaleFactor * (load.volumeMl / plan.madeMl),
    plannedVolumeMl: load.volumeMl,
    tool,
    seconds,
    roomC,
    bottles,
    steps: all.flatMap((step) => inPours(step, byId)),
  };
}

const MIX_ID = 'do-mix';
const mixFor = (seconds: number): Step => ({ kind: 'do', id: MIX_ID, deed: 'mix', seconds, said: '' });

function inPours(step: Step, byId: ReadonlyMap<string, LoadLine>): readonly Step[] {
  const pours = step.kind === 'weigh' ? byId.get(step.id)?.pours : undefined;
  if (step.kind !== 'weigh' || !pours || pours.length < 2) return [step];
  return pours.map((massG, i) => ({
    ...step,
    id: i === 0 ? step.id : `${step.id}.${i + 1}`,
    line: { ...step.line, massG },
    said: '',
    note: { code: 'pour', pour: i + 1, of: pours.length },
  }));
}

const diluted = (massG: number, { id }: Ingredient): StepNote => ({
  code: 'dilution',
  carrierId: id,
  takeG: Number((massG * 10).toFixed(2)),
});
