/**
 * From a file of twelve megapixels to its layers on the page, against the browser's own opening of it; goals: 1.5 s, and
 * 250 MB more in all processes of the browser together at any time, the pictures' own memory included.
 */
import { readFileSync, writeFileSync } from 'node:fs';
import { chromium, type Browser } from '@playwright/test';
import type { DemoServer } from '../e2e/demoServer';
import { median, printLine } from './measure';

const [WIDTH, HEIGHT, RUNS] = [3024, 4032, 5];

export async function benchPictureToLayers(server: DemoServer): Promise<void> {
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
  });
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await page.goto(`${server.address}/formulas/walnut-cider/look`);
    const files = page.getByLabel('Take or choose pictures');
    await files.waitFor({ state: 'attached' });
    const base64 = await page.evaluate(
      async ([width, height]) => {
        const canvas = new OffscreenCanvas(width, height);
        const pen = canvas.getContext('2d')!;
        pen.fillStyle = '#b8bcc0';
        pen.fillRect(0, 0, width, height);
        pen.fillStyle = '#e8e0b8';
        pen.fillRect(width * 0.3, height * 0.3, width * 0.4, height * 0.55);
        pen.fillStyle = '#7c5436';
        pen.fillRect(width * 0.3, height * 0.7, width * 0.4, height * 0.15);
        const blob = await canvas.convertToBlob({ type: 'image/jpeg' });
        const bytes = new Uint8Array(await blob.arrayBuffer());
        return btoa(Array.from(bytes, (byte) => String.fromCharCode(byte)).join(''));
      },
      [WIDTH, HEIGHT] as const,
    );
    const file = { name: 'jar.jpg', mimeType: 'image/jpeg', buffer: Buffer.from(base64, 'base64') };
    const [ours, other]: [number[], number[]] = [[], []];
    const memory = await memoryOf(browser);
    for (let run = 0; run < RUNS; run++) {
      const began = performance.now();
      await files.setInputFiles([file]);
      await page
        .getByTestId('seen-layers')
        .first()
        .getByText(/Watery/)
        .waitFor();
      ours.push(performance.now() - began);
      await page.getByRole('button', { name: 'Leave it out' }).click();
      other.push(
        await page.evaluate(async (text) => {
          const bytes = Uint8Array.from(atob(text), (sign) => sign.charCodeAt(0));
          const start = performance.now();
          (await createImageBitmap(new Blob([bytes], { type: 'image/jpeg' }))).close();
          return performance.now() - start;
        }, base64),
      );
    }
    printLine({
      name: `From a file to its layers, 12 megapixels; at most ${memory.moreMb().toFixed(0)} MB more in the browser`,
      oursMs: median(ours),
      otherMs: median(other),
      other: 'opening it alone',
    });
  } finally {
    await browser.close();
  }
}

/** Resident memory of the browser's processes (proc(5)): how much more at the most, since it was first looked at. */
async function memoryOf(browser: Browser): Promise<{ readonly moreMb: () => number }> {
  const session = await browser.newBrowserCDPSession();
  const { processInfo } = await session.send('SystemInfo.getProcessInfo');
  const kbOf = (pid: number, what: 'VmHWM' | 'VmRSS'): number => {
    const line = new RegExp(`^${what}:\\s+(\\d+) kB`, 'm').exec(readFileSync(`/proc/${pid}/status`, 'utf8'));
    return Number(line?.[1] ?? NaN);
  };
  const before = processInfo.map(({ id }) => {
    // The peak begins anew.
    writeFileSync(`/proc/${id}/clear_refs`, '5');
    return { id, kb: kbOf(id, 'VmRSS') };
  });
  return { moreMb: () => before.reduce((sum, { id, kb }) => sum + (kbOf(id, 'VmHWM') - kb) / 1024, 0) };
}
