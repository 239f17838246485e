/** Sheets as words in tables: the batch sheet and the pull list. Composed by who knows the batch, printed anywhere. */

export interface SheetColumn {
  readonly title: string;
  /** Of the width, any number: they are taken as shares. */
  readonly share: number;
  readonly align: 'left' | 'right';
}
export interface SheetTable {
  readonly title: string;
  readonly note: string;
  readonly columns: readonly SheetColumn[];
  /** Cells as many as columns; an empty one is a line to write on. */
  readonly rows: readonly (readonly string[])[];
  /** A box to tick stands before every row. */
  readonly ticks: boolean;
}
export interface Sheet {
  readonly title: string;
  readonly subtitle: string;
  /** "Made at": "…"; an empty value is a line to write on. */
  readonly facts: readonly (readonly [name: string, value: string])[];
  readonly tables: readonly SheetTable[];
  readonly notes: readonly string[];
  /** Words before lines to sign on. */
  readonly signatures: readonly string[];
}
