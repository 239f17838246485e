/**
 * When a dressing is at its best, as cooks say it: the ranges stood here before the model was run on them.
 * Common practice throughout; each range is from min to max minutes after it is made.
 */
import { describe, expect, it } from 'vitest';
import { judgedLines } from '../reckoning/testing';
import { ripeningOf } from './ripening';

const H = 60;
const DAY = 24 * H;
interface Said {
  readonly what: string;
  readonly lines: readonly string[];
  readonly from: readonly [number, number];
  readonly to: readonly [number, number];
}
const OIL = '90 g olive oil';
const SAID: readonly Said[] = [
  {
    what: 'oil, vinegar, mustard and salt: a quarter of an hour, then for days',
    lines: ['30 g red wine vinegar', '5 g dijon mustard', '2 g salt', OIL],
    from: [5, 45],
    to: [4 * DAY, 30 * DAY],
  },
  {
    what: 'dried oregano swells for half an hour to an hour',
    lines: ['30 g red wine vinegar', '1 g dried oregano', '2 g salt', OIL],
    from: [20, 90],
    to: [3 * DAY, 30 * DAY],
  },
  {
    what: 'shallot wants its quarter of an hour in the vinegar, and is gone in a few days',
    lines: ['30 g sherry vinegar', '15 g shallot, finely chopped', '2 g salt', OIL],
    from: [10, 60],
    to: [1 * DAY, 5 * DAY],
  },
  {
    what: 'basil is for the same meal',
    lines: ['25 g lemon juice', '12 g basil, chopped', '2 g salt', OIL],
    from: [0, 20],
    to: [1 * H, 6 * H],
  },
  {
    what: 'mint in yoghurt is for the same day',
    lines: ['200 g yoghurt', '10 g mint, chopped', '10 g lemon juice', '2 g salt'],
    from: [0, 30],
    to: [2 * H, 12 * H],
  },
  {
    what: 'crushed garlic mellows a little in acid and is harsh after a day or two',
    lines: ['30 g white wine vinegar', '4 g garlic, crushed', '2 g salt', OIL],
    from: [5, 45],
    to: [10 * H, 2.5 * DAY],
  },
  {
    what: 'a whole clove gives slowly, and is taken out within a day',
    lines: ['30 g white wine vinegar', '4 g garlic, whole, bruised', '2 g salt', OIL],
    from: [45, 6 * H],
    to: [8 * H, 2 * DAY],
  },
  {
    what: 'a clove taken out after an hour stops there',
    lines: ['30 g white wine vinegar', '4 g garlic, bruised, left one hour and taken out', '2 g salt', OIL],
    from: [15, 90],
    to: [2 * DAY, 30 * DAY],
  },
  {
    what: 'lemon and oil is best the day it is made',
    lines: ['30 g lemon juice', '2 g salt', OIL],
    from: [0, 30],
    to: [6 * H, 36 * H],
  },
  {
    what: 'buttermilk, dried dill, onion and garlic powder: an hour at least, a night is fine',
    lines: [
      '150 g buttermilk',
      '80 g mayonnaise',
      '1 g dried dill',
      '1 g garlic powder',
      '1 g onion powder',
      '2 g salt',
    ],
    from: [20, 2 * H],
    to: [1 * DAY, 7 * DAY],
  },
  {
    what: 'rosemary in oil and vinegar infuses for hours',
    lines: ['30 g red wine vinegar', '3 g rosemary', '2 g salt', OIL],
    from: [30, 6 * H],
    to: [8 * H, 4 * DAY],
  },
  {
    what: 'toasted sesame over soy and rice vinegar loses its crunch by the evening',
    lines: ['30 g rice vinegar', '20 g soy sauce', '8 g sesame seeds', '40 g rapeseed oil'],
    from: [0, 30],
    to: [1 * H, 10 * H],
  },
];

describe('when a dressing is at its best, against what cooks say', () => {
  it.each(SAID)('$what', ({ lines, from, to }) => {
    const { portions, keeping } = judgedLines(lines);
    const { bestFromMin, bestToMin } = ripeningOf(portions, keeping);
    expect(bestFromMin).toBeGreaterThanOrEqual(from[0]);
    expect(bestFromMin).toBeLessThanOrEqual(from[1]);
    expect(bestToMin).toBeGreaterThanOrEqual(Math.min(to[0], keeping.days * DAY));
    expect(bestToMin).toBeLessThanOrEqual(to[1]);
  });
});
