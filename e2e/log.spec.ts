import { expect, test } from './kitchen';
import { expectAccessible } from './axe';
import { Compose } from './bench';

test.use({ kitchenFor: 'log' });

test(
  'looks at a jar: the band narrows, is said why, switched off and remembered again',
  { tag: '@often' },
  async ({ page }) => {
    test.setTimeout(90_000);
    const compose = new Compose(page);
    await compose.fresh('50 g red wine vinegar', '2 g salt', '5 g Dijon mustard', '120 g olive oil');
    await compose.saved();
    await page.getByRole('button', { name: 'How to make it hold' }).click();
    const said = page.getByTestId('hold-now').getByRole('paragraph').first();
    await expect(said).toContainText(/Holds about/);
    const before = await said.textContent();
    await page.keyboard.press('Escape');
    await page.getByRole('link', { name: 'Taste', exact: true }).click();
    await page.getByRole('button', { name: /is made already$/ }).click();
    await expect(page.getByTestId('jar-log')).toBeVisible();
    await page.getByRole('link', { name: 'Log', exact: true }).last().click();
    await expect(page.getByRole('heading', { name: 'Look at jar 1' })).toBeVisible();
    const since = page.getByLabel('Minutes since the shake');
    await since.fill('soon');
    await expect(page.getByText('Minutes above nothing.')).toBeVisible();
    await since.fill('480');
    await page.getByLabel('In your own words').fill('a hair of water at the bottom');
    await page.getByRole('button', { name: 'A thin layer' }).click();
    await expect(page.getByTestId('lessons')).toContainText('apart at 8 h');
    await expect(page.getByTestId('inside')).toContainText(
      /^Of this kitchen’s \d+ looks? at jars, \d+ (was|were) inside/,
    );
    await expect(page.getByTestId('jar-log').last()).toContainText('a thin layer: a hair of water');
    await page.getByRole('button', { name: 'Shaken again now' }).click();
    await expect(page.getByTestId('jar-log').last()).toContainText('Shaken');
    await expect(since).toHaveAttribute('placeholder', '0');
    await expectAccessible(page);
    await page.getByLabel('Search the notes').fill('HAIR of');
    await expect(page.getByTestId('jar')).toHaveCount(1);
    await page.getByLabel('Search the notes').fill('moonlight');
    await expect(page.getByText('No jar fits this search.')).toBeVisible();

    await page.getByRole('link', { name: 'Compose' }).click();
    await page.getByRole('button', { name: 'How to make it hold' }).click();
    await expect(page.getByTestId('learnt')).toContainText('The model alone says');
    await expect(said).not.toHaveText(before!);
    expect(bandOf((await said.textContent())!)).toBeLessThan(bandOf(before!));
    await page.keyboard.press('Escape');
    await page.getByRole('link', { name: 'Log', exact: true }).last().click();
    await page.getByLabel('Looks move predicted holds').uncheck();
    await expect(page.getByText('The model alone speaks now.')).toBeVisible();
    await page.getByLabel('Looks move predicted holds').check();
    await page.getByRole('button', { name: 'Forget what was learnt so far' }).click();
    await expect(page.getByText('Nobody has looked at a jar of this yet.')).toBeVisible();
    await page.getByRole('button', { name: 'Remember it again' }).click();
    await expect(page.getByTestId('lessons')).toBeVisible();
  },
);

test('the diary: jars in the order of time, a month of them, and a day that is pressed', async ({ page }) => {
  await page.goto('/formulas/walnut-cider/log');
  const jars = page.getByTestId('jar');
  await expect(jars.nth(2)).toBeVisible();
  const all = await jars.count();
  const mended = jars.filter({ hasText: 'Went in: ' }).first();
  await expect(mended).toContainText(/honey/);
  await expect(mended.getByRole('img', { name: /^Jar \d+$/ })).toBeVisible();
  // The newest lies open; the weighings fold away.
  await expect(jars.first().getByTestId('jar-log')).toBeVisible();
  await expect(jars.nth(1).getByTestId('jar-log')).toBeHidden();
  await jars.nth(1).locator('summary').click();
  await expect(jars.nth(1).getByTestId('jar-log')).toBeVisible();
  const month = page.getByTestId('month');
  const day = month.getByRole('button', { name: /: one jar$/ }).first();
  await day.click();
  await expect(jars).toHaveCount(1);
  // It stands in the address, and pressed again all are there.
  await expect(page).toHaveURL(/from=\d{4}-\d\d-\d\d/);
  await day.click();
  await expect(jars).toHaveCount(all);
  await month.getByRole('button', { name: 'The month after' }).click();
  await expect(month.getByRole('status')).toHaveText('no jar');
});

/** How wide the band is: its far end over its near end, from "Holds about 2½ h (1 to 6 h)". */
function bandOf(said: string): number {
  const [, low = '', high = ''] = /\(([^)]*) to ([^)]*)\)/.exec(said) ?? [];
  const unit = (text: string): number => (/day/.test(text) ? 1440 : /h/.test(text) ? 60 : 1);
  const minutes = (text: string, as: string): number =>
    (Number(/\d+/.exec(text)?.[0] ?? 0) + (text.includes('½') ? 0.5 : 0)) * unit(as);
  return minutes(high, high) / minutes(low, /[a-z]/.test(low) ? low : high);
}

test('versions stand as a lineage; what tasters said moved a window, can be read and switched off', async ({
  page,
}) => {
  await page.goto('/formulas/walnut-cider/log');
  const lineage = page.getByRole('region', { name: 'Lineage' });
  await expect(lineage).toContainText('v4');
  await expect(lineage).toContainText('branched from v2');
  await expect(lineage).toContainText(/proven, right as made 2 of \d/);
  const windows = async (): Promise<void> => {
    await page.goto('/formulas/walnut-cider/compose');
    await page.getByTestId('aim').click();
    await page.getByRole('button', { name: 'Windows of Classic, 3 : 1' }).click();
    await expect(page.getByRole('heading', { name: /^Windows of/ })).toBeVisible();
  };
  await windows();
  await expect(page.getByTestId('shifts')).toContainText('in this kitchen (estimate)');
  await page.goto('/formulas/walnut-cider/log');
  await page.getByLabel('Tastings move windows').uncheck();
  await expect(page.getByLabel('Tastings move windows')).not.toBeChecked();
  await windows();
  await expect(page.getByTestId('shifts')).toBeHidden();
  await page.goto('/formulas/walnut-cider/log');
  await page.getByLabel('Tastings move windows').check();
});

test('the kitchen’s log: newest first, searched, and what it comes to; the shelf says what is proven', async ({
  page,
}) => {
  await page.goto('/log');
  const jars = page.getByTestId('kitchen-log').getByTestId('jar');
  await expect(jars.first()).toBeVisible();
  // What it comes to leads, and leads to its jars.
  const comesTo = page.getByTestId('comes-to');
  await expect(comesTo).toContainText('too sharp twice since the new rice vinegar');
  await expect(comesTo).toContainText('Made this week: Walnut & cider house');
  await expectAccessible(page);
  await page.getByLabel('Search notes, bottles and names').fill('bitter leaves');
  await expect(jars).toHaveCount(1);
  await expect(jars).toContainText('Walnut & cider house');
  await expect(jars).toContainText('v2');
  await page.getByRole('button', { name: 'Show all jars' }).click();
  await page.getByRole('combobox', { name: 'Bottle' }).click();
  await page.getByRole('option', { name: 'harbour shop' }).click();
  await expect(jars).toHaveCount(2);
  await expect(page).toHaveURL(/bottle=harbour/);
  await expect(jars.first()).toContainText(/Went in: .*(tsp|tbsp).* honey \(8\.0 g\)/);
  await page
    .getByTestId('month')
    .getByRole('button', { name: /: one jar$/ })
    .first()
    .click();
  await expect(jars).toHaveCount(1);
  await comesTo.getByRole('link', { name: /too sharp twice/ }).click();
  await expect(page).toHaveURL(/ginger-sesame\/log\?jars=/);
  await expect(page.getByTestId('jar')).toHaveCount(2);
  await expect(page.getByTestId('comes-to')).toContainText('Too sharp twice since the new rice vinegar');
  await page.getByRole('button', { name: 'Show all jars' }).click();
  await expect(page.getByTestId('jar')).toHaveCount(3);
  await page.goto('/?state=tried');
  await expect(page.getByRole('link', { name: /House mayonnaise/ })).toContainText('tried');
});
