/**
 * Stand-ins for a probe thermometer and a pH meter: they follow what they are dipped into with a lag of
 * τ, with noise and a step. τ of 2 s (thin probe) and 6 s (glass electrode): estimate.
 */
import { SeededRandom } from '#core/numeric';
import type { InstrumentReading } from '#contract';
import type { ProbePort } from './ports';

const NOISE_STEPS = 0.3;
/** Within so many steps of where it is going it has settled. */
const SETTLED_STEPS = 1;

export interface ProbeModel {
  readonly instrument: 'thermometer' | 'ph-meter';
  readonly name: string;
  readonly step: number;
  readonly low: number;
  readonly high: number;
  readonly lagS: number;
  readonly startsAt: number;
  readonly seed: number;
}

export const THERMOMETER: Omit<ProbeModel, 'seed'> = {
  instrument: 'thermometer',
  name: 'Simulated thermometer',
  step: 0.1,
  low: -30,
  high: 150,
  lagS: 2,
  startsAt: 20,
};
export const PH_METER: Omit<ProbeModel, 'seed'> = {
  instrument: 'ph-meter',
  name: 'Simulated pH meter',
  step: 0.01,
  low: 0,
  high: 14,
  lagS: 6,
  startsAt: 7,
};

export class SimulatedProbe implements ProbePort {
  readonly info;
  private readonly random: SeededRandom;
  private target: number;
  private value: number;
  private shown: number;
  private pluggedIn = true;
  private lastMs: number | null = null;

  constructor(private readonly model: ProbeModel) {
    this.random = new SeededRandom(model.seed);
    this.target = this.value = this.shown = model.startsAt;
    this.info = {
      id: `simulated-${model.instrument}`,
      instrument: model.instrument,
      name: model.name,
      source: 'simulated',
      readability: model.step,
      capacity: model.high,
    } as const;
  }

  step(nowMs: number): void {
    const before = this.lastMs ?? nowMs;
    this.lastMs = Math.max(before, nowMs);
    const seconds = (this.lastMs - before) / 1000;
    this.value += (this.target - this.value) * (1 - Math.exp(-seconds / this.model.lagS));
    const { step } = this.model;
    this.shown = Math.round((this.value + NOISE_STEPS * step * this.random.normal()) / step) * step;
  }

  read(): InstrumentReading {
    if (!this.pluggedIn) return { status: 'unplugged' };
    const { low, high, step } = this.model;
    if (this.shown < low || this.shown > high) return { status: 'overload' };
    const stable = Math.abs(this.target - this.value) <= SETTLED_STEPS * step;
    return { status: 'ok', value: Number(this.shown.toFixed(6)) + 0, stable };
  }

  dip(into: number): void {
    this.target = into;
  }
  plug(pluggedIn: boolean): void {
    this.pluggedIn = pluggedIn;
  }
}
