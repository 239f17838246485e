import { expect, test } from './kitchen';
import { ROUTES } from './routes';

test.use({ kitchenFor: 'long-names' });

interface Listed {
  readonly id: string;
  readonly revision: number;
  readonly formula: { readonly name: string };
}

/** Every second name has no place to break at; the others are merely long. */
const lengthened = (name: string, index: number): string =>
  index % 2 === 0
    ? `Sommersalatsossenzubereitungsgrundlagenrezeptur${name}`
    : `${name} with twice-roasted hazelnut, preserved lemon and the leaves of the second picking`;

test('long names push nothing off the screen on any route', async ({ page }) => {
  test.setTimeout(240_000);
  await page.goto('/');
  const { records } = (await (await page.request.get('/api/formulas')).json()) as {
    readonly records: readonly Listed[];
  };
  expect(records.length).toBeGreaterThan(5);
  for (const [index, { id, revision, formula }] of records.entries()) {
    const answer = await page.request.post(`/api/formulas/${id}/changes`, {
      headers: { Origin: new URL(page.url()).origin },
      data: {
        baseRevision: revision,
        idempotencyKey: `long-name-${index}`,
        diff: {
          added: [],
          removed: [],
          updated: [
            { additionId: null, field: 'name', from: formula.name, to: lengthened(formula.name, index) },
          ],
        },
      },
    });
    expect(answer.ok()).toBe(true);
  }
  for (const size of [
    { width: 1280, height: 800 },
    { width: 390, height: 844 },
  ]) {
    await page.setViewportSize(size);
    for (const route of [...ROUTES, '/side-by-side?with=walnut-cider']) {
      await page.goto(route);
      await expect(page.locator('#main h1').first()).toBeAttached();
      await expect(page.getByText(/^Fetching/)).toHaveCount(0);
      const over = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
      expect(over, `${route} at ${size.width}`).toBeLessThanOrEqual(0);
    }
  }
});
