/** News from the server, so that two screens on one making see each other's steps. */
import { useEffect } from 'react';
import { ALL_TRIALS, kitchenApi } from '../data/kitchenApi';
import type { FormulaId } from '#core/formula';
import { resumeOutbox } from './outbox';
import { useAppDispatch } from './store';

type News =
  | { readonly about: 'trials'; readonly formulaId: FormulaId }
  | { readonly about: 'timers' }
  | { readonly about: 'plan' }
  | { readonly about: 'gap' }
  | { readonly about: 'everything' };

const QUIET_MS = 2000;

function tagsOf(news: Exclude<News, { about: 'everything' }>) {
  switch (news.about) {
    case 'timers':
      return ['Timers'] as const;
    case 'plan':
      return ['Plans'] as const;
    case 'gap':
      return ['Trials', 'Timers', 'Batches', 'Plans'] as const;
    case 'trials':
      return [{ type: 'Trials', id: news.formulaId }, 'Batches'] as const;
  }
}

/** Open while the page is looked at: a browser has only few connections to give. */
export function useLive(listens: boolean): void {
  const dispatch = useAppDispatch();
  useEffect(() => {
    if (!listens) return undefined;
    let source: EventSource | null = null;
    let quiet: ReturnType<typeof setTimeout> | undefined;
    const onNews = ({ data }: MessageEvent<string>): void => {
      const news = JSON.parse(data) as News;
      if (news.about === 'everything') {
        // A backup was restored: what this page shows may not be there any more.
        window.location.assign('/');
        return;
      }
      dispatch(kitchenApi.util.invalidateTags([...tagsOf(news)]));
      if (news.about !== 'trials') return;
      // Step follows step at the counter: the whole kitchen's jars are asked for once it is quiet.
      clearTimeout(quiet);
      quiet = setTimeout(() => dispatch(kitchenApi.util.invalidateTags([ALL_TRIALS])), QUIET_MS);
    };
    let opened = false;
    const open = (): void => {
      if (source || document.hidden) return;
      source = new EventSource('/api/live');
      source.addEventListener('news', onNews);
      source.addEventListener('open', () => {
        // Whatever was told while nobody listened.
        if (opened) dispatch(kitchenApi.util.invalidateTags([...tagsOf({ about: 'gap' })]));
        opened = true;
        void resumeOutbox();
      });
    };
    const close = (): void => {
      source?.close();
      source = null;
    };
    const onVisibility = (): void => {
      if (document.hidden) close();
      else open();
    };
    open();
    document.addEventListener('visibilitychange', onVisibility);
    return () => {
      document.removeEventListener('visibilitychange', onVisibility);
      clearTimeout(quiet);
      close();
    };
  }, [listens, dispatch]);
}
