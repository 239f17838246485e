/**
 * The one sender. What was typed is kept in the browser first, then sent: one request at a time, each thing's
 * changes in their order, then what happened at the counter in its own. While the kitchen is away it asks again
 * after 1, 2, 4, 8 and then every 15 seconds, at once when the network or the kitchen is back; what was under
 * way without an answer goes again as it was, under its own key, and is taken once. What a kitchen that answers
 * breaks over six times is set aside like a refusal: it must hold up nothing behind it.
 */
import { same } from '#core/document';
import { syncWords } from '#words/sync';
import { nextToSend, type Sent } from './draft';
import { readKey, type Held, type Outcome, type Ports, type Work, type WorkKey } from './shared';
import {
  answered,
  isUnsent,
  kept,
  NOTHING_FOUND,
  opened,
  rulesOf,
  sending,
  type FoundWork,
  type KeptWork,
  type WorkState,
} from './workSlice';

/** Where a browser keeps what is not sent. Never throws; false: it keeps nothing. */
export interface KeptStore {
  readonly write: (work: Omit<KeptWork, 'kitchen' | 'tab' | 'keptAt'>) => Promise<boolean>;
  readonly read: (key: WorkKey) => Promise<FoundWork>;
  /** Once their work stands in this tab's own record. */
  readonly drop: (orphans: readonly KeptWork[]) => Promise<void>;
  /** Keys with something unsent, of this tab and of tabs that are gone. */
  readonly waiting: () => Promise<readonly WorkKey[]>;
}

export interface Clock {
  /** @returns how to call it off */
  readonly after: (ms: number, work: () => void) => () => void;
}

/** What is sent behind the documents: nothing, or the next thing and how it went. */
export type Lane = () => Promise<'nothing' | 'sent' | 'away'>;

export interface SyncDeps {
  readonly getState: () => WorkState;
  readonly dispatch: (action: ReturnType<(typeof ACTIONS)[number]>) => unknown;
  readonly kept: KeptStore;
  readonly ports: Ports;
  readonly lane: Lane;
  readonly clock: Clock;
  readonly newKey: () => string;
  /** Something new stands in the kitchen because of this screen. */
  readonly onTaken?: (key: WorkKey) => void;
  readonly onSignedOut?: () => void;
}
const ACTIONS = [answered, kept, opened, sending] as const;

/** Long enough to gather a burst of nudges, short enough to be saved before a look up. */
const GATHER_MS = 400;
const PAUSES_MS = [1000, 2000, 4000, 8000, 15_000];
const MOST_BREAKS = 6;
const NOT_FITTING = syncWords.notFitting;

export class Sync {
  private readonly breaks = new Map<string, number>();
  private readonly opening = new Set<WorkKey>();
  private callOff: (() => void) | null = null;
  private isRunning = false;
  private isAskedAgain = false;
  private tries = 0;

  constructor(private readonly deps: SyncDeps) {}

  /** Something was typed: it is kept at once and sent when the burst is over. */
  async touched(key: WorkKey): Promise<void> {
    await this.keep(key);
    this.schedule(GATHER_MS);
  }

  /** Opens what the kitchen holds (null: not known now) with what this browser kept on top. */
  async open(key: WorkKey, held: Held | null): Promise<void> {
    if (this.work(key) || this.opening.has(key)) return;
    this.opening.add(key);
    try {
      const found = await this.deps.kept.read(key);
      if (this.work(key)) return;
      this.deps.dispatch(opened({ key, held, found }));
      // What was taken over from a tab that is gone now stands in this tab's own record.
      if ((await this.keep(key)) && found !== NOTHING_FOUND) await this.deps.kept.drop(found.orphans);
      const now = this.work(key);
      if (now && isUnsent(now)) this.schedule(0);
    } finally {
      this.opening.delete(key);
    }
  }

  /** Whatever this browser kept and nobody has sent. */
  async resume(): Promise<void> {
    for (const key of await this.deps.kept.waiting()) await this.open(key, null);
    this.schedule(0);
  }

  /** Sends now what waits: the network is back, somebody signed in. */
  wake(): void {
    this.tries = 0;
    this.schedule(0);
  }

  private work(key: WorkKey): Work | undefined {
    return this.deps.getState().byKey[key];
  }

  private async keep(key: WorkKey): Promise<boolean> {
    const now = this.work(key);
    if (!now) return false;
    const { trouble: _trouble, unkept: _unkept, ...record } = now;
    const done = await this.deps.kept.write(record);
    this.deps.dispatch(kept({ key, kept: done }));
    return done;
  }

  private schedule(ms: number): void {
    this.callOff?.();
    this.callOff = this.deps.clock.after(ms, () => {
      this.callOff = null;
      void this.run();
    });
  }

  private async run(): Promise<void> {
    if (this.isRunning) {
      this.isAskedAgain = true;
      return;
    }
    this.isRunning = true;
    this.isAskedAgain = false;
    let isReached = true;
    try {
      isReached = await this.sendAll();
    } finally {
      this.isRunning = false;
    }
    if (!isReached) {
      this.schedule(PAUSES_MS[Math.min(this.tries, PAUSES_MS.length - 1)]!);
      this.tries += 1;
      return;
    }
    this.tries = 0;
    if (this.isAskedAgain) this.schedule(GATHER_MS);
  }

  /** @returns false where the kitchen was not reached */
  private async sendAll(): Promise<boolean> {
    for (;;) {
      const key = this.nextKey();
      if (key) {
        if (!(await this.sendOne(key))) return false;
        continue;
      }
      const went = await this.deps.lane();
      if (went !== 'sent') return went === 'nothing';
    }
  }

  private nextKey(): WorkKey | undefined {
    const works = Object.values(this.deps.getState().byKey);
    return works.find((work) => work.trouble !== 'signed-out' && isUnsent(work))?.key;
  }

  private async sendOne(key: WorkKey): Promise<boolean> {
    const { ports, dispatch, newKey, onTaken, onSignedOut } = this.deps;
    const now = this.work(key)!;
    const sent = nextToSend<unknown>(now, newKey, rulesOf(key));
    if (!sent) return true;
    const { kind, id } = readKey(key);
    dispatch(sending({ key, sent }));
    await this.keep(key);
    const outcome = this.settledOutcome(sent.key, await ports(kind).send(id, sent, now.revision));
    dispatch(answered({ key, outcome }));
    if (outcome.status === 'clash' && this.isStuck(key, sent)) {
      // It does not fit and nobody else changed it: asked again for ever it would be refused for ever.
      dispatch(answered({ key, outcome: { status: 'refused', why: NOT_FITTING } }));
    }
    await this.keep(key);
    if (outcome.status === 'taken') onTaken?.(key);
    if (outcome.status === 'signed-out') onSignedOut?.();
    return outcome.status !== 'away' && outcome.status !== 'broke';
  }

  private isStuck(key: WorkKey, { changes }: Sent): boolean {
    const next = nextToSend<unknown>(this.work(key)!, this.deps.newKey, rulesOf(key));
    if (!next || !same(next.changes, changes)) return false;
    this.deps.dispatch(sending({ key, sent: next }));
    return true;
  }

  private settledOutcome(key: string, outcome: Outcome): Outcome {
    if (outcome.status !== 'broke') return outcome;
    const times = (this.breaks.get(key) ?? 0) + 1;
    this.breaks.set(key, times);
    return times >= MOST_BREAKS ? { status: 'refused', why: outcome.why } : outcome;
  }
}
