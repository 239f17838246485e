/**
 * Who gets what, under which code. Orders are balanced over the panel (each serving order as often as the
 * others, within one) and shuffled; codes are three digits, none twice on a card. The same seed gives the
 * same panel.
 */
import { SeededRandom } from '#core/numeric';
import type { TestKind } from './tests';

export type Sample = 'a' | 'b';
export interface Serving {
  readonly sample: Sample;
  readonly code: string;
}
export interface Card {
  /** From 1. */
  readonly taster: number;
  readonly servings: readonly Serving[];
}

const ORDERS: Readonly<Record<TestKind, readonly (readonly Sample[])[]>> = {
  triangle: [
    ['a', 'b', 'b'],
    ['b', 'a', 'a'],
    ['a', 'a', 'b'],
    ['b', 'b', 'a'],
    ['a', 'b', 'a'],
    ['b', 'a', 'b'],
  ],
  paired: [
    ['a', 'b'],
    ['b', 'a'],
  ],
};

/** @param tasters whole number from 1 */
export function cardsFor(kind: TestKind, tasters: number, seed: number): readonly Card[] {
  if (!Number.isInteger(tasters) || tasters < 1) throw new RangeError('A panel needs a taster.');
  const random = new SeededRandom(seed);
  const orders: (readonly Sample[])[] = [];
  while (orders.length < tasters) orders.push(...shuffled(ORDERS[kind], random));
  return orders.slice(0, tasters).map((order, index): Card => {
    const codes = new Set<string>();
    while (codes.size < order.length) codes.add(String(100 + Math.floor(random.next() * 900)));
    const list = [...codes];
    return { taster: index + 1, servings: order.map((sample, i) => ({ sample, code: list[i]! })) };
  });
}

function shuffled<T>(items: readonly T[], random: SeededRandom): T[] {
  const list = [...items];
  for (let i = list.length - 1; i > 0; i--) {
    const j = Math.floor(random.next() * (i + 1));
    [list[i], list[j]] = [list[j]!, list[i]!];
  }
  return list;
}

/** The code of the one that is unlike the others. */
export function oddCode({ servings }: Card): string | null {
  const odd = servings.filter(({ sample }) => servings.filter((one) => one.sample === sample).length === 1);
  return servings.length === 3 && odd.length === 1 ? odd[0]!.code : null;
}

/** What a chosen code comes to: right or wrong in a triangle, a vote for a or b in a pair; null where no such code was served. */
export function answerOf(card: Card, code: string): 'right' | 'wrong' | Sample | null {
  const serving = card.servings.find((one) => one.code === code);
  if (!serving) return null;
  return card.servings.length === 3 ? (oddCode(card) === code ? 'right' : 'wrong') : serving.sample;
}
