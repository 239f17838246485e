import { describe, expect, it } from 'vitest';
import { partsInTime, SCRUB_STEPS, shareOf, timeAt } from './jarInTime';

const END_S = 14 * 86_400;

describe('the scrubber', () => {
  it('begins as it goes in, then just mixed, then runs on a logarithm to the end', () => {
    expect(timeAt(0, END_S)).toBeNull();
    expect(timeAt(1, END_S)).toBe(0);
    expect(timeAt(SCRUB_STEPS, END_S)).toBeCloseTo(END_S, 6);
    for (let step = 2; step < SCRUB_STEPS; step++)
      expect(timeAt(step + 1, END_S)!).toBeGreaterThan(timeAt(step, END_S)!);
  });
  it('marks a time where the thumb would show it', () => {
    for (const step of [10, 37, 64, 99])
      expect(shareOf(timeAt(step, END_S)!, END_S) * SCRUB_STEPS).toBeCloseTo(step, 6);
    expect(shareOf(1, END_S)).toBeCloseTo(1 / SCRUB_STEPS, 9);
    expect(shareOf(END_S * 5, END_S)).toBeCloseTo(1, 9);
  });
});

describe('the jar in time', () => {
  const layers = { serum: 0.2, cream: 0.3, free: 0.1 };
  it('stacks water, mixed, cream and oil; the whole stays the whole', () => {
    const parts = partsInTime(layers, 'water', 200);
    expect(parts.map(({ name }) => name)).toEqual(['watery', 'mixed', 'creamed', 'oil']);
    expect(parts.reduce((ml, { volumeMl }) => ml + volumeMl, 0)).toBeCloseTo(200, 6);
  });
  it('turned inside out, water lies below and the clear oil on top', () => {
    expect(partsInTime(layers, 'oil', 200).map(({ name }) => name)).toEqual([
      'watery',
      'settled',
      'mixed',
      'oil',
    ]);
  });
  it('draws no layer too thin to see, and never more cream than there is room', () => {
    expect(partsInTime({ serum: 0.001, cream: 0, free: 0 }, 'water', 200).map(({ name }) => name)).toEqual([
      'mixed',
    ]);
    const full = partsInTime({ serum: 0.4, cream: 0.9, free: 0.2 }, 'water', 100);
    expect(full.reduce((ml, { volumeMl }) => ml + volumeMl, 0)).toBeCloseTo(100, 6);
  });
});
