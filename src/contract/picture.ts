/** Pictures of jars: scaled down and measured in the browser, kept with the jar. */
import { z } from 'zod';
import { ASIDE_KINDS, LAYER_KINDS } from '#core/glass';
import { bySchema } from './formula';
import { trialIdSchema } from './trial';

/** Of one picture, as sent; and of all pictures of a kitchen. */
export const PICTURE_LIMITS = {
  longEdgePx: 1600,
  jpegBytes: 340_000,
  kitchenBytes: 80 * 1024 * 1024,
} as const;

const share = z.number().min(0).max(1);
const point = z.strictObject({
  x: z.number().finite().min(0).max(20_000),
  y: z.number().finite().min(0).max(20_000),
});
const pair = z.tuple([point, point]);

export const seenSchema = z.strictObject({
  /** In the pixels of the kept picture. */
  marks: z.strictObject({ floor: pair, surface: pair }),
  /** From the floor to the surface; shares of the liquid's height. */
  layers: z
    .array(
      z.strictObject({
        kind: z.enum([...LAYER_KINDS, ...ASIDE_KINDS]),
        from: share,
        to: share,
        doubt: z.tuple([share, share]),
      }),
    )
    .min(1)
    .max(8),
  /** A border was put where it is by a cook. */
  byHand: z.boolean(),
});
export type Seen = z.infer<typeof seenSchema>;

const about = {
  id: trialIdSchema,
  /** When it was taken, by the file or the device. */
  takenAt: z.iso.datetime(),
  /** After the last shake; null: nobody knows. */
  seconds: z
    .number()
    .finite()
    .gt(0, 'must be after the mixing')
    .max(60 * 86_400)
    .nullable(),
  seen: seenSchema,
  by: bySchema,
};
export const newPictureSchema = z.strictObject({
  ...about,
  /** Baseline or progressive JPEG, base64. */
  jpeg: z
    .string()
    .regex(/^[A-Za-z0-9+/]+={0,2}$/, 'must be base64')
    .max(Math.ceil((PICTURE_LIMITS.jpegBytes * 4) / 3) + 4),
});
export type NewPicture = z.infer<typeof newPictureSchema>;

export const pictureRecordSchema = z.strictObject({
  ...about,
  trialId: trialIdSchema,
  widthPx: z.int().min(1),
  heightPx: z.int().min(1),
  at: z.iso.datetime(),
});
export type PictureRecord = z.infer<typeof pictureRecordSchema>;

/** The pictures of a jar, oldest first, and how much room the kitchen has for more. */
export const picturesAnswerSchema = z.strictObject({
  pictures: z.array(pictureRecordSchema),
  usedBytes: z.number().min(0),
  mostBytes: z.number().min(0),
});
export type PicturesAnswer = z.infer<typeof picturesAnswerSchema>;
