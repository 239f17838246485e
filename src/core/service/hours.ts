/** When anything can begin at all, s from midnight. */
export interface Hours {
  /** Nothing that was not begun can begin before. -Infinity: the clock does not matter. */
  readonly nowS: number;
  /** From midnight until then nobody is there; the evening before somebody is. */
  readonly opensS: number;
}

/** The first moment not before the wanted one at which somebody can begin something. */
export function beginsAt(wantedS: number, { nowS, opensS }: Hours): number {
  const start = Math.max(wantedS, nowS);
  return start >= 0 && start < opensS ? opensS : start;
}
