/**
 * The separation written plainly for a general ODE solver (Cash-Karp): the same semi-discrete equations,
 * without coalescence, until just before anything packs. The independent second way, for tests and bench.
 */
import ode45 from 'ode45-cash-karp';

export interface PlainColumn {
  readonly phi0: number;
  readonly heightM: number;
  readonly cells: number;
  /** Velocity of each class, m/s, and its share of the dispersed volume. */
  readonly classes: readonly { readonly velocity: number; readonly weight: number }[];
}

const HINDRANCE = 4.65;

/** Seconds until the clear layer is `seenM` high; equal cells. */
export function generalFirstLayerS({ phi0, heightM, cells, classes }: PlainColumn, seenM: number): number {
  const dz = heightM / cells;
  const n = classes.length;
  const total = (y: ArrayLike<number>, j: number): number => {
    let sum = 0;
    for (let i = 0; i < n; i++) sum += y[j * n + i]!;
    return sum;
  };
  const derivative = (dydt: number[], y: ArrayLike<number>): void => {
    for (let k = 0; k < cells * n; k++) dydt[k] = 0;
    for (let j = 0; j + 1 < cells; j++) {
      const room = (1 - Math.min(1, total(y, j + 1))) ** HINDRANCE;
      for (let i = 0; i < n; i++) {
        const flux = classes[i]!.velocity * Math.max(0, y[j * n + i]!) * room;
        dydt[j * n + i]! -= flux / dz;
        dydt[(j + 1) * n + i]! += flux / dz;
      }
    }
  };
  const serum = (y: ArrayLike<number>): number => {
    let height = 0;
    for (let j = 0; j < cells; j++) {
      const sum = total(y, j);
      if (sum >= 0.8 * phi0) break;
      height += dz * Math.min(1, (0.8 - sum / phi0) / 0.6);
    }
    return height;
  };
  const start = Array.from({ length: cells * n }, (_, k) => phi0 * classes[k % n]!.weight);
  const integrator = ode45(start, derivative, 0, 0.1);
  let [before, time] = [0, 0];
  for (let step = 0; step < 200_000; step++) {
    integrator.step();
    const now = serum(integrator.y);
    if (now >= seenM) return time + ((seenM - before) / (now - before)) * (integrator.t - time);
    [before, time] = [now, integrator.t];
  }
  throw new Error('The general solver did not come to the first layer.');
}
