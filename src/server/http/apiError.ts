import type { ErrorRequestHandler } from 'express';
import { z } from 'zod';
import { ERROR_STATUS, type ErrorBody, type ErrorCode } from '#contract';

/** The one kind of error a route throws on purpose. */
export class ApiError extends Error {
  constructor(
    readonly code: ErrorCode,
    message: string,
    readonly details?: unknown,
  ) {
    super(message);
  }
}

/** Checks a body or parameter; @throws ApiError `invalid` naming each field that is wrong. */
export function parse<T>(schema: z.ZodType<T>, value: unknown, what: string): T {
  const result = schema.safeParse(value);
  if (result.success) return result.data;
  const issues = result.error.issues.map((issue) => ({
    path: issue.path.join('.'),
    message: issue.message,
  }));
  const first = issues[0]!;
  throw new ApiError('invalid', `${what}: ${first.path ? `${first.path} ` : ''}${first.message}.`, issues);
}

/** Whatever was thrown, once, at the edge; the unexpected is logged and answered without its insides. */
export const handleErrors =
  (log: (error: unknown) => void): ErrorRequestHandler =>
  (error: unknown, _request, response, next) => {
    if (response.headersSent) {
      next(error);
      return;
    }
    const known = normalise(error);
    if (known.code === 'internal') log(error);
    const body: ErrorBody = {
      error: {
        code: known.code,
        message: known.message,
        ...(known.details === undefined ? {} : { details: known.details }),
      },
    };
    response.status(ERROR_STATUS[known.code]).json(body);
  };

function normalise(error: unknown): ApiError {
  if (error instanceof ApiError) return error;
  const type = (error as { type?: string } | null)?.type;
  if (type === 'entity.parse.failed') return new ApiError('bad-json', 'The request is not valid JSON.');
  if (type === 'entity.too.large') {
    return new ApiError('too-large', 'The request is larger than 512 kB. Send less at once.');
  }
  if (error instanceof URIError || type?.startsWith('encoding') || type?.startsWith('charset')) {
    return new ApiError('invalid', 'The address or its encoding cannot be read.');
  }
  return new ApiError('internal', 'Something went wrong here. What was typed is kept; try again.');
}
