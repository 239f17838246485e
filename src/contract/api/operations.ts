/** Every operation of the HTTP API, once: the OpenAPI document and the page for toolmakers are made from it. */
import { z } from 'zod';
import {
  batchRecordSchema,
  devicesAnswerSchema,
  dressingRecordSchema,
  formulaRecordSchema,
  freezeAnswerSchema,
  importReportSchema,
  logAnswerSchema,
  madeRecordSchema,
  measureRecordSchema,
  okSchema,
  panelRecordSchema,
  pantrySchema,
  planRecordSchema,
  restoredSchema,
  sessionStateSchema,
  shelfRecordSchema,
  standingsSchema,
  timersAnswerSchema,
  trialRecordSchema,
} from './answers';
import { combineSchema, daySchema, newBatchEventSchema, newBatchSchema } from '../batch';
import { claimSchema, handSchema, tareSchema } from '../device';
import { DOCUMENT_FORMAT, documentSchema } from '../document';
import type { ErrorCode } from '../errors';
import {
  changeRequestSchema,
  formulaIdSchema,
  freezeRequestSchema,
  newFormulaSchema,
  shelfRequestSchema,
  versionSchema,
} from '../formula';
import {
  cookSchema,
  ingredientRowSchema,
  pantryEntrySchema,
  settingsSchema,
  styleSchema,
  vesselSchema,
} from '../kitchen';
import { newMeasureSchema } from '../measure';
import { newAnswerSchema, newPanelSchema } from '../panel';
import { labelQuerySchema, printSheetSchema, printStripSchema, readerQuerySchema } from '../paper';
import { putPlanSchema } from '../plan';
import { recordsReportSchema, recordsSchema } from '../records';
import { newDressingSchema } from '../service';
import { signInSchema } from '../session';
import { newTimerSchema } from '../timer';
import { logQuerySchema, newEventSchema, newTrialSchema } from '../trial';

export type Method = 'get' | 'post' | 'put' | 'delete';
export interface Operation {
  readonly method: Method;
  /** Below /api, parameters in braces. */
  readonly path: string;
  readonly group: string;
  readonly says: string;
  readonly query?: z.ZodObject;
  readonly body?: z.ZodType;
  /** Sent as it is instead of JSON. */
  readonly bodyType?: string;
  /** Null: no JSON, see `answerType`. */
  readonly answer: z.ZodType | null;
  readonly answerType?: string;
  readonly status: readonly number[];
  /** Beyond what any operation may refuse. */
  readonly refuses?: readonly ErrorCode[];
}

const PDF = 'application/pdf';
const STREAM = 'text/event-stream';
const GZIP = 'application/gzip';

const get = (path: string, says: string, answer: z.ZodType | null, more: Partial<Operation> = {}) => ({
  method: 'get' as const,
  path,
  says,
  answer,
  status: [200],
  ...more,
});
const send =
  (method: 'post' | 'put', status: number) =>
  (path: string, says: string, body: z.ZodType, answer: z.ZodType | null, more: Partial<Operation> = {}) => ({
    method,
    path,
    says,
    body,
    answer,
    status: [status],
    ...more,
  });
const post = send('post', 200);
const add = send('post', 201);
const put = send('put', 200);
const group = (name: string, ...all: readonly Omit<Operation, 'group'>[]): readonly Operation[] =>
  all.map((operation) => ({ ...operation, group: name }));

const missing = { refuses: ['not-found'] } as const;
const olderDocument = z
  .looseObject({ ygranaDocument: z.int().max(DOCUMENT_FORMAT - 1) })
  .describe('Of an older form: it is brought up to date');
const nothing = z.strictObject({}).describe('Nothing is needed');

export const OPERATIONS: readonly Operation[] = [
  ...group(
    'Formulas',
    get(
      '/formulas',
      'All formulas, in the order they were made. Answers 304 while nothing changed (ETag).',
      z.array(shelfRecordSchema),
    ),
    add(
      '/formulas',
      'A new formula. Its id is yours to choose; the same sent again is no second one.',
      newFormulaSchema,
      formulaRecordSchema,
      { refuses: ['exists'] },
    ),
    get('/formulas/made', 'Frozen versions that may go into other formulas.', z.array(madeRecordSchema)),
    get('/formulas/{id}', 'One formula as it is worked on.', formulaRecordSchema, missing),
    post(
      '/formulas/{id}/changes',
      'Changes fields, from what you saw to what they shall be. Sent again with its key it is applied once.',
      changeRequestSchema,
      formulaRecordSchema,
      { refuses: ['not-found', 'conflict', 'circle', 'exists'] },
    ),
    post(
      '/formulas/{id}/shelf',
      'Moves it to the shelf, the archive or the bin.',
      shelfRequestSchema,
      formulaRecordSchema,
      missing,
    ),
    get('/formulas/{id}/versions', 'Its frozen versions, newest first.', z.array(versionSchema), missing),
    add(
      '/formulas/{id}/versions',
      'Freezes the revision you saw. 200 where nothing has changed since the last.',
      freezeRequestSchema,
      freezeAnswerSchema,
      { status: [200, 201], refuses: ['not-found', 'conflict'] },
    ),
  ),
  ...group(
    'Jars',
    get(
      '/formulas/{id}/trials',
      'The jars of a formula with all that happened to them, newest first.',
      z.array(trialRecordSchema),
    ),
    get('/trials', 'The kitchen’s latest 300 jars.', z.array(trialRecordSchema)),
    add(
      '/trials',
      'Begins a jar from a version, made already or to be made step by step.',
      newTrialSchema,
      trialRecordSchema,
      { refuses: ['not-found', 'exists'] },
    ),
    add(
      '/trials/{id}/events',
      'Adds what happened: weighed, tasted, added, shaken, looked at. A mistake is corrected by another event.',
      newEventSchema,
      trialRecordSchema,
      { refuses: ['not-found', 'exists'] },
    ),
    get('/standings', 'How every version stands: draft, tried or proven.', standingsSchema),
    get('/log', 'What happened in the whole kitchen, newest first, a page at a time.', logAnswerSchema, {
      query: logQuerySchema,
    }),
  ),
  ...group(
    'Batches',
    get('/batches', 'The latest batches, or those of a day.', z.array(batchRecordSchema), {
      query: z.strictObject({ day: daySchema.optional() }),
    }),
    get('/batches/{id}', 'One batch with its loads and its record.', batchRecordSchema, missing),
    get('/formulas/{id}/batches', 'The batches of a formula, newest first.', z.array(batchRecordSchema)),
    add('/batches', 'Takes a planned batch on, with its loads.', newBatchSchema, batchRecordSchema, {
      refuses: ['not-found', 'exists'],
    }),
    add('/batches/{id}/events', 'Adds to the record of a batch.', newBatchEventSchema, batchRecordSchema, {
      refuses: ['not-found', 'exists', 'conflict'],
    }),
    add('/batches/{id}/combine', 'All loads become one jar.', combineSchema, batchRecordSchema, {
      refuses: ['not-found', 'exists', 'conflict'],
    }),
  ),
  ...group(
    'Service',
    get('/plans', 'The days that have services planned.', z.array(daySchema)),
    get(
      '/plans/{day}',
      'The plan of a day; of an empty one, an empty plan with revision 0.',
      planRecordSchema,
    ),
    get('/weeks/{day}', 'The plans of seven days from the given one.', z.array(planRecordSchema)),
    put(
      '/plans/{day}',
      'Keeps the plan of a day, if the revision you saw is still the last.',
      putPlanSchema,
      planRecordSchema,
      { refuses: ['conflict'] },
    ),
    get('/dressings', 'What dishes really took, newest first.', z.array(dressingRecordSchema)),
    add('/dressings', 'Adds what a dish really took.', newDressingSchema, dressingRecordSchema),
  ),
  ...group(
    'Kitchen',
    get('/settings', 'Settings of the kitchen.', settingsSchema),
    put('/settings', 'Replaces them whole.', settingsSchema, settingsSchema),
    get('/vessels', 'Vessels, in their order.', z.array(vesselSchema)),
    put('/vessels/{id}', 'Adds a vessel or changes one.', vesselSchema, vesselSchema),
    get('/styles', 'Styles of the kitchen’s own, and built-in ones it moved.', z.array(styleSchema)),
    put('/styles/{id}', 'Adds a style or moves the windows of one.', styleSchema, styleSchema),
    {
      method: 'delete',
      path: '/styles/{id}',
      says: 'A built-in style goes back to its own windows; one of the kitchen’s own is gone.',
      answer: okSchema,
      status: [200],
    },
    get('/cooks', 'Names to choose from on a device; no logins.', z.array(cookSchema)),
    put('/cooks/{id}', 'Adds a cook or changes the name.', cookSchema, cookSchema),
    get('/pantry', 'Stock, price and bottle, by ingredient.', pantrySchema(pantryEntrySchema)),
    put(
      '/pantry/{id}',
      'Replaces what is known of one ingredient’s stock.',
      pantryEntrySchema,
      pantryEntrySchema,
    ),
    get(
      '/ingredients',
      'Ingredients of the kitchen’s own; the reference table ships with the application.',
      z.array(ingredientRowSchema),
    ),
    put('/ingredients/{id}', 'Adds an ingredient or changes one.', ingredientRowSchema, ingredientRowSchema),
    get('/measures', 'Cooks’ own measures, oldest first.', z.array(measureRecordSchema)),
    add('/measures', 'Adds a measure; weighed anew it is a new one.', newMeasureSchema, measureRecordSchema, {
      refuses: ['exists'],
    }),
    get('/panels', 'Side-by-side tastings, newest first.', z.array(panelRecordSchema)),
    add('/panels', 'Begins one.', newPanelSchema, panelRecordSchema),
    add(
      '/panels/{id}/answers',
      'What a taster says, by the code on the cup.',
      newAnswerSchema,
      panelRecordSchema,
      missing,
    ),
    get('/timers', 'Timers that run or ring.', timersAnswerSchema),
    add('/timers', 'Starts one.', newTimerSchema, timersAnswerSchema),
    post('/timers/{id}/end', 'Ends one.', nothing, timersAnswerSchema, missing),
  ),
  ...group(
    'Instruments',
    get('/devices', 'What stands at the counter, and which jar has the scale.', devicesAnswerSchema),
    get('/devices/stream', 'Readings as they come: events named “frame”.', null, {
      answerType: STREAM,
      query: z.strictObject({ trial: z.string().optional(), screen: z.string().optional() }),
    }),
    post('/devices/scale/claim', 'Takes the scale for a jar.', claimSchema, devicesAnswerSchema, {
      refuses: ['claimed'],
    }),
    post('/devices/scale/release', 'Gives it back.', tareSchema, devicesAnswerSchema),
    post('/devices/scale/tare', 'Sets it to zero.', tareSchema, devicesAnswerSchema, {
      refuses: ['claimed', 'no-instrument'],
    }),
    post('/devices/hand', 'What a tester’s hands do to the simulated instruments.', handSchema, okSchema, {
      refuses: ['no-instrument'],
    }),
  ),
  ...group(
    'Paper',
    get('/print/batches/{id}/sheet', 'The sheet of a batch as PDF.', null, {
      ...missing,
      query: readerQuerySchema,
      answerType: PDF,
    }),
    get('/print/batches/{id}/labels', 'The labels of a batch as PDF.', null, {
      ...missing,
      query: labelQuerySchema,
      answerType: PDF,
    }),
    get('/print/batches/{id}/pull-list', 'What a batch needs, as PDF.', null, {
      ...missing,
      query: readerQuerySchema,
      answerType: PDF,
    }),
    get('/print/days/{day}/pull-list', 'What the open batches of a day need, as PDF.', null, {
      query: readerQuerySchema,
      answerType: PDF,
    }),
    post('/print/sheet', 'A sheet of facts and tables as PDF.', printSheetSchema, null, { answerType: PDF }),
    post('/print/strip', 'A jar strip as PDF, in true lengths.', printStripSchema, null, { answerType: PDF }),
  ),
  ...group(
    'In and out',
    get('/document', 'All formulas with their versions, or one of them.', documentSchema, {
      query: z.strictObject({ formula: formulaIdSchema.optional() }),
      refuses: ['not-found'],
    }),
    add(
      '/document',
      'Brings a document in; nothing is written over.',
      z.union([documentSchema, olderDocument]),
      importReportSchema,
    ),
    get('/document/schema', 'The JSON Schema of the document.', null, {
      answerType: 'application/schema+json',
    }),
    get('/records', 'Everything that was made: jars and batches with their events.', recordsSchema),
    add(
      '/records',
      'Brings jars and batches in with their own times; nothing that is there is changed.',
      recordsSchema,
      recordsReportSchema,
    ),
    get('/backup', 'The whole kitchen as one file.', null, { answerType: GZIP }),
    post(
      '/restore',
      'Replaces the whole kitchen by a backup; what was there is laid aside.',
      z.string().describe('The file itself'),
      restoredSchema,
      { bodyType: GZIP, refuses: ['conflict'] },
    ),
  ),
  ...group(
    'About',
    get('/health', 'Whether the kitchen is open.', okSchema),
    get('/session', 'Whether a passcode is asked for, and whether it was given.', sessionStateSchema),
    post('/session', 'Gives the passcode; the answer sets a cookie.', signInSchema, sessionStateSchema, {
      refuses: ['wrong-passcode', 'too-many'],
    }),
    {
      method: 'delete',
      path: '/session',
      says: 'Ends it on this device.',
      answer: sessionStateSchema,
      status: [200],
    },
    get('/live', 'What changes, as it changes: events named “news”.', null, { answerType: STREAM }),
    get('/openapi.json', 'This description.', null, { answerType: 'application/json' }),
  ),
];
