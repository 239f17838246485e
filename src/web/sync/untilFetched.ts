/**
 * A part of the program that the page cannot do without, fetched again and again while the kitchen is away: whoever
 * typed in the second the server died is sent for once it is back.
 */
const PAUSES_MS = [1000, 2000, 4000, 8000, 15_000];

export async function untilFetched<T>(load: () => Promise<T>): Promise<T> {
  for (let tries = 0; ; tries++) {
    try {
      return await load();
    } catch {
      const pauseMs = PAUSES_MS[Math.min(tries, PAUSES_MS.length - 1)];
      await new Promise((resolve) => setTimeout(resolve, pauseMs));
    }
  }
}
