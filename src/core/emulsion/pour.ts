/**
 * How fast oil may go in. Free oil may never be more than about a tenth of what is emulsion already:
 * dV/dt = min(V, V_cap)/t_a, half of that while less than a quarter of the oil is in, slower with a cold
 * yolk (× exp(0.04 (20 − T))), and never more than a tenth of what the tool moves through itself: a large bowl is no
 * larger blade. Estimate; pace words are common practice.
 */
import type { Tool } from '#core/formula';
import { TOOL_VALUES } from './tools';

export const PACES = ['drops', 'thin-thread', 'stream'] as const;
export type Pace = (typeof PACES)[number];
export interface PourStage {
  readonly pace: Pace;
  readonly volumeMl: number;
  readonly seconds: number;
  readonly fromMlPerMin: number;
  readonly toMlPerMin: number;
}
export type PourPlan =
  /** Everything into the jar, then shake. */
  | { readonly status: 'all-at-once' }
  | { readonly status: 'stages'; readonly stages: readonly PourStage[]; readonly totalS: number };

/** Oil against what is moved with it. */
const OF_THE_FLOW = 0.1;
const DROPS_BELOW = 20;
const STREAM_FROM = 120;
export const paceOf = (mlPerMin: number): Pace =>
  mlPerMin < DROPS_BELOW ? 'drops' : mlPerMin <= STREAM_FROM ? 'thin-thread' : 'stream';

/** Largest rate at a moment, ml/s. @param emulsionMl there already */
export function mostOilMlPerS(emulsionMl: number, oilInShare: number, tool: Tool, yolkC: number): number {
  const { uptakeS, mostMl, flowMlPerS } = TOOL_VALUES[tool];
  if (uptakeS === null || flowMlPerS === null) return Infinity;
  const cold = Math.exp(0.04 * Math.max(0, 20 - yolkC));
  const takenUp = Math.min(emulsionMl, mostMl) / (uptakeS * cold);
  return Math.min(takenUp, OF_THE_FLOW * flowMlPerS) / (oilInShare < 0.25 ? 2 : 1);
}

/**
 * @param baseMl what stands in the bowl before the oil, > 0
 * @param careful half speed for the first quarter
 */
export function pourPlan(baseMl: number, oilMl: number, tool: Tool, yolkC = 20, careful = true): PourPlan {
  const { uptakeS, mostMl } = TOOL_VALUES[tool];
  if (uptakeS === null || oilMl <= 0) return { status: 'all-at-once' };
  // A stick blender's head meters the oil itself in a narrow jar.
  if (tool === 'stick' && baseMl + oilMl <= Math.min(1000, mostMl)) return { status: 'all-at-once' };
  const stages: PourStage[] = [];
  const slices = 400;
  let total = 0;
  for (let i = 0; i < slices; i++) {
    const poured = (oilMl * (i + 0.5)) / slices;
    const rate = mostOilMlPerS(baseMl + poured, careful ? poured / oilMl : 1, tool, yolkC);
    const seconds = oilMl / slices / rate;
    total += seconds;
    const perMin = rate * 60;
    const pace = paceOf(perMin);
    const last = stages.at(-1);
    if (last?.pace === pace) {
      stages[stages.length - 1] = {
        ...last,
        volumeMl: last.volumeMl + oilMl / slices,
        seconds: last.seconds + seconds,
        toMlPerMin: perMin,
      };
    } else stages.push({ pace, volumeMl: oilMl / slices, seconds, fromMlPerMin: perMin, toMlPerMin: perMin });
  }
  return { status: 'stages', stages, totalS: total };
}
