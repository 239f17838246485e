import { entryOf } from '#kitchen/reading';
/** Stock, jars and batches out of a table: what would change is said first. */
import { useSaveShared } from '../../sync/useSaveShared';
import { useState } from 'react';
import { DOCUMENT_FORMAT, type ImportReport } from '#contract';
import { shareWords } from '#words/screens/share';
import { Alert } from '../../ui/Alert';
import { sayError, useAddRecordsMutation, useReadDocumentMutation } from '../../data/kitchenApi';
import { useKitchen } from '../../data/kitchen';
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
  const [save, saving] = useSaveShared('pantry');
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
      for (const [id, entry] of changed) await save(id, entryOf(pantry, id), entry);
      setDone({ entries: changed.length, report });
    } catch {
      // Said below; sent again it does no harm.
    }
  };
  const error = bringing.error ?? saving.error;
  return (
    <section
      aria-label={shareWords.stockAndIngredients}
      className="card grid grid-cols-[minmax(0,1fr)] content-start gap-3 p-4"
    >
      <p data-testid="stock-says">
        {shareWords.aTableOfIngredientsForm(
          changed.length === 0 ? shareWords.nothingOfStockPriceOr : changed.length,
        )}
        {own.length > 0 && shareWords.andItHoldsLengthIngredients(own.length)}.
      </p>
      {changed.length > 0 && (
        <ul className="text-sm">
          {changed.slice(0, SHOWN).map(([id, entry]) => (
            <li key={id} className="border-t border-rule py-1">
              {nameOf(id)}:{' '}
              {entry.onHandG === null ? shareWords.notOnHand : shareWords.onhandgGOnHand(entry.onHandG)}
              {entry.price !== null && shareWords.pricePrice(entry.price)}
            </li>
          ))}
          {changed.length > SHOWN && (
            <li className="py-1">{shareWords.andPartMore(changed.length - SHOWN)}</li>
          )}
        </ul>
      )}
      {strangers.length > 0 && (
        <p className="text-sm">{shareWords.leftOutNotKnownHere(strangers.slice(0, SHOWN).join(', '))}</p>
      )}
      {!done && (changed.length > 0 || own.length > 0) && (
        <Button
          kind="main"
          className="justify-self-start"
          disabled={saving.isLoading || bringing.isLoading}
          onClick={() => void run()}
        >
          {shareWords.bringItIn}
        </Button>
      )}
      {error !== undefined && !done && <Alert>{shareWords.notAllOfItIs(sayError(error))}</Alert>}
      {done && (
        <p role="status" data-testid="import-report">
          {shareWords.entriesEntriesOfThePantry(done.entries)} {done.report && sayReport(done.report)}
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
    <section
      aria-label={shareWords.whatWasMade}
      className="card grid grid-cols-[minmax(0,1fr)] content-start gap-3 p-4"
    >
      <p>
        {shareWords.formWhatIsHereAlready(
          batches.length > 0
            ? shareWords.aTableOfLengthBatches(batches.length)
            : shareWords.aTableOfLengthJars(jars.length),
        )}
      </p>
      {!report && (
        <Button
          kind="main"
          className="justify-self-start"
          disabled={adding.isLoading}
          onClick={() => void add({ jars, batches })}
        >
          {shareWords.bringItIn}
        </Button>
      )}
      {adding.error !== undefined && <Alert>{shareWords.notBroughtInError(sayError(adding.error))}</Alert>}
      {report && (
        <p role="status" data-testid="import-report">
          {shareWords.batchesaddedBatchesJarsaddedJarsAnd(
            report.batchesAdded,
            report.jarsAdded,
            report.eventsAdded,
          )}{' '}
          {shareWords.sameWereHereAlready(report.same)}
          {report.refused.length > 0 && (
            <strong> {shareWords.leftOutRefused(report.refused.slice(0, SHOWN).join(' '))}</strong>
          )}
        </p>
      )}
    </section>
  );
}
