/**
 * A batch planned from a version: how much, what is held back, which loads, what is weighed in each, what
 * the rounding does to the palate, what has to be fetched. The hold is asked for apart: it takes its time.
 */
import type { Rounding, RoundedLine, Work } from '#core/balance';
import { mixedVolumeMlPerG } from '#core/composition';
import {
  COLD_C,
  emulsionState,
  holdRequest,
  pourPlan,
  ROOM_C,
  USUAL_HEIGHT_M,
  type HoldRequest,
  type PourPlan,
  type ThicknessClass,
} from '#core/emulsion';
import type { Phase, Tool } from '#core/formula';
import type { Ingredient, IngredientId } from '#core/ingredient';
import { PALATE, PALATE_KEYS, palateOf, type Palate, type PalateKey, type Style } from '#core/palate';
import { exactly } from '#core/quantity';
import type { JudgedPortion } from '#core/reckoning';
import { heightOfMl, type Vessel } from '#core/vessel';
import { coolingOf, type Cooling, type CoolingSetting } from './cooling';
import { handWorkOf, type HandWork } from './handWork';
import { heldBackOf, type HeldBack, type HoldBackShares, type School } from './holdBack';
import {
  capacityOf,
  mixSecondsFor,
  powerWPerL,
  splitIntoLoads,
  warmingK,
  type Loads,
  type LoadsAs,
} from './loads';
import { poursOf, type ScaleLimits } from './pours';
import { pullListOf, type PullList, type StockFacts } from './pullList';
import { roundLoads, type RoundingSetting } from './roundLoads';
import { batchSize, type BatchTarget, type SizeProblem } from './target';

/** A line of the version, as it was read. */
export interface BatchLine {
  readonly id: string;
  readonly ingredient: Ingredient;
  readonly form: string;
  readonly phase: Phase;
  /** In the version as written, g; 0: to taste. */
  readonly massG: number;
  readonly said: string;
}

export interface BatchRequest {
  readonly lines: readonly BatchLine[];
  readonly target: BatchTarget;
  readonly lossShare: number;
  readonly school: School;
  readonly holdBack: HoldBackShares;
  readonly rounding: RoundingSetting;
  readonly scale: ScaleLimits;
  readonly tool: Tool;
  /** Loads are mixed in it, unless the tool has a bowl of its own. */
  readonly mixingVessel: Vessel;
  readonly loadsAs: LoadsAs;
  /** It is kept in these; null: not said. */
  readonly storage: Vessel | null;
  readonly cooling: Omit<CoolingSetting, 'thick'>;
  readonly mustBeCold: boolean;
  /** How this kitchen's hands compare with common practice; left out: as they do. */
  readonly handPace?: number | undefined;
  readonly style: Style | null;
  readonly portionMl: number;
  /** Goes on into other dressings as soon as it is made, ml: neither portioned nor stored as it is. */
  readonly pouredOnMl?: number | undefined;
  readonly stock: ReadonlyMap<IngredientId, StockFacts>;
}

export interface PlannedBatchLine extends BatchLine {
  /** All of it, as scaled, g. */
  readonly exactG: number;
  readonly heldBack: HeldBack;
  /** Not into the loads: held back, or weighed per service, g. */
  readonly asideG: number;
  /** Into the loads, after rounding, g. */
  readonly plannedG: number;
}

export interface LoadLine {
  readonly line: PlannedBatchLine;
  readonly massG: number;
  /** As it is measured, "1¾ cup"; null where it is weighed as it stands. */
  readonly text: string | null;
  readonly how: RoundedLine['how'];
  /** Mixed first with nine parts of this. */
  readonly carrier: Ingredient | null;
  /** One weighing, or several where the scale cannot carry it at once, g. */
  readonly pours: readonly number[];
}

export interface BatchLoad {
  readonly volumeMl: number;
  readonly massG: number;
  readonly fillShare: number;
  readonly lines: readonly LoadLine[];
  readonly mixSeconds: number;
  readonly pour: PourPlan;
  readonly powerWPerL: number | null;
  readonly warmingK: number;
}

export interface BatchDrift {
  readonly measure: PalateKey;
  readonly from: number;
  readonly to: number;
  readonly steps: number;
  /** Whether it ends inside the style's window; null where the style has none. */
  readonly inside: boolean | null;
}

export interface Storage {
  readonly vessel: Vessel;
  readonly count: number;
  /** In each, ml. */
  readonly fillMl: number;
  readonly cooling: Cooling;
}

export interface BatchPlan {
  readonly status: 'planned';
  readonly scaleFactor: number;
  readonly madeMl: number;
  readonly massG: number;
  readonly yieldMl: number;
  readonly portions: number;
  readonly limiting: { readonly ingredient: Ingredient; readonly onHandG: number } | null;
  readonly lines: readonly PlannedBatchLine[];
  readonly loads: readonly BatchLoad[];
  /** Of the load that came out worst; null where nothing was rounded. */
  readonly rounding: Pick<Rounding, 'loss' | 'naiveLoss' | 'proven' | 'gap'> | null;
  /** Everything that moved by a tenth of a step, most first. */
  readonly drift: readonly BatchDrift[];
  readonly storage: Storage | null;
  readonly pullList: PullList;
  readonly costPerPortion: number | null;
  /** Weighing, pouring, mixing, and the work by hand before them. */
  readonly handsOnS: number;
  readonly handWork: HandWork;
  /** As a jar, and as it will stand; null where there is nothing to separate. */
  readonly holds: { readonly jar: HoldRequest; readonly batch: HoldRequest };
}

export type BatchProblem =
  SizeProblem | { readonly code: 'loads'; readonly loads: Exclude<Loads, { status: 'loads' }> };
export type BatchAnswer = BatchPlan | { readonly status: 'cannot'; readonly problem: BatchProblem };

/** Fetching, weighing and ticking off one line; estimate. */
export const WEIGH_S = 40;
const FILL_SHARE = 0.95;
const NOTICED = 0.1;

/** @throws RangeError where a setting is no sensible number */
export function* planBatch(request: BatchRequest): Work<BatchAnswer> {
  const { lines, target, lossShare, stock, tool, mixingVessel } = request;
  const size = batchSize(lines, target, lossShare, (id) => stock.get(id)?.onHandG ?? null);
  if (size.status === 'cannot') return size;
  const capacity = capacityOf(tool, mixingVessel);
  const split = splitIntoLoads(size.madeMl, capacity, request.loadsAs);
  if (split.status !== 'loads') return { status: 'cannot', problem: { code: 'loads', loads: split } };
  const scaled = lines.map((line) => scaledLine(line, size.scaleFactor, request));
  const into = scaled.map((line) => ({ ...line, massG: line.exactG - line.asideG }));
  const counted = into.flatMap((line, index) => (line.massG > 0 ? [{ ...line, index }] : []));
  const shares = split.loadsMl.map((ml) => ml / size.madeMl);
  const rounded = yield* roundLoads(counted, shares, request.rounding);
  const planned = scaled.map((line, index): PlannedBatchLine => {
    const place = counted.findIndex((other) => other.index === index);
    const plannedG = place < 0 ? 0 : rounded.reduce((sum, load) => sum + load.lines[place]!.massG, 0);
    return { ...line, plannedG };
  });
  const known = new Map<string, BatchLoad>();
  const loads = rounded.map(({ lines: found, volumeShare }): BatchLoad => {
    // Loads that are weighed alike are alike.
    const key = `${volumeShare} ${found.map((line) => `${line.massG}${line.how}`).join()}`;
    const before = known.get(key);
    if (before) return before;
    const loadLines = found.map(({ massG, text, how, carrier }, place): LoadLine => ({
      line: planned[counted[place]!.index]!,
      massG,
      text,
      how,
      carrier: carrier === null ? null : counted[carrier]!.ingredient,
      pours: how === 'scale' || how === 'kept' ? poursOf(massG, request.scale) : [massG],
    }));
    const load = loadOf(loadLines, volumeShare * size.madeMl, capacity.mostMl, tool);
    known.set(key, load);
    return load;
  });
  const massG = planned.reduce((sum, line) => sum + line.plannedG + line.asideG, 0);
  const keptMl = Math.max(0, size.yieldMl - (request.pouredOnMl ?? 0));
  const portions = keptMl / request.portionMl;
  const pullList = pullListOf(
    planned.map(({ ingredient, plannedG, asideG }) => ({ ingredient, massG: plannedG + asideG })),
    stock,
  );
  const storage = storageOf(request, keptMl);
  const handWork = handWorkOf(
    planned.map((line) => ({ ...line, massG: line.plannedG + line.asideG })),
    request.handPace,
  );
  return {
    status: 'planned',
    scaleFactor: size.scaleFactor,
    madeMl: size.madeMl,
    yieldMl: size.yieldMl,
    limiting: size.limiting,
    massG,
    portions,
    lines: planned,
    loads,
    storage,
    pullList,
    rounding: worstOf(rounded.flatMap(({ rounding }) => (rounding ? [rounding] : []))),
    drift: driftOf(planned, request.style),
    costPerPortion:
      pullList.unpriced.length === 0 ? (pullList.cost * request.portionMl) / size.yieldMl : null,
    handsOnS: loads.reduce((sum, load) => sum + loadSeconds(load), 0) + handWork.seconds,
    handWork,
    holds: holdsOf(request, planned, loads, storage),
  };
}

function scaledLine(line: BatchLine, factor: number, { school, holdBack }: BatchRequest): PlannedBatchLine {
  const exactG = line.massG * factor;
  const heldBack = heldBackOf(line.ingredient, school, factor, holdBack);
  const share = heldBack.how === 'held-back' ? heldBack.share : heldBack.how === 'per-service' ? 1 : 0;
  return { ...line, exactG, heldBack, asideG: exactG * share, plannedG: 0 };
}

function loadOf(lines: readonly LoadLine[], volumeMl: number, mostMl: number, tool: Tool): BatchLoad {
  const massG = lines.reduce((sum, line) => sum + line.massG, 0);
  const oilMl = lines.reduce(
    (sum, { line, massG: g }) =>
      line.ingredient.category === 'oil' ? sum + g * mixedVolumeMlPerG(line.ingredient) : sum,
    0,
  );
  const mixSeconds = mixSecondsFor(tool, volumeMl);
  return {
    volumeMl,
    massG,
    lines,
    mixSeconds,
    fillShare: volumeMl / mostMl,
    pour: pourPlan(Math.max(5, volumeMl - oilMl), oilMl, tool),
    powerWPerL: powerWPerL(tool, volumeMl),
    warmingK: warmingK(tool, mixSeconds, massG),
  };
}

/** Oil that goes in at a pace is worked in meanwhile. */
const loadSeconds = ({ lines, pour, mixSeconds }: BatchLoad): number =>
  lines.reduce((sum, { pours }) => sum + pours.length * WEIGH_S, 0) +
  (pour.status === 'stages' ? pour.totalS : 0) +
  mixSeconds;

const worstOf = (all: readonly Rounding[]): BatchPlan['rounding'] => {
  const [first, ...rest] = all;
  if (!first) return null;
  const { loss, naiveLoss, proven, gap } = rest.reduce((a, b) => (b.loss > a.loss ? b : a), first);
  return { loss, naiveLoss, proven, gap };
};

const portionsOf = (
  lines: readonly PlannedBatchLine[],
  massOf: (line: PlannedBatchLine) => number,
): readonly JudgedPortion[] =>
  lines.map((line) => ({ ingredient: line.ingredient, form: line.form, massG: exactly(massOf(line)) }));

/** Everything in, what is held back too: what the rounding alone does. */
export function driftOf(lines: readonly PlannedBatchLine[], style: Style | null): readonly BatchDrift[] {
  const before = palateOf(portionsOf(lines, ({ exactG }) => exactG));
  const after = palateOf(portionsOf(lines, ({ plannedG, asideG }) => plannedG + asideG));
  return driftBetween(before, after, style);
}

export const driftBetween = (before: Palate, after: Palate, style: Style | null): readonly BatchDrift[] =>
  PALATE_KEYS.flatMap((measure): BatchDrift[] => {
    const [from, to] = [before[measure].value, after[measure].value];
    if (from === null || to === null) return [];
    const steps = (to - from) / PALATE[measure].step;
    if (Math.abs(steps) < NOTICED) return [];
    const window = style?.windows[measure];
    return [{ measure, from, to, steps, inside: window ? to >= window.low && to <= window.high : null }];
  }).sort((a, b) => Math.abs(b.steps) - Math.abs(a.steps));

/** Whether it stirs itself as it cools; what nobody knows does not. */
function isThick({ lines, tool }: BatchRequest): boolean {
  const jarMl = lines.reduce((sum, { ingredient, massG }) => sum + massG * mixedVolumeMlPerG(ingredient), 0);
  const state = emulsionState(
    holdRequest(
      lines.map(({ ingredient, massG }) => ({ ingredient, massG: { nominal: massG } })),
      {
        tool,
        seconds: mixSecondsFor(tool, 1),
        volumeMl: jarMl,
        heightM: USUAL_HEIGHT_M,
        temperatureC: COLD_C,
      },
    ),
  );
  return state === null || !RUNS.has(state.thickness.classes[1]);
}
const RUNS: ReadonlySet<ThicknessClass> = new Set(['runny', 'pours-like-cream']);

function storageOf(request: BatchRequest, keptMl: number): Storage | null {
  const { storage, cooling } = request;
  if (!storage || keptMl <= 0) return null;
  const room = Math.min(storage.nominalVolumeMl, storage.brimfulVolumeMl * FILL_SHARE);
  const count = Math.max(1, Math.ceil(keptMl / room - 1e-9));
  const fillMl = keptMl / count;
  return {
    vessel: storage,
    count,
    fillMl,
    cooling: coolingOf(fillMl, { ...cooling, thick: isThick(request) }),
  };
}

/** A jar is mixed as a jar is; a load as long as gives it the same passes, so its drops differ by size alone. */
function holdsOf(
  { lines, tool, mixingVessel, mustBeCold, cooling }: BatchRequest,
  planned: readonly PlannedBatchLine[],
  loads: readonly BatchLoad[],
  storage: Storage | null,
): BatchPlan['holds'] {
  const temperatureC = mustBeCold ? cooling.fridgeC : ROOM_C;
  const jarMl = lines.reduce((sum, { ingredient, massG }) => sum + massG * mixedVolumeMlPerG(ingredient), 0);
  const seconds = mixSecondsFor(tool, 1);
  const largest = loads.reduce((a, b) => (b.volumeMl > a.volumeMl ? b : a));
  const kept = storage ?? { vessel: mixingVessel, fillMl: largest.volumeMl };
  const common = { tool, seconds, temperatureC };
  return {
    jar: holdRequest(
      portionsOf(planned, ({ massG }) => massG),
      { ...common, volumeMl: jarMl, heightM: USUAL_HEIGHT_M },
    ),
    batch: holdRequest(
      portionsOf(planned, ({ plannedG, asideG }) => plannedG + asideG),
      {
        ...common,
        volumeMl: largest.volumeMl,
        heightM: Math.max(0.01, heightOfMl(kept.vessel.outline, kept.fillMl) / 1000),
      },
    ),
  };
}
