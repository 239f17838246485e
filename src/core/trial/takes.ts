/**
 * Which records of a step's weight count. The first does. A later one whose taker knew of it is more
 * of the same; one whose taker did not is disputed: both are kept, the first counts until it is settled.
 */
import { standingEvents, type LoggedEvent, type Logged } from './event';

export type Take = Logged<'took'>;
export interface StepTakes {
  readonly takes: readonly Take[];
  readonly counted: ReadonlySet<string>;
  readonly disputed: boolean;
}

export function takesByStep(log: readonly LoggedEvent[]): ReadonlyMap<string, StepTakes> {
  const found = new Map<string, { takes: Take[]; counted: Set<string>; disputed: boolean }>();
  for (const logged of standingEvents(log)) {
    const { id, event } = logged;
    if (event.kind === 'took') {
      const step = found.get(event.stepId) ?? { takes: [], counted: new Set<string>(), disputed: false };
      const knew = step.takes.length === 0 || event.seen === step.takes.at(-1)!.id;
      step.takes.push(logged as Take);
      if (knew) step.counted.add(id);
      else step.disputed = true;
      found.set(event.stepId, step);
    } else if (event.kind === 'settled') {
      const step = found.get(event.stepId);
      if (!step) continue;
      step.counted = new Set(step.takes.map((take) => take.id).filter((take) => event.keep.includes(take)));
      step.disputed = false;
    }
  }
  return found;
}

export const countedTakes = (log: readonly LoggedEvent[]): ReadonlySet<string> =>
  new Set([...takesByStep(log).values()].flatMap(({ counted }) => [...counted]));
