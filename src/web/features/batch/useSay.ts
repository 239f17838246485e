/** Records an event of a batch. What was typed stays where it was until it is written down. */
import { useRef, useState } from 'react';
import type { NewBatchEvent } from '#contract';
import { sayError, useRecordBatchEventMutation } from '../../data/kitchenApi';
import { byNow, newId } from '../../sync/device';
import { put } from '../../sync/outbox';

export interface Saying {
  readonly busy: boolean;
  readonly error: string | null;
  /** True once it is written down, here or by the kitchen. */
  readonly say: (event: NewBatchEvent['event']) => Promise<boolean>;
}

/** What only adds to the record waits in this browser; what closes a batch the kitchen decides, there and then. */
const WAITS: ReadonlySet<NewBatchEvent['event']['kind']> = new Set(['lot', 'temperature', 'noted'] as const);

export function useSay(batchId: string): Saying {
  const [send, { isLoading }] = useRecordBatchEventMutation();
  const [error, setError] = useState<string | null>(null);
  // The same words tried again after a failure are the same event.
  const tried = useRef<{ readonly words: string; readonly id: string } | null>(null);
  const say = async (event: NewBatchEvent['event']): Promise<boolean> => {
    setError(null);
    if (WAITS.has(event.kind)) {
      await put({ kind: 'batch-event', batchId, event });
      return true;
    }
    const words = JSON.stringify(event);
    const id = tried.current?.words === words ? tried.current.id : newId();
    tried.current = { words, id };
    try {
      await send({ batchId, id, event, by: byNow() }).unwrap();
      tried.current = null;
      return true;
    } catch (failure) {
      setError(sayError(failure));
      return false;
    }
  };
  return { busy: isLoading, error, say };
}
