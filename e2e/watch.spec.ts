import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test } from './kitchen';

const [WIDTH, HEIGHT] = [320, 240];
/** A film as the fake camera takes it (YUV4MPEG2, 4:2:0): a jar, mixed at first, then with a watery layer. */
function film(): string {
  const path = join(mkdtempSync(join(tmpdir(), 'ygrana-film-')), 'jar.y4m');
  const frame = (border: number): Buffer => {
    const [luma, u, v] = [
      Buffer.alloc(WIDTH * HEIGHT, 175),
      Buffer.alloc((WIDTH * HEIGHT) / 4, 128),
      Buffer.alloc((WIDTH * HEIGHT) / 4, 128),
    ];
    // As the corners stand at first: floor at 85 %, surface at 30 %, a fifth of the width to either side.
    const [floor, surface] = [Math.round(HEIGHT * 0.85), Math.round(HEIGHT * 0.3)];
    const edge = floor - border * (floor - surface);
    for (let y = surface; y < floor; y++)
      for (let x = Math.round(WIDTH * 0.28); x < WIDTH * 0.72; x++) {
        luma[y * WIDTH + x] = y >= edge ? 80 : 205;
        const half = (y >> 1) * (WIDTH / 2) + (x >> 1);
        u[half] = y >= edge ? 110 : 108;
        v[half] = y >= edge ? 146 : 134;
      }
    return Buffer.concat([Buffer.from('FRAME\n'), luma, u, v]);
  };
  const head = Buffer.from(`YUV4MPEG2 W${WIDTH} H${HEIGHT} F1:1 Ip A1:1 C420mpeg2\n`);
  const frames = Array.from({ length: 100 }, (_, i) => frame(i < 25 ? 0 : 0.3));
  writeFileSync(path, Buffer.concat([head, ...frames]));
  return path;
}

test.use({
  kitchenFor: 'watch',
  launchOptions: async ({ launchOptions }, use) => {
    await use({
      ...launchOptions,
      args: [
        ...(launchOptions.args ?? []),
        '--use-fake-device-for-media-stream',
        '--use-fake-ui-for-media-stream',
        `--use-file-for-fake-video-capture=${film()}`,
      ],
    });
  },
});

test('a watched jar says when a layer shows, and survives a reload', async ({ page }) => {
  await page.clock.install();
  await page.goto('/formulas/walnut-cider/look');
  await page.getByRole('button', { name: 'Watch with the camera' }).click();
  await expect(page.getByRole('button', { name: 'Take a picture now' })).toBeVisible();
  await page.getByRole('button', { name: 'Watch between these corners' }).click();
  await expect(page.getByText(/Looked \d+ times since/)).toBeVisible();
  await expect(page.getByText('Last: Mixed')).toBeVisible();
  await page.reload();
  await expect(page.getByText(/Looked \d+ times since/)).toBeVisible();
  // The film plays on by itself; the minutes are put forward until both are there.
  await expect(async () => {
    await page.clock.runFor(61_000);
    await expect(page.getByText(/A layer shows/)).toBeVisible({ timeout: 1500 });
  }).toPass({ timeout: 60_000 });
  await expect(page.getByTestId('seen-layers').first()).toContainText(/Watery (?:29|3\d) %/);
  await expect(page.getByTestId('camera')).toHaveCount(0);
  await page.getByLabel('Minutes since the shake').fill('30');
  await page.getByRole('button', { name: 'Keep this look' }).click();
  await expect(page.getByTestId('kept-pictures').getByRole('img')).toHaveCount(1);
});
