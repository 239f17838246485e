import { expect, test, type Page } from './kitchen';
import { Compose } from './bench';
import { Make } from './counter';
import { Finger, Keys } from './presses';

test.use({ kitchenFor: 'main-job' });

/** From nothing to a recorded batch, every step of the way counted. */
const MOST_PRESSES = 120;
const LINES = [
  '60 ml cider vinegar',
  '1 tsp honey',
  '2 tsp wholegrain mustard',
  '1 g salt',
  '150 ml walnut oil',
];
const gramsOf = (words: string): string | null => /([\d.]+) (g|kg)$/.exec(words.trim())?.[1] ?? null;

/** Every weight of the making typed as it is asked for, every deed done. */
async function weighAll(
  page: Page,
  type: (text: string) => Promise<void>,
  next: () => Promise<void>,
): Promise<void> {
  const make = new Make(page);
  const all = page.getByRole('region', { name: /^(All in the jar|Load weighed)$/ });
  await expect(make.step.or(all)).toBeVisible();
  for (let i = 0; i < 40 && !(await all.isVisible()); i++) {
    const words = (await make.step.textContent()) ?? '';
    const grams = gramsOf(words);
    if (grams) await type(grams);
    else await next();
    await expect(make.step.filter({ hasText: words })).toBeHidden();
    await expect(make.step.or(all)).toBeVisible();
  }
  await expect(all).toBeVisible();
}

test('the main job by keyboard alone', async ({ page }) => {
  test.setTimeout(180_000);
  const keys = new Keys(page);
  const compose = new Compose(page);
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'Shelf' })).toBeVisible();
  await keys.press('n');
  await expect(page.getByRole('button', { name: 'Empty jar' })).toBeFocused();
  await keys.press('Enter');
  await expect(compose.addLine).toBeVisible();
  await keys.press('a');
  for (const line of LINES) {
    await keys.type(line);
    await keys.press('Enter');
    await expect(compose.addLine).toHaveValue('');
  }
  await expect(compose.rows).toHaveCount(5);
  await compose.saved();
  keys.part('compose');

  await keys.press('Alt+2');
  await expect(page.getByRole('heading', { name: 'Before the first gram' })).toBeVisible();
  await keys.press('PageDown');
  const weigh = async (grams: string): Promise<void> => {
    const field = page.getByLabel(/^Weight of/);
    if (!(await field.isVisible())) await keys.press('h');
    await expect(field).toBeFocused();
    await keys.type(grams);
    await keys.press('Enter');
  };
  await weighAll(page, weigh, () => keys.press('PageDown'));
  keys.part('make');

  await keys.press('PageDown');
  await expect(page).toHaveURL(/taste/);
  // The mouth says two things; what mends both goes in by hand.
  for (const row of ['salt', 'sweet']) {
    await keys.reach(page.getByTestId(`row-${row}`).locator('input:checked'));
    await keys.press('ArrowLeft');
  }
  await keys.press('PageDown');
  const mend = page.getByTestId('mends').getByRole('listitem').first();
  await expect(mend).toContainText(/salt/i);
  await expect(mend).toContainText(/honey|sugar/i);
  await expect(page.getByTestId('jar-log')).toContainText(/needs salt/i);
  await keys.press('PageDown');
  await expect(mend).toBeHidden();
  await keys.press('r');
  await expect(page.getByText('Right, but not as v1')).toBeVisible();
  await keys.press('PageDown');
  await expect(page.getByRole('dialog')).toBeVisible();
  await keys.press('PageDown');
  await expect(page.getByRole('region', { name: 'Lineage' })).toContainText('v2');
  keys.part('taste');

  await keys.press('Alt+4');
  await expect(page.getByTestId('plan-table')).toBeVisible();
  await keys.press('a');
  await expect(page.getByLabel('Litres')).toBeFocused();
  await keys.type('10');
  await expect(page.getByTestId('plan-says')).toContainText('10 l');
  await expect(page.getByRole('region', { name: 'Loads' })).toContainText('One load');
  await keys.press('PageDown');
  await expect(page.getByTestId('batch-state')).toHaveText('planned');
  keys.part('plan');
  await keys.press('PageDown');
  await weighAll(page, weigh, () => keys.press('PageDown'));
  keys.part('weigh out');
  await keys.press('PageDown');
  await expect(page.getByTestId('batch-state')).toHaveText('weighed, not combined');
  await keys.press('PageDown');
  await expect(page.getByTestId('batch-state')).toHaveText('combined');
  const record = page.getByRole('region', { name: 'Record it' });
  await keys.reach(page.getByRole('button', { name: /^Put it in/ }));
  await keys.press('Enter');
  await expect(page.getByTestId('kept-aside')).toContainText('all in');
  await keys.reach(record.getByRole('button', { name: 'Right', exact: true }));
  await keys.press('Enter');
  await expect(page.getByTestId('verdict')).toContainText('Right.');
  await keys.reach(page.getByLabel('Recorded by'));
  await keys.type('Ida of the lake kitchen');
  await keys.press('Enter');
  await expect(page.getByTestId('batch-state')).toHaveText('recorded');
  keys.part('record');
  console.log(`By keyboard: ${keys.says()}`);
  expect(keys.count).toBeLessThanOrEqual(MOST_PRESSES);
});

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

  test('the main job by touch', async ({ page }) => {
    test.setTimeout(180_000);
    const finger = new Finger(page);
    const compose = new Compose(page);
    const button = (name: string | RegExp) => page.getByRole('button', { name, exact: true });
    const stage = (name: string): Promise<void> =>
      finger.tap(page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name, exact: true }));
    await page.goto('/');
    await finger.tap(button('New formula'));
    await finger.tap(button('Empty jar'));
    for (const line of LINES) {
      await finger.type(line, compose.addLine);
      await finger.send();
      await expect(compose.addLine).toHaveValue('');
    }
    await expect(compose.rows).toHaveCount(5);
    await compose.saved();
    finger.part('compose');

    await stage('Make');
    await finger.tap(button(/^Save as version 1 and/));
    const weigh = async (grams: string): Promise<void> => {
      const field = page.getByLabel(/^Weight of/);
      if (!(await field.isVisible())) await finger.tap(button('By hand'));
      await finger.type(grams, field);
      await finger.tap(button('Take what is typed'));
    };
    const next = (): Promise<void> => finger.tap(new Make(page).main);
    await weighAll(page, weigh, next);
    finger.part('make');

    await finger.tap(button('Taste it'));
    // Taste shows one part at a time.
    for (const row of ['salt', 'sweet'])
      await finger.tap(page.getByTestId(`thumb-${row}`).getByRole('button').first());
    await finger.tap(button('Record what it says'));
    await finger.tap(page.getByText('Mend', { exact: true }));
    const mend = page.getByTestId('mends').getByRole('listitem').first();
    await expect(mend).toContainText(/salt/i);
    await finger.tap(mend.getByRole('button', { name: 'It is in' }));
    await expect(mend).toBeHidden();
    await finger.tap(page.locator('label').filter({ hasText: /^Taste$/ }));
    await finger.tap(button('Right'));
    await finger.tap(button('Keep it as a new version'));
    await finger.tap(button('Keep as v2'));
    await expect(page.getByRole('region', { name: 'Lineage' })).toContainText('v2');
    finger.part('taste');

    await stage('Batch');
    await finger.type('10', page.getByLabel('Litres'));
    await expect(page.getByTestId('plan-says')).toContainText('10 l');
    await finger.tap(button(/^Take it on/));
    finger.part('plan');
    await finger.tap(page.getByRole('link', { name: /^Weigh out/ }));
    await weighAll(page, weigh, next);
    finger.part('weigh out');
    await finger.tap(page.getByRole('link', { name: 'All loads weighed: to the batch' }));
    await finger.tap(button('Mixed: on to tasting'));
    await finger.tap(button(/^Put it in/));
    await expect(page.getByTestId('kept-aside')).toContainText('all in');
    await finger.tap(
      page.getByRole('region', { name: 'Record it' }).getByRole('button', { name: 'Right', exact: true }),
    );
    await expect(page.getByTestId('verdict')).toContainText('Right.');
    await finger.type('Ida of the lake kitchen', page.getByLabel('Recorded by'));
    await finger.tap(button(/^Record batch/));
    await expect(page.getByTestId('batch-state')).toHaveText('recorded');
    finger.part('record');
    console.log(`By touch: ${finger.says()}`);
    expect(finger.count).toBeLessThanOrEqual(MOST_PRESSES);
  });
});
