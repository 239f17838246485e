/** Timers and the instruments at the counter. */
import type { DevicesAnswer, Hand, NewTimer, ScaleClaim, TimersAnswer } from '#contract';

import { batchesApi } from './batches';

export const counterApi = batchesApi.injectEndpoints({
  endpoints: (build) => ({
    timers: build.query<TimersAnswer, void>({ query: () => 'timers', providesTags: ['Timers'] }),
    startTimer: build.mutation<TimersAnswer, NewTimer>({
      query: (body) => ({ url: 'timers', method: 'POST', body }),
      invalidatesTags: ['Timers'],
    }),
    endTimer: build.mutation<TimersAnswer, string>({
      query: (id) => ({ url: `timers/${id}/end`, method: 'POST', body: {} }),
      invalidatesTags: ['Timers'],
    }),
    devices: build.query<DevicesAnswer, void>({ query: () => 'devices' }),
    claimScale: build.mutation<DevicesAnswer, ScaleClaim & { takeOver: boolean }>({
      query: (body) => ({ url: 'devices/scale/claim', method: 'POST', body }),
    }),
    releaseScale: build.mutation<DevicesAnswer, string>({
      // Sent while the page goes away, too.
      query: (trialId) => ({
        url: 'devices/scale/release',
        method: 'POST',
        body: { trialId },
        keepalive: true,
      }),
    }),
    tareScale: build.mutation<DevicesAnswer, string>({
      query: (trialId) => ({ url: 'devices/scale/tare', method: 'POST', body: { trialId } }),
    }),
    moveHand: build.mutation<unknown, Hand>({
      query: (body) => ({ url: 'devices/hand', method: 'POST', body }),
    }),
  }),
});
