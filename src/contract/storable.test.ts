import fc from 'fast-check';
import { expect, it } from 'vitest';
import { storable, storableText } from './storable';

it('leaves no NUL and no half of a pair, and whole pairs as they are', () => {
  expect(storableText('oil\u0000 & \uD83E\uDED2')).toBe('oil & \uD83E\uDED2');
  expect(storableText('\uD83E cut, cut \uDED2')).toBe('\uFFFD cut, cut \uFFFD');
  fc.assert(
    fc.property(fc.string({ unit: 'binary' }), (text) => {
      const kept = storableText(text);
      expect(kept).not.toContain('\u0000');
      // UTF-8 is what a database keeps: there and back it is the same.
      expect(Buffer.from(kept, 'utf8').toString('utf8')).toBe(kept);
      expect(storableText(kept)).toBe(kept);
    }),
  );
});

it('goes all through a value, and copies nothing that needs no repair', () => {
  fc.assert(
    fc.property(fc.jsonValue(), (value) => {
      const kept = storable(value);
      expect(JSON.stringify(kept)).not.toContain('\\u0000');
      if (!/\\u0000|\\ud[89a-f]/i.test(JSON.stringify(value) ?? '')) expect(kept).toBe(value);
    }),
  );
  expect(storable({ 'a\u0000': ['x\u0000', { b: 'y' }] })).toEqual({ a: ['x', { b: 'y' }] });
});
