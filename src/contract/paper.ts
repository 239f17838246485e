/** What may be printed: words that the pages composed; the server only sets them. */
import { z } from 'zod';
import { formulaIdsSchema } from './formula';
import { GLASS_LIMITS_MM, LABEL_SIZE_IDS, TALLEST_STRIP_MM, type Sheet, type Strip } from '#core/paper';

const words = (most: number): z.ZodString => z.string().max(most, `at most ${most} characters`);

export const MOST_LABELS = 200;
const knownZone = (timeZone: string): boolean => {
  try {
    return new Intl.DateTimeFormat('en', { timeZone }) !== null;
  } catch {
    return false;
  }
};
const knownLanguage = (name: string): boolean => {
  try {
    return Intl.getCanonicalLocales(name).length === 1;
  } catch {
    return false;
  }
};
/** Who reads the paper: dates in their language, by their clock. */
export const readerQuerySchema = z.strictObject({
  language: z
    .string()
    .regex(/^[A-Za-z]{2,3}(?:-[A-Za-z0-9]{2,8}){0,3}$/, 'is a language such as en-GB')
    .refine(knownLanguage, 'is a language such as en-GB')
    .optional(),
  timeZone: z.string().max(60).refine(knownZone, 'is a time zone such as Europe/Berlin').optional(),
});
export const labelQuerySchema = readerQuerySchema.extend({
  /** In which language it is written. */
  tongue: z.enum(['en', 'de']).default('en'),
  size: z.enum(LABEL_SIZE_IDS as [string, ...string[]]),
  copies: z.coerce
    .number()
    .int()
    .min(1, 'at least one')
    .max(MOST_LABELS, `at most ${MOST_LABELS} at once`)
    .default(1),
  /** Places of the sheet that are used up. */
  skip: z.coerce.number().int().min(0).max(60).default(0),
});

/** A label for each of some formulas, as jars made today. */
export const jarLabelQuerySchema = labelQuerySchema.extend({ formulas: formulaIdsSchema });

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
