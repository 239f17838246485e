import { expect, test } from './kitchen';
import { expectAccessible } from './axe';
import { Compose } from './bench';

test.use({ kitchenFor: 'compose' });

const VINAIGRETTE = ['30 ml red wine vinegar', '1 tsp fine sea salt', '90 ml sunflower oil'];

test('types an amount as cooks say it and sees at once what it does', { tag: '@often' }, async ({ page }) => {
  const compose = new Compose(page);
  await compose.fresh(...VINAIGRETTE);
  await expect(compose.ratio).toHaveText('3.0 : 1');
  await compose.amount('Sunflower oil').fill('⅓ cup');
  // A metric cup is 250 ml: 83.3 ml of oil to 30 ml of vinegar.
  await expect(compose.ratio).toHaveText('2.8 : 1');
  await expect(page.getByTestId('totals')).toContainText('115 ml');
  await compose.amount('Sunflower oil').press('Enter');
  await compose.saved();
  await page.reload();
  await expect(compose.amount('Sunflower oil')).toHaveValue('⅓ cup');
  await expect(compose.ratio).toHaveText('2.8 : 1');
});

test('adds by name with completion, says what it will do, keeps what it cannot read', async ({ page }) => {
  const compose = new Compose(page);
  await compose.fresh(...VINAIGRETTE);
  await compose.addLine.fill('2 tbsp chiv');
  await expect(page.getByRole('option', { name: /Chives/ })).toBeVisible();
  await compose.addLine.press('ArrowDown');
  await compose.addLine.press('Enter');
  await expect(compose.amount('Chives')).toHaveValue('2 tbsp');
  await compose.addLine.fill('30 ml water');
  await expect(page.getByTestId('foretold')).toContainText('makes');
  await compose.addLine.fill('');
  await compose.add('a whisper of moonlight');
  const row = compose.rows.filter({ hasText: 'moonlight' });
  await expect(row).toContainText('not in the pantry');
  await compose.saved();
  await page.reload();
  await expect(compose.rows.filter({ hasText: 'moonlight' })).toBeVisible();
});

test('nudges by the next kitchen step, undoes and redoes', async ({ page }) => {
  const compose = new Compose(page);
  await compose.fresh(...VINAIGRETTE);
  await page.getByRole('button', { name: 'More Fine sea salt' }).click();
  await expect(compose.amount('Fine sea salt')).toHaveValue('1½ tsp');
  await compose.amount('Fine sea salt').press('Shift+ArrowUp');
  await expect(compose.amount('Fine sea salt')).toHaveValue('2 tsp');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(compose.amount('Fine sea salt')).toHaveValue('1½ tsp');
  await page.keyboard.press('Control+Shift+z');
  await expect(compose.amount('Fine sea salt')).toHaveValue('2 tsp');
});

test('reorders by keyboard and by dragging, and the order is kept', async ({ page }) => {
  const compose = new Compose(page);
  await compose.fresh(...VINAIGRETTE, '1 tsp honey');
  const names = () =>
    compose.rows
      .getByRole('textbox')
      .evaluateAll((fields) => fields.map((f) => f.getAttribute('aria-label')));
  await compose.amount('Honey').press('Alt+ArrowUp');
  expect((await names()).slice(0, 3)).toEqual([
    'Amount of Red wine vinegar 6 %',
    'Amount of Honey',
    'Amount of Fine sea salt',
  ]);
  const handle = page.getByRole('button', { name: 'Move Fine sea salt' });
  const target = page.getByRole('button', { name: 'Move Red wine vinegar 6 %' });
  const [from, to] = [(await handle.boundingBox())!, (await target.boundingBox())!];
  await page.mouse.move(from.x + 8, from.y + 10);
  await page.mouse.down();
  await page.mouse.move(from.x + 8, to.y + 20, { steps: 8 });
  await page.mouse.move(from.x + 8, to.y + 4, { steps: 8 });
  await page.mouse.up();
  await expect
    .poll(names)
    .toEqual([
      'Amount of Fine sea salt',
      'Amount of Red wine vinegar 6 %',
      'Amount of Honey',
      'Amount of Sunflower oil',
    ]);
  await compose.saved();
  await page.reload();
  await expect.poll(names).toHaveLength(4);
  expect((await names())[0]).toBe('Amount of Fine sea salt');
});

test('sets the ratio: the oil follows, or the acid', async ({ page }) => {
  const compose = new Compose(page);
  await compose.fresh(...VINAIGRETTE);
  await compose.ratio.click();
  const field = page.getByLabel('Oil to one part of acid');
  await field.fill('lots');
  await expect(page.getByText('A number from 0.05 to 50')).toBeVisible();
  await field.fill('2,5');
  await field.press('Enter');
  await expect(compose.amount('Sunflower oil')).toHaveValue('75 ml');
  await compose.ratio.click();
  await page.getByRole('radio', { name: 'acid follows' }).click();
  await field.fill('3');
  await page.getByRole('button', { name: 'Set', exact: true }).click();
  await expect(compose.amount('Red wine vinegar 6 %')).toHaveValue('25 ml');
  await expect(compose.ratio).toHaveText('3.0 : 1');
});

test('asks whether ounces of a liquid are weight or volume', async ({ page }) => {
  const compose = new Compose(page);
  await compose.fresh('1 oz cider vinegar');
  await page.getByRole('button', { name: '1 fl oz' }).click();
  await expect(compose.amount('Cider vinegar 5 %')).toHaveValue('1 fl oz');
});

test('says when the vessel is too small', async ({ page }) => {
  const compose = new Compose(page);
  await compose.fresh('300 ml sunflower oil', '100 ml cider vinegar');
  await expect(page.getByTestId('headspace')).toContainText('shake line');
  await page.getByRole('combobox', { name: 'Vessel' }).click();
  await page.getByRole('option', { name: '350 ml jam jar' }).click();
  await expect(page.getByTestId('headspace')).toContainText('over the brim');
});

test('keeps working while the server is away, and sends once it is back', async ({ page }) => {
  const compose = new Compose(page);
  await compose.fresh(...VINAIGRETTE);
  await compose.saved();
  await page.route('**/api/**', (route) => route.abort());
  await compose.amount('Sunflower oil').fill('100 ml');
  await compose.amount('Sunflower oil').press('Enter');
  await expect(compose.saveState).toContainText('Server away');
  await page.unroute('**/api/**');
  await compose.saved();
  await page.reload();
  await expect(compose.amount('Sunflower oil')).toHaveValue('100 ml');
});

test('is accessible, wide and on a phone', async ({ page }) => {
  const compose = new Compose(page);
  await compose.open('walnut-cider');
  await expectAccessible(page);
  await page.setViewportSize({ width: 360, height: 740 });
  await expectAccessible(page);
  const overflow = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
  expect(overflow).toBeLessThanOrEqual(0);
});

test('locks an amount, scales the jar, works on several lines at once, by keyboard', async ({ page }) => {
  const compose = new Compose(page);
  await compose.fresh(...VINAIGRETTE, '2 yolks');
  await compose.amount('Fine sea salt').press('Alt+l');
  await expect(compose.row('Fine sea salt').getByLabel('amount locked')).toBeVisible();
  await page.getByRole('heading', { name: 'On the palate' }).click();
  await page.keyboard.press('s');
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('To fill, ml').fill('lots');
  await expect(dialog).toContainText('A volume in ml');
  await dialog.getByRole('button', { name: '2 times' }).click();
  await dialog.getByRole('button', { name: 'Scale', exact: true }).click();
  await expect(compose.amount('Egg yolk, raw')).toHaveValue('4 yolks');
  await expect(compose.amount('Fine sea salt')).toHaveValue('1 tsp');
  await compose.amount('Fine sea salt').press('Alt+x');
  await compose.amount('Egg yolk, raw').press('Alt+x');
  await expect(page.getByRole('toolbar')).toContainText('2 selected');
  await page.getByRole('button', { name: 'Optional', exact: true }).click();
  await expect(compose.row('Egg yolk, raw')).toContainText('optional');
  await page.keyboard.press('Control+z');
  await expect(compose.row('Egg yolk, raw')).not.toContainText('optional');
});

test('makes a vessel off a ruler and uses it', async ({ page }) => {
  const compose = new Compose(page);
  await compose.fresh(...VINAIGRETTE);
  await page.getByRole('button', { name: 'A vessel of your own' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Name').fill('Honey jar');
  await dialog.getByRole('combobox', { name: 'How its shape is known' }).click();
  await page.getByRole('option', { name: 'Measure with a ruler' }).click();
  await dialog.getByLabel('Width 1, mm').fill('80');
  await dialog.getByLabel('Height 2, mm').fill('0');
  await dialog.getByLabel('Width 2, mm').fill('80');
  await expect(dialog).toContainText('Row 2 is not above');
  await dialog.getByLabel('Height 2, mm').fill('100');
  await expect(dialog).toContainText('Holds 503 ml to the brim.');
  await dialog.getByRole('button', { name: 'Keep and use' }).click();
  await expect(page.getByRole('combobox', { name: 'Vessel' })).toHaveText('Honey jar');
  await compose.saved();
});
