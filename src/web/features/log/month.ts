/** Months of the calendar as texts: YYYY-MM, and their days YYYY-MM-DD. */

const two = (n: number): string => String(n).padStart(2, '0');

export const monthOf = (day: string): string => day.slice(0, 7);

export function monthBeside(month: string, by: number): string {
  const [year, number] = month.split('-').map(Number) as [number, number];
  const index = year * 12 + number - 1 + by;
  return `${Math.floor(index / 12)}-${two((index % 12) + 1)}`;
}

export function daysOfMonth(month: string): readonly string[] {
  const [year, number] = month.split('-').map(Number) as [number, number];
  const last = new Date(Date.UTC(year, number, 0)).getUTCDate();
  return Array.from({ length: last }, (_, i) => `${month}-${two(i + 1)}`);
}
