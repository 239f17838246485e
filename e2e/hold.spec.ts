import { expect, test } from './kitchen';
import { expectAccessible } from './axe';
import { Compose } from './bench';

test.use({ kitchenFor: 'hold' });

const CLASSIC = ['45 ml red wine vinegar', '1 g salt', '1 tsp Dijon mustard', '135 ml olive oil'] as const;

test(
  'scrubs through time: layers come, and the jar goes back to how it was filled',
  { tag: '@often' },
  async ({ page }) => {
    const compose = new Compose(page);
    await compose.fresh(...CLASSIC);
    const hold = page.getByTestId('hold');
    await expect(hold).toContainText(
      /Holds about .* then (?:a watery layer shows at the bottom|oil shows on top); shake again/,
    );
    await expect(hold).toContainText('as it goes in');
    const slider = page.getByRole('slider', { name: 'Time after mixing' });
    await slider.fill('1');
    await expect(hold).toContainText('just mixed');
    const jar = page.getByRole('region', { name: 'Jar' });
    await expect(jar.locator('svg[role="img"]').first()).not.toContainText('watery');
    await slider.fill('90');
    await expect(jar.locator('svg[role="img"]').first()).toContainText('watery');
    await slider.focus();
    await page.keyboard.press('Home');
    await expect(hold).toContainText('as it goes in');
    await expectAccessible(page);
  },
);

test('a finer tool holds longer, a suggestion is applied, and both are undone', async ({ page }) => {
  const compose = new Compose(page);
  await compose.fresh('45 ml red wine vinegar', '1 g salt', '135 ml olive oil');
  const hold = page.getByTestId('hold');
  await expect(hold).toContainText(/Holds about \d+ min/);
  await compose.addLine.blur();
  await page.keyboard.press('h');
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByTestId('hold-now')).toContainText('Too little holds the drops');
  const changes = dialog.getByTestId('hold-changes').getByRole('listitem');
  const mustard = changes.filter({ hasText: /Add .*(mustard|yolk|xanthan)/ }).first();
  await expect(mustard).toBeVisible();
  await expect(dialog.getByText('Trying')).toHaveCount(0);
  await expectAccessible(page);
  const rows = await compose.rows.count();
  await mustard.getByRole('button', { name: 'Do it' }).click();
  await expect(compose.rows).toHaveCount(rows + 1);
  await dialog.getByLabel('For, seconds').fill('never');
  await expect(dialog).toContainText('1 to 3600 seconds.');
  await dialog.getByText('Tools side by side').click();
  const shaken = await dialog.getByTestId('hold-now').locator('p').first().innerText();
  await dialog.getByRole('button', { name: 'Use the hand whisk' }).click();
  const now = dialog.getByTestId('hold-now').locator('p').first();
  await expect(now).not.toHaveText(shaken);
  await expect(now).toContainText('Holds ');
  await expect(now).not.toHaveText(shaken);
  await expect(dialog.getByRole('combobox', { name: 'Mixed with' })).toHaveText('Hand whisk');
  await page.keyboard.press('Escape');
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await expect(compose.rows).toHaveCount(rows);
  await page.keyboard.press('h');
  await expect(page.getByRole('combobox', { name: 'Mixed with' })).toHaveText('Jar, shaken');
});

test('rescues a split sauce with the quantities of this batch, and marks what it would bring', async ({
  page,
}) => {
  const compose = new Compose(page);
  await compose.fresh('1 yolk', '15 ml lemon juice', '1 tsp Dijon mustard', '380 ml olive oil');
  await expect(page.getByTestId('hold')).toContainText('It has split');
  await page.getByRole('button', { name: 'How to make it hold' }).click();
  const rescue = page.getByTestId('rescue');
  await expect(rescue).toContainText('In a clean bowl:');
  await expect(rescue).toContainText('Drip the broken sauce');
  await page.getByRole('combobox', { name: 'What went wrong' }).click();
  await page.getByRole('option', { name: 'Too thin' }).click();
  await expect(rescue).toContainText('Brings xanthan');
  await page.getByRole('combobox', { name: 'What went wrong' }).click();
  await page.getByRole('option', { name: 'Set in the fridge' }).click();
  await expect(rescue).toContainText(/stand out \d+ min/);
  await expectAccessible(page);
});

test('what must be cold is seen at 5 °C; at room temperature the course ends after two hours', async ({
  page,
}) => {
  const compose = new Compose(page);
  await compose.fresh(...CLASSIC, '1 clove garlic');
  await expect(page.getByRole('radio', { name: 'fridge' })).toBeChecked();
  await page.getByText('room', { exact: true }).click();
  await expect(page.getByTestId('hold')).toContainText('Not at room temperature for longer than 2 hours');
  const slider = page.getByRole('slider', { name: 'Time after mixing' });
  await slider.focus();
  await page.keyboard.press('End');
  await expect(page.getByTestId('hold')).toContainText(/(?:1½|2) h later|\d+ min later/);
});

test('compares how two versions hold', async ({ page }) => {
  await page.goto('/formulas/walnut-cider/versions?from=3');
  const compared = page.getByTestId('hold-compare');
  await expect(compared).toContainText(/v3: .*Holds about/);
  await expect(compared.getByRole('img', { name: /^Layers against time/ })).toBeVisible();
  await expectAccessible(page);
});

test(
  'a test on the plate makes the kitchen’s yoghurt its own, is undone, set again and forgotten',
  { tag: '@often' },
  async ({ page }) => {
    await page.goto('/pantry/yoghurt_whole');
    const card = page.getByTestId('thickness');
    await expect(card).toContainText('As the pantry says');
    await card.getByLabel('or seconds').fill('0');
    await expect(card).toContainText('0.3 to 180 seconds');
    await expect(card.getByRole('button', { name: 'Set' })).toBeDisabled();
    await card.getByRole('button', { name: 'It does not run' }).press('Enter');
    await expect(card).toContainText(/Does not run on the plate: .* times as thick/);
    await card.getByRole('button', { name: 'Undo' }).press('Enter');
    await expect(card).toContainText('As the pantry says');
    await card.getByLabel('or seconds').fill('1');
    await card.getByRole('button', { name: 'Set' }).press('Enter');
    await expect(card).toContainText(/Runs 5 cm in 1 s: .* times as thin/);
    await expectAccessible(page);
    const compose = new Compose(page);
    await compose.fresh('150 g whole-milk yoghurt');
    const hold = page.getByTestId('hold');
    await expect(hold).toContainText('Spoonable (estimate)');
    await expect(hold.getByRole('img', { name: /From a spoon/ })).toBeVisible();
    await page.goto('/pantry/yoghurt_whole');
    await card.getByRole('button', { name: 'Forget it' }).press('Enter');
    await expect(card).toContainText('As the pantry says');
  },
);

test('a yolk past its oil says so while the amounts are typed, and how much is too much', async ({
  page,
}) => {
  const compose = new Compose(page);
  await compose.fresh('1 egg yolk', '1 tbsp lemon juice', '110 ml sunflower oil');
  const hold = page.getByTestId('hold');
  await expect(hold).not.toContainText('too much');
  await compose.add('50 ml sunflower oil');
  await expect(hold).toContainText(/It takes about \d+ ml more oil \(\d+ to \d+\)\./);
  await compose.add('200 ml sunflower oil');
  await expect(hold).toContainText(
    /It has split: more oil than its yolk holds\. See how to save it\. About \d+ ml of its oil is too much \(\d+ to \d+\)\./,
  );
  // One finding: nothing beside it says how long it would have held.
  await expect(hold).not.toContainText('Holds about');
});
