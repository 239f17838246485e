/** How a dressing behaves in a service: how long it holds, and what the cold has done to its oil. */
import { useMemo } from 'react';
import { holdRequest, usualSeconds, usualTemperatureC, usualTool, USUAL_HEIGHT_M } from '#core/emulsion';
import type { Formula } from '#core/formula';
import type { Judgement, Reckoning } from '#core/reckoning';
import { tipsFor } from '#core/trial';
import { vesselOf, type Kitchen } from '#kitchen/reading';
import { useHolds } from '../../workers/useHolds';

interface Served {
  readonly kitchen: Kitchen;
  readonly reckoning: Reckoning;
  readonly judgement: Judgement;
  readonly formula: Formula;
}

export function useOnTheLine({ kitchen, reckoning, judgement, formula }: Served) {
  const { settings, vessels } = kitchen;
  const vessel = vesselOf(formula, vessels);
  const tool = formula.tool ?? usualTool(vessel);
  const seconds = formula.mixSeconds ?? usualSeconds(tool);
  const volumeMl = reckoning.totals.mixedVolumeMl;
  const requests = useMemo(
    () => [
      volumeMl > 0
        ? holdRequest(judgement.portions, {
            tool,
            seconds,
            volumeMl,
            heightM: USUAL_HEIGHT_M,
            temperatureC: usualTemperatureC(judgement.keeping.cold),
          })
        : null,
    ],
    [judgement, tool, seconds, volumeMl],
  );
  const [hold = null] = useHolds(requests);
  const standOut = useMemo(
    () =>
      tipsFor(judgement.portions, volumeMl, { tool, seconds, roomC: settings.batch.roomC, vessel }).find(
        (tip) => tip.code === 'oil-sets',
      ),
    [judgement, volumeMl, tool, seconds, settings, vessel],
  );
  return { hold, standOut };
}
