import { expectAccessible } from './axe';
import { Compose } from './bench';
import { Make } from './counter';
import { expect, test } from './kitchen';

test.use({ kitchenFor: 'stages' });

test('a stop is opened, looked at, made as far as there, tasted and gone on from @often', async ({
  page,
}) => {
  test.setTimeout(120_000);
  const compose = new Compose(page);
  await compose.fresh('60 g cider vinegar', '3 g salt', '180 g olive oil');
  const stair = page.getByTestId('stair');
  await stair.getByRole('button', { name: /A place to stop here/ }).click();
  // "+" alone is no name, and what is wrong is said where it is typed.
  await page.keyboard.press('Enter');
  await expect(page.getByText('Give the stage a name.')).toBeVisible();
  await page.getByLabel('Name of the stage').fill('+ yoghurt');
  await page.keyboard.press('Enter');
  await expect(stair.getByRole('button', { name: /^Base/ })).toBeVisible();
  await expect(stair.getByRole('button', { name: /^\+ yoghurt/ })).toHaveAttribute('aria-current', 'step');
  await compose.add('120 g Greek yoghurt');
  await expect(page.getByTestId('stage').last()).toHaveText('+ yoghurt');
  await expect(page.getByTestId('fill')).toBeVisible();
  // Down the stair by key: only what is in it there, judged by itself.
  await page.getByTestId('fill').click();
  await page.keyboard.press('[');
  await expect(stair.getByRole('button', { name: /^Base/ })).toHaveAttribute('aria-current', 'step');
  await expect(compose.rows).toHaveCount(3);
  await expect(stair).toContainText('As it is where you stop at “Base”');
  await expectAccessible(page);
  await page.keyboard.press(']');
  await expect(compose.rows).toHaveCount(4);
  await page.keyboard.press('[');
  await compose.saved();
  await stair.getByRole('link', { name: 'Make it as far as here' }).click();
  await expect(page).toHaveURL(/make\?stage=0/);
  await expect(page.getByTestId('setup')).toContainText('only as far as “Base”');
  const make = new Make(page);
  await make.start();
  await expect(make.steps).toHaveCount(4 + 1);
  await make.typed('60');
  await make.typed('3');
  await page.keyboard.press('Space');
  await make.typed('180');
  await page.keyboard.press('Space');
  await expect(page.getByRole('heading', { name: '“Base” stands' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Taste it' })).toBeVisible();
  await page.getByRole('button', { name: 'Go on: + yoghurt' }).click();
  await expect(make.step).toHaveText(/yoghurt, 120\.0 g/i);
  await make.typed('120');
  await page.keyboard.press('Space');
  await expect(page.getByRole('heading', { name: 'All in the jar' })).toBeVisible();
  await expect(make.inJar).toContainText('363 g');
});

test('a text with headings is brought in with its stages, and goes out with them', async ({ page }) => {
  await page.goto('/import');
  await page
    .getByLabel(/^Paste it/)
    .fill('== Lean base\n30 ml cider vinegar\n60 ml olive oil\n== + pesto\n2 tbsp basil\n1 tbsp pine nuts');
  await page.getByRole('button', { name: 'Make the draft' }).click();
  const stair = page.getByTestId('stair');
  await expect(stair.getByRole('button', { name: /^Lean base/ })).toBeVisible();
  await stair.getByRole('button', { name: /^Lean base/ }).click();
  const compose = new Compose(page);
  await expect(compose.rows).toHaveCount(2);
  await page.goto(page.url().replace('/compose', '/share'));
  await expect(page.getByText('== + pesto').first()).toBeVisible();
  // Taken out again, what went in there goes in before it; one step of undo.
  await page.goto(page.url().replace('/share', '/compose'));
  await stair.getByRole('button', { name: 'No stop here' }).click();
  await expect(stair.getByRole('button', { name: /^Lean base/ })).toHaveCount(0);
  await page.keyboard.press('Control+z');
  await expect(stair.getByRole('button', { name: /^Lean base/ })).toBeVisible();
});

test('a batch is made only as far as a stage: its plan, its record and its loads stop there', async ({
  page,
}) => {
  await page.goto('/formulas/herb-white-bean/batch');
  const freeze = page.getByRole('button', { name: /^Save as version/ });
  await expect(page.getByTestId('as-far-as')).toBeVisible();
  if (await freeze.isVisible()) await freeze.click();
  const plan = page.getByRole('region', { name: 'The plan' });
  await expect(plan).toContainText('White beans');
  await page.getByTestId('as-far-as').getByText('Sharp base').click();
  await expect(page).toHaveURL(/stage=0/);
  await expect(plan).not.toContainText('White beans', { timeout: 15_000 });
  await expect(plan).toContainText('Cider vinegar');
  await page.getByRole('button', { name: /^Take it on/ }).click();
  await expect(page).toHaveURL(/\/batch\/[a-z0-9]+/);
  await expect(page.getByText(/only as far as “Sharp base”/).first()).toBeVisible();
  const id = page.url().split('/').at(-1)!;
  const { loads } = (await (await page.request.get(`/api/batches/${id}`)).json()) as {
    loads: { making: { stage?: number; steps: { line?: { ingredientId: string } }[] } }[];
  };
  for (const { making } of loads) {
    expect(making.stage).toBe(0);
    expect(making.steps.some(({ line }) => line?.ingredientId.includes('bean'))).toBe(false);
  }
});
