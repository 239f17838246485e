/** Season and price as this kitchen has them: its stock, a dressing to be made so much of, and the change as a draft. */
import type { ShelfRecord } from '#contract';
import { costPerGram } from '#core/composition';
import type { Addition, AdditionId, Formula } from '#core/formula';
import { isNamedAfter, type Catalogue, type IngredientId } from '#core/ingredient';
import type { Style } from '#core/palate';
import { judgeFormula, reckonFormula } from '#core/reckoning';
import type { SeasonRequest, SeasonWay, Stock } from '#core/season';
import { lockedIn } from '#kitchen/edits';
import { contextFor, packPriceOf, vesselOf, type Kitchen, type Pantry } from '#kitchen/reading';

/** What is on hand or in the dressings, with today's prices. */
export function stockForSeason(
  { pantry, catalogue }: Pick<Kitchen, 'pantry' | 'catalogue'>,
  mustGo: ReadonlySet<string>,
): ReadonlyMap<IngredientId, Stock> {
  const packOf = packPriceOf(pantry);
  return new Map(
    (Object.keys(pantry) as IngredientId[]).flatMap((id) => {
      const ingredient = catalogue.get(id);
      if (!ingredient) return [];
      const { onHandG } = pantry[id]!;
      return [[id, { onHandG, pricePerG: costPerGram(ingredient, packOf), mustGo: mustGo.has(id) }] as const];
    }),
  );
}

/** On hand, and to be used within so many days, soonest first; what is past its day is not used up but thrown away. */
export function mustGoSoon(pantry: Pantry, catalogue: Catalogue, today: string, until: string) {
  return Object.entries(pantry)
    .flatMap(([id, { onHandG, bottle }]) => {
      const ingredient = catalogue.get(id as IngredientId);
      const { useBy } = bottle;
      if (!ingredient || useBy === null || !(onHandG !== null && onHandG > 0)) return [];
      return useBy >= today && useBy <= until ? [{ ingredient, onHandG, useBy }] : [];
    })
    .sort((a, b) => a.useBy.localeCompare(b.useBy));
}

export interface SeasonJob {
  readonly record: ShelfRecord;
  readonly ml: number;
  readonly request: Omit<SeasonRequest, 'catalogue' | 'stock'>;
}

/** Null where nothing of it can be read. @param ml to be made, > 0 */
export function seasonJob(
  record: ShelfRecord,
  ml: number,
  kitchen: Kitchen,
  styleFor: (formula: Formula, portions: SeasonRequest['portions']) => Style | null,
): SeasonJob | null {
  const { formula } = record;
  const reckoning = reckonFormula(formula, vesselOf(formula, kitchen.vessels), contextFor(formula, kitchen));
  const volumeMl = reckoning.totals.mixedVolumeMl;
  if (!(volumeMl > 0)) return null;
  const { portions } = judgeFormula(reckoning);
  const style = styleFor(formula, portions);
  const calledAfter = new Set(
    portions.flatMap(({ ingredient }) =>
      isNamedAfter(formula.name, ingredient, kitchen.catalogue) ? [ingredient.id] : [],
    ),
  );
  const request = { portions, style, locked: lockedIn(formula), calledAfter, times: ml / volumeMl };
  return { record, ml, request };
}

/** The formula with these amounts: what stands in it already keeps its line, its form and its stage. */
export function inSeason(
  formula: Formula,
  kitchen: Kitchen,
  way: SeasonWay,
  name: string,
  newId: () => string,
): Formula {
  const { additions } = reckonFormula(
    formula,
    vesselOf(formula, kitchen.vessels),
    contextFor(formula, kitchen),
  );
  const before = new Map<string, number>();
  for (const { reading, counted } of additions)
    if (counted && reading.status === 'read')
      before.set(reading.ingredient.id, (before.get(reading.ingredient.id) ?? 0) + reading.massG.nominal);
  const after = new Map<string, number>();
  for (const { ingredient, massG } of way.portions)
    after.set(ingredient.id, (after.get(ingredient.id) ?? 0) + massG.nominal);
  const say = (massG: number): string => {
    const text = `${massG.toFixed(massG < 10 ? 1 : 0)} g`;
    return kitchen.settings.decimalSign === 'comma' ? text.replace('.', ',') : text;
  };
  const kept = additions.flatMap(({ addition, reading, counted }): Addition[] => {
    if (!counted || reading.status !== 'read') return [{ ...addition, id: newId() as AdditionId }];
    const { id } = reading.ingredient;
    const factor = (after.get(id) ?? 0) / (before.get(id) ?? 1);
    const massG = reading.massG.nominal * factor;
    if (massG < LEAST_G) return [];
    const same = Math.abs(factor - 1) < SAME;
    return [{ ...addition, id: newId() as AdditionId, ...(same ? {} : { amountText: say(massG) }) }];
  });
  const fresh = way.portions.flatMap(({ ingredient, form, massG }): Addition[] => {
    if (before.has(ingredient.id) || massG.nominal < LEAST_G) return [];
    const instead = way.changes.find(({ to }) => to.id === ingredient.id)?.from.id;
    const stage = additions.find(({ addition }) => addition.ingredientId === instead)?.addition.stage ?? 0;
    return [
      {
        id: newId() as AdditionId,
        amountText: say(massG.nominal),
        ...{ ingredientId: ingredient.id, ingredientText: ingredient.name, form, note: '', stage },
        ...{ optional: false, locked: false, measuredBy: null, rank: 0 },
        phase: ingredient.category === 'oil' ? 'oil' : 'base',
      },
    ];
  });
  // Oil comes last, as ever.
  const oilFrom = kept.findIndex(({ phase }) => phase === 'oil');
  const at = oilFrom < 0 ? kept.length : oilFrom;
  const early = fresh.filter(({ phase }) => phase !== 'oil');
  const late = fresh.filter(({ phase }) => phase === 'oil');
  const lines = [...kept.slice(0, at), ...early, ...kept.slice(at), ...late];
  return { ...formula, name, additions: lines.map((line, rank) => ({ ...line, rank })) };
}
/** Less than this of a thing no scale shows. */
const LEAST_G = 0.05;
/** A two-hundredth more or less leaves a line as the cook typed it. */
const SAME = 0.005;
