import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SeededRandom } from '#core/numeric';
import {
  expectedScore,
  itemsOf,
  nextOf,
  ROUND_KINDS,
  skillOf,
  START_RATING,
  wantedDifficulty,
  type PractiseAnswer,
} from './skill';

const answer = (item: string, score: number, difficulty = 1000): PractiseAnswer => ({
  kind: 'wrong',
  item,
  score,
  difficulty,
});
const CHOICES = Array.from({ length: 30 }, (_, i) => ({ item: `i${i}`, difficulty: 500 + i * 40 }));

/** A cook of a known skill, who is asked what comes next and is right as often as that skill says. */
function simulated(skill: number, rounds: number, seed: number): readonly PractiseAnswer[] {
  const random = new SeededRandom(seed);
  const answers: PractiseAnswer[] = [];
  for (let round = 0; round < rounds; round++) {
    const next = nextOf(CHOICES, answers, 'wrong', random.next())!;
    const score = random.next() < expectedScore(skill, next.difficulty) ? 1 : 0;
    answers.push({ kind: 'wrong', ...next, score });
  }
  return answers;
}

describe('the rating', () => {
  // By hand: an even match is a half; 400 more is ten to one.
  it('expects what the equation says', () => {
    expect(expectedScore(1000, 1000)).toBe(0.5);
    expect(expectedScore(1400, 1000)).toBeCloseTo(10 / 11, 12);
    expect(expectedScore(1000, 1400)).toBeCloseTo(1 / 11, 12);
  });
  // By hand: the first step is 140 × (1 − 0.5) = 70; the next 140 / 1.12 = 125 × (0 − 0.599…).
  it('moves by the step times what was not expected', () => {
    expect(skillOf([], 'wrong')).toEqual({ rating: START_RATING, rounds: 0, doubt: 70 });
    expect(skillOf([answer('a', 1)], 'wrong').rating).toBe(1070);
    const second = 125 * (0 - expectedScore(1070, 1000));
    expect(skillOf([answer('a', 1), answer('b', 0)], 'wrong').rating).toBeCloseTo(1070 + second, 9);
    expect(skillOf([answer('a', 1)], 'safe').rounds).toBe(0);
  });
  it('finds cooks of three skills, and asks them what they can just do', () => {
    for (const skill of [750, 1000, 1300]) {
      const found = Array.from({ length: 12 }, (_, seed) => {
        const answers = simulated(skill, 150, seed + 1);
        const asked = answers.slice(-40).reduce((sum, one) => sum + one.difficulty, 0) / 40;
        return { rating: skillOf(answers, 'wrong').rating, asked };
      });
      const mean = (pick: (one: (typeof found)[number]) => number): number =>
        found.reduce((sum, one) => sum + pick(one), 0) / found.length;
      expect(Math.abs(mean(({ rating }) => rating) - skill)).toBeLessThan(60);
      for (const { rating } of found) expect(Math.abs(rating - skill)).toBeLessThan(200);
      expect(Math.abs(mean(({ asked }) => asked) - (skill - 70))).toBeLessThan(120);
    }
  });
  it('never leaves the numbers, whatever was answered', () => {
    const any = fc.array(
      fc.record({
        kind: fc.constantFrom(...ROUND_KINDS),
        item: fc.string(),
        difficulty: fc.double({ min: -3000, max: 3000, noNaN: true }),
        score: fc.double({ min: -5, max: 5, noNaN: true }),
      }),
    );
    fc.assert(
      fc.property(any, (answers) => {
        for (const kind of ROUND_KINDS) {
          const { rating, doubt } = skillOf(answers, kind);
          expect(Number.isFinite(rating) && doubt > 0).toBe(true);
          expect(wantedDifficulty({ rating })).toBeLessThan(rating);
        }
      }),
    );
  });
});

describe('what comes back', () => {
  it('comes back after three rounds when it went wrong, later once it is right', () => {
    const wrong = [answer('a', 0), answer('b', 1), answer('c', 1)];
    const standing = (answers: readonly PractiseAnswer[]) =>
      itemsOf(answers, 'wrong').find(({ item }) => item === 'a')!;
    expect(standing([answer('a', 0)])).toMatchObject({ dueIn: 3, streak: 0, sureness: 'not-yet' });
    expect(standing(wrong).dueIn).toBe(1);
    expect(standing([...wrong, answer('d', 1)]).dueIn).toBe(0);
    expect(standing([...wrong, answer('a', 1)])).toMatchObject({
      dueIn: 8,
      sureness: 'getting-there',
      seen: 2,
      right: 1,
    });
    const sure = [answer('a', 1), answer('b', 1), answer('a', 1), answer('b', 1), answer('a', 1)];
    expect(standing(sure)).toMatchObject({ streak: 3, sureness: 'sure', dueIn: 50 });
  });
  it('is asked before anything else, but never twice running', () => {
    const due = [answer('i5', 0), answer('i6', 1), answer('i7', 1), answer('i8', 1)];
    expect(nextOf(CHOICES, due, 'wrong', 0.5)!.item).toBe('i5');
    expect(nextOf(CHOICES, [answer('i5', 0)], 'wrong', 0)!.item).not.toBe('i5');
    expect(nextOf([CHOICES[5]!], [answer('i5', 0)], 'wrong', 0)!.item).toBe('i5');
    expect(nextOf([], due, 'wrong', 0)).toBeNull();
  });
});
