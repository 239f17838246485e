/** Timers and the instruments at the counter. */
import {
  OUT_OF_STORE_HEADER,
  type DevicesAnswer,
  type Hand,
  type NewTimer,
  type ScaleClaim,
  type TimersAnswer,
} from '#contract';

import { batchesApi } from './batches';

export interface TimersHere {
  readonly timers: TimersAnswer['timers'];
  /** The kitchen's clock less this device's. */
  readonly offsetMs: number;
}

const OFFSET_KEY = 'ygrana-clock';
/** An answer out of this browser's own store is of an earlier hour: what was known of the clock then holds. */
function offsetMs(now: string, isOld: boolean): number {
  try {
    if (isOld) return Number(localStorage.getItem(OFFSET_KEY) ?? 0) || 0;
    const offset = Date.parse(now) - Date.now();
    localStorage.setItem(OFFSET_KEY, String(offset));
    return offset;
  } catch {
    return isOld ? 0 : Date.parse(now) - Date.now();
  }
}

export const counterApi = batchesApi.injectEndpoints({
  endpoints: (build) => ({
    timers: build.query<TimersHere, void>({
      query: () => 'timers',
      providesTags: ['Timers'],
      transformResponse: ({ now, timers }: TimersAnswer, meta) => ({
        timers,
        offsetMs: offsetMs(now, meta?.response?.headers.has(OUT_OF_STORE_HEADER) === true),
      }),
    }),
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
