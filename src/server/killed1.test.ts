import { expect, it } from 'vitest';
import { killRounds } from './testing/killRounds';

/** With its twin, 200 kills in all; two files, so that they run side by side. */
const ROUNDS = 100;
const SEED = Date.now() % 1_000_000;

it(
  `loses nothing acknowledged over ${ROUNDS} kills at random points (seed ${SEED})`,
  { timeout: 2_400_000 },
  async () => {
    const { acknowledged, lost } = await killRounds(ROUNDS, SEED);
    expect(lost).toEqual([]);
    expect(acknowledged).toBeGreaterThan(ROUNDS);
  },
);
