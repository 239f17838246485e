import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { defineConfig } from '@playwright/test';

const port = 4189;
// The configuration is read again in every worker; only the first reading names the folder.
process.env.YGRANA_TEST_DATA ??= mkdtempSync(join(tmpdir(), 'ygrana-browser-'));

export default defineConfig({
  testDir: 'e2e',
  outputDir: '.cache/browser',
  timeout: 60_000,
  expect: { timeout: 10_000 },
  workers: 1,
  retries: 0,
  use: {
    baseURL: `http://127.0.0.1:${port}`,
    viewport: { width: 1280, height: 800 },
    launchOptions: {
      executablePath: '/usr/bin/chromium',
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
  webServer: {
    command: `node dist/main.js --demo --data ${process.env.YGRANA_TEST_DATA}`,
    url: `http://127.0.0.1:${port}/api/health`,
    env: { PORT: String(port) },
    timeout: 120_000,
    gracefulShutdown: { signal: 'SIGTERM', timeout: 5000 },
  },
});
