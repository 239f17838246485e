/** From a key press in an amount to the changed ratio on the screen, against a bare text field that echoes into a span. */
import { chromium, type Page } from '@playwright/test';
import type { DemoServer } from '../e2e/demoServer';
import { median, printLine } from './measure';

/** Types into `field` again and again; ms from the key event to the first frame after `shown` changed. */
async function typingMs(page: Page, field: string, shown: string): Promise<number> {
  const times = await page.evaluate(
    async ([fieldSelector, shownSelector]) => {
      const input = document.querySelector<HTMLInputElement>(fieldSelector!)!;
      const output = document.querySelector(shownSelector!)!;
      const setValue = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')!.set!;
      input.focus();
      const all: number[] = [];
      for (let i = 0; i < 40; i++) {
        const before = output.textContent;
        const began = performance.now();
        setValue.call(input, `${73 + i * 7} ml`);
        input.dispatchEvent(new Event('input', { bubbles: true }));
        while (output.textContent === before && performance.now() - began < 2000)
          await new Promise(requestAnimationFrame);
        all.push(performance.now() - began);
        await new Promise((next) => setTimeout(next, 20));
      }
      return all;
    },
    [field, shown] as const,
  );
  return median(times.slice(5));
}

export async function benchKeyToNeedle(server: DemoServer): Promise<void> {
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
  });
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await page.goto(`${server.address}/formulas/walnut-cider/compose`);
    await page.getByTestId('ratio').waitFor();
    const oursMs = await typingMs(page, '[aria-label="Amount of Walnut oil"]', '[data-testid=ratio]');
    await page.setContent('<input id="f"><span id="s"></span>');
    await page.evaluate(() => {
      const [field, span] = [document.querySelector('#f')!, document.querySelector('#s')!];
      field.addEventListener('input', () => {
        requestAnimationFrame(() => {
          span.textContent = (field as HTMLInputElement).value;
        });
      });
    });
    const otherMs = await typingMs(page, '#f', '#s');
    printLine({
      name: 'Key press to changed ratio in the browser (goal: below 50 ms)',
      oursMs,
      otherMs,
      other: 'a bare field that echoes in the next frame',
    });
  } finally {
    await browser.close();
  }
}
