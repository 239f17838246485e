/** Script time a frame while the jar is scrubbed through time, against a bare slider that echoes its value. */
import { chromium, type Page } from '@playwright/test';
import type { DemoServer } from '../e2e/demoServer';
import { median, printLine } from './measure';

const STEPS = 60;

/** ms of script (handlers, React, drawing into the tree) for one step of the slider; painting is not script. */
async function stepMs(page: Page, slider: string): Promise<number> {
  const session = await page.context().newCDPSession(page);
  await session.send('Performance.enable');
  const scriptS = async (): Promise<number> => {
    const { metrics } = await session.send('Performance.getMetrics');
    return metrics.find(({ name }) => name === 'ScriptDuration')!.value;
  };
  const perStep: number[] = [];
  for (let round = 0; round < 6; round++) {
    const before = await scriptS();
    await page.evaluate(
      async ([selector, steps]) => {
        const input = document.querySelector<HTMLInputElement>(selector)!;
        const setValue = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')!.set!;
        for (let i = 0; i < steps; i++) {
          setValue.call(input, String(5 + ((i * 7) % 90)));
          input.dispatchEvent(new Event('input', { bubbles: true }));
          await new Promise(requestAnimationFrame);
        }
      },
      [slider, STEPS] as const,
    );
    perStep.push(((await scriptS()) - before) * (1000 / STEPS));
  }
  await session.detach();
  return median(perStep.slice(1));
}

export async function benchScrub(server: DemoServer): Promise<void> {
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
  });
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await page.goto(`${server.address}/formulas/walnut-cider/compose`);
    await page.locator('[aria-label="Time after mixing"]:enabled').waitFor();
    const oursMs = await stepMs(page, '[aria-label="Time after mixing"]');
    await page.setContent('<input id="f" type="range" max="100"><span id="s"></span>');
    await page.evaluate(() => {
      const [field, span] = [document.querySelector<HTMLInputElement>('#f')!, document.querySelector('#s')!];
      field.addEventListener('input', () => {
        span.textContent = field.value;
      });
    });
    printLine({
      name: 'scrubbing the jar, script a frame (goal: below 8 ms)',
      oursMs,
      otherMs: await stepMs(page, '#f'),
      other: 'a bare slider',
    });
  } finally {
    await browser.close();
  }
}
