import { useMemo, useState } from 'react';
import { SeededRandom } from '#core/numeric';
import { emptyFormula } from '#core/formula';
import { amountRounds, nextOf, scoreOfAmount, type AmountRound as Round } from '#core/practise';
import { DEFAULT_VESSEL_ID } from '#core/vessel';
import { contextFor } from '#kitchen/reading';
import { formatAmount } from '#words/numbers';
import { AMOUNT_WORDS, practiseWords, SPOKEN_AMOUNTS } from '#words/screens/practise';
import { useCounter } from '../../data/instruments';
import { sayError, useAddMeasureMutation, useMeasuresQuery } from '../../data/kitchenApi';
import { useScaleClaim } from '../../data/scale';
import { useCookHere } from '../../data/useCook';
import { typedNumber } from '../../form/typed';
import { ScaleLine } from '../../parts/ScaleLine';
import { TesterPanel } from '../../parts/TesterPanel';
import { newId } from '../../sync/device';
import { Alert } from '../../ui/Alert';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { RoundEnd } from './RoundEnd';
import type { RoundProps } from './rounds';

/** A measure is guessed in grams, then weighed; what was weighed is kept only where the cook says so. */
export function AmountRound({ kitchen, answers: now, seed, onDone, onNext }: RoundProps) {
  const [answers] = useState(now);
  const { settings } = kitchen;
  const round = useMemo(() => {
    const empty = emptyFormula('', DEFAULT_VESSEL_ID, settings.spoons);
    const rounds = amountRounds(SPOKEN_AMOUNTS, contextFor(empty, kitchen));
    return nextOf(rounds, answers, 'amount', new SeededRandom(seed).next());
  }, [kitchen, settings.spoons, answers, seed]);
  const [text, setText] = useState('');
  const [score, setScore] = useState<number | null>(null);
  const { value, fits, wrong } = typedNumber(text, { above: 0, to: 10_000 });
  if (!round) return <p>{practiseWords.noRound}</p>;
  const grams = (massG: number): string => formatAmount(massG, 'g', settings);
  const said = AMOUNT_WORDS[round.line] ?? round.line;
  return (
    <section aria-label={practiseWords.howMuchIs(said)} className="card grid gap-4 p-5">
      <h2 className="font-name text-2xl font-bold">{practiseWords.howMuchIs(said)}</h2>
      <form
        className="flex flex-wrap items-start gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          if (!fits || score !== null) return;
          const found = scoreOfAmount(value, round.massG);
          setScore(found);
          onDone({ kind: 'amount', item: round.item, difficulty: round.difficulty, score: found });
        }}
      >
        <Field
          label={practiseWords.grams}
          inputMode="decimal"
          value={text}
          readOnly={score !== null}
          onText={setText}
          problem={wrong ? practiseWords.aWeight : null}
          className="w-40"
        />
        {score === null && (
          <Button kind="main" type="submit" data-next className="mt-6 min-h-16 px-8 text-lg" disabled={!fits}>
            {practiseWords.check}
          </Button>
        )}
      </form>
      {score !== null && (
        <RoundEnd score={score} onNext={onNext}>
          <span>
            {practiseWords.itIs(grams(round.massG.nominal), grams(round.massG.low), grams(round.massG.high))}
          </span>
        </RoundEnd>
      )}
      {score !== null && round.unit !== null && <WeighIt round={round} unit={round.unit} grams={grams} />}
    </section>
  );
}

function WeighIt({
  round: { ingredient },
  unit,
  grams,
}: {
  round: Round;
  unit: NonNullable<Round['unit']>;
  grams: (massG: number) => string;
}) {
  const [claimId] = useState(() => `practise-${newId()}`);
  const [wants, setWants] = useState(false);
  const counter = useCounter(claimId);
  const scale = useScaleClaim(counter, claimId, practiseWords.practise, wants);
  const cookId = useCookHere();
  const { data: records } = useMeasuresQuery();
  const [add, adding] = useAddMeasureMutation();
  if (!counter.infoOf('scale')) return null;
  const readabilityG = scale.info?.readability ?? 0;
  const onScaleG = scale.takeableG !== null && scale.takeableG >= readabilityG ? scale.takeableG : null;
  const keep = (massG: number): void => {
    const before = records?.find(
      (record) => record.unit === unit && record.ingredientId === ingredient.id && record.cookId === cookId,
    );
    const weighings = [...(before?.weighings ?? []), { massG, source: scale.reading.source }].slice(-50);
    void add({ id: newId(), cookId, unit, ingredientId: ingredient.id, weighings });
  };
  if (!wants)
    return (
      <Button
        className="min-h-16 justify-self-start px-5"
        onClick={() => {
          setWants(true);
        }}
      >
        {practiseWords.weighIt}
      </Button>
    );
  return (
    <div className="grid gap-3">
      <ScaleLine scale={scale} weighable readabilityG={readabilityG} settings={{ decimalSign: 'point' }} />
      <span className="font-name text-5xl font-bold" data-testid="reading">
        {scale.netG === null ? '–' : scale.netG.toFixed(1)} <span className="text-2xl text-quiet">g</span>
      </span>
      {adding.isSuccess ? (
        <p role="status">{practiseWords.itIsKept}</p>
      ) : (
        <Button
          className="min-h-16 justify-self-start px-5"
          disabled={onScaleG === null || adding.isLoading}
          onClick={() => {
            if (onScaleG !== null) keep(onScaleG);
          }}
        >
          {practiseWords.keepIt(grams(onScaleG ?? 0))}
        </Button>
      )}
      {adding.isError && <Alert>{practiseWords.notKept(sayError(adding.error))}</Alert>}
      {scale.simulated && <TesterPanel counter={counter} />}
    </div>
  );
}
