import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expectAccessible } from './axe';
import { expect, test, type Page } from './kitchen';

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
  await expect(page.getByText(/Looked (?:once|\d+ times) since/)).toBeVisible();
  await expect(page.getByText('Last: Mixed')).toBeVisible();
  await page.reload();
  await expect(page.getByText(/Looked (?:once|\d+ times) since/)).toBeVisible();
  // The film plays on by itself; the minutes are put forward until both are there.
  await expect(async () => {
    await page.clock.runFor(61_000);
    await expect(page.getByText(/A layer shows/)).toBeVisible({ timeout: 1500 });
  }).toPass({ timeout: 60_000 });
  await expect(page.getByTestId('seen-layers').first()).toContainText(/Watery (?:29|3\d) %/);
  await expect(page.getByTestId('camera')).toHaveCount(0);
  // What it found is there after a reload, too, between the corners that were drawn.
  await page.reload();
  await expect(page.getByRole('button', { name: 'Watch with the camera' })).toBeVisible();
  await expect(page.getByTestId('seen-layers').first()).toContainText(/Watery (?:29|3\d) %/);
  await page.getByLabel('Minutes since the shake').fill('30');
  await page.getByRole('button', { name: 'Keep this look' }).click();
  await expect(page.getByTestId('kept-pictures').getByRole('img')).toHaveCount(1);
  await page.reload();
  await expect(page.getByTestId('kept-pictures').getByRole('img')).toHaveCount(1);
  await expect(page.getByText(/Picture \d of/)).toHaveCount(0);
});

interface Stand {
  /** Draws what the camera sees: a jar on a shelf; moved so far, px; the share that is watery. */
  draw: (shift: number, watery: number) => void;
  track: MediaStreamTrack | null;
}
/** A camera that the test holds in its hand. */
async function cameraInHand(page: Page): Promise<void> {
  await page.addInitScript(() => {
    const canvas = document.createElement('canvas');
    canvas.width = 640;
    canvas.height = 480;
    const pen = canvas.getContext('2d')!;
    const stand: Stand = {
      track: null,
      draw: (shift, watery) => {
        pen.fillStyle = '#b8bcc0';
        pen.fillRect(0, 0, 640, 480);
        pen.fillStyle = '#9ca0a4';
        for (const x of [20, 90, 560]) pen.fillRect(x + shift, 0, 14, 430);
        pen.fillRect(0, 440 + shift / 2, 640, 40);
        pen.fillStyle = '#e8e0b8';
        pen.fillRect(192 + shift, 144 + shift / 2, 256, 264);
        pen.fillStyle = '#7c5436';
        pen.fillRect(192 + shift, 144 + shift / 2 + 264 * (1 - watery), 256, 264 * watery);
      },
    };
    Object.assign(window, { stand });
    navigator.mediaDevices.getUserMedia = () => {
      const stream = canvas.captureStream(0);
      const [track] = stream.getVideoTracks() as [MediaStreamTrack & { requestFrame: () => void }];
      stand.track = track;
      stand.draw(0, 0);
      track.requestFrame();
      return Promise.resolve(stream);
    };
  });
}
const see = (page: Page, shift: number, watery: number): Promise<void> =>
  page.evaluate(
    ([by, share]) => {
      const { stand } = window as unknown as { stand: Stand };
      stand.draw(by, share);
      (stand.track as MediaStreamTrack & { requestFrame: () => void }).requestFrame();
    },
    [shift, watery] as const,
  );

const pullTheCable = (page: Page): Promise<void> =>
  page.evaluate(() => {
    const { track } = (window as unknown as { stand: Stand }).stand;
    track!.stop();
    track!.dispatchEvent(new Event('ended'));
  });

test('a camera that is lost comes back, and one that was moved asks for the corners again', async ({
  page,
}) => {
  await cameraInHand(page);
  await page.clock.install();
  await page.goto('/formulas/walnut-cider/look');
  await page.getByRole('button', { name: 'Watch with the camera' }).click();
  await page.getByRole('button', { name: 'Watch between these corners' }).click();
  const goesOn = page.getByText(/Looked (?:once|\d+ times) since/);
  await expect(goesOn).toBeVisible();
  // The cable is pulled: nothing is measured, nothing is forgotten.
  await pullTheCable(page);
  await expect(page.getByText('The camera is gone')).toBeVisible();
  await expect(goesOn).toHaveCount(0);
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Try the camera again' }).click();
  await expect(goesOn).toBeVisible();
  await pullTheCable(page);
  await expect(page.getByText('The camera is gone')).toBeVisible();
  // Plugged in again it goes on by itself, between the same corners.
  await page.evaluate(() => navigator.mediaDevices.dispatchEvent(new Event('devicechange')));
  await expect(goesOn).toBeVisible();
  await expect(page.getByText('Last: Mixed')).toBeVisible();
  // Nudged: what lies between the corners is not the jar any more, and is not taken for a layer.
  await expect(async () => {
    await see(page, 60, 0);
    await page.clock.runFor(61_000);
    await expect(page.getByText('The camera or the jar was moved')).toBeVisible({ timeout: 1000 });
  }).toPass({ timeout: 60_000 });
  await expect(page.getByText(/A layer shows/)).toHaveCount(0);
  await page.getByRole('button', { name: 'Watch between these corners' }).click();
  await expect(goesOn).toBeVisible();
  await expect(async () => {
    await see(page, 60, 0.3);
    await page.clock.runFor(61_000);
    await expect(page.getByText(/A layer shows/)).toBeVisible({ timeout: 1000 });
  }).toPass({ timeout: 60_000 });
  await expect(page.getByTestId('seen-layers').first()).toContainText(/Watery (?:2[89]|3\d) %/);
});
