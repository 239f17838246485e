import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { inPieces, joined } from './pieces';

/** Spreadsheets take 32,767 signs in a cell (common practice). */
const CELL = 32_767;

describe('long texts in cells', () => {
  it('fit their cells and come together again', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 200 }), fc.integer({ min: 0, max: 700 }), (text, times) => {
        const long = text.repeat(times);
        const pieces = inPieces(long);
        expect(pieces.length).toBeGreaterThan(0);
        for (const piece of pieces) expect(piece.length).toBeLessThanOrEqual(CELL);
        expect(pieces.join('')).toBe(long);
      }),
      { numRuns: 60 },
    );
  });

  it('never cut a sign in two, so that they survive a file', () => {
    for (const lead of ['', 'x']) {
      const text = lead + '🫒'.repeat(40_000);
      const written = inPieces(text).map((piece) => Buffer.from(piece, 'utf8').toString('utf8'));
      expect(written.join('')).toBe(text);
    }
  });

  it('are put together by their key, in the order of the rows', () => {
    const rows = [
      { key: 'b', piece: 'one ' },
      { key: 'a', piece: 'x' },
      { key: 'b', piece: 'two' },
      { key: 'a', piece: '' },
    ];
    expect([...joined(rows)]).toEqual([
      ['b', 'one two'],
      ['a', 'x'],
    ]);
    expect(joined([]).size).toBe(0);
    expect(inPieces('')).toEqual(['']);
  });
});
