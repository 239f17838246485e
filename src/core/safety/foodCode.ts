/**
 * Whether a dressing needs time and temperature control for safety (TCS): FDA Food Code 1-201.10,
 * Table B, as recalled: food not heat-treated, or heat-treated and not packaged. Table A asks for a
 * heat step that no kitchen jar can show, and is never used. "Product assessment" counts as TCS.
 *
 * Lines are met to the decimal that a pH is known to: a bound of 4.64 is 4.6.
 */
import type { SafetyState } from './state';

/** By upper pH band, the upper water activity to which food is not TCS. */
const TABLE_B = [
  // Below 4.2; 4.2 to 4.6; above 4.6 to 5.0; above 5.0, or not known.
  { notTcsUpTo: 1 },
  { notTcsUpTo: 0.92 },
  { notTcsUpTo: 0.9 },
  { notTcsUpTo: 0.88 },
] as const;

export const PH_LINES = {
  /** Below it, or up to it: see Table B. */
  tableB: [4.2, 4.6, 5],
  /** Uncooled: Table B less 0.2, as nobody measured. */
  uncooled: 4,
  sourJuice: 3.5,
  underOil: 4.2,
  cultured: 4.6,
  rawEgg: 4.1,
} as const;
/** 21 CFR 114.3 and 110, as recalled. */
export const SYRUP_ACTIVITY = 0.85;
export const THIN_ACTIVITY = 0.92;
/** Trade line for mayonnaise, as recalled. */
export const STRONG_ACID = 0.014;
/** 50 meq/kg: ten times what hard tap water can take up; estimate. */
export const SOME_ACID = 0.003;

const toLine = (ph: number): number => Math.round(ph * 10) / 10;
/** What is not known is above every line. */
export const atMost = (ph: number | null, line: number): boolean => ph !== null && toLine(ph) <= line + 1e-9;
const below = (ph: number | null, line: number): boolean => ph !== null && toLine(ph) < line - 1e-9;

/** @param counts false where a water activity rescues nothing: unread lines, parts by hand, perishable hazards, plants under oil */
export function isTcs(upperPh: number | null, activityUpper: number, counts: boolean): boolean {
  const [first, second, third] = PH_LINES.tableB;
  const band = below(upperPh, first) ? 0 : atMost(upperPh, second) ? 1 : atMost(upperPh, third) ? 2 : 3;
  const activity = counts ? activityUpper : 1;
  // The last column reads "below 0.88", the others "up to".
  return band === 3
    ? !(activity < TABLE_B[3].notTcsUpTo - 1e-9)
    : activity > TABLE_B[band]!.notTcsUpTo + 1e-9;
}

/** Upper pH and strong acid are enough for what a line asks; both are bounds on the side of caution. */
export const isStronglySour = ({ ph, acidInWaterPhase }: SafetyState, line: number): boolean =>
  atMost(ph.blended, line) && acidInWaterPhase >= STRONG_ACID;
