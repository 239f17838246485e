/** What may be printed: words that the pages composed; the server only sets them. */
import { z } from 'zod';
import {
  GLASS_LIMITS_MM,
  LABEL_SIZE_IDS,
  TALLEST_STRIP_MM,
  type LabelWords,
  type Sheet,
  type Strip,
} from '#core/paper';

const words = (most: number): z.ZodString => z.string().max(most, `at most ${most} characters`);

const labelWordsSchema: z.ZodType<LabelWords> = z.strictObject({
  name: words(120).min(1, 'needs a name'),
  version: words(40),
  madeAt: words(60),
  useBy: words(60),
  keepAt: words(120),
  allergens: words(800),
  cautions: z.array(words(600)).max(2, 'two at most'),
  batchNumber: words(40).min(1, 'needs a batch number'),
  kitchen: words(120),
});
export const MOST_LABELS = 200;
export const printLabelSchema = z.strictObject({
  size: z.enum(LABEL_SIZE_IDS as [string, ...string[]]),
  copies: z.int().min(1, 'at least one').max(MOST_LABELS, `at most ${MOST_LABELS} at once`),
  /** Places of the sheet that are used up. */
  skip: z.int().min(0).max(60).default(0),
  words: labelWordsSchema,
});
export type PrintLabel = z.input<typeof printLabelSchema>;

const cell = words(600);
const sheetSchema: z.ZodType<Sheet> = z.strictObject({
  title: words(200).min(1, 'needs a title'),
  subtitle: words(300),
  facts: z.array(z.tuple([words(60), words(300)])).max(40),
  tables: z
    .array(
      z
        .strictObject({
          title: words(200),
          note: words(600),
          columns: z
            .array(
              z.strictObject({
                title: words(60),
                share: z.number().gt(0).max(100),
                align: z.enum(['left', 'right']),
              }),
            )
            .min(1)
            .max(10),
          rows: z.array(z.array(cell)).max(500),
          ticks: z.boolean(),
        })
        .refine(({ columns, rows }) => rows.every((row) => row.length === columns.length), {
          path: ['rows'],
          message: 'must have a cell for every column',
        }),
    )
    .max(80),
  notes: z.array(words(1000)).max(60),
  signatures: z.array(words(120)).max(6),
});
export const printSheetSchema = sheetSchema;
export type PrintSheet = Sheet;

const mm = z
  .number()
  .finite()
  .min(0)
  .max(TALLEST_STRIP_MM, `at most ${TALLEST_STRIP_MM} mm: it would not fit on A4`);
const stripSchema: z.ZodType<Strip> = z
  .strictObject({
    status: z.literal('strip'),
    lines: z
      .array(
        z.strictObject({
          name: words(200),
          said: words(200),
          volumeMl: z.number().finite().min(0),
          heightMm: mm,
          alongMm: mm,
          bySpoon: z.boolean(),
        }),
      )
      .min(1)
      .max(60),
    floorMm: z.number().min(GLASS_LIMITS_MM.low).max(GLASS_LIMITS_MM.high),
    brimMm: mm,
    slopes: z.boolean(),
  })
  .refine(({ lines, brimMm }) => lines.every(({ alongMm }) => alongMm <= brimMm + 1e-6), {
    path: ['lines'],
    message: 'must end at the brim',
  });
export const printStripSchema = z
  .strictObject({
    strip: stripSchema,
    words: z.strictObject({
      name: words(120),
      version: words(40),
      vessel: words(120),
      lines: z.array(words(300)).max(60),
    }),
  })
  .refine(({ strip, words: said }) => said.lines.length === strip.lines.length, {
    path: ['words', 'lines'],
    message: 'must have words for every line',
  });
export type PrintStrip = z.input<typeof printStripSchema>;
