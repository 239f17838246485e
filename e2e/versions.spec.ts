import { expect, test } from './kitchen';
import { expectAccessible } from './axe';
import { Compose } from './bench';

test.use({ kitchenFor: 'versions' });

test(
  'freezes, tells what changed, brings an old one back as a branch',
  { tag: '@often' },
  async ({ page }) => {
    const compose = new Compose(page);
    const version = page.getByTestId('version');
    await compose.fresh('30 ml cider vinegar', '90 ml rapeseed oil');
    await expect(version).toHaveText('no version yet');
    await compose.saved();
    await page.getByRole('button', { name: 'Save as version 1' }).click();
    await expect(version).toHaveText('v1');
    await compose.amount('Cider vinegar 5 %').fill('35 ml');
    await compose.amount('Cider vinegar 5 %').press('Enter');
    await expect(version).toHaveText('v1 + changes');
    await compose.add('1 tsp honey');
    await compose.saved();
    await page.getByRole('link', { name: 'Versions' }).click();
    await expect(page.getByTestId('changes')).toContainText('Cider vinegar 5 %: 30 ml → 35 ml.');
    await expect(page.getByTestId('changes')).toContainText('Honey came in: 1 tsp.');
    await expectAccessible(page);
    await page.getByRole('link', { name: 'Compose' }).click();
    await page.getByRole('button', { name: 'Save as version 2' }).click();
    await expect(version).toHaveText('v2');
    await page.getByRole('link', { name: 'Versions' }).click();
    await page.getByTestId('version-1').getByRole('button', { name: 'Bring back' }).click();
    await page.getByRole('link', { name: 'Compose' }).click();
    await expect(version).toHaveText('v1');
    await expect(compose.amount('Cider vinegar 5 %')).toHaveValue('30 ml');
    await compose.amount('Cider vinegar 5 %').fill('20 ml');
    await compose.amount('Cider vinegar 5 %').press('Enter');
    await compose.saved();
    await page.getByRole('button', { name: 'Save as version 3' }).click();
    await expect(version).toHaveText('v3');
    await page.getByRole('link', { name: 'Versions' }).click();
    await expect(page.getByTestId('version-3')).toContainText('branched from v1');
  },
);

test('shows the demo’s lineage', async ({ page }) => {
  await page.goto('/formulas/walnut-cider/versions?from=1&to=2');
  await expect(page.getByTestId('changes')).toContainText('Walnut oil: 45 ml → 60 ml.');
  await expect(page.getByTestId('version-4')).toContainText('branched from v2');
  await expectAccessible(page);
});
