/** The passcode, and what a kitchen keeps: vessels, ingredients, stock, styles, cooks, settings. */
import type { Cook, OwnIngredient, PantryEntry, SessionState, Settings, } from '#contract';
import type { Style } from '#core/palate';
import type { Vessel } from '#core/vessel';
import { ALL_TRIALS, put } from './base';
import { counterApi } from './counter';

export const keepingApi = counterApi.injectEndpoints({
  endpoints: (build) => ({
    session: build.query<SessionState, void>({ query: () => 'session', providesTags: ['Session'] }),
    signIn: build.mutation<SessionState, string>({
      query: (passcode) => ({ url: 'session', method: 'POST', body: { passcode } }),
      // Everything that was refused meanwhile is asked for again.
      invalidatesTags: (result) =>
        result
          ? [
              'Session',
              'Shelf',
              'Formula',
              'Settings',
              'Vessels',
              'Ingredients',
              'Pantry',
              'Cooks',
              'Made',
              'Trials',
              'Timers',
              'Measures',
              'Panels',
              'Batches',
              'Dressings',
              'Plans',
              'PlanWeeks',
            ]
          : [],
    }),
    signOut: build.mutation<SessionState, void>({
      query: () => ({ url: 'session', method: 'DELETE', body: {} }),
      invalidatesTags: ['Session'],
    }),
    vessels: build.query<Vessel[], void>({ query: () => 'vessels', providesTags: ['Vessels'] }),
    saveVessel: build.mutation<Vessel, Vessel>({
      query: (vessel) => put('vessels', vessel),
      invalidatesTags: ['Vessels'],
    }),
    ownIngredients: build.query<OwnIngredient[], void>({
      query: () => 'ingredients',
      providesTags: ['Ingredients'],
    }),
    saveIngredient: build.mutation<OwnIngredient, OwnIngredient>({
      query: (row) => put('ingredients', row),
      invalidatesTags: ['Ingredients'],
    }),
    pantry: build.query<Record<string, PantryEntry>, void>({
      query: () => 'pantry',
      providesTags: ['Pantry'],
    }),
    savePantry: build.mutation<PantryEntry, { id: string; entry: PantryEntry }>({
      query: ({ id, entry }) => ({ url: `pantry/${id}`, method: 'PUT', body: entry }),
      invalidatesTags: ['Pantry'],
    }),
    styles: build.query<Style[], void>({ query: () => 'styles', providesTags: ['Styles'] }),
    saveStyle: build.mutation<Style, Style>({
      query: (style) => put('styles', style),
      invalidatesTags: ['Styles'],
    }),
    dropStyle: build.mutation<unknown, string>({
      query: (id) => ({ url: `styles/${id}`, method: 'DELETE', body: {} }),
      invalidatesTags: ['Styles'],
    }),
    cooks: build.query<Cook[], void>({ query: () => 'cooks', providesTags: ['Cooks'] }),
    saveCook: build.mutation<Cook, Cook>({ query: (cook) => put('cooks', cook), invalidatesTags: ['Cooks'] }),
    settings: build.query<Settings, void>({ query: () => 'settings', providesTags: ['Settings'] }),
    saveSettings: build.mutation<Settings, Settings>({
      query: (body) => ({ url: 'settings', method: 'PUT', body }),
      // How many makings prove a version is one of them.
      invalidatesTags: [ALL_TRIALS],
      async onQueryStarted(next, { dispatch, queryFulfilled }) {
        const shown = dispatch(keepingApi.util.updateQueryData('settings', undefined, () => next));
        try {
          await queryFulfilled;
        } catch {
          shown.undo();
        }
      },
    }),
  }),
});
