import { useState } from 'react';
import { Link } from 'react-router';
import type { IngredientId } from '#core/ingredient';
import { daysAfter, today } from '#kitchen/day';
import type { Kitchen } from '#kitchen/reading';
import { mustGoSoon } from '#kitchen/season';
import { formatDay, formatMass } from '#words/numbers';
import { seasonWords } from '#words/screens/season';
import { useKept } from '../../sync/useKept';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { Tick } from '../../ui/Tick';

const WITHIN_DAYS = 7;
type Said = Readonly<Record<string, boolean>>;
const NOTHING: Said = {};

/** What is due within a week is ticked until somebody takes it off; anything else on hand may be added. */
export function useMustGo(kitchen: Kitchen) {
  const [said, setSaid] = useKept<Said>('must-go', NOTHING);
  const due = mustGoSoon(kitchen.pantry, kitchen.catalogue, today(), daysAfter(today(), WITHIN_DAYS));
  const dueIds = new Set(due.map(({ ingredient }) => ingredient.id as string));
  const added = Object.keys(said).filter((id) => !dueIds.has(id) && (kitchen.pantry[id]?.onHandG ?? 0) > 0);
  const goes = [...dueIds, ...added].filter((id) => said[id] ?? dueIds.has(id));
  return {
    due,
    added,
    mustGo: new Set(goes),
    say: (id: string, is: boolean): void => {
      setSaid({ ...said, [id]: is });
    },
  };
}

/** Ticks of what must go, and something else from the pantry. */
export function MustGo({ kitchen, goes }: { kitchen: Kitchen; goes: ReturnType<typeof useMustGo> }) {
  const { due, added, mustGo, say } = goes;
  const [chosen, setChosen] = useState('');
  const { settings, pantry, catalogue } = kitchen;
  const nameOf = (id: string): string => catalogue.get(id as IngredientId)?.name ?? id;
  const others = Object.entries(pantry)
    .filter(([id, { onHandG }]) => (onHandG ?? 0) > 0 && catalogue.has(id as IngredientId))
    .filter(([id]) => !added.includes(id) && due.every(({ ingredient }) => ingredient.id !== id))
    .map(([id]) => ({ value: id, label: nameOf(id) }))
    .sort((a, b) => a.label.localeCompare(b.label));
  const other = others.some(({ value }) => value === chosen) ? chosen : (others[0]?.value ?? '');
  return (
    <div className="grid gap-2">
      <h2 className="font-name font-bold">{seasonWords.mustGo}</h2>
      {due.length === 0 && <p className="text-sm text-quiet">{seasonWords.nothingDue}</p>}
      <ul className="grid" data-testid="must-go">
        {[
          ...due.map(({ ingredient, onHandG, useBy }) => ({
            id: ingredient.id as string,
            detail: seasonWords.useBy(formatMass(onHandG, settings), formatDay(useBy)),
          })),
          ...added.map((id) => ({
            id,
            detail: seasonWords.onHand(formatMass(pantry[id]!.onHandG!, settings)),
          })),
        ].map(({ id, detail }) => (
          <li key={id} className="border-t border-rule py-1">
            <Tick
              label={nameOf(id)}
              checked={mustGo.has(id)}
              onChange={(is) => {
                say(id, is);
              }}
            />
            <span className="pl-6 text-sm text-quiet">{detail}</span>
          </li>
        ))}
      </ul>
      {other !== '' && (
        <div className="flex flex-wrap items-end gap-2">
          <div className="grid gap-1 font-semibold">
            {seasonWords.alsoMustGo}
            <Choice
              label={seasonWords.alsoMustGo}
              value={other}
              options={others}
              onChange={setChosen}
              className="max-w-64 font-normal"
            />
          </div>
          <Button
            onClick={() => {
              say(other, true);
            }}
          >
            {seasonWords.add}
          </Button>
        </div>
      )}
      <p className="text-sm text-quiet">
        {seasonWords.pricesStand}{' '}
        <Link to="/pantry" className="text-leaf underline">
          {seasonWords.toThePantry}
        </Link>
      </p>
    </div>
  );
}
