import { useState } from 'react';
import { Link } from 'react-router';
import { FAULTS, itemsOf, ROUND_KINDS, SAFE_QUESTIONS, skillOf, type RoundKind } from '#core/practise';
import { listed } from '#words/numbers';
import { sayAllergen } from '#words/safety';
import {
  AMOUNT_WORDS,
  FAULT_WORDS,
  KIND_WORDS,
  practiseWords,
  SAFE_WORDS,
  SURE_WORDS,
} from '#words/screens/practise';
import { TOOL_WORDS } from '#words/hold';
import { TOOLS } from '#core/formula';
import { useCooksQuery } from '../../data/kitchenApi';
import { Loading, Trouble } from '../../parts/PageState';
import { useSpokenKitchen } from '../../data/kitchen';
import { Button } from '../../ui/Button';
import { useDressings, usePractice, type Dressing } from './usePractice';

/** What this cook is sure of, in this kitchen only; one press forgets it, another brings it back. */
export function SurePage() {
  const { cookId, thing, error, retry, answers } = usePractice();
  const cooks = useCooksQuery().data ?? [];
  const dressings = useDressings(useSpokenKitchen());
  const [asks, setAsks] = useState(false);
  if (error) return <Trouble error={error} retry={retry} />;
  if (!thing || !dressings) return <Loading what={practiseWords.loading} />;
  const cook = cooks.find(({ id }) => id === cookId);
  const shown = ROUND_KINDS.filter((kind) => answers.some((answer) => answer.kind === kind));
  return (
    <div className="mx-auto grid w-full max-w-5xl grid-cols-[minmax(0,1fr)] gap-3.5">
      <div className="flex flex-wrap items-center gap-x-5 gap-y-2">
        <h1 className="font-name text-2xl font-bold">{practiseWords.sureOf}</h1>
        <Link to="/practise" className="ml-auto inline-flex min-h-11 items-center text-leaf underline">
          {practiseWords.toRounds}
        </Link>
      </div>
      <p className="text-quiet">{cook ? practiseWords.ofCook(cook.name) : practiseWords.nobody}</p>
      {shown.length === 0 && <p className="card p-5 text-lg">{practiseWords.nothingYet}</p>}
      {shown.map((kind) => {
        const { rating, rounds, doubt } = skillOf(answers, kind);
        const items = [...itemsOf(answers, kind)].sort((a, b) => a.streak - b.streak || b.seen - a.seen);
        return (
          <section
            key={kind}
            aria-label={KIND_WORDS[kind]}
            className="card grid grid-cols-[minmax(0,1fr)] gap-2 p-4"
          >
            <h2 className="font-name text-lg font-bold">
              {KIND_WORDS[kind]}{' '}
              <span className="text-base font-normal text-quiet">
                {practiseWords.rounds(rounds)}, {practiseWords.level(Math.round(rating), Math.round(doubt))}
              </span>
            </h2>
            <ul className="grid gap-x-6 sm:grid-cols-2">
              {items.map(({ item, right, seen, sureness }) => (
                <li key={item} className="flex gap-3 border-t border-rule py-1">
                  <span className="min-w-0 flex-1">{sayItem(kind, item, dressings)}</span>
                  <span className="text-quiet">{practiseWords.seen(right, seen)}</span>
                  <strong className="w-28 text-right">{SURE_WORDS[sureness]}</strong>
                </li>
              ))}
            </ul>
          </section>
        );
      })}
      {shown.length > 0 && <p className="text-sm text-quiet">{practiseWords.explained}</p>}
      <div className="flex flex-wrap gap-3">
        {answers.length > 0 && !asks && (
          <Button
            className="min-h-11"
            onClick={() => {
              setAsks(true);
            }}
          >
            {practiseWords.erase}
          </Button>
        )}
        {asks && (
          <Button
            kind="main"
            className="min-h-11"
            onClick={() => {
              thing.edit({ answers: [] });
              setAsks(false);
            }}
          >
            {practiseWords.eraseSure}
          </Button>
        )}
        {answers.length === 0 && thing.canUndo && (
          <Button className="min-h-11" onClick={thing.undo}>
            {practiseWords.bringBack}
          </Button>
        )}
      </div>
    </div>
  );
}

/** What was asked, as a cook would call it. */
function sayItem(kind: RoundKind, item: string, dressings: readonly Dressing[]): string {
  const nameOf = (id: string): string => dressings.find((one) => (one.id as string) === id)?.name ?? id;
  switch (kind) {
    case 'wrong':
      return listed(
        item.split('+').map((part) => FAULT_WORDS[FAULTS.find((fault) => fault === part) ?? 'flat']),
      );
    case 'amount':
      return AMOUNT_WORDS[item] ?? item;
    case 'hold':
      return item.split(' ').map(nameOf).join(' / ');
    case 'safe': {
      const [asked, about] = item.split(':');
      const question = SAFE_QUESTIONS.find((one) => one === asked);
      return question
        ? [
            SAFE_WORDS[question],
            asked === 'label' && about !== 'none' ? listed((about ?? '').split('+').map(sayAllergen)) : '',
          ]
            .filter(Boolean)
            .join(': ')
        : item;
    }
    case 'pour': {
      const [tool, oilMl] = item.split(' ');
      const known = TOOLS.find((one) => one === tool);
      return known ? `${TOOL_WORDS[known]}, ${oilMl} ml` : item;
    }
  }
}
