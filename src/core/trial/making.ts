/** Where a making stands: each step with its amount as it is planned now, and what was really done. */
import type { Tool } from '#core/formula';
import type { IngredientId } from '#core/ingredient';
import { standingEvents, type LoggedEvent } from './event';
import type { Step } from './step';
import { takesByStep, type Take } from './takes';

/** How a jar is made: settled when it begins. */
export interface MakingPlan {
  /** Times the version's own amounts, > 0. */
  readonly scaleFactor: number;
  readonly plannedVolumeMl: number;
  readonly tool: Tool;
  readonly seconds: number;
  /** °C; null: nobody measured. */
  readonly roomC: number | null;
  /** Which bottle, as the cook wrote it. */
  readonly bottles: Readonly<Partial<Record<IngredientId, string>>>;
  readonly steps: readonly Step[];
  /** As far as this stage of the formula; left out: all of it. */
  readonly stage?: number | undefined;
}

export type StepStatus = 'open' | 'done' | 'left-out' | 'disputed';
export interface StepState {
  readonly step: Step;
  readonly status: StepStatus;
  /** As it is planned now, g; null where nothing is weighed. */
  readonly plannedG: number | null;
  /** What counts of what was taken, g. */
  readonly massG: number;
  readonly takes: readonly Take[];
  readonly counted: ReadonlySet<string>;
  /** The event that closed it; what "take it back" corrects. */
  readonly closedBy: string | null;
}

const NO_TAKES = { takes: [], counted: new Set<string>(), disputed: false } as const;

export function stepStates(steps: readonly Step[], log: readonly LoggedEvent[]): readonly StepState[] {
  const events = standingEvents(log);
  const takes = takesByStep(log);
  let all: readonly Step[] = steps;
  const targets = new Map<string, number>();
  const closed = new Map<string, { readonly id: string; readonly leftOut: boolean }>();
  for (const { id, event } of events) {
    if (event.kind === 'planned') {
      const known = new Set(all.map((step) => step.id));
      const fresh = event.steps.filter((step) => !known.has(step.id));
      const place = event.before === null ? -1 : all.findIndex((step) => step.id === event.before);
      all = place < 0 ? [...all, ...fresh] : [...all.slice(0, place), ...fresh, ...all.slice(place)];
      for (const { stepId, massG } of event.targets) targets.set(stepId, massG);
    } else if (event.kind === 'did' || event.kind === 'left-out') {
      closed.set(event.stepId, { id, leftOut: event.kind === 'left-out' });
    } else if (event.kind === 'took') {
      closed.set(event.stepId, { id, leftOut: false });
    }
  }
  return all.map((step): StepState => {
    const { takes: taken, counted, disputed } = takes.get(step.id) ?? NO_TAKES;
    const massG = taken.reduce((sum, take) => (counted.has(take.id) ? sum + take.event.line.massG : sum), 0);
    const end = closed.get(step.id);
    const status = disputed ? 'disputed' : end?.leftOut ? 'left-out' : end ? 'done' : 'open';
    const plannedG = targets.get(step.id) ?? (step.kind === 'weigh' ? step.line.massG : null);
    return { step, status, plannedG, massG, takes: taken, counted, closedBy: end?.id ?? null };
  });
}

/** The step that comes next: the first open one; null when all are done. */
export const currentStep = (states: readonly StepState[]): StepState | null =>
  states.find(({ status }) => status === 'open') ?? null;

/**
 * Everything as planned, with what was really taken in its place: what the jar will be if the rest goes
 * as planned. Keyed by step, g.
 */
export interface PlannedLine {
  readonly stepId: string;
  readonly ingredientId: IngredientId;
  readonly form: string;
  /** As planned at first. */
  readonly plannedG: number;
  /** Taken so far, g. */
  readonly pouredG: number;
  readonly open: boolean;
  /** What will have gone in: taken, or still to come. */
  readonly expectedG: number;
}

export function plannedLines(states: readonly StepState[]): readonly PlannedLine[] {
  return states.flatMap(({ step, status, plannedG, massG, takes, counted }): PlannedLine[] => {
    if (step.kind === 'do') return [];
    const open = status === 'open';
    const taken = takes.filter(({ id }) => counted.has(id)).at(-1)?.event.line;
    const { ingredientId, form } = taken ?? (step.kind === 'weigh' ? step.line : step);
    const expectedG = open ? (plannedG ?? 0) : massG;
    return [
      {
        stepId: step.id,
        ingredientId,
        form,
        plannedG: step.kind === 'weigh' ? step.line.massG : 0,
        pouredG: massG,
        open,
        expectedG,
      },
    ];
  });
}
