import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { conflictsOf, slackOf } from './conflicts';
import { scheduleBackwards, type Placed, type Task } from './schedule';
import type { Crew } from './lanes';
import { waysOut } from './waysOut';
import { MIN_S, NOON_S, placedOf, taskOf } from './testing';

const startsOf = (placed: readonly Placed[]): Record<string, string> =>
  Object.fromEntries(
    placed.map(({ task: { id }, startS }) => [
      id,
      `${Math.floor(startS / 3600)}:${String(Math.round((startS % 3600) / 60)).padStart(2, '0')}`,
    ]),
  );

/** Everything that must hold of a day, whoever planned it. */
function check(placed: readonly Placed[], { cooks, tools }: Crew): void {
  const byId = new Map(placed.map((one) => [one.task.id, one]));
  for (const { task: one, startS, endS, cook } of placed) {
    expect(endS - startS).toBeCloseTo(one.seconds, 6);
    if (one.dueS !== null) expect(endS).toBeLessThanOrEqual(one.dueS + 1e-6);
    for (const id of one.after) expect(byId.get(id)!.endS).toBeLessThanOrEqual(startS + 1e-6);
    expect(cook === null).toBe(!one.handsOn);
    if (cook !== null) expect(cook).toBeLessThan(cooks);
  }
  const overlap = (a: Placed, b: Placed): boolean => a.startS < b.endS - 1e-6 && b.startS < a.endS - 1e-6;
  placed.forEach((a, i) => {
    for (const b of placed.slice(i + 1))
      if (a.cook !== null && a.cook === b.cook) expect(overlap(a, b)).toBe(false);
    if (a.task.tool !== null && a.task.seconds > 0) {
      const begun = a.startS + 1e-3;
      const used = placed.filter((b) => b.task.tool === a.task.tool && b.startS <= begun && b.endS > begun);
      expect(used.length).toBeLessThanOrEqual(tools?.[a.task.tool] ?? 1);
    }
  });
}

const smallTasks = (most: number) =>
  fc
    .array(
      fc.record({
        minutes: fc.integer({ min: 1, max: 3 }),
        handsOn: fc.boolean(),
        tool: fc.constantFrom(null, 'blender'),
        due: fc.option(fc.integer({ min: 9, max: 12 }), { nil: null }),
        after: fc.array(fc.nat(), { maxLength: 2 }),
      }),
      { minLength: 1, maxLength: most },
    )
    .map((list) =>
      list.map(({ minutes, handsOn, tool, due, after }, i): Task => ({
        id: `t${i}`,
        seconds: minutes,
        handsOn,
        tool,
        // Only what comes before it, so that there is no circle; the last ones have an end.
        after: i === 0 ? [] : [...new Set(after.map((n) => `t${n % i}`))],
        dueS: due ?? 12,
      })),
    );

describe('a day worked backwards', () => {
  it('is as a cook would work it out by hand', () => {
    // Lunch at 12: dress 5, shake 1, standing out 40 waiting, mix 5 in the blender, weigh 10.
    const day = [
      taskOf('weigh', 10),
      taskOf('mix', 5, { after: ['weigh'], tool: 'blender' }),
      taskOf('stand-out', 40, { after: ['mix'], handsOn: false }),
      taskOf('shake', 1, { after: ['stand-out'] }),
      taskOf('dress', 5, { after: ['shake'], dueS: NOON_S }),
    ];
    expect(startsOf(placedOf(day))).toEqual({
      weigh: '10:59',
      mix: '11:09',
      'stand-out': '11:14',
      shake: '11:54',
      dress: '11:55',
    });
  });

  it('lets one pair of hands do one thing, and two of them two', () => {
    const two = [taskOf('a', 20, { dueS: NOON_S }), taskOf('b', 30, { dueS: NOON_S })];
    expect(Math.min(...placedOf(two).map(({ startS }) => startS))).toBe(NOON_S - 50 * MIN_S);
    expect(Math.min(...placedOf(two, { cooks: 2 }).map(({ startS }) => startS))).toBe(NOON_S - 30 * MIN_S);
    // Two cooks, and still but one blender.
    const blended = two.map((one) => ({ ...one, tool: 'blender' }));
    expect(Math.min(...placedOf(blended, { cooks: 2 }).map(({ startS }) => startS))).toBe(
      NOON_S - 50 * MIN_S,
    );
    expect(
      Math.min(...placedOf(blended, { cooks: 2, tools: { blender: 2 } }).map(({ startS }) => startS)),
    ).toBe(NOON_S - 30 * MIN_S);
  });

  it('never lets hands or tools overlap, keeps what comes first first, and ends in time', () => {
    fc.assert(
      fc.property(smallTasks(11), fc.integer({ min: 1, max: 3 }), (tasks, cooks) => {
        check(placedOf(tasks, { cooks }), { cooks });
      }),
      { numRuns: 300 },
    );
  });

  it('begins as late as a schedule possibly can: against trying every start there is', () => {
    const HORIZON = 12;
    const bestStart = (tasks: readonly Task[], cooks: number): number => {
      let best = -Infinity;
      const starts: number[] = [];
      const visit = (i: number): void => {
        if (i === tasks.length) {
          const lowest = Math.min(...starts);
          if (lowest <= best) return;
          const busy = (time: number, of: (one: Task) => boolean): number =>
            tasks.filter((one, n) => of(one) && starts[n]! <= time && time < starts[n]! + one.seconds).length;
          for (let time = lowest; time < HORIZON; time++) {
            if (busy(time, ({ handsOn }) => handsOn) > cooks) return;
            if (busy(time, ({ tool }) => tool === 'blender') > 1) return;
          }
          const fits = tasks.every((one, n) =>
            one.after.every(
              (id) => starts[Number(id.slice(1))]! + tasks[Number(id.slice(1))]!.seconds <= starts[n]!,
            ),
          );
          if (fits) best = lowest;
          return;
        }
        for (
          let start = Math.min(HORIZON, tasks[i]!.dueS!) - tasks[i]!.seconds;
          start > -6 && start > best;
          start--
        ) {
          starts[i] = start;
          visit(i + 1);
        }
        starts.length = i;
      };
      visit(0);
      return best;
    };
    fc.assert(
      fc.property(smallTasks(4), fc.integer({ min: 1, max: 2 }), (tasks, cooks) => {
        const placed = placedOf(tasks, { cooks });
        const mine = Math.min(...placed.map(({ startS }) => startS));
        expect(mine).toBe(bestStart(tasks, cooks));
      }),
      { numRuns: 120 },
    );
  });

  it('leaves no task that could begin later where it stands', () => {
    fc.assert(
      fc.property(smallTasks(6), (tasks) => {
        const placed = placedOf(tasks);
        for (const one of placed) {
          const later = placed.map((other) =>
            other === one ? { ...one, startS: one.startS + 0.5, endS: one.endS + 0.5 } : other,
          );
          expect(() => {
            check(later, { cooks: 1 });
          }).toThrow();
        }
      }),
      { numRuns: 150 },
    );
  });

  it('says what waits for itself, and what has no end', () => {
    expect(
      scheduleBackwards([taskOf('a', 1, { after: ['b'], dueS: 9 }), taskOf('b', 1, { after: ['a'] })], {
        cooks: 1,
      }),
    ).toEqual({ status: 'circle', ids: ['a', 'b'] });
    expect(scheduleBackwards([taskOf('a', 1)], { cooks: 1 })).toEqual({ status: 'no-end', ids: ['a'] });
    expect(() => scheduleBackwards([], { cooks: 0 })).toThrow(RangeError);
    expect(scheduleBackwards([], { cooks: 1 })).toMatchObject({ placed: [] });
  });

  it('leaves what a cook has put somewhere, and works round it', () => {
    const day = [
      taskOf('a', 20, { dueS: NOON_S, pinnedS: NOON_S - 30 * MIN_S }),
      taskOf('b', 10, { dueS: NOON_S }),
      taskOf('c', 10, { dueS: NOON_S }),
    ];
    expect(startsOf(placedOf(day))).toEqual({ a: '11:30', b: '11:50', c: '11:20' });
  });
});

describe('what does not fit', () => {
  const day = [
    taskOf('rest', 60, { handsOn: false, after: ['mix'] }),
    taskOf('mix', 20, { tool: 'blender' }),
    taskOf('other', 20, { tool: 'blender', dueS: NOON_S - 60 * MIN_S }),
    taskOf('dress', 10, { after: ['rest'], dueS: NOON_S }),
  ];
  it('is named with how late it is, and the cheapest ways out', () => {
    const fromS = NOON_S - 95 * MIN_S;
    const placed = placedOf(day);
    expect(conflictsOf(placed, { nowS: fromS, opensS: 0 }).map(({ task: { id } }) => id)).toEqual(['mix']);
    const ways = waysOut(day, { cooks: 1 }, { nowS: fromS, opensS: 0 }, [
      { taskId: 'rest', leastS: 15 * MIN_S },
    ]);
    expect(ways[0]).toEqual({ kind: 'shorten', taskId: 'rest', toS: 15 * MIN_S });
    // A second cook does not help while there is one blender.
    expect(ways.map(({ kind }) => kind)).toEqual(['shorten', 'serve-later']);
    const { byS } = ways.at(-1) as { byS: number };
    const later = day.map((one) => (one.dueS === null ? one : { ...one, dueS: one.dueS + byS }));
    expect(conflictsOf(placedOf(later), { nowS: fromS, opensS: 0 })).toEqual([]);
  });
  it('has none where all fits, and slack says how much earlier it could be', () => {
    const fromS = NOON_S - 5 * 3600;
    const placed = placedOf(day);
    expect(conflictsOf(placed, { nowS: fromS, opensS: 0 })).toEqual([]);
    for (const one of placed)
      expect(slackOf(placed, { nowS: fromS, opensS: 0 }).get(one.task.id)!).toBeGreaterThan(0);
    // Mix begins at 10:20 at the latest; at 10:10 it could.
    expect(slackOf(placed, { nowS: NOON_S - 110 * MIN_S, opensS: 0 }).get('mix')).toBe(10 * MIN_S);
  });
});
