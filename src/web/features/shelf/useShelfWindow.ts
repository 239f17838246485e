import { skipToken } from '@reduxjs/toolkit/query';
import { useDeferredValue } from 'react';
import type { ShelfAnswer, ShelfAsk, ShelfChoices, ShelfRecord } from '#contract';
import type { ShelfFilter } from '#kitchen/shelf';
import { useFormulasQuery, useShelfChoicesQuery } from '../../data/kitchenApi';

/** A screen and what lies around it never reach over more than two windows. */
export const WINDOW = 60;
const ASK_AGAIN_MS = 400;

export interface ShelfWindow {
  /** By its place in the filtered shelf; missing until it is fetched. */
  readonly recordAt: (place: number) => ShelfRecord | undefined;
  readonly answer: ShelfAnswer | undefined;
  readonly error: unknown;
  readonly retry: () => void;
}

const askOf = ({ onHand, ...filter }: ShelfFilter, window: number): ShelfAsk => ({
  ...filter,
  onHand: onHand ? '1' : '0',
  offset: window * WINDOW,
  limit: WINDOW,
});

/** The filtered shelf from a place on, fetched a window at a time. */
export function useShelfWindow(typed: ShelfFilter, from: number, to: number): ShelfWindow {
  // What is typed is shown at once; the jars follow.
  const filter = useDeferredValue(typed);
  const [low, high] = [Math.floor(Math.max(0, from) / WINDOW), Math.floor(Math.max(0, to) / WINDOW)];
  const first = useFormulasQuery(askOf(filter, low), { refetchOnMountOrArgChange: true });
  const second = useFormulasQuery(high > low ? askOf(filter, high) : skipToken);
  // A long shelf is looked into in rounds: asked again until all of it is.
  const pending = first.currentData?.pending ?? 0;
  useFormulasQuery(pending > 0 ? askOf(filter, low) : skipToken, { pollingInterval: ASK_AGAIN_MS });
  // What was there last stays until the next has come: each answer says where it belongs.
  const answers = [first.data, high > low ? second.data : undefined];
  const windows = new Map(
    answers.flatMap((one) => (one ? [[one.offset / WINDOW, one.records] as const] : [])),
  );
  return {
    recordAt: (place) => windows.get(Math.floor(place / WINDOW))?.[place % WINDOW],
    answer: first.data,
    error: first.error,
    retry: () => void first.refetch(),
  };
}

const NO_CHOICES: ShelfChoices = { acids: [], allergens: [], pending: 0 };

/** What the shelf can be sifted by; asked again until all of it was looked into. */
export function useShelfChoices(): ShelfChoices {
  const choices = useShelfChoicesQuery().data ?? NO_CHOICES;
  useShelfChoicesQuery(choices.pending > 0 ? undefined : skipToken, { pollingInterval: ASK_AGAIN_MS });
  return choices;
}
