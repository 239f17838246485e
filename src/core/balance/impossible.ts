/**
 * Why a plan cannot be done by addition in this jar, and what could: a larger vessel, or replacing a
 * share of the batch. For a share f0 that has to fall to f* by additions of share s < f*:
 *   at least T (f0 − f*) / (f* − s) more, a lower bound, other windows may force more;
 *   in a room of y grams it reaches (f0 T + s y) / (T + y);
 *   replacing a fraction r of the batch: f* = f0 (1 − r) + s r.
 */
import type { PlanId } from './complaints';
import { mixedVolumeMlPerG } from '#core/composition';
import type { Category, Ingredient } from '#core/ingredient';
import { solveLinear } from '#core/numeric';
import { PALATE, type PalateKey } from '#core/palate';
import { limitRows } from './program';
import type { PlanSearch } from './planSearch';
import type { Dose } from './remedyRequest';

export interface Dilution {
  readonly measure: PalateKey;
  readonly now: number;
  readonly wanted: number;
  /** The thing that dilutes it best. */
  readonly by: Ingredient;
  /** The batch grows at least by this, as a share of its mass. */
  readonly growth: number;
  readonly growthMl: number;
  /** What the room in the jar reaches at best; null where the room is not limited. */
  readonly reachable: number | null;
  /** Set this share of the batch aside and fill up with `by` by weight. */
  readonly replaceFraction: number;
}

export interface Impossible {
  readonly status: 'impossible';
  readonly planId: PlanId;
  /** It can be done with more room: how much, and with what. */
  readonly moreRoom: { readonly volumeMl: number; readonly doses: readonly Dose[] } | null;
  readonly dilution: Dilution | null;
  /** What cannot be met together by these additions, whatever the room. */
  readonly inTheWay: readonly PalateKey[];
}

export function diagnose(search: PlanSearch): Impossible {
  const planId = search.spec.id;
  const everything = search.mayAdd.map((_, j) => j);
  const least = everything.length > 0 ? search.leastAddition(everything, search.limits, true) : null;
  const doses = (least ?? []).flatMap((massG, j) =>
    massG > 1e-6 * search.before.massG ? [{ mayAdd: search.mayAdd[j]!, massG }] : [],
  );
  const volumeMl = doses.reduce(
    (sum, { mayAdd, massG }) => sum + massG * mixedVolumeMlPerG(mayAdd.ingredient),
    0,
  );
  const blocking = least ? [] : inTheWay(search);
  const dilution = dilutionOf(search);
  return {
    status: 'impossible',
    planId,
    moreRoom: least ? { volumeMl, doses } : null,
    // Where something else blocks, more of it would not help.
    dilution: dilution && (least || blocking.includes(dilution.measure)) ? dilution : null,
    inTheWay: blocking,
  };
}

/** What a batch can be stretched with, likeliest first. */
const BULK: readonly Category[] = ['oil', 'water', 'creamy', 'citrus', 'vinegar'];

/** The measure that asks for the most dilution. */
function dilutionOf(search: PlanSearch): Dilution | null {
  const { massG, mixedVolumeMl } = search.before;
  let worst: Dilution | null = null;
  for (const row of search.rows) {
    const wanted = search.limits[row.key]?.high;
    const now = search.now(row.key);
    // Measures of the whole only: what dilutes a ratio is another question.
    if (wanted === undefined || now === null || now <= wanted || row.d.some((value) => value !== 1)) continue;
    let best = -1;
    row.n.forEach((value, j) => {
      const rank = BULK.indexOf(search.mayAdd[j]!.ingredient.category);
      if (rank < 0 || value >= wanted) return;
      const than = best < 0 ? Infinity : row.n[best]!;
      const likelier = best >= 0 && rank < BULK.indexOf(search.mayAdd[best]!.ingredient.category);
      if (value < than - 1e-9 || (value <= than + 1e-9 && likelier)) best = j;
    });
    if (best < 0) continue;
    const share = row.n[best]!;
    const by = search.mayAdd[best]!.ingredient;
    const growth = (now - wanted) / (wanted - share);
    if (worst && worst.growth >= growth) continue;
    const { roomMl } = search.request;
    const roomG = roomMl === null ? null : Math.max(0, roomMl) / mixedVolumeMlPerG(by);
    worst = {
      measure: row.key,
      now,
      wanted,
      by,
      growth,
      growthMl: growth * massG * mixedVolumeMlPerG(by),
      reachable: roomG === null ? null : (now * massG + share * roomG) / (massG + roomG),
      replaceFraction: (now - wanted) / (now - share),
    };
  }
  return worst && mixedVolumeMl > 0 ? worst : null;
}

/** The rows that stay broken when as little as possible is broken. */
function inTheWay(search: PlanSearch): readonly PalateKey[] {
  const count = search.mayAdd.length;
  const broken = search.rows.flatMap((row) =>
    limitRows([row], search.limits).map((limit) => ({ key: row.key, limit, d0: row.d0 })),
  );
  const outcome = solveLinear({
    objective: [
      ...search.mayAdd.map(() => 0),
      ...broken.map(({ key, d0 }) => 1 / (PALATE[key].step * Math.max(d0, 1e-6))),
    ],
    rows: broken.map(({ limit }, b) => ({
      ...limit,
      coefficients: [...limit.coefficients, ...broken.map((_, other) => (other === b ? -1 : 0))],
    })),
  });
  if (outcome.status !== 'optimal') return [];
  return [
    ...new Set(
      broken.flatMap(({ key, d0 }, b) =>
        outcome.values[count + b]! > 1e-6 * PALATE[key].step * Math.max(d0, 1e-6) ? [key] : [],
      ),
    ),
  ];
}
