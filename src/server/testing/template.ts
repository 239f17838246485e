/** What all test files of a run share: a migrated database folder, which new kitchens copy, and the worker of backups. */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { build } from 'esbuild';
import type { TestProject } from 'vitest/node';
import { openDatabase } from '../db/client';

declare module 'vitest' {
  interface ProvidedContext {
    /** Folder of a database that is migrated and empty. */
    databaseTemplate: string;
    /** The process that does the work of backups, built. */
    backupWorker: string;
  }
}

const ROOT = join(import.meta.dirname, '../../..');
/** Inside the project, so that packages are found. */
async function backupWorker(): Promise<string> {
  const outfile = join(ROOT, '.cache', 'backupWorker.mjs');
  await build({
    entryPoints: [join(ROOT, 'src/server/backup/worker.ts')],
    outfile,
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    packages: 'external',
    logLevel: 'error',
  });
  return outfile;
}

export async function setup(project: TestProject): Promise<() => void> {
  const folder = mkdtempSync(join(tmpdir(), 'ygrana-template-'));
  const template = join(folder, 'db');
  const database = await openDatabase({ folder: template }, join(import.meta.dirname, '../db/migrations'));
  await database.close();
  project.provide('databaseTemplate', template);
  project.provide('backupWorker', await backupWorker());
  return () => {
    rmSync(folder, { recursive: true, force: true });
  };
}
