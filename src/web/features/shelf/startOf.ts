/** What a new formula begins as. Loaded when one is made: the first picture of the shelf needs none of it. */
import { emptyFormula, type AdditionId, type Formula } from '#core/formula';
import { formulaFromStyle } from '#core/palate';
import { DEFAULT_VESSEL_ID } from '#core/vessel';
import { shelfToolWords } from '#words/screens/shelfTools';
import { newId } from '../../sync/device';
import { addTyped } from '#kitchen/edits';
import { contextFor, type Kitchen } from '#kitchen/reading';
import type { NewFrom } from './NewFormulaPanel';

export function startOf(what: NewFrom, kitchen: Kitchen): Formula {
  const { spoons, servingVolumeMl } = kitchen.settings;
  const additionId = (): AdditionId => newId() as AdditionId;
  if (what.from === 'style') {
    const formula = formulaFromStyle(what.style, DEFAULT_VESSEL_ID, kitchen.catalogue, additionId);
    return { ...formula, servingVolumeMl };
  }
  const empty = { ...emptyFormula(shelfToolWords.newDressing, DEFAULT_VESSEL_ID, spoons), servingVolumeMl };
  if (what.from === 'nothing') return empty;
  const context = contextFor(empty, kitchen);
  const lines = what.text.split(/\r?\n/).filter((line) => line.trim());
  return lines.reduce((formula, line) => addTyped(formula, line, context, additionId), empty);
}
