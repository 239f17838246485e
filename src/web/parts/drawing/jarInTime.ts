/** The jar after mixing, as the separation gives it: layers bottom first. */
import type { Layers, OutsidePhase } from '#core/emulsion';
import type { JarPart } from './Jar';

const WATERY = '#d9cfae';
const EMULSION = '#e6cf86';
const CREAM = '#efdfa9';
const OIL = '#c79a12';

/** @param tint colour of what is mixed: the dressing's own oil and herbs */
export function partsInTime(
  layers: Layers,
  outside: OutsidePhase,
  volumeMl: number,
  tint: string = EMULSION,
): readonly JarPart[] {
  const { serum, free } = layers;
  const rest = Math.max(0, 1 - serum - free);
  const cream = Math.min(layers.cream, rest);
  const part = (key: string, name: string, colour: string, share: number): JarPart => ({
    key,
    name,
    colour,
    volumeMl: volumeMl * share,
  });
  // Where water is dispersed its drops sink: the free layer lies at the bottom, clear oil on top.
  const order =
    outside === 'water'
      ? [
          part('serum', 'watery', WATERY, serum),
          part('mixed', 'mixed', tint, rest - cream),
          part('cream', 'creamed', CREAM, cream),
          part('free', 'oil', OIL, free),
        ]
      : [
          part('free', 'watery', WATERY, free),
          part('cream', 'settled', CREAM, cream),
          part('mixed', 'mixed', tint, rest - cream),
          part('serum', 'oil', OIL, serum),
        ];
  return order.filter(({ volumeMl: ml }) => ml > volumeMl * 0.002);
}

/** Positions of the scrubber: 0 as it goes in, 1 just mixed, then the logarithm of time to `endS`. */
export const SCRUB_STEPS = 100;
const FIRST_S = 10;

export function timeAt(position: number, endS: number): number | null {
  if (position <= 0) return null;
  if (position <= 1) return 0;
  const share = (position - 1) / (SCRUB_STEPS - 1);
  return FIRST_S * (endS / FIRST_S) ** share;
}

/** Where a time stands on the track, 0..1 of its length. */
export function shareOf(seconds: number, endS: number): number {
  const share = Math.log(Math.max(seconds, FIRST_S) / FIRST_S) / Math.log(endS / FIRST_S);
  return (1 + Math.min(1, share) * (SCRUB_STEPS - 1)) / SCRUB_STEPS;
}
