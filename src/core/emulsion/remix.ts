/**
 * How often a dressing is mixed again while it is served: min(½ t, lower end of the band); below five
 * minutes it is stirred at each portion. Common practice.
 */
import type { Hold } from './hold';

export type Remix =
  | { readonly kind: 'each-portion' }
  | { readonly kind: 'every'; readonly seconds: number }
  /** It outlives a service. */
  | { readonly kind: 'before-service' };

const LEAST_S = 300;
const SERVICE_S = 8 * 3600;

/** Null hold: there is nothing to separate. A hold without a median outlives the column. */
export function remixOf(hold: Pick<Hold, 'medianS' | 'lowS'> | null): Remix {
  if (!hold || hold.medianS === null) return { kind: 'before-service' };
  const seconds = Math.min(0.5 * hold.medianS, hold.lowS ?? Infinity);
  if (seconds < LEAST_S) return { kind: 'each-portion' };
  return seconds >= SERVICE_S ? { kind: 'before-service' } : { kind: 'every', seconds };
}
