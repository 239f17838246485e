import { describe, expect, it } from 'vitest';
import { REFERENCE_INGREDIENTS } from '#core/ingredient';
import { inSentence } from './numbers';

describe('a name inside a sentence', () => {
  it('begins small, but for what is named after a place', () => {
    expect(['Red wine vinegar 6 %', 'Dijon-type mustard', 'Greek yoghurt', 'Limes'].map(inSentence)).toEqual([
      ...['red wine vinegar 6 %', 'Dijon-type mustard', 'Greek yoghurt', 'limes'],
    ]);
  });
  it('changes no other letter, of no thing in the pantry', () => {
    for (const { name } of REFERENCE_INGREDIENTS) expect(inSentence(name).slice(1), name).toBe(name.slice(1));
  });
});
