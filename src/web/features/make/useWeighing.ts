/** What the weighing of one step knows: what is wanted, what lies there, what taking it would write down. */
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
import { formatAmount } from '#words/numbers';
import { makeWeighWords } from '#words/screens/makeWeigh';
import { typedNumber } from '../../form/typed';
import { freshAmountText } from '#kitchen/edits';
import type { CounterView } from '../../data/instruments';
import type { Kitchen } from '#kitchen/reading';
import { beep } from '../../ui/sound';
import type { StepActions } from './stepActions';
import { formOf, ingredientIdOf, isSaidByHand, stepSaid, stepWordsOf } from '#kitchen/repair';
import type { Scale } from '../../data/scale';

export interface WeighPanelProps {
  readonly state: StepState;
  readonly making: MakingPlan;
  readonly scale: Scale;
  readonly counter: CounterView;
  readonly portions: readonly JudgedPortion[];
  readonly volumeMl: number;
  /** Which of how many steps it is. */
  readonly place: number;
  readonly of: number;
  readonly kitchen: Kitchen;
  readonly context: ReadingContext;
  readonly formula: Formula;
  readonly onSay: (...events: readonly TrialEvent[]) => void;
  readonly onActions: (actions: StepActions) => void;
}

/** A scale that nobody named still has a step. */
const FINE_G = 0.1;
export const TYPED: Reading = { source: 'typed', deviceId: '' };
/** A reading that wavers by this much is the same reading. */
const [SAME_STEPS, SAME_SHARE] = [3, 0.01];

/** What is wanted, what lies there, and what taking it would write down. */
export function useWeighing(props: WeighPanelProps) {
  const { state, scale, counter, kitchen, context, formula, onSay } = props;
  const { settings, catalogue } = kitchen;
  const { step, plannedG, massG: before, takes } = state;
  const [text, setText] = useState('');
  // Without a scale the weight is typed, or the spoon taken: the field is open and ready.
  const [asked, setTyping] = useState<boolean | null>(null);
  // A scale that answers late takes away nothing that was typed meanwhile.
  const typing = asked ?? (scale.status === 'none' || text.trim() !== '');
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
  const { takeableG } = scale;
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
  const typed = typedNumber(text).value;
  // Outside the window a stray drop on the glass must not commit: the same amount is asked for twice.
  const confirming =
    armedG !== null &&
    takeableG !== null &&
    Math.abs(takeableG - armedG) <= Math.max(SAME_STEPS * readabilityG, SAME_SHARE * armedG);
  return {
    step,
    id,
    ingredient,
    wantedG,
    readabilityG,
    window,
    takeableG,
    inside,
    confirming,
    typing,
    setTyping,
    text,
    setText,
    typed,
    spoonArmed,
    setSpoonArmed,
    setArmedG,
    took,
    typedFits: typed !== null && typed > 0 && typed <= 100_000,
    said: stepSaid(step, stepWordsOf(catalogue, settings)),
    spoonText: ingredient && wantedG ? spoonsFor(wantedG, ingredient, formula, context) : null,
    onScale:
      scale.status !== 'none' &&
      scale.status !== 'elsewhere' &&
      window?.weighable !== false &&
      !isPinch(state, settings.decimalSign, wantedG, readabilityG),
  };
}
type Weighing = ReturnType<typeof useWeighing>;

interface MainAction {
  readonly label: string;
  readonly run: () => void;
  readonly tap?: () => void;
  readonly disabled?: boolean;
}
/** What "next" does now, and what it says. */
export function mainAction(weighing: Weighing, { scale, onSay, kitchen }: WeighPanelProps): MainAction {
  const { step, wantedG, takeableG, typed, typedFits, took, confirming, readabilityG } = weighing;
  const grams = (value: number): string => formatAmount(value, 'g', kitchen.settings);
  const byTheSpoon = weighing.typing && !weighing.onScale && weighing.text.trim() === '';
  if (weighing.typing && !byTheSpoon)
    return {
      label: makeWeighWords.takeWhatIsTyped,
      run: () => {
        if (typedFits) took(typed!, TYPED);
      },
      disabled: !typedFits,
    };
  const takeNow = (): void => {
    if (takeableG === null) return;
    if (weighing.inside || confirming) took(takeableG, scale.reading);
    else weighing.setArmedG(takeableG);
  };
  const spoonIn = (): void => {
    if (wantedG) took(wantedG, TYPED);
    else onSay({ kind: 'did', stepId: step.id });
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
  if (!weighing.onScale)
    return {
      label: makeWeighWords.formPartIsIn(
        weighing.spoonArmed ? makeWeighWords.onceMore : '',
        (step.kind === 'weigh' && weighing.said) || weighing.spoonText || grams(wantedG),
      ),
      run: spoonIn,
      tap: () => {
        if (weighing.spoonArmed) spoonIn();
        else weighing.setSpoonArmed(true);
      },
    };
  if (takeableG === null || wantedG <= 0)
    return { label: makeWeighWords.nothingToTakeYet, run: () => undefined, disabled: true };
  if (weighing.inside) return { label: makeWeighWords.takeGrams(grams(takeableG)), run: takeNow };
  const off = takeableG - wantedG;
  const amount = makeWeighWords.amountAndHowFarOff(grams(takeableG), grams(Math.abs(off)), off < 0);
  return {
    label: confirming ? makeWeighWords.onceMoreTakeAmount(amount) : makeWeighWords.takeGrams(amount),
    run: takeNow,
  };
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
  counter: CounterView;
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
