/** A tablet on the kitchen's network, over plain HTTP: no service worker, no locks, and nothing lost all the same. */
import { chromium, expect, test } from '@playwright/test';
import { existsSync } from 'node:fs';
import { Compose } from './bench';
import { startDemo } from './demoServer';

const SHELL = '/usr/bin/chromium-headless-shell';
const NAME = 'tarn-house.test';

test('over plain HTTP what is typed is kept, merged and sent, timers run, and Settings says what is missing', async () => {
  test.setTimeout(120_000);
  const passcode = 'tarn at dusk';
  const server = await startDemo({ YGRANA_PASSCODE: passcode, ALLOWED_HOSTS: `${NAME}:4971`, PORT: '4971' });
  const browser = await chromium.launch({
    executablePath: existsSync(SHELL) ? SHELL : '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu', `--host-resolver-rules=MAP ${NAME} 127.0.0.1`],
  });
  try {
    const context = await browser.newContext({ baseURL: `http://${NAME}:4971`, locale: 'en-GB' });
    const page = await context.newPage();
    await page.goto('/settings');
    await page.getByLabel('Passcode').fill(passcode);
    await page.getByRole('button', { name: 'Come in' }).click();
    expect(await page.evaluate(() => window.isSecureContext)).toBe(false);
    await expect(page.getByTestId('offline')).toContainText('give the server a certificate');

    const compose = new Compose(page);
    await compose.open('plum-thyme');
    const other = await context.newPage();
    await other.goto('/formulas/plum-thyme/compose');
    const second = new Compose(other);
    await expect(second.amount('Plum purée')).toHaveValue('70 g');
    await context.setOffline(true);
    await compose.amount('Plum purée').fill('84 g');
    await compose.amount('Plum purée').press('Enter');
    await expect(page.getByTestId('sync')).toContainText('Server away');
    await other.getByLabel('Name of the formula').fill('Plum of the lake');
    await other.getByLabel('Name of the formula').press('Enter');
    await context.setOffline(false);
    for (const one of [page, other]) {
      const now = one.getByRole('button', { name: 'Try now' });
      // It may go by itself between a look and a press.
      if (await now.isVisible()) await now.click({ timeout: 2000 }).catch(() => undefined);
      await expect(one.getByTestId('sync')).toHaveAttribute('data-unsent', '0', { timeout: 30_000 });
    }
    await page.reload();
    await expect(compose.amount('Plum purée')).toHaveValue('84 g');
    await expect(page.getByLabel('Name of the formula')).toHaveValue('Plum of the lake');

    // What was never sent is asked about before this device forgets it.
    await context.setOffline(true);
    await compose.amount('Plum purée').fill('90 g');
    await compose.amount('Plum purée').press('Enter');
    await expect(page.getByTestId('sync')).toContainText('Server away');
    await page.getByRole('link', { name: 'Settings' }).click();
    await page.getByRole('button', { name: 'Sign out on this device' }).click();
    await expect(page.getByRole('alert')).toContainText('not sent yet');
    await page.getByRole('button', { name: 'Stay' }).click();
    await context.setOffline(false);
    await expect(page.getByTestId('sync')).toHaveAttribute('data-unsent', '0', { timeout: 30_000 });
    await page.getByRole('button', { name: 'Sign out on this device' }).click();
    await expect(page.getByLabel('Passcode')).toBeVisible();
    const kept = () =>
      page.evaluate(
        () =>
          new Promise<number>((resolve) => {
            const opening = indexedDB.open('ygrana');
            opening.onsuccess = () => {
              const all = opening.result.transaction('work').objectStore('work').count();
              all.onsuccess = () => {
                resolve(all.result);
              };
            };
          }),
      );
    // The page is left as soon as it is cleared.
    await expect(async () => {
      expect(await kept()).toBe(0);
    }).toPass({ timeout: 20_000 });
  } finally {
    await browser.close();
    await server.stop();
  }
});
