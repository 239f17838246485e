/** The passcode, and what a kitchen keeps: vessels, ingredients, stock, styles, cooks, settings. */
import type {
  BackupsState,
  Cook,
  FindAnswer,
  OwnIngredient,
  PantryEntry,
  Restoring,
  SessionState,
  Settings,
} from '#contract';
import type { Style } from '#core/palate';
import type { Vessel } from '#core/vessel';
import { ALL_TAGS } from './base';
import { counterApi } from './counter';

export const keepingApi = counterApi.injectEndpoints({
  endpoints: (build) => ({
    session: build.query<SessionState, void>({ query: () => 'session', providesTags: ['Session'] }),
    signIn: build.mutation<SessionState, string>({
      query: (passcode) => ({ url: 'session', method: 'POST', body: { passcode } }),
      // Everything that was refused meanwhile is asked for again.
      invalidatesTags: (result) => (result ? ['Session', ...ALL_TAGS] : []),
    }),
    signOut: build.mutation<SessionState, void>({
      query: () => ({ url: 'session', method: 'DELETE', body: {} }),
      invalidatesTags: ['Session'],
    }),
    find: build.query<FindAnswer, string>({
      query: (q) => ({ url: 'find', params: { q } }),
      // Asked anew each time the field is opened: what it finds may have changed meanwhile.
      keepUnusedDataFor: 5,
    }),
    vessels: build.query<Vessel[], void>({ query: () => 'vessels', providesTags: ['Vessels'] }),
    ownIngredients: build.query<OwnIngredient[], void>({
      query: () => 'ingredients',
      providesTags: ['Ingredients'],
    }),
    pantry: build.query<Record<string, PantryEntry>, void>({
      query: () => 'pantry',
      providesTags: ['Pantry'],
    }),
    styles: build.query<Style[], void>({ query: () => 'styles', providesTags: ['Styles'] }),
    cooks: build.query<Cook[], void>({ query: () => 'cooks', providesTags: ['Cooks'] }),
    backups: build.query<BackupsState, void>({ query: () => 'backups' }),
    restoring: build.query<Restoring, void>({ query: () => 'restore' }),
    settings: build.query<Settings, void>({ query: () => 'settings', providesTags: ['Settings'] }),
  }),
});
