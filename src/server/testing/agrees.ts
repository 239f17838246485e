/** Holds every exchange of the API suite to the published description: what is not in it may not be answered. */
import { Ajv2020, type ValidateFunction } from 'ajv/dist/2020.js';
import { openApiDocument } from '#contract';
import { API_WORDS } from '#words/api';

interface Described {
  readonly requestBody?: { readonly content: Readonly<Record<string, { readonly schema: object }>> };
  readonly responses: Readonly<
    Record<string, { readonly content: Readonly<Record<string, { readonly schema: object }>> }>
  >;
}
interface Document {
  readonly paths: Readonly<Record<string, Readonly<Record<string, Described>>>>;
  readonly components: object;
}

const JSON_TYPE = 'application/json';
let document: Document | null = null;
let ajv: Ajv2020 | null = null;
const compiled = new Map<object, ValidateFunction>();

function check(schema: object, value: unknown, what: string): void {
  ajv ??= new Ajv2020({ strict: false, validateFormats: false, allErrors: false });
  let validate = compiled.get(schema);
  if (!validate) {
    validate = ajv.compile({ ...schema, components: document!.components });
    compiled.set(schema, validate);
  }
  if (!validate(value)) throw new Error(`${what} is not as described: ${ajv.errorsText(validate.errors)}`);
}

/** A path without braces goes before one with. */
function operationOf(method: string, path: string): Described | null {
  document ??= openApiDocument(API_WORDS) as unknown as Document;
  const fits = Object.keys(document.paths)
    .filter((known) => new RegExp(`^${known.replaceAll(/\{\w+\}/g, '[^/]+')}$`).test(path))
    .sort((a, b) => a.split('{').length - b.split('{').length);
  return document.paths[fits[0] ?? '']?.[method.toLowerCase()] ?? null;
}

export interface Exchange {
  readonly method: string;
  /** Below /api, with its query. */
  readonly path: string;
  readonly sent: string | undefined;
  readonly status: number;
  readonly answer: unknown;
}

/** @throws Error saying where an exchange differs from the description */
export function agrees({ method, path, sent, status, answer }: Exchange): void {
  const operation = operationOf(method, `/${path.split('?')[0]}`);
  const what = `${method} ${path} (${status})`;
  if (!operation) {
    // Something that is not there is not described either.
    if (status === 404 || status === 405) return;
    throw new Error(`${what} is in no description`);
  }
  const response = operation.responses[String(status)];
  if (!response) throw new Error(`${what}: this status is not described`);
  const schema = response.content[JSON_TYPE]?.schema;
  if (schema) check(schema, answer, `The answer to ${what}`);
  const body = operation.requestBody?.content[JSON_TYPE]?.schema;
  if (status < 300 && body && sent !== undefined) check(body, JSON.parse(sent), `What was sent with ${what}`);
}
