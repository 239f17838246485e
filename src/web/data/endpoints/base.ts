/** Where the kitchen is asked, and what an answer is known by. */
import { createApi, fetchBaseQuery } from '@reduxjs/toolkit/query/react';

/** What is told of the whole kitchen's jars, apart from the jars of one formula. */
export const ALL_TRIALS = { type: 'Trials', id: 'ALL' } as const;

export const put = <T extends { readonly id: string }>(place: string, body: T) => ({
  url: `${place}/${body.id}`,
  method: 'PUT',
  body,
});

export const baseApi = createApi({
  reducerPath: 'api',
  baseQuery: fetchBaseQuery({ baseUrl: '/api', timeout: 15_000 }),
  tagTypes: [
    'Shelf',
    'Formula',
    'Versions',
    'Settings',
    'Vessels',
    'Ingredients',
    'Pantry',
    'Cooks',
    'Styles',
    'Made',
    'Trials',
    'Timers',
    'Measures',
    'Panels',
    'Batches',
    'Dressings',
    'Plans',
    'PlanWeeks',
    'Session',
  ],
  endpoints: () => ({}),
});
