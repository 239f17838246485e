import { useMemo, useState } from 'react';
import { SeededRandom } from '#core/numeric';
import { nextOf, safeRounds, scoreOfSafe, type SafeRound as Round } from '#core/practise';
import { inSentence, listed } from '#words/numbers';
import { sayAllergen } from '#words/safety';
import { practiseWords } from '#words/screens/practise';
import { Button } from '../../ui/Button';
import { Picks } from './Picks';
import { RoundEnd } from './RoundEnd';
import type { RoundProps } from './rounds';

const ASKS = {
  counter: practiseWords.mayItStand,
  days: practiseWords.howManyDays,
  label: practiseWords.whatLabel,
} as const;

/** What may stand, how long it keeps, what the label says: by the very procedure of safety. */
export function SafeRound({ dressings, answers: now, seed, onDone, onNext }: RoundProps) {
  const [answers] = useState(now);
  const asked = useMemo(() => {
    const random = new SeededRandom(seed);
    const choices = dressings.flatMap((dressing, i) =>
      safeRounds(dressing.judgement, seed + i).map((round) => ({ ...round, dressing })),
    );
    return nextOf(choices, answers, 'safe', random.next());
  }, [dressings, answers, seed]);
  const [picked, setPicked] = useState<readonly string[]>([]);
  const [score, setScore] = useState<number | null>(null);
  if (!asked) return <p>{practiseWords.noRound}</p>;
  const { dressing, question, choices, right } = asked;
  const say = sayChoice(question);
  const things = listed(
    dressing.judgement.portions.map(({ ingredient }) => inSentence(ingredient.name.split(',')[0]!)),
  );
  // "Nothing of these" is an answer, too.
  const none = question === 'label' && picked.length === 0;
  return (
    <section
      aria-label={practiseWords.is(dressing.name)}
      className="card grid grid-cols-[minmax(0,1fr)] gap-4 p-5"
    >
      <p>
        <strong>{practiseWords.is(dressing.name)}</strong> {practiseWords.holds(things)}
      </p>
      <h2 className="font-name text-2xl font-bold">{ASKS[question]}</h2>
      <Picks
        label={ASKS[question]}
        most={question === 'label' ? choices.length : 1}
        disabled={score !== null}
        picked={picked}
        options={choices.map((value) => ({ value, label: say(value) }))}
        onPick={setPicked}
      />
      {score === null ? (
        <Button
          kind="main"
          data-next
          className="min-h-16 justify-self-start px-8 text-lg"
          disabled={picked.length === 0 && !none}
          onClick={() => {
            const found = scoreOfSafe(asked, picked);
            setScore(found);
            onDone({ kind: 'safe', item: asked.item, difficulty: asked.difficulty, score: found });
          }}
        >
          {none ? practiseWords.none : practiseWords.check}
        </Button>
      ) : (
        <RoundEnd score={score} onNext={onNext}>
          <span>
            {practiseWords.rightWere(right.length === 0 ? practiseWords.none : listed(right.map(say)))}
          </span>
        </RoundEnd>
      )}
    </section>
  );
}

const sayChoice =
  (question: Round['question']) =>
  (value: string): string => {
    if (question === 'days') return practiseWords.days(value);
    if (question === 'label') return sayAllergen(value);
    return value === 'yes' ? practiseWords.yes : practiseWords.no;
  };
