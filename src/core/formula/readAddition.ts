/** From typed words to an addition that can be reckoned with: amount, ingredient, form, grams. */
import {
  toMass,
  type Catalogue,
  type Ingredient,
  type IngredientId,
  type Measuring,
  type OwnMeasure,
} from '#core/ingredient';
import {
  parseAmount,
  range,
  times,
  type Amount,
  type DecimalSign,
  type Doubt,
  type ParsedAmount,
  type Problem,
  type Range,
  type Unit,
} from '#core/quantity';
import type { Addition, Formula, Phase } from './formula';
import { nameIngredient, type NamedIngredient } from './nameWords';
import { tidyLine } from './tidyLine';

export interface ReadingContext {
  readonly catalogue: Catalogue;
  readonly measuring: Measuring;
  readonly decimalSign: DecimalSign;
}

export interface ReadAddition {
  readonly status: 'read';
  readonly ingredient: Ingredient;
  readonly amount: Amount;
  readonly massG: Range;
  readonly doubts: readonly Doubt[];
}
export interface UnreadAddition {
  readonly status: 'unread';
  readonly problem: Problem;
}
export type AdditionReading = ReadAddition | UnreadAddition;

/** The typed line taken apart; what it was read as stands in `reading`. */
export interface AdditionLine {
  readonly amountText: string;
  readonly ingredientId: IngredientId | null;
  readonly ingredientText: string;
  readonly form: string;
  /** The cook's own measure it is read with. */
  readonly measuredBy: string | null;
  readonly reading: AdditionReading;
}

/** "3 fillets", "1 yolk": the unit alone names the thing. */
const IMPLIED_INGREDIENT: Partial<Record<Unit, string>> = {
  clove: 'garlic',
  yolk: 'egg_yolk',
  egg: 'egg_whole',
  fillet: 'anchovy',
};

/** Reads one typed line, "1½ tsp salt" or "1 fat clove garlic, grated". Never throws; never loses a word. */
export function readLine(text: string, context: ReadingContext): AdditionLine {
  const tidy = tidyLine(text, context.decimalSign);
  const line = readTidy(tidy.text, tidy.aside, tidy.check, context);
  // Where plainer words did not help, what was typed is said back as it was.
  return line.reading.status === 'unread' && tidy.text !== text ? readTidy(text, [], null, context) : line;
}

function readTidy(
  text: string,
  aside: readonly string[],
  check: Amount | null,
  context: ReadingContext,
): AdditionLine {
  const parsed = parseAmount(text, context.decimalSign);
  if (parsed.status === 'unread') {
    return (
      (parsed.problem.code === 'no-amount' ? readWithoutAmount(text, context) : null) ??
      asTyped('', text, parsed.problem)
    );
  }
  const { name, form } = splitForm(parsed.rest);
  const wanted = ingredientWords(parsed, name);
  if (!wanted) return asTyped(parsed.amountText, '', { code: 'no-ingredient' }, form);
  const { found, formWords, doubts } = named(wanted, form, context.catalogue);
  if (found.status !== 'found') {
    const near = found.near.map((ingredient) => ingredient.name);
    const code = found.status === 'ambiguous' ? 'ambiguous-ingredient' : 'unknown-ingredient';
    return asTyped(parsed.amountText, name || wanted, { code, text: name || wanted, near }, form);
  }
  const own = ownMeasureNow(parsed, found.ingredient, context);
  const fullForm = [formWords, form, ...aside].filter(Boolean).join(', ');
  const guessed: Doubt[] = [
    ...doubts,
    ...(found.guessed
      ? [{ code: 'ingredient-guessed', text: wanted, ingredient: found.ingredient.name } as const]
      : []),
  ];
  const reading = weigh(parsed, found.ingredient, fullForm, context, guessed, own);
  return {
    amountText: parsed.amountText,
    ingredientId: found.ingredient.id,
    ingredientText: name || found.ingredient.name,
    form: fullForm,
    measuredBy: own?.id ?? null,
    reading: check ? checked(reading, check, parsed.amountText, context) : reading,
  };
}

/** Two amounts of one thing may differ by rounding; beyond that one of them is wrong. */
const MOST_APART = 0.15;

function checked(
  reading: AdditionReading,
  check: Amount,
  kept: string,
  { measuring }: ReadingContext,
): AdditionReading {
  if (reading.status === 'unread') return reading;
  const other = toMass(check, reading.ingredient, measuring);
  if (other.status === 'unread') return reading;
  const [keptG, otherG] = [reading.massG.nominal, other.massG.nominal];
  const apart = Math.abs(otherG - keptG) / Math.max(keptG, otherG);
  const isInside = otherG >= other.massG.low && keptG >= other.massG.low && keptG <= other.massG.high;
  if (isInside || apart <= MOST_APART) return reading;
  return { ...reading, doubts: [...reading.doubts, { code: 'amounts-differ', kept, keptG, otherG }] };
}

/** "black pepper, freshly ground": what is known by name and lacks an amount goes in to taste, and says so. */
function readWithoutAmount(text: string, context: ReadingContext): AdditionLine | null {
  const { name } = splitForm(text);
  const { found } = nameIngredient(name, context.catalogue);
  if (found.status !== 'found' || found.guessed) return null;
  const line = readLine(`to taste ${text}`, context);
  if (line.reading.status !== 'read') return null;
  const doubts: readonly Doubt[] = [{ code: 'no-amount-said', ingredient: found.ingredient.name }];
  return { ...line, reading: { ...line.reading, doubts } };
}

/** Reads an addition of a formula, whose ingredient may already be settled. */
export function readAddition(addition: Addition, context: ReadingContext): AdditionReading {
  const ingredient = addition.ingredientId && context.catalogue.get(addition.ingredientId);
  if (!ingredient) {
    return readLine(`${addition.amountText} ${addition.ingredientText}`.trim(), context).reading;
  }
  const parsed = parseAmount(addition.amountText, context.decimalSign);
  if (parsed.status === 'unread') return parsed;
  const { name, form } = splitForm(parsed.rest);
  if (name && !namesThis(parsed, name, ingredient, context.catalogue)) {
    return { status: 'unread', problem: { code: 'leftover', text: addition.amountText } };
  }
  const own = addition.measuredBy === null ? null : context.measuring.own?.byId.get(addition.measuredBy);
  return weigh(parsed, ingredient, `${addition.form} ${form}`, context, [], own ?? null);
}

/** The newest of the cook's own measures for these words; null where there is none. */
function ownMeasureNow(
  parsed: ParsedAmount,
  ingredient: Ingredient,
  { measuring }: ReadingContext,
): OwnMeasure | null {
  const unit = soleUnit(parsed);
  return unit === null ? null : (measuring.own?.now(unit, ingredient.id) ?? null);
}

/**
 * Additions whose unit or ingredient changed are measured anew with the cook's own measure of today; all
 * others keep what they meant.
 */
export function stampMeasures(before: Formula, after: Formula, context: ReadingContext): Formula {
  const old = new Map(before.additions.map((addition) => [addition.id, addition]));
  const unitOf = ({ amountText }: Addition): Unit | null => {
    const parsed = parseAmount(amountText, context.decimalSign);
    return parsed.status === 'read' ? soleUnit(parsed) : null;
  };
  let stamped = false;
  const additions = after.additions.map((addition) => {
    const was = old.get(addition.id);
    if (!was || addition.ingredientId === null) return addition;
    if (was.amountText === addition.amountText && was.ingredientId === addition.ingredientId) return addition;
    const unit = unitOf(addition);
    if (unit === unitOf(was) && was.ingredientId === addition.ingredientId) return addition;
    const measuredBy =
      unit === null ? null : (context.measuring.own?.now(unit, addition.ingredientId)?.id ?? null);
    if (measuredBy === addition.measuredBy) return addition;
    stamped = true;
    return { ...addition, measuredBy };
  });
  return stamped ? { ...after, additions } : after;
}

/** The phase an addition falls into unless the cook says otherwise. */
export function usualPhase(line: AdditionLine, catalogue: Catalogue): Phase {
  if (line.ingredientId && catalogue.get(line.ingredientId)?.category === 'oil') return 'oil';
  const { reading } = line;
  return reading.status === 'read' && reading.amount.kind === 'to-taste' ? 'finish' : 'base';
}

/** A tin says what is in it with its liquid; common practice: three fifths stay in the sieve. */
const TIN_DRAINED = /\bdrained\b.*\b(?:tins?|cans?|jars?)\b/i;
const DRAINED_SHARE = range(0.6, 0.53, 0.68);

function weigh(
  parsed: ParsedAmount,
  ingredient: Ingredient,
  form: string,
  context: ReadingContext,
  doubts: readonly Doubt[],
  own: OwnMeasure | null,
): AdditionReading {
  const mass = toMass(parsed.amount, ingredient, context.measuring, form, own);
  if (mass.status === 'unread') return mass;
  return {
    status: 'read',
    ingredient,
    amount: parsed.amount,
    massG: TIN_DRAINED.test(form) ? times(mass.massG, DRAINED_SHARE) : mass.massG,
    doubts: [...parsed.doubts, ...doubts, ...mass.doubts],
  };
}

const asTyped = (amountText: string, ingredientText: string, problem: Problem, form = ''): AdditionLine => ({
  amountText,
  ingredientId: null,
  ingredientText,
  form,
  measuredBy: null,
  reading: { status: 'unread', problem },
});

/** "light, mild-tasting olive oil": what stands before a comma may be no name yet. */
function named(words: string, form: string, catalogue: Catalogue): NamedIngredient {
  const first = nameIngredient(words, catalogue);
  if (first.found.status === 'found' || !form) return first;
  const together = nameIngredient(`${words} ${form}`, catalogue);
  return together.found.status === 'found' && !together.found.guessed ? together : first;
}

const FRUIT = /^(?:lemon|lime|orange|clementine|grapefruit|yuzu|mandarin)s?$/i;

function ingredientWords(parsed: ParsedAmount, name: string): string {
  const unit = soleUnit(parsed);
  // What is squeezed is juice.
  if (unit === 'squeeze' && FRUIT.test(name)) return `${name.replace(/s$/, '')} juice`;
  if ((unit === 'juice' || unit === 'zest') && name) return `${name.replace(/s$/, '')} ${unit}`;
  if (!name && unit) return IMPLIED_INGREDIENT[unit] ?? '';
  return name;
}

const soleUnit = (parsed: ParsedAmount): Unit | null =>
  parsed.amount.kind === 'measured' && parsed.amount.terms.length === 1 ? parsed.amount.terms[0]!.unit : null;

function namesThis(
  parsed: ParsedAmount,
  name: string,
  ingredient: Ingredient,
  catalogue: Catalogue,
): boolean {
  const { found } = nameIngredient(ingredientWords(parsed, name), catalogue);
  return found.status === 'found' && found.ingredient.id === ingredient.id;
}

/** "garlic, grated to a paste" or "garlic (grated)" → name and form. */
function splitForm(rest: string): { name: string; form: string } {
  const match = /^([^,(;]*)[,(;]?\s*(.*?)\)?\s*$/s.exec(rest);
  return { name: match?.[1]?.trim() ?? '', form: match?.[2]?.trim() ?? '' };
}
