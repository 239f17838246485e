import type { Settings } from '#contract';
import type { Style } from '#core/palate';
import { useMemo } from 'react';
import {
  leaningsAsked,
  readLeanings,
  type FormulateAnswer,
  type Rounding,
  type RoundTo,
} from '#core/balance';
import { emptyFormula, type Addition, type AdditionId } from '#core/formula';
import { MEASURE_WORDS } from '#words/palate';
import { DEFAULT_VESSEL_ID, SHAKE_LINE_SHARE, type Vessel } from '#core/vessel';
import { fromPantryWords } from '#words/screens/fromPantry';
import { Alert } from '../../ui/Alert';
import { sayError } from '../../data/kitchenApi';
import { freshAmountText } from '#kitchen/edits';
import { newId } from '../../sync/device';
import { contextFor } from '#kitchen/reading';
import { useKitchen } from '../../data/kitchen';
import { useStyles } from '../../data/styles';
import { useKept } from '../../sync/useKept';
import { typedNumber } from '../../form/typed';
import { Chips } from '../../ui/Chips';
import { Choice } from '../../ui/Choice';
import { Field } from '../../ui/Field';
import { useSearch } from '../../workers/useSearch';
import { AnswerColumn } from './AnswerColumn';
import { HandList } from './HandList';
import { onHandOf, type HandLine } from './handLines';
import { Answers } from './Answers';
import { SearchState } from '../../parts/SearchState';
import { useOpenDraft } from '../../parts/useOpenDraft';

const VOLUME_LIMITS = { low: 10, high: 100_000 };
const START: readonly HandLine[] = [
  { id: 'water', text: 'water', useUp: false },
  { id: 'salt', text: fromPantryWords.fineTableSalt, useUp: false },
];
const MEASURES = [
  { value: 'mixed', label: fromPantryWords.scaleSpoonsForSmallThings },
  { value: 'spoons', label: fromPantryWords.spoonsAndCups },
  { value: 'scale', label: fromPantryWords.n1GScale },
] as const;

/** "This vinegar, this oil, half a lemon, yoghurt: 300 ml of something lemony and light." */
export function FromPantryPage() {
  const kitchen = useKitchen();
  const { settings } = kitchen;
  const styles = useStyles();
  const [lines, setLines] = useKept<readonly HandLine[]>('hand', START);
  const [volumeText, setVolumeText] = useKept('volume', '300');
  const [styleId, setStyleId] = useKept<string>('style', styles[0]!.id);
  const [wish, setWish] = useKept('wish', '');
  const [measuredWith, setMeasuredWith] = useKept<(typeof MEASURES)[number]['value']>('measured', 'mixed');
  const draft = useOpenDraft();
  const empty = useMemo(
    () => emptyFormula(fromPantryWords.fromThePantry, DEFAULT_VESSEL_ID, settings.spoons),
    [settings.spoons],
  );
  const context = useMemo(() => contextFor(empty, kitchen), [empty, kitchen]);
  const style = styles.find(({ id }) => id === styleId) ?? null;
  const { value: volumeMl, fits: volumeFits } = typedNumber(volumeText, {
    from: VOLUME_LIMITS.low,
    to: VOLUME_LIMITS.high,
  });
  const onHand = useMemo(() => onHandOf(lines, context), [lines, context]);
  const wished = useMemo(() => readLeanings(wish, onHand), [wish, onHand]);
  const question = useQuestion({
    volumeMl,
    onHand,
    wished,
    style,
    measuredWith,
    settings,
  });
  const { search, stop, again } = useSearch('formulate', question);
  const open = (answer: FormulateAnswer, rounding: Rounding): void => {
    const additions = additionsOf(
      answer,
      rounding,
      (massG, ingredient) => freshAmountText(massG, ingredient, empty, context),
      settings.decimalSign,
    );
    const formula = {
      ...empty,
      name: wish.trim()
        ? `${wish.trim().charAt(0).toUpperCase()}${wish.trim().slice(1)}`.slice(0, 120)
        : empty.name,
      vesselId: vesselFor(kitchen.vessels, answer.state.mixedVolumeMl).id,
      servingVolumeMl: settings.servingVolumeMl,
      styleId,
      additions,
    };
    void draft.open(formula);
  };
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-4 lg:grid-cols-[360px_minmax(0,1fr)]">
      <section
        aria-label={fromPantryWords.whatIsThere}
        className="card grid grid-cols-[minmax(0,1fr)] content-start gap-3 p-4"
      >
        <h1 className="font-name text-xl font-bold">{fromPantryWords.fromThePantry}</h1>
        <HandList lines={lines} onLines={setLines} context={context} kitchen={kitchen} />
      </section>
      <section
        aria-label={fromPantryWords.whatItShouldBe}
        className="card grid min-w-0 content-start gap-3 p-4"
      >
        <div className="flex flex-wrap items-start gap-x-4 gap-y-3">
          <Field
            label={fromPantryWords.toMakeMl}
            className="w-28"
            inputMode="decimal"
            value={volumeText}
            onText={setVolumeText}
            problem={volumeFits ? null : fromPantryWords.aVolumeFromLowMl(VOLUME_LIMITS.low)}
          />
          <div className="grid gap-1 font-semibold">
            {fromPantryWords.inTheStyleOf}
            <Choice
              label={fromPantryWords.inTheStyleOf}
              value={styleId}
              options={styles.map(({ id, name }) => ({ value: id, label: name }))}
              onChange={setStyleId}
              className="min-w-52 font-normal"
            />
          </div>
          <Field
            label={fromPantryWords.howItShouldBe}
            className="min-w-56 flex-1"
            value={wish}
            maxLength={120}
            placeholder={fromPantryWords.lemonyAndLight}
            onText={setWish}
            hint={sayWish(wished, style?.name ?? '')}
          />
        </div>
        <Chips
          label={fromPantryWords.measuredWith}
          value={measuredWith}
          options={MEASURES}
          onChange={setMeasuredWith}
        />
        {draft.error !== undefined && <Alert>{fromPantryWords.notOpenedError(sayError(draft.error))}</Alert>}
        {!question && volumeFits && <p className="text-quiet">{fromPantryWords.sayWhatIsThereAn}</p>}
        <SearchState search={search} what={fromPantryWords.findingAmounts} onStop={stop} onAgain={again} />
        {search.status === 'done' && question && (
          <Answers
            answer={search.answer}
            onOpen={open}
            busy={draft.busy}
            volumeMl={volumeMl!}
            columns={(entry, rounding) => (
              <AnswerColumn
                answer={entry}
                rounding={rounding}
                style={style}
                settings={settings}
                say={(line, massG, ingredient) =>
                  wordsOf(
                    rounding,
                    line,
                    () => freshAmountText(massG, ingredient, empty, context),
                    settings.decimalSign,
                  )
                }
              />
            )}
          />
        )}
      </section>
    </div>
  );
}

function additionsOf(
  answer: FormulateAnswer,
  rounding: Rounding,
  say: (massG: number, ingredient: FormulateAnswer['portions'][number]['ingredient']) => string,
  decimalSign: Settings['decimalSign'],
): readonly Addition[] {
  return answer.portions.map(({ ingredient, form }, rank): Addition => ({
    id: newId() as AdditionId,
    amountText: wordsOf(rounding, rank, () => say(rounding.lines[rank]!.massG, ingredient), decimalSign),
    ingredientId: ingredient.id,
    ingredientText: ingredient.name,
    form,
    note: '',
    phase: ingredient.category === 'oil' ? 'oil' : 'base',
    optional: false,
    locked: false,
    measuredBy: null,
    stage: 0,
    rank,
  }));
}

interface Asking {
  /** Null: not one that can be made. */
  readonly volumeMl: number | null;
  readonly onHand: ReturnType<typeof onHandOf>;
  readonly wished: ReturnType<typeof readLeanings>;
  readonly style: Style | null;
  readonly measuredWith: (typeof MEASURES)[number]['value'];
  readonly settings: Settings;
}
/** What is asked of the search; null while there is too little to ask with. */
function useQuestion({ volumeMl, onHand, wished, style, measuredWith, settings }: Asking) {
  return useMemo(() => {
    if (volumeMl === null || onHand.length <= START.length) return null;
    const asked = leaningsAsked(wished.leanings, onHand, style);
    const to: RoundTo =
      measuredWith === 'spoons'
        ? { kind: 'spoons', spoons: settings.spoons }
        : measuredWith === 'scale'
          ? { kind: 'scale', readabilityG: 1 }
          : { kind: 'mixed', readabilityG: 1, spoons: settings.spoons };
    return { request: { volumeMl, style, ...asked }, to };
  }, [volumeMl, onHand, wished, style, measuredWith, settings.spoons]);
}

/** As rounded; a dilution is weighed as it is here. */
function wordsOf(
  rounding: Rounding,
  line: number,
  exact: () => string,
  decimalSign: 'point' | 'comma',
): string {
  const text = rounding.lines[line]?.text ?? exact();
  return decimalSign === 'comma' ? text.replace('.', ',') : text;
}

/** The smallest that closes and holds it below the shake line; else the largest there is. */
function vesselFor(vessels: readonly Vessel[], volumeMl: number): Vessel {
  const bySize = [...vessels].sort((a, b) => a.brimfulVolumeMl - b.brimfulVolumeMl);
  return (
    bySize.find(({ closes, brimfulVolumeMl }) => closes && brimfulVolumeMl * SHAKE_LINE_SHARE >= volumeMl) ??
    bySize.at(-1)!
  );
}

function sayWish(
  { leanings, unread }: ReturnType<typeof readLeanings>,
  styleName: string,
): string | undefined {
  const parts = leanings.map(({ word, about }) =>
    about.kind === 'acid'
      ? fromPantryWords.wordNameAsTheOnly(word, about.ingredient.name.toLowerCase())
      : fromPantryWords.wordTitleNearTheForm(
          word,
          MEASURE_WORDS[about.measure].title.toLowerCase(),
          about.share < 0.5 ? fromPantryWords.low : fromPantryWords.high,
          styleName,
        ),
  );
  if (unread.length > 0) parts.push(fromPantryWords.notUnderstoodUnread(unread.join(', ')));
  return parts.length > 0 ? `${parts.join('; ')}.` : undefined;
}
