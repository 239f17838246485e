/** Script time a frame while the jar is scrubbed through time, against a bare slider that echoes its value. */
import { chromium, type Page } from '@playwright/test';
import type { DemoServer } from '../e2e/demoServer';
import { median, printLine } from './measure';

/** ms of script (handlers, rendering by React included) for one step of the slider. */
async function stepMs(page: Page, slider: string): Promise<number> {
  const times = await page.evaluate(async (selector) => {
    const input = document.querySelector<HTMLInputElement>(selector)!;
    const setValue = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')!.set!;
    const all: number[] = [];
    for (let i = 0; i < 80; i++) {
      await new Promise(requestAnimationFrame);
      const began = performance.now();
      setValue.call(input, String(5 + ((i * 7) % 90)));
      input.dispatchEvent(new Event('input', { bubbles: true }));
      // What is scheduled by the event runs before the next task.
      await new Promise<void>((done) => {
        const channel = new MessageChannel();
        channel.port1.onmessage = () => {
          done();
        };
        channel.port2.postMessage(null);
      });
      all.push(performance.now() - began);
    }
    return all;
  }, slider);
  return median(times.slice(10));
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
