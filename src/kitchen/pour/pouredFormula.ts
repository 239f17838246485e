/** What was poured, written down: a formula as a cook would say it, and how its jar came to be. */
import { emptyFormula, type AdditionId, type Formula, type Tool } from '#core/formula';
import { usualSeconds } from '#core/emulsion';
import { judgeFormula, reckonFormula } from '#core/reckoning';
import { planMaking, type MakingPlan, type TrialEvent } from '#core/trial';
import { freshAmountText } from '#kitchen/edits';
import { contextFor, type Kitchen } from '#kitchen/reading';
import { formatNumber } from '#words/numbers';
import { vesselOf } from '#kitchen/reading';
import { linesOf, massOf, unnamedIn, type FreePour, type PouredThing } from './freePour';

/** @param unnamedText what stands in the place of a name */
export function pouredFormula(
  pour: FreePour,
  name: string,
  kitchen: Pick<Kitchen, 'catalogue' | 'settings' | 'own' | 'readAmountsWith'>,
  unnamedText: string,
): Formula {
  const { catalogue, settings } = kitchen;
  const empty = {
    ...emptyFormula(name, pour.vesselId, settings.spoons),
    servingVolumeMl: settings.servingVolumeMl,
  };
  const context = contextFor(empty, kitchen);
  const named = linesOf(pour, catalogue).map(({ ingredient, form, massG, things }, rank) => {
    const [only] = things;
    return {
      ...PLAIN,
      id: additionIdOf(only!),
      // Said once, it stays as it was said; poured, it is what a spoon or a jug would measure.
      amountText:
        things.length === 1 && only!.said
          ? only!.said
          : freshAmountText(massG, ingredient, empty, context, true),
      ingredientId: ingredient.id,
      ingredientText: ingredient.name,
      form,
      phase: ingredient.category === 'oil' ? ('oil' as const) : ('base' as const),
      rank,
    };
  });
  const unnamed = unnamedIn(pour).map((thing, i) => ({
    ...PLAIN,
    id: additionIdOf(thing),
    amountText: `${formatNumber(massOf(thing, catalogue), 1, settings)} g`,
    ingredientId: null,
    ingredientText: unnamedText,
    form: '',
    phase: 'base' as const,
    rank: named.length + i,
  }));
  return { ...empty, additions: [...named, ...unnamed] };
}

const PLAIN = { note: '', optional: false, locked: false, measuredBy: null, stage: 0 } as const;
const additionIdOf = ({ id }: PouredThing): AdditionId => id as AdditionId;

export interface PouredJar {
  readonly making: MakingPlan;
  /** In the order they happened. Their ids say what they are of: written twice, they are there once. */
  readonly events: readonly { readonly id: string; readonly event: TrialEvent }[];
}

/** How the jar came to be, as a making that is over: every pour is a weight of its line's step. */
export function pouredJar(formula: Formula, pour: FreePour, tool: Tool, kitchen: Kitchen): PouredJar {
  const vessel = vesselOf(formula, kitchen.vessels);
  const reckoning = reckonFormula(formula, vessel, contextFor(formula, kitchen));
  const making = planMaking(reckoning, judgeFormula(reckoning), {
    scaleFactor: 1,
    tool,
    seconds: usualSeconds(tool),
    roomC: null,
    bottles: {},
    vessel,
  });
  const stepOf = new Map(
    linesOf(pour, kitchen.catalogue).flatMap(({ things }) =>
      things.map((thing) => [thing.id, additionIdOf(things[0]!)] as const),
    ),
  );
  const newest = new Map<string, string>();
  const takes = pour.things.flatMap((thing) => {
    const stepId = stepOf.get(thing.id);
    const { ingredientId, form, reading } = thing;
    const massG = massOf(thing, kitchen.catalogue);
    if (!stepId || !ingredientId || !(massG > 0)) return [];
    const id = `took-${thing.id}`;
    // Each take knows of the one before it: they are one after the other, and all count.
    const seen = newest.get(stepId) ?? null;
    newest.set(stepId, id);
    const event: TrialEvent = { kind: 'took', stepId, line: { ingredientId, form, massG }, reading, seen };
    return [{ id, event }];
  });
  const did = making.steps
    .filter(({ id }) => !newest.has(id))
    .map(({ id }) => ({ id: `did-${pour.jarId}-${id}`, event: { kind: 'did', stepId: id } as const }));
  return { making, events: [...takes, ...did] };
}
