/** The application without its server, from a cold start; and what several screens do at once while it comes and goes. */
import { cpSync, mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { BatchRecord, FormulaRecord, SharedRecord } from '../src/contract';
import type { Browser, BrowserContext } from '@playwright/test';
import { expect, test, type Page } from './kitchen';
import { Compose } from './bench';
import { startDemo, type DemoServer } from './demoServer';
import { preparedDemo } from './prepareDemo';

const FORMULA = 'plum-thyme';

/** A server that can be killed and comes back at the same address. */
class Comes {
  private constructor(private server: DemoServer) {}
  static async first(): Promise<Comes> {
    const data = mkdtempSync(join(tmpdir(), 'ygrana-offline-'));
    cpSync(preparedDemo(), data, { recursive: true });
    return new Comes(await startDemo({}, data));
  }
  get address(): string {
    return this.server.address;
  }
  private isThere = true;
  async goes(): Promise<void> {
    this.isThere = false;
    await this.server.kill();
  }
  async comes(): Promise<void> {
    const { address, data } = this.server;
    this.server = await startDemo({ PORT: new URL(address).port }, data);
    this.isThere = true;
  }
  /** Whether it is there or gone. */
  async stop(): Promise<void> {
    if (this.isThere) await this.server.stop();
  }
  async get<T>(path: string): Promise<T> {
    return (await (await fetch(`${this.address}/api/${path}`)).json()) as T;
  }
}

const contextOf = (browser: Browser, kitchen: Comes): Promise<BrowserContext> =>
  browser.newContext({ baseURL: kitchen.address, serviceWorkers: 'allow' });

/** Until the page stands and what it asked for has come: its stream of news never ends, so it is never idle. */
async function settle(page: Page): Promise<void> {
  await expect(page.locator('main h1, main h2').first()).toBeVisible();
  await page.waitForTimeout(1500);
}

/** A context can be slow to close while its program is kept or its server is gone: nobody waits for ever. */
async function leave(context: BrowserContext): Promise<void> {
  for (const page of context.pages()) {
    await page
      .evaluate(async () => {
        for (const one of (await navigator.serviceWorker?.getRegistrations()) ?? []) await one.unregister();
      })
      .catch(() => undefined);
  }
  await Promise.race([context.close(), new Promise((done) => setTimeout(done, 5000))]);
}

/** Until the device has the program. */
async function kept(page: Page): Promise<void> {
  await page.waitForFunction(() => navigator.serviceWorker.controller !== null, null, { timeout: 30_000 });
}

test(
  'opens, reloads and works with the server gone, and sends when it is back',
  { tag: '@often' },
  async ({ browser }) => {
    test.setTimeout(150_000);
    const kitchen = await Comes.first();
    const context = await contextOf(browser, kitchen);
    const page = await context.newPage();
    try {
      await page.goto('/settings');
      await expect(page.getByTestId('offline')).toContainText('Kept on this device', { timeout: 30_000 });
      await kept(page);
      const compose = new Compose(page);
      for (const path of ['/', `/formulas/${FORMULA}/make`, '/plan', '/pantry', '/batches', '/log']) {
        await page.goto(path);
        await settle(page);
      }
      await compose.open(FORMULA);
      await settle(page);
      await kitchen.goes();

      // A reload, and a page that was not open.
      await page.reload();
      await expect(compose.amount('Plum purée')).toHaveValue('70 g');
      await compose.amount('Plum purée').fill('84 g');
      await compose.amount('Plum purée').press('Enter');
      await expect(page.getByTestId('sync')).toContainText('Server away');
      await page.goto('/plan');
      await expect(page.getByRole('heading', { name: 'Service plan' })).toBeVisible();
      await page.getByLabel('Cooks', { exact: true }).fill('3');
      await page.getByLabel('Cooks', { exact: true }).press('Tab');
      await page.goto('/pantry');
      await expect(page.getByRole('heading', { name: 'Pantry' })).toBeVisible();

      // A making begins from what was just changed, and goes on.
      await page.goto(`/formulas/${FORMULA}/make`);
      const begin = page.getByRole('button', { name: /^(Save as|Make v|Begin)/ }).first();
      await begin.click();
      await expect(page.getByTestId('step-name')).toBeVisible();
      const jar = new URL(page.url()).searchParams.get('jar')!;
      await page.reload();
      await expect(page.getByTestId('step-name')).toBeVisible();

      await kitchen.comes();
      // It may have found out by itself.
      await page
        .getByRole('button', { name: 'Try now' })
        .click({ timeout: 2000 })
        .catch(() => undefined);
      await expect(page.getByTestId('sync')).toHaveAttribute('data-unsent', '0', { timeout: 30_000 });
      const { formula } = await kitchen.get<FormulaRecord>(`formulas/${FORMULA}`);
      expect(formula.additions.some(({ amountText }) => amountText === '84 g')).toBe(true);
      const jars = await kitchen.get<{ id: string; version: number }[]>(`formulas/${FORMULA}/trials`);
      const made = jars.find(({ id }) => id === jar)!;
      const versions = await kitchen.get<{ number: number; formula: FormulaRecord['formula'] }[]>(
        `formulas/${FORMULA}/versions`,
      );
      const version = versions.find(({ number }) => number === made.version)!;
      expect(version.formula.additions.some(({ amountText }) => amountText === '84 g')).toBe(true);
    } finally {
      await leave(context);
      await kitchen.stop();
    }
  },
);

test('two who take on the same batch at once take on one', { tag: '@often' }, async ({ browser }) => {
  const kitchen = await Comes.first();
  const pages = await Promise.all([0, 1].map(async () => (await contextOf(browser, kitchen)).newPage()));
  try {
    const [one] = pages as [Page, Page];
    await one.goto('/plan?day=2031-06-21');
    await one.getByLabel(/^At/).fill('12:00');
    await one.getByRole('button', { name: 'Add the service' }).click();
    await one.getByRole('combobox', { name: 'Dressing', exact: true }).click();
    await one.getByRole('option', { name: 'Walnut & cider house' }).click();
    await one.getByRole('combobox', { name: 'On what' }).click();
    await one.getByRole('option', { name: 'Tender leaves' }).click();
    await one.getByRole('button', { name: 'Add the dish' }).click();
    for (const page of pages) {
      if (page !== one) await page.goto('/plan?day=2031-06-21');
      await expect(page.getByRole('button', { name: /^Take on/ })).toBeEnabled();
    }
    const before = (await kitchen.get<BatchRecord[]>('batches')).length;
    await Promise.all(pages.map((page) => page.getByRole('button', { name: /^Take on/ }).click()));
    for (const page of pages) await expect(page.getByText('All of it is taken on.')).toBeVisible();
    const all = await kitchen.get<BatchRecord[]>('batches');
    const added = all.slice(0, all.length - before);
    const needs = added.map(({ formulaId, day }) => `${formulaId} ${day}`);
    expect(needs.length).toBeGreaterThan(0);
    expect(new Set(needs).size).toBe(needs.length);
  } finally {
    for (const page of pages) await page.context().close();
    await kitchen.stop();
  }
});

test(
  'what the kitchen will not have is said, and holds up nothing behind it',
  { tag: '@often' },
  async ({ browser }) => {
    const kitchen = await Comes.first();
    const context = await browser.newContext({ baseURL: kitchen.address });
    const page = await context.newPage();
    try {
      const compose = new Compose(page);
      await compose.open(FORMULA);
      // A sign that no database keeps is mended at once; what is refused is set aside alone.
      await compose.amount('Plum purée').fill('7\u00005 g');
      await compose.amount('Plum purée').press('Enter');
      await compose.saved();
      await context.route('**/changes', async (route) => {
        const body = route.request().postData() ?? '';
        if (!body.includes('poison')) return route.continue();
        await route.fulfill({ status: 400, json: { error: { code: 'invalid', message: 'Not this word.' } } });
      });
      await page.getByLabel('Name of the formula').fill('poison');
      await page.getByLabel('Name of the formula').press('Enter');
      await compose.amount('Plum purée').fill('91 g');
      await compose.amount('Plum purée').press('Enter');
      await expect(page.getByTestId('clash')).toContainText('Not this word.');
      await expect
        .poll(async () => (await kitchen.get<FormulaRecord>(`formulas/${FORMULA}`)).formula.additions)
        .toContainEqual(expect.objectContaining({ amountText: '91 g' }));
      await page.getByRole('button', { name: 'Let it go' }).click();
      await compose.saved();
    } finally {
      await context.close();
      await kitchen.stop();
    }
  },
);

test('what was meant for one kitchen never reaches another at its address', async ({ browser }) => {
  test.setTimeout(240_000);
  const kitchen = await Comes.first();
  const context = await browser.newContext({ baseURL: kitchen.address });
  const page = await context.newPage();
  const amounts = async (address: string): Promise<readonly string[]> => {
    const answer = await fetch(`${address}/api/formulas/${FORMULA}`);
    return ((await answer.json()) as FormulaRecord).formula.additions.map(({ amountText }) => amountText);
  };
  try {
    const compose = new Compose(page);
    await compose.open(FORMULA);
    await context.setOffline(true);
    await compose.amount('Plum purée').fill('77 g');
    await compose.amount('Plum purée').press('Enter');
    await expect(page.getByTestId('sync')).toContainText('Server away');
    await kitchen.goes();
    const data = mkdtempSync(join(tmpdir(), 'ygrana-other-'));
    const other = await startDemo({ PORT: new URL(kitchen.address).port }, data);
    await context.setOffline(false);
    // The page itself starts anew when it is answered by another.
    await expect(page.getByTestId('sync')).toContainText('Another kitchen was at this address', {
      timeout: 20_000,
    });
    await page.goto(`/formulas/${FORMULA}/compose`);
    await expect(compose.amount('Plum purée')).toHaveValue('70 g');
    await page.waitForTimeout(1500);
    expect(await amounts(other.address)).not.toContain('77 g');
    await other.stop();
    await kitchen.comes();
    await page.goto('/').catch(() => undefined);
    await expect.poll(() => amounts(kitchen.address), { timeout: 30_000 }).toContain('77 g');
  } finally {
    await context.close();
    await kitchen.stop();
  }
});

/** `npm run torture` drills twenty rounds. */
const ROUNDS = process.env.YGRANA_TORTURE ? 20 : 2;
const EDITS = 14;

/** Reproducible, and another each round. */
function dice(seed: number): (sides: number) => number {
  let state = seed * 2_654_435_761;
  return (sides) => {
    state = (Math.imul(state ^ (state >>> 15), 2_246_822_519) + 374_761_393) >>> 0;
    return state % sides;
  };
}

test(
  'the drill: two screens, one often offline, the server killed now and then',
  { tag: '@often' },
  async ({ browser }) => {
    test.setTimeout(ROUNDS * 120_000);
    for (let round = 1; round <= ROUNDS; round++) {
      const kitchen = await Comes.first();
      const roll = dice(round);
      const contexts = await Promise.all([0, 1].map(() => browser.newContext({ baseURL: kitchen.address })));
      const pages = await Promise.all(contexts.map((context) => context.newPage()));
      try {
        const benches = pages.map((page) => new Compose(page));
        for (const bench of benches) await bench.open('walnut-cider');
        const names = await benches[0]!.page
          .getByRole('textbox', { name: /^Amount of / })
          .evaluateAll((fields) => fields.slice(0, 4).map((field) => field.getAttribute('aria-label') ?? ''));
        const typed = [new Map<string, string>(), new Map<string, string>()];
        for (let edit = 0; edit < EDITS; edit++) {
          const who = roll(2);
          const what = roll(10);
          if (what === 0) {
            await kitchen.goes();
            await benches[who]!.page.waitForTimeout(600);
            await kitchen.comes();
          } else if (what < 3) await contexts[0]!.setOffline(what === 1);
          const name = names[roll(names.length)]!;
          const text = `${100 * round + edit + 1} g`;
          const field = benches[who]!.page.getByRole('textbox', { name, exact: true });
          await field.fill(text);
          await field.press('Enter');
          typed[who]!.set(name, text);
          await benches[who]!.page.waitForTimeout(roll(700));
        }
        await contexts[0]!.setOffline(false);
        for (const page of pages) {
          const now = page.getByRole('button', { name: 'Try now' });
          // It may go by itself between a look and a press.
          if (await now.isVisible()) await now.click({ timeout: 2000 }).catch(() => undefined);
          await expect(page.getByTestId('sync')).toHaveAttribute('data-unsent', '0', { timeout: 40_000 });
        }
        // News reaches both; then what was last typed by each stands there, or is asked about, or was seen and changed.
        const { formula } = await kitchen.get<FormulaRecord>('formulas/walnut-cider');
        const amounts = new Set(formula.additions.map(({ amountText }) => amountText));
        const asked = (
          await Promise.all(pages.map((page) => page.getByTestId('clash').allInnerTexts()))
        ).flat();
        const all = [...typed[0]!.entries(), ...typed[1]!.entries()];
        const latest = new Map<string, string[]>();
        for (const [name, text] of all) latest.set(name, [...(latest.get(name) ?? []), text]);
        for (const [name, texts] of latest) {
          const found = texts.filter((text) => amounts.has(text) || asked.some((one) => one.includes(text)));
          expect(found.length, `${name} of round ${round}: ${texts.join(', ')}`).toBeGreaterThan(0);
          if (texts.length === 2 && found.length === 1) {
            // The other was on the screen when this one was typed over it.
            const [first, last] = [...texts].sort((a, b) => Number.parseInt(a) - Number.parseInt(b));
            expect(found).toEqual([last]);
            expect(first).not.toBe(last);
          }
        }
      } finally {
        for (const context of contexts) await leave(context);
        await kitchen.stop();
      }
    }
  },
);

test('a plan keeps what two cooks did at once, and undo takes back one’s own', async ({ browser }) => {
  const kitchen = await Comes.first();
  const pages = await Promise.all(
    [0, 1].map(async () => (await browser.newContext({ baseURL: kitchen.address })).newPage()),
  );
  const [one, two] = pages as [Page, Page];
  try {
    for (const page of pages) {
      await page.goto('/plan');
      await expect(page.getByLabel('Cooks', { exact: true })).toBeVisible();
    }
    const set = async (page: Page, label: string, value: string): Promise<void> => {
      await page.getByLabel(label, { exact: true }).fill(value);
      await page.getByLabel(label, { exact: true }).press('Tab');
    };
    await set(one, 'Cooks', '4');
    await expect(two.getByLabel('Cooks', { exact: true })).toHaveValue('4');
    await set(two, 'Kitchen opens', '06:30');
    await expect(one.getByLabel('Kitchen opens', { exact: true })).toHaveValue('6:30');
    await one.getByRole('button', { name: 'Undo' }).click();
    await expect(two.getByLabel('Cooks', { exact: true })).not.toHaveValue('4');
    const day = new Date().toISOString().slice(0, 10);
    await expect
      .poll(async () => (await kitchen.get<SharedRecord<'plan'>>(`shared/plan/${day}`)).doc.fromMin)
      .toBe(390);
  } finally {
    for (const page of pages) await page.context().close();
    await kitchen.stop();
  }
});
