import { useEffect, useMemo, useRef, useState } from 'react';
import type { Formula, ReadingContext } from '#core/formula';
import type { Ingredient } from '#core/ingredient';
import type { DecimalSign } from '#core/quantity';
import type { JudgedPortion } from '#core/reckoning';
import {
  heldStill,
  inWindow,
  weighingWindow,
  type MakingPlan,
  type Reading,
  type StepState,
  type TrialEvent,
} from '#core/trial';
import { formatAmount, formatNumber } from '#words/numbers';
import { makeWeighWords } from '#words/screens/makeWeigh';
import { readDecimal } from '../../ui/readDecimal';
import { freshAmountText } from '#kitchen/edits';
import type { Counter } from '../../data/instruments';
import type { Kitchen } from '#kitchen/reading';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { beep } from '../../ui/sound';
import type { StepActions } from './stepActions';
import { PaceBar } from './PaceBar';
import { ScaleLine } from '../../parts/ScaleLine';
import {
  formOf,
  ingredientIdOf,
  isSaidByHand,
  isSaidByWeight,
  stepName,
  stepSaid,
  stepWordsOf,
} from '#kitchen/repair';
import type { Scale } from '../../data/scale';
import { WeighBar } from './WeighBar';

interface WeighPanelProps {
  readonly state: StepState;
  readonly making: MakingPlan;
  readonly scale: Scale;
  readonly counter: Counter;
  readonly portions: readonly JudgedPortion[];
  readonly volumeMl: number;
  readonly kitchen: Kitchen;
  readonly context: ReadingContext;
  readonly formula: Formula;
  readonly onSay: (...events: readonly TrialEvent[]) => void;
  readonly onActions: (actions: StepActions) => void;
}

/** A scale that nobody named still has a step. */
const FINE_G = 0.1;
const TYPED: Reading = { source: 'typed', deviceId: '' };
/** A reading that wavers by this much is the same reading. */
const [SAME_STEPS, SAME_SHARE] = [3, 0.01];

/** One thing onto the scale, or by the spoon: the reading is taken by itself when it holds still in the window. */
export function WeighPanel(props: WeighPanelProps) {
  const { state, making, scale, counter, kitchen, context, formula, onSay, onActions } = props;
  const { settings, catalogue } = kitchen;
  const { step, plannedG, massG: before, takes } = state;
  const [typing, setTyping] = useState(false);
  const [text, setText] = useState('');
  const [armedG, setArmedG] = useState<number | null>(null);
  const [spoonArmed, setSpoonArmed] = useState(false);
  const id = ingredientIdOf(step)!;
  const ingredient = catalogue.get(id);
  const wantedG = plannedG === null ? null : Math.max(0, plannedG - before);
  const readabilityG = scale.info?.readability ?? FINE_G;
  const window = useMemo(
    () => (wantedG !== null && wantedG > 0 ? weighingWindow(wantedG, readabilityG) : null),
    [wantedG, readabilityG],
  );
  const grams = (value: number): string => formatAmount(value, 'g', settings);
  const said = stepSaid(step, stepWordsOf(catalogue, settings));
  const seen = takes.at(-1)?.id ?? null;
  const took = (massG: number, reading: Reading): void => {
    beep('taken');
    onSay({
      kind: 'took',
      stepId: step.id,
      line: { ingredientId: id, form: formOf(step), massG },
      reading,
      seen,
    });
    // The next thing is weighed from nothing.
    if (reading.source !== 'typed') void scale.tare();
  };

  const takeableG = scale.takeableG;
  const inside = takeableG !== null && window !== null && inWindow(takeableG, window);
  useSelfTaking({
    scale,
    counter,
    window,
    readabilityG,
    onTake: (massG) => {
      took(massG, scale.reading);
    },
  });

  const spoonText = ingredient && wantedG ? spoonsFor(wantedG, ingredient, formula, context) : null;
  const onScale =
    scale.status !== 'none' &&
    scale.status !== 'elsewhere' &&
    window?.weighable !== false &&
    !isPinch(state, settings.decimalSign, wantedG, readabilityG);
  const typed = readDecimal(text);
  const typedFits = typed !== null && typed > 0 && typed <= 100_000;

  // Outside the window a stray drop on the glass must not commit: the same amount is asked for twice.
  const confirming =
    armedG !== null &&
    takeableG !== null &&
    Math.abs(takeableG - armedG) <= Math.max(SAME_STEPS * readabilityG, SAME_SHARE * armedG);
  const takeNow = (): void => {
    if (takeableG === null) return;
    if (inside || confirming) took(takeableG, scale.reading);
    else setArmedG(takeableG);
  };
  const spoonIn = (): void => {
    if (wantedG) took(wantedG, TYPED);
    else onSay({ kind: 'did', stepId: step.id });
  };
  const main = ((): { label: string; run: () => void; tap?: () => void; disabled?: boolean } => {
    if (typing)
      return {
        label: makeWeighWords.takeWhatIsTyped,
        run: () => {
          if (typedFits) took(typed, TYPED);
        },
        disabled: !typedFits,
      };
    if (wantedG === null) {
      return takeableG !== null && takeableG >= 3 * readabilityG
        ? {
            label: makeWeighWords.takeGrams(grams(takeableG)),
            run: () => {
              took(takeableG, scale.reading);
            },
          }
        : { label: makeWeighWords.itIsInToTaste, run: spoonIn };
    }
    if (!onScale)
      return {
        label: makeWeighWords.formPartIsIn(
          spoonArmed ? makeWeighWords.onceMore : '',
          (step.kind === 'weigh' && said) || spoonText || grams(wantedG),
        ),
        run: spoonIn,
        tap: () => {
          if (spoonArmed) spoonIn();
          else setSpoonArmed(true);
        },
      };
    if (takeableG === null || wantedG <= 0)
      return { label: makeWeighWords.nothingToTakeYet, run: () => undefined, disabled: true };
    if (inside) return { label: makeWeighWords.takeGrams(grams(takeableG)), run: takeNow };
    const off = takeableG - wantedG;
    const amount = `${grams(takeableG)}, ${grams(Math.abs(off))} ${off < 0 ? 'short' : 'over'}`;
    return {
      label: confirming ? makeWeighWords.onceMoreTakeAmount(amount) : makeWeighWords.takeGrams(amount),
      run: takeNow,
    };
  })();
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
      className="card grid content-start gap-2 p-4 sm:px-7 sm:py-5"
    >
      <div className="flex flex-wrap items-start justify-between gap-4">
        <ScaleLine
          scale={scale}
          weighable={window?.weighable !== false}
          readabilityG={readabilityG}
          settings={settings}
        />
        {onScale && (
          <Button
            className="min-h-16 min-w-20 border-2 border-bottle text-bottle"
            disabled={scale.status !== 'ready'}
            onClick={() => void scale.tare()}
          >
            {makeWeighWords.tare}
          </Button>
        )}
      </div>
      <div>
        <h2
          className="font-name text-4xl font-bold [overflow-wrap:anywhere] sm:text-[2.75rem] sm:leading-tight"
          data-testid="step-name"
        >
          {name}
          {wantedG !== null ? `, ${grams(wantedG)}` : makeWeighWords.toTaste}
        </h2>
        <p className="mt-1 text-lg text-quiet">{hintFor(props, said, spoonText)}</p>
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
          label={makeWeighWords.weightOfNameG(name.toLowerCase())}
          className="max-w-80 text-lg"
          inputMode="decimal"
          autoFocus
          value={text}
          onText={setText}
          onKeyDown={({ key: pressed }) => {
            if (pressed === 'Enter' && typedFits) took(typed, TYPED);
            if (pressed === 'Escape') setTyping(false);
          }}
          problem={text.trim() === '' || typedFits ? null : makeWeighWords.aWeightAboveNothingIn}
          hint={wantedG ? makeWeighWords.plannedWantedgG(formatNumber(wantedG, 1, settings)) : undefined}
        />
      )}
      {onScale && !typing && window && (
        <p className="text-lg text-quiet">
          {scale.status === 'ready' ? makeWeighWords.takenByItselfWhenIt : ''}
        </p>
      )}
      <div className="sticky bottom-0 flex flex-wrap gap-4 bg-card py-2">
        <Button
          kind="main"
          className="min-h-16 flex-1 basis-60 text-xl"
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

/**
 * Takes a reading that holds still inside the window, once a step, and only after the display was seen
 * below it: what lies there from the step before is not this one's.
 */
function useSelfTaking({
  scale,
  counter,
  window,
  readabilityG,
  onTake,
}: {
  scale: Scale;
  counter: Counter;
  window: ReturnType<typeof weighingWindow> | null;
  readabilityG: number;
  onTake: (massG: number) => void;
}): void {
  const seenBelowMs = useRef<number | null>(null);
  const done = useRef(false);
  useEffect(() => {
    if (done.current || !window?.weighable || scale.status !== 'ready') return;
    const newest = counter.readings.at(-1);
    if (newest?.status !== 'ok') return;
    if (newest.netG < window.lowG) seenBelowMs.current ??= newest.atMs;
    const from = seenBelowMs.current;
    if (from === null) return;
    const massG = heldStill(
      counter.readings.filter(({ atMs }) => atMs >= from),
      window,
      readabilityG,
    );
    if (massG === null) return;
    done.current = true;
    onTake(massG);
  });
}

/** Said in pinches, grinds or spoons, and so little that a scale tells it worse than the cook does. */
const isPinch = (
  { step }: StepState,
  decimalSign: DecimalSign,
  wantedG: number | null,
  readabilityG: number,
): boolean => wantedG !== null && wantedG < 10 * readabilityG && isSaidByHand(step, decimalSign);

/** "1 tbsp", or "about ¾ tsp" where no spoon fits well. */
function spoonsFor(massG: number, ingredient: Ingredient, formula: Formula, context: ReadingContext): string {
  return freshAmountText(massG, ingredient, formula, context, true);
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
