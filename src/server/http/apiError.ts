import { sayIssue } from '#words/problems';
import { answersWords } from '#words/screens/answers';
import type { ErrorRequestHandler } from 'express';
import { z } from 'zod';
import { ERROR_STATUS, storable, type ErrorBody, type ErrorCode } from '#contract';

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
  const result = schema.safeParse(storable(value));
  if (result.success) return result.data;
  const issues = result.error.issues.map((issue) => ({
    path: issue.path.join('.'),
    message: sayIssue(issue),
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

/** PostgreSQL's own codes: https://www.postgresql.org/docs/current/errcodes-appendix.html */
const THERE_ALREADY = '23505';
/** Two changes met: the one that is answered so was undone whole. */
const MET = new Set(['40001', '40P01']);
/** What was sent cannot be kept as it is: sent again it would be refused again. */
const NOT_KEPT = /^(?:22...|23514|54000)$/;
const UNREACHABLE = /^(?:08...|57P0[123]|53300|ECONNREFUSED|ECONNRESET|EPIPE|ENOTFOUND|ETIMEDOUT)$/;

function fromDatabase(error: unknown): ApiError | null {
  const cause = (error as { cause?: unknown } | null)?.cause ?? error;
  const { code = '', message = '' } = (cause ?? {}) as { code?: string; message?: string };
  if (code === THERE_ALREADY) return new ApiError('exists', answersWords.somethingElseAlreadyHasThis);
  if (NOT_KEPT.test(code)) return new ApiError('invalid', answersWords.theDatabaseCannotKeep);
  if (MET.has(code)) return new ApiError('unavailable', answersWords.somebodyElseChangedTheSame);
  if (
    UNREACHABLE.test(code) ||
    /connection terminated|timeout exceeded when trying to connect/i.test(message)
  )
    return new ApiError('unavailable', answersWords.theKitchenSDatabaseDoes);
  return null;
}

function normalise(error: unknown): ApiError {
  if (error instanceof ApiError) return error;
  const type = (error as { type?: string } | null)?.type;
  if (type === 'entity.parse.failed') return new ApiError('bad-json', answersWords.theRequestIsNotValid);
  if (type === 'entity.too.large') {
    return new ApiError('too-large', answersWords.theRequestIsLargerThan);
  }
  if (error instanceof URIError || type?.startsWith('encoding') || type?.startsWith('charset')) {
    return new ApiError('invalid', answersWords.theAddressOrItsEncoding);
  }
  return fromDatabase(error) ?? new ApiError('internal', answersWords.somethingWentWrongHereWhat);
}
