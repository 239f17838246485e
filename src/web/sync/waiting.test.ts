import { describe, expect, it } from 'vitest';
import type { MeasureRecord, TrialRecord } from '#contract';
import type { FormulaId, VesselId } from '#core/formula';
import { REFERENCE_CATALOGUE, type IngredientId, type OwnUnit } from '#core/ingredient';
import { withWaiting } from '../data/jars';
import {
  foundAway,
  left,
  outboxReducer,
  queued,
  refused,
  type OutboxState,
  type Waiting,
} from './outboxSlice';
import { newestMeasures, ownMeasuresOf } from '#kitchen/reading';

const by = { cookId: 'ida', deviceId: 'tablet' };
const waiting = (id: string, place: number, trialId = 'jar'): Waiting => ({
  kind: 'event',
  kitchen: 'here',
  id,
  place,
  trialId,
  formulaId: 'house' as FormulaId,
  by,
  refused: null,
  happenedAt: `2026-11-26T09:00:0${place}.000Z`,
  event: { kind: 'did', stepId: id },
});
const empty: OutboxState = { waiting: [], away: false, unkept: false };
const with_ = (...entries: readonly Waiting[]): OutboxState =>
  outboxReducer(empty, queued({ entries, kept: true }));

describe('the outbox', () => {
  it('keeps what waits in the order it happened, each once', () => {
    const state = outboxReducer(
      with_(waiting('b', 2)),
      queued({ entries: [waiting('a', 1), waiting('b', 2)], kept: true }),
    );
    expect(state.waiting.map(({ id }) => id)).toEqual(['a', 'b']);
  });
  it('says when the server is away, and that it is back once something was taken', () => {
    const away = outboxReducer(with_(waiting('a', 1)), foundAway());
    expect(away.away).toBe(true);
    expect(outboxReducer(away, left('a'))).toEqual(empty);
  });
  it('keeps what was refused, with the reason, and lets the others go on', () => {
    const state = outboxReducer(
      with_(waiting('a', 1), waiting('b', 2)),
      refused({ id: 'a', why: 'not known here' }),
    );
    expect(state.waiting.map(({ refused: why }) => why)).toEqual(['not known here', null]);
  });
  it('remembers that this browser keeps nothing', () => {
    const unkept = outboxReducer(empty, queued({ entries: [waiting('a', 1)], kept: false }));
    expect(outboxReducer(unkept, queued({ entries: [waiting('b', 2)], kept: true })).unkept).toBe(true);
  });
});

describe('a jar with what waits', () => {
  const jar: TrialRecord = {
    id: 'jar',
    formulaId: 'house' as FormulaId,
    version: 1,
    vesselId: 'jam' as VesselId,
    styleId: null,
    lines: [],
    making: null,
    batch: null,
    by,
    at: '2026-11-26T08:00:00.000Z',
    events: [{ id: 'a', event: { kind: 'did', stepId: 'a' }, by, at: '2026-11-26T09:00:01.000Z' }],
  };
  it('shows its own after what the server has, and nothing twice', () => {
    const shown = withWaiting(jar, [waiting('a', 1), waiting('b', 2), waiting('x', 3, 'another')]);
    expect(shown.events.map(({ id }) => id)).toEqual(['a', 'b']);
    expect([...shown.waiting]).toEqual(['b']);
    expect(shown.events[1]!.at).toBe('2026-11-26T09:00:02.000Z');
    expect(withWaiting(jar, []).events).toBe(jar.events);
  });
});

describe('own measures of a cook', () => {
  const record = (
    id: string,
    cookId: string | null,
    unit: OwnUnit,
    ingredientId: string,
    ...grams: number[]
  ): MeasureRecord => ({
    id,
    cookId,
    unit,
    ingredientId: ingredientId as IngredientId,
    at: '',
    weighings: grams.map((massG) => ({ massG, source: 'typed' })),
  });
  const all = [
    record('1', 'ida', 'pinch', 'salt_sea_fine', 0.4),
    record('2', 'bo', 'pinch', 'salt_sea_fine', 0.9),
    record('3', 'ida', 'pinch', 'salt_sea_fine', 0.5),
    record('4', 'ida', 'grind', 'black_pepper', 0.08),
    record('5', 'ida', 'grind', 'black_pepper'),
  ];
  it('are the newest of each word and thing; what was given up is gone', () => {
    expect(newestMeasures(all, 'ida').map(({ id }) => id)).toEqual(['3']);
    expect(newestMeasures(all, null)).toEqual([]);
  });
  it('are used by the word for this cook, with the very thing before another; old ones stay known', () => {
    const own = ownMeasuresOf(
      [...all, record('6', 'ida', 'pinch', 'sugar_white', 0.6)],
      'ida',
      REFERENCE_CATALOGUE,
    );
    expect(own.now('pinch', 'salt_sea_fine' as IngredientId)?.id).toBe('3');
    expect(own.now('pinch', 'sugar_white' as IngredientId)?.id).toBe('6');
    expect(own.now('pinch', 'black_pepper' as IngredientId)).not.toBeNull();
    expect(own.now('grind', 'black_pepper' as IngredientId)).toBeNull();
    expect(own.byId.get('1')?.massG.nominal).toBe(0.4);
    expect(
      ownMeasuresOf(all, 'bo', REFERENCE_CATALOGUE).now('pinch', 'salt_sea_fine' as IngredientId)?.id,
    ).toBe('2');
  });
});
