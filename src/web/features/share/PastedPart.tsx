import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { z } from 'zod';
import {
  emptyFormula,
  readLine,
  readLines,
  usualPhase,
  type Addition,
  type AdditionId,
  type FormulaId,
  MOST_STAGES,
} from '#core/formula';
import { readPasted, stagesIn, type PastedLine, type PastedRecipe } from '#core/interchange';
import { MOST_DISH_TEXT, type DishesContent } from '#contract';
import { stageNamesFrom } from '#kitchen/edits';
import { DEFAULT_VESSEL_ID } from '#core/vessel';
import { contextFor, type Kitchen } from '#kitchen/reading';
import { formatAmount } from '#words/numbers';
import { shareWords } from '#words/screens/share';
import { sayError, useCreateFormulaMutation } from '../../data/kitchenApi';
import { TextField } from '../../form/fields';
import { useDraft } from '../../form/useDraft';
import { newId } from '../../sync/device';
import { saveShared } from '../../sync/useWork';
import { Alert } from '../../ui/Alert';
import { KeptBeside, SetAside } from './PastedBeside';
import { LineRow } from './PastedLineRow';
import { Button } from '../../ui/Button';

const MOST_NOTE = 1900;
const NO_DISHES: DishesContent = { dishes: [] };
const USUAL_SERVINGS = 4;

const nameSchema = z.strictObject({ name: z.string().max(120) });

interface PastedPartProps {
  readonly text: string;
  readonly kitchen: Kitchen;
  readonly onMade: () => void;
}

/** What was read out of pasted words, to be put right and made a draft of. */
export function PastedPart({ text, kitchen, onMade }: PastedPartProps) {
  const { settings } = kitchen;
  const navigate = useNavigate();
  const [create] = useCreateFormulaMutation();
  /** Lines as they were put right here, by their place. */
  const [mended, setMended] = useState<Readonly<Record<string, string>>>({});
  /** Lines set aside that the cook wants in the jar after all. */
  const [taken, setTaken] = useState<ReadonlySet<number>>(new Set());
  const empty = useMemo(
    () => ({
      ...emptyFormula(shareWords.newDressing, DEFAULT_VESSEL_ID, settings.spoons),
      servingVolumeMl: settings.servingVolumeMl,
    }),
    [settings],
  );
  const context = useMemo(() => contextFor(empty, kitchen), [empty, kitchen]);
  const pasted = useMemo(() => readPasted(text, context), [text, context]);
  const lines = useMemo(
    () =>
      [
        ...pasted.lines,
        ...pasted.dish
          .filter((_, place) => taken.has(place))
          .flatMap(({ at, text: source }) =>
            readLines(source, context).map((line, part) => asPasted({ source, at, part, near: [] }, line)),
          ),
      ]
        .sort((a, b) => a.at - b.at || a.part - b.part)
        .map((line): PastedLine => {
          const words = mended[keyOf(line)];
          return words === undefined ? line : asPasted(line, readLine(words, context));
        }),
    [pasted, mended, taken, context],
  );
  const dish = pasted.dish.flatMap((thing, place) => (taken.has(place) ? [] : [{ ...thing, place }]));
  const notes = noteParts(pasted.notes.map((note) => note.text));
  const draft = useDraft({
    schema: nameSchema,
    start: { name: (pasted.title ?? '').slice(0, 120) },
    save: async ({ name }) => {
      const id = newId() as FormulaId;
      const stages = stagesIn(text);
      const additions = lines.map(({ line, at }, rank): Addition => ({
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
        stage: Math.min(stages.of(at), MOST_STAGES - 1),
        rank,
      }));
      await create({
        id,
        formula: {
          ...empty,
          name: name.trim() || empty.name,
          tool: pasted.tool,
          stageNames: stageNamesFrom(stages.names),
          additions,
        },
      }).unwrap();
      if (dish.length > 0)
        await saveShared(
          'dishes',
          id,
          NO_DISHES,
          dishesOf(
            dish.map((thing) => thing.text),
            pasted,
          ),
        );
      onMade();
      void navigate(`/formulas/${id}/compose`);
    },
  });
  const asked = lines.filter(({ confidence }) => confidence === 'ask').length;
  if (lines.length === 0)
    return (
      <section aria-label={shareWords.theDraft} className="card p-4">
        <p>{shareWords.noLineOfItBegins}</p>
      </section>
    );
  return (
    <section
      aria-label={shareWords.theDraft}
      className="card grid grid-cols-[minmax(0,1fr)] content-start gap-3 p-4"
    >
      <TextField
        control={draft.form.control}
        name="name"
        label={shareWords.name}
        maxLength={120}
        placeholder={empty.name}
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
            key={keyOf(line)}
            line={line}
            text={mended[keyOf(line)] ?? sayLine(line, lines)}
            grams={(g) => formatAmount(g, 'g', settings)}
            onText={(words) => {
              setMended({ ...mended, [keyOf(line)]: words });
            }}
          />
        ))}
      </ol>
      {dish.length > 0 && (
        <SetAside
          dish={dish}
          onTake={(place) => {
            setTaken(new Set([...taken, place]));
          }}
        />
      )}
      <KeptBeside notes={pasted.notes} headings={pasted.headings} />
      {
        // Each addition holds one note: nothing of the method is dropped in silence.
        notes.length > lines.length && <Alert>{shareWords.thereIsMoreMethodThan(lines.length)}</Alert>
      }
      {draft.state === 'failed' && <Alert>{shareWords.notMadeError(sayError(draft.error))}</Alert>}
      <Button
        kind="main"
        className="min-h-11"
        disabled={draft.state === 'saving'}
        onClick={() => {
          draft.submit();
        }}
      >
        {asked > 0 ? shareWords.makeTheDraftWhatWas : shareWords.makeTheDraft}
      </Button>
    </section>
  );
}

/** What was set aside as the dish's becomes the dish of the dressing, to be dressed in Serve. */
function dishesOf(
  things: readonly string[],
  { title, servings }: Pick<PastedRecipe, 'title' | 'servings'>,
): DishesContent {
  let text = '';
  for (const thing of things) if (text.length + thing.length < MOST_DISH_TEXT) text += `${thing}\n`;
  const name = (title ?? '').slice(0, 120).trim() || shareWords.itsDish;
  return {
    dishes: [
      { id: newId(), name, text: text.trimEnd(), servings: servings ?? USUAL_SERVINGS, dressed: 'normally' },
    ],
  };
}

const keyOf = ({ at, part }: Pick<PastedLine, 'at' | 'part'>): string => `${at}.${part}`;

/** One of several things that a line says is said by itself. */
function sayLine({ source, at, line }: PastedLine, all: readonly PastedLine[]): string {
  if (all.filter((other) => other.at === at).length < 2) return source;
  const { amountText, ingredientText, form } = line;
  // "zest of 1 lemon" has its fruit in it.
  const said = amountText.endsWith(ingredientText) ? amountText : `${amountText} ${ingredientText}`.trim();
  return [said, form].filter(Boolean).join(', ');
}

function asPasted(
  about: Pick<PastedLine, 'source' | 'at' | 'part' | 'near'>,
  line: PastedLine['line'],
): PastedLine {
  const { reading } = line;
  const confidence = reading.status === 'unread' ? 'ask' : reading.doubts.length > 0 ? 'check' : 'sure';
  return { ...about, line, confidence };
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
