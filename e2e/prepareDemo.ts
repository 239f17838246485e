/** Fills a demo kitchen once a run; the folder's name is handed to the workers. */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { startDemo } from './demoServer';

const NAME = 'YGRANA_PREPARED_DEMO';

export function preparedDemo(): string {
  const folder = process.env[NAME];
  if (!folder) throw new Error('The demo was not prepared: run the browser tests through Playwright.');
  return folder;
}

export async function prepareDemo(): Promise<() => void> {
  const folder = mkdtempSync(join(tmpdir(), 'ygrana-prepared-'));
  const server = await startDemo({}, folder);
  await server.end();
  process.env[NAME] = folder;
  return () => {
    rmSync(folder, { recursive: true, force: true });
  };
}
