/** The ways back after a step went otherwise, each with where it would land. */
import { useMemo } from 'react';
import { candidatesFor, withDoses, type RemedyRequest } from '#core/balance';
import { sayDoses } from '#words/balance';
import { spreadOver, type OpenLoad, type SpreadTargets } from '#core/batch';
import { composition } from '#core/composition';
import type { Formula } from '#core/formula';
import type { Ingredient } from '#core/ingredient';
import type { Style } from '#core/palate';
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
  type Rescaling,
} from '#core/trial';
import { usableVolumeMl, type Vessel } from '#core/vessel';
import { formatAmount, formatNumber, inSentence } from '#words/numbers';
import { entryOf, handMeasure, type Kitchen } from '#kitchen/reading';
import { makeWeighWords } from '#words/screens/makeWeigh';
import { aimOf, useStyles } from '../../data/styles';
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
import { newId } from '../../sync/device';

export interface RepairPanelProps {
  readonly off: OpenDeviation;
  readonly states: readonly StepState[];
  readonly deviation: Deviation;
  readonly making: MakingPlan;
  readonly vessel: Vessel;
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

export interface Way {
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

interface Looking extends RepairPanelProps {
  readonly style: Style | null;
  readonly mostMl: number;
  /** As the hand measures it, the grams beside. */
  readonly say: (massG: number, ingredient: Ingredient) => string;
  readonly ml: (volumeMl: number) => string;
}

/** The loads of the batch to come make it good. */
function throughOtherLoads({ off, openLoads, kitchen, deviation, style, say }: Looking): readonly Way[] {
  const { step } = off.state;
  if (step.kind !== 'weigh' || off.reason === 'swapped') return [];
  const loads = spreadOver(openLoads, step.line, off.byG);
  const ingredient = kitchen.catalogue.get(step.line.ingredientId);
  if (!loads || !ingredient) return [];
  const count =
    loads.length === 1 ? makeWeighWords.theOtherLoad : makeWeighWords.theLengthLoadsToCome(loads.length);
  const title = makeWeighWords.gramsFormThingInCount(
    say(Math.abs(off.byG), ingredient),
    off.byG > 0 ? makeWeighWords.less : makeWeighWords.more,
    inSentence(ingredient.name),
    count,
  );
  const landing = landingOf(deviation, deviation.planned, style);
  return [
    {
      title,
      says: makeWeighWords.combinedTheBatchIsWhat,
      landing,
      targets: NO_TARGETS,
      way: 'other-loads',
      loads,
    },
  ];
}

/** What is missing goes in after all. */
function theRest({ off, kitchen, deviation, style, say }: Looking): readonly Way[] {
  const { step } = off.state;
  if (off.byG >= 0 || off.reason !== 'poured-too-much' || step.kind !== 'weigh') return [];
  const ingredient = kitchen.catalogue.get(step.line.ingredientId);
  if (!ingredient) return [];
  return [
    {
      title: makeWeighWords.addTheRestGrams(say(-off.byG, ingredient)),
      says: makeWeighWords.asPlannedAfterAll,
      landing: landingOf(deviation, deviation.planned, style),
      targets: { targets: [], steps: [weighStep({ ...step.line, massG: -off.byG }, 'topup', newId)] },
      way: 'the-rest',
    },
  ];
}

/** Everything to come grows with it. */
function rescaledWay(
  { kitchen, deviation, style, say, ml }: Looking,
  rescaled: Rescaling | null,
): readonly Way[] {
  if (rescaled?.status !== 'rescale') return [];
  const more = rescaled.topUps.flatMap(({ ingredientId, massG }) => {
    const ingredient = kitchen.catalogue.get(ingredientId);
    return ingredient
      ? [makeWeighWords.gramsMoreName(say(massG, ingredient), inSentence(ingredient.name))]
      : [];
  });
  return [
    {
      title: makeWeighWords.makeMlInsteadEverythingFactor(
        ml(rescaled.volumeMl),
        formatNumber(rescaled.factor, 2, kitchen.settings),
      ),
      says: more.length > 0 ? makeWeighWords.firstMore(more.join(', ')) : makeWeighWords.theStepsToComeGrow,
      landing: landingOf(deviation, deviation.planned, style),
      targets: asRescaled(rescaled, newId),
      way: 'rescaled',
    },
  ];
}

/** What is asked of the searches: additions of its own things, and a jar filled as near to the plan as it goes. */
function useQuestions({ off, states, deviation, kitchen, style, mostMl }: Looking) {
  const { catalogue, pantry } = kitchen;
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
              stockG: (id) => entryOf(pantry, id).onHandG,
              locked: NOBODY_LOCKED,
            }).filter(
              ({ ingredient }) =>
                ingredient.category === 'water' ||
                deviation.planned.some((portion) => portion.ingredient.id === ingredient.id),
            ),
          },
    [deviation, style, mostMl, catalogue, pantry],
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
  return { rescaled, question, filling };
}

export function useRepairWays(props: RepairPanelProps) {
  const { states, deviation, vessel, kitchen, formula } = props;
  const { settings } = kitchen;
  const styles = useStyles();
  const style = useMemo(() => aimOf(formula, styles), [formula, styles]);
  const looking: Looking = {
    ...props,
    style,
    mostMl: usableVolumeMl(vessel),
    say: (massG, ingredient) => handMeasure(massG, ingredient, settings.spoons, settings),
    ml: (volumeMl) => formatAmount(volumeMl, 'ml', settings),
  };
  const { rescaled, question, filling } = useQuestions(looking);
  const { search, stop, again } = useSearch('remedies', question);
  const { search: filled } = useSearch('formulate', filling);
  const remedies = search.status === 'done' ? search.answer.remedies.slice(0, MOST_REMEDIES) : [];
  const answer =
    filled.status === 'done' && filled.answer.outcome.status === 'answers'
      ? filled.answer.outcome.answers[0]
      : undefined;
  const ways: readonly Way[] = [
    ...throughOtherLoads(looking),
    ...theRest(looking),
    ...remedies.map(({ doses }): Way => ({
      title: makeWeighWords.addDoses(sayDoses(doses, looking.say)),
      says: makeWeighWords.mlInAll(
        looking.ml(composition(withDoses(deviation.expected, doses)).mixedVolumeMl),
      ),
      landing: landingOf(deviation, withDoses(deviation.expected, doses), style),
      targets: asDoses(doses, states, newId),
      way: 'additions',
    })),
    ...(answer
      ? [
          {
            title: makeWeighWords.fillTheNameMl(inSentence(vessel.name), looking.ml(looking.mostMl)),
            says: makeWeighWords.asNearToThePlan,
            landing: landingOf(deviation, answer.portions, style),
            targets: asFilled(answer, states, newId),
            way: 'fill-vessel',
          } as const,
        ]
      : []),
    ...rescaledWay(looking, rescaled),
  ];
  const asIs: Way = {
    title: makeWeighWords.goOnAsItIs,
    says: '',
    landing: landingOf(deviation, deviation.expected, style),
    targets: NO_TARGETS,
    way: 'as-it-is',
  };
  return {
    ways,
    asIs,
    rescaled,
    search,
    stop,
    again,
    grams: (massG: number) => formatAmount(massG, 'g', settings),
  };
}
