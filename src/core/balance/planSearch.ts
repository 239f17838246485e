/**
 * One plan of a complaint: its rows, its subsets, its answers. Every subset of up to three things that
 * may go in is a linear program
 *   min Σ y_j / dose_j + 1 per ingredient,  rows of ./program, Σ v_j y_j ≤ room, y_j ≤ stock_j
 * and the best subset is then centred: total ≤ 1.05 of the least + 0.5 g per 100 g, min Σ |N − c D| /
 * (step D0), because the first answer parks measures on the edge of a window.
 */
import { mixedVolumeMlPerG } from '#core/composition';
import type { Ingredient } from '#core/ingredient';
import { scaledRow, solveLinear, type LinearRow } from '#core/numeric';
import { PALATE, type PalateKey, type PalatePortion } from '#core/palate';
import { exactly } from '#core/quantity';
import type { JudgedPortion } from '#core/reckoning';
import type { PlanSpec } from './complaints';
import type { Dose, Remedy, RemedyRequest } from './remedyRequest';
import { subsetsOf } from './subsets';
import { inHand, reachedOf, type Handed } from './inHand';
import { enoughG } from './tooFar';
import { effectOf, lessAcidThanAllowed, type State } from './effect';
import { burdenOf, reachOf } from './burden';
import { underCeilings } from './underCeilings';
import { centreOf } from './centre';
import {
  doseG,
  keepWithin,
  limitRows,
  measureRows,
  valueOf,
  type Limits,
  type MayAdd,
  type MeasureRow,
} from './program';
import type { Work } from './steps';

const MOST_INGREDIENTS = 3;
const MOST_CUTS = 5;
const ACID_CUT = 1.1;
/** Centring may add this much beyond the least. */
const CENTRING = { factor: 1.05, per100G: 0.5 };
/** Below this share of a dose a line is numerical dust. */
const DUST = 1e-4;

/** One plan: its rows, its subsets, its answers. */
export class PlanSearch {
  readonly mayAdd: readonly MayAdd[];
  readonly rows: readonly MeasureRow[];
  readonly limits: Limits;
  /** Nothing has to be added for it. */
  alreadyMet = false;

  constructor(
    readonly request: RemedyRequest,
    readonly before: State,
    readonly spec: PlanSpec,
    readonly targets: Limits,
    mayAdd: readonly MayAdd[],
  ) {
    this.mayAdd = request.allowAll
      ? mayAdd
      : underCeilings(mayAdd, request.portions, request.style?.id ?? null);
    this.rows = measureRows(request.portions, this.mayAdd);
    this.limits = this.withTargets(this.notMuchMore(keepWithin(this.rows, request.style?.windows ?? {})));
  }

  /** What mends one taste must not bring another: it rises by no more than a taster notices. */
  private notMuchMore(kept: Limits): Limits {
    if (this.request.complaint === 'into-band') return kept;
    const limits: Partial<Record<PalateKey, Limits[PalateKey]>> = { ...kept };
    for (const key of TASTES) {
      const now = this.now(key);
      if (now === null || this.targets[key]) continue;
      const most = now + PALATE[key].step;
      limits[key] = { ...limits[key], high: Math.min(limits[key]?.high ?? Infinity, most) };
    }
    return limits;
  }

  *run(start: number, share: number): Work<readonly Remedy[]> {
    let limits = this.limits;
    for (let cut = 0; cut <= MOST_CUTS; cut++) {
      const found = yield* this.solveSubsets(limits, start, share);
      const kept = found.filter(({ effect }) => !lessAcidThanAllowed(effect));
      if (kept.length > 0) return this.distinct(kept);
      if (found.length === 0) return [];
      const acid = found[0]!.effect.palate.acid.value ?? 0;
      limits = { ...limits, acid: { ...limits.acid, low: acid * ACID_CUT } };
    }
    return [];
  }

  /** The taster wins: the complained measure may leave its window on the other side. */
  private withTargets(kept: Limits): Limits {
    const limits: Partial<Record<PalateKey, Limits[PalateKey]>> = { ...kept };
    for (const key of Object.keys(this.targets) as PalateKey[]) {
      const { low, high } = this.targets[key]!;
      const window = kept[key];
      limits[key] = {
        ...((low ?? window?.low) === undefined
          ? {}
          : { low: low ?? Math.min(window!.low!, (high ?? Infinity) * TASTER_LEEWAY) }),
        ...((high ?? window?.high) === undefined
          ? {}
          : { high: high ?? Math.max(window!.high!, (low ?? 0) / TASTER_LEEWAY) }),
      };
    }
    return limits;
  }

  private *solveSubsets(limits: Limits, start: number, share: number): Work<readonly Remedy[]> {
    const subsets = subsetsOf(this.mayAdd.length, MOST_INGREDIENTS);
    const found: { used: readonly number[]; y: readonly number[]; cost: number }[] = [];
    const seen = new Set<string>();
    for (const [index, subset] of subsets.entries()) {
      if (index % PROGRESS_EVERY === 0) yield { done: start + (share * index) / subsets.length, total: 1 };
      const y = this.leastAddition(subset, limits);
      if (!y) continue;
      const used = subset.filter(
        (j, i) => y[i]! > DUST * doseG(this.mayAdd[j]!.ingredient, this.before.massG),
      );
      const key = used.join();
      // A larger subset that leaves a member out is the smaller one over again.
      if (used.length === 0) {
        this.alreadyMet = true;
        return [];
      }
      if (seen.has(key)) continue;
      seen.add(key);
      const cost = used.reduce(
        (sum, j) =>
          sum +
          reachOf(this.mayAdd[j]!) +
          y[subset.indexOf(j)]! / doseG(this.mayAdd[j]!.ingredient, this.before.massG),
        0,
      );
      found.push({ used, y: used.map((j) => y[subset.indexOf(j)]!), cost });
    }
    found.sort(
      (a, b) =>
        a.cost - b.cost ||
        a.used.length - b.used.length ||
        this.names(a.used).localeCompare(this.names(b.used)),
    );
    // Of answers that lean on the same thing only the least is worth working out.
    const leading = new Map<string, (typeof found)[number]>();
    for (const entry of found) {
      const main = kindOf(this.mayAdd[mostOf(entry.used, entry.y)]!.ingredient);
      if (!leading.has(main)) leading.set(main, entry);
    }
    return [...leading.values()]
      .slice(0, this.spec.answers + SPARE)
      .flatMap(({ used, y, cost }) => this.remedyFor(used, this.centred(used, y, limits) ?? y, cost) ?? []);
  }

  private names(used: readonly number[]): string {
    return used.map((j) => this.mayAdd[j]!.ingredient.name).join();
  }

  /** Stage one: the least that does it; null where these few cannot. */
  leastAddition(subset: readonly number[], limits: Limits, unlimited = false): readonly number[] | null {
    const rows = this.hardRows(subset, limits, unlimited);
    if (rows.some(hopeless)) return null;
    const outcome = solveLinear({
      objective: subset.map((j) => 1 / doseG(this.mayAdd[j]!.ingredient, this.before.massG)),
      rows,
      scaled: true,
      upper: subset.map((j) => (unlimited ? null : this.mayAdd[j]!.stockG)),
    });
    return outcome.status === 'optimal' ? outcome.values : null;
  }

  /** Windows, targets and room as scaled rows over a few of what may go in. */
  hardRows(subset: readonly number[], limits: Limits, unlimited = false): readonly LinearRow[] {
    const rows: LinearRow[] = [];
    for (const { row, isRoom } of this.allRows(limits)) {
      if (isRoom && unlimited) continue;
      const coefficients: number[] = [];
      for (const j of subset) coefficients.push(row.coefficients[j]!);
      rows.push({ ...row, coefficients });
    }
    return rows;
  }

  /** Σ v y ≤ room over everything that may go in; null where there is no limit. */
  roomRow(): LinearRow | null {
    const { roomMl } = this.request;
    if (roomMl === null) return null;
    return {
      coefficients: this.mayAdd.map(({ ingredient }) => mixedVolumeMlPerG(ingredient)),
      high: Math.max(0, roomMl),
    };
  }

  private readonly known = new Map<
    Limits,
    readonly { readonly row: LinearRow; readonly isRoom: boolean }[]
  >();

  /** The rows over everything that may go in: each subset takes its columns from them. */
  private allRows(limits: Limits): readonly { readonly row: LinearRow; readonly isRoom: boolean }[] {
    let all = this.known.get(limits);
    if (!all) {
      const room = this.roomRow();
      all = [
        ...limitRows(this.rows, limits).map((row) => ({ row, isRoom: false })),
        ...(room ? [{ row: room, isRoom: true }] : []),
      ].map(({ row, isRoom }) => ({ row: scaledRow(row), isRoom }));
      this.known.set(limits, all);
    }
    return all;
  }

  private rowsOf(subset: readonly number[]): readonly MeasureRow[] {
    return this.rows.map((row) => ({
      ...row,
      n: subset.map((j) => row.n[j]!),
      d: subset.map((j) => row.d[j]!),
    }));
  }

  /** Stage two: hardly more, but in the middle of the windows. */
  private centred(
    used: readonly number[],
    least: readonly number[],
    limits: Limits,
  ): readonly number[] | null {
    const rows = this.rowsOf(used);
    const goals = rows.flatMap((row) => {
      const window = this.request.style?.windows[row.key];
      const centre = window && centreOf(window, limits[row.key]);
      return centre && row.d0 > 1e-9 ? [{ row, ...centre }] : [];
    });
    if (goals.length === 0) return null;
    const width = used.length + 2 * goals.length;
    const wide = (coefficients: readonly number[]): number[] => [
      ...coefficients,
      ...Array.from({ length: width - used.length }, () => 0),
    ];
    const total = least.reduce((sum, y) => sum + y, 0);
    const slack = (CENTRING.per100G * this.before.massG) / 100;
    const outcome = solveLinear({
      objective: wide(used.map(() => 0)).map((_, i) => (i < used.length ? 0 : 1)),
      rows: [
        ...this.hardRows(used, limits).map((row) => ({ ...row, coefficients: wide(row.coefficients) })),
        { coefficients: wide(used.map(() => 1)), high: CENTRING.factor * total + slack },
        ...goals.map(({ row, value, oneSided }, g): LinearRow => {
          const coefficients = wide(row.n.map((n, j) => n - value * row.d[j]!));
          const scale = PALATE[row.key].step * row.d0;
          coefficients[used.length + 2 * g] = -scale;
          if (!oneSided) coefficients[used.length + 2 * g + 1] = scale;
          const bound = value * row.d0 - row.n0;
          return oneSided ? { coefficients, high: bound } : { coefficients, low: bound, high: bound };
        }),
      ],
      upper: [
        ...used.map((j) => this.mayAdd[j]!.stockG),
        ...Array.from({ length: 2 * goals.length }, () => null),
      ],
    });
    return outcome.status === 'optimal' ? outcome.values.slice(0, used.length) : null;
  }

  /** The answer as a hand does it; null where no gestures of these few come near. */
  remedyFor(used: readonly number[], y: readonly number[], cost: number): Remedy | null {
    const exact = used
      .map((column, i) => ({ column, mayAdd: this.mayAdd[column]!, massG: y[i]! }))
      .filter(({ mayAdd, massG }) => massG > DUST * doseG(mayAdd.ingredient, this.before.massG));
    const { rows, limits, targets } = this;
    const handed = inHand(exact, { rows, limits, targets, roomMl: this.request.roomMl });
    return handed && handed.length > 0 ? this.remedyOf(handed, cost) : null;
  }

  /** What these gestures do, and where each is too much. */
  remedyOf(handed: readonly Handed[], cost?: number): Remedy {
    const masses = new Map(handed.map(({ mayAdd, massG }) => [this.mayAdd.indexOf(mayAdd), massG]));
    const windows = this.request.style?.windows ?? {};
    const asked = { rows: this.rows, targets: this.targets, windows, masses };
    const doses = handed
      .map(({ mayAdd, massG, gesture }): Dose => {
        const enough = gesture ? enoughG(this.mayAdd.indexOf(mayAdd), asked) : undefined;
        return {
          mayAdd,
          massG,
          ...(gesture ? { gesture } : {}),
          ...(enough === undefined ? {} : { enoughG: enough }),
        };
      })
      .sort((a, b) => b.massG - a.massG);
    const effect = effectOf(this.before, withDoses(this.request.portions, doses), this.request.style);
    return {
      status: 'possible',
      planId: this.spec.id,
      doses,
      effect,
      burden: (cost ?? this.costOf(doses)) + burdenOf(this.about(), doses, effect),
    };
  }

  private about(): Parameters<typeof burdenOf>[0] {
    const { before, request, targets, spec } = this;
    return {
      before,
      targets,
      style: request.style,
      wholeBand: request.complaint === 'into-band',
      forBody: spec.body !== undefined,
      jarCost: request.jarCost ?? null,
    };
  }

  /** Kitchen steps of what goes in, and one for each thing. */
  private costOf(doses: readonly Dose[]): number {
    return doses.reduce(
      (sum, { mayAdd, massG }) => sum + reachOf(mayAdd) + massG / doseG(mayAdd.ingredient, this.before.massG),
      0,
    );
  }

  /** How much of what was asked is reached, 0..1: the least of all. */
  reached({ doses }: Pick<Remedy, 'doses'>): number {
    const masses = new Map(doses.map(({ mayAdd, massG }) => [this.mayAdd.indexOf(mayAdd), massG]));
    return reachedOf(this.rows, this.targets, masses);
  }

  /** The best of each kind: answers that lean on the same thing are one answer. */
  private distinct(found: readonly Remedy[]): readonly Remedy[] {
    const kept: Remedy[] = [];
    for (const remedy of ranked(found)) {
      const main = remedy.doses[0] && kindOf(remedy.doses[0].mayAdd.ingredient);
      if (main && kept.every(({ doses }) => kindOf(doses[0]!.mayAdd.ingredient) !== main)) kept.push(remedy);
      if (kept.length === this.spec.answers) break;
    }
    return kept;
  }

  now(key: PalateKey): number | null {
    const row = this.rows.find((candidate) => candidate.key === key);
    return row ? valueOf(row) : null;
  }
}

const PROGRESS_EVERY = 12;
/** Worked out beyond what is asked for, in case some are sent back. */
const SPARE = 2;
const TASTER_LEEWAY = 0.9;

/** No amount of these can turn a row that asks for less into one that holds. */
const hopeless = ({ coefficients, high, low }: LinearRow): boolean =>
  (high !== undefined && high < 0 && coefficients.every((c) => c >= 0)) ||
  (low !== undefined && low > 0 && coefficients.every((c) => c <= 0));

/** Of which most goes in. */
const mostOf = (used: readonly number[], y: readonly number[]): number =>
  used.reduce((most, j, i) => (y[i]! > y[used.indexOf(most)]! ? j : most), used[0]!);

/** Two oils or two salts make one answer; two acids taste different. */
const kindOf = ({ category, id }: Ingredient): string => (['oil', 'salt'].includes(category) ? category : id);

const TASTES = ['acid', 'salt', 'sweet'] as const;

export const ranked = (remedies: readonly Remedy[]): readonly Remedy[] =>
  [...remedies].sort((a, b) => a.burden - b.burden || a.doses.length - b.doses.length);

/** The dressing with the doses in it: more of what is there, and what is new. Nothing is lowered. */
export function withDoses(
  portions: readonly JudgedPortion[],
  doses: readonly Dose[],
): readonly JudgedPortion[] {
  const added: PalatePortion[] = doses.map(({ mayAdd: { ingredient, form }, massG }) => ({
    ingredient,
    form,
    massG: exactly(massG),
  }));
  return [...portions, ...added];
}
