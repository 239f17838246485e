import type { TrialRecord } from '#contract';
import { mixedVolumeMlPerG } from '#core/composition';
import type { Catalogue } from '#core/ingredient';
import { trialLines } from '#core/trial';
import type { Vessel } from '#core/vessel';
import { liquidColour } from './drawing/colours';
import { Jar } from './drawing/Jar';

interface TrialJarProps {
  readonly trial: Pick<TrialRecord, 'lines' | 'events'>;
  readonly vessel: Vessel;
  readonly catalogue: Catalogue;
  readonly width: number;
  readonly height: number;
  readonly label: string;
}

/** A jar that was made, drawn with what lies in it now. */
export function TrialJar({ trial, vessel, catalogue, width, height, label }: TrialJarProps) {
  const parts = trialLines(trial.lines, trial.events).flatMap(({ ingredientId, massG }, i) => {
    const ingredient = catalogue.get(ingredientId);
    return ingredient
      ? [
          {
            key: `${ingredientId}-${i}`,
            name: ingredient.name,
            colour: liquidColour(ingredient),
            volumeMl: massG * mixedVolumeMlPerG(ingredient),
          },
        ]
      : [];
  });
  return <Jar vessel={vessel} parts={parts} width={width} height={height} label={label} />;
}
