import { expect, test } from './kitchen';
import { expectAccessible } from './axe';

test.use({ kitchenFor: 'serve' });

test(
  'how much dressing a dish takes, when, and what thins it; the kitchen’s own figure draws it',
  { tag: '@often' },
  async ({ page }) => {
    await page.goto('/formulas/walnut-cider/serve');
    await expect(page.getByTestId('need')).toHaveText('48 ml');
    await page.getByLabel('One serving, g').fill('a handful');
    await expect(page.getByText('A weight above nothing.')).toBeVisible();
    await page.getByLabel('One serving, g').fill('50');
    await page.getByLabel('Servings').fill('40');
    await expect(page.getByTestId('need')).toHaveText('400 ml');
    await page.getByText('well', { exact: true }).click();
    await expect(page.getByTestId('need')).toHaveText('600 ml');
    await page.getByRole('combobox', { name: 'Kind of dish' }).click();
    await page.getByRole('option', { name: 'Slaw, shredded cabbage' }).click();
    await expect(page.getByTestId('when-says')).toContainText('at the end');
    await page.getByRole('combobox', { name: 'What brings water' }).click();
    await page.getByRole('option', { name: 'Cucumber' }).click();
    await page.getByLabel('Cucumber, g').fill('9000');
    await expect(page.getByTestId('thinned')).toContainText('Seed it');
    await expect(page.getByTestId('line-hold')).toContainText('In service');
    await expectAccessible(page);
    // It is in the address.
    await page.reload();
    await expect(page.getByLabel('Cucumber, g')).toHaveValue('9000');
    const before = (await page.getByTestId('need').textContent())!;
    await page.getByLabel('It really took, ml').fill('0');
    await expect(page.getByText('A volume above nothing.')).toBeVisible();
    await page.getByLabel('It really took, ml').fill('9600');
    await page.getByRole('button', { name: 'Remember it' }).click();
    await expect(page.getByText('drawn towards 1 of this kitchen’s own')).toBeVisible();
    await expect(page.getByTestId('need')).not.toHaveText(before);
    await page.getByRole('button', { name: /leaves the cold now/ }).click();
    await expect(page.getByTestId('timer').filter({ hasText: 'throw away' })).toBeVisible();
    await page.getByTestId('timer').filter({ hasText: 'throw away' }).getByRole('button').click();
    await page.getByRole('link', { name: /^Plan a batch of/ }).click();
    await expect(page.getByTestId('plan-says')).toBeVisible();
  },
);
