import { expectAccessible } from './axe';
import { expect, test } from './kitchen';
import type { Page } from '@playwright/test';

test.use({ kitchenFor: 'glass' });

/** A jar drawn in the page itself: two layers, the border so far up; as a file that a camera might give. */
async function jarFile(page: Page, border: number, type = 'image/jpeg'): Promise<Buffer> {
  const base64 = await page.evaluate(
    async ({ share, mime }) => {
      const canvas = document.createElement('canvas');
      canvas.width = 600;
      canvas.height = 800;
      const pen = canvas.getContext('2d')!;
      pen.fillStyle = '#b8bcc0';
      pen.fillRect(0, 0, 600, 800);
      // As the corners stand at first: floor at 85 %, surface at 30 %, a fifth of the width to either side.
      const [floor, surface] = [680, 240];
      pen.fillStyle = '#e8e0b8';
      pen.fillRect(180, surface, 240, floor - surface);
      pen.fillStyle = '#7c5436';
      pen.fillRect(180, floor - share * (floor - surface), 240, share * (floor - surface));
      const blob = await new Promise<Blob>((resolve) => {
        canvas.toBlob((made) => {
          resolve(made!);
        }, mime);
      });
      const bytes = new Uint8Array(await blob.arrayBuffer());
      return btoa(Array.from(bytes, (byte) => String.fromCharCode(byte)).join(''));
    },
    { share: border, mime: type },
  );
  return Buffer.from(base64, 'base64');
}

/** ISO/IEC 23008-12: a box "ftyp" of the brand "heic", and nothing in it. */
const HEIC = Buffer.concat([Buffer.from([0, 0, 0, 24]), Buffer.from('ftypheic\0\0\0\0mif1heic')]);
/** W3C PNG: a signature and a header of 32768 × 32768; its checksum is not looked at. */
const VAST_PNG = Buffer.concat([
  Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a, 0, 0, 0, 13]),
  Buffer.from('IHDR'),
  Buffer.from([0, 0, 0x80, 0, 0, 0, 0x80, 0, 8, 2, 0, 0, 0, 0, 0, 0, 0]),
  Buffer.alloc(900),
]);

async function drag(page: Page, handle: string, dx: number, dy: number): Promise<void> {
  const place = page.getByRole('button', { name: handle, exact: true });
  await place.scrollIntoViewIfNeeded();
  const box = (await place.boundingBox())!;
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + dx / 2, y + dy / 2);
  await page.mouse.move(x + dx, y + dy);
  await page.mouse.up();
}

test('a picture of a jar is measured, mended by hand, kept, and shown beside the prediction @often', async ({
  page,
}) => {
  await page.goto('/formulas/walnut-cider/log');
  await page.getByRole('link', { name: /^With a picture/ }).click();
  await expect(page.getByText('never leave your kitchen’s own server')).toBeVisible();
  const files = page.getByLabel('Take or choose pictures');
  // What is no picture is refused with a word, and nothing else is lost.
  await files.setInputFiles({
    name: 'notes.heic',
    mimeType: 'image/heic',
    buffer: Buffer.from('no picture'),
  });
  await expect(page.getByText('notes.heic cannot be opened by this browser')).toBeVisible();
  await files.setInputFiles({ name: 'jar.heic', mimeType: 'image/heic', buffer: HEIC });
  await expect(page.getByText('jar.heic (HEIC) cannot be opened by this browser')).toBeVisible();
  // One that would unpack to 4 GB is not unpacked: a kilobyte of PNG says how large it is.
  await files.setInputFiles({ name: 'wall.png', mimeType: 'image/png', buffer: VAST_PNG });
  await expect(page.getByText(/wall\.png is larger than/)).toBeVisible();
  await files.setInputFiles([
    { name: 'a.jpg', mimeType: 'image/jpeg', buffer: await jarFile(page, 0.25) },
    { name: 'b.png', mimeType: 'image/png', buffer: await jarFile(page, 0.5, 'image/png') },
  ]);
  await expect(page.getByText('Picture 1 of 2')).toBeVisible();
  const seen = page.getByTestId('seen-layers').first();
  await expect(seen).toContainText(/Watery 2[456] %/);
  await expect(seen).toContainText(/Creamed 7[456] %/);
  await expectAccessible(page);
  // A border moved with the keys stays where it was put, and can be given back.
  await page.getByRole('button', { name: 'Border 1' }).focus();
  for (let i = 0; i < 6; i++) await page.keyboard.press('Shift+ArrowUp');
  await expect(page.getByText('A border was moved by hand')).toBeVisible();
  await expect(seen).toContainText(/Watery 3\d %/);
  await page.getByRole('button', { name: 'As it was found' }).click();
  await expect(seen).toContainText(/Watery 2[456] %/);
  // By finger or mouse, too: a border goes where it is drawn, and a corner takes what was measured with it.
  await drag(page, 'Border 1', 0, -60);
  await expect(page.getByText('A border was moved by hand')).toBeVisible();
  await expect(seen).not.toContainText(/Watery 2\d %/);
  await page.getByRole('button', { name: 'As it was found' }).click();
  await drag(page, 'Floor, left', 0, -40);
  await drag(page, 'Floor, right', 0, -40);
  await expect(seen).toContainText(/Watery (?:1\d|20) %/);
  await drag(page, 'Floor, left', 0, 40);
  await drag(page, 'Floor, right', 0, 40);
  await expect(seen).toContainText(/Watery 2[3-7] %/);
  // A corner drawn above the surface is said.
  await page.getByRole('button', { name: 'Surface, left' }).focus();
  await page.keyboard.press('Shift+ArrowDown');
  await page.keyboard.press('Shift+ArrowUp');
  await page.getByLabel('Minutes since the shake').fill('-3');
  await expect(page.getByText('Minutes above nothing')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Keep this look' })).toBeDisabled();
  await page.getByLabel('Minutes since the shake').fill('90');
  await page.getByRole('button', { name: 'Keep this look' }).click();
  await expect(page.getByText('Picture 2 of 2')).toBeVisible();
  await expect(page.getByTestId('kept-pictures').getByRole('img')).toHaveCount(1);
  await expect(page.getByTestId('kept-pictures')).toContainText('1½ h after the shake');
  await page.getByRole('button', { name: 'Leave it out' }).click();
  await expect(page.getByRole('img', { name: /Measured|Layers against time/ })).toBeVisible();
  // The look teaches as one by eye does: it stands in the log.
  await page.goto('/formulas/walnut-cider/log');
  await expect(page.getByText(/split/i).first()).toBeVisible();
  await expect(page.getByTestId('jar-pictures').locator('img').first()).toBeVisible();
  // Taken away, it is asked once and gone.
  await page.goto('/formulas/walnut-cider/look');
  await page.getByRole('button', { name: /^Take away the picture/ }).click();
  await page.getByRole('button', { name: 'Take it away for good' }).click();
  await expect(page.getByText('None kept of this jar yet.')).toBeVisible();
  // What it taught is struck out with it.
  await page.goto('/formulas/walnut-cider/log');
  await expect(page.getByTestId('jar-log').first().locator('del')).toContainText(/split/i);
  await page.goto('/formulas/walnut-cider/look');
  await page.setViewportSize({ width: 390, height: 800 });
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
});

test('a jar that is far from its prediction asks what was different; its look may stay without the picture', async ({
  page,
}) => {
  await page.goto('/formulas/walnut-cider/look');
  await page.getByLabel('Take or choose pictures').setInputFiles({
    name: 'jar.jpg',
    mimeType: 'image/jpeg',
    buffer: await jarFile(page, 0),
  });
  await expect(page.getByTestId('seen-layers').first()).toContainText('No layer to be seen.');
  // What waits to be judged is not lost with the page.
  await page.reload();
  await expect(page.getByText('Picture 1 of 1')).toBeVisible();
  // Still together after two months.
  await page.getByLabel('Minutes since the shake').fill('86400');
  await page.getByRole('button', { name: 'Keep this look' }).click();
  await expect(page.getByTestId('far-outside')).toContainText(
    'was the tool, the time or a bottle another one?',
  );
  await expectAccessible(page);
  await page.getByRole('button', { name: /^Take away the picture/ }).click();
  await page.getByRole('button', { name: 'The picture alone: its look still counts' }).click();
  await expect(page.getByTestId('far-outside')).toHaveCount(0);
  await page.goto('/formulas/walnut-cider/log');
  await expect(page.getByTestId('jar-log').first()).toContainText(/60 days|2 months|fine/);
});

test('how far something ran on a plate, by a card beside it', async ({ page }) => {
  await page.goto('/pantry/yoghurt_whole');
  const card = page.getByTestId('thickness');
  await card.getByLabel('A picture of the plate').setInputFiles({
    name: 'plate.txt',
    mimeType: 'text/plain',
    buffer: Buffer.from('no picture'),
  });
  await expect(card.getByText('plate.txt cannot be opened by this browser')).toBeVisible();
  await card.getByLabel('A picture of the plate').setInputFiles({
    name: 'plate.jpg',
    mimeType: 'image/jpeg',
    buffer: await jarFile(page, 0.5),
  });
  // As the ends stand at first: 400 px of run, 210 px of an 85.6 mm card.
  await expect(card.getByText('It ran 163 mm: 5 cm in 3.1 s.')).toBeVisible();
  await card.getByLabel('The card or coin, mm').fill('2');
  await expect(card.getByText('10 to 300 mm')).toBeVisible();
  await card.getByLabel('The card or coin, mm').fill('25.75');
  await card.getByRole('button', { name: 'Run, its end' }).focus();
  for (let i = 0; i < 4; i++) await page.keyboard.press('Shift+ArrowUp');
  await expect(card.getByText(/It ran 39 mm: 5 cm in 13 s/)).toBeVisible();
  await expectAccessible(page);
  await card.getByRole('button', { name: 'Set' }).last().click();
  await expect(card.getByText(/Runs 5 cm in 12\.\d s|Runs 5 cm in 13/)).toBeVisible();
  await card.getByRole('button', { name: 'Undo' }).click();
});

test('a camera that cannot be reached is said, and a picture is still taken in', async ({ page }) => {
  await page.goto('/formulas/walnut-cider/look');
  await page.getByRole('button', { name: 'Watch with the camera' }).click();
  await expect(page.getByText(/No camera can be reached here|The camera was refused/)).toBeVisible();
  await page.getByRole('button', { name: 'Stop watching' }).click();
  await expect(page.getByText(/No camera can be reached here|The camera was refused/)).toHaveCount(0);
  await page.getByLabel('Take or choose pictures').setInputFiles({
    name: 'jar.jpg',
    mimeType: 'image/jpeg',
    buffer: await jarFile(page, 0),
  });
  await expect(page.getByTestId('seen-layers').first()).toContainText('No layer to be seen.');
});
