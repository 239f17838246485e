import { expectAccessible } from './axe';
import { Compose } from './bench';
import { expect, test } from './kitchen';

test.use({ kitchenFor: 'family' });

test('a base is gone on from in another formula, changes, and is taken over; the family is walked by key', async ({
  page,
}) => {
  test.setTimeout(120_000);
  const compose = new Compose(page);
  await page.goto('/formulas/house-mayonnaise/versions');
  const family = page.getByTestId('family');
  // The demo's chives go on from the first version; the second is there.
  await expect(family).toContainText('Chive & pepper');
  await expect(family).toContainText('goes on from v1; v2 is there');
  await page.getByRole('button', { name: 'Go on from it in another formula' }).click();
  await expect(page).toHaveURL(/compose/);
  await expect(compose.rows).toHaveCount(1);
  await expect(compose.rows.first()).toContainText('House mayonnaise v2');
  await page.goBack();
  await expect(family).toContainText('House mayonnaise +');
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Take v2 over in the one that is behind' }).click();
  await expect(family).not.toContainText('is there', { timeout: 15_000 });
  // One tree: the formula, its versions, beneath each what goes on from it.
  await family.getByRole('treeitem', { name: 'House mayonnaise', exact: true }).focus();
  await page.keyboard.press('ArrowDown');
  await expect(page.getByTestId('version-2')).toBeFocused();
  await page.keyboard.press('End');
  await expect(page.getByTestId('version-1')).toBeFocused();
  // A version is compared with what stands now, and brought back, by key.
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/from=1/);
  await page.keyboard.press('b');
  const back = page.getByTestId('version-1').getByRole('button', { name: 'Bring back' });
  await expect(back).toBeDisabled();
  await page.keyboard.press('ControlOrMeta+z');
  await expect(back).toBeEnabled();
  await page.getByTestId('version-1').focus();
  await page.keyboard.press('ArrowLeft');
  await expect(family.getByRole('treeitem', { name: 'House mayonnaise', exact: true })).toBeFocused();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('ArrowDown');
  await expect(family.getByRole('treeitem', { name: /^Chive & pepper/ })).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/chive-pepper\/versions/);
  await expect(family.getByRole('treeitem', { name: /^House mayonnaise.*in it at v2/ })).toBeVisible();
  await page.getByRole('link', { name: 'Compose', exact: true }).click();
  await expect(compose.rows.first()).toContainText('House mayonnaise v2');
});
