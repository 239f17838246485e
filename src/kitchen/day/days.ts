/** The kitchen's own day: by the clock on the wall, not Greenwich's. */
export function today(now: Date = new Date()): string {
  const two = (n: number): string => String(n).padStart(2, '0');
  return `${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`;
}

/** "Thu 26 November 2026". */
export const sayDay = (day: string): string =>
  new Date(`${day}T12:00:00`).toLocaleDateString(undefined, {
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
