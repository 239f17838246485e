import type { NextFunction, Request, Response } from 'express';
import { describe, expect, it } from 'vitest';
import type { ErrorBody } from '#contract';
import { ApiError, handleErrors } from './apiError';

/** What somebody outside is answered, and what is written down inside. */
function answered(error: unknown, headersSent = false) {
  const logged: unknown[] = [];
  const passedOn: unknown[] = [];
  let status = 0;
  let body: ErrorBody | null = null;
  const response = {
    headersSent,
    status: (code: number) => {
      status = code;
      return response;
    },
    json: (value: ErrorBody) => {
      body = value;
    },
  };
  const next: NextFunction = (thrown: unknown) => passedOn.push(thrown);
  handleErrors((thrown) => logged.push(thrown))(error, {} as Request, response as unknown as Response, next);
  return { status, error: (body as ErrorBody | null)?.error, logged, passedOn };
}
/** As the query builder wraps what the database says. */
const fromDatabase = (code: string, message = 'a row of somebody’s recipe'): Error =>
  new Error('Failed query: select secret', { cause: Object.assign(new Error(message), { code }) });

describe('what is answered instead of a result', () => {
  it('is what a route meant to say, with its details', () => {
    const { status, error, logged } = answered(new ApiError('conflict', 'Look again.', { field: 'name' }));
    expect([status, error]).toEqual([
      409,
      { code: 'conflict', message: 'Look again.', details: { field: 'name' } },
    ]);
    expect(logged).toEqual([]);
  });

  it.each([
    ['23505', 409, 'exists'],
    ['40001', 503, 'unavailable'],
    ['40P01', 503, 'unavailable'],
    ['08006', 503, 'unavailable'],
    ['57P01', 503, 'unavailable'],
    ['53300', 503, 'unavailable'],
    ['ECONNREFUSED', 503, 'unavailable'],
    ['42P01', 500, 'internal'],
    ['23502', 500, 'internal'],
  ])('of the database’s %s is %i, in words of the kitchen', (code, status, says) => {
    const { status: answer, error, logged } = answered(fromDatabase(code));
    expect([answer, error!.code]).toEqual([status, says]);
    expect(error!.message).not.toMatch(/secret|recipe|select/);
    // Only what nobody expected is written down.
    expect(logged).toHaveLength(status === 500 ? 1 : 0);
  });

  it.each([
    [new Error('Connection terminated unexpectedly'), 503],
    [new Error('timeout exceeded when trying to connect'), 503],
    [Object.assign(new SyntaxError('x'), { type: 'entity.parse.failed' }), 400],
    [Object.assign(new Error('x'), { type: 'entity.too.large' }), 413],
    [Object.assign(new Error('x'), { type: 'charset.unsupported' }), 400],
    [new URIError('%'), 400],
    ['a thrown text', 500],
    [null, 500],
    [undefined, 500],
  ])('of %s is %i', (error, status) => {
    const answer = answered(error);
    expect(answer.status).toBe(status);
    expect(answer.error!.message.length).toBeGreaterThan(10);
  });

  it('is left to others once an answer has begun', () => {
    const error = new Error('half way');
    const { status, passedOn } = answered(error, true);
    expect([status, passedOn]).toEqual([0, [error]]);
  });
});
