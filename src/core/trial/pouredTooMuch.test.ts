import { describe, expect, it } from 'vitest';
import { finish, formulate, searchRemedies, candidatesFor } from '#core/balance';
import { composition } from '#core/composition';
import { REFERENCE_CATALOGUE } from '#core/ingredient';
import { palateOf, PALATE, STYLES } from '#core/palate';
import { judgePortions } from '#core/reckoning';
import {
  deviationOf,
  fillRequest,
  plannedLines,
  rescaling,
  stepStates,
  trialPortions,
  wayBackStyle,
  type TrialEvent,
} from '.';
import { added, FIRST, line, logOf, STEPS, took } from './testing';

const states = (...events: TrialEvent[]) => stepStates(STEPS, logOf(events));

describe('poured too much', () => {
  const lines = plannedLines(states(took('v', line('vin_redwine6', 75))));

  it('rescales the rest by what was poured over what was planned, 75 for 60.6', () => {
    const answer = rescaling(lines, 'v', REFERENCE_CATALOGUE, 500);
    if (answer.status !== 'rescale') throw new Error(answer.status);
    expect(answer.factor).toBeCloseTo(1.2376, 4);
    expect(answer.targets).toHaveLength(3);
    expect(answer.targets.find(({ stepId }) => stepId === 'o')?.massG).toBeCloseTo(160 * (75 / 60.6), 9);
    expect(answer.topUps).toEqual([]);
    // Every measure is then where it was planned.
    const scaled = trialPortions(
      [line('vin_redwine6', 75)],
      logOf([
        added(
          ...answer.targets.map(({ stepId, massG }) =>
            line(lines.find((one) => one.stepId === stepId)!.ingredientId, massG),
          ),
        ),
      ]),
      REFERENCE_CATALOGUE,
    );
    expect(palateOf(scaled).acid.value).toBeCloseTo(
      palateOf(deviationOf(FIRST, lines, REFERENCE_CATALOGUE).planned).acid.value!,
      9,
    );
  });
  it('asks for more of what went in before, and says why it cannot where the vessel is too small', () => {
    const later = plannedLines(
      states(
        took('v', line('vin_redwine6', 60.6)),
        took('s', line('salt_table', 2.7)),
        took('h', line('honey', 18)),
      ),
    );
    expect(rescaling(later, 'h', REFERENCE_CATALOGUE, 600)).toMatchObject({
      status: 'rescale',
      factor: 1.5,
      topUps: [{ ingredientId: 'vin_redwine6' }, { ingredientId: 'salt_table' }],
    });
    expect(rescaling(lines, 'v', REFERENCE_CATALOGUE, 260)).toMatchObject({ reason: 'vessel' });
    expect(
      rescaling(plannedLines(states(took('v', line('vin_redwine6', 60)))), 'v', REFERENCE_CATALOGUE, 500),
    ).toEqual({ status: 'not-over' });
    expect(rescaling(lines, 'nowhere', REFERENCE_CATALOGUE, 500)).toEqual({ status: 'not-over' });
  });
  it('says what a taster would notice, and nothing of what nobody would', () => {
    const big = deviationOf(FIRST, lines, REFERENCE_CATALOGUE);
    expect(big.moved[0]).toMatchObject({ measure: 'acid' });
    expect(big.moved.find(({ measure }) => measure === 'acid')!.steps).toBeGreaterThan(0.5);
    const small = deviationOf(
      FIRST,
      plannedLines(states(took('v', line('vin_redwine6', 60.8)))),
      REFERENCE_CATALOGUE,
    );
    expect(small.moved).toEqual([]);
  });
  it('fills the vessel with what was poured as a lower bound', () => {
    const request = fillRequest(
      deviationOf(FIRST, lines, REFERENCE_CATALOGUE),
      lines,
      REFERENCE_CATALOGUE,
      300,
    );
    expect(request.onHand.find(({ ingredient }) => ingredient.id === 'vin_redwine6')?.minG).toBe(75);
    const outcome = finish(formulate(request));
    if (outcome.status !== 'answers') throw new Error(outcome.status);
    const best = outcome.answers[0]!;
    const vinegar = best.portions.find(({ ingredient }) => ingredient.id === 'vin_redwine6')!;
    expect(vinegar.massG.nominal).toBeGreaterThanOrEqual(75 - 1e-6);
    expect(composition(best.portions).mixedVolumeMl).toBeCloseTo(300, 1);
  });
  it('is mended by additions that bring it back to what was planned, or into the style', () => {
    const deviation = deviationOf(FIRST, lines, REFERENCE_CATALOGUE);
    for (const style of [null, STYLES.find(({ id }) => id === 'classic_3_1')!]) {
      const back = wayBackStyle(deviation, style);
      const answer = finish(
        searchRemedies({
          portions: deviation.expected,
          complaint: 'into-band',
          severity: 2,
          style: back,
          roomMl: 200,
          mayAdd: candidatesFor(deviation.expected, {
            catalogue: REFERENCE_CATALOGUE,
            stockG: () => null,
            locked: new Set(),
          }),
        }),
      );
      if (answer.alreadyMet) continue;
      expect(answer.remedies.length).toBeGreaterThan(0);
      const { value } = answer.remedies[0]!.effect.palate.acid;
      expect(value!).toBeLessThanOrEqual(back.windows.acid!.high + 1e-6);
    }
    // The plan itself always lies inside.
    const planned = judgePortions(deviation.planned).palate;
    const { windows } = wayBackStyle(deviation, null);
    for (const [key, window] of Object.entries(windows)) {
      const value = planned[key as keyof typeof PALATE].value!;
      expect(value).toBeGreaterThanOrEqual(window.low);
      expect(value).toBeLessThanOrEqual(window.high);
    }
  });
});
