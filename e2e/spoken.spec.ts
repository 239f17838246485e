import { expect, test } from './kitchen';
import { expectAccessible } from './axe';
import { Compose } from './bench';

test.use({ kitchenFor: 'spoken' });

/** As a cook says it, and the name and grams that stand there then. */
const SAID: readonly (readonly [line: string, name: RegExp, grams: RegExp])[] = [
  ['two thirds of a cup of sunflower oil', /Sunflower oil/, /153/],
  ['a tablespoon and a half of Dijon', /Dijon/, /23\.\d g/],
  ['¼ cup red wine', /Red wine, dry/, /61\.\d g/],
  ['½ cup walnuts', /Walnuts/, /6\d\.\d g/],
  ['1 (400 g) tin white beans, drained', /White beans/, /≈ 240/],
  ['a squeeze of lime', /Lime juice/, /≈ 6\.\d/],
  ['1 large egg yolk', /Egg yolk/, /17/],
  ['1 cup minus 2 tbsp Greek yogurt', /Greek/, /2[12]\d/],
  ['vegetable or sunflower oil, 30 ml', /Vegetable oil/, /27\.\d g/],
];

test(
  'lines as cooks say them are read, two things at once are two, and a doubt is settled by key',
  { tag: '@often' },
  async ({ page }) => {
    const compose = new Compose(page);
    await compose.fresh('30 ml cider vinegar');
    for (const [line, name, grams] of SAID) {
      await compose.add(line);
      const row = compose.rows.filter({ hasText: name }).last();
      await expect(row, line).toContainText(grams);
    }
    const before = await compose.rows.count();
    await compose.addLine.fill('zest and juice of half a lemon');
    await expect(page.getByTestId('foretold')).toContainText(/Lemon zest \+ .*Lemon juice/);
    await compose.addLine.press('Enter');
    await expect(compose.rows).toHaveCount(before + 2);
    // An ounce of oil may be weighed or poured: one key says which.
    await compose.add('2 oz rapeseed oil');
    const oil = compose.rows.filter({ hasText: 'Rapeseed' }).last();
    const byVolume = oil.getByRole('button', { name: /fl oz/ });
    await byVolume.focus();
    await byVolume.press('Enter');
    await expect(oil.getByRole('textbox')).toHaveValue(/fl oz/);
    // How much is in a jar nobody can know: one key answers, and one undo takes it back.
    await compose.add('a jar of tahini');
    const jar = compose.rows.filter({ hasText: 'How much' });
    await jar.getByRole('button', { name: '190 g', exact: true }).press('Enter');
    await expect(jar).toHaveCount(0);
    await expect(
      compose.rows
        .filter({ hasText: /Tahini/ })
        .last()
        .getByRole('textbox'),
    ).toHaveValue('190 g');
    // A chip puts a name where none was understood, and leaves the amount alone.
    await compose.add('2 tbsp vinegar');
    const asked = compose.rows.filter({ hasText: 'is not clear' });
    await asked
      .locator('button', { hasText: /vinegar/i })
      .first()
      .press('Enter');
    await expect(asked).toHaveCount(0);
    await expect(
      compose.rows
        .filter({ hasText: /vinegar/i })
        .last()
        .getByRole('textbox'),
    ).toHaveValue('2 tbsp');
    // Of two that were named the other is one key away, and back.
    const blend = compose.rows.filter({ hasText: 'Taken as Vegetable oil' });
    await blend.getByRole('button', { name: 'Sunflower oil instead' }).press('Enter');
    await expect(compose.rows.filter({ hasText: 'Taken as Sunflower oil' })).toHaveCount(1);
    await compose.saved();
    await expectAccessible(page);
  },
);

test('a telling becomes additions in their order; what is of the dish stays out until it is wanted', async ({
  page,
}) => {
  await page.goto('/import');
  const paste = page.getByRole('textbox', { name: /Paste it/ });
  await paste.fill(
    'First goes in a spoon of Dijon mustard, then two tablespoons of cider vinegar, and last, slowly, six of rapeseed oil. Whisk it well and leave it for ten minutes.',
  );
  const lines = page.getByTestId('import-lines').getByRole('listitem');
  await expect(lines).toHaveCount(3);
  await expect(lines.nth(0)).toContainText(/mustard/);
  await expect(lines.nth(2)).toContainText(/82\.\d g rapeseed/);
  await paste.fill(
    'Bean salad\n\nFor the salad:\n200 g cherry tomatoes, halved\n2 romaine hearts\n\nFor the dressing:\n2 tbsp sherry vinegar\n6 tbsp olive oil\nsalt and pepper',
  );
  await expect(lines).toHaveCount(4);
  const dish = page.getByTestId('import-dish').getByRole('listitem');
  await expect(dish).toHaveCount(2);
  await dish.first().getByRole('button', { name: 'Put it into the jar' }).press('Enter');
  await expect(dish).toHaveCount(1);
  await expect(lines).toHaveCount(5);
  await expect(lines.first()).toContainText(/200 g cherry tomatoes/);
  await expectAccessible(page);
  await page.getByRole('textbox', { name: 'Name' }).fill('Bean dressing');
  await page.getByRole('button', { name: /Make the draft/ }).click();
  await expect(page).toHaveURL(/compose/);
  const compose = new Compose(page);
  await expect(compose.rows).toHaveCount(5);
});

test('an ingredient says of each figure where it is known from', async ({ page }) => {
  await page.goto('/pantry/walnuts');
  await expect(page.getByTestId('provenance')).toContainText('Composition: published, and compared');
  await page.goto('/pantry/gochujang');
  await expect(page.getByTestId('provenance')).toContainText('Composition: from memory');
});
