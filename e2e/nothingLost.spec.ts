import { expect, test, type Page } from './kitchen';
import { expectAccessible } from './axe';
import { Compose } from './bench';
import { startDemo } from './demoServer';

test.use({ kitchenFor: 'nothingLost' });

const LINES = ['30 ml cider vinegar', '1 tsp honey', '90 ml rapeseed oil'];

const cutOff = (page: Page) => page.context().route('**/api/**', (route) => route.abort());
const back = (page: Page) => page.context().unroute('**/api/**');

test(
  'a tab killed while the server is away loses nothing: another finds its work, undo included',
  { tag: '@often' },
  async ({ page }) => {
    const compose = new Compose(page);
    await compose.fresh(...LINES);
    await compose.saved();
    const address = page.url();
    await cutOff(page);
    await compose.amount('Honey').fill('2 tsp');
    await compose.amount('Honey').press('Enter');
    await compose.add('a pinch of salt');
    await expect(compose.saveState).toContainText('Server away');
    const context = page.context();
    await page.close();
    const next = await context.newPage();
    await back(next);
    await next.goto(address);
    const again = new Compose(next);
    await expect(again.amount('Honey')).toHaveValue('2 tsp');
    await expect(again.amount('Fine table salt')).toHaveValue('a pinch');
    await again.saved();
    await next.getByRole('button', { name: 'Undo' }).click();
    await expect(again.rows).toHaveCount(3);
    await again.saved();
    await next.reload();
    await expect(again.rows).toHaveCount(3);
    await next.getByRole('button', { name: 'Redo' }).click();
    await expect(again.rows).toHaveCount(4);
  },
);

test(
  'two tabs work side by side: what one saves the other shows, different lines merge',
  { tag: '@often' },
  async ({ page }) => {
    const one = new Compose(page);
    await one.fresh(...LINES);
    await one.saved();
    const second = await page.context().newPage();
    await second.goto(page.url());
    const two = new Compose(second);
    await expect(two.amount('Honey')).toHaveValue('1 tsp');
    await two.amount('Honey').fill('3 tsp');
    await two.amount('Honey').press('Enter');
    await two.saved();
    await expect(one.amount('Honey')).toHaveValue('3 tsp');
    await cutOff(page);
    await one.amount('Rapeseed (canola) oil').fill('100 ml');
    await one.amount('Rapeseed (canola) oil').press('Enter');
    await two.amount('Cider vinegar 5 %').fill('35 ml');
    await two.amount('Cider vinegar 5 %').press('Enter');
    await expect(two.saveState).toContainText('Server away');
    await back(page);
    await one.saved();
    await two.saved();
    await page.reload();
    await expect(one.amount('Rapeseed (canola) oil')).toHaveValue('100 ml');
    await expect(one.amount('Cider vinegar 5 %')).toHaveValue('35 ml');
  },
);

test(
  'the same field changed twice: both are shown, the cook chooses',
  { tag: '@often' },
  async ({ page, browser }) => {
    const mine = new Compose(page);
    await mine.fresh(...LINES);
    await mine.saved();
    const context = await browser.newContext({ baseURL: new URL(page.url()).origin });
    const other = await context.newPage();
    await other.goto(page.url());
    const theirs = new Compose(other);
    await cutOff(page);
    await mine.amount('Honey').fill('2 tsp');
    await mine.amount('Honey').press('Enter');
    await expect(mine.saveState).toContainText('Server away');
    await theirs.amount('Honey').fill('5 tsp');
    await theirs.amount('Honey').press('Enter');
    await theirs.saved();
    await back(page);
    await expect(page.getByRole('button', { name: 'Keep mine: 2 tsp' })).toBeVisible();
    await page.getByRole('button', { name: 'Take theirs: 5 tsp' }).click();
    await expect(mine.amount('Honey')).toHaveValue('5 tsp');
    await mine.saved();
    // Again, and settled by key.
    await cutOff(page);
    await mine.amount('Honey').fill('3 tsp');
    await mine.amount('Honey').press('Enter');
    await expect(mine.saveState).toContainText('Server away');
    await theirs.amount('Honey').fill('6 tsp');
    await theirs.amount('Honey').press('Enter');
    await theirs.saved();
    await back(page);
    await expect(page.getByRole('button', { name: 'Keep mine: 3 tsp' })).toBeVisible();
    await page.getByRole('heading', { level: 2 }).first().click();
    await page.keyboard.press('k');
    await expect(page.getByRole('button', { name: 'Keep mine: 3 tsp' })).toBeHidden();
    await mine.saved();
    await expect(mine.amount('Honey')).toHaveValue('3 tsp');
    await expect(theirs.amount('Honey')).toHaveValue('3 tsp');
    await context.close();
  },
);

test('asks visitors for the passcode and sends what waited', { tag: '@often' }, async ({ page }) => {
  const server = await startDemo({ YGRANA_PASSCODE: 'tarn at dusk' });
  try {
    await page.goto(`${server.address}/formulas/plum-thyme/compose`);
    await expect(page.getByLabel('Passcode')).toBeVisible();
    await expectAccessible(page);
    await page.getByLabel('Passcode').fill('tarn at dawn');
    await page.getByRole('button', { name: 'Come in' }).click();
    await expect(page.getByRole('alert')).toContainText('not the kitchen’s passcode');
    await page.getByLabel('Passcode').fill('tarn at dusk');
    await page.getByRole('button', { name: 'Come in' }).click();
    const compose = new Compose(page);
    await expect(compose.amount('Plum purée')).toHaveValue('70 g');
    await page.context().clearCookies();
    await compose.amount('Plum purée').fill('80 g');
    await compose.amount('Plum purée').press('Enter');
    await page.getByLabel('Passcode').fill('tarn at dusk');
    await page.getByRole('button', { name: 'Come in' }).click();
    await compose.saved();
    await page.reload();
    await expect(compose.amount('Plum purée')).toHaveValue('80 g');
    await page.goto(`${server.address}/settings`);
    // What was not sent is asked about before it would be thrown away.
    await page.route('**/changes', (route) => route.abort());
    await page.getByLabel('Kitchen').or(page.getByLabel('Name of the kitchen')).first().fill('Upper Tarn');
    await page.getByRole('button', { name: 'Save', exact: true }).click();
    await expect(page.getByTestId('sync')).toHaveAttribute('data-unsent', '1');
    const signOut = page.getByRole('button', { name: 'Sign out on this device' });
    await signOut.click();
    await expect(page.getByText('was not sent yet')).toBeVisible();
    await page.getByRole('button', { name: 'Stay' }).click();
    await page.unroute('**/changes');
    await expect(page.getByTestId('sync')).toHaveAttribute('data-unsent', '0', { timeout: 30_000 });
    // Nor is a picture thrown away that nobody has judged yet.
    await page.goto(`${server.address}/formulas/walnut-cider/look`);
    await page.getByLabel('Take or choose pictures').setInputFiles({
      name: 'jar.jpg',
      mimeType: 'image/jpeg',
      buffer: await page.screenshot({ type: 'jpeg' }),
    });
    await expect(page.getByRole('heading', { name: 'Picture 1 of 1' })).toBeVisible();
    await page.goto(`${server.address}/settings`);
    await signOut.click();
    await expect(page.getByText('was not sent yet')).toBeVisible();
    await page.getByRole('button', { name: 'Sign out all the same' }).click();
    await expect(page.getByLabel('Passcode')).toBeVisible();
    await page.getByLabel('Passcode').fill('tarn at dusk');
    await page.getByRole('button', { name: 'Come in' }).click();
    await page.goto(`${server.address}/formulas/walnut-cider/look`);
    await expect(page.getByText('Take or choose pictures')).toBeVisible();
    await expect(page.getByText('Picture 1 of 1')).toHaveCount(0);
  } finally {
    await server.stop();
  }
});
