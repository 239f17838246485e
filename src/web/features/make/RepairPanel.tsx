import { useMemo } from 'react';
import { candidatesFor, withDoses, type RemedyRequest } from '#core/balance';
import { sayDoses } from '#words/balance';
import { spreadOver, type OpenLoad, type SpreadTargets } from '#core/batch';
import { composition } from '#core/composition';
import type { Formula, ReadingContext } from '#core/formula';
import type { Ingredient } from '#core/ingredient';
import { MEASURE_WORDS, sayMeasure } from '#words/palate';
import { sayCaution } from '#words/safety';
import {
  fillRequest,
  plannedLines,
  rescaling,
  wayBackStyle,
  type Deviation,
  type MakingPlan,
  type PlanReason,
  type PlanWay,
  type StepState,
} from '#core/trial';
import { AMBER_SHARE, HARDLY_MIXES_SHARE, type Vessel } from '#core/vessel';
import { formatAmount, formatNumber, inSentence } from '#words/numbers';
import { freshAmountText } from '#kitchen/edits';
import { entryOf, type Kitchen } from '#kitchen/reading';
import { makeWeighWords } from '#words/screens/makeWeigh';
import { aimOf, useStyles } from '../../data/styles';
import { Button } from '../../ui/Button';
import { Working } from '../../ui/Working';
import { useSearch } from '../../workers/useSearch';
import type { OpenDeviation } from '#kitchen/repair';
import {
  asDoses,
  asFilled,
  asRescaled,
  landingOf,
  weighStep,
  type Landing,
  type Targets,
} from '#kitchen/repair';
import { stepName } from '#kitchen/repair';
import { newId } from '../../sync/device';

interface RepairPanelProps {
  readonly off: OpenDeviation;
  readonly states: readonly StepState[];
  readonly deviation: Deviation;
  readonly making: MakingPlan;
  readonly vessel: Vessel;
  readonly context: ReadingContext;
  readonly kitchen: Kitchen;
  readonly formula: Formula;
  /** Loads of the same batch: those still to come can make it good. */
  readonly openLoads: readonly OpenLoad[];
  readonly onSpread: (reason: PlanReason, loads: readonly SpreadTargets[], way: PlanWay) => void;
  readonly onPlan: (
    reason: PlanReason,
    targets: Targets['targets'],
    steps: Targets['steps'],
    before: string | null,
    way: PlanWay,
  ) => void;
  readonly onUndo: () => void;
}

interface Way {
  readonly title: string;
  readonly says: string;
  readonly landing: Landing;
  readonly targets: Targets;
  readonly way: PlanWay;
  /** The other loads change instead of this one. */
  readonly loads?: readonly SpreadTargets[];
}

const NOBODY_LOCKED: ReadonlySet<never> = new Set();
const NO_TARGETS: Targets = { targets: [], steps: [] };
const MOST_REMEDIES = 2;

/** What went otherwise, what it does, and the smallest ways back. */
export function RepairPanel(props: RepairPanelProps) {
  const { off, states, deviation, making, vessel, context, kitchen, formula, onPlan, onUndo } = props;
  const { openLoads, onSpread } = props;
  const { settings, catalogue } = kitchen;
  const styles = useStyles();
  const style = useMemo(() => aimOf(formula, styles), [formula, styles]);
  const mostMl = vessel.brimfulVolumeMl * (vessel.closes ? AMBER_SHARE : HARDLY_MIXES_SHARE);
  const rescaled = useMemo(
    () =>
      off.reason === 'poured-too-much'
        ? rescaling(plannedLines(states), off.state.step.id, catalogue, mostMl)
        : null,
    [off, states, catalogue, mostMl],
  );
  const question = useMemo(
    (): RemedyRequest | null =>
      deviation.expected.length === 0
        ? null
        : {
            portions: deviation.expected,
            complaint: 'into-band',
            severity: 2,
            style: wayBackStyle(deviation, style),
            roomMl: Math.max(0, mostMl - composition(deviation.expected).mixedVolumeMl),
            // Its own things and water: a slip is no reason for another dressing.
            mayAdd: candidatesFor(deviation.expected, {
              catalogue,
              stockG: (id) => entryOf(kitchen.pantry, id).onHandG,
              locked: NOBODY_LOCKED,
            }).filter(
              ({ ingredient }) =>
                ingredient.category === 'water' ||
                deviation.planned.some((portion) => portion.ingredient.id === ingredient.id),
            ),
          },
    [deviation, style, mostMl, catalogue, kitchen.pantry],
  );
  const filling = useMemo(
    () =>
      rescaled?.status === 'no-rescale'
        ? {
            request: fillRequest(deviation, plannedLines(states), catalogue, mostMl),
            to: { kind: 'scale', readabilityG: 0.1 } as const,
          }
        : null,
    [rescaled, deviation, states, catalogue, mostMl],
  );
  const { search, stop, again } = useSearch('remedies', question);
  const { search: filled } = useSearch('formulate', filling);
  const grams = (massG: number): string => formatAmount(massG, 'g', settings);
  const ml = (volumeMl: number): string => formatAmount(volumeMl, 'ml', settings);
  const say = (massG: number, ingredient: Ingredient): string =>
    freshAmountText(massG, ingredient, formula, context, settings.amountsIn === 'spoons');
  const before = states.find(({ status }) => status === 'open')?.step.id ?? null;

  const ways: Way[] = [];
  const { step } = off.state;
  const loads =
    step.kind === 'weigh' && off.reason !== 'swapped' ? spreadOver(openLoads, step.line, off.byG) : null;
  if (loads && step.kind === 'weigh') {
    const thing = inSentence(catalogue.get(step.line.ingredientId)?.name ?? '');
    const count =
      loads.length === 1 ? makeWeighWords.theOtherLoad : makeWeighWords.theLengthLoadsToCome(loads.length);
    ways.push({
      title: makeWeighWords.gramsFormThingInCount(
        grams(Math.abs(off.byG)),
        off.byG > 0 ? makeWeighWords.less : makeWeighWords.more,
        thing,
        count,
      ),
      says: makeWeighWords.combinedTheBatchIsWhat,
      landing: landingOf(deviation, deviation.planned, style),
      targets: NO_TARGETS,
      way: 'other-loads',
      loads,
    });
  }
  if (off.byG < 0 && off.reason === 'poured-too-much' && off.state.step.kind === 'weigh') {
    ways.push({
      title: makeWeighWords.addTheRestGrams(grams(-off.byG)),
      says: makeWeighWords.asPlannedAfterAll,
      landing: landingOf(deviation, deviation.planned, style),
      targets: {
        targets: [],
        steps: [weighStep({ ...off.state.step.line, massG: -off.byG }, 'topup', newId)],
      },
      way: 'the-rest',
    });
  }
  if (search.status === 'done') {
    for (const { doses } of search.answer.remedies.slice(0, MOST_REMEDIES)) {
      ways.push({
        title: makeWeighWords.addDoses(sayDoses(doses, say)),
        says: makeWeighWords.mlInAll(ml(composition(withDoses(deviation.expected, doses)).mixedVolumeMl)),
        landing: landingOf(deviation, withDoses(deviation.expected, doses), style),
        targets: asDoses(doses, states, newId),
        way: 'additions',
      });
    }
  }
  const answer =
    filled.status === 'done' && filled.answer.outcome.status === 'answers'
      ? filled.answer.outcome.answers[0]
      : undefined;
  if (answer) {
    ways.push({
      title: makeWeighWords.fillTheNameMl(vessel.name.toLowerCase(), ml(mostMl)),
      says: makeWeighWords.asNearToThePlan,
      landing: landingOf(deviation, answer.portions, style),
      targets: asFilled(answer, states, newId),
      way: 'fill-vessel',
    });
  }
  if (rescaled?.status === 'rescale') {
    const more = rescaled.topUps.map(({ ingredientId, massG }) =>
      makeWeighWords.gramsMoreName(
        grams(massG),
        catalogue.get(ingredientId)?.name.toLowerCase() ?? ingredientId,
      ),
    );
    ways.push({
      title: makeWeighWords.makeMlInsteadEverythingFactor(
        ml(rescaled.volumeMl),
        formatNumber(rescaled.factor, 2, settings),
      ),
      says: more.length > 0 ? makeWeighWords.firstMore(more.join(', ')) : makeWeighWords.theStepsToComeGrow,
      landing: landingOf(deviation, deviation.planned, style),
      targets: asRescaled(rescaled, newId),
      way: 'rescaled',
    });
  }
  const asIs: Way = {
    title: makeWeighWords.goOnAsItIs,
    says: '',
    landing: landingOf(deviation, deviation.expected, style),
    targets: NO_TARGETS,
    way: 'as-it-is',
  };
  return (
    <section
      aria-label={makeWeighWords.itWentOtherwise}
      className="card grid content-start gap-4 border-l-4 border-l-acid p-5 sm:p-6"
    >
      <h2 className="font-name text-3xl font-bold sm:text-4xl" data-testid="went-otherwise">
        {headline(
          off,
          stepName(off.state.step, catalogue, making, settings, off.state),
          stepName(off.state.step, catalogue, making, settings),
          grams,
        )}
      </h2>
      {search.status === 'working' && (
        <Working what={makeWeighWords.lookingForTheSmallestWay} done={search.done} onStop={stop} />
      )}
      {(search.status === 'failed' || search.status === 'stopped') && (
        <p role="alert">
          {search.status === 'failed' ? search.message : makeWeighWords.stopped}{' '}
          <Button onClick={again}>{makeWeighWords.lookAgain}</Button>
        </p>
      )}
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
          {vessel.name.toLowerCase()}.
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
  if (reason === 'swapped') return makeWeighWords.takenInsteadOfPlanned(taken, planned.toLowerCase());
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
