import type { Settings } from '#contract';
import { useMemo, useState } from 'react';
import type { MeasureRecord } from '#contract';
import { OWN_UNITS, searchIngredients, weighed, type IngredientId, type OwnUnit } from '#core/ingredient';
import type { Source } from '#core/trial';
import { measuresWords } from '#words/screens/measures';
import { Alert } from '../../ui/Alert';
import { sayError, useAddMeasureMutation, useDevicesQuery } from '../../data/kitchenApi';
import { formatAmount } from '#words/numbers';
import { typedNumber } from '../../form/typed';
import { newId } from '../../sync/device';
import { useCounter } from '../../data/instruments';
import { useKitchen } from '../../data/kitchen';
import { useScaleClaim, type Scale } from '../../data/scale';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { Field } from '../../ui/Field';
import { ScaleLine } from '../../parts/ScaleLine';
import { TesterPanel } from '../../parts/TesterPanel';

interface WeighOneProps {
  readonly cookId: string | null;
  /** Weighed before: the same word and thing. */
  readonly start: MeasureRecord | null;
  readonly words: Readonly<Record<OwnUnit, string>>;
}

const MOST_FOUND = 5;
const SALT = 'salt_sea_fine' as IngredientId;
/** Fewer say little of the spread. */
const ENOUGH = 3;

/** One measure, weighed a few times: from the scale or typed, each on its own or as a difference. */
export function WeighOne({ cookId, start, words }: WeighOneProps) {
  const { catalogue, settings } = useKitchen();
  const [claimId] = useState(() => `measure-${newId()}`);
  const looking = useDevicesQuery().isLoading;
  const counter = useCounter(claimId);
  const scale = useScaleClaim(counter, claimId, measuresWords.myMeasures, true);
  const [unit, setUnit] = useState<OwnUnit>(start?.unit ?? 'pinch');
  const [ingredientId, setIngredientId] = useState<IngredientId>(start?.ingredientId ?? SALT);
  const [search, setSearch] = useState('');
  const [text, setText] = useState('');
  const [weighings, setWeighings] = useState<readonly Weighed[]>([]);
  const [id, setId] = useState(newId);
  const [add, adding] = useAddMeasureMutation();
  const ingredient = catalogue.get(ingredientId);
  const found = useMemo(
    () => (search.trim().length > 1 ? searchIngredients(search, catalogue, MOST_FOUND) : []),
    [search, catalogue],
  );
  const { value: typed, fits } = typedNumber(text, { above: 0, to: 10_000 });
  const grams = (massG: number): string => formatAmount(massG, 'g', settings);
  const take = (massG: number, source: Source): void => {
    setWeighings([...weighings, { massG, source }]);
    setText('');
    if (source !== 'typed') void scale.tare();
  };
  const keep = async (): Promise<void> => {
    const kept = await add({ id, cookId, unit, ingredientId, weighings: [...weighings] });
    if (!('data' in kept)) return;
    setWeighings([]);
    setId(newId());
  };
  return (
    <section
      aria-label={measuresWords.weighOne}
      className="card grid grid-cols-[minmax(0,1fr)] content-start gap-4 p-4"
    >
      <h2 className="font-name text-lg font-bold">{measuresWords.weighOne}</h2>
      <div className="flex flex-wrap items-start gap-3">
        <Choice
          label={measuresWords.measure}
          value={unit}
          options={OWN_UNITS.map((value) => ({ value, label: words[value] }))}
          onChange={setUnit}
          className="min-h-16"
        />
        <Field
          label={measuresWords.ofPart(ingredient?.name ?? ingredientId)}
          className="min-w-48 flex-1"
          placeholder={measuresWords.somethingElse}
          value={search}
          onText={setSearch}
        />
      </div>
      {found.length > 0 && (
        <ul className="flex flex-wrap gap-2">
          {found.map((one) => (
            <li key={one.id}>
              <Button
                onClick={() => {
                  setIngredientId(one.id);
                  setSearch('');
                }}
              >
                {one.name}
              </Button>
            </li>
          ))}
        </ul>
      )}
      {/* Whether there is a scale is known a moment later: its place is kept. */}
      <div className={`grid gap-4 empty:hidden ${looking ? 'min-h-40' : ''}`}>
        {looking ? <span /> : <FromScale scale={scale} settings={settings} onTake={take} />}
      </div>
      <form
        className="flex flex-wrap items-end gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          if (fits) take(typed, 'typed');
        }}
      >
        <Field
          label={measuresWords.orTypeOneG}
          className="w-40"
          inputMode="decimal"
          value={text}
          onText={setText}
          problem={text.trim() === '' || fits ? null : measuresWords.aWeightAboveNothing}
          hint={measuresWords.tooLightForYourScale}
        />
        <Button className="min-h-16 px-5" type="submit" disabled={!fits}>
          {measuresWords.addIt}
        </Button>
      </form>
      <Weighings weighings={weighings} grams={grams} onWeighings={setWeighings} />
      {adding.isError && <Alert>{measuresWords.notKeptYourWeightsStand(sayError(adding.error))}</Alert>}
      <Button
        kind="main"
        className="min-h-16 text-lg"
        disabled={weighings.length === 0 || adding.isLoading}
        onClick={() => void keep()}
      >
        {measuresWords.keepWordsOf(words[unit].toLowerCase())} {ingredient?.name.toLowerCase()}
      </Button>
      {scale.simulated && <TesterPanel counter={counter} />}
    </section>
  );
}

interface Weighed {
  readonly massG: number;
  readonly source: Source;
}
interface FromScaleProps {
  readonly scale: Scale;
  readonly settings: Settings;
  readonly onTake: (massG: number, source: Source) => void;
}
function FromScale({ scale, settings, onTake }: FromScaleProps) {
  const readability = scale.info?.readability ?? 0;
  const onScale = scale.takeableG !== null && scale.takeableG >= readability ? scale.takeableG : null;
  const grams = (massG: number): string => formatAmount(massG, 'g', settings);
  if (scale.status === 'none') return null;
  return (
    <>
      <ScaleLine scale={scale} weighable readabilityG={readability} settings={settings} />
      <div className="flex flex-wrap items-center gap-4">
        <span className="font-name text-5xl font-bold" data-testid="reading">
          {scale.netG === null ? '–' : scale.netG.toFixed(1)} <span className="text-2xl text-quiet">g</span>
        </span>
        <Button
          className="min-h-16 px-5"
          disabled={scale.status !== 'ready'}
          onClick={() => void scale.tare()}
        >
          {measuresWords.tare}
        </Button>
        <Button
          className="min-h-16 flex-1 px-5"
          disabled={onScale === null}
          onClick={() => {
            if (onScale !== null) onTake(onScale, scale.reading.source);
          }}
        >
          {onScale === null ? measuresWords.nothingToTakeYet : measuresWords.takeGrams(grams(onScale))}
        </Button>
      </div>
    </>
  );
}

interface WeighingsProps {
  readonly weighings: readonly Weighed[];
  readonly grams: (massG: number) => string;
  readonly onWeighings: (weighings: readonly Weighed[]) => void;
}
/** What was weighed so far, and what it comes to. */
function Weighings({ weighings, grams, onWeighings }: WeighingsProps) {
  const result = weighings.length > 0 ? weighed(weighings.map(({ massG }) => massG)) : null;
  return (
    <>
      <ol className="flex flex-wrap gap-2" data-testid="weighings">
        {weighings.map(({ massG, source }, index) => (
          <li key={index} className="rounded-md border border-edge px-2 py-1">
            {grams(massG)}
            {source === 'simulated' && measuresWords.simulated}{' '}
            <button
              type="button"
              className="underline"
              onClick={() => {
                onWeighings(weighings.filter((_, at) => at !== index));
              }}
            >
              {measuresWords.takeOut}
            </button>
          </li>
        ))}
      </ol>
      {result && (
        <p role="status" data-testid="mean">
          {measuresWords.mean} <strong>{grams(result.meanG)}</strong>
          {measuresWords.formOneFallsBetween(
            result.spreadG === null ? '' : measuresWords.spreadGrams(grams(result.spreadG)),
          )}{' '}
          {measuresWords.gramsAndGrams2(grams(result.massG.low), grams(result.massG.high))}
          {weighings.length < ENOUGH &&
            measuresWords.weighItFormMoreTo(
              ENOUGH - weighings.length === 1 ? measuresWords.once : measuresWords.twice,
            )}
          .
        </p>
      )}
    </>
  );
}
