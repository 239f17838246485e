import { useState } from 'react';
import { readLine, type ReadingContext } from '#core/formula';
import { searchIngredients, type Catalogue, type Ingredient } from '#core/ingredient';
import { sayProblem } from '#words/reading';
import type { MakingPlan, Reading, StepState, TrialEvent } from '#core/trial';
import { formatAmount } from '#words/numbers';
import { makeWeighWords } from '#words/screens/makeWeigh';
import { typedNumber } from '../../form/typed';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { Dialog } from '../../ui/Dialog';
import { weighStep } from '#kitchen/repair';
import { formOf, stepName } from '#kitchen/repair';
import type { Scale } from '../../data/scale';
import { newId } from '../../sync/device';

interface OtherwisePanelProps {
  readonly state: StepState;
  readonly states: readonly StepState[];
  readonly scale: Scale;
  readonly making: MakingPlan;
  readonly catalogue: Catalogue;
  readonly context: ReadingContext;
  readonly onSay: (...events: readonly TrialEvent[]) => void;
  readonly onClose: () => void;
}

const MOST_FOUND = 5;
const TYPED: Reading = { source: 'typed', deviceId: '' };

/** Left out, swapped, split, or something further: what really happened is what is written down. */
export function OtherwisePanel(props: OtherwisePanelProps) {
  const { state, scale, making, catalogue, context, onSay, onClose } = props;
  const { step } = state;
  const [words, setWords] = useState('');
  const [weight, setWeight] = useState('');
  const [further, setFurther] = useState('');
  const settings = { decimalSign: context.decimalSign };
  const planned = stepName(step, catalogue, making, settings);
  const found = words.trim().length > 1 ? searchIngredients(words, catalogue, MOST_FOUND) : [];
  const typed = typedNumber(weight, { above: 0, to: 100_000 });
  const onScaleG = scale.takeableG !== null && scale.takeableG > 0 ? scale.takeableG : null;
  const massG = typed.blank ? onScaleG : typed.value;
  const line = further.trim() ? readLine(further, context) : null;
  const addable = line?.reading.status === 'read' && line.reading.massG.nominal > 0 ? line.reading : null;
  const close = (...events: readonly TrialEvent[]): void => {
    onSay(...events);
    onClose();
  };
  const swap = (ingredient: Ingredient): void => {
    if (massG === null) return;
    close({
      kind: 'took',
      stepId: step.id,
      line: { ingredientId: ingredient.id, form: formOf(step), massG },
      reading: weight.trim() === '' ? scale.reading : TYPED,
      seen: state.takes.at(-1)?.id ?? null,
    });
    if (weight.trim() === '') void scale.tare();
  };
  return (
    <Dialog title={makeWeighWords.itWentOtherwise} open onClose={onClose} wide>
      <div className="grid gap-5">
        <div className="flex flex-wrap gap-4">
          <Button
            className="min-h-16 px-6"
            onClick={() => {
              close({ kind: 'left-out', stepId: step.id });
            }}
          >
            {makeWeighWords.leftOutPlanned(planned)}
          </Button>
          <Button
            className="min-h-16 px-6"
            onClick={() => {
              close(...takenBefore(props), { kind: 'split' });
            }}
          >
            {makeWeighWords.itHasSplit}
          </Button>
        </div>
        {step.kind === 'weigh' && (
          <section
            aria-label={makeWeighWords.somethingElseWentIn}
            className="grid gap-3 border-t border-rule pt-3"
          >
            <h3 className="font-name text-lg font-bold">{makeWeighWords.somethingElseWentInInstead}</h3>
            <div className="flex flex-wrap gap-4">
              <Field
                label={makeWeighWords.whatItWas}
                className="min-w-60 flex-1"
                value={words}
                onText={setWords}
              />
              <Field
                label={makeWeighWords.howMuchG}
                className="w-44"
                inputMode="decimal"
                value={weight}
                onText={setWeight}
                placeholder={
                  scale.takeableG === null
                    ? ''
                    : makeWeighWords.takeablegOnTheScale(scale.takeableG.toFixed(1))
                }
                problem={massG === null && weight.trim() !== '' ? makeWeighWords.aWeightAboveNothing : null}
              />
            </div>
            <ul className="grid gap-2">
              {found.map((ingredient) => (
                <li key={ingredient.id}>
                  <Button
                    className="min-h-16 w-full"
                    disabled={massG === null}
                    onClick={() => {
                      swap(ingredient);
                    }}
                  >
                    {massG !== null && `${formatAmount(massG, 'g', settings)} `}
                    {ingredient.name}
                  </Button>
                </li>
              ))}
            </ul>
            {found.length > 0 && massG === null && (
              <p className="text-sm text-acid-ink">{makeWeighWords.sayHowMuchOfIt}</p>
            )}
          </section>
        )}
        <section
          aria-label={makeWeighWords.somethingFurther}
          className="grid gap-3 border-t border-rule pt-3"
        >
          <h3 className="font-name text-lg font-bold">{makeWeighWords.somethingFurtherGoesIn}</h3>
          <div className="flex flex-wrap items-start gap-4">
            <Field
              label={makeWeighWords.amountThenIngredient}
              className="min-w-60 flex-1"
              placeholder={makeWeighWords.n1TspHoney}
              value={further}
              onText={setFurther}
              problem={
                line === null || addable
                  ? null
                  : line.reading.status === 'unread'
                    ? sayProblem(line.reading.problem)
                    : makeWeighWords.sayHowMuch
              }
            />
            <Button
              className="min-h-16 px-6"
              disabled={!addable}
              onClick={() => {
                if (!addable || !line) return;
                const massOf = addable.massG.nominal;
                const added = weighStep(
                  { ingredientId: addable.ingredient.id, form: line.form, massG: massOf },
                  'add',
                  newId,
                );
                close({
                  kind: 'planned',
                  reason: 'by-hand',
                  targets: [],
                  note: further,
                  steps: [{ ...added, said: line.amountText }],
                  before: step.id,
                });
              }}
            >
              {makeWeighWords.nextStepAddIt}
            </Button>
          </div>
        </section>
      </div>
    </Dialog>
  );
}

/** What had been poured when it broke is in the bowl: it is taken, and the rest becomes a step of its own. */
function takenBefore({ state, states, scale }: OtherwisePanelProps): readonly TrialEvent[] {
  const { step, plannedG, massG, takes } = state;
  const poured = scale.takeableG;
  if (step.kind !== 'weigh' || poured === null || poured < (scale.info?.readability ?? 1)) return [];
  void scale.tare();
  const restG = (plannedG ?? 0) - massG - poured;
  const after = states.slice(states.indexOf(state) + 1).find(({ status }) => status === 'open');
  const rest = { ...weighStep({ ...step.line, massG: restG }, 'rest', newId), paced: step.paced };
  const taken: TrialEvent = {
    kind: 'took',
    stepId: step.id,
    line: { ...step.line, massG: poured },
    reading: scale.reading,
    seen: takes.at(-1)?.id ?? null,
  };
  const theRest: TrialEvent = {
    kind: 'planned',
    reason: 'rescue',
    note: '',
    way: 'the-rest',
    targets: [{ stepId: step.id, massG: massG + poured }],
    steps: [rest],
    before: after?.step.id ?? null,
  };
  return restG > 0 ? [taken, theRest] : [taken];
}
