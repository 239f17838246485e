import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bestTool, passNow, PORTION_ML, portionWith, type PassEvent, type PassSetting } from './pass';

const START = Date.UTC(2026, 10, 20, 18, 0);
const SETTING: PassSetting = {
  plates: 40,
  perPlateMl: 30,
  containerMl: 500,
  shakeEveryS: 600,
  standOutS: 0,
  cold: true,
};
const at = (seconds: number, kind: PassEvent['kind'] = 'plate'): PassEvent => ({
  kind,
  at: START + seconds * 1000,
});
const every = (seconds: number, count: number, from = 0): readonly PassEvent[] =>
  Array.from({ length: count }, (_, i) => at(from + (i + 1) * seconds));
const now = (events: readonly PassEvent[], seconds: number, setting: Partial<PassSetting> = {}) =>
  passNow({ ...SETTING, ...setting }, events, START + seconds * 1000);

describe('a portion in the hand', () => {
  it('is counted in halves of what it is taken with', () => {
    expect(portionWith(30, 30)).toEqual({ count: 1, ml: 30 });
    expect(portionWith(46, 30)).toEqual({ count: 1.5, ml: 45 });
    expect(portionWith(2, 60)).toEqual({ count: 0.5, ml: 30 });
    expect(() => portionWith(0, 30)).toThrow(RangeError);
    expect(() => portionWith(30, NaN)).toThrow(RangeError);
  });
  it('is taken with what meets it in few whole ones', () => {
    expect([8, 15, 30, 60, 92].map(bestTool)).toEqual([
      'squeeze',
      'tablespoon',
      'ladle-30',
      'ladle-60',
      'ladle-90',
    ]);
    expect(bestTool(16)).toBe('tablespoon');
  });
  it('is never further off than a quarter of what it is taken with, from a half on', () => {
    fc.assert(
      fc.property(fc.double({ min: 4, max: 300, noNaN: true }), (ml) => {
        const tool = PORTION_ML[bestTool(ml)].ml;
        const { count, ml: given } = portionWith(ml, tool);
        if (ml >= tool / 4) expect(Math.abs(given - ml)).toBeLessThanOrEqual(tool / 4 + 1e-9);
        expect(given).toBeCloseTo(count * tool, 9);
      }),
    );
  });
});

// By hand: 500 ml hold 16 plates of 30 ml; 40 plates want three containers.
describe('the pass', () => {
  it('wants the first container before anything goes out', () => {
    expect(now([], 0)).toMatchObject({
      ...{ sent: 0, left: 40, inContainers: 0, brought: 0, needed: 3, nextAfterPlates: 0, paceS: null },
      throwAwayAtMs: null,
    });
  });

  it('counts down plates and container, and calls the next while there is time', () => {
    const begun = [at(0, 'container'), ...every(60, 10)];
    // A plate a minute; two minutes to bring one: two plates before.
    expect(now(begun, 600)).toMatchObject({
      ...{ sent: 10, left: 30, inContainers: 6, brought: 1, needed: 3, paceS: 60, nextAfterPlates: 4 },
    });
    // Ten more minutes in the warm: twelve plates before.
    expect(now(begun, 600, { standOutS: 600 }).nextAfterPlates).toBe(0);
    expect(now([at(0, 'container')], 0).nextAfterPlates).toBe(12);
    expect(now([at(0, 'container')], 0, { plates: 16 }).nextAfterPlates).toBeNull();
  });

  it('shakes by its clock, anew after each shake and each container, and not where it need not', () => {
    expect(now([at(0, 'container')], 400).shakeInS).toBe(200);
    expect(now([at(0, 'container')], 900).shakeInS).toBe(0);
    expect(now([at(0, 'container'), at(500, 'shook')], 900).shakeInS).toBe(200);
    expect(now([at(0, 'container')], 900, { shakeEveryS: null }).shakeInS).toBeNull();
    expect(now([at(0, 'container')], 900, { shakeEveryS: 0 }).shakeInS).toBeNull();
    expect(now([], 900).shakeInS).toBeNull();
  });

  it('keeps the clock of the oldest container that is not empty yet: four hours', () => {
    const two = [at(0, 'container'), at(600, 'container')];
    expect(now(two, 700).throwAwayAtMs).toBe(START + 4 * 3_600_000);
    expect(now([...two, ...every(10, 16, 700)], 900).throwAwayAtMs).toBe(START + 600_000 + 4 * 3_600_000);
    expect(now(two, 4 * 3600).over).toBe(true);
    expect(now(two, 4 * 3600, { cold: false })).toMatchObject({ over: false, throwAwayAtMs: null });
  });

  it('takes a pause for no pace', () => {
    expect(now([at(0, 'container'), at(10), at(40), at(70), at(2000)], 2000).paceS).toBe(30);
  });

  it('refuses a container of nothing; one that holds no plate calls for none', () => {
    expect(() => now([], 0, { containerMl: 0 })).toThrow(RangeError);
    expect(now([], 0, { containerMl: 10 })).toMatchObject({ nextAfterPlates: null, needed: 0 });
  });

  it('never runs dry where each container is brought when it is called for, whatever the pace', () => {
    const service = fc.record({
      plates: fc.integer({ min: 1, max: 120 }),
      perPlateMl: fc.double({ min: 5, max: 90, noNaN: true }),
      containerMl: fc.double({ min: 100, max: 3000, noNaN: true }),
      gapS: fc.integer({ min: 1, max: 300 }),
    });
    fc.assert(
      fc.property(service, ({ gapS, ...setting }) => {
        const events: PassEvent[] = [];
        const state = (seconds: number) => now(events, seconds, setting);
        for (let plate = 0; plate < setting.plates; plate++) {
          const seconds = plate * gapS;
          if (state(seconds).nextAfterPlates === 0) events.push(at(seconds, 'container'));
          expect(state(seconds).inContainers).toBeGreaterThan(0);
          events.push(at(seconds));
        }
        const end = state(setting.plates * gapS);
        expect([end.sent, end.left, end.nextAfterPlates]).toEqual([setting.plates, 0, null]);
        const each = Math.floor(setting.containerMl / setting.perPlateMl + 1e-9);
        expect(end.brought).toBe(Math.ceil(setting.plates / each));
        expect(end.needed).toBe(end.brought);
      }),
    );
  });
});
