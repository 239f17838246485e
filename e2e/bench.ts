import { expect, type Locator, type Page } from '@playwright/test';

export const SAVED = 'Saved';

/** The compose page of a formula, by what a cook sees. */
export class Compose {
  constructor(readonly page: Page) {}

  async open(id: string): Promise<void> {
    await this.page.goto(`/formulas/${id}/compose`);
    await expect(this.addLine).toBeVisible();
  }
  /** A formula of its own for a test that changes things, typed in line by line. */
  async fresh(...lines: string[]): Promise<void> {
    await this.page.goto('/');
    await this.page.getByRole('button', { name: 'New formula' }).click();
    await this.page.getByRole('button', { name: 'Empty jar' }).click();
    await expect(this.addLine).toBeVisible();
    for (const line of lines) await this.add(line);
  }
  async add(line: string): Promise<void> {
    await this.addLine.fill(line);
    await this.addLine.press('Escape');
    await this.addLine.fill(line);
    await this.addLine.press('Enter');
    await expect(this.addLine).toHaveValue('');
  }
  async saved(): Promise<void> {
    await expect(this.saveState).toHaveText(SAVED);
  }
  get addLine(): Locator {
    return this.page.getByRole('combobox', { name: 'Add: amount, then ingredient' });
  }
  get saveState(): Locator {
    return this.page.getByTestId('save-state');
  }
  get ratio(): Locator {
    return this.page.getByTestId('ratio');
  }
  get rows(): Locator {
    return this.page.getByTestId('addition');
  }
  amount(name: string): Locator {
    return this.page.getByRole('textbox', { name: `Amount of ${name}` });
  }
  row(name: string): Locator {
    return this.rows.filter({ has: this.page.getByRole('textbox', { name: `Amount of ${name}` }) });
  }
}
