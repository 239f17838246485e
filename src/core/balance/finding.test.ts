import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { PALATE, STYLES, verdictOf } from '#core/palate';
import type { Hold } from '#core/emulsion';
import { judgePortions } from '#core/reckoning';
import { sayFinding } from '#words/finding';
import { findingOf } from '.';
import { exactly } from '#core/quantity';
import { named, type dressing } from './testing';

const classic = STYLES.find(({ id }) => id === 'classic_3_1')!;
const SPLIT = { state: { split: true } } as Hold;
type Amounts = Readonly<Record<string, number>>;
const jar = (amounts: Amounts): ReturnType<typeof dressing> =>
  Object.entries(amounts).flatMap(([id, massG]) =>
    massG > 0 ? [{ ingredient: named(id), massG: exactly(massG), form: '' }] : [],
  );

/** What is said first of a dressing, as the page shows it. */
function first(
  amounts: Amounts,
  about: { hold?: Hold; unread?: readonly string[]; styleless?: boolean } = {},
) {
  const unread = about.unread ?? [];
  const finding = findingOf({
    judgement: judgePortions(jar(amounts), unread),
    hold: about.hold ?? null,
    style: about.styleless ? null : classic,
    unread,
  });
  const { before, style, after } = sayFinding(finding, false);
  return { finding, says: `${before}${style === null ? '' : ` ${style}`}${after}` };
}
const BALANCED: Amounts = { olive_ev: 90, vin_redwine6: 33, salt_table: 1.8, mustard_dijon: 5 };

describe('what is said first', () => {
  it('an empty jar is empty, not out of balance', () => {
    expect(first({}).says).toMatch(/^Nothing in the jar yet\./);
  });

  it.each([
    ['salty', { ...BALANCED, salt_table: 7 }, /too salty for Classic, 3 : 1\.$/, 'too-salty'],
    ['sharp', { ...BALANCED, vin_redwine6: 90 }, /sharp for Classic, 3 : 1\.$/, 'too-sharp'],
    ['sweet', { ...BALANCED, honey: 40 }, /too sweet for Classic, 3 : 1\.$/, 'too-sweet'],
    ['flat', { ...BALANCED, salt_table: 0 }, /wants .*more salt for Classic, 3 : 1\.$/i, 'needs-salt'],
  ] as const)('one that is %s says so, with what a cook would ask for', (_name, amounts, says, complaint) => {
    const { finding, says: said } = first(amounts);
    expect(said).toMatch(says);
    expect(finding).toMatchObject({ kind: 'off', asked: { complaint } });
  });

  it('what may hurt comes before all, then what has split, then what is not known, then taste', () => {
    const garlicOil: Amounts = { olive_ev: 200, garlic: 10, salt_table: 30 };
    expect(first(garlicOil, { hold: SPLIT, unread: ['stardust'] }).finding).toMatchObject({
      kind: 'unsafe',
      caution: { code: 'infused_oil' },
    });
    expect(first(garlicOil).says).toContain('under oil');
    const salty = { ...BALANCED, salt_table: 12 };
    expect(first(salty, { hold: SPLIT, unread: ['stardust'] }).says).toMatch(/^It splits/);
    expect(first(salty, { unread: ['stardust'] }).says).toMatch(/^Not read: “stardust”/);
    expect(first(salty).finding.kind).toBe('off');
    // Where nothing but the line nobody read may be the plant under oil, the line comes first.
    expect(first({ olive_ev: 200 }, { unread: ['stardust'] }).finding.kind).toBe('unread');
    // A danger that is known leads even so.
    const egg: Amounts = { egg_yolk: 17, sunflower: 160, vin_whitewine6: 6 };
    expect(first(egg, { unread: ['stardust'] }).finding).toMatchObject({
      kind: 'unsafe',
      caution: { code: 'raw_egg_acid' },
    });
    // Lines alone that nobody can read are not an empty jar.
    expect(first({}, { unread: ['stardust'] }).finding.kind).toBe('unread');
  });

  it('right is said plainly; without a style nothing is claimed', () => {
    const all = [0.9, 1, 1.1].flatMap((vinegar) =>
      [1.2, 1.5, 1.8, 2].map((salt) => ({ ...BALANCED, vin_redwine6: 33 * vinegar, salt_table: salt })),
    );
    const right = all.find((amounts) => verdictOf(judgePortions(jar(amounts)).palate, classic).score >= 99)!;
    expect(first(right).says).toBe('Right for Classic, 3 : 1.');
    expect(first(right, { styleless: true }).finding.kind).toBe('unjudged');
  });

  it('agrees with the verdict: right exactly where nobody would taste what is outside; degrees grow with the distance', () => {
    fc.assert(
      fc.property(
        fc.record({
          vin_redwine6: fc.double({ min: 5, max: 90, noNaN: true }),
          salt_table: fc.double({ min: 0, max: 8, noNaN: true }),
          honey: fc.double({ min: 0, max: 40, noNaN: true }),
        }),
        (amounts) => {
          const { finding } = first({ ...BALANCED, ...amounts });
          if (finding.kind !== 'right' && finding.kind !== 'off') throw new Error(finding.kind);
          expect(finding.kind === 'right').toBe(finding.verdict.score >= 99);
          if (finding.kind === 'right') return;
          const steps = finding.reason.moveBy / PALATE[finding.reason.measure].step;
          expect(finding.degree).toBe(steps >= 5 ? 'far' : steps >= 1.5 ? 'clearly' : 'a-touch');
        },
      ),
    );
  });
});
