import type { Page } from '@playwright/test';
import { expectAccessible } from './axe';
import { Compose } from './bench';
import { startDemo } from './demoServer';
import { expect, test } from './kitchen';

test.use({ kitchenFor: 'pour' });

/** Simulated hands at the scale of the page's own kitchen. */
function hands(page: Page) {
  const move = async (does: object): Promise<void> => {
    const { origin } = new URL(page.url());
    const answer = await page.request.post(`${origin}/api/devices/hand`, {
      data: does,
      headers: { origin },
    });
    expect(answer.ok()).toBe(true);
  };
  const shows = page.getByTestId('shows');
  return {
    clear: () => move({ does: 'clear' }),
    async drop(massG: number): Promise<void> {
      await move({ does: 'drop', massG });
      await page.waitForTimeout(2000);
    },
    /** In a stream, until the display says that so much went in. */
    async pour(massG: number): Promise<void> {
      const from = grams(await shows.textContent());
      for (let i = 0; i < 60; i++) {
        await move({ does: 'pour', gPerS: 15 });
        await page.waitForTimeout(100);
        if (grams(await shows.textContent()) >= from + massG) break;
      }
      await move({ does: 'pour', gPerS: 0 });
      // A hand is still for a moment before the next thing.
      await page.waitForTimeout(2000);
    },
    shows,
  };
}

const grams = (text: string | null): number => Number.parseFloat(text ?? '');
const asked = (page: Page) => page.getByTestId('asked');
const thrown = (page: Page) => page.getByTestId('poured').getByRole('listitem');

async function open(page: Page, address = ''): Promise<void> {
  await page.goto(`${address}/pour`);
  await expect(page.getByTestId('scale')).toContainText(/Simulated scale|In use/);
  const here = page.getByRole('button', { name: 'Read it here' });
  if (await here.isVisible()) await here.click();
  await expect(page.getByTestId('scale')).toContainText('Simulated scale');
  await hands(page).clear();
  await expect(page.getByTestId('shows')).toHaveText(/^-?0(\.\d)? g$/);
}

test('pours by eye, names after in any order, and tastes: a jar and its formula in a dozen presses @often', async ({
  page,
}) => {
  test.setTimeout(120_000);
  await open(page);
  const hand = hands(page);
  // The jar is set down: nothing to be asked about.
  await hand.drop(310);
  await expect(hand.shows).toHaveText('310 g');
  await page.waitForTimeout(1500);
  await expect(asked(page)).toHaveCount(0);
  await expect(page.getByTestId('first')).toContainText('Say after what it was');
  let presses = 0;
  const press = async (key: string): Promise<void> => {
    await page.keyboard.press(key);
    presses += 1;
  };
  await hand.pour(36);
  await expect(asked(page)).toContainText(/What was that\? [34]\d\.\d g, poured/, { timeout: 15_000 });
  const answers = page.getByRole('list', { name: 'Most likely' }).getByRole('button');
  await expect(answers.first()).toContainText('vinegar');
  const vinegar = (await answers.first().textContent())!.replace(/\d$/, '');
  await press('1');
  await expect(thrown(page).first()).toContainText(new RegExp(vinegar.slice(0, 8), 'i'));
  // Two things go in before anybody says what they were.
  await hand.drop(1.4);
  await expect(asked(page)).toContainText('a pinch', { timeout: 15_000 });
  await hand.drop(8);
  await expect(asked(page)).toContainText('a spoonful', { timeout: 15_000 });
  await expect(thrown(page)).toHaveCount(3);
  await expect(page.getByTestId('grave')).toContainText('Allergens not complete');
  await press('n');
  await page.keyboard.type('dijon');
  presses += 1;
  await press('Enter');
  await expect(asked(page)).toContainText('a pinch');
  await expect(answers.first()).toContainText(/salt/);
  // The focus went with the sheet of answers: digits answer again.
  await press('1');
  await expect(asked(page)).toHaveCount(0);
  await hand.pour(72);
  await expect(asked(page)).toContainText('poured', { timeout: 15_000 });
  await expect(answers.filter({ hasText: /oil/ }).first()).toBeVisible();
  await press('1');
  await expect(page.getByTestId('first')).toContainText(
    /^\d\.\d : 1 oil to acid\. .* more .*oil and it is \d(\.5)? : 1\.$/,
  );
  await expect(page.getByTestId('mark')).toContainText(/\d(\.5)? : 1/);
  await expect(page.getByTestId('gauge-acid')).toContainText('% acid');
  await expect(page.getByTestId('poured-hold')).toContainText('Holds');
  await expectAccessible(page);
  const inIt = grams(await hand.shows.textContent()) - 310;
  await press('PageDown');
  await press('PageDown');
  await expect(page).toHaveURL(/\/taste\?jar=/, { timeout: 20_000 });
  await expect(page.getByTestId('first')).toContainText('What does it taste like?');
  console.log(`free pour: ${presses} presses`);
  expect(presses).toBeLessThanOrEqual(12);
  const address = new URL(page.url());
  const id = address.pathname.split('/')[2]!;
  const trials = (await (await page.request.get(`/api/trials?formulaId=${id}`)).json()) as {
    events: { event: { kind: string; line?: { massG: number } } }[];
  }[];
  const took = trials[0]!.events.flatMap(({ event }) => (event.kind === 'took' ? [event.line!.massG] : []));
  expect(took).toHaveLength(4);
  // The display has no decimal above 100 g.
  expect(Math.abs(took.reduce((a, b) => a + b, 0) - inIt)).toBeLessThan(2);
  await page.goto(`/formulas/${id}/compose`);
  await expect(new Compose(page).rows).toHaveCount(4);
});

test('lifted, tared, leaned on and reloaded: only what went in is in it, and each pour can be taken out', async ({
  page,
}) => {
  test.setTimeout(120_000);
  await open(page);
  const hand = hands(page);
  await hand.drop(280);
  await expect(hand.shows).toHaveText('280 g');
  await page.waitForTimeout(1500);
  await page.keyboard.press('t');
  await expect(hand.shows).toHaveText(/^-?0(\.\d)? g$/);
  await page.waitForTimeout(1500);
  await hand.pour(30);
  await expect(asked(page)).toContainText(/3\d\.\d g/, { timeout: 15_000 });
  // Up, a look, and down again.
  const all = 280 + grams(await hand.shows.textContent());
  await hand.drop(-all);
  await page.waitForTimeout(2500);
  await hand.drop(all);
  await page.waitForTimeout(2500);
  await expect(thrown(page)).toHaveCount(1);
  await page.reload();
  await expect(thrown(page)).toHaveCount(1);
  await expect(page.getByTestId('scale')).toContainText('Simulated scale');
  await page.waitForTimeout(1500);
  await expect(thrown(page)).toHaveCount(1);
  // What came in while the page was closed has no name either.
  await page.goto('/measures');
  await hand.drop(15);
  await page.waitForTimeout(1500);
  await page.goto('/pour');
  await expect(thrown(page)).toHaveCount(2, { timeout: 15_000 });
  await expect(thrown(page).last()).toContainText(/1[45]\.\d g without a name/);
  await thrown(page)
    .last()
    .getByRole('button', { name: /^Not in it/ })
    .click();
  await expect(thrown(page)).toHaveCount(1);
  await page.keyboard.press('Control+z');
  await expect(thrown(page)).toHaveCount(2);
  // Everything that is wrong is said where it is typed, and stays there.
  await page.getByLabel('Name it').fill('moonshine');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Nothing in the pantry is called “moonshine”.')).toBeVisible();
  await expect(page.getByLabel('Name it')).toHaveValue('moonshine');
});

test('without a scale: by spoons and by the level in the jar', async ({ page }) => {
  await page.goto('/pour');
  const anew = page.getByRole('button', { name: 'Pour it away and start anew' });
  if (await anew.isVisible()) {
    await anew.click();
    await page.getByRole('button', { name: 'Throw it away' }).click();
  }
  await hands(page).clear();
  const line = page.getByLabel('Or type what went in');
  await line.fill('olive oil');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Type the amount first')).toBeVisible();
  await line.fill('2 tbsp cider vinegar');
  await page.keyboard.press('Enter');
  await expect(thrown(page)).toHaveCount(1);
  await expect(line).toHaveValue('');
  const level = page.getByLabel('It stands at, ml');
  await level.fill('12');
  await expect(page.getByText(/A level above 30 ml and up to/)).toBeVisible();
  await level.fill('120');
  await page.keyboard.press('Enter');
  await expect(asked(page)).toContainText('90 ml more in the jar');
  await page.getByLabel('Name it').fill('olive oil');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('first')).toContainText('3.0 : 1 oil to acid');
  await expect(page.getByTestId('filled')).toContainText('120 ml');
  await expect(thrown(page).last()).toContainText('by the level');
});

test('a dead server: what was poured stays, is kept as a jar, and opens once the kitchen answers', async ({
  page,
}) => {
  test.setTimeout(150_000);
  const first = await startDemo();
  await page.goto(`${first.address}/pour`);
  await page.getByLabel('Or type what went in').fill('30 ml cider vinegar');
  await page.keyboard.press('Enter');
  await page.getByLabel('Or type what went in').fill('90 ml olive oil');
  await page.keyboard.press('Enter');
  await expect(thrown(page)).toHaveCount(2);
  await first.kill();
  await page.getByRole('button', { name: 'Done: taste it' }).click();
  await page.getByLabel('Name').fill('Poured in the dark');
  await page.getByRole('button', { name: 'Keep it and taste' }).click();
  await expect(page.getByTestId('kept-pour')).toContainText('“Poured in the dark” is kept on this device');
  // The next jar can be begun meanwhile.
  await expect(thrown(page)).toHaveCount(0);
  const again = await startDemo({ PORT: new URL(first.address).port }, first.data);
  await expect(page).toHaveURL(/\/taste\?jar=/, { timeout: 60_000 });
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Poured in the dark');
  await again.stop();
});
