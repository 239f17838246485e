import { z } from 'zod';
import type { EmulsionValues, IngredientRow } from '#core/ingredient';
import { PACE_LIMITS } from '#core/batch';
import { PLATE_LIMITS_S } from '#core/emulsion';
import {
  ACIDITY_LIMITS,
  COMPONENTS,
  CATEGORIES,
  EMULSIFIER_KINDS,
  HAZARDS,
  OIL_STATES,
  STRUCTURE_CUTS,
  STRUCTURE_FAMILIES,
  TAGS,
  TRAITS,
} from '#core/ingredient';
import { PALATE_KEYS, type PalateKey, type Style } from '#core/palate';
import type { SmallMeasures } from '#core/quantity';
import type { Vessel } from '#core/vessel';
import { ingredientIdSchema, nameSchema, servingVolumeSchema, spoonsSchema, vesselIdSchema } from './formula';

const positive = z.number().finite().positive();

export const rangeSchema = z
  .strictObject({ nominal: positive, low: positive, high: positive })
  .refine((r) => r.low <= r.nominal && r.nominal <= r.high, {
    message: 'low must not be above the usual value, nor high below it',
  });

const shareSchema = z.number().min(0).max(1);

const smallMeasuresSchema: z.ZodType<SmallMeasures> = z.strictObject({
  volumeMl: z.strictObject({
    pinch: rangeSchema,
    dash: rangeSchema,
    drop: rangeSchema,
    splash: rangeSchema,
    ladle: rangeSchema,
  }),
  massG: z.strictObject({ grind: rangeSchema, knob: rangeSchema, handful: rangeSchema }),
});

export const settingsSchema = z.strictObject({
  kitchenName: nameSchema,
  spoons: spoonsSchema,
  decimalSign: z.enum(['point', 'comma']),
  /** What stands beside each amount as typed. */
  amountsIn: z.enum(['grams', 'spoons']),
  servingVolumeMl: servingVolumeSchema,
  /** A sign or code put before amounts of money; nothing is ever converted. */
  currency: z.string().trim().min(1, 'needs a sign').max(4, 'at most 4 characters'),
  smallMeasures: smallMeasuresSchema,
  /** Makings right as made that prove a version. */
  provenAfter: z.int().min(1, 'at least one').max(20, 'at most 20'),
  /** What this kitchen's own jars may teach it. */
  learning: z.strictObject({
    holds: z.boolean(),
    windows: z.boolean(),
    /** What happened before this is forgotten; null: nothing is. */
    since: z.iso.datetime().nullable(),
  }),
  batch: z.strictObject({
    /** Stays in tools and on walls, of what is made. */
    lossShare: z.number().min(0).max(0.5, 'at most half'),
    scale: z
      .strictObject({
        readabilityG: positive.max(100),
        capacityG: positive.max(500_000),
        vesselG: z.number().min(0).max(50_000),
      })
      .refine(({ capacityG, vesselG, readabilityG }) => capacityG - vesselG >= readabilityG, {
        message: 'the scale must carry more than what is weighed into',
      }),
    fridgeC: z.number().min(-2).max(15),
    roomC: z.number().min(-5).max(45),
    /** How this kitchen's hands compare with common practice, in peeling, grating and juicing; left out: as they do. */
    handPace: z
      .number()
      .min(PACE_LIMITS.low, `at least ${PACE_LIMITS.low * 100} %`)
      .max(PACE_LIMITS.high, `at most ${PACE_LIMITS.high * 100} %`)
      .optional(),
    holdBack: z.strictObject({
      salt: shareSchema,
      rawAllium: shareSchema,
      chilli: shareSchema,
      strongHerbs: shareSchema,
      fromFold: z.number().min(1).max(1000),
    }),
  }),
});
export type Settings = z.infer<typeof settingsSchema>;

export const vesselSchema: z.ZodType<Vessel> = z.strictObject({
  id: vesselIdSchema,
  name: nameSchema,
  nominalVolumeMl: positive.max(200_000),
  brimfulVolumeMl: positive.max(200_000),
  outline: z
    .array(z.strictObject({ heightMm: z.number().min(0), radiusMm: positive }))
    .min(2)
    .max(40)
    .refine((points) => points.every((p, i) => i === 0 || p.heightMm > points[i - 1]!.heightMm), {
      message: 'heights must rise from bottom to brim',
    }),
  closes: z.boolean(),
});

const massPer100G = z.number().min(0).max(101);
const someOf = (values: readonly string[]): z.ZodType<string> => z.enum(values as [string, ...string[]]);

const fraction = z.number().min(0).max(1);
const emulsionSchema: z.ZodType<EmulsionValues> = z.strictObject({
  kind: z.enum(EMULSIFIER_KINDS),
  adsorbableMassFraction: fraction,
  swollenMlPerG: z.number().min(0).max(5),
  mucilageMassFraction: fraction,
  oilState: z.enum(OIL_STATES),
  dropUm: z.number().min(0).max(1000),
  /** In rows from before; the body says it now. */
  gelYieldStressPa: z.number().min(0).max(1000).optional(),
});

const structureSchema = z.strictObject({
  family: z.enum(STRUCTURE_FAMILIES),
  yieldStressPa: z.number().min(0).max(100_000),
  viscosityPaS: z.number().min(1e-4).max(10_000),
  exponent: z.number().min(1).max(20),
  restPa: z.number().min(0).max(10).optional(),
  cut: z.enum(STRUCTURE_CUTS).optional(),
});

/** A kitchen's own ingredient, in the same form as the reference rows. */
export const ingredientRowSchema = z.strictObject({
  id: ingredientIdSchema,
  name: nameSchema,
  aliases: z.array(z.string().max(80)).max(20),
  category: someOf(CATEGORIES),
  spoonDensityGPerMl: z.number().min(0.05).max(2.5),
  gPer100G: z.partialRecord(z.enum(COMPONENTS), massPer100G),
  typicalPh: z.number().min(0).max(14).nullable(),
  energyKcalPer100G: z.number().min(0).max(950),
  unitWeightsG: z.record(z.string(), z.union([positive, z.array(positive).length(3)])),
  edibleYieldFraction: z.number().gt(0).max(1),
  allergensEu14: z.array(z.string().max(80)),
  allergensUs9: z.array(z.string().max(80)),
  allergensMayBeIn: z.array(z.string().max(80)),
  emulsifierClass: z.enum(['none', 'mild', 'good', 'strong']),
  emulsifierNote: z.string().max(300),
  hazards: z.array(someOf(HAZARDS)),
  traits: z.array(someOf(TRAITS)).optional(),
  byHand: z
    .strictObject({ allergensAnswered: z.boolean(), phFromLabel: z.boolean(), keepsUncooled: z.boolean() })
    .optional(),
  keepsOpened: z.boolean().optional(),
  strength: z.string().max(80),
  shelfNote: z.string().max(300),
  proteinBufferMmolPerPhPerG: z.number().min(0).max(5),
  pungencyIndex: z.record(z.string(), z.number().min(0).max(20)),
  bodyIndex: z.number().min(0).max(20_000),
  emulsion: emulsionSchema.optional(),
  structure: structureSchema.optional(),
  otherSweetnessSucroseGPer100G: z.number().min(0).optional(),
  tag: someOf(TAGS),
  source: z.string().max(300),
}) satisfies z.ZodType<IngredientRow>;
export type OwnIngredient = z.infer<typeof ingredientRowSchema>;

const day = z
  .string()
  .regex(/^\d{4}-\d{2}-\d{2}$/, 'must be a day such as 2026-05-31')
  .pipe(z.iso.date('is no day of the calendar'));

/** What the kitchen knows of an ingredient beyond its table row: stock, price, the bottle in use. */
export const pantryEntrySchema = z.strictObject({
  onHandG: z.number().min(0, 'not below nothing').max(1_000_000).nullable(),
  price: z.number().min(0, 'not below nothing').max(100_000).nullable(),
  /** A pack of less would make any price of a gram beyond all bounds. */
  packMassG: z.number().min(0.01, 'at least 0.01 g').max(1_000_000).nullable(),
  bottle: z.strictObject({
    label: z.string().max(120),
    acidityGPer100Ml: z
      .number()
      .min(ACIDITY_LIMITS.low, `at least ${ACIDITY_LIMITS.low} g per 100 ml`)
      .max(ACIDITY_LIMITS.high, `at most ${ACIDITY_LIMITS.high} g per 100 ml`)
      .nullable(),
    ph: z.number().min(0, 'pH is 0 to 14').max(14, 'pH is 0 to 14').nullable(),
    openedOn: day.nullable(),
    useBy: day.nullable(),
    /** How thick it was found at the counter; left out or null: as the table. */
    thickness: z
      .discriminatedUnion('kind', [
        z.strictObject({
          kind: z.literal('plate'),
          seconds: z
            .number()
            .min(PLATE_LIMITS_S.low, `at least ${PLATE_LIMITS_S.low} s`)
            .max(PLATE_LIMITS_S.high, `at most ${PLATE_LIMITS_S.high} s`)
            .nullable(),
        }),
        z.strictObject({ kind: z.literal('spoon'), line: z.enum(['stays', 'closes']) }),
      ])
      .nullable()
      .optional(),
  }),
});
export type PantryEntry = z.infer<typeof pantryEntrySchema>;
export const cookSchema = z.strictObject({
  id: z.string().regex(/^[\w-]{1,64}$/),
  name: z.string().trim().min(1, 'needs a name').max(60, 'at most 60 characters'),
  initials: z.string().trim().min(1, 'needs initials').max(3, 'at most 3 letters'),
});
export type Cook = z.infer<typeof cookSchema>;

const windowSchema = z
  .strictObject({ low: z.number().min(0).max(1000), high: z.number().min(0).max(1000) })
  .refine(({ low, high }) => low < high, { message: 'the low end must be below the high end' });

/** A style of the kitchen's own, or a built-in one with windows the kitchen has moved (same id). */
export const styleSchema: z.ZodType<Style> = z.strictObject({
  id: z.string().regex(/^[\w-]{1,64}$/),
  name: nameSchema,
  says: z.string().max(300),
  windows: z.partialRecord(z.enum(PALATE_KEYS as unknown as [PalateKey, ...PalateKey[]]), windowSchema),
}) as unknown as z.ZodType<Style>;
