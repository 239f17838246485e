/**
 * A small world for the sender: a kitchen, a network that loses, delays and doubles, and screens whose browser
 * keeps what they write. The sender, the drafts and the merging are the ones that pages run; the kitchen takes
 * changes by the rule that the routes call.
 */
import { applyChanges, put } from '#core/document';
import { Sync, type KeptStore } from '../../src/web/sync/sender';
import type { Held, Outcome, Port, Work, WorkKey } from '../../src/web/sync/shared';
import {
  heardOf,
  workReducer,
  type FoundWork,
  type KeptWork,
  type WorkState,
} from '../../src/web/sync/workSlice';
import type { Sent } from '../../src/web/sync/draft';

/** Takes a change once, or says what stands there. */
export interface Kitchen {
  readonly take: (sent: Sent) => Promise<Outcome>;
  readonly held: () => Promise<Held>;
}

export class KitchenInMemory implements Kitchen {
  private readonly seen = new Set<string>();
  private revision = 0;
  /** @param isReckless whoever writes last wins, as it must not be */
  constructor(
    private doc: unknown,
    private readonly isReckless = false,
  ) {}

  held(): Promise<Held> {
    return Promise.resolve({ doc: this.doc, revision: this.revision, beside: {} });
  }

  async take({ key, changes }: Sent): Promise<Outcome> {
    if (!this.seen.has(key)) {
      const result = applyChanges(this.doc, changes);
      if (result.status === 'conflict' && !this.isReckless)
        return { status: 'clash', held: await this.held() };
      this.seen.add(key);
      this.doc =
        result.status === 'applied'
          ? result.doc
          : changes.reduce((doc, { path, to }) => put(doc, path, to), this.doc);
      this.revision += 1;
    }
    return { status: 'taken', held: await this.held() };
  }
}

/** How a request fares. */
export type Fate = 'arrives' | 'lost' | 'answer-lost' | 'doubled' | 'late';

class Browser {
  private readonly records = new Map<string, KeptWork>();
  readonly alive = new Set<string>();

  of(tab: string): KeptStore {
    const own = (key: WorkKey): readonly KeptWork[] =>
      [...this.records.values()].filter((record) => record.key === key);
    return {
      write: (work) => {
        const keptAt = this.records.size;
        this.records.set(`${work.key} ${tab}`, structuredClone({ ...work, kitchen: 'k', tab, keptAt }));
        return Promise.resolve(true);
      },
      read: (key): Promise<FoundWork> => {
        const all = own(key).map((record) => structuredClone(record));
        return Promise.resolve({
          mine: all.find((record) => record.tab === tab) ?? null,
          orphans: all.filter((record) => record.tab !== tab && !this.alive.has(record.tab)),
        });
      },
      drop: (orphans) => {
        for (const { key, tab: gone } of orphans) this.records.delete(`${key} ${gone}`);
        return Promise.resolve();
      },
      waiting: () => Promise.resolve([...new Set([...this.records.values()].map(({ key }) => key))]),
    };
  }
}

let serial = 0;

/** One tab. Its clock goes when it is told to. */
export class Screen {
  state: WorkState = { byKey: {} };
  isOnline = true;
  private due: (() => void) | null = null;
  readonly sync: Sync;
  private readonly tab = `tab-${(serial += 1)}`;

  constructor(
    private readonly world: World,
    readonly browser: Browser,
    private readonly name: string = `tab-${serial}`,
  ) {
    browser.alive.add(this.name);
    this.sync = new Sync({
      getState: () => this.state,
      dispatch: (action) => {
        this.dispatch(action);
      },
      kept: browser.of(this.name),
      ports: () => this.port,
      lane: () => Promise.resolve('nothing'),
      clock: {
        after: (_ms, work) => {
          this.due = work;
          return () => {
            this.due = null;
          };
        },
      },
      newKey: () => `${this.tab}-${(serial += 1)}`,
    });
  }

  dispatch(action: Parameters<typeof workReducer>[1]): void {
    this.state = this.world.onDispatch(workReducer(this.state, action));
  }

  get work(): Work | undefined {
    return this.state.byKey[this.world.key];
  }

  /** Lets the clock go on to whatever was due. */
  async tick(): Promise<void> {
    const work = this.due;
    this.due = null;
    work?.();
    await settled();
  }

  async open(): Promise<void> {
    const { key, kitchen } = this.world;
    await this.sync.open(key, this.isOnline && !this.world.isDown ? await kitchen.held() : null);
    await settled();
  }

  /** News, or a look at it anew. */
  async hear(): Promise<void> {
    if (!this.isOnline || this.world.isDown || !this.work) return;
    this.dispatch(heardOf({ key: this.world.key, held: await this.world.kitchen.held() }));
  }

  /** The page is loaded anew: what was in memory is gone. */
  async reload(): Promise<Screen> {
    const next = new Screen(this.world, this.browser, this.name);
    this.world.leave(this);
    this.world.screens.push(next);
    next.isOnline = this.isOnline;
    this.isOnline = false;
    this.due = null;
    await next.open();
    return next;
  }

  close(): void {
    this.browser.alive.delete(this.name);
    this.world.leave(this);
    this.isOnline = false;
    this.due = null;
  }

  private readonly port: Port = {
    fetch: () => this.world.kitchen.held(),
    send: async (_id, sent) => {
      const { world } = this;
      if (world.triesOnce && world.tried.has(sent.key))
        return { status: 'taken', held: await world.kitchen.held() };
      world.tried.add(sent.key);
      const fate = world.nextFate();
      if (!this.isOnline || world.isDown || fate === 'lost') return { status: 'away' };
      if (fate === 'late') {
        world.delayed.push(() => world.kitchen.take(sent));
        return { status: 'away' };
      }
      if (fate === 'doubled') await world.kitchen.take(sent);
      const outcome = await world.kitchen.take(sent);
      return fate === 'answer-lost' ? { status: 'away' } : outcome;
    },
  };
}

export class World {
  isDown = false;
  /** Faults on purpose. */
  onDispatch: (state: WorkState) => WorkState = (state) => state;
  triesOnce = false;
  readonly tried = new Set<string>();
  readonly delayed: (() => Promise<unknown>)[] = [];
  readonly screens: Screen[] = [];
  private readonly browsers = [new Browser(), new Browser()];
  private fates: Fate[] = [];

  constructor(
    readonly key: WorkKey,
    public kitchen: Kitchen,
  ) {}

  foretell(fate: Fate): void {
    this.fates.push(fate);
  }
  nextFate(): Fate {
    return this.fates.shift() ?? 'arrives';
  }

  async addScreen(browser: number): Promise<Screen> {
    const screen = new Screen(this, this.browsers[browser % this.browsers.length]!);
    this.screens.push(screen);
    await screen.open();
    return screen;
  }

  leave(screen: Screen): void {
    this.screens.splice(this.screens.indexOf(screen), 1);
  }

  async arriveLate(): Promise<void> {
    await this.delayed.shift()?.();
  }

  /** Everybody is online, everything arrives, every browser has a page open: until nothing moves any more. */
  async meet(): Promise<void> {
    this.isDown = false;
    this.fates = [];
    for (const arrive of this.delayed.splice(0)) await arrive();
    for (const browser of this.browsers.keys()) await this.addScreen(browser);
    for (const screen of this.screens) {
      screen.isOnline = true;
      // It had nothing to show while the kitchen was away.
      if (!screen.work) await screen.open();
      screen.sync.wake();
    }
    for (let round = 0; round < 12; round++) {
      for (const screen of this.screens) {
        screen.sync.wake();
        await screen.tick();
        await screen.hear();
      }
    }
  }
}

/** Until what was begun has gone as far as it can: everything in this world answers in a few turns. */
export async function settled(): Promise<void> {
  for (let turn = 0; turn < 30; turn++) await Promise.resolve();
}
