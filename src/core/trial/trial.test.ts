import { describe, expect, it } from 'vitest';
import { COMPLAINTS, PLANS } from '#core/balance';
import { REFERENCE_CATALOGUE } from '#core/ingredient';
import { palateValue } from '#core/palate';
import { added, line, logOf, PLAIN, tasted } from './testing';
import {
  addedLines,
  asMade,
  BITES,
  complaintsOf,
  isAsPlanned,
  saysNothing,
  standingComplaints,
  standingOf,
  trialPortions,
  versionState,
  type TrialEvent,
} from '.';
import { sayTasting } from '#words/trial';

const JAR = [line('olive_ev', 82), line('vin_redwine6', 30), line('salt_table', 1.5)];
const total = (events: readonly TrialEvent[]): number =>
  trialPortions(JAR, logOf(events), REFERENCE_CATALOGUE).reduce((sum, { massG }) => sum + massG.nominal, 0);

describe('a jar', () => {
  it('is what went in, less what was tasted, more what was added; log and jar agree', () => {
    expect(total([])).toBeCloseTo(113.5, 9);
    expect(total([tasted()])).toBeCloseTo(111.5, 9);
    expect(total([tasted(), added(line('honey', 4.2)), tasted({ drawnG: 3 })])).toBeCloseTo(
      113.5 - 2 + 4.2 - 3,
      9,
    );
    expect(total([tasted({ drawnG: 1000 })])).toBe(0);
  });
  it('tastes the same after a spoonful as before, and of what was added from then on', () => {
    const acid = (events: readonly TrialEvent[]): number =>
      palateValue(trialPortions(JAR, logOf(events), REFERENCE_CATALOGUE), 'acid')!;
    expect(acid([tasted()])).toBeCloseTo(acid([]), 12);
    expect(acid([tasted(), added(line('olive_ev', 20))])).toBeLessThan(acid([]));
  });
  it('keeps one portion for one thing, forms apart, and unknown things out of the sums', () => {
    const portions = trialPortions(
      JAR,
      logOf([added(line('olive_ev', 10), line('garlic', 2, 'grated'), line('moonlight', 5))]),
      REFERENCE_CATALOGUE,
    );
    expect(portions.map(({ ingredient, massG }) => [ingredient.id, massG.nominal])).toEqual([
      ['olive_ev', 92],
      ['vin_redwine6', 30],
      ['salt_table', 1.5],
      ['garlic', 2],
    ]);
    expect(addedLines(logOf([added(line('honey', 2)), tasted(), added(line('honey', 3))]))).toEqual([
      line('honey', 5),
    ]);
  });
  it('stands as its last tasting says', () => {
    expect(standingOf([])).toBe('untasted');
    expect(standingOf(logOf([tasted({ right: true })]))).toBe('right');
    expect(
      standingOf(logOf([tasted({ rows: { acid: 1 } }), added(line('honey', 2)), tasted({ right: true })])),
    ).toBe('right-after-mending');
    expect(standingOf(logOf([tasted({ right: true }), tasted({ rows: { salt: 1 } })]))).toBe('not-right');
  });
});

describe('a version', () => {
  it('is draft until made, tried once made, proven by two makings right as made; a mend does not count', () => {
    expect(versionState([])).toMatchObject({ state: 'draft', made: 0 });
    expect(versionState(['untasted'])).toMatchObject({ state: 'tried' });
    expect(versionState(['right', 'right-after-mending', 'not-right'])).toMatchObject({
      state: 'tried',
      right: 1,
    });
    expect(versionState(['right', 'not-right', 'right'])).toMatchObject({
      state: 'proven',
      right: 2,
      made: 3,
    });
    expect(versionState(['right', 'right'], 3).state).toBe('tried');
  });
  it('stands as it is where what was made has its shares, whatever its size', () => {
    const twice = JAR.map((one) => ({ ...one, massG: one.massG * 2.04 }));
    expect(isAsPlanned(JAR, twice)).toBe(true);
    expect(isAsPlanned(JAR, [...twice, line('honey', 9)])).toBe(false);
    expect(isAsPlanned(JAR, twice.slice(1))).toBe(false);
    expect(isAsPlanned(JAR, [{ ...JAR[0]!, massG: 120 }, ...JAR.slice(1)])).toBe(false);
    expect(isAsPlanned(JAR, [])).toBe(false);
    // What was tasted is no part of how it was made.
    expect(asMade(JAR, logOf([tasted({ drawnG: 40 }), added(line('honey', 2))]))).toEqual([
      ...JAR,
      line('honey', 2),
    ]);
  });
});

describe('what a mouth says', () => {
  it('makes complaints that have plans, strongest first', () => {
    expect(complaintsOf({ ...PLAIN, rows: { acid: 1, salt: -2, body: -1 } })).toEqual([
      { complaint: 'needs-salt', severity: 2 },
      { complaint: 'too-sharp', severity: 1 },
      { complaint: 'too-thin', severity: 1 },
    ]);
    for (const bite of BITES) {
      const [said] = complaintsOf({ ...PLAIN, rows: { bite: 2 }, bite });
      expect(PLANS[said!.complaint].length, bite).toBeGreaterThan(0);
    }
    for (const rows of [{ bitter: 2 }, { sweet: 2 }, { oil: -1 }, { oil: 2 }] as const) {
      expect(COMPLAINTS).toContain(complaintsOf({ ...PLAIN, rows })[0]!.complaint);
    }
  });
  it('flat asks for salt and acid; right asks for nothing; bite without knowing of what asks for nothing', () => {
    expect(complaintsOf({ ...PLAIN, flat: true })).toEqual([{ complaint: 'flat', severity: 2 }]);
    expect(complaintsOf({ ...PLAIN, right: true, rows: { acid: 2 } })).toEqual([]);
    expect(complaintsOf({ ...PLAIN, rows: { bite: 2 } })).toEqual([]);
    expect(complaintsOf({ ...PLAIN, rows: { bitter: -1, bite: -1 } })).toEqual([]);
  });
  it('knows when nothing was said, and says what was', () => {
    expect(saysNothing(PLAIN)).toBe(true);
    expect(saysNothing({ ...PLAIN, note: 'nutty' })).toBe(false);
    expect(saysNothing({ ...PLAIN, rows: { salt: -1 } })).toBe(false);
    expect(sayTasting({ ...PLAIN, rows: { acid: 2, bite: -1 } })).toBe('Too sharp 2, faint, on a leaf');
    expect(sayTasting({ ...PLAIN, right: true, on: 'dish' })).toBe('Right, on the dish');
    expect(sayTasting(PLAIN)).toBe('No complaint, on a leaf');
  });
});

describe('what is still to be mended', () => {
  const says = { rows: { salt: -1 as const } };
  it('is what the last tasting complained of, until something goes in or it is right', () => {
    expect(standingComplaints(logOf([]))).toEqual([]);
    expect(standingComplaints(logOf([tasted(says)]))).toEqual([{ complaint: 'needs-salt', severity: 1 }]);
    expect(standingComplaints(logOf([tasted(says), added(line('salt_table', 0.4))]))).toEqual([]);
    expect(standingComplaints(logOf([tasted(says), tasted({ right: true })]))).toEqual([]);
  });
});
