/** The day as the kitchen's wall says it, not as Greenwich does. */
export const dayHere = (at: Date): string => {
  const two = (n: number): string => String(n).padStart(2, '0');
  return `${at.getFullYear()}-${two(at.getMonth() + 1)}-${two(at.getDate())}`;
};

const FIRST_DAYS_AGO = 40;
/** Versions were frozen before jars of them were made: a clock that begins weeks ago, a quarter of an hour a look. */
export function longAgo(now: Date): () => Date {
  let at = now.getTime() - FIRST_DAYS_AGO * 86_400_000;
  return () => {
    at += 15 * 60_000;
    return new Date(at);
  };
}
