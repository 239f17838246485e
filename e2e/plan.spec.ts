import { readFile } from 'node:fs/promises';
import { expect, test } from '@playwright/test';
import ICAL from 'ical.js';
import { expectAccessible } from './axe';

test.setTimeout(90_000);

test('a lunch is planned backwards, moved, ticked off, and goes out as a calendar', async ({ page }) => {
  await page.goto('/plan?day=2026-12-12');
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
  await expect(page.getByText('1 to 2880.')).toBeVisible();
  await page.getByLabel(/^Minutes/).fill('30');
  await page.getByRole('button', { name: 'Add the job' }).click();
  await expect(list.filter({ hasText: 'Boil potatoes' })).toContainText('11:15');
  await expectAccessible(page);
  // A bar is moved by keys, the rest follows; Delete lets it go.
  const mix = page.getByTestId('timeline').getByRole('button', { name: /: mix,/ });
  const before = (await list.filter({ hasText: ': mix' }).textContent())!;
  await mix.focus();
  await page.keyboard.press('ArrowLeft');
  await expect(list.filter({ hasText: ': mix' })).not.toHaveText(before);
  await expect(mix).toHaveAttribute('aria-label', /put there by hand/);
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
  await page.getByLabel(/^Nobody before/).fill('11:10');
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
  await page.getByRole('link', { name: 'Plan its batch' }).click();
  await expect(page.getByLabel('For the day')).toHaveValue('2026-12-12');
});
