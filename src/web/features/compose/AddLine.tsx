import { composeWords } from '#words/screens/compose';
import { useId, useMemo, useRef, useState, type ClipboardEvent, type KeyboardEvent, type Ref } from 'react';
import { readLines, type AdditionLine, type ReadingContext } from '#core/formula';
import { searchIngredients, type Ingredient } from '#core/ingredient';
import { parseAmount } from '#core/quantity';
import { sayDoubt, sayProblem } from '#words/reading';
import { formatAmount } from '#words/numbers';
import { useMadeNamed } from '../../data/madeNamed';

interface AddLineProps {
  readonly context: ReadingContext;
  readonly inputRef: Ref<HTMLInputElement>;
  readonly onAdd: (texts: readonly string[]) => void;
  /** What the jar would be with this line in it. */
  readonly foretell: (text: string) => string;
  /** Why what was read cannot go in here; null where it can. */
  readonly refuse: (line: AdditionLine) => string | null;
}

const MOST_SUGGESTIONS = 7;

/** One line that takes "amount ingredient" and Enter, with completion and a look ahead. */
export function AddLine({ context, inputRef, onAdd, foretell, refuse }: AddLineProps) {
  const [text, setText] = useState('');
  const [chosen, setChosen] = useState(-1);
  const [open, setOpen] = useState(false);
  const listId = useId();
  const field = useRef<HTMLDivElement>(null);
  const said = useMemo(() => (text.trim() ? readLines(text, context) : []), [text, context]);
  const line = said[0] ?? null;
  const { amount, options } = useMemo(() => complete(text, line, context), [text, line, context]);
  useMadeNamed(line?.reading.status === 'read' ? '' : madeWordsIn(text, context));
  const showing = open && options.length > 0;
  const refusal = refusalOf(said, refuse);

  const take = (value: string): void => {
    if (!value.trim() || refusalOf(readLines(value, context), refuse)) return;
    onAdd([value]);
    setText('');
    setChosen(-1);
    setOpen(false);
  };
  const pick = (ingredient: Ingredient): void => {
    const full = [amount, ingredient.name].filter(Boolean).join(' ');
    if (amount) take(full);
    else {
      setText(`${ingredient.name} `);
      setChosen(-1);
    }
  };
  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>): void => {
    if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
      if (!showing) return;
      event.preventDefault();
      const by = event.key === 'ArrowDown' ? 1 : -1;
      setChosen((now) => Math.max(-1, Math.min(options.length - 1, now + by)));
    } else if (event.key === 'Enter') {
      event.preventDefault();
      const option = showing ? options[chosen] : undefined;
      if (option) pick(option);
      else take(text);
    } else if (event.key === 'Tab' && showing && options[Math.max(0, chosen)] && text.trim()) {
      event.preventDefault();
      setText(`${amount} ${options[Math.max(0, chosen)]!.name}`.trim());
      setOpen(false);
    } else if (event.key === 'Escape') {
      // Closes the list, then leaves the line; what is typed stays.
      if (showing) setOpen(false);
      else event.currentTarget.blur();
    }
  };
  const onPaste = (event: ClipboardEvent): void => {
    const lines = event.clipboardData
      .getData('text')
      .split(/\r?\n/)
      .filter((entry) => entry.trim());
    if (lines.length < 2) return;
    event.preventDefault();
    onAdd(lines.filter((entry) => !refusalOf(readLines(entry, context), refuse)));
  };
  return (
    <div ref={field} className="relative">
      {showing && (
        <ul
          id={listId}
          role="listbox"
          aria-label={composeWords.ingredients}
          className="absolute right-0 bottom-full left-0 z-20 mb-1 max-h-72 overflow-auto rounded-md border border-edge bg-paper p-1 shadow-lg"
        >
          {options.map((ingredient, index) => (
            <li
              key={ingredient.id}
              id={`${listId}-${index}`}
              role="option"
              aria-selected={index === chosen}
              className={`flex min-h-8 items-center rounded px-3 ${index === chosen ? 'bg-mint' : 'hover:bg-mint'}`}
              onPointerDown={(event) => {
                event.preventDefault();
                pick(ingredient);
              }}
            >
              {amount && <span className="mr-2 text-quiet">{amount}</span>}
              {ingredient.name}
            </li>
          ))}
        </ul>
      )}
      <div className="flex min-h-12 items-center gap-2 rounded-lg border-2 border-leaf bg-paper px-3 focus-within:outline-3 focus-within:outline-offset-2 focus-within:outline-leaf">
        <input
          ref={inputRef}
          role="combobox"
          aria-label={composeWords.addAmountThenIngredient}
          aria-expanded={showing}
          aria-controls={listId}
          aria-activedescendant={chosen >= 0 ? `${listId}-${chosen}` : undefined}
          aria-autocomplete="list"
          className="min-w-0 flex-1 bg-transparent py-2 outline-none"
          placeholder={composeWords.addTspDriedThymeJuice}
          autoComplete="off"
          spellCheck={false}
          maxLength={400}
          value={text}
          onChange={(event) => {
            setText(event.target.value);
            setChosen(-1);
            setOpen(true);
          }}
          onBlur={() => {
            setOpen(false);
          }}
          onKeyDown={onKeyDown}
          onPaste={onPaste}
        />
        <kbd className="font-sans text-sm font-semibold text-quiet">{composeWords.enter}</kbd>
      </div>
      <p role="status" className="min-h-5 px-1 pt-1 text-sm text-quiet" data-testid="foretold">
        {line &&
          (refusal ? (
            <span className="text-acid-ink">{refusal}</span>
          ) : (
            <Understood lines={said} text={text} context={context} foretell={foretell} />
          ))}
      </p>
    </div>
  );
}

const refusalOf = (
  lines: readonly AdditionLine[],
  refuse: (line: AdditionLine) => string | null,
): string | null => lines.map(refuse).find((why) => why !== null) ?? null;

function Understood({
  lines,
  text,
  context,
  foretell,
}: {
  lines: readonly AdditionLine[];
  text: string;
  context: ReadingContext;
  foretell: (text: string) => string;
}) {
  const unread = lines.flatMap(({ reading }) => (reading.status === 'unread' ? [reading.problem] : []))[0];
  if (unread) return <>{sayProblem(unread)}</>;
  const understood = lines.map(({ reading, measuredBy }) => {
    if (reading.status === 'unread') return '';
    const mass = formatAmount(reading.massG.nominal, 'g', { decimalSign: context.decimalSign });
    const said = reading.amount.kind === 'to-taste' ? composeWords.toTaste : mass;
    return `${composeWords.formOfName(said, reading.ingredient.name)}${measuredBy === null ? '' : composeWords.asYouWeighIt}`;
  });
  const doubts = lines.flatMap(({ reading }) => (reading.status === 'read' ? reading.doubts : []));
  return (
    <>
      {understood.join(' + ')}: {foretell(text)}
      {doubts.map((doubt) => ` ${sayDoubt(doubt)}`)}
    </>
  );
}

/** The words after the amount: a formula of this kitchen may be called so. */
function madeWordsIn(text: string, context: ReadingContext): string {
  const parsed = parseAmount(text, context.decimalSign);
  return (parsed.status === 'read' ? parsed.rest : text).split(',')[0]!.trim();
}

/** Splits what is typed so far into amount and the words still being completed. */
function complete(
  text: string,
  line: AdditionLine | null,
  context: ReadingContext,
): { amount: string; options: readonly Ingredient[] } {
  const parsed = parseAmount(text, context.decimalSign);
  const amount = parsed.status === 'read' ? parsed.amountText : '';
  const words = parsed.status === 'read' ? parsed.rest : text;
  const settled = line?.reading.status === 'read' && line.reading.doubts.length === 0;
  if (settled || words.trim().length < 2 || words.includes(',')) return { amount, options: [] };
  return { amount, options: searchIngredients(words, context.catalogue, MOST_SUGGESTIONS) };
}
