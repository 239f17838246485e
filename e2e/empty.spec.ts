/** The first minute: a kitchen in which there is nothing yet. */
import { test as base } from '@playwright/test';
import { expect } from './kitchen';
import { expectAccessible } from './axe';
import { startEmpty, type DemoServer } from './demoServer';

let server: DemoServer;
const test = base;
test.beforeAll(async () => {
  server = await startEmpty();
});
test.afterAll(() => server.stop());

test('where nothing is yet stands the one thing to do', async ({ page }) => {
  for (const path of ['/batches', '/log', '/plan', '/plan/week', '/side-by-side']) {
    await page.goto(`${server.address}${path}`);
    const next = page.getByTestId('next-step').first();
    await expect(next, path).toBeVisible();
    await expect(next.getByRole('link').or(next.getByRole('button')), path).toHaveCount(1);
    await expectAccessible(page);
  }
  await page.goto(`${server.address}/plan`);
  await page.getByTestId('next-step').getByRole('button').click();
  await expect(page.getByRole('textbox', { name: 'Service' })).toBeFocused();
});

test('a first jar is filled in four steps, opened and judged; the kitchen is asked in passing', async ({
  page,
}) => {
  await page.goto(server.address);
  const jar = page.getByTestId('first-jar');
  await expect(jar).toBeVisible();
  await expectAccessible(page);
  await jar.getByLabel('Kitchen', { exact: true }).fill('Upper Tarn');
  await jar.getByLabel('Kitchen', { exact: true }).press('Tab');
  await expect(page.getByRole('banner')).toContainText('Upper Tarn');
  await jar.getByRole('combobox', { name: /^Spoons/ }).click();
  await page.getByRole('option', { name: /^Metric/ }).click();
  await jar.getByRole('button', { name: '30 ml cider vinegar' }).click();
  await expect(jar).toContainText('Step 2 of 4');
  // What cannot be read is said and kept; the step before can be taken back.
  await jar.getByLabel('Or as you would say it').fill('two wisps of moonbeam');
  await jar.getByRole('button', { name: 'Put it in' }).click();
  await expect(jar.getByRole('status')).toContainText('could not be read');
  await jar.getByRole('button', { name: 'Take the last out' }).click();
  await expect(jar).toContainText('Step 2 of 4');
  await jar.getByRole('button', { name: '1 tsp Dijon mustard' }).click();
  await jar.getByRole('button', { name: '¼ tsp salt' }).click();
  await jar.getByRole('button', { name: '90 ml olive oil' }).click();
  await jar.getByRole('button', { name: 'Open it' }).click();
  await expect(page).toHaveURL(/compose/);
  await expect(page.getByTestId('addition')).toHaveCount(4);
  await expect(page.getByTestId('first')).not.toBeEmpty();
  const settings = (await (await page.request.get(`${server.address}/api/settings`)).json()) as {
    kitchenName: string;
    spoons: string;
  };
  expect(settings).toMatchObject({ kitchenName: 'Upper Tarn', spoons: 'metric' });
  // Asked once.
  await page.goto(server.address);
  await expect(page.getByRole('link', { name: /^First jar/ })).toBeVisible();
  await expect(page.getByTestId('first-jar')).toHaveCount(0);
  const id = new URL(
    (await page.getByRole('link', { name: /^First jar/ }).getAttribute('href'))!,
    server.address,
  ).pathname.split('/')[2]!;
  for (const stage of ['versions', 'log']) {
    await page.goto(`${server.address}/formulas/${id}/${stage}`);
    await expect(page.getByTestId('next-step').or(page.getByText('Make the first jar'))).toBeVisible();
  }
});

test('where nothing can be fetched, no page claims that there is nothing', async ({ page }) => {
  await page.route('**/api/**', (route) => route.fulfill({ status: 500, json: {} }));
  for (const path of [
    '/',
    '/log',
    '/plan',
    '/plan/week',
    '/batches',
    '/measures',
    '/side-by-side',
    '/settings',
  ]) {
    await page.goto(`${server.address}${path}`);
    await expect(page.getByRole('button', { name: 'Try again' }).first(), path).toBeVisible();
    await expect(page.locator('main'), path).not.toContainText(
      /nothing (keeps|was|is|yet)|none (yet|weighed)|empty/i,
    );
  }
});
