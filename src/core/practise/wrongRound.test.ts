import { beforeAll, describe, expect, it } from 'vitest';
import { withDoses } from '#core/balance';
import { REFERENCE_CATALOGUE, type IngredientId } from '#core/ingredient';
import { exactly } from '#core/quantity';
import { judgedLines } from '../reckoning/testing';
import { faultyJar } from './faults';
import { asItWas, FAULTS, isRightAgain, type Fault } from './jar';
import { CONTEXT, LINES } from './testing';
import {
  FAULT_SETS,
  feltIn,
  gestureEffect,
  scoreOfWrong,
  stepsForDifficulty,
  faultDifficulty,
  wrongRound,
} from './wrongRound';

const DRESSINGS = LINES.map((lines) => judgedLines(lines).portions);
/** All thousand of them in `npm run torture`. */
const ROUNDS = Number(process.env.PRACTISE_ROUNDS ?? 60);
const rounds = Array.from({ length: ROUNDS }, (_, seed) => ({
  seed,
  wanted: FAULT_SETS[seed % FAULT_SETS.length]!,
  difficulty: 750 + ((seed * 37) % 600),
}));

describe('what is wrong', () => {
  it('can be mended in every round, and the reckoned way lands inside what it was', () => {
    for (const { seed, wanted, difficulty } of rounds) {
      const round = wrongRound(DRESSINGS, wanted, difficulty, CONTEXT, seed);
      expect(round, `seed ${seed}`).not.toBeNull();
      const { jar } = round!;
      expect(isRightAgain(jar.portions, jar), `seed ${seed}: it is right as it stands`).toBe(false);
      expect(isRightAgain(withDoses(jar.portions, jar.way), jar), `seed ${seed}`).toBe(true);
      expect(jar.way.length).toBeGreaterThan(0);
      for (const { massG } of jar.portions) expect(massG.nominal).toBeGreaterThanOrEqual(0);
    }
  }, 300_000);

  it('can be each of the faults, in one dressing or another', () => {
    const had = (fault: Fault): boolean =>
      DRESSINGS.some((portions) => faultyJar(portions, [fault], 2.5, CONTEXT));
    expect(FAULTS.filter((fault) => !had(fault))).toEqual([]);
  });

  it('is the same round for the same seed, and another for another', () => {
    const first = (seed: number) => wrongRound(DRESSINGS, ['flat'], 1000, CONTEXT, seed)!;
    expect(first(7)).toEqual(first(7));
    expect(new Set([1, 2, 3, 4, 5, 6, 7, 8].map((seed) => first(seed).index)).size).toBeGreaterThan(1);
  });

  it('has nothing to ask where there is no dressing, or none that could be spoiled', () => {
    expect(wrongRound([], ['flat'], 1000, CONTEXT, 1)).toBeNull();
    const water = judgedLines(['100 g water']).portions;
    expect(wrongRound([water], ['salty'], 1000, CONTEXT, 1)).toBeNull();
  });

  // A dressing without garlic, chilli or mustard is never too harsh.
  it('does not give a dressing what it cannot have', () => {
    const plain = judgedLines(['30 g white wine vinegar', '90 g sunflower oil', '2 g salt']).portions;
    expect(faultyJar(plain, ['harsh'], 3, CONTEXT)).toBeNull();
    expect(faultyJar(plain, ['sweet'], 3, CONTEXT)).toBeNull();
  });
});

describe('a gesture in a round', () => {
  let jar: NonNullable<ReturnType<typeof faultyJar>>;
  const salt = REFERENCE_CATALOGUE.get('salt_table' as IngredientId)!;
  const plus = (massG: number) => [...jar.portions, { ingredient: salt, massG: exactly(massG), form: '' }];
  beforeAll(() => {
    jar = faultyJar(DRESSINGS[0]!, ['flat'], 4, CONTEXT)!;
  });
  it('brings it nearer, and at last is right', () => {
    const little = gestureEffect(jar.portions, plus(0.2), jar);
    expect(little.lossAfter).toBeLessThan(little.lossBefore);
    expect(little.right).toBe(false);
    const missing =
      DRESSINGS[0]!.reduce((sum, { massG }) => sum + massG.nominal, 0) -
      jar.portions.reduce((sum, { massG }) => sum + massG.nominal, 0);
    expect(gestureEffect(jar.portions, plus(missing), jar).right).toBe(true);
    expect(gestureEffect(jar.portions, plus(20), jar).right).toBe(false);
  });
  it('is felt as what it is, and as nothing once it is right', () => {
    expect(feltIn(jar.portions, jar)).toEqual(['flat']);
    expect(feltIn(plus(20), jar)[0]).toBe('salty');
    expect(feltIn(withDoses(jar.portions, jar.way), jar)).toEqual([]);
    for (const fault of FAULTS) {
      const spoiled = DRESSINGS.map((portions) => faultyJar(portions, [fault], 3, CONTEXT)).find(Boolean)!;
      expect(feltIn(spoiled.portions, spoiled), fault).toContain(fault);
    }
  });
  it('judges by what the dressing was, a step and a half to either side', () => {
    const { windows } = asItWas(DRESSINGS[0]!, '');
    expect(windows.salt!.high - windows.salt!.low).toBeCloseTo(0.006, 9);
  });
});

describe('how a round came out', () => {
  const way = [1, 2].map(() => ({})) as never;
  it('counts what was named, and gestures beyond those of the reckoning', () => {
    const one = { faults: ['flat'], way } as const;
    expect(scoreOfWrong(one, ['flat'], 2, true)).toBeCloseTo(1, 9);
    expect(scoreOfWrong(one, ['flat'], 4, true)).toBeCloseTo(0.9, 9);
    expect(scoreOfWrong(one, ['salty'], 2, true)).toBeCloseTo(0.4, 9);
    expect(scoreOfWrong(one, ['flat'], 2, false)).toBeCloseTo(0.4, 9);
    expect(scoreOfWrong(one, ['flat', 'salty'], 2, true)).toBeCloseTo(0.7, 9);
    expect(scoreOfWrong({ faults: ['flat', 'sharp'], way }, ['flat'], 2, true)).toBeCloseTo(0.7, 9);
    expect(scoreOfWrong(one, [], 90, false)).toBe(0);
  });
  it('is easier the further out it is, and harder with two at once', () => {
    expect(faultDifficulty(['flat'], 5)).toBeLessThan(faultDifficulty(['flat'], 3));
    expect(faultDifficulty(['flat', 'sharp'], 3)).toBeGreaterThan(faultDifficulty(['flat'], 3));
    for (const difficulty of [900, 1000, 1100]) {
      const steps = stepsForDifficulty(['salty'], difficulty);
      expect(faultDifficulty(['salty'], steps)).toBeCloseTo(difficulty, 6);
    }
    expect([stepsForDifficulty(['flat'], -5000), stepsForDifficulty(['flat'], 5000)]).toEqual([7, 2]);
  });
});
