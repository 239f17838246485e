/** What the searches found, taken over into the formula: each a single step of undo. */
import { amountTextFor } from '#core/composition';
import {
  rankAt,
  inOrder,
  lastStage,
  type Addition,
  type AdditionId,
  type Formula,
  type Phase,
  type ReadingContext,
} from '#core/formula';
import { isPoured, spoonVolumeMl, type Ingredient, type IngredientId } from '#core/ingredient';
import { nearestSpoons, sensibly } from '#core/quantity';
import type { Dose, RoundedLine, SwappedLine } from '#core/balance';
import type { ReckonedAddition } from '#core/reckoning';
import { patchAddition, removeAddition } from './edits';

const SPOONS_NEAR_ENOUGH = 0.03;

/** How a cook would measure a fresh amount of something. */
export function freshAmountText(
  massG: number,
  ingredient: Ingredient,
  formula: Pick<Formula, 'spoons'>,
  { decimalSign }: Pick<ReadingContext, 'decimalSign'>,
  inSpoons = false,
): string {
  if (inSpoons) {
    const spoons = nearestSpoons(spoonVolumeMl(massG, ingredient), formula.spoons);
    if (spoons && Math.abs(spoons.relativeError) <= SPOONS_NEAR_ENOUGH) return spoons.text;
  }
  const poured = isPoured(ingredient);
  const value = sensibly(poured ? massG / ingredient.spoonDensityGPerMl : massG);
  return `${String(value).replace('.', decimalSign === 'comma' ? ',' : '.')} ${poured ? 'ml' : 'g'}`;
}

const usualPhaseOf = ({ category }: Ingredient): Phase => (category === 'oil' ? 'oil' : 'base');

function withNew(
  formula: Formula,
  ingredient: Ingredient,
  amountText: string,
  form: string,
  id: AdditionId,
): Formula {
  const phase = usualPhaseOf(ingredient);
  const others = inOrder(formula.additions).filter((addition) => addition.phase === phase);
  const addition: Addition = {
    id,
    amountText,
    ingredientId: ingredient.id,
    ingredientText: ingredient.name,
    form,
    note: '',
    phase,
    optional: false,
    locked: false,
    measuredBy: null,
    stage: lastStage(formula),
    rank: rankAt(others, others.length),
  };
  return { ...formula, additions: [...formula.additions, addition] };
}

interface Taking {
  readonly context: ReadingContext;
  readonly newId: () => AdditionId;
}

/** Whose amount the cook locked: it may not grow. */
export const lockedIn = ({ additions }: Formula): ReadonlySet<IngredientId> =>
  new Set(additions.flatMap(({ locked, ingredientId }) => (locked && ingredientId ? [ingredientId] : [])));

/** More of what is there, where it is not locked; else a line of its own. */
export function takeDoses(
  formula: Formula,
  additions: readonly ReckonedAddition[],
  doses: readonly Dose[],
  { context, newId }: Taking,
): Formula {
  const wording = { spoons: formula.spoons, decimalSign: context.decimalSign };
  return doses.reduce((next, { mayAdd: { ingredient, form }, massG }) => {
    const line = additions.find(
      ({ addition, reading, counted }) =>
        counted &&
        !addition.locked &&
        reading.status === 'read' &&
        reading.ingredient.id === ingredient.id &&
        reading.massG.nominal > 0,
    );
    if (line?.reading.status === 'read') {
      const { addition, reading } = line;
      const amountText = amountTextFor(
        reading.massG.nominal + massG,
        addition.amountText,
        ingredient,
        wording,
      );
      return patchAddition(next, addition.id, { amountText });
    }
    return withNew(next, ingredient, freshAmountText(massG, ingredient, formula, context), form, newId());
  }, formula);
}

/** @param ids the addition of each portion the swap was asked with */
export function takeSwap(
  formula: Formula,
  ids: readonly AdditionId[],
  lines: readonly SwappedLine[],
  { context, newId }: Taking,
): Formula {
  const wording = { spoons: formula.spoons, decimalSign: context.decimalSign };
  return lines.reduce((next, { index, ingredient, form, toG }) => {
    const id = index === null ? undefined : ids[index];
    const old = formula.additions.find((addition) => addition.id === id);
    if (!old)
      return withNew(next, ingredient, freshAmountText(toG, ingredient, formula, context), form, newId());
    if (!(toG > 1e-3)) return removeAddition(next, old.id);
    if (old.ingredientId === ingredient.id) {
      return patchAddition(next, old.id, {
        amountText: amountTextFor(toG, old.amountText, ingredient, wording),
      });
    }
    return patchAddition(next, old.id, {
      ingredientId: ingredient.id,
      ingredientText: ingredient.name,
      amountText: freshAmountText(toG, ingredient, formula, context),
      form,
    });
  }, formula);
}

/** Rounded amounts as they are measured; a dilution is written into the note. */
export function takeRounding(
  formula: Formula,
  ids: readonly AdditionId[],
  lines: readonly RoundedLine[],
  names: readonly string[],
  { decimalSign }: Pick<ReadingContext, 'decimalSign'>,
): Formula {
  return lines.reduce((next, { index, text, carrier, massG }) => {
    const id = ids[index];
    const old = formula.additions.find((addition) => addition.id === id);
    if (text === null || !old) return next;
    const amountText = decimalSign === 'comma' ? text.replace('.', ',') : text;
    const dilution =
      carrier === null ? null : `stir 10 g into 90 g ${names[carrier]!}, take ${sensibly(massG * 10)} g`;
    const note =
      dilution && !old.note.includes(dilution) ? [old.note, dilution].filter(Boolean).join('; ') : old.note;
    return patchAddition(next, old.id, { amountText, note });
  }, formula);
}

/** Nearer than this nothing was changed: half a step of a 0.1 g scale and its own doubt. */
const SAME_G = 0.05;
const SAME_SHARE = 0.002;

/**
 * What was really made, as new amounts of the version it was made from. What did not go in is taken out;
 * what is new becomes a line of its own.
 * @param lines scaled to the formula's size, with words where rounding found some
 */
export function takeAsMade(
  formula: Formula,
  additions: readonly ReckonedAddition[],
  lines: readonly { ingredient: Ingredient; form: string; massG: number; text: string | null }[],
  { context, newId }: Taking,
): Formula {
  const wording = { spoons: formula.spoons, decimalSign: context.decimalSign };
  const used = new Set<AdditionId>();
  let next = formula;
  for (const { ingredient, form, massG, text } of lines) {
    const line = additions.find(
      ({ addition, reading }) =>
        reading.status === 'read' &&
        reading.ingredient.id === ingredient.id &&
        addition.form === form &&
        !used.has(addition.id),
    );
    const old = line?.addition;
    if (!old) {
      next = withNew(
        next,
        ingredient,
        text ?? freshAmountText(massG, ingredient, formula, context),
        form,
        newId(),
      );
      continue;
    }
    used.add(old.id);
    const plannedG = line.reading.status === 'read' ? line.reading.massG.nominal : 0;
    // What went in as planned keeps the words it was written in.
    if (text === null && Math.abs(massG - plannedG) <= SAME_G + SAME_SHARE * plannedG) continue;
    next = patchAddition(next, old.id, {
      amountText: text ?? amountTextFor(massG, old.amountText, ingredient, wording),
    });
  }
  for (const { addition, reading, counted } of additions) {
    const weighs = counted && reading.status === 'read' && reading.massG.nominal > 0;
    if (weighs && !used.has(addition.id)) next = removeAddition(next, addition.id);
  }
  return next;
}
