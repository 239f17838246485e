import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { measuringWith, REFERENCE_CATALOGUE } from '#core/ingredient';
import { SPOKEN_AMOUNTS } from '#words/screens/practise';
import { judgedLines } from '../reckoning/testing';
import {
  amountRounds,
  holdRounds,
  pouredOn,
  pourRounds,
  RESCUE_STEPS,
  safeRounds,
  scoreOfAmount,
  scoreOfHold,
  scoreOfPour,
  scoreOfSafe,
  startOf,
  strainOf,
  whenParts,
  type PourRound,
} from './questions';
import { LINES } from './testing';

const context = {
  catalogue: REFERENCE_CATALOGUE,
  measuring: measuringWith('metric'),
  decimalSign: 'point',
} as const;

describe('how much is that', () => {
  it('asks for measures that the kitchen’s own reader knows', () => {
    const rounds = amountRounds(SPOKEN_AMOUNTS, context);
    expect(rounds.map(({ line }) => line)).toEqual(SPOKEN_AMOUNTS);
    expect(amountRounds(['a cloud of moon dust'], context)).toEqual([]);
    const unitOf = (line: string) => rounds.find((round) => round.line === line)!.unit;
    expect([
      unitOf('a pinch of fine sea salt'),
      unitOf('a tablespoon of tahini'),
      unitOf('a shallot'),
    ]).toEqual([...['pinch', 'tbsp', null]]);
    expect(rounds.find(({ line }) => line === 'a clove of garlic')!.massG.nominal).toBeGreaterThan(2);
    for (const { massG, difficulty } of rounds) {
      expect(massG.nominal).toBeGreaterThan(0);
      expect(Number.isFinite(difficulty)).toBe(true);
    }
  });
  // By hand: 15 % beside the range is right; twice as much is nothing.
  it('takes for right what lies in the range or near it', () => {
    const range = { low: 4, high: 6 };
    expect([4, 5, 6, 6.8, 3.5].map((guess) => scoreOfAmount(guess, range))).toEqual([1, 1, 1, 1, 1]);
    expect(scoreOfAmount(12, range)).toBeCloseTo(0, 9);
    expect(scoreOfAmount(1, range)).toBe(0);
    expect(scoreOfAmount(9, range)).toBeGreaterThan(0.4);
    for (const none of [0, -3, NaN, Infinity]) expect(scoreOfAmount(none, range)).toBe(0);
  });
});

describe('will it hold', () => {
  const holds = [
    { id: 'a', medianS: 300 },
    { id: 'b', medianS: 7200 },
    { id: 'c', medianS: null },
    { id: 'd', medianS: 350 },
  ];
  it('asks of two that differ, the closer the harder', () => {
    const rounds = holdRounds(holds);
    expect(rounds.map(({ item }) => item)).toEqual(['a b', 'a c', 'b c', 'b d', 'c d']);
    const of = (item: string) => rounds.find((round) => round.item === item)!;
    expect(of('a b')).toMatchObject({ answer: 'first', when: 'minutes' });
    expect(of('b c')).toMatchObject({ answer: 'first', when: 'service' });
    expect(of('c d').answer).toBe('second');
    expect(of('a b').difficulty).toBeGreaterThan(of('a c').difficulty);
    expect([60, 1800, 7200, 86_400, 700_000, null].map(whenParts)).toEqual([
      ...['minutes', 'hour', 'service', 'service', 'days', 'days'],
    ]);
  });
  it('counts which, and when', () => {
    const [round] = holdRounds(holds);
    expect(scoreOfHold(round!, 'first', 'minutes')).toBe(1);
    expect(scoreOfHold(round!, 'first', 'hour')).toBeCloseTo(0.8, 9);
    expect(scoreOfHold(round!, 'second', 'minutes')).toBeCloseTo(0.4, 9);
    expect(scoreOfHold(round!, 'second', 'days')).toBe(0);
  });
});

describe('safe or not', () => {
  it('has one right answer to each question, among its choices, for every dressing', () => {
    for (const [seed, lines] of LINES.entries())
      for (const round of safeRounds(judgedLines(lines), seed)) {
        for (const right of round.right) expect(round.choices).toContain(right);
        expect(new Set(round.choices).size).toBe(round.choices.length);
        expect(scoreOfSafe(round, round.right)).toBe(1);
        if (round.question !== 'label') expect(round.right).toHaveLength(1);
      }
  });
  it('asks what safety says: yoghurt is cold, salt and vinegar need not be', () => {
    const counter = (...lines: string[]) => safeRounds(judgedLines(lines), 1)[0]!.right;
    expect(counter('200 g yoghurt', '10 g lemon juice')).toEqual(['no']);
    expect(counter('30 g red wine vinegar', '90 g olive oil', '2 g salt')).toEqual(['yes']);
    const label = safeRounds(judgedLines(['60 g tahini', '40 g lemon juice']), 1)[2]!;
    expect(label.right).toEqual(['sesame']);
    expect(scoreOfSafe(label, [])).toBe(0.5);
    expect(scoreOfSafe(label, ['sesame', 'milk'])).toBe(0.5);
  });
  it('forgives too short, never too long', () => {
    const days = safeRounds(judgedLines(['200 g yoghurt', '10 g lemon juice']), 1)[1]!;
    const right = Number(days.right[0]);
    expect(scoreOfSafe(days, [String([1, 2, 3, 4, 7, 14].filter((day) => day < right).at(-1))])).toBe(0.4);
    expect(scoreOfSafe(days, ['14'])).toBe(0);
  });
});

/** Pours while the sauce is less strained than this. */
function pouredBy(round: PourRound, most: number) {
  let state = startOf(round);
  for (let i = 0; i < 60_000 && !state.ended; i++)
    state = pouredOn(state, round, 0.1, strainOf(state) < most);
  return state;
}

describe('a slow stream', () => {
  it('splits where the hand never stops, and comes together where it waits for the sauce', () => {
    for (const round of pourRounds()) {
      expect(pouredBy(round, 2).ended, round.item).toBe('split');
      const patient = pouredBy(round, 0.4);
      expect(patient.ended, round.item).toBe('done');
      expect(scoreOfPour(patient, round, null), round.item).toBeGreaterThanOrEqual(0.9);
    }
  });
  it('loses no oil, and stands still once it has ended', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...pourRounds()),
        fc.array(fc.tuple(fc.double({ min: 0, max: 5, noNaN: true }), fc.boolean()), { maxLength: 60 }),
        (round, hand) => {
          let state = startOf(round);
          for (const [seconds, pours] of hand) {
            const next = pouredOn(state, round, seconds, pours);
            if (state.ended) expect(next).toBe(state);
            state = next;
          }
          const { emulsionMl, freeMl, pouredMl } = state.pouring;
          expect(emulsionMl + freeMl).toBeCloseTo(round.baseMl + pouredMl, 6);
          expect(pouredMl).toBeLessThanOrEqual(round.setting.oilMl + 1e-9);
          expect(strainOf(state)).toBeGreaterThanOrEqual(0);
        },
      ),
    );
  });
  it('counts a rescue in its order for less than not splitting', () => {
    const [round] = pourRounds();
    const split = { ended: 'split', seconds: 20 } as const;
    expect(scoreOfPour(split, round!, null)).toBe(0);
    expect(scoreOfPour(split, round!, RESCUE_STEPS)).toBeCloseTo(0.45, 9);
    expect(scoreOfPour(split, round!, ['more-oil'])).toBe(0);
    expect(scoreOfPour({ ended: 'done', seconds: round!.bestS * 4 }, round!, null)).toBeCloseTo(0.8, 9);
  });
});
