import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { staying } from './rotation';

const DAY_MS = 86_400_000;
const dayOf = (n: number): string => new Date(Date.UTC(2026, 0, 1) + n * DAY_MS).toISOString().slice(0, 10);

describe('which daily backups stay', () => {
  it('after a year of days: a week of days, five weeks, twelve months', () => {
    let kept: readonly string[] = [];
    for (let n = 0; n < 400; n++) kept = [...staying([...kept, dayOf(n)], dayOf(n))];
    const today = dayOf(399);
    expect(kept).toContain(today);
    expect(kept.length).toBeGreaterThanOrEqual(18);
    expect(kept.length).toBeLessThanOrEqual(24);
    const ages = kept.map((day) => (Date.parse(today) - Date.parse(day)) / DAY_MS).sort((a, b) => a - b);
    expect(ages.slice(0, 7)).toEqual([0, 1, 2, 3, 4, 5, 6]);
    expect(ages.at(-1)).toBeGreaterThan(300);
  });

  it('the newest always stays, and so does what a wrong clock called later', () => {
    const days = fc.uniqueArray(fc.integer({ min: 0, max: 900 }), { minLength: 1, maxLength: 80 });
    fc.assert(
      fc.property(days, fc.integer({ min: 0, max: 900 }), (numbers, now) => {
        const all = numbers.map(dayOf);
        const today = dayOf(now);
        const stays = staying(all, today);
        const past = all.filter((day) => day <= today).sort();
        if (past.length > 0) expect(stays).toContain(past.at(-1));
        for (const day of all.filter((one) => one > today)) expect(stays).toContain(day);
        // Asked again it says the same of what stayed.
        expect(staying([...stays], today)).toEqual(stays);
      }),
    );
  });
});
