import { readFile } from 'node:fs/promises';
import { expect, test } from './kitchen';
import ICAL from 'ical.js';
import { expectAccessible } from './axe';

test.use({ kitchenFor: 'plan' });

test.setTimeout(90_000);

test(
  'a lunch is planned backwards, moved, ticked off, and goes out as a calendar',
  { tag: '@often' },
  async ({ page }) => {
    await page.goto('/plan?day=2031-06-14');
    await expect(page.getByText('Nothing is planned for this day.')).toBeVisible();
    await page.getByLabel(/^At/).fill('noon');
    await expect(page.getByText('Such as 12:30.')).toBeVisible();
    await page.getByLabel(/^At/).fill('12:00');
    await page.getByRole('button', { name: 'Add the service' }).click();
    await expect(page.getByTestId('service')).toContainText('Lunch, 12:00, 40 covers');
    await page.getByRole('combobox', { name: 'On what' }).click();
    await page.getByRole('option', { name: 'Slaw, shredded cabbage' }).click();
    await page.getByRole('button', { name: 'Add the dish' }).click();
    const list = page.getByTestId('to-do').getByRole('listitem');
    await expect(list.filter({ hasText: 'weigh out' })).toBeVisible();
    // Half an hour to drink it, and eight minutes for the other half: shaken and dressed from 11:13.
    await expect(list.filter({ hasText: 'the other half' })).toContainText('11:52');
    await expect(list.filter({ hasText: ': shake and dress' })).toContainText('11:13');
    await expect(page.getByTestId('plan-sum')).toContainText('of waiting');
    await page.getByRole('button', { name: 'Boil potatoes' }).click();
    await page.getByLabel(/^Minutes/).fill('0');
    await expect(page.getByText('At least one.')).toBeVisible();
    await page.getByLabel(/^Minutes/).fill('30');
    await page.getByLabel(/^Over, min before/).fill('soon');
    await expect(page.getByText('A number, such as 4.2.')).toBeVisible();
    await page.getByLabel(/^Over, min before/).fill('15');
    await page.getByLabel(/^Takes up/).fill('big pot');
    await page.getByRole('button', { name: 'Add the job' }).click();
    await expect(page.getByTestId('jobs')).toContainText('big pot, over 15 min before');
    await expect(list.filter({ hasText: 'Boil potatoes' })).toContainText('11:15');
    await expectAccessible(page);
    // A bar is moved by keys, the rest follows; Delete lets it go.
    const mix = page.getByTestId('timeline').getByRole('button', { name: /: mix,/ });
    const before = (await list.filter({ hasText: ': mix' }).textContent())!;
    await mix.focus();
    await page.keyboard.press('ArrowLeft');
    await expect(list.filter({ hasText: ': mix' })).not.toHaveText(before);
    await expect(mix).toHaveAccessibleName(/put there by hand/);
    await page.keyboard.press('Delete');
    await expect(list.filter({ hasText: ': mix' })).toHaveText(before);
    // Ticked off it stays so, over a reload.
    await list
      .filter({ hasText: 'fetch what it needs' })
      .getByRole('checkbox')
      .check({ force: true })
      .catch(() => undefined);
    await expect(list.filter({ hasText: 'fetch what it needs' }).getByRole('checkbox')).toBeChecked();
    await page.reload();
    await expect(list.filter({ hasText: 'fetch what it needs' }).getByRole('checkbox')).toBeChecked();
    await expect(page.getByTestId('day-needs')).toContainText('Walnut & cider house');
    // Nobody before a quarter to eleven: it does not fit, and the cheapest way out is named.
    await page.getByLabel(/^Kitchen opens/).fill('11:10');
    await expect(page.getByTestId('conflicts')).toContainText('should have begun');
    await expect(page.getByTestId('conflicts')).toContainText('Cheapest:');
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByTestId('conflicts')).toBeHidden();

    const waiting = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Save as calendar' }).click();
    const file = await waiting;
    const text = await readFile(await file.path(), 'utf8');
    const event = new ICAL.Event(
      new ICAL.Component(ICAL.parse(text) as unknown[]).getFirstSubcomponent('vevent')!,
    );
    expect([event.summary, event.description]).toEqual(['Lunch', '40 covers']);
    expect(text.split('\r\n').every((line) => Buffer.byteLength(line) <= 75)).toBe(true);
    await page
      .getByLabel('Calendar file')
      .setInputFiles({ name: 'x.ics', mimeType: 'text/calendar', buffer: Buffer.from('no calendar') });
    await expect(page.getByRole('status').filter({ hasText: 'no calendar that can be read' })).toBeVisible();
    await page.getByLabel('Calendar file').setInputFiles(await file.path());
    await expect(page.getByTestId('service')).toHaveCount(2);
    await page.getByRole('link', { name: 'Plan its batch by hand' }).click();
    await expect(page.getByLabel('For the day')).toHaveValue('2031-06-14');
  },
);

test('what the services need becomes batches of the day with one pull list, once', async ({ page }) => {
  await page.goto('/plan?day=2031-06-21');
  await page.getByLabel(/^At/).fill('12:00');
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
    await expect(page.getByTestId('service')).toContainText(`${dressing} on`);
  }
  const needs = page.getByTestId('day-needs');
  await expect(needs.getByRole('listitem')).toHaveCount(2);
  await page.getByRole('button', { name: 'Take on 2 batches' }).click();
  await expect(page.getByText('All of it is taken on.')).toBeVisible();
  await expect(needs).toContainText('20310621-01');
  await expect(needs).toContainText('20310621-02');
  // Where more is needed afterwards, only that is offered.
  await page.getByRole('combobox', { name: 'Dressing', exact: true }).click();
  await page.getByRole('option', { name: 'Buttermilk & dill' }).click();
  await page.getByRole('button', { name: 'Add the dish' }).click();
  await expect(page.getByRole('button', { name: 'Take on the batch' })).toBeVisible();
  await expect(needs).toContainText('still to take on');
  await expectAccessible(page);
  await page.getByRole('link', { name: 'Batches and pull list of the day' }).click();
  await expect(page.getByTestId('day-batches').getByRole('row')).toHaveCount(3);
  await expect(page.getByRole('button', { name: 'Print the pull list' })).toBeVisible();
});

test('what runs late moves the rest, and says what is at risk; it outlives a reload', async ({ page }) => {
  await page.clock.install({ time: new Date('2031-06-28T09:00:00') });
  await page.goto('/plan?day=2031-06-28');
  await page.getByLabel(/^At/).fill('12:00');
  await page.getByRole('button', { name: 'Add the service' }).click();
  await page.getByRole('combobox', { name: 'Dressing', exact: true }).click();
  await page.getByRole('option', { name: 'Buttermilk & dill' }).click();
  await page.getByRole('button', { name: 'Add the dish' }).click();
  const list = page.getByTestId('to-do').getByRole('listitem');
  await expect(list.filter({ hasText: 'weigh out' })).toBeVisible();
  await expect(page.getByTestId('conflicts')).toBeHidden();
  const dress = list.filter({ hasText: 'shake and dress' });
  const planned = (await dress.textContent())!;
  await list.getByRole('button', { name: /^Begin: .*fetch/ }).click();
  await expect(list.filter({ hasText: 'fetch' })).toContainText(/runs, \d+ min left/);
  await page.reload();
  await expect(list.filter({ hasText: 'fetch' })).toContainText('runs');
  // Another screen sees it without asking, and what it ticks off is seen here.
  const other = await page.context().newPage();
  await other.goto('/plan?day=2031-06-28');
  await other
    .getByTestId('to-do')
    .getByRole('button', { name: /^Not begun after all: .*fetch/ })
    .click();
  await expect(list.getByRole('button', { name: /^Begin: .*fetch/ })).toBeVisible();
  await list.getByRole('button', { name: /^Begin: .*fetch/ }).click();
  await expect(
    other.getByTestId('to-do').getByRole('button', { name: /^Not begun after all: .*fetch/ }),
  ).toBeVisible();
  await other.close();
  // Near noon it still runs: everything after it moves, and lunch is late.
  await page.clock.setSystemTime(new Date('2031-06-28T11:55:00'));
  await page.clock.runFor(61_000);
  await expect(list.filter({ hasText: 'fetch' })).toContainText('should be done');
  await expect(page.getByTestId('at-risk')).toContainText(/Lunch at 1[23]:\d\d, .+ late/);
  await expect(page.getByTestId('at-risk')).toContainText('weigh out');
  await expect(page.getByTestId('conflicts')).toContainText('serve');
  await expect(dress).not.toHaveText(planned);
  await expect(dress).toContainText('later than planned');
  await expectAccessible(page);
  // By mistake: not begun after all, and undone again.
  await list.getByRole('button', { name: /^Not begun after all/ }).click();
  await expect(page.getByTestId('conflicts')).toContainText('should have begun');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(list.filter({ hasText: 'fetch' })).toContainText('should be done');
});

test('a week: what stands in the fridge is made once for several days; another week takes it over', async ({
  page,
}) => {
  for (const day of ['2031-07-07', '2031-07-08']) {
    await page.goto(`/plan?day=${day}`);
    await page.getByRole('button', { name: 'Add the service' }).click();
    await page.getByRole('combobox', { name: 'Dressing', exact: true }).click();
    await page.getByRole('option', { name: 'Walnut & cider house' }).click();
    await page.getByRole('button', { name: 'Add the dish' }).click();
    await page.getByRole('combobox', { name: 'Where Walnut & cider house comes from' }).click();
    await page.getByRole('option', { name: 'from the fridge' }).click();
    await expect(page.getByTestId('day-needs')).toContainText('from the fridge');
  }
  await page.getByRole('link', { name: 'The week', exact: true }).click();
  await expect(page.getByRole('heading', { name: /^Week of Mon/ })).toBeVisible();
  await expect(page.getByTestId('week').locator('> li')).toHaveCount(7);
  const batches = page.getByTestId('week-batches').getByRole('listitem');
  await expect(batches).toHaveCount(1);
  await expect(batches).toContainText('Tue 8; keeps');
  await page.getByRole('button', { name: 'Take on the batch' }).click();
  await expect(batches).toContainText('20310707-01');
  await expectAccessible(page);
  await page.getByRole('link', { name: 'The week after' }).click();
  await expect(page.getByText('Nothing is planned in this week.')).toBeVisible();
  await page.getByRole('button', { name: 'As last week, on 2 empty days' }).click();
  await expect(page.getByTestId('week')).toContainText('Lunch, 40');
  await page.goto('/plan/week?from=never');
  await expect(page.getByRole('heading', { name: /^Week of/ })).toBeVisible();
});

test('the next three things are read from afar, begun and ticked off there; the day goes onto paper', async ({
  page,
}) => {
  await page.goto('/plan');
  const next = page.getByTestId('next-three');
  await expect(next.getByRole('listitem')).toHaveCount(3);
  const first = (await next.getByRole('listitem').first().textContent())!;
  // The pedal presses the one thing that is next: begun, then done, and the following moves up.
  await page.keyboard.press('PageDown');
  await expect(next.getByRole('button', { name: /^Done: / })).toBeVisible();
  await page.keyboard.press('PageDown');
  await expect(next.getByRole('listitem').first()).not.toHaveText(first);
  await expect(page.getByTestId('to-do').getByRole('checkbox', { checked: true })).toHaveCount(1);
  await expect(page.getByTestId('now')).toContainText(/^now \d/);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByTestId('to-do').getByRole('checkbox', { checked: true })).toHaveCount(0);
  await page.emulateMedia({ media: 'print' });
  await expect(page.locator('button:visible')).toHaveCount(0);
  await expect(next).toBeVisible();
  await expect(page.getByTestId('to-do')).toBeVisible();
  await expect(page.getByRole('textbox', { name: 'Service' })).toBeHidden();
});
