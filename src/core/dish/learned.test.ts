import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { BOWL_VERDICTS, type BowlVerdict, type DressedEntry } from '#core/service';
import { sayDishLesson } from '#words/dish';
import { windowsForDish } from './aim';
import { lessonOfDish } from './learned';

const bowl = (day: number, verdict: BowlVerdict | null, about: Partial<DressedEntry> = {}): DressedEntry => ({
  ...{ kind: 'cooked', dressed: 'normally', mlPer100G: 30, dishId: 'soba', tableMl: 100, ml: 100 },
  verdict,
  at: new Date(Date.UTC(2026, 0, 1 + day)).toISOString(),
  ...about,
});

describe('what a dish has taught', () => {
  it('is nothing before its first bowl, and nothing from the bowls of another dish', () => {
    const nothing = { mlTimes: 1, saltTimes: 1, bowls: 0, tooSalty: 0 };
    expect(lessonOfDish('soba', [])).toEqual(nothing);
    expect(
      lessonOfDish('soba', [bowl(0, 'soggy', { dishId: 'slaw' }), bowl(1, 'dry', { dishId: null })]),
    ).toEqual(nothing);
    expect(sayDishLesson(nothing)).toBe('');
  });

  // By hand: three bowls of 100 ml that were soggy would have been right with 80: exp(3 ln 0.8 / 6) = 0.894.
  it('takes less after soggy bowls, more after dry ones, half way after three', () => {
    const after = (verdict: BowlVerdict) =>
      lessonOfDish('soba', [bowl(0, verdict), bowl(1, verdict), bowl(2, verdict)]);
    expect(after('soggy').mlTimes).toBeCloseTo(Math.sqrt(0.8), 9);
    expect(after('dry').mlTimes).toBeCloseTo(Math.sqrt(1.25), 9);
    expect(after('right')).toEqual({ mlTimes: 1, saltTimes: 1, bowls: 3, tooSalty: 0 });
    expect(after('too-salty')).toMatchObject({ mlTimes: 1, tooSalty: 3 });
    expect(after('too-salty').saltTimes).toBeCloseTo(Math.sqrt(0.75), 9);
  });

  it('learns the amount from what really went on, though nothing was said', () => {
    expect(lessonOfDish('soba', [bowl(0, null, { ml: 150 })]).mlTimes).toBeCloseTo(1.5 ** 0.25, 9);
  });

  it('says it so that a cook can act on it', () => {
    const said = (...verdicts: BowlVerdict[]) =>
      sayDishLesson(
        lessonOfDish(
          'soba',
          verdicts.map((verdict, day) => bowl(day, verdict)),
        ),
      );
    expect(said('right')).toBe('One bowl of this dish: as much as its things take.');
    expect(said('soggy', 'soggy', 'soggy')).toBe('3 bowls of this dish: 11 % less than its things take.');
    expect(said('right', 'too-salty')).toBe(
      '2 bowls of this dish: as much as its things take. Too salty 1 of 2 times: aimed 6 % lower.',
    );
  });

  it('aims the salt lower where it was too salty, and nothing else', () => {
    const windows = { salt: { low: 0.01, high: 0.02 }, acid: { low: 0.01, high: 0.02 } };
    const alone = { salt: 0.015, acid: 0.012, sweet: 0, fat: 0.6 };
    const moved = windowsForDish(windows, { holds: alone }, { asDressing: alone }, 0.8);
    expect(moved.salt).toEqual({ low: expect.closeTo(0.008, 9), high: expect.closeTo(0.016, 9) });
    expect(moved.acid).toEqual(windows.acid);
  });

  it('stays within half and double, and never salts more, whatever was said', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            verdict: fc.constantFrom(...BOWL_VERDICTS, null),
            ml: fc.double({ min: 0.1, max: 5000, noNaN: true }),
            tableMl: fc.option(fc.double({ min: 0.1, max: 5000, noNaN: true })),
          }),
        ),
        (said) => {
          const lesson = lessonOfDish(
            'soba',
            said.map(({ verdict, ...about }, day) => bowl(day, verdict, about)),
          );
          expect(lesson.mlTimes).toBeGreaterThanOrEqual(0.5);
          expect(lesson.mlTimes).toBeLessThanOrEqual(2);
          expect(lesson.saltTimes).toBeGreaterThanOrEqual(0.5);
          expect(lesson.saltTimes).toBeLessThanOrEqual(1);
        },
      ),
    );
  });
});
