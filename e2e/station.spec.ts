import { expect, test, type Page } from './kitchen';
import { AxeBuilder } from '@axe-core/playwright';
import { expectAccessible } from './axe';
import { Compose } from './bench';
import { Make } from './counter';
import { ROUTES } from './routes';

test.use({ kitchenFor: 'station' });

const activeTag = (page: Page): Promise<string> => page.evaluate(() => document.activeElement?.tagName ?? '');

test('every route has a title and a main heading of its own, lists its keys, and fits 320 px', async ({
  page,
}) => {
  test.setTimeout(180_000);
  const titles = new Set<string>();
  await page.setViewportSize({ width: 320, height: 720 });
  for (const route of ROUTES) {
    await page.goto(route);
    await expect(page.locator('#main h1').first()).toBeAttached();
    await expect(page).toHaveTitle(/ · Ygrana$/);
    const title = await page.title();
    expect(titles, route).not.toContain(title);
    titles.add(title);
    const over = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
    expect(over, `${route} scrolls sideways`).toBeLessThanOrEqual(0);
    await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
    await page.keyboard.press('?');
    await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
    await page.keyboard.press('Escape');
    await expect(page.getByRole('dialog')).toHaveCount(0);
    await expect
      .poll(() => activeTag(page), { message: `${route}: the focus after the keys` })
      .not.toBe('BODY');
  }
});

test('no route has a fault that a machine can find', { tag: '@often' }, async ({ page }) => {
  test.setTimeout(180_000);
  for (const route of ROUTES) {
    await page.goto(route);
    await expect(page.locator('#main h1').first()).toBeAttached();
    await test.step(route, () => expectAccessible(page));
  }
});

test('the focus comes back after a sheet, and is never lost after freezing and a change of stage', async ({
  page,
}) => {
  const compose = new Compose(page);
  await compose.fresh('60 ml red wine vinegar', '2 g salt', '120 ml olive oil');
  const ways = page.getByRole('button', { name: 'Bring it into balance' });
  await ways.focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(ways).toBeFocused();
  await compose.saved();
  const freeze = page.getByRole('button', { name: 'Save as version 1' });
  await freeze.focus();
  await page.keyboard.press('Enter');
  const note = page.getByRole('dialog').getByRole('textbox').first();
  if (await note.isVisible().catch(() => false)) await page.keyboard.press('Enter');
  await expect(page.getByTestId('version')).toHaveText('v1');
  await expect.poll(() => activeTag(page)).not.toBe('BODY');
  // Alt and a figure go to the stages, whatever has the focus.
  await page.keyboard.press('Alt+3');
  await expect(page).toHaveURL(/taste/);
  await expect(page).toHaveTitle(/^Taste · /);
  await expect.poll(() => activeTag(page)).not.toBe('BODY');
});

test('at the station Enter presses what has the focus, the pedal is always “next”, and the step is announced', async ({
  page,
}) => {
  await page.goto('/settings');
  const pedal = page.getByLabel('Foot switch');
  await pedal.focus();
  await page.keyboard.press('F8');
  await expect(pedal).toHaveValue('F8');
  const make = new Make(page);
  await make.begin('60 ml cider vinegar', '2 g salt', '90 ml walnut oil');
  await expect(make.step).toHaveAccessibleName(/, step 1 of \d/);
  // Enter on a control is the control's own.
  await page.getByRole('button', { name: 'One more pinch' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog', { name: 'One more pinch' })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('button', { name: 'One more pinch' })).toBeFocused();
  await make.typed('60.6');
  await make.typed('2');
  await expect(make.step).toContainText('Stir');
  await expect(make.step).toBeFocused();
  // The pedal does not press the button that has the focus.
  await page.getByRole('button', { name: 'It went otherwise' }).focus();
  await page.keyboard.press('F8');
  await expect(make.step).toContainText(/Walnut oil/);
  await page.getByRole('button', { name: 'It went otherwise' }).focus();
  await page.keyboard.press('PageDown');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  for (const button of await page.locator('#main button:visible').all()) {
    const box = (await button.boundingBox())!;
    if ((await button.textContent())?.match(/Sound/)) continue;
    expect(box.height, (await button.textContent()) ?? '').toBeGreaterThanOrEqual(64);
  }
});

test('the whole station stands in its window, and simulated hands lie folded at its edge', async ({
  page,
}) => {
  const make = new Make(page);
  await make.begin('60 ml cider vinegar', '2 g salt', '90 ml walnut oil');
  for (const size of [
    { width: 1280, height: 800 },
    { width: 1024, height: 768 },
    { width: 390, height: 844 },
  ]) {
    await page.setViewportSize(size);
    await expect(make.step).toBeVisible();
    for (const seen of [make.step, make.main, page.getByRole('button', { name: 'One more pinch' })]) {
      const box = (await seen.boundingBox())!;
      expect(box.y + box.height, `${size.width} px`).toBeLessThanOrEqual(size.height);
    }
    expect(
      await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth),
    ).toBeLessThanOrEqual(0);
  }
  await expect(page.getByTestId('hands')).not.toHaveAttribute('open');
});

test('single letters can be switched off on this device', async ({ page }) => {
  await page.goto('/settings');
  await page.getByLabel('Single letters and signs are keys').uncheck();
  await page.goto('/');
  await expect(page.getByRole('button', { name: 'New formula' })).toBeVisible();
  await page.keyboard.press('p');
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await expect(page).toHaveURL(/\/$/);
});

test('by night the contrasts hold, and what is chosen shows in forced colours', async ({ page }) => {
  await page.emulateMedia({ colorScheme: 'dark' });
  for (const route of ['/', '/formulas/walnut-cider/compose', '/formulas/walnut-cider/taste', '/settings']) {
    await page.goto(route);
    await expect(page.locator('#main h1').first()).toBeAttached();
    await expect(page.locator('html')).toHaveAttribute('data-night', '');
    const { violations } = await new AxeBuilder({ page }).withRules(['color-contrast']).analyze();
    expect(violations.flatMap(({ nodes }) => nodes.map(({ html }) => `${route} ${html}`))).toEqual([]);
  }
  await page.emulateMedia({ colorScheme: 'light', forcedColors: 'active' });
  await page.goto('/formulas/walnut-cider/taste');
  const chosen = page.getByTestId('row-acid').locator('label').nth(1);
  await page.getByRole('radio', { name: 'needs acid, a little' }).check({ force: true });
  await expect(chosen).toHaveCSS('outline-style', 'solid');
});

test('on paper there are no controls', async ({ page }) => {
  await page.goto('/formulas/walnut-cider/compose');
  await expect(page.getByTestId('addition').first()).toBeVisible();
  await page.emulateMedia({ media: 'print' });
  await expect(page.locator('button:visible')).toHaveCount(0);
  await expect(page.getByText('Wholegrain mustard').first()).toBeVisible();
});

test('what was recorded keeps its mends until something goes in', async ({ page }) => {
  const compose = new Compose(page);
  await compose.fresh('36 ml red wine vinegar', '1 g salt', '90 ml olive oil');
  await compose.saved();
  await page.getByRole('link', { name: 'Taste' }).click();
  await page.getByRole('button', { name: /is made already$/ }).click();
  await page.getByRole('radio', { name: 'needs salt, a little' }).check({ force: true });
  await page.getByRole('button', { name: 'Record what it says' }).click();
  const mends = page.getByTestId('mends').getByRole('listitem');
  await expect(mends.first()).toContainText('pinch');
  await mends.first().getByRole('button', { name: 'It is in' }).click();
  await expect(page.getByTestId('jar-log').getByRole('listitem')).toHaveCount(3);
  await expect(mends).toHaveCount(0);
});

/** What a wet finger may press on the station, too small or too near to its neighbour. */
async function tooNear(page: Page): Promise<readonly string[]> {
  return page.evaluate(
    ([least, apart]) => {
      const targets = [...document.querySelectorAll<HTMLElement>('#main button, #main label, #main a[href]')]
        .filter((one) => one.getClientRects().length > 0 && !one.matches(':disabled'))
        // The stages and what is written in a sentence belong to the page, not to the work of the hands.
        .filter((one) => !one.closest('nav, p, summary, [role="tooltip"], [data-testid="hands"]'))
        .filter((one) => one.tagName !== 'LABEL' || one.querySelector('input') !== null)
        .map((one) => ({
          name: (one.textContent.trim() || one.getAttribute('aria-label')) ?? '',
          box: one.getBoundingClientRect(),
          bar: one.closest('.sticky'),
        }));
      const faults: string[] = [];
      targets.forEach(({ name, box, bar }, i) => {
        if (box.height < least! - 0.5) faults.push(`${name} is ${box.height.toFixed(0)} px high`);
        for (const other of targets.slice(i + 1)) {
          // A bar that stays at the bottom lies over what scrolls beneath it.
          if (other.bar !== bar) continue;
          const across = Math.max(box.left - other.box.right, other.box.left - box.right);
          const down = Math.max(box.top - other.box.bottom, other.box.top - box.bottom);
          if (Math.max(across, down) < apart! - 0.5)
            faults.push(`${name} and ${other.name} are ${Math.max(across, down).toFixed(0)} px apart`);
        }
      });
      return faults;
    },
    [64, 16],
  );
}

test('targets of the station are 64 px high and 16 px apart', async ({ page }) => {
  for (const size of [
    { width: 1280, height: 800 },
    { width: 390, height: 844 },
  ]) {
    await page.setViewportSize(size);
    const make = new Make(page);
    await make.begin('36 ml red wine vinegar', '1 g salt', '90 ml olive oil');
    expect.soft(await tooNear(page), `Make at ${size.width}`).toEqual([]);
    await make.typed('36.4');
    expect.soft(await tooNear(page), `Make, the next step at ${size.width}`).toEqual([]);
    await page.goto(page.url().replace('/make', '/taste'));
    await expect(page.getByRole('button', { name: 'Record what it says' })).toBeVisible();
    expect.soft(await tooNear(page), `Taste at ${size.width}`).toEqual([]);
  }
});
