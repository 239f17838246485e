/** The instruments at the counter: one clock moves them, whoever looks hears of them, one making has the scale. */
import type { DevicesAnswer, DevicesFrame, Hand, Instrument, InstrumentReading, ScaleClaim } from '#contract';
import { POUR_HOLDS_MS } from '#contract';
import type { ProbePort, ScalePort } from './ports';

/** What stands on the counter; `hands` only where they are stand-ins. */
export interface Instruments {
  readonly scale: ScalePort | null;
  readonly probes: readonly ProbePort[];
  readonly hands: ((hand: Hand) => void) | null;
}

export const NO_INSTRUMENTS: Instruments = { scale: null, probes: [], hands: null };

const FRAME_MS = 100;
/** A making whose screens are all gone for so long has left the scale. */
const CLAIM_LEFT_MS = 15_000;

type Listener = (frame: DevicesFrame) => void;
export interface Looker {
  readonly trialId: string;
  readonly screenId: string;
}

export class Counter {
  private readonly listeners = new Map<Listener, Looker | null>();
  private timer: ReturnType<typeof setInterval> | null = null;
  private claimed: ScaleClaim | null = null;
  private lastSeenMs = 0;
  private pourUntilMs = Infinity;

  constructor(
    private readonly instruments: Instruments,
    /** Steady, ms; never goes back. */
    private readonly clockMs: () => number,
    private readonly boot: string,
  ) {}

  get answer(): DevicesAnswer {
    return { instruments: this.all().map(({ info }) => info), claim: this.claim };
  }

  /** @param looker the making whose screen looks; null: none */
  watch(listener: Listener, looker: Looker | null): () => void {
    this.listeners.set(listener, looker);
    listener(this.frame());
    this.timer ??= setInterval(() => {
      this.tick();
    }, FRAME_MS);
    return () => {
      this.listeners.delete(listener);
      if (this.listeners.size === 0) this.stop();
    };
  }

  stop(): void {
    if (this.timer) clearInterval(this.timer);
    this.timer = null;
  }

  get claim(): ScaleClaim | null {
    const now = this.clockMs();
    const { claimed } = this;
    if (!claimed) return null;
    if (this.looks(({ trialId }) => trialId === claimed.trialId)) this.lastSeenMs = now;
    else if (now - this.lastSeenMs > CLAIM_LEFT_MS) this.claimed = null;
    return this.claimed;
  }

  /** False where another making has it. A second screen of the same making only looks on, unless it takes over. */
  take(claim: ScaleClaim, takeOver: boolean): boolean {
    const holder = this.claim;
    if (holder && !takeOver) {
      if (holder.trialId !== claim.trialId) return false;
      if (holder.screenId !== claim.screenId && this.looks(({ screenId }) => screenId === holder.screenId))
        return true;
    }
    this.claimed = claim;
    this.lastSeenMs = this.clockMs();
    this.tick();
    return true;
  }

  private looks(test: (looker: Looker) => boolean): boolean {
    return [...this.listeners.values()].some((looker) => looker !== null && test(looker));
  }

  release(trialId: string): void {
    if (this.claimed?.trialId === trialId) this.claimed = null;
    this.tick();
  }

  tare(trialId: string): 'done' | 'claimed' | 'no-instrument' {
    const { scale } = this.instruments;
    if (!scale) return 'no-instrument';
    if (this.claim?.trialId !== trialId) return 'claimed';
    scale.step(this.clockMs());
    const done = scale.tare();
    this.tick();
    return done ? 'done' : 'no-instrument';
  }

  /** False where the instruments are real. */
  byHand(hand: Hand): boolean {
    const { hands } = this.instruments;
    if (!hands) return false;
    this.step();
    if (hand.does === 'pour') this.pourUntilMs = hand.gPerS > 0 ? this.clockMs() + POUR_HOLDS_MS : Infinity;
    hands(hand);
    this.tick();
    return true;
  }

  private all(): readonly (ScalePort | ProbePort)[] {
    const { scale, probes } = this.instruments;
    return scale ? [scale, ...probes] : probes;
  }

  private step(): void {
    const now = this.clockMs();
    if (now > this.pourUntilMs) {
      const end = this.pourUntilMs;
      this.pourUntilMs = Infinity;
      for (const instrument of this.all()) instrument.step(end);
      this.instruments.hands?.({ does: 'pour', gPerS: 0 });
    }
    for (const instrument of this.all()) instrument.step(now);
  }

  private frame(): DevicesFrame {
    this.step();
    const readings: Partial<Record<Instrument, InstrumentReading>> = {};
    for (const instrument of this.all()) readings[instrument.info.instrument] = instrument.read();
    return { atMs: Math.round(this.clockMs()), boot: this.boot, readings, claim: this.claim };
  }

  private tick(): void {
    const frame = this.frame();
    for (const listener of this.listeners.keys()) listener(frame);
  }
}
