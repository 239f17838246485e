import { expectAccessible } from './axe';
import { expect, test } from './kitchen';

test.use({ kitchenFor: 'fromLabel' });

test('a label becomes a draft: what fits, what was left out, and what is impossible @always', async ({
  page,
}) => {
  await page.goto('/from-label');
  await expect(page.getByText('Type or paste the list of the label')).toBeVisible();
  const list = page.getByRole('textbox', { name: 'Ingredients, as they stand there' });
  await list.fill(
    'Ingredients: rapeseed oil (60 %), white wine vinegar, water, honey 6 %, Dijon mustard, salt, thickener (xanthan gum), preservative (potassium sorbate)',
  );
  await page.getByLabel('Fat, g', { exact: true }).fill('60');
  await page.getByLabel('Salt, g', { exact: true }).fill('1.9');
  const answers = page
    .getByTestId('label-answers')
    .getByRole('listitem')
    .filter({ has: page.getByRole('button') });
  await expect(answers.first()).toContainText('The middle of what fits');
  await expect(answers.first()).toContainText(/honey.*\d g, \d/i);
  await expect(page.getByTestId('left-out')).toContainText('potassium sorbate');
  await expectAccessible(page);
  // A figure that cannot be, said beside its field; one that does not fit, said whole.
  await page.getByLabel('Fat, g', { exact: true }).fill('160');
  await expect(page.getByText('A figure from 0 to 100.')).toBeVisible();
  await page.getByLabel('Fat, g', { exact: true }).fill('3');
  await expect(page.getByTestId('impossible')).toContainText('there cannot be so much or so little fat');
  await expect(answers).toHaveCount(0);
  await page.getByLabel('Fat, g', { exact: true }).fill('60');
  // A reload loses nothing of what was typed.
  await page.reload();
  await expect(list).toHaveValue(/potassium sorbate/);
  await answers.first().getByRole('button', { name: 'Open as a draft' }).click();
  await expect(page).toHaveURL(/compose/);
  await expect(page.getByText('Rapeseed (canola) oil').first()).toBeVisible();
  await page.setViewportSize({ width: 390, height: 800 });
  await page.goto('/from-label');
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  await list.fill('zonnebloemolie, azijn');
  await expect(page.getByTestId('impossible')).toContainText(
    '“zonnebloemolie”, the first on the list, is not in the pantry',
  );
});
