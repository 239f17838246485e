/** A shelf of a thousand: the list at the server, and scrolling and filtering in the browser. */
import { createServer } from 'node:http';
import { join } from 'node:path';
import { chromium, type Browser } from '@playwright/test';
import { DEMO_FORMULAS } from '../src/server/demo/demoKitchen';
import { demoFormula } from '../src/server/demo/loadDemo';
import { Client, dropFolder, openKitchen, tempFolder } from '../src/server/testing/kitchen';
import { firstJarMs, sayFirstJar } from './stillness';
import { median, percentile, printLine } from './measure';

const LARGE = 1000;
const HUGE = 3000;
const MEDIUM = 135;
const SMALL = 50;

interface Shelf {
  readonly address: string;
  readonly stop: () => Promise<void>;
}

async function shelfOf(count: number): Promise<Shelf> {
  const folder = tempFolder();
  const kitchen = await openKitchen(folder, { webFolder: join(import.meta.dirname, '../dist/web') });
  const client = new Client(kitchen.address, null);
  const demos = DEMO_FORMULAS.map((demo) => demoFormula(demo).working);
  for (let i = 0; i < count; i++) {
    const formula = { ...demos[i % demos.length]!, name: `${demos[i % demos.length]!.name} ${i}` };
    await client.post('formulas', { id: `bench-${i}`, formula });
  }
  return {
    address: kitchen.address,
    stop: async () => {
      await kitchen.stop();
      dropFolder(folder);
    },
  };
}

async function getMs(url: string, times: number): Promise<readonly number[]> {
  const all: number[] = [];
  for (let i = 0; i < times; i++) {
    const began = performance.now();
    await (await fetch(url)).arrayBuffer();
    all.push(performance.now() - began);
  }
  return all.slice(10);
}

export async function benchLargeShelf(): Promise<void> {
  const [large, small] = [await shelfOf(LARGE), await shelfOf(SMALL)];
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
  });
  try {
    const medium = await shelfOf(MEDIUM);
    console.log(sayFirstJar(await firstJarMs(browser, medium.address), MEDIUM));
    await medium.stop();
    await benchList(large);
    await benchFind();
    const [many, few] = [await scroll(browser, large), await scroll(browser, small)];
    printLine({
      name: `Script a frame while scrolling ${LARGE} jars (goal: below 8 ms)`,
      oursMs: many.scriptMsPerFrame,
      otherMs: few.scriptMsPerFrame,
      other: `the same with ${SMALL} jars`,
    });
    console.log(
      `First contentful paint of the shelf: ${few.firstPaintMs.toFixed(0)} ms (goal: below 1000 ms)`,
    );
  } finally {
    await browser.close();
    await large.stop();
    await small.stop();
  }
}

async function benchList({ address }: Shelf): Promise<void> {
  const body = Buffer.from(await (await fetch(`${address}/api/formulas`)).arrayBuffer());
  const bare = createServer((_request, response) => response.end(body));
  await new Promise<void>((listening) => bare.listen(0, '127.0.0.1', listening));
  const { port } = bare.address() as { port: number };
  const ours = await getMs(`${address}/api/formulas`, 80);
  const theirs = await getMs(`http://127.0.0.1:${port}/`, 80);
  bare.close();
  printLine({
    name: `List of ${LARGE} formulas, 95th percentile (goal: below 50 ms)`,
    oursMs: percentile(ours, 0.95),
    otherMs: percentile(theirs, 0.95),
    other: `the same ${(body.length / 1024).toFixed(0)} kB from a bare server`,
  });
}

/** One field over a kitchen of years: by a name, by an ingredient, by a batch number that nobody has. */
export async function benchFind(): Promise<void> {
  const huge = await shelfOf(HUGE);
  try {
    // Read once in the background, as it is after opening.
    let pending = 1;
    while (pending > 0)
      ({ pending } = (await (await fetch(`${huge.address}/api/find?q=a`)).json()) as { pending: number });
    const ours: number[] = [];
    for (const q of ['walnut 2999', 'tahini', '20261128'])
      ours.push(...(await getMs(`${huge.address}/api/find?q=${encodeURIComponent(q)}`, 40)));
    printLine({
      name: `Finding among ${HUGE} formulas, 95th percentile (goal: below 50 ms)`,
      oursMs: percentile(ours, 0.95),
      otherMs: percentile(await getMs(`${huge.address}/api/cooks`, 40), 0.95),
      other: 'the smallest question of the same server',
    });
  } finally {
    await huge.stop();
  }
}

interface Scrolled {
  readonly scriptMsPerFrame: number;
  readonly firstPaintMs: number;
}

async function scroll(browser: Browser, { address }: Shelf): Promise<Scrolled> {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(address);
  await page
    .getByRole('link', { name: /Walnut/ })
    .first()
    .waitFor();
  const firstPaintMs = await page.evaluate(
    () => performance.getEntriesByName('first-contentful-paint')[0]?.startTime ?? NaN,
  );
  const session = await page.context().newCDPSession(page);
  await session.send('Performance.enable');
  const scriptS = async (): Promise<number> => {
    const { metrics } = await session.send('Performance.getMetrics');
    return metrics.find(({ name }) => name === 'ScriptDuration')!.value;
  };
  const perFrame: number[] = [];
  for (let round = 0; round < 5; round++) {
    const before = await scriptS();
    const frames = await page.evaluate(async () => {
      const end = document.documentElement.scrollHeight - window.innerHeight;
      let count = 0;
      for (let y = 0; y <= Math.min(end, 6000); y += 60) {
        window.scrollTo(0, y);
        await new Promise(requestAnimationFrame);
        count += 1;
      }
      return count;
    });
    perFrame.push((((await scriptS()) - before) * 1000) / frames);
  }
  await page.close();
  return { scriptMsPerFrame: median(perFrame), firstPaintMs };
}
