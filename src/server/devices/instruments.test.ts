import { describe, expect, it } from 'vitest';
import { Counter } from './counter';
import { probeAcceptance, scaleAcceptance } from './portTests';
import { PH_METER, SimulatedProbe, THERMOMETER } from './simulatedProbe';
import { simulatedInstruments } from './simulated';
import { SimulatedScale } from './simulatedScale';

const rigOf = (scale: SimulatedScale) => {
  let on = 0;
  return {
    scale,
    load: (totalG: number) => {
      scale.drop(totalG - on);
      on = totalG;
    },
    plug: (pluggedIn: boolean) => {
      scale.plug(pluggedIn);
    },
  };
};
for (const [name, readabilityG, capacityG] of [
  ['a fine simulated scale', 0.1, 3000],
  ['a coarse simulated scale', 1, 5000],
] as const) {
  scaleAcceptance(name, () => rigOf(new SimulatedScale({ readabilityG, capacityG, seed: 7 })));
}
for (const [model, values, beyond] of [
  [THERMOMETER, [4, 62], 180],
  [PH_METER, [3.6, 5.2], 15],
] as const) {
  probeAcceptance(model.name, () => {
    const probe = new SimulatedProbe({ ...model, seed: 3 });
    return {
      probe,
      dip: (value) => {
        probe.dip(value);
      },
      plug: (pluggedIn) => {
        probe.plug(pluggedIn);
      },
      values,
      beyond,
    };
  });
}

describe('the simulated scale', () => {
  it('gives the same readings for the same seed', () => {
    const readings = (seed: number): string => {
      const scale = new SimulatedScale({ readabilityG: 0.1, capacityG: 3000, seed });
      scale.drop(50);
      return Array.from({ length: 40 }, (_, i) => {
        scale.step(i * 100);
        return JSON.stringify(scale.read());
      }).join();
    };
    expect(readings(1)).toBe(readings(1));
    expect(readings(1)).not.toBe(readings(2));
  });
  it('pours at the rate it is told', () => {
    const scale = new SimulatedScale({ readabilityG: 0.1, capacityG: 3000, seed: 1 });
    scale.step(0);
    scale.pour(5);
    scale.step(4000);
    scale.pour(0);
    scale.step(8000);
    expect(scale.read()).toMatchObject({ status: 'ok' });
    expect((scale.read() as { value: number }).value).toBeCloseTo(20, 0);
  });
});

describe('the counter', () => {
  const counterAt = () => {
    let now = 0;
    const counter = new Counter(simulatedInstruments(5), () => now, 'boot');
    return {
      counter,
      wait: (ms: number) => {
        now += ms;
      },
    };
  };
  it('gives the scale to one making; another is told who has it and may take it over', () => {
    const { counter } = counterAt();
    expect(counter.take({ trialId: 'a', screenId: 'one', label: 'House, Ida' }, false)).toBe(true);
    expect(counter.take({ trialId: 'a', screenId: 'one', label: 'House, Ida' }, false)).toBe(true);
    expect(counter.take({ trialId: 'b', screenId: 'one', label: 'Plum, Ruan' }, false)).toBe(false);
    expect(counter.claim).toEqual({ trialId: 'a', screenId: 'one', label: 'House, Ida' });
    expect(counter.tare('b')).toBe('claimed');
    expect(counter.tare('a')).toBe('done');
    expect(counter.take({ trialId: 'b', screenId: 'one', label: 'Plum, Ruan' }, true)).toBe(true);
    counter.release('a');
    expect(counter.claim?.trialId).toBe('b');
    counter.release('b');
    expect(counter.claim).toBeNull();
  });
  it('lets one screen of a making read it; a second looks on until it takes over or the first is gone', () => {
    const { counter } = counterAt();
    const leave = counter.watch(() => undefined, { trialId: 'a', screenId: 'one' });
    const claim = (screenId: string, takeOver = false): string | undefined => {
      expect(counter.take({ trialId: 'a', screenId, label: '' }, takeOver)).toBe(true);
      return counter.claim?.screenId;
    };
    expect([claim('one'), claim('two'), claim('two', true), claim('one')]).toEqual([
      ...['one', 'one', 'two', 'one'],
    ]);
    leave();
    expect(claim('two')).toBe('two');
  });
  it('keeps the claim while a screen of the making looks, and gives it up once all are gone', () => {
    const { counter, wait } = counterAt();
    counter.take({ trialId: 'a', screenId: 'one', label: '' }, false);
    const leave = counter.watch(() => undefined, { trialId: 'a', screenId: 'one' });
    wait(60_000);
    expect(counter.claim?.trialId).toBe('a');
    leave();
    wait(10_000);
    expect(counter.claim?.trialId).toBe('a');
    wait(10_000);
    expect(counter.claim).toBeNull();
  });
  it('stops pouring when nothing more is heard of the hand', () => {
    const { counter, wait } = counterAt();
    let shown = 0;
    const leave = counter.watch((frame) => {
      const { scale } = frame.readings;
      if (scale?.status === 'ok') shown = scale.value;
    }, null);
    counter.byHand({ does: 'pour', gPerS: 10 });
    wait(60_000);
    counter.byHand({ does: 'drop', massG: 0 });
    wait(2000);
    counter.byHand({ does: 'drop', massG: 0 });
    leave();
    expect(shown).toBeGreaterThan(14);
    expect(shown).toBeLessThan(16);
  });
  it('without instruments there is nothing to claim, tare or pour', () => {
    const counter = new Counter({ scale: null, probes: [], hands: null }, () => 0, 'boot');
    expect(counter.answer).toEqual({ instruments: [], claim: null });
    expect(counter.tare('a')).toBe('no-instrument');
    expect(counter.byHand({ does: 'clear' })).toBe(false);
  });
});
