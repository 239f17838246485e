import { X } from 'lucide-react';
import { useState } from 'react';
import type { ReadingContext } from '#core/formula';
import { componentOf, type IngredientId } from '#core/ingredient';
import { fromPantryWords } from '#words/screens/fromPantry';
import { Tick } from '../../ui/Tick';
import { ComponentMark } from '../../parts/drawing/ComponentMark';
import { formatAmount } from '#words/numbers';
import { newId } from '../../sync/device';
import type { Kitchen } from '#kitchen/reading';
import { Button, IconButton } from '../../ui/Button';
import { readHandLine, type HandLine } from './handLines';

interface HandListProps {
  readonly lines: readonly HandLine[];
  readonly onLines: (lines: readonly HandLine[]) => void;
  readonly context: ReadingContext;
  readonly kitchen: Kitchen;
}

const MOST_LINES = 40;

/** What may go in: a line each; amounts are limits, "use it up" makes one a must. */
export function HandList({ lines, onLines, context, kitchen }: HandListProps) {
  const [text, setText] = useState('');
  const add = (texts: readonly string[]): void => {
    const fresh = texts.map((entry) => entry.trim()).filter(Boolean);
    onLines(
      [...lines, ...fresh.map((entry) => ({ id: newId(), text: entry, useUp: false }))].slice(0, MOST_LINES),
    );
    setText('');
  };
  const stocked = Object.entries(kitchen.pantry).filter(([, { onHandG }]) => (onHandG ?? 0) > 0);
  return (
    <>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          // "oil, half a lemon, yoghurt" is three things.
          add(text.split(/[,;]/));
        }}
      >
        <label className="grid gap-1 font-semibold">
          {fromPantryWords.whatIsThere}
          <input
            className="field w-full font-normal"
            value={text}
            maxLength={400}
            placeholder={fromPantryWords.ciderVinegarHalfALemon}
            list={fromPantryWords.handIngredients}
            onChange={(event) => {
              setText(event.target.value);
            }}
            onPaste={(event) => {
              const pasted = event.clipboardData.getData('text').split(/\r?\n/);
              if (pasted.length < 2) return;
              event.preventDefault();
              add(pasted);
            }}
          />
        </label>
        <datalist id="hand-ingredients">
          {[...kitchen.catalogue.values()].map(({ id, name }) => (
            <option key={id} value={name} />
          ))}
        </datalist>
        <p className="mt-1 text-sm text-quiet">{fromPantryWords.enterAddsItSeveralAt}</p>
      </form>
      <ul className="grid" data-testid="on-hand">
        {lines.map((line) => (
          <HandRow
            key={line.id}
            line={line}
            context={context}
            settings={kitchen.settings}
            onUseUp={(useUp) => {
              onLines(lines.map((other) => (other.id === line.id ? { ...other, useUp } : other)));
            }}
            onDrop={() => {
              onLines(lines.filter(({ id }) => id !== line.id));
            }}
          />
        ))}
      </ul>
      {stocked.length > 0 && (
        <Button
          className="justify-self-start"
          onClick={() => {
            const known = new Set(lines.map(({ text: entry }) => entry));
            const fresh = stocked
              .flatMap(([id, { onHandG }]) => {
                const ingredient = kitchen.catalogue.get(id as IngredientId);
                return ingredient ? [`${Math.floor(onHandG!)} g ${ingredient.name}`] : [];
              })
              .filter((entry) => !known.has(entry));
            add(fresh);
          }}
        >
          {fromPantryWords.everythingThePantryHasLength(stocked.length)}
        </Button>
      )}
    </>
  );
}

function HandRow({
  line,
  context,
  settings,
  onUseUp,
  onDrop,
}: {
  line: HandLine;
  context: ReadingContext;
  settings: Kitchen['settings'];
  onUseUp: (useUp: boolean) => void;
  onDrop: () => void;
}) {
  const reading = readHandLine(line.text, context);
  const read = reading.status === 'read';
  return (
    <li className="flex items-center gap-2 border-b border-rule py-1.5">
      <ComponentMark component={read ? componentOf(reading.ingredient) : null} />
      <span className="min-w-0 flex-1 leading-5">
        <span className="block [overflow-wrap:anywhere]">{line.text}</span>
        <span className={`block text-[0.8125rem] leading-4 ${read ? 'text-quiet' : 'text-acid-ink'}`}>
          {read
            ? `${reading.ingredient.name}, ${reading.massG === null ? fromPantryWords.enoughOfIt : `${line.useUp ? 'all' : fromPantryWords.upTo} ${formatAmount(reading.massG, 'g', settings)}`}`
            : fromPantryWords.notInThePantryForm(
                reading.near.length ? fromPantryWords.nearItNear(reading.near.join('; ')) : '',
              )}
        </span>
      </span>
      {read && reading.massG !== null && (
        <Tick
          label={fromPantryWords.useItUp}
          checked={line.useUp}
          onChange={(checked) => {
            onUseUp(checked);
          }}
          className="text-sm"
        />
      )}
      <IconButton label={fromPantryWords.takeOutText(line.text)} onClick={onDrop}>
        <X size={16} aria-hidden />
      </IconButton>
    </li>
  );
}
