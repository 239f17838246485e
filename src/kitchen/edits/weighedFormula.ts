/** A draft of weighed lines, from amounts that were found. */
import type { Settings } from '#contract';
import { emptyFormula, type Addition, type AdditionId, type Formula } from '#core/formula';
import type { Ingredient } from '#core/ingredient';
import { DEFAULT_VESSEL_ID } from '#core/vessel';

export interface WeighedPart {
  readonly ingredient: Ingredient;
  readonly massG: number;
  readonly form?: string;
}

/** Less than this of a thing no scale shows. */
const LEAST_G = 0.05;

/** @param toG the whole weighs so much, > 0; left out: as it comes. @param newId makes an id for each line */
export function weighedFormula(
  name: string,
  parts: readonly WeighedPart[],
  settings: Pick<Settings, 'spoons' | 'servingVolumeMl' | 'decimalSign'>,
  newId: () => string,
  toG?: number,
): Formula {
  const total = parts.reduce((sum, { massG }) => sum + massG, 0);
  const factor = toG === undefined || !(total > 0) ? 1 : toG / total;
  const additions = parts
    .filter(({ massG }) => massG * factor >= LEAST_G)
    .map(({ ingredient, massG, form = '' }, rank): Addition => {
      const is = massG * factor;
      const text = `${is.toFixed(is < 10 ? 1 : 0)} g`;
      return {
        id: newId() as AdditionId,
        amountText: settings.decimalSign === 'comma' ? text.replace('.', ',') : text,
        ...{ ingredientId: ingredient.id, ingredientText: ingredient.name, form, note: '' },
        ...{ optional: false, locked: false, measuredBy: null, stage: 0, rank },
        phase: ingredient.category === 'oil' ? 'oil' : 'base',
      };
    });
  const empty = emptyFormula(name, DEFAULT_VESSEL_ID, settings.spoons);
  return { ...empty, servingVolumeMl: settings.servingVolumeMl, additions };
}
