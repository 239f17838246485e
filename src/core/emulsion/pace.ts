/**
 * Oil while it is being poured. What lies free on top drains into the emulsion no faster than the tool
 * works it in, {@link mostOilMlPerS}; once it is more than a tenth of the emulsion the phases may turn
 * over: stop and whisk. A tenth and the rates: estimate (see ./pour).
 */
import type { Tool } from '#core/formula';
import { mostOilMlPerS, type Pace, paceOf } from './pour';

export interface Pouring {
  /** Emulsified so far: base and oil worked in, ml. */
  readonly emulsionMl: number;
  /** Poured and not yet worked in, ml. */
  readonly freeMl: number;
  readonly pouredMl: number;
}

export const startPouring = (baseMl: number): Pouring => ({
  emulsionMl: Math.max(MIN_BASE_ML, baseMl),
  freeMl: 0,
  pouredMl: 0,
});
/** A teaspoon stands in the bowl at least, or nothing could begin. */
const MIN_BASE_ML = 5;

export interface PourSetting {
  readonly oilMl: number;
  readonly tool: Tool;
  readonly yolkC: number;
}

/**
 * @param pouredMl of oil up to now; less than before (the jar was lifted) counts as no pouring
 * @param seconds since the last call, ≥ 0
 */
export function pourOn(state: Pouring, pouredMl: number, seconds: number, setting: PourSetting): Pouring {
  const arrived = Math.max(0, pouredMl - state.pouredMl);
  const most = mostNow(state, setting) * Math.max(0, seconds);
  const workedIn = Math.min(state.freeMl + arrived, most);
  return {
    emulsionMl: state.emulsionMl + workedIn,
    freeMl: state.freeMl + arrived - workedIn,
    pouredMl: Math.max(pouredMl, state.pouredMl),
  };
}

const mostNow = ({ emulsionMl, pouredMl }: Pouring, { oilMl, tool, yolkC }: PourSetting): number =>
  mostOilMlPerS(emulsionMl, oilMl > 0 ? pouredMl / oilMl : 1, tool, yolkC);

export const FREE_LIMIT = 0.1;

export interface PaceNow {
  readonly pace: Pace;
  readonly mostMlPerS: number;
  readonly verdict: 'fine' | 'fast' | 'stop';
}

/** @param rateMlPerS as it is being poured; null where nothing tells */
export function paceNow(state: Pouring, rateMlPerS: number | null, setting: PourSetting): PaceNow {
  const mostMlPerS = mostNow(state, setting);
  const ahead = state.freeMl > FREE_LIMIT * state.emulsionMl;
  const fast = rateMlPerS !== null && rateMlPerS > mostMlPerS * 1.05;
  return { pace: paceOf(mostMlPerS * 60), mostMlPerS, verdict: ahead ? 'stop' : fast ? 'fast' : 'fine' };
}
