/** The linear program behind formulating: rows, slacks and prices, and what each would be in words. */
import { mixedVolumeMlPerG } from '#core/composition';
import { shadowPrices, type LinearProgram, type LinearRow } from '#core/numeric';
import { PALATE, type PalateKey } from '#core/palate';
import { exactly } from '#core/quantity';
import type { JudgedPortion } from '#core/reckoning';
import type { FormulateRequest, Obstacle, OnHand } from './formulateRequest';
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
  const rows = measureRows(
    base,
    onHand.map(({ ingredient, form = '' }) => ({ ingredient, form })),
  );
  const count = onHand.length;
  const objective: number[] = onHand.map(() => GRAM_PRICE);
  const linear: { coefficients: Map<number, number>; low?: number; high?: number }[] = [];
  const meanings: (Obstacle | null)[] = [];
  const scales: number[] = [];
  const slack = (price: number): number => objective.push(price) - 1;
  const add = (
    coefficients: readonly number[],
    slacks: readonly (readonly [number, number])[],
    bounds: { low?: number; high?: number },
    meaning: Obstacle | null,
    scale: number,
  ): void => {
    linear.push({ coefficients: new Map([...coefficients.entries(), ...slacks]), ...bounds });
    meanings.push(meaning);
    scales.push(scale);
  };
  const filled = base.reduce(
    (ml, { ingredient, massG }) => ml + massG.nominal * mixedVolumeMlPerG(ingredient),
    0,
  );
  const rest = Math.max(0, volumeMl - filled);
  add(
    onHand.map(({ ingredient }) => mixedVolumeMlPerG(ingredient)),
    [],
    { low: rest, high: rest },
    null,
    1,
  );
  const aimed = new Map(targets.map(({ measure, value }) => [measure, value]));
  for (const row of rows) {
    const { step, weight } = PALATE[row.key];
    const unit = step * referenceD(row.key, volumeMl);
    const target = aimed.get(row.key);
    const window = style?.windows[row.key];
    if (target !== undefined) {
      const [over, under] = [slack(TARGET_PRICE * weight), slack(TARGET_PRICE * weight)];
      const meaning: Obstacle = { kind: 'target', measure: row.key };
      add(
        off(row, target),
        [
          [over, -unit],
          [under, unit],
        ],
        equal(row, target),
        meaning,
        unit,
      );
      continue;
    }
    if (!window || row.n.every((n, j) => n === 0 && row.d[j] === 0)) continue;
    const high = slack(WINDOW_PRICE * weight);
    add(
      off(row, window.high),
      [[high, -unit]],
      { high: equal(row, window.high).high },
      { kind: 'window', measure: row.key, end: 'high' },
      unit,
    );
    if (window.low > 0) {
      const low = slack(WINDOW_PRICE * weight);
      add(
        off(row, window.low),
        [[low, unit]],
        { low: equal(row, window.low).low },
        { kind: 'window', measure: row.key, end: 'low' },
        unit,
      );
    }
    const moved = middles[row.key];
    const middle = moved ?? (window.low + window.high) / 2;
    const price = MIDDLE_PRICE * weight * (moved === undefined ? 1 : MOVED_MIDDLE);
    // Less is fine where a window begins at nothing.
    const oneSided = window.low === 0 && moved === undefined;
    const over = slack(price);
    if (oneSided) add(off(row, middle), [[over, -unit]], { high: equal(row, middle).high }, null, unit);
    else
      add(
        off(row, middle),
        [
          [over, -unit],
          [slack(price), unit],
        ],
        equal(row, middle),
        null,
        unit,
      );
  }
  const width = objective.length;
  const upper = [
    ...onHand.map(({ minG, maxG }) => (maxG === null ? null : Math.max(0, maxG - minG))),
    ...Array.from({ length: width - count }, () => null),
  ];
  onHand.forEach(({ ingredient, minG, maxG }) => {
    if (maxG === null) return;
    meanings.push({ kind: minG >= maxG ? 'locked' : 'stock', ingredient });
    scales.push(doseG(ingredient, volumeMl));
  });
  return {
    linear: {
      objective,
      rows: linear.map(({ coefficients, ...bounds }): LinearRow => ({
        ...bounds,
        coefficients: Array.from({ length: width }, (_, i) => coefficients.get(i) ?? 0),
      })),
      upper,
    },
    meanings,
    scales,
  };
}

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
