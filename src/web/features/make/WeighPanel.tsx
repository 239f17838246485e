import { useEffect } from 'react';
import { formatAmount, formatNumber, inSentence } from '#words/numbers';
import { makeWords } from '#words/screens/make';
import { makeWeighWords } from '#words/screens/makeWeigh';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { PaceBar } from './PaceBar';
import { ScaleLine } from '../../parts/ScaleLine';
import { isSaidByWeight, stepName } from '#kitchen/repair';
import { mainAction, useWeighing, type WeighPanelProps } from './useWeighing';
import { WeighBar } from './WeighBar';

/** One thing onto the scale, or by the spoon: the reading is taken by itself when it holds still in the window. */
export function WeighPanel(props: WeighPanelProps) {
  const { making, scale, counter, kitchen, onActions } = props;
  const { settings, catalogue } = kitchen;
  const weighing = useWeighing(props);
  const { step, id, ingredient, wantedG, readabilityG, window, onScale, typing, setTyping } = weighing;
  const { text, setText, typedFits, said, spoonText } = weighing;
  const grams = (value: number): string => formatAmount(value, 'g', settings);
  const main = mainAction(weighing, props);
  useEffect(() => {
    onActions({
      next: main.disabled ? () => undefined : main.run,
      tare: () => void scale.tare(),
      byHand: () => {
        setTyping(true);
      },
    });
    // Once this step is off the screen its keys do nothing more.
    return () => {
      onActions({});
    };
  });
  const name = ingredient ? stepName(step, catalogue, making, settings) : id;
  return (
    <section
      aria-label={makeWeighWords.thisStep}
      className="card grid grid-cols-[minmax(0,1fr)] content-start gap-1.5 p-3 sm:px-6 sm:py-4"
    >
      <div className="flex items-start justify-between gap-4">
        <ScaleLine
          scale={scale}
          weighable={window?.weighable !== false}
          readabilityG={readabilityG}
          settings={settings}
        />
        {onScale && (
          <Button
            className="min-h-16 min-w-20 border-2 border-leaf text-leaf"
            disabled={scale.status !== 'ready'}
            onClick={() => void scale.tare()}
          >
            {makeWeighWords.tare}
          </Button>
        )}
      </div>
      <div>
        <h2
          className="font-name text-[1.75rem] leading-tight font-bold text-balance [overflow-wrap:anywhere] sm:text-4xl xl:text-[2.75rem]"
          data-testid="step-name"
          data-step-heading
          aria-label={makeWords.stepAloud(
            `${name}${wantedG !== null ? `, ${grams(wantedG)}` : makeWeighWords.toTaste}`,
            props.place,
            props.of,
          )}
        >
          {name}
          {wantedG !== null ? `, ${grams(wantedG)}` : makeWeighWords.toTaste}
        </h2>
        <p className="text-lg text-quiet">{hintFor(props, said, spoonText)}</p>
      </div>
      {onScale && !typing && (
        <WeighBar
          netG={scale.netG}
          wantedG={wantedG}
          window={window}
          ingredient={ingredient}
          settings={settings}
        />
      )}
      {step.kind === 'weigh' && step.paced && ingredient && wantedG !== null && onScale && (
        <PaceBar
          key={step.id}
          counter={counter}
          ingredient={ingredient}
          baseMl={props.volumeMl}
          oilG={wantedG}
          making={making}
          settings={settings}
        />
      )}
      {typing && (
        <Field
          label={makeWeighWords.weightOfNameG(inSentence(name))}
          className="max-w-80 text-lg"
          inputMode="decimal"
          autoFocus
          value={text}
          onText={setText}
          onKeyDown={({ key: pressed }) => {
            if (pressed === 'Enter' && !main.disabled) main.run();
            if (pressed === 'Escape') setTyping(false);
          }}
          problem={text.trim() === '' || typedFits ? null : makeWeighWords.aWeightAboveNothingIn}
          hint={wantedG ? makeWeighWords.plannedWantedgG(formatNumber(wantedG, 1, settings)) : undefined}
        />
      )}
      {onScale && !typing && window && (
        <p className="hidden text-lg text-quiet [@media(min-height:880px)_and_(min-width:1100px)]:block">
          {scale.status === 'ready' ? makeWeighWords.takenByItselfWhenIt : ''}
        </p>
      )}
      <div className="sticky bottom-0 grid grid-cols-[minmax(0,1fr)_auto] gap-4 bg-card pt-2">
        <Button
          kind="main"
          className="min-h-16 text-xl"
          disabled={main.disabled}
          onClick={main.tap ?? main.run}
        >
          {main.label}
        </Button>
        <Button
          className="min-h-16 px-6 text-lg"
          onClick={() => {
            setTyping(!typing);
          }}
        >
          {typing
            ? onScale
              ? makeWeighWords.backToTheScale
              : makeWeighWords.byTheSpoon
            : makeWeighWords.byHand}
        </Button>
      </div>
    </section>
  );
}

function hintFor(
  { state, making, kitchen }: WeighPanelProps,
  stepSays: string,
  spoonText: string | null,
): string {
  const { step } = state;
  if (step.kind !== 'weigh') return step.kind === 'to-taste' ? step.said : '';
  const bottle = making.bottles[step.line.ingredientId];
  const honey = step.line.ingredientId === 'honey' ? makeWeighWords.oilTheSpoonFirstSo : '';
  const { decimalSign } = kitchen.settings;
  const said = stepSays && !isSaidByWeight(step, decimalSign) ? stepSays : (spoonText ?? '');
  return [said, honey, bottle].filter(Boolean).join('; ');
}
