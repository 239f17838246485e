/**
 * What a hand notices of the browser: tasks that hold up the page while typing and nudging in a long formula, what
 * jumps about on each route while it comes, and when the first jar of a full shelf is drawn. Medians of five.
 */
import { chromium, type Browser, type Page } from '@playwright/test';
import { ROUTES } from '../e2e/routes';
import type { DemoServer } from '../e2e/demoServer';
import { median } from './measure';

const ROUNDS = 5;
const LONG_TASK_MS = 50;
const GOAL_SHIFT = 0.02;
const GOAL_FIRST_JAR_MS = 500;

const THIRTY_LINES: readonly string[] = [
  ...[
    '60 ml cider vinegar',
    '20 ml lemon juice',
    '10 ml rice vinegar',
    '5 ml sherry vinegar',
    '150 ml walnut oil',
  ],
  ...[
    '60 ml rapeseed oil',
    '30 ml olive oil',
    '1 tsp sesame oil',
    '2 tsp honey',
    '1 tsp sugar',
    '1 tsp maple syrup',
  ],
  ...[
    '2 tsp dijon mustard',
    '1 tsp wholegrain mustard',
    '3 g salt',
    '1 tsp soy sauce',
    '1 tsp white miso',
    '2 g pepper',
  ],
  ...[
    '1 clove garlic',
    '10 g shallot',
    '5 g chives',
    '5 g parsley',
    '3 g dill',
    '2 g thyme',
    '1 tsp capers',
    '1 anchovy',
  ],
  ...['20 g yoghurt', '20 g crème fraîche', '30 ml water', '1 g xanthan gum', '5 g ginger'],
];

interface Seen {
  readonly tasks: readonly number[];
  readonly shift: number;
  readonly firstPaintMs: number;
}
declare global {
  interface Window {
    seen: { tasks: number[]; shift: number };
  }
}

async function watched(browser: Browser): Promise<Page> {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.addInitScript(() => {
    window.seen = { tasks: [], shift: 0 };
    new PerformanceObserver((list) => {
      for (const { duration } of list.getEntries()) window.seen.tasks.push(duration);
    }).observe({ type: 'longtask', buffered: true });
    new PerformanceObserver((list) => {
      for (const entry of list.getEntries() as unknown as { value: number; hadRecentInput: boolean }[])
        if (!entry.hadRecentInput) window.seen.shift += entry.value;
    }).observe({ type: 'layout-shift', buffered: true });
  });
  return page;
}
const seenOn = (page: Page): Promise<Seen> =>
  page.evaluate(() => ({
    ...window.seen,
    firstPaintMs: performance.getEntriesByName('first-contentful-paint')[0]?.startTime ?? NaN,
  }));

async function pasteFormula(page: Page): Promise<void> {
  const add = page.getByRole('combobox', { name: 'Add: amount, then ingredient' });
  await add.focus();
  await page.evaluate((text) => {
    const data = new DataTransfer();
    data.setData('text/plain', text);
    document.activeElement!.dispatchEvent(
      new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }),
    );
  }, THIRTY_LINES.join('\n'));
  await page
    .getByTestId('addition')
    .nth(THIRTY_LINES.length - 1)
    .waitFor();
}

/** Typing a line and nudging an amount, at the pace of a quick hand. */
async function longestTaskMs(page: Page): Promise<number> {
  await page.evaluate(() => (window.seen.tasks = []));
  await page.getByRole('textbox', { name: 'Amount of Walnut oil' }).focus();
  for (let i = 0; i < 12; i++) {
    await page.keyboard.press('Shift+ArrowUp');
    await page.waitForTimeout(120);
  }
  await page.getByRole('combobox', { name: 'Add: amount, then ingredient' }).focus();
  await page.keyboard.type('2 tsp tarragon, chopped', { delay: 90 });
  for (let i = 0; i < 23; i++) await page.keyboard.press('Backspace', { delay: 20 });
  await page.waitForTimeout(800);
  return Math.max(0, ...(await seenOn(page)).tasks);
}

export async function benchStillness(server: DemoServer): Promise<void> {
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
  });
  try {
    const page = await watched(browser);
    await page.goto(`${server.address}/`);
    await page.getByRole('button', { name: 'New formula' }).click();
    await page.getByRole('button', { name: 'Empty jar' }).click();
    await pasteFormula(page);
    await page.waitForTimeout(4000);
    const tasks: number[] = [];
    for (let round = 0; round <= ROUNDS; round++) tasks.push(await longestTaskMs(page));
    console.log(
      `Longest task while typing and nudging in ${THIRTY_LINES.length} lines: ${median(tasks.slice(1)).toFixed(0)} ms (goal: none above ${LONG_TASK_MS} ms; 0: none was)`,
    );
    await page.close();

    for (const route of ROUTES) {
      const shifts: number[] = [];
      for (let round = 0; round < ROUNDS; round++) {
        const at = await watched(browser);
        await at.goto(`${server.address}${route}`);
        await at.locator('#main h1').first().waitFor({ state: 'attached' });
        await at.waitForTimeout(1200);
        shifts.push((await seenOn(at)).shift);
        await at.close();
      }
      const shift = median(shifts);
      console.log(
        `Layout shift on ${route}: ${shift.toFixed(3)}${shift < GOAL_SHIFT ? '' : ` ABOVE ${GOAL_SHIFT}`}`,
      );
    }
  } finally {
    await browser.close();
  }
}

/** From the shelf's first paint to its first jar. */
export async function firstJarMs(browser: Browser, address: string): Promise<number> {
  const all: number[] = [];
  for (let round = 0; round < ROUNDS; round++) {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await page.addInitScript(() => {
      const look = new MutationObserver(() => {
        if (!document.querySelector('#main a svg, #main a canvas, #main a img')) return;
        look.disconnect();
        requestAnimationFrame(() => performance.mark('first-jar'));
      });
      look.observe(document, { childList: true, subtree: true });
    });
    await page.goto(address);
    await page.waitForFunction(() => performance.getEntriesByName('first-jar').length > 0);
    all.push(
      await page.evaluate(
        () =>
          performance.getEntriesByName('first-jar')[0]!.startTime -
          (performance.getEntriesByName('first-contentful-paint')[0]?.startTime ?? NaN),
      ),
    );
    await page.close();
  }
  return median(all);
}

export const sayFirstJar = (ms: number, count: number): string =>
  `First of ${count} jars after the shelf's first paint: ${ms.toFixed(0)} ms (goal: below ${GOAL_FIRST_JAR_MS} ms)`;
