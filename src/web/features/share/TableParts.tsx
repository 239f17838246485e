/** Stock, jars and batches out of a table: what would change is said first. */
import { useState } from 'react';
import { DOCUMENT_FORMAT, type ImportReport } from '#contract';
import {
  sayError,
  useAddRecordsMutation,
  useReadDocumentMutation,
  useSavePantryMutation,
} from '../../api/kitchenApi';
import { useKitchen } from '../../store/kitchen';
import { Button } from '../../ui/Button';
import { changedEntries, type TableReading } from '#kitchen/tables';
import { sayReport } from '#kitchen/tables';

const SHOWN = 8;

export function StockPart({
  source: { entries, own },
}: {
  source: Extract<TableReading, { kind: 'stock' }>;
}) {
  const { catalogue, pantry } = useKitchen();
  const [save, saving] = useSavePantryMutation();
  const [bring, bringing] = useReadDocumentMutation();
  const [done, setDone] = useState<{ entries: number; report: ImportReport | null } | null>(null);
  const known = new Map([...entries].filter(([id]) => catalogue.get(id) || own.some((row) => row.id === id)));
  const strangers = [...entries.keys()].filter((id) => !known.has(id));
  const changed = changedEntries(known, pantry);
  const nameOf = (id: (typeof changed)[number][0]): string => catalogue.get(id)?.name ?? id;
  const run = async (): Promise<void> => {
    try {
      const document = {
        ygranaDocument: DOCUMENT_FORMAT,
        madeAt: new Date().toISOString(),
        formulas: [],
        ingredients: own,
      };
      const report = own.length > 0 ? await bring(document).unwrap() : null;
      for (const [id, entry] of changed) await save({ id, entry }).unwrap();
      setDone({ entries: changed.length, report });
    } catch {
      // Said below; sent again it does no harm.
    }
  };
  const error = bringing.error ?? saving.error;
  return (
    <section aria-label="Stock and ingredients" className="card grid content-start gap-3 p-4">
      <p data-testid="stock-says">
        A table of ingredients: {changed.length === 0 ? 'nothing of stock, price or bottle' : changed.length}{' '}
        would change{own.length > 0 && `, and it holds ${own.length} ingredients of a kitchen’s own`}.
      </p>
      {changed.length > 0 && (
        <ul className="text-sm">
          {changed.slice(0, SHOWN).map(([id, entry]) => (
            <li key={id} className="border-t border-rule py-1">
              {nameOf(id)}: {entry.onHandG === null ? 'not on hand' : `${entry.onHandG} g on hand`}
              {entry.price !== null && `, price ${entry.price}`}
            </li>
          ))}
          {changed.length > SHOWN && <li className="py-1">and {changed.length - SHOWN} more</li>}
        </ul>
      )}
      {strangers.length > 0 && (
        <p className="text-sm">Left out, not known here: {strangers.slice(0, SHOWN).join(', ')}.</p>
      )}
      {!done && (changed.length > 0 || own.length > 0) && (
        <Button
          kind="main"
          className="justify-self-start"
          disabled={saving.isLoading || bringing.isLoading}
          onClick={() => void run()}
        >
          Bring it in
        </Button>
      )}
      {error !== undefined && !done && (
        <p role="alert" className="font-semibold text-acid-ink">
          Not all of it is in. {sayError(error)}
        </p>
      )}
      {done && (
        <p role="status" data-testid="import-report">
          {done.entries} entries of the pantry changed. {done.report && sayReport(done.report)}
        </p>
      )}
    </section>
  );
}

export function RecordsPart({
  source: { jars, batches },
}: {
  source: Extract<TableReading, { kind: 'records' }>;
}) {
  const [add, adding] = useAddRecordsMutation();
  const report = adding.data;
  return (
    <section aria-label="What was made" className="card grid content-start gap-3 p-4">
      <p>
        {batches.length > 0
          ? `A table of ${batches.length} batches with their records.`
          : `A table of ${jars.length} jars with what happened to them.`}{' '}
        What is here already stays as it is; nothing that was made can be changed.
      </p>
      {!report && (
        <Button
          kind="main"
          className="justify-self-start"
          disabled={adding.isLoading}
          onClick={() => void add({ jars, batches })}
        >
          Bring it in
        </Button>
      )}
      {adding.error !== undefined && (
        <p role="alert" className="font-semibold text-acid-ink">
          Not brought in. {sayError(adding.error)}
        </p>
      )}
      {report && (
        <p role="status" data-testid="import-report">
          {report.batchesAdded} batches, {report.jarsAdded} jars and {report.eventsAdded} events brought in;{' '}
          {report.same} were here already.
          {report.refused.length > 0 && (
            <strong> Left out: {report.refused.slice(0, SHOWN).join(' ')}</strong>
          )}
        </p>
      )}
    </section>
  );
}
