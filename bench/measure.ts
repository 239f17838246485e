/** Median of many timings, ms; the first runs only warm up. */
export function medianMs(run: () => void, { runs, warmup }: { runs: number; warmup: number }): number {
  for (let i = 0; i < warmup; i++) run();
  const times = Array.from({ length: runs }, () => {
    const began = performance.now();
    run();
    return performance.now() - began;
  });
  return median(times);
}

export function median(values: readonly number[]): number {
  return percentile(values, 0.5);
}

export function percentile(values: readonly number[], share: number): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))] ?? NaN;
}

export interface BenchLine {
  readonly name: string;
  readonly oursMs: number;
  readonly otherMs: number;
  readonly other: string;
}

export function printLine({ name, oursMs, otherMs, other }: BenchLine): void {
  const ratio = oursMs / otherMs;
  console.log(
    `${name}\n  ours ${oursMs.toFixed(3)} ms, ${other} ${otherMs.toFixed(3)} ms; ratio ${ratio.toFixed(3)} (below 1: ours is faster)`,
  );
}
