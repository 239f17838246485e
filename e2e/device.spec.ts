/** What a device keeps: a new release that waits, a store that is full, a store that somebody deleted. */
import { cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type { FormulaRecord } from '../src/contract';
import { Compose } from './bench';
import { startDemo } from './demoServer';
import { expect, test, type Page } from './kitchen';

const FORMULA = 'plum-thyme';
const PLUM = 'Plum purée';

/** The built program in a folder of its own, beside the packages that it needs. */
function program(): { readonly main: string; readonly release: (mark: string) => void; remove: () => void } {
  const folder = mkdtempSync(join('.cache', 'release-'));
  cpSync('dist', folder, { recursive: true });
  const web = join(folder, 'web');
  const page = readFileSync(join(web, 'index.html'), 'utf8');
  const keeper = readFileSync(join(web, 'serviceWorker.js'), 'utf8');
  return {
    main: join(folder, 'main.js'),
    release: (mark) => {
      writeFileSync(
        join(web, 'index.html'),
        page.replace('<head>', `<head><meta name="release" content="${mark}">`),
      );
      writeFileSync(
        join(web, 'serviceWorker.js'),
        keeper.replace(/(url:"\/index\.html",revision:")[^"]+/, `$1${mark}`),
      );
    },
    remove: () => {
      rmSync(folder, { recursive: true, force: true });
    },
  };
}

const releaseOf = (page: Page): Promise<string | null> =>
  page.locator('meta[name="release"]').getAttribute('content');

test('a new release waits until nothing is unsent, and is then let in', async ({ browser }) => {
  test.setTimeout(180_000);
  const built = program();
  built.release('one');
  const kitchen = await startDemo({}, undefined, built.main);
  const context = await browser.newContext({ baseURL: kitchen.address, serviceWorkers: 'allow' });
  const page = await context.newPage();
  try {
    const compose = new Compose(page);
    await compose.open(FORMULA);
    await page.waitForFunction(() => navigator.serviceWorker.controller !== null, null, { timeout: 30_000 });
    await page.reload();
    expect(await releaseOf(page)).toBe('one');

    await compose.amount(PLUM).fill('8');
    built.release('two');
    const isWaiting = async (): Promise<boolean> =>
      page.evaluate(async () => Boolean((await navigator.serviceWorker.getRegistration())?.waiting));
    await page.evaluate(async () => {
      await (await navigator.serviceWorker.getRegistration())?.update();
    });
    await expect.poll(isWaiting, { timeout: 20_000 }).toBe(true);

    // Somebody is typing; then what was typed cannot be sent: both times the page stays as it is.
    await context.setOffline(true);
    await compose.amount(PLUM).fill('86 g');
    await compose.amount(PLUM).press('Enter');
    await expect(page.getByTestId('sync')).toHaveAttribute('data-unsent', '1');
    await page.evaluate(() => {
      (document.activeElement as HTMLElement | null)?.blur();
    });
    await page.waitForTimeout(17_000);
    expect(await isWaiting()).toBe(true);
    expect(await releaseOf(page)).toBe('one');

    await context.setOffline(false);
    await expect(page.getByTestId('sync')).toHaveAttribute('data-unsent', '0', { timeout: 30_000 });
    await expect.poll(() => releaseOf(page).catch(() => null), { timeout: 40_000 }).toBe('two');
    await expect(compose.amount(PLUM)).toHaveValue('86 g');
  } finally {
    await context.close();
    await kitchen.stop();
    built.remove();
  }
});

test('a browser that keeps nothing says so; a store that was deleted is made anew', async ({ browser }) => {
  const kitchen = await startDemo();
  try {
    const full = await browser.newContext({ baseURL: kitchen.address });
    await full.addInitScript(() => {
      IDBObjectStore.prototype.put = () => {
        throw new DOMException('No room', 'QuotaExceededError');
      };
    });
    const page = await full.newPage();
    const compose = new Compose(page);
    await compose.open(FORMULA);
    await full.setOffline(true);
    await compose.amount(PLUM).fill('81 g');
    await compose.amount(PLUM).press('Enter');
    await expect(page.getByTestId('sync')).toContainText('This browser keeps nothing');
    // It is lost only with the page: the page still sends it.
    await full.setOffline(false);
    await expect(page.getByTestId('sync')).toHaveAttribute('data-unsent', '0', { timeout: 20_000 });
    await expect(compose.saveState).toContainText('Saved');
    await full.close();

    const emptied = await browser.newContext({ baseURL: kitchen.address });
    const other = await emptied.newPage();
    const bench = new Compose(other);
    await bench.open(FORMULA);
    await expect(bench.amount(PLUM)).toHaveValue('81 g');
    await other.evaluate(
      () =>
        new Promise<void>((resolve, reject) => {
          const asked = indexedDB.deleteDatabase('ygrana');
          asked.onsuccess = () => {
            resolve();
          };
          asked.onerror = () => {
            reject(new Error('not deleted'));
          };
        }),
    );
    // What is typed now stays with the browser when the page is closed before it could be sent.
    await emptied.route('**/changes', (route) => route.abort());
    await bench.amount(PLUM).fill('83 g');
    await bench.amount(PLUM).press('Enter');
    await expect(other.getByTestId('sync')).toContainText('Server away');
    await other.close();
    await emptied.unroute('**/changes');
    const again = await emptied.newPage();
    await new Compose(again).open(FORMULA);
    await expect(new Compose(again).amount(PLUM)).toHaveValue('83 g');
    await expect
      .poll(async () => {
        const answer = await fetch(`${kitchen.address}/api/formulas/${FORMULA}`);
        return ((await answer.json()) as FormulaRecord).formula.additions.map(({ amountText }) => amountText);
      })
      .toContain('83 g');
    await emptied.close();
  } finally {
    await kitchen.stop();
  }
});
