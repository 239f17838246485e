/** How things that are changed on many screens are counted: what was sent twice is applied once. */
import { integer, pgTable, primaryKey, text, timestamp } from 'drizzle-orm/pg-core';
import type { SharedKind } from '#contract';

/** How often a shared thing was changed: with formulas and plans their own rows say it. */
export const sharedRevisions = pgTable(
  'shared_revisions',
  {
    kind: text('kind').$type<SharedKind>().notNull(),
    id: text('id').notNull(),
    revision: integer('revision').notNull(),
  },
  (table) => [primaryKey({ columns: [table.kind, table.id] })],
);

/** Keys of changes already taken. */
export const appliedShared = pgTable('applied_shared', {
  key: text('key').primaryKey(),
  kind: text('kind').$type<SharedKind>().notNull(),
  id: text('id').notNull(),
  createdAt: timestamp('created_at', { withTimezone: true, mode: 'string' }).notNull(),
});
