/** What the bench reckons with, and how its formula is changed: the parts of it that show nothing. */
import { useDeferredValue, useMemo, useState } from 'react';
import { stampMeasures, type AdditionId, type AdditionLine, type Formula } from '#core/formula';
import { findIngredient, isMadeWith } from '#core/ingredient';
import { judgeFormula, reckonFormula } from '#core/reckoning';
import { patchAddition, placeAddition, removeAddition, stepAddition } from '#kitchen/edits';
import { contextFor, vesselOf, type Kitchen } from '#kitchen/reading';
import { composeWords } from '#words/screens/compose';
import { judgedBy, useStyles } from '../../data/styles';
import { useAppDispatch } from '../../sync/store';
import { formulaEdited, type WorkingFormula } from '../../sync/working';
import type { OpenPanel } from './BenchPanels';
import type { RowActions } from './rowActions';
import { useBenchHold } from './useBenchHold';

export interface LineDraft {
  readonly id: AdditionId;
  readonly text: string;
}

/** The formula as it is typed this moment, reckoned and judged. */
export function useBenchReckoning(working: WorkingFormula, kitchen: Kitchen, draft: LineDraft | null) {
  const { id, formula } = working;
  const vessel = vesselOf(formula, kitchen.vessels);
  const context = useMemo(() => contextFor(formula, kitchen), [formula, kitchen]);
  const reckoning = useMemo(() => {
    const shown = draft ? patchAddition(formula, draft.id, { amountText: draft.text }) : formula;
    return reckonFormula(shown, vessel, context);
  }, [formula, draft, vessel, context]);
  // Amounts and ratio follow the key; what is judged of them may come a moment later, and never holds the next key up.
  const settled = useDeferredValue(reckoning);
  const judgement = useMemo(() => judgeFormula(settled), [settled]);
  const hold = useBenchHold(id, formula, judgement, settled, vessel);
  const styles = useStyles();
  const { style, fitted } = useMemo(
    () => judgedBy(formula, styles, judgement.portions),
    [formula, styles, judgement],
  );
  return { vessel, context, reckoning, settled, judgement, hold, styles, style, fitted };
}

/** Every change goes through here: what would put a formula into itself is refused with a word. */
export function useBenchEdit(
  { id, formula }: WorkingFormula,
  kitchen: Kitchen,
  context: ReturnType<typeof contextFor>,
  /** With the stages after the one that is looked at. */
  whole: (until: Formula) => Formula,
) {
  const dispatch = useAppDispatch();
  const [blocked, setBlocked] = useState<string | null>(null);
  const refuse = ({ ingredientId }: Pick<AdditionLine, 'ingredientId'>): string | null => {
    const ingredient = ingredientId && kitchen.catalogue.get(ingredientId);
    return ingredient && isMadeWith(ingredient, id) ? composeWords.nameIsMadeWithThis(ingredient.name) : null;
  };
  const edit = (next: Formula): void => {
    const was = new Set(formula.additions.map(({ ingredientId }) => ingredientId));
    const circle = next.additions.find((addition) => !was.has(addition.ingredientId) && refuse(addition));
    setBlocked(circle ? refuse(circle) : null);
    if (!circle) dispatch(formulaEdited(id, whole(stampMeasures(formula, next, context))));
  };
  /** Of its stages: nothing is put in. */
  const editWhole = (next: Formula): void => {
    dispatch(formulaEdited(id, next));
  };
  return { edit, editWhole, refuse, blocked, setBlocked };
}

interface RowActionsFor {
  readonly formula: Formula;
  readonly kitchen: Kitchen;
  readonly edit: (next: Formula) => void;
  readonly setDraft: (draft: LineDraft | null) => void;
  readonly setPanel: (panel: OpenPanel) => void;
  readonly setSelection: (next: (now: ReadonlySet<AdditionId>) => ReadonlySet<AdditionId>) => void;
}
/** What a row of the list can ask for. */
export function rowActionsFor(about: RowActionsFor): RowActions {
  const { formula, kitchen, edit, setDraft, setPanel, setSelection } = about;
  return {
    draft: (rowId, text) => {
      setDraft(text === null ? null : { id: rowId, text });
    },
    patch: (rowId, patch) => {
      edit(patchAddition(formula, rowId, patch));
    },
    step: (rowId, direction) => {
      edit(stepAddition(formula, rowId, direction));
    },
    toPhase: (rowId, phase) => {
      edit(placeAddition(formula, rowId, { phase }, formula.additions.length));
    },
    remove: (rowId) => {
      edit(removeAddition(formula, rowId));
    },
    name: (rowId, ingredientName, amountText) => {
      const found = findIngredient(ingredientName, kitchen.catalogue);
      if (found.status !== 'found') return;
      const { id: ingredientId, name } = found.ingredient;
      const amount = amountText === undefined ? {} : { amountText };
      edit(patchAddition(formula, rowId, { ingredientId, ingredientText: name, ...amount }));
    },
    details: (rowId) => {
      setPanel({ kind: 'details', id: rowId });
    },
    swap: (rowId) => {
      setPanel({ kind: 'swap', id: rowId });
    },
    select: (rowId) => {
      setSelection((now) => {
        const next = new Set(now);
        if (!next.delete(rowId)) next.add(rowId);
        return next;
      });
    },
  };
}
