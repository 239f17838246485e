/** Batches of the invented kitchen: one recorded, one half weighed, one planned. */
import type { By } from '#contract';
import { DEFAULT_SETTINGS } from '#contract';
import {
  type BatchPlan,
  loadMaking,
  planBatch,
  snapshotOf,
  type BatchEvent,
  type BatchRequest,
} from '#core/batch';
import { finish } from '#core/balance';
import type { FormulaId, Tool, VesselId } from '#core/formula';
import { measuringWith, REFERENCE_CATALOGUE, type IngredientId } from '#core/ingredient';
import { judgeFormula, reckonFormula, type Reckoning } from '#core/reckoning';
import { recordSafety } from '#core/safety';
import type { MakingPlan, TrialEvent, VersionState } from '#core/trial';
import { STARTING_VESSELS } from '#core/vessel';
import type { BatchStore } from '../features/batches/store';
import type { TrialStore } from '../features/trials/store';
import { DEMO_FORMULAS, DEMO_PANTRY } from './demoKitchen';
import { demoFormula } from './loadDemo';
import { batchLinesOf } from '#kitchen/batch';

interface DemoBatch {
  readonly formulaId: string;
  readonly version: number;
  readonly cook: 'ida' | 'bo' | 'runa';
  readonly daysAgo: number;
  readonly litres: number;
  readonly tool: Tool;
  readonly mixingVesselId: string;
  readonly storageId: string;
  readonly versionState: VersionState;
  /** How many loads are weighed out; all: combined, tasted and recorded. */
  readonly weighed: number | 'all';
}

export const DEMO_BATCHES: readonly DemoBatch[] = [
  {
    formulaId: 'walnut-cider',
    version: 2,
    cook: 'bo',
    daysAgo: 2,
    litres: 6,
    weighed: 'all',
    tool: 'stick-pro',
    mixingVesselId: 'bucket_10000',
    storageId: 'preserving_jar_1000',
    versionState: 'proven',
  },
  {
    formulaId: 'walnut-cider',
    version: 2,
    cook: 'runa',
    daysAgo: 0,
    litres: 12,
    weighed: 1,
    tool: 'stick-pro',
    mixingVesselId: 'bucket_10000',
    storageId: 'tub_2500',
    versionState: 'proven',
  },
  {
    formulaId: 'house-mayonnaise',
    version: 2,
    cook: 'runa',
    daysAgo: 0,
    litres: 2,
    weighed: 0,
    tool: 'processor',
    mixingVesselId: 'bowl_1500',
    storageId: 'preserving_jar_500',
    versionState: 'tried',
  },
];

const STOCK: BatchRequest['stock'] = new Map(
  DEMO_PANTRY.map(([id, onHandG, price, packMassG]) => [
    id as IngredientId,
    { onHandG, price: price !== null && packMassG !== null ? { price, packMassG } : null },
  ]),
);

const vesselOf = (id: string) => STARTING_VESSELS.find((vessel) => vessel.id === id)!;

const writtenFor = ({ formulaId }: DemoBatch) => DEMO_FORMULAS.find(({ id }) => id === formulaId)!;

function reckoningFor(demo: DemoBatch): Reckoning {
  const written = writtenFor(demo);
  const formula = demoFormula(written).versions[demo.version - 1]!;
  return reckonFormula(formula, vesselOf(formula.vesselId), {
    catalogue: REFERENCE_CATALOGUE,
    measuring: measuringWith(written.spoons),
    decimalSign: 'point',
  });
}

function requestFor(demo: DemoBatch, reckoning: Reckoning): BatchRequest {
  const { batch, servingVolumeMl } = DEFAULT_SETTINGS;
  return {
    lines: batchLinesOf(reckoning),
    target: { kind: 'volume', volumeMl: demo.litres * 1000 },
    lossShare: batch.lossShare,
    school: 'hold-back',
    holdBack: batch.holdBack,
    scale: batch.scale,
    rounding: { kind: 'mixed', readabilityG: batch.scale.readabilityG, spoons: writtenFor(demo).spoons },
    tool: demo.tool,
    mixingVessel: vesselOf(demo.mixingVesselId),
    loadsAs: 'equal',
    storage: vesselOf(demo.storageId),
    cooling: { startC: 18, fridgeC: batch.fridgeC },
    mustBeCold: true,
    style: null,
    portionMl: servingVolumeMl,
    stock: STOCK,
  };
}

/** @param at the stores as they would have been at that time */
export async function loadBatches(
  at: (time: Date) => { readonly jars: TrialStore; readonly batches: BatchStore },
  now: Date,
): Promise<void> {
  for (const [index, demo] of DEMO_BATCHES.entries())
    await loadBatch(demo, `demo-batch-${index + 1}`, at, now);
}

async function loadBatch(
  demo: DemoBatch,
  id: string,
  at: Parameters<typeof loadBatches>[0],
  now: Date,
): Promise<void> {
  const reckoning = reckoningFor(demo);
  const request = requestFor(demo, reckoning);
  const plan = finish(planBatch(request));
  if (plan.status !== 'planned') throw new Error(`Demo ${id} cannot be planned: ${plan.problem.code}.`);
  const began = new Date(now.getTime() - demo.daysAgo * 86_400_000 - 3 * 3_600_000);
  const by = { cookId: demo.cook, deviceId: 'demo' };
  const makings = plan.loads.map((load) =>
    loadMaking(plan, load, {
      tool: demo.tool,
      roomC: 19,
      bottles: {},
      vessel: request.mixingVessel,
      unread: [],
    }),
  );
  await at(began).batches.begin({
    id,
    formulaId: demo.formulaId as FormulaId,
    version: demo.version,
    day: began.toISOString().slice(0, 10),
    by,
    plan: snapshotOf(plan, request, {
      target: `${demo.litres} l`,
      toTaste: [],
      styleId: null,
      versionState: demo.versionState,
      found: recordSafety(judgeFormula(reckoning)),
    }),
    loads: makings.map((making, i) => ({ trialId: `${id}-load-${i + 1}`, making })),
  });
  let minutes = 4;
  const soon = (): Date => new Date(began.getTime() + (minutes += 1) * 60_000);
  const count = demo.weighed === 'all' ? makings.length : demo.weighed;
  for (const [i, making] of makings.slice(0, count).entries()) {
    for (const event of asPlanned(making)) {
      const time = soon();
      await at(time).jars.append(`${id}-load-${i + 1}`, { id: `${id}-${minutes}`, event, by });
    }
  }
  if (demo.weighed === 'all') await finishBatch({ id, by, at, plan, soon, place: () => minutes });
}

interface Finishing {
  readonly id: string;
  readonly by: By;
  readonly at: Parameters<typeof loadBatches>[0];
  readonly plan: Pick<BatchPlan, 'lines'>;
  readonly soon: () => Date;
  /** Counts up with the minutes, so that every event has an id of its own. */
  readonly place: () => number;
}
/** Combined, finished by taste, and recorded. */
async function finishBatch({ id, by, at, plan, soon, place }: Finishing): Promise<void> {
  const whole = `${id}-whole`;
  await at(soon()).batches.combine(id, { trialId: whole, vesselId: 'bucket_10000' as VesselId, by });
  const aside = plan.lines.filter(({ asideG }) => asideG > 0);
  const finished: readonly TrialEvent[] = [
    {
      kind: 'added',
      note: '',
      way: 'kept-aside',
      lines: aside.map(({ ingredient, form, asideG }) => ({
        ingredientId: ingredient.id,
        form,
        massG: Math.round(asideG * 8) / 10,
      })),
    },
    {
      kind: 'tasted',
      on: 'leaf',
      temperatureC: 18,
      minutesAfterShake: 5,
      rows: {},
      bite: null,
      flat: false,
      right: true,
      note: 'four fifths of what was kept aside is enough',
      drawnG: 4,
    },
  ];
  for (const event of finished) {
    const time = soon();
    await at(time).jars.append(whole, { id: `${id}-${place()}`, event, by });
  }
  const said: readonly Exclude<BatchEvent, { kind: 'combined' }>[] = [
    { kind: 'temperature', where: 'mixed', value: 18.5, reading: { source: 'typed', deviceId: '' } },
    { kind: 'verdict', right: true, note: '' },
    { kind: 'signed', name: 'Bo' },
  ];
  for (const event of said) {
    const time = soon();
    await at(time).batches.append(id, { id: `${id}-${place()}`, event, by });
  }
}

const asPlanned = ({ steps }: MakingPlan): readonly TrialEvent[] =>
  steps.map((step): TrialEvent =>
    step.kind === 'weigh'
      ? {
          kind: 'took',
          stepId: step.id,
          line: step.line,
          seen: null,
          reading: { source: 'typed', deviceId: '' },
        }
      : { kind: 'did', stepId: step.id },
  );
