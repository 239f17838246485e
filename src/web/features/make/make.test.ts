import { describe, expect, it } from 'vitest';
import { finish, formulate, type Dose } from '#core/balance';

import { REFERENCE_CATALOGUE, type IngredientId } from '#core/ingredient';
import {
  deviationOf,
  fillRequest,
  plannedLines,
  standingEvents,
  stepStates,
  trialLines,
  type LoggedEvent,
  type MakingPlan,
  type Step,
  type TrialEvent,
} from '#core/trial';
import { deviationNote, openDeviation } from '#kitchen/repair';
import { asDoses, asFilled, landingOf } from '#kitchen/repair';
import { stepName } from '#kitchen/repair';

let ids = 0;
const newId = (): string => `new-${(ids += 1)}`;

const style = { decimalSign: 'point' } as const;
const line = (id: string, massG: number, form = '') => ({ ingredientId: id as IngredientId, form, massG });
const weigh = (id: string, ingredient: string, massG: number, form = ''): Step => ({
  kind: 'weigh',
  id,
  line: line(ingredient, massG, form),
  said: '',
  paced: false,
});
const STEPS: readonly Step[] = [
  weigh('v', 'vin_redwine6', 60),
  weigh('s', 'salt_table', 3),
  weigh('g', 'garlic', 3, 'grated'),
  weigh('o', 'olive_ev', 180),
  { kind: 'do', id: 'do-mix', deed: 'mix', seconds: 20, said: '' },
];
const making: MakingPlan = {
  scaleFactor: 1,
  plannedVolumeMl: 260,
  tool: 'shake',
  seconds: 20,
  roomC: null,
  bottles: {},
  steps: STEPS,
};
const took = (stepId: string, ingredient: string, massG: number): TrialEvent => ({
  kind: 'took',
  stepId,
  line: line(ingredient, massG),
  seen: null,
  reading: { source: 'typed', deviceId: '' },
});
const after = (...events: readonly TrialEvent[]) => {
  const log = events.map((event, i): LoggedEvent => ({
    id: `e${i}`,
    at: `2026-11-26T09:0${i}:00.000Z`,
    event,
  }));
  const states = stepStates(STEPS, log);
  const first = STEPS.flatMap((step) => (step.kind === 'weigh' ? [step.line] : []));
  const deviation = deviationOf(first, plannedLines(states), REFERENCE_CATALOGUE);
  const off = openDeviation(states, making, deviation, standingEvents(log));
  const note = deviationNote(states, making, deviation, REFERENCE_CATALOGUE, style);
  return { log, states, deviation, off, note };
};
const dose = (id: string, massG: number): Dose => ({
  mayAdd: { ingredient: REFERENCE_CATALOGUE.get(id as IngredientId)!, form: '', stockG: null },
  massG,
});

describe('a step that went otherwise', () => {
  it('asks what to do only where a taster would notice, and only until it is answered', () => {
    expect(after(took('v', 'vin_redwine6', 60.5)).off).toBeNull();
    expect(after(took('v', 'vin_redwine6', 90)).off).toMatchObject({ reason: 'poured-too-much', byG: 30 });
    expect(after(took('v', 'vin_redwine6', 20)).off?.byG).toBe(-40);
    expect(after(took('s', 'sugar_white', 3)).off).toMatchObject({ reason: 'swapped' });
    expect(after({ kind: 'left-out', stepId: 's' }).off).toMatchObject({ reason: 'left-out' });
    const answered = after(took('v', 'vin_redwine6', 90), {
      kind: 'planned',
      reason: 'poured-too-much',
      targets: [],
      steps: [],
      before: null,
      note: 'as it is',
    });
    expect(answered.off).toBeNull();
    expect(after().off).toBeNull();
  });
  it('a mend is no deviation from the plan', () => {
    const mend = { kind: 'planned', reason: 'mend', targets: [], before: null, note: '' } as const;
    expect(after({ ...mend, steps: [weigh('m', 'olive_ev', 5)] }, took('m', 'olive_ev', 60)).off).toBeNull();
  });
  it('says beside the steps how the farthest came out', () => {
    expect(after(took('v', 'vin_redwine6', 60)).note).toBeNull();
    expect(after(took('v', 'vin_redwine6', 60.2)).note).toMatch(
      /^Red wine vinegar 6 % came out 0\.20 g over\. Nothing to change: /,
    );
    expect(after(took('v', 'vin_redwine6', 90)).note).toMatch(/30\.0 g over\. (?!Nothing)/);
  });
});

describe('the ways back', () => {
  it('add to a step to come, or become a step of their own', () => {
    const { states } = after(took('v', 'vin_redwine6', 90));
    const way = asDoses([dose('olive_ev', 40), dose('vin_redwine6', 5)], states, newId);
    expect(way.targets).toEqual([{ stepId: 'o', massG: 220 }]);
    expect(way.steps.map(({ line: { ingredientId, massG } }) => [ingredientId, massG])).toEqual([
      ['vin_redwine6', 5],
    ]);
  });
  it('filling the vessel ends at what was found, less what has gone in', () => {
    const { states, deviation } = after(took('v', 'vin_redwine6', 90));
    const outcome = finish(formulate(fillRequest(deviation, plannedLines(states), REFERENCE_CATALOGUE, 380)));
    if (outcome.status !== 'answers') throw new Error(outcome.status);
    const answer = outcome.answers[0]!;
    const way = asFilled(answer, states, newId);
    // Taken step by step it comes to the found amounts.
    const rest = way.targets.map(({ stepId, massG }): TrialEvent => {
      const step = STEPS.find(({ id }) => id === stepId)!;
      return took(stepId, step.kind === 'weigh' ? step.line.ingredientId : '', massG);
    });
    const more = way.steps.map((step): TrialEvent => took(step.id, step.line.ingredientId, step.line.massG));
    const made = after(took('v', 'vin_redwine6', 90), ...rest, ...more);
    for (const { ingredient, massG } of answer.portions) {
      const found = trialLines([], made.log)
        .filter(({ ingredientId }) => ingredientId === ingredient.id)
        .reduce((sum, one) => sum + one.massG, 0);
      expect(Math.abs(found - massG.nominal)).toBeLessThan(0.35);
    }
  });
  it('as it is lands where the deviation says', () => {
    const { deviation } = after(took('v', 'vin_redwine6', 90));
    expect(landingOf(deviation, deviation.expected, null).moved).toEqual(deviation.moved);
    expect(landingOf(deviation, deviation.planned, null).moved).toEqual([]);
  });
});

describe('a step’s name', () => {
  it('is the thing with its form, what really went in, or the deed', () => {
    const { states } = after(took('s', 'sugar_white', 3));
    const [vinegar, salt, garlic, , mix] = states;
    const name = (state: typeof vinegar) =>
      stepName(state!.step, REFERENCE_CATALOGUE, making, { decimalSign: 'point' }, state);
    expect(name(vinegar)).toBe('Red wine vinegar 6 %');
    expect(name(salt)).toMatch(/sugar/i);
    expect(name(garlic)).toMatch(/^Garlic.*grated$/);
    expect(name(mix)).toBe('Close and shake');
  });
});
