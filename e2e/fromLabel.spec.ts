import { expectAccessible } from './axe';
import { expect, test } from './kitchen';

test.use({ kitchenFor: 'fromLabel' });

test('a label becomes a draft: what fits, what was left out, and what is impossible @often', async ({
  page,
}) => {
  await page.goto('/from-label');
  await expect(page.getByText('Type or paste the list of the label')).toBeVisible();
  const list = page.getByRole('textbox', { name: 'Ingredients, as they stand there' });
  await list.fill(
    'Ingredients: rapeseed oil (60 %), white wine vinegar, water, honey 6 %, Dijon mustard (water, mustard seeds, vinegar (6 % acidity), preservative (E224)), salt, thickener (xanthan gum), preservative (potassium sorbate)',
  );
  await page.getByLabel('Fat, g', { exact: true }).fill('60');
  await page.getByLabel('Salt, g', { exact: true }).fill('1.9');
  const answers = page
    .getByTestId('label-answers')
    .getByRole('listitem')
    .filter({ has: page.getByRole('button') });
  await expect(answers.first()).toContainText('The middle of what fits');
  await expect(answers.first()).toContainText(/honey.*\d g, \d/i);
  await expect(answers.first()).toContainText('Dijon-type mustard');
  await expect(page.getByTestId('left-out')).toContainText('potassium sorbate');
  await expectAccessible(page);
  // A figure that cannot be, said beside its field; one that does not fit, said whole.
  await page.getByLabel('Fat, g', { exact: true }).fill('160');
  await expect(page.getByText('A figure from 0 to 100.')).toBeVisible();
  await page.getByLabel('Fat, g', { exact: true }).fill('3');
  await expect(page.getByTestId('impossible')).toContainText('there cannot be so much or so little fat');
  await expect(answers).toHaveCount(0);
  await page.getByLabel('Fat, g', { exact: true }).fill('60');
  // Without a percentage the label leaves room: what a taster would notice between the answers is said.
  await list.fill('rapeseed oil, white wine vinegar, honey, Dijon mustard, salt');
  await expect(page.getByTestId('differs').first()).toContainText('Against the first:');
  // Of a serving by volume; the bottle's own weight narrows it, and a wrong one is said beside its field.
  await page.getByRole('combobox', { name: 'Printed per' }).click();
  await page.getByRole('option', { name: 'a serving, by volume' }).click();
  await page.getByLabel('Fat, g', { exact: true }).fill('9');
  await page.getByLabel('Salt, g', { exact: true }).fill('0.3');
  await page.getByLabel('A serving, ml').fill('nought');
  await expect(page.getByText('Say first of how much the figures are printed.')).toBeVisible();
  await expect(answers).toHaveCount(0);
  await page.getByLabel('A serving, ml').fill('15');
  await page.getByLabel('The bottle holds, ml').fill('250');
  await page.getByLabel('and weighs, g').fill('2');
  await expect(page.getByText('From 10 to 20000.')).toBeVisible();
  await page.getByLabel('and weighs, g').fill('240');
  await expect(answers.first()).toContainText('It fits the label.');
  await page.getByRole('combobox', { name: 'Printed per' }).click();
  await page.getByRole('option', { name: '100 g', exact: true }).click();
  await list.fill(
    'Ingredients: rapeseed oil (60 %), white wine vinegar, water, honey 6 %, Dijon mustard, salt, preservative (potassium sorbate)',
  );
  await page.getByLabel('Fat, g', { exact: true }).fill('60');
  await page.getByLabel('Salt, g', { exact: true }).fill('1.9');
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
