/** A PostgreSQL server for all test files of a run. */
import type { TestProject } from 'vitest/node';
import { Cluster } from './cluster';

declare module 'vitest' {
  interface ProvidedContext {
    /** Address of the server without a database's name. */
    postgresServer: string;
  }
}

export async function setup(project: TestProject): Promise<() => Promise<void>> {
  const cluster = await Cluster.begin();
  project.provide('postgresServer', cluster.address);
  return () => cluster.end();
}
