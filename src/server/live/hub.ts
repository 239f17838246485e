import type { News } from '#contract';
import type { Wire } from '../db/wire';

/** The screens of this process; what it is told here, the other processes on the same database are told too. */
export class LiveHub {
  private readonly listeners = new Set<(news: News) => void>();

  constructor(private readonly wire: Wire) {
    wire.hear(
      (news) => {
        // Only ever written by another hub, below.
        this.spread(news as News);
      },
      () => {
        this.spread({ about: 'gap' });
      },
    );
  }

  listen(listener: (news: News) => void): () => void {
    this.listeners.add(listener);
    return () => {
      this.listeners.delete(listener);
    };
  }

  tell(news: News): void {
    this.spread(news);
    void this.wire.send(news);
  }

  private spread(news: News): void {
    for (const listener of this.listeners) listener(news);
  }
}
