/** The API as an OpenAPI 3.1 document (https://spec.openapis.org/oas/v3.1.1), made from the schemas that check it. */
import { z } from 'zod';
import * as answers from './answers';
import { OPERATIONS, type GroupName, type Operation } from './operations';
import { newBatchSchema } from '../batch';
import { documentSchema } from '../document';
import { ERROR_STATUS, type ErrorCode } from '../errors';
import { formulaSchema, versionSchema } from '../formula';
import { ingredientRowSchema, settingsSchema, styleSchema, vesselSchema } from '../kitchen';
import { planContentSchema } from '../plan';
import { trialEventSchema } from '../trial';

/** Those with a name of their own; the rest stands where it is used. */
const NAMED: Readonly<Record<string, z.ZodType>> = {
  Formula: formulaSchema,
  Version: versionSchema,
  FormulaRecord: answers.formulaRecordSchema,
  ShelfRecord: answers.shelfRecordSchema,
  Jar: answers.trialRecordSchema,
  JarEvent: trialEventSchema,
  NewBatch: newBatchSchema,
  Batch: answers.batchRecordSchema,
  PlanContent: planContentSchema,
  Plan: answers.planRecordSchema,
  Settings: settingsSchema,
  Vessel: vesselSchema,
  Style: styleSchema,
  Ingredient: ingredientRowSchema,
  Document: documentSchema,
  Error: answers.errorSchema,
};
/** Whatever is asked may be refused so. */
const ANY: readonly ErrorCode[] = ['invalid', 'sign-in', 'wrong-host', 'internal', 'unavailable'];
const ANY_CHANGE: readonly ErrorCode[] = ['bad-json', 'not-json', 'too-large', 'wrong-origin'];

type Json = Readonly<Record<string, unknown>>;
const refTo = (name: string): Json => ({ $ref: `#/components/schemas/${name}` });
const keyOf = ({ method, path }: Operation, part: string): string => `${method} ${path} ${part}`;

/** All schemas made in one go, so that what has a name is referred to by it. */
function madeSchemas(): Readonly<Record<string, Json>> {
  const registry = z.registry<{ id: string }>();
  for (const [id, schema] of Object.entries(NAMED)) registry.add(schema, { id });
  const wrapped: [string, z.ZodType][] = OPERATIONS.flatMap((operation) => [
    ...(operation.body ? [[keyOf(operation, 'body'), operation.body] as [string, z.ZodType]] : []),
    ...(operation.query ? [[keyOf(operation, 'query'), operation.query] as [string, z.ZodType]] : []),
    ...(operation.answer ? [[keyOf(operation, 'answer'), operation.answer] as [string, z.ZodType]] : []),
  ]);
  // A schema used by two operations is made once for each.
  for (const [id, schema] of wrapped)
    registry.add(
      z.lazy(() => schema),
      { id },
    );
  const { schemas } = z.toJSONSchema(registry, {
    uri: (id) => `#/components/schemas/${id}`,
    io: 'input',
    unrepresentable: 'any',
  });
  return Object.fromEntries(
    Object.entries(schemas).map(([id, { $schema: _s, $id: _i, ...schema }]) => [id, schema as Json]),
  );
}

const parametersOf = (operation: Operation, query: Json | undefined): readonly Json[] => [
  ...[...operation.path.matchAll(/\{(\w+)\}/g)].map(([, name]) => ({
    name,
    in: 'path',
    required: true,
    schema:
      name === 'day' ? { type: 'string', format: 'date' } : { type: 'string', pattern: '^[\\w-]{1,80}$' },
  })),
  ...Object.entries((query?.properties ?? {}) as Record<string, Json>).map(([name, schema]) => ({
    name,
    in: 'query',
    required: false,
    schema,
  })),
];

function refusals({ method, refuses = [] }: Operation): Json {
  const codes = [...ANY, ...(method === 'get' ? [] : ANY_CHANGE), ...refuses];
  const byStatus = new Map<number, ErrorCode[]>();
  for (const code of codes)
    byStatus.set(ERROR_STATUS[code], [...(byStatus.get(ERROR_STATUS[code]) ?? []), code]);
  return Object.fromEntries(
    [...byStatus].map(([status, all]) => [
      String(status),
      { description: all.join(', '), content: { 'application/json': { schema: refTo('Error') } } },
    ]),
  );
}

function described(operation: Operation, schemas: Readonly<Record<string, Json>>, words: ApiWords): Json {
  const { method, path, group, bodyType = 'application/json', answerType = 'application/json' } = operation;
  const body = schemas[keyOf(operation, 'body')];
  const answer = schemas[keyOf(operation, 'answer')];
  const good = {
    description: words.done,
    content: {
      [answerType]: { schema: answer ?? (answerType === 'application/json' ? {} : { type: 'string' }) },
    },
  };
  return {
    operationId: `${method}${path.replaceAll(/[/{}.-]+(\w)?/g, (_all, letter?: string) => (letter ?? '').toUpperCase())}`,
    tags: [words.group(group)],
    summary: words.operation(operation),
    parameters: parametersOf(operation, schemas[keyOf(operation, 'query')]),
    ...(body ? { requestBody: { required: true, content: { [bodyType]: { schema: body } } } } : {}),
    responses: {
      ...Object.fromEntries(operation.status.map((status) => [String(status), good])),
      ...refusals(operation),
    },
  };
}

/** The first number goes up when what was understood before is no longer. */
const API_VERSION = '1.0.0';

/** What the document says to whoever reads it. */
export interface ApiWords {
  readonly about: string;
  readonly done: string;
  readonly group: (name: GroupName) => string;
  readonly operation: (operation: Pick<Operation, 'method' | 'path'>) => string;
}

export function openApiDocument(words: ApiWords): Json {
  const schemas = madeSchemas();
  const paths: Record<string, Record<string, Json>> = {};
  for (const operation of OPERATIONS)
    (paths[operation.path] ??= {})[operation.method] = described(operation, schemas, words);
  return {
    openapi: '3.1.1',
    info: {
      title: 'Ygrana',
      version: API_VERSION,
      description: words.about,
    },
    servers: [{ url: '/api' }],
    tags: [...new Set(OPERATIONS.map(({ group }) => group))].map((name) => ({ name: words.group(name) })),
    security: [{}, { session: [] }],
    paths,
    components: {
      schemas: Object.fromEntries(Object.keys(NAMED).map((name) => [name, schemas[name]])),
      securitySchemes: { session: { type: 'apiKey', in: 'cookie', name: 'ygrana_session' } },
    },
  };
}
