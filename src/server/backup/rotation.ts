/** Which daily backups stay: every one of the last week, one a week for five, one a month for twelve. */
const DAYS = 7;
const WEEKS = 5;
const MONTHS = 12;
const DAY_MS = 86_400_000;

/**
 * @param days YYYY-MM-DD, of the backups that are there
 * @param today YYYY-MM-DD; what is of a later day (the clock was wrong once) stays and counts for nothing
 */
export function staying(days: readonly string[], today: string): ReadonlySet<string> {
  const past = days.filter((day) => day <= today).sort((a, b) => (a < b ? 1 : -1));
  const newestOf = (groupOf: (day: string) => string, most: number): readonly string[] => {
    const groups = new Map<string, string>();
    for (const day of past) if (!groups.has(groupOf(day))) groups.set(groupOf(day), day);
    return [...groups.values()].slice(0, most);
  };
  return new Set([
    ...days.filter((day) => day > today),
    ...past.slice(0, DAYS),
    ...newestOf(weekOf, WEEKS),
    ...newestOf((day) => day.slice(0, 7), MONTHS),
  ]);
}

/** Weeks begin on Monday; the number since 1970 names one. */
const weekOf = (day: string): string => String(Math.floor((Date.parse(day) / DAY_MS + 3) / 7));
