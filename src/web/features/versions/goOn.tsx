/** From a base to a formula that goes on from it, and a newer base into all that do. */
import { useState } from 'react';
import { useNavigate } from 'react-router';
import type { Kin } from '#contract';
import { emptyFormula, type AdditionId, type FormulaId } from '#core/formula';
import { madeId, madeName } from '#core/ingredient';
import { withBaseAt } from '#kitchen/edits';
import { versionsWords } from '#words/screens/versions';
import { sayError, useCreateFormulaMutation } from '../../data/kitchenApi';
import { newId } from '../../sync/device';
import { keyOf } from '../../sync/shared';
import { openShared } from '../../sync/sync';
import { store } from '../../sync/store';
import { formulaEdited, workingOf, type WorkingFormula } from '../../sync/working';
import { Alert } from '../../ui/Alert';
import { Button } from '../../ui/Button';

/** Another formula that goes on from the newest version: the base stands in it as one line, pinned. */
export function GoOn({ working: { id, formula }, latest }: { working: WorkingFormula; latest: number }) {
  const [create, creating] = useCreateFormulaMutation();
  const navigate = useNavigate();
  const go = async (): Promise<void> => {
    const ending = newId() as FormulaId;
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
    await create({
      id: ending,
      formula: { ...start, servingVolumeMl: formula.servingVolumeMl, additions: [addition] },
    }).unwrap();
    void navigate(`/formulas/${ending}/compose`);
  };
  return (
    <>
      <Button
        disabled={latest === 0 || creating.isLoading}
        title={latest === 0 ? versionsWords.saveAVersionFirst : undefined}
        onClick={() => {
          go().catch(() => undefined);
        }}
      >
        {versionsWords.goOnFromIt}
      </Button>
      {latest === 0 && (
        <span className="self-center text-sm text-quiet">{versionsWords.saveAVersionFirst}</span>
      )}
      {creating.isError && <Alert>{versionsWords.notMade(sayError(creating.error))}</Alert>}
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
