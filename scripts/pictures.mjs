/** Takes the pictures in docs/screenshots from a fresh demo kitchen. Needs Debian's Chromium. */
import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { checkNode, ensureBuilt, ensureInstalled, root } from './setup.mjs';

checkNode();
ensureInstalled();
ensureBuilt();
const { chromium } = await import('@playwright/test');

const WIDE = { width: 1280, height: 800 };
const VIEWS = [
  { name: 'shelf', path: '/', size: WIDE },
  { name: 'compose', path: '/formulas/walnut-cider/compose', size: WIDE },
  {
    name: 'ways',
    path: '/formulas/ginger-sesame/compose',
    size: WIDE,
    before: async (page) => {
      await page.keyboard.press('b');
      await page.getByRole('button', { name: 'Take this way' }).first().waitFor();
    },
  },
  {
    name: 'hold',
    path: '/formulas/walnut-cider/compose',
    size: WIDE,
    before: async (page) => {
      await page.locator('[aria-label="Time after mixing"]:enabled').fill('78');
      await page.getByRole('button', { name: 'How to make it hold' }).click();
      await page.getByTestId('hold-changes').getByRole('listitem').nth(2).waitFor();
    },
  },
  {
    name: 'make',
    path: '/formulas/walnut-cider/make',
    size: WIDE,
    before: async (page) => {
      await page.getByRole('button', { name: /and begin$|^Begin making/ }).click();
      await weigh(page, 90.9);
      await page.getByRole('heading', { name: /salt, / }).waitFor();
      await weigh(page, 5.5);
      await page.getByRole('heading', { name: /^Stir until/ }).waitFor();
      await page.keyboard.press('Space');
      await page.getByRole('heading', { name: /^Shallot/ }).waitFor();
      await weigh(page, 14.2);
      await page.getByRole('button', { name: /^Take 14/ }).waitFor();
      // The hands of the stand-ins are folded again.
      await page.getByTestId('hands').locator('summary').click();
    },
  },
  {
    name: 'taste',
    path: '/formulas/walnut-cider/taste?jar=demo-jar-3',
    size: WIDE,
    before: async (page) => {
      await page.getByTestId('jar-log').waitFor();
      await page.getByRole('radio', { name: 'needs sweet, a little' }).check({ force: true });
      await page.getByRole('radio', { name: 'needs salt, a little' }).check({ force: true });
      await page.getByTestId('mends').getByRole('listitem').first().waitFor();
      await page.evaluate(() => window.scrollTo(0, 0));
    },
  },
  {
    name: 'log',
    path: '/formulas/walnut-cider/log',
    size: WIDE,
    before: (page) => page.getByRole('img', { name: /over the makings/ }).waitFor(),
  },
  { name: 'ingredient', path: '/pantry/walnuts', size: WIDE },
  {
    name: 'look',
    path: '/formulas/walnut-cider/look',
    size: WIDE,
    before: async (page) => {
      await lookAt(page, 0.05, 40, true);
      await lookAt(page, 0.1, 150, true);
      await lookAt(page, 0.16, 360, false);
      await page.getByRole('button', { name: 'Surface, left' }).scrollIntoViewIfNeeded();
      await page.evaluate(() => window.scrollTo(0, 0));
    },
  },
  {
    name: 'course',
    path: '/formulas/walnut-cider/look',
    size: WIDE,
    before: async (page) => {
      await page.getByTestId('kept-pictures').getByRole('img').nth(1).waitFor();
      await page.getByRole('img', { name: /Layers against time/ }).waitFor();
      await page.getByRole('heading', { name: 'The course against the prediction' }).evaluate((it) => {
        it.scrollIntoView({ block: 'start' });
      });
    },
  },
  {
    name: 'batch',
    path: '/formulas/walnut-cider/batch?amount=12&in=bucket_10000',
    size: WIDE,
    before: (page) => page.getByTestId('batch-hold').getByText('In service').waitFor(),
  },
  {
    name: 'from-pantry',
    path: '/from-pantry',
    size: WIDE,
    before: async (page) => {
      const there = page.getByRole('combobox', { name: 'What is there' });
      await there.fill('tahini, half a lemon, garlic, cumin, yoghurt');
      await there.press('Enter');
      await page.getByRole('combobox', { name: 'Style' }).click();
      await page.getByRole('option', { name: 'Tahini', exact: true }).click();
      await page.getByLabel('To make, ml').fill('250');
      await page.getByTestId('answers').getByRole('button', { name: 'Open as a draft' }).first().waitFor();
    },
  },
  {
    name: 'pour',
    path: '/pour',
    size: WIDE,
    before: async (page) => {
      await page.getByTestId('shows').waitFor();
      const here = page.getByRole('button', { name: 'Read it here' });
      if (await here.isVisible()) await here.click();
      // What lay on it for the picture before is lifted off.
      await page.getByTestId('hands').locator('summary').click();
      await page.getByRole('button', { name: 'Lift it all off' }).click();
      await page.waitForTimeout(2500);
      await putOn(page, 310);
      await page.waitForTimeout(2500);
      for (const [grams, name] of [
        [34, 'cider vinegar'],
        [1.5, 'fine sea salt'],
        [21, 'honey'],
        [55, 'walnut oil'],
        [9, ''],
      ]) {
        await putOn(page, grams);
        await page
          .getByTestId('asked')
          .getByText(/What was that/)
          .waitFor();
        await page.waitForTimeout(1500);
        if (name === '') continue;
        await page.getByLabel('Name it').fill(name);
        await page.keyboard.press('Enter');
        await page.getByTestId('asked').waitFor({ state: 'detached' });
      }
      await page.getByTestId('hands').locator('summary').click();
      await page.evaluate(() => window.scrollTo(0, 0));
    },
  },
  {
    name: 'practise',
    path: '/practise?kind=wrong&seed=12',
    size: WIDE,
    before: async (page) => {
      await page.getByRole('button', { name: 'needs salt' }).click();
      await page.getByRole('button', { name: 'That is it' }).click();
      await page
        .getByTestId('gestures')
        .getByRole('button', { name: /^a pinch/ })
        .first()
        .click();
      await page.evaluate(() => window.scrollTo(0, 0));
    },
  },
  {
    name: 'serve',
    path: '/formulas/ginger-sesame/serve',
    size: WIDE,
    before: (page) => page.getByTestId('line-hold').getByText('In service').waitFor(),
  },
  {
    name: 'pass',
    path: '/formulas/walnut-cider/pass?dish=tender-leaves&covers=40',
    size: WIDE,
    before: async (page) => {
      await page.getByRole('button', { name: 'The first container is out' }).click();
      for (let plate = 0; plate < 12; plate++) {
        await page.waitForTimeout(400);
        await page.getByRole('button', { name: 'A plate is out' }).click();
      }
      await page.mouse.move(0, 0);
    },
  },
  {
    name: 'plan',
    path: '/plan?day=2031-06-14',
    size: WIDE,
    before: async (page) => {
      await page.getByRole('button', { name: 'Add the service' }).click();
      for (const [dressing, dish] of [
        ['Walnut & cider house', 'Slaw, shredded cabbage'],
        ['Buttermilk & dill', 'Tender leaves'],
      ]) {
        await page.getByRole('combobox', { name: 'Dressing', exact: true }).click();
        await page.getByRole('option', { name: dressing }).click();
        await page.getByRole('combobox', { name: 'On what' }).click();
        await page.getByRole('option', { name: dish }).click();
        await page.getByRole('button', { name: 'Add the dish' }).click();
        await page.getByTestId('service').getByText(`${dressing} on`).waitFor();
      }
      await page.getByRole('button', { name: 'Boil potatoes' }).click();
      await page.getByRole('button', { name: 'Add the job' }).click();
      await page.getByTestId('jobs').getByText('Boil potatoes').waitFor();
      await page.evaluate(() => window.scrollTo(0, 0));
    },
  },
  {
    name: 'from-label',
    path: '/from-label',
    size: WIDE,
    before: async (page) => {
      await page
        .getByRole('textbox', { name: 'Ingredients, as they stand there' })
        .fill(
          'Rapeseed oil, white wine vinegar, water, honey 6 %, Dijon mustard, salt, thickener (xanthan gum), preservative (potassium sorbate)',
        );
      await page.getByLabel('Fat, g', { exact: true }).fill('48');
      await page.getByLabel('Salt, g', { exact: true }).fill('1.9');
      await page.getByTestId('differs').first().waitFor();
    },
  },
  { name: 'versions', path: '/formulas/walnut-cider/versions?from=3', size: WIDE },
];

/** A jar drawn in the page, taken in as a picture of so many minutes after the shake. */
async function lookAt(page, share, minutes, keep) {
  const base64 = await page.evaluate(async (border) => {
    const canvas = document.createElement('canvas');
    canvas.width = 900;
    canvas.height = 1200;
    const pen = canvas.getContext('2d');
    const across = (colours) => {
      const light = pen.createLinearGradient(270, 0, 630, 0);
      colours.forEach((colour, i) => light.addColorStop(i / (colours.length - 1), colour));
      return light;
    };
    pen.fillStyle = '#c9ccca';
    pen.fillRect(0, 0, 900, 1200);
    const [floor, surface] = [1020, 360];
    const edge = floor - border * (floor - surface);
    pen.fillStyle = across(['#a89a6c', '#e4d8a6', '#b8a874']);
    pen.fillRect(270, surface, 360, floor - surface);
    pen.fillStyle = across(['#6c5428', '#9c7a40', '#745a2c']);
    pen.fillRect(270, edge, 360, floor - edge);
    pen.fillStyle = 'rgba(255, 255, 255, 0.5)';
    pen.fillRect(320, 250, 20, 770);
    pen.strokeStyle = '#8a8e8c';
    pen.lineWidth = 8;
    pen.strokeRect(266, 240, 368, 784);
    const blob = await new Promise((resolve) => canvas.toBlob(resolve, 'image/jpeg'));
    const bytes = new Uint8Array(await blob.arrayBuffer());
    return btoa(Array.from(bytes, (byte) => String.fromCharCode(byte)).join(''));
  }, share);
  await page
    .getByLabel('Take or choose pictures')
    .setInputFiles([{ name: 'jar.jpg', mimeType: 'image/jpeg', buffer: Buffer.from(base64, 'base64') }]);
  await page
    .getByTestId('seen-layers')
    .first()
    .getByText(/Watery/)
    .waitFor();
  await page.getByLabel('Minutes since the shake').fill(String(minutes));
  if (!keep) return;
  await page.getByRole('button', { name: 'Keep this look' }).click();
  await page.getByText(/^Picture \d/).waitFor({ state: 'detached' });
}

/** Puts grams onto the simulated scale once it shows nothing. */
async function weigh(page, grams) {
  await page
    .getByTestId('reading')
    .getByText(/^-?0\.[01]$/)
    .waitFor({ timeout: 20_000 });
  await putOn(page, grams);
}

/** By the hands of the stand-ins. */
async function putOn(page, grams) {
  const hands = page.getByTestId('hands');
  if ((await hands.getAttribute('open')) === null) await hands.locator('summary').click();
  await page.getByLabel('Put on, g').fill(String(grams));
  await page.getByRole('button', { name: 'Put it on' }).click();
}

const only = process.argv.slice(2);
const data = mkdtempSync(join(tmpdir(), 'ygrana-pictures-'));
const server = spawn(process.execPath, ['dist/main.js', '--demo', '--data', data], {
  cwd: root,
  env: { ...process.env, PORT: '0' },
  stdio: ['ignore', 'pipe', 'inherit'],
});
const address = await new Promise((resolve, reject) => {
  server.once('exit', () => reject(new Error('The server ended before it was open.')));
  server.stdout.on('data', (chunk) => {
    const found = /open at (\S+)/.exec(String(chunk));
    if (found) resolve(found[1]);
  });
});
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
});
try {
  for (const { name, path, size, before } of VIEWS) {
    if (only.length > 0 && !only.includes(name)) continue;
    const page = await browser.newPage({ viewport: size, reducedMotion: 'reduce' });
    await page.goto(address + path);
    await page.getByText('Fetching').waitFor({ state: 'detached' });
    await page.waitForTimeout(1500);
    await page.evaluate(() => document.fonts.ready.then(() => undefined));
    if (before) await before(page);
    await page.screenshot({ path: join(root, 'docs/screenshots', `${name}.png`) });
    await page.close();
    console.log(`docs/screenshots/${name}.png`);
  }
} finally {
  await browser.close();
  server.removeAllListeners('exit');
  const ended = new Promise((done) => server.once('exit', done));
  server.kill('SIGTERM');
  await ended;
  rmSync(data, { recursive: true, force: true });
}
