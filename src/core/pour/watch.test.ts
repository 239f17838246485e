import { describe, expect, it } from 'vitest';
import { stepOf, watchPours, type Pour } from '.';
import {
  FOUND_SHARE,
  FOUND_WITHIN,
  HELD_OUT,
  traceOf,
  TUNED,
  type Poured,
  type Trace,
  type TraceSetting,
} from './testing/traces';

const TRACES = 100;

/**
 * Every pour of the hand has at most one of the watch that overlaps it and comes to as much. Invented is what nothing
 * was poured for; what was found with another weight is missed.
 */
function compare({ poured, stepG }: Trace, found: readonly Pour[]): { missed: Poured[]; invented: Pour[] } {
  const left = [...found];
  const isOf = (one: Pour, { fromS, toS }: Poured): boolean => one.fromS <= toS + 1 && one.toS >= fromS - 1;
  const missed = poured.filter((truth) => {
    const within = Math.max(
      FOUND_WITHIN.massG,
      FOUND_WITHIN.share * truth.massG,
      stepG > 1 ? FOUND_WITHIN.steps * stepG : 0,
    );
    const at = left.findIndex((one) => isOf(one, truth) && Math.abs(one.massG - truth.massG) <= within);
    if (at >= 0) left.splice(at, 1);
    return at < 0;
  });
  return { missed, invented: left.filter((one) => !poured.some((truth) => isOf(one, truth))) };
}

describe('what a scale’s display says went in', () => {
  it(`is found in ${2 * TRACES} weighings, half of them with settings fixed before, and nothing is invented`, () => {
    let poured = 0;
    const missed: string[] = [];
    const invented: string[] = [];
    const look = (settings: readonly TraceSetting[], seed: number): void => {
      for (let i = 0; i < TRACES; i++) {
        const setting = settings[i % settings.length]!;
        const trace = traceOf(seed + i, setting);
        const result = compare(trace, watchPours(trace.readings, setting.stepG).pours);
        poured += trace.poured.length;
        const name = `${seed + i} (${setting.stepG} g, ${setting.perSecond}/s: ${trace.says})`;
        missed.push(...result.missed.map((one) => `${name}: ${JSON.stringify(one)}`));
        invented.push(...result.invented.map((one) => `${name}: ${JSON.stringify(one)}`));
      }
    };
    look(TUNED, 1000);
    look(HELD_OUT, 5000);
    expect(1 - missed.length / poured, missed.join('\n')).toBeGreaterThanOrEqual(FOUND_SHARE);
    expect(invented).toEqual([]);
  });

  it('tells what sort of pour it was', () => {
    const still = (fromS: number, toS: number, grams: number) =>
      Array.from({ length: (toS - fromS) * 10 }, (_, i) => ({ atS: fromS + i / 10, grams }));
    const display = [
      ...still(0, 3, 0),
      ...still(3, 6, 0.6),
      ...still(6, 9, 14.6),
      ...Array.from({ length: 40 }, (_, i) => ({ atS: 9 + i / 10, grams: Number((14.6 + i).toFixed(1)) })),
      ...still(13, 16, 54.6),
    ];
    const { pours, restsAtG, lifted } = watchPours(display, 0.1);
    expect(pours.map(({ kind }) => kind)).toEqual(['pinch', 'spoonful', 'stream']);
    expect(pours.map(({ massG }) => Number(massG.toFixed(1)))).toEqual([0.6, 14, 40]);
    expect(restsAtG).toBeCloseTo(54.6, 6);
    expect(lifted).toBe(false);
  });

  it('tells the step of a scale that nobody told of', () => {
    for (const setting of [...TUNED, ...HELD_OUT])
      expect(stepOf(traceOf(7, setting).readings)).toBeCloseTo(setting.stepG, 6);
    expect(stepOf([])).toBe(0.1);
  });

  it('says nothing of nothing, passes over what is no number, and refuses a scale of no step', () => {
    expect(watchPours([], 0.1).pours).toEqual([]);
    expect(watchPours([{ atS: 0, grams: Number.NaN }], 0.1)).toMatchObject({ pours: [], restsAtG: null });
    expect(() => watchPours([], 0)).toThrow(RangeError);
  });
});
