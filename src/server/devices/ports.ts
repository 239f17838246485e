/**
 * What any instrument at the counter must be to Ygrana. Implementations, simulated ones included, pass
 * the suite in ./portTests. Time is an argument: `step` moves an instrument on, whoever owns the clock
 * calls it.
 */
import type { InstrumentInfo, InstrumentReading } from '#contract';

/** A scale reads net of its tare, g. */
export interface ScalePort {
  readonly info: InstrumentInfo & { readonly instrument: 'scale' };
  /** What its display shows now. Never NaN; beyond its capacity it says so instead of a number. */
  read(): InstrumentReading;
  /** Zeroes the display at what lies on it; false where it cannot (overload, unplugged). */
  tare(): boolean;
  /** @param nowMs of a clock that never goes back */
  step(nowMs: number): void;
}

/** A thermometer, °C, or a pH meter. */
export interface ProbePort {
  readonly info: InstrumentInfo & { readonly instrument: 'thermometer' | 'ph-meter' };
  read(): InstrumentReading;
  step(nowMs: number): void;
}
