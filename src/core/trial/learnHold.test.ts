import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Hold } from '#core/emulsion';
import type { FormulaId } from '#core/formula';
import { REFERENCE_CATALOGUE } from '#core/ingredient';
import {
  bottleChanges,
  firstLayerFrom,
  drifts,
  keepsFailing,
  learnHold,
  lessonOf,
  looksInside,
  madeSince,
  type HoldLesson,
  type KitchenJar,
  type MakingPlan,
  type Sight,
  type TrialEvent,
} from '.';
import { added, line, logOf, tasted } from './testing';

const MIN = 60;
const [HOUSE, OTHER] = ['house', 'other'] as FormulaId[] as [FormulaId, FormulaId];
const predicted = { medianS: 150 * MIN, bandFactor: 2.5, tool: 'shake', binder: 'mustard' } as const;
const looked = (saw: Sight, minutes: number): TrialEvent => ({
  kind: 'looked',
  saw,
  seconds: minutes * MIN,
  predicted,
  note: '',
});
const lesson = (formulaId: FormulaId, fine: number | null, gone: number | null, more = {}): HoldLesson => ({
  formulaId,
  at: '',
  predicted: { ...predicted, ...more },
  fineS: fine === null ? null : fine * MIN,
  goneS: gone === null ? null : gone * MIN,
});
const about = { formulaId: HOUSE, tool: 'shake', binder: 'mustard' } as const;

describe('looks against the band that was said', () => {
  it('counts those that can tell, and of them those inside', () => {
    // Said: 150 min, 60 to 375.
    const all = [
      lesson(HOUSE, 60, 120),
      lesson(HOUSE, null, 30),
      lesson(HOUSE, 400, null),
      lesson(OTHER, 100, null),
      lesson(OTHER, 10, null),
      lesson(OTHER, 300, 500),
    ];
    expect(looksInside(all)).toEqual({ looks: 5, inside: 3 });
    expect(looksInside([])).toEqual({ looks: 0, inside: 0 });
  });
});

describe('a measured layer', () => {
  // By hand: watery from 0 to half the height in 10,000 s. A quarter is due at 5,000 s; seen at 2,500 s all goes twice as
  // fast: the first layer not at 2,000 s but at 1,000 s.
  const frame = (timeS: number, serumLayerM: number) => ({
    timeS,
    serumLayerM,
    creamLayerM: 0,
    freeLayerM: 0,
  });
  const course = {
    medianS: 2000,
    heightM: 0.1,
    frames: [frame(0, 0), frame(10_000, 0.05)],
    state: { outsidePhase: 'water' },
  } as unknown as Hold;

  it('says when the first layer showed, on the course that was predicted', () => {
    // The times tried lie two hundredths apart.
    expect(firstLayerFrom(course, { watery: 0.25, oil: 0 }, 2500)! / 1000).toBeCloseTo(1, 1);
    expect(firstLayerFrom(course, { watery: 0.01, oil: 0 }, 2500)).toBeNull();
    expect(firstLayerFrom(course, { watery: 0.7, oil: 0 }, 2500)).toBeNull();
    expect(firstLayerFrom({ ...course, frames: [] }, { watery: 0.25, oil: 0 }, 2500)).toBeNull();
  });

  it('goes before what the eye said, several as one, and moves the hold as a look between would', () => {
    const by = (minutes: number, firstMin: number): TrialEvent => ({
      ...(looked('split', minutes) as Extract<TrialEvent, { kind: 'looked' }>),
      firstLayerS: firstMin * MIN,
    });
    const one = lessonOf(HOUSE, logOf([looked('fine', 10), by(120, 50), by(240, 200)]))!;
    // √(50 · 200) = 100 min.
    expect(one.measuredS! / MIN).toBeCloseTo(100, 9);
    const model = { medianS: 150 * MIN, bandFactor: 2.5 };
    const learnt = learnHold(model, about, [one]);
    const eye = learnHold(model, about, [lesson(HOUSE, null, 100)]);
    expect(learnt.medianS).toBeCloseTo(eye.medianS, 6);
    expect(learnt.medianS).toBeLessThan(150 * MIN);
    expect(learnt.bandFactor).toBeLessThan(2.5);
  });
});

describe('a lesson', () => {
  it('is between the last look that was fine and the first that was not', () => {
    expect(
      lessonOf(
        HOUSE,
        logOf([looked('fine', 60), looked('fine', 90), looked('thin-layer', 180), looked('split', 300)]),
      ),
    ).toMatchObject({
      fineS: 90 * MIN,
      goneS: 180 * MIN,
    });
    expect(lessonOf(HOUSE, logOf([looked('fine', 60)]))).toMatchObject({ goneS: null });
    expect(lessonOf(HOUSE, logOf([tasted()]))).toBeNull();
    // Shaken again it was fine again: what came apart first counts.
    expect(lessonOf(HOUSE, logOf([looked('split', 30), looked('fine', 45)]))).toMatchObject({
      fineS: null,
      goneS: 30 * MIN,
    });
    // A look taken back teaches nothing.
    expect(lessonOf(HOUSE, logOf([looked('split', 30), { kind: 'corrected', eventId: 'e0' }]))).toBeNull();
  });
});

describe('a hold that was looked at', () => {
  const model = { medianS: 150 * MIN, bandFactor: 2.5 };
  it('moves towards what was seen, with a narrower band', () => {
    const once = learnHold(model, about, [lesson(HOUSE, null, 240)]);
    expect(once.medianS).toBeGreaterThan(model.medianS);
    expect(once.medianS).toBeLessThan(240 * MIN);
    expect(once.bandFactor).toBeLessThan(model.bandFactor);
    const often = learnHold(
      model,
      about,
      Array.from({ length: 5 }, () => lesson(HOUSE, null, 240)),
    );
    expect(often.bandFactor).toBeLessThan(once.bandFactor);
    expect(often.medianS).toBeCloseTo(240 * MIN, -3);
    expect(often).toMatchObject({ own: 5, others: 0 });
  });
  it('still fine makes it longer and its band narrower', () => {
    const fine = learnHold({ medianS: 150 * MIN, bandFactor: Math.exp(1.2815515655446004 * 0.5) }, about, [
      lesson(HOUSE, 120, null),
    ]);
    expect(fine.medianS).toBeGreaterThan(150 * MIN);
    expect(fine.bandFactor).toBeLessThan(Math.exp(1.2815515655446004 * 0.5));
  });
  it('another dressing shifts it too, more with the same tool and binder, never more than its own', () => {
    const alike = learnHold(model, about, [lesson(OTHER, null, 300)]);
    const unlike = learnHold(model, about, [lesson(OTHER, null, 300, { tool: 'blender' })]);
    const own = learnHold(model, about, [lesson(HOUSE, null, 300)]);
    expect(unlike.medianS).toBeGreaterThan(model.medianS);
    expect(alike.medianS).toBeGreaterThan(unlike.medianS);
    expect(own.medianS).toBeGreaterThan(alike.medianS);
    expect(learnHold(model, about, [lesson(OTHER, 60, null)])).toMatchObject({ others: 0 });
    expect(learnHold(model, about, []).medianS).toBeCloseTo(model.medianS, 6);
  });
  it('whatever was seen, the median stays inside a band that is one', () => {
    const any = fc.record({
      own: fc.boolean(),
      fine: fc.option(fc.integer({ min: 1, max: 5000 })),
      gone: fc.option(fc.integer({ min: 1, max: 5000 })),
    });
    fc.assert(
      fc.property(fc.array(any, { maxLength: 12 }), (all) => {
        const lessons = all
          .filter(({ fine, gone }) => fine === null || gone === null || fine < gone)
          .map(({ own, fine, gone }) => lesson(own ? HOUSE : OTHER, fine, gone));
        const { medianS, lowS, highS, bandFactor } = learnHold(model, about, lessons);
        expect(Number.isFinite(medianS) && medianS > 0).toBe(true);
        expect(bandFactor).toBeGreaterThan(1);
        expect(lowS).toBeLessThan(medianS);
        expect(highS).toBeGreaterThan(medianS);
      }),
    );
  });
});

describe('the kitchen’s news', () => {
  let count = 0;
  const jar = (events: readonly TrialEvent[], bottle = '', acidG = 30): KitchenJar => {
    const making = { steps: [], bottles: bottle ? { vin_redwine6: bottle } : {} } as unknown as MakingPlan;
    const at = new Date(Date.UTC(2026, 10, 1 + ++count)).toISOString();
    return {
      id: `j${count}`,
      formulaId: HOUSE,
      version: 1,
      at,
      lines: [line('olive_ev', 82), line('vin_redwine6', acidG)],
      making,
      events: logOf(events),
    };
  };
  const right = [tasted({ right: true })];
  const mended = [tasted({ rows: { acid: 1 } }), added(line('olive_ev', 9)), tasted({ right: true })];
  it('says what was made since, and what keeps failing', () => {
    const jars = [jar(right), jar(mended), jar(mended)];
    expect(madeSince(jars, jars[1]!.at)).toEqual([{ formulaId: HOUSE, count: 2 }]);
    expect(keepsFailing(jars)).toEqual([{ formulaId: HOUSE, failed: 2, tasted: 3 }]);
    expect(keepsFailing([jar(right), jar(right), jar(mended)])).toEqual([]);
    expect(keepsFailing([jar(mended)])).toEqual([]);
  });
  it('sees what drifts by what a taster notices, and not what wobbles', () => {
    const drifting = [30, 30, 31, 44, 45, 46].map((acidG) => jar(right, '', acidG));
    expect(drifts(drifting, REFERENCE_CATALOGUE)[0]).toMatchObject({ formulaId: HOUSE, measure: 'acid' });
    expect(
      drifts(
        [30, 31, 30, 31].map((acidG) => jar(right, '', acidG)),
        REFERENCE_CATALOGUE,
      ),
    ).toEqual([]);
    expect(drifts(drifting.slice(0, 3), REFERENCE_CATALOGUE)).toEqual([]);
    // A jar that is still being made has not drifted.
    const steps = [{ kind: 'do', id: 'do-mix', deed: 'mix', seconds: 20, said: '' }] as const;
    const open = drifting.map((one) => ({ ...one, making: { ...one.making!, steps } }));
    expect(drifts(open, REFERENCE_CATALOGUE)).toEqual([]);
  });
  it('names the bottle with which it stopped coming out right', () => {
    const jars = [jar(right, 'lot 1'), jar(right, 'lot 1'), jar(mended, 'lot 2'), jar(mended, 'lot 2')];
    expect(bottleChanges(jars)).toContainEqual(
      expect.objectContaining({
        bottle: 'lot 2',
        rightWith: 0,
        madeWith: 2,
        rightWithout: 2,
        madeWithout: 2,
      }),
    );
    expect(bottleChanges(jars.slice(0, 3))).toEqual([]);
  });
});
