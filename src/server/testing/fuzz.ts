/** Requests out of the API's own description: right ones, nearly right ones, and ones that nobody would send. */
import fc from 'fast-check';
import { openApiDocument } from '#contract';
import { API_WORDS } from '#words/api';

interface Schema {
  readonly $ref?: string;
  readonly type?: string | readonly string[];
  readonly enum?: readonly unknown[];
  readonly const?: unknown;
  readonly anyOf?: readonly Schema[];
  readonly oneOf?: readonly Schema[];
  readonly allOf?: readonly Schema[];
  readonly properties?: Readonly<Record<string, Schema>>;
  readonly additionalProperties?: Schema | boolean;
  readonly propertyNames?: Schema;
  readonly required?: readonly string[];
  readonly items?: Schema;
  readonly maxItems?: number;
  readonly minItems?: number;
  readonly minimum?: number;
  readonly maximum?: number;
  readonly exclusiveMinimum?: number;
  readonly pattern?: string;
  readonly format?: string;
  readonly maxLength?: number;
}
interface Described {
  readonly parameters?: readonly { readonly name: string; readonly in: string; readonly schema?: Schema }[];
  readonly requestBody?: { readonly content: Readonly<Record<string, { readonly schema: Schema }>> };
}
interface Document {
  readonly paths: Readonly<Record<string, Readonly<Record<string, Described>>>>;
  readonly components: { readonly schemas: Readonly<Record<string, Schema>> };
}

export interface FuzzedRequest {
  readonly method: string;
  readonly path: string;
  readonly body: string | undefined;
}

/** Streams never end, and whole backups are a process each: they have tests of their own. */
const LEFT_OUT = /^\/(?:live|devices\/stream|backup|restore)$/;

/** What has broken a program somewhere. */
const NASTY: readonly unknown[] = [
  null,
  true,
  0,
  -1,
  1.5,
  5e-324,
  1e308,
  -1e308,
  2 ** 31,
  2 ** 53 + 2,
  '',
  ' ',
  '\u0000',
  '\ud800',
  'a\u0000b',
  '../../etc/passwd',
  "'; drop table formulas; --",
  '%00',
  '2026-02-31',
  '9999-99-99',
  '1e999',
  'NaN',
  '__proto__',
  'x'.repeat(5000),
  '🫙'.repeat(50),
  [],
  {},
  [[[[]]]],
  { __proto__: null, constructor: 1 },
];
const nasty = fc.constantFrom(...NASTY);

const document = openApiDocument(API_WORDS) as unknown as Document;

const MOST_DEEP = 7;

function valueOf(schema: Schema, deep = 0): fc.Arbitrary<unknown> {
  if (deep > MOST_DEEP) return nasty;
  const right = rightValueOf(schema, deep);
  return fc.oneof({ arbitrary: right, weight: 14 }, { arbitrary: nasty, weight: 1 });
}

function rightValueOf(schema: Schema, deep: number): fc.Arbitrary<unknown> {
  if (schema.$ref !== undefined)
    return valueOf(document.components.schemas[schema.$ref.split('/').at(-1)!]!, deep + 1);
  if (schema.const !== undefined) return fc.constant(schema.const);
  if (schema.enum) return fc.constantFrom(...schema.enum);
  const either = schema.anyOf ?? schema.oneOf;
  if (either) return fc.oneof(...either.map((one) => valueOf(one, deep + 1)));
  if (schema.allOf?.[0]) return valueOf(schema.allOf[0], deep + 1);
  const type = typeof schema.type === 'string' ? schema.type : schema.type?.[0];
  switch (type) {
    case 'string':
      return textOf(schema);
    case 'integer':
      return fc.oneof(
        fc.integer({ min: Math.ceil(lowest(schema)), max: Math.floor(highest(schema)) }),
        edges(schema),
      );
    case 'number':
      return fc.oneof(fc.double({ min: lowest(schema), max: highest(schema), noNaN: true }), edges(schema));
    case 'boolean':
      return fc.boolean();
    case 'array':
      return fc.array(valueOf(schema.items ?? {}, deep + 1), {
        minLength: Math.min(schema.minItems ?? 0, 3),
        maxLength: Math.min(schema.maxItems ?? 4, 4),
      });
    case 'object':
      return objectOf(schema, deep);
    default:
      return nasty;
  }
}

const lowest = ({ minimum, exclusiveMinimum }: Schema): number =>
  Math.max(minimum ?? exclusiveMinimum ?? -1e6, -1e9);
const highest = (schema: Schema): number => Math.max(Math.min(schema.maximum ?? 1e6, 1e9), lowest(schema));
const edges = (schema: Schema): fc.Arbitrary<number> =>
  fc.constantFrom(lowest(schema), highest(schema), (schema.maximum ?? 1e6) + 1, -0);

function textOf({ pattern, format, maxLength }: Schema): fc.Arbitrary<string> {
  if (format === 'date-time')
    return fc.constantFrom('2026-05-01T08:00:00.000Z', '2026-05-01T08:00:00Z', '0001-01-01T00:00:00Z');
  if (format === 'date' || pattern?.includes('\\d{4}-'))
    return fc.constantFrom('2026-05-31', '2024-02-29', '2026-02-31', '0000-01-01');
  if (pattern !== undefined) {
    try {
      return fc.stringMatching(new RegExp(pattern), { maxLength: 40 });
    } catch {
      // A pattern that the generator cannot turn round.
    }
  }
  return fc.string({ unit: 'binary', maxLength: Math.min(maxLength ?? 60, 80) });
}

function objectOf(schema: Schema, deep: number): fc.Arbitrary<unknown> {
  const { properties = {}, required = [], additionalProperties: more, propertyNames } = schema;
  const named = fc.record(
    Object.fromEntries(Object.entries(properties).map(([key, one]) => [key, valueOf(one, deep + 1)])),
    { requiredKeys: [...required].filter((key) => key in properties) },
  );
  if (typeof more !== 'object') return named;
  const keys = propertyNames ? textOf(propertyNames) : fc.string({ maxLength: 12 });
  const others = fc.dictionary(keys, valueOf(more, deep + 1), { maxKeys: 3 });
  return fc.tuple(named, others).map(([known, rest]) => ({ ...rest, ...known }));
}

/** One in the path, whatever it is said to be: also what no id looks like. */
const inPath = fc
  .oneof(
    fc.constantFrom('plum-thyme', 'demo-jar-1', 'kitchen', 'plan', '1', '2147483648', '2026-12-01'),
    nasty,
  )
  .map((value) => encoded(textual(value)));

const textual = (value: unknown): string =>
  typeof value === 'object' ? JSON.stringify(value) : String(value);

function encoded(text: string): string {
  try {
    return encodeURIComponent(text) || '-';
  } catch {
    // Half of a surrogate pair has no encoding: sent as a raw percent sign it is nothing either.
    return '%ED%A0%80';
  }
}

const requestOf = (path: string, method: string, described: Described): fc.Arbitrary<FuzzedRequest> => {
  const holes = path.match(/\{\w+\}/g) ?? [];
  const queries = (described.parameters ?? []).filter((parameter) => parameter.in === 'query');
  const body = described.requestBody?.content['application/json']?.schema;
  const query = fc.record(
    Object.fromEntries(queries.map(({ name, schema }) => [name, valueOf(schema ?? {})])),
    { requiredKeys: [] },
  );
  return fc
    .record({
      filled: fc.tuple(...holes.map(() => inPath)),
      asked: query,
      sent: body ? valueOf(body) : fc.constant(undefined),
      broken: fc.integer({ min: 0, max: 60 }),
    })
    .map(({ filled, asked, sent, broken }) => {
      const address = holes.reduce((text, hole, i) => text.replace(hole, filled[i]!), path);
      const search = Object.entries(asked).map(([key, value]) => `${key}=${encoded(textual(value))}`);
      const text = sent === undefined ? (method === 'get' ? undefined : '{}') : JSON.stringify(sent);
      return {
        method: method.toUpperCase(),
        path: address + (search.length > 0 ? `?${search.join('&')}` : ''),
        // Now and then no JSON at all.
        body: text !== undefined && broken === 0 ? text.slice(0, -1) : text,
      };
    });
};

/** Any operation there is, each as often as another. */
export const anyRequest: fc.Arbitrary<FuzzedRequest> = fc.oneof(
  ...Object.entries(document.paths).flatMap(([path, methods]) =>
    Object.entries(methods).flatMap(([method, described]) => {
      const below = path.replace(/^\/api/, '');
      return LEFT_OUT.test(below) ? [] : [requestOf(below, method, described)];
    }),
  ),
);
