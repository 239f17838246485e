/**
 * Every number of the thickness and hold model that was fitted or estimated, in one place, with what it was fitted to.
 * Values that belong to a kind of binder, tool, oil or ingredient stand in their own tables (`binders.ts`, `tools.ts`,
 * `oils.ts`, the pantry). "Kitchen practice" is what cooks expect of named dressings, as intervals.
 */
import type { Tag } from '#core/ingredient';

interface Fitted {
  readonly value: number;
  readonly tag: Tag;
}

const estimate = (value: number): Fitted => ({ value, tag: 'estimate' });
const memory = (value: number): Fitted => ({ value, tag: 'from memory' });

export const FITTED = {
  /** Share of the neat viscosity that a stirred base keeps. Fitted to: kitchen practice: pourable yoghurt and mayonnaise sauces. */
  baseViscosity: estimate(0.9),
  /** Fitted to: yield of 0.5 % xanthan in water. */
  gumYieldPa: estimate(2.5),
  /** Fitted to: g per 100 g of water at which it has that yield. */
  gumYieldAt: estimate(0.5),
  /** Fitted to: g per 100 g of water; beyond it is a paste. */
  mostGum: estimate(3),
  /** Fitted to: xanthan at 50 1/s, 0.05 to 0.3 %. */
  gumPouring: estimate(30),
  /** Fitted to the same. */
  gumPouringExponent: estimate(1.35),
  /** Fitted to: xanthan near rest, 0.05 to 0.3 %. */
  gumResting: estimate(40),
  /** Fitted to the same. */
  gumRestingQuartic: estimate(2.7),
  /** Fitted to: kitchen practice: shaken 3 : 1 with 1 to 3 tsp of mustard. */
  mucilageResting: estimate(5.5),
  /** ml water per ml nut paste at which water comes outside. Fitted to: it seizes at 0.25 to 0.4. */
  pasteTurnsAt: estimate(0.22),
  /** Fitted to: nut paste, oil outside. */
  pasteYieldPa: estimate(8),
  /** Fitted to the same. */
  pasteViscosityPaS: estimate(3),
  /** Fitted to: seized nut paste, cream cheese: what a spoon still moves. */
  mostBaseYieldPa: estimate(350),
  /** Fitted to: kitchen practice: hold of shaken and blended 3 : 1. */
  dropScale: estimate(0.9),
  /** Fitted to: a thicker mix breaks finer; 0.1 to 0.4 in the literature as recalled. */
  thickMixExponent: estimate(0.25),
  /** A more viscous drop breaks later (Taylor, Grace, Davies; from memory). */
  oilViscosityExponent: estimate(0.25),
  /** Fitted to: drops without a film that meet while the tool still runs. */
  bareRegrowth: estimate(1.5),
  /** Fitted to: share of its surface that a weak binder really covers. */
  weakSurface: estimate(0.4),
  /** Fitted to: creaming of the drops of bought dairy and mayonnaise. */
  boughtNetwork: estimate(0.4),
  /** Fitted to: mayonnaise without binder inverts at 0.74 to 0.82. */
  mostOilBare: memory(0.8),
  /** Fitted to: from all in to split, as a share of the volume. */
  pastLimitSpan: estimate(0.03),
  /** Fitted to: oil that has run together. */
  splitDropM: estimate(250e-6),
  /** Fitted to: yolk films stick: body begins below close packing. */
  yolkSticksPacking: estimate(0.06),
  /** Fitted to the same. */
  yolkSticksBelowM: estimate(12e-6),
  /** Mason, Bibette & Weitz 1996. */
  packedYield: memory(0.51),
  /** Fitted to: φ at which drops stop flowing past each other. */
  flowLimit: memory(0.89),
  /** Fitted to: coarse drops; finer ones resist more. */
  flowExponent: estimate(1.6),
  /** Fitted to: a decade of drop size. */
  flowExponentFiner: estimate(0.4),
  /** Fitted to: time until the first layer is seen, against rise over its height. */
  creamingStart: estimate(1.1),
  /** Fitted to: a stirred yoghurt. */
  restYieldPa: estimate(10),
  /** Fitted to: kitchen practice: thinned yoghurt, tahini and mayonnaise. */
  restExponent: estimate(0.6),
  /** Fitted to: a stirred yoghurt weeps in 2 to 4 days. */
  restDays: estimate(2.8),
  /** Fitted to: share of the volume below which drops make no layer. */
  fewDrops: estimate(0.03),
  /** Fitted to: share of the volume at which a base weeps as such. */
  weepsFrom: estimate(0.25),
  /** Fitted to: nobody looks sooner. */
  leastS: estimate(10),
} as const satisfies Record<string, Fitted>;

/** The value alone. */
export const fitted = (name: keyof typeof FITTED): number => FITTED[name].value;
