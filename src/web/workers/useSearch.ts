import { useCallback, useEffect, useRef, useState } from 'react';
import type { Answers, Kind, Questions } from './protocol';
import { searcher } from './searcher';

export type Search<T> =
  | { readonly status: 'idle' | 'stopped' }
  /** `done` 0..1. */
  | { readonly status: 'working'; readonly done: number }
  | { readonly status: 'done'; readonly answer: T }
  | { readonly status: 'failed'; readonly message: string };

/** Asks whenever the question changes; the one before is dropped. The question must be kept by identity. */
export function useSearch<K extends Kind>(
  kind: K,
  question: Questions[K] | null,
): { search: Search<Answers[K]>; stop: () => void; again: () => void } {
  const [search, setSearch] = useState<Search<Answers[K]>>({ status: 'idle' });
  const [round, setRound] = useState(0);
  const stopper = useRef<AbortController | null>(null);
  useEffect(() => {
    if (!question) {
      setSearch({ status: 'idle' });
      return undefined;
    }
    const controller = new AbortController();
    stopper.current = controller;
    setSearch({ status: 'working', done: 0 });
    searcher
      .ask(kind, question, {
        signal: controller.signal,
        onProgress: ({ done, total }) => {
          if (!controller.signal.aborted) setSearch({ status: 'working', done: done / total });
        },
      })
      .then(
        (answer) => {
          if (!controller.signal.aborted) setSearch({ status: 'done', answer });
        },
        (error: unknown) => {
          if (controller.signal.aborted) return;
          setSearch({ status: 'failed', message: error instanceof Error ? error.message : String(error) });
        },
      );
    return () => {
      controller.abort();
    };
  }, [kind, question, round]);
  const stop = useCallback(() => {
    stopper.current?.abort();
    setSearch({ status: 'stopped' });
  }, []);
  const again = useCallback(() => {
    setRound((now) => now + 1);
  }, []);
  return { search, stop, again };
}
