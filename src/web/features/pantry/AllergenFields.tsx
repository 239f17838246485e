import { useState } from 'react';
import { allergenGroup } from '#core/safety';
import { pantryWords } from '#words/screens/pantry';
import { Tick } from '../../ui/Tick';
import { Field } from '../../ui/Field';
import { ALLERGENS } from './words';

export interface AllergenAnswer {
  /** Of the EU's 14, the kind in brackets where one was named: "nuts (walnut)". */
  readonly named: readonly string[];
  /** Something was ticked, or it was said that none is in it. */
  readonly answered: boolean;
}

/** Groups of which the very kind has to be named on a label. */
const KINDS: Readonly<Record<string, string>> = {
  'cereals containing gluten': pantryWords.wheatBarley,
  crustaceans: 'shrimp',
  fish: 'anchovy',
  nuts: 'walnut',
};
const detailOf = (named: string): string => /\((.*)\)$/.exec(named)?.[1] ?? '';

/** Which of the listed allergens are in it; unanswered, every dressing with it has an open list. */
export function AllergenFields({
  answer,
  onAnswer,
}: {
  answer: AllergenAnswer;
  onAnswer: (answer: AllergenAnswer) => void;
}) {
  const { named, answered } = answer;
  // As typed: a comma that is still to be followed by something is kept.
  const [typed, setTyped] = useState<Readonly<Record<string, string>>>({});
  const of = (group: string): readonly string[] => named.filter((name) => allergenGroup(name) === group);
  const without = (group: string): readonly string[] => named.filter((name) => allergenGroup(name) !== group);
  return (
    <fieldset>
      <legend className="font-semibold">{pantryWords.allergensOnTheLabel}</legend>
      <div className="flex flex-wrap gap-x-4">
        {ALLERGENS.map((group) => (
          <Tick
            key={group}
            label={group}
            checked={of(group).length > 0}
            onChange={(checked) => {
              const next = checked ? [...named, group] : without(group);
              onAnswer({ named: next, answered: next.length > 0 });
            }}
            className="text-sm"
          />
        ))}
        <Tick
          label={pantryWords.noneOfThem}
          checked={answered && named.length === 0}
          onChange={(checked) => {
            onAnswer({ named: [], answered: checked });
          }}
          className="text-sm font-semibold"
        />
      </div>
      <div className="mt-1 grid gap-2 sm:grid-cols-2">
        {Object.entries(KINDS)
          .filter(([group]) => of(group).length > 0)
          .map(([group, example]) => (
            <Field
              key={group}
              label={pantryWords.whichGroup(group)}
              className="text-sm"
              maxLength={60}
              hint={pantryWords.suchAsExample(example)}
              value={typed[group] ?? of(group).map(detailOf).filter(Boolean).join(', ')}
              onText={(text) => {
                setTyped((now) => ({ ...now, [group]: text }));
                const kinds = text.split(',').map((kind) => kind.replace(/[()]/g, '').trim());
                const full = kinds.filter(Boolean).map((kind) => `${group} (${kind})`);
                onAnswer({
                  named: [...without(group), ...(full.length > 0 ? full : [group])],
                  answered: true,
                });
              }}
            />
          ))}
      </div>
      {!answered && <p className="text-sm text-quiet">{pantryWords.tickWhatTheLabelNames}</p>}
    </fieldset>
  );
}
