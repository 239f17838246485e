/** Server-sent events (WHATWG HTML, 9.2). */
import type { Request, Response } from 'express';

const HEARTBEAT_MS = 15_000;

export interface EventStream {
  readonly send: (event: string, data: unknown) => void;
}

/** @param onClose once, when the reader is gone */
export function openEventStream(request: Request, response: Response, onClose: () => void): EventStream {
  response.status(200).set({
    'Content-Type': 'text/event-stream',
    'Cache-Control': 'no-store, no-transform',
    'X-Accel-Buffering': 'no',
  });
  // The reader comes back by itself after so long.
  response.write('retry: 1000\n\n');
  const heartbeat = setInterval(() => {
    response.write(': still here\n\n');
  }, HEARTBEAT_MS);
  request.on('close', () => {
    clearInterval(heartbeat);
    onClose();
  });
  return {
    send: (event, data) => {
      // A reader that is slower than its news misses some, rather than filling the memory.
      if (!response.writableNeedDrain) response.write(`event: ${event}\ndata: ${JSON.stringify(data)}\n\n`);
    },
  };
}
