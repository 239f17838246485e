/**
 * Time as a kitchen has seen it pass. A clock that jumps (a dead battery, a wrong year typed in) must not make
 * things look old that are not: what is thrown away for its age waits until the kitchen has run a day without one.
 */
import { readFileSync, renameSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

const FILE = 'clock.json';
const DAY_MS = 86_400_000;
/** A weekend closed is no jump; more may be one, and is treated as one. */
const AHEAD_MS = 3 * DAY_MS;
const BACK_MS = 10 * 60_000;
const STEADY_MS = DAY_MS;

interface Seen {
  /** By the wall, ms since 1970. */
  readonly at: number;
  /** How long the kitchen has run since the last jump, ms. */
  readonly steadyMs: number;
  /** By how much the wall's clock went on its own at the last jump, ms; null: it never did. */
  readonly jumpedMs: number | null;
}

export class KitchenClock {
  private seen: Seen;
  private readonly file: string;
  private lastRun: number;

  /** @param run ms that pass evenly, such as `performance.now()` */
  constructor(
    dataFolder: string,
    private readonly now: () => Date,
    private readonly run: () => number,
  ) {
    this.file = join(dataFolder, FILE);
    this.seen = readSeen(this.file) ?? { at: now().getTime(), steadyMs: 0, jumpedMs: null };
    this.lastRun = run();
    this.note(this.now().getTime() - this.seen.at, 0);
  }

  /** Now and then, while the kitchen is open. */
  tick(): void {
    const ran = this.run() - this.lastRun;
    this.lastRun += ran;
    this.note(this.now().getTime() - this.seen.at - ran, ran);
  }

  /** Whether ages can be believed. */
  get isSteady(): boolean {
    return this.seen.steadyMs >= STEADY_MS;
  }

  /** Whole days, ahead or back (below nothing); null where there was no jump, or it is long past. */
  get jumpedDays(): number | null {
    const { jumpedMs } = this.seen;
    return jumpedMs === null || this.isSteady ? null : Math.round(jumpedMs / DAY_MS);
  }

  private note(aheadMs: number, ranMs: number): void {
    const isJump = aheadMs > AHEAD_MS || aheadMs < -BACK_MS;
    this.seen = {
      at: this.now().getTime(),
      steadyMs: isJump ? 0 : Math.min(this.seen.steadyMs + ranMs, STEADY_MS),
      jumpedMs: isJump ? aheadMs : this.seen.jumpedMs,
    };
    try {
      writeFileSync(`${this.file}.part`, JSON.stringify(this.seen), { mode: 0o600 });
      renameSync(`${this.file}.part`, this.file);
    } catch {
      // A full disk: what was seen is still known here.
    }
  }
}

function readSeen(file: string): Seen | null {
  try {
    const { at, steadyMs, jumpedMs } = JSON.parse(readFileSync(file, 'utf8')) as Partial<Seen>;
    if (typeof at !== 'number' || typeof steadyMs !== 'number') return null;
    return { at, steadyMs, jumpedMs: typeof jumpedMs === 'number' ? jumpedMs : null };
  } catch {
    return null;
  }
}
