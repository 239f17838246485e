import { describe, expect, it } from 'vitest';
import { finish } from '#core/balance';
import { currentStep, stepStates, type TrialEvent } from '#core/trial';
import { logOf, took } from '../trial/testing';
import {
  batchNumber,
  batchStateOf,
  deviationsOf,
  latestOf,
  signProblem,
  type BatchEvent,
  type LoggedBatchEvent,
} from './batchRecord';
import { loadMaking } from './loadMaking';
import { planBatch } from './planBatch';
import { spreadOver } from './spread';
import { planOf, requestOf, vesselOf } from './testing';

const plan = planOf({
  target: { kind: 'volume', volumeMl: 14_000 },
  mixingVessel: vesselOf(10_000),
  rounding: { kind: 'scale', readabilityG: 1, spoons: 'metric' },
  scale: { readabilityG: 1, capacityG: 3000, vesselG: 400 },
});
const setting = {
  tool: 'stick-pro' as const,
  roomC: 20,
  bottles: {},
  vessel: vesselOf(10_000),
  unread: ['a little of that'],
};
const makings = plan.loads.map((load) => loadMaking(plan, load, setting));
const exactly = (making: (typeof makings)[number]): TrialEvent[] =>
  making.steps.map((step): TrialEvent =>
    step.kind === 'weigh' ? took(step.id, step.line) : { kind: 'did', stepId: step.id },
  );
const batchLog = (...events: readonly BatchEvent[]): readonly LoggedBatchEvent[] =>
  events.map((event, i) => ({ id: `b${i}`, at: `2026-11-26T0${i}:00:00.000Z`, event }));

describe('a load as a making', () => {
  it('weighs what the plan says, acid first and oil last, each pour a step', () => {
    const [making] = makings;
    const weighed = making!.steps.filter((step) => step.kind === 'weigh');
    const total = weighed.reduce((sum, { line }) => sum + line.massG, 0);
    expect(total).toBeCloseTo(plan.loads[0]!.massG, 6);
    expect(weighed[0]!.line.ingredientId).toBe('vin_redwine6');
    // 4.3 kg of oil beside a jug on a scale of 3 kg.
    expect(weighed.slice(-2).map(({ note, line }) => [note, line.ingredientId])).toEqual([
      [{ code: 'pour', pour: 1, of: 2 }, 'olive_ev'],
      [{ code: 'pour', pour: 2, of: 2 }, 'olive_ev'],
    ]);
    expect(new Set(making!.steps.map(({ id }) => id)).size).toBe(making!.steps.length);
  });

  it('ends with mixing, as long as the load needs', () => {
    const last = makings[0]!.steps.at(-1)!;
    expect(last).toMatchObject({ kind: 'do', deed: 'mix', seconds: 84 });
    expect(makings[0]!.steps.filter((step) => step.kind === 'do' && step.deed === 'mix')).toHaveLength(1);
  });

  it('keeps what nobody could read as a thing to do', () => {
    expect(makings[0]!.steps.some((step) => step.kind === 'do' && step.said === 'a little of that')).toBe(
      true,
    );
  });
});

describe('too much in one load', () => {
  const states = makings.map((making) => stepStates(making.steps, []));
  const vinegar = { ingredientId: plan.lines[0]!.ingredient.id, form: '' };
  it('is taken off the loads to come, so that the batch is what was planned', () => {
    const open = [{ trialId: 'second', states: states[1]! }];
    const [targets] = spreadOver(open, vinegar, 150)!;
    const planned = plan.loads[1]!.lines[0]!.massG;
    expect(targets).toEqual({
      trialId: 'second',
      targets: [{ stepId: 'vin_redwine6', massG: planned - 150 }],
    });
    // The pours of one thing share it.
    const oil = spreadOver(open, { ingredientId: plan.lines[4]!.ingredient.id, form: '' }, 200)!;
    const after = oil[0]!.targets.reduce((sum, { massG }) => sum + massG, 0);
    expect(after).toBeCloseTo(plan.loads[1]!.lines[4]!.massG - 200, 6);
  });
  it('is not, where a load would become another dressing, or none is to come', () => {
    expect(spreadOver([{ trialId: 'second', states: states[1]! }], vinegar, 900)).toBeNull();
    expect(spreadOver([], vinegar, 10)).toBeNull();
    expect(
      spreadOver(
        [{ trialId: 'second', states: stepStates(makings[1]!.steps, logOf(exactly(makings[1]!))) }],
        vinegar,
        10,
      ),
    ).toBeNull();
  });
});

describe('the record of a batch', () => {
  const loads = (...events: readonly (readonly TrialEvent[])[]) =>
    makings.map((making, i) => ({ trialId: `t${i}`, making, events: logOf(events[i] ?? []) }));
  const done = loads(exactly(makings[0]!), exactly(makings[1]!));

  it('goes from planned to recorded', () => {
    expect(batchStateOf(loads(), [])).toBe('planned');
    expect(batchStateOf(loads(exactly(makings[0]!).slice(0, 2)), [])).toBe('weighing');
    expect(batchStateOf(done, [])).toBe('weighed');
    const combined = batchLog({ kind: 'combined', trialId: 'whole' });
    expect(batchStateOf(done, combined)).toBe('combined');
    expect(signProblem('combined', combined, 'Ida')).toBe('no-verdict');
    const judged = batchLog(
      { kind: 'combined', trialId: 'whole' },
      { kind: 'verdict', right: true, note: '' },
    );
    expect(signProblem('combined', judged, '  ')).toBe('no-name');
    expect(signProblem('combined', judged, 'Ida')).toBeNull();
    expect(signProblem('weighed', judged, 'Ida')).toBe('not-combined');
    expect(batchStateOf(done, [...judged, { id: 's', at: '', event: { kind: 'signed', name: 'Ida' } }])).toBe(
      'signed',
    );
    expect(currentStep(stepStates(makings[0]!.steps, done[0]!.events))).toBeNull();
  });

  it('voids by correction, and takes the newest that stands', () => {
    const log = batchLog(
      { kind: 'verdict', right: false, note: 'flat' },
      { kind: 'verdict', right: true, note: '' },
      { kind: 'corrected', eventId: 'b1' },
    );
    expect(latestOf(log, 'verdict')?.event).toMatchObject({ right: false, note: 'flat' });
    expect(latestOf(log, 'signed')).toBeNull();
  });

  it('names what went otherwise, by load', () => {
    const events = exactly(makings[1]!);
    const vinegar = makings[1]!.steps[0]!;
    if (vinegar.kind !== 'weigh') throw new Error('the first step weighs');
    events[0] = took(vinegar.id, { ...vinegar.line, massG: vinegar.line.massG + 200 });
    const salt = makings[1]!.steps.findIndex(
      (step) => step.kind === 'weigh' && step.line.ingredientId === 'salt_sea_fine',
    );
    events[salt] = { kind: 'left-out', stepId: makings[1]!.steps[salt]!.id };
    expect(deviationsOf(loads(exactly(makings[0]!), events), 1)).toMatchObject([
      { load: 2, ingredientId: 'vin_redwine6', what: 'over' },
      { load: 2, ingredientId: 'salt_sea_fine', what: 'left-out', massG: 0 },
    ]);
    expect(deviationsOf(done, 1)).toEqual([]);
  });

  it('has a number that a label can carry', () => {
    expect(batchNumber('2026-11-26', 2)).toBe('20261126-02');
  });
});

describe('planning as work', () => {
  it('says how far it is, load by load, and can be left', () => {
    const work = planBatch(
      requestOf({ mixingVessel: vesselOf(6000), rounding: { kind: 'mixed', readabilityG: 1, spoons: 'us' } }),
    );
    const first = work.next();
    expect(first).toMatchObject({ done: false, value: { done: 0, total: 3 } });
    work.return(undefined as never);
    expect(work.next().done).toBe(true);
    expect(finish(planBatch(requestOf())).status).toBe('planned');
  });
});
