/** What this very dish has taught: by what was poured on and by what was said of the bowl. Weights: estimate. */
import { lastWords, rightShareOf, type DressedEntry } from '#core/service';

export interface DishLesson {
  /** Times what its things take by the table, 0.5..2. */
  readonly mlTimes: number;
  /** Times the salt that was aimed at, 0.5..1. */
  readonly saltTimes: number;
  /** So many bowls it was learnt from. */
  readonly bowls: number;
  /** Of these, so many were too salty. */
  readonly tooSalty: number;
}

/** So many bowls of its own count as much as the table. */
const PRIOR_WEIGHT = 3;
const MOST_TIMES = 2;
/** A bowl that was too salty wanted so much of its salt. */
const LESS_SALT = 0.75;

const within = (times: number): number => Math.min(MOST_TIMES, Math.max(1 / MOST_TIMES, times));

/** The mean of the logarithms, drawn towards 1 by the table's weight. */
export function lessonOfDish(dishId: string, entries: readonly DressedEntry[]): DishLesson {
  const own = lastWords(entries.filter((entry) => entry.dishId === dishId));
  const shrunk = (logs: readonly number[]): number =>
    Math.exp(logs.reduce((sum, log) => sum + log, 0) / (PRIOR_WEIGHT + logs.length));
  const amounts = own.flatMap(({ ml, tableMl, verdict }) =>
    tableMl !== null && tableMl > 0 && ml > 0
      ? [Math.log(within((ml / tableMl) * rightShareOf(verdict)))]
      : [],
  );
  const salts = own.flatMap(({ verdict }) =>
    verdict === 'too-salty' ? [Math.log(LESS_SALT)] : verdict === null ? [] : [0],
  );
  return {
    mlTimes: within(shrunk(amounts)),
    saltTimes: Math.max(1 / MOST_TIMES, shrunk(salts)),
    bowls: own.length,
    tooSalty: own.filter(({ verdict }) => verdict === 'too-salty').length,
  };
}
