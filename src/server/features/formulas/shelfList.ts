import type { ShelfRecord } from '#contract';

/** The shelf as JSON, one text a formula, so that a thousand of them are listed without asking the database again. */
export class ShelfList {
  private entries: Map<string, string> | null = null;
  private edition = 0;

  get isFilled(): boolean {
    return this.entries !== null;
  }

  fill(records: readonly ShelfRecord[]): void {
    this.entries = new Map(records.map((record) => [record.id, JSON.stringify(record)]));
    this.edition += 1;
  }

  /** Asked for anew at the next question. */
  forget(): void {
    this.entries = null;
    this.edition += 1;
  }

  /** New ones go to the end; a list never asked for is not kept. */
  put(record: ShelfRecord): void {
    this.edition += 1;
    this.entries?.set(record.id, JSON.stringify(record));
  }

  answer(): { json: string; tag: string } {
    return {
      json: `[${[...(this.entries ?? new Map<string, string>()).values()].join(',')}]`,
      tag: String(this.edition),
    };
  }
}
