import { useState, type ComponentType } from 'react';
import { Link, useSearchParams } from 'react-router';
import { ROUND_KINDS, type RoundKind } from '#core/practise';
import { KIND_WORDS, practiseWords } from '#words/screens/practise';
import { useSpokenKitchen } from '../../data/kitchen';
import { NextStep } from '../../parts/NextStep';
import { Loading, Trouble } from '../../parts/PageState';
import { useKept } from '../../sync/useKept';
import { Chips } from '../../ui/Chips';
import { AmountRound } from './AmountRound';
import { HoldRound } from './HoldRound';
import { PourRound } from './PourRound';
import type { RoundProps } from './rounds';
import { SafeRound } from './SafeRound';
import { newSeed, useDressings, usePractice } from './usePractice';
import { WrongRound } from './WrongRound';

const ROUNDS: Readonly<Record<RoundKind, ComponentType<RoundProps>>> = {
  wrong: WrongRound,
  amount: AmountRound,
  hold: HoldRound,
  safe: SafeRound,
  pour: PourRound,
};
const ON_DRESSINGS: ReadonlySet<RoundKind> = new Set<RoundKind>(['wrong', 'hold', 'safe']);

/** Short rounds on the kitchen's own dressings: no jar is spoiled, and nothing is written into the kitchen's book. */
export function PractisePage() {
  const kitchen = useSpokenKitchen();
  const [search, setSearch] = useSearchParams();
  const kind = ROUND_KINDS.find((one) => one === search.get('kind')) ?? 'wrong';
  const practice = usePractice();
  const dressings = useDressings(kitchen);
  // The same round after a reload of its tab; a seed in the address is that very round.
  const [start] = useState(newSeed);
  const [seed, setSeed] = useKept<number>('practise-seed', start);
  const asked = Number(search.get('seed') ?? NaN);
  const now = Number.isInteger(asked) ? asked : seed;
  if (practice.error) return <Trouble error={practice.error} retry={practice.retry} />;
  if (!dressings || !practice.thing) return <Loading what={practiseWords.loading} />;
  const Round = ROUNDS[kind];
  const next = (): void => {
    setSeed(newSeed());
    setSearch({ kind }, { replace: true });
  };
  return (
    <div className="mx-auto grid w-full max-w-5xl grid-cols-[minmax(0,1fr)] gap-3.5">
      <div className="flex flex-wrap items-center gap-x-5 gap-y-2">
        <h1 className="font-name text-2xl font-bold">{practiseWords.practise}</h1>
        <Link to="/practise/sure" className="ml-auto inline-flex min-h-11 items-center text-leaf underline">
          {practiseWords.sureOf}
        </Link>
      </div>
      <Chips
        large
        className="flex flex-wrap"
        label={practiseWords.whatToPractise}
        value={kind}
        options={ROUND_KINDS.map((value) => ({ value, label: KIND_WORDS[value] }))}
        onChange={(value) => {
          setSearch({ kind: value }, { replace: true });
        }}
      />
      {ON_DRESSINGS.has(kind) && dressings.length === 0 ? (
        <div className="card p-5">
          <NextStep says={practiseWords.noDressings} label={practiseWords.toShelf} to="/" />
        </div>
      ) : (
        <Round
          key={`${kind} ${now} ${practice.cookId ?? ''}`}
          dressings={dressings}
          answers={practice.answers}
          kitchen={kitchen}
          seed={now}
          onDone={practice.record}
          onNext={next}
        />
      )}
      <p className="text-sm text-quiet">{practiseWords.nothingIsKept}</p>
    </div>
  );
}
