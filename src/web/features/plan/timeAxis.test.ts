import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { DayPlan } from '#kitchen/day';
import { rowsOf, timeAxis } from './timeAxis';

const at = (h: number, m = 0): number => h * 3600 + m * 60;
const placed = (id: string, startS: number, seconds: number, dishId = 'salad', name = 'Salad: mix') =>
  ({
    task: { id, name, dishId, step: dishId.startsWith('job') ? null : 'mix', seconds, handsOn: true },
    startS,
    endS: startS + seconds,
    cook: 0,
  }) as unknown as DayPlan['placed'][number];

describe('the axis of a day', () => {
  it('begins ten minutes before the first task at most, and ends after the last', () => {
    const { from, to, hours } = timeAxis(
      [placed('a', at(17, 59), 180), placed('b', at(18, 40), 1200)],
      at(3),
    );
    expect([from, to]).toEqual([at(17, 50), at(19)]);
    expect(hours).toEqual([at(18), at(18, 30), at(19)]);
  });

  it('begins with now where that is near, and not where it is far', () => {
    const day = [placed('a', at(12), 600)];
    expect(timeAxis(day, at(11, 45)).from).toBe(at(11, 40));
    expect(timeAxis(day, at(8)).from).toBe(at(12));
  });

  it('always spans its tasks, half an hour at least, with its hours inside', () => {
    const task = fc.tuple(fc.integer({ min: -20_000, max: 80_000 }), fc.integer({ min: 0, max: 40_000 }));
    fc.assert(
      fc.property(
        fc.array(task, { minLength: 1, maxLength: 8 }),
        fc.integer({ min: -90_000, max: 90_000 }),
        (all, nowS) => {
          const day = all.map(([start, seconds], i) => placed(String(i), start, seconds));
          const { from, to, span, hours } = timeAxis(day, nowS);
          expect(span).toBeGreaterThanOrEqual(1800);
          for (const { startS, endS } of day) {
            expect(from).toBeLessThanOrEqual(startS);
            expect(to).toBeGreaterThanOrEqual(endS);
          }
          for (const hour of hours) expect(hour >= from && hour <= to).toBe(true);
        },
      ),
    );
  });
});

it('a dish is named once, with its tasks; a side job is its own row; in the order in which they begin', () => {
  const rows = rowsOf([
    placed('a', at(11), 60, 'slaw', 'Slaw: mix'),
    placed('j', at(11, 5), 60, 'job-1', 'Boil potatoes'),
    placed('b', at(11, 10), 60, 'slaw', 'Slaw: mix'),
  ]);
  expect(rows.map(({ name, tasks }) => [name, tasks.length])).toEqual([
    ['Slaw', 2],
    ['Boil potatoes', 1],
  ]);
});
