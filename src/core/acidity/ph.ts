/**
 * The pH of a dressing as far as it may be said. The centre comes from the charge balance; the
 * interval from eight corner runs (protein buffer × 0.6 or 1.5, organic acids × 0.9 or 1.1, every
 * ingredient's own pH − or + its spread, strong ions solved anew in each), widened by 0.10. Where
 * the figure would mislead it is refused. Never a promise: "calculated; measure to confirm".
 */
import type { Portion } from '#core/composition';
import type { Hazard } from '#core/ingredient';
import { ACID_KEYS, NACL_G_PER_MOL, type AcidKey } from './acids';
import { solvePh, type WaterPhase } from './chargeBalance';
import {
  acidMolPerG,
  bufferEqPerPhPerG,
  CENTRE,
  strongIonDifferenceMeqPer100G,
  type Corner,
} from './strongIons';
import { acidityOf } from './titratableAcidity';

export type PhReason =
  | 'too-little-water'
  | 'water-from-plants-only'
  | 'pieces'
  | 'not-all-read'
  | 'much-protein'
  | 'mostly-dairy'
  | 'interval-too-wide'
  | 'no-balance'
  | 'upper-estimate-only'
  | 'bracketed'
  | 'raw-egg-needs-acetic'
  | 'above-threshold'
  | 'straddles-threshold';

export interface PhReading {
  readonly status: 'refused' | 'above' | 'uncertain' | 'below_calculated';
  /** All null when refused; only `high` where the interval is 0.6-1.0 wide. */
  readonly value: number | null;
  readonly low: number | null;
  readonly high: number | null;
  readonly reasons: readonly PhReason[];
}

/** A portion with what was done to it, as far as pH asks. */
export interface PhPortion extends Portion {
  /** Pieces larger than 5 mm: the inside has not met the acid. */
  readonly pieces?: boolean;
}

export const PH_THRESHOLDS = {
  /** With raw egg; from memory (Smittle 2000; EU and UK trade). */
  rawEgg: 4.1,
  /** FDA Food Code 1-201.10 Table B, as recalled. */
  other: 4.2,
  /** 21 CFR 114; an alarm line, never a pass line. */
  alarm: 4.6,
  /** Acetic acid in the water phase with raw egg, mass fraction; from memory. */
  rawEggAcetic: 0.014,
} as const;

const BUFFER_CORNERS = [0.6, 1.5];
const ACID_CORNERS = [0.9, 1.1];
const SHIFT_CORNERS = [-1, 1];
const WIDEN = 0.1;
const WIDEST = 1;
const UPPER_ONLY_FROM = 0.6;
const LEAST_WATER = 0.05;
const MOST_PROTEIN = 0.06;
const MOST_DAIRY = 0.4;

/** The water of a mixture and what is dissolved in it, under one assumption; null where there is none. */
export function waterPhaseOf(portions: readonly Portion[], corner: Corner = CENTRE): WaterPhase | null {
  let [waterKg, sidEq, bufferEq, saltMol] = [0, 0, 0, 0];
  const acidMol: Record<AcidKey, number> = { acetic: 0, citric: 0, lactic: 0, malic: 0, tartaric: 0 };
  for (const { ingredient, massG } of portions) {
    const g = massG.nominal;
    waterKg += (ingredient.composition.water * g) / 1000;
    sidEq += (strongIonDifferenceMeqPer100G(ingredient, corner) * g) / 1e5;
    bufferEq += bufferEqPerPhPerG(ingredient) * g * corner.bufferFactor;
    saltMol += ((ingredient.composition.salt * g) / NACL_G_PER_MOL) * corner.saltFactor;
    for (const key of ACID_KEYS) acidMol[key] += acidMolPerG(ingredient, key) * g * corner.acidFactor;
  }
  if (!(waterKg > 0)) return null;
  for (const key of ACID_KEYS) acidMol[key] /= waterKg;
  return {
    strongIonDifferenceEqPerKg: sidEq / waterKg,
    acidMolPerKg: acidMol,
    bufferEqPerPhPerKg: bufferEq / waterKg,
    saltMolPerKg: saltMol / waterKg,
  };
}

/** The pH of a mixture under one assumption; null where there is no water or no balance. */
export function calculatedPh(portions: readonly Portion[], corner: Corner = CENTRE): number | null {
  const phase = waterPhaseOf(portions, corner);
  const solution = phase && solvePh(phase);
  return solution?.status === 'converged' ? solution.ph : null;
}

export interface PhInterval {
  readonly value: number;
  readonly low: number;
  readonly high: number;
}

/**
 * Centre and interval, before any rule of what may be shown.
 * @param saltFactor 0 leaves out what salt does to the acids: it lowers a pH a little and makes nothing sourer
 */
export function calculatedPhInterval(portions: readonly Portion[], saltFactor = 1): PhInterval | null {
  const value = calculatedPh(portions, { ...CENTRE, saltFactor });
  if (value === null) return null;
  let [low, high] = [value, value];
  for (const bufferFactor of BUFFER_CORNERS) {
    for (const acidFactor of ACID_CORNERS) {
      for (const phShift of SHIFT_CORNERS) {
        const corner = calculatedPh(portions, { bufferFactor, acidFactor, phShift, saltFactor });
        if (corner === null) return null;
        low = Math.min(low, corner);
        high = Math.max(high, corner);
      }
    }
  }
  return { value, low: low - WIDEN, high: high + WIDEN };
}

/**
 * @param unreadCount additions whose words could not be read: their share is not known
 */
export function phOf(portions: readonly PhPortion[], unreadCount = 0): PhReading {
  const reasons = refusals(portions, unreadCount);
  const interval = reasons.length === 0 ? calculatedPhInterval(portions) : null;
  if (reasons.length === 0 && !interval) reasons.push('no-balance');
  if (interval && interval.high - interval.low > WIDEST) reasons.push('interval-too-wide');
  if (!interval || reasons.length > 0) {
    return { status: 'refused', value: null, low: null, high: null, reasons };
  }
  return judged(interval, portions);
}

/** What no share or width forbids saying once every part is on the acid side; see phBound.ts. */
const BRACKET_LIFTS: ReadonlySet<PhReason> = new Set<PhReason>([
  'much-protein',
  'mostly-dairy',
  'interval-too-wide',
]);

/** An upper estimate in place of a refusal, where the parts' own pH bracket the mixture at or below the alarm line. */
export function bracketedPh(
  reading: PhReading,
  portions: readonly PhPortion[],
  upper: number | null,
): PhReading {
  if (reading.status !== 'refused' || upper === null || upper > PH_THRESHOLDS.alarm) return reading;
  if (!reading.reasons.every((reason) => BRACKET_LIFTS.has(reason))) return reading;
  const { status, reasons } = judged({ value: upper, low: upper - UPPER_ONLY_FROM, high: upper }, portions);
  return {
    status: status === 'above' ? 'uncertain' : status,
    value: null,
    low: null,
    high: upper,
    reasons: [...new Set<PhReason>(['bracketed', ...reasons, 'upper-estimate-only'])],
  };
}

/** A meter's reading of this very jar, ± 0.1, stands in for the calculated interval (calibrated; common practice). */
export const meteredPh = (value: number, portions: readonly PhPortion[]): PhReading =>
  judged({ value, low: value - METER_SPREAD, high: value + METER_SPREAD }, portions);
export const METER_SPREAD = 0.1;

function judged(interval: PhInterval, portions: readonly PhPortion[]): PhReading {
  const { value, low, high } = interval;
  const rawEgg = hasHazard(portions, 'raw_egg');
  const threshold = rawEgg ? PH_THRESHOLDS.rawEgg : PH_THRESHOLDS.other;
  const reasons: PhReason[] = [];
  let status: PhReading['status'] = 'below_calculated';
  if (low > threshold) {
    status = 'above';
    reasons.push('above-threshold');
  } else if (high > threshold) {
    status = 'uncertain';
    reasons.push('straddles-threshold');
  } else if (rawEgg) {
    const acetic = acidityOf(portions)?.aceticInWaterPhaseMassFraction ?? 0;
    if (acetic < PH_THRESHOLDS.rawEggAcetic) {
      status = 'uncertain';
      reasons.push('raw-egg-needs-acetic');
    }
  }
  if (high - low >= UPPER_ONLY_FROM) {
    return { status, value: null, low: null, high, reasons: [...reasons, 'upper-estimate-only'] };
  }
  return { status, value, low, high, reasons };
}

const hasHazard = (portions: readonly Portion[], hazard: Hazard): boolean =>
  portions.some(({ ingredient }) => ingredient.hazards.includes(hazard));

const PLANTS: ReadonlySet<string> = new Set(['aromatic', 'herb', 'veg', 'spice', 'oil', 'salt']);
const DAIRY: ReadonlySet<Hazard> = new Set<Hazard>(['dairy', 'soft_or_blue_cheese']);

function refusals(portions: readonly PhPortion[], unreadCount: number): PhReason[] {
  const share = (value: (portion: PhPortion) => number): number =>
    portions.reduce((sum, portion) => sum + value(portion) * portion.massG.nominal, 0) / total;
  const total = portions.reduce((sum, { massG }) => sum + massG.nominal, 0);
  if (!(total > 0)) return ['too-little-water'];
  const reasons: PhReason[] = [];
  const water = share(({ ingredient }) => ingredient.composition.water);
  const fromPlants = share(({ ingredient }) =>
    PLANTS.has(ingredient.category) ? ingredient.composition.water : 0,
  );
  if (water < LEAST_WATER) reasons.push('too-little-water');
  else if (water - fromPlants < 1e-9) reasons.push('water-from-plants-only');
  if (portions.some(({ pieces }) => pieces)) reasons.push('pieces');
  if (unreadCount > 0) reasons.push('not-all-read');
  if (share(({ ingredient }) => ingredient.composition.protein) > MOST_PROTEIN) reasons.push('much-protein');
  const dairy = share(({ ingredient }) => (ingredient.hazards.some((h) => DAIRY.has(h)) ? 1 : 0));
  if (dairy > MOST_DAIRY) reasons.push('mostly-dairy');
  return reasons;
}
