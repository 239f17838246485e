import { defineConfig } from 'vitest/config';

const common = {
  // The embedded database takes seconds to be born.
  testTimeout: 60_000,
  hookTimeout: 60_000,
};
/** Everything that goes through HTTP or the tables runs on the embedded database and on a server. */
const ON_BOTH = [
  'app',
  'backup',
  'batches',
  'documents',
  'made',
  'records',
  'makings',
  'start',
  'trials',
  'db/migrations',
].map((name) => `src/server/${name}.test.ts`);
const ON_SERVER_ONLY = ['src/server/sites.test.ts'];
/** Minutes long: left out with `--project '!kills'`. */
const KILLS = ['src/server/killed1.test.ts', 'src/server/killed2.test.ts'];

export default defineConfig({
  test: {
    maxWorkers: 2,
    projects: [
      {
        extends: true,
        test: {
          ...common,
          name: 'embedded',
          include: ['src/**/*.test.ts'],
          exclude: [...ON_SERVER_ONLY, ...KILLS],
        },
      },
      { extends: true, test: { ...common, name: 'kills', include: KILLS } },
      {
        extends: true,
        test: {
          ...common,
          name: 'postgresql',
          include: [...ON_BOTH, ...ON_SERVER_ONLY],
          globalSetup: 'src/server/testing/postgres.ts',
          setupFiles: 'src/server/testing/onServer.ts',
        },
      },
    ],
  },
});
