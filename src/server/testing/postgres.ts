/** Debian's PostgreSQL for the tests that run on a server: a cluster in a temporary folder, on a port of its own. */
import { execFileSync, spawn, spawnSync, type SpawnSyncReturns } from 'node:child_process';
import { chownSync, existsSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import pg from 'pg';
import type { TestProject } from 'vitest/node';

declare module 'vitest' {
  interface ProvidedContext {
    /** Address of the server without a database's name. */
    postgresServer: string;
  }
}

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

export async function setup(project: TestProject): Promise<() => Promise<void>> {
  const bin = programs();
  const as = user();
  const folder = mkdtempSync(join(tmpdir(), 'ygrana-postgres-'));
  if (as.uid !== undefined) chownSync(folder, as.uid, as.gid!);
  const data = join(folder, 'data');
  check(
    spawnSync(
      join(bin, 'initdb'),
      ['-D', data, '-U', 'ygrana', '--auth=trust', '-E', 'UTF8', '--locale=C.UTF-8', '--no-sync'],
      { ...as, cwd: folder, encoding: 'utf8' },
    ),
  );
  const port = await freePort();
  const settings = [`port=${port}`, 'listen_addresses=127.0.0.1', 'unix_socket_directories=', 'fsync=off'];
  const server = spawn(
    join(bin, 'postgres'),
    ['-D', data, ...settings.flatMap((setting) => ['-c', setting])],
    { ...as, cwd: folder, stdio: 'ignore' },
  );
  const address = `postgres://ygrana@127.0.0.1:${port}`;
  await answers(address);
  project.provide('postgresServer', address);
  return async () => {
    const ended = new Promise((resolve) => server.once('exit', resolve));
    // Fast: connections still open are cut.
    server.kill('SIGINT');
    await ended;
    rmSync(folder, { recursive: true, force: true });
  };
}
