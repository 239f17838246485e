import { cleanup, screen } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { DEFAULT_SETTINGS, type InstrumentInfo } from '#contract';
import { emptyFormula } from '#core/formula';
import { REFERENCE_CATALOGUE, type IngredientId } from '#core/ingredient';
import { stepStates, type LoggedEvent, type MakingPlan, type Step, type TrialEvent } from '#core/trial';
import { STARTING_VESSELS } from '#core/vessel';
import { contextFor, type Kitchen } from '#kitchen/reading';
import type { CounterView } from '../../data/instruments';
import type { Scale } from '../../data/scale';
import { show } from '../../testing/kitchen';
import { DisputePanel } from './DisputePanel';
import { DonePanel } from './DonePanel';
import type { StepActions } from './stepActions';
import { StepList } from './StepList';
import { WeighPanel } from './WeighPanel';

const kitchen: Kitchen = {
  settings: DEFAULT_SETTINGS,
  vessels: STARTING_VESSELS,
  catalogue: REFERENCE_CATALOGUE,
  pantry: {},
  own: { byId: new Map(), now: () => null },
};
const formula = emptyFormula('Test', STARTING_VESSELS[0]!.id, 'metric');
const weigh = (id: string, ingredient: string, massG: number, said = ''): Step => ({
  kind: 'weigh',
  id,
  line: { ingredientId: ingredient as IngredientId, form: '', massG },
  said,
  paced: false,
});
const STEPS: readonly Step[] = [
  weigh('v', 'vin_cider5', 60, '60 ml'),
  weigh('s', 'salt_table', 0.8, '2 pinches'),
  { kind: 'to-taste', id: 't', ingredientId: 'black_pepper' as IngredientId, form: '', said: 'to taste' },
  weigh('o', 'olive_ev', 180),
];
const making: MakingPlan = {
  scaleFactor: 1,
  plannedVolumeMl: 250,
  tool: 'shake',
  seconds: 20,
  roomC: null,
  bottles: { vin_cider5: 'Orchard, 5 %' } as MakingPlan['bottles'],
  steps: STEPS,
};
const INFO: InstrumentInfo = {
  id: 'simulated-scale',
  instrument: 'scale',
  name: 'a scale',
  source: 'simulated',
  readability: 0.1,
  capacity: 3000,
};
const NO_COUNTER: CounterView = {
  infoOf: () => null,
  frame: null,
  readings: [],
  screenId: 'here',
  simulated: false,
};
const scaleThat = (about: Partial<Scale>): Scale => ({
  status: 'ready',
  info: INFO,
  simulated: true,
  netG: null,
  takeableG: null,
  holder: null,
  reading: { source: 'simulated', deviceId: INFO.id },
  tare: () => Promise.resolve(true),
  takeOver: () => undefined,
  ...about,
});
const NO_SCALE = scaleThat({ status: 'none', info: null });
const logged = (...events: readonly TrialEvent[]): readonly LoggedEvent[] =>
  events.map((event, i) => ({ id: `e${i}`, at: `2026-11-26T09:0${i}:00.000Z`, event }));

function open(stepId: string, scale: Scale, events: readonly TrialEvent[] = []) {
  const said: TrialEvent[] = [];
  const actions: { current: StepActions } = { current: {} };
  const state = stepStates(STEPS, logged(...events)).find(({ step }) => step.id === stepId)!;
  const shown = show(
    <WeighPanel
      state={state}
      place={1}
      of={4}
      making={making}
      scale={scale}
      kitchen={kitchen}
      formula={formula}
      counter={NO_COUNTER}
      portions={[]}
      volumeMl={0}
      context={contextFor(formula, kitchen)}
      onSay={(...all) => said.push(...all)}
      onActions={(next) => {
        actions.current = next;
      }}
    />,
  );
  return { ...shown, said, actions };
}
const main = (name: RegExp) => screen.getByRole<HTMLButtonElement>('button', { name });

beforeEach(() => {
  // The taking beeps; a page of the test has no ears.
  vi.stubGlobal('AudioContext', undefined);
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

describe('one thing onto the scale', () => {
  it('says its name, its weight, how it was typed and from which bottle', () => {
    open('v', scaleThat({ netG: 0 }));
    expect(screen.getByTestId('step-name').textContent).toBe('Cider vinegar 5 %, 60.0 g');
    expect(screen.getByText(/^60 ml; Orchard, 5 %$/)).toBeTruthy();
    expect(main(/Nothing to take yet/).disabled).toBe(true);
  });

  it('takes what is inside the window at once', async () => {
    const tare = vi.fn(() => Promise.resolve(true));
    const { user, said } = open('v', scaleThat({ netG: 60.1, takeableG: 60.1, tare }));
    await user.click(main(/^Take 60\.1 g$/));
    expect(said).toEqual([
      {
        kind: 'took',
        stepId: 'v',
        line: { ingredientId: 'vin_cider5', form: '', massG: 60.1 },
        reading: { source: 'simulated', deviceId: 'simulated-scale' },
        seen: null,
      },
    ]);
    expect(tare).toHaveBeenCalledOnce();
  });

  it('asks twice for what is outside it', async () => {
    const { user, said } = open('v', scaleThat({ netG: 41, takeableG: 41 }));
    await user.click(main(/^Take 41\.0 g, 19\.0 g short$/));
    expect(said).toEqual([]);
    await user.click(main(/^Once more: take 41\.0 g, 19\.0 g short$/));
    expect(said).toMatchObject([{ kind: 'took', line: { massG: 41 } }]);
  });

  it('is typed by hand where the scale is not to be had; only a weight counts', async () => {
    // Without a scale the field is open and ready.
    const { user, said } = open('v', NO_SCALE);
    const field = screen.getByRole('textbox');
    await user.type(field, '-4');
    expect(screen.getByText(/A weight above nothing/)).toBeTruthy();
    expect(main(/Take what is typed/).disabled).toBe(true);
    await user.clear(field);
    await user.type(field, '59,5{Enter}');
    expect(said).toMatchObject([
      { kind: 'took', line: { massG: 59.5 }, reading: { source: 'typed', deviceId: '' } },
    ]);
  });

  it('goes back to the scale with Escape', async () => {
    const { user } = open('v', scaleThat({ netG: 0 }));
    await user.click(screen.getByRole('button', { name: 'By hand' }));
    await user.type(screen.getByRole('textbox'), '12{Escape}');
    expect(screen.queryByRole('textbox')).toBeNull();
  });

  it('a pinch is put in by hand, though a scale stands there; a wet finger once is not enough', async () => {
    const { user, said } = open('s', scaleThat({ netG: 0 }));
    await user.click(main(/^2 pinches is in$/));
    expect(said).toEqual([]);
    await user.click(main(/^Once more: 2 pinches is in$/));
    expect(said).toMatchObject([
      { kind: 'took', stepId: 's', line: { massG: 0.8 }, reading: { source: 'typed' } },
    ]);
  });

  it('to taste: nothing is weighed, what lies there may be', async () => {
    const without = open('t', NO_SCALE);
    await without.user.click(main(/^It is in/));
    expect(without.said).toEqual([{ kind: 'did', stepId: 't' }]);
    cleanup();
    const weighed = open('t', scaleThat({ netG: 0.5, takeableG: 0.5 }));
    await weighed.user.click(main(/^Take 0\.50 g$/));
    expect(weighed.said).toMatchObject([{ kind: 'took', stepId: 't', line: { massG: 0.5 } }]);
  });

  it('asks for the rest only, once part of it is in', () => {
    const took: TrialEvent = {
      kind: 'took',
      stepId: 'v',
      line: { ingredientId: 'vin_cider5' as IngredientId, form: '', massG: 40 },
      reading: { source: 'typed', deviceId: '' },
      seen: null,
    };
    open('v', scaleThat({ netG: 0 }), [took]);
    expect(screen.getByTestId('step-name').textContent).toMatch(/^Cider vinegar 5 %, (?:20\.0|60\.0) g$/);
  });

  it('hands its keys over, and takes them back when it goes', () => {
    const { actions, said, unmount } = open('v', scaleThat({ netG: 60, takeableG: 60 }));
    actions.current.next?.();
    expect(said).toMatchObject([{ kind: 'took', line: { massG: 60 } }]);
    unmount();
    expect(actions.current).toEqual({});
  });
});

describe('what was taken', () => {
  const took = (massG: number): TrialEvent => ({
    kind: 'took',
    stepId: 'v',
    line: { ingredientId: 'vin_cider5' as IngredientId, form: '', massG },
    reading: { source: 'typed', deviceId: '' },
    seen: null,
  });

  it('by two at once is asked for: one, the other, or both', async () => {
    const said: TrialEvent[] = [];
    const state = stepStates(STEPS, logged(took(58), took(61)))[0]!;
    expect(state.status).toBe('disputed');
    const { user } = show(
      <DisputePanel
        state={state}
        making={making}
        catalogue={REFERENCE_CATALOGUE}
        settings={DEFAULT_SETTINGS}
        onSay={(...all) => said.push(...all)}
      />,
    );
    const buttons = screen.getAllByRole('button');
    expect(buttons.length).toBe(3);
    await user.click(buttons[1]!);
    expect(said).toEqual([{ kind: 'settled', stepId: 'v', keep: ['e1'] }]);
    await user.click(buttons[2]!);
    expect(said.at(-1)).toEqual({ kind: 'settled', stepId: 'v', keep: ['e0', 'e1'] });
  });

  it('can be looked at again and taken back', async () => {
    const said: TrialEvent[] = [];
    const forward = vi.fn();
    const state = stepStates(STEPS, logged(took(58)))[0]!;
    const { user } = show(
      <DonePanel
        state={state}
        name="Cider vinegar"
        settings={DEFAULT_SETTINGS}
        onSay={(...all) => said.push(...all)}
        onForward={forward}
      />,
    );
    expect(screen.getByRole('heading').textContent).toBe('Cider vinegar, 58.0 g');
    for (const button of screen.getAllByRole('button')) await user.click(button);
    expect(said).toEqual([{ kind: 'corrected', eventId: 'e0' }]);
    expect(forward).toHaveBeenCalled();
  });

  it('stands in the list with its own weight, what is to come with what is planned', () => {
    show(
      <StepList
        states={stepStates(STEPS, logged(took(58)))}
        current={null}
        place={null}
        making={making}
        catalogue={REFERENCE_CATALOGUE}
        settings={{ decimalSign: 'comma' }}
        waiting={new Set(['e0'])}
        note={null}
      />,
    );
    const items = screen.getAllByRole('listitem').map(({ textContent }) => textContent);
    expect(items.length).toBe(STEPS.length);
    expect(items[0]).toContain('58,0 g');
    expect(items[3]).toContain('180,0 g');
  });
});
