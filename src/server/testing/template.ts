/** What all test files of a run share: a migrated database folder, which new kitchens copy, and the worker of backups. */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { TestProject } from 'vitest/node';
import { openDatabase } from '../db/client';
import { bundle } from './bundle';

declare module 'vitest' {
  interface ProvidedContext {
    /** Folder of a database that is migrated and empty. */
    databaseTemplate: string;
    /** The process that does the work of backups, built. */
    backupWorker: string;
  }
}

export async function setup(project: TestProject): Promise<() => void> {
  const folder = mkdtempSync(join(tmpdir(), 'ygrana-template-'));
  const template = join(folder, 'db');
  const database = await openDatabase({ folder: template }, join(import.meta.dirname, '../db/migrations'));
  await database.close();
  project.provide('databaseTemplate', template);
  project.provide('backupWorker', await bundle('src/server/backup/worker.ts', 'backupWorker'));
  return () => {
    rmSync(folder, { recursive: true, force: true });
  };
}
