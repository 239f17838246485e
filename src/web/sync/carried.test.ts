import { describe, expect, it } from 'vitest';
import { diffFormulas, emptyFormula, type Formula, type FormulaId, type VesselId } from '#core/formula';
import { withWaitingTimers } from '../data/timers';
import { begunHere } from '../data/jars';
import { batchWithWaiting } from '../data/batches';
import type { BatchRecord } from '#contract';
import { workFromBefore } from './before';
import type { Command, Waiting } from './outboxSlice';
import { NOTHING_FOUND, opened, workReducer, type KeptWork } from './workSlice';

const start: Formula = { ...emptyFormula('House', 'jar' as VesselId, 'us'), servingVolumeMl: 30 };
const held = (doc: Formula) => ({ doc, revision: 7, beside: { baseVersion: null, latestNumber: 0 } });
const before = (next: Formula) => ({
  id: 'house' as FormulaId,
  tab: 'gone',
  keptAt: 0,
  diff: diffFormulas(start, next),
  inFlight: null,
  past: [diffFormulas(start, next)],
  future: [],
});
const open = (doc: Formula, kept: KeptWork) =>
  workReducer(
    undefined,
    opened({ key: kept.key, held: held(doc), found: { ...NOTHING_FOUND, orphans: [kept] } }),
  ).byKey[kept.key]!;

describe('what an older release kept', () => {
  const typed = { ...start, name: 'Mine', servingVolumeMl: 45 };
  it('is carried over, undo included', () => {
    const work = open(start, workFromBefore(before(typed), held(start), 'k'));
    expect(work).toMatchObject({ doc: typed, revision: 7, clashes: [] });
    expect(work.past).toHaveLength(1);
  });
  it('that arrived meanwhile is no change, and what was changed elsewhere is asked about', () => {
    expect(open(typed, workFromBefore(before(typed), held(typed), 'k'))).toMatchObject({
      doc: typed,
      clashes: [],
    });
    const theirs = { ...start, name: 'Theirs' };
    const work = open(theirs, workFromBefore(before(typed), held(theirs), 'k'));
    expect(work.clashes).toMatchObject([{ path: ['name'], mine: 'Mine', theirs: 'Theirs' }]);
    expect(work.doc).toMatchObject({ name: 'Theirs', servingVolumeMl: 45 });
  });
});

let place = 0;
const waits = (command: Command, at = '2026-11-26T09:00:00.000Z'): Waiting => ({
  ...command,
  id: `w${(place += 1)}`,
  kitchen: 'k',
  by: { cookId: null, deviceId: 'here' },
  happenedAt: at,
  place,
  refused: null,
});

describe('what waits is shown as if it had arrived', () => {
  const timer = { id: 't1', label: 'Steep', seconds: 60, formulaId: null, trialId: null };
  it('a timer runs by the kitchen’s clock from when it was begun, and is gone when it is ended', () => {
    const begun = waits({ kind: 'start-timer', timer });
    expect(withWaitingTimers([], [begun], 5000)).toMatchObject([{ startedAt: '2026-11-26T09:00:05.000Z' }]);
    const known = { ...timer, startedAt: '2026-11-26T09:00:01.000Z' };
    expect(withWaitingTimers([known], [begun], 0)).toEqual([known]);
    expect(withWaitingTimers([known], [waits({ kind: 'end-timer', timerId: 't1' })], 0)).toEqual([]);
  });
  it('a jar stands there until the kitchen has it', () => {
    const formulaId = 'house' as FormulaId;
    const freeze = { formula: { ...start, basedOnVersion: 2 }, note: '' };
    const jar = { id: 'j', formulaId, freeze, vesselId: start.vesselId, styleId: null, lines: [] };
    const [shown] = begunHere([], [waits({ kind: 'begin', formulaId, jar })], formulaId);
    expect(shown).toMatchObject({ id: 'j', version: 3, events: [], making: null });
    expect(begunHere([shown!], [waits({ kind: 'begin', formulaId, jar })], formulaId)).toEqual([]);
    expect(begunHere([], [waits({ kind: 'begin', formulaId, jar })], 'other' as FormulaId)).toEqual([]);
  });
  it('a lot of a batch stands in its record', () => {
    const batch = { id: 'b', events: [] } as unknown as BatchRecord;
    const event = { kind: 'noted', note: 'late' } as const;
    const shown = batchWithWaiting(batch, [waits({ kind: 'batch-event', batchId: 'b', event })]);
    expect(shown.events).toMatchObject([{ event }]);
    expect(batchWithWaiting(batch, [waits({ kind: 'batch-event', batchId: 'c', event })])).toBe(batch);
  });
});
