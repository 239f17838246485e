import { expect, test } from '@playwright/test';
import { expectAccessible } from './axe';

test('shows the demo kitchen as jars and opens one', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByText('Tarn House')).toBeVisible();
  await expect(page.getByRole('link', { name: /^Date tahini/ })).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('link', { name: /^Plum & thyme/ }).click();
  await expect(page).toHaveURL(/formulas\/plum-thyme\/compose/);
  await expect(page.getByTestId('ratio')).toHaveText('3.3 : 1');
});

test('an unknown formula and an unknown page say so and lead back', async ({ page }) => {
  await page.goto('/formulas/nobody/compose');
  await expect(page.getByRole('alert')).toContainText('not on the shelf');
  await page.getByRole('link', { name: 'Back to the shelf' }).click();
  await expect(page).toHaveURL(/\/$/);
  await page.goto('/nowhere/at/all');
  await expect(page.getByRole('heading', { name: 'There is nothing at this address' })).toBeVisible();
});

test('settings are kept, and a wrong value is said before it is sent', async ({ page }) => {
  await page.goto('/settings');
  const serving = page.getByLabel('Serving, ml');
  await serving.fill('-3');
  await expect(page.getByText('at least 1 ml')).toBeVisible();
  await serving.fill('30');
  await expectAccessible(page);
});
