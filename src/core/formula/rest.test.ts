import { describe, expect, it } from 'vitest';
import { restOf } from './rest';

describe('a rest in the words of a line', () => {
  it.each([
    ['leave it ten minutes', 600],
    ['minced, left 10 minutes in the vinegar', 600],
    ['let it stand for half an hour', 1800],
    ['soaked for 15-20 min', 900],
    ['steeped overnight', 8 * 3600],
    ['let that sit a couple of hours', 7200],
    ['Leave to macerate for a quarter of an hour.', 900],
    ['rested 1.5 hours', 5400],
  ])('“%s” is %d s', (text, seconds) => {
    expect(restOf(text)?.seconds).toBe(seconds);
  });

  it.each([
    'whisk for two minutes',
    'whisked in a stand mixer for two minutes',
    'leave out the salt',
    '10 minutes',
    'left whole',
    'left for 0 minutes',
    'let it stand 90 hours',
  ])('“%s” is none', (text) => {
    expect(restOf(text)).toBeNull();
  });
});
