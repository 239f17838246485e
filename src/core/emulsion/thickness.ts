/**
 * Thickness as it is poured, from the body of the base and from packed fresh drops:
 *
 *   τ = (τ_b + τ_gum)/(1 − min(φ_f, 0.75)) + 0.51 (V_f/(V_f+V_p)) (2σ/d)(φ − φ_c)² A min(1, covered)
 *   η = max(η_b, η_L)(1 − min(φ_f, 0.865)/0.89)^−(1.6 + clamp(0.4 lg(100 µm/d), 0, 1)) + τ/50
 *
 * φ_c: close packing, less 0.06 where yolk films of fine drops stick. 0.51: Mason, Bibette & Weitz 1996 (from memory).
 * Past the limit there is oil outside: no yield, one and a half times the oil's own viscosity. Classes: estimate; two
 * are said where τ or η lies within a factor of 1.5 of a limit.
 */
import type { ThicknessClass } from '#core/ingredient';
import { closePacking, type FreshDrops, type Limit } from './drops';
import { fitted } from './fitted';
import type { Phases } from './phases';

export interface Thickness {
  readonly class: ThicknessClass;
  /** The classes within doubt, thinner first; both the same where there is none. */
  readonly classes: readonly [ThicknessClass, ThicknessClass];
  readonly apparentViscosityPaS: number;
  readonly yieldStressPa: number;
}

const SHEAR = 50;
const [STIFF, SHAPE, SPOON] = [80, 15, 3];
const [COATS, CREAM] = [0.35, 0.05];
/** Either way, 80 % lie within. */
const DOUBT = 1.5;
/** From here on it counts as oil outside. */
export const OUTSIDE_FROM = 0.5;
const OIL_OUTSIDE = 1.5;

export function thicknessOf(phases: Phases, fresh: FreshDrops | null, { over }: Limit): Thickness {
  const noBase = phases.continuousM3 <= 1e-12 && phases.preEmulsifiedM3 <= 0;
  if (noBase || over > OUTSIDE_FROM) return measured(0, (noBase ? 1 : OIL_OUTSIDE) * phases.oilViscosityPaS);
  const { base, freeOilM3, preEmulsifiedM3, continuousM3 } = phases;
  const freshPhi = freeOilM3 / (freeOilM3 + preEmulsifiedM3 + continuousM3);
  const yieldStressPa =
    (base.yieldStressPa + phases.gumYieldPa) / (1 - Math.min(freshPhi, 0.75)) + packedYieldPa(phases, fresh);
  const finer = fresh
    ? Math.min(1, Math.max(0, fitted('flowExponentFiner') * Math.log10(100e-6 / fresh.diameterM)))
    : 0;
  const flow = (1 - Math.min(freshPhi, 0.865) / fitted('flowLimit')) ** -(fitted('flowExponent') + finer);
  return measured(yieldStressPa, Math.max(base.viscosityPaS, base.thinPaS) * flow + yieldStressPa / SHEAR);
}

/** Yield of drops that are pressed against each other, Pa. */
export function packedYieldPa(
  { freeOilM3, preEmulsifiedM3, oilVolumeFraction: phi }: Phases,
  fresh: FreshDrops | null,
): number {
  if (!fresh) return 0;
  const loose = closePacking(fresh.spread) - fitted('yolkSticksPacking') * fresh.yolkShare;
  return (
    fitted('packedYield') *
    (freeOilM3 / (freeOilM3 + preEmulsifiedM3)) *
    ((2 * fresh.tensionNPerM) / fresh.diameterM) *
    Math.max(0, phi - loose) ** 2 *
    fresh.adhesion *
    Math.min(1, fresh.covered)
  );
}

const measured = (yieldStressPa: number, apparentViscosityPaS: number): Thickness => ({
  class: classOf(yieldStressPa, apparentViscosityPaS),
  classes: [
    classOf(yieldStressPa / DOUBT, apparentViscosityPaS / DOUBT),
    classOf(yieldStressPa * DOUBT, apparentViscosityPaS * DOUBT),
  ],
  apparentViscosityPaS,
  yieldStressPa,
});

export function classOf(yieldStressPa: number, apparentViscosityPaS: number): ThicknessClass {
  if (yieldStressPa >= STIFF) return 'stiff';
  if (yieldStressPa >= SHAPE) return 'holds-its-shape';
  if (yieldStressPa >= SPOON) return 'spoonable';
  if (apparentViscosityPaS >= COATS) return 'coats-a-spoon';
  return apparentViscosityPaS >= CREAM ? 'pours-like-cream' : 'runny';
}
