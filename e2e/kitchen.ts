/**
 * Each file of browser tests has a demo kitchen of its own, copied from one that was filled once before the
 * run: what one file leaves behind is not what another finds.
 */
import { cpSync, mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { test as base } from '@playwright/test';
import { preparedDemo } from './prepareDemo';
import { startDemo } from './demoServer';
import { isChosen, isWhole } from './sample';

export const test = base.extend<{ sampled: void }, { kitchenFor: string; kitchenAddress: string }>({
  sampled: [
    // Playwright reads from the first parameter what a fixture needs.

    async ({}, use, { tags, titlePath }) => {
      const runs =
        isWhole() || tags.includes('@always') || isChosen(titlePath.join(' '), tags.includes('@often'));
      base.skip(!runs, 'Not of this sample.');
      await use();
    },
    { auto: true },
  ],
  // Another name is another worker, and so another kitchen.
  kitchenFor: ['', { option: true, scope: 'worker' }],
  kitchenAddress: [
    async ({ kitchenFor }, use) => {
      const data = mkdtempSync(join(tmpdir(), `ygrana-browser-${kitchenFor}-`));
      cpSync(preparedDemo(), data, { recursive: true });
      const server = await startDemo({}, data);
      await use(server.address);
      await server.stop();
    },
    { scope: 'worker', timeout: 60_000 },
  ],
  baseURL: async ({ kitchenAddress }, use) => {
    await use(kitchenAddress);
  },
});
export { expect, type Page } from '@playwright/test';
