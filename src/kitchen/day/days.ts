import type { Reader } from '#words/numbers';

/** The kitchen's own day: by the clock on the wall, not Greenwich's. */
export const today = (now: Date = new Date(), { timeZone }: Reader = {}): string =>
  // The Swedish way of writing a day is ISO 8601's.
  now.toLocaleDateString('sv-SE', { timeZone, year: 'numeric', month: '2-digit', day: '2-digit' });

/** "Thu 26 November 2026". */
export const sayDay = (day: string, { language }: Reader = {}): string =>
  new Date(`${day}T12:00:00Z`).toLocaleDateString(language, {
    timeZone: 'UTC',
    weekday: 'short',
    day: 'numeric',
    month: 'long',
    year: 'numeric',
  });

/** So many days after. */
export const daysAfter = (day: string, days: number): string =>
  new Date(Date.parse(day) + days * 86_400_000).toISOString().slice(0, 10);

/** The Monday of its week (ISO 8601). */
export const mondayOf = (day: string): string => daysAfter(day, -((new Date(day).getUTCDay() + 6) % 7));
