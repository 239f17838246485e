import { describe, expect, it } from 'vitest';
import type { TrialRecord } from '#contract';
import type { FormulaId, VesselId } from '#core/formula';
import type { MakingPlan, TrialEvent } from '#core/trial';
import { bottlesOf, logFilterFrom, passesLog, type LogFilter } from './logFilter';

const jar = (id: string, at: string, cookId: string, bottle: string, note: string): TrialRecord => {
  const by = { cookId, deviceId: 'tablet' };
  const event = { kind: 'looked', saw: 'fine', seconds: 60, predicted: null, note } satisfies TrialEvent;
  return {
    id,
    formulaId: 'house' as FormulaId,
    version: 1,
    vesselId: 'jam' as VesselId,
    styleId: null,
    lines: [],
    by,
    at,
    events: [{ id: `${id}-1`, event, by, at }],
    making: { bottles: bottle ? { vin_cider5: bottle } : {}, steps: [] } as unknown as MakingPlan,
    batch: null,
  };
};
const JARS = [
  jar('a', '2026-11-10T12:00:00.000Z', 'ida', 'second cask', 'a hair of water'),
  jar('b', '2026-11-20T12:00:00.000Z', 'bo', '', 'clear as on the first day'),
];
const none = logFilterFrom(new URLSearchParams());
const found = (patch: Partial<LogFilter>): string =>
  JARS.filter((one) => passesLog(one, { ...none, ...patch }))
    .map(({ id }) => id)
    .join('');

describe('the log’s filter', () => {
  it('finds words in notes and bottles, all of them, in any case', () => {
    expect([found({}), found({ q: 'HAIR water' }), found({ q: 'cask' }), found({ q: 'hair clear' })]).toEqual(
      [...['ab', 'a', 'a', '']],
    );
  });
  it('by cook, bottle and day', () => {
    expect([found({ cook: 'bo' }), found({ bottle: 'second cask' })]).toEqual(['b', 'a']);
    expect([found({ from: '2026-11-15' }), found({ to: '2026-11-15' })]).toEqual(['b', 'a']);
    expect(found({ from: '2026-11-10', to: '2026-11-20' })).toBe('ab');
    expect(bottlesOf(JARS)).toEqual(['second cask']);
  });
  it('stands in the address', () => {
    expect(logFilterFrom(new URLSearchParams('q=hair&cook=ida'))).toMatchObject({
      q: 'hair',
      cook: 'ida',
      from: '',
    });
  });
});
