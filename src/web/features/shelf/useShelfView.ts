import { useEffect, useMemo, useState } from 'react';
import type { ShelfRecord, Standings } from '#contract';
import type { Kitchen } from '#kitchen/reading';
import { facetsOf, hasFacets } from './facets';
import { applyFilter, needsFacets, type ShelfFilter } from './filter';

/** Reckoning many formulas yields to the screen this often, so that typing and scrolling stay smooth. */
const SLICE_MS = 5;

export interface ShelfView {
  readonly shown: readonly ShelfRecord[];
  /** Formulas still to be reckoned before the filter is true; 0 when it is. */
  readonly pending: number;
  /** Facets are kept outside of React; each slice of them is a round. */
  readonly round: number;
}

/** What the filter leaves. A large shelf is reckoned in slices; until then the filter covers what is done. */
export function useShelfView(
  records: readonly ShelfRecord[],
  filter: ShelfFilter,
  kitchen: Kitchen,
  standings: Standings,
): ShelfView {
  const needed = needsFacets(filter);
  const [round, setRound] = useState(0);
  useEffect(() => {
    if (!needed) return undefined;
    const left = records.filter((record) => !hasFacets(record, kitchen));
    if (left.length === 0) return undefined;
    const timer = window.setTimeout(() => {
      const until = performance.now() + SLICE_MS;
      for (const record of left) {
        facetsOf(record, kitchen);
        if (performance.now() > until) break;
      }
      setRound((now) => now + 1);
    });
    return () => {
      window.clearTimeout(timer);
    };
  }, [needed, records, kitchen, round]);
  return useMemo(() => {
    const ready = needed ? records.filter((record) => hasFacets(record, kitchen)) : records;
    return {
      shown: applyFilter(ready, filter, kitchen, standings),
      pending: records.length - ready.length,
      round,
    };
  }, [needed, records, filter, kitchen, standings, round]);
}
