import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

export interface DemoServer {
  readonly address: string;
  readonly stop: () => Promise<void>;
}

/** A demo kitchen of its own on a free port, from the build. */
export function startDemo(env: Record<string, string> = {}): Promise<DemoServer> {
  const data = mkdtempSync(join(tmpdir(), 'ygrana-demo-'));
  const child = spawn(process.execPath, ['dist/main.js', '--demo', '--data', data], {
    env: { ...process.env, PORT: '0', ...env },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  return new Promise((resolve, reject) => {
    child.once('exit', () => {
      reject(new Error('The server ended before it was open.'));
    });
    child.stdout.on('data', (chunk: Buffer) => {
      const address = /open at (\S+)/.exec(chunk.toString())?.[1];
      if (!address) return;
      resolve({
        address,
        stop: () =>
          new Promise((done) => {
            child.removeAllListeners('exit').once('exit', () => {
              rmSync(data, { recursive: true, force: true });
              done();
            });
            child.kill('SIGTERM');
          }),
      });
    });
  });
}
