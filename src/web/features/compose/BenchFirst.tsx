import { useMemo } from 'react';
import { findingOf } from '#core/balance';
import type { AdditionId, Formula } from '#core/formula';
import { unreadOf } from '#core/reckoning';
import { usableVolumeMl } from '#core/vessel';
import { lockedIn, takeDoses } from '#kitchen/edits';
import type { Kitchen } from '#kitchen/reading';
import { partsWords } from '#words/screens/parts';
import { FirstSentence, useAdvice } from '../../parts/FirstSentence';
import { newId } from '../../sync/device';
import { Button } from '../../ui/Button';
import type { useBenchReckoning } from './useBench';

interface BenchFirstProps {
  readonly formula: Formula;
  readonly kitchen: Kitchen;
  readonly bench: ReturnType<typeof useBenchReckoning>;
  readonly onEdit: (next: Formula) => void;
  readonly onStyle: () => void;
  readonly onWays: () => void;
  readonly onCautions: () => void;
  readonly onHold: () => void;
}

/** What is first to be said of the dressing on the bench, and done about it. */
export function BenchFirst(props: BenchFirstProps) {
  const { formula, kitchen, bench, onEdit, onStyle, onWays, onCautions, onHold } = props;
  const { vessel, context, settled, judgement, style, fitted } = bench;
  const { hold } = bench.hold.learnt;
  const unread = useMemo(() => unreadOf(settled.additions), [settled]);
  const locked = useMemo(() => lockedIn(formula), [formula]);
  const finding = useMemo(
    () => findingOf({ judgement, hold, style, unread }),
    [judgement, hold, style, unread],
  );
  const roomMl = usableVolumeMl(vessel) - settled.totals.mixedVolumeMl;
  const remedy = useAdvice({ finding, portions: judgement.portions, kitchen, context, roomMl, locked });
  return (
    <div className="mb-3">
      <FirstSentence
        finding={finding}
        fitted={fitted}
        remedy={remedy}
        onStyle={onStyle}
        onTake={({ doses }) => {
          const newAdditionId = (): AdditionId => newId() as AdditionId;
          onEdit(takeDoses(formula, settled.additions, doses, { context, newId: newAdditionId }));
        }}
      >
        {finding.kind === 'unsafe' && (
          <Button className="min-h-11" onClick={onCautions}>
            {partsWords.allCautions}
          </Button>
        )}
        {finding.kind === 'split' && (
          <Button kind="main" className="min-h-11" onClick={onHold}>
            {partsWords.howToSaveIt}
          </Button>
        )}
        {finding.kind !== 'empty' && (
          <Button className="min-h-11" onClick={onWays}>
            {partsWords.bringIntoBalance}
          </Button>
        )}
      </FirstSentence>
    </div>
  );
}
