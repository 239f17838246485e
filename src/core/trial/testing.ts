/** Short ways to write a jar's log in tests. */
import type { IngredientId } from '#core/ingredient';
import type { LoggedEvent, Source, TrialEvent } from './event';
import type { Step, TrialLine } from './step';
import { NOTHING_SAID, type Tasting } from './tasting';

export const line = (id: string, massG: number, form = ''): TrialLine => ({
  ingredientId: id as IngredientId,
  form,
  massG,
});

export const PLAIN = NOTHING_SAID;
export const tasted = (about: Partial<Tasting> = {}): TrialEvent => ({ kind: 'tasted', ...PLAIN, ...about });
export const added = (...lines: readonly TrialLine[]): TrialEvent => ({ kind: 'added', lines, note: '' });
export const took = (
  stepId: string,
  taken: TrialLine,
  seen: string | null = null,
  source: Source = 'typed',
): TrialEvent => ({ kind: 'took', stepId, line: taken, reading: { source, deviceId: '' }, seen });

/** A minute apart, with the ids e0, e1, … */
export const logOf = (events: readonly TrialEvent[]): readonly LoggedEvent[] =>
  events.map((event, i) => ({
    id: `e${i}`,
    at: new Date(Date.UTC(2026, 10, 26, 9, i)).toISOString(),
    event,
  }));

/** 3 : 1 with honey, as weigh steps. */
export const weigh = (id: string, ingredient: string, massG: number): Step => ({
  kind: 'weigh',
  id,
  line: line(ingredient, massG),
  said: '',
  paced: false,
});
export const STEPS: readonly Step[] = [
  weigh('v', 'vin_redwine6', 60.6),
  weigh('s', 'salt_table', 2.7),
  weigh('h', 'honey', 12),
  weigh('o', 'olive_ev', 160),
  { kind: 'do', id: 'do-mix', deed: 'mix', seconds: 20, said: '' },
];
export const FIRST = STEPS.flatMap((step) => (step.kind === 'weigh' ? [step.line] : []));
