import ICAL from 'ical.js';
import fc from 'fast-check';
import { beforeAll, describe, expect, it } from 'vitest';
import { readAs } from '#words/numbers';
import { EMPTY_PLAN, type BatchRecord, type PlanContent, type PlanDish, type PlanService } from '#contract';
import type { FormulaId } from '#core/formula';
import { dressingFor } from '#core/service';
import { calendarOf, servicesFrom } from './calendar';
import { momentOf, readTime, sayTime, secondsOfDay } from '#kitchen/day';
import { hoursOf, planDay, type Asked } from '#kitchen/day';
import { needByKind } from '#kitchen/bowl';
import { coveredBy, litresFor, needsOf } from './takeOn';

beforeAll(() => {
  readAs({ language: 'en-GB' });
});

const DAY = '2031-05-12';
const HOUSE = 'house' as FormulaId;
const dish = (id: string, about: Partial<PlanDish> = {}): PlanDish => ({
  id,
  formulaId: HOUSE,
  version: null,
  kind: 'tender-leaves',
  dressed: 'normally',
  servingG: 60,
  moment: 'at-once',
  fresh: true,
  ...about,
});
const service = (at: number, dishes: readonly PlanDish[], about: Partial<PlanService> = {}): PlanService => ({
  id: 'lunch',
  name: 'Lunch',
  atMin: at,
  covers: 40,
  dishes: [...dishes],
  ...about,
});
const content = (about: Partial<PlanContent>): PlanContent => ({ ...EMPTY_PLAN, ...about });
const ASKED = new Map<string, Asked>([
  ['house', { tool: null, standOutS: 0, restS: 0, bestToMin: 5760, keepingDays: 4 }],
  ['onion', { tool: 'Blender', standOutS: 0, restS: 1800, bestToMin: 2880, keepingDays: 2 }],
]);
const at = (time: string, day = DAY): Date => new Date(`${day}T${time}:00`);
const planned = (about: Partial<PlanContent>, now: Date) =>
  planDay(DAY, content(about), (id) => id, ASKED, now);
const starts = (plan: ReturnType<typeof planned>): Record<string, string> =>
  Object.fromEntries(plan.placed.map(({ task, startS }) => [task.id.split('.').at(-1)!, sayTime(startS)]));

describe('a day', () => {
  const LUNCH = { services: [service(720, [dish('d')])] };
  // By hand: 40 covers take 8 minutes to dress and 1 to shake: 11:51; mixing 5: 11:46; weighing 10: 11:36; fetching 3: 11:33.
  const BY_HAND = { fetch: '11:33', weigh: '11:36', mix: '11:46', dress: '11:51' };

  it('is worked backwards from its service, whenever it is looked at before', () => {
    for (const now of [at('06:00', '2031-05-01'), at('22:00', '2031-05-11'), at('08:00'), at('11:33')]) {
      const plan = planned(LUNCH, now);
      expect(starts(plan)).toEqual(BY_HAND);
      expect([plan.conflicts, plan.late, plan.ways, plan.clashes, plan.problem]).toEqual([
        [],
        [],
        [],
        [],
        null,
      ]);
    }
  });

  it('that is over says nothing of the clock', () => {
    expect(planned(LUNCH, at('09:00', '2031-05-13')).conflicts).toEqual([]);
    expect(hoursOf(DAY, EMPTY_PLAN, at('12:00', '2031-06-01')).nowS).toBeLessThan(0);
  });

  it('leaves out what is done and lets the next go on without it', () => {
    const done = { 'lunch.d.fetch': at('11:00').toISOString(), 'lunch.d.weigh': at('11:20').toISOString() };
    const plan = planned({ ...LUNCH, done }, at('11:30'));
    expect(starts(plan)).toEqual({ mix: '11:46', dress: '11:51' });
    expect(plan.tasks.get('lunch.d.fetch')?.name).toBe('house: fetch what it needs');
  });

  it('that is behind moves on: nothing begun at 11:45 makes lunch twelve minutes late', () => {
    const plan = planned(LUNCH, at('11:45'));
    expect(starts(plan)).toEqual({ fetch: '11:45', weigh: '11:48', mix: '11:58', dress: '12:03' });
    expect(plan.late.map(({ task, byS }) => [task.serviceId, byS / 60])).toEqual([['lunch', 12]]);
    expect(plan.conflicts.map(({ task, byS }) => [task.id, byS / 60])).toEqual([
      ['lunch.d.fetch', 12],
      ['lunch.d.weigh', 9],
    ]);
    expect(plan.ways.at(-1)).toEqual({ kind: 'serve-later', byS: 720, without: [] });
  });

  it('keeps what runs where it was begun, as long as it takes', () => {
    const begun = { 'lunch.d.fetch': at('11:20').toISOString() };
    const soon = planned({ ...LUNCH, begun }, at('11:22'));
    expect(starts(soon)).toEqual({ ...BY_HAND, fetch: '11:20' });
    const late = planned({ ...LUNCH, begun }, at('11:50'));
    expect(starts(late)).toMatchObject({ fetch: '11:20', weigh: '11:50', dress: '12:05' });
    expect(late.movedS.get('lunch.d.weigh')).toBe(14 * 60);
    expect(late.late.map(({ byS }) => byS / 60)).toEqual([14]);
  });

  it('goes on where somebody ticked a later task off, or began it, and not the one before', () => {
    const ended = { 'lunch.d.dress': at('11:30').toISOString() };
    expect(starts(planned({ ...LUNCH, done: ended }, at('11:00')))).toEqual({
      fetch: '11:42',
      weigh: '11:45',
      mix: '11:55',
    });
    const begun = { 'lunch.d.mix': at('11:00').toISOString() };
    const plan = planned({ ...LUNCH, begun }, at('11:02'));
    expect([plan.problem, plan.late]).toEqual([null, []]);
    // Weighing that was never ticked still takes its ten minutes, and fetching its three.
    expect(starts(plan)).toEqual({ mix: '11:00', dress: '11:38', fetch: '11:47', weigh: '11:50' });
  });

  it('shortens a rest before it asks for hands', () => {
    const services = [service(720, [dish('d', { formulaId: 'onion' as FormulaId })])];
    const plan = planned({ services }, at('11:15'));
    expect(plan.conflicts.length).toBeGreaterThan(0);
    expect(plan.ways[0]).toEqual({ kind: 'shorten', taskId: 'lunch.d.rest', toS: 450 });
  });

  it('names what was put where it cannot be, and soaks through the night', () => {
    const moved = { 'lunch.d.mix': 12 * 60 - 5 };
    expect(planned({ ...LUNCH, movedMin: moved }, at('08:00')).clashes.map(({ kind }) => kind)).toEqual([
      'after',
    ]);
    const soak = { id: 'soak', name: 'Soak', minutes: 720, handsOn: false, tool: null };
    const jobs = [{ ...soak, serviceId: 'lunch', beforeMinutes: 120 }];
    const plan = planned({ ...LUNCH, jobs }, at('18:00', '2031-05-11'));
    expect(starts(plan)).toEqual({ ...BY_HAND, soak: '22:00 the day before' });
    expect(plan.conflicts).toEqual([]);
    const late = planned({ ...LUNCH, jobs }, at('23:00', '2031-05-11'));
    // One thing that is too late is left out before the guests wait for it.
    expect(late.ways).toEqual([{ kind: 'leave-out', taskIds: ['soak'] }]);
    expect(late.conflicts.map(({ byS }) => byS)).toEqual([3600]);
  });
});

describe('any day at any time', () => {
  const anyDish = fc.record({
    formulaId: fc.constantFrom(HOUSE, 'onion' as FormulaId, 'gone' as FormulaId),
    kind: fc.constantFrom<PlanDish['kind']>('tender-leaves', 'slaw', 'warm-potato', 'cooked'),
    moment: fc.constantFrom<PlanDish['moment']>('at-once', '5-minutes', 'half-hour', 'overnight'),
    fresh: fc.boolean(),
  });
  const anyDay = fc.record({
    cooks: fc.integer({ min: 1, max: 3 }),
    times: fc.array(fc.integer({ min: 0, max: 1439 }), { minLength: 1, maxLength: 2 }),
    dishes: fc.array(anyDish, { maxLength: 3 }),
    jobMinutes: fc.array(fc.integer({ min: 1, max: 900 }), { maxLength: 2 }),
    nowMin: fc.integer({ min: -1500, max: 1600 }),
    ticks: fc.array(fc.constantFrom('done', 'begun', 'moved', 'open'), { minLength: 40, maxLength: 40 }),
    minutes: fc.array(fc.integer({ min: -200, max: 1600 }), { minLength: 40, maxLength: 40 }),
  });

  it('is worked out whole: every task that is not done stands somewhere, in order, on free hands', () => {
    fc.assert(
      fc.property(anyDay, ({ cooks, times, dishes, jobMinutes, nowMin, ticks, minutes }) => {
        const services = times.map((time, i) =>
          service(
            time,
            dishes.map((one, j) => dish(`d${j}`, one)),
            { id: `s${i}` },
          ),
        );
        const jobs = jobMinutes.map((long, i) => ({
          id: `j${i}`,
          name: 'Job',
          minutes: long,
          handsOn: i === 0,
          tool: null,
          serviceId: 's0',
          beforeMinutes: 5,
        }));
        const now = momentOf(DAY, nowMin * 60);
        const plain = planned({ cooks, services, jobs }, now);
        const begun: Record<string, string> = {};
        const done: Record<string, string> = {};
        const moved: Record<string, number> = {};
        [...plain.tasks.keys()].forEach((id, i) => {
          const when = momentOf(DAY, Math.min(nowMin, minutes[i % 40]!) * 60).toISOString();
          if (ticks[i % 40] === 'done') done[id] = when;
          if (ticks[i % 40] === 'begun') begun[id] = when;
          if (ticks[i % 40] === 'moved') moved[id] = Math.max(-1440, minutes[i % 40]!);
        });
        const plan = planned({ cooks, services, jobs, begun, done, movedMin: moved }, now);
        expect(plan.problem).toBeNull();
        expect(plan.placed.map(({ task }) => task.id).sort()).toEqual(
          [...plan.tasks.keys()].filter((id) => done[id] === undefined).sort(),
        );
        const open = plan.placed.filter(({ task }) => begun[task.id] === undefined);
        for (const { startS, endS, task } of plan.placed) {
          expect(Number.isFinite(startS) && endS - startS >= task.seconds - 1e-6).toBe(true);
        }
        // Nothing that was not begun begins in the past, and no pair of hands does two of those at once.
        const { nowS } = hoursOf(DAY, content({}), now);
        for (const [i, a] of open.entries()) {
          expect(a.startS).toBeGreaterThanOrEqual(nowS - 1e-6);
          for (const b of open.slice(i + 1))
            if (a.cook !== null && a.cook === b.cook)
              expect(a.endS <= b.startS + 1e-6 || b.endS <= a.startS + 1e-6).toBe(true);
        }
        for (const seconds of [...plan.slack.values(), ...plan.movedS.values()])
          expect(seconds).toBeGreaterThanOrEqual(0);
      }),
      { numRuns: 120 },
    );
  });
});

describe('what a day needs', () => {
  const services = [
    service(720, [dish('a'), dish('b', { kind: 'slaw', servingG: 120, fresh: false })]),
    service(1140, [dish('c', { formulaId: 'onion' as FormulaId })], { id: 'dinner', covers: 20 }),
  ];
  it('is added up by dressing, all of it or what is made that day', () => {
    const leaves = dressingFor('tender-leaves', 2400, 'normally');
    const slaw = dressingFor('slaw', 4800, 'normally');
    const all = needsOf({ services }, needByKind);
    expect(all.map(({ formulaId }) => formulaId)).toEqual(['house', 'onion']);
    expect(all[0]!.ml).toBeCloseTo(leaves.ml + slaw.ml, 9);
    expect(needsOf({ services }, needByKind, true)[0]!.highMl).toBeCloseTo(leaves.highMl, 9);
    expect(needsOf({ services }, needByKind, false).map(({ highMl }) => highMl)).toEqual([slaw.highMl]);
  });

  it('is met by batches of that day that were not called off', () => {
    const batch = (day: string, yieldMl: number, state: BatchRecord['state'] = 'planned') =>
      ({ formulaId: HOUSE, day, state, plan: { yieldMl } }) as unknown as BatchRecord;
    const wanted = [{ formulaId: HOUSE, day: DAY, volumeMl: 1000 }];
    const missing = (...all: BatchRecord[]): number => coveredBy(wanted, all)[0]!.missingMl;
    expect(missing()).toBe(1000);
    expect(missing(batch(DAY, 400))).toBe(600);
    expect(missing(batch(DAY, 400), batch(DAY, 560))).toBe(0);
    expect(missing(batch(DAY, 900, 'called-off'), batch('2031-05-13', 900))).toBe(1000);
    expect([0, 1, 99.9, 100, 100.1, 1234].map(litresFor)).toEqual([0, 0.1, 0.1, 0.1, 0.2, 1.3]);
  });
});

describe('a calendar', () => {
  const anyService = fc.record({
    name: fc
      .string({ unit: 'grapheme', minLength: 1, maxLength: 40 })
      .map((text) => text.replaceAll(/[\p{C}]/gu, '').trim() || 'Lunch'),
    atMin: fc.integer({ min: 0, max: 1439 }),
    covers: fc.integer({ min: 1, max: 5000 }),
  });

  it('brings back the services of its day, and only those', () => {
    fc.assert(
      fc.property(fc.array(anyService, { maxLength: 5 }), anyService, (list, other) => {
        const services = list.map((one, i): PlanService => ({ ...one, id: `s${i}`, dishes: [] }));
        const text = calendarOf([
          { day: DAY, services },
          { day: '2031-05-13', services: [{ ...other, id: 'o', dishes: [] }] },
        ]);
        // RFC 5545: every line ends with CR LF and is folded within 75 octets.
        expect(text.split('\r\n').every((line) => Buffer.byteLength(line) <= 75)).toBe(true);
        const back = servicesFrom(text, DAY);
        const told = (all: readonly PlanService[]) =>
          all.map(({ name, atMin: minute, covers }) => `${minute} ${name} ${covers}`).sort();
        // A name may hold a number of guests of its own, which is read before ours.
        const plain = services.every(({ name }) => !/\d/.test(name));
        if (plain) expect(told(back)).toEqual(told(services));
        expect(back).toHaveLength(services.length);
        expect(servicesFrom(text, '2031-05-13')).toHaveLength(1);
        expect(servicesFrom(text, '2031-05-14')).toEqual([]);
      }),
      { numRuns: 80 },
    );
  });

  it('is iCalendar as another reader sees it', () => {
    const text = calendarOf([{ day: DAY, services: [service(750, [])] }]);
    const root = new ICAL.Component(ICAL.parse(text) as unknown[]);
    expect([root.name, root.getFirstPropertyValue('version')]).toEqual(['vcalendar', '2.0']);
    const event = new ICAL.Event(root.getFirstSubcomponent('vevent')!);
    expect([event.summary, event.description, event.duration.toSeconds()]).toEqual([
      'Lunch',
      '40 covers',
      7200,
    ]);
    expect(event.startDate.toJSDate()).toEqual(at('12:30'));
  });

  it('of others is read with its guests where it names them, and refused where it is none', () => {
    const foreign = (summary: string, start: string): string =>
      [
        'BEGIN:VCALENDAR',
        'VERSION:2.0',
        'PRODID:x',
        'BEGIN:VEVENT',
        'UID:1',
        `DTSTART${start}`,
        `SUMMARY:${summary}`,
      ]
        .concat('END:VEVENT', 'END:VCALENDAR', '')
        .join('\r\n');
    const [read] = servicesFrom(foreign('Wedding\\, 120 guests', ':20310512T190000'), DAY);
    expect(read).toMatchObject({ name: 'Wedding, 120 guests', atMin: 1140, covers: 120 });
    expect(servicesFrom(foreign('Supper', ':20310512T190000'), DAY)[0]!.covers).toBe(20);
    // All day is no service.
    expect(servicesFrom(foreign('Market', ';VALUE=DATE:20310512'), DAY)).toEqual([]);
    expect(() => servicesFrom('no calendar', DAY)).toThrow();
  });
});

describe('the clock of a kitchen', () => {
  it('reads what it says, and what cooks type', () => {
    for (let minute = 0; minute < 1440; minute += 7) expect(readTime(sayTime(minute * 60))).toBe(minute);
    expect(['9', '0930', '9.30', '9h30', ' 23:59 '].map(readTime)).toEqual([540, 570, 570, 570, 1439]);
    expect(['', '24:00', '9:60', 'noon', '-1'].map(readTime)).toEqual([null, null, null, null, null]);
    expect([sayTime(-3600), sayTime(25 * 3600)]).toEqual(['23:00 the day before', '1:00 the day after']);
    expect(secondsOfDay(DAY, momentOf(DAY, 4242))).toBe(4242);
  });
});
