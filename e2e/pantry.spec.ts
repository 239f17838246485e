import { expect, test } from './kitchen';
import { expectAccessible } from './axe';
import { Compose } from './bench';

test.use({ kitchenFor: 'pantry' });

test('searches and sorts, and opens an ingredient with its source', { tag: '@often' }, async ({ page }) => {
  await page.goto('/pantry');
  await expectAccessible(page);
  await page.getByRole('searchbox').fill('verju');
  await expect(page.getByTestId('pantry-count')).toHaveText(/^1 of/);
  await page.getByRole('searchbox').fill('');
  await page.getByRole('button', { name: 'Price per kg' }).click();
  await expect(page.getByRole('row').nth(1)).toContainText('Fine table salt');
  await page.goto('/pantry/vin_redwine6');
  await expect(page.getByText('EU 1308/2013')).toBeVisible();
  await expectAccessible(page);
  await page.goto('/pantry/moonlight');
  await expect(page.getByRole('heading', { name: 'This ingredient is not in the pantry' })).toBeVisible();
});

test('the bottle in use, stock and price are kept and reckoned with', async ({ page }) => {
  await page.goto('/pantry/vin_sherry7');
  await page.getByLabel('On hand').fill('a lot');
  await expect(page.getByText(/needs a unit/)).toBeVisible();
  await page.getByLabel('On hand').fill('½ l');
  await page.getByLabel('Acidity on the label, %').fill('70');
  await expect(page.getByText('at most 30 g per 100 ml')).toBeVisible();
  await page.getByLabel('Acidity on the label, %').fill('8');
  await page.getByLabel('Price, €').fill('6');
  await expect(page.getByText('Price and pack go together.')).toBeVisible();
  await page.getByLabel('for a pack of').fill('500 ml');
  await page.getByRole('button', { name: 'Keep' }).click();
  await expect(page.getByText('Kept', { exact: true })).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('On hand')).toHaveValue('506.5 g');
  await expect(page.getByRole('row', { name: /Acetic acid/ })).toContainText('7.9 %');
  const compose = new Compose(page);
  await compose.fresh('100 ml sherry vinegar');
  await expect(page.getByTestId('cost')).toContainText('€ 1.20 a jar');
});

test('an ingredient of our own from its label, and one by copying', async ({ page }) => {
  await page.goto('/pantry/new');
  await expectAccessible(page);
  await page.getByLabel('Name').fill('Terrace relish');
  for (const [label, value] of [
    ['Fat, g', '10'],
    ['Carbohydrate, g', '5'],
    ['of it sugars, g', '8'],
    ['Protein, g', '2'],
    ['Salt, g', '1,5'],
  ] as const) {
    await page.getByLabel(label, { exact: true }).fill(value);
  }
  await expect(page.getByText('More sugars than carbohydrate')).toBeVisible();
  await page.getByLabel('Carbohydrate, g').fill('12');
  await expect(page.getByText(/Estimated: density, water/)).toBeVisible();
  await page.getByRole('button', { name: 'Put it in the pantry' }).click();
  await expect(page.getByRole('heading', { name: 'Terrace relish' })).toBeVisible();
  await expect(page.getByText('perishable until said otherwise')).toBeVisible();
  const compose = new Compose(page);
  await compose.fresh('50 g terrace relish');
  await page.getByRole('button', { name: 'Figures' }).click();
  await expect(page.getByTestId('gauge-salt')).toContainText('1.50 % salt');

  await page.goto('/pantry/honey');
  await page.getByRole('button', { name: 'Copy as our own' }).click();
  await expect(page.getByRole('heading', { name: 'Honey (ours)' })).toBeVisible();
  await page.getByRole('button', { name: 'Change its values' }).click();
  await page.getByLabel('Water', { exact: true }).fill('60');
  await expect(page.getByText(/more than there is/)).toBeVisible();
  await page.getByLabel('Water', { exact: true }).fill('18');
  await page.getByRole('button', { name: 'Keep', exact: true }).last().click();
  await expect(page.getByRole('row', { name: /Water/ })).toContainText('18.0 %');
});

test('names a cook for this device', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'Who cooks?' }).click();
  await page.getByLabel('Someone else').fill('Tove Berg');
  await expect(page.getByLabel('Initials')).toHaveValue('TB');
  await page.getByRole('button', { name: 'Add and choose' }).click();
  await expect(page.getByRole('button', { name: 'TB' })).toBeVisible();
  await page.reload();
  await expect(page.getByRole('button', { name: 'TB' })).toBeVisible();
});
