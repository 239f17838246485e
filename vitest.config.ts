import { defineConfig } from 'vitest/config';
import { useQuickTemp } from './scripts/quickTemp.mjs';

useQuickTemp();

const common = {
  // The embedded database takes seconds to be born.
  testTimeout: 60_000,
  hookTimeout: 60_000,
};
/** What differs between the embedded database and a server: locks, hand-written SQL, news; and one pass over all. */
const ON_SERVER = ['app', 'db/migrations', 'pictures', 'sites', 'stops'];
const ON_SERVER_ONLY = ['src/server/sites.test.ts', 'src/server/stops.test.ts'];
/** `npm run torture` takes the whole API suite to the server. */
const WHOLE_ON_SERVER = [
  ...ON_SERVER,
  'backup',
  'start',
  'safety',
  'batches',
  'documents',
  'made',
  'records',
  'makings',
  'trials',
];
/** Rooms without a database, a process or a page. */
const PURE = ['core', 'contract', 'kitchen', 'words'].map((room) => `src/${room}/**/*.test.ts`);
const onServer = (process.env.YGRANA_TORTURE ? WHOLE_ON_SERVER : ON_SERVER).map(
  (name) => `src/server/${name}.test.ts`,
);

export default defineConfig({
  test: {
    maxWorkers: 2,
    coverage: {
      provider: 'v8',
      // Words are seen whole by the browser, in the marked language.
      include: ['core', 'contract', 'kitchen', 'server'].map((room) => `src/${room}/**/*.ts`),
      exclude: [
        '**/*.test.ts',
        '**/testing/**',
        '**/testing.ts',
        '**/.types/**',
        '**/*.json',
        'src/server/main.ts',
      ],
      reporter: ['text-summary', 'json-summary'],
      reportsDirectory: '.cache/coverage',
    },
    projects: [
      {
        extends: true,
        test: {
          ...common,
          name: 'pure',
          include: PURE,
          // Functions of what they are given: one loading of the core serves them all.
          isolate: false,
        },
      },
      {
        extends: true,
        test: {
          ...common,
          name: 'embedded',
          include: ['src/**/*.test.ts', 'test/**/*.test.ts'],
          exclude: [...ON_SERVER_ONLY, ...PURE],
          // Every kitchen of a test has a folder of its own; the program itself may be loaded once.
          isolate: false,
          globalSetup: 'src/server/testing/template.ts',
        },
      },
      {
        extends: true,
        test: { ...common, name: 'component', environment: 'jsdom', include: ['src/web/**/*.test.tsx'] },
      },
      {
        extends: true,
        test: {
          ...common,
          name: 'postgresql',
          include: onServer,
          globalSetup: ['src/server/testing/postgres.ts', 'src/server/testing/template.ts'],
          setupFiles: 'src/server/testing/onServer.ts',
        },
      },
    ],
  },
});
