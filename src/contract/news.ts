/** What is told to every open screen: that something it may show has changed; what it is, it asks for. */
import type { SharedKind } from './shared';

export type News =
  | { readonly about: 'trials'; readonly formulaId: string }
  | { readonly about: 'timers' }
  | { readonly about: 'plan'; readonly day: string }
  | { readonly about: 'formula'; readonly id: string }
  | { readonly about: 'shared'; readonly kind: SharedKind; readonly id: string }
  | { readonly about: 'kept'; readonly what: 'measures' | 'panels' | 'dressings' }
  /** News may have been missed. */
  | { readonly about: 'gap' }
  /** A backup was restored: nothing that is shown holds any more. */
  | { readonly about: 'everything' };
