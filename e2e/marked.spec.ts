/**
 * The same program in a generated language, in which every word of the room of words has its vowels marked:
 * a word without a mark, on any route, label or sheet, is said by something else. Names that a kitchen, its
 * table of ingredients or a cook gave are data and stand as they are. The device is a Russian one, so that
 * dates, clock and decimal sign show whom they follow.
 */
import { execFileSync } from 'node:child_process';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, test, type Page } from '@playwright/test';
import { extractText, getDocumentProxy } from 'unpdf';
import { STYLE_RECIPES } from '../src/core/palate/styleRecipes';
import { startDemo, type DemoServer } from './demoServer';

const TABLES = ['src/core/ingredient/data', 'src/core/ingredient/notes'];
let server: DemoServer;
let names: readonly string[];
const LANGUAGE = 'ru-RU';

test.use({ locale: LANGUAGE, timezoneId: 'Europe/Berlin' });
test.beforeAll(async () => {
  test.setTimeout(120_000);
  execFileSync(process.execPath, ['scripts/build.mjs', '--marked'], { stdio: 'inherit' });
  server = await startDemo({}, undefined, '.cache/marked/main.js');
  names = await namesOf(server.address);
});
test.afterAll(() => server.stop());

const json = async (path: string): Promise<unknown> => (await fetch(`${server.address}${path}`)).json();

/** Everything that somebody named or typed, longest first. */
async function namesOf(address: string): Promise<readonly string[]> {
  const found = new Set<string>();
  const collect = (value: unknown): void => {
    if (typeof value === 'string') found.add(value.toLowerCase()).add(value.split(',')[0]!.toLowerCase());
    else if (value && typeof value === 'object') Object.values(value).forEach(collect);
  };
  for (const table of TABLES)
    for (const file of readdirSync(table).filter((name) => name.endsWith('.json')))
      collect(JSON.parse(readFileSync(join(table, file), 'utf8')));
  collect(Object.values(STYLE_RECIPES).map(({ name }) => name));
  const days = (await json('/api/plans')) as string[];
  const plans = days.map((day) => `plans/${day}`);
  const { records } = (await json('/api/formulas')) as { records: { id: string }[] };
  const dishes = records.map(({ id }) => `shared/dishes/${id}`);
  for (const path of [
    'document',
    'records',
    'vessels',
    'cooks',
    'styles',
    'settings',
    'panels',
    'backups',
    ...plans,
    ...dishes,
  ]) {
    const response = await fetch(`${address}/api/${path}`);
    if (response.ok) collect(await response.json());
  }
  return [...found].filter((name) => name.length > 2).sort((a, b) => b.length - a.length);
}

/** Said in the grammar of what is typed, names of the house, and words of the web itself. */
const NOT_SAID =
  /\b(?:ygrana|cups?|tbsp|tsp|javascript|json|get|post|put|delete|docs?)\b|https?:\S+|\/[\w{}/?=&.-]+/g;
const UNMARKED = /(?<!\p{L})[a-z]*[aeiou][a-z]*(?!\p{L})/gu;

function unmarkedIn(text: string): readonly string[] {
  let rest = text.toLowerCase();
  for (const name of names) if (rest.includes(name)) rest = rest.split(name).join(' ');
  return (rest.replace(NOT_SAID, ' ').match(UNMARKED) ?? []).filter((word) => word.length > 2);
}

async function textsOf(page: Page): Promise<readonly string[]> {
  return page.evaluate(() => {
    const texts: string[] = [];
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    while (walker.nextNode()) {
      const node = walker.currentNode;
      if (!node.parentElement?.closest('script, style, noscript, code, pre, textarea'))
        texts.push(node.textContent ?? '');
    }
    for (const name of ['aria-label', 'title', 'placeholder', 'aria-valuetext', 'alt'])
      for (const element of document.querySelectorAll(`[${name}]`)) texts.push(element.getAttribute(name)!);
    return texts;
  });
}

async function pdfText(response: Response): Promise<string> {
  const pdf = await getDocumentProxy(new Uint8Array(await response.arrayBuffer()));
  return (await extractText(pdf, { mergePages: true })).text;
}

test('no route says a word that is not in the room of words', async ({ page }) => {
  test.setTimeout(180_000);
  const shelf = ((await json('/api/formulas')) as { records: { id: string }[] }).records;
  const batches = (await json('/api/batches')) as { id: string; formulaId: string; day: string }[];
  const stages = ['compose', 'make', 'taste', 'batch', 'serve', 'share', 'versions', 'log'];
  const places = [
    'import',
    'plan',
    'plan/week',
    'tables',
    'toolmakers',
    'batches',
    'log',
    'from-pantry',
    'pantry',
  ];
  const routes = [
    ...['', ...places, 'side-by-side', 'measures', 'settings', 'nowhere-at-all'].map((place) => `/${place}`),
    ...['pantry/olive_ev', `batches?day=${batches[0]!.day}`].map((place) => `/${place}`),
    ...shelf.slice(0, 3).flatMap(({ id }) => stages.map((stage) => `/formulas/${id}/${stage}`)),
    ...batches.map(({ id, formulaId }) => `/formulas/${formulaId}/batch/${id}`),
  ];
  const said: string[] = [];
  for (const route of routes) {
    await page.goto(`${server.address}${route}`);
    await expect(page.locator('main')).toBeVisible();
    await page.waitForTimeout(150);
    for (const fold of await page.locator('details:not([open]) > summary').all())
      await fold.click({ timeout: 500 }).catch(() => undefined);
    for (const text of await textsOf(page)) {
      const words = unmarkedIn(text);
      if (words.length > 0) said.push(`${route}: ${words.join(' ')} in “${text.trim().slice(0, 120)}”`);
    }
  }
  expect([...new Set(said)]).toEqual([]);
});

test('nor does a label, a sheet or a pull list; dates there and on the screen are the device’s', async ({
  page,
}) => {
  const [batch] = (await json('/api/batches')) as { id: string; formulaId: string }[];
  const asked = `language=${LANGUAGE}&timeZone=Europe/Berlin`;
  for (const kind of ['sheet', 'labels', 'pull-list']) {
    const response = await fetch(
      `${server.address}/api/print/batches/${batch!.id}/${kind}?${asked}${kind === 'labels' ? '&size=roll-100' : ''}`,
    );
    expect(response.status).toBe(200);
    const text = await pdfText(response);
    expect(text).toMatch(kind === 'pull-list' ? /ö|ä|ë/ : /ноября|декабря|нояб|дек/);
    expect(unmarkedIn(text), kind).toEqual([]);
  }
  await page.goto(`${server.address}/formulas/${batch!.formulaId}/batch/${batch!.id}`);
  await expect(page.locator('main')).toContainText(/нояб|дек/);
});

test('a device writes its own numbers, dates and clock, and only it', async ({ browser }) => {
  const context = await browser.newContext({ locale: 'en-US' });
  const page = await context.newPage();
  await page.goto(`${server.address}/settings`);
  const device = page.getByTestId('this-device');
  await device.getByRole('combobox').nth(0).click();
  await page.getByRole('option', { name: '1,5', exact: true }).click();
  await device.getByRole('combobox').nth(1).click();
  await page.getByRole('option', { name: /^27\.11\.2026/ }).click();
  await page.goto(`${server.address}/log`);
  await expect(page.locator('main')).toContainText(/\d{2}\.\d{2}\.20\d{2}, \d{2}:\d{2}/);
  await page.goto(`${server.address}/formulas/walnut-cider/compose`);
  await expect(page.locator('main')).toContainText(/\d,\d/);
  await expect(page.locator('main')).not.toContainText(/\d\.\d+ g/);
  const settings = (await json('/api/settings')) as { decimalSign: string };
  expect(settings.decimalSign).toBe('point');
  await context.close();
});
