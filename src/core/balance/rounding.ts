/**
 * Rounding a plan to what can be measured, with as little harm to the palate as can be.
 *   loss = Σ_k min(3, |value − target| / step)² + (ln(V′/V) / 0.10)²
 * Three ways are tried and the best is given: each amount to its nearest (naive); a whole-number
 * program on the linearised loss (denominators fixed at the exact plan); and, from both, the best
 * change of one or two amounts again and again. Small plans are searched in full, and only those are
 * called proven.
 */
import { mixedVolumeMlPerG } from '#core/composition';
import type { Ingredient } from '#core/ingredient';
import { solveLinear, type LinearRow } from '#core/numeric';
import { PALATE, type PalateKey } from '#core/palate';
import type { SpoonSystem } from '#core/quantity';
import {
  dilutionCandidates,
  scaleCandidates,
  spoonCandidates,
  wholeCandidates,
  type Candidate,
  type WholeUnit,
} from './ladder';
import { measureRows, valueOf, type MeasureRow } from './program';

export type RoundTo =
  | { readonly kind: 'spoons'; readonly spoons: SpoonSystem }
  | { readonly kind: 'scale'; readonly readabilityG: number }
  /** The scale, and spoons or a dilution for what is too small for it. */
  | { readonly kind: 'mixed'; readonly readabilityG: number; readonly spoons: SpoonSystem };

export interface PlanLine {
  readonly ingredient: Ingredient;
  readonly form: string;
  readonly massG: number;
  /** Stays as it is: locked, or counted in whole things. */
  readonly kept: boolean;
  /** Counted in whole things, such as yolks; missing: it can be measured. */
  readonly whole?: WholeUnit;
  /** There is no more than this, g; missing: enough. */
  readonly mostG?: number;
}

export interface RoundedLine {
  readonly index: number;
  readonly massG: number;
  /** Null where the line was kept. */
  readonly text: string | null;
  readonly how: Candidate['how'];
  /** Mix one part in nine of this and weigh that instead: which line carries it. */
  readonly carrier: number | null;
}

export interface Damage {
  readonly measure: PalateKey;
  readonly before: number;
  readonly after: number;
  readonly steps: number;
}

export interface Rounding {
  readonly lines: readonly RoundedLine[];
  readonly loss: number;
  readonly naiveLoss: number;
  /** What moved by more than a tenth of a step, most first. */
  readonly damage: readonly Damage[];
  /** How much larger or smaller the whole gets, as a factor. */
  readonly volumeFactor: number;
  /** Every combination was tried. */
  readonly proven: boolean;
  /** How far the whole-number program was from its lower bound, 0..1; null where it was not needed. */
  readonly gap: number | null;
}

const MOST_ENUMERATED = 70_000;
const MOST_BRANCHES = 150;
const VOLUME_STEP = 0.1;
const FARTHEST = 3;
/** Below this many steps of the scale an amount cannot be weighed. */
const LEAST_SCALE_STEPS = 3;
const SALT_TOLERANCE = 0.1;
/** Further off than this an amount is another dressing, whatever the sums say; estimate. */
const TOLERANCE = 0.25;
const ONLY_NEAREST: ReadonlySet<string> = new Set(['herb', 'spice', 'aromatic', 'veg']);
const DILUTE_FROM = 0.1;

/** @param enoughLoss where a first search loses no more than this, nothing better is looked for */
export function roundPlan(plan: readonly PlanLine[], to: RoundTo, enoughLoss = 0): Rounding {
  const options = plan.map((line) => optionsFor(line, to, plan));
  const loss = new Loss(plan, options);
  const naive = options.map(() => 0);
  const naiveLoss = loss.at(naive);
  if (enoughLoss > 0) {
    const found = naiveLoss <= enoughLoss ? naive : loss.improve(naive);
    if (loss.at(found) <= enoughLoss) return loss.result(found, { naiveLoss, proven: false, gap: null });
  }
  const combinations = options.reduce((count, { length }) => count * length, 1);
  if (combinations <= MOST_ENUMERATED) {
    const best = loss.enumerate();
    return loss.result(best, { naiveLoss, proven: true, gap: null });
  }
  const program = wholeProgram(loss);
  const found = [naive, ...(program ? [program.choice] : [])].map((start) => loss.improve(start));
  const best = found.reduce((a, b) => (loss.at(b) < loss.at(a) ? b : a));
  return loss.result(best, { naiveLoss, proven: false, gap: program?.gap ?? null });
}

/** What an amount may become, nearest first. */
function optionsFor(line: PlanLine, to: RoundTo, plan: readonly PlanLine[]): readonly Candidate[] {
  const { massG, ingredient, kept, whole } = line;
  if (kept || massG <= 0) return [{ massG, text: '', how: 'kept' }];
  // Half an egg is no egg: how far off the nearest whole one is does not matter.
  if (whole) return nearestFirst(wholeCandidates(massG, whole), massG);
  const all = nearestFirst(candidatesFor(line, to, plan), massG);
  const inStock = all.filter((candidate) => candidate.massG <= (line.mostG ?? Infinity) * (1 + 1e-9));
  const found = inStock.length > 0 ? inStock : all;
  // No measure of the palate stands up for caraway or thyme: they stay as near as they can.
  if (ONLY_NEAREST.has(ingredient.category)) return found.slice(0, 1);
  const tolerance = ingredient.category === 'salt' ? SALT_TOLERANCE : TOLERANCE;
  const near = found.filter((candidate) => Math.abs(candidate.massG / massG - 1) <= tolerance);
  return near.length > 0 ? near : found.slice(0, 2);
}

function candidatesFor(
  { massG, ingredient }: PlanLine,
  to: RoundTo,
  plan: readonly PlanLine[],
): readonly Candidate[] {
  switch (to.kind) {
    case 'spoons':
      return spoonCandidates(massG, ingredient, to.spoons);
    case 'scale':
      return scaleCandidates(massG, to.readabilityG);
    case 'mixed': {
      if (massG >= LEAST_SCALE_STEPS * to.readabilityG) return scaleCandidates(massG, to.readabilityG);
      const spoons = spoonCandidates(massG, ingredient, to.spoons);
      const off = Math.min(...spoons.map((candidate) => Math.abs(candidate.massG / massG - 1)));
      if (off <= DILUTE_FROM || carrierOf(ingredient, massG, plan) === null) return spoons;
      return dilutionCandidates(massG, to.readabilityG);
    }
  }
}

const nearestFirst = (candidates: readonly Candidate[], massG: number): readonly Candidate[] =>
  [...candidates].sort((a, b) => Math.abs(Math.log(a.massG / massG)) - Math.abs(Math.log(b.massG / massG)));

/** What spreads evenly in a carrier; ground spices would sink. */
const DISSOLVES: ReadonlySet<string> = new Set(['salt', 'sweet', 'thickener']);

/** Gums go into oil, salt and sugar into the water side; there must be plenty of it. */
function carrierOf(ingredient: Ingredient, massG: number, plan: readonly PlanLine[]): number | null {
  if (!DISSOLVES.has(ingredient.category)) return null;
  const intoOil = ingredient.category === 'thickener';
  let best: number | null = null;
  plan.forEach((line, index) => {
    const { category } = line.ingredient;
    const suits = intoOil ? category === 'oil' : ['water', 'vinegar', 'citrus'].includes(category);
    if (suits && !line.kept && line.massG > 20 * massG && (best === null || line.massG > plan[best]!.massG))
      best = index;
  });
  return best;
}

/** The loss of a choice of candidates, quick to move by one line at a time. */
class Loss {
  private readonly rows: readonly MeasureRow[];
  readonly goals: readonly { readonly row: MeasureRow; readonly target: number; readonly d0: number }[];
  private readonly volumePerG: readonly number[];
  readonly volume0: number;

  constructor(
    private readonly plan: readonly PlanLine[],
    readonly options: readonly (readonly Candidate[])[],
  ) {
    this.rows = measureRows([], plan);
    this.volumePerG = plan.map(({ ingredient }) => mixedVolumeMlPerG(ingredient));
    this.volume0 = plan.reduce((ml, { massG }, i) => ml + massG * this.volumePerG[i]!, 0);
    this.goals = this.rows.flatMap((row) => {
      const [n0, d0] = totals(row, (i) => plan[i]!.massG);
      const target = valueOf({ ...row, n0, d0 });
      return target === null ? [] : [{ row, target, d0 }];
    });
  }

  massOf = (choice: readonly number[], i: number): number => this.options[i]![choice[i]!]!.massG;

  exactG = (line: number): number => this.plan[line]!.massG;
  volumeOf = (line: number): number => this.volumePerG[line]!;

  at(choice: readonly number[]): number {
    return this.ofTotals(this.totalsOf(choice));
  }

  /** N and D of every goal, then the volume. */
  private totalsOf(choice: readonly number[]): Float64Array {
    const sums = new Float64Array(2 * this.goals.length + 1);
    this.plan.forEach((_, i) => {
      this.add(sums, i, this.massOf(choice, i));
    });
    return sums;
  }

  private add(sums: Float64Array, i: number, massG: number): void {
    this.goals.forEach(({ row }, k) => {
      sums[2 * k]! += row.n[i]! * massG;
      sums[2 * k + 1]! += row.d[i]! * massG;
    });
    sums[sums.length - 1]! += this.volumePerG[i]! * massG;
  }

  private ofTotals(sums: Float64Array): number {
    let loss = (Math.log(sums[sums.length - 1]! / this.volume0) / VOLUME_STEP) ** 2;
    this.goals.forEach(({ row, target }, k) => {
      const d = sums[2 * k + 1]!;
      const steps = d > 0 ? Math.abs(sums[2 * k]! / d - target) / PALATE[row.key].step : FARTHEST;
      loss += Math.min(FARTHEST, steps) ** 2;
    });
    return loss;
  }

  enumerate(): readonly number[] {
    const choice = this.options.map(() => 0);
    let best = [...choice];
    let least = Infinity;
    const sums = new Float64Array(2 * this.goals.length + 1);
    const visit = (i: number): void => {
      if (i === this.options.length) {
        const loss = this.ofTotals(sums);
        if (loss < least - 1e-12) [least, best] = [loss, [...choice]];
        return;
      }
      this.options[i]!.forEach(({ massG }, c) => {
        choice[i] = c;
        this.add(sums, i, massG);
        visit(i + 1);
        this.add(sums, i, -massG);
      });
    };
    visit(0);
    return best;
  }

  /** Best change of one or two lines, until nothing helps. */
  improve(start: readonly number[]): readonly number[] {
    let choice = [...start];
    let least = this.at(choice);
    for (;;) {
      const base = this.totalsOf(choice);
      let better: { choice: number[]; loss: number } | null = null;
      const consider = (changes: readonly (readonly [number, number])[]): void => {
        const sums = Float64Array.from(base);
        for (const [i, c] of changes) this.add(sums, i, this.options[i]![c]!.massG - this.massOf(choice, i));
        const loss = this.ofTotals(sums);
        if (loss >= (better?.loss ?? least) - 1e-12) return;
        const next = [...choice];
        for (const [i, c] of changes) next[i] = c;
        better = { choice: next, loss };
      };
      const moves = this.options.flatMap((options, i) =>
        options.flatMap((_, c) => (c === choice[i] ? [] : [[i, c] as const])),
      );
      moves.forEach((first, index) => {
        consider([first]);
        for (const second of moves.slice(index + 1)) if (second[0] !== first[0]) consider([first, second]);
      });
      if (!better) return choice;
      const { choice: next, loss } = better as { choice: number[]; loss: number };
      [choice, least] = [next, loss];
    }
  }

  result(choice: readonly number[], about: Pick<Rounding, 'naiveLoss' | 'proven' | 'gap'>): Rounding {
    const sums = this.totalsOf(choice);
    const damage = this.goals
      .flatMap(({ row, target }, k): Damage[] => {
        const after = sums[2 * k + 1]! > 0 ? sums[2 * k]! / sums[2 * k + 1]! : 0;
        const steps = Math.abs(after - target) / PALATE[row.key].step;
        return steps > 0.1 ? [{ measure: row.key, before: target, after, steps }] : [];
      })
      .sort((a, b) => b.steps - a.steps);
    return {
      ...about,
      lines: choice.map((c, index): RoundedLine => {
        const { massG, text, how } = this.options[index]![c]!;
        const { ingredient } = this.plan[index]!;
        return {
          index,
          massG,
          text: how === 'kept' ? null : text,
          how,
          carrier: how === 'dilution' ? carrierOf(ingredient, massG, this.plan) : null,
        };
      }),
      loss: this.ofTotals(sums),
      damage,
      volumeFactor: sums[sums.length - 1]! / this.volume0,
    };
  }
}

const totals = (row: MeasureRow, massG: (i: number) => number): readonly [number, number] => [
  row.n.reduce((sum, n, i) => sum + n * massG(i), 0),
  row.d.reduce((sum, d, i) => sum + d * massG(i), 0),
];

/**
 * The linearised loss as a whole-number program: each line takes its neighbour below or above, one
 * binary each; deviations in steps, denominators as in the exact plan.
 */
function wholeProgram(loss: Loss): { choice: readonly number[]; gap: number } | null {
  const { options, goals, volume0 } = loss;
  const pairs = options.map((list, line) => neighbours(list, loss.exactG(line)));
  const width = pairs.length + 2 * (goals.length + 1);
  const row = (perG: (line: number) => number, goal: number, wanted: number): LinearRow => {
    // mass = below + z (above − below)
    const below = pairs.reduce((sum, [low], line) => sum + perG(line) * options[line]![low]!.massG, 0);
    const coefficients = Array.from({ length: width }, (_, i) => {
      const pair = pairs[i];
      return pair ? perG(i) * (options[i]![pair[1]]!.massG - options[i]![pair[0]]!.massG) : 0;
    });
    coefficients[pairs.length + 2 * goal] = -1;
    coefficients[pairs.length + 2 * goal + 1] = 1;
    return { coefficients, low: wanted - below, high: wanted - below };
  };
  const rows = [
    ...goals.map(({ row: measure, target, d0 }, k) => {
      const unit = d0 * PALATE[measure.key].step;
      return row((line) => (measure.n[line]! - target * measure.d[line]!) / unit, k, 0);
    }),
    row((line) => loss.volumeOf(line) / (volume0 * VOLUME_STEP), goals.length, 1 / VOLUME_STEP),
  ];
  const program = {
    objective: Array.from({ length: width }, (_, i) => (i < pairs.length ? 0 : 1)),
    rows,
    upper: Array.from({ length: width }, (_, i) => (i < pairs.length ? 1 : null)),
  };
  const root = solveLinear(program);
  const answer = solveLinear({ ...program, whole: pairs.map((_, i) => i), mostBranches: MOST_BRANCHES });
  if (root.status !== 'optimal' || !('values' in answer) || !answer.values) return null;
  const { values } = answer;
  const incumbent = answer.objective ?? 0;
  return {
    choice: pairs.map(([low, high], line) => (values[line]! > 0.5 ? high : low)),
    gap: incumbent > 1e-9 ? Math.max(0, (incumbent - root.objective) / incumbent) : 0,
  };
}

/** The nearest candidate below what is exact, and the nearest above; the same where there is but one. */
function neighbours(list: readonly Candidate[], massG: number): readonly [number, number] {
  const below = list.findIndex((candidate) => candidate.massG <= massG);
  const above = list.findIndex((candidate) => candidate.massG > massG);
  return [below < 0 ? above : below, above < 0 ? below : above];
}
