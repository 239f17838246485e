import { describe, expect, it } from 'vitest';
import { bodyFromWord, THICKNESS_CLASSES, wordOfBody } from './body';
import { CATEGORIES } from './ingredient';

describe('how thick, in kitchen words', () => {
  it('a word sets a body, and the body is called by the word again', () => {
    for (const category of CATEGORIES)
      for (const word of THICKNESS_CLASSES)
        expect(wordOfBody(bodyFromWord(word, category)), category).toBe(word);
  });
  it('each word is thicker than the one before', () => {
    const bodies = THICKNESS_CLASSES.slice(1).map((word) => bodyFromWord(word, 'creamy'));
    for (const [i, body] of bodies.entries()) {
      if (i === 0) continue;
      expect(body.yieldStressPa).toBeGreaterThan(bodies[i - 1]!.yieldStressPa);
      expect(body.viscosityPaS).toBeGreaterThan(bodies[i - 1]!.viscosityPaS);
    }
    // Said to be runny, it is, whatever its kind usually is.
    expect(bodyFromWord('runny', 'creamy')).toMatchObject({ family: 'thin', yieldStressPa: 0 });
  });
});
