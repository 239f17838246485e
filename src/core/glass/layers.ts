/**
 * What lies in the glass, floor to surface: watery, mixed, creamed, free oil; foam, and what floats or lies at the bottom,
 * are named and left out of the heights. Kinds by order and colour: oil that is free is clear, so that it is darker and
 * more yellow than what lies under it. Rules: common practice; limits: estimate.
 */
import type { Lab, Marks, Photo } from './photo';
import { median, profileOf, ROWS, type Profile } from './profile';
import { bordersOf, type Border } from './segments';

export const LAYER_KINDS = ['watery', 'mixed', 'creamed', 'oil'] as const;
export type LayerKind = (typeof LAYER_KINDS)[number];
export const ASIDE_KINDS = ['foam', 'floating', 'lying'] as const;

export interface GlassLayer {
  readonly kind: LayerKind | (typeof ASIDE_KINDS)[number];
  /** Shares of the liquid's height, from the floor. */
  readonly from: number;
  readonly to: number;
  /** Either end may be off by so much, share of the height; 0 at floor and surface. */
  readonly doubt: readonly [from: number, to: number];
}
export interface InTheGlass {
  /** Floor to surface; one that is "mixed": no layer to be seen. */
  readonly layers: readonly GlassLayer[];
  /** For drawing. */
  readonly colours: readonly Lab[];
}

/** @param marks without a problem, see `marksProblem` */
export function lookAtGlass(photo: Photo, marks: Marks): InTheGlass {
  const profile = profileOf(photo, marks);
  return { layers: layersOf(profile, bordersOf(profile.colours)), colours: profile.colours };
}

interface Part {
  readonly from: number;
  readonly to: number;
  readonly doubt: readonly [number, number];
  readonly colour: Lab;
  readonly texture: number;
}

function layersOf({ colours, texture }: Profile, borders: readonly Border[]): readonly GlassLayer[] {
  const ends = [{ at: 0, doubt: 0 }, ...borders, { at: 1, doubt: 0 }];
  const parts = ends.slice(1).map((end, i): Part => {
    const start = ends[i]!;
    const [from, to] = [
      Math.floor(start.at * ROWS),
      Math.max(Math.floor(start.at * ROWS) + 1, Math.ceil(end.at * ROWS)),
    ];
    const rows = colours.slice(from, to);
    return {
      ...{ from: start.at, to: end.at, doubt: [start.doubt, end.doubt] as const },
      colour: [0, 1, 2].map((c) => median(rows.map((row) => row[c]!))) as unknown as Lab,
      texture: median(texture.slice(from, to)),
    };
  });
  const aside = parts.map((_, i) => asideOf(parts, i));
  const kinds = kindsOf(parts.filter((_, i) => aside[i] === null).map(({ colour }) => colour));
  let next = 0;
  return parts.map(({ from, to, doubt }, i) => ({ kind: aside[i] ?? kinds[next++]!, from, to, doubt }));
}

const THIN = 0.14;
const ROUGH = 2.2;
const LEAST_ROUGH = 1.5;

/** What is rough and thin at either end is no layer of the liquid. */
function asideOf(parts: readonly Part[], i: number): (typeof ASIDE_KINDS)[number] | null {
  const part = parts[i]!;
  const isEnd = i === 0 || i === parts.length - 1;
  if (parts.length < 2 || !isEnd || part.to - part.from > THIN) return null;
  const others = parts.filter((_, k) => k !== i);
  const calm = Math.min(...others.map(({ texture }) => texture));
  if (part.texture < Math.max(LEAST_ROUGH, ROUGH * calm)) return null;
  if (i === 0) return 'lying';
  return part.colour[0] > parts[i - 1]!.colour[0] ? 'foam' : 'floating';
}

const YELLOWER = 5;

function kindsOf(colours: readonly Lab[]): readonly LayerKind[] {
  const count = colours.length;
  if (count <= 1) return ['mixed'];
  const [under, top] = [colours[count - 2]!, colours[count - 1]!];
  const isFree = top[2] - under[2] >= YELLOWER && top[0] <= under[0] + 2;
  if (count === 2) return isFree ? ['mixed', 'oil'] : ['watery', 'creamed'];
  if (count === 3) return isFree ? ['watery', 'mixed', 'oil'] : ['watery', 'mixed', 'creamed'];
  return ['watery', 'mixed', 'creamed', ...colours.slice(3).map((): LayerKind => 'oil')];
}
