/** Asks the search worker. An answer to a question that was dropped is dropped too. */
import { partsWords } from '#words/screens/parts';
import type { Progress } from '#core/balance';
import type { Answers, FromWorker, Kind, Questions, ToWorker } from './protocol';

export interface Port {
  readonly post: (message: ToWorker) => void;
  readonly listen: (hear: (message: FromWorker) => void, broken: () => void) => void;
}

interface Waiting {
  readonly resolve: (answer: Answers[Kind]) => void;
  readonly reject: (error: Error) => void;
  readonly onProgress: (progress: Progress) => void;
}

export class Searcher {
  private readonly waiting = new Map<number, Waiting>();
  private port: Port | null = null;
  private last = 0;

  constructor(private readonly open: () => Port) {}

  /** Rejects with an AbortError once the signal fires; the worker then stops at its next step. */
  ask<K extends Kind>(
    kind: K,
    question: Questions[K],
    {
      signal,
      onProgress = () => undefined,
    }: { signal: AbortSignal; onProgress?: (progress: Progress) => void },
  ): Promise<Answers[K]> {
    const port = (this.port ??= this.opened());
    const id = ++this.last;
    return new Promise<Answers[K]>((resolve, reject) => {
      if (signal.aborted) {
        reject(aborted());
        return;
      }
      this.waiting.set(id, { resolve: resolve as Waiting['resolve'], reject, onProgress });
      signal.addEventListener('abort', () => {
        if (!this.waiting.delete(id)) return;
        port.post({ type: 'cancel', id });
        reject(aborted());
      });
      port.post({ type: 'ask', id, kind, question });
    });
  }

  private opened(): Port {
    const port = this.open();
    port.listen(
      (message) => {
        const asked = this.waiting.get(message.id);
        if (!asked) return;
        if (message.type === 'progress') {
          asked.onProgress(message.progress);
          return;
        }
        this.waiting.delete(message.id);
        if (message.type === 'answer') asked.resolve(message.answer);
        else asked.reject(new Error(message.message));
      },
      () => {
        // A broken worker is replaced at the next question.
        this.port = null;
        for (const { reject } of this.waiting.values()) reject(new Error(partsWords.theSearchBrokeOff));
        this.waiting.clear();
      },
    );
    return port;
  }
}

const aborted = (): Error => new DOMException(partsWords.stopped, 'AbortError');

export const searcher = new Searcher(() => {
  const worker = new Worker(new URL('./search.worker.ts', import.meta.url), { type: 'module' });
  return {
    post: (message) => {
      worker.postMessage(message);
    },
    listen: (hear, broken) => {
      worker.addEventListener('message', ({ data }: MessageEvent<FromWorker>) => {
        hear(data);
      });
      worker.addEventListener('error', broken);
    },
  };
});
