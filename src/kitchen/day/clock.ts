/** Times of a day as a kitchen writes them. */

/** "11:40"; before midnight of the day it says so. @param seconds from midnight */
export function sayTime(seconds: number): string {
  const minutes = Math.round(seconds / 60);
  const inDay = ((minutes % 1440) + 1440) % 1440;
  const text = `${Math.floor(inDay / 60)}:${String(inDay % 60).padStart(2, '0')}`;
  const days = Math.floor(minutes / 1440);
  return days === 0 ? text : days < 0 ? `${text} the day before` : `${text} the day after`;
}

/** Minutes from midnight out of "9:30", "0930", "9"; null where it is none. */
export function readTime(text: string): number | null {
  const found = /^(\d{1,2})(?:[:.h]?(\d{2}))?$/.exec(text.trim());
  if (!found) return null;
  const [hours, minutes] = [Number(found[1]), Number(found[2] ?? 0)];
  return hours < 24 && minutes < 60 ? hours * 60 + minutes : null;
}

/** Seconds from the midnight of that day. @param day YYYY-MM-DD */
export const secondsOfDay = (day: string, at: Date): number =>
  (at.getTime() - new Date(`${day}T00:00:00`).getTime()) / 1000;
export const momentOf = (day: string, seconds: number): Date =>
  new Date(new Date(`${day}T00:00:00`).getTime() + seconds * 1000);
