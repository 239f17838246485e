import fc from 'fast-check';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { readAs } from '#words/numbers';
import { momentOf, readTime, sayTime, secondsOfDay } from './clock';

const NOON_S = 12 * 3600;

beforeAll(() => {
  readAs({ language: 'en-GB' });
});
afterAll(() => {
  readAs({});
});

describe('the clock on the wall', () => {
  it.each([
    ['Europe/Berlin', '2026-03-29', '2026-03-29T10:00:00.000Z'],
    ['Europe/Berlin', '2026-10-25', '2026-10-25T11:00:00.000Z'],
    ['Europe/Berlin', '2026-06-01', '2026-06-01T10:00:00.000Z'],
    ['America/New_York', '2026-11-01', '2026-11-01T17:00:00.000Z'],
    ['Australia/Lord_Howe', '2026-04-05', '2026-04-05T01:30:00.000Z'],
  ])('in %s on %s a service at noon is at noon', (zone, day, utc) => {
    expect(momentOf(day, NOON_S, zone).toISOString()).toBe(utc);
    expect(secondsOfDay(day, new Date(utc), zone)).toBe(NOON_S);
  });

  it('goes there and back on every day but in the hour that is left out', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 730 }),
        fc.integer({ min: 4 * 60, max: 36 * 60 }),
        fc.constantFrom('Europe/Berlin', 'America/New_York', 'Asia/Kolkata', 'Pacific/Auckland', 'UTC'),
        (days, minutes, zone) => {
          // Past four in the morning no clock changes; on the next day it may.
          fc.pre(minutes < 24 * 60 || minutes >= 28 * 60);
          const day = new Date(Date.UTC(2026, 0, 1 + days)).toISOString().slice(0, 10);
          expect(secondsOfDay(day, momentOf(day, minutes * 60, zone), zone)).toBe(minutes * 60);
        },
      ),
      { seed: 17, numRuns: 500 },
    );
  });

  it('reads and says times', () => {
    expect([readTime('9:30'), readTime('0930'), readTime('9'), readTime('25'), readTime('noon')]).toEqual([
      570,
      570,
      540,
      null,
      null,
    ]);
    expect([sayTime(NOON_S), sayTime(-600), sayTime(25 * 3600)]).toEqual([
      '12:00',
      '23:50 the day before',
      '1:00 the day after',
    ]);
  });
});

describe('a device of twelve hours', () => {
  it('says and reads its own clock', () => {
    readAs({ hours: 12 });
    const said = [0, 5 * 60, NOON_S / 60, 14 * 60 + 5].map((minutes) => sayTime(minutes * 60));
    expect(said).toEqual(['12:00 am', '5:00 am', '12:00 pm', '2:05 pm']);
    expect(said.map(readTime)).toEqual([0, 300, 720, 845]);
    expect(['13 pm', '0 am', '25:00', '9:75'].map(readTime)).toEqual([null, null, null, null]);
    readAs({ language: 'en-GB' });
  });
});
