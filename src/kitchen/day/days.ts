import type { Reader } from '#words/numbers';

/** The kitchen's own day: by the clock on the wall, not Greenwich's. */
export const today = (now: Date = new Date(), { timeZone }: Reader = {}): string =>
  // The Swedish way of writing a day is ISO 8601's.
  now.toLocaleDateString('sv-SE', { timeZone, year: 'numeric', month: '2-digit', day: '2-digit' });

/** So many days after. */
export const daysAfter = (day: string, days: number): string =>
  new Date(Date.parse(day) + days * 86_400_000).toISOString().slice(0, 10);

/** The Monday of its week (ISO 8601). */
export const mondayOf = (day: string): string => daysAfter(day, -((new Date(day).getUTCDay() + 6) % 7));
