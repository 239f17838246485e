/** News between the processes that share a database. */
import type pg from 'pg';

export interface Wire {
  /** To all the others, never back to oneself. */
  readonly send: (news: unknown) => Promise<void>;
  /** @param onGap told when something may have been missed */
  readonly hear: (onNews: (news: unknown) => void, onGap: () => void) => void;
  readonly close: () => Promise<void>;
}

/** One process owns the folder: there is nobody to tell. */
export class EmbeddedWire implements Wire {
  send(): Promise<void> {
    return Promise.resolve();
  }
  hear(): void {
    // Nobody else speaks.
  }
  close(): Promise<void> {
    return Promise.resolve();
  }
}

const CHANNEL = 'ygrana_news';
const AGAIN_MS = 1000;
const COUNT_MS = 30_000;

interface Letter {
  readonly from: string;
  /** How many the sender has sent, this one included. */
  readonly count: number;
  /** Left out: it only says how many there were. */
  readonly news?: unknown;
}

/**
 * LISTEN and NOTIFY on a connection of its own, which is opened again when it breaks. Letters are counted, and now
 * and then the count alone is said: who finds one missing looks anew.
 */
export class ServerWire implements Wire {
  private client: pg.Client | null = null;
  private again: NodeJS.Timeout | null = null;
  private closed = false;
  private count = 0;
  private readonly counts = new Map<string, number>();
  private readonly counting: NodeJS.Timeout;
  private onNews: (news: unknown) => void = () => undefined;
  private onGap: () => void = () => undefined;

  private constructor(
    private readonly newClient: () => pg.Client,
    private readonly self: string,
  ) {
    this.counting = setInterval(() => void this.post({}), COUNT_MS).unref();
  }

  static async open(newClient: () => pg.Client, self: string): Promise<ServerWire> {
    const wire = new ServerWire(newClient, self);
    await wire.connect();
    return wire;
  }

  async send(news: unknown): Promise<void> {
    this.count += 1;
    await this.post({ news });
  }

  private async post(about: Pick<Letter, 'news'>): Promise<void> {
    const payload = JSON.stringify({ from: this.self, count: this.count, ...about } satisfies Letter);
    // Where the connection is broken, it is missed: the count says so once it is back.
    await this.client?.query('select pg_notify($1, $2)', [CHANNEL, payload]).catch(() => undefined);
  }

  hear(onNews: (news: unknown) => void, onGap: () => void): void {
    this.onNews = onNews;
    this.onGap = onGap;
  }

  async close(): Promise<void> {
    this.closed = true;
    clearInterval(this.counting);
    if (this.again) clearTimeout(this.again);
    await this.client?.end().catch(() => undefined);
    this.client = null;
  }

  private async connect(): Promise<void> {
    const client = this.newClient();
    client.on('notification', ({ payload }) => {
      this.read(payload ?? '');
    });
    client.on('error', () => undefined);
    client.on('end', () => {
      if (this.client !== client) return;
      this.client = null;
      this.reconnect();
    });
    await client.connect();
    await client.query(`listen ${CHANNEL}`);
    this.client = client;
    await this.post({});
  }

  private reconnect(): void {
    if (this.closed) return;
    this.again = setTimeout(() => {
      this.connect().then(
        () => {
          this.onGap();
        },
        () => {
          this.reconnect();
        },
      );
    }, AGAIN_MS);
  }

  private read(payload: string): void {
    const { from, count, news } = JSON.parse(payload) as Letter;
    if (from === this.self) return;
    const known = this.counts.get(from);
    this.counts.set(from, count);
    const expected = news === undefined ? known : known !== undefined && known + 1;
    if (known !== undefined && count !== expected) this.onGap();
    if (news !== undefined) this.onNews(news);
  }
}
