/** One migrated database folder for all test files of a run: a new kitchen copies it instead of being born. */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { TestProject } from 'vitest/node';
import { openDatabase } from '../db/client';

declare module 'vitest' {
  interface ProvidedContext {
    /** Folder of a database that is migrated and empty. */
    databaseTemplate: string;
  }
}

export async function setup(project: TestProject): Promise<() => void> {
  const folder = mkdtempSync(join(tmpdir(), 'ygrana-template-'));
  const template = join(folder, 'db');
  const database = await openDatabase({ folder: template }, join(import.meta.dirname, '../db/migrations'));
  await database.close();
  project.provide('databaseTemplate', template);
  return () => {
    rmSync(folder, { recursive: true, force: true });
  };
}
