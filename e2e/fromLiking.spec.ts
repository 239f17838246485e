import { expectAccessible } from './axe';
import { expect, test } from './kitchen';

test.use({ kitchenFor: 'fromLiking' });

test('three jars that were tasted become a style of one’s own and a jar to make next @often', async ({
  page,
}) => {
  await page.goto('/from-liking');
  const jars = page.getByTestId('tasted-jar');
  await expect(jars).toHaveCount(2);
  await page.getByRole('button', { name: 'Another jar' }).click();
  await expect(jars).toHaveCount(3);
  // One is liked more than all others: saying it of a second takes it from the first.
  await jars.nth(0).getByText('this one more').click();
  await jars.nth(1).getByText('this one more').click();
  await expect(jars.nth(0).getByRole('radio', { name: 'liked', exact: true })).toBeChecked();
  await jars.nth(2).getByText('not', { exact: true }).click();
  // Too much and too little of one thing are never both said.
  await jars.nth(2).getByRole('button', { name: 'needs acid' }).click();
  await jars.nth(2).getByRole('button', { name: 'too sharp' }).click();
  await expect(jars.nth(2).getByRole('button', { name: 'needs acid' })).toHaveAttribute(
    'aria-pressed',
    'false',
  );
  await expect(jars.nth(2).getByRole('button', { name: 'too sharp' })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  await expect(page.getByText(/\d+ % of what was open is settled/)).toBeVisible();
  await expect(page.getByTestId('make-next').getByRole('heading')).toHaveCount(3);
  await expectAccessible(page);
  // A reload loses nothing of what was said.
  await page.reload();
  await expect(jars.nth(2).getByRole('button', { name: 'too sharp' })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  // A style without a name is not kept, and says so; with one it is, and can be aimed at.
  await page.getByRole('button', { name: 'Keep the style' }).click();
  await expect(page.getByText('Give it a name first.')).toBeVisible();
  await page.getByLabel('Its name').fill('As Station Two likes it');
  await page.getByRole('button', { name: 'Keep the style' }).click();
  await expect(page.getByText('As Station Two likes it is kept.')).toBeVisible();
  const styles = await (await page.request.get('/api/styles')).text();
  expect(styles).toContain('As Station Two likes it');
  await page.setViewportSize({ width: 390, height: 800 });
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  await page.getByTestId('make-next').getByRole('button', { name: 'Open as a draft' }).first().click();
  await expect(page).toHaveURL(/compose/);
  await expect(page.getByRole('textbox', { name: 'Name' })).toHaveValue(/^Tasting 1: /);
});

test('the same jar twice is said, not reckoned with', async ({ page }) => {
  await page.goto('/from-liking');
  const jars = page.getByTestId('tasted-jar');
  const other = (await jars.nth(1).getByRole('combobox').textContent()) ?? '';
  await jars.nth(0).getByRole('combobox').click();
  await page.getByRole('option', { name: other, exact: true }).click();
  await expect(page.getByText('The same jar stands there twice')).toBeVisible();
  await expect(page.getByTestId('make-next')).toHaveCount(0);
});
