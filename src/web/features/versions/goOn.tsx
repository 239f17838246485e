/** From a base to a formula that goes on from it, and a newer base into all that do. */
import { useState } from 'react';
import type { Kin } from '#contract';
import { emptyFormula, type AdditionId } from '#core/formula';
import { madeId, madeName } from '#core/ingredient';
import { withBaseAt } from '#kitchen/edits';
import { versionsWords } from '#words/screens/versions';
import { sayError } from '../../data/kitchenApi';
import { useOpenDraft } from '../../parts/useOpenDraft';
import { newId } from '../../sync/device';
import { keyOf } from '../../sync/shared';
import { openShared } from '../../sync/sync';
import { store } from '../../sync/store';
import { formulaEdited, workingOf, type WorkingFormula } from '../../sync/working';
import { Alert } from '../../ui/Alert';
import { Button } from '../../ui/Button';

/** Another formula that goes on from the newest version: the base stands in it as one line, pinned. */
export function GoOn({ working: { id, formula }, latest }: { working: WorkingFormula; latest: number }) {
  const draft = useOpenDraft();
  const go = (): void => {
    const start = emptyFormula(
      versionsWords.goingOn(formula.name).slice(0, 120),
      formula.vesselId,
      formula.spoons,
    );
    const addition = {
      id: newId() as AdditionId,
      amountText: versionsWords.someOfIt,
      ingredientId: madeId(id, latest),
      ingredientText: madeName(formula.name, latest),
      form: '',
      note: '',
      phase: 'base' as const,
      optional: false,
      locked: false,
      measuredBy: null,
      stage: 0,
      rank: 0,
    };
    void draft.open({ ...start, servingVolumeMl: formula.servingVolumeMl, additions: [addition] });
  };
  return (
    <>
      <Button
        disabled={latest === 0 || draft.busy}
        title={latest === 0 ? versionsWords.saveAVersionFirst : undefined}
        onClick={go}
      >
        {versionsWords.goOnFromIt}
      </Button>
      {latest === 0 && (
        <span className="self-center text-sm text-quiet">{versionsWords.saveAVersionFirst}</span>
      )}
      {draft.error !== undefined && <Alert>{versionsWords.notMade(sayError(draft.error))}</Alert>}
    </>
  );
}

/** What goes on from an older version takes the newest over; each can be undone where it is. */
export function TakeOver({
  working: { id, formula },
  behind,
}: {
  working: WorkingFormula;
  behind: readonly Kin[];
}) {
  const [busy, setBusy] = useState(false);
  const [trouble, setTrouble] = useState<string | null>(null);
  const version = behind[0]!.latest;
  const take = async (): Promise<void> => {
    setBusy(true);
    setTrouble(null);
    try {
      for (const { formulaId } of behind) {
        const key = keyOf('formula', formulaId);
        await openShared(key);
        const work = store.getState().work.byKey[key];
        if (!work) continue;
        store.dispatch(
          formulaEdited(formulaId, withBaseAt(workingOf(work).formula, id, version, formula.name)),
        );
      }
    } catch (error) {
      setTrouble(sayError(error));
    }
    setBusy(false);
  };
  return (
    <>
      <Button disabled={busy} onClick={() => void take()}>
        {versionsWords.takeOverInAll(version, behind.length)}
      </Button>
      {trouble !== null && <Alert>{versionsWords.notTakenOver(trouble)}</Alert>}
    </>
  );
}
