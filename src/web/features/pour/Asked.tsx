import { useState } from 'react';
import { findIngredient, searchIngredients, type Catalogue, type Ingredient } from '#core/ingredient';
import type { PouredThing } from '#kitchen/pour';
import { shortName } from '#words/judgement';
import { pourWords } from '#words/screens/pour';
import { Button } from '../../ui/Button';
import { useShortcuts } from '../../ui/shortcuts';
import { SayField } from './SayField';

interface AskedProps {
  readonly thing: PouredThing;
  /** How much it was, as it is said. */
  readonly amount: string;
  readonly likely: readonly Ingredient[];
  readonly catalogue: Catalogue;
  readonly onName: (ingredient: Ingredient) => void;
  readonly onOut: () => void;
}

const DIGITS = ['1', '2', '3', '4', '5', '6', '7', '8'] as const;

/** "What was that?": the likely answers as large keys, or a name that is typed or dictated. */
export function Asked({ thing, amount, likely, catalogue, onName, onOut }: AskedProps) {
  const [text, setText] = useState('');
  const shown = text.trim() ? searchIngredients(text, catalogue, DIGITS.length) : likely;
  useShortcuts(
    DIGITS.map((digit, i) => ({
      keys: [digit],
      does: shown[i] ? `${pourWords.keyAnswer}: ${shortName(shown[i].name)}` : pourWords.keyAnswer,
      when: () => i < shown.length,
      run: () => {
        if (shown[i]) onName(shown[i]);
      },
    })),
  );
  const take = (said: string): string | null => {
    const found = findIngredient(said, catalogue);
    const one = found.status === 'found' ? found.ingredient : searchIngredients(said, catalogue, 1)[0];
    if (!one) return pourWords.notFound(said);
    onName(one);
    return null;
  };
  return (
    <section aria-label={pourWords.whatIsIt} className="card grid gap-4 border-l-4 border-l-sweet p-4">
      <h2 role="status" className="font-name text-2xl font-bold" data-testid="asked">
        {pourWords.whatWasThat(amount)}
      </h2>
      <ul className="grid grid-cols-2 gap-4 sm:grid-cols-3 xl:grid-cols-4" aria-label={pourWords.likely}>
        {shown.map((ingredient, i) => (
          <li key={ingredient.id}>
            <Button
              className="min-h-16 w-full text-left leading-tight"
              onClick={() => {
                onName(ingredient);
              }}
            >
              <span className="min-w-0 flex-1 [overflow-wrap:anywhere]">{shortName(ingredient.name)}</span>
              <kbd aria-hidden className="hidden text-sm font-normal text-quiet lg:inline">
                {DIGITS[i]}
              </kbd>
            </Button>
          </li>
        ))}
      </ul>
      <div className="flex flex-wrap items-start gap-4">
        <SayField
          key={thing.id}
          field="name"
          large
          label={pourWords.typeName}
          placeholder={pourWords.nameExample}
          button={pourWords.nameIt}
          onText={setText}
          onSay={take}
        />
        <Button kind="quiet" className="sm:mt-7 min-h-16" onClick={onOut}>
          {pourWords.notInTheJar}
        </Button>
      </div>
    </section>
  );
}
