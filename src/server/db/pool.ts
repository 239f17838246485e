/**
 * Connections to a PostgreSQL server that may stop at any moment. What is checked out when it stops must neither
 * end the process (an `error` that nobody hears) nor stay checked out for ever (a transaction that could not even
 * begin is not given back by who asked for it: after ten of them the kitchen would wait for good).
 */
import pg from 'pg';

type Done = (error: Error | undefined, client: pg.PoolClient | undefined, release: Release) => void;
type Release = (error?: Error | boolean) => void;

/** The query builder tells a pool by its class's name. */
export class KitchenPool extends pg.Pool {
  constructor(config: pg.PoolConfig) {
    super(config);
    // One that breaks while nobody uses it is replaced by the pool.
    this.on('error', () => undefined);
  }

  override connect(): Promise<pg.PoolClient>;
  override connect(callback: Done): void;
  override connect(callback?: Done): Promise<pg.PoolClient> | undefined {
    if (!callback) return super.connect().then(guarded);
    super.connect((error, client, release) => {
      if (client) {
        const own = guarded(client);
        callback(error, own, own.release.bind(own));
      } else callback(error, client, release);
    });
    return undefined;
  }
}

const onBroken = new WeakMap<pg.PoolClient, () => void>();

/** Given back once, whoever says so first: its user, or the connection by breaking. */
function guarded(client: pg.PoolClient): pg.PoolClient {
  const giveBack = client.release.bind(client);
  let isBack = false;
  const release: Release = (error) => {
    if (isBack) return;
    isBack = true;
    giveBack(error);
  };
  client.release = release;
  // A client comes back here each time it is lent: one listener serves them all.
  if (!onBroken.has(client))
    for (const event of ['error', 'end'] as const)
      client.on(event, () => {
        onBroken.get(client)?.();
      });
  onBroken.set(client, () => {
    release(true);
  });
  return client;
}
