/** Mending, formulating, swapping and rounding for the command line: the very searches of the screens. */
import { commandLineWords } from '#words/screens/commandLine';
import type { FormulateJson } from '#contract';
import {
  aQuarterMl,
  candidatesFor,
  finish,
  formulate,
  handUnitsFor,
  roundPlan,
  searchRemedies,
  swapIngredient,
  type Asked,
  type Complaint,
  type Effect,
  type Hand,
  type MayAdd,
  type PlanLine,
  type RoundTo,
  type Severity,
} from '#core/balance';
import {
  PLAN_WORDS,
  sayDoses,
  sayGesture,
  sayImpossible,
  sayInTheWay,
  sayLost,
  sayMissed,
  sayVariant,
} from '#words/balance';
import { composition } from '#core/composition';
import { REFERENCE_CATALOGUE, type Ingredient, type IngredientId, type Measuring } from '#core/ingredient';
import { PALATE_KEYS, verdictOf, type Palate, type Style } from '#core/palate';
import type { JudgedPortion } from '#core/reckoning';

export interface MendAsk {
  readonly complaint: Complaint;
  readonly also: readonly Asked[];
  readonly severity: Severity;
  /** ml; null: a quarter of what is there. */
  readonly roomMl: number | null;
  readonly allow: readonly Ingredient[] | null;
  readonly style: Style | null;
  /** Lines that could not be read, as typed. */
  readonly unread: readonly string[];
  readonly measuring: Measuring;
}

const amount = ({ id }: Ingredient, massG: number) => ({ ingredientId: id as string, massG });
const measuresOf = (palate: Palate) =>
  Object.fromEntries(PALATE_KEYS.map((key) => [key, palate[key].value])) as Record<string, number | null>;
const effectFor = (effect: Effect) => ({
  mixedVolumeMl: effect.mixedVolumeMl,
  growsByMl: effect.grownMl,
  score: effect.score,
  measures: measuresOf(effect.palate),
  keepingDays: effect.keeping.days,
  newAllergens: effect.newAllergens,
  goneAllergens: effect.goneAllergens,
  newCautions: effect.newCautions.map(({ code }) => code),
});

export function mend(portions: readonly JudgedPortion[], ask: MendAsk) {
  const { massG, mixedVolumeMl } = composition(portions);
  const hand: Hand = { measuring: ask.measuring, readabilityG: 1 };
  const mayAdd: readonly MayAdd[] = ask.allow
    ? ask.allow.map((ingredient) => ({
        ingredient,
        form: '',
        stockG: null,
        hand: handUnitsFor(ingredient, hand, massG),
      }))
    : candidatesFor(portions, {
        catalogue: REFERENCE_CATALOGUE,
        stockG: () => null,
        locked: new Set(),
        hand,
      });
  const { complaint, also, severity, style, allow, unread } = ask;
  const roomMl = ask.roomMl ?? aQuarterMl(mixedVolumeMl);
  const answer = finish(
    searchRemedies({
      portions,
      complaint,
      also,
      severity,
      style,
      roomMl,
      aQuarter: ask.roomMl === null,
      mayAdd,
      allowAll: allow !== null,
      unread,
    }),
  );
  return {
    remedies: answer.remedies.map(({ planId, doses, effect, burden, partial = false }) => ({
      plan: planId,
      partial,
      message: commandLineWords.formAddDoses(
        partial ? commandLineWords.partOfTheWay : PLAN_WORDS[planId],
        sayDoses(doses),
      ),
      additions: doses.map(({ mayAdd: { ingredient }, massG, gesture, enoughG }) => ({
        ...amount(ingredient, massG),
        ...(gesture ? { gesture: sayGesture(gesture) } : {}),
        ...(enoughG === undefined ? {} : { enoughG }),
      })),
      burden,
      ...effectFor(effect),
    })),
    impossible: answer.impossible.map((why) => ({
      plan: why.planId,
      message: sayImpossible(why, undefined, answer.aQuarter),
      needsRoomMl: why.moreRoom?.volumeMl ?? null,
      reachable: why.dilution?.reachable ?? null,
      replaceFraction: why.dilution?.replaceFraction ?? null,
      inTheWay: why.inTheWay,
    })),
  };
}

export class UnknownIngredient extends Error {}

export function ingredientNamed(id: string): Ingredient {
  const ingredient = REFERENCE_CATALOGUE.get(id as IngredientId);
  if (!ingredient) throw new UnknownIngredient(commandLineWords.idIsNoIngredientId(id));
  return ingredient;
}

export function formulateFrom(json: FormulateJson, style: Style | null, round: RoundTo | null) {
  const locked = new Map(json.locks.map(({ ingredientId, massG }) => [ingredientId as string, massG]));
  const ids = new Set([...json.onHand.map(({ ingredientId }) => ingredientId as string), ...locked.keys()]);
  const most = new Map(json.onHand.map(({ ingredientId, maxG }) => [ingredientId as string, maxG]));
  const onHand = [...ids].map((id) => {
    const lock = locked.get(id);
    return { ingredient: ingredientNamed(id), minG: lock ?? 0, maxG: lock ?? most.get(id) ?? null };
  });
  const { volumeMl, targets } = json;
  const outcome = finish(formulate({ volumeMl, style, onHand, targets }));
  if (outcome.status !== 'answers') return outcome;
  return {
    status: outcome.status,
    answers: outcome.answers.map(({ variant, portions, state, loss, missed, inTheWay }) => ({
      name: sayVariant(variant),
      additions: portions.map(({ ingredient, massG }) => amount(ingredient, massG.nominal)),
      mixedVolumeMl: state.mixedVolumeMl,
      loss,
      score: style ? verdictOf(state.judgement.palate, style).score : null,
      measures: measuresOf(state.judgement.palate),
      missed: missed.map((miss) => ({ ...miss, message: sayMissed(miss) })),
      inTheWay: sayInTheWay(inTheWay),
      keepingDays: state.judgement.keeping.days,
      allergens: state.judgement.allergens.eu14.map(({ allergen }) => allergen),
      cautions: state.judgement.cautions.map(({ code }) => code),
      ...(round ? { rounded: rounded(portions, round) } : {}),
    })),
  };
}

export function swap(
  portions: readonly JudgedPortion[],
  from: Ingredient,
  to: Ingredient,
  style: Style | null,
) {
  const index = portions.findIndex(({ ingredient }) => ingredient.id === from.id);
  if (index < 0) throw new UnknownIngredient(commandLineWords.thereIsNoIdIn(from.id));
  const answer = swapIngredient({
    portions,
    index,
    to,
    catalogue: REFERENCE_CATALOGUE,
    style,
    locked: new Set(),
  });
  return answer.swaps.map(({ id, keeps, lines, effect, notKept, lost }) => ({
    plan: id,
    keeps: id === 'one-for-one' ? [answer.kept] : keeps,
    changes: lines.map(({ ingredient, fromG, toG, index: line }) => ({
      ingredientId: ingredient.id as string,
      replaces: line === index ? (from.id as string) : null,
      fromG,
      toG,
    })),
    notKept,
    lost: { ...lost, message: sayLost(lost).join(' ') },
    ...effectFor(effect),
  }));
}

export function rounded(portions: readonly JudgedPortion[], to: RoundTo) {
  const plan = portions.map(({ ingredient, form, massG }): PlanLine => ({
    ingredient,
    form,
    massG: massG.nominal,
    kept: false,
  }));
  const { lines, loss, naiveLoss, proven, gap, damage, volumeFactor } = roundPlan(plan, to);
  return {
    lines: lines.map(({ index, massG, text, how, carrier }) => ({
      ...amount(plan[index]!.ingredient, massG),
      text,
      how,
      carrierId: carrier === null ? null : (plan[carrier]!.ingredient.id as string),
    })),
    loss,
    naiveLoss,
    proven,
    gap,
    damage,
    volumeFactor,
  };
}
