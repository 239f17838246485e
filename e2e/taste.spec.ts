import { expect, test } from '@playwright/test';
import { expectAccessible } from './axe';
import { Compose } from './bench';

test('tastes a jar, mends it twice, says it is right, and brings the mends into Compose', async ({
  page,
}) => {
  const compose = new Compose(page);
  await compose.fresh('60 ml red wine vinegar', '1.5 g salt', '1 tsp Dijon mustard', '90 ml olive oil');
  await compose.saved();
  await page.getByRole('link', { name: 'Taste' }).click();
  await expect(page.getByRole('heading', { name: 'No jar of this yet' })).toBeVisible();
  await page.getByRole('button', { name: 'Freeze as v1 and begin a jar' }).click();
  const log = page.getByTestId('jar-log').getByRole('listitem');
  await expect(log).toHaveCount(1);
  await expect(log.first()).toContainText('Made from v1');
  // Nothing said: nothing to record.
  await expect(page.getByRole('button', { name: 'Record what it says' })).toBeDisabled();
  await page.getByRole('radio', { name: 'too sharp, clearly' }).check({ force: true });
  await expect(page.getByRole('button', { name: 'Right', exact: true })).toBeDisabled();
  const mends = page.getByTestId('mends').getByRole('listitem');
  await expect(mends.filter({ has: page.getByRole('button', { name: 'Added it' }) }).first()).toContainText(
    'Sharpness',
  );
  await page.getByLabel('Minutes since the shake').fill('soon');
  await expect(page.getByText('A number of minutes, or nothing.')).toBeVisible();
  await page.getByLabel('Minutes since the shake').fill('12');
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Added it' }).first().click();
  await expect(log).toHaveCount(3);
  await expect(log.nth(1)).toContainText('Too sharp 2, on a leaf');
  await expect(log.nth(2)).toContainText('Added');
  await page.getByRole('button', { name: 'Flat' }).click();
  await page.getByLabel('In your own words').fill('dull at the back');
  await page.getByRole('button', { name: 'Record what it says' }).click();
  await expect(log.nth(3)).toContainText('Flat 2, on a leaf: dull at the back');
  await page.getByRole('button', { name: 'Right', exact: true }).click();
  await expect(log.nth(4)).toContainText('Right, on a leaf');
  await expect(page.getByText('right after mending')).toBeVisible();
  // Every word is there after a reload.
  await page.reload();
  await expect(log).toHaveCount(5);
  await page.getByRole('button', { name: 'Take the mends into Compose' }).click();
  await expect(page.getByTestId('version')).toHaveText('v1 + changes');
  // The rail marks where it stood when it was last tasted.
  await expect(page.getByRole('region', { name: 'On the palate' })).toContainText('as in v1, tasted');
  await page.keyboard.press('Control+z');
  await expect(page.getByTestId('version')).toHaveText('v1');
});

test('what was said stays when the server is away, and is recorded once it is back', async ({
  page,
  context,
}) => {
  const compose = new Compose(page);
  await compose.fresh('30 ml cider vinegar', '1 g salt', '90 ml walnut oil');
  await compose.saved();
  await page.getByRole('link', { name: 'Taste' }).click();
  await page.getByRole('button', { name: /begin a jar/ }).click();
  await expect(page.getByTestId('jar-log')).toBeVisible();
  await page.getByRole('radio', { name: 'needs salt, a little' }).check({ force: true });
  await context.setOffline(true);
  await page.getByRole('button', { name: 'Record what it says' }).click();
  await expect(page.getByRole('alert')).toContainText('what you said still stands here');
  await expect(page.getByRole('radio', { name: 'needs salt, a little' })).toBeChecked();
  await context.setOffline(false);
  await page.getByRole('button', { name: 'Record what it says' }).click();
  await expect(page.getByTestId('jar-log').getByRole('listitem')).toHaveCount(2);
});

test('wet hands: every target of the tasting is 64 px high, also on a phone', async ({ page }) => {
  await page.goto('/formulas/walnut-cider/taste');
  const begin = page.getByRole('button', { name: /begin a jar/ });
  await expect(begin).toBeVisible();
  await begin.click();
  for (const size of [
    { width: 1280, height: 800 },
    { width: 360, height: 740 },
  ]) {
    await page.setViewportSize(size);
    for (const cell of await page.getByTestId('row-acid').locator('label').all()) {
      const box = (await cell.boundingBox())!;
      expect(box.height).toBeGreaterThanOrEqual(64);
    }
    const main = (await page.getByRole('button', { name: 'Record what it says' }).boundingBox())!;
    expect(main.height).toBeGreaterThanOrEqual(64);
    const overflow = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
    expect(overflow).toBeLessThanOrEqual(0);
  }
});
