/** A label's content and its sizes. Which sizes are common: common practice. */

export interface LabelSize {
  readonly id: string;
  readonly widthMm: number;
  readonly heightMm: number;
  /** On a sheet of A4; null: one label is the page, for a roll. */
  readonly sheet: {
    readonly columns: number;
    readonly rows: number;
    readonly leftMm: number;
    readonly topMm: number;
    readonly stepXMm: number;
    readonly stepYMm: number;
  } | null;
}

export const LABEL_SIZES: readonly LabelSize[] = [
  {
    id: 'a4-8',
    widthMm: 99.1,
    heightMm: 67.7,
    sheet: { columns: 2, rows: 4, leftMm: 4.65, topMm: 13.1, stepXMm: 101.6, stepYMm: 67.7 },
  },
  {
    id: 'a4-21',
    widthMm: 63.5,
    heightMm: 38.1,
    sheet: { columns: 3, rows: 7, leftMm: 7.2, topMm: 15.1, stepXMm: 66, stepYMm: 38.1 },
  },
  { id: 'roll-100', widthMm: 100, heightMm: 62, sheet: null },
  { id: 'roll-60', widthMm: 60, heightMm: 40, sheet: null },
  { id: 'roll-62', widthMm: 62, heightMm: 40, sheet: null },
];
export const LABEL_SIZE_IDS = LABEL_SIZES.map(({ id }) => id);
export const labelSizeOf = (id: string): LabelSize | null =>
  LABEL_SIZES.find((size) => size.id === id) ?? null;

/** What stands on it, as words: composed once, printed anywhere. */
export interface LabelWords {
  readonly name: string;
  readonly version: string;
  readonly madeAt: string;
  readonly useBy: string;
  /** "5 °C or below". */
  readonly keepAt: string;
  /** By name, or that the list is not complete; empty: none known. */
  readonly allergens: string;
  /** At most two, the eater's first; reasons, figures and sources stay on the batch sheet. */
  readonly cautions: readonly string[];
  readonly batchNumber: string;
  readonly kitchen: string;
}
