import { useMemo, useState } from 'react';
import {
  FAULT_SETS,
  FAULTS,
  feltIn,
  gestureEffect,
  itemOf,
  nextOf,
  scoreOfWrong,
  faultDifficulty,
  skillOf,
  wantedDifficulty,
  type Fault,
  type FaultyJar,
  type PractiseAnswer,
  type WrongRound as Round,
} from '#core/practise';
import { palateOf } from '#core/palate';
import { exactly } from '#core/quantity';
import { SeededRandom } from '#core/numeric';
import type { JudgedPortion } from '#core/reckoning';
import type { TrialLine } from '#core/trial';
import { contextFor, mendsFrom, type Kitchen } from '#kitchen/reading';
import { sayDoses } from '#words/balance';
import { listed } from '#words/numbers';
import { FAULT_WORDS, practiseWords, SENSE_WORDS } from '#words/screens/practise';
import { Profile } from '../../parts/drawing/Profile';
import { GesturePad } from '../../parts/GesturePad';
import { profileRows } from '../../parts/palateProfile';
import { Button } from '../../ui/Button';
import { Working } from '../../ui/Working';
import { useSearch } from '../../workers/useSearch';
import { Picks } from './Picks';
import { RoundEnd } from './RoundEnd';
import type { Dressing } from './usePractice';

interface WrongRoundProps {
  readonly dressings: readonly Dressing[];
  readonly answers: readonly PractiseAnswer[];
  readonly kitchen: Kitchen;
  readonly seed: number;
  readonly onDone: (answer: PractiseAnswer) => void;
  readonly onNext: () => void;
}

/** A jar with a hidden fault: it is named, then mended, and each gesture answers at once. */
export function WrongRound(props: WrongRoundProps) {
  const { dressings, kitchen, seed } = props;
  // What was answered in this very round must not make another of it.
  const [answers] = useState(props.answers);
  const question = useMemo(() => {
    const random = new SeededRandom(seed);
    const choices = FAULT_SETS.map((faults) => ({
      faults,
      item: itemOf(faults),
      difficulty: faultDifficulty(faults, 3.5),
    }));
    const { faults } = nextOf(choices, answers, 'wrong', random.next())!;
    // What cooks weighed themselves cannot be sent along: the reckoned way is in the kitchen's own spoons.
    const { spoons, partVolumeMl, smallMeasures } = contextFor(dressings[0]!.formula, kitchen).measuring;
    return {
      dressings: dressings.map(({ judgement }) => judgement.portions),
      wanted: faults,
      difficulty: wantedDifficulty(skillOf(answers, 'wrong')),
      seed,
      ingredients: [...kitchen.catalogue.values()],
      hand: {
        measuring: { spoons, partVolumeMl, smallMeasures },
        readabilityG: kitchen.settings.batch.scale.readabilityG,
      },
    };
  }, [dressings, answers, kitchen, seed]);
  const { search, stop, again } = useSearch('practise', question);
  if (search.status === 'working')
    return <Working what={practiseWords.making} done={search.done} onStop={stop} />;
  if (search.status !== 'done')
    return search.status === 'idle' ? null : (
      <p role="alert">
        {search.status === 'failed' ? search.message : practiseWords.noRound}{' '}
        <Button onClick={again}>{practiseWords.next}</Button>
      </p>
    );
  const { round } = search.answer;
  if (!round) return <p>{practiseWords.noRound}</p>;
  return <Mending key={seed} {...props} round={round} dressing={dressings[round.index]!} />;
}

interface Put {
  readonly said: string;
  readonly portions: readonly JudgedPortion[];
  readonly nearer: boolean | null;
}

function Mending({
  round,
  dressing,
  kitchen,
  onDone,
  onNext,
}: WrongRoundProps & { readonly round: Round; readonly dressing: Dressing }) {
  const { jar, item, difficulty } = round;
  const [named, setNamed] = useState<readonly Fault[]>([]);
  const [isNamed, setIsNamed] = useState(false);
  const [peeked, setPeeked] = useState(false);
  const [puts, setPuts] = useState<readonly Put[]>([]);
  const [score, setScore] = useState<number | null>(null);
  const portions = puts.at(-1)?.portions ?? jar.portions;
  const context = useMemo(() => contextFor(dressing.formula, kitchen), [dressing, kitchen]);
  const mayAdd = useMemo(() => mendsFrom(portions, kitchen, context).mayAdd, [portions, kitchen, context]);
  const felt = useMemo(() => feltIn(portions, jar), [portions, jar]);
  const end = (gestures: number, right: boolean): void => {
    const found = scoreOfWrong(jar, named, gestures, right) * (peeked ? PEEKED : 1);
    setScore(found);
    onDone({ kind: 'wrong', item, difficulty, score: found });
  };
  const put = ({ ingredientId, form, massG }: TrialLine, said: string): void => {
    const ingredient = kitchen.catalogue.get(ingredientId);
    if (!ingredient || score !== null) return;
    const after = [...portions, { ingredient, form, massG: exactly(massG), pieces: false }];
    const { lossBefore, lossAfter, right } = gestureEffect(portions, after, jar);
    const moved = Math.abs(lossAfter - lossBefore) < 0.02 ? null : lossAfter < lossBefore;
    const next = [...puts, { said, portions: after, nearer: moved }];
    setPuts(next);
    if (right) end(next.length, true);
  };
  return (
    <section aria-label={practiseWords.whatIsWrong} className="card grid grid-cols-[minmax(0,1fr)] gap-4 p-5">
      <p className="text-quiet">{practiseWords.of(dressing.name)}</p>
      <div role="status" className="grid gap-1" data-testid="mouth-says">
        <strong>{practiseWords.theMouth}</strong>
        {(puts.length === 0 ? jar.faults : felt).map((fault) => (
          <p key={fault} className="font-name text-2xl">
            {SENSE_WORDS[fault]}
          </p>
        ))}
        {puts.length > 0 && felt.length === 0 && (
          <p>{practiseWords.itSaysNow(practiseWords.nothingIsWrong)}</p>
        )}
      </div>
      {!isNamed && score === null && (
        <>
          <h2 className="font-name text-xl font-bold">
            {practiseWords.whatIsWrong}{' '}
            <span className="text-base font-normal text-quiet">{practiseWords.upToTwo}</span>
          </h2>
          <Picks
            label={practiseWords.whatIsWrong}
            options={FAULTS.map((value) => ({ value, label: FAULT_WORDS[value] }))}
            picked={named}
            onPick={setNamed}
            most={2}
          />
        </>
      )}
      {(isNamed || peeked) && <Line jar={jar} portions={portions} kitchen={kitchen} />}
      {isNamed && score === null && (
        <>
          <h2 className="font-name text-xl font-bold">{practiseWords.nowMendIt}</h2>
          <GesturePad
            portions={portions}
            mayAdd={mayAdd}
            context={context}
            settings={kitchen.settings}
            onPut={put}
          />
        </>
      )}
      {puts.length > 0 && <Puts puts={puts} />}
      {score === null ? (
        <div className="flex flex-wrap gap-3 border-t border-rule pt-4">
          {!isNamed && (
            <Button
              kind="main"
              data-next
              className="min-h-16 px-8 text-lg"
              disabled={named.length === 0}
              onClick={() => {
                setIsNamed(true);
              }}
            >
              {practiseWords.check}
            </Button>
          )}
          {!isNamed && !peeked && (
            <Button
              className="min-h-16 px-5"
              onClick={() => {
                setPeeked(true);
              }}
            >
              {practiseWords.showProfile}
            </Button>
          )}
          {puts.length > 0 && (
            <Button
              className="min-h-16 px-5"
              onClick={() => {
                setPuts(puts.slice(0, -1));
              }}
            >
              {practiseWords.undo}
            </Button>
          )}
          <Button
            kind="quiet"
            className="min-h-16 px-5"
            onClick={() => {
              end(puts.length, false);
            }}
          >
            {practiseWords.giveUp}
          </Button>
        </div>
      ) : (
        <RoundEnd score={score} onNext={onNext}>
          {felt.length === 0 && puts.length > 0 && <span>{practiseWords.mended}</span>}
          <span>{practiseWords.itWas(listed(jar.faults.map((fault) => FAULT_WORDS[fault])))}</span>
          {puts.length > 0 && <span>{practiseWords.yours(practiseWords.gestures(puts.length))}</span>}
          <span>{practiseWords.reckoned(sayDoses(jar.way))}</span>
        </RoundEnd>
      )}
    </section>
  );
}
/** Looking at the line first is a help. */
const PEEKED = 0.8;

/** What is outside, drawn; no figure of it is shown. */
function Line({
  jar,
  portions,
  kitchen,
}: {
  jar: FaultyJar;
  portions: readonly JudgedPortion[];
  kitchen: Kitchen;
}) {
  const rows = useMemo(
    () => profileRows(palateOf(portions), jar.style, kitchen.settings.decimalSign),
    [portions, jar, kitchen.settings.decimalSign],
  );
  return (
    <div className="max-w-xl">
      <Profile rows={rows} figures={false} />
    </div>
  );
}

function Puts({ puts }: { puts: readonly Put[] }) {
  return (
    <ol className="grid gap-1" data-testid="puts">
      {puts.map(({ said, nearer }, place) => (
        <li key={place}>
          {said}:{' '}
          <strong>
            {nearer === null ? practiseWords.same : nearer ? practiseWords.nearer : practiseWords.further}
          </strong>
        </li>
      ))}
    </ol>
  );
}
