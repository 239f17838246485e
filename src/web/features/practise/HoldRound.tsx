import { Suspense, useMemo, useState } from 'react';
import { holdRequest, ROOM_C, USUAL_HEIGHT_M, usualSeconds } from '#core/emulsion';
import { SeededRandom } from '#core/numeric';
import { holdRounds, nextOf, scoreOfHold, WHEN_PARTS, type WhenParts } from '#core/practise';
import { sayDuration } from '#words/hold';
import { practiseWords, WHEN_WORDS } from '#words/screens/practise';
import { Button } from '../../ui/Button';
import { later } from '../../ui/later';
import { useDrawnHolds, useHolds } from '../../workers/useHolds';
import { Picks } from './Picks';
import { RoundEnd } from './RoundEnd';
import type { RoundProps } from './rounds';
import type { Dressing } from './usePractice';

const HoldChart = later(async () => (await import('../../parts/chart/HoldChart')).HoldChart);

/** All shaken, all at room temperature: only what is in them differs. */
const requestOf = ({ judgement, volumeMl }: Dressing) =>
  volumeMl > 0
    ? holdRequest(judgement.portions, {
        tool: 'shake',
        seconds: usualSeconds('shake'),
        volumeMl,
        heightM: USUAL_HEIGHT_M,
        temperatureC: ROOM_C,
      })
    : null;

/** Two jars: which parts first, and when; then how they really do, drawn. */
export function HoldRound({ dressings, answers: now, seed, onDone, onNext }: RoundProps) {
  const [answers] = useState(now);
  const requests = useMemo(() => dressings.map(requestOf), [dressings]);
  const holds = useHolds(requests);
  const round = useMemo(() => {
    const known = dressings.map(({ id }, i) => ({ id, medianS: holds[i]?.medianS ?? null }));
    return nextOf(holdRounds(known), answers, 'hold', new SeededRandom(seed).next());
  }, [dressings, holds, answers, seed]);
  const [which, setWhich] = useState<'first' | 'second' | null>(null);
  const [when, setWhen] = useState<WhenParts | null>(null);
  const [score, setScore] = useState<number | null>(null);
  if (!round) return <p>{practiseWords.noRound}</p>;
  const [a, b] = [dressings[round.first]!, dressings[round.second]!];
  const things = ({ judgement }: Dressing): string =>
    judgement.portions.map(({ ingredient }) => ingredient.name.split(',')[0]).join(', ');
  const firstOne = round.answer === 'first' ? a : b;
  const medianS = holds[round.answer === 'first' ? round.first : round.second]?.medianS ?? null;
  return (
    <section aria-label={practiseWords.whichFirst} className="card grid grid-cols-[minmax(0,1fr)] gap-4 p-5">
      <ul className="grid gap-1">
        {([a, b] as const).map((jar, i) => (
          <li key={jar.id}>
            <strong>{practiseWords.jar(i === 0 ? 'A' : 'B', jar.name)}</strong>{' '}
            <span className="text-quiet">{practiseWords.holds(things(jar))}</span>
          </li>
        ))}
      </ul>
      <h2 className="font-name text-2xl font-bold">{practiseWords.whichFirst}</h2>
      <Picks
        label={practiseWords.whichFirst}
        most={1}
        disabled={score !== null}
        picked={which ? [which] : []}
        options={[
          { value: 'first', label: `A: ${a.name}` },
          { value: 'second', label: `B: ${b.name}` },
        ]}
        onPick={([one]) => {
          setWhich(one ?? null);
        }}
      />
      <h2 className="font-name text-xl font-bold">{practiseWords.andWhen}</h2>
      <Picks
        label={practiseWords.andWhen}
        most={1}
        disabled={score !== null}
        picked={when ? [when] : []}
        options={WHEN_PARTS.map((value) => ({ value, label: WHEN_WORDS[value] }))}
        onPick={([one]) => {
          setWhen(one ?? null);
        }}
      />
      {score === null ? (
        <Button
          kind="main"
          data-next
          className="min-h-16 justify-self-start px-8 text-lg"
          disabled={which === null || when === null}
          onClick={() => {
            if (which === null || when === null) return;
            const found = scoreOfHold(round, which, when);
            setScore(found);
            onDone({ kind: 'hold', item: round.item, difficulty: round.difficulty, score: found });
          }}
        >
          {practiseWords.check}
        </Button>
      ) : (
        <>
          <RoundEnd score={score} onNext={onNext}>
            <span>
              {practiseWords.partsFirst(
                firstOne.name,
                medianS === null ? practiseWords.never : practiseWords.after(sayDuration(medianS)),
              )}
            </span>
          </RoundEnd>
          <Course jars={[a, b]} />
        </>
      )}
    </section>
  );
}

function Course({ jars }: { jars: readonly [Dressing, Dressing] }) {
  const requests = useMemo(() => jars.map(requestOf), [jars]);
  const { holds } = useDrawnHolds(requests);
  return (
    <section aria-label={practiseWords.theCourse}>
      <h3 className="font-semibold">{practiseWords.theCourse}</h3>
      <div className="min-h-66">
        {holds.some((hold) => hold !== null && hold.frames.length > 0) && (
          <Suspense fallback={<div className="h-64" />}>
            <HoldChart
              holds={holds}
              names={jars.map(({ name }, i) => practiseWords.jar(i === 0 ? 'A' : 'B', name))}
            />
          </Suspense>
        )}
      </div>
    </section>
  );
}
