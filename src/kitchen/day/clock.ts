/**
 * Times of a day as a kitchen writes them: by the clock on the wall. On the two days a year that the clock
 * changes a service at 12:00 is at 12:00, whatever hours lie between it and midnight.
 */
import { formatTimeOfDay } from '#words/numbers';
import { atWorkWords } from '#words/screens/atWork';
import { DateTime } from 'luxon';

/** "11:40"; before midnight of the day it says so. @param seconds from midnight */
export function sayTime(seconds: number): string {
  const minutes = Math.round(seconds / 60);
  const inDay = ((minutes % 1440) + 1440) % 1440;
  const text = formatTimeOfDay(inDay);
  const days = Math.floor(minutes / 1440);
  return days === 0
    ? text
    : days < 0
      ? atWorkWords.textTheDayBefore(text)
      : atWorkWords.textTheDayAfter(text);
}

/** Minutes from midnight out of "9:30", "0930", "9", "2:30 pm"; null where it is none. */
export function readTime(text: string): number | null {
  const found = /^(\d{1,2})(?:[:.h]?(\d{2}))?\s*(?:([ap])\.?\s?m\.?)?$/i.exec(text.trim());
  if (!found) return null;
  const [typed, minutes] = [Number(found[1]), Number(found[2] ?? 0)];
  const half = found[3]?.toLowerCase();
  if (half && (typed < 1 || typed > 12)) return null;
  const hours = half ? (typed % 12) + (half === 'p' ? 12 : 0) : typed;
  return hours < 24 && minutes < 60 ? hours * 60 + minutes : null;
}

const HERE = 'local';

/** Seconds that the clock on the wall shows since the midnight of that day. @param day YYYY-MM-DD @param zone IANA */
export const secondsOfDay = (day: string, at: Date, zone = HERE): number =>
  DateTime.fromJSDate(at, { zone })
    .setZone('utc', { keepLocalTime: true })
    .diff(DateTime.fromISO(day, { zone: 'utc' }))
    .as('seconds');

/** The moment at which the clock on the wall shows it; an hour that the clock leaves out is the next one. */
export const momentOf = (day: string, seconds: number, zone = HERE): Date =>
  DateTime.fromISO(day, { zone: 'utc' }).plus({ seconds }).setZone(zone, { keepLocalTime: true }).toJSDate();
