/** All subsets of 0..count−1 with one to `most` members, smaller first. */
export function subsetsOf(count: number, most: number): readonly (readonly number[])[] {
  let level: number[][] = Array.from({ length: count }, (_, i) => [i]);
  const all: number[][] = [...level];
  for (let size = 2; size <= Math.min(most, count); size++) {
    level = level.flatMap((subset) =>
      Array.from({ length: count - 1 - subset.at(-1)! }, (_, i) => [...subset, subset.at(-1)! + 1 + i]),
    );
    all.push(...level);
  }
  return all;
}
