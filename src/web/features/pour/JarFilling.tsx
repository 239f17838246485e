import { useMemo } from 'react';
import { massOf, unnamedIn, type FreePour } from '#kitchen/pour';
import { formatAmount, formatPlainRatio } from '#words/numbers';
import type { Kitchen } from '#kitchen/reading';
import { pourWords } from '#words/screens/pour';
import { Jar, type JarPart } from '../../parts/drawing/Jar';
import { jarPart } from '../../parts/drawing/jarParts';
import type { Poured } from './usePoured';

interface JarFillingProps {
  readonly pour: FreePour;
  readonly poured: Poured;
  readonly kitchen: Kitchen;
}

/** The jar as it fills, with the line that a little more oil comes to. */
export function JarFilling({ pour, poured, kitchen: { catalogue, settings } }: JarFillingProps) {
  const { vessel, lines, volumeMl, next } = poured;
  const parts = useMemo((): readonly JarPart[] => {
    const named = lines.map(({ ingredient, form, massG }) =>
      jarPart(`${ingredient.id} ${form}`, ingredient, massG),
    );
    const unnamed = unnamedIn(pour).map((thing) => ({
      key: thing.id,
      name: '?',
      colour: 'var(--color-rule)',
      volumeMl: thing.raisedMl ?? massOf(thing, catalogue),
    }));
    return [...named, ...unnamed];
  }, [pour, lines, catalogue]);
  const mark = next &&
    unnamedIn(pour).length === 0 && {
      volumeMl: volumeMl + next.moreOilMl,
      text: formatPlainRatio(next.ratio, settings),
    };
  const ml = formatAmount(volumeMl, 'ml', settings);
  return (
    <section aria-label={pourWords.vessel} className="card grid content-start justify-items-center p-4">
      <Jar
        vessel={vessel}
        parts={parts}
        width={250}
        height={380}
        labelled
        label={pourWords.fillsTo(vessel.name, ml)}
        mark={mark || null}
      />
      <p className="text-center text-quiet" data-testid="filled">
        {pourWords.fillsTo(vessel.name, ml)}
      </p>
    </section>
  );
}
