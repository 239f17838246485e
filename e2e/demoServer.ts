import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

export interface DemoServer {
  readonly address: string;
  readonly data: string;
  readonly stop: () => Promise<void>;
  /** As a power cut does: no word of warning. */
  readonly kill: () => Promise<void>;
}

/** A demo kitchen of its own on a free port, from the build; in a folder that a killed one left, if given. */
export function startDemo(
  env: Record<string, string> = {},
  data = mkdtempSync(join(tmpdir(), 'ygrana-demo-')),
): Promise<DemoServer> {
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
        data,
        kill: () =>
          new Promise((done) => {
            child.removeAllListeners('exit').once('exit', () => {
              done();
            });
            child.kill('SIGKILL');
          }),
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
