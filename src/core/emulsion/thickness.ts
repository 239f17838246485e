/**
 * Thickness as it is poured: η = η_50 (1 − min(φ, 0.87)/0.89)^−2.225 + τ_y/50, and
 * τ_y = 0.51 (2σ/d32)(φ − 0.62)² above 0.62 (after Mason, Bibette & Weitz 1996, from memory) plus the
 * yield of the water side. Classes: estimate. Shown within a factor of two.
 */
import type { Drops } from './dropSize';
import type { Phases } from './phases';

export const THICKNESS_CLASSES = [
  'runny',
  'pours-like-cream',
  'coats-a-spoon',
  'spoonable',
  'holds-its-shape',
  'stiff',
] as const;
export type ThicknessClass = (typeof THICKNESS_CLASSES)[number];

export interface Thickness {
  readonly class: ThicknessClass;
  readonly apparentViscosityPaS: number;
  readonly yieldStressPa: number;
}

const SHEAR = 50;
const [STIFF, SHAPE, SPOON] = [80, 15, 3];
const [COATS, CREAM] = [0.35, 0.05];

export function thicknessOf(
  phases: Pick<Phases, 'oilVolumeFraction' | 'pouringViscosityPaS' | 'continuousYieldPa'>,
  drops: Pick<Drops, 'sauterMeanDiameterM' | 'tensionNPerM'>,
): Thickness {
  const phi = phases.oilVolumeFraction;
  const packed =
    phi > 0.62
      ? 0.51 * ((2 * drops.tensionNPerM) / drops.sauterMeanDiameterM) * (Math.min(phi, 0.97) - 0.62) ** 2
      : 0;
  const yieldStressPa = packed + phases.continuousYieldPa * (1 - phi);
  const apparentViscosityPaS =
    phases.pouringViscosityPaS * (1 - Math.min(phi, 0.87) / 0.89) ** -2.225 + yieldStressPa / SHEAR;
  return { class: classOf(yieldStressPa, apparentViscosityPaS), apparentViscosityPaS, yieldStressPa };
}

export function classOf(yieldStressPa: number, apparentViscosityPaS: number): ThicknessClass {
  if (yieldStressPa >= STIFF) return 'stiff';
  if (yieldStressPa >= SHAPE) return 'holds-its-shape';
  if (yieldStressPa >= SPOON) return 'spoonable';
  if (apparentViscosityPaS >= COATS) return 'coats-a-spoon';
  return apparentViscosityPaS >= CREAM ? 'pours-like-cream' : 'runny';
}
