/** What no machine rule sees: where the focus is when what had it is gone, and what is said out of sight. */
import type { Locator } from '@playwright/test';
import { expect, test, type Page } from './kitchen';
import { expectAccessible } from './axe';
import { Compose } from './bench';
import { Make } from './counter';

test.use({ kitchenFor: 'focus' });

/** Pressed by key where the focus is on it: what vanishes with the press takes the focus along. */
async function pressByKey(control: Locator): Promise<void> {
  await control.focus();
  await expect(control).toBeFocused();
  await control.press('Enter');
}

/** On something that is seen, or that sums the page up. */
async function expectFocusKept(page: Page, after: string): Promise<void> {
  await expect
    .poll(
      () =>
        page.evaluate(() => {
          const at = document.activeElement;
          return at !== null && at !== document.body && at.getClientRects().length > 0;
        }),
      { message: `the focus after ${after}` },
    )
    .toBe(true);
}

test('the focus is kept after renaming, recording what a jar says, saying right and keeping a version', async ({
  page,
}) => {
  await page.goto('/');
  await pressByKey(page.getByRole('button', { name: 'More about Plum & thyme' }));
  await pressByKey(page.getByRole('menuitem', { name: 'Rename…' }));
  const name = page.getByRole('dialog').getByLabel('Name of the formula');
  await name.fill('Plum & thyme of the lake');
  await name.press('Enter');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await expectFocusKept(page, 'renaming');

  const compose = new Compose(page);
  await compose.fresh('36 ml red wine vinegar', '1 g salt', '90 ml olive oil');
  await compose.saved();
  await page.getByRole('link', { name: 'Taste' }).click();
  await pressByKey(page.getByRole('button', { name: /is made already$/ }));
  await expect(page.getByRole('button', { name: 'Record what it says' })).toBeVisible();
  await expectFocusKept(page, 'beginning a jar');
  await page.getByRole('radio', { name: 'needs salt, a little' }).check({ force: true });
  const log = page.getByTestId('jar-log').getByRole('listitem');
  await pressByKey(page.getByRole('button', { name: 'Record what it says' }));
  await expect(log).toHaveCount(2);
  await expectFocusKept(page, 'recording');
  await pressByKey(page.getByTestId('mends').getByRole('button', { name: 'It is in' }).first());
  await expect(log).toHaveCount(3);
  await expectFocusKept(page, 'a mend that is in');
  await pressByKey(page.getByRole('button', { name: 'Right', exact: true }));
  await expect(log).toHaveCount(4);
  await expectFocusKept(page, 'right');
  await pressByKey(page.getByRole('button', { name: 'Keep it as a new version' }));
  await expect(page.getByRole('dialog')).toBeVisible();
  await expectAccessible(page);
  await page.keyboard.press('Escape');
  await expect(page.getByRole('button', { name: 'Keep it as a new version' })).toBeFocused();
  await page.keyboard.press('Enter');
  await pressByKey(page.getByRole('button', { name: 'Keep as v2' }));
  await expect(page).toHaveURL(/versions/);
  await expectFocusKept(page, 'keeping a version');
});

test('the focus is kept from taking a batch on to its record', async ({ page }) => {
  const compose = new Compose(page);
  await compose.fresh('36 ml red wine vinegar', '90 ml olive oil');
  await compose.saved();
  await page.getByRole('button', { name: 'Save as version 1' }).click();
  await expect(page.getByTestId('version')).toHaveText('v1');
  await page.getByRole('link', { name: 'Batch', exact: true }).click();
  await page.getByLabel('Litres').fill('1');
  await expect(page.getByTestId('plan-says')).toContainText('1 l');
  await pressByKey(page.getByRole('button', { name: /^Take it on/ }));
  await expect(page.getByTestId('batch-state')).toHaveText('planned');
  await expectFocusKept(page, 'taking on');
  await pressByKey(page.getByRole('link', { name: /^Weigh out/ }));
  const make = new Make(page);
  const all = page.getByRole('region', { name: 'Load weighed' });
  await expect(make.step).toBeVisible();
  for (let i = 0; i < 20 && !(await all.isVisible()); i++) {
    const words = (await make.step.textContent()) ?? '';
    const grams = /([\d.]+) g$/.exec(words)?.[1];
    if (grams) await make.typed(grams);
    else await page.keyboard.press('PageDown');
    await expect(make.step.filter({ hasText: words })).toBeHidden();
    await expect(make.step.or(all)).toBeVisible();
  }
  await pressByKey(page.getByRole('link', { name: 'All loads weighed: to the batch' }));
  await pressByKey(page.getByRole('button', { name: 'Mixed: on to tasting' }));
  await expect(page.getByTestId('batch-state')).toHaveText('combined');
  await expectFocusKept(page, 'mixing');
  const record = page.getByRole('region', { name: 'Record it' });
  await pressByKey(record.getByRole('button', { name: 'Right', exact: true }));
  await expect(page.getByTestId('verdict')).toContainText('Right.');
  await expectFocusKept(page, 'the verdict');
  await page.getByLabel('Recorded by').fill('Ida');
  await pressByKey(page.getByRole('button', { name: /^Record batch/ }));
  await expect(page.getByTestId('batch-state')).toHaveText('recorded');
  await expectFocusKept(page, 'recording the batch');
});

test('the sheets of a backup and of two who changed the same line can be worked by ear and key', async ({
  page,
  browser,
}) => {
  await page.goto('/settings');
  const restore = page.getByRole('button', { name: 'Restore from a file…' });
  const choosing = page.waitForEvent('filechooser');
  await pressByKey(restore);
  await (
    await choosing
  ).setFiles({ name: 'spring.ygrana', mimeType: 'application/gzip', buffer: Buffer.from('not a backup') });
  const sheet = page.getByRole('dialog', { name: 'Replace the whole kitchen?' });
  await expect(sheet).toContainText('spring.ygrana');
  await expectAccessible(page);
  // What is no backup is said, and nothing is replaced.
  await pressByKey(sheet.getByRole('button', { name: 'Replace it' }));
  await expect(sheet.getByRole('alert')).toBeVisible();
  await expectFocusKept(page, 'a file that is no backup');
  await page.keyboard.press('Escape');
  await expect(sheet).toHaveCount(0);
  await expect(restore).toBeFocused();

  const mine = new Compose(page);
  await mine.fresh('30 ml cider vinegar', '1 tsp honey', '90 ml rapeseed oil');
  await mine.saved();
  const context = await browser.newContext({ baseURL: new URL(page.url()).origin });
  const other = await context.newPage();
  await other.goto(page.url());
  const theirs = new Compose(other);
  await page.context().route('**/api/**', (route) => route.abort());
  await mine.amount('Honey').fill('2 tsp');
  await mine.amount('Honey').press('Enter');
  await expect(mine.saveState).toContainText('Server away');
  await theirs.amount('Honey').fill('5 tsp');
  await theirs.amount('Honey').press('Enter');
  await theirs.saved();
  await page.context().unroute('**/api/**');
  const choose = page.getByTestId('sync').getByRole('button', { name: 'Choose' });
  await expect(choose).toBeVisible();
  await pressByKey(choose);
  const both = page.getByRole('dialog');
  await expect(both).toContainText('5 tsp');
  await expectAccessible(page);
  await page.keyboard.press('Escape');
  await expect(choose).toBeFocused();
  await page.keyboard.press('Enter');
  await pressByKey(both.getByRole('button', { name: /^Take theirs/ }));
  await expect(both).toHaveCount(0);
  await expect(mine.amount('Honey')).toHaveValue('5 tsp');
  await expectFocusKept(page, 'choosing theirs');
  await context.close();
});

test('a timer that ends says its name in a notification and in the title while its tab is hidden', async ({
  page,
  context,
}) => {
  await context.grantPermissions(['notifications']);
  await page.addInitScript(() => {
    const told: string[] = [];
    Object.assign(window, { told });
    window.Notification = class {
      static readonly permission = 'granted';
      constructor(words: string) {
        told.push(words);
      }
    } as unknown as typeof Notification;
    Object.defineProperty(document, 'hidden', { get: () => 'away' in window });
  });
  await page.goto('/pantry');
  await expect(page.getByRole('heading', { level: 1 }).first()).toBeAttached();
  // By the page's own hand: changes from elsewhere are not taken.
  const status = await page.evaluate(async () => {
    const timer = { id: 'steep-1', label: 'Steep the shallot', seconds: 4, formulaId: null, trialId: null };
    const headers = { 'content-type': 'application/json' };
    return (await fetch('/api/timers', { method: 'POST', headers, body: JSON.stringify(timer) })).status;
  });
  expect(status).toBeLessThan(300);
  await expect(page.getByTestId('timer')).toContainText('Steep the shallot');
  // Another tab comes before it.
  await page.evaluate(() => Object.assign(window, { away: true }));
  await expect(page).toHaveTitle(/^Time: Steep the shallot · /);
  expect(await page.evaluate(() => (window as unknown as { told: string[] }).told)).toEqual([
    'Time: Steep the shallot',
  ]);
  await pressByKey(page.getByRole('button', { name: 'Done Steep the shallot' }));
  await expect(page).not.toHaveTitle(/^Time/);
  await expectFocusKept(page, 'ending a timer');
});

test('the station keeps long names inside, and says it when the server goes away under it', async ({
  page,
}) => {
  const long = `${'Slow-steeped blackcurrant-leaf '.repeat(3)}vinegar`;
  const make = new Make(page);
  await make.begin(`40 ml cider vinegar`, `30 g ${long}`, '90 ml walnut oil');
  for (const size of [
    { width: 1280, height: 800 },
    { width: 390, height: 844 },
  ]) {
    await page.setViewportSize(size);
    const over = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
    expect(over, `Make at ${size.width}`).toBeLessThanOrEqual(0);
    const box = (await make.main.boundingBox())!;
    expect(box.y + box.height).toBeLessThanOrEqual(size.height);
  }
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.context().route('**/api/**', (route) => route.abort());
  await make.typed('40.4');
  await expect(page.getByTestId('sync')).toContainText('Server away');
  await expect(make.steps.first()).toContainText('✓');
  await expectAccessible(page);
  await page.context().unroute('**/api/**');
  await expect(page.getByTestId('sync')).toHaveAttribute('data-unsent', '0', { timeout: 30_000 });
});
