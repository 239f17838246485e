import { useMemo, useState } from 'react';
import { candidatesFor, withDoses, type Remedy, type RemedyRequest } from '#core/balance';
import { ASIDE_WORDS, PLAN_WORDS, COMPLAINT_WORDS, sayDoses, sayImpossible } from '#words/balance';
import type { HoldRequest } from '#core/emulsion';
import { sayHoldMove } from '#words/hold';
import type { Formula, ReadingContext } from '#core/formula';
import type { Style } from '#core/palate';
import type { JudgedPortion } from '#core/reckoning';
import type { Said } from '#core/trial';
import { freshAmountText } from '#kitchen/edits';
import { makingHold, type MixedIn } from '#kitchen/holds';
import { entryOf, type Kitchen } from '#kitchen/reading';
import { tasteWords } from '#words/screens/taste';
import { Button } from '../../ui/Button';
import { ChangeEffect } from '../../parts/ChangeEffect';
import { Chips } from '../../ui/Chips';
import { useHolds } from '../../workers/useHolds';
import { useSearch } from '../../workers/useSearch';
import { SearchState } from '../../parts/SearchState';

interface MendsProps {
  readonly mixed: MixedIn;
  readonly portions: readonly JudgedPortion[];
  readonly said: readonly Said[];
  /** What nobody knows of it, as typed. */
  readonly unread: readonly string[];
  readonly style: Style | null;
  readonly roomMl: number;
  readonly formula: Formula;
  readonly context: ReadingContext;
  readonly kitchen: Kitchen;
  readonly busy: boolean;
  readonly onAdded: (remedy: Remedy) => void;
}

const NOBODY_LOCKED: ReadonlySet<never> = new Set();

/** Ranked additions for what was said, each with what it moves; "Weigh it in" makes steps of it. */
export function Mends({
  mixed,
  portions,
  unread,
  said,
  style,
  roomMl,
  formula,
  context,
  kitchen,
  busy,
  onAdded,
}: MendsProps) {
  const [chosen, setChosen] = useState<string | null>(null);
  const current = said.find(({ complaint }) => complaint === chosen) ?? said[0];
  const question = useMemo(
    (): RemedyRequest | null =>
      current && portions.length > 0
        ? {
            portions,
            unread,
            ...current,
            style,
            roomMl,
            mayAdd: candidatesFor(portions, {
              catalogue: kitchen.catalogue,
              stockG: (id) => entryOf(kitchen.pantry, id).onHandG,
              locked: NOBODY_LOCKED,
            }),
          }
        : null,
    [current, portions, unread, style, roomMl, kitchen],
  );
  const { search, stop, again } = useSearch('remedies', question);
  const holdsAsked = useMemo(() => {
    if (search.status !== 'done') return NO_HOLDS;
    const after = search.answer.remedies.map(({ doses }) => withDoses(portions, doses));
    return [portions, ...after].map((jar) => makingHold(jar, mixed));
  }, [search, portions, mixed]);
  const [holdNow, ...holdsAfter] = useHolds(holdsAsked);
  const say = (massG: number, ingredient: Parameters<typeof freshAmountText>[1]): string =>
    freshAmountText(massG, ingredient, formula, context, kitchen.settings.amountsIn === 'spoons');
  if (!current) {
    return <p className="text-quiet">{tasteWords.sayWhatTheMouthSays}</p>;
  }
  return (
    <>
      {said.length > 1 && (
        <Chips
          label={tasteWords.whatToMend}
          value={current.complaint}
          options={said.map(({ complaint }) => ({
            value: complaint as string,
            label: COMPLAINT_WORDS[complaint],
          }))}
          onChange={setChosen}
        />
      )}
      <SearchState search={search} what={tasteWords.lookingForWays} onStop={stop} onAgain={again} />
      {search.status === 'done' && (
        <>
          <ol className="mt-2 grid gap-4" data-testid="mends">
            {search.answer.remedies.map((remedy, index) => (
              <li key={index} className="rounded-lg border-2 border-rule bg-paper p-3">
                <p className="font-name mb-2 text-[1.05rem] font-semibold">
                  {remedy.partial ? tasteWords.partOfTheWay : PLAN_WORDS[remedy.planId]}:{' '}
                  {sayDoses(remedy.doses, say)}
                </p>
                <ChangeEffect
                  before={search.answer.before.judgement.palate}
                  keepingBefore={search.answer.before.judgement.keeping}
                  effect={remedy.effect}
                  style={style}
                  settings={kitchen.settings}
                  narrow
                />
                <p className="mt-1 text-sm" data-testid="hold-move">
                  {sayHoldMove(holdNow ?? null, holdsAfter[index] ?? null)}
                </p>
                <Button
                  kind={index === 0 ? 'main' : 'plain'}
                  className="mt-3 min-h-16 w-full"
                  disabled={busy}
                  onClick={() => {
                    onAdded(remedy);
                  }}
                >
                  {tasteWords.weighItIn}
                </Button>
              </li>
            ))}
          </ol>
          <ul className="mt-2 grid gap-1 text-sm">
            {search.answer.impossible.map((why) => (
              <li key={why.planId}>
                <strong>{PLAN_WORDS[why.planId]}:</strong> {sayImpossible(why, say).join(' ')}
              </li>
            ))}
          </ul>
          {search.answer.meaningless && (
            <p className="text-sm text-quiet">{tasteWords.nothingInThisJarMakes}</p>
          )}
          {ASIDE_WORDS[current.complaint] && (
            <p className="mt-2 text-sm text-quiet">{ASIDE_WORDS[current.complaint]}</p>
          )}
        </>
      )}
      <p className="mt-3 border-t border-rule pt-2 text-sm text-quiet">
        {tasteWords.additionsOnlyNothingComesBack}
      </p>
    </>
  );
}

const NO_HOLDS: readonly (HoldRequest | null)[] = [];
