import { useEffect, useState } from 'react';
import { MOST_DISH_TEXT, MOST_DISHES, type DishesContent, type KeptDish } from '#contract';
import { DRESSED } from '#core/service';
import { formatAmount, inSentence } from '#words/numbers';
import { sayProblem } from '#words/reading';
import { serveWords } from '#words/screens/serve';
import { DRESSED_WORDS } from '#words/service';
import { useKitchen } from '../../data/kitchen';
import { typedNumber } from '../../form/typed';
import { newId } from '../../sync/device';
import type { SharedThing } from '../../sync/useWork';
import { Button } from '../../ui/Button';
import { Chips } from '../../ui/Chips';
import { Field } from '../../ui/Field';
import { dishWith, type Bowl } from './useBowl';

interface BowlListProps {
  readonly thing: SharedThing<DishesContent>;
  readonly bowl: Bowl;
  readonly coversText: string;
  readonly covers: number | null;
  readonly onCovers: (text: string) => void;
  /** Null: none of them, a kind of dish is enough. */
  readonly onChoose: (id: string | null) => void;
}

/** What is in the bowl, typed like a formula: one thing a line. */
export function BowlList({ thing, bowl, coversText, covers, onCovers, onChoose }: BowlListProps) {
  const { settings } = useKitchen();
  const { kept, lines } = bowl;
  const { dishes } = thing.doc;
  const change = (patch: Partial<KeptDish>): void => {
    thing.edit(dishWith(thing.doc, { ...kept, ...patch }));
  };
  return (
    <section
      aria-labelledby="in-the-bowl"
      className="card grid grid-cols-1 content-start gap-3 self-start p-4"
    >
      <div className="flex flex-wrap items-baseline justify-between gap-2">
        <h2 id="in-the-bowl" className="font-name text-lg font-bold">
          {serveWords.inTheBowl}
        </h2>
        <Button disabled={!thing.canUndo} onClick={thing.undo}>
          {serveWords.undo}
        </Button>
      </div>
      {dishes.length > 1 && (
        <Chips
          label={serveWords.dishesOfThis}
          value={kept.id}
          options={dishes.map(({ id, name }) => ({ value: id, label: name }))}
          onChange={onChoose}
        />
      )}
      <Typed key={kept.id} kept={kept} onText={change} />
      <ul className="grid text-sm" data-testid="bowl-lines">
        {lines.map(({ line, text, thing: one, reading }, i) => (
          <li key={`${line} ${i}`} className="flex gap-2 border-t border-rule py-1">
            {one ? (
              <>
                <span className="min-w-0 flex-1">{inSentence(one.ingredient.name)}</span>
                <span className="whitespace-nowrap">{formatAmount(one.massG, 'g', settings)}</span>
              </>
            ) : (
              <span className="text-acid-ink">
                “{text}”: {reading.status === 'unread' ? sayProblem(reading.problem) : ''}
              </span>
            )}
          </li>
        ))}
      </ul>
      <div className="flex flex-wrap items-start gap-3">
        <Field
          label={serveWords.servings}
          inputMode="decimal"
          value={coversText}
          onText={onCovers}
          problem={covers !== null && covers > 0 ? null : serveWords.howMany}
          hint={covers === kept.servings ? null : serveWords.typedForServings(kept.servings)}
          className="w-32"
        />
        {covers !== null && covers > 0 && covers !== kept.servings && (
          <Button
            className="mt-6 min-h-9"
            onClick={() => {
              change({ servings: covers });
            }}
          >
            {serveWords.theListIsFor(covers)}
          </Button>
        )}
      </div>
      <Chips
        label={serveWords.howWellDressed}
        value={kept.dressed}
        options={DRESSED.map((value) => ({ value, label: DRESSED_WORDS[value] }))}
        onChange={(dressed) => {
          change({ dressed });
        }}
      />
      <div className="flex flex-wrap gap-2 border-t border-rule pt-3">
        <Button
          disabled={dishes.length >= MOST_DISHES}
          onClick={() => {
            const id = newId();
            thing.edit(
              dishWith(thing.doc, freshDish(id, serveWords.dishNumber(dishes.length + 1), kept.servings)),
            );
            onChoose(id);
          }}
        >
          {serveWords.anotherDish}
        </Button>
        <Button
          onClick={() => {
            thing.edit({ dishes: dishes.filter(({ id }) => id !== kept.id) });
            onChoose(dishes.find(({ id }) => id !== kept.id)?.id ?? null);
          }}
        >
          {serveWords.withoutThisDish}
        </Button>
      </div>
    </section>
  );
}

export const freshDish = (id: string, name: string, servings: number): KeptDish => ({
  id,
  name,
  servings,
  text: '',
  dressed: 'normally',
});

/** Typed freely; the kitchen gets it once the hands rest, and when the field is left. */
const RESTS_MS = 600;

function Typed({ kept, onText }: { kept: KeptDish; onText: (patch: Partial<KeptDish>) => void }) {
  const [name, setName] = useState(kept.name);
  const [text, setText] = useState(kept.text);
  const [typing, setTyping] = useState(false);
  // Undo, and another screen, say it anew.
  useEffect(() => {
    if (!typing) setText(kept.text);
  }, [kept.text, typing]);
  useEffect(() => {
    setName(kept.name);
  }, [kept.name]);
  const settle = (): void => {
    setTyping(false);
    if (text !== kept.text) onText({ text });
  };
  useEffect(() => {
    if (!typing || text === kept.text) return undefined;
    const timer = setTimeout(() => {
      onText({ text });
    }, RESTS_MS);
    return () => {
      clearTimeout(timer);
    };
  });
  return (
    <>
      <Field
        label={serveWords.nameOfTheDish}
        value={name}
        maxLength={120}
        onText={setName}
        problem={name.trim() === '' ? serveWords.itNeedsAName : null}
        onBlur={() => {
          if (name.trim() !== '' && name !== kept.name) onText({ name: name.trim() });
        }}
      />
      <label className="grid gap-1 font-semibold">
        {serveWords.oneThingALine}
        <textarea
          className="field min-h-36 font-normal"
          rows={6}
          maxLength={MOST_DISH_TEXT}
          placeholder={serveWords.dishPlaceholder}
          value={text}
          onChange={({ target }) => {
            setTyping(true);
            setText(target.value);
          }}
          onBlur={settle}
        />
      </label>
    </>
  );
}

export const coversOf = (text: string): number | null => typedNumber(text, { above: 0, to: 5000 }).value;
