import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { composition } from '#core/composition';
import { emptyFormula, readLine, type AdditionId, type VesselId } from '#core/formula';
import { REFERENCE_CATALOGUE } from '#core/ingredient';
import { measuringWith } from '#core/ingredient';
import { judgeFormula, reckonFormula } from '#core/reckoning';
import { STARTING_VESSELS } from '#core/vessel';
import {
  addedLines,
  currentStep,
  measuredPh,
  minutesSinceShake,
  planMaking,
  standingOf,
  stageReached,
  stepStates,
  trialLines,
  trialPortions,
  type Step,
  type TrialEvent,
} from '.';
import { added, line, logOf, STEPS, took, tasted, weigh } from './testing';

const context = {
  catalogue: REFERENCE_CATALOGUE,
  measuring: measuringWith('metric'),
  decimalSign: 'point',
} as const;
const jar = STARTING_VESSELS.find(({ closes }) => closes)!;
const bowl = STARTING_VESSELS.find(({ closes }) => !closes)!;
const plan = (
  lines: readonly string[],
  tool: 'shake' | 'whisk' = 'shake',
  scaleFactor = 1,
  stages: readonly number[] = [],
) => {
  const formula = {
    ...emptyFormula('House', jar.id as VesselId, 'metric'),
    additions: lines.map((text, rank) => ({
      ...readLine(text, context),
      id: `a${rank}` as AdditionId,
      note: '',
      phase: 'base',
      optional: false,
      locked: false,
      measuredBy: null,
      stage: stages[rank] ?? 0,
      rank,
    })),
  } as Parameters<typeof reckonFormula>[0];
  const reckoning = reckonFormula(formula, jar, context);
  return planMaking(reckoning, judgeFormula(reckoning), {
    scaleFactor,
    tool,
    seconds: 30,
    roomC: null,
    bottles: {},
    vessel: tool === 'whisk' ? bowl : jar,
  });
};
const named = (steps: readonly Step[]): readonly string[] =>
  steps.map((step) =>
    step.kind === 'weigh' ? step.line.ingredientId : step.kind === 'do' ? step.deed : 'to taste',
  );
const states = (...events: TrialEvent[]) => stepStates(STEPS, logOf(events));

describe('steps', () => {
  it('put the acid first, salt into it, the oil last, and the shake at the end', () => {
    const made = plan(['90 ml olive oil', '1 tsp honey', '30 ml cider vinegar', '2 g salt']);
    expect(named(made.steps)).toEqual(['vin_cider5', 'salt_table', 'stir', 'honey', 'olive_ev', 'mix']);
    expect(made.steps.at(-1)).toMatchObject({ deed: 'mix', seconds: 30 });
  });
  it('let alliums stand in the acid, and whisk a base before oil that goes in at a pace', () => {
    const made = plan(
      ['30 ml red wine vinegar', '1 small shallot', '10 g Dijon mustard', '100 ml olive oil'],
      'whisk',
    );
    expect(named(made.steps)).toEqual([
      ...['vin_redwine6', 'shallot', 'steep', 'mustard_dijon', 'whisk-base', 'olive_ev'],
    ]);
    expect(made.steps.at(-1)).toMatchObject({ kind: 'weigh', paced: true });
  });
  it('what a line says is left to stand, is: in the acid once, elsewhere after itself', () => {
    const deeds = (...lines: readonly string[]): readonly (string | number | null)[] =>
      plan(lines).steps.flatMap((step) =>
        step.kind === 'do' && step.deed === 'steep' ? [step.id, step.seconds] : [],
      );
    expect(deeds('60 ml cider vinegar, left ten minutes', '180 ml rapeseed oil')).toEqual(['do-steep', 600]);
    expect(
      deeds('60 ml cider vinegar', '30 g shallot, chopped, left half an hour', '180 ml rapeseed oil'),
    ).toEqual(['do-steep', 1800]);
    expect(deeds('200 g yoghurt', '2 g mint, left 5 minutes')).toEqual(['do-rest-a1', 300]);
    expect(deeds('60 ml cider vinegar', '180 ml rapeseed oil')).toEqual([]);
  });

  it('put what could not be read where its part of the formula is: the base before the oil', () => {
    const made = plan(['60 ml cider vinegar', '7 glorps of moonlight', '90 ml olive oil']);
    const order = made.steps.map((step): string =>
      step.kind === 'weigh' ? step.line.ingredientId : step.kind === 'do' ? step.deed : step.kind,
    );
    expect(order.indexOf('said')).toBeLessThan(order.indexOf('olive_ev'));
    expect(order.indexOf('said')).toBeGreaterThan(order.indexOf('vin_cider5'));
  });

  it('weigh nothing to taste, keep what could not be read, and scale every amount', () => {
    const made = plan(
      ['60 ml cider vinegar', 'pepper to taste', '7 glorps of moonlight', '90 ml olive oil'],
      'shake',
      2,
    );
    expect(named(made.steps)).toContain('to taste');
    expect(made.steps.find((step) => step.kind === 'do' && step.deed === 'said')).toMatchObject({
      said: expect.stringContaining('moonlight') as string,
    });
    const [vinegar] = made.steps;
    expect(vinegar).toMatchObject({ kind: 'weigh', said: '' });
    expect(vinegar?.kind === 'weigh' && vinegar.line.massG).toBeGreaterThan(119);
    expect(() => plan(['60 ml water'], 'shake', 0)).toThrow(RangeError);
  });
});

describe('a making in stages', () => {
  const LINES = [
    '30 ml cider vinegar',
    '90 ml rapeseed oil',
    '1 tsp salt',
    '2 tbsp basil',
    '2 tbsp moonlight',
  ];
  const staged = plan(LINES, 'shake', 1, [0, 0, 1, 1, 1]);
  it('does one after the other to its end, each with its own deeds', () => {
    expect(named(staged.steps)).toEqual([
      'vin_cider5',
      'rapeseed',
      'mix',
      ...['salt_table', 'basil', 'said', 'mix'],
    ]);
    const ids = staged.steps.map(({ id }) => id);
    expect(new Set(ids).size).toBe(ids.length);
    // The first stage is made as it would be alone.
    expect(plan(LINES.slice(0, 2)).steps.map(({ id }) => id)).toEqual(ids.slice(0, 3));
  });
  it('is as far as it was begun, or went on since; the correction of that takes it back', () => {
    const on = logOf([
      {
        kind: 'planned',
        reason: 'next-stage',
        targets: [],
        steps: staged.steps.slice(3),
        before: null,
        note: '',
        stage: 1,
      },
    ]);
    expect(stageReached(null, on)).toBeNull();
    expect(stageReached({}, on)).toBeNull();
    expect(stageReached({ stage: 0 }, [])).toBe(0);
    expect(stageReached({ stage: 0 }, on)).toBe(1);
    const back = [
      ...on,
      { id: 'back', event: { kind: 'corrected' as const, eventId: on[0]!.id }, at: on[0]!.at },
    ];
    expect(stageReached({ stage: 0 }, back)).toBe(0);
  });
});

describe('a making', () => {
  it('goes from step to step; what was really weighed counts', () => {
    const after = states(took('v', line('vin_redwine6', 61)));
    expect(after.map(({ status }) => status)).toEqual(['done', 'open', 'open', 'open', 'open']);
    expect(after[0]).toMatchObject({ massG: 61, plannedG: 60.6, closedBy: 'e0' });
    expect(currentStep(after)?.step.id).toBe('s');
    expect(
      currentStep(states(...STEPS.map(({ id }): TrialEvent => ({ kind: 'did', stepId: id })))),
    ).toBeNull();
  });
  it('opens a step again when its record is corrected, and closes it when the correction is', () => {
    const wrong = took('v', line('vin_redwine6', 610));
    expect(states(wrong, { kind: 'corrected', eventId: 'e0' })[0]).toMatchObject({
      status: 'open',
      massG: 0,
    });
    expect(
      states(wrong, { kind: 'corrected', eventId: 'e0' }, { kind: 'corrected', eventId: 'e1' })[0],
    ).toMatchObject({ status: 'done', massG: 610 });
  });
  it('adds what was taken knowingly, and keeps both where two did not know of each other', () => {
    const more = states(took('v', line('vin_redwine6', 50)), took('v', line('vin_redwine6', 10.6), 'e0'));
    expect(more[0]).toMatchObject({ status: 'done' });
    expect(more[0]!.massG).toBeCloseTo(60.6, 9);
    const two = [took('v', line('vin_redwine6', 60)), took('v', line('vin_redwine6', 61))];
    expect(states(...two)[0]).toMatchObject({ status: 'disputed', massG: 60 });
    expect(states(...two)[0]!.takes).toHaveLength(2);
    expect(states(...two, { kind: 'settled', stepId: 'v', keep: ['e1'] })[0]).toMatchObject({
      status: 'done',
      massG: 61,
    });
    expect(trialLines([], logOf([...two, { kind: 'settled', stepId: 'v', keep: ['e0', 'e1'] }]))).toEqual([
      line('vin_redwine6', 121),
    ]);
  });
  it('takes new amounts and further steps into its plan', () => {
    const after = states(took('v', line('vin_redwine6', 75)), {
      kind: 'planned',
      reason: 'poured-too-much',
      targets: [{ stepId: 'o', massG: 198 }],
      note: '',
      steps: [weigh('w', 'water', 5)],
      before: 'o',
    });
    expect(after.map(({ step }) => step.id)).toEqual(['v', 's', 'h', 'w', 'o', 'do-mix']);
    expect(after.find(({ step }) => step.id === 'o')?.plannedG).toBe(198);
  });
  it('counts as mended only what was planned after a tasting', () => {
    const log = logOf([
      took('v', line('vin_redwine6', 60)),
      tasted({ rows: { sweet: -1 } }),
      {
        kind: 'planned',
        reason: 'mend',
        targets: [],
        before: null,
        note: '',
        steps: [weigh('m', 'honey', 4)],
      },
      took('m', line('honey', 4.1)),
      tasted({ right: true }),
    ]);
    expect(addedLines(log)).toEqual([line('honey', 4.1)]);
    expect(standingOf(log)).toBe('right-after-mending');
    expect(standingOf(logOf([took('v', line('vin_redwine6', 60)), tasted({ right: true })]))).toBe('right');
  });
  it('knows when it was last mixed', () => {
    const log = logOf([{ kind: 'did', stepId: 'do-mix' }, tasted()]);
    expect(minutesSinceShake(log, '2026-11-26T09:12:00.000Z')).toBeCloseTo(12, 9);
    // Shaken once more it counts from then.
    const again = logOf([{ kind: 'did', stepId: 'do-mix' }, tasted(), { kind: 'shook', seconds: 20 }]);
    expect(minutesSinceShake(again, '2026-11-26T09:12:00.000Z')).toBeCloseTo(10, 9);
    expect(minutesSinceShake(logOf([tasted()]), '2026-11-26T09:12:00.000Z')).toBeNull();
  });
  it('mass in the log equals mass in the jar, whatever happens', () => {
    const grams = fc.double({ min: 0.1, max: 400, noNaN: true });
    const event = fc.oneof(
      fc
        .tuple(fc.constantFrom('v', 's', 'h', 'o'), grams)
        .map(([id, g]) => ({ does: 'take', id, g }) as const),
      grams.map((g) => ({ does: 'add', g }) as const),
      fc.double({ min: 0, max: 3, noNaN: true }).map((g) => ({ does: 'taste', g }) as const),
      fc.nat(30).map((n) => ({ does: 'correct', n }) as const),
    );
    fc.assert(
      fc.property(fc.array(event, { maxLength: 30 }), (does) => {
        let newest: Record<string, string> = {};
        const events = does.map((one, i): TrialEvent => {
          if (one.does === 'add') return added(line('olive_ev', one.g));
          if (one.does === 'taste') return tasted({ drawnG: one.g });
          if (one.does === 'correct') {
            newest = {};
            return { kind: 'corrected', eventId: `e${one.n % Math.max(1, i)}` };
          }
          const seen = newest[one.id] ?? null;
          newest[one.id] = `e${i}`;
          return took(one.id, line('vin_redwine6', one.g), seen);
        });
        const log = logOf(events);
        const counted = new Set(stepStates(STEPS, log).flatMap((state) => [...state.counted]));
        const undone = new Set<string>();
        for (const { id, event: said } of [...log].reverse())
          if (said.kind === 'corrected' && !undone.has(id)) undone.add(said.eventId);
        let expected = 0;
        for (const { id, event: said } of log) {
          if (undone.has(id)) continue;
          if (said.kind === 'added') expected += said.lines[0]!.massG;
          if (said.kind === 'took' && counted.has(id)) expected += said.line.massG;
          if (said.kind === 'tasted') expected = Math.max(0, expected - said.drawnG);
        }
        const inJar = trialLines([], log).reduce((sum, { massG }) => sum + massG, 0);
        expect(inJar).toBeCloseTo(expected, 6);
        const portions = trialPortions([], log, REFERENCE_CATALOGUE);
        if (portions.length > 0) expect(composition(portions).massG).toBeCloseTo(expected, 6);
      }),
      { seed: 20261126 },
    );
  });
});

describe('a measured pH', () => {
  const ph = (source: 'typed' | 'device' | 'simulated'): TrialEvent => ({
    kind: 'measured',
    what: 'ph',
    value: 3.6,
    reading: { source, deviceId: '' },
  });
  it('counts for the jar as it stood; any later addition voids it', () => {
    expect(measuredPh(logOf([]))).toEqual({ status: 'none' });
    expect(measuredPh(logOf([ph('device')]))).toMatchObject({ status: 'counts', value: 3.6 });
    expect(measuredPh(logOf([ph('typed'), tasted()]))).toMatchObject({ status: 'counts' });
    expect(measuredPh(logOf([ph('device'), added(line('water', 5))]))).toMatchObject({ status: 'void' });
    expect(measuredPh(logOf([ph('device'), took('v', line('water', 5))]))).toMatchObject({ status: 'void' });
    expect(
      measuredPh(logOf([ph('device'), took('v', line('water', 5)), { kind: 'corrected', eventId: 'e1' }])),
    ).toMatchObject({ status: 'counts' });
  });
  it('from a simulated meter never counts', () => {
    expect(measuredPh(logOf([ph('simulated')]))).toMatchObject({ status: 'simulated' });
  });
});
