/** What a batch kept aside to be tasted in, and what of it is still there. */
import type { BatchRecord } from '#contract';
import { isKind, standingEvents, type LoggedEvent } from '#core/trial';

type AsideLine = BatchRecord['plan']['lines'][number] & { readonly leftG: number };

/** Less than this is what sticks to the bowl, g. */
export const NOTHING_LEFT_G = 0.05;

/** Every line of which something was kept aside, with what of it did not go in yet. */
export function asideOf(
  { plan }: Pick<BatchRecord, 'plan'>,
  events: readonly LoggedEvent[],
): readonly AsideLine[] {
  const added = standingEvents(events)
    .filter(isKind('added'))
    .flatMap(({ event }) => event.lines);
  return plan.lines
    .filter(({ aside }) => aside !== 'no')
    .map((line) => {
      const put = added
        .filter(({ ingredientId, form }) => ingredientId === line.ingredientId && form === line.form)
        .reduce((sum, { massG }) => sum + massG, 0);
      return { ...line, leftG: Math.max(0, line.asideG - put) };
    });
}

/** Held back to be tasted in, and neither put in nor said to stay out. */
export const stillAside = (batch: BatchRecord): readonly AsideLine[] =>
  asideOf(batch, batch.whole?.events ?? []).filter(
    ({ aside, leftG }) => aside === 'held-back' && leftG > NOTHING_LEFT_G,
  );
