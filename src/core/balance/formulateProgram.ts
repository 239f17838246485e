/** The linear program behind formulating: rows, slacks and prices, and what each would be in words. */
import { mixedVolumeMlPerG } from '#core/composition';
import { shadowPrices, type LinearProgram, type LinearRow } from '#core/numeric';
import { DEFINED_BY, PALATE, type PalateKey, type PalateWindow } from '#core/palate';
import { exactly } from '#core/quantity';
import type { JudgedPortion } from '#core/reckoning';
import type { FormulateRequest, Obstacle, OnHand } from './formulateRequest';
import { ceilingOf } from './ceilings';
import { doseG, measureRows, type MeasureRow } from './program';

const WINDOW_PRICE = 4;
const MIDDLE_PRICE = 0.02;
const TARGET_PRICE = 10;
/** A moved gram, so that a degenerate program does not wander. */
const GRAM_PRICE = 1e-4;

export interface FormulateProgram {
  readonly linear: LinearProgram;
  /** What each row, and then each upper limit, would be in words. */
  readonly meanings: readonly (Obstacle | null)[];
  /** How much of a row's own unit is worth a mention: a dose, a step. */
  readonly scales: readonly number[];
}

interface Row {
  readonly coefficients: ReadonlyMap<number, number>;
  readonly low?: number;
  readonly high?: number;
}
/** Collects rows with their slacks; a slack is a column of its own with a price. */
class ProgramRows {
  readonly linear: Row[] = [];
  readonly meanings: (Obstacle | null)[] = [];
  readonly scales: number[] = [];
  constructor(readonly objective: number[]) {}

  slack(price: number): number {
    return this.objective.push(price) - 1;
  }
  add(
    coefficients: readonly number[],
    slacks: readonly (readonly [number, number])[],
    bounds: { low?: number; high?: number },
    meaning: Obstacle | null,
    scale: number,
  ): void {
    this.linear.push({ coefficients: new Map([...coefficients.entries(), ...slacks]), ...bounds });
    this.meanings.push(meaning);
    this.scales.push(scale);
  }
}

export function programFor(
  { volumeMl, style, targets }: FormulateRequest,
  onHand: readonly OnHand[],
  middles: Readonly<Partial<Record<PalateKey, number>>>,
): FormulateProgram {
  // x = min + z, so that the solver's z ≥ 0.
  const base = onHand.map(({ ingredient, form = '', minG }): JudgedPortion => ({
    ingredient,
    form,
    massG: exactly(minG),
  }));
  const rows = new ProgramRows(onHand.map(() => GRAM_PRICE));
  const filled = base.reduce(
    (ml, { ingredient, massG }) => ml + massG.nominal * mixedVolumeMlPerG(ingredient),
    0,
  );
  const rest = Math.max(0, volumeMl - filled);
  rows.add(
    onHand.map(({ ingredient }) => mixedVolumeMlPerG(ingredient)),
    [],
    { low: rest, high: rest },
    null,
    1,
  );
  bindShares(rows, onHand, style?.id ?? null, volumeMl);
  const aimed = new Map(targets.map(({ measure, value }) => [measure, value]));
  for (const row of measureRows(
    base,
    onHand.map(({ ingredient, form = '' }) => ({ ingredient, form })),
  )) {
    const target = aimed.get(row.key);
    const window = style?.windows[row.key];
    if (target !== undefined) aimAt(rows, row, target, volumeMl);
    else if (window && !row.n.every((n, j) => n === 0 && row.d[j] === 0)) {
      keepInside(rows, row, window, volumeMl);
      drawToMiddle(rows, row, window, middles[row.key], volumeMl);
    }
  }
  return finished(rows, onHand, volumeMl);
}

const OF_THE_STOCK = 0.85;
/** Nothing beyond what a cook puts in, and at least so much of what makes the style; locked amounts are the cook's own. */
function bindShares(
  rows: ProgramRows,
  onHand: readonly OnHand[],
  styleId: string | null,
  volumeMl: number,
): void {
  const lockedG = onHand.reduce((sum, { minG }) => sum + minG, 0);
  onHand.forEach(({ ingredient, minG }, at) => {
    const most = ceilingOf(ingredient, styleId);
    if (most === null) return;
    rows.add(
      onHand.map((_, j) => (j === at ? 1 : 0) - most),
      [],
      { high: Math.max(0, most * lockedG - minG) },
      { kind: 'ceiling', ingredient },
      1,
    );
  });
  for (const { is, least: wanted } of DEFINED_BY[styleId ?? ''] ?? []) {
    const can = onHand.map(({ ingredient }) => is(ingredient));
    if (!can.includes(true)) continue;
    // Where stock is short, as much of it as there is.
    const thereG = onHand.reduce((sum, { maxG }, j) => sum + (can[j] ? (maxG ?? Infinity) : 0), 0);
    const least = Math.min(wanted, (OF_THE_STOCK * thereG) / volumeMl);
    const heldG = onHand.reduce((sum, { minG }, j) => sum + (can[j] ? minG : 0), 0);
    rows.add(
      onHand.map((_, j) => least - (can[j] ? 1 : 0)),
      [],
      { high: heldG - least * lockedG },
      { kind: 'defines', ingredient: onHand[can.indexOf(true)]!.ingredient },
      1,
    );
  }
}

/** A deviation from what was set, dear on both sides. */
function aimAt(rows: ProgramRows, row: MeasureRow, target: number, volumeMl: number): void {
  const { weight } = PALATE[row.key];
  const unit = unitOf(row, volumeMl);
  const [over, under] = [rows.slack(TARGET_PRICE * weight), rows.slack(TARGET_PRICE * weight)];
  rows.add(
    off(row, target),
    [
      [over, -unit],
      [under, unit],
    ],
    equal(row, target),
    { kind: 'target', measure: row.key },
    unit,
  );
}

function keepInside(rows: ProgramRows, row: MeasureRow, window: PalateWindow, volumeMl: number): void {
  const price = WINDOW_PRICE * PALATE[row.key].weight;
  const unit = unitOf(row, volumeMl);
  rows.add(
    off(row, window.high),
    [[rows.slack(price), -unit]],
    { high: equal(row, window.high).high },
    { kind: 'window', measure: row.key, end: 'high' },
    unit,
  );
  if (window.low > 0)
    rows.add(
      off(row, window.low),
      [[rows.slack(price), unit]],
      { low: equal(row, window.low).low },
      { kind: 'window', measure: row.key, end: 'low' },
      unit,
    );
}

/** @param moved where the middle was put instead */
function drawToMiddle(
  rows: ProgramRows,
  row: MeasureRow,
  window: PalateWindow,
  moved: number | undefined,
  volumeMl: number,
): void {
  const middle = moved ?? (window.low + window.high) / 2;
  const price = MIDDLE_PRICE * PALATE[row.key].weight * (moved === undefined ? 1 : MOVED_MIDDLE);
  const unit = unitOf(row, volumeMl);
  const over = rows.slack(price);
  // Less is fine where a window begins at nothing.
  if (window.low === 0 && moved === undefined)
    rows.add(off(row, middle), [[over, -unit]], { high: equal(row, middle).high }, null, unit);
  else
    rows.add(
      off(row, middle),
      [
        [over, -unit],
        [rows.slack(price), unit],
      ],
      equal(row, middle),
      null,
      unit,
    );
}

function finished(rows: ProgramRows, onHand: readonly OnHand[], volumeMl: number): FormulateProgram {
  const { objective, linear } = rows;
  const width = objective.length;
  const meanings = [...rows.meanings];
  const scales = [...rows.scales];
  for (const { ingredient, minG, maxG } of onHand) {
    if (maxG === null) continue;
    meanings.push({ kind: minG >= maxG ? 'locked' : 'stock', ingredient });
    scales.push(doseG(ingredient, volumeMl));
  }
  return {
    linear: {
      objective,
      rows: linear.map(({ coefficients, ...bounds }): LinearRow => ({
        ...bounds,
        coefficients: Array.from({ length: width }, (_, i) => coefficients.get(i) ?? 0),
      })),
      upper: [
        ...onHand.map(({ minG, maxG }) => (maxG === null ? null : Math.max(0, maxG - minG))),
        ...Array.from({ length: width - onHand.length }, () => null),
      ],
    },
    meanings,
    scales,
  };
}

const unitOf = ({ key }: MeasureRow, volumeMl: number): number =>
  PALATE[key].step * referenceD(key, volumeMl);
const MOVED_MIDDLE = 5;
const off = ({ n, d }: MeasureRow, value: number): readonly number[] => n.map((nj, j) => nj - value * d[j]!);
const equal = ({ n0, d0 }: MeasureRow, value: number): { low: number; high: number } => ({
  low: value * d0 - n0,
  high: value * d0 - n0,
});

function referenceD(key: PalateKey, volumeMl: number): number {
  if (key === 'ratio') return volumeMl / 4;
  return key === 'sugarToAcid' ? 0.015 * volumeMl : volumeMl;
}

const MOST_OBSTACLES = 3;

/** What stands in the way, dearest first, by the shadow prices. */
export function obstacles({ linear, meanings, scales }: FormulateProgram): readonly Obstacle[] {
  const prices = shadowPrices(linear) ?? [];
  return prices
    .map(({ low, high }, i) => ({ meaning: meanings[i], price: Math.max(low, high) * scales[i]! }))
    .filter(
      (entry): entry is { meaning: Obstacle; price: number } => Boolean(entry.meaning) && entry.price > 0.05,
    )
    .sort((a, b) => b.price - a.price)
    .slice(0, MOST_OBSTACLES)
    .map(({ meaning }) => meaning);
}
