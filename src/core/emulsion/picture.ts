/**
 * The layers as they are drawn. The separation column runs with the drops, the water side and the network that were
 * found, and its time is stretched so that its first layer shows exactly when the hold says so: what is drawn and what
 * is said never disagree. A base that only weeps is drawn as a layer that grows with the root of time (a bed that
 * consolidates; estimate).
 */
import { BARE } from './binders';
import { stepColumn, type ColumnFrame, type ColumnInput, type ColumnResult } from './column';
import { GRAVITY } from './columnGrid';
import { closePacking } from './drops';
import type { EmulsionState } from './state';

const HOLD_S = 14 * 86_400;
/** Size classes and cells of the column: their spreading is part of the picture. */
const GRID = { classes: 20, cells: 100 } as const;
/** The column may be so much slower than the hold; beyond it the simple picture serves. */
const SLOWEST_S = 1e10;
const MOST_RUPTURE_HZ = 0.01;
/** With less dispersed there is nothing to draw as drops. */
const LEAST_PHI = 0.01;
/** Water in oil where nothing holds it: how it packs. */
const INVERTED_PACKED = 0.7;
/** Spread of drops that were bought. */
const BOUGHT_SPREAD = 0.5;
const STILL: ColumnFrame = { timeS: 0, serumLayerM: 0, creamLayerM: 0, freeLayerM: 0 };
const SEEN_M = 2.5e-3;
const SEEN_SHARE = 0.05;
/** Of the height, the most a weeping base gives off. */
const MOST_WEPT = 0.3;

type Drawn = Pick<EmulsionState, 'phases' | 'fresh' | 'bought' | 'limit' | 'outsidePhase' | 'settling'>;

/** @param medianS when the first layer shows; null: none within the course, and nothing is drawn */
export function* stepPicture(
  state: Drawn,
  medianS: number | null,
  heightM: number,
): Generator<number, readonly ColumnFrame[], void> {
  if (medianS === null) return [STILL];
  const input = columnInput(state, heightM, medianS);
  if (!input) return wept(medianS, heightM);
  const result = yield* stepColumn(input);
  return stretched(result, medianS) ?? wept(medianS, heightM);
}

/** Null where the column showed nothing in its time. */
function stretched({ frames, firstLayerS }: ColumnResult, medianS: number): readonly ColumnFrame[] | null {
  if (firstLayerS === null) return null;
  const factor = medianS / firstLayerS;
  return frames.map((frame) => ({ ...frame, timeS: frame.timeS * factor }));
}

const FRAMES = 60;
function wept(medianS: number, heightM: number): readonly ColumnFrame[] {
  const seen = Math.min(SEEN_M, SEEN_SHARE * heightM);
  return Array.from({ length: FRAMES + 1 }, (_, i) => {
    const timeS = (HOLD_S * i ** 3) / FRAMES ** 3;
    const serumLayerM = Math.min(MOST_WEPT * heightM, seen * Math.sqrt(timeS / medianS));
    return { ...STILL, timeS, serumLayerM };
  });
}

/** Null where there is too little in drops to draw. */
export function columnInput(state: Drawn, heightM: number, medianS: number): ColumnInput | null {
  const { phases, fresh, bought, settling, outsidePhase } = state;
  const phi = phases.oilVolumeFraction;
  const common = {
    heightM,
    ...GRID,
    densityDifferenceKgPerM3: Math.max(
      1,
      Math.abs(phases.continuousDensityKgPerM3 - phases.oilDensityKgPerM3),
    ),
    mostRuptureHz: MOST_RUPTURE_HZ,
    yieldStressPa: 0,
    endS: SLOWEST_S,
    course: { firstLayerS: medianS, endS: HOLD_S },
  };
  if (outsidePhase === 'oil' && fresh)
    return {
      ...common,
      dispersedVolumeFraction: 1 - phi,
      sauterMeanDiameterM: fresh.diameterM,
      spread: fresh.spread,
      continuousDensityKgPerM3: phases.oilDensityKgPerM3,
      restingViscosityPaS: phases.oilViscosityPaS,
      packedFraction: INVERTED_PACKED,
      closePacking: INVERTED_PACKED,
      network: 1,
      coverage: 0,
      coveredRuptureHz: BARE.ruptureHz,
      bareRuptureHz: BARE.ruptureHz,
    };
  const drops = settling.ruledBy === 'fresh' || !bought ? fresh : null;
  const d = drops?.diameterM ?? bought?.diameterM;
  if (d === undefined || phi < LEAST_PHI || settling.ruledBy === 'weeping' || settling.ruledBy === 'wilting')
    return null;
  const spread = drops?.spread ?? BOUGHT_SPREAD;
  const packed = packedFraction(
    spread,
    d,
    drops?.tensionNPerM ?? 0.005,
    common.densityDifferenceKgPerM3,
    phi,
    heightM,
  );
  const covered = drops ? Math.max(1e-3, Math.min(1, drops.covered)) : 1;
  const lnBare = Math.log(BARE.ruptureHz);
  return {
    ...common,
    dispersedVolumeFraction: phi,
    sauterMeanDiameterM: d,
    spread,
    continuousDensityKgPerM3: phases.continuousDensityKgPerM3,
    restingViscosityPaS: phases.restingViscosityPaS,
    // Pressed together already: nothing rises, films break.
    packedFraction: Math.max(phi, packed),
    closePacking: closePacking(spread),
    network: drops?.network ?? 1,
    coverage: drops ? Math.max(covered, drops.coverage) : 1,
    coveredRuptureHz: drops ? Math.exp(lnBare + (Math.log(drops.ruptureHz) - lnBare) / covered) : 0,
    bareRuptureHz: drops ? BARE.ruptureHz : 0,
  };
}

/** Packing of a cream layer under its own lift (Princen's osmotic pressure, fitted; estimate). */
export function packedFraction(
  spread: number,
  diameterM: number,
  tensionNPerM: number,
  densityDifference: number,
  oilVolumeFraction: number,
  heightM: number,
): number {
  const loose = closePacking(spread);
  const x =
    (0.5 * Math.abs(densityDifference) * GRAVITY * oilVolumeFraction * heightM * (diameterM / 2)) /
    tensionNPerM;
  return loose + ((0.97 - loose) * x) / (x + 0.3);
}
