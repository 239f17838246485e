/** What works wherever one is: the field that finds, files let go, Back, several jars at once, words explained. */
import { readFile } from 'node:fs/promises';
import { expect, test, type Page } from './kitchen';
import { expectAccessible } from './axe';
import { Compose } from './bench';

test.use({ kitchenFor: 'anywhere' });

const found = (page: Page) => page.getByTestId('found').getByRole('option');
async function find(page: Page, words: string): Promise<void> {
  await page.keyboard.press('Control+k');
  await expect(page.getByRole('combobox', { name: 'Find anything' })).toBeFocused();
  await page.keyboard.type(words);
}

test('one key and one field find a formula, an ingredient, a note, a batch, a page and an action', async ({
  page,
}) => {
  await page.goto('/pantry');
  await expect(page.getByRole('heading', { name: 'Pantry' })).toBeVisible();
  await find(page, 'plum');
  await expect(found(page).first()).toHaveText('Plum & thyme');
  await expectAccessible(page);
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/plum-thyme\/compose/);
  await find(page, 'walnut oil');
  await found(page).getByText('Walnut oil', { exact: true }).click();
  await expect(page).toHaveURL(/\/pantry\/walnut/);
  await find(page, 'bitter leaves');
  await expect(found(page).first()).toContainText('good on the bitter leaves');
  await expect(page.getByTestId('found').getByText('Still looking')).toHaveCount(0);
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/jars=demo-jar/);
  await expect(page.getByTestId('jar')).toHaveCount(1);
  const batches = (await (await page.request.get('/api/formulas/walnut-cider/batches')).json()) as {
    batches: { number: string }[];
  };
  await find(page, batches.batches[0]!.number);
  await expect(found(page).first()).toContainText(batches.batches[0]!.number);
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/\/batch\//);
  await find(page, 'the week');
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/plan\/week/);
  await find(page, 'moonbeam');
  await expect(page.getByText('Nothing is called “moonbeam”')).toBeVisible();
  await page.keyboard.press('Escape');
  // An action of this page, done from the field.
  await page.goto('/');
  await expect(page.getByRole('button', { name: 'New formula' })).toBeVisible();
  await find(page, 'new formula');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog', { name: 'New formula' })).toBeVisible();
});

test('without the server the field still finds pages and ingredients, and says so', async ({ page }) => {
  await page.goto('/plan');
  await expect(page.getByRole('heading', { name: 'Service plan' })).toBeVisible();
  await page.context().route('**/api/find**', (route) => route.abort());
  await find(page, 'sherry');
  await expect(found(page).first()).toContainText(/sherry/i);
  await expect(page.getByText('The server is away: only ingredients')).toBeVisible();
});

test('Back closes a sheet and leaves the page where it was', async ({ page }) => {
  await page.goto('/log');
  await page.goto('/formulas/plum-thyme/compose');
  const compose = new Compose(page);
  await expect(compose.rows.first()).toBeVisible();
  await page.keyboard.press('c');
  await expect(page.getByRole('dialog')).toBeVisible();
  await page.goBack();
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await expect(page).toHaveURL(/plum-thyme\/compose/);
  // Closed by key it leaves nothing to go back over.
  await page.keyboard.press('c');
  await expect(page.getByRole('dialog')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await page.goBack();
  await expect(page).toHaveURL(/\/log$/);
});

test('several jars are put away, brought back, labelled and exported at once', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByRole('link', { name: /^Plum/ })).toBeVisible();
  await page.keyboard.press('x');
  const bar = page.getByTestId('chosen-bar');
  await expect(bar).toContainText('Press the jars you mean');
  await expect(bar.getByRole('button', { name: 'Archive them' })).toBeDisabled();
  for (const name of [/^Plum/, /^Date tahini/]) await page.getByRole('checkbox', { name }).check();
  await expect(bar).toContainText('2 chosen');
  await expectAccessible(page);
  const exported = page.waitForEvent('download');
  await bar.getByRole('link', { name: 'Export them' }).click();
  const document = JSON.parse(await readFile(await (await exported).path(), 'utf8')) as {
    formulas: { id: string }[];
  };
  expect(document.formulas.map(({ id }) => id).sort()).toEqual(['date-tahini', 'plum-thyme']);
  const labels = page.waitForEvent('download');
  await bar.getByRole('button', { name: 'Print their labels' }).click();
  expect((await labels).suggestedFilename()).toBe('labels.pdf');
  await bar.getByRole('button', { name: 'Archive them' }).click();
  await expect(page.getByRole('status').filter({ hasText: '2 formulas are in the archive' })).toBeVisible();
  await expect(page.getByRole('link', { name: /^Plum/ })).toHaveCount(0);
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('link', { name: /^Plum/ })).toBeVisible();
  await expect(page.getByRole('link', { name: /^Date tahini/ })).toBeVisible();
});

test('files let go anywhere are brought in: a recipe is read, a backup is asked about', async ({ page }) => {
  const letGo = (name: string, text: string): Promise<void> =>
    page.evaluate(
      ([fileName, content]) => {
        const data = new DataTransfer();
        data.items.add(new File([content!], fileName!));
        for (const kind of ['dragenter', 'drop'])
          document.body.dispatchEvent(
            new DragEvent(kind, { dataTransfer: data, bubbles: true, cancelable: true }),
          );
      },
      [name, text],
    );
  await page.goto('/pantry');
  await expect(page.getByRole('heading', { name: 'Pantry' })).toBeVisible();
  // What brings files in is fetched once the page stands.
  await page.waitForTimeout(2500);
  await letGo('lake.txt', '90 ml rapeseed oil\n30 ml cider vinegar\n1 tsp honey');
  await expect(page).toHaveURL(/\/import$/);
  await expect(page.getByLabel(/^Paste it/)).toHaveValue(/30 ml cider vinegar/);
  await letGo('spring.ygrana', 'not a backup');
  await expect(page.getByRole('dialog', { name: 'Replace the whole kitchen?' })).toContainText(
    'spring.ygrana',
  );
});

test('a word of the trade is explained by key, under the pointer and by touch', async ({ page }) => {
  await page.goto('/formulas/walnut-cider/compose');
  const band = page.getByRole('button', { name: 'band', exact: true });
  await band.focus();
  await expect(page.getByRole('tooltip')).toContainText('still tastes like itself');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('tooltip')).toHaveCount(0);
  await page.getByRole('button', { name: 'hold', exact: true }).hover();
  await expect(page.getByRole('tooltip')).toContainText('looks mixed');
  await page.goto('/formulas/walnut-cider/versions');
  await page.getByRole('button', { name: 'proven', exact: true }).click();
  await expect(page.getByRole('tooltip')).toContainText('may be trusted');
});
