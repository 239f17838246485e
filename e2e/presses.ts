import { expect, type Locator, type Page } from '@playwright/test';

/** Does the work by keys alone and counts: each key is a press, a text typed into one field is one. */
export class Keys {
  count = 0;
  private readonly log: string[] = [];
  constructor(readonly page: Page) {}

  async press(key: string, times = 1): Promise<void> {
    for (let i = 0; i < times; i++) {
      await this.page.keyboard.press(key);
      this.count += 1;
    }
  }
  async type(text: string): Promise<void> {
    await this.page.keyboard.type(text);
    this.count += 1;
  }
  /** What the part took, for who reads the run. */
  part(name: string): void {
    const before = this.log.reduce((sum, entry) => sum + Number(entry.split(' ').at(-1)), 0);
    this.log.push(`${name} ${this.count - before}`);
  }
  says(): string {
    return `${this.count} presses: ${this.log.join(', ')}`;
  }
  /** By Tab, the shorter way round, until it has the focus. */
  async reach(target: Locator, most = 30): Promise<void> {
    await expect(target).toBeVisible();
    await expect(target).toBeEnabled();
    const back = await target.evaluate((element) => {
      const active = document.activeElement ?? document.body;
      return Boolean(active.compareDocumentPosition(element) & Node.DOCUMENT_POSITION_PRECEDING);
    });
    for (let i = 0; i < most; i++) {
      if (await target.evaluate((element) => element === document.activeElement)) return;
      await this.press(back ? 'Shift+Tab' : 'Tab');
    }
    throw new Error(`Not reached within ${most} presses: ${String(target)}`);
  }
}

/** The same by a finger: each tap is a press, a text typed is one more. */
export class Finger {
  count = 0;
  private readonly log: string[] = [];
  constructor(readonly page: Page) {}

  async tap(target: Locator): Promise<void> {
    await expect(target).toBeVisible();
    await target.tap();
    this.count += 1;
  }
  /** Into the field that has the focus, or is tapped first. */
  async type(text: string, into?: Locator): Promise<void> {
    if (into && !(await into.evaluate((element) => element === document.activeElement))) await this.tap(into);
    await this.page.keyboard.insertText(text);
    this.count += 1;
  }
  /** The key of the keyboard on the glass that sends what was typed. */
  async send(): Promise<void> {
    await this.page.keyboard.press('Enter');
    this.count += 1;
  }
  part(name: string): void {
    const before = this.log.reduce((sum, entry) => sum + Number(entry.split(' ').at(-1)), 0);
    this.log.push(`${name} ${this.count - before}`);
  }
  says(): string {
    return `${this.count} presses: ${this.log.join(', ')}`;
  }
}
