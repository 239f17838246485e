/**
 * The embedded engine of a folder behind one door: what is asked goes to the engine that is there; while another
 * takes its place (a restored kitchen) or its files are copied, who asks waits at the door.
 */
import type { PGlite, QueryOptions, Results, Transaction } from '@electric-sql/pglite';
import { copyTree } from '../folder/copyTree';
import { bear, openOrBear } from './newborn';

/** Only what the query builder asks for. */
export class Embedded {
  private door: Promise<void> = Promise.resolve();
  private inside = 0;
  private onEmpty: () => void = () => undefined;

  private constructor(
    private engine: PGlite,
    private readonly folder: string | undefined,
  ) {}

  static async open(folder: string | undefined): Promise<Embedded> {
    return new Embedded(await openOrBear(folder), folder);
  }

  /** In a folder that is thrown away where it is only half made. */
  static async bear(folder: string): Promise<Embedded> {
    return new Embedded(await bear(folder), folder);
  }

  query<T>(text: string, params?: unknown[], options?: QueryOptions): Promise<Results<T>> {
    return this.enter((engine) => engine.query<T>(text, params, options));
  }

  exec(text: string): Promise<Results[]> {
    return this.enter((engine) => engine.exec(text));
  }

  transaction<T>(work: (tx: Transaction) => Promise<T>): Promise<T> {
    return this.enter((engine) => engine.transaction(work));
  }

  /** The files as a kill at this moment would leave them: the engine mends them when they are opened. */
  copyTo(target: string): Promise<void> {
    const { folder } = this;
    if (folder === undefined) throw new Error('A kitchen in memory has no files.');
    return copyTree(folder, target, (finish) =>
      this.alone(() => {
        finish();
        return Promise.resolve();
      }),
    );
  }

  /** @param exchange changes the folder while nothing is open */
  async reopenedAfter(exchange: () => void): Promise<void> {
    await this.alone(async () => {
      await this.engine.close();
      try {
        exchange();
      } finally {
        this.engine = await openOrBear(this.folder);
      }
    });
  }

  close(): Promise<void> {
    return this.alone(() => this.engine.close());
  }

  private async enter<T>(work: (engine: PGlite) => Promise<T>): Promise<T> {
    for (let door; door !== this.door;) {
      door = this.door;
      await door;
    }
    this.inside += 1;
    try {
      return await work(this.engine);
    } finally {
      this.inside -= 1;
      if (this.inside === 0) this.onEmpty();
    }
  }

  /** Who comes meanwhile waits; who is in goes out first. */
  private async alone(work: () => Promise<void>): Promise<void> {
    const before = this.door;
    let open: () => void = () => undefined;
    this.door = new Promise((resolve) => {
      open = resolve;
    });
    await before;
    try {
      if (this.inside > 0)
        await new Promise<void>((resolve) => {
          this.onEmpty = resolve;
        });
      this.onEmpty = () => undefined;
      await work();
    } finally {
      open();
    }
  }
}
