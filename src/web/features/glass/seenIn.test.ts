import { describe, expect, it } from 'vitest';
import type { GlassLayer } from '#core/glass';
import { isFarOutside, sightOf, withBorder } from './seenIn';

const layer = (kind: GlassLayer['kind'], from: number, to: number): GlassLayer => ({
  kind,
  from,
  to,
  doubt: [0, 0],
});
const seen = (layers: readonly GlassLayer[], seconds: number) => [{ seconds, seen: { layers } as never }];
const FOAMY = [layer('mixed', 0, 0.95), layer('foam', 0.95, 1)];
const PARTED = [layer('watery', 0, 0.3), layer('creamed', 0.3, 1)];

describe('what was measured', () => {
  // Said: 100 s within twice either way; far is 25 s and 400 s.
  it('is far outside where it came apart too early or stood too long; foam is no layer', () => {
    const hold = { medianS: 100, bandFactor: 2 };
    expect(isFarOutside(hold, seen(PARTED, 20))).toBe(true);
    expect(isFarOutside(hold, seen(PARTED, 30))).toBe(false);
    expect(isFarOutside(hold, seen(FOAMY, 20))).toBe(false);
    expect(isFarOutside(hold, seen(FOAMY, 500))).toBe(true);
    expect(isFarOutside(null, seen(PARTED, 20))).toBe(false);
  });

  it('is a look in the words of a look', () => {
    expect(sightOf(FOAMY)).toBe('fine');
    expect(sightOf(PARTED)).toBe('split');
    expect(sightOf([layer('watery', 0, 0.05), layer('creamed', 0.05, 1)])).toBe('thin-layer');
  });

  it('keeps a border that a hand moves between its neighbours', () => {
    expect(withBorder(PARTED, 1, 0.5).map(({ from, to }) => [from, to])).toEqual([
      [0, 0.5],
      [0.5, 1],
    ]);
    expect(withBorder(PARTED, 1, 9)[0]!.to).toBeLessThan(1);
  });
});
