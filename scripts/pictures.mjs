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
    name: 'thickness',
    path: '/formulas/house-mayonnaise/compose',
    size: WIDE,
    before: async (page) => {
      await page.getByRole('img', { name: /From a spoon/ }).waitFor();
      const add = page.getByRole('combobox', { name: /Add/ }).or(page.getByPlaceholder(/^Add/)).first();
      await add.fill('150 ml sunflower oil');
      await add.press('Enter');
      await page
        .getByTestId('hold')
        .getByText(/of its oil is too much|more oil/)
        .waitFor();
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
  {
    name: 'stages',
    path: '/formulas/herb-white-bean/compose',
    size: WIDE,
    before: async (page) => {
      await page
        .getByTestId('stair')
        .getByRole('button', { name: /white beans/ })
        .click();
      await page.getByTestId('stair').getByText('As it is where you stop').waitFor();
    },
  },
];

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
