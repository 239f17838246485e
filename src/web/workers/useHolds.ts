import { useEffect, useMemo, useState } from 'react';
import { hold, holdKey, type Hold, type HoldRequest } from '#core/emulsion';
import { searcher } from './searcher';

/** Typing asks for a picture at every key; only what stands still is drawn. */
const STILL_MS = 120;
const MOST_KEPT = 150;
/** By input: an unchanged dressing is not computed twice, nor drawn twice. */
const kept = new Map<string, Hold | null>();

function holdOf(request: HoldRequest): Hold | null {
  const key = holdKey(request);
  const found = kept.get(key);
  if (found !== undefined) return found;
  return keep(key, hold(request));
}

function keep(key: string, found: Hold | null): Hold | null {
  kept.set(key, found);
  if (kept.size > MOST_KEPT) kept.delete(kept.keys().next().value!);
  return found;
}

/** How thick and how long, of each request, at once: a closed form follows the typing. Null: nothing in the jar. */
export const useHolds = (requests: readonly (HoldRequest | null)[]): readonly (Hold | null)[] =>
  useMemo(() => requests.map((request) => request && holdOf(request)), [requests]);

interface DrawnHolds {
  /** Frames are empty until they are drawn. */
  readonly holds: readonly (Hold | null)[];
  /** Why the layers could not be drawn; null while all is well. */
  readonly failed: string | null;
}

/** With their layers in time, which a worker draws, one after the other. */
export function useDrawnHolds(requests: readonly (HoldRequest | null)[]): DrawnHolds {
  const [drawn, setDrawn] = useState<ReadonlyMap<string, Hold | null>>(new Map());
  const [failed, setFailed] = useState<string | null>(null);
  useEffect(() => {
    const controller = new AbortController();
    const wanted = new Set(requests.flatMap((request) => (request ? [holdKey(request)] : [])));
    const take = (key: string, found: Hold | null): void => {
      keep(key, found);
      setDrawn((now) => new Map([...now].filter(([other]) => wanted.has(other))).set(key, found));
    };
    const run = async (): Promise<void> => {
      for (const request of requests) {
        if (!request || holdOf(request)?.frames.length !== 0) continue;
        try {
          const answer = await searcher.ask('hold', request, { signal: controller.signal });
          take(holdKey(request), answer.hold);
          setFailed(null);
        } catch (error) {
          if (controller.signal.aborted) return;
          setFailed(error instanceof Error ? error.message : String(error));
        }
      }
    };
    const timer = setTimeout(() => void run(), STILL_MS);
    return () => {
      clearTimeout(timer);
      controller.abort();
    };
  }, [requests]);
  const holds = useMemo(
    () => requests.map((request) => request && (drawn.get(holdKey(request)) ?? holdOf(request))),
    [requests, drawn],
  );
  return { holds, failed };
}
