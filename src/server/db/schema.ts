/** Tables. Formulas are kept whole as JSON: they are read and changed whole. */
import { sql } from 'drizzle-orm';
import {
  bigserial,
  doublePrecision,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  text,
  timestamp,
  unique,
} from 'drizzle-orm/pg-core';
import type {
  By,
  Cook,
  MeasureRecord,
  NewAnswer,
  NewDressing,
  NewPanel,
  OwnIngredient,
  PantryEntry,
  PlanContent,
  Settings,
  Shelf,
  TrialBatch,
} from '#contract';
import type { BatchEvent, BatchSnapshot } from '#core/batch';
import type { Formula, FormulaId, VesselId } from '#core/formula';
import type { IngredientId, OwnUnit } from '#core/ingredient';
import type { MakingPlan, TrialEvent, TrialLine } from '#core/trial';
import type { Style } from '#core/palate';
import type { Vessel } from '#core/vessel';

/** Shape of the contents, see contract/shapes; what says nothing is of the first. */
const shapeOf = () => integer('shape').notNull().default(1);
const moment = (name: string) => timestamp(name, { withTimezone: true, mode: 'string' });

/** What frozen versions a content is made with; of its own, so that no text is searched for it. */
const pinsOf = () =>
  jsonb('pins')
    .$type<readonly IngredientId[]>()
    .generatedAlwaysAs(
      sql`jsonb_path_query_array(content, '$.additions[*].ingredientId ? (@ starts with "made-")')`,
    );

export const formulas = pgTable(
  'formulas',
  {
    id: text('id').$type<FormulaId>().primaryKey(),
    revision: integer('revision').notNull(),
    content: jsonb('content').$type<Formula>().notNull(),
    shelf: text('shelf').$type<Shelf>().notNull().default('shelf'),
    shelfSince: moment('shelf_since'),
    pins: pinsOf(),
    createdAt: moment('created_at').notNull(),
    updatedAt: moment('updated_at').notNull(),
  },
  (table) => [
    index('formulas_of_place').on(table.shelf, table.createdAt, table.id),
    index('formulas_that_pin')
      .on(table.id)
      .where(sql`pins <> '[]'`),
  ],
);

export const versions = pgTable(
  'versions',
  {
    formulaId: text('formula_id')
      .$type<FormulaId>()
      .notNull()
      .references(() => formulas.id, { onDelete: 'cascade' }),
    number: integer('number').notNull(),
    content: jsonb('content').$type<Formula>().notNull(),
    parent: integer('parent'),
    note: text('note').notNull(),
    by: jsonb('by').$type<By>().notNull().default({ cookId: null, deviceId: '' }),
    pins: pinsOf(),
    createdAt: moment('created_at').notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.formulaId, table.number] }),
    index('versions_that_pin')
      .on(table.formulaId)
      .where(sql`pins <> '[]'`),
    index('versions_by_age').on(table.createdAt),
  ],
);

/** Keys of changes already taken, so that a change sent twice is applied once. */
export const appliedChanges = pgTable('applied_changes', {
  key: text('key').primaryKey(),
  formulaId: text('formula_id')
    .$type<FormulaId>()
    .notNull()
    .references(() => formulas.id, { onDelete: 'cascade' }),
  revision: integer('revision').notNull(),
  createdAt: moment('created_at').notNull(),
});

export const ingredients = pgTable('ingredients', {
  id: text('id').primaryKey(),
  row: jsonb('row').$type<OwnIngredient>().notNull(),
  updatedAt: moment('updated_at').notNull(),
});

export const vessels = pgTable('vessels', {
  id: text('id').primaryKey(),
  content: jsonb('content').$type<Vessel>().notNull(),
  position: integer('position').notNull(),
});

export const settings = pgTable('settings', {
  id: text('id').primaryKey(),
  content: jsonb('content').$type<Settings>().notNull(),
  updatedAt: moment('updated_at').notNull(),
});

/** Stock, price and bottle of an ingredient, reference or own. */
export const pantry = pgTable('pantry', {
  ingredientId: text('ingredient_id').primaryKey(),
  content: jsonb('content').$type<PantryEntry>().notNull(),
  updatedAt: moment('updated_at').notNull(),
});

export const cooks = pgTable('cooks', {
  id: text('id').primaryKey(),
  content: jsonb('content').$type<Cook>().notNull(),
  createdAt: moment('created_at').notNull(),
});

/** Styles of the kitchen's own, and built-in ones it has adjusted. */
export const styles = pgTable('styles', {
  id: text('id').primaryKey(),
  content: jsonb('content').$type<Style>().notNull(),
  updatedAt: moment('updated_at').notNull(),
});

/** Jars. They outlive their formula: what was made was made. */
export const trials = pgTable(
  'trials',
  {
    id: text('id').primaryKey(),
    formulaId: text('formula_id').$type<FormulaId>().notNull(),
    version: integer('version').notNull(),
    vesselId: text('vessel_id').$type<VesselId>().notNull(),
    styleId: text('style_id'),
    lines: jsonb('lines').$type<readonly TrialLine[]>().notNull(),
    making: jsonb('making').$type<MakingPlan>(),
    shape: shapeOf(),
    /** A load of a batch, or all of them together; null: a jar. */
    batch: jsonb('batch').$type<TrialBatch>(),
    by: jsonb('by').$type<By>().notNull(),
    createdAt: moment('created_at').notNull(),
  },
  (table) => [
    index('trials_of_formula').on(table.formulaId, table.createdAt),
    index('trials_by_age').on(table.createdAt, table.id),
    index('trials_of_batch').on(sql`(${table.batch}->>'batchId')`),
  ],
);

/** What happened to a jar, in order. Only ever added to: the database itself refuses changes. */
export const trialEvents = pgTable(
  'trial_events',
  {
    place: bigserial('place', { mode: 'number' }).primaryKey(),
    id: text('id').notNull().unique(),
    trialId: text('trial_id')
      .notNull()
      .references(() => trials.id),
    event: jsonb('event').$type<TrialEvent>().notNull(),
    shape: shapeOf(),
    /** Of its own, so that years of notes are searched without opening every event. */
    note: text('note').generatedAlwaysAs(sql`event->>'note'`),
    by: jsonb('by').$type<By>().notNull(),
    /** By the device's clock; what waited for the network happened before it was recorded. */
    happenedAt: moment('happened_at'),
    createdAt: moment('created_at').notNull(),
  },
  (table) => [
    index('events_of_trial').on(table.trialId),
    // How jars stand is asked of whole shelves: what decides it is found without opening the rest.
    index('events_that_decide')
      .on(table.trialId)
      .where(sql`event->>'kind' in ('tasted', 'added', 'planned', 'corrected')`),
  ],
);

/** A cook's own measures; each weighing up is a row of its own. */
export const measures = pgTable('measures', {
  id: text('id').primaryKey(),
  cookId: text('cook_id'),
  unit: text('unit').$type<OwnUnit>().notNull(),
  ingredientId: text('ingredient_id').$type<IngredientId>().notNull(),
  weighings: jsonb('weighings').$type<MeasureRecord['weighings']>().notNull(),
  createdAt: moment('created_at').notNull(),
});

export const panels = pgTable('panels', {
  id: text('id').primaryKey(),
  content: jsonb('content').$type<Omit<NewPanel, 'id'>>().notNull(),
  createdAt: moment('created_at').notNull(),
});
/** The last answer of a taster counts; those before stay. */
export const panelAnswers = pgTable(
  'panel_answers',
  {
    place: bigserial('place', { mode: 'number' }).primaryKey(),
    id: text('id').notNull().unique(),
    panelId: text('panel_id')
      .notNull()
      .references(() => panels.id),
    content: jsonb('content').$type<Omit<NewAnswer, 'id'>>().notNull(),
    createdAt: moment('created_at').notNull(),
  },
  (table) => [index('answers_of_panel').on(table.panelId)],
);

/** Batches as they were planned: never changed, what came of them are events. */
export const batches = pgTable(
  'batches',
  {
    id: text('id').primaryKey(),
    formulaId: text('formula_id').$type<FormulaId>().notNull(),
    version: integer('version').notNull(),
    /** YYYY-MM-DD, by the kitchen's own calendar. */
    day: text('day').notNull(),
    /** From 1, within the day. */
    place: integer('place').notNull(),
    plan: jsonb('plan').$type<BatchSnapshot>().notNull(),
    /** The batch of the base that it goes on from; null: it is made by itself. */
    baseId: text('base_id'),
    shape: shapeOf(),
    by: jsonb('by').$type<By>().notNull(),
    createdAt: moment('created_at').notNull(),
  },
  (table) => [
    unique('batch_of_the_day').on(table.day, table.place),
    index('batches_of_formula').on(table.formulaId, table.createdAt),
    index('batches_of_base').on(table.baseId),
  ],
);
export const batchEvents = pgTable(
  'batch_events',
  {
    place: bigserial('place', { mode: 'number' }).primaryKey(),
    id: text('id').notNull().unique(),
    batchId: text('batch_id')
      .notNull()
      .references(() => batches.id),
    event: jsonb('event').$type<BatchEvent>().notNull(),
    shape: shapeOf(),
    by: jsonb('by').$type<By>().notNull(),
    createdAt: moment('created_at').notNull(),
  },
  (table) => [index('events_of_batch').on(table.batchId)],
);

/** What the kitchen keeps to itself; in no backup. */
export const secrets = pgTable('secrets', {
  name: text('name').primaryKey(),
  value: text('value').notNull(),
});

/** The plan of a day, kept whole. */
export const plans = pgTable('plans', {
  day: text('day').primaryKey(),
  revision: integer('revision').notNull(),
  content: jsonb('content').$type<PlanContent>().notNull(),
  updatedAt: moment('updated_at').notNull(),
});

/** What dishes really took. */
export const dressings = pgTable('dressings', {
  id: text('id').primaryKey(),
  content: jsonb('content').$type<Omit<NewDressing, 'id'>>().notNull(),
  createdAt: moment('created_at').notNull(),
});

export const timers = pgTable('timers', {
  id: text('id').primaryKey(),
  label: text('label').notNull(),
  seconds: doublePrecision('seconds').notNull(),
  formulaId: text('formula_id').$type<FormulaId>(),
  trialId: text('trial_id'),
  startedAt: moment('started_at').notNull(),
  endedAt: moment('ended_at'),
});

export { appliedShared, formulaDishes, practice, sharedRevisions } from './schemaShared';
export { pictures } from './schemaPictures';
