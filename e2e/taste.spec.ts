import { expect, test } from './kitchen';
import { expectAccessible } from './axe';
import { Compose } from './bench';
import { Make } from './counter';

test.use({ kitchenFor: 'taste' });

test(
  'tastes a jar, mends it twice, says it is right, and brings the mends into Compose',
  { tag: '@often' },
  async ({ page }) => {
    const compose = new Compose(page);
    await compose.fresh('60 ml red wine vinegar', '1.5 g salt', '1 tsp Dijon mustard', '90 ml olive oil');
    await compose.saved();
    await page.getByRole('link', { name: 'Taste' }).click();
    await expect(page.getByRole('heading', { name: 'No jar of this yet' })).toBeVisible();
    await page.getByRole('button', { name: 'Save as version 1: the jar is made already' }).click();
    const log = page.getByTestId('jar-log').getByRole('listitem');
    await expect(log).toHaveCount(1);
    await expect(log.first()).toContainText('Made from v1');
    // Nothing said: nothing to record.
    await expect(page.getByRole('button', { name: 'Record what it says' })).toBeDisabled();
    await page.getByRole('radio', { name: 'too sharp, clearly' }).check({ force: true });
    await expect(page.getByRole('button', { name: 'Right', exact: true })).toBeDisabled();
    const mends = page.getByTestId('mends').getByRole('listitem');
    await expect(
      mends.filter({ has: page.getByRole('button', { name: 'Weigh it in' }) }).first(),
    ).toContainText('white sugar');
    await page.getByLabel('Minutes since the shake').fill('soon');
    await expect(page.getByText('A number of minutes, or nothing.')).toBeVisible();
    await page.getByLabel('Minutes since the shake').fill('12');
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Weigh it in' }).first().click();
    // What mends it is a step: typed here, weighed where there is a scale.
    const make = new Make(page);
    await expect(make.step).toHaveText(/, [\d.]+ g$/);
    await make.typed('11');
    await expect(make.step).toHaveText('Close and shake');
    await page.keyboard.press('Space');
    await page.getByRole('button', { name: 'Taste it' }).click();
    await expect(log).toHaveCount(5);
    await expect(log.nth(1)).toContainText('Too sharp 2, on a leaf');
    await expect(log.nth(2)).toContainText('To mend it');
    await expect(log.nth(3)).toContainText('11.0 g');
    await page.getByRole('button', { name: 'Flat' }).click();
    await page.getByLabel('In your own words').fill('dull at the back');
    await page.getByRole('button', { name: 'Record what it says' }).click();
    await expect(log.nth(5)).toContainText('Flat 2, on a leaf: dull at the back');
    await page.getByRole('button', { name: 'Right', exact: true }).click();
    await expect(log.nth(6)).toContainText('Right, on a leaf');
    await expect(page.getByText('right once mended')).toBeVisible();
    // Taken back it is struck out, and still there after a reload.
    await page.getByRole('button', { name: 'Undo the last' }).click();
    await expect(page.getByText('not right yet')).toBeVisible();
    await page.getByRole('button', { name: 'Right', exact: true }).click();
    await expect(log).toHaveCount(9);
    await page.reload();
    await expect(log).toHaveCount(9);
    await expect(log.locator('del')).toHaveCount(1);
    await page.getByRole('button', { name: 'Keep it as a new version' }).click();
    await page.getByRole('button', { name: 'Keep as v2' }).click();
    await expect(page).toHaveURL(/versions/);
    await page.getByRole('link', { name: 'Compose' }).click();
    await expect(page.getByTestId('version')).toHaveText('v2');
  },
);

test('sweet and salt mended together by gestures, right and kept in eight presses', async ({ page }) => {
  const compose = new Compose(page);
  await compose.fresh('36 ml red wine vinegar', '1 g salt', '15.7 g Dijon mustard', '90 ml olive oil');
  await compose.saved();
  await page.getByRole('link', { name: 'Taste' }).click();
  await page.getByRole('button', { name: /is made already$/ }).click();
  let presses = 0;
  const press = async (target: import('@playwright/test').Locator): Promise<void> => {
    presses += 1;
    await target.click({ force: true });
  };
  await press(page.getByRole('radio', { name: 'needs sweet, a little' }));
  await press(page.getByRole('radio', { name: 'needs salt, a little' }));
  const mends = page.getByTestId('mends').getByRole('listitem');
  await expect(mends.first()).toContainText(/pinch/);
  await expect(page.getByTestId('alone')).toContainText('By themselves');
  await press(mends.first().getByRole('button', { name: 'It is in' }));
  const log = page.getByTestId('jar-log').getByRole('listitem');
  await expect(log).toHaveCount(3);
  // One more, of one's own.
  await press(
    page
      .getByTestId('gestures')
      .getByRole('button', { name: /^a pinch of/ })
      .first(),
  );
  await expect(log).toHaveCount(4);
  await press(page.getByRole('button', { name: 'Right', exact: true }));
  await press(page.getByRole('button', { name: 'Keep it as a new version' }));
  await press(page.getByRole('button', { name: 'Keep as v2' }));
  await expect(page).toHaveURL(/versions/);
  expect(presses).toBeLessThanOrEqual(8);
  await page.getByRole('link', { name: 'Compose' }).click();
  // What was right is kept as it was made.
  await expect(compose.amount('Dijon-type mustard')).toHaveValue('15.7 g');
  await expect(compose.amount('Red wine vinegar 6 %')).toHaveValue('36 ml');
});

test('a pinch goes in before, between and after the steps of a making', async ({ page }) => {
  const make = new Make(page);
  await make.begin('30 ml cider vinegar', '1 g salt', '90 ml walnut oil');
  await page.getByRole('button', { name: 'One more pinch' }).click();
  const pad = page.getByTestId('gestures');
  await pad.getByLabel('Or say what went in').fill('7 glorps of moonlight');
  await expect(pad.getByRole('button', { name: /^It is in/ })).toBeDisabled();
  await pad.getByLabel('Or say what went in').fill('a pinch of cumin');
  await pad.getByRole('button', { name: /^It is in/ }).click();
  await page.keyboard.press('Escape');
  await expect(make.step).toBeVisible();
  await page.getByRole('link', { name: 'Taste' }).click();
  await expect(page.getByTestId('jar-log')).toContainText('a pinch of cumin');
});

test('what was said stays when the server is away, and is recorded once it is back', async ({
  page,
  context,
}) => {
  const compose = new Compose(page);
  await compose.fresh('30 ml cider vinegar', '1 g salt', '90 ml walnut oil');
  await compose.saved();
  await page.getByRole('link', { name: 'Taste' }).click();
  await page.getByRole('button', { name: /is made already$/ }).click();
  await expect(page.getByTestId('jar-log')).toBeVisible();
  await page.getByRole('radio', { name: 'needs salt, a little' }).check({ force: true });
  await context.setOffline(true);
  await page.getByRole('button', { name: 'Record what it says' }).click();
  await expect(page.getByTestId('outbox')).toContainText('1 step waits in this browser');
  await expect(page.getByTestId('jar-log').getByRole('listitem')).toHaveCount(2);
  await context.setOffline(false);
  await expect(page.getByTestId('sync')).toHaveAttribute('data-unsent', '0');
  await page.reload();
  await expect(page.getByTestId('jar-log').getByRole('listitem')).toHaveCount(2);
});

test('wet hands: every target of the tasting is 64 px high, also on a phone', async ({ page }) => {
  await page.goto('/formulas/walnut-cider/taste');
  for (const size of [
    { width: 1280, height: 800 },
    { width: 360, height: 740 },
  ]) {
    await page.setViewportSize(size);
    const row =
      size.width < 640
        ? page.getByTestId('thumb-acid').locator('button')
        : page.getByTestId('row-acid').locator('label');
    for (const cell of await row.all()) {
      const box = (await cell.boundingBox())!;
      expect(box.height).toBeGreaterThanOrEqual(64);
    }
    const main = (await page.getByRole('button', { name: 'Record what it says' }).boundingBox())!;
    expect(main.height).toBeGreaterThanOrEqual(64);
    const overflow = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
    expect(overflow).toBeLessThanOrEqual(0);
  }
});
