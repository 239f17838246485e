import { useState } from 'react';
import type { LogAnswer, LogEntry } from '#contract';
import { reckonFormula } from '#core/reckoning';
import { toCsv } from '#core/interchange';
import { useBatchesQuery, useCooksQuery, useFormulasQuery } from '../../api/kitchenApi';
import { contextFor, useKitchen, vesselOf } from '../../store/kitchen';
import { Button } from '../../ui/Button';
import { saveText } from './saveText';
import {
  ADDITION_HEADER,
  additionRows,
  BATCH_HEADER,
  batchRows,
  INGREDIENT_HEADER,
  ingredientRows,
  LOG_HEADER,
  logRows,
} from './tables';

const MOST_PAGES = 400;

/** The kitchen as tables for a spreadsheet. */
export function TablesPart() {
  const kitchen = useKitchen();
  const formulas = useFormulasQuery().data;
  const batches = useBatchesQuery().data;
  const cooks = useCooksQuery().data ?? [];
  const [busy, setBusy] = useState(false);
  const [error, setError] = useState<string | null>(null);
  const save = (name: string, rows: readonly (readonly string[])[]): void => {
    saveText(toCsv(rows), `${name}.csv`, 'text/csv');
  };
  const nameOf = (cookId: string | null): string => cooks.find(({ id }) => id === cookId)?.name ?? '';
  const saveLog = async (): Promise<void> => {
    setBusy(true);
    setError(null);
    try {
      save('log', [LOG_HEADER, ...logRows(await wholeLog(), nameOf)]);
    } catch {
      setError('The log could not be fetched. Try once more.');
    } finally {
      setBusy(false);
    }
  };
  return (
    <section aria-label="Tables" className="card mx-auto mt-3 grid max-w-3xl gap-3 p-5">
      <h1 className="font-name text-lg font-bold">Tables for a spreadsheet</h1>
      <div className="flex flex-wrap gap-3">
        <Button
          disabled={!formulas}
          onClick={() => {
            save('formulas', [
              ADDITION_HEADER,
              ...(formulas ?? []).flatMap(({ formula }) =>
                additionRows(
                  formula,
                  reckonFormula(formula, vesselOf(formula, kitchen.vessels), contextFor(formula, kitchen)),
                ),
              ),
            ]);
          }}
        >
          Formulas
        </Button>
        <Button
          onClick={() => {
            save('ingredients', [INGREDIENT_HEADER, ...ingredientRows(kitchen.catalogue, kitchen.pantry)]);
          }}
        >
          Ingredients
        </Button>
        <Button
          disabled={!batches}
          onClick={() => {
            save('batches', [BATCH_HEADER, ...batchRows(batches ?? [])]);
          }}
        >
          Batches
        </Button>
        <Button disabled={busy} onClick={() => void saveLog()}>
          {busy ? 'Fetching the log…' : 'Log'}
        </Button>
      </div>
      {error && (
        <p role="alert" className="font-semibold text-acid-ink">
          {error}
        </p>
      )}
      <p className="text-sm text-quiet">
        What a spreadsheet would take for a formula has an apostrophe before it; bringing it in takes that off
        again.
      </p>
    </section>
  );
}

async function wholeLog(): Promise<readonly LogEntry[]> {
  const all: LogEntry[] = [];
  let before: number | null = null;
  for (let page = 0; page < MOST_PAGES; page++) {
    const response: Response = await fetch(`/api/log${before === null ? '' : `?before=${before}`}`);
    if (!response.ok) throw new Error('log');
    const answer = (await response.json()) as LogAnswer;
    all.push(...answer.entries);
    if (answer.next === null) break;
    before = answer.next;
  }
  return all;
}
