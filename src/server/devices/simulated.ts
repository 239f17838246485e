/** The stand-ins that ship with Ygrana, and the hands that move them. For the demo and for tests. */
import type { Hand } from '#contract';
import type { Instruments } from './counter';
import { PH_METER, SimulatedProbe, THERMOMETER } from './simulatedProbe';
import { SimulatedScale } from './simulatedScale';

export function simulatedInstruments(seed: number): Instruments {
  const scale = new SimulatedScale({ readabilityG: 0.1, capacityG: 3000, seed });
  const thermometer = new SimulatedProbe({ ...THERMOMETER, seed: seed + 1 });
  const phMeter = new SimulatedProbe({ ...PH_METER, seed: seed + 2 });
  const hands = (hand: Hand): void => {
    switch (hand.does) {
      case 'pour':
        scale.pour(hand.gPerS);
        return;
      case 'drop':
        scale.drop(hand.massG);
        return;
      case 'clear':
        scale.clear();
        return;
      case 'plug':
        scale.plug(hand.in);
        return;
      case 'dip':
        thermometer.dip(hand.temperatureC);
        return;
      case 'dip-ph':
        phMeter.dip(hand.ph);
    }
  };
  return { scale, probes: [thermometer, phMeter], hands };
}
