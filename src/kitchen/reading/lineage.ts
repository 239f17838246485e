/** Versions as a tree laid out as a list: newest first along the main line, branches indented under where they left it. */
import type { VersionRecord } from '#contract';

export interface LineageRow {
  readonly version: VersionRecord;
  readonly depth: number;
  /** It did not grow from the version just before it. */
  readonly branches: boolean;
}

/** The main line leads from the newest version back to the first; everything else branches off it. */
export function lineageOf(versions: readonly VersionRecord[]): readonly LineageRow[] {
  const byNumber = new Map(versions.map((version) => [version.number, version]));
  const depth = new Map<number, number>();
  const newestFirst = [...versions].sort((a, b) => b.number - a.number);
  let lane = 0;
  for (const tip of newestFirst) {
    if (depth.has(tip.number)) continue;
    for (
      let version: VersionRecord | undefined = tip;
      version && !depth.has(version.number);
      version = version.parent === null ? undefined : byNumber.get(version.parent)
    ) {
      depth.set(version.number, lane);
    }
    lane += 1;
  }
  return newestFirst.map((version) => ({
    version,
    depth: depth.get(version.number) ?? 0,
    branches: version.parent !== null && version.parent !== version.number - 1,
  }));
}
