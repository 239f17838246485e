/** What this kitchen's own looks at its jars did to a predicted hold. */
import { useMemo } from 'react';
import type { Hold } from '#core/emulsion';
import { sayDuration } from '#words/hold';
import type { FormulaId, Tool } from '#core/formula';
import { learnHold, type HoldLesson, type LearntHold } from '#core/trial';
import { partsWords } from '#words/screens/parts';
import { useLessonsQuery } from './kitchenApi';
import { useKitchen } from './kitchen';

/** Lessons of the kitchen's latest jars; none where learning is switched off. */
export function useLessons(): readonly HoldLesson[] {
  const lessons = useLessonsQuery().data;
  const { learning } = useKitchen().settings;
  return useMemo(
    () =>
      learning.holds
        ? (lessons ?? []).filter(({ at }) => learning.since === null || at >= learning.since)
        : [],
    [lessons, learning],
  );
}

export interface LearntReading {
  /** As this kitchen knows it by now; null: nothing in the jar. */
  readonly hold: Hold | null;
  /** Why it is not what the model says; null where nothing was learnt. */
  readonly why: string | null;
}

/** What the model says, moved by what was seen. */
export function useLearntHold(hold: Hold | null, formulaId: FormulaId, tool: Tool): LearntReading {
  const lessons = useLessons();
  return useMemo(() => {
    if (hold?.medianS == null || lessons.length === 0) return { hold, why: null };
    const learnt = learntFrom(hold, formulaId, tool, lessons);
    return { hold: withLearnt(hold, learnt), why: sayWhy(hold, learnt) };
  }, [hold, lessons, formulaId, tool]);
}

export const learntFrom = (
  hold: Hold,
  formulaId: FormulaId,
  tool: Tool,
  lessons: readonly HoldLesson[],
): LearntHold =>
  learnHold(
    { medianS: hold.medianS!, bandFactor: hold.bandFactor },
    { formulaId, tool, binder: hold.state.mainEmulsifier },
    lessons,
  );

/** The layers are drawn when they were seen to come. */
const withLearnt = (hold: Hold, { medianS, lowS, highS, bandFactor }: LearntHold): Hold => {
  const stretch = hold.medianS === null ? 1 : medianS / hold.medianS;
  const frames = hold.frames.map((frame) => ({ ...frame, timeS: frame.timeS * stretch }));
  return { ...hold, medianS, lowS, highS, bandFactor, frames };
};

function sayWhy(model: Hold, { own, others }: LearntHold): string | null {
  if (own + others === 0) return null;
  const jars = (count: number): string => (count === 1 ? partsWords.oneJar : partsWords.countJars(count));
  const parts = [
    ...(own > 0 ? [partsWords.jarsOfThisOneThat(jars(own))] : []),
    ...(others > 0 ? [partsWords.jarsOfOthers(jars(others))] : []),
  ];
  return partsWords.theModelAloneSaysMedians(
    sayDuration(model.medianS!),
    sayDuration(model.lowS!),
    sayDuration(model.highS!),
    parts.join(' and '),
  );
}
