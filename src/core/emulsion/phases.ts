/**
 * Oil and water sides of a dressing from its parts: volumes, densities, viscosity of the continuous
 * phase, and what the emulsifiers of the mixture are worth together.
 */
import { oilDensityKgPerM3, oilValuesOf, oilViscosityPaS, type OilShare } from './oils';
import type { EmulsifierKind } from '#core/ingredient';
import type { PartAmount } from './part';
import { sugarWaterViscosityPaS, waterDensityKgPerM3 } from './water';

/** Apparent specific volumes, cm³/g, ideal mixing; sugar rises with °Bx. Salt, sugar, acetic: fitted to CRC tables; others from memory or estimate. */
const SPECIFIC_VOLUME = {
  salt: 0.315,
  acetic: 0.86,
  citric: 0.57,
  protein: 0.73,
  hydratedProtein: 0.73,
  ethanol: 1.17,
  fibre: 0.64,
  gum: 0.62,
  mineral: 0.35,
  lipidBound: 0.98,
  boundFat: 1.09,
} as const;

export interface EmulsifierValues {
  /** Surface load, kg/m². */
  readonly loadKgPerM2: number;
  /** Interfacial tension of a covered drop, N/m. */
  readonly tensionNPerM: number;
  /** Film rupture of a covered 100 µm drop, 1/s. */
  readonly ruptureHz: number;
  readonly mostOil: number;
  /** How much a network slows creaming. */
  readonly network: number;
}
/** Sources in docs: from memory of handbooks, fitted to kitchen practice, or estimate. */
export const EMULSIFIERS: Readonly<Record<EmulsifierKind, EmulsifierValues>> = {
  yolk: { loadKgPerM2: 2.8e-6, tensionNPerM: 0.005, ruptureHz: 1e-8, mostOil: 0.88, network: 0.15 },
  milk: { loadKgPerM2: 2.5e-6, tensionNPerM: 0.009, ruptureHz: 1e-7, mostOil: 0.8, network: 0.3 },
  lecithin: { loadKgPerM2: 2e-6, tensionNPerM: 0.004, ruptureHz: 1e-6, mostOil: 0.82, network: 1 },
  mustard: { loadKgPerM2: 4e-6, tensionNPerM: 0.01, ruptureHz: 5e-5, mostOil: 0.85, network: 0.6 },
  weak: { loadKgPerM2: 6e-6, tensionNPerM: 0.015, ruptureHz: 3e-4, mostOil: 0.76, network: 1 },
  none: { loadKgPerM2: 1, tensionNPerM: 0.024, ruptureHz: 0.1, mostOil: 0.7, network: 1 },
};
export const BARE = EMULSIFIERS.none;

export interface Phases {
  readonly temperatureC: number;
  readonly freeOilM3: number;
  readonly preEmulsifiedM3: number;
  /** 6 V/d summed over what is in drops already, m². */
  readonly preEmulsifiedAreaM2: number;
  readonly continuousM3: number;
  readonly continuousKg: number;
  /** Oil by volume, 0..1. */
  readonly oilVolumeFraction: number;
  readonly continuousDensityKgPerM3: number;
  readonly oilDensityKgPerM3: number;
  readonly oilViscosityPaS: number;
  /** Continuous phase, creaming (shear towards 0) and pouring (50 1/s). */
  readonly restingViscosityPaS: number;
  readonly pouringViscosityPaS: number;
  /** Yield stress of the continuous phase, Pa. */
  readonly continuousYieldPa: number;
  /** Swollen particles in the continuous phase, 0..0.58. */
  readonly particleVolumeFraction: number;
  /** What the emulsifiers could cover, m². */
  readonly coverableM2: number;
  readonly emulsifier: EmulsifierValues;
  /** The kind that covers most; none where nothing does. */
  readonly mainEmulsifier: EmulsifierKind;
  readonly oils: readonly OilShare[];
  readonly gumOfWater: number;
  readonly waterG: number;
}

/** Null where there is nothing. @param temperatureC 0-60 */
export function phasesOf(amounts: readonly PartAmount[], temperatureC: number): Phases | null {
  const kg = (of: (part: PartAmount['part']) => number): number =>
    amounts.reduce((sum, { part, massG }) => sum + (of(part) * massG) / 1000, 0);
  const [waterKg, sugarKg] = [kg((p) => p.water), kg((p) => p.sugar)];
  const brix = waterKg + sugarKg > 0 ? (100 * sugarKg) / (waterKg + sugarKg) : 0;
  let continuousM3 = waterKg / waterDensityKgPerM3(temperatureC) + sugarKg * (0.615 + 0.0002 * brix) * 1e-3;
  let continuousKg = waterKg + sugarKg;
  for (const key of Object.keys(SPECIFIC_VOLUME) as (keyof typeof SPECIFIC_VOLUME)[]) {
    const mass = kg((p) => p[key]);
    continuousKg += mass;
    continuousM3 += mass * SPECIFIC_VOLUME[key] * 1e-3;
  }
  const oil = oilOf(amounts, temperatureC);
  const oilM3 = oil.freeM3 + oil.preM3;
  if (!(continuousM3 + oilM3 > 0)) return null;
  const volume = Math.max(continuousM3, 1e-12);
  const mass = Math.max(continuousKg, 1e-9);
  const share = (of: (part: PartAmount['part']) => number): number => kg(of) / mass;
  const particles = Math.min(
    0.58,
    amounts.reduce((sum, { part, massG }) => sum + part.swollenMlPerG * massG * 1e-6, 0) / volume,
  );
  const dissolved =
    sugarWaterViscosityPaS(brix, temperatureC) *
    (1 +
      1.6 * share((p) => p.salt) +
      2.2 * share((p) => p.acetic) +
      3 * share((p) => p.citric) +
      3 * share((p) => p.ethanol));
  const proteins = Math.min(0.5, (3.5e-3 * kg((p) => p.hydratedProtein)) / volume);
  const gum = 100 * share((p) => p.gum);
  const mucilage = 7 * 100 * share((p) => p.mucilage);
  const thick = dissolved * (1 - proteins / 0.62) ** -1.55 * (1 - particles / 0.62) ** -2.17;
  const gels =
    amounts.reduce((sum, { part, massG }) => sum + (part.gelYieldStressPa ** 0.4 * massG) / 1000, 0) / mass;
  const emulsifier = emulsifierOf(amounts);
  return {
    temperatureC,
    freeOilM3: oil.freeM3,
    preEmulsifiedM3: oil.preM3,
    preEmulsifiedAreaM2: oil.preAreaM2,
    continuousM3,
    continuousKg,
    oilVolumeFraction: oilM3 / (oilM3 + continuousM3),
    continuousDensityKgPerM3: continuousKg / volume,
    oilDensityKgPerM3: oil.densityKgPerM3,
    oilViscosityPaS: oil.viscosityPaS,
    restingViscosityPaS:
      thick * (1 + 40 * gum + 2.7 * (40 * gum) ** 4) * (1 + mucilage + 0.35 * mucilage ** 3),
    pouringViscosityPaS: thick * (1 + 30 * (gum / 0.1) ** 1.35) * (1 + mucilage),
    continuousYieldPa: 60 * particles ** 3.5 + gels ** 2.5,
    particleVolumeFraction: particles,
    ...emulsifier,
    oils: oil.shares,
    gumOfWater: waterKg > 0 ? kg((p) => p.gum) / waterKg : 0,
    waterG: waterKg * 1000,
  };
}

function oilOf(amounts: readonly PartAmount[], t: number) {
  let [freeM3, freeKg, preM3, preAreaM2, logViscosity] = [0, 0, 0, 0, 0];
  const byOil = new Map<string | null, number>();
  for (const { part, massG } of amounts) {
    const values = oilValuesOf(part.oilId);
    const density = oilDensityKgPerM3(values, t);
    const free = (part.freeOil * massG) / 1000;
    freeKg += free;
    freeM3 += free / density;
    logViscosity += free * Math.log(oilViscosityPaS(values, t));
    if (free > 0) byOil.set(part.oilId, (byOil.get(part.oilId) ?? 0) + free);
    const pre = (part.emulsifiedOil * massG) / 1000 / density;
    preM3 += pre;
    if (pre > 0) preAreaM2 += (6 * pre) / Math.max(part.emulsifiedDropM, 1e-7);
  }
  const plain = oilValuesOf(null);
  return {
    freeM3,
    preM3,
    preAreaM2,
    densityKgPerM3: freeM3 > 0 ? freeKg / freeM3 : oilDensityKgPerM3(plain, t),
    viscosityPaS: freeKg > 0 ? Math.exp(logViscosity / freeKg) : oilViscosityPaS(plain, t),
    shares: [...byOil].map(([id, mass]) => ({ id, share: mass / freeKg })),
  };
}

/** Weighted by the surface each could cover; rates, tensions and networks by their logarithms. */
function emulsifierOf(
  amounts: readonly PartAmount[],
): Pick<Phases, 'coverableM2' | 'emulsifier' | 'mainEmulsifier'> {
  const surface = new Map<EmulsifierKind, number>();
  for (const { part, massG } of amounts) {
    const mass = (part.adsorbableMassFraction * massG) / 1000;
    if (mass > 0 && part.emulsifier !== 'none') {
      const area = mass / EMULSIFIERS[part.emulsifier].loadKgPerM2;
      surface.set(part.emulsifier, (surface.get(part.emulsifier) ?? 0) + area);
    }
  }
  const coverableM2 = [...surface.values()].reduce((sum, area) => sum + area, 0);
  if (!(coverableM2 > 0)) return { coverableM2: 0, emulsifier: BARE, mainEmulsifier: 'none' };
  const mean = (of: (values: EmulsifierValues) => number): number =>
    [...surface].reduce((sum, [kind, area]) => sum + (area / coverableM2) * of(EMULSIFIERS[kind]), 0);
  const logMean = (of: (values: EmulsifierValues) => number): number =>
    Math.exp(mean((values) => Math.log(of(values))));
  return {
    coverableM2,
    emulsifier: {
      loadKgPerM2: mean(({ loadKgPerM2 }) => loadKgPerM2),
      tensionNPerM: logMean(({ tensionNPerM }) => tensionNPerM),
      ruptureHz: logMean(({ ruptureHz }) => ruptureHz),
      mostOil: mean(({ mostOil }) => mostOil),
      network: logMean(({ network }) => network),
    },
    mainEmulsifier: [...surface].sort((a, b) => b[1] - a[1])[0]![0],
  };
}
