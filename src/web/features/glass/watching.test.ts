import { describe, expect, it } from 'vitest';
import { afterLook, OFF, type Look, type Watch } from './watching';

const between = {
  marks: {
    floor: [
      { x: 1, y: 9 },
      { x: 5, y: 9 },
    ],
    surface: [
      { x: 1, y: 1 },
      { x: 5, y: 1 },
    ],
  },
  around: { across: [], down: [] },
} as const;
const ON: Watch = { ...OFF, on: true, between, since: '2026-11-29T09:00:00.000Z' };

/** How it ends after so many looks, and at which. */
function course(...looks: readonly Look[]) {
  let watch = ON;
  for (const [i, look] of looks.entries()) {
    const after = afterLook(watch, look);
    if (after.ends) return { ends: after.ends, at: i + 1, watch: after.watch };
    watch = after.watch;
  }
  return { ends: null, at: looks.length, watch };
}

describe('a watched jar', () => {
  it('ends once a layer was seen twice in a row, and is off then', () => {
    expect(course(['mixed'], ['watery', 'creamed'], ['watery', 'creamed'])).toEqual({
      ends: 'layer',
      at: 3,
      watch: OFF,
    });
  });
  it('does not end by a shadow that passes, nor by foam', () => {
    const shadow: Look = ['watery', 'creamed'];
    expect(course(['mixed'], shadow, ['mixed'], shadow, ['mixed'])).toMatchObject({
      ends: null,
      watch: { times: 5, layersInARow: 0, last: ['mixed'] },
    });
    expect(course(['mixed', 'foam'], ['mixed', 'foam'], ['lying', 'mixed']).ends).toBeNull();
  });
  it('asks for the corners again once the picture lay otherwise twice in a row, and goes on from there', () => {
    const { ends, at, watch } = course(['mixed'], 'moved', 'moved');
    expect([ends, at]).toEqual(['turned', 3]);
    expect(watch).toMatchObject({ on: true, between: null, times: 1, since: ON.since });
  });
  it('takes a hand before the glass for nothing', () => {
    expect(course(['mixed'], 'moved', ['mixed'], 'moved', ['mixed'])).toMatchObject({
      ends: null,
      watch: { times: 3, movedInARow: 0, between },
    });
    // What was seen before and after it is the same layer.
    expect(course(['watery', 'creamed'], 'moved', ['watery', 'creamed']).ends).toBe('layer');
  });
});
