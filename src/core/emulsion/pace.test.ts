import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { paceNow, pourOn, pourPlan, startPouring, type PourSetting } from '.';

const setting: PourSetting = { oilMl: 200, tool: 'whisk', yolkC: 20 };
/** Pours at a share of what the tool takes, in tenths of a second. */
const pourAt = (share: number, seconds: number, base = 40) => {
  let state = startPouring(base);
  let poured = 0;
  let now = paceNow(state, 0, setting);
  for (let i = 0; i < seconds * 10 && poured < setting.oilMl; i++) {
    const rate = now.mostMlPerS * share;
    poured += rate / 10;
    state = pourOn(state, poured, 0.1, setting);
    now = paceNow(state, rate, setting);
    if (now.verdict === 'stop') return { state, now, poured, stopped: true };
  }
  return { state, now, poured, stopped: false };
};

describe('the pace of the oil', () => {
  it('at the pace it asks for it never runs ahead, and takes as long as the plan says', () => {
    expect(pourAt(0.98, 2000).stopped).toBe(false);
    const plan = pourPlan(40, 200, 'whisk');
    if (plan.status !== 'stages') throw new Error(plan.status);
    const { poured } = pourAt(1, plan.totalS * 1.1);
    expect(poured).toBeGreaterThan(190);
  });
  it('too fast is said at once, and to stop once a tenth of the emulsion floats free', () => {
    const state = startPouring(40);
    expect(paceNow(state, 5, setting).verdict).toBe('fast');
    const { stopped, state: after } = pourAt(6, 600);
    expect(stopped).toBe(true);
    expect(after.freeMl).toBeGreaterThan(0.1 * after.emulsionMl);
  });
  it('whisking on works it in, and the pouring may go on', () => {
    const { state } = pourAt(6, 600);
    const rested = pourOn(state, state.pouredMl, 60, setting);
    expect(paceNow(rested, 0, setting).verdict).toBe('fine');
    expect(rested.emulsionMl).toBeGreaterThan(state.emulsionMl);
  });
  it('begins with drops and becomes a thread; a cold yolk asks for less; all at once knows no pace', () => {
    expect(paceNow(startPouring(40), null, setting).pace).toBe('drops');
    const late = pourOn(startPouring(200), 150, 0, setting);
    expect(paceNow(late, null, setting).pace).not.toBe('drops');
    expect(paceNow(startPouring(40), null, { ...setting, yolkC: 5 }).mostMlPerS).toBeLessThan(
      paceNow(startPouring(40), null, setting).mostMlPerS,
    );
    expect(paceNow(startPouring(40), 500, { ...setting, tool: 'shake' }).verdict).toBe('fine');
  });
  it('no oil is lost or made, and a jar that is lifted pours nothing', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: 0, max: 200, noNaN: true }), { maxLength: 30 }), (readings) => {
        let state = startPouring(40);
        for (const poured of readings) state = pourOn(state, poured, 0.5, setting);
        expect(state.emulsionMl + state.freeMl).toBeCloseTo(40 + Math.max(0, ...readings), 6);
        expect(state.freeMl).toBeGreaterThanOrEqual(-1e-9);
      }),
    );
  });
});
