/**
 * How long a dressing stays together after mixing: phases, drops, which side is outside, packing, then the
 * column. Hold is appearance, not keeping. The band is log-normal: 80 % within the median × or ÷ b.
 */
import type { EmulsifierKind } from '#core/ingredient';
import { runColumn, stepColumn, type ColumnFrame, type ColumnInput, type ColumnResult } from './column';
import {
  closePacking,
  dropsOf,
  mechanicalM,
  mostOilFraction,
  packedFraction,
  type Drops,
  type Mixing,
} from './dropSize';
import type { PartAmount } from './part';
import { BARE, phasesOf, type Phases } from './phases';
import { thicknessOf, type Thickness } from './thickness';
import { TOOL_VALUES } from './tools';

export const HOLD_DAYS = 14;
const DAY_S = 86_400;
/** Size classes and cells of the column: their spreading is part of the model. */
export const COLUMN_GRID = { classes: 20, cells: 100 } as const;
const MOST_RUPTURE_HZ = 0.01;
/** Drops of water in oil, where nothing holds them (water-in-oil). */
const INVERTED = { coarser: 2.5, packed: 0.7 };
/** So much below the limit it is near to splitting. */
const NEAR_LIMIT = 0.02;
const NEAR_JAM = 0.05;

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
export type HoldClass = 'temporary' | 'short' | 'semi-stable' | 'stable';
export type LimitedBy = 'drops' | 'emulsifier' | 'thickness' | 'oil-share' | 'nothing';

/** Everything about the emulsion but its time course. */
export interface EmulsionState {
  readonly phases: Phases;
  readonly drops: Drops;
  readonly outsidePhase: OutsidePhase;
  readonly mostOilFraction: number;
  /** Oil outside although something could hold it: it has split. */
  readonly split: boolean;
  /** Within a hair of splitting. */
  readonly nearLimit: boolean;
  readonly packedFraction: number;
  /** Packed already: nothing rises. */
  readonly jammed: boolean;
  readonly thickness: Thickness;
  readonly column: ColumnInput;
  readonly mainEmulsifier: EmulsifierKind;
}

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
  readonly result: ColumnResult;
}

/** Null where there is no oil or no water: there is nothing to separate. */
export function emulsionState({ amounts, mixing, heightM, temperatureC }: HoldRequest): EmulsionState | null {
  const phases = phasesOf(amounts, temperatureC);
  if (!phases || phases.continuousM3 <= 1e-9 || phases.oilVolumeFraction < 1e-3) return null;
  const drops = dropsOf(phases, mixing);
  const phi = phases.oilVolumeFraction;
  const most = mostOilFraction(phases);
  const inverted = phi > most;
  const difference = Math.abs(phases.continuousDensityKgPerM3 - phases.oilDensityKgPerM3);
  const packed = packedFraction(drops, difference, phi, heightM);
  const jammed = !inverted && phi > packed;
  const thickness = inverted
    ? thicknessOf(
        {
          ...phases,
          oilVolumeFraction: 1 - phi,
          pouringViscosityPaS: phases.oilViscosityPaS,
          continuousYieldPa: 0,
        },
        drops,
      )
    : thicknessOf(phases, drops);
  const common = {
    heightM,
    classes: COLUMN_GRID.classes,
    cells: COLUMN_GRID.cells,
    densityDifferenceKgPerM3: Math.max(difference, 1),
    bareRuptureHz: BARE.ruptureHz,
    mostRuptureHz: MOST_RUPTURE_HZ,
    endS: HOLD_DAYS * DAY_S,
  };
  const column: ColumnInput = inverted
    ? {
        ...common,
        dispersedVolumeFraction: 1 - phi,
        sauterMeanDiameterM: INVERTED.coarser * mechanicalM(phases, mixing, BARE.tensionNPerM),
        spread: TOOL_VALUES[mixing.tool].spread,
        continuousDensityKgPerM3: phases.oilDensityKgPerM3,
        restingViscosityPaS: phases.oilViscosityPaS,
        yieldStressPa: 0,
        packedFraction: INVERTED.packed,
        closePacking: INVERTED.packed,
        network: 1,
        coverage: 0,
        coveredRuptureHz: BARE.ruptureHz,
      }
    : {
        ...common,
        dispersedVolumeFraction: phi,
        sauterMeanDiameterM: drops.sauterMeanDiameterM,
        spread: drops.spread,
        continuousDensityKgPerM3: phases.continuousDensityKgPerM3,
        restingViscosityPaS: phases.restingViscosityPaS,
        yieldStressPa: phases.continuousYieldPa,
        packedFraction: jammed ? phi : packed,
        closePacking: closePacking(drops.spread),
        network: networkAt(phi, phases.emulsifier.network),
        coverage: drops.coverage,
        coveredRuptureHz: phases.emulsifier.ruptureHz,
      };
  return {
    phases,
    drops,
    outsidePhase: inverted ? 'oil' : 'water',
    mostOilFraction: most,
    split: inverted && phases.coverableM2 > 0,
    nearLimit: !inverted && phi > most - NEAR_LIMIT,
    packedFraction: packed,
    jammed,
    thickness,
    column,
    mainEmulsifier: phases.mainEmulsifier,
  };
}

/** Full from 30 % on, none in a thin suspension. */
const networkAt = (phi: number, network: number): number => 1 + (network - 1) * Math.min(1, phi / 0.3);

export function hold(request: HoldRequest): Hold | null {
  const state = emulsionState(request);
  return state && holdFrom(state, runColumn(state.column), request);
}

/** The same, stepwise; yields how far it is. */
export function* stepHold(request: HoldRequest): Generator<number, Hold | null, void> {
  const state = emulsionState(request);
  if (!state) return null;
  return holdFrom(state, yield* stepColumn(state.column), request);
}

export function holdFrom(
  state: EmulsionState,
  result: ColumnResult,
  { roughly = false }: Pick<HoldRequest, 'roughly'>,
): Hold {
  const medianS = result.firstLayerS;
  const bandFactor = bandFactorOf(state, roughly);
  const [lowS, highS] = medianS === null ? [null, null] : [medianS / bandFactor, medianS * bandFactor];
  const firstLayer =
    result.firstLayer === null
      ? null
      : (result.firstLayer === 'serum') === (state.outsidePhase === 'water')
        ? 'watery'
        : 'oil';
  return {
    state,
    medianS,
    lowS,
    highS,
    firstLayer,
    class: classOfHold(medianS),
    classes: [classOfHold(lowS), classOfHold(highS)],
    limitedBy: limitedBy(state, medianS),
    bandFactor,
    result,
  };
}

const MINUTE_S = 60;
export function classOfHold(seconds: number | null): HoldClass {
  if (seconds === null || seconds >= 7 * DAY_S) return 'stable';
  if (seconds >= 60 * MINUTE_S) return 'semi-stable';
  return seconds >= 15 * MINUTE_S ? 'short' : 'temporary';
}

/** 2.5 by hand with a known binder; 3 for machines, purées, gels and near a limit; 4 where little is known. */
function bandFactorOf(
  { phases, drops, mostOilFraction: most, packedFraction: packed, outsidePhase, column }: EmulsionState,
  roughly: boolean,
): number {
  const phi = phases.oilVolumeFraction;
  if (roughly || outsidePhase === 'oil' || phases.gumOfWater > 0) return 4;
  const nearJam = Math.abs(phi - packed) < NEAR_JAM || most - phi < NEAR_JAM;
  const thick =
    column.yieldStressPa > 0.5 || phases.particleVolumeFraction > 0.1 || phases.mainEmulsifier === 'weak';
  return nearJam || thick || drops.sauterMeanDiameterM < 35e-6 ? 3 : 2.5;
}

/** What stands first in the way of a longer hold. */
function limitedBy({ outsidePhase, drops, phases }: EmulsionState, medianS: number | null): LimitedBy {
  if (medianS === null) return 'nothing';
  if (outsidePhase === 'oil') return phases.coverableM2 > 0 ? 'oil-share' : 'emulsifier';
  if (drops.coverage < 1.05) return 'emulsifier';
  if (drops.sauterMeanDiameterM > 20e-6) return 'drops';
  return 'thickness';
}

/** Layers at a time, interpolated on the frames; shares of the height. */
export interface Layers {
  /** Watery (or clear oil, where water is dispersed). */
  readonly serum: number;
  readonly cream: number;
  readonly free: number;
}

export function layersAt(frames: readonly ColumnFrame[], timeS: number, heightM: number): Layers {
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
