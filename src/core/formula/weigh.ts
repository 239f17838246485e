/** From an amount and what it is of to grams, with what the words of the line say about it. */
import {
  isPoured,
  normaliseName,
  soakedAs,
  soakedMass,
  toMass,
  type Category,
  type Ingredient,
  type OwnMeasure,
} from '#core/ingredient';
import {
  exactly,
  isMassUnit,
  isVolumeUnit,
  range,
  times,
  type Amount,
  type Doubt,
  type ParsedAmount,
  type Problem,
  type Range,
} from '#core/quantity';
import { withUnits } from './likely';
import type { AdditionReading, ReadingContext } from './reading';

/** A tin says what is in it with its liquid; common practice: three fifths stay in the sieve. */
const TIN_DRAINED = /\bdrained\b.*\b(?:tins?|cans?|jars?)\b/i;
const DRAINED_SHARE = range(0.6, 0.53, 0.68);

/**
 * What the pan or the knife takes of what was said raw. Never of a hazard: see core/safety. Tag: common practice for
 * the low and high, the middle an estimate.
 */
const CARE: readonly { readonly form: RegExp; readonly of: ReadonlySet<Category>; readonly left: Range }[] = [
  {
    form: /\b(?:sweated|fried|saut[ée]ed|caramelised|caramelized|confit)\b/i,
    of: new Set<Category>(['aromatic', 'veg']),
    left: range(0.65, 0.4, 0.85),
  },
  {
    form: /\b(?:squeezed|pressed|wrung) (?:dry|out)|\bsalted and (?:drained|squeezed|pressed|patted dry)\b/i,
    of: new Set<Category>(['veg']),
    left: range(0.65, 0.45, 0.85),
  },
  { form: /\broasted\b/i, of: new Set<Category>(['aromatic', 'veg']), left: range(0.75, 0.55, 0.9) },
];
/** What is counted is counted whole: without its seeds or stalks less of it goes in. */
const SEEDED = /\b(?:deseeded|de-seeded|seeded|seeds? (?:out|removed)|without (?:its |the |their )?seeds)\b/i;
const LEFT_WITHOUT_SEEDS = range(0.85, 0.75, 0.92);

/** A bunch is weighed with its tender stalks; the leaves alone are less. */
const LEAVES_ALONE =
  /\b(?:leaves only|leaves picked|picked|stripped|stemmed|(?:without|no) (?:the |its |their )?(?:stems|stalks)|(?:stems|stalks) (?:removed|off|discarded|out))\b/i;
const LEFT_WITHOUT_STALKS = range(0.6, 0.45, 0.75);

/** By weight it was weighed as it goes in; by the piece, before anything was done to it. */
function leftOf(amount: Amount, ingredient: Ingredient, form: string): Range {
  const isCounted =
    amount.kind === 'measured' && amount.terms.every(({ unit }) => !isMassUnit(unit) && !isVolumeUnit(unit));
  if (!isCounted || ingredient.made) return exactly(1);
  const care = CARE.find((rule) => rule.of.has(ingredient.category) && rule.form.test(form));
  const stalks =
    amount.kind === 'measured' &&
    amount.terms.every(({ unit }) => unit === 'bunch') &&
    LEAVES_ALONE.test(form);
  const cut = SEEDED.test(form) ? LEFT_WITHOUT_SEEDS : stalks ? LEFT_WITHOUT_STALKS : exactly(1);
  return care && !care.form.test(ingredient.name) ? times(care.left, cut) : cut;
}

export function weigh(
  parsed: ParsedAmount,
  ingredient: Ingredient,
  form: string,
  context: ReadingContext,
  doubts: readonly Doubt[],
  own: OwnMeasure | null,
  /** The name as it was typed. */
  said: string,
): AdditionReading {
  const mass = toMass(parsed.amount, sizedAs(ingredient, said), context.measuring, form, own);
  if (mass.status === 'unread') return asked(mass.problem, parsed.amount, ingredient);
  return {
    status: 'read',
    ingredient: soakedAs(ingredient, form),
    amount: parsed.amount,
    massG: soakedMass(
      times(
        TIN_DRAINED.test(form) ? times(mass.massG, DRAINED_SHARE) : mass.massG,
        leftOf(parsed.amount, ingredient, form),
      ),
      ingredient,
      form,
    ),
    doubts: [...parsed.doubts, ...doubts, ...mass.doubts],
  };
}

/** A number whose unit is missing, or says nothing here, is asked for with what it likely meant. */
function asked(problem: Problem, amount: Amount, ingredient: Ingredient): AdditionReading {
  if (problem.code !== 'no-unit' && problem.code !== 'no-unit-weight') return { status: 'unread', problem };
  return { status: 'unread', problem: { ...problem, amounts: withUnits(amount, isPoured(ingredient)) } };
}

/** Some names say how large one is: a cornichon is a gherkin of a fifth of the weight. */
function sizedAs(ingredient: Ingredient, said: string): Ingredient {
  const words = normaliseName(said).split(' ');
  for (const [unit, weight] of Object.entries(ingredient.unitWeightsG)) {
    const [each, name] = unit.split(' ');
    if (each === 'each' && name && words.includes(name))
      return { ...ingredient, unitWeightsG: { ...ingredient.unitWeightsG, each: weight } };
  }
  return ingredient;
}
