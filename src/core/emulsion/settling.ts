/**
 * When the first layer can be seen, in closed form: four rates side by side, of fresh drops, of bought drops, of a base
 * that weeps, and of cut plants that wilt (see `wilting.ts`).
 *
 *   rising   t_St = 1.1 h / (Δρ g d²/(18 η_rest) · hind · net),  h = min(2.5 mm, 5 % of the height)
 *   breaking t_film = 1/(K (d/100 µm)^1.5 · clamp(1.2 mPa s/η_rest, 1e−4, 1)^½)
 *   waiting  t_gel = 2.8 d · patience · (rest/10 Pa)^0.6 · (1 − over)
 *   1/t = Σ rates;  hold = 10 s + t
 *
 * hind = (1−φ)^4.65 (Richardson & Zaki 1954) up to one half, beyond it as a bed (Kozeny-Carman trend). Powers of the
 * films and of the waiting: fitted to kitchen practice. Range: 0-60 °C, 14 days.
 */
import { GRAVITY } from './columnGrid';
import { fitted } from './fitted';
import type { FreshDrops, Limit } from './drops';
import type { Phases } from './phases';
import { packedYieldPa } from './thickness';
import { wiltedAfterS } from './wilting';

const DAY_S = 86_400;
const SEEN_M = 2.5e-3;
const SEEN_SHARE = 0.05;
const HINDRANCE = 4.65;
const LEAST_DIFFERENCE = 5;
const REFERENCE_DROP_M = 100e-6;
const REFERENCE_VISCOSITY = 1.2e-3;

export interface Settling {
  /** Until the first layer shows, s; Infinity where nothing parts. */
  readonly seconds: number;
  readonly firstLayer: 'watery' | 'oil';
  /** What rules it. */
  readonly ruledBy: 'fresh' | 'bought' | 'weeping' | 'wilting' | 'nothing';
}

export function settlingOf(
  phases: Phases,
  fresh: FreshDrops | null,
  { over }: Limit,
  heightM: number,
): Settling {
  const { freeOilM3, preEmulsifiedM3, continuousM3, preEmulsifiedAreaM2, base } = phases;
  const whole = freeOilM3 + preEmulsifiedM3 + continuousM3;
  const rise = riseOver(phases, heightM);
  const gelS = waitingS(phases, fresh, over);
  const crowd = Math.min(1, phases.oilVolumeFraction / 0.3);
  const pre = preEmulsifiedM3 / whole;
  const preDropM = preEmulsifiedAreaM2 > 0 ? (6 * preEmulsifiedM3) / preEmulsifiedAreaM2 : 0;
  const preNet = 1 + (fitted('boughtNetwork') - 1) * crowd;
  const films = fresh ? filmRate(fresh, phases.restingViscosityPaS) : 0;
  const risen = fresh ? 1 / rise(fresh.diameterM, fresh.network) : 0;
  const weepShare = (base.weeps * (whole - freeOilM3)) / whole;
  const rates = {
    fresh: fresh ? weight(freeOilM3 / whole) / (1 / (risen + films) + gelS) : 0,
    bought: preDropM > 0 ? weight(pre) / (rise(preDropM, preNet) + gelS) : 0,
    weeping:
      weepShare > 0 && gelS > 0 ? weepShare ** 4 / (weepShare ** 4 + fitted('weepsFrom') ** 4) / gelS : 0,
    wilting: 1 / wiltedAfterS((Math.min(SEEN_M, SEEN_SHARE * heightM) / heightM) * (whole / phases.wiltsM3)),
  };
  const total = rates.fresh + rates.bought + rates.weeping + rates.wilting;
  if (!(total > 0)) return { seconds: Infinity, firstLayer: 'watery', ruledBy: 'nothing' };
  const oil = films > 0 ? (rates.fresh * films) / (risen + films) : 0;
  const [[ruledBy]] = Object.entries(rates).sort((a, b) => b[1] - a[1]) as [[keyof typeof rates, number]];
  return { seconds: fitted('leastS') + 1 / total, firstLayer: oil > total / 2 ? 'oil' : 'watery', ruledBy };
}

const weight = (share: number): number => share / (share + fitted('fewDrops'));

/** Time to rise over the height at which a layer is seen, s. */
function riseOver(
  { continuousDensityKgPerM3, oilDensityKgPerM3, restingViscosityPaS, oilVolumeFraction: phi }: Phases,
  heightM: number,
): (diameterM: number, network: number) => number {
  const seen = fitted('creamingStart') * Math.min(SEEN_M, SEEN_SHARE * heightM);
  const difference = Math.max(LEAST_DIFFERENCE, Math.abs(continuousDensityKgPerM3 - oilDensityKgPerM3));
  const half = 0.5 ** HINDRANCE;
  const hindered = phi <= 0.5 ? (1 - phi) ** HINDRANCE : half * ((1 - phi) / 0.5) ** 2;
  return (diameterM, network) =>
    seen /
    (((difference * GRAVITY * diameterM ** 2) / (18 * restingViscosityPaS)) *
      Math.max(hindered, 1e-9) *
      network);
}

const filmRate = ({ ruptureHz, diameterM }: FreshDrops, restingPaS: number): number =>
  ruptureHz *
  (diameterM / REFERENCE_DROP_M) ** 1.5 *
  Math.min(1, Math.max(1e-4, REFERENCE_VISCOSITY / restingPaS)) ** 0.5;

/** How long what has a body waits before anything moves in it, s. */
function waitingS(phases: Phases, fresh: FreshDrops | null, over: number): number {
  const { base, gumYieldPa } = phases;
  const packed = (fresh?.yolkShare ?? 0) * packedYieldPa(phases, fresh);
  const rest = base.yieldStressPa + 2 * gumYieldPa + base.restPa + packed;
  return (
    fitted('restDays') *
    DAY_S *
    base.patience *
    (rest / fitted('restYieldPa')) ** fitted('restExponent') *
    (1 - over)
  );
}
