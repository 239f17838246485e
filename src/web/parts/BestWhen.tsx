import { useMemo } from 'react';
import type { FormulaId } from '#core/formula';
import { judgePortions, type JudgedPortion } from '#core/reckoning';
import { ripeningOf } from '#core/ripening';
import { sayDuration } from '#words/hold';
import { sayBest } from '#words/ripening';
import { partsWords } from '#words/screens/parts';
import { startTimer, useTimers } from '../data/timers';
import { Button } from '../ui/Button';
import { useNow } from '../ui/useNow';

interface BestWhenProps {
  readonly portions: readonly JudgedPortion[];
  /** When it was mixed, ISO time; null: never. */
  readonly since: string | null;
  readonly name: string;
  readonly formulaId: FormulaId;
  readonly trialId: string | null;
}

/** When it is at its best, and a clock for tasting it again then. */
export function BestWhen({ portions, since, name, formulaId, trialId }: BestWhenProps) {
  const now = useNow();
  const { timers } = useTimers();
  const { keeping, ripening } = useMemo(() => {
    const { keeping } = judgePortions(portions);
    return { keeping, ripening: ripeningOf(portions, keeping) };
  }, [portions]);
  if (portions.length === 0) return null;
  const again = ripening.tasteAgainMin;
  const leftS =
    since === null || again === null ? 0 : again * 60 - (now.getTime() - Date.parse(since)) / 1000;
  const label = partsWords.tasteAgainOf(name).slice(0, 120);
  const runs = timers.some((timer) => timer.trialId === trialId && timer.label === label);
  return (
    <div className="flex flex-wrap items-center gap-x-4 gap-y-2" data-testid="best-when">
      <p>
        {sayBest(ripening, keeping.days)}{' '}
        {leftS > 0 && (runs ? partsWords.tasteAgainIsSet : partsWords.tasteAgainIn(sayDuration(leftS)))}
      </p>
      {leftS > 60 && !runs && (
        <Button
          className="min-h-11"
          onClick={() => {
            void startTimer({ label, seconds: Math.round(leftS), formulaId, trialId });
          }}
        >
          {partsWords.remindMe}
        </Button>
      )}
    </div>
  );
}
