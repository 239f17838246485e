import { useState } from 'react';
import { Link } from 'react-router';
import type { KitchenDocument, KitchenRecords } from '#contract';
import { reckonFormula } from '#core/reckoning';
import { toCsv } from '#core/interchange';
import { shareWords } from '#words/screens/share';
import { Alert } from '../../ui/Alert';
import { useCooksQuery, useOwnIngredientsQuery } from '../../data/kitchenApi';
import { contextFor, vesselOf } from '#kitchen/reading';
import { useKitchen } from '../../data/kitchen';
import { Button } from '../../ui/Button';
import { saveText } from '../../ui/saveFile';
import {
  BATCH_HEADER,
  batchRows,
  FORMULA_HEADER,
  formulaRows,
  INGREDIENT_HEADER,
  ingredientRows,
  LOG_HEADER,
  logRows,
} from '#kitchen/tables';

const TABLE_NAMES = ['formulas', 'log', 'batches'] as const;
type TableName = (typeof TABLE_NAMES)[number];

/** The kitchen as tables for a spreadsheet. */
export function TablesPart() {
  const kitchen = useKitchen();
  const cooks = useCooksQuery().data ?? [];
  const own = useOwnIngredientsQuery().data;
  const [busy, setBusy] = useState<string | null>(null);
  const [error, setError] = useState<string | null>(null);
  const save = (name: string, rows: readonly (readonly string[])[]): void => {
    saveText(toCsv(rows), `${name}.csv`, 'text/csv');
  };
  const fetchAndSave = async (
    name: TableName,
    make: () => Promise<readonly (readonly string[])[]>,
  ): Promise<void> => {
    setBusy(name);
    setError(null);
    try {
      save(name, await make());
    } catch {
      setError(shareWords.theNameCouldNotBe(shareWords.tables[name].toLowerCase()));
    } finally {
      setBusy(null);
    }
  };
  const nameOf = (cookId: string | null): string => cooks.find(({ id }) => id === cookId)?.name ?? '';
  const document = () => fetched<KitchenDocument>('/api/document');
  const tables: Readonly<Record<TableName, () => Promise<readonly (readonly string[])[]>>> = {
    formulas: async () => [
      FORMULA_HEADER,
      ...(await document()).formulas.flatMap((entry) => {
        const vessel = vesselOf(entry.formula, kitchen.vessels);
        return formulaRows(entry, reckonFormula(entry.formula, vessel, contextFor(entry.formula, kitchen)));
      }),
    ],
    log: async () => {
      const { formulas } = await document();
      const called = new Map(formulas.map(({ id, formula }) => [id as string, formula.name]));
      const { jars } = await fetched<KitchenRecords>('/api/records');
      return [LOG_HEADER, ...logRows(jars, nameOf, (id) => called.get(id) ?? '')];
    },
    batches: async () => [
      BATCH_HEADER,
      ...batchRows((await fetched<KitchenRecords>('/api/records')).batches),
    ],
  };
  return (
    <section
      aria-label={shareWords.tablesForASpreadsheet}
      className="card mx-auto mt-3 grid max-w-3xl gap-3 p-5"
    >
      <h1 className="font-name text-lg font-bold">{shareWords.tablesForASpreadsheet}</h1>
      <div className="flex flex-wrap gap-3">
        <Button
          disabled={!own}
          onClick={() => {
            save('ingredients', [
              INGREDIENT_HEADER,
              ...ingredientRows(kitchen.catalogue, kitchen.pantry, own ?? []),
            ]);
          }}
        >
          {shareWords.ingredients}
        </Button>
        {TABLE_NAMES.map((name) => (
          <Button key={name} disabled={busy !== null} onClick={() => void fetchAndSave(name, tables[name])}>
            {busy === name
              ? shareWords.fetchingTheName(shareWords.tables[name].toLowerCase())
              : shareWords.tables[name]}
          </Button>
        ))}
      </div>
      {error && <Alert>{error}</Alert>}
      <p className="text-sm text-quiet">
        {shareWords.eachComesBackThrough}{' '}
        <Link to="/import" className="underline">
          {shareWords.bringIn}
        </Link>
        {shareWords.theColumnRecordHoldsWhat}
      </p>
    </section>
  );
}

/** @throws Error where the kitchen does not answer */
async function fetched<T>(path: string): Promise<T> {
  const response = await fetch(path);
  if (!response.ok) throw new Error(path);
  return (await response.json()) as T;
}
