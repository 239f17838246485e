/** Every operation of the HTTP API, once: the OpenAPI document and the page for toolmakers are made from it. */
import { z } from 'zod';
import {
  batchRecordSchema,
  devicesAnswerSchema,
  dressingRecordSchema,
  formulaRecordSchema,
  freezeAnswerSchema,
  importReportSchema,
  kinAnswerSchema,
  madeRecordSchema,
  measureRecordSchema,
  okSchema,
  panelRecordSchema,
  pantrySchema,
  planRecordSchema,
  backupsStateSchema,
  folderProofSchema,
  restoredSchema,
  restoringSchema,
  sessionStateSchema,
  sharedRecordSchema,
  shelfAnswerSchema,
  shelfChoicesSchema,
  batchListSchema,
  holdLessonSchema,
  styleSaidSchema,
  standingsSchema,
  timersAnswerSchema,
  trialRecordSchema,
} from './answers';
import {
  findAnswerSchema,
  jarsAnswerSchema,
  jarTimesSchema,
  kitchenNewsSchema,
  logAnswerSchema,
} from './logAnswers';
import {
  batchesQuerySchema,
  batchListQuerySchema,
  combineSchema,
  daySchema,
  newBatchEventSchema,
  newBatchSchema,
} from '../batch';
import { claimSchema, handSchema, tareSchema } from '../device';
import { DOCUMENT_FORMAT, documentQuerySchema, documentSchema } from '../document';
import type { ErrorCode } from '../errors';
import {
  changeRequestSchema,
  freezeRequestSchema,
  madeQuerySchema,
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
import { shelfQuerySchema } from '../shelf';
import { newMeasureSchema } from '../measure';
import { newAnswerSchema, newPanelSchema } from '../panel';
import { newPictureSchema, pictureRecordSchema, picturesAnswerSchema } from '../picture';
import {
  jarLabelQuerySchema,
  labelQuerySchema,
  printSheetSchema,
  printStripSchema,
  readerQuerySchema,
} from '../paper';
import { putPlanSchema } from '../plan';
import { recordsReportSchema, recordsSchema } from '../records';
import { newDressingSchema } from '../service';
import { sharedChangesSchema } from '../changesSchemas';
import { signInSchema } from '../session';
import { newTimerSchema } from '../timer';
import { findQuerySchema } from '../find';
import { jarsQuerySchema, logQuerySchema } from '../log';
import { newEventSchema, newTrialSchema } from '../trial';

export const GROUP_NAMES = [
  'formulas',
  'jars',
  'batches',
  'service',
  'kitchen',
  'instruments',
  'paper',
  'in-and-out',
  'about',
] as const;
export type GroupName = (typeof GROUP_NAMES)[number];

export type Method = 'get' | 'post' | 'put' | 'delete';
export interface Operation {
  readonly method: Method;
  /** Below /api, parameters in braces. */
  readonly path: string;
  readonly group: GroupName;
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
const JPEG = 'image/jpeg';
const STREAM = 'text/event-stream';
const GZIP = 'application/gzip';

const get = (path: string, answer: z.ZodType | null, more: Partial<Operation> = {}) => ({
  method: 'get' as const,
  path,
  answer,
  status: [200],
  ...more,
});
const send =
  (method: 'post' | 'put', status: number) =>
  (path: string, body: z.ZodType, answer: z.ZodType | null, more: Partial<Operation> = {}) => ({
    method,
    path,
    body,
    answer,
    status: [status],
    ...more,
  });
const post = send('post', 200);
const add = send('post', 201);
const put = send('put', 200);
const group = (name: GroupName, ...all: readonly Omit<Operation, 'group'>[]): readonly Operation[] =>
  all.map((operation) => ({ ...operation, group: name }));

const missing = { refuses: ['not-found'] } as const;
const olderDocument = z
  .looseObject({ ygranaDocument: z.int().max(DOCUMENT_FORMAT - 1) })
  .describe('Of an older form: it is brought up to date');
const nothing = z.strictObject({}).describe('Nothing is needed');

export const OPERATIONS: readonly Operation[] = [
  ...group(
    'formulas',
    get('/formulas', shelfAnswerSchema, { query: shelfQuerySchema }),
    add('/formulas', newFormulaSchema, formulaRecordSchema, { refuses: ['exists'] }),
    get('/formulas/choices', shelfChoicesSchema),
    get('/formulas/made', z.array(madeRecordSchema), { query: madeQuerySchema }),
    get('/formulas/{id}', formulaRecordSchema, missing),
    post('/formulas/{id}/changes', changeRequestSchema, formulaRecordSchema, {
      refuses: ['not-found', 'conflict', 'circle', 'exists'],
    }),
    post('/formulas/{id}/shelf', shelfRequestSchema, formulaRecordSchema, missing),
    get('/formulas/{id}/kin', kinAnswerSchema, missing),
    get('/formulas/{id}/versions', z.array(versionSchema), missing),
    add('/formulas/{id}/versions', freezeRequestSchema, freezeAnswerSchema, {
      status: [200, 201],
      refuses: ['not-found', 'conflict'],
    }),
  ),
  ...group(
    'jars',
    get('/formulas/{id}/trials', z.array(trialRecordSchema)),
    get('/trials', z.array(trialRecordSchema)),
    add('/trials', newTrialSchema, trialRecordSchema, { refuses: ['not-found', 'exists'] }),
    add('/trials/{id}/events', newEventSchema, trialRecordSchema, { refuses: ['not-found', 'exists'] }),
    get('/trials/{id}/pictures', picturesAnswerSchema),
    add('/trials/{id}/pictures', newPictureSchema, pictureRecordSchema, {
      refuses: ['not-found', 'exists', 'too-large'],
    }),
    get('/pictures/{id}', null, { answerType: JPEG, ...missing }),
    { method: 'delete', path: '/pictures/{id}', answer: okSchema, status: [200] },
    get('/formulas/{id}/standings', standingsSchema),
    get('/log/news', kitchenNewsSchema),
    get('/log/said', z.array(styleSaidSchema)),
    get('/log/lessons', z.array(holdLessonSchema)),
    get('/log', logAnswerSchema, {
      query: logQuerySchema,
    }),
    get('/log/jars', jarsAnswerSchema, { query: jarsQuerySchema }),
    get('/log/times', jarTimesSchema, { query: jarsQuerySchema.omit({ before: true }) }),
  ),
  ...group(
    'batches',
    get('/batches', z.array(batchRecordSchema), {
      query: batchesQuerySchema,
    }),
    get('/batches/days', z.array(daySchema)),
    get('/batches/{id}', batchRecordSchema, missing),
    get('/formulas/{id}/batches', batchListSchema, { query: batchListQuerySchema }),
    add('/batches', newBatchSchema, batchRecordSchema, {
      refuses: ['not-found', 'exists'],
    }),
    add('/batches/{id}/events', newBatchEventSchema, batchRecordSchema, {
      refuses: ['not-found', 'exists', 'conflict'],
    }),
    add('/batches/{id}/combine', combineSchema, batchRecordSchema, {
      refuses: ['not-found', 'exists', 'conflict'],
    }),
  ),
  ...group(
    'service',
    get('/plans', z.array(daySchema)),
    get('/plans/{day}', planRecordSchema),
    get('/weeks/{day}', z.array(planRecordSchema)),
    put('/plans/{day}', putPlanSchema, planRecordSchema, { refuses: ['conflict'] }),
    get('/dressings', z.array(dressingRecordSchema)),
    add('/dressings', newDressingSchema, dressingRecordSchema),
  ),
  ...group(
    'kitchen',
    get('/find', findAnswerSchema, { query: findQuerySchema }),
    get('/settings', settingsSchema),
    put('/settings', settingsSchema, settingsSchema),
    get('/vessels', z.array(vesselSchema)),
    put('/vessels/{id}', vesselSchema, vesselSchema),
    get('/styles', z.array(styleSchema)),
    put('/styles/{id}', styleSchema, styleSchema),
    {
      method: 'delete',
      path: '/styles/{id}',
      answer: okSchema,
      status: [200],
    },
    get('/cooks', z.array(cookSchema)),
    put('/cooks/{id}', cookSchema, cookSchema),
    get('/shared/{kind}/{id}', sharedRecordSchema),
    {
      ...add('/shared/{kind}/{id}/changes', sharedChangesSchema, sharedRecordSchema, {
        refuses: ['conflict'],
      }),
      status: [200],
    },
    get('/pantry', pantrySchema(pantryEntrySchema)),
    put('/pantry/{id}', pantryEntrySchema, pantryEntrySchema),
    get('/ingredients', z.array(ingredientRowSchema)),
    put('/ingredients/{id}', ingredientRowSchema, ingredientRowSchema),
    get('/measures', z.array(measureRecordSchema)),
    add('/measures', newMeasureSchema, measureRecordSchema, {
      refuses: ['exists'],
    }),
    get('/panels', z.array(panelRecordSchema)),
    add('/panels', newPanelSchema, panelRecordSchema),
    add('/panels/{id}/answers', newAnswerSchema, panelRecordSchema, missing),
    get('/timers', timersAnswerSchema),
    add('/timers', newTimerSchema, timersAnswerSchema),
    post('/timers/{id}/end', nothing, timersAnswerSchema, missing),
  ),
  ...group(
    'instruments',
    get('/devices', devicesAnswerSchema),
    get('/devices/stream', null, {
      answerType: STREAM,
      query: z.strictObject({ trial: z.string().optional(), screen: z.string().optional() }),
    }),
    post('/devices/scale/claim', claimSchema, devicesAnswerSchema, {
      refuses: ['claimed'],
    }),
    post('/devices/scale/release', tareSchema, devicesAnswerSchema),
    post('/devices/scale/tare', tareSchema, devicesAnswerSchema, {
      refuses: ['claimed', 'no-instrument'],
    }),
    post('/devices/hand', handSchema, okSchema, {
      refuses: ['no-instrument'],
    }),
  ),
  ...group(
    'paper',
    get('/print/batches/{id}/sheet', null, {
      ...missing,
      query: readerQuerySchema,
      answerType: PDF,
    }),
    get('/print/batches/{id}/labels', null, {
      ...missing,
      query: labelQuerySchema,
      answerType: PDF,
    }),
    get('/print/batches/{id}/pull-list', null, {
      ...missing,
      query: readerQuerySchema,
      answerType: PDF,
    }),
    get('/print/days/{day}/pull-list', null, {
      query: readerQuerySchema,
      answerType: PDF,
    }),
    get('/print/labels', null, {
      ...missing,
      query: jarLabelQuerySchema,
      answerType: PDF,
    }),
    post('/print/sheet', printSheetSchema, null, { answerType: PDF }),
    post('/print/strip', printStripSchema, null, { answerType: PDF }),
  ),
  ...group(
    'in-and-out',
    get('/document', documentSchema, {
      query: documentQuerySchema,
      refuses: ['not-found'],
    }),
    add('/document', z.union([documentSchema, olderDocument]), importReportSchema),
    get('/document/schema', null, {
      answerType: 'application/schema+json',
    }),
    get('/records', recordsSchema),
    add('/records', recordsSchema, recordsReportSchema),
    get('/backup', null, { answerType: GZIP }),
    get('/backups', backupsStateSchema),
    get('/restore', restoringSchema),
    post('/restore', z.string().describe('The file itself'), restoredSchema, {
      bodyType: GZIP,
      refuses: ['conflict'],
    }),
  ),
  ...group(
    'about',
    get('/health', okSchema),
    get('/folder-proof/{name}', folderProofSchema, missing),
    get('/session', sessionStateSchema),
    post('/session', signInSchema, sessionStateSchema, {
      refuses: ['wrong-passcode', 'too-many'],
    }),
    {
      method: 'delete',
      path: '/session',
      answer: sessionStateSchema,
      status: [200],
    },
    get('/live', null, { answerType: STREAM }),
    get('/openapi.json', null, { answerType: 'application/json' }),
  ),
];
