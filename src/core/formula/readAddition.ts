/** From typed words to an addition that can be reckoned with: amount, ingredient, form, grams. */
import {
  toMass,
  type Catalogue,
  type Ingredient,
  type IngredientId,
  type OwnMeasure,
} from '#core/ingredient';
import {
  parseAmount,
  type Amount,
  type Doubt,
  type ParsedAmount,
  type Problem,
  type Unit,
} from '#core/quantity';
import type { Addition, Formula, Phase } from './formula';
import { packIn } from './likely';
import { nameIngredient, otherOfTwo, type NamedIngredient } from './nameWords';
import { tidyLine } from './tidyLine';
import { apart } from './twoInOne';
import type { AdditionReading, ReadingContext } from './reading';
import { weigh } from './weigh';

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

/**
 * As {@link readLine}, for what may say more than one thing: "zest and juice of 1 lemon", "a pinch each of salt and
 * pepper". Taken apart only where every part is read; never empty.
 */
export function readLines(text: string, context: ReadingContext): readonly AdditionLine[] {
  const parts = apart(text).map((part) => readLine(part, context));
  return parts.length > 0 && parts.every(({ reading }) => reading.status === 'read')
    ? parts
    : [readLine(text, context)];
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
  const pack = packed(parsed, wanted, form, context.catalogue);
  if (pack) return pack;
  const { found, formWords, doubts } = named(wanted, form, context.catalogue);
  if (found.status !== 'found') {
    const near = found.near.map((ingredient) => ingredient.name);
    const code = found.status === 'ambiguous' ? 'ambiguous-ingredient' : 'unknown-ingredient';
    return asTyped(parsed.amountText, name || wanted, { code, text: name || wanted, near }, form);
  }
  const fullForm = [formWords, form, ...aside].filter(Boolean).join(', ');
  const ingredient = rinsed(found.ingredient, fullForm, context.catalogue);
  const own = ownMeasureNow(parsed, ingredient, context);
  const guessed: Doubt[] = [
    ...doubts,
    ...(found.guessed
      ? [{ code: 'ingredient-guessed', text: wanted, ingredient: found.ingredient.name } as const]
      : []),
  ];
  const reading = weigh(parsed, ingredient, fullForm, context, guessed, own, wanted);
  return {
    amountText: parsed.amountText,
    ingredientId: ingredient.id,
    ingredientText: name || ingredient.name,
    form: fullForm,
    measuredBy: own?.id ?? null,
    reading: check ? checked(reading, check, parsed.amountText, context) : reading,
  };
}

/** "a jar of pesto": how much is in one is asked, and nothing is guessed from the name of the pack. */
function packed(
  parsed: ParsedAmount,
  wanted: string,
  form: string,
  catalogue: Catalogue,
): AdditionLine | null {
  const pack = soleUnit(parsed) === 'each' ? packIn(wanted, countOf(parsed.amount)) : null;
  if (!pack) return null;
  const { found } = nameIngredient(pack.name, catalogue);
  if (found.status !== 'found' || found.guessed) return null;
  return asTyped(
    parsed.amountText,
    wanted,
    { code: 'pack-size', pack: pack.pack, ingredient: found.ingredient.name, amounts: pack.amounts },
    form,
  );
}

const countOf = (amount: Amount): number =>
  amount.kind === 'measured' ? amount.terms.reduce((sum, { count }) => sum + count.nominal, 0) : 0;

const RINSED = /\b(?:rinsed|soaked|desalted|washed)\b/i;

const rinsed = (ingredient: Ingredient, form: string, catalogue: Catalogue): Ingredient =>
  (RINSED.test(form) && ingredient.onceRinsed && catalogue.get(ingredient.onceRinsed)) || ingredient;

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
  const other = otherOfTwo(addition.form, ingredient, context.catalogue);
  return weigh(
    parsed,
    ingredient,
    `${addition.form} ${form}`,
    context,
    other ? [other] : [],
    own ?? null,
    addition.ingredientText,
  );
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
