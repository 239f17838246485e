/**
 * Two populations of drops, never one mean: fresh ones that the tool broke out of poured oil, and those that came in
 * bought things. Fresh drops in closed form:
 *
 *   d_mech(σ) = 0.9 max(d_ref (t/t_ref)^−p thick (η_oil/75 mPa s)^0.25 (σ/10 mN/m)^0.6, floor max(0.5, thick))
 *   d_bare = 1.5 d_mech(24 mN/m);  d_surf = ((6 V/a)^−4 + d_bare^−4)^−¼
 *   d_f = min((d_mech(σ)³ + d_surf³)^⅓, d_bare)
 *
 * 0.6: Hinze 1955; thick = (η_mix/10 mPa s)^−¼ within 0.35-1.2; 0.25 of the oil: trend of a viscous drop (Taylor,
 * Grace; from memory). The surface goes to the strongest binder first. Everything at the temperature of the mixing:
 * nothing here minds where the jar stands afterwards. Range: 0-60 °C.
 */
import type { Tool } from '#core/formula';
import { BARE, BINDERS, type Binder, type BinderValues } from './binders';
import { fitted } from './fitted';
import type { Phases } from './phases';
import { TOOL_VALUES } from './tools';

export interface Mixing {
  readonly tool: Tool;
  readonly seconds: number;
  /** Of the vessel's brimful volume, 0..1; only shaking minds. */
  readonly fillShare?: number;
  readonly volumeMl: number;
  /** Left out: {@link MIXING_C}. */
  readonly temperatureC?: number;
}

/** A kitchen, °C. */
export const MIXING_C = 20;

/** Drops of poured oil. */
export interface FreshDrops {
  readonly diameterM: number;
  /** Standard deviation of ln d. */
  readonly spread: number;
  readonly tensionNPerM: number;
  /** Share of the surface that is covered, 0..1, and by what. */
  readonly covered: number;
  readonly shares: readonly BinderShare[];
  /** Surface the binders could cover over surface there is; may be above 1. */
  readonly coverage: number;
  /** What holds it back from being finer. */
  readonly limitedBy: 'tool' | 'emulsifier';
  readonly ruptureHz: number;
  readonly network: number;
  readonly adhesion: number;
  /** Share of the surface under yolk films of fine drops, 0..1. */
  readonly yolkShare: number;
}

export interface BinderShare {
  readonly binder: Binder;
  readonly share: number;
}

const REFERENCE_TENSION = 0.01;
const REFERENCE_OIL_PAS = 0.075;
const REFERENCE_MIX_PAS = 0.01;
const THICKEST_MIX_PAS = 3;
const LIMIT_DROP_M = 60e-6;
const clamp = (x: number, low: number, high: number): number => Math.min(high, Math.max(low, x));

/** Surface shares at a drop size, strongest binder first. */
export function sharesAt({ surfaces, freeOilM3 }: Phases, diameterM: number): readonly BinderShare[] {
  let left = 1;
  return surfaces.map(({ binder, areaM2 }) => {
    const share = Math.min(left, (areaM2 * diameterM) / (6 * freeOilM3));
    left -= share;
    return { binder, share };
  });
}

const sumOf = (shares: readonly BinderShare[], of: (values: BinderValues) => number): number =>
  shares.reduce((total, { binder, share }) => total + share * of(BINDERS[binder]), 0);

/** Where oil lies outside after all it has run together: `over` slides from all in (0) to split (1). */
export interface Limit {
  /** The most oil that stays inside, by volume. */
  readonly mostOil: number;
  /** 0..1. */
  readonly over: number;
}

/** @param atMixing phases at the temperature of the mixing */
export function limitOf(atMixing: Phases): Limit {
  if (!(atMixing.freeOilM3 > 0)) return { mostOil: BARE.mostOil, over: 0 };
  const mostOil =
    BARE.mostOil + sumOf(sharesAt(atMixing, LIMIT_DROP_M), (values) => values.mostOil - BARE.mostOil);
  return { mostOil, over: clamp((atMixing.oilVolumeFraction - mostOil) / fitted('pastLimitSpan'), 0, 1) };
}

/** Null where no oil was poured. @param atMixing phases at the temperature of the mixing */
export function freshDropsOf(atMixing: Phases, mixing: Mixing, { over }: Limit): FreshDrops | null {
  const { freeOilM3, surfaces, oilVolumeFraction: phi } = atMixing;
  if (!(freeOilM3 > 0)) return null;
  const mechanicalM = (tension: number): number => mechanical(atMixing, mixing, tension);
  const bareM = fitted('bareRegrowth') * mechanicalM(BARE.tensionNPerM);
  const areaM2 = surfaces.reduce((total, { areaM2: area }) => total + area, 0);
  const effectiveM2 = surfaces.reduce(
    (total, { binder, areaM2: area }) => total + area * (binder === 'weak' ? fitted('weakSurface') : 1),
    0,
  );
  const surfaceM = ((6 * freeOilM3) / Math.max(effectiveM2, 1e-12)) ** -4;
  const suppliedM = (surfaceM + bareM ** -4) ** -0.25;
  const tensionNPerM = tensionAt(sharesAt(atMixing, mechanicalM(REFERENCE_TENSION)));
  const toolM = mechanicalM(tensionNPerM);
  const mixedM = Math.min(Math.cbrt(toolM ** 3 + suppliedM ** 3), bareM);
  const diameterM = mixedM * Math.max(1, fitted('splitDropM') / mixedM) ** over;
  const shares = sharesAt(atMixing, diameterM);
  const yolkM2 = surfaces.find(({ binder }) => binder === 'yolk')?.areaM2 ?? 0;
  const crowd = Math.min(1, phi / 0.3);
  const logRupture =
    Math.log(BARE.ruptureHz) +
    (1 - over) * sumOf(shares, ({ ruptureHz }) => Math.log(ruptureHz) - Math.log(BARE.ruptureHz));
  const logNetwork = sumOf(shares, ({ network }) => Math.log(1 + (network - 1) * crowd));
  return {
    diameterM,
    spread: TOOL_VALUES[mixing.tool].spread,
    tensionNPerM,
    covered: shares.reduce((total, { share }) => total + share, 0),
    shares,
    coverage: (areaM2 * diameterM) / (6 * freeOilM3),
    limitedBy: suppliedM > toolM ? 'emulsifier' : 'tool',
    ruptureHz: Math.exp(logRupture),
    network: Math.exp((1 - over) * logNetwork),
    adhesion: 1 + sumOf(shares, ({ adhesion }) => adhesion - 1),
    yolkShare:
      Math.min(1, (yolkM2 * diameterM) / (6 * freeOilM3)) *
      Math.min(1, fitted('yolkSticksBelowM') / diameterM),
  };
}

const tensionAt = (shares: readonly BinderShare[]): number =>
  BARE.tensionNPerM + sumOf(shares, ({ tensionNPerM }) => tensionNPerM - BARE.tensionNPerM);

/** What the tool alone reaches at a tension (N/m), m. */
function mechanical(
  { oilVolumeFraction, base, oilViscosityPaS }: Phases,
  { tool, seconds, fillShare, volumeMl }: Mixing,
  tensionNPerM: number,
): number {
  const { dropM, referenceS, exponent, floorM, mostMl } = TOOL_VALUES[tool];
  const phi = Math.min(oilVolumeFraction, 0.6);
  const mixPaS = Math.max(base.viscosityPaS, base.thinPaS) * (1 - phi / fitted('flowLimit')) ** -2.2;
  const mix = Math.min(THICKEST_MIX_PAS, mixPaS) / REFERENCE_MIX_PAS;
  const thick = clamp(mix ** -fitted('thickMixExponent'), 0.35, 1.2);
  // More than the tool holds is worked for less time each, and less well.
  const beyond = Math.max(1, volumeMl / mostMl);
  const time = clamp(seconds / referenceS / beyond, 0.1, 20);
  const full =
    tool === 'shake' && fillShare !== undefined ? clamp((1 - fillShare) / 0.3, 0.05, 1) ** -0.4 : 1;
  const oil = (oilViscosityPaS / REFERENCE_OIL_PAS) ** fitted('oilViscosityExponent');
  const tension = (tensionNPerM / REFERENCE_TENSION) ** 0.6;
  const reached = dropM * time ** -exponent * thick * oil * tension * beyond ** 0.4 * full;
  return fitted('dropScale') * Math.max(reached, floorM * Math.max(0.5, thick));
}

/** Closest packing of log-normal drops: min(0.76, 0.64 + 0.20 s²); estimate after Farr & Groot 2009. */
export const closePacking = (spread: number): number => Math.min(0.76, 0.64 + 0.2 * spread ** 2);

/** Oil that a given water side can hold, by volume: V_c φ/(1 − φ). */
export const mostOilM3 = (continuousM3: number, mostOil: number): number =>
  (continuousM3 * mostOil) / (1 - mostOil);
