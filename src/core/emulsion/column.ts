/**
 * The separation column: drops of several sizes rise (or sink) in one dimension, hinder each other, pack,
 * and flow together until they are a layer of their own.
 *
 *   velocity: Stokes with Schiller-Naumann drag, times the network, times what a yield stress lets through
 *   (Beris 1985, from memory); hindrance (1 − φ)^4.65 (Richardson & Zaki) of the receiving cell; flux and
 *   scheme monotone (Bürger, García, Karlsen & Towers 2008, from memory); film rupture moves volume into the
 *   next class, and from the top class or the top cell into the free layer.
 *
 * Cells are Lagrangian: rising swaps oil and water at equal volume, so a cell keeps its thickness; oil lost to
 * the free layer shrinks it. Invariants: Σ φ dz + h_oil = φ0 H, Σ dz + h_oil = H. Cost O(cells × classes) a
 * step, no matrix. The inner loops are small functions of their own: as one large function the engine
 * compiles them late, and the first run takes a second.
 */
import { cellHeights, GRAVITY, risingVelocityMPerS, sizeClasses } from './columnGrid';

export interface ColumnInput {
  /** Share of the dispersed phase by volume, 0..1. */
  readonly dispersedVolumeFraction: number;
  readonly heightM: number;
  readonly sauterMeanDiameterM: number;
  /** Standard deviation of ln d; 0: one size only. */
  readonly spread: number;
  readonly classes: number;
  readonly cells: number;
  /** |ρ_continuous − ρ_dispersed|, kg/m³. */
  readonly densityDifferenceKgPerM3: number;
  readonly continuousDensityKgPerM3: number;
  readonly restingViscosityPaS: number;
  /** Yield stress of the continuous phase, Pa. */
  readonly yieldStressPa: number;
  readonly packedFraction: number;
  readonly closePacking: number;
  /** Factor on the velocity from a network of drops, at this fraction. */
  readonly network: number;
  readonly coverage: number;
  /** Film rupture of a covered 100 µm drop, 1/s; 0: nothing flows together. */
  readonly coveredRuptureHz: number;
  readonly bareRuptureHz: number;
  readonly mostRuptureHz: number;
  readonly endS: number;
  /** What its first layer stands for: it runs on no longer than to `endS` of that course. */
  readonly course?: { readonly firstLayerS: number; readonly endS: number };
  /** Most a cell may change in a step; smaller is slower and finer. */
  readonly tolerance?: number;
  /** Without the drag of larger drops: for checks against exact answers. */
  readonly stokesOnly?: boolean;
}

export interface ColumnFrame {
  readonly timeS: number;
  /** Layer without drops (watery, or clear oil where water is dispersed), packed layer, free layer; m. */
  readonly serumLayerM: number;
  readonly creamLayerM: number;
  readonly freeLayerM: number;
}

export interface ColumnResult {
  readonly frames: readonly ColumnFrame[];
  /** When the first layer can be seen, s; null: not within the time. */
  readonly firstLayerS: number | null;
  readonly firstLayer: 'serum' | 'free' | null;
  /** Half of one phase separated, s. */
  readonly halfS: number | null;
  readonly steps: number;
  /** Relative error of the dispersed volume and of the height. */
  readonly volumeError: number;
}

const HINDRANCE = 4.65;
const LEAK = 0.005;
const YIELD_PARAMETER = 0.0477;
const SEEN_M = 2.5e-3;
const SEEN_SHARE = 0.05;
const REFERENCE_DROP_M = 100e-6;
const REFERENCE_VISCOSITY = 1.2e-3;
const FIRST_DT_S = 0.02;
/** Frames a decade of time, for drawing. */
const FRAMES_PER_DECADE = 24;
const VOLUME_TOLERANCE = 1e-9;

interface State {
  readonly classes: number;
  /** Grows less as emptied cells join their neighbours. */
  cells: number;
  readonly dz: Float64Array;
  /** φ of class i in cell j at [j · classes + i]. */
  readonly phi: Float64Array;
  readonly total: Float64Array;
  readonly hindrance: Float64Array;
  readonly flux: Float64Array;
  readonly velocity: Float64Array;
  readonly rate: Float64Array;
  readonly d: Float64Array;
  freeM: number;
}

/** Runs to the end at once. @throws Error where volume is not conserved to 1e-9: a fault of the program */
export function runColumn(input: ColumnInput): ColumnResult {
  const work = stepColumn(input);
  for (;;) {
    const step = work.next();
    if (step.done) return step.value;
  }
}

/** The same, stepwise: yields how far it is (0..1 of the logarithm of time) after every few steps. */
export function* stepColumn(input: ColumnInput): Generator<number, ColumnResult, void> {
  const { dispersedVolumeFraction: phi0, heightM, packedFraction: packed, course } = input;
  let { endS } = input;
  const tolerance = input.tolerance ?? 0.05;
  const state = start(input);
  const seen = Math.min(SEEN_M, SEEN_SHARE * heightM);
  const frames: ColumnFrame[] = [frameOf(state, 0, phi0, packed)];
  let [time, dt, steps] = [0, FIRST_DT_S, 0];
  let firstLayerS: number | null = null;
  let firstLayer: ColumnResult['firstLayer'] = null;
  let halfS: number | null = null;
  let before = frames[0]!;
  let nextFrame = 1;
  while (time < endS && state.freeM < (1 - 1e-6) * phi0 * heightM) {
    dt = Math.min(dt, endS - time);
    totals(state);
    hinder(state, packed);
    sweep(state, dt);
    pack(state, packed, dt);
    let change = update(state, dt);
    if (input.bareRuptureHz > 0) change = Math.max(change, coalesce(state, input, dt));
    mergeThin(state, heightM, input.cells);
    time += dt;
    steps += 1;
    const now = frameOf(state, time, phi0, packed);
    if (firstLayerS === null) {
      const at = crossing(before, now, seen);
      if (at) {
        [firstLayerS, firstLayer] = [at.timeS, at.layer];
        if (course) endS = Math.min(endS, Math.max(time, (course.endS * at.timeS) / course.firstLayerS));
      }
    }
    if (halfS === null) {
      const serum = passed(before, now, 'serumLayerM', 0.5 * (1 - phi0) * heightM);
      const free = passed(before, now, 'freeLayerM', 0.5 * phi0 * heightM);
      if (serum !== null || free !== null) halfS = Math.min(serum ?? Infinity, free ?? Infinity);
    }
    if (time >= nextFrame || time >= endS) {
      frames.push(now);
      nextFrame = Math.max(nextFrame, time) * 10 ** (1 / FRAMES_PER_DECADE);
    }
    before = now;
    dt *= Math.min(1.25, Math.max(0.3, tolerance / Math.max(change, 1e-12)));
    dt = Math.min(dt, Math.max(FIRST_DT_S, 0.06 * time));
    if (steps % 16 === 0) yield Math.min(1, Math.log1p(time) / Math.log1p(endS));
  }
  if (frames.at(-1) !== before) frames.push(before);
  const volumeError = errorOf(state, phi0, heightM);
  if (!(volumeError < VOLUME_TOLERANCE)) {
    throw new Error(`The separation lost volume: relative error ${volumeError}.`);
  }
  return { frames, firstLayerS, firstLayer, halfS, steps, volumeError };
}

function start(input: ColumnInput): State {
  const { d, weight } = sizeClasses(input.sauterMeanDiameterM, input.spread, input.classes);
  const classes = d.length;
  const { cells, heightM, dispersedVolumeFraction: phi0 } = input;
  const phi = new Float64Array(cells * classes);
  for (let j = 0; j < cells; j++) for (let i = 0; i < classes; i++) phi[j * classes + i] = phi0 * weight[i]!;
  const velocity = d.map((size) => {
    const lone = risingVelocityMPerS(
      size,
      input.densityDifferenceKgPerM3,
      input.restingViscosityPaS,
      input.continuousDensityKgPerM3,
      input.stokesOnly,
    );
    const pull = YIELD_PARAMETER * input.densityDifferenceKgPerM3 * GRAVITY * size;
    const passes =
      input.yieldStressPa > 0 ? Math.max(LEAK, 1 - input.yieldStressPa / Math.max(pull, 1e-12)) : 1;
    return lone * input.network * passes;
  });
  return {
    classes,
    cells,
    dz: cellHeights(heightM, cells),
    phi,
    total: new Float64Array(cells),
    hindrance: new Float64Array(cells),
    flux: new Float64Array((cells + 1) * classes),
    velocity,
    rate: new Float64Array(classes),
    d,
    freeM: 0,
  };
}

function totals({ classes, cells, phi, total }: State): void {
  for (let j = 0; j < cells; j++) {
    let sum = 0;
    for (let i = 0, at = j * classes; i < classes; i++, at++) sum += phi[at]!;
    total[j] = sum;
  }
}

function hinder({ cells, total, hindrance }: State, packed: number): void {
  for (let j = 0; j < cells; j++) hindrance[j] = (1 - Math.min(total[j]!, packed, 1)) ** HINDRANCE;
}

/** Implicit and monotone in one pass from the bottom: what leaves cell j is led by the room in cell j + 1. */
function sweep({ classes, cells, dz, phi, hindrance, flux, velocity }: State, dt: number): void {
  for (let i = 0; i < classes; i++) flux[i] = 0;
  for (let j = 0; j < cells; j++) {
    const l = dt / dz[j]!;
    const room = j + 1 < cells ? hindrance[j + 1]! : 0;
    for (let i = 0; i < classes; i++) {
      const inward = flux[j * classes + i]!;
      const speed = velocity[i]! * room;
      const x = (phi[j * classes + i]! + l * inward) / (1 + l * speed);
      flux[(j + 1) * classes + i] = speed * x;
    }
  }
}

/** From the top down: no cell is filled beyond what packs; what cannot come in stays below. */
function pack({ classes, cells, dz, total, flux }: State, packed: number, dt: number): void {
  for (let j = cells - 1; j >= 1; j--) {
    const l = dt / dz[j]!;
    let [inward, outward] = [0, 0];
    for (let i = 0; i < classes; i++) {
      inward += flux[j * classes + i]!;
      outward += flux[(j + 1) * classes + i]!;
    }
    if (total[j]! + l * (inward - outward) <= packed || inward <= 0) continue;
    const wanted = Math.max(packed, total[j]! - l * outward);
    const share = Math.min(1, Math.max(0, (wanted - total[j]! + l * outward) / (l * inward)));
    for (let i = 0; i < classes; i++) flux[j * classes + i]! *= share;
  }
}

function update({ classes, cells, dz, phi, flux }: State, dt: number): number {
  let most = 0;
  for (let j = 0; j < cells; j++) {
    const l = dt / dz[j]!;
    let change = 0;
    for (let i = 0; i < classes; i++) {
      const at = j * classes + i;
      // What was kept out below cannot leave above: no class may go below nothing, or volume would be made.
      const available = phi[at]! / l + flux[at]!;
      if (flux[at + classes]! > available) flux[at + classes] = available;
      const by = l * (flux[at]! - flux[at + classes]!);
      const next = phi[at]! + by;
      // Denormals cost a hundredfold and mean nothing.
      phi[at] = next < 1e-40 ? 0 : next;
      change += by;
    }
    most = Math.max(most, Math.abs(change));
  }
  return most;
}

/** Films break: volume moves to the next class, and out of the largest, or at the top, into the free layer. */
function coalesce(state: State, input: ColumnInput, dt: number): number {
  const { classes, cells, dz, phi, d, rate } = state;
  const stiff = Math.min(1, Math.max(1e-4, REFERENCE_VISCOSITY / input.restingViscosityPaS));
  const lnRatio = classes > 1 ? Math.log(d[1]! / d[0]!) : 1;
  const lnBare = Math.log(input.bareRuptureHz);
  const lnSpan = Math.log(Math.max(input.coveredRuptureHz, 1e-12)) - lnBare;
  let most = 0;
  for (let j = 0; j < cells; j++) {
    let [sum, perD] = [0, 0];
    for (let i = 0; i < classes; i++) {
      sum += phi[j * classes + i]!;
      perD += phi[j * classes + i]! / d[i]!;
    }
    if (sum < 1e-12) continue;
    const d32 = sum / perD;
    const coverage = Math.min(1, (input.coverage * d32) / input.sauterMeanDiameterM);
    const film = Math.exp(lnBare + lnSpan * coverage) * stiff;
    const crowd = Math.min(1, sum / input.closePacking) ** 3;
    for (let i = 0; i < classes; i++) {
      const k = film * (d[i]! / REFERENCE_DROP_M) ** 2;
      const cap = input.mostRuptureHz * stiff;
      rate[i] = ((k * cap) / (k + cap)) * crowd;
    }
    const released = mergeCell(state, j, dt, lnRatio, j === cells - 1);
    if (released <= 0) continue;
    state.freeM += released * dz[j]!;
    dz[j]! *= 1 - released;
    for (let i = 0; i < classes; i++) phi[j * classes + i]! /= 1 - released;
    most = Math.max(most, (released * dz[j]! * cells) / input.heightM);
  }
  return most;
}

/** Class by class upwards, implicit; returns the share of the cell that became free. */
function mergeCell(
  { classes, phi, d, dz, rate }: State,
  j: number,
  dt: number,
  lnRatio: number,
  top: boolean,
): number {
  let [carry, released] = [0, 0];
  for (let i = 0; i < classes; i++) {
    const at = j * classes + i;
    const k = rate[i]! / (3 * lnRatio);
    const toLayer = top ? (rate[i]! * d[i]!) / dz[j]! : 0;
    const y = (phi[at]! + carry) / (1 + dt * (k + toLayer));
    carry = dt * k * y;
    released += dt * toLayer * y;
    phi[at] = y;
  }
  return released + carry;
}

/** A cell that has nearly vanished joins the one below; those above slide down. */
function mergeThin(state: State, heightM: number, cells: number): void {
  const { classes, dz, phi } = state;
  const thin = (0.01 * heightM) / cells;
  for (let j = state.cells - 1; j >= 1; j--) {
    if (dz[j]! >= thin) continue;
    const sum = dz[j]! + dz[j - 1]!;
    for (let i = 0; i < classes; i++) {
      const below = (j - 1) * classes + i;
      phi[below] = (phi[below]! * dz[j - 1]! + phi[j * classes + i]! * dz[j]!) / sum;
    }
    dz[j - 1] = sum;
    dz.copyWithin(j, j + 1, state.cells);
    phi.copyWithin(j * classes, (j + 1) * classes, state.cells * classes);
    state.cells -= 1;
  }
}

function frameOf(
  { classes, cells, dz, phi, freeM }: State,
  timeS: number,
  phi0: number,
  packed: number,
): ColumnFrame {
  let [serum, cream, clearing] = [0, 0, true];
  for (let j = 0; j < cells; j++) {
    let sum = 0;
    for (let i = 0, at = j * classes; i < classes; i++, at++) sum += phi[at]!;
    if (clearing && sum < 0.8 * phi0) serum += dz[j]! * Math.min(1, (0.8 - sum / phi0) / 0.6);
    else clearing = false;
    // Creamed is what is denser than it was mixed.
    if (sum > 0.95 * packed && sum > 1.02 * phi0) cream += dz[j]!;
  }
  return { timeS, serumLayerM: serum, creamLayerM: cream, freeLayerM: freeM };
}

type Layer = 'serumLayerM' | 'freeLayerM';

/** When a layer passes a height between two frames, linearly; null where it does not. */
function passed(a: ColumnFrame, b: ColumnFrame, layer: Layer, heightM: number): number | null {
  if (!(b[layer] >= heightM)) return null;
  const grown = b[layer] - a[layer];
  return grown > 0 ? a.timeS + ((heightM - a[layer]) / grown) * (b.timeS - a.timeS) : b.timeS;
}

function crossing(
  a: ColumnFrame,
  b: ColumnFrame,
  seen: number,
): { timeS: number; layer: 'serum' | 'free' } | null {
  const serum = passed(a, b, 'serumLayerM', seen);
  const free = passed(a, b, 'freeLayerM', seen);
  if (serum === null && free === null) return null;
  return (serum ?? Infinity) <= (free ?? Infinity)
    ? { timeS: serum!, layer: 'serum' }
    : { timeS: free!, layer: 'free' };
}

function errorOf({ classes, cells, dz, phi, freeM }: State, phi0: number, heightM: number): number {
  let [oil, height] = [freeM, freeM];
  for (let j = 0; j < cells; j++) {
    height += dz[j]!;
    for (let i = 0, at = j * classes; i < classes; i++, at++) oil += phi[at]! * dz[j]!;
  }
  return Math.max(Math.abs(oil / (phi0 * heightM) - 1), Math.abs(height / heightM - 1));
}
