/** A cook who does not read the office's language makes a jar, tastes it, and prints its label. */
import { readFile } from 'node:fs/promises';
import { extractText, getDocumentProxy } from 'unpdf';
import { expect, test, type Page } from './kitchen';
import { expectAccessible } from './axe';

test.use({ kitchenFor: 'german' });

/** Words that no German sentence has. What was typed by the office keeps its language. */
const ENGLISH =
  /\b(?:the|and|with|from|keep|take|step|into|until|weigh|taste|made|days|version of|not|what)\b/i;
const TYPED = /Caraway & beet|toasted and cracked|grated|finely/g;

async function expectGerman(page: Page, where: string): Promise<void> {
  const text = (await page.locator('#main').innerText()).replace(TYPED, '');
  expect(ENGLISH.exec(text)?.[0] ?? null, `${where}: ${text}`).toBeNull();
}

test('a making from start to label, in German', async ({ page }) => {
  test.setTimeout(120_000);
  await page.goto('/settings');
  await page.getByRole('combobox', { name: 'Language at the station' }).click();
  await page.getByRole('option', { name: 'Deutsch' }).click();
  await expect(page.locator('html')).toHaveAttribute('lang', 'de');
  // What is not German says so.
  await expect(page.getByTestId('not-in-german')).toContainText('auf Englisch');
  await page.goto('/formulas/caraway-beet/make');
  await expect(page.getByRole('heading', { name: 'Vor dem ersten Gramm' })).toBeVisible();
  await expectGerman(page, 'before the first gram');
  await expectAccessible(page);
  await page.getByRole('button', { name: /^Als Version 1 sichern/ }).click();
  const step = page.getByTestId('step-name');
  await expect(step).toContainText('Weißweinessig');
  await expectGerman(page, 'the first step');
  const all = page.getByRole('region', { name: 'Alles im Glas' });
  for (let i = 0; i < 20 && !(await all.isVisible()); i++) {
    const words = (await step.textContent()) ?? '';
    const grams = /([\d.,]+) g$/.exec(words)?.[1];
    if (grams) {
      const weight = page.getByLabel(/^Gewicht/);
      await expect(async () => {
        if (!(await weight.isVisible())) await page.getByRole('button', { name: 'Von Hand' }).click();
        await weight.fill(grams, { timeout: 2000 });
      }).toPass();
      await page.getByRole('button', { name: 'Eingetipptes nehmen' }).click();
    } else {
      await expectGerman(page, words);
      await page.keyboard.press('PageDown');
    }
    await expect(step.filter({ hasText: words })).toBeHidden();
    await expect(step.or(all)).toBeVisible();
  }
  await expectGerman(page, 'all in the jar');
  await page.getByRole('button', { name: 'Abschmecken' }).click();
  await expect(page.getByRole('button', { name: 'Eintragen, was es sagt' })).toBeVisible();
  await page.getByRole('radio', { name: 'zu sauer, deutlich' }).check({ force: true });
  const mends = page.getByTestId('mends').getByRole('listitem');
  await expect(mends.first()).toBeVisible();
  await expectGerman(page, 'Taste');
  await expectAccessible(page);
  await mends.first().getByRole('button', { name: 'Ist drin' }).click();
  await page.getByRole('button', { name: 'Richtig', exact: true }).click();
  await expect(page.getByText('Richtig, aber nicht so, wie v1 es hat.')).toBeVisible();
  // A label as it sticks on the jar.
  const response = await page.request.get('/api/print/labels?formulas=caraway-beet&size=a4-8&tongue=de');
  const pdf = await getDocumentProxy(new Uint8Array(await response.body()));
  const { text } = await extractText(pdf, { mergePages: true });
  expect(text).toMatch(/Hergestellt/);
  expect(text).toMatch(/Zu verbrauchen bis .*bei\s+5\s+°C\s+oder\s+kälter/s);
  // And back to English.
  await page.goto('/settings');
  await page.getByRole('combobox', { name: 'Language at the station' }).click();
  await page.getByRole('option', { name: 'English' }).click();
  await expect(page.locator('html')).toHaveAttribute('lang', 'en');
});

test('a timer and the label of a batch are German where the device is', async ({ page }) => {
  await page.addInitScript(() => {
    localStorage.setItem('ygrana-here', JSON.stringify({ tongue: 'de', dates: 'de-DE' }));
  });
  await page.goto('/formulas/walnut-cider/taste');
  await page.evaluate(async () => {
    const timer = { id: 'zieh', label: 'Schalotte', seconds: 1, formulaId: null, trialId: null };
    const headers = { 'content-type': 'application/json' };
    await fetch('/api/timers', { method: 'POST', headers, body: JSON.stringify(timer) });
  });
  await expect(page).toHaveTitle(/^Zeit: Schalotte · /);
  await page.getByRole('button', { name: 'Getan Schalotte' }).click();
  await page.goto('/formulas/walnut-cider/batch/demo-batch-1');
  const downloading = page.waitForEvent('download');
  await page.getByRole('button', { name: /Etikett.* drucken$/ }).click();
  const pdf = await getDocumentProxy(new Uint8Array(await readFile(await (await downloading).path())));
  const { text } = await extractText(pdf, { mergePages: true });
  expect(text).toMatch(/Charge .*Hergestellt/s);
  expect(text).toMatch(/Enthält: .*Senf/);
});
