/**
 * Part of the way: where no addition brings every measure in, the one that leaves least outside. Each
 * limit may be broken by a slack that costs its weight a step; of all subsets of up to three
 *   min Σ w_k slack_k / (step_k D0_k) + EFFORT (Σ y_j / dose_j + 1 per ingredient)
 */
import { solveLinear, type LinearRow } from '#core/numeric';
import { PALATE } from '#core/palate';
import { doseG, limitRows } from './program';
import { type PlanSearch } from './planSearch';
import { subsetsOf } from './subsets';
import type { Work } from './steps';

/** A kitchen step is worth taking for a twentieth of what a taster notices. */
const EFFORT = 0.05;
/** It must mend at least this share of what is outside to be worth offering. */
const LEAST_GAIN = 0.25;
const MOST_INGREDIENTS = 3;
const PROGRESS_EVERY = 12;

export interface Nearest {
  readonly used: readonly number[];
  readonly y: readonly number[];
  readonly cost: number;
}

export function* nearest(search: PlanSearch, start: number, share: number): Work<Nearest | null> {
  const { mayAdd, before, rows, limits } = search;
  const soft = rows.flatMap((row) =>
    limitRows([row], limits).map((limit) => {
      return { limit, price: PALATE[row.key].weight / (PALATE[row.key].step * Math.max(row.d0, 1e-6)) };
    }),
  );
  // What is outside as it stands: rows whose right side is below nothing.
  const now = soft.reduce((sum, { limit, price }) => sum + price * Math.max(0, -(limit.high ?? 0)), 0);
  if (now <= 0) return null;
  const room = search.roomRow();
  let best: (Nearest & { outside: number }) | null = null;
  const subsets = subsetsOf(mayAdd.length, MOST_INGREDIENTS);
  for (const [index, subset] of subsets.entries()) {
    if (index % PROGRESS_EVERY === 0) yield { done: start + (share * index) / subsets.length, total: 1 };
    const slackless = (row: LinearRow, slack: number | null): LinearRow => ({
      ...row,
      coefficients: [
        ...subset.map((j) => row.coefficients[j]!),
        ...soft.map((_, i) => (i === slack ? -1 : 0)),
      ],
    });
    const effort = subset.map((j) => EFFORT / doseG(mayAdd[j]!.ingredient, before.massG));
    const outcome = solveLinear({
      objective: [...effort, ...soft.map(({ price }) => price)],
      rows: [...soft.map(({ limit }, i) => slackless(limit, i)), ...(room ? [slackless(room, null)] : [])],
      upper: [...subset.map((j) => mayAdd[j]!.stockG), ...soft.map(() => null)],
    });
    if (outcome.status !== 'optimal') continue;
    const y = outcome.values.slice(0, subset.length);
    const outside = soft.reduce((sum, { price }, i) => sum + price * outcome.values[subset.length + i]!, 0);
    const cost = outside + EFFORT * subset.length + effort.reduce((sum, price, i) => sum + price * y[i]!, 0);
    if (!best || cost < best.cost - 1e-9) best = { used: subset, y, cost, outside };
  }
  return best && best.outside <= now * (1 - LEAST_GAIN) ? best : null;
}
