import { expect, it } from 'vitest';
import { killRounds } from './killRounds';

/** Called from two test files of 100 rounds each, so that 200 kills run side by side. */
export function testKills(rounds: number): void {
  const seed = Date.now() % 1_000_000;
  it(
    `loses nothing acknowledged over ${rounds} kills at random points (seed ${seed})`,
    { timeout: 2_400_000 },
    async () => {
      const { acknowledged, lost } = await killRounds(rounds, seed);
      expect(lost).toEqual([]);
      expect(acknowledged).toBeGreaterThan(rounds);
    },
  );
}
