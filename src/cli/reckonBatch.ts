/** Scaling to a batch for the command line: the very plan of the screens, with kitchen defaults of its own. */
import { DEFAULT_SETTINGS } from '#contract';
import { finish } from '#core/balance';
import {
  batchSize,
  planBatch,
  usualBatchTool,
  type BatchLine,
  type BatchTarget,
  type RoundingKind,
  type School,
} from '#core/batch';
import { sayBatchProblem } from '#words/batch';
import { hold } from '#core/emulsion';
import { sayHold } from '#words/hold';
import type { Tool } from '#core/formula';
import type { Style } from '#core/palate';
import type { SpoonSystem } from '#core/quantity';
import type { JudgedPortion } from '#core/reckoning';
import { STARTING_VESSELS, type Vessel } from '#core/vessel';

export interface BatchAsk {
  readonly target: BatchTarget;
  readonly rounding: RoundingKind;
  readonly readabilityG: number;
  readonly spoons: SpoonSystem;
  readonly school: School;
  readonly tool: Tool | null;
  readonly vesselMl: number | null;
  readonly lossShare: number;
  readonly style: Style | null;
}

export class CannotPlan extends Error {}

/** "12 l", "5 kg", "60 portions", "60 x 30 ml", "24 jars x 250 ml"; null where it is none. */
export function readTarget(text: string): BatchTarget | null {
  const sized = /^(\d+(?:[.,]\d+)?) ?(ml|cl|dl|l|g|kg)$/i.exec(text.trim());
  if (sized) {
    const amount = Number(sized[1]!.replace(',', '.'));
    const unit = sized[2]!.toLowerCase();
    const massPer: Partial<Record<string, number>> = { g: 1, kg: 1000 };
    const mlPer: Partial<Record<string, number>> = { ml: 1, cl: 10, dl: 100, l: 1000 };
    const perUnit = massPer[unit];
    return perUnit === undefined
      ? { kind: 'volume', volumeMl: amount * mlPer[unit]! }
      : { kind: 'mass', massG: amount * perUnit };
  }
  const counted = /^(\d+) ?(portions?|jars?)?(?: ?(?:x|×|of) ?(\d+(?:\.\d+)?) ?ml)?$/i.exec(text.trim());
  if (!counted || (counted[2] === undefined && counted[3] === undefined)) return null;
  const [count, ml] = [Number(counted[1]), counted[3] === undefined ? null : Number(counted[3])];
  return counted[2]?.toLowerCase().startsWith('jar')
    ? ml === null
      ? null
      : { kind: 'jars', jars: count, jarMl: ml, fillShare: 1 }
    : { kind: 'portions', portions: count, portionMl: ml ?? DEFAULT_SETTINGS.servingVolumeMl };
}

/** A vessel as large as it has to be: the tool alone then sets the load. */
const roomy = (ml: number | null): Vessel => {
  const bowl = STARTING_VESSELS.find(({ closes }) => !closes)!;
  const brimfulVolumeMl = ml ?? 1e6;
  return { ...bowl, name: 'vessel', nominalVolumeMl: brimfulVolumeMl, brimfulVolumeMl };
};

/** @throws CannotPlan with what to do */
export function batchFrom(portions: readonly JudgedPortion[], texts: readonly string[], ask: BatchAsk) {
  const lines = portions.map(({ ingredient, form, massG }, i): BatchLine => ({
    id: `line-${i + 1}`,
    ingredient,
    form,
    phase: 'base',
    massG: massG.nominal,
    said: texts[i] ?? '',
  }));
  const { batch } = DEFAULT_SETTINGS;
  const size = batchSize(lines, ask.target, ask.lossShare, () => null);
  const tool = ask.tool ?? usualBatchTool(size.status === 'sized' ? size.madeMl : 1000);
  const say = (amount: number, unit: string): string => `${Number(amount.toPrecision(3))} ${unit}`;
  const plan = finish(
    planBatch({
      lines,
      target: ask.target,
      lossShare: ask.lossShare,
      school: ask.school,
      holdBack: batch.holdBack,
      rounding: { kind: ask.rounding, readabilityG: ask.readabilityG, spoons: ask.spoons },
      scale: { ...batch.scale, readabilityG: ask.readabilityG },
      tool,
      mixingVessel: roomy(ask.vesselMl),
      loadsAs: 'equal',
      storage: null,
      cooling: { startC: 20, fridgeC: batch.fridgeC },
      mustBeCold: false,
      style: ask.style,
      portionMl: DEFAULT_SETTINGS.servingVolumeMl,
      stock: new Map(),
    }),
  );
  if (plan.status === 'cannot') throw new CannotPlan(sayBatchProblem(plan.problem, tool, say));
  const [jar, large] = [hold(plan.holds.jar), hold(plan.holds.batch)];
  return {
    batch: {
      scaleFactor: plan.scaleFactor,
      mixedVolumeMl: plan.madeMl,
      yieldMl: plan.yieldMl,
      massG: plan.massG,
      tool,
      additions: plan.lines.map(({ ingredient, exactG, plannedG, asideG, heldBack }) => ({
        ingredientId: ingredient.id,
        exactG,
        plannedG,
        ...(heldBack.how === 'held-back' ? { heldBackG: asideG } : {}),
        ...(heldBack.how === 'per-service' ? { perServiceG: asideG } : {}),
      })),
      loads: plan.loads.map((load) => ({
        volumeMl: load.volumeMl,
        massG: load.massG,
        mixSeconds: load.mixSeconds,
        pourSeconds: load.pour.status === 'stages' ? load.pour.totalS : null,
        powerWPerL: load.powerWPerL,
        additions: load.lines.map(({ line, massG, text, how, pours }) => ({
          ingredientId: line.ingredient.id,
          massG,
          text,
          how,
          pours,
        })),
      })),
      rounding: plan.rounding,
      drift: plan.drift,
      hold: { jar: jar && sayHold(jar), batch: large && sayHold(large) },
      pullList: plan.pullList.lines.map(({ ingredient, neededG, asBoughtG, unit, count }) => ({
        ingredientId: ingredient.id,
        neededG,
        asBoughtG,
        count,
        unit: unit.kind === 'counted' ? unit.unit : unit.kind,
      })),
    },
  };
}
