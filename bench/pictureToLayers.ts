/** From a file of twelve megapixels to its layers on the page, against the browser's own opening of it; goal: 1.5 s. */
import { chromium } from '@playwright/test';
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
    const session = await page.context().newCDPSession(page);
    await session.send('Performance.enable');
    const { metrics } = await session.send('Performance.getMetrics');
    const heapMb = metrics.find(({ name }) => name === 'JSHeapTotalSize')!.value / 1024 / 1024;
    printLine({
      name: `From a file to its layers, 12 megapixels; ${heapMb.toFixed(0)} MB of heap after it`,
      oursMs: median(ours),
      otherMs: median(other),
      other: 'opening it alone',
    });
  } finally {
    await browser.close();
  }
}
