/**
 * A day worked backwards: every task as late as its service, its followers, one pair of hands a cook and the
 * tools allow. Tasks are placed one after the other from the end (serial schedule generation, backwards);
 * over all orders that is known to contain the schedule that begins latest, so small days are tried in
 * full; larger ones by good orders and swaps.
 */

import { Lanes, type Busy, type Crew } from './lanes';

export interface Task {
  readonly id: string;
  /** ≥ 0, s. */
  readonly seconds: number;
  /** Needs a pair of hands; waiting does not. */
  readonly handsOn: boolean;
  /** One of its kind can be used at once; null: none. */
  readonly tool: string | null;
  /** Tasks that must have ended. */
  readonly after: readonly string[];
  /** Ended by then, s; null: only its followers say. */
  readonly dueS: number | null;
  /** A cook put it there, s: not later and not earlier. */
  readonly pinnedS?: number;
}

export interface Placed<T extends Task = Task> {
  readonly task: T;
  readonly startS: number;
  readonly endS: number;
  /** From 0; null: nobody stands by it. */
  readonly cook: number | null;
}

export type Schedule =
  | {
      readonly status: 'scheduled';
      /** By their start. */
      readonly placed: readonly Placed[];
      /** Every order was tried: nothing begins later. */
      readonly proven: boolean;
    }
  | { readonly status: 'circle'; readonly ids: readonly string[] }
  | { readonly status: 'no-end'; readonly ids: readonly string[] };

/** So many orders are tried in full: some tasks in any order, or a few chains of them. */
const MOST_ORDERS = 800;
const MOST_SWAPS = 400;
const LEAST_SWAPS = 20;
/** A swap costs by the square of the tasks: swaps × tasks² is kept, so that the page answers at once. */
const swapsFor = (tasks: number): number =>
  Math.min(MOST_SWAPS, Math.max(LEAST_SWAPS, Math.round(60_000 / (tasks * tasks))));
const EPS = 1e-6;

/**
 * @param effort `quick`: one good order, where many days are compared
 * @throws RangeError where there is no cook
 */
export function scheduleBackwards(
  tasks: readonly Task[],
  crew: Crew,
  effort: 'usual' | 'quick' = 'usual',
): Schedule {
  if (!(crew.cooks >= 1)) throw new RangeError('A day needs a cook at least.');
  const day = new Day(tasks, crew);
  const ring = day.circle();
  if (ring.length > 0) return { status: 'circle', ids: ring };
  const endless = day.endless();
  if (endless.length > 0) return { status: 'no-end', ids: endless };
  if (effort === 'quick') return done(day.inUsualOrder(), false);
  const best = day.bestOfAll();
  if (best) return done(best, true);
  return done(day.improved(day.usualOrder()), false);
}

const done = (placed: readonly Placed[], proven: boolean): Schedule => ({
  status: 'scheduled',
  proven,
  placed: [...placed].sort((a, b) => a.startS - b.startS || a.endS - b.endS),
});

class Day {
  private readonly followers: ReadonlyMap<string, readonly Task[]>;

  constructor(
    private readonly tasks: readonly Task[],
    private readonly crew: Crew,
  ) {
    const followers = new Map<string, Task[]>();
    for (const task of tasks)
      for (const id of task.after) followers.set(id, [...(followers.get(id) ?? []), task]);
    this.followers = followers;
  }

  private followersOf = ({ id }: Task): readonly Task[] => this.followers.get(id) ?? [];

  /** Ids that wait for each other; empty: none do. */
  circle(): readonly string[] {
    const left = new Set(this.tasks.map(({ id }) => id));
    for (let before = -1; before !== left.size;) {
      before = left.size;
      for (const task of this.tasks) {
        if (left.has(task.id) && this.followersOf(task).every(({ id }) => !left.has(id)))
          left.delete(task.id);
      }
    }
    return [...left];
  }

  /** Without a due time of their own or of a follower nothing says when. */
  endless(): readonly string[] {
    return this.tasks
      .filter(
        (task) => task.dueS === null && task.pinnedS === undefined && this.followersOf(task).length === 0,
      )
      .map(({ id }) => id);
  }

  /** The last first: by when they have to have ended, hands and tools aside. */
  usualOrder(): readonly Task[] {
    const latest = new Map<string, number>();
    const of = (task: Task): number => {
      const known = latest.get(task.id);
      if (known !== undefined) return known;
      const ends = this.followersOf(task).map((next) => of(next) - next.seconds);
      const end = Math.min(task.dueS ?? Infinity, ...ends);
      latest.set(task.id, end);
      return end;
    };
    const ordered = [...this.tasks].sort(
      (a, b) => of(b) - of(a) || b.seconds - a.seconds || a.id.localeCompare(b.id),
    );
    return this.feasible(ordered);
  }

  /** The same order as far as followers allow: each comes before what it waits for. */
  private feasible(order: readonly Task[]): readonly Task[] {
    const result: Task[] = [];
    const taken = new Set<string>();
    while (result.length < order.length) {
      const next = order.find(
        (task) => !taken.has(task.id) && this.followersOf(task).every(({ id }) => taken.has(id)),
      )!;
      taken.add(next.id);
      result.push(next);
    }
    return result;
  }

  /** Every order that followers allow; null where there are too many to try. */
  private allOrders(): readonly (readonly Task[])[] | null {
    const orders: Task[][] = [];
    const order: Task[] = [];
    const taken = new Set<string>();
    const visit = (): void => {
      if (orders.length > MOST_ORDERS) return;
      if (order.length === this.tasks.length) {
        orders.push([...order]);
        return;
      }
      for (const task of this.tasks) {
        if (taken.has(task.id) || !this.followersOf(task).every(({ id }) => taken.has(id))) continue;
        taken.add(task.id);
        order.push(task);
        visit();
        order.pop();
        taken.delete(task.id);
      }
    };
    visit();
    return orders.length > MOST_ORDERS ? null : orders;
  }

  /** Null where not every order can be tried. */
  bestOfAll(): readonly Placed[] | null {
    const orders = this.allOrders();
    if (!orders) return null;
    let best: readonly Placed[] = [];
    for (const order of orders) {
      const placed = this.place(order);
      if (best.length === 0 || isLater(placed, best)) best = placed;
    }
    return best;
  }

  inUsualOrder(): readonly Placed[] {
    return this.place(this.usualOrder());
  }

  improved(start: readonly Task[]): readonly Placed[] {
    const most = swapsFor(this.tasks.length);
    let order = start;
    let best = this.place(order);
    let swaps = 0;
    for (let better = true; better && swaps < most;) {
      better = false;
      for (let i = 0; i + 1 < order.length && swaps < most; i++) {
        for (let j = i + 1; j < Math.min(order.length, i + 4) && swaps < most; j++) {
          const swapped = [...order];
          [swapped[i], swapped[j]] = [swapped[j]!, swapped[i]!];
          const tried = this.feasible(swapped);
          swaps += 1;
          const placed = this.place(tried);
          if (!isLater(placed, best)) continue;
          [order, best, better] = [tried, placed, true];
        }
      }
    }
    return best;
  }

  /** @param order followers before what they wait for */
  private place(order: readonly Task[]): readonly Placed[] {
    const placed = new Map<string, Placed>();
    const lanes = new Lanes(this.crew);
    // What a cook has put somewhere stands there first.
    const all = [
      ...order.filter(({ pinnedS }) => pinnedS !== undefined),
      ...order.filter(({ pinnedS }) => pinnedS === undefined),
    ];
    for (const task of all) {
      const starts = this.followersOf(task).flatMap(({ id }) => placed.get(id)?.startS ?? []);
      const latest = Math.min(task.dueS ?? Infinity, ...starts);
      const wanted = task.pinnedS === undefined ? latest : task.pinnedS + task.seconds;
      const options = lanes.for(task).map((option) => ({
        ...option,
        endS:
          task.pinnedS === undefined
            ? latestFree([...option.hand, ...option.lane], wanted, task.seconds)
            : wanted,
      }));
      const { hand, lane, cook, endS } = options.reduce((a, b) => (b.endS > a.endS + EPS ? b : a));
      const interval = { startS: endS - task.seconds, endS };
      if (task.handsOn) hand.push(interval);
      if (task.tool !== null) lane.push(interval);
      placed.set(task.id, { task, ...interval, cook: task.handsOn ? cook : null });
    }
    return [...placed.values()];
  }
}

/** The latest end not after `wanted` at which nothing busy is touched. */
function latestFree(busy: readonly Busy[], wanted: number, seconds: number): number {
  if (seconds <= 0) return wanted;
  let end = wanted;
  for (;;) {
    const hit = busy.find((lane) => lane.startS < end - EPS && lane.endS > end - seconds + EPS);
    if (!hit) return end;
    end = hit.startS;
  }
}

/** Begins later; else its tasks on the whole do. */
function isLater(a: readonly Placed[], b: readonly Placed[]): boolean {
  const first = (all: readonly Placed[]): number => Math.min(...all.map(({ startS }) => startS));
  const sum = (all: readonly Placed[]): number => all.reduce((total, { startS }) => total + startS, 0);
  const [mine, theirs] = [first(a), first(b)];
  return mine > theirs + EPS || (Math.abs(mine - theirs) <= EPS && sum(a) > sum(b) + EPS);
}
