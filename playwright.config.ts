import { existsSync } from 'node:fs';
import { defineConfig } from '@playwright/test';
import { isWhole, settleSeed } from './e2e/sample';
import { useQuickTemp } from './scripts/quickTemp.mjs';

useQuickTemp();

// The same engine without a window draws a page in two thirds of the time.
const SHELL = '/usr/bin/chromium-headless-shell';
const executablePath = existsSync(SHELL) ? SHELL : '/usr/bin/chromium';

if (!isWhole()) console.log(`A sample of the browser tests: YGRANA_SEED=${settleSeed()}`);

export default defineConfig({
  testDir: 'e2e',
  outputDir: '.cache/browser',
  globalSetup: './e2e/globalSetup.config.ts',
  timeout: 60_000,
  expect: { timeout: 10_000 },
  workers: 2,
  // A page that stalls once on a busy machine is reported as flaky; what fails twice is a fault.
  retries: isWhole() ? 0 : 1,
  use: {
    // A control that never comes is said where it is missed, not at the end of the test.
    actionTimeout: 30_000,
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    // What a service worker answers no route of a test can hold up; where it is meant it is allowed.
    serviceWorkers: 'block',
    launchOptions: {
      executablePath,
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
});
