/** What is changed on many screens, and how such things are counted: what was sent twice is applied once. */
import { integer, jsonb, pgTable, primaryKey, text, timestamp } from 'drizzle-orm/pg-core';
import type { DishesContent, PracticeContent, SharedKind } from '#contract';
import type { FormulaId } from '#core/formula';

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

/** The dishes that a formula is made for. */
export const formulaDishes = pgTable('formula_dishes', {
  formulaId: text('formula_id').$type<FormulaId>().primaryKey(),
  content: jsonb('content').$type<DishesContent>().notNull(),
  updatedAt: timestamp('updated_at', { withTimezone: true, mode: 'string' }).notNull(),
});

/** What each cook has practised. */
export const practice = pgTable('practice', {
  cookId: text('cook_id').primaryKey(),
  content: jsonb('content').$type<PracticeContent>().notNull(),
  updatedAt: timestamp('updated_at', { withTimezone: true, mode: 'string' }).notNull(),
});
