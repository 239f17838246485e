/** Where the documents that a kitchen shares lie, by kind: one way to read and to write each. */
import { eq } from 'drizzle-orm';
import { planContentOf, SETTINGS_ID, SHARED_START, type SharedDoc, type SharedKind } from '#contract';
import type { Database } from '../../db/client';
import type { FormulaId } from '#core/formula';
import {
  cooks,
  formulaDishes,
  practice,
  ingredients,
  pantry,
  plans,
  settings,
  styles,
  vessels,
} from '../../db/schema';

interface Place<T> {
  /** Null: nobody has changed it yet, or it was taken out. */
  readonly read: (db: Database, id: string) => Promise<T | null>;
  readonly write: (db: Database, id: string, doc: T, written: Written) => Promise<unknown>;
  /** Where the row itself counts its changes. */
  readonly revision?: (db: Database, id: string) => Promise<number>;
}
interface Written {
  readonly updatedAt: string;
  readonly revision: number;
}
type Places = { readonly [K in SharedKind]: Place<NonNullable<SharedDoc[K]>> & Partial<Removable> };
interface Removable {
  readonly remove: (db: Database, id: string) => Promise<unknown>;
}

const PLACES: Places = {
  plan: {
    read: async (db, day) => {
      const [row] = await db.select().from(plans).where(eq(plans.day, day));
      return row ? planContentOf(row.content) : null;
    },
    write: (db, day, content, written) =>
      db
        .insert(plans)
        .values({ day, content, ...written })
        .onConflictDoUpdate({ target: plans.day, set: { content, ...written } }),
    revision: async (db, day) => {
      const [row] = await db.select({ revision: plans.revision }).from(plans).where(eq(plans.day, day));
      return row?.revision ?? 0;
    },
  },
  settings: {
    read: async (db) => {
      const [row] = await db.select().from(settings).where(eq(settings.id, SETTINGS_ID));
      // Fields that came with a later release start at their default.
      return row ? { ...SHARED_START.settings, ...row.content } : null;
    },
    write: (db, id, content, { updatedAt }) =>
      db
        .insert(settings)
        .values({ id, content, updatedAt })
        .onConflictDoUpdate({ target: settings.id, set: { content, updatedAt } }),
  },
  pantry: {
    read: async (db, id) => {
      const [row] = await db.select().from(pantry).where(eq(pantry.ingredientId, id));
      return row?.content ?? null;
    },
    write: (db, ingredientId, content, { updatedAt }) =>
      db
        .insert(pantry)
        .values({ ingredientId, content, updatedAt })
        .onConflictDoUpdate({ target: pantry.ingredientId, set: { content, updatedAt } }),
  },
  vessel: {
    read: async (db, id) => {
      const [row] = await db
        .select()
        .from(vessels)
        .where(eq(vessels.id, id as typeof vessels.$inferSelect.id));
      return row?.content ?? null;
    },
    write: async (db, _id, content) => {
      const position = await db.$count(vessels);
      await db
        .insert(vessels)
        .values({ id: content.id, content, position })
        .onConflictDoUpdate({ target: vessels.id, set: { content } });
    },
  },
  style: {
    read: async (db, id) => {
      const [row] = await db.select().from(styles).where(eq(styles.id, id));
      return row?.content ?? null;
    },
    write: (db, id, content, { updatedAt }) =>
      db
        .insert(styles)
        .values({ id, content, updatedAt })
        .onConflictDoUpdate({ target: styles.id, set: { content, updatedAt } }),
    // A built-in style goes back to its own windows; one of the kitchen's own is gone.
    remove: (db, id) => db.delete(styles).where(eq(styles.id, id)),
  },
  ingredient: {
    read: async (db, id) => {
      const [found] = await db.select().from(ingredients).where(eq(ingredients.id, id));
      return found?.row ?? null;
    },
    write: (db, id, row, { updatedAt }) =>
      db
        .insert(ingredients)
        .values({ id, row, updatedAt })
        .onConflictDoUpdate({ target: ingredients.id, set: { row, updatedAt } }),
  },
  dishes: {
    read: async (db, id) => {
      const [row] = await db
        .select()
        .from(formulaDishes)
        .where(eq(formulaDishes.formulaId, id as FormulaId));
      return row?.content ?? null;
    },
    write: (db, id, content, { updatedAt }) =>
      db
        .insert(formulaDishes)
        .values({ formulaId: id as FormulaId, content, updatedAt })
        .onConflictDoUpdate({ target: formulaDishes.formulaId, set: { content, updatedAt } }),
  },
  practice: {
    read: async (db, id) => {
      const [row] = await db.select().from(practice).where(eq(practice.cookId, id));
      return row?.content ?? null;
    },
    write: (db, id, content, { updatedAt }) =>
      db
        .insert(practice)
        .values({ cookId: id, content, updatedAt })
        .onConflictDoUpdate({ target: practice.cookId, set: { content, updatedAt } }),
  },
  cook: {
    read: async (db, id) => {
      const [row] = await db.select().from(cooks).where(eq(cooks.id, id));
      return row?.content ?? null;
    },
    write: (db, id, content, { updatedAt: createdAt }) =>
      db
        .insert(cooks)
        .values({ id, content, createdAt })
        .onConflictDoUpdate({ target: cooks.id, set: { content } }),
  },
};

export const placeOf = (kind: SharedKind): Place<unknown> & Partial<Removable> =>
  PLACES[kind] as Place<unknown> & Partial<Removable>;
