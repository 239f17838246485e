/** The hold of a formula as it stands: its tool and time, or what the vessel suggests. */
import { holdRequest, usualSeconds, usualTool, type HoldRequest } from '#core/emulsion';
import type { Formula, Tool } from '#core/formula';
import type { Judgement, Reckoning } from '#core/reckoning';
import { heightOfMl, type Vessel } from '#core/vessel';

export interface Mixed {
  readonly tool: Tool;
  readonly seconds: number;
}

export function mixedWith({ tool, mixSeconds }: Pick<Formula, 'tool' | 'mixSeconds'>, vessel: Vessel): Mixed {
  const used = tool ?? usualTool(vessel);
  return { tool: used, seconds: mixSeconds ?? usualSeconds(used) };
}

/** Null for an empty jar. */
export function holdAskedOf(
  judgement: Judgement,
  reckoning: Reckoning,
  vessel: Vessel,
  { tool, seconds }: Mixed,
  temperatureC: number,
): HoldRequest | null {
  const volumeMl = reckoning.totals.mixedVolumeMl;
  if (judgement.portions.length === 0 || !(volumeMl > 0)) return null;
  const inVessel = Math.min(volumeMl, vessel.brimfulVolumeMl);
  return holdRequest(judgement.portions, {
    tool,
    seconds,
    volumeMl,
    fillShare: Math.min(1, reckoning.fillShare),
    heightM: Math.max(0.005, heightOfMl(vessel.outline, inVessel) / 1000),
    temperatureC,
    // What was entered by hand or could not be read is known only roughly.
    roughly: reckoning.additions.some(
      ({ counted, reading }) =>
        counted && (reading.status === 'unread' || reading.ingredient.id.startsWith('own_')),
    ),
  });
}
