import { expectAccessible } from './axe';
import { expect, test } from './kitchen';

test.use({ kitchenFor: 'season' });

test('what must go becomes a batch: what it saves, what is lost, and a draft to freeze @often', async ({
  page,
}) => {
  await page.goto('/season?of=walnut-cider&l=abc');
  // A volume that is none is said, and nothing is reckoned with it.
  await expect(page.getByText('A volume from 0.1 to 200 litres.').first()).toBeVisible();
  await page.getByLabel('To make, l').fill('3');
  const ways = page
    .getByTestId('season-ways')
    .getByRole('listitem')
    .filter({ has: page.getByRole('button') });
  await expect(ways.first()).toContainText(/Saves € \d/);
  // A walnut dressing keeps its walnut, and the page says so.
  await expect(page.getByText(/It is called after its .*walnut oil/)).toBeVisible();
  await expect(ways.first()).not.toContainText('for walnut oil');
  await expectAccessible(page);
  // Something else that must go: it is used up, and counts as paid.
  await page.getByRole('combobox', { name: 'Something else that must go' }).click();
  await page.getByRole('option', { name: /^Lemon juice/ }).click();
  await page.getByRole('button', { name: 'Add' }).click();
  await expect(page.getByTestId('must-go').getByRole('checkbox', { name: /^Lemon juice/ })).toBeChecked();
  await expect(ways.first()).toContainText(/Uses up .*lemon juice/i);
  await expect(ways.first()).toContainText('what must go counts as paid');
  // A reload loses nothing.
  await page.reload();
  await expect(page.getByTestId('must-go').getByRole('checkbox', { name: /^Lemon juice/ })).toBeChecked();
  await ways.first().getByRole('button', { name: 'Use it in a batch' }).click();
  await expect(page).toHaveURL(/\/batch\?.*amount=3/);
  await expect(page.getByRole('region', { name: 'No version yet' })).toBeVisible();
  await page.getByRole('button', { name: 'Save as version 1 and plan it' }).click();
  await expect(page.getByText(/lemon juice/i).first()).toBeVisible();
  // The dressing itself stands as it was.
  const own = await (await page.request.get('/api/formulas/walnut-cider')).text();
  expect(own).not.toContain('lemon');
});

test('the week’s batches, one after the other from one stock', async ({ page }) => {
  await page.goto('/plan/week');
  await page.getByRole('link', { name: 'Season and price' }).click();
  await expect(page.getByRole('heading', { name: 'Season and price' })).toBeVisible();
  await expect(page.getByRole('radio', { name: 'the week’s plan' })).toBeChecked();
  await expect(
    page
      .getByTestId('season-ways')
      .or(page.getByText(/No batches are planned this week|Nothing on hand does it/))
      .first(),
  ).toBeVisible();
  await page.setViewportSize({ width: 390, height: 800 });
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
});
