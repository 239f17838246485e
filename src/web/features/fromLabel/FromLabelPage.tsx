import { useDeferredValue, useMemo } from 'react';
import {
  NUTRIENTS,
  PER_100_G,
  type LabelOutcome,
  type Nutrient,
  type Printed,
  type PrintedPer,
} from '#core/label';
import { weighedFormula } from '#kitchen/edits';
import { fromLabelWords, NUTRIENT_LABELS } from '#words/screens/fromLabel';
import { useKitchen } from '../../data/kitchen';
import { sayError } from '../../data/kitchenApi';
import { typedNumber } from '../../form/typed';
import { newId } from '../../sync/device';
import { SearchState } from '../../parts/SearchState';
import { useOpenDraft } from '../../parts/useOpenDraft';
import { useKept } from '../../sync/useKept';
import { Alert } from '../../ui/Alert';
import { Field } from '../../ui/Field';
import { useSearch } from '../../workers/useSearch';
import { LabelAnswers } from './LabelAnswers';
import { PER_START, perOf, PrintedPerFields, type PerTyped } from './PrintedPerFields';

interface Typed extends PerTyped {
  readonly ingredients: string;
  readonly figures: Readonly<Partial<Record<Nutrient, string>>>;
  readonly massG: string;
}
const START: Typed = { ingredients: '', figures: {}, massG: '250', ...PER_START };
const MOST_TEXT = 4000;

/** A bought bottle worked backwards: amounts that fit its label, opened as a draft of one's own. */
export function FromLabelPage() {
  const { settings, catalogue } = useKitchen();
  const [typed, setTyped] = useKept<Typed>('from-label-2', START);
  const draft = useOpenDraft();
  const figures = NUTRIENTS.map((nutrient) => {
    const text = typed.figures[nutrient] ?? '';
    return { nutrient, text, ...typedNumber(text, { from: 0, to: nutrient === 'energyKcal' ? 900 : 100 }) };
  });
  const mass = typedNumber(typed.massG, { from: 20, to: 5000 });
  const printed = JSON.stringify(
    Object.fromEntries(figures.flatMap(({ nutrient, value, fits }) => (fits ? [[nutrient, value]] : []))),
  );
  // Without a figure nothing hangs on it.
  const per = JSON.stringify(printed === '{}' ? PER_100_G : perOf(typed));
  const ingredients = useDeferredValue(typed.ingredients.trim());
  const question = useMemo(
    () =>
      ingredients === '' || per === 'null'
        ? null
        : {
            text: ingredients,
            printed: JSON.parse(printed) as Printed,
            per: JSON.parse(per) as PrintedPer,
            ingredients: [...catalogue.values()].filter(({ made }) => !made),
          },
    [ingredients, printed, per, catalogue],
  );
  const { search, stop, again } = useSearch('label', question);
  const open = ({ additions }: LabelOutcome['answers'][number]): void => {
    if (!mass.fits) return;
    const parts = additions.map(({ ingredient, gPer100G }) => ({
      ingredient,
      massG: (gPer100G * mass.value) / 100,
    }));
    void draft.open(weighedFormula(fromLabelWords.draftName, parts, settings, newId));
  };
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3.5">
      <h1 className="font-name text-2xl font-bold">{fromLabelWords.fromALabel}</h1>
      <div className="grid grid-cols-[minmax(0,1fr)] gap-3.5 lg:grid-cols-[400px_minmax(0,1fr)]">
        <section
          aria-label={fromLabelWords.whatStandsThere}
          className="card grid grid-cols-1 content-start gap-3 self-start p-4"
        >
          <label className="grid gap-1 font-semibold">
            {fromLabelWords.whatStandsThere}
            <textarea
              className="field min-h-36 font-normal"
              rows={6}
              maxLength={MOST_TEXT}
              placeholder={fromLabelWords.ingredientsExample}
              value={typed.ingredients}
              onChange={({ target }) => {
                setTyped({ ...typed, ingredients: target.value });
              }}
            />
          </label>
          <fieldset className="grid grid-cols-2 gap-3">
            <legend className="mb-1 font-semibold">{fromLabelWords.nutrition}</legend>
            <PrintedPerFields
              typed={typed}
              onTyped={(next) => {
                setTyped({ ...typed, ...next });
              }}
            />
            {figures.map(({ nutrient, text, wrong }) => (
              <Field
                key={nutrient}
                label={NUTRIENT_LABELS[nutrient]}
                inputMode="decimal"
                value={text}
                onText={(next) => {
                  setTyped({ ...typed, figures: { ...typed.figures, [nutrient]: next } });
                }}
                problem={
                  wrong
                    ? nutrient === 'energyKcal'
                      ? fromLabelWords.aFigure
                      : fromLabelWords.aFigureTo100
                    : null
                }
              />
            ))}
          </fieldset>
          <Field
            label={fromLabelWords.howMuch}
            inputMode="decimal"
            value={typed.massG}
            onText={(massG) => {
              setTyped({ ...typed, massG });
            }}
            problem={mass.fits ? null : fromLabelWords.aWeight}
            className="w-36"
          />
        </section>
        <section
          aria-label={fromLabelWords.fromALabel}
          className="card grid grid-cols-[minmax(0,1fr)] content-start gap-4 p-4"
        >
          {question === null && (
            <p className="text-quiet">
              {ingredients === '' ? fromLabelWords.typeTheList : fromLabelWords.ofHowMuch}
            </p>
          )}
          {question && (
            <SearchState search={search} what={fromLabelWords.working} onStop={stop} onAgain={again} />
          )}
          {search.status === 'done' && question !== null && (
            <LabelAnswers
              outcome={search.answer}
              settings={settings}
              busy={draft.busy || !mass.fits}
              onOpen={open}
            />
          )}
          {draft.error !== undefined && <Alert>{fromLabelWords.notOpened(sayError(draft.error))}</Alert>}
        </section>
      </div>
    </div>
  );
}
