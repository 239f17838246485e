/**
 * How thick a dressing is and how long it stays together, from one finding: phases, fresh drops, which side is outside,
 * body, then when the first layer shows. Everything in closed form; the separation column only draws what it says (see
 * `picture.ts`). Hold is appearance, not keeping. The band is log-normal: 80 % within the median × or ÷ its factor.
 */
import type { ColumnFrame } from './column';
import { BINDERS } from './binders';
import type { Mixing } from './drops';
import { stepPicture } from './picture';
import { emulsionState, SPLITS_FROM, type EmulsionState, type HoldRequest } from './state';
import { isMachine } from './tools';

export const HOLD_DAYS = 14;
const DAY_S = 86_400;
/** A base with less body than this does not decide. */
const BODY_PA = 0.5;

export type HoldClass = 'temporary' | 'short' | 'semi-stable' | 'stable';
export type LimitedBy = 'drops' | 'emulsifier' | 'thickness' | 'oil-share' | 'body' | 'pieces' | 'nothing';

export interface Hold {
  readonly state: EmulsionState;
  /** Median until the first layer shows, s; null: not within {@link HOLD_DAYS} days. */
  readonly medianS: number | null;
  readonly lowS: number | null;
  readonly highS: number | null;
  readonly firstLayer: 'watery' | 'oil' | null;
  readonly class: HoldClass;
  /** The class at either end of the band, where it crosses a limit. */
  readonly classes: readonly [HoldClass, HoldClass];
  readonly limitedBy: LimitedBy;
  /** 80 % lie within the median × or ÷ this. */
  readonly bandFactor: number;
  readonly heightM: number;
  /** Layers in time, for drawing; empty until they are drawn. */
  readonly frames: readonly ColumnFrame[];
}

/** Thickness and hold at once; without the picture. Null where there is nothing in the jar. */
export function hold(request: HoldRequest): Hold | null {
  const state = emulsionState(request);
  return state && holdFrom(state, request);
}

/** With its picture, stepwise; yields how far it is, 0..1. */
export function* stepHold(request: HoldRequest): Generator<number, Hold | null, void> {
  const found = hold(request);
  if (!found) return null;
  const frames = yield* stepPicture(found.state, found.medianS, request.heightM);
  return { ...found, frames };
}

function holdFrom(state: EmulsionState, { roughly = false, mixing, heightM }: HoldRequest): Hold {
  const { seconds, firstLayer } = state.settling;
  const medianS = seconds > HOLD_DAYS * DAY_S ? null : seconds;
  const bandFactor = bandFactorOf(state, mixing, roughly);
  const [lowS, highS] = medianS === null ? [null, null] : [medianS / bandFactor, medianS * bandFactor];
  return {
    state,
    medianS,
    lowS,
    highS,
    firstLayer: medianS === null ? null : firstLayer,
    class: classOfHold(medianS),
    classes: [classOfHold(lowS), classOfHold(highS)],
    limitedBy: limitedBy(state, medianS),
    bandFactor,
    heightM,
    frames: [],
  };
}

const MINUTE_S = 60;
export function classOfHold(seconds: number | null): HoldClass {
  if (seconds === null || seconds >= 7 * DAY_S) return 'stable';
  if (seconds >= 60 * MINUTE_S) return 'semi-stable';
  return seconds >= 15 * MINUTE_S ? 'short' : 'temporary';
}

/** 2.5 fresh drops of a known binder by hand; 3 gels, purées, pastes, machines and bare oil; 4 where little is known. */
function bandFactorOf(
  { phases, fresh, limit, settling }: EmulsionState,
  { tool }: Mixing,
  roughly: boolean,
): number {
  if (roughly || limit.over > 0 || phases.gumOfWater > 0) return 4;
  const byBody = settling.ruledBy !== 'fresh' || phases.base.yieldStressPa > BODY_PA;
  const known =
    fresh !== null && fresh.covered > SPLITS_FROM && !fresh.shares.every(({ binder }) => binder === 'weak');
  return byBody || isMachine(tool) || !known ? 3 : 2.5;
}

/** What stands first in the way of a longer hold. */
function limitedBy(
  { outsidePhase, fresh, split, settling }: EmulsionState,
  medianS: number | null,
): LimitedBy {
  if (medianS === null) return 'nothing';
  if (outsidePhase === 'oil') return split ? 'oil-share' : 'emulsifier';
  if (settling.ruledBy === 'wilting') return 'pieces';
  if (settling.ruledBy === 'weeping') return 'body';
  if (!fresh || settling.ruledBy === 'bought') return 'thickness';
  if (fresh.covered < 0.95) return 'emulsifier';
  if (fresh.diameterM > 20e-6) return 'drops';
  return BINDERS[fresh.shares[0]!.binder].ruptureHz > 1e-6 ? 'emulsifier' : 'thickness';
}

/** Layers at a time, interpolated on the frames; shares of the height. */
export interface Layers {
  /** Watery (or clear oil, where water is dispersed). */
  readonly serum: number;
  readonly cream: number;
  readonly free: number;
}

/** Nothing has parted yet where nothing is drawn yet. */
export function layersAt(frames: readonly ColumnFrame[], timeS: number, heightM: number): Layers {
  if (frames.length === 0) return { serum: 0, cream: 0, free: 0 };
  const after = frames.findIndex((frame) => frame.timeS >= timeS);
  const b = frames[after < 0 ? frames.length - 1 : after]!;
  const a = after <= 0 ? b : frames[after - 1]!;
  const t = b.timeS > a.timeS ? (Math.min(timeS, b.timeS) - a.timeS) / (b.timeS - a.timeS) : 1;
  const mix = (from: number, to: number): number => (from + (to - from) * t) / heightM;
  return {
    serum: mix(a.serumLayerM, b.serumLayerM),
    cream: mix(a.creamLayerM, b.creamLayerM),
    free: mix(a.freeLayerM, b.freeLayerM),
  };
}
