import { useMemo } from 'react';
import type { Catalogue } from '#core/ingredient';
import type { JudgedPortion } from '#core/reckoning';
import type { MakingPlan, StepState } from '#core/trial';
import type { Vessel } from '#core/vessel';
import { makeWords } from '#words/screens/make';
import { Jar, type JarPart } from '../../parts/drawing/Jar';
import { jarPart } from '../../parts/drawing/jarParts';
import { formatAmount, type NumberStyle } from '#words/numbers';
import { ingredientIdOf, stepName } from '#kitchen/repair';

interface JarNowProps {
  readonly portions: readonly JudgedPortion[];
  readonly vessel: Vessel;
  readonly volumeMl: number;
  readonly settings: NumberStyle;
  readonly states: readonly StepState[];
  readonly shown: StepState | null;
  readonly making: MakingPlan;
  readonly catalogue: Catalogue;
  /** On the scale now, not taken yet, g. */
  readonly pouring: number | null;
}

/** The jar as it fills, and what comes after this step. */
export function JarNow(props: JarNowProps) {
  const { portions, vessel, volumeMl, settings, states, shown, making, catalogue, pouring } = props;
  const parts = useMemo(
    () =>
      portions.map(({ ingredient, massG }, i) => jarPart(`${ingredient.id}-${i}`, ingredient, massG.nominal)),
    [portions],
  );
  const id = shown && ingredientIdOf(shown.step);
  const coming = id ? catalogue.get(id) : undefined;
  const live: readonly JarPart[] =
    coming && pouring !== null && pouring > 0
      ? [jarPart(`${coming.id}-${parts.length}`, coming, pouring)]
      : [];
  const next = shown && states.slice(states.indexOf(shown) + 1).find(({ status }) => status === 'open');
  return (
    <section
      aria-label={makeWords.inTheJarNow}
      className="card hidden min-h-0 flex-col overflow-hidden p-4 lg:flex"
    >
      <h2 className="font-semibold">{makeWords.inTheJarNow}</h2>
      <p className="text-sm text-quiet" data-testid="in-jar">
        {makeWords.reduceVolumemlOfBrimfulvolumeml(
          formatAmount(
            portions.reduce((sum, { massG }) => sum + massG.nominal, 0),
            'g',
            settings,
          ),
          formatAmount(volumeMl, 'ml', settings),
          formatAmount(vessel.brimfulVolumeMl, 'ml', settings),
        )}
      </p>
      <div className="grid min-h-0 flex-1 place-items-center py-2 [&>svg]:max-h-full [&>svg]:max-w-full">
        <Jar
          vessel={vessel}
          parts={[...parts, ...live]}
          width={216}
          height={390}
          labelled
          label={makeWords.nameVolumemlInIt(vessel.name, formatAmount(volumeMl, 'ml', settings))}
        />
      </div>
      {next && (
        <div className="mt-auto border-t border-rule pt-3">
          <p className="text-sm text-quiet">{makeWords.next}</p>
          <p className="font-name text-lg font-semibold">
            {stepName(next.step, catalogue, making, settings)}
            {next.plannedG !== null && `, ${formatAmount(next.plannedG, 'g', settings)}`}
          </p>
        </div>
      )}
    </section>
  );
}
