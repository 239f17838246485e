/**
 * A stand-in for a kitchen scale: a load cell that settles, creeps, is noisy and rounds to its step.
 *   settling  dx/dt = (load − x)/τ        τ = 0.25 s
 *   drift     random walk, σ = 0.02 g/√min (a warm kitchen); noise σ = 0.15 steps
 *   shown     round((x + drift + noise − tare)/d) d; "stable" once it has moved by no more than one
 *             step for 0.6 s; beyond capacity + 9 d it shows overload (as OIML R 76 has it, from memory)
 * All other values: estimate.
 */
import { SeededRandom } from '#core/numeric';
import type { InstrumentReading } from '#contract';
import type { ScalePort } from './ports';

const SETTLE_S = 0.25;
const DRIFT_G_PER_ROOT_S = 0.02 / Math.sqrt(60);
const NOISE_STEPS = 0.15;
const STABLE_MS = 600;
const OVERLOAD_STEPS = 9;
/** Longer pauses are walked in pieces, or settling would overshoot. */
const LONGEST_STEP_S = 0.05;

export interface ScaleModel {
  readonly readabilityG: number;
  readonly capacityG: number;
  readonly seed: number;
}

export class SimulatedScale implements ScalePort {
  readonly info;
  private readonly random: SeededRandom;
  private loadG = 0;
  private cellG = 0;
  private driftG = 0;
  private tareG = 0;
  private shownG = 0;
  private pouringGPerS = 0;
  private pluggedIn = true;
  private lastMs: number | null = null;
  private movedAtMs = 0;

  constructor(private readonly model: ScaleModel) {
    this.random = new SeededRandom(model.seed);
    this.info = {
      id: 'simulated-scale',
      instrument: 'scale',
      name: 'Simulated scale',
      source: 'simulated',
      readability: model.readabilityG,
      capacity: model.capacityG,
    } as const;
  }

  step(nowMs: number): void {
    const before = this.lastMs ?? nowMs;
    this.lastMs = Math.max(before, nowMs);
    let left = (this.lastMs - before) / 1000;
    while (left > 0) {
      const seconds = Math.min(LONGEST_STEP_S, left);
      left -= seconds;
      this.loadG += this.pouringGPerS * seconds;
      this.cellG += (this.loadG - this.cellG) * (1 - Math.exp(-seconds / SETTLE_S));
      this.driftG += DRIFT_G_PER_ROOT_S * Math.sqrt(seconds) * this.random.normal();
    }
    if (!this.pluggedIn) return;
    const { readabilityG: d } = this.model;
    const noisy = this.cellG + this.driftG - this.tareG + NOISE_STEPS * d * this.random.normal();
    const next = Math.round(noisy / d) * d;
    // A display that flickers by one step has not moved.
    if (Math.abs(next - this.shownG) > d * 1.01) this.movedAtMs = this.lastMs;
    this.shownG = next;
  }

  read(): InstrumentReading {
    if (!this.pluggedIn) return { status: 'unplugged' };
    const { capacityG, readabilityG } = this.model;
    if (this.cellG + this.driftG > capacityG + OVERLOAD_STEPS * readabilityG) return { status: 'overload' };
    // Without the floating-point tail of the rounding.
    const value = Number(this.shownG.toFixed(6)) + 0;
    return { status: 'ok', value, stable: (this.lastMs ?? 0) - this.movedAtMs >= STABLE_MS };
  }

  tare(): boolean {
    if (this.read().status !== 'ok') return false;
    this.tareG = this.cellG + this.driftG;
    this.shownG = 0;
    this.movedAtMs = this.lastMs ?? 0;
    return true;
  }

  /** The tester's hands. */
  pour(gPerS: number): void {
    this.pouringGPerS = gPerS;
  }
  /** All at once; below 0 something is taken off. */
  drop(massG: number): void {
    this.loadG = Math.max(0, this.loadG + massG);
  }
  clear(): void {
    this.loadG = 0;
    this.pouringGPerS = 0;
  }
  /** Pulled and put back it starts anew, at zero with what lies on it. */
  plug(pluggedIn: boolean): void {
    if (pluggedIn && !this.pluggedIn) {
      this.cellG = this.loadG;
      this.tareG = this.loadG + this.driftG;
      this.shownG = 0;
    }
    this.pluggedIn = pluggedIn;
    this.pouringGPerS = 0;
  }
}
