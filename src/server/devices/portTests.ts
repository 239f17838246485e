/** What every instrument must pass, simulated or real. The rig moves what the instrument feels. */
import { describe, expect, it } from 'vitest';
import type { ProbePort, ScalePort } from './ports';

export interface ScaleRig {
  readonly scale: ScalePort;
  /** Puts so many grams on, in all. */
  readonly load: (totalG: number) => void;
  readonly plug: (pluggedIn: boolean) => void;
}

/** Runs the instrument as its owner would: ten steps a second. */
function runner(port: { step: (nowMs: number) => void }): (seconds: number) => void {
  let nowMs = 1000;
  port.step(nowMs);
  return (seconds) => {
    for (let i = 0; i < seconds * 10; i++) port.step((nowMs += 100));
  };
}

function readied(makeRig: () => ScaleRig) {
  const rig = makeRig();
  const run = runner(rig.scale);
  run(1);
  rig.scale.tare();
  const { readability: d, capacity } = rig.scale.info;
  const value = (): number => {
    const reading = rig.scale.read();
    if (reading.status !== 'ok') throw new Error(reading.status);
    return reading.value;
  };
  return { ...rig, run, d, capacity, value };
}

export function scaleAcceptance(name: string, makeRig: () => ScaleRig): void {
  describe(`${name} as a scale`, () => {
    weighs(makeRig);
    knowsItsLimits(makeRig);
  });
}

function weighs(makeRig: () => ScaleRig): void {
  const ready = () => readied(makeRig);
  it('says what it is', () => {
    const { info } = makeRig().scale;
    expect(info.instrument).toBe('scale');
    expect(info.id).not.toBe('');
    expect(info.readability).toBeGreaterThan(0);
    expect(info.capacity).toBeGreaterThan(info.readability);
  });
  it('shows zero after a tare, and what is put on from then, within three steps', () => {
    const { run, load, value, d } = ready();
    expect(Math.abs(value())).toBeLessThanOrEqual(d);
    for (const grams of [20, 100, 250]) {
      load(grams);
      run(4);
      expect(Math.abs(value() - grams)).toBeLessThanOrEqual(3 * d);
    }
  });
  it('shows whole steps only', () => {
    const { run, load, value, d } = ready();
    load(17.03);
    for (let i = 0; i < 20; i++) {
      run(0.1);
      expect(Math.abs(value() / d - Math.round(value() / d))).toBeLessThan(1e-6);
    }
  });
  it('says it is not stable while it moves, and stable once it rests', () => {
    const { run, load, scale } = ready();
    load(200);
    run(0.2);
    expect(scale.read()).toMatchObject({ status: 'ok', stable: false });
    run(4);
    expect(scale.read()).toMatchObject({ status: 'ok', stable: true });
  });
  it('goes below zero when something is lifted off, and is tared to zero again', () => {
    const { run, load, value, scale, d } = ready();
    load(300);
    run(4);
    expect(scale.tare()).toBe(true);
    load(0);
    run(4);
    expect(value()).toBeLessThan(-290);
    scale.tare();
    run(2);
    expect(Math.abs(value())).toBeLessThanOrEqual(2 * d);
  });
}

function knowsItsLimits(makeRig: () => ScaleRig): void {
  const ready = () => readied(makeRig);
  it('shows no number beyond its capacity, will not be tared there, and comes back', () => {
    const { run, load, scale, capacity, value } = ready();
    load(capacity * 1.2);
    run(4);
    expect(scale.read()).toEqual({ status: 'overload' });
    expect(scale.tare()).toBe(false);
    load(50);
    run(4);
    expect(Math.abs(value() - 50)).toBeLessThan(1);
  });
  it('unplugged it shows no number and cannot be tared; plugged in it reads again', () => {
    const { run, load, scale, plug } = ready();
    load(80);
    run(3);
    plug(false);
    run(1);
    expect(scale.read()).toEqual({ status: 'unplugged' });
    expect(scale.tare()).toBe(false);
    plug(true);
    run(3);
    expect(scale.read().status).toBe('ok');
  });
  it('does not drift by more than five steps in a quarter of an hour', () => {
    const { run, load, value, d } = ready();
    load(60);
    run(900);
    expect(Math.abs(value() - 60)).toBeLessThanOrEqual(5 * d);
  });
  it('a clock that stands still or goes back does no harm', () => {
    const { scale, value, run } = ready();
    scale.step(0);
    scale.step(0);
    run(1);
    expect(Number.isFinite(value())).toBe(true);
  });
}

export interface ProbeRig {
  readonly probe: ProbePort;
  readonly dip: (value: number) => void;
  readonly plug: (pluggedIn: boolean) => void;
  /** Two values it can be dipped into. */
  readonly values: readonly [number, number];
  /** Beyond what it can show. */
  readonly beyond: number;
}

export function probeAcceptance(name: string, makeRig: () => ProbeRig): void {
  describe(`${name} as a probe`, () => {
    it('follows what it is dipped into, says when it has settled, and shows whole steps', () => {
      const { probe, dip, values } = makeRig();
      const run = runner(probe);
      const d = probe.info.readability;
      for (const value of values) {
        dip(value);
        run(0.2);
        expect(probe.read()).toMatchObject({ status: 'ok', stable: false });
        run(90);
        const reading = probe.read();
        expect(reading).toMatchObject({ status: 'ok', stable: true });
        if (reading.status !== 'ok') continue;
        expect(Math.abs(reading.value - value)).toBeLessThanOrEqual(3 * d);
        expect(Math.abs(reading.value / d - Math.round(reading.value / d))).toBeLessThan(1e-6);
      }
    });
    it('shows no number beyond its range or unplugged', () => {
      const { probe, dip, plug, values, beyond } = makeRig();
      const run = runner(probe);
      dip(beyond);
      run(120);
      expect(probe.read()).toEqual({ status: 'overload' });
      dip(values[0]);
      run(120);
      plug(false);
      expect(probe.read()).toEqual({ status: 'unplugged' });
      plug(true);
      expect(probe.read().status).toBe('ok');
    });
  });
}
