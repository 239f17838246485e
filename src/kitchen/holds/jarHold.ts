/** The hold of what lies in a jar, mixed as its making says. */
import { composition } from '#core/composition';
import { holdRequest, usualTemperatureC, type HoldRequest } from '#core/emulsion';
import type { Tool } from '#core/formula';
import { judgePortions, type JudgedPortion } from '#core/reckoning';
import { heightOfMl, type Vessel } from '#core/vessel';

export interface MixedIn {
  readonly tool: Tool;
  readonly seconds: number;
  readonly vessel: Vessel;
  /** Of the room it was mixed in, °C; null or left out: nobody measured. */
  readonly roomC?: number | null;
}

/** Null for an empty jar. */
export function makingHold(
  portions: readonly JudgedPortion[],
  { tool, seconds, vessel, roomC }: MixedIn,
): HoldRequest | null {
  const { mixedVolumeMl } = composition(portions);
  if (!(mixedVolumeMl > 0)) return null;
  const volumeMl = Math.min(mixedVolumeMl, vessel.brimfulVolumeMl);
  return holdRequest(portions, {
    tool,
    seconds,
    volumeMl,
    fillShare: volumeMl / vessel.brimfulVolumeMl,
    heightM: Math.max(0.005, heightOfMl(vessel.outline, volumeMl) / 1000),
    ...(roomC == null ? {} : { mixedC: roomC }),
    temperatureC: usualTemperatureC(judgePortions(portions).keeping.cold),
  });
}
