import { useMemo, useState } from 'react';
import { usualTemperatureC } from '#core/emulsion';
import type { Formula, FormulaId } from '#core/formula';
import type { Judgement, Reckoning } from '#core/reckoning';
import type { Vessel } from '#core/vessel';
import { holdAskedOf, mixedWith } from '#kitchen/holds';
import { useLearntHold, type LearntReading } from '../../data/learnt';
import { useDrawnHolds } from '../../workers/useHolds';

export interface BenchHold {
  readonly temperatureC: number;
  readonly setStands: (temperatureC: number) => void;
  readonly learnt: LearntReading;
  /** Why its layers are not drawn; null while all is well. */
  readonly failed: string | null;
}

/** How the dressing on the bench holds: where cold holding is called for in the fridge, until the cook says otherwise. */
export function useBenchHold(
  id: FormulaId,
  formula: Formula,
  judgement: Judgement,
  reckoning: Reckoning,
  vessel: Vessel,
): BenchHold {
  const [stands, setStands] = useState<number | null>(null);
  const temperatureC = stands ?? usualTemperatureC(judgement.keeping.cold);
  const asked = useMemo(
    () => [holdAskedOf(judgement, reckoning, vessel, mixedWith(formula, vessel), temperatureC)],
    [judgement, reckoning, vessel, formula, temperatureC],
  );
  const { holds, failed } = useDrawnHolds(asked);
  const learnt = useLearntHold(holds[0] ?? null, id, mixedWith(formula, vessel).tool);
  return { temperatureC, setStands, learnt, failed };
}
