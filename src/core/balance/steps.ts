/** Long work as a generator that reports how far it is: the caller paces it, shows progress and stops it. */
export interface Progress {
  readonly done: number;
  readonly total: number;
}
export type Work<T> = Generator<Progress, T, void>;

/** Runs the work to its end at once. */
export function finish<T>(work: Work<T>): T {
  for (;;) {
    const step = work.next();
    if (step.done) return step.value;
  }
}
