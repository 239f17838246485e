import { expect, test } from './kitchen';
import { expectAccessible } from './axe';

test.use({ kitchenFor: 'sideBySide' });

test(
  'a triangle of six tasters: blind codes, allergens first, the verdict once all have answered',
  { tag: '@often' },
  async ({ page }) => {
    await page.goto('/formulas/walnut-cider/versions');
    await page.getByRole('link', { name: 'Taste two side by side' }).click();
    await page.getByLabel('Tasters').fill('0');
    await expect(page.getByText('A whole number from 1 to 60.')).toBeVisible();
    await expect(page.getByRole('button', { name: 'Make the cards' })).toBeDisabled();
    await page.getByLabel('Tasters').fill('6');
    await page.getByRole('button', { name: 'Make the cards' }).click();
    await expect(page.getByTestId('warnings').first()).toContainText(/Nuts|nuts/);
    await expect(page.getByTestId('warnings').first()).toContainText('Mustard', { ignoreCase: true });
    const tasters = page.getByTestId('taster');
    await expect(tasters).toHaveCount(6);
    // Nothing on the page says which is which until the pour sheet is opened.
    await expect(page.getByRole('table')).toBeHidden();
    await expectAccessible(page);
    await page.getByText('For who pours, not for tasters').click();
    const rows = page.getByRole('row');
    for (let i = 0; i < 6; i++) {
      const cells = await rows.nth(i).getByRole('cell').allTextContents();
      const names = cells.map((cell) => cell.slice(4));
      const odd = cells.findIndex((_, at) => names.filter((name) => name === names[at]).length === 1);
      // The fifth guesses wrong at first and is put right: the last answer counts.
      const code = (at: number): string => cells[at]!.slice(0, 3);
      if (i === 4)
        await tasters
          .nth(i)
          .getByRole('button', { name: code((odd + 1) % 3) })
          .click();
      const right = i < 5;
      const pick = tasters.nth(i).getByRole('button', { name: code(right ? odd : (odd + 1) % 3) });
      await expect(pick).toBeEnabled();
      if (i === 0)
        await expect(page.getByRole('region', { name: 'Result' })).toContainText(
          '6 tasters have not answered',
        );
      await pick.click();
      await expect(pick).toHaveAttribute('aria-pressed', 'true');
    }
    await expect(page.getByTestId('result')).toHaveText(
      'They taste different: 5 of 6 picked the odd one, by chance that happens 2 times in a hundred.',
    );
    await page.reload();
    await expect(page.getByTestId('result')).toBeVisible();
    await page.emulateMedia({ media: 'print' });
    await expect(page.getByRole('heading', { name: 'Taster 6' })).toBeVisible();
    await expect(page.getByRole('article').first()).toContainText('Before the first sip');
  },
);
