import { expectAccessible } from './axe';
import { expect, test } from './kitchen';

test.use({ kitchenFor: 'dish' });

const SERVE = '/formulas/walnut-cider/serve';

test('a dish is listed, read, judged as a forkful, kept, and the dressing aimed at it @often', async ({
  page,
}) => {
  test.setTimeout(120_000);
  await page.goto(SERVE);
  await page.getByRole('button', { name: 'List what is in the bowl' }).click();
  await expect(page.getByText(/^Type what is in the bowl/)).toBeVisible();
  const list = page.getByLabel('One thing a line');
  await list.fill('240 g tender leaves, spun dry\n120 g feta\nmoon dust');
  const read = page.getByTestId('bowl-lines').getByRole('listitem');
  await expect(read).toHaveCount(3);
  await expect(read.nth(2)).toContainText('No amount in “moon dust”');
  await expect(page.getByTestId('need')).toHaveText('56 ml');
  const reasons = page.getByTestId('dish-reasons').getByRole('listitem');
  await expect(reasons.first()).toContainText(/of the salt comes from the feta: /);
  await expect(page.getByTestId('mouth-salt')).toContainText('→');
  await expectAccessible(page);
  // The same thing on two lines stands with its own weight on each.
  await list.fill('240 g tender leaves, spun dry\n100 g feta\n20 g feta');
  await expect(read.nth(1)).toContainText('100.0 g');
  await expect(read.nth(2)).toContainText('20.0 g');
  // Twice as many are fed: twice as much, and the list stays as it was typed.
  await page.getByLabel('Servings').fill('8');
  await expect(page.getByTestId('need')).toHaveText('113 ml');
  await expect(page.getByText('The list is for 4.')).toBeVisible();
  await page.getByLabel('Servings').fill('none');
  await expect(page.getByText('How many?')).toBeVisible();
  await page.getByLabel('Servings').fill('4');
  // As it stands, the leaves go limp and water comes out.
  const time = page.getByLabel('Time from dressing to eating');
  await time.focus();
  await page.keyboard.press('End');
  await expect(page.getByRole('heading', { name: 'The bowl after 24 h' })).toBeVisible();
  await expect(page.getByTestId('dish-reasons')).toContainText(
    'Limp after about 8 min: the mixed tender leaves.',
  );
  // A second dish; the first is kept by name, over a reload, and undo takes back what was done last.
  await page.getByLabel('Name of the dish').fill('Terrace salad');
  await page.getByLabel('Name of the dish').blur();
  await page.getByRole('button', { name: 'Another dish' }).click();
  await list.fill('400 g pasta');
  await expect(page.getByTestId('dish-reasons')).toContainText('half now, half at the end');
  await page.reload();
  await expect(list).toHaveValue('400 g pasta');
  await page.getByText('Terrace salad', { exact: true }).click();
  await expect(list).toHaveValue(/feta/);
  await page.getByRole('button', { name: 'Without this dish' }).click();
  await expect(list).toHaveValue('400 g pasta');
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByText('Terrace salad', { exact: true }).click();
  await expect(list).toHaveValue(/feta/);
  // The dressing is aimed at the dish: a style of the kitchen's own, which Compose undoes.
  await page.getByRole('button', { name: 'Aim the dressing at this dish' }).click();
  await expect(page).toHaveURL(/compose/);
  await expect(page.getByTestId('first')).toContainText('for Terrace salad');
  await page.keyboard.press('ControlOrMeta+z');
  await expect(page.getByTestId('first')).not.toContainText('for Terrace salad');
});

test('a dish that is typed while the server is away is there when it is back; a phone shows it', async ({
  page,
  context,
}) => {
  await page.setViewportSize({ width: 360, height: 740 });
  await page.goto('/formulas/plum-thyme/serve');
  await page.getByRole('button', { name: 'List what is in the bowl' }).click();
  await context.route('**/api/**', (route) => route.abort());
  await page.getByLabel('One thing a line').fill('300 g white cabbage, shredded\n100 g carrot sticks');
  await expect(page.getByTestId('need')).toHaveText(/ml$/);
  await page.getByLabel('Name of the dish').focus();
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(360);
  await context.unroute('**/api/**');
  await page.reload();
  await expect(page.getByLabel('One thing a line')).toHaveValue(/white cabbage/);
  await expectAccessible(page);
});
