/** 20 rounds in every run; `npm run torture` asks for more. */
import { expect, it } from 'vitest';
import { killRounds } from './testing/killRounds';

const ROUNDS = Number(process.env.KILL_ROUNDS ?? 20);
const SEED = Number(process.env.KILL_SEED ?? Date.now() % 1_000_000);

it(
  `loses nothing acknowledged over ${ROUNDS} kills at random points (seed ${SEED})`,
  { timeout: 2_400_000 },
  async () => {
    const { acknowledged, lost } = await killRounds(ROUNDS, SEED);
    expect(lost).toEqual([]);
    expect(acknowledged).toBeGreaterThan(ROUNDS);
  },
);
