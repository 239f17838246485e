import { expect, test } from './kitchen';
import type { TrialRecord } from '#contract';
import { expectAccessible } from './axe';
import { Compose } from './bench';
import { Make } from './counter';
import { startDemo } from './demoServer';

test.use({ kitchenFor: 'make' });

const LINES = ['60 g red wine vinegar', '3 g salt', '20 g honey', '180 g olive oil'];

test.beforeEach(async ({ page }) => {
  // The one scale is left as it was found.
  await page.goto('/');
  await page.evaluate(async () => {
    const hand = (body: object): Promise<unknown> =>
      fetch('/api/devices/hand', {
        method: 'POST',
        headers: { 'Content-Type': 'application/json' },
        body: JSON.stringify(body),
      });
    await hand({ does: 'clear' });
    await hand({ does: 'plug', in: false });
    await hand({ does: 'plug', in: true });
  });
});

test(
  'a whole making on the simulated scale: an over-pour, a tasting, a mend, a new version',
  { tag: '@often' },
  async ({ page }) => {
    test.setTimeout(150_000);
    const make = new Make(page);
    await make.begin(...LINES);
    await expect(page.getByTestId('scale')).toContainText('simulated');
    await expectAccessible(page);
    // Held still in the window it is taken by itself, and the scale starts from nothing.
    await expect(make.step).toHaveText(/Red wine vinegar.*, 60\.0 g/);
    await make.put(60.2);
    await expect(make.step).toHaveText(/salt, 3\.0 g/i);
    await make.expectDone(0, /60\.[0-4] g/);
    // A key that a foot switch sends takes nothing while nothing lies on it.
    await page.keyboard.press('PageDown');
    await expect(make.step).toHaveText(/salt, 3\.0 g/i);
    await make.put(3);
    await expect(make.step).toHaveText(/Stir until the salt/);
    await page.keyboard.press('Space');
    await expect(make.step).toHaveText(/Honey, 20\.0 g/);
    // Far too much: the same amount has to be asked for twice.
    await make.put(34);
    await expect(page.getByTestId('to-go')).toContainText('over');
    await expect(make.main).toHaveText(/^Take 3[34].*over$/);
    await make.main.click();
    await expect(make.main).toHaveText(/^Once more/);
    await make.main.click();
    await expect(page.getByTestId('went-otherwise')).toHaveText(/Honey: 1[34]\.\d g too much/);
    const ways = page.getByTestId('repairs').getByRole('listitem');
    await expect(ways.filter({ hasText: 'Go on as it is' })).toContainText('Sweetness');
    // Nothing of honey comes out: everything grows by what was poured over what was planned.
    const whole = ways.filter({ hasText: /everything × 1\.7/ });
    const small = ways.filter({ hasText: /^Add / }).first();
    await expect(whole.or(small).first()).toBeVisible();
    // The foot switch answers no question: the step that is behind takes nothing more.
    await page.keyboard.press('Space');
    await page.keyboard.press('PageDown');
    await expect(page.getByTestId('went-otherwise')).toBeVisible();
    await expectAccessible(page);
    await small.getByRole('button').click();
    await expect(page.getByTestId('went-otherwise')).toBeHidden();
    for (let i = 0; i < 6; i++) {
      const words = (await make.step.textContent()) ?? '';
      const grams = /([\d.]+) g$/.exec(words)?.[1];
      if (!grams) break;
      await make.put(Number(grams));
      await expect(make.step).not.toHaveText(words);
    }
    await expect(make.step).toHaveText('Close and shake');
    await page.keyboard.press('Space');
    await expect(page.getByRole('heading', { name: 'All in the jar' })).toBeVisible();
    const made = Number(/^([\d.]+) g/.exec((await make.inJar.textContent()) ?? '')?.[1]);
    expect(made).toBeGreaterThan(277);

    await page.getByRole('button', { name: 'Taste it' }).click();
    const log = page.getByTestId('jar-log').getByRole('listitem');
    await expect(log.last()).toContainText('close and shake');
    await page.getByRole('radio', { name: 'needs salt, a little' }).check({ force: true });
    await page.getByRole('button', { name: 'Weigh it in' }).first().click();
    // What mends it is weighed like everything else.
    await expect(make.step).toHaveText(/g$/);
    for (let i = 0; i < 4; i++) {
      const words = (await make.step.textContent()) ?? '';
      const grams = /([\d.]+) g$/.exec(words)?.[1];
      if (!grams) break;
      if (await make.reading.isVisible()) await make.put(Number(grams));
      else {
        // By the spoon a single tap, as a drop makes, commits nothing.
        await make.main.click();
        await expect(make.main).toHaveText(/^Once more/);
        await make.main.click();
      }
      await expect(make.step).not.toHaveText(words);
    }
    await expect(make.step).toHaveText('Close and shake');
    await page.keyboard.press('PageDown');
    await page.getByRole('button', { name: 'Taste it' }).click();
    await page.getByRole('button', { name: 'Right', exact: true }).click();
    await expect(page.getByText('right once mended')).toBeVisible();
    await page.getByRole('button', { name: 'Keep it as a new version' }).click();
    await page.getByRole('button', { name: 'Keep as v2' }).click();
    await expect(page).toHaveURL(/versions/);
    await expect(page.getByText(/v2/).first()).toBeVisible();
  },
);

test('a missed, a swapped and a split one: what really happened counts, and can be taken back', async ({
  page,
}) => {
  const make = new Make(page);
  await make.begin(...LINES);
  await page.keyboard.press('h');
  await page.getByLabel(/^Weight of/).fill('-5');
  await expect(make.main).toBeDisabled();
  await expect(page.getByText('A weight above nothing, in grams.')).toBeVisible();
  await page.getByLabel(/^Weight of/).fill('60,5');
  await page.keyboard.press('Enter');
  await make.expectDone(0, /60\.5 g/);
  await page.keyboard.press('o');
  await page.getByRole('button', { name: /^Left out/ }).click();
  await expect(page.getByTestId('went-otherwise')).toContainText(/salt left out/i);
  await expect(page.getByTestId('repairs')).toContainText('Salt');
  await page.keyboard.press('u');
  await expect(make.step).toHaveText(/salt, 3\.0 g/i);
  await page.keyboard.press('o');
  await page.getByLabel('What it was').fill('sugar, white');
  await page.getByLabel('How much, g').fill('3');
  await page.getByRole('button', { name: /3\.0 g White sugar/i }).click();
  await expect(page.getByTestId('went-otherwise')).toContainText(/sugar.* instead of .*salt/i);
  await page.getByRole('button', { name: 'That was a mistake: undo' }).click();
  await make.typed('3');
  await page.keyboard.press('Space');
  await make.typed('20');
  await make.typed('180');
  await page.keyboard.press('o');
  await page.getByRole('button', { name: 'It has split' }).click();
  await expect(page.getByRole('heading', { name: /It has split/ })).toBeVisible();
  await page.getByRole('button', { name: 'Go on without' }).click();
  await expect(make.step).toHaveText('Close and shake');
  // Back to look at a step and take it back: a correction, not an erasure.
  await page.keyboard.press('PageUp');
  await expect(page.getByRole('heading', { name: /olive oil.*, 180/i })).toBeVisible();
  await page.getByRole('button', { name: 'Take it back' }).click();
  await expect(make.step).toHaveText(/olive oil/i);
  await page.getByRole('link', { name: 'Taste', exact: true }).click();
  await expect(page.getByTestId('jar-log').locator('del')).toHaveCount(3);
});

test('the oil has a pace: too fast is said before it breaks', async ({ page }) => {
  test.setTimeout(120_000);
  const make = new Make(page);
  await make.compose('2 yolks', '10 g Dijon mustard', '30 g lemon juice', '300 g sunflower oil');
  // A jar is shaken, all at once; with the whisk the oil has a pace.
  await page.getByRole('combobox', { name: 'Mixed with' }).click();
  await page.getByRole('option', { name: 'Hand whisk' }).click();
  await make.start();
  await make.upTo(/Sunflower/);
  await expect(page.getByTestId('pace')).toContainText(/Drops|thread/);
  await make.hands();
  await page.getByText('stream', { exact: true }).click();
  const pour = page.getByRole('button', { name: 'Hold to pour' });
  await pour.dispatchEvent('pointerdown');
  await expect(page.getByTestId('pace')).toContainText('Too fast: stop, whisk', { timeout: 15_000 });
  await pour.dispatchEvent('pointerup');
  // Whisking on works it in.
  await expect(page.getByTestId('pace')).not.toContainText('Too fast', { timeout: 60_000 });
});

test('steps wait in the browser while the server is away, and are sent once', async ({ page, context }) => {
  const make = new Make(page);
  await make.begin(...LINES);
  await expect(make.reading).toBeVisible();
  await context.setOffline(true);
  await make.typed('60');
  await make.typed('3');
  await page.keyboard.press('Space');
  await expect(page.getByTestId('outbox')).toContainText('3 steps wait in this browser');
  await expect(make.step).toHaveText(/Honey/);
  await expect(make.steps.first()).toContainText('waiting');
  // The page may even be closed meanwhile.
  await context.setOffline(false);
  await page.reload();
  await expect(make.step).toHaveText(/Honey/);
  await expect(page.getByTestId('sync')).toHaveAttribute('data-unsent', '0');
  const trials = await jarsOf(page);
  expect(trials[0]!.events.map(({ event }) => event.kind)).toEqual(['took', 'took', 'did']);
  expect(new Set(trials[0]!.events.map(({ id }) => id)).size).toBe(3);
});

test('two screens on one making see each other’s steps; what conflicts is kept twice and settled', async ({
  page,
  browser,
}) => {
  const make = new Make(page);
  await make.begin(...LINES);
  const second = await browser.newContext();
  const otherPage = await second.newPage();
  const other = new Make(otherPage);
  await otherPage.goto(page.url());
  await expect(otherPage.getByTestId('scale')).toContainText('Another screen of this making');
  await make.typed('60');
  await other.expectDone(0, /60\.0 g/);
  await expect(other.step).toHaveText(/salt/i);
  // Both record the salt, neither knowing of the other.
  await second.setOffline(true);
  await other.typed('3.1');
  await expect(otherPage.getByTestId('outbox')).toBeVisible();
  await make.typed('2.9');
  await make.expectDone(1, /2\.9 g/);
  await second.setOffline(false);
  await expect(page.getByRole('heading', { name: /salt: which weight counts/i })).toBeVisible();
  await expect(otherPage.getByRole('heading', { name: /which weight counts/i })).toBeVisible();
  await page.getByRole('button', { name: /^3\.1 g/ }).click();
  await make.expectDone(1, /3\.1 g/);
  await other.expectDone(1, /3\.1 g/);
  const trials = await jarsOf(page);
  expect(trials[0]!.events.filter(({ event }) => event.kind === 'took')).toHaveLength(3);
  await second.close();
});

test('one making has the scale; another sees who, and can take it', async ({ page, browser }) => {
  const make = new Make(page);
  await make.begin(...LINES);
  await expect(page.getByTestId('scale')).toContainText('Simulated scale');
  const second = await browser.newContext();
  const other = new Make(await second.newPage());
  await other.compose('30 g cider vinegar', '90 g rapeseed oil');
  await other.page.getByRole('button', { name: /^Save as version/ }).click();
  await expect(other.page.getByTestId('scale')).toContainText('In use: New dressing');
  await other.page.getByRole('button', { name: 'Read it here' }).click();
  await expect(other.reading).toBeVisible();
  await expect(page.getByTestId('scale')).toContainText('In use');
  await second.close();
});

test('unplugged and overloaded it shows no number, and by hand goes on', async ({ page }) => {
  const make = new Make(page);
  await make.begin(...LINES);
  await expect(make.reading).toContainText('0.');
  await make.hands();
  await page.getByRole('button', { name: 'Unplug' }).click();
  await expect(page.getByTestId('scale')).toContainText('unplugged');
  await expect(make.main).toBeDisabled();
  await page.getByRole('button', { name: 'Plug in' }).click();
  await make.put(4000);
  await expect(page.getByTestId('scale')).toContainText('Too much lies on the scale');
  await expect(make.main).toBeDisabled();
  await make.typed('60');
  await make.expectDone(0, /60\.0 g/);
});

test('a simulated pH is never used; a typed one counts until something is added', async ({ page }) => {
  const compose = new Compose(page);
  await compose.fresh('50 g red wine vinegar', '2 g salt', '2 g garlic, minced', '120 g olive oil');
  await compose.saved();
  await page.getByRole('link', { name: 'Taste' }).click();
  await page.getByRole('button', { name: /is made already$/ }).click();
  await page.getByText(/^Measured:/).click();
  await page.getByRole('button', { name: /^Take .*ph meter/i }).click();
  await expect(page.getByTestId('measured-ph')).toContainText('no caution uses it');
  const cautions = page.getByRole('region', { name: 'Cautions for this jar' });
  await expect(cautions).not.toContainText('as measured');
  await page.getByRole('textbox', { name: /^pH/ }).fill('99');
  await expect(page.getByText('From 0 to 14.')).toBeVisible();
  await page.getByRole('textbox', { name: /^pH/ }).fill('3.4');
  await page.getByRole('button', { name: 'Keep what is typed' }).last().click();
  await expect(page.getByTestId('measured-ph')).toContainText('of this jar as it stands');
  await expect(cautions).toContainText('as measured');
  // Away from what sticks to the bottom of the window.
  await page.evaluate(() => window.scrollTo(0, 0));
  await page.getByRole('radio', { name: 'too sharp, a little' }).check({ force: true });
  await page.getByRole('button', { name: 'Weigh it in' }).first().click();
  const make = new Make(page);
  await expect(make.step).toHaveText(/g$/);
  await make.typed('5');
  await page.getByRole('link', { name: 'Taste', exact: true }).click();
  await page.getByText(/^Measured:/).click();
  await expect(page.getByTestId('measured-ph')).toContainText('measure again');
});

test('a killed server: nothing acknowledged is lost, the making goes on at its step, its timer runs', async ({
  page,
}) => {
  test.setTimeout(120_000);
  const first = await startDemo();
  await page.goto(`${first.address}/formulas/walnut-cider/make`);
  const make = new Make(page);
  await page.getByRole('button', { name: /^(Save as|Begin making)/ }).click();
  await make.typed('91');
  await make.typed('5.5');
  await page.getByRole('button', { name: /^Time 0:30/ }).click();
  await expect(page.getByTestId('timer')).toContainText('Stir until');
  await page.keyboard.press('Space');
  await expect(make.step).toHaveText(/Shallot/);
  await expect(page.getByTestId('sync')).toHaveAttribute('data-unsent', '0');
  await first.kill();
  // Typed while it is down: it waits.
  await make.typed('20');
  await expect(page.getByTestId('outbox')).toContainText('the server cannot be reached');
  const port = new URL(first.address).port;
  const again = await startDemo({ PORT: port }, first.data);
  await expect(page.getByTestId('sync')).toHaveAttribute('data-unsent', '0', { timeout: 30_000 });
  await page.reload();
  await expect(make.step).toHaveText(/Leave the shallot/);
  await make.expectDone(0, /91\.0 g/);
  await make.expectDone(3, /20\.0 g/);
  await expect(page.getByTestId('timer')).toContainText('Stir until');
  await page.goto(`${again.address}/pantry`);
  await page.getByTestId('timer').getByRole('button').click();
  await expect(page.getByTestId('timer')).toBeHidden();
  await again.stop();
});

test('wet hands: targets of 64 px, 16 px apart, also on a phone', async ({ page }) => {
  const make = new Make(page);
  await make.begin(...LINES);
  for (const size of [
    { width: 1280, height: 800 },
    { width: 360, height: 740 },
  ]) {
    await page.setViewportSize(size);
    await expect(make.reading).toBeVisible();
    for (const name of ['Tare', 'By hand', 'Back', 'Undo the last', 'It went otherwise']) {
      const box = (await page.getByRole('button', { name, exact: true }).boundingBox())!;
      expect(box.height, name).toBeGreaterThanOrEqual(64);
    }
    const [tare, take] = [
      (await page.getByRole('button', { name: 'Tare' }).boundingBox())!,
      (await make.main.boundingBox())!,
    ];
    expect(take.y - (tare.y + tare.height)).toBeGreaterThan(64);
    const overflow = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
    expect(overflow).toBeLessThanOrEqual(0);
  }
});

/** What the server has of the formula that is open, newest jar first. */
async function jarsOf(page: import('@playwright/test').Page): Promise<TrialRecord[]> {
  const id = new URL(page.url()).pathname.split('/')[2]!;
  return page.evaluate(
    async (formulaId) => (await fetch(`/api/formulas/${formulaId}/trials`)).json() as Promise<TrialRecord[]>,
    id,
  );
}
