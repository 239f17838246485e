import { AxeBuilder } from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';

/** WCAG 2.2 AA as far as a machine can tell. */
export async function expectAccessible(page: Page): Promise<void> {
  const { violations } = await new AxeBuilder({ page })
    .options({
      runOnly: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'],
      // Who speaks to the screen says what is written on it; off by default, since it reads icon fonts wrongly.
      rules: { 'label-content-name-mismatch': { enabled: true } },
    })
    .analyze();
  expect(violations.map(({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html).join(' | ')}`)).toEqual(
    [],
  );
}
