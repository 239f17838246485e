import { expect, test } from './kitchen';
import { expectAccessible } from './axe';
import { Compose } from './bench';

test.use({ kitchenFor: 'measures' });

test(
  'weighs a pinch three times; a new formula uses it, an old one keeps what it meant',
  { tag: '@often' },
  async ({ page }) => {
    const compose = new Compose(page);
    await compose.fresh('30 ml cider vinegar', '2 pinches fine sea salt', '90 ml rapeseed oil');
    await compose.saved();
    const old = page.url();
    const oldGrams = await compose.row('Fine sea salt').textContent();
    await page.getByRole('link', { name: 'My measures' }).click();
    await expect(page.getByRole('heading', { name: 'My measures' })).toBeVisible();
    await expectAccessible(page);
    const type = page.getByLabel('Or type one, g');
    await type.fill('nothing');
    await expect(page.getByText('A weight above nothing.')).toBeVisible();
    for (const grams of ['0.9', '1,0', '1.1']) {
      await type.fill(grams);
      await page.getByRole('button', { name: 'Add it', exact: true }).click();
    }
    await expect(page.getByTestId('mean')).toContainText('Mean 1.0 g, spread ± 0.10 g');
    await page.getByRole('button', { name: /^Keep a pinch of fine sea salt/ }).click();
    await expect(page.getByTestId('measure')).toContainText('A pinch of fine sea salt');
    // One more from the scale, where there is one.
    await page.getByLabel('Put on, g').fill('1.3');
    const taken = page.getByRole('button', { name: /^Take 1\.\d/ });
    if (await page.getByRole('button', { name: 'Read it here' }).isVisible())
      await page.getByRole('button', { name: 'Read it here' }).click();
    await page.getByRole('button', { name: 'Tare' }).click();
    await page.getByRole('button', { name: 'Put it on' }).click();
    await taken.click();
    await expect(page.getByTestId('weighings')).toContainText('simulated');

    await page.goto(old);
    await expect(compose.row('Fine sea salt')).toHaveText(oldGrams!);
    await compose.fresh('30 ml cider vinegar');
    await compose.addLine.fill('2 pinches fine sea salt');
    await expect(page.getByTestId('foretold')).toContainText('2.0 g of Fine sea salt, as you weigh it');
    await compose.addLine.press('Escape');
    await compose.addLine.press('Enter');
    await expect(compose.row('Fine sea salt')).toContainText('2.0 g');
    await compose.saved();
    // Given up, what was typed with it keeps it.
    await page.getByRole('link', { name: 'My measures' }).click();
    await page.getByRole('button', { name: 'Give it up' }).click();
    await expect(page.getByText('None weighed yet')).toBeVisible();
    await page.goBack();
    await expect(compose.row('Fine sea salt')).toContainText('2.0 g');
  },
);
