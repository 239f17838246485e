import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { clashesOf, conflictsOf, slackOf } from './conflicts';
import { forecastDay } from './forecast';
import type { Placed } from './schedule';
import { weekBatches, type DayNeed } from './weekBatches';
import { MIN_S, NOON_S, placedOf, taskOf } from './testing';

/** Minutes before noon at which each begins. */
const before = (placed: readonly Placed[]): Record<string, number> =>
  Object.fromEntries(placed.map(({ task: { id }, startS }) => [id, Math.round((NOON_S - startS) / MIN_S)]));

const at = (nowS: number) => ({ nowS, opensS: 0 });

const LUNCH = [
  taskOf('weigh', 10),
  taskOf('mix', 5, { after: ['weigh'], tool: 'blender' }),
  taskOf('rest', 30, { after: ['mix'], handsOn: false }),
  taskOf('dress', 8, { after: ['rest'], dueS: NOON_S }),
  taskOf('boil', 20, { handsOn: false, dueS: NOON_S - 10 * MIN_S }),
];

describe('a day that slips', () => {
  const plan = placedOf(LUNCH);
  it('is as planned while it is on time, before anything and with what runs on time', () => {
    expect(before(plan)).toEqual({ weigh: 53, mix: 43, rest: 38, dress: 8, boil: 30 });
    for (const [nowMin, began] of [
      [200, new Map()],
      [53, new Map()],
      [50, new Map([['weigh', NOON_S - 53 * MIN_S]])],
    ] as const) {
      const { placed, late, movedS } = forecastDay(plan, began, { cooks: 1 }, at(NOON_S - nowMin * MIN_S));
      expect(before(placed)).toEqual(before(plan));
      expect([late, movedS.size]).toEqual([[], 0]);
    }
  });

  // By hand: weighing begun at 11:07 is still not done at 11:25, 8 minutes over. Mixing then, 11:25 to 11:30,
  // rest to 12:00, dressing to 12:08.
  it('moves what waits for what overruns, and says what ends late', () => {
    const began = new Map([['weigh', NOON_S - 53 * MIN_S]]);
    const { placed, late, movedS } = forecastDay(plan, began, { cooks: 1 }, at(NOON_S - 35 * MIN_S));
    expect(before(placed)).toEqual({ weigh: 53, mix: 35, rest: 30, dress: 0, boil: 30 });
    expect(late.map(({ task: { id }, byS }) => [id, byS / MIN_S])).toEqual([['dress', 8]]);
    expect([...movedS].map(([id, byS]) => [id, byS / MIN_S])).toEqual([
      ['mix', 8],
      ['rest', 8],
      ['dress', 8],
    ]);
  });

  // By hand: nothing begun at 11:20: weigh 11:20, mix 11:30, rest 11:35 to 12:05, dress to 12:13; boiling is in time.
  it('that was not begun moves whole, and only what depends on it', () => {
    const { placed, late } = forecastDay(plan, new Map(), { cooks: 1 }, at(NOON_S - 40 * MIN_S));
    expect(before(placed)).toEqual({ weigh: 40, mix: 30, rest: 25, dress: -5, boil: 30 });
    expect(late.map(({ task: { id }, byS }) => [id, byS / MIN_S])).toEqual([['dress', 13]]);
  });

  it('knows that nobody is there in the night, but somebody was the evening before', () => {
    const soak = placedOf([taskOf('soak', 12 * 60, { handsOn: false, dueS: 8 * 3600 })]);
    const hours = { nowS: -86_400, opensS: 7 * 3600 };
    expect(before(forecastDay(soak, new Map(), { cooks: 1 }, hours).placed)).toEqual({ soak: 16 * 60 });
    expect(conflictsOf(soak, hours)).toEqual([]);
    expect(slackOf(soak, hours).get('soak')).toBe(20 * 3600);
    // Four hours would begin at four in the morning: at seven it ends three hours late.
    const night = placedOf([taskOf('soak', 4 * 60, { handsOn: false, dueS: 8 * 3600 })]);
    expect(conflictsOf(night, hours).map(({ byS }) => byS / 3600)).toEqual([3]);
    expect(forecastDay(night, new Map(), { cooks: 1 }, hours).late.map(({ byS }) => byS / 3600)).toEqual([3]);
  });

  it('gives one pair of hands to one thing at a time, a second pair to the other', () => {
    const two = placedOf([taskOf('a', 10, { dueS: NOON_S }), taskOf('b', 10, { dueS: NOON_S - 10 * MIN_S })]);
    const late = (cooks: number) =>
      forecastDay(two, new Map(), { cooks }, at(NOON_S - 5 * MIN_S)).late.map(({ task: { id }, byS }) => [
        id,
        byS / MIN_S,
      ]);
    expect(late(1)).toEqual([
      ['b', 15],
      ['a', 15],
    ]);
    expect(late(2)).toEqual([
      ['b', 15],
      ['a', 5],
    ]);
  });

  it('keeps hands, tools and order whatever runs and however late it is', () => {
    const day = fc.array(
      fc.record({
        minutes: fc.integer({ min: 1, max: 20 }),
        handsOn: fc.boolean(),
        tool: fc.constantFrom(null, 'blender'),
        chained: fc.boolean(),
      }),
      { minLength: 1, maxLength: 8 },
    );
    fc.assert(
      fc.property(
        day,
        fc.integer({ min: -60, max: 200 }),
        fc.integer({ min: 1, max: 2 }),
        (list, late, cooks) => {
          const tasks = list.map(({ minutes, handsOn, tool, chained }, i) =>
            taskOf(`t${i}`, minutes, {
              handsOn,
              tool,
              after: chained && i > 0 ? [`t${i - 1}`] : [],
              dueS: NOON_S,
            }),
          );
          const plan = placedOf(tasks, { cooks });
          const nowS = plan[0]!.startS + late * MIN_S;
          const began = new Map(late > 0 ? [[plan[0]!.task.id, plan[0]!.startS]] : []);
          const { placed, movedS } = forecastDay(plan, began, { cooks }, at(nowS));
          expect(placed).toHaveLength(tasks.length);
          const byId = new Map(placed.map((one) => [one.task.id, one]));
          for (const { task: one, startS, endS } of placed) {
            for (const id of one.after) expect(byId.get(id)!.endS).toBeLessThanOrEqual(startS + 1e-6);
            if (!began.has(one.id)) expect(startS).toBeGreaterThanOrEqual(nowS - 1e-6);
            expect(endS - startS).toBeGreaterThanOrEqual(one.seconds - 1e-6);
          }
          const overlap = (a: Placed, b: Placed): boolean =>
            a.startS < b.endS - 1e-6 && b.startS < a.endS - 1e-6;
          placed.forEach((a, i) => {
            for (const b of placed.slice(i + 1)) {
              if (a.cook !== null && a.cook === b.cook) expect(overlap(a, b)).toBe(false);
              if (a.task.tool !== null && a.task.tool === b.task.tool) expect(overlap(a, b)).toBe(false);
            }
          });
          if (late <= 0) expect([...movedS]).toEqual([]);
        },
      ),
      { numRuns: 300 },
    );
  });
});

describe('what a cook put somewhere', () => {
  it('clashes with what has to follow it, and with another that wants the same hands or tool', () => {
    const late = placedOf([
      taskOf('mix', 5, { pinnedS: NOON_S - 10 * MIN_S }),
      taskOf('dress', 8, { after: ['mix'], dueS: NOON_S }),
    ]);
    expect(clashesOf(late, { cooks: 1 }).map(({ kind, task: a, other }) => [kind, a.id, other.id])).toEqual([
      ['after', 'mix', 'dress'],
    ]);
    const both = placedOf([
      taskOf('a', 10, { pinnedS: NOON_S - 20 * MIN_S, dueS: NOON_S }),
      taskOf('b', 10, { pinnedS: NOON_S - 15 * MIN_S, dueS: NOON_S }),
    ]);
    expect(clashesOf(both, { cooks: 1 }).map(({ kind }) => kind)).toEqual(['busy']);
    expect(clashesOf(both, { cooks: 2 })).toEqual([]);
    // Three at once are too many for two cooks, and two for one blender.
    const three = placedOf(
      ['a', 'b', 'c'].map((id) => taskOf(id, 10, { pinnedS: NOON_S - 20 * MIN_S, dueS: NOON_S })),
      { cooks: 2 },
    );
    expect(clashesOf(three, { cooks: 2 }).map(({ task: { id } }) => id)).toEqual(['c']);
    expect(clashesOf(three, { cooks: 3 })).toEqual([]);
    const blended = placedOf(
      ['a', 'b'].map((id) => taskOf(id, 10, { pinnedS: NOON_S - 20 * MIN_S, dueS: NOON_S, tool: 'blender' })),
      { cooks: 2 },
    );
    expect(clashesOf(blended, { cooks: 2 })).toHaveLength(1);
    expect(clashesOf(blended, { cooks: 2, tools: { blender: 2 } })).toEqual([]);
    expect(clashesOf(placedOf(LUNCH), { cooks: 1 })).toEqual([]);
  });
});

describe('the batches of a week', () => {
  const need = (day: number, volumeMl: number, fresh = false): DayNeed => ({
    formulaId: 'house',
    day,
    volumeMl,
    fresh,
  });
  // By hand: keeping 3 days, needed on days 1, 2, 4, 6: day 1 does for 1 to 3, day 4 for 4 to 6.
  it('do for as many days as the dressing keeps', () => {
    expect(weekBatches([need(1, 500), need(2, 400), need(4, 300), need(6, 200)], () => 3)).toEqual([
      { formulaId: 'house', day: 1, volumeMl: 900, serves: [1, 2] },
      { formulaId: 'house', day: 4, volumeMl: 500, serves: [4, 6] },
    ]);
  });

  it('are made that day where it has to be fresh, and then serve what stands, too', () => {
    expect(weekBatches([need(1, 500), need(2, 400, true), need(3, 100)], () => 2)).toEqual([
      { formulaId: 'house', day: 1, volumeMl: 500, serves: [1] },
      { formulaId: 'house', day: 2, volumeMl: 500, serves: [2, 3] },
    ]);
  });

  it('serve every day within the keeping, with all that is needed, and no fewer would do', () => {
    const needs = fc.array(
      fc.record({
        day: fc.integer({ min: 0, max: 8 }),
        volumeMl: fc.integer({ min: 1, max: 900 }),
        fresh: fc.boolean(),
      }),
      { maxLength: 8 },
    );
    fc.assert(
      fc.property(needs, fc.integer({ min: 1, max: 5 }), (list, keeping) => {
        const all = list.map(({ day, volumeMl, fresh }) => need(day, volumeMl, fresh));
        const batches = weekBatches(all, () => keeping);
        for (const { day, serves } of batches)
          for (const served of serves) expect(served >= day && served < day + keeping).toBe(true);
        const sum = (of: readonly { volumeMl: number }[]): number =>
          of.reduce((s, { volumeMl }) => s + volumeMl, 0);
        expect(sum(batches)).toBe(sum(all));
        // Brute force: every set of days to make it on.
        const fits = (days: readonly number[]): boolean =>
          all.every(({ day, fresh }) =>
            fresh ? days.includes(day) : days.some((made) => made <= day && day < made + keeping),
          );
        const fewest = Math.min(
          ...Array.from({ length: 512 }, (_, mask) =>
            [0, 1, 2, 3, 4, 5, 6, 7, 8].filter((d) => mask & (1 << d)),
          )
            .filter(fits)
            .map(({ length }) => length),
        );
        expect(batches).toHaveLength(fewest);
      }),
      { numRuns: 150 },
    );
  });
});
