import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

export interface DemoServer {
  readonly address: string;
  readonly data: string;
  /** Ends it and keeps its folder. */
  readonly end: () => Promise<void>;
  /** Ends it and drops its folder. */
  readonly stop: () => Promise<void>;
  /** As a power cut does: no word of warning. */
  readonly kill: () => Promise<void>;
}

/** A kitchen with nothing in it yet, on a free port, from the build. */
export const startEmpty = (): Promise<DemoServer> =>
  startDemo({}, mkdtempSync(join(tmpdir(), 'ygrana-empty-')), 'dist/main.js', []);

/** A demo kitchen of its own on a free port, from the build; in a folder that a killed one left, if given. */
export function startDemo(
  env: Record<string, string> = {},
  data = mkdtempSync(join(tmpdir(), 'ygrana-demo-')),
  program = 'dist/main.js',
  how: readonly string[] = ['--demo'],
): Promise<DemoServer> {
  const child = spawn(process.execPath, [program, ...how, '--data', data], {
    env: { ...process.env, PORT: '0', ...env },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  return new Promise((resolve, reject) => {
    child.once('exit', () => {
      reject(new Error('The server ended before it was open.'));
    });
    child.stdout.on('data', (chunk: Buffer) => {
      const address = /(http:\S+)/.exec(chunk.toString())?.[1];
      if (!address) return;
      const endBy = (signal: NodeJS.Signals) => (): Promise<void> =>
        new Promise((done) => {
          child.removeAllListeners('exit').once('exit', () => {
            done();
          });
          child.kill(signal);
        });
      resolve({
        address,
        data,
        kill: endBy('SIGKILL'),
        end: endBy('SIGTERM'),
        stop: async () => {
          await endBy('SIGTERM')();
          rmSync(data, { recursive: true, force: true });
        },
      });
    });
  });
}
