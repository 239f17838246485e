/** What happens to a jar. Events are only ever added; a mistake is answered by a correction, never erased. */
import type { Tool } from '#core/formula';
import type { Step, TrialLine } from './step';
import type { Tasting } from './tasting';

export const SOURCES = ['simulated', 'typed', 'device'] as const;
export type Source = (typeof SOURCES)[number];

/** Where a number came from. */
export interface Reading {
  readonly source: Source;
  /** Which instrument; empty where it was typed. */
  readonly deviceId: string;
}

export const PLAN_REASONS = [
  'poured-too-much',
  'left-out',
  'swapped',
  'mend',
  'rescue',
  'by-hand',
  'next-stage',
] as const;
export type PlanReason = (typeof PLAN_REASONS)[number];

/** Which way was taken, where the cook typed nothing. */
export const PLAN_WAYS = [
  'other-loads',
  'the-rest',
  'additions',
  'fill-vessel',
  'rescaled',
  'as-it-is',
  'rescue',
  'without-rescue',
] as const;
export type PlanWay = (typeof PLAN_WAYS)[number];
export const ADDED_WAYS = ['kept-aside'] as const;
export type AddedWay = (typeof ADDED_WAYS)[number];

export const SIGHTS = ['fine', 'thin-layer', 'split'] as const;
export type Sight = (typeof SIGHTS)[number];

/** What the model said of the hold when somebody looked. */
export interface Predicted {
  readonly medianS: number;
  readonly bandFactor: number;
  readonly tool: Tool;
  readonly binder: string;
}

export type TrialEvent =
  | ({ readonly kind: 'tasted' } & Tasting)
  /** Went in without a step of its own. */
  | {
      readonly kind: 'added';
      readonly lines: readonly TrialLine[];
      readonly note: string;
      readonly way?: AddedWay | undefined;
    }
  /** A step's weight: what really went in, which may be something else than was planned. */
  | {
      readonly kind: 'took';
      readonly stepId: string;
      readonly line: TrialLine;
      readonly reading: Reading;
      /** The newest record of this step that was known: what was taken unaware of another is disputed. */
      readonly seen: string | null;
    }
  | { readonly kind: 'did'; readonly stepId: string }
  | { readonly kind: 'left-out'; readonly stepId: string }
  /** New amounts for steps to come, and further steps. */
  | {
      readonly kind: 'planned';
      readonly reason: PlanReason;
      readonly targets: readonly { readonly stepId: string; readonly massG: number }[];
      readonly steps: readonly Step[];
      /** They go before this step; null: at the end. */
      readonly before: string | null;
      readonly note: string;
      readonly way?: PlanWay | undefined;
      /** It goes on to this stage of the formula. */
      readonly stage?: number | undefined;
    }
  | { readonly kind: 'corrected'; readonly eventId: string }
  /** Of several records of one step, these count. */
  | { readonly kind: 'settled'; readonly stepId: string; readonly keep: readonly string[] }
  | {
      readonly kind: 'measured';
      readonly what: 'ph' | 'temperature';
      /** pH, or °C. */
      readonly value: number;
      readonly reading: Reading;
    }
  | { readonly kind: 'shook'; readonly seconds: number }
  /** A look at how it stands, so long after it was mixed. */
  | {
      readonly kind: 'looked';
      readonly saw: Sight;
      readonly seconds: number;
      /** Null: nothing was predicted. */
      readonly predicted: Predicted | null;
      readonly note: string;
      /** By heights that were measured: when the first layer would have shown, s after mixing; left out: by eye. */
      readonly firstLayerS?: number | undefined;
    }
  /** The emulsion broke. */
  | { readonly kind: 'split' };

export interface LoggedEvent {
  readonly id: string;
  /** ISO time. */
  readonly at: string;
  readonly event: TrialEvent;
}

export type Kind = TrialEvent['kind'];
export type Logged<K extends Kind> = LoggedEvent & {
  readonly event: Extract<TrialEvent, { readonly kind: K }>;
};
export const isKind =
  <K extends Kind>(kind: K) =>
  <E extends LoggedEvent>(logged: E): logged is E & Logged<K> =>
    logged.event.kind === kind;

/** What still stands: neither corrected nor itself a correction. A correction can be corrected. */
export function standingEvents<E extends LoggedEvent>(log: readonly E[]): readonly E[] {
  const undone = new Set<string>();
  for (const { id, event } of [...log].reverse()) {
    if (event.kind === 'corrected' && !undone.has(id)) undone.add(event.eventId);
  }
  return log.filter(({ id, event }) => event.kind !== 'corrected' && !undone.has(id));
}

/** When something last went in or was mixed, ISO time; null: nothing yet. From then on flavours find each other. */
export function mixedAt(log: readonly LoggedEvent[]): string | null {
  const made = standingEvents(log).filter(({ event }) => MAKES.has(event.kind));
  return made.at(-1)?.at ?? null;
}
const MAKES: ReadonlySet<Kind> = new Set<Kind>(['took', 'did', 'added']);
