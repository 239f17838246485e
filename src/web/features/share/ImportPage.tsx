import { useMemo, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import type { ImportReport } from '#contract';
import { emptyFormula, readLine, usualPhase, type Addition, type AdditionId } from '#core/formula';
import { readPasted, type PastedLine } from '#core/interchange';
import { sayDoubt, sayProblem } from '#words/reading';
import { DEFAULT_VESSEL_ID } from '#core/vessel';
import { shareWords } from '#words/screens/share';
import { sayError, useCreateFormulaMutation, useReadDocumentMutation } from '../../data/kitchenApi';
import { formatAmount, inSentence } from '#words/numbers';
import { newId } from '../../sync/device';
import { contextFor } from '#kitchen/reading';
import { useKitchen } from '../../data/kitchen';
import { useKept } from '../../sync/useKept';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { RecordsPart, StockPart } from './TableParts';
import { sayReport } from '#kitchen/tables';
import { sourceOf } from '#kitchen/tables';
import type { FormulaId } from '#core/formula';

const MOST_FILE_BYTES = 32 * 1024 * 1024;
const MOST_NOTE = 1900;

/** A recipe from anywhere becomes a draft; a document of ours comes in whole. */
export function ImportPage() {
  const kitchen = useKitchen();
  const { settings } = kitchen;
  const navigate = useNavigate();
  const [create, creating] = useCreateFormulaMutation();
  const [readDocument, reading] = useReadDocumentMutation();
  const [text, setText] = useKept('import', '');
  /** Lines as they were put right here, by their place. */
  const [mended, setMended] = useState<Readonly<Record<number, string>>>({});
  const [name, setName] = useState<string | null>(null);
  const [fileProblem, setFileProblem] = useState<string | null>(null);
  const [report, setReport] = useState<ImportReport | null>(null);
  const input = useRef<HTMLInputElement>(null);
  const source = useMemo(() => sourceOf(text), [text]);
  const empty = useMemo(
    () => ({
      ...emptyFormula(shareWords.newDressing, DEFAULT_VESSEL_ID, settings.spoons),
      servingVolumeMl: settings.servingVolumeMl,
    }),
    [settings],
  );
  const context = useMemo(() => contextFor(empty, kitchen), [empty, kitchen]);
  const pasted = useMemo(
    () => (source.kind === 'text' ? readPasted(source.text, context) : null),
    [source, context],
  );
  const lines = useMemo(
    () =>
      (pasted?.lines ?? []).map((line): PastedLine => {
        const words = mended[line.at];
        if (words === undefined) return line;
        const read = readLine(words, context);
        const status =
          read.reading.status === 'read' ? (read.reading.doubts.length > 0 ? 'check' : 'sure') : 'ask';
        return { ...line, line: read, confidence: status };
      }),
    [pasted, mended, context],
  );
  const take = (next: string): void => {
    setText(next);
    setMended({});
    setName(null);
    setReport(null);
  };
  const open = async (file: File | undefined): Promise<void> => {
    if (!file) return;
    setFileProblem(null);
    if (file.size > MOST_FILE_BYTES) {
      setFileProblem(shareWords.nameIsLargerThanA(file.name));
      return;
    }
    take(await file.text());
  };
  const make = async (): Promise<void> => {
    if (!pasted) return;
    const additions = lines.map(({ line }, rank): Addition => ({
      id: newId() as AdditionId,
      amountText: line.amountText,
      ingredientId: line.ingredientId,
      ingredientText: line.ingredientText,
      form: line.form,
      measuredBy: line.measuredBy,
      note: notes[rank] ?? '',
      phase: usualPhase(line, kitchen.catalogue),
      optional: false,
      locked: false,
      rank,
    }));
    const id = newId() as FormulaId;
    const title = (name ?? pasted.title ?? '').trim() || empty.name;
    try {
      await create({ id, formula: { ...empty, name: title.slice(0, 120), additions } }).unwrap();
      setText('');
      void navigate(`/formulas/${id}/compose`);
    } catch {
      // Said below; what was pasted stays.
    }
  };
  const notes = noteParts((pasted?.notes ?? []).map((note) => note.text));
  // Each addition holds one note: nothing of the method is dropped in silence.
  const tooLong = notes.length > lines.length;
  const asked = lines.filter(({ confidence }) => confidence === 'ask').length;
  return (
    <div className="grid gap-3 pt-1">
      <h1 className="font-name text-2xl font-bold">{shareWords.bringInARecipe}</h1>
      <div className="grid gap-3.5 lg:grid-cols-[400px_minmax(0,1fr)]">
        <section
          aria-label={shareWords.whatYouHave}
          className="card grid grid-cols-1 content-start gap-3 p-4"
        >
          <label className="grid gap-1 font-semibold">
            {shareWords.pasteItWordsAPage}
            <textarea
              className="field min-h-72 font-normal"
              maxLength={MOST_FILE_BYTES}
              placeholder={shareWords.lakeHouseVinaigretteIngredients90}
              value={text}
              onChange={({ target }) => {
                take(target.value);
              }}
            />
          </label>
          <div className="flex flex-wrap gap-2">
            <Button onClick={() => input.current?.click()}>{shareWords.chooseAFile}</Button>
            <Button
              kind="quiet"
              disabled={text === ''}
              onClick={() => {
                take('');
              }}
            >
              {shareWords.clear}
            </Button>
            <input
              ref={input}
              type="file"
              aria-label={shareWords.recipeFile}
              accept=".json,.jsonld,.html,.htm,.csv,.txt,.md,text/*,application/json"
              className="sr-only"
              tabIndex={-1}
              onChange={({ target }) => {
                void open(target.files?.[0]);
                target.value = '';
              }}
            />
          </div>
          <p className="text-sm text-quiet">{shareWords.nothingIsFetchedFromAnywhere}</p>
          {fileProblem && (
            <p role="alert" className="font-semibold text-acid-ink">
              {fileProblem}
            </p>
          )}
          {source.kind === 'nothing' && source.says && (
            <p role="alert" className="font-semibold text-acid-ink">
              {source.says}
            </p>
          )}
        </section>
        <div className="grid content-start gap-3.5">
          {source.kind === 'document' && (
            <section aria-label={shareWords.document} className="card grid content-start gap-3 p-4">
              <p>{shareWords.thisIsADocumentOf}</p>
              <Button
                kind="main"
                className="justify-self-start"
                disabled={reading.isLoading}
                onClick={() => {
                  void readDocument(source.value)
                    .unwrap()
                    .then(setReport, () => undefined);
                }}
              >
                {shareWords.bringItIn}
              </Button>
              {reading.error !== undefined && (
                <p role="alert" className="font-semibold text-acid-ink">
                  {shareWords.notBroughtInError(sayError(reading.error))}
                </p>
              )}
              {report && (
                <p role="status" data-testid="import-report">
                  {sayReport(report)}
                </p>
              )}
            </section>
          )}
          {source.kind === 'stock' && <StockPart key={text} source={source} />}
          {source.kind === 'records' && <RecordsPart key={text} source={source} />}
          {pasted && lines.length === 0 && (
            <section aria-label={shareWords.theDraft} className="card p-4">
              <p>{shareWords.noLineOfItBegins}</p>
            </section>
          )}
          {pasted && lines.length > 0 && (
            <section aria-label={shareWords.theDraft} className="card grid content-start gap-3 p-4">
              <Field
                label={shareWords.name}
                maxLength={120}
                placeholder={empty.name}
                value={name ?? pasted.title ?? ''}
                onText={setName}
                className="max-w-md"
              />
              <p data-testid="import-says">
                {lines.length} {lines.length === 1 ? shareWords.addition : shareWords.additions}
                {asked > 0 && <strong>{shareWords.askedToPutRight(asked)}</strong>}
                {pasted.notes.length > 0 && shareWords.lengthLinesOfMethodKept(pasted.notes.length)}.
              </p>
              <ol data-testid="import-lines">
                {lines.map((line) => (
                  <LineRow
                    key={line.at}
                    line={line}
                    text={mended[line.at] ?? line.source}
                    grams={(g) => formatAmount(g, 'g', settings)}
                    onText={(words) => {
                      setMended({ ...mended, [line.at]: words });
                    }}
                  />
                ))}
              </ol>
              {pasted.notes.length > 0 && (
                <details>
                  <summary className="min-h-8 cursor-pointer font-semibold">{shareWords.keptAsNotes}</summary>
                  <ol className="list-decimal pl-6 text-sm" data-testid="import-notes">
                    {pasted.notes.map(({ at, text: words }) => (
                      <li key={at}>{words}</li>
                    ))}
                  </ol>
                </details>
              )}
              {pasted.headings.length > 0 && (
                <p className="text-sm text-quiet" data-testid="import-headings">
                  {shareWords.leftOutAsHeadingsHeadings(
                    pasted.headings.map((heading) => heading.text).join('; '),
                  )}
                </p>
              )}
              {tooLong && (
                <p role="alert" className="font-semibold text-acid-ink">
                  {shareWords.thereIsMoreMethodThan(lines.length)}
                </p>
              )}
              {creating.error !== undefined && (
                <p role="alert" className="font-semibold text-acid-ink">
                  {shareWords.notMadeError(sayError(creating.error))}
                </p>
              )}
              <Button
                kind="main"
                className="min-h-11"
                disabled={creating.isLoading}
                onClick={() => void make()}
              >
                {asked > 0 ? shareWords.makeTheDraftWhatWas : shareWords.makeTheDraft}
              </Button>
            </section>
          )}
        </div>
      </div>
    </div>
  );
}

const CONFIDENCE_WORDS = { sure: 'read', check: shareWords.lookAgain, ask: shareWords.notRead } as const;
const CONFIDENCE_LOOK = {
  sure: 'border-aroma-ink text-aroma-ink',
  check: 'border-oil-ink text-oil-ink',
  ask: 'border-acid-ink text-acid-ink',
} as const;

function LineRow({
  line,
  text,
  grams,
  onText,
}: {
  line: PastedLine;
  text: string;
  grams: (g: number) => string;
  onText: (words: string) => void;
}) {
  const { confidence, near, line: read } = line;
  const { reading } = read;
  return (
    <li className="grid gap-x-4 gap-y-1 border-t border-rule py-2 sm:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
      <input
        className="field self-start"
        aria-label={shareWords.lineSource(line.source)}
        maxLength={400}
        value={text}
        onChange={({ target }) => {
          onText(target.value);
        }}
      />
      <div>
        <span className={`mr-2 rounded border px-1.5 text-sm font-semibold ${CONFIDENCE_LOOK[confidence]}`}>
          {CONFIDENCE_WORDS[confidence]}
        </span>
        {reading.status === 'read' ? (
          <>
            {reading.massG.nominal > 0 ? grams(reading.massG.nominal) : shareWords.toTaste}{' '}
            <strong>{inSentence(reading.ingredient.name)}</strong>
            {read.form && `, ${read.form}`}
            {reading.doubts.map((doubt, i) => (
              <span key={i} className="block text-sm text-quiet">
                {sayDoubt(doubt)}
              </span>
            ))}
          </>
        ) : (
          <span className="text-sm">{sayProblem(reading.problem)}</span>
        )}
        {confidence === 'ask' && near.length > 0 && (
          <span className="mt-1 flex flex-wrap gap-1">
            {near.map((ingredient) => (
              <Button
                key={ingredient.id}
                className="text-sm"
                onClick={() => {
                  onText(`${read.amountText} ${ingredient.name}`.trim());
                }}
              >
                {ingredient.name}
              </Button>
            ))}
          </span>
        )}
        {reading.status === 'unread' && reading.problem.code === 'unknown-ingredient' && (
          <a
            href="/pantry"
            target="_blank"
            rel="noreferrer"
            className="flex min-h-8 items-center text-sm text-bottle underline"
          >
            {shareWords.enterItInThePantry}
          </a>
        )}
      </div>
    </li>
  );
}

/** Method in pieces that fit a note; whole sentences where they do. */
function noteParts(notes: readonly string[]): readonly string[] {
  const parts: string[] = [];
  for (const note of notes.flatMap((text) => text.match(new RegExp(`[\\s\\S]{1,${MOST_NOTE}}`, 'g')) ?? [])) {
    const last = parts.at(-1);
    if (last !== undefined && last.length + note.length < MOST_NOTE)
      parts[parts.length - 1] = `${last}\n${note}`;
    else parts.push(note);
  }
  return parts;
}
