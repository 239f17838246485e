/**
 * Loads: what a tool in its vessel takes at once, and how a batch is cut so that every load lies between
 * the smallest and the largest fill. Fills, times and powers: estimate.
 */
import { TOOL_VALUES } from '#core/emulsion';
import type { Tool } from '#core/formula';
import { SHAKE_LINE_SHARE, type Vessel } from '#core/vessel';

export interface Capacity {
  readonly leastMl: number;
  readonly mostMl: number;
  /** What sets the largest fill. */
  readonly limitedBy: 'tool' | 'vessel';
}

/** Open vessels are filled so far that nothing splashes out; common practice. */
export const OPEN_FILL_SHARE = 0.7;

/** These have a bowl or jug of their own: what it holds stands in the tool's values. */
const OWN_VESSEL: ReadonlySet<Tool> = new Set<Tool>(['mortar', 'processor', 'blender']);
export const hasOwnVessel = (tool: Tool): boolean => OWN_VESSEL.has(tool);

export function capacityOf(tool: Tool, vessel: Pick<Vessel, 'brimfulVolumeMl' | 'closes'>): Capacity {
  const { leastMl, mostMl } = TOOL_VALUES[tool];
  if (hasOwnVessel(tool)) return { leastMl, mostMl, limitedBy: 'tool' };
  const share = tool === 'shake' ? SHAKE_LINE_SHARE : OPEN_FILL_SHARE;
  const vesselMl = vessel.brimfulVolumeMl * share;
  return vesselMl < mostMl
    ? { leastMl, mostMl: vesselMl, limitedBy: 'vessel' }
    : { leastMl, mostMl, limitedBy: 'tool' };
}

export type LoadsAs = 'equal' | 'full-and-rest';
export const LOADS_AS: readonly LoadsAs[] = ['equal', 'full-and-rest'];

export type Loads =
  | { readonly status: 'loads'; readonly loadsMl: readonly number[] }
  /** Less than the tool's smallest fill. */
  | { readonly status: 'too-little'; readonly leastMl: number }
  /** The vessel holds less than the tool needs to be covered. */
  | { readonly status: 'vessel-too-small'; readonly leastMl: number; readonly mostMl: number }
  /** No number of loads lies between the smallest and the largest fill. */
  | { readonly status: 'no-split'; readonly nearestMl: readonly [number, number] }
  | { readonly status: 'too-many'; readonly loads: number };

/** Nobody makes more than this in a day. */
export const MOST_LOADS = 60;
const EPS = 1e-9;

/** @param totalMl > 0 */
export function splitIntoLoads(totalMl: number, { leastMl, mostMl }: Capacity, as: LoadsAs): Loads {
  if (leastMl > mostMl) return { status: 'vessel-too-small', leastMl, mostMl };
  if (totalMl < leastMl) return { status: 'too-little', leastMl };
  const count = Math.max(1, Math.ceil(totalMl / mostMl - EPS));
  if (count > MOST_LOADS) return { status: 'too-many', loads: count };
  const each = totalMl / count;
  // Only where the smallest fill is more than half the largest can equal loads fall between two numbers.
  if (each < leastMl - EPS) return { status: 'no-split', nearestMl: [(count - 1) * mostMl, count * leastMl] };
  const equal = Array.from({ length: count }, () => each);
  if (as === 'equal' || count === 1) return { status: 'loads', loadsMl: equal };
  const rest = totalMl - (count - 1) * mostMl;
  const full = (n: number): number[] => Array.from({ length: n }, () => mostMl);
  if (rest >= leastMl - EPS) return { status: 'loads', loadsMl: [...full(count - 1), rest] };
  // The rest would not cover the tool: the last full load gives it some.
  const shared = (mostMl + rest) / 2;
  return {
    status: 'loads',
    loadsMl: shared >= leastMl - EPS ? [...full(count - 2), shared, shared] : equal,
  };
}

/** What a kitchen would reach for: the smallest that takes it at once, else the largest. */
export function usualBatchTool(volumeMl: number): Tool {
  if (volumeMl <= TOOL_VALUES.shake.mostMl) return 'shake';
  return volumeMl >= TOOL_VALUES['stick-pro'].leastMl ? 'stick-pro' : 'stick';
}

/** Passes of everything through the head, and what goes through a second, ml/s. */
const PASSES = 12;
const FLOW_ML_PER_S: Readonly<Partial<Record<Tool, number>>> = {
  processor: 300,
  blender: 300,
  stick: 250,
  'stick-pro': 1000,
};
const SHAKEN_AT_ONCE_ML = 500;
/** What the tools' own reference times are for, by hand. */
const BY_HAND_ML = 250;

/** How long a load is mixed, s: as many passes as a jar gets. */
export function mixSecondsFor(tool: Tool, volumeMl: number): number {
  const { referenceS } = TOOL_VALUES[tool];
  const flow = FLOW_ML_PER_S[tool];
  if (flow !== undefined) return Math.max(referenceS, (PASSES * volumeMl) / flow);
  const atOnce = tool === 'shake' ? SHAKEN_AT_ONCE_ML : BY_HAND_ML;
  return referenceS * Math.max(1, volumeMl / atOnce);
}

/** What reaches the dressing of a machine's power, W. */
const NET_POWER_W: Readonly<Partial<Record<Tool, number>>> = {
  processor: 120,
  blender: 150,
  stick: 100,
  'stick-pro': 350,
};
const HEAT_J_PER_KG_K = 2800;

/** Null by hand: nobody measures an arm. */
export const powerWPerL = (tool: Tool, volumeMl: number): number | null => {
  const watts = NET_POWER_W[tool];
  return watts === undefined ? null : watts / (volumeMl / 1000);
};

/** By how much a machine warms a load, K; 0 by hand. */
export const warmingK = (tool: Tool, seconds: number, massG: number): number =>
  massG > 0 ? ((NET_POWER_W[tool] ?? 0) * seconds) / ((massG / 1000) * HEAT_J_PER_KG_K) : 0;
