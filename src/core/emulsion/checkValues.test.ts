/**
 * Values of an independent trial of the model, written before this one ran: 80 mm high, mixed at 20 °C. They hold the
 * implementation to the specification; whether the model is right the kitchen practice beside it says.
 */
import { describe, expect, it } from 'vitest';
import { hold } from './hold';
import { askPantry } from './testFixture';
import { THICKNESS_CLASSES, type ThicknessClass } from '#core/ingredient';

const V = '90 ml olive_ev, 30 ml vin_redwine6, 1.4 g salt_table';
const [R, P, C, S, H, X] = THICKNESS_CLASSES;
const [MIN, HOUR] = [60, 3600];
type Tool = 'shake' | 'whisk' | 'blender' | 'stick' | 'fork' | 'processor';
interface Row {
  readonly of: string;
  readonly with: Tool;
  readonly atC: number;
  readonly phi: number;
  /** 0: no oil was poured. */
  readonly dropUm: number;
  readonly yieldPa: number;
  readonly pas: number;
  readonly classes: readonly ThicknessClass[];
  /** Null: beyond 14 days. */
  readonly holdS: number | null;
  readonly first: 'watery' | 'oil' | null;
  readonly split?: true;
}
const row = (
  of: string,
  [tool, atC]: readonly [Tool, number],
  [phi, dropUm, yieldPa, pas]: readonly [number, number, number, number],
  classes: readonly ThicknessClass[],
  holdS: number | null,
  first: Row['first'],
  split?: true,
): Row => ({
  of,
  with: tool,
  atC,
  phi,
  dropUm,
  yieldPa,
  pas,
  classes,
  holdS,
  first,
  ...(split ? { split } : {}),
});

const ROWS: readonly Row[] = [
  row(V, ['shake', 21], [0.749, 192, 0, 0.023], [R], 74, 'watery'),
  row(V, ['blender', 21], [0.749, 21, 0, 0.037], [R], 44 * MIN, 'oil'),
  row(`${V}, 1.25 g mustard_dijon`, ['blender', 21], [0.743, 18, 0.88, 0.09], [P], 2.1 * HOUR, 'oil'),
  row(`${V}, 5 g mustard_dijon`, ['shake', 21], [0.726, 46, 0.12, 0.17], [P], 98 * MIN, 'watery'),
  row(`${V}, 5 g mustard_dijon`, ['whisk', 21], [0.726, 30, 0.39, 0.2], [P], 3.7 * HOUR, 'watery'),
  row(`${V}, 15 g mustard_dijon`, ['shake', 21], [0.686, 29, 1.4, 0.76], [C], 8 * HOUR, 'watery'),
  row(`${V}, 15 g mustard_dijon`, ['stick', 21], [0.686, 7, 1.4, 1.1], [C], 107 * HOUR, 'watery'),
  row(
    '60 ml olive_ev, 60 ml vin_redwine6, 1.4 g salt_table, 5 g mustard_dijon',
    ['shake', 21],
    [0.487, 67, 0.0024, 0.015],
    [R],
    12 * MIN,
    'watery',
  ),
  row(
    '17 g egg_yolk, 180 ml sunflower, 15 ml lemon_juice, 5 g mustard_dijon',
    ['whisk', 5],
    [0.837, 10, 76, 41],
    [H, X],
    null,
    null,
  ),
  row(
    '17 g egg_yolk, 420 ml sunflower, 5 ml lemon_juice',
    ['whisk', 21],
    [0.952, 250, 0, 0.093],
    [P],
    268,
    'oil',
    true,
  ),
  row('120 g mayo_full, 30 g water', ['whisk', 5], [0.629, 0, 7, 1.3], [S], 249 * HOUR, 'watery'),
  row('120 g mayo_full, 60 g water', ['whisk', 5], [0.528, 0, 0.85, 0.5], [C], 138 * HOUR, 'watery'),
  row('100 g mayo_full, 100 g water', ['whisk', 5], [0.399, 0, 0.03, 0.15], [P], 50.2 * HOUR, 'watery'),
  row('120 g mayo_full, 90 g buttermilk', ['whisk', 5], [0.465, 0, 0.17, 0.65], [C], 110 * HOUR, 'watery'),
  row('120 g yoghurt_whole, 100 g water', ['whisk', 5], [0.02, 0, 0.24, 0.088], [P], 7.4 * HOUR, 'watery'),
  row('150 g cream', ['fork', 5], [0.391, 0, 0, 0.13], [P], 50.7 * HOUR, 'watery'),
  row('60 g milk, 60 ml sunflower', ['shake', 21], [0.526, 62, 0, 0.011], [R], 23 * MIN, 'watery'),
  row(
    '70 g tahini, 30 ml lemon_juice, 35 g water',
    ['whisk', 5],
    [0.325, 0, 5.8, 0.68],
    [S],
    82.3 * HOUR,
    'watery',
  ),
  row(
    '70 g tahini, 40 ml lemon_juice, 75 g water',
    ['whisk', 5],
    [0.233, 0, 0.29, 0.16],
    [P],
    15.5 * HOUR,
    'watery',
  ),
  row('200 g avocado, 20 ml lime_juice', ['processor', 5], [0.151, 0, 140, 9.3], [X], 186 * HOUR, 'watery'),
];

const off = (value: number, expected: number): number => Math.abs(value / expected - 1);

describe('check values of the specification', () => {
  it.each(ROWS.map((one, i) => [i + 1, one] as const))('%i', (_number, one) => {
    const { state, medianS, firstLayer } = hold(askPantry(one.of, one.with, one.atC))!;
    const { phases, fresh, thickness, split } = state;
    expect(Math.abs(phases.oilVolumeFraction - one.phi)).toBeLessThan(0.006);
    if (one.dropUm === 0) expect(fresh).toBeNull();
    // Given to the micron.
    else expect(Math.abs(fresh!.diameterM * 1e6 - one.dropUm)).toBeLessThan(Math.max(0.5, 0.05 * one.dropUm));
    // Below a tenth of a pascal nothing is felt, and two figures of the trial are no figures.
    expect(Math.abs(thickness.yieldStressPa - one.yieldPa)).toBeLessThan(Math.max(0.04, 0.11 * one.yieldPa));
    expect(off(thickness.apparentViscosityPaS, one.pas)).toBeLessThan(0.1);
    expect(one.classes).toContain(thickness.class);
    expect(split).toBe(one.split ?? false);
    expect(firstLayer).toBe(one.first);
    if (one.holdS === null) expect(medianS).toBeNull();
    else expect(off(medianS!, one.holdS)).toBeLessThan(0.12);
  });
});
