/** Tells every open screen that something it may show has changed; what it is, it asks for. */
export type News =
  | { readonly about: 'trials'; readonly formulaId: string }
  | { readonly about: 'timers' }
  /** A backup was restored: nothing that is shown holds any more. */
  | { readonly about: 'everything' };

export class LiveHub {
  private readonly listeners = new Set<(news: News) => void>();

  listen(listener: (news: News) => void): () => void {
    this.listeners.add(listener);
    return () => {
      this.listeners.delete(listener);
    };
  }

  tell(news: News): void {
    for (const listener of this.listeners) listener(news);
  }
}
