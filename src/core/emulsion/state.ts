/**
 * What an emulsion is once it is mixed, from one finding: phases, fresh and bought drops, which side is outside, how thick
 * it is and when it parts. All closed forms, in this order and without a way back.
 */
import type { EmulsifierKind } from '#core/ingredient';
import {
  freshDropsOf,
  limitOf,
  MIXING_C,
  mostOilM3,
  type FreshDrops,
  type Limit,
  type Mixing,
} from './drops';
import type { PartAmount } from './part';
import { phasesOf, type Phases } from './phases';
import { settlingOf, type Settling } from './settling';
import { OUTSIDE_FROM, thicknessOf, type Thickness } from './thickness';

/** So much below the limit it is near to splitting. */
const NEAR_LIMIT = 0.02;
/** How far the limit itself may be off, as a share of the volume; estimate. */
const LIMIT_DOUBT = 0.02;
/** With less of its surface covered there is nothing that could have held it: it parts, it does not split. */
export const SPLITS_FROM = 0.3;

export interface HoldRequest {
  readonly amounts: readonly PartAmount[];
  readonly mixing: Mixing;
  /** Height of the liquid, m. */
  readonly heightM: number;
  /** While it stands, °C. */
  readonly temperatureC: number;
  /** Something in it is known only roughly: entered by hand, or not read. */
  readonly roughly?: boolean;
}

export type OutsidePhase = 'water' | 'oil';
/** Drops that came in bought things. */
export interface BoughtDrops {
  readonly diameterM: number;
  readonly volumeFraction: number;
}

/** Everything about the emulsion but its time course. */
export interface EmulsionState {
  /** As it stands. */
  readonly phases: Phases;
  /** Null: no oil was poured. */
  readonly fresh: FreshDrops | null;
  readonly bought: BoughtDrops | null;
  readonly limit: Limit;
  readonly outsidePhase: OutsidePhase;
  /** Oil outside although something could hold it. */
  readonly split: boolean;
  /** Within a hair of splitting. */
  readonly nearLimit: boolean;
  /** Of the whole volume, oil beyond what the water side holds, 0..1. */
  readonly freeOilFraction: number;
  /** How much more oil it can take, ml, with the doubt of the limit; below nothing: so much is too much. Null: nothing in it could hold any. */
  readonly roomForOilMl: { readonly nominal: number; readonly low: number; readonly high: number } | null;
  readonly thickness: Thickness;
  readonly settling: Settling;
  readonly mainEmulsifier: EmulsifierKind;
}

/** Null where there is nothing in the jar. */
export function emulsionState({ amounts, mixing, heightM, temperatureC }: HoldRequest): EmulsionState | null {
  const phases = phasesOf(amounts, temperatureC, mixing.tool);
  const atMixing = phasesOf(amounts, mixing.temperatureC ?? MIXING_C, mixing.tool);
  if (!phases || !atMixing) return null;
  const hasBase = phases.continuousM3 > 1e-12;
  const limit = hasBase ? limitOf(atMixing) : { mostOil: 0, over: 0 };
  const fresh = hasBase ? freshDropsOf(atMixing, mixing, limit) : null;
  const { freeOilM3, preEmulsifiedM3, preEmulsifiedAreaM2, continuousM3, oilVolumeFraction: phi } = phases;
  const whole = freeOilM3 + preEmulsifiedM3 + continuousM3;
  const outside = !hasBase || limit.over > OUTSIDE_FROM;
  const heldM3 = hasBase && fresh ? mostOilM3(continuousM3, limit.mostOil) : Infinity;
  return {
    phases,
    fresh,
    bought:
      preEmulsifiedM3 > 0
        ? { diameterM: (6 * preEmulsifiedM3) / preEmulsifiedAreaM2, volumeFraction: preEmulsifiedM3 / whole }
        : null,
    limit,
    outsidePhase: outside ? 'oil' : 'water',
    split: hasBase && outside && !phases.onlyDry && (fresh?.covered ?? 0) > SPLITS_FROM,
    nearLimit: fresh !== null && !outside && phi > limit.mostOil - NEAR_LIMIT,
    freeOilFraction: Math.max(0, freeOilM3 + preEmulsifiedM3 - heldM3) / whole,
    roomForOilMl: roomOf(phases, fresh, limit),
    thickness: thicknessOf(phases, fresh, limit),
    settling: hasBase
      ? settlingOf(phases, fresh, limit, heightM)
      : { seconds: Infinity, firstLayer: 'watery', ruledBy: 'nothing' },
    mainEmulsifier: mainOf(phases, fresh),
  };
}

/** More oil until the limit, ml; the limit itself is not known to a hair. */
function roomOf(
  { continuousM3, freeOilM3, preEmulsifiedM3, surfaces }: Phases,
  fresh: FreshDrops | null,
  { mostOil }: Limit,
): EmulsionState['roomForOilMl'] {
  if (!fresh || surfaces.length === 0) return null;
  const at = (most: number): number => (mostOilM3(continuousM3, most) - freeOilM3 - preEmulsifiedM3) * 1e6;
  return { nominal: at(mostOil), low: at(mostOil - LIMIT_DOUBT), high: at(mostOil + LIMIT_DOUBT) };
}

/** What covers most of the fresh drops; without any, what could. */
function mainOf({ surfaces }: Phases, fresh: FreshDrops | null): EmulsifierKind {
  if (fresh) return [...fresh.shares].sort((a, b) => b.share - a.share)[0]?.binder ?? 'none';
  return [...surfaces].sort((a, b) => b.areaM2 - a.areaM2)[0]?.binder ?? 'none';
}
