/** Paces long work: a slice at a time, so that what waits (a cancel, a frame) gets its turn. */
import type { Progress, Work } from '#core/balance';

export interface Pacing {
  /** Asked before every step; true ends the work for good. */
  readonly stopped: () => boolean;
  readonly onProgress: (progress: Progress) => void;
  readonly now: () => number;
  /** Lets everything else have its turn. */
  readonly breathe: () => Promise<void>;
}

const SLICE_MS = 8;

/** @returns null where it was stopped */
export async function drive<T>(
  work: Work<T>,
  { stopped, onProgress, now, breathe }: Pacing,
): Promise<T | null> {
  let since = now();
  for (;;) {
    if (stopped()) {
      work.return(undefined as never);
      return null;
    }
    const step = work.next();
    if (step.done) return step.value;
    if (now() - since < SLICE_MS) continue;
    onProgress(step.value);
    await breathe();
    since = now();
  }
}
