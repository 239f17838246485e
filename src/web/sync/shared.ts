/** What several screens share, by kind: how it is known, merged and asked for. Formulas are one of them. */
import type { Formula } from '#core/formula';
import type { SharedDoc, SharedKind, VersionRecord } from '#contract';
import type { Draft, Sent } from './draft';

export interface Docs extends SharedDoc {
  readonly formula: Formula;
}
export type Kind = SharedKind | 'formula';
export type WorkKey = `${Kind}/${string}`;

export const keyOf = (kind: Kind, id: string): WorkKey => `${kind}/${id}`;
export function readKey(key: WorkKey): { readonly kind: Kind; readonly id: string } {
  const cut = key.indexOf('/');
  return { kind: key.slice(0, cut) as Kind, id: key.slice(cut + 1) };
}

/** Beside its content: what the kitchen alone decides. */
export interface Beside {
  /** The version a formula's working changes grew from. */
  readonly baseVersion?: VersionRecord | null;
  readonly latestNumber?: number;
}

/** As the kitchen holds it. */
export interface Held<T = unknown> {
  readonly doc: T;
  readonly revision: number;
  readonly beside: Beside;
}

/** As one screen holds it. */
export interface Work<T = unknown> extends Draft<T> {
  readonly key: WorkKey;
  readonly revision: number;
  readonly beside: Beside;
  readonly trouble: Trouble;
  /** The browser could not keep its own copy. */
  readonly unkept: boolean;
}
export type Trouble = 'away' | 'signed-out' | null;

/** What came of sending. */
export type Outcome =
  | { readonly status: 'taken'; readonly held: Held }
  | { readonly status: 'clash'; readonly held: Held }
  /** Not reached or not able at present: the same is sent again later. */
  | { readonly status: 'away' }
  /** It was reached, and broke over this. */
  | { readonly status: 'broke'; readonly why: string }
  /** The passcode is asked for first. */
  | { readonly status: 'signed-out' }
  | { readonly status: 'refused'; readonly why: string };

/** The way to the kitchen for one kind. Never throws. */
export interface Port {
  /** What the kitchen holds. @throws `{ status, data }` as a query does */
  readonly fetch: (id: string) => Promise<Held>;
  readonly send: (id: string, sent: Sent, baseRevision: number) => Promise<Outcome>;
}
export type Ports = (kind: Kind) => Port;
