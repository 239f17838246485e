/** Where a figure comes from, as it is shown beside it. */
import type { Tag } from '#core/ingredient';

export const TAG_WORDS: Readonly<Record<Tag, string>> = {
  published: 'published, as recalled: to be confirmed against the source',
  'common practice': 'common practice',
  'from memory': 'from memory',
  estimate: 'estimate',
};
