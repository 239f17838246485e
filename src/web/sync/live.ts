/** News from the server, so that two screens on one making see each other's steps. */
import { useEffect } from 'react';
import type { News } from '#contract';
import type { FormulaId } from '#core/formula';
import { ALL_TAGS, ALL_TRIALS, kitchenApi } from '../data/kitchenApi';
import { keyOf, type Kind, type WorkKey } from './shared';
import { listsWith } from './lists';
import { useAppDispatch } from './store';

/** Fetched once the page stands. */
const sender = () => import('./sync');

const QUIET_MS = 2000;
const JUST_BEGUN_MS = 5000;
const KEPT = { measures: 'Measures', panels: 'Panels', dressings: 'Dressings' } as const;

/** What a page may show of it beside what is open: asked for anew. */
function tagsOf(news: Exclude<News, { about: 'everything' }>) {
  switch (news.about) {
    case 'timers':
      return ['Timers'] as const;
    case 'plan':
      return ['PlanWeeks'] as const;
    case 'formula':
      return ['Shelf', 'Made', { type: 'Versions', id: news.id }] as const;
    case 'shared':
      return listsWith(keyOf(news.kind, news.id));
    case 'kept':
      return [KEPT[news.what]] as const;
    case 'gap':
      return ALL_TAGS;
    case 'trials':
      return [{ type: 'Trials', id: news.formulaId as FormulaId }, 'Batches'] as const;
  }
}

/** Which of what is open it is about; null: none. */
function keysOf(news: News): ((key: WorkKey) => boolean) | null {
  const one = (kind: Kind, id: string) => (key: WorkKey) => key === keyOf(kind, id);
  if (news.about === 'plan') return one('plan', news.day);
  if (news.about === 'formula') return one('formula', news.id);
  if (news.about === 'shared') return one(news.kind, news.id);
  return news.about === 'gap' ? () => true : null;
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
      const which = keysOf(news);
      if (which) void sender().then(({ refreshOpen }) => refreshOpen(which));
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
        if (opened) {
          dispatch(kitchenApi.util.invalidateTags([...ALL_TAGS]));
          void sender().then(({ refreshOpen }) => refreshOpen());
        }
        opened = true;
        // A page that has only begun is about to send what it has by itself.
        if (performance.now() > JUST_BEGUN_MS)
          void sender().then(({ sync }) => {
            sync.wake();
          });
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
