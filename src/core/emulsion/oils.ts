/**
 * Oils with temperature: ρ = ρ20 − 0.67 (T − 20), η = η20 exp(B (1/T − 1/293.15)); handbooks agree
 * within 10 % (from memory). Clouding in the cold: estimate; harvest and cultivar move it by ± 4 K.
 */
export interface OilValues {
  readonly densityKgPerM3At20: number;
  readonly viscosityPaSAt20: number;
  readonly activationK: number;
  readonly cloudC: number;
  readonly setC: number;
  readonly mostSolid: number;
}

const oil = (
  densityKgPerM3At20: number,
  mPaS: number,
  activationK: number,
  cloudC: number,
  setC: number,
  mostSolid: number,
): OilValues => ({ densityKgPerM3At20, viscosityPaSAt20: mPaS / 1000, activationK, cloudC, setC, mostSolid });

const SESAME = oil(918, 66, 3450, -2, -8, 0.5);
const RAPESEED = oil(916, 74, 3500, -6, -16, 0.5);
const OILS: Readonly<Record<string, OilValues>> = {
  olive_ev: oil(914, 82, 3650, 8, 2, 0.7),
  olive_light: oil(914, 80, 3650, 6, 0, 0.7),
  sunflower: oil(920, 62, 3400, -10, -17, 0.5),
  sunflower_ho: oil(914, 78, 3600, -3, -10, 0.6),
  rapeseed: RAPESEED,
  rapeseed_cold: RAPESEED,
  peanut_oil: oil(914, 78, 3600, 5, 0, 0.6),
  grapeseed: oil(921, 58, 3300, -10, -18, 0.5),
  walnut_oil: oil(922, 57, 3300, -12, -20, 0.5),
  hazelnut_oil: oil(914, 77, 3600, -5, -15, 0.6),
  sesame_toasted: SESAME,
  pumpkin_oil: oil(919, 65, 3400, -5, -15, 0.5),
  avocado_oil: oil(913, 78, 3600, 8, 1, 0.6),
  soybean: oil(920, 60, 3350, -8, -15, 0.5),
  flax_oil: oil(930, 47, 3150, -15, -24, 0.5),
  coconut_oil: oil(915, 55, 3600, 25, 22, 0.9),
};

/** An oil without a row of its own behaves as rapeseed (estimate). */
export const oilValuesOf = (id: string | null): OilValues => OILS[id ?? ''] ?? RAPESEED;

const KELVIN = 273.15;
const CRYSTALLISATION_J_PER_MOL = 120_000;
const GAS_CONSTANT = 8.314462618;
const CRYSTALLISATION_S = 8 * 3600;

/** kg/m³. */
export const oilDensityKgPerM3 = ({ densityKgPerM3At20 }: OilValues, t: number): number =>
  densityKgPerM3At20 - 0.67 * (t - 20);

/** Pa s. */
export const oilViscosityPaS = ({ viscosityPaSAt20, activationK }: OilValues, t: number): number =>
  viscosityPaSAt20 * Math.exp(activationK * (1 / (t + KELVIN) - 1 / (20 + KELVIN)));

/** Cloud point of an oil diluted with others (Hildebrand), °C. @param share of this oil in the blend, 0..1 */
export function cloudPointC({ cloudC }: OilValues, share: number): number {
  const inverse = 1 / (cloudC + KELVIN) - (GAS_CONSTANT * Math.log(share)) / CRYSTALLISATION_J_PER_MOL;
  return 1 / inverse - KELVIN;
}

export interface OilShare {
  readonly id: string | null;
  /** Of all free oil, 0..1. */
  readonly share: number;
}

/** Solid share of an oil blend held at `t` °C for `seconds`, 0..1. */
export function solidFraction(oils: readonly OilShare[], t: number, seconds: number): number {
  const set = 1 - Math.exp(-((seconds / CRYSTALLISATION_S) ** 1.5));
  return oils.reduce((sum, { id, share }) => {
    if (share <= 0) return sum;
    const values = oilValuesOf(id);
    const cloud = cloudPointC(values, share);
    if (t >= cloud) return sum;
    const u = (cloud - t) / (values.cloudC - values.setC);
    return sum + (share * values.mostSolid * set * u ** 2) / (1 + u ** 2);
  }, 0);
}

export type OilState = 'clear' | 'cloudy' | 'grainy' | 'set';
export function oilState(solid: number): OilState {
  if (solid < 0.01) return 'clear';
  if (solid <= 0.08) return 'cloudy';
  return solid <= 0.25 ? 'grainy' : 'set';
}

/** Time constant of a jar warming or cooling in still air, s: 4000 s for 0.3 l (estimate). */
export const warmingTimeS = (volumeMl: number): number => 4000 * Math.cbrt(volumeMl / 300);

/** Temperature after standing. */
export const standingC = (fromC: number, roomC: number, volumeMl: number, seconds: number): number =>
  roomC + (fromC - roomC) * Math.exp(-seconds / warmingTimeS(volumeMl));

/** How long until it has reached `toC` (between the two), s. */
export const timeToReachS = (fromC: number, roomC: number, toC: number, volumeMl: number): number =>
  warmingTimeS(volumeMl) * Math.log((roomC - fromC) / (roomC - toC));
