/** The first sentence of Compose and Taste is what the core finds, and its button does what it says. */
import { expect, test, type Page } from './kitchen';
import { Compose } from './bench';

test.use({ kitchenFor: 'first' });

const first = (page: Page) => page.getByTestId('first');
/** With its button. */
const strip = (page: Page) => page.getByRole('region', { name: 'What to know first' });
const SPLITS = [
  '20 g pasteurised liquid yolk',
  '15 ml white wine vinegar',
  '1 tsp salt',
  '600 ml sunflower oil',
];
const SAID: readonly (readonly [what: string, lines: readonly string[], says: RegExp])[] = [
  ['sweet', ['30 ml cider vinegar', '60 ml honey', '1 tsp salt', '90 ml rapeseed oil'], /too sweet/i],
  [
    'flat',
    ['30 ml cider vinegar', '1 tsp Dijon mustard', '90 ml rapeseed oil'],
    /wants (?:a little |much )?more salt/i,
  ],
  ['split', SPLITS, /splits/i],
  ['unsafe', ['200 ml olive oil', '4 cloves garlic, raw'], /garlic under oil/i],
  ['unread', ['30 ml cider vinegar', '2 glugs of moonbeam', '90 ml rapeseed oil'], /Not read: “/],
];

for (const [what, lines, says] of SAID)
  test(`Compose says first that it is ${what}`, async ({ page }) => {
    const compose = new Compose(page);
    await compose.fresh(...lines);
    await expect(compose.rows).toHaveCount(lines.length);
    await expect(first(page)).toContainText(says);
  });

test('Compose says that a jar is empty, and that one is right', async ({ page }) => {
  const compose = new Compose(page);
  await compose.fresh();
  await expect(first(page)).toContainText('Nothing in the jar yet');
  await page.goto('/');
  await expect(page.getByRole('button', { name: 'New formula' })).toBeVisible();
  await page.keyboard.press('n');
  await page.getByRole('button', { name: /^Lemon and oil/ }).click();
  await expect(compose.amount('Lemon juice')).toHaveValue('30 ml');
  await expect(first(page)).toContainText(/^Right for Lemon and oil/);
});

test('what it says to add goes in with one press, and it is right then', async ({ page }) => {
  const compose = new Compose(page);
  await compose.open('walnut-cider');
  await expect(first(page)).toContainText(/^A touch too sweet for Classic/);
  const advice = page.getByTestId('advice');
  await expect(advice).toContainText(/it fits\.$|part of the way\.$/);
  const lands = /it fits/.test((await advice.textContent())!);
  await strip(page).getByRole('button', { name: 'Add it' }).click();
  // It promises no more than it does.
  if (lands) await expect(first(page)).toContainText(/^(?:Right for|It is right)/);
  else await expect(page.getByRole('button', { name: 'Undo' })).toBeEnabled();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(first(page)).toContainText('too sweet');
});

test('Taste says first what is reckoned, then what the mouth says', async ({ page }) => {
  const compose = new Compose(page);
  await compose.fresh('30 ml cider vinegar', '60 ml honey', '1 tsp salt', '90 ml rapeseed oil');
  await compose.saved();
  await page.getByRole('link', { name: 'Taste' }).click();
  await page.getByRole('button', { name: /is made already$/ }).click();
  await expect(first(page)).toContainText(/By the figures: .*too sweet/);
  await page.getByRole('radio', { name: 'too salty, clearly' }).check({ force: true });
  await expect(first(page)).toContainText(/Too salty/);
  await expect(first(page)).not.toContainText('too sweet');
});

test('Taste says that a jar has split', async ({ page }) => {
  const compose = new Compose(page);
  await compose.fresh(...SPLITS);
  await compose.saved();
  await page.getByRole('link', { name: 'Taste' }).click();
  await page.getByRole('button', { name: /is made already$/ }).click();
  await expect(first(page)).toContainText(/splits/);
});
