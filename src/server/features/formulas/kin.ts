/** Bases and endings: which formulas one is made with, and which are made with it, as they are worked on. */
import { sql } from 'drizzle-orm';
import type { Kin, KinAnswer } from '#contract';
import type { FormulaId } from '#core/formula';
import { madeId, readMadeId, type IngredientId } from '#core/ingredient';
import { found, type Database } from '../../db/client';
import { likeText } from '../../db/likeText';

type Reader = Pick<Database, 'select' | 'execute'>;
interface Pinning {
  readonly id: FormulaId;
  readonly name: string;
  readonly pins: readonly IngredientId[];
}

export async function kinOf(db: Reader, id: FormulaId): Promise<KinAnswer | null> {
  const [own] = await found<Pinning>(
    db,
    sql`select id, content->>'name' as name, pins from formulas where id = ${id}`,
  );
  if (!own) return null;
  // An id may hold what an id of another begins with: the exact one is told by reading it.
  const beginning = `${likeText(madeId(id, 0).slice(0, -1))}%`;
  const pinning = await found<Pinning>(
    db,
    sql`select id, content->>'name' as name, pins from formulas
        where shelf <> 'bin' and exists (
          select 1 from jsonb_array_elements_text(pins) pin where pin like ${beginning})
        order by lower(content->>'name'), id`,
  );
  const versionsOf = (all: Pinning['pins'], of: string): readonly number[] =>
    all.flatMap((pin) => {
      const made = readMadeId(pin);
      return made?.formulaId === of ? [made.version] : [];
    });
  const bases = [...new Set(own.pins.flatMap((pin) => readMadeId(pin)?.formulaId ?? []))];
  const known = await latestOf(db, [id, ...bases]);
  const kin = (of: string, formulaId: FormulaId, name: string, pins: Pinning['pins']): readonly Kin[] => {
    const numbers = versionsOf(pins, of);
    return numbers.length === 0
      ? []
      : [{ formulaId, name, number: Math.min(...numbers), latest: known.get(of)?.latest ?? 0 }];
  };
  return {
    bases: bases.flatMap((base) => kin(base, base as FormulaId, known.get(base)?.name ?? base, own.pins)),
    endings: pinning.flatMap((one) => kin(id, one.id, one.name, one.pins)),
  };
}

async function latestOf(
  db: Reader,
  ids: readonly string[],
): Promise<ReadonlyMap<string, { readonly name: string; readonly latest: number }>> {
  const rows = await found<{ id: string; name: string; latest: number }>(
    db,
    sql`select f.id, f.content->>'name' as name,
               coalesce((select max(v.number) from versions v where v.formula_id = f.id), 0) as latest
        from formulas f where f.id in (${sql.join(
          ids.map((one) => sql`${one}`),
          sql`, `,
        )})`,
  );
  return new Map(rows.map((row) => [row.id, row]));
}
