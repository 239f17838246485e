/** Where the kitchen is asked, and what an answer is known by. */
import { createApi, fetchBaseQuery } from '@reduxjs/toolkit/query/react';
import { answeredBy, meantFor } from '../../sync/kitchenHere';

/** What is told of the whole kitchen's jars, apart from the jars of one formula. */
export const ALL_TRIALS = { type: 'Trials', id: 'ALL' } as const;

/** All that news may be about. */
export const ALL_TAGS = [
  'Shelf',
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
  'Pictures',
  'Batches',
  'Dressings',
  'PlanWeeks',
] as const;

const plain = fetchBaseQuery({
  baseUrl: '/api',
  timeout: 15_000,
  prepareHeaders: (headers, { type }) => {
    // What is asked for is shown; what is sent must not reach another kitchen.
    if (type === 'mutation') for (const [name, value] of Object.entries(meantFor())) headers.set(name, value);
  },
});
const asked: typeof plain = async (args, api, extra) => {
  const answer = await plain(args, api, extra);
  answeredBy(answer.meta?.response?.headers);
  return answer;
};

export const baseApi = createApi({
  reducerPath: 'api',
  baseQuery: asked,
  tagTypes: [...ALL_TAGS, 'Session'],
  endpoints: () => ({}),
});
