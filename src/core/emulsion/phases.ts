/**
 * Oil and water sides of a dressing from its parts: volumes, densities, viscosity of the water side near rest and as it
 * is poured, the body of the base, and the surface that each binder could cover.
 *
 *   η_rest = sugar-water × (1 + 1.6 salt + 2.2 acetic + 3 citric + 3 ethanol) × protein × particles × gum × mucilage
 *
 * Proteins and particles after Krieger-Dougherty; slopes of small solutes from CRC tables (from memory). Range: 0-60 °C,
 * up to 75 °Bx.
 */
import type { Tool } from '#core/formula';
import { BINDERS, STRONGEST_FIRST, type Binder } from './binders';
import { fitted } from './fitted';
import { oilDensityKgPerM3, oilValuesOf, oilViscosityPaS, type OilShare } from './oils';
import type { EmulsionPart, PartAmount } from './part';
import { bodyOf, worked, type BaseBody, type BaseShare } from './structure';
import { drawnBy } from './wilting';
import { sugarWaterViscosityPaS, waterDensityKgPerM3, waterViscosityPaS } from './water';

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
const VOLUME_KEYS = Object.keys(SPECIFIC_VOLUME) as (keyof typeof SPECIFIC_VOLUME)[];
/** Slopes of the viscosity by mass fraction. */
const SOLUTES = { salt: 1.6, acetic: 2.2, citric: 3, ethanol: 3 } as const;
const MOST_PARTICLES = 0.58;
/** A part drier than this brings no water side of its own. */
const DRY = 0.15;

export interface Phases {
  readonly temperatureC: number;
  readonly freeOilM3: number;
  readonly preEmulsifiedM3: number;
  /** 6 V/d summed over what is in drops already, m². */
  readonly preEmulsifiedAreaM2: number;
  readonly continuousM3: number;
  readonly continuousKg: number;
  /** All oil by volume, 0..1. */
  readonly oilVolumeFraction: number;
  readonly continuousDensityKgPerM3: number;
  readonly oilDensityKgPerM3: number;
  readonly oilViscosityPaS: number;
  /** Water side near rest (creaming). */
  readonly restingViscosityPaS: number;
  /** Body of everything but poured oil, as it is poured. */
  readonly base: BaseBody;
  /** Yield of what gum there is, Pa. */
  readonly gumYieldPa: number;
  /** What each binder could cover, m²; only those that are in it. */
  readonly surfaces: readonly { readonly binder: Binder; readonly areaM2: number }[];
  readonly oils: readonly OilShare[];
  readonly gumOfWater: number;
  readonly waterG: number;
  /** Water that cut plants give off in time, m³. */
  readonly wiltsM3: number;
  /** Everything in it is dry: paste and oil, nothing to part from. */
  readonly onlyDry: boolean;
}

const add = (amounts: readonly PartAmount[], of: (part: EmulsionPart) => number): number =>
  amounts.reduce((total, { part, massG }) => total + (of(part) * massG) / 1000, 0);

/** Null where there is nothing. @param temperatureC 0-60 @param tool what works the base */
export function phasesOf(
  amounts: readonly PartAmount[],
  temperatureC: number,
  tool: Tool = 'whisk',
): Phases | null {
  const [waterKg, sugarKg] = [add(amounts, (p) => p.water), add(amounts, (p) => p.sugar)];
  const volumeOf = watersideVolume(waterKg, sugarKg, temperatureC);
  const continuousM3 = add(amounts, volumeOf);
  const continuousKg =
    waterKg + sugarKg + VOLUME_KEYS.reduce((total, key) => total + add(amounts, (part) => part[key]), 0);
  const oil = oilOf(amounts, temperatureC);
  const oilM3 = oil.freeM3 + oil.preM3;
  if (!(continuousM3 + oilM3 > 0)) return null;
  const gumOfWater = waterKg > 0 ? add(amounts, (p) => p.gum) / waterKg : 0;
  const gum = Math.min(fitted('mostGum'), 100 * gumOfWater);
  const volume = Math.max(continuousM3, 1e-12);
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
    restingViscosityPaS: restingViscosity(amounts, volume, Math.max(continuousKg, 1e-9), temperatureC),
    base: baseOf(amounts, { temperatureC, tool, gum, volumeOf, preDensity: oil.preDensityKgPerM3 }),
    gumYieldPa: fitted('gumYieldPa') * (gum / fitted('gumYieldAt')) ** 2,
    surfaces: STRONGEST_FIRST.flatMap((binder) => {
      const kg = add(amounts, (p) => (p.emulsifier === binder ? p.adsorbableMassFraction : 0));
      return kg > 0 ? [{ binder, areaM2: kg / BINDERS[binder].loadKgPerM2 }] : [];
    }),
    oils: oil.shares,
    gumOfWater,
    waterG: waterKg * 1000,
    wiltsM3: wilting(amounts, tool, waterKg) / waterDensityKgPerM3(temperatureC),
    onlyDry: amounts.every(({ part, massG }) => massG <= 0 || part.water <= DRY),
  };
}

/** kg of water from what lies in pieces. */
function wilting(amounts: readonly PartAmount[], tool: Tool, waterKg: number): number {
  const pieces = ({ structure, wilts }: EmulsionPart): number =>
    wilts > 0 && structure ? wilts * (1 - worked(structure, tool).share) : 0;
  const kg = add(amounts, pieces);
  return kg > 0 ? kg * drawnBy(add(amounts, (p) => p.salt) / Math.max(waterKg, 1e-9)) : 0;
}

/** m³ per kg of a part, its oil left out. Sugar takes more room the more of it there is. */
function watersideVolume(waterKg: number, sugarKg: number, t: number): (part: EmulsionPart) => number {
  const sugar = (0.615 + 0.0002 * brixOf(waterKg, sugarKg)) * 1e-3;
  const density = waterDensityKgPerM3(t);
  return (part) =>
    VOLUME_KEYS.reduce(
      (total, key) => total + part[key] * SPECIFIC_VOLUME[key] * 1e-3,
      part.water / density + part.sugar * sugar,
    );
}

const brixOf = (waterKg: number, sugarKg: number): number =>
  waterKg + sugarKg > 0 ? (100 * sugarKg) / (waterKg + sugarKg) : 0;

/** Sugar-water with what is dissolved in it, Pa s. */
function dissolvedPaS(amounts: readonly PartAmount[], kg: number, t: number): number {
  const brix = brixOf(
    add(amounts, (p) => p.water),
    add(amounts, (p) => p.sugar),
  );
  const keys = Object.keys(SOLUTES) as (keyof typeof SOLUTES)[];
  const factor = keys.reduce((total, key) => total + (SOLUTES[key] * add(amounts, (p) => p[key])) / kg, 1);
  return sugarWaterViscosityPaS(brix, t) * factor;
}

function restingViscosity(amounts: readonly PartAmount[], volume: number, kg: number, t: number): number {
  const particles = Math.min(
    MOST_PARTICLES,
    amounts.reduce((total, { part, massG }) => total + part.swollenMlPerG * massG * 1e-6, 0) / volume,
  );
  const proteins = Math.min(0.5, (3.5e-3 * add(amounts, (p) => p.hydratedProtein)) / volume);
  const gum = fitted('gumResting') * 100 * (add(amounts, (p) => p.gum) / kg);
  const mucilage = fitted('mucilageResting') * 100 * (add(amounts, (p) => p.mucilage) / kg);
  return (
    dissolvedPaS(amounts, kg, t) *
    (1 - proteins / 0.62) ** -1.55 *
    (1 - particles / 0.62) ** -2.17 *
    (1 + gum + fitted('gumRestingQuartic') * gum ** 4) *
    (1 + mucilage + 0.35 * mucilage ** 3)
  );
}

interface BaseSetting {
  readonly temperatureC: number;
  readonly tool: Tool;
  /** g per 100 g of water, capped. */
  readonly gum: number;
  /** m³ per kg without oil. */
  readonly volumeOf: (part: EmulsionPart) => number;
  readonly preDensity: number;
}

/** Everything but poured oil; lecithin goes with the oil and takes no room here. */
function baseOf(amounts: readonly PartAmount[], setting: BaseSetting): BaseBody {
  const { temperatureC, tool, gum, volumeOf, preDensity } = setting;
  const inBase = amounts
    .filter(({ part }) => part.emulsifier !== 'lecithin')
    .map(({ part, massG }) => ({
      part,
      massG,
      m3: ((volumeOf(part) + part.emulsifiedOil / preDensity) * massG) / 1000,
    }));
  const totalM3 = inBase.reduce((total, { m3 }) => total + m3, 0);
  const shares: BaseShare[] = [];
  const plain: PartAmount[] = [];
  let [plainM3, pasteM3] = [0, 0];
  for (const { part, massG, m3 } of inBase) {
    if (!part.structure) {
      plain.push({ part, massG });
      plainM3 += m3;
      continue;
    }
    const values = worked(part.structure, tool);
    if (values.family === 'nut') pasteM3 += m3 * values.share;
    shares.push({ ...values, x: (m3 * values.share) / totalM3 });
  }
  const waterM3 = add(amounts, (p) => p.water) / waterDensityKgPerM3(temperatureC);
  const thinPaS = thinOf(plain, plainM3, shares, totalM3, temperatureC) * gumPouring(gum);
  return bodyOf(shares, thinPaS, pasteM3 > 0 ? waterM3 / pasteM3 : Infinity);
}

const gumPouring = (gum: number): number =>
  1 + fitted('gumPouring') * (gum / 0.1) ** fitted('gumPouringExponent');

/** What runs like water, mixed with the thin dairy by the mean of the logarithms over volume. */
function thinOf(
  plain: readonly PartAmount[],
  plainM3: number,
  shares: readonly BaseShare[],
  totalM3: number,
  t: number,
): number {
  const kg = plain.reduce((total, { part, massG }) => total + ((1 - part.freeOil) * massG) / 1000, 0);
  const water = add(plain, (p) => p.water);
  const plainPaS = water > 0 ? dissolvedPaS(plain, Math.max(kg, 1e-9), t) : waterViscosityPaS(t);
  const thin = shares.filter(({ family }) => family === 'thin');
  const thinM3 = thin.reduce((total, { x }) => total + x * totalM3, 0);
  if (!(plainM3 + thinM3 > 0)) return plainPaS;
  const logs = thin.reduce(
    (total, { x, viscosityPaS }) => total + x * totalM3 * Math.log(Math.max(viscosityPaS, plainPaS)),
    plainM3 * Math.log(plainPaS),
  );
  return Math.exp(logs / (plainM3 + thinM3));
}

function oilOf(amounts: readonly PartAmount[], t: number) {
  let [freeM3, freeKg, preM3, preAreaM2, logViscosity] = [0, 0, 0, 0, 0];
  const byOil = new Map<string | null, number>();
  const plain = oilValuesOf(null);
  const preDensityKgPerM3 = oilDensityKgPerM3(plain, t);
  for (const { part, massG } of amounts) {
    const values = oilValuesOf(part.oilId);
    const free = (part.freeOil * massG) / 1000;
    freeKg += free;
    freeM3 += free / oilDensityKgPerM3(values, t);
    logViscosity += free * Math.log(oilViscosityPaS(values, t));
    if (free > 0) byOil.set(part.oilId, (byOil.get(part.oilId) ?? 0) + free);
    const pre = (part.emulsifiedOil * massG) / 1000 / preDensityKgPerM3;
    preM3 += pre;
    if (pre > 0) preAreaM2 += (6 * pre) / Math.max(part.emulsifiedDropM, 1e-7);
  }
  return {
    freeM3,
    preM3,
    preAreaM2,
    preDensityKgPerM3,
    densityKgPerM3: freeM3 > 0 ? freeKg / freeM3 : preDensityKgPerM3,
    viscosityPaS: freeKg > 0 ? Math.exp(logViscosity / freeKg) : oilViscosityPaS(plain, t),
    shares: [...byOil].map(([id, mass]) => ({ id, share: mass / freeKg })),
  };
}
