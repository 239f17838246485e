import { expectAccessible } from './axe';
import { Compose } from './bench';
import { expect, test, type Page } from './kitchen';
import { textOf, weighLoad } from './weighing';

test.use({ kitchenFor: 'endings' });

async function named(page: Page, name: string): Promise<void> {
  const field = page.getByLabel('Name of the formula');
  await field.fill(name);
  await field.press('Enter');
  await expect(page.getByRole('button', { name: /^Save as version 1/ })).toBeEnabled();
  await page.getByRole('button', { name: /^Save as version 1/ }).click();
  await expect(page.getByRole('button', { name: /^Save as version 1/ })).toBeHidden();
}

const ENDINGS = [
  { name: 'Creamy', line: '120 g yoghurt', allergen: 'milk' },
  { name: 'Sesame', line: '40 g tahini', allergen: 'sesame' },
  { name: 'With herbs', line: '12 g parsley, chopped', allergen: null },
];

test('one base, three endings: composed, made once, split, weighed in one go, each with labels of its own', async ({
  page,
}) => {
  test.setTimeout(300_000);
  const compose = new Compose(page);
  await compose.fresh('90 ml cider vinegar', '12 g dijon mustard', '5 g sea salt', '240 ml rapeseed oil');
  await compose.saved();
  await named(page, 'Counter base');
  const base = page.url().replace('/compose', '');
  for (const { name, line } of ENDINGS) {
    await page.goto(`${base}/versions`);
    await page.getByRole('button', { name: 'Go on from it in another formula' }).click();
    await expect(compose.rows).toHaveCount(1);
    await compose.add(line);
    await compose.saved();
    await named(page, name);
  }
  await page.goto(`${base}/batch`);
  await page.getByLabel('Litres', { exact: true }).fill('6');
  const split = page.getByTestId('split');
  await expect(split.getByTestId('plain')).toHaveText('6 l');
  await split.getByLabel('Litres into With herbs').fill('lots');
  await expect(split).toContainText('Litres of the base, such as 2.');
  await split.getByLabel('Litres into With herbs').fill('2');
  await split.getByLabel('Litres into Creamy').fill('2');
  await split.getByLabel('Litres into Sesame').fill('4');
  await expect(split.getByTestId('over')).toContainText('2 l more goes on than comes out.');
  await expect(page.getByRole('button', { name: /^Take it on/ })).toBeDisabled();
  await split.getByRole('button', { name: 'Make 8 l' }).click();
  await expect(split.getByTestId('over')).toHaveCount(0);
  await page.getByLabel('Litres', { exact: true }).fill('6');
  await split.getByLabel('Litres into Sesame').fill('1');
  await expect(split.getByTestId('plain')).toHaveText('1 l');
  await expect(split.getByTestId('ending-says')).toHaveCount(3);
  // One list for all, the base's own things once, and no line for the base.
  const pull = page.getByTestId('pull-list');
  await expect(pull.getByRole('row', { name: /Cider vinegar/ })).toHaveCount(1);
  for (const thing of ['Parsley', 'yoghurt', 'Tahini'])
    await expect(pull).toContainText(new RegExp(thing, 'i'));
  await expect(pull).not.toContainText('Counter base');
  await expectAccessible(page);
  // The address holds it.
  await page.reload();
  await expect(split.getByLabel('Litres into Creamy')).toHaveValue('2');
  await page.getByRole('button', { name: /and 3 endings$/ }).click();
  await expect(page.getByTestId('batch-state')).toHaveText('planned');
  const family = page.getByTestId('batch-family');
  await expect(family.getByRole('listitem')).toHaveCount(4);
  await expect(family.getByRole('listitem').first()).toContainText('next');
  const paper = await textOf(page, () => page.getByRole('button', { name: 'Pull list' }).click());
  expect(paper).toMatch(/Tahini/);
  // An ending waits for its base.
  await family.getByRole('link', { name: 'Creamy' }).click();
  await expect(page.getByTestId('base-first')).toContainText('Make and taste the base first');
  await expectAccessible(page);
  await family.getByRole('link', { name: 'Counter base' }).click();

  const made = page.url();

  const weighIt = async (): Promise<void> => {
    await page.getByRole('link', { name: /Weigh out load 1/ }).click();
    await weighLoad(page);
    const another = page.getByRole('link', { name: /^On to load/ });
    while (await another.isVisible()) {
      await another.click();
      await weighLoad(page);
    }
    await page.getByRole('link', { name: 'All loads weighed: to the batch' }).click();
    await page.getByRole('button', { name: /on to tasting$/ }).click();
    await expect(page.getByTestId('batch-state')).toHaveText('combined');
  };
  await weighIt();
  // What is kept aside goes in before it is poured on.
  await expect(family).toContainText('Taste it and put in what is kept aside');
  await expect(family.getByRole('link', { name: /^On to/ })).toHaveCount(0);
  await page.getByRole('link', { name: 'Taste and finish' }).click();
  await page.getByRole('button', { name: 'Right', exact: true }).click();
  await expect(page.getByTestId('jar-log')).toContainText('Right, on a leaf');
  await page.goto(made);
  for (const { name, allergen } of ENDINGS) {
    await family.getByRole('link', { name: `On to ${name}` }).click();
    await expect(page.getByRole('heading', { level: 1 })).toContainText(name);
    await expect(page.getByTestId('base-first')).toHaveCount(0);
    await weighIt();
    const label = await textOf(page, () =>
      page.getByRole('button', { name: /^Print (the|\d+) label/ }).click(),
    );
    for (const said of [name, 'Use by', 'mustard']) expect(label).toContain(said);
    for (const other of ['milk', 'sesame'])
      if (other === allergen) expect(label).toContain(other);
      else expect(label).not.toContain(other);
  }
  await expect(family).not.toContainText('next');
  await page.goto('/batches');
  await expect(
    page.getByTestId('day-batches').getByRole('row', { name: /Sesame.*from \d{8}-\d\d/ }),
  ).toBeVisible();

  // A day that serves two of them: the plan sees the base they share.
  await page.goto('/plan?day=2031-06-21');
  await page.getByLabel(/^At/).fill('12:00');
  await page.getByRole('button', { name: 'Add the service' }).click();
  for (const dressing of ['Creamy', 'With herbs']) {
    await page.getByRole('combobox', { name: 'Dressing' }).click();
    await page.getByRole('option', { name: dressing }).click();
    await page.getByRole('button', { name: 'Add the dish' }).click();
    await expect(page.getByTestId('day-needs')).toContainText(dressing);
  }
  const shared = page.getByTestId('shared-base');
  await expect(shared).toContainText('Creamy and With herbs: all with Counter base v1.');
  await expect(shared).toContainText(/of it once: about \d+ min less work, one bowl and tool less to wash/);
  await expectAccessible(page);
  await shared.getByRole('link', { name: 'Plan the base once' }).click();
  await expect(split.getByLabel('Litres into Creamy')).not.toHaveValue('');
  await expect(split.getByTestId('over')).toHaveCount(0);
  await expect(page.getByLabel('For the day')).toHaveValue('2031-06-21');
  await expect(page.getByRole('button', { name: /and 2 endings$/ })).toBeEnabled();
});
