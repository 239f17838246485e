import { readFile } from 'node:fs/promises';
import { expect, test, type Page } from './kitchen';
import { expectAccessible } from './axe';
import { startDemo } from './demoServer';

test.use({ kitchenFor: 'share' });

const RECIPE = `Fell-side dressing
Serves 6

Ingredients
90 ml rapeseed oil
30 ml cider vinegar
1,500 mg salt
2 tbsp cloudberry vinegar
1 tsp honey

Method
Stir the salt into the vinegar.
Add the rest and shake.`;

async function download(
  page: Page,
  press: () => Promise<void>,
): Promise<{ name: string; text: string; path: string }> {
  const waiting = page.waitForEvent('download');
  await press();
  const file = await waiting;
  const path = await file.path();
  return { name: file.suggestedFilename(), text: await readFile(path, 'utf8'), path };
}

test(
  'a pasted recipe becomes a draft: doubts are asked for, the method is kept',
  { tag: '@often' },
  async ({ page }) => {
    await page.goto('/');
    await page.getByRole('button', { name: 'New formula' }).click();
    await page.getByRole('link', { name: 'Bring in a recipe' }).click();
    const box = page.getByLabel(/^Paste it/);
    await box.fill('hello there, this is no recipe.');
    await expect(page.getByText('No line of it begins with an amount')).toBeVisible();
    await box.fill('{"half": ');
    await expect(page.getByRole('alert')).toContainText('not whole');
    await box.fill(RECIPE);
    const lines = page.getByTestId('import-lines').getByRole('listitem');
    await expect(lines).toHaveCount(5);
    await expect(lines.nth(0)).toContainText('read');
    await expect(lines.nth(3)).toContainText('not read');
    await expect(page.getByTestId('import-says')).toContainText('to put right');
    await expectAccessible(page);
    // Put right where it stands; a reload loses nothing of what was pasted.
    await page.reload();
    await expect(lines).toHaveCount(5);
    await page.getByLabel('Line: 2 tbsp cloudberry vinegar').fill('2 tbsp sherry vinegar');
    await page.getByLabel('Line: 1,500 mg salt').fill('1.5 g salt');
    await expect(page.getByTestId('import-says')).not.toContainText('to put right');
    await expect(page.getByLabel('Name')).toHaveValue('Fell-side dressing');
    await page.getByRole('button', { name: 'Make the draft' }).click();
    await expect(page).toHaveURL(/compose/);
    await expect(
      page
        .getByRole('textbox', { name: 'Name of the formula' })
        .or(page.getByText('Fell-side dressing'))
        .first(),
    ).toBeVisible();
    const id = /formulas\/([^/]+)/.exec(page.url())![1]!;
    const record = (await (await page.request.get(`/api/formulas/${id}`)).json()) as {
      formula: { additions: { note: string; ingredientId: string | null }[] };
    };
    expect(record.formula.additions.map(({ ingredientId }) => ingredientId)).toEqual([
      'rapeseed',
      'vin_cider5',
      'salt_table',
      'vin_sherry7',
      'honey',
    ]);
    expect(record.formula.additions[0]!.note).toContain('Stir the salt into the vinegar.');
  },
);

test('a formula goes out as text, recipe and table, and comes back', async ({ page }) => {
  await page.goto('/formulas/walnut-cider/versions');
  await page.getByRole('link', { name: 'Share it' }).click();
  await expect(page.getByTestId('plain-text')).toContainText('90 ml Cider vinegar');
  await expectAccessible(page);
  const jsonLd = await download(page, () =>
    page.getByRole('button', { name: 'Save Recipe, JSON-LD' }).click(),
  );
  expect(JSON.parse(jsonLd.text)).toMatchObject({ '@type': 'Recipe', name: 'Walnut & cider house' });
  const table = await download(page, () => page.getByRole('button', { name: 'Save Table, CSV' }).click());
  expect(table.name).toBe('walnut-cider-house.csv');
  for (const [text, kind] of [
    [jsonLd.text, 'JSON-LD'],
    [`<html><script type="application/ld+json">${jsonLd.text}</script></html>`, 'a page'],
    [table.text, 'CSV'],
    [await page.getByTestId('plain-text').innerText(), 'plain text'],
  ] as const) {
    await page.goto('/import');
    await page.getByLabel(/^Paste it/).fill(text);
    await expect(page.getByTestId('import-lines').getByRole('listitem'), kind).toHaveCount(8);
    await expect(page.getByTestId('import-says'), kind).not.toContainText('to put right');
    await page.getByRole('button', { name: 'Clear' }).click();
  }
  // A document comes in whole; what is here already is not doubled.
  const document = await (await page.request.get('/api/document?formula=walnut-cider')).text();
  await page.getByLabel(/^Paste it/).fill(document);
  await page.getByRole('button', { name: 'Bring it in' }).click();
  await expect(page.getByTestId('import-report')).toContainText('1 here already');
  await page.getByLabel(/^Paste it/).fill('{"ygranaDocument": 99}');
  await page.getByRole('button', { name: 'Bring it in' }).click();
  await expect(page.getByRole('alert')).toContainText('newer Ygrana');
  const pdf = page.waitForEvent('download');
  await page.goto('/formulas/walnut-cider/share');
  await page.getByRole('button', { name: 'Save PDF' }).click();
  expect((await pdf).suggestedFilename()).toBe('walnut-cider-house.pdf');
  await page.goto('/tables');
  const tables: Record<string, string> = {};
  for (const [button, column] of [
    ['Formulas', 'amount'],
    ['Ingredients', 'gramsPerMl'],
    ['Batches', 'plannedG'],
    ['Log', 'what'],
  ] as const) {
    const { text } = await download(page, () =>
      page.getByRole('button', { name: button, exact: true }).click(),
    );
    expect(text.split('\r\n')[0]).toContain(column);
    expect(text.split('\r\n').length).toBeGreaterThan(2);
    // No cell begins as a formula would.
    expect(text).not.toMatch(/(^|,)"[=+@\t]/m);
    tables[button] = text;
  }
  // They come back whole: nothing is doubled, and what was changed in the spreadsheet is said first.
  const bring = async (text: string): Promise<void> => {
    await page.goto('/import');
    await page.getByLabel('Recipe file').setInputFiles({
      name: 'table.csv',
      mimeType: 'text/csv',
      buffer: Buffer.from(text),
    });
    await page.getByRole('button', { name: 'Bring it in' }).click();
  };
  await bring(tables.Formulas!);
  await expect(page.getByTestId('import-report')).toContainText('here already');
  await expect(page.getByTestId('import-report')).not.toContainText('brought in');
  for (const [name, says] of [
    ['Log', /^0 batches, 0 jars and 0 events brought in; \d+ were here already/],
    ['Batches', /^0 batches, 0 jars and 0 events brought in; \d+ were here already/],
  ] as const) {
    await bring(tables[name]!);
    await expect(page.getByTestId('import-report')).toHaveText(says);
  }
  const honey = /^("honey","[^"]*","[^"]*","[^"]*",)"[^"]*"/m;
  expect(tables.Ingredients).toMatch(honey);
  await page.goto('/import');
  await page.getByLabel(/^Paste it/).fill(tables.Ingredients!.replace(honey, '$1"plenty"'));
  await expect(page.getByRole('alert')).toContainText('onHandG “plenty” is no number');
  await page.getByLabel(/^Paste it/).fill(tables.Ingredients!.replace(honey, '$1"735"'));
  await expect(page.getByRole('region', { name: 'Stock and ingredients' })).toContainText(
    'Honey: 735 g on hand',
  );
  await page.getByRole('button', { name: 'Bring it in' }).click();
  await expect(page.getByTestId('import-report')).toContainText('1 entries of the pantry changed.');
  const pantry = (await (await page.request.get('/api/pantry')).json()) as Record<
    string,
    { onHandG: number }
  >;
  expect(pantry.honey!.onHandG).toBe(735);
});

test('a kitchen is saved, and comes back over another one', async ({ browser }) => {
  test.setTimeout(120_000);
  const server = await startDemo();
  const page = await browser.newPage({ baseURL: server.address });
  try {
    await page.goto('/settings');
    const saved = await download(page, () => page.getByRole('link', { name: 'Save a backup' }).click());
    expect(saved.name).toMatch(/^kitchen-.*\.ygrana$/);
    await page.getByLabel('Kitchen').or(page.getByLabel('Name of the kitchen')).first().fill('Another house');
    await page.getByRole('button', { name: 'Save', exact: true }).click();
    await expect(page.getByText('Another house').first()).toBeVisible();
    // A foreign file is refused, and nothing is lost.
    await page.getByLabel('Backup file').setInputFiles({
      name: 'holiday.ygrana',
      mimeType: 'application/gzip',
      buffer: Buffer.from('no backup'),
    });
    await page.getByRole('button', { name: 'Replace it' }).click();
    await expect(page.getByRole('alert')).toContainText('cannot be unpacked');
    await page.getByRole('button', { name: 'Leave it as it is' }).click();
    await expect(page.getByText('Another house').first()).toBeVisible();
    await page.getByLabel('Backup file').setInputFiles(saved.path);
    await expect(page.getByRole('heading', { name: 'Replace the whole kitchen?' })).toBeVisible();
    await page.getByRole('button', { name: 'Replace it' }).click();
    await expect(page.getByText('Tarn House').first()).toBeVisible({ timeout: 60_000 });
    await expect(page.getByTestId('shelf-count')).toContainText('10 formulas');
  } finally {
    await page.close();
    await server.stop();
  }
});

test('whoever makes tools finds what the kitchen answers to, and it does', async ({ page }) => {
  await page.goto('/settings');
  await page.getByRole('link', { name: 'for tools of your own' }).click();
  await expect(page.getByRole('heading', { name: 'For tools of your own' })).toBeVisible();
  await expect(page.getByRole('table')).toHaveCount(9);
  await expectAccessible(page);
  await page.getByLabel('Find').fill('zzz');
  await expect(page.getByText('Nothing here has “zzz”.')).toBeVisible();
  await page.getByLabel('Find').fill('timers');
  await expect(page.getByRole('row', { name: /post \/timers\/\{id\}\/end/i })).toBeVisible();
  await expect(page.getByRole('table')).toHaveCount(1);
  const described = (await (await page.request.get('/api/openapi.json')).json()) as {
    openapi: string;
    paths: Record<string, unknown>;
  };
  expect(described.openapi).toBe('3.1.1');
  expect(Object.keys(described.paths)).toContain('/timers/{id}/end');
});
