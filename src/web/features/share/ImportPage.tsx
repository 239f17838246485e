import { useEffect, useMemo, useState } from 'react';
import { useLocation } from 'react-router';
import { droppedIn } from '../../parts/DropAnywhere';
import { useSteady } from '../../ui/useSteady';
import type { ImportReport } from '#contract';
import { sayReport, sourceOf } from '#kitchen/tables';
import { shareWords } from '#words/screens/share';
import { useKitchen } from '../../data/kitchen';
import { sayError, useReadDocumentMutation } from '../../data/kitchenApi';
import { FileField } from '../../form/fields';
import { useKept } from '../../sync/useKept';
import { Alert } from '../../ui/Alert';
import { Button } from '../../ui/Button';
import { PastedPart } from './PastedPart';
import { RecordsPart, StockPart } from './TableParts';

const MOST_FILE_BYTES = 32 * 1024 * 1024;

/** A recipe from anywhere becomes a draft; a document of ours comes in whole. */
export function ImportPage() {
  const kitchen = useKitchen();
  const [text, setText] = useKept('import', '');
  const source = useMemo(() => sourceOf(text), [text]);
  return (
    <div className="grid gap-3 pt-1">
      <h1 className="font-name text-2xl font-bold">{shareWords.bringInARecipe}</h1>
      <div className="grid grid-cols-[minmax(0,1fr)] gap-3.5 lg:grid-cols-[400px_minmax(0,1fr)]">
        <WhatYouHave text={text} onText={setText} says={source.kind === 'nothing' ? source.says : ''} />
        <div className="grid grid-cols-[minmax(0,1fr)] content-start gap-3.5">
          {source.kind === 'document' && <DocumentPart key={text} value={source.value} />}
          {source.kind === 'stock' && <StockPart key={text} source={source} />}
          {source.kind === 'records' && <RecordsPart key={text} source={source} />}
          {source.kind === 'text' && (
            <PastedPart
              key={text}
              text={source.text}
              kitchen={kitchen}
              onMade={() => {
                setText('');
              }}
            />
          )}
        </div>
      </div>
    </div>
  );
}

interface WhatYouHaveProps {
  readonly text: string;
  readonly onText: (text: string) => void;
  /** Why nothing can be made of it; empty: something can, or there is nothing. */
  readonly says: string;
}
function WhatYouHave({ text, onText, says }: WhatYouHaveProps) {
  const [fileProblem, setFileProblem] = useState<string | null>(null);
  const open = useSteady((file: File): void => {
    setFileProblem(null);
    if (file.size > MOST_FILE_BYTES) setFileProblem(shareWords.nameIsLargerThanA(file.name));
    else void file.text().then(onText);
  });
  const dropped = droppedIn(useLocation().state);
  const first = dropped[0];
  useEffect(() => {
    if (first) open(first);
  }, [first, open]);
  return (
    <section aria-label={shareWords.whatYouHave} className="card grid grid-cols-1 content-start gap-3 p-4">
      <label className="grid gap-1 font-semibold">
        {shareWords.pasteItWordsAPage}
        <textarea
          className="field min-h-72 font-normal"
          maxLength={MOST_FILE_BYTES}
          placeholder={shareWords.lakeHouseVinaigretteIngredients90}
          value={text}
          onChange={({ target }) => {
            onText(target.value);
          }}
        />
      </label>
      {dropped.length > 1 && (
        <div className="flex flex-wrap items-center gap-2">
          {shareWords.severalDropped}
          {dropped.map((file) => (
            <Button
              key={file.name}
              onClick={() => {
                open(file);
              }}
            >
              {file.name}
            </Button>
          ))}
        </div>
      )}
      <div className="flex flex-wrap gap-2">
        <FileField
          label={shareWords.recipeFile}
          button={shareWords.chooseAFile}
          accept=".json,.jsonld,.html,.htm,.csv,.txt,.md,text/*,application/json"
          onFile={open}
        />
        <Button
          kind="quiet"
          disabled={text === ''}
          onClick={() => {
            onText('');
          }}
        >
          {shareWords.clear}
        </Button>
      </div>
      <p className="text-sm text-quiet">{shareWords.nothingIsFetchedFromAnywhere}</p>
      {fileProblem && <Alert>{fileProblem}</Alert>}
      {says && <Alert>{says}</Alert>}
    </section>
  );
}

function DocumentPart({ value }: { value: unknown }) {
  const [readDocument, reading] = useReadDocumentMutation();
  const [report, setReport] = useState<ImportReport | null>(null);
  return (
    <section
      aria-label={shareWords.document}
      className="card grid grid-cols-[minmax(0,1fr)] content-start gap-3 p-4"
    >
      <p>{shareWords.thisIsADocumentOf}</p>
      <Button
        kind="main"
        className="justify-self-start"
        disabled={reading.isLoading}
        onClick={() => {
          void readDocument(value)
            .unwrap()
            .then(setReport, () => undefined);
        }}
      >
        {shareWords.bringItIn}
      </Button>
      {reading.error !== undefined && <Alert>{shareWords.notBroughtInError(sayError(reading.error))}</Alert>}
      {report && (
        <p role="status" data-testid="import-report">
          {sayReport(report)}
        </p>
      )}
    </section>
  );
}
