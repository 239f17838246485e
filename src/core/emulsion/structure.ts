/**
 * Body of the base: what is thick before any fresh oil goes in. Each thing is thinned as if all that has body were of
 * its kind, then averaged by share (a power mean after Kendall & Monroe 1917, from memory; one exponent per family,
 * because packed drops lose body faster than pulp does):
 *
 *   τ_b = Σ (g_i/X_t) τ_i X_t^n_i,  g_i = x_i min(1, τ_i²),  X_t = Σ g_i
 *   η_b = Σ (x_i/X) (X η_i^(1/n_i) + (1 − X) η_L^(1/n_i))^n_i,  X = Σ x_i without the thin family
 *
 * x: share of the volume without poured oil. η_L: the thin part, sugar-water with gum and the thin family, by the mean
 * of the logarithms. Nut paste with too little water has its oil outside: y = 1/(1 + (0.22/u)⁴), u ml water per ml of
 * paste. Range: 0-60 °C. Neat values: the pantry, else the category; estimate.
 */
import type { Tool } from '#core/formula';
import type { Category, Composition, StructureFamily, StructureValues } from '#core/ingredient';
import { fitted } from './fitted';
import { isMachine } from './tools';

/** Only things this wet have a body by category alone. */
const WET = 0.3;
/** Juice holds less fibre than this: it is no purée. */
const PULP_FIBRE = 0.01;

const raw = (yieldStressPa: number, viscosityPaS: number, exponent: number): StructureValues => ({
  family: 'raw',
  yieldStressPa,
  viscosityPaS,
  exponent,
  restPa: 0,
  cut: 'pieces',
});
const BY_CATEGORY: Partial<Record<Category, StructureValues>> = {
  herb: raw(60, 2, 3.3),
  aromatic: raw(25, 1, 3.7),
  veg: raw(20, 0.8, 3.7),
  fruit: raw(10, 0.5, 3.7),
};
/** A creamy thing that a kitchen entered without saying how thick it is. */
const LIKE_YOGHURT: StructureValues = {
  family: 'dairy',
  yieldStressPa: 18,
  viscosityPaS: 0.8,
  exponent: 6.5,
  restPa: 0,
  cut: 'smooth',
};

interface Structured {
  readonly category: Category;
  readonly composition: Composition;
  readonly structure: StructureValues | null;
  readonly byHand?: unknown;
}

/** Null: it runs like water or syrup, or is dry. */
export function structureOf({
  category,
  composition,
  structure,
  byHand,
}: Structured): StructureValues | null {
  if (structure) return structure;
  if (composition.water <= WET) return null;
  if (category === 'creamy') return byHand === undefined ? null : LIKE_YOGHURT;
  if (category === 'fruit' && composition.fibre < PULP_FIBRE) return null;
  return BY_CATEGORY[category] ?? null;
}

/** Share of a cut thing that the tool turns into purée. Estimate. */
const RELEASED: Readonly<Record<Tool, number>> = {
  fork: 0.15,
  shake: 0.15,
  whisk: 0.15,
  frother: 0.15,
  mortar: 0.6,
  processor: 0.9,
  blender: 1,
  stick: 1,
  'stick-pro': 1,
};
/** What of its gel a stirred dairy base keeps. Estimate. */
const GEL_KEPT: Readonly<Record<Tool, number>> = {
  fork: 1,
  mortar: 0.8,
  whisk: 0.75,
  shake: 0.7,
  frother: 0.6,
  processor: 0.5,
  blender: 0.4,
  stick: 0.4,
  'stick-pro': 0.4,
};
const FIRM_BY_HAND = 0.4;

/** Body as the tool leaves it; `share` of the volume counts, the rest are pieces. */
export function worked(values: StructureValues, tool: Tool): StructureValues & { readonly share: number } {
  const kept = GEL_KEPT[tool];
  const byFamily = values.family === 'dairy' ? kept : values.family === 'cream' ? 0.7 + 0.3 * kept : 1;
  const firm = values.cut === 'firm' && !isMachine(tool) ? FIRM_BY_HAND : 1;
  return {
    ...values,
    yieldStressPa: values.yieldStressPa * byFamily * firm,
    viscosityPaS: values.viscosityPaS * fitted('baseViscosity'),
    share: values.cut === 'pieces' ? RELEASED[tool] : 1,
  };
}

/** How long a body waits before it weeps, against a stirred yoghurt. Estimate. */
const PATIENCE: Readonly<Record<StructureFamily, number>> = {
  starch: 2.2,
  nut: 3,
  cream: 1.6,
  packed: 1,
  dairy: 1,
  pulp: 1,
  curd: 1,
  yolk: 1,
  thin: 0.6,
  fruit: 0.2,
  paste: 0.15,
  mustard: 0.1,
  raw: 0.25,
};
/** Families that weep as such where they are most of the jar. */
const WEEPS: ReadonlySet<StructureFamily> = new Set(['dairy', 'nut', 'pulp', 'curd', 'fruit', 'raw']);

/** One structured thing in the base, as the tool left it. */
export interface BaseShare {
  readonly family: StructureFamily;
  /** Of the base's volume, 0..1. */
  readonly x: number;
  readonly yieldStressPa: number;
  readonly viscosityPaS: number;
  readonly exponent: number;
  /** Keeps a little rest of its own, Pa: what holds drops in cream, buttermilk, yolk. */
  readonly restPa: number;
}

export interface BaseBody {
  readonly yieldStressPa: number;
  readonly viscosityPaS: number;
  /** The thin part alone. */
  readonly thinPaS: number;
  readonly patience: number;
  /** Σ x_i r_i, Pa. */
  readonly restPa: number;
  /** Share of the base that weeps as such, 0..1. */
  readonly weeps: number;
}

/**
 * @param thinPaS η_L
 * @param waterPerPaste ml water per ml of nut paste; Infinity where there is none
 */
export function bodyOf(shares: readonly BaseShare[], thinPaS: number, waterPerPaste: number): BaseBody {
  const held = (share: BaseShare): number => share.x * Math.min(1, share.yieldStressPa ** 2);
  const heldX = sum(shares, held);
  const thick = shares.filter(({ family }) => family !== 'thin');
  const thickX = Math.min(
    1,
    sum(thick, ({ x }) => x),
  );
  let yieldStressPa =
    heldX > 0
      ? sum(
          shares,
          (share) => (held(share) / heldX) * share.yieldStressPa * Math.min(1, heldX) ** share.exponent,
        )
      : 0;
  let viscosityPaS =
    thickX > 0
      ? sum(thick, ({ x, viscosityPaS: neat, exponent: n }) => {
          const [full, thin] = [Math.max(neat, thinPaS) ** (1 / n), thinPaS ** (1 / n)];
          return (x / thickX) * (thickX * full + (1 - thickX) * thin) ** n;
        })
      : thinPaS;
  const y = 1 / (1 + (fitted('pasteTurnsAt') / waterPerPaste) ** 4);
  yieldStressPa = y * yieldStressPa + fitted('pasteYieldPa') * (1 - y);
  viscosityPaS = y * viscosityPaS + fitted('pasteViscosityPaS') * (1 - y);
  if (yieldStressPa > 0) yieldStressPa = (yieldStressPa ** -4 + fitted('mostBaseYieldPa') ** -4) ** -0.25;
  const weight = ({ x, yieldStressPa: tau }: BaseShare): number => x * Math.max(tau, 0.5) ** 0.25;
  const weights = sum(shares, weight);
  return {
    yieldStressPa,
    viscosityPaS,
    thinPaS,
    patience: weights > 0 ? sum(shares, (share) => weight(share) * PATIENCE[share.family]) / weights : 1,
    restPa: sum(shares, ({ x, restPa }) => x * restPa),
    weeps: sum(shares, ({ family, x }) => (WEEPS.has(family) ? x : 0)),
  };
}

const sum = <T>(items: readonly T[], of: (item: T) => number): number =>
  items.reduce((total, item) => total + of(item), 0);
