import { expect, test } from './kitchen';
import { expectAccessible } from './axe';
import { Compose } from './bench';

test.use({ kitchenFor: 'keyboard' });

test('a dressing made, amended and frozen by keyboard alone', { tag: '@often' }, async ({ page }) => {
  const compose = new Compose(page);
  const { keyboard } = page;
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'Shelf' })).toBeVisible();
  await keyboard.press('n');
  await expect(page.getByRole('button', { name: 'Empty jar' })).toBeFocused();
  await keyboard.press('Enter');
  await expect(compose.addLine).toBeVisible();
  await keyboard.press('a');
  await expect(compose.addLine).toBeFocused();
  for (const line of ['30 ml sherry vinegar', '1 tsp honey', '75 ml walnut oil']) {
    await keyboard.type(line);
    await keyboard.press('Enter');
  }
  await expect(compose.rows).toHaveCount(3);
  await compose.amount('Sherry vinegar 7 %').focus();
  await keyboard.press('ArrowDown');
  await expect(compose.amount('Honey')).toBeFocused();
  await keyboard.press('Shift+ArrowUp');
  await expect(compose.amount('Honey')).toHaveValue('1½ tsp');
  await keyboard.press('Alt+d');
  await page.getByLabel('Note').focus();
  await keyboard.type('lime blossom');
  await page.getByRole('button', { name: 'Keep' }).focus();
  await keyboard.press('Enter');
  await expect(compose.row('Honey')).toContainText('lime blossom');
  // The focus is back where it was; a control beside it takes no letters.
  await expect(compose.amount('Honey')).toBeFocused();
  await keyboard.press('Tab');
  await keyboard.press('?');
  await expect(page.getByRole('dialog')).toContainText('set the ratio');
  await keyboard.press('Escape');
  await keyboard.press('r');
  await keyboard.type('2');
  await keyboard.press('Enter');
  await expect(compose.ratio).toHaveText('2.0 : 1');
  await keyboard.press('u');
  await expect(compose.row('Walnut oil').getByTestId('mass')).toContainText(/tbsp|cup|tsp/);
  await keyboard.press('u');
  await compose.saved();
  await page.getByRole('button', { name: 'Save as version 1' }).focus();
  await keyboard.press('Enter');
  await expect(page.getByTestId('version')).toHaveText('v1');
});

test('a list is pasted whole; what cannot be read is kept', async ({ page }) => {
  const compose = new Compose(page);
  await compose.fresh();
  await compose.addLine.focus();
  await page.evaluate(() => {
    const data = new DataTransfer();
    data.setData('text/plain', '• 30 ml cider vinegar\r\n\r\n1½ tsp salt\n90 ml rapeseed oil\nstardust');
    document.activeElement!.dispatchEvent(
      new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }),
    );
  });
  await expect(compose.rows).toHaveCount(4);
  await expect(compose.amount('Fine table salt')).toHaveValue('1½ tsp');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(compose.rows).toHaveCount(0);
});

test('every sheet of the bench is accessible', async ({ page }) => {
  const compose = new Compose(page);
  await compose.open('ginger-sesame');
  const dialog = page.getByRole('dialog');
  for (const key of ['y', 'c', 's', 'v', '?']) {
    await page.getByRole('heading', { name: 'On the palate' }).click();
    await page.keyboard.press(key);
    await expect(dialog).toBeVisible();
    await expectAccessible(page);
    await page.keyboard.press('Escape');
    await expect(dialog).toHaveCount(0);
  }
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'Shelf' })).toBeVisible();
  await page.keyboard.press('n');
  await expect(dialog).toBeVisible();
  await expectAccessible(page);
});

test('every view says when the server is away, and comes back', async ({ page }) => {
  for (const path of [
    '/',
    '/pantry',
    '/settings',
    '/formulas/plum-thyme/compose',
    '/formulas/plum-thyme/versions',
  ]) {
    await page.route('**/api/**', (route) => route.abort());
    await page.goto(path);
    await expect(page.getByRole('alert'), path).toContainText('The server is away');
    await expectAccessible(page);
    await page.unroute('**/api/**');
    await page.getByRole('button', { name: 'Try again' }).click();
    await expect(page.getByRole('alert'), path).toHaveCount(0);
  }
});

test('long words stay inside the page', async ({ page }) => {
  const compose = new Compose(page);
  const long = 'Antidisestablishmentarianismdressing'.repeat(3);
  await compose.fresh('30 ml cider vinegar', `2 tbsp ${long}`);
  await page.getByLabel('Name of the formula').fill(long);
  await page.getByLabel('Name of the formula').press('Enter');
  await compose.saved();
  const formula = new URL(page.url()).pathname.replace('/compose', '');
  for (const size of [
    { width: 1280, height: 800 },
    { width: 360, height: 740 },
  ]) {
    await page.setViewportSize(size);
    for (const path of [`${formula}/compose`, `${formula}/versions`, '/?q=antidis']) {
      await page.goto(path);
      await expect(page.getByRole('main')).not.toBeEmpty();
      await expect(page.getByText(/^Fetching/)).toHaveCount(0);
      const overflow = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
      expect(overflow, `${path} at ${size.width}`).toBeLessThanOrEqual(0);
    }
  }
});

test('nothing moves where the cook asked for stillness', async ({ page }) => {
  await page.emulateMedia({ reducedMotion: 'reduce' });
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'Shelf' })).toBeVisible();
  const moving = await page.evaluate(
    () =>
      [...document.querySelectorAll('*')].filter((element) => {
        const { animationName, transitionDuration } = getComputedStyle(element);
        return animationName !== 'none' || transitionDuration.split(', ').some((time) => time !== '0s');
      }).length,
  );
  expect(moving).toBe(0);
});
