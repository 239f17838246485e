/**
 * Drops after mixing. Mechanical limit d_mech = d_ref (t/t_ref)^−p · visc · (σ/10 mN/m)^0.6 (the exponent
 * is Kolmogorov-Hinze's); limit of the surface that can be covered d_surf = 6 V_free/a; the coarser of the
 * two rules, smoothly: d = (d_mech³ + d_s³)^⅓. Tension falls with coverage, so it is a fixed point.
 */
import type { Tool } from '#core/formula';
import { BARE, type Phases } from './phases';
import { TOOL_VALUES } from './tools';

export interface Mixing {
  readonly tool: Tool;
  readonly seconds: number;
  /** Of the vessel's brimful volume, 0..1; only shaking minds. */
  readonly fillShare?: number;
  readonly volumeMl: number;
}

export interface Drops {
  /** All oil in drops, m. */
  readonly sauterMeanDiameterM: number;
  /** Of the oil that had to be broken up; null where there is none. */
  readonly freshDropM: number | null;
  /** Standard deviation of ln d. */
  readonly spread: number;
  /** Surface the emulsifiers can cover over surface there is. */
  readonly coverage: number;
  readonly tensionNPerM: number;
  /** What holds it back from being finer. */
  readonly limitedBy: 'tool' | 'emulsifier' | 'none';
}

const STEPS = 60;
const REFERENCE_TENSION = 0.01;
const clamp = (x: number, low: number, high: number): number => Math.min(high, Math.max(low, x));

export function dropsOf(phases: Phases, mixing: Mixing): Drops {
  const { freeOilM3, preEmulsifiedM3, preEmulsifiedAreaM2, coverableM2, emulsifier } = phases;
  const oilM3 = freeOilM3 + preEmulsifiedM3;
  const spread = preEmulsifiedM3 > freeOilM3 ? 0.5 : TOOL_VALUES[mixing.tool].spread;
  const tensionAt = (coverage: number): number =>
    BARE.tensionNPerM + (emulsifier.tensionNPerM - BARE.tensionNPerM) * Math.min(1, coverage);
  const overall = (freshM: number): number => {
    const area = (freeOilM3 > 0 ? (6 * freeOilM3) / freshM : 0) + preEmulsifiedAreaM2;
    return area > 0 ? (6 * oilM3) / area : freshM;
  };
  const coverageAt = (d32: number): number => (oilM3 > 0 ? (coverableM2 * d32) / (6 * oilM3) : 0);
  if (!(freeOilM3 > 0)) {
    const d32 = overall(1e-5);
    const coverage = coverageAt(d32);
    return {
      sauterMeanDiameterM: d32,
      freshDropM: null,
      spread,
      coverage,
      tensionNPerM: tensionAt(coverage),
      limitedBy: 'none',
    };
  }
  const bareM = mechanicalM(phases, mixing, BARE.tensionNPerM);
  const coarsest = Math.max(2.5 * bareM, 100e-6);
  if (!(coverableM2 > 0)) {
    const fresh = Math.cbrt(bareM ** 3 + (0.9 * Math.max(bareM, 100e-6)) ** 3);
    const d32 = overall(fresh);
    return {
      sauterMeanDiameterM: d32,
      freshDropM: fresh,
      spread,
      coverage: 0,
      tensionNPerM: BARE.tensionNPerM,
      limitedBy: 'emulsifier',
    };
  }
  const surfaceM = Math.min((6 * freeOilM3) / coverableM2, coarsest);
  let fresh = Math.max(bareM, surfaceM);
  for (let i = 0; i < STEPS; i++) {
    const mechanical = mechanicalM(phases, mixing, tensionAt(coverageAt(overall(fresh))));
    fresh = 0.5 * (fresh + Math.cbrt(mechanical ** 3 + surfaceM ** 3));
  }
  const d32 = overall(fresh);
  const coverage = coverageAt(d32);
  const tensionNPerM = tensionAt(coverage);
  return {
    sauterMeanDiameterM: d32,
    freshDropM: fresh,
    spread,
    coverage,
    tensionNPerM,
    limitedBy: surfaceM > mechanicalM(phases, mixing, tensionNPerM) ? 'emulsifier' : 'tool',
  };
}

/** What the tool alone reaches, m. */
export function mechanicalM(
  phases: Phases,
  { tool, seconds, fillShare, volumeMl }: Mixing,
  tensionNPerM: number,
): number {
  const { dropM, referenceS, exponent, floorM, mostMl } = TOOL_VALUES[tool];
  const phi = Math.min(phases.oilVolumeFraction, 0.8);
  const mixPaS = Math.min(3, phases.pouringViscosityPaS * (1 - phi / 0.89) ** -2.2);
  const thick = clamp((mixPaS / 0.01) ** -0.25, 0.35, 1.2);
  const beyond = volumeMl > mostMl ? (volumeMl / mostMl) ** 0.4 : 1;
  const time = clamp(seconds / referenceS / (volumeMl > mostMl ? volumeMl / mostMl : 1), 0.1, 20);
  const full =
    tool === 'shake' && fillShare !== undefined ? clamp((1 - fillShare) / 0.3, 0.05, 1) ** -0.4 : 1;
  const d = dropM * time ** -exponent * thick * (tensionNPerM / REFERENCE_TENSION) ** 0.6 * beyond * full;
  return Math.max(d, floorM * Math.max(0.5, thick));
}

/** Closest packing of log-normal drops: min(0.76, 0.64 + 0.20 s²); estimate after Farr & Groot 2009. */
export const closePacking = (spread: number): number => Math.min(0.76, 0.64 + 0.2 * spread ** 2);

const GRAVITY = 9.81;

/** Packing of a cream layer under its own lift (Princen's osmotic pressure, fitted; estimate). */
export function packedFraction(
  {
    spread,
    sauterMeanDiameterM,
    tensionNPerM,
  }: Pick<Drops, 'spread' | 'sauterMeanDiameterM' | 'tensionNPerM'>,
  densityDifference: number,
  oilVolumeFraction: number,
  heightM: number,
): number {
  const loose = closePacking(spread);
  const x =
    (0.5 * Math.abs(densityDifference) * GRAVITY * oilVolumeFraction * heightM * (sauterMeanDiameterM / 2)) /
    tensionNPerM;
  return loose + ((0.97 - loose) * x) / (x + 0.3);
}

/** The most oil that stays inside; beyond it the oil is outside, or the sauce has split. */
export function mostOilFraction({ coverableM2, freeOilM3, emulsifier }: Phases): number {
  const covered = freeOilM3 > 0 ? Math.min(1, (coverableM2 * 60e-6) / (6 * freeOilM3)) : 1;
  return BARE.mostOil + (emulsifier.mostOil - BARE.mostOil) * covered;
}

/** Oil that a given water side can hold, by volume: V_c φ/(1 − φ). */
export const mostOilM3 = (continuousM3: number, mostOil: number): number =>
  (continuousM3 * mostOil) / (1 - mostOil);
