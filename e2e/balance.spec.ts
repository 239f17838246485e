import { expect, test } from './kitchen';
import { expectAccessible } from './axe';
import { Compose } from './bench';

test.use({ kitchenFor: 'balance' });

test(
  'mends a dressing that is too sharp through the rail, and takes it back',
  { tag: '@often' },
  async ({ page }) => {
    const compose = new Compose(page);
    await compose.fresh('60 ml red wine vinegar', '2 g salt', '90 ml olive oil');
    await page.getByTestId('aim').click();
    await page
      .getByTestId('styles')
      .getByRole('button', { name: /^Classic, 3 : 1/ })
      .click();
    await page.getByRole('button', { name: 'Bring it into balance' }).click();
    // It takes more than a quarter of the jar: part of the way, until the cook gives room.
    await expect(page.getByTestId('impossible')).toContainText('over a quarter of what is in the jar');
    await page.getByRole('radio', { name: 'as much as fits' }).check({ force: true });
    const ways = page.getByTestId('ways').getByRole('listitem');
    const first = ways.filter({ has: page.getByRole('button', { name: 'Take this way' }) }).first();
    await expect(first).toContainText('Bring it into balance');
    await expect(first.getByTestId('effect')).toContainText('Sharpness');
    await expect(first).toContainText('Right for Classic, 3 : 1');
    await expectAccessible(page);
    await first.getByRole('button', { name: 'Take this way' }).click();
    await expect(page.getByTestId('first')).toHaveText('Right for Classic, 3 : 1.');
    await expect(compose.amount('Extra-virgin olive oil')).not.toHaveValue('90 ml');
    // Nothing that was poured is lowered.
    await expect(compose.amount('Red wine vinegar 6 %')).toHaveValue('60 ml');
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(compose.amount('Extra-virgin olive oil')).toHaveValue('90 ml');
  },
);

test('by keyboard: a complaint, its plans, and what does not fit', async ({ page }) => {
  const compose = new Compose(page);
  await compose.fresh('30 ml red wine vinegar', '4 g salt', '90 ml olive oil');
  await page.getByTestId('aim').click();
  await page
    .getByTestId('styles')
    .getByRole('button', { name: /^Classic, 3 : 1/ })
    .click();
  await compose.addLine.blur();
  await page.keyboard.press('b');
  await page.getByRole('combobox', { name: 'What is wrong' }).focus();
  await page.keyboard.press('Enter');
  await page.keyboard.press('t');
  await page.getByRole('option', { name: 'Too salty' }).click();
  await expect(page.getByTestId('ways')).toContainText('Part of the way');
  await expect(page.getByTestId('impossible')).toContainText('aside');
  await page.getByRole('combobox', { name: 'What is wrong' }).click();
  await page.getByRole('option', { name: 'Harsh garlic or onion' }).click();
  await expect(page.getByRole('dialog')).toContainText('Nothing in this jar makes it so');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);
});

test('says what does not fit the jar, and moves to one that has the room', async ({ page }) => {
  const compose = new Compose(page);
  await compose.open('plum-thyme');
  await page.keyboard.press('b');
  await expect(page.getByTestId('impossible')).toContainText('It does not fit');
  await page.getByRole('button', { name: /^Move it to the 350 ml jam jar/ }).click();
  await expect(page.getByTestId('ways')).toContainText('Bring it into balance');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('combobox', { name: 'Vessel' })).toHaveText('350 ml jam jar');
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('combobox', { name: 'Vessel' })).toHaveText('200 ml jam jar');
});

test('finds amounts from the pantry and opens one as a draft', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByRole('button', { name: 'New formula' })).toBeVisible();
  await page.keyboard.press('p');
  await expect(page).toHaveURL(/from-pantry/);
  await expect(page.getByText('Say what is there')).toBeVisible();
  const there = page.getByRole('combobox', { name: 'What is there' });
  await there.fill('moonlight, cider vinegar, half a lemon, 200 g yoghurt, sunflower oil, honey');
  await there.press('Enter');
  await expect(page.getByTestId('on-hand')).toContainText('Not in the pantry.');
  await page.getByRole('button', { name: 'Take out moonlight' }).click();
  await page.getByRole('combobox', { name: 'Style' }).click();
  await page.getByRole('option', { name: /^Yoghurt/ }).click();
  await page.getByLabel('How it should be').fill('lemony and light');
  await expect(page.getByText('lemony: lemon juice as the only acid')).toBeVisible();
  const answers = page.getByTestId('answers').getByRole('button', { name: 'Open as a draft' });
  await expect(answers.first()).toBeVisible();
  await expect(page.getByTestId('answers')).not.toContainText('cider vinegar');
  await page.getByLabel('To make, ml').fill('much');
  await expect(page.getByText('A volume from 10 ml')).toBeVisible();
  await page.getByLabel('To make, ml').fill('250');
  await page.getByText('spoons and cups').click();
  await expectAccessible(page);
  // What was typed is still there after a reload.
  await page.reload();
  await expect(page.getByTestId('on-hand')).toContainText('half a lemon');
  await answers.first().click();
  await expect(page).toHaveURL(/compose/);
  await expect(page.getByRole('textbox', { name: 'Name of the formula' })).toHaveValue('Lemony and light');
  await expect(page.getByRole('textbox', { name: /Amount of Whole-milk yoghurt/ })).toHaveValue(
    /cup|tbsp|tsp/,
  );
});

test('swaps lemon for vinegar by keyboard, and says what cannot be kept', async ({ page }) => {
  const compose = new Compose(page);
  await compose.fresh('30 ml lemon juice', '1.5 g salt', '90 ml olive oil');
  await compose.amount('Lemon juice').focus();
  await page.keyboard.press('Alt+w');
  const field = page.getByRole('combobox', { name: 'Swap for' });
  await field.fill('moonlight');
  await expect(page.getByRole('dialog')).toContainText('Not in the pantry.');
  await field.fill('lemon juice');
  await expect(page.getByRole('dialog')).toContainText('That is what is in it now.');
  await field.fill('white wine vinegar');
  const swaps = page.getByTestId('swaps');
  await expect(swaps).toContainText('One for one, same sharpness');
  await expect(swaps).toContainText('1½ tbsp (23.1 g) white wine vinegar 6 % for the lemon juice');
  await expect(swaps).toContainText('New allergen: sulphites.');
  await expectAccessible(page);
  await swaps.getByRole('button', { name: 'Swap' }).press('Enter');
  await expect(compose.amount('White wine vinegar 6 %')).toHaveValue('22.9 ml');
  await expect(compose.amount('Water')).toHaveValue('7.2 ml');
  await page.keyboard.press('Control+z');
  await expect(compose.amount('Lemon juice')).toHaveValue('30 ml');
});

test('a tahini sauce with cumin on hand takes a pinch of it, not a cupful', async ({ page }) => {
  await page.goto('/from-pantry');
  const there = page.getByRole('combobox', { name: 'What is there' });
  await there.fill('tahini, lemon juice, garlic, cumin');
  await there.press('Enter');
  await page.getByRole('combobox', { name: 'Style' }).click();
  await page.getByRole('option', { name: 'Tahini', exact: true }).click();
  await page.getByLabel('To make, ml').fill('250');
  const open = page.getByTestId('answers').getByRole('button', { name: 'Open as a draft' });
  await expect(open.first()).toBeVisible();
  await open.first().click();
  await expect(page).toHaveURL(/compose/);
  await expect(page.getByRole('textbox', { name: /Amount of Tahini/ })).toBeVisible();
  const rows = await page.getByTestId('addition').filter({ hasText: 'cumin' }).allInnerTexts();
  for (const row of rows) {
    // 0.8 % of 260 g.
    const [, grams] = /([\d.]+) g/.exec(row)!;
    expect(Number(grams)).toBeLessThan(2.2);
  }
});

test('a yolk swapped for mustard: what it loses is said, and less oil comes with it', async ({ page }) => {
  const compose = new Compose(page);
  await compose.fresh('1 egg yolk', '15 ml lemon juice', '1.8 g salt', '180 ml sunflower oil');
  await compose.amount('Egg yolk').focus();
  await page.keyboard.press('Alt+w');
  await page.getByRole('combobox', { name: 'Swap for' }).fill('Dijon mustard');
  const swaps = page.getByTestId('swaps').getByRole('listitem');
  const first = swaps.filter({ has: page.getByRole('button', { name: 'Swap' }) }).first();
  await expect(first).toContainText('And so that it keeps together');
  await expect(first.getByTestId('lost')).toContainText('of what binds');
  await first.getByRole('button', { name: 'Swap' }).click();
  await expect(compose.amount('Sunflower oil')).not.toHaveValue('180 ml');
  await page.keyboard.press('Control+z');
  await expect(compose.amount('Sunflower oil')).toHaveValue('180 ml');
});

test('rounds to what can be measured, showing before and after', async ({ page }) => {
  const compose = new Compose(page);
  await compose.fresh('33.3 ml red wine vinegar', '1.7 g salt', '97 ml olive oil');
  await compose.addLine.blur();
  await page.keyboard.press('m');
  const dialog = page.getByRole('dialog');
  await dialog.getByText('spoons and cups').click();
  await expect(page.getByTestId('rounding-says')).toContainText('Proven best');
  await dialog.getByText('5 g scale', { exact: true }).click();
  await expect(page.getByTestId('damage')).toContainText('a taster may notice');
  await dialog.getByText('1 g scale', { exact: true }).click();
  await expectAccessible(page);
  await dialog.getByRole('button', { name: 'Take these amounts' }).click();
  await expect(compose.amount('Extra-virgin olive oil')).toHaveValue(/^\d+ g$/);
  await page.keyboard.press('Control+z');
  await expect(compose.amount('Extra-virgin olive oil')).toHaveValue('97 ml');
});

test('nests a mayonnaise: its egg comes with it, its version is pinned, a newer one offered, a circle refused', async ({
  page,
}) => {
  const compose = new Compose(page);
  await compose.open('chive-pepper');
  await expect(compose.amount('House mayonnaise v1')).toHaveValue('120 g');
  await expect(page.getByTestId('cautions')).toContainText('Raw egg');
  await page.getByRole('button', { name: 'Use v2' }).click();
  await expect(compose.amount('House mayonnaise v2')).toHaveValue('120 g');
  await expect(page.getByRole('button', { name: 'Use v2' })).toHaveCount(0);
  await compose.add('20 g house mayonnaise');
  await expect(compose.amount('House mayonnaise v2')).toHaveCount(2);
  await compose.open('house-mayonnaise');
  const before = await compose.rows.count();
  await compose.addLine.fill('20 g house mayonnaise');
  await expect(page.getByTestId('foretold')).toContainText('A formula cannot go into itself');
  await compose.addLine.press('Enter');
  await expect(compose.addLine).toHaveValue('20 g house mayonnaise');
  await expect(compose.rows).toHaveCount(before);
});
