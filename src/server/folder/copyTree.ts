/**
 * Copies a folder that is being written to, holding up its writer only for what changed meanwhile: first everything
 * at leisure, then, with the writer stopped, again what was written since the first copy began.
 */
import { copyFileSync, mkdirSync, readdirSync, rmSync, statSync } from 'node:fs';
import { copyFile, mkdir, readdir } from 'node:fs/promises';
import { join } from 'node:path';

/** Coarser than any file system's clock. */
const GRAIN_MS = 2500;

/** @param stopped calls what it is given while nobody writes */
export async function copyTree(
  from: string,
  to: string,
  stopped: (finish: () => void) => Promise<void>,
): Promise<void> {
  const began = Date.now();
  await copyAtLeisure(from, to);
  await stopped(() => {
    copyChanged(from, to, began - GRAIN_MS);
  });
}

async function copyAtLeisure(from: string, to: string): Promise<void> {
  await mkdir(to, { recursive: true, mode: 0o700 });
  for (const entry of await readdir(from, { withFileTypes: true }).catch(gone([]))) {
    const [source, target] = [join(from, entry.name), join(to, entry.name)];
    if (entry.isDirectory()) await copyAtLeisure(source, target);
    else await copyFile(source, target).catch(gone(undefined));
  }
}

/** What is no longer there is seen the second time. */
const gone =
  <T>(instead: T) =>
  (error: NodeJS.ErrnoException): T => {
    if (error.code === 'ENOENT') return instead;
    throw error;
  };

function copyChanged(from: string, to: string, sinceMs: number): void {
  mkdirSync(to, { recursive: true, mode: 0o700 });
  const there = new Map(readdirSync(to, { withFileTypes: true }).map((entry) => [entry.name, entry]));
  for (const entry of readdirSync(from, { withFileTypes: true })) {
    const [source, target] = [join(from, entry.name), join(to, entry.name)];
    if (entry.isDirectory()) copyChanged(source, target, sinceMs);
    else {
      const { mtimeMs, size } = statSync(source);
      if (mtimeMs >= sinceMs || !there.has(entry.name) || statSync(target).size !== size)
        copyFileSync(source, target);
    }
    there.delete(entry.name);
  }
  for (const name of there.keys()) rmSync(join(to, name), { recursive: true, force: true });
}
