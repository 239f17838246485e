/** The windows of a style, moved so that what arrives with a dish lands in them. */
import type { Style } from '#core/palate';
import type { DishAtTime, DishMeasure, PouredDressing } from './dish';
import { DISH_MEASURES } from './dish';

/** Less than nothing cannot be asked of a dressing, and a window of no width would never be met. */
const LEAST_SHARE = 0.25;

/**
 * What the things bring is left out of the dressing, what they take is put on top of it. Holds for a dressing
 * near the one it was reckoned with.
 *
 * @param saltTimes of the salt that is to arrive, 0..1: what this dish was too salty before
 */
export function windowsForDish(
  windows: Style['windows'],
  { holds }: Pick<PouredDressing, 'holds'>,
  { asDressing }: Pick<DishAtTime, 'asDressing'>,
  saltTimes = 1,
): Style['windows'] {
  const moved = DISH_MEASURES.flatMap((measure: DishMeasure) => {
    const styled = windows[measure];
    if (!styled) return [];
    const times = measure === 'salt' ? saltTimes : 1;
    const window = { low: styled.low * times, high: styled.high * times };
    const arrives = asDressing[measure] - holds[measure];
    // What is drunk is salted and soured again; richer it only gets by more of it.
    const by = measure === 'fat' ? Math.max(0, arrives) : arrives;
    const width = window.high - window.low;
    const high = Math.min(1, Math.max(window.high - by, width * LEAST_SHARE));
    const low = Math.max(0, Math.min(window.low - by, high - width * LEAST_SHARE));
    return [[measure, { low, high }] as const];
  });
  return { ...windows, ...Object.fromEntries(moved) };
}
