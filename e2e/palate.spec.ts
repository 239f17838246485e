import { expect, test } from './kitchen';
import { expectAccessible } from './axe';
import { Compose } from './bench';

test.use({ kitchenFor: 'palate' });

test('reads the rail of a dressing that is too sharp, and why', { tag: '@often' }, async ({ page }) => {
  const compose = new Compose(page);
  await compose.fresh('60 ml red wine vinegar', '1.5 g salt', '90 ml olive oil');
  await page.getByTestId('aim').click();
  const styles = page.getByTestId('styles');
  await expect(styles.getByRole('button', { name: /^Sharp, 2 : 1/ })).toContainText('sharp');
  await styles.getByRole('button', { name: /^Classic, 3 : 1/ }).click();
  await expect(page.getByTestId('first')).toHaveText(/^(Too|Far too) sharp for Classic, 3 : 1\.$/);
  await expect(page.getByTestId('aim')).toHaveText('Classic, 3 : 1');
  const gauge = page.getByTestId('gauge-acid');
  await expect(gauge).toContainText('sharp');
  // Figures on demand, and remembered on this device.
  await expect(gauge.getByTestId('figure')).toBeHidden();
  await page.getByRole('button', { name: 'Figures' }).click();
  await expect(gauge.getByTestId('figure')).toContainText('% acid');
  await gauge.getByRole('button').click();
  const dialog = page.getByRole('dialog');
  await expect(dialog).toContainText('All of it from red wine vinegar');
  await expect(dialog.getByTestId('contributions')).toContainText('Red wine vinegar 6 %');
  await expect(dialog.getByTestId('schools')).toContainText('3.8 : 1');
  await dialog.getByText('How is this reckoned?').click();
  await expect(dialog).toContainText('organic acids still titratable');
  await expectAccessible(page);
  await page.keyboard.press('Escape');
  await compose.amount('Red wine vinegar 6 %').fill('30 ml');
  await compose.amount('Red wine vinegar 6 %').press('Enter');
  await expect(gauge.getByRole('button')).toHaveAccessibleName(/^Sharpness right/);
});

test('the yolk brings its cautions with their reasons, and cold keeping', async ({ page }) => {
  const compose = new Compose(page);
  await compose.fresh('20 ml white wine vinegar', '160 ml sunflower oil');
  const box = page.getByTestId('cautions');
  await expect(box).toContainText('14 days');
  await compose.add('1 yolk');
  await expect(box).toContainText('Raw egg: use pasteurised egg');
  await expect(box).toContainText('2 days');
  await page.getByRole('button', { name: 'All cautions, allergens and why' }).click();
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByTestId('caution-raw_egg')).toContainText('Salmonella');
  await expect(dialog.getByTestId('caution-raw_egg')).toContainText('FDA Food Code');
  await expect(dialog.getByTestId('allergens')).toContainText('eggs (egg yolk)');
  await expect(dialog.getByTestId('caution-local_code')).toContainText('local code');
  await expectAccessible(page);
});

test('what could not be read counts as the worst, and the list of allergens is not complete', async ({
  page,
}) => {
  const compose = new Compose(page);
  await compose.fresh('30 ml white wine vinegar', '90 ml sunflower oil');
  const box = page.getByTestId('cautions');
  await expect(box).toContainText('closed, cool and dark');
  await expect(box.getByTestId('grave')).toBeHidden();
  // A twist of pepper without an amount costs nothing.
  await compose.add('black pepper, freshly ground');
  await expect(box).toContainText('14 days');
  await compose.add('60 g almond spread');
  await expect(box.getByTestId('grave')).toHaveText('Allergens not complete: “60 g almond spread”.');
  await expect(box).toContainText('at 5 °C or below, 3 days');
  await expect(page.getByTestId('first')).toContainText('Not read: “60 g almond spread”.');
  await page.getByRole('button', { name: 'All cautions, allergens and why' }).click();
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByTestId('allergens')).toContainText('nuts (almond) (“60 g almond spread”)');
  await expect(dialog.getByTestId('allergens')).toContainText('none of what could be read');
  await expect(dialog.getByTestId('caution-marinade')).toBeHidden();
  await dialog.getByText('Good to know').click();
  await expect(dialog.getByTestId('caution-marinade')).toBeVisible();
  await expect(dialog).toContainText('How acid it is is not known');
  await expectAccessible(page);
});

test('a kitchen moves a window, goes back, and makes a style of its own', async ({ page }) => {
  const compose = new Compose(page);
  await compose.fresh('30 ml cider vinegar', '1.4 g salt', '60 ml walnut oil');
  await page.getByTestId('aim').click();
  await page.getByRole('button', { name: 'Windows of Sharp, 2 : 1' }).click();
  const from = page.getByLabel('Salt, from');
  await from.fill('5');
  await expect(page.getByText('Each window needs two numbers')).toBeVisible();
  await from.fill('0.5');
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(page.getByRole('button', { name: /^Sharp, 2 : 1\s*adjusted/ })).toBeVisible();
  await page.getByRole('button', { name: 'Windows of Sharp, 2 : 1' }).click();
  await page.getByRole('button', { name: 'Back to its own windows' }).click();
  await expect(page.getByRole('button', { name: /^Sharp, 2 : 1\s*adjusted/ })).toHaveCount(0);
  await page.getByRole('button', { name: 'A style of our own…' }).click();
  await page.getByLabel('Name', { exact: true }).fill('Terrace sharp');
  await page.getByRole('button', { name: 'Make and aim for it' }).click();
  await expect(page.getByTestId('aim')).toHaveText('Terrace sharp');
  await expect(page.getByTestId('first')).toHaveText('Right for Terrace sharp.');
});

test('a ratio that was typed is the target', async ({ page }) => {
  const compose = new Compose(page);
  await compose.fresh('30 ml red wine vinegar', '1.6 g salt', '90 ml olive oil');
  await page.getByTestId('aim').click();
  await page.getByRole('button', { name: /^Classic, 3 : 1/ }).click();
  await compose.ratio.click();
  await page.getByLabel('Oil to one part of acid').fill('2');
  await page.getByLabel('Oil to one part of acid').press('Enter');
  await expect(compose.ratio).toHaveText('2.0 : 1');
  await page.getByTestId('aim').click();
  await expect(page.getByText('The ratio you set, 2.0 : 1, is the target')).toBeVisible();
});

test('compares two formulas, the largest difference first', async ({ page }) => {
  await page.goto('/formulas/walnut-cider/versions?from=formula-date-tahini');
  const compared = page.getByTestId('compared').getByRole('listitem');
  await expect(compared.first()).toContainText('Sugar to acid');
  await expect(compared.nth(1)).toContainText('Richness');
  await expectAccessible(page);
});
