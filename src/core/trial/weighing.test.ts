import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { heldStill, inWindow, pouringRate, takeable, weighingWindow, type ScaleReading } from '.';

const run = (...grams: readonly number[]): ScaleReading[] =>
  grams.map((netG, i) => ({ status: 'ok', atMs: i * 100, netG }));
const still = (netG: number, seconds: number): ScaleReading[] =>
  run(...Array.from({ length: seconds * 10 + 1 }, () => netG));

describe('the window', () => {
  it('is a fortieth either way, one step of the scale at least', () => {
    expect(weighingWindow(21, 0.1)).toMatchObject({ weighable: true });
    expect(weighingWindow(21, 0.1).lowG).toBeCloseTo(20.475, 9);
    expect(weighingWindow(2, 0.1)).toMatchObject({ lowG: 1.9, highG: 2.1 });
    expect(() => weighingWindow(0, 0.1)).toThrow(RangeError);
  });
  it('below three steps of the scale nothing is weighed: by the spoon', () => {
    expect(weighingWindow(2.7, 1).weighable).toBe(false);
    expect(weighingWindow(3, 1).weighable).toBe(true);
  });
});

describe('a reading is taken by itself', () => {
  const window = weighingWindow(21, 0.1);
  it('once it has held still inside the window for a second', () => {
    expect(heldStill(still(20.9, 0.9), window, 0.1)).toBeNull();
    expect(heldStill(still(20.9, 1), window, 0.1)).toBe(20.9);
    expect(
      heldStill(
        [...run(2, 9, 15), ...still(20.8, 1.2).map((r) => ({ ...r, atMs: r.atMs + 300 }))],
        window,
        0.1,
      ),
    ).toBe(20.8);
  });
  it('not while it moves, outside, across a gap, in overload or unplugged', () => {
    expect(
      heldStill(run(20.5, 20.6, 20.7, 20.8, 20.9, 21, 21.1, 21.2, 21.3, 21.4, 21.5), window, 0.1),
    ).toBeNull();
    expect(heldStill(still(17.6, 3), window, 0.1)).toBeNull();
    const gap: ScaleReading[] = [
      { status: 'ok', atMs: 0, netG: 21 },
      { status: 'ok', atMs: 1500, netG: 21 },
    ];
    expect(heldStill(gap, window, 0.1)).toBeNull();
    for (const status of ['overload', 'unplugged'] as const) {
      expect(heldStill([...still(21, 2), { status, atMs: 2100 }], window, 0.1)).toBeNull();
      expect(heldStill([{ status, atMs: -100 }, ...still(21, 0.5)], window, 0.1)).toBeNull();
    }
    expect(heldStill([], window, 0.1)).toBeNull();
  });
  it('whatever is taken lies inside the window', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 15, max: 26, noNaN: true }), { minLength: 1, maxLength: 40 }),
        (grams) => {
          const taken = heldStill(run(...grams), window, 0.1);
          if (taken !== null) expect(inWindow(taken, window)).toBe(true);
        },
      ),
    );
  });
});

describe('what may be taken by hand', () => {
  it('is a fresh number above nothing', () => {
    expect(takeable({ status: 'ok', atMs: 0, netG: 17.6 }, 500)).toBe(17.6);
    expect(takeable({ status: 'ok', atMs: 0, netG: 17.6 }, 5000)).toBeNull();
    expect(takeable({ status: 'ok', atMs: 0, netG: -3 }, 0)).toBeNull();
    expect(takeable({ status: 'overload', atMs: 0 }, 0)).toBeNull();
    expect(takeable(null, 0)).toBeNull();
  });
});

describe('the rate', () => {
  it('is that of the last second or so', () => {
    expect(pouringRate(run(0, 0.5, 1, 1.5, 2, 2.5, 3))).toBeCloseTo(5, 9);
    expect(pouringRate(still(12, 2))).toBe(0);
    expect(pouringRate(run(5))).toBeNull();
    expect(pouringRate([...still(12, 2), { status: 'unplugged', atMs: 2100 }])).toBeNull();
    expect(pouringRate(run(300, 200, 100, 50, 10, 0))).toBe(0);
  });
});
