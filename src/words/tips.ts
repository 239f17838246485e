/** Making and rescue steps as sentences: what to do, with the number. */
import { sentencesNow } from './tongue';
import { type MakingTip, type PourPlan, type RescueStep } from '#core/emulsion';
import { TOOL_WORDS, sayDuration, sayPour, sayStages } from './hold';
import type { Ingredient, IngredientId } from '#core/ingredient';
import { inSentence } from './numbers';

const names = (ingredients: readonly Ingredient[]): string => {
  const list = ingredients.map(({ name }) => inSentence(name.split(',')[0]!));
  return list.length < 2 ? (list[0] ?? '') : `${list.slice(0, -1).join(', ')} and ${list.at(-1)}`;
};
const toFive = (ml: number): number => Math.max(5, Math.round(ml / 5) * 5);

export function sayTip(tip: MakingTip): string {
  const other = sentencesNow()?.tip(tip);
  if (other !== undefined) return other;
  switch (tip.code) {
    case 'toast-seeds':
      return `Toast the ${names(tip.ingredients)} dry, let them cool.`;
    case 'rub-dried-herbs':
      return `Rub the ${names(tip.ingredients)} between the palms: it wakes the scent.`;
    case 'garlic-alone':
      return 'Mince the garlic by itself first, finer than you think.';
    case 'yolk-at-room':
      return `Take the ${names(tip.ingredients)} out of the fridge early: a cold yolk takes oil half as fast.`;
    case 'salt-into-acid':
      return `Dissolve the ${names(tip.ingredients)} in the acid before mustard, honey and oil.`;
    case 'steep-in-acid':
      return `Leave the ${names(tip.ingredients)} ${tip.minutes} minutes in the acid before the oil: milder.`;
    case 'smell-nut-oil':
      return `Smell the ${names(tip.ingredients)} before it goes in: nut oils turn early.`;
    case 'whisk-base':
      return 'Whisk the base smooth before any oil.';
    case 'pour':
      return sayPour(tip.plan, tip.tool);
    case 'too-little-for-tool':
      return `Too little for the ${TOOL_WORDS[tip.tool].toLowerCase()}: it needs ${tip.limitMl} ml.`;
    case 'too-much-for-tool':
      return `Too much for the ${TOOL_WORDS[tip.tool].toLowerCase()}: work in portions of up to ${tip.limitMl} ml.`;
    case 'too-full-to-shake':
      return `Too full to shake well: above ${Math.round(tip.mostMl)} ml it hardly moves. Take a larger jar.`;
    case 'blender-bitter':
      return `${names(tip.ingredients)} blended hard for more than half a minute may turn bitter (disputed): blend a neutral oil, fold a third of it in by hand.`;
    case 'blender-heat':
      return `The machine warms it by about ${Math.round(tip.risesK)} K: blend in bursts.`;
    case 'green-on-the-day':
      return `${names(tip.ingredients)} into acid only on the day: they turn olive.`;
    case 'oil-sets':
      return `${names(tip.ingredients) || 'The oil'} may set in the fridge: ${tip.standOutS > 0 ? `stand it out ${sayDuration(tip.standOutS)}, or 5 to 10 minutes in lukewarm water` : 'stand it out'} before serving, then shake.`;
    case 'gum-too-little':
      return 'Under 0.08 % of the water xanthan may do harm rather than good: take more, or none.';
  }
}

export function sayStep(
  step: RescueStep,
  nameOf: (id: IngredientId) => string,
  amount: (massG: number, id: IngredientId) => string,
): string {
  const other = sentencesNow()?.rescue(step, { nameOf, amount });
  if (other !== undefined) return other;
  switch (step.code) {
    case 'new-base':
      return `In a clean bowl: ${amount(step.massG, step.ingredientId)} ${nameOf(step.ingredientId)} and ${toFive(step.waterMl)} ml water, whisked smooth. Do not just whisk the broken one harder.`;
    case 'drip-in':
      return `Drip the broken sauce, ${toFive(step.volumeMl)} ml, into it at half speed. ${sayPaceOf(step.plan)}`;
    case 'add-water-first':
      return `Beat in ${toFive(step.volumeMl)} ml water before any more oil.`;
    case 'warm-bowl':
      return 'The yolk is cold: stand the bowl in water of 30 to 35 °C for 5 minutes.';
    case 'warm-oil':
      return `The oil is below its cloud point: warm it above ${step.toC} °C.`;
    case 'halve-oil':
      return 'Then go on with half the oil stream.';
    case 'thin-with':
      return `Stir in ${amount(step.massG, step.ingredientId)} ${nameOf(step.ingredientId)} by the teaspoon, the last fifth to taste.`;
    case 'thicken-with-oil':
      return `Work in ${toFive(step.volumeMl)} ml more oil. ${sayPour(step.plan, 'whisk')}`;
    case 'thicken-with-gum':
      return `Slurry ${step.massG.toFixed(2)} g xanthan in a little oil, then blend it in: 0.1 % of the water side.`;
    case 'stand-out':
      return `Let it stand out ${sayDuration(step.seconds)}, until it is above ${Math.round(step.toC)} °C.`;
    case 'lukewarm-bath':
      return 'Or 5 to 10 minutes in lukewarm water, below 35 °C.';
    case 'shake-again':
      return 'Then shake again.';
  }
}

const sayPaceOf = (plan: PourPlan): string =>
  plan.status === 'stages' ? `Pace: ${sayStages(plan)}` : sayPour(plan, 'whisk');
