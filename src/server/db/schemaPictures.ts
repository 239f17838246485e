/** Pictures of jars. */
import {
  bigserial,
  doublePrecision,
  index,
  integer,
  jsonb,
  pgTable,
  text,
  timestamp,
} from 'drizzle-orm/pg-core';
import type { By, Seen } from '#contract';

const moment = (name: string) => timestamp(name, { withTimezone: true, mode: 'string' });

export const pictures = pgTable(
  'pictures',
  {
    place: bigserial('place', { mode: 'number' }).primaryKey(),
    id: text('id').notNull().unique(),
    trialId: text('trial_id').notNull(),
    takenAt: moment('taken_at').notNull(),
    /** After the last shake. */
    seconds: doublePrecision('seconds'),
    widthPx: integer('width_px').notNull(),
    heightPx: integer('height_px').notNull(),
    bytes: integer('bytes').notNull(),
    /** Base64: rows travel as text, in the backup too. */
    jpeg: text('jpeg').notNull(),
    seen: jsonb('seen').$type<Seen>().notNull(),
    by: jsonb('by').$type<By>().notNull(),
    createdAt: moment('created_at').notNull(),
  },
  (table) => [index('pictures_of_trial').on(table.trialId)],
);
