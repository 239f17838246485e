import { expectAccessible } from './axe';
import { expect, test } from './kitchen';
import type { Page } from '@playwright/test';

test.use({ kitchenFor: 'practise' });

/** The keyboard alone: on to the first key of this name, and pressed. */
async function press(page: Page, name: string | RegExp): Promise<void> {
  const key = page.getByRole('button', { name }).first();
  await key.focus();
  await page.keyboard.press('Enter');
}
const next = (page: Page): Promise<void> => press(page, 'Next round');

test('a round of each kind is played by keys alone, and nothing of it reaches the kitchen’s book @often', async ({
  page,
  request,
}) => {
  test.setTimeout(180_000);
  const book = async (): Promise<readonly unknown[]> =>
    Promise.all(
      ['log', 'dressings', 'plans', 'measures', 'pantry', 'formulas?limit=50'].map(async (path) =>
        (await request.get(`/api/${path}`)).json(),
      ),
    );
  const before = await book();
  // What is wrong? Named, then mended; each gesture answers at once.
  await page.goto('/practise?kind=wrong&seed=12');
  await expect(page.getByTestId('mouth-says')).toContainText(/\.$/);
  await expect(page.getByRole('button', { name: 'That is it' })).toBeDisabled();
  await expectAccessible(page);
  await press(page, 'needs salt');
  await press(page, 'That is it');
  await press(page, /^a pinch of fine/);
  await expect(page.getByTestId('puts').getByRole('listitem')).toHaveCount(1);
  await expect(page.getByTestId('puts')).toContainText(/nearer|further off|no different/);
  await press(page, 'Take back');
  await expect(page.getByTestId('puts')).toBeHidden();
  for (let pinch = 0; pinch < 12 && !(await page.getByTestId('round-end').isVisible()); pinch++)
    await press(page, /^a pinch of fine/);
  await expect(page.getByTestId('round-end')).toContainText('Reckoned:');
  await expect(page.getByTestId('round-end')).toContainText('It was needs salt.');
  await next(page);
  await expect(page).not.toHaveURL(/seed/);
  await press(page, 'Show me');
  await expect(page.getByTestId('round-end')).toContainText('Not this time.');
  // How much is that?
  await page.goto('/practise?kind=amount&seed=3');
  await page.getByLabel('Grams').fill('none');
  await expect(page.getByText('A weight above nothing.')).toBeVisible();
  await page.getByLabel('Grams').fill('5');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('round-end')).toContainText('as hands go');
  await expectAccessible(page);
  // Will it hold?
  await page.goto('/practise?kind=hold&seed=3');
  await press(page, /^A: /);
  await press(page, 'within the hour');
  await press(page, 'That is it');
  await expect(page.getByTestId('round-end')).toContainText('parts first');
  await expect(page.getByRole('img', { name: /Layers against time/ })).toBeVisible();
  await expectAccessible(page);
  // Safe or not?
  await page.goto('/practise?kind=safe&seed=3');
  await page.getByRole('group').last().getByRole('button').first().focus();
  await page.keyboard.press('Enter');
  await press(page, 'That is it');
  await expect(page.getByTestId('round-end')).toContainText('Right:');
  // Pour: held too long it splits, and the rescue is practised.
  await page.goto('/practise?kind=pour&seed=3');
  await expect(page.getByTestId('poured')).toContainText(/^0.* are in/);
  await page.keyboard.down(' ');
  await expect(page.getByText('It has split.', { exact: false })).toBeVisible({ timeout: 20_000 });
  await page.keyboard.up(' ');
  await press(page, 'Stop pouring');
  await press(page, /^A new yolk/);
  await press(page, /^The split sauce/);
  await press(page, 'That is it');
  await expect(page.getByTestId('round-end')).toContainText('So it is saved');
  await expectAccessible(page);
  // What came of it stands by cook, and is forgotten by one press, brought back by another.
  await page.getByRole('link', { name: 'What I am sure of' }).click();
  await expect(page.getByRole('region', { name: 'What is wrong?' })).toContainText('2 rounds');
  await expect(page.getByRole('region', { name: 'Pour' })).toContainText('0 of 1 right');
  await expectAccessible(page);
  await page.reload();
  await expect(page.getByRole('region', { name: 'Will it hold?' })).toBeVisible();
  await press(page, 'Forget all of it');
  await press(page, 'Yes, forget it');
  await expect(page.getByText('Nothing was practised yet.')).toBeVisible();
  await press(page, 'Bring it back');
  await expect(page.getByRole('region', { name: 'Safe or not?' })).toBeVisible();
  expect(await book()).toEqual(before);
});

test('oil that waits for the sauce comes together; a phone and German show it', async ({ page }) => {
  test.setTimeout(120_000);
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto('/practise?kind=pour&seed=3');
  const hold = page.getByRole('button', { name: 'Hold to pour' });
  const meter = page.getByRole('meter');
  await expect(hold).toBeVisible();
  for (let pour = 0; pour < 900 && (await hold.isVisible()); pour++) {
    const near = Number(await meter.getAttribute('aria-valuenow').catch(() => '0'));
    if (near < 40) await page.keyboard.down(' ');
    else await page.keyboard.up(' ');
    await page.waitForTimeout(60);
  }
  await page.keyboard.up(' ');
  await expect(page.getByTestId('round-end')).toContainText('It is together', { timeout: 60_000 });
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  for (const kind of ['wrong', 'amount', 'hold', 'safe']) {
    await page.goto(`/practise?kind=${kind}&seed=5`);
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  }
  await page.evaluate(() => {
    localStorage.setItem('ygrana-here', JSON.stringify({ tongue: 'de', dates: 'de-DE' }));
  });
  await page.goto('/practise?kind=wrong&seed=12');
  await expect(page.getByRole('heading', { level: 1, name: 'Üben' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'braucht Salz' })).toBeVisible();
  await expect(page.getByTestId('not-in-german')).toBeHidden();
});

test('a measure that was guessed is weighed, and kept among one’s own only where the cook says so', async ({
  page,
  request,
}) => {
  test.setTimeout(120_000);
  const measures = async (): Promise<number> =>
    ((await (await request.get('/api/measures')).json()) as unknown[]).length;
  const before = await measures();
  await page.goto('/practise?kind=amount');
  const weigh = page.getByRole('button', { name: 'Weigh it now' });
  const end = page.getByTestId('round-end');
  // Until it is one of the measures that a cook may weigh for good.
  for (let round = 0; round < 12; round++) {
    await page.getByLabel('Grams').fill('7');
    await page.keyboard.press('Enter');
    await expect(end).toBeVisible();
    if (await weigh.isVisible()) break;
    await page.getByRole('button', { name: 'Next round' }).click();
    await expect(end).toBeHidden();
  }
  await weigh.click();
  await expect(page.getByTestId('scale')).toContainText(/Simulated scale|In use/);
  const here = page.getByRole('button', { name: 'Read it here' });
  if (await here.isVisible()) await here.click();
  await page.getByLabel('Put on, g').fill('6.5');
  await page.getByRole('button', { name: 'Put it on' }).click();
  const keep = page.getByRole('button', { name: /^Keep \d.* among my measures/ });
  await expect(keep).toBeEnabled({ timeout: 15_000 });
  expect(await measures()).toBe(before);
  await keep.click();
  await expect(page.getByText('Kept among your measures.')).toBeVisible();
  expect(await measures()).toBe(before + 1);
});
