import { MEASURE_WORDS, sayMeasure } from '#words/palate';
import { sayCaution } from '#words/safety';
import { formatNumber, inSentence } from '#words/numbers';
import { makeWeighWords } from '#words/screens/makeWeigh';
import { Button } from '../../ui/Button';
import { useRepairWays, type RepairPanelProps } from './useRepairWays';
import type { OpenDeviation } from '#kitchen/repair';
import { type Landing } from '#kitchen/repair';
import { stepName } from '#kitchen/repair';
import { SearchState } from '../../parts/SearchState';

/** What went otherwise, what it does, and the smallest ways back. */
export function RepairPanel(props: RepairPanelProps) {
  const { off, states, making, vessel, kitchen, onPlan, onUndo, onSpread } = props;
  const { settings, catalogue } = kitchen;
  const { ways, asIs, rescaled, search, stop, again, grams } = useRepairWays(props);
  const before = states.find(({ status }) => status === 'open')?.step.id ?? null;
  return (
    <section
      aria-label={makeWeighWords.itWentOtherwise}
      className="card grid grid-cols-[minmax(0,1fr)] content-start gap-4 border-l-4 border-l-acid p-5 sm:p-6"
    >
      <h2 className="font-name text-3xl font-bold sm:text-4xl" data-testid="went-otherwise">
        {headline(
          off,
          stepName(off.state.step, catalogue, making, settings, off.state),
          stepName(off.state.step, catalogue, making, settings),
          grams,
        )}
      </h2>
      <SearchState
        search={search}
        what={makeWeighWords.lookingForTheSmallestWay}
        onStop={stop}
        onAgain={again}
      />
      <ol className="grid gap-4" data-testid="repairs">
        {[...ways, asIs].map((way, index) => (
          <li
            key={way.title}
            className="flex flex-wrap items-center gap-4 rounded-lg border-2 border-rule bg-paper p-4"
          >
            <div className="min-w-0 flex-1 basis-72">
              <p className="font-name text-xl font-semibold">{way.title}</p>
              <p className="text-quiet">
                {way.says} {sayLanding(way.landing)}
              </p>
            </div>
            <Button
              kind={index === 0 && way !== asIs ? 'main' : 'plain'}
              className="min-h-16 min-w-28 px-5"
              onClick={() => {
                if (way.loads) onSpread(off.reason, way.loads, way.way);
                else onPlan(off.reason, way.targets.targets, way.targets.steps, before, way.way);
              }}
            >
              {way === asIs ? makeWeighWords.goOn : makeWeighWords.doThis}
              <span className="sr-only">: {way.title}</span>
            </Button>
          </li>
        ))}
      </ol>
      {rescaled?.status === 'no-rescale' && rescaled.reason === 'vessel' && (
        <p className="text-quiet">
          {makeWeighWords.scalingTheRestByFactor(formatNumber(rescaled.factor, 2, settings))}{' '}
          {inSentence(vessel.name)}.
        </p>
      )}
      <Button className="min-h-16 justify-self-start px-6" onClick={onUndo}>
        {makeWeighWords.thatWasAMistakeUndo}
      </Button>
    </section>
  );
}

function headline(
  { reason, byG, state }: OpenDeviation,
  taken: string,
  planned: string,
  grams: (massG: number) => string,
): string {
  if (reason === 'left-out') return makeWeighWords.plannedLeftOutGrams(planned, grams(state.plannedG ?? 0));
  if (reason === 'swapped') return makeWeighWords.takenInsteadOfPlanned(taken, inSentence(planned));
  return byG > 0
    ? makeWeighWords.takenGramsTooMuch(taken, grams(byG))
    : makeWeighWords.takenGramsShort(taken, grams(-byG));
}

/** Against the plan, in numbers a cook knows. */
function sayLanding({ moved, effect }: Landing): string {
  const words = moved.slice(0, 3).map(({ measure, from, to }) => {
    const { title, unit } = MEASURE_WORDS[measure];
    return `${title} ${sayMeasure(measure, from)} → ${sayMeasure(measure, to)} ${unit}`.trim();
  });
  const graver = effect.newCautions
    .filter(({ tier }) => tier !== 3)
    .map((caution) => sayCaution(caution).what);
  const allergens =
    effect.newAllergens.length > 0
      ? [makeWeighWords.newAllergenNewallergens(effect.newAllergens.join(', '))]
      : [];
  const tastes = words.length > 0 ? `${words.join('; ')}.` : makeWeighWords.tastesAsPlanned;
  return [tastes, ...allergens, ...graver].join(' ');
}
