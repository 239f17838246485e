import { useEffect, useMemo, useState } from 'react';
import { holdKey, type Hold, type HoldRequest } from '#core/emulsion';
import { searcher } from './searcher';

export type HoldReading =
  | { readonly status: 'working' }
  /** Null: nothing in it separates. */
  | { readonly status: 'known'; readonly hold: Hold | null }
  | { readonly status: 'failed'; readonly message: string };

const WORKING: HoldReading = { status: 'working' };
/** Typing asks for a hold at every key; only what stands still is computed. */
const STILL_MS = 120;
const MOST_KEPT = 150;
/** By input: an unchanged dressing is not computed twice. */
const kept = new Map<string, HoldReading>();

function keep(key: string, reading: HoldReading): void {
  kept.set(key, reading);
  if (kept.size > MOST_KEPT) kept.delete(kept.keys().next().value!);
}

/** The hold of each request, streamed in as they are found, in order. */
export function useHolds(requests: readonly (HoldRequest | null)[]): readonly (HoldReading | null)[] {
  const keys = useMemo(() => requests.map((request) => request && holdKey(request)), [requests]);
  const [, setFound] = useState(0);
  useEffect(() => {
    const controller = new AbortController();
    const run = async (): Promise<void> => {
      for (const [i, key] of keys.entries()) {
        // What failed is tried again: the server may be back.
        if (!key || kept.get(key)?.status === 'known') continue;
        try {
          const { hold } = await searcher.ask('hold', requests[i]!, { signal: controller.signal });
          keep(key, { status: 'known', hold });
        } catch (error) {
          if (controller.signal.aborted) return;
          keep(key, { status: 'failed', message: error instanceof Error ? error.message : String(error) });
        }
        if (!controller.signal.aborted) setFound((count) => count + 1);
      }
    };
    const timer = setTimeout(() => void run(), STILL_MS);
    return () => {
      clearTimeout(timer);
      controller.abort();
    };
  }, [keys, requests]);
  return keys.map((key) => (key === null ? null : (kept.get(key) ?? WORKING)));
}
