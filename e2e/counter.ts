import { expect, type Locator, type Page } from '@playwright/test';
import { Compose } from './bench';

/** The make page, by what a cook at the counter sees and does. */
export class Make {
  constructor(readonly page: Page) {}

  /** A formula of its own, its making begun. */
  async begin(...lines: string[]): Promise<void> {
    await this.compose(...lines);
    await this.start();
  }
  async compose(...lines: string[]): Promise<void> {
    const compose = new Compose(this.page);
    await compose.fresh(...lines);
    await compose.saved();
    await this.page.getByRole('link', { name: 'Make', exact: true }).click();
    // Compose has a button that freezes, too.
    await expect(this.page.getByRole('heading', { name: 'Before the first gram' })).toBeVisible();
    await this.page.getByTestId('setup').getByRole('button', { name: 'Change' }).click();
  }
  /** From the form; another making may still have the scale. */
  async start(): Promise<void> {
    await this.page.getByRole('button', { name: /^(Save as|Begin making)/ }).click();
    await expect(this.step).toBeVisible();
    const scale = this.page.getByTestId('scale');
    await expect(scale).toContainText(/Simulated scale|In use/);
    if (/In use/.test((await scale.textContent()) ?? ''))
      await this.page.getByRole('button', { name: 'Read it here' }).click();
  }
  /** Weights typed, deeds done, up to a step. */
  async upTo(wanted: RegExp): Promise<void> {
    for (let i = 0; i < 12; i++) {
      const words = (await this.step.textContent()) ?? '';
      if (wanted.test(words)) return;
      const grams = /([\d.]+) g$/.exec(words)?.[1];
      if (grams) await this.typed(grams);
      else await this.page.keyboard.press('Space');
      await expect(this.step).not.toHaveText(words);
    }
    throw new Error(`No step ${String(wanted)}.`);
  }
  /** The hands of the stand-ins lie folded at the edge. */
  async hands(): Promise<void> {
    const hands = this.page.getByTestId('hands');
    if ((await hands.getAttribute('open')) === null) await hands.locator('summary').click();
  }
  get step(): Locator {
    return this.page.getByTestId('step-name');
  }
  get steps(): Locator {
    return this.page.getByTestId('steps').getByRole('listitem');
  }
  get reading(): Locator {
    return this.page.getByTestId('reading');
  }
  get inJar(): Locator {
    return this.page.getByTestId('in-jar');
  }
  get main(): Locator {
    return this.page.getByRole('region', { name: 'This step' }).locator('button.bg-bottle');
  }
  /** Puts grams onto the simulated scale, once it is this making's and shows nothing. */
  async put(grams: number): Promise<void> {
    await expect(this.reading).toContainText(/^-?0[.,][0-4]/);
    await this.hands();
    await this.page.getByLabel('Put on, g').fill(grams.toFixed(2));
    await this.page.getByRole('button', { name: 'Put it on' }).click();
  }
  async typed(grams: string): Promise<void> {
    const words = (await this.step.textContent()) ?? '';
    const weight = this.page.getByLabel(/^Weight of/);
    // The panel begins anew when the scale it has claimed answers.
    await expect(async () => {
      if (!(await weight.isVisible())) await this.page.getByRole('button', { name: 'By hand' }).click();
      await weight.fill(grams, { timeout: 2000 });
    }).toPass();
    await this.page.getByRole('button', { name: 'Take what is typed' }).click();
    await expect(this.step.filter({ hasText: words })).toBeHidden();
  }
  async expectDone(index: number, grams: RegExp): Promise<void> {
    await expect(this.steps.nth(index)).toContainText('✓');
    await expect(this.steps.nth(index)).toContainText(grams);
  }
}
