/** A cook's own measures: old entries by the one they were typed with, new ones by the newest of this cook. */
import type { MeasureRecord } from '#contract';
import { ownMeasureFrom, type Catalogue, type OwnMeasures } from '#core/ingredient';

export function ownMeasuresOf(
  records: readonly MeasureRecord[],
  cookId: string | null,
  catalogue: Catalogue,
): OwnMeasures {
  const byId = new Map(
    records.flatMap(({ weighings, ...record }) => {
      const measure = ownMeasureFrom(
        { ...record, weighingsG: weighings.map(({ massG }) => massG) },
        catalogue,
      );
      return measure ? [[record.id, measure] as const] : [];
    }),
  );
  return {
    byId,
    now: (unit, ingredientId) => {
      const own = newestMeasures(records, cookId).filter((record) => record.unit === unit);
      // Weighed with the very thing first; else the same hand with another.
      const found = own.find((record) => record.ingredientId === ingredientId) ?? own[0];
      return (found && byId.get(found.id)) ?? null;
    },
  };
}

/** What a cook measures with today, newest first: one for a word and a thing; what was given up is left out. */
export function newestMeasures(
  records: readonly MeasureRecord[],
  cookId: string | null,
): readonly MeasureRecord[] {
  const newest = new Map<string, MeasureRecord>();
  for (const record of records) {
    if (record.cookId === cookId) newest.set(`${record.unit} ${record.ingredientId}`, record);
  }
  return [...newest.values()].filter(({ weighings }) => weighings.length > 0).reverse();
}
