import { expect, test, type Page } from './kitchen';
import { expectAccessible } from './axe';
import { Make } from './counter';
import { ROUTES } from './routes';

test.use({ kitchenFor: 'everywhere' });

async function enter(page: Page, route: string): Promise<void> {
  await page.goto(route);
  await expect(page.locator('#main h1').first()).toBeAttached();
  await expect(page.getByText(/^Fetching/)).toHaveCount(0);
}

const LOOKS = [
  { name: 'by night', width: 1280, height: 800, dark: true },
  { name: 'on a phone', width: 390, height: 844, dark: false },
  { name: 'on a small phone by night', width: 320, height: 720, dark: true },
] as const;
for (const { name, width, height, dark } of LOOKS)
  test(`no route has a fault that a machine can find, ${name}`, async ({ page }) => {
    test.setTimeout(240_000);
    await page.setViewportSize({ width, height });
    await page.emulateMedia({ colorScheme: dark ? 'dark' : 'light' });
    for (const route of ROUTES) {
      await enter(page, route);
      await test.step(route, () => expectAccessible(page));
    }
  });

/** At twice the size a window of 1280 holds what one of 640 does. */
test('at twice the size nothing is cut off sideways', async ({ page }) => {
  test.setTimeout(180_000);
  await page.setViewportSize({ width: 640, height: 400 });
  for (const route of ROUTES) {
    await enter(page, route);
    const over = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
    expect(over, `${route} scrolls sideways`).toBeLessThanOrEqual(0);
  }
});

for (const dark of [false, true])
  test(`no sheet has a fault that a machine can find, by ${dark ? 'night' : 'day'}`, async ({ page }) => {
    test.setTimeout(240_000);
    await page.emulateMedia({ colorScheme: dark ? 'dark' : 'light' });
    const sheet = page.getByRole('dialog');
    const look = async (what: string): Promise<void> => {
      await expect(sheet, what).toBeVisible();
      await test.step(what, () => expectAccessible(page));
      await page.keyboard.press('Escape');
      await expect(sheet).toHaveCount(0);
      await expect.poll(() => page.evaluate(() => document.activeElement?.tagName)).not.toBe('BODY');
    };
    const press = async (name: string): Promise<void> => {
      const opener = page.getByRole('button', { name, exact: true }).first();
      await opener.click();
      await look(name);
      await expect(opener).toBeFocused();
    };
    await enter(page, '/');
    await press('New formula');
    await press('Who cooks?');
    await page.getByRole('button', { name: /^More/ }).first().click();
    await page.getByRole('menuitem', { name: /Rename/ }).click();
    await look('Rename');
    await enter(page, '/formulas/walnut-cider/compose');
    for (const key of ['y', 'c', 'b', 's', 'm', 'h', 'v', '?']) {
      await page.keyboard.press(key);
      await look(`key ${key}`);
    }
    for (const key of ['Alt+d', 'Alt+w']) {
      await page.getByRole('textbox', { name: 'Amount of Walnut oil' }).focus();
      await page.keyboard.press(key);
      await look(`key ${key}`);
    }
    const make = new Make(page);
    await make.begin('60 ml cider vinegar', '2 g salt', '90 ml walnut oil');
    // A click at the station leaves the focus at its step.
    for (const name of ['One more pinch', 'It went otherwise']) {
      await page.getByRole('button', { name }).click();
      await look(name);
      await expect(make.step).toBeFocused();
    }
  });
