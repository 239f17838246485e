/** A scale carries only so much, the jug on it included: a larger weighing is cut into equal pours. */

export interface ScaleLimits {
  readonly readabilityG: number;
  /** Most it carries, g. */
  readonly capacityG: number;
  /** What is weighed into stands on it too, g. */
  readonly vesselG: number;
}

const WHOLE = 1e-6;

/**
 * Pours that add up to `massG`, each within what the scale carries; equal but for its steps. One pour
 * where it fits.
 * @throws RangeError where the vessel alone is too heavy, or the readability is no number above 0
 */
export function poursOf(massG: number, { readabilityG, capacityG, vesselG }: ScaleLimits): readonly number[] {
  if (!(readabilityG > 0)) throw new RangeError('A scale’s smallest step is more than nothing.');
  const room = Math.floor((capacityG - vesselG) / readabilityG + WHOLE) * readabilityG;
  if (!(room > 0)) throw new RangeError('The scale cannot carry the jug that is weighed into.');
  const count = Math.ceil(massG / room - WHOLE);
  if (count <= 1) return [massG];
  const steps = Math.ceil(massG / count / readabilityG - WHOLE);
  const each = Math.min(room, Number((steps * readabilityG).toFixed(6)));
  const first = Array.from({ length: count - 1 }, () => each);
  return [...first, Number((massG - each * (count - 1)).toFixed(6))];
}
