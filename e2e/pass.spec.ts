import { expectAccessible } from './axe';
import { expect, test } from './kitchen';

test.use({ kitchenFor: 'pass' });

test('a leaf salad for forty goes from its list to the pass, plate by plate, by keys alone @often', async ({
  page,
}) => {
  test.setTimeout(120_000);
  await page.clock.install();
  await page.goto('/formulas/walnut-cider/serve');
  await page.getByRole('button', { name: 'List what is in the bowl' }).click();
  await page.getByLabel('One thing a line').fill('2400 g tender leaves, spun dry');
  await page.getByLabel('Name of the dish').fill('Green salad');
  await page.getByLabel('Servings').fill('40');
  await page.getByRole('button', { name: 'The list is for 40' }).click();
  await expect(page.getByTestId('need')).toHaveText('480 ml');
  await page.getByRole('link', { name: 'To the pass' }).click();
  await expect(page.getByTestId('portion')).toHaveText('1½ squeezes');
  await expect(page.getByTestId('left')).toHaveText('40');
  await expect(page.getByTestId('first')).toContainText('Bring the first container out');
  await expectAccessible(page);
  // A container of 240 ml does 20 plates of 12 ml each.
  await page.getByText('Plates, ladle, container').click();
  await page.getByLabel('A container holds, ml').fill('none');
  await expect(page.getByText('A volume above nothing.')).toBeVisible();
  await page.getByLabel('A container holds, ml').fill('240');
  await page.getByRole('heading', { name: 'Container' }).click();
  await page.keyboard.press('c');
  await expect(page.getByTestId('container')).toHaveText('Does 20 more plates.');
  // A key that is held, or a wet finger, says a plate once.
  await page.keyboard.press(' ');
  await page.keyboard.press(' ');
  await expect(page.getByTestId('left')).toHaveText('39');
  for (let plate = 1; plate < 18; plate++) {
    await page.clock.fastForward(30_000);
    await page.keyboard.press(' ');
  }
  await expect(page.getByTestId('left')).toHaveText('22');
  await expect(page.getByTestId('first')).toContainText(
    'Bring the next container out now: 2 plates are left',
  );
  await expect(page.getByText('A plate every 30 s.')).toBeVisible();
  await page.keyboard.press('Backspace');
  await expect(page.getByTestId('left')).toHaveText('23');
  // It is kept by the device: a reload loses no plate.
  await page.reload();
  await expect(page.getByTestId('left')).toHaveText('23');
  await expect(page.getByTestId('container')).toHaveText('Does 3 more plates.');
  await page.clock.fastForward(60_000);
  await page.keyboard.press('c');
  await expect(page.getByTestId('container')).toHaveText('Does 23 more plates.');
  await expect(page.getByTestId('first')).toContainText(/does for all/);
  await page.clock.fastForward(5 * 3_600_000);
  await expect(page.getByTestId('first')).toContainText('throw it away');
  await page.getByText('Plates, ladle, container').click();
  await page.getByRole('button', { name: 'Begin anew' }).click();
  await expect(page.getByTestId('left')).toHaveText('40');
  await page.getByRole('button', { name: 'Bring it back' }).click();
  await expect(page.getByTestId('left')).toHaveText('23');
});

test('the pass says what it lacks, and fits a phone', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 800 });
  await page.goto('/formulas/plum-thyme/pass?covers=none');
  await expect(page.getByText('Say in Serve what is dressed')).toBeVisible();
  await page.getByRole('link', { name: 'Back to Serve' }).click();
  await page.getByLabel('Servings').fill('12');
  await page.getByRole('link', { name: 'To the pass' }).click();
  await expect(page.getByTestId('left')).toHaveText('12');
  await page.getByRole('button', { name: 'The first container is out' }).click();
  await page.getByRole('button', { name: 'A plate is out' }).click();
  await expect(page.getByTestId('left')).toHaveText('11');
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  await expectAccessible(page);
});

test('a pasta salad comes out of a pasted telling as dressing and dish, is tasted, said to be too salty, and aimed lower', async ({
  page,
}) => {
  test.setTimeout(120_000);
  await page.goto('/import');
  await page
    .getByRole('textbox')
    .first()
    .fill(
      'Pasta salad\nServes 6\nWhisk 2 tbsp of red wine vinegar with a teaspoon of Dijon mustard and a third of a teaspoon of salt, then 120 ml of olive oil. Toss it with 600 g cooked pasta, 150 g feta and 200 g cherry tomatoes.',
    );
  await expect(page.getByTestId('import-lines').getByRole('listitem')).toHaveCount(4);
  await expect(page.getByTestId('import-dish').getByRole('listitem')).toHaveCount(3);
  await expect(page.getByText('They become the dish of this dressing')).toBeVisible();
  await page.getByRole('button', { name: 'Make the draft' }).click();
  await expect(page).toHaveURL(/compose/);
  await page.goto(page.url().replace('compose', 'serve'));
  await expect(page.getByLabel('Name of the dish')).toHaveValue('Pasta salad');
  await expect(page.getByLabel('Servings')).toHaveValue('6');
  await expect(page.getByTestId('bowl-lines').getByRole('listitem')).toHaveCount(3);
  await expect(page.getByTestId('dish-reasons')).toContainText('half now, half at the end');
  await expect(page.getByTestId('time-in-flavour')).toContainText('Best from');
  // A version is what bowls are spoken of.
  await page.goto(page.url().replace('serve', 'compose'));
  await page.getByRole('button', { name: 'Save as version 1' }).click();
  await expect(page.getByRole('button', { name: 'Save as version 1' })).toBeHidden();
  await page.goto(page.url().replace('compose', 'serve'));
  const before = await page.getByTestId('need').textContent();
  await page.getByRole('button', { name: 'too salty' }).click();
  await expect(
    page.getByText('One bowl of this dish: as much as its things take. Too salty then'),
  ).toBeVisible();
  await expect(page.getByTestId('need')).toHaveText(before!);
  // Another word within the hour is said of the same bowl.
  await page.getByRole('button', { name: 'soggy' }).click();
  await expect(page.getByText(/^.*One bowl of this dish: \d+ % less than its things take\./)).toBeVisible();
  await expect(page.getByTestId('need')).not.toHaveText(before!);
  await page.getByRole('button', { name: 'Aim the dressing at this dish' }).click();
  await expect(page.getByTestId('first')).toContainText('for Pasta salad');
  // And is brought there: by more of the rest, for salt is not taken out.
  await expect(page.getByTestId('first')).toContainText(/salty/);
  await page.getByRole('button', { name: 'Bring it into balance' }).click();
  const ways = page.getByTestId('ways').getByRole('listitem');
  await ways.getByRole('button', { name: 'Take this way' }).first().click();
  await expect(page.getByTestId('first')).not.toContainText(/salty/);
});
