/** A PostgreSQL server of a test's own: Debian's, in a temporary folder, on a free port. It can be stopped and comes back. */
import { execFileSync, spawn, spawnSync, type ChildProcess, type SpawnSyncReturns } from 'node:child_process';
import { chownSync, existsSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import pg from 'pg';

const DEBIAN = '/usr/lib/postgresql';
const PATIENCE_MS = 30_000;

/** @throws Error with what to install */
function programs(): string {
  const releases = existsSync(DEBIAN) ? readdirSync(DEBIAN).sort((a, b) => Number(b) - Number(a)) : [];
  const found = releases
    .map((release) => join(DEBIAN, release, 'bin'))
    .find((bin) => existsSync(join(bin, 'initdb')));
  if (!found)
    throw new Error('The tests on a server need Debian’s PostgreSQL: apt-get install -y postgresql');
  return found;
}

/** PostgreSQL does not run as root: there, as the user its package makes. */
function user(): { uid?: number; gid?: number } {
  if (process.getuid?.() !== 0) return {};
  const idOf = (flag: string): number => Number(execFileSync('id', [flag, 'postgres'], { encoding: 'utf8' }));
  return { uid: idOf('-u'), gid: idOf('-g') };
}

const freePort = (): Promise<number> =>
  new Promise((resolve, reject) => {
    const probe = createServer().once('error', reject);
    probe.listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as { port: number };
      probe.close(() => {
        resolve(port);
      });
    });
  });

async function answers(server: string): Promise<void> {
  const until = Date.now() + PATIENCE_MS;
  for (;;) {
    const client = new pg.Client({ connectionString: `${server}/postgres` });
    try {
      await client.connect();
      return;
    } catch (error) {
      if (Date.now() > until) throw error;
      await new Promise((resolve) => setTimeout(resolve, 100));
    } finally {
      await client.end().catch(() => undefined);
    }
  }
}

const check = ({ status, stderr }: SpawnSyncReturns<string>): void => {
  if (status !== 0) throw new Error(`initdb: ${stderr}`);
};

export class Cluster {
  private server: ChildProcess | null = null;

  private constructor(
    private readonly bin: string,
    private readonly folder: string,
    private readonly port: number,
  ) {}

  static async begin(): Promise<Cluster> {
    const bin = programs();
    const as = user();
    const folder = mkdtempSync(join(tmpdir(), 'ygrana-postgres-'));
    if (as.uid !== undefined) chownSync(folder, as.uid, as.gid!);
    check(
      spawnSync(
        join(bin, 'initdb'),
        [
          '-D',
          join(folder, 'data'),
          '-U',
          'ygrana',
          '--auth=trust',
          '-E',
          'UTF8',
          '--locale=C.UTF-8',
          '--no-sync',
        ],
        { ...as, cwd: folder, encoding: 'utf8' },
      ),
    );
    const cluster = new Cluster(bin, folder, await freePort());
    await cluster.comes();
    return cluster;
  }

  /** Without a database's name. */
  get address(): string {
    return `postgres://ygrana@127.0.0.1:${this.port}`;
  }

  /** Answers when it does. */
  async comes(): Promise<void> {
    const settings = [
      `port=${this.port}`,
      'listen_addresses=127.0.0.1',
      'unix_socket_directories=',
      'fsync=off',
    ];
    const args = ['-D', join(this.folder, 'data'), ...settings.flatMap((setting) => ['-c', setting])];
    const until = Date.now() + PATIENCE_MS;
    for (;;) {
      const server = spawn(join(this.bin, 'postgres'), args, {
        ...user(),
        cwd: this.folder,
        stdio: 'ignore',
      });
      this.server = server;
      const ended = new Promise<'ended'>((resolve) =>
        server.once('exit', () => {
          resolve('ended');
        }),
      );
      if ((await Promise.race([answers(this.address), ended])) !== 'ended') return;
      // What a kill left behind is still going.
      if (Date.now() > until) throw new Error('The PostgreSQL server of the tests does not start.');
      await new Promise((resolve) => setTimeout(resolve, 100));
    }
  }

  /** @param signal SIGINT: fast, what is open is cut; SIGQUIT: at once; SIGKILL: without a word */
  async goes(signal: NodeJS.Signals = 'SIGINT'): Promise<void> {
    const { server } = this;
    if (!server || server.exitCode !== null || server.signalCode !== null) return;
    const ended = new Promise((resolve) => server.once('exit', resolve));
    server.kill(signal);
    await ended;
  }

  async end(): Promise<void> {
    await this.goes();
    rmSync(this.folder, { recursive: true, force: true });
  }
}
