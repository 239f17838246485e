/**
 * What cannot honestly be weighed is asked for: a jar of unknown size, a number without its unit. The likely answers, as
 * amounts that are read. Tag: common practice.
 */
import { formatCount, type Amount } from '#core/quantity';

/** Grams of what is sold so, the usual first. */
const PACK_G: Readonly<Record<string, readonly number[]>> = {
  tin: [400, 200, 50],
  can: [400, 200, 50],
  jar: [190, 280, 350],
  packet: [25, 100, 200],
  pack: [25, 100, 200],
  sachet: [7, 25, 50],
  bag: [50, 100, 200],
  pouch: [100, 200, 250],
  carton: [200, 500, 1000],
  tub: [150, 250, 500],
  pot: [150, 250, 500],
  tube: [50, 100, 140],
  bottle: [150, 250, 500],
};
const PACKED = new RegExp(String.raw`^(${Object.keys(PACK_G).join('|')})(?:s|es)?\s+(?:of\s+)?(.+)$`, 'i');

export interface Pack {
  readonly pack: string;
  /** What is in it, as it was named. */
  readonly name: string;
  /** "190 g", for all of them together. */
  readonly amounts: readonly string[];
}

/** "jars of pesto" behind a count; null: it names no pack. */
export function packIn(words: string, count: number): Pack | null {
  const found = PACKED.exec(words);
  if (!found) return null;
  const pack = found[1]!.toLowerCase();
  return {
    pack,
    name: found[2]!,
    amounts: PACK_G[pack]!.map((grams) => `${Number((grams * count).toPrecision(6))} g`),
  };
}

/** From here on a bare number is grams or millilitres, below it spoons. */
const FEWEST_GRAMS = 15;

/** "90" of an oil: 90 ml or 90 g. Empty where no single number stands there. */
export function withUnits(amount: Amount, poured: boolean): readonly string[] {
  if (amount.kind !== 'measured' || amount.terms.length !== 1) return [];
  const { nominal } = amount.terms[0]!.count;
  const units = nominal >= FEWEST_GRAMS ? (poured ? ['ml', 'g'] : ['g']) : ['tsp', 'tbsp', 'g'];
  return units.map((unit) => `${formatCount(nominal)} ${unit}`);
}
