import { afterEach, describe, expect, it, vi } from 'vitest';
import type { ChangeRequest } from '#contract';
import type { FormulaId } from '#core/formula';
import { sendChange } from './sendChange';

const CHANGE: ChangeRequest = {
  baseRevision: 3,
  idempotencyKey: 'key-of-this-change',
  diff: { added: [], removed: [], updated: [] },
};
const sentWith = async (answer: () => Response | Promise<Response>) => {
  const asked = vi.fn(answer);
  vi.stubGlobal('fetch', asked);
  return { outcome: await sendChange('house' as FormulaId, CHANGE), asked };
};
const json = (status: number, body: unknown): Response => new Response(JSON.stringify(body), { status });
const refused = (status: number, code: string, details?: unknown): Response =>
  json(status, { error: { code, message: 'Because.', details } });

afterEach(() => {
  vi.unstubAllGlobals();
});

describe('a change that is sent', () => {
  it('goes to its formula, whole, with its key', async () => {
    const { outcome, asked } = await sentWith(() => json(200, { id: 'house', revision: 4 }));
    expect(outcome).toEqual({ status: 'saved', record: { id: 'house', revision: 4 } });
    const [path, options] = asked.mock.calls[0] as unknown as [string, RequestInit];
    expect([path, options.method]).toEqual(['/api/formulas/house/changes', 'POST']);
    expect(JSON.parse(options.body as string)).toEqual(CHANGE);
  });

  it('brings back what it conflicts with', async () => {
    const details = { record: { id: 'house' }, conflicts: [{ field: 'name' }] };
    const { outcome } = await sentWith(() => refused(409, 'conflict', details));
    expect(outcome).toEqual({ status: 'conflict', ...details });
  });

  it.each([
    ['a database that is away', () => refused(503, 'unavailable'), 'unreachable'],
    ['a fault of the kitchen', () => refused(500, 'internal'), 'unreachable'],
    ['a proxy’s own page', () => new Response('<html>Bad gateway</html>', { status: 502 }), 'unreachable'],
    ['a page where an answer should be', () => new Response('<html>', { status: 200 }), 'unreachable'],
    ['no network', () => Promise.reject(new TypeError('Failed to fetch')), 'unreachable'],
    ['a passcode that ran out', () => refused(401, 'sign-in'), 'signed-out'],
  ] as const)('keeps waiting over %s', async (_name, answer, status) => {
    expect((await sentWith(answer)).outcome).toEqual({ status });
  });

  it('is told why it can never be taken', async () => {
    for (const [status, code] of [
      [400, 'invalid'],
      [404, 'not-found'],
      [409, 'exists'],
      [422, 'circle'],
    ] as const)
      expect((await sentWith(() => refused(status, code))).outcome).toEqual({
        status: 'refused',
        message: 'Because.',
      });
  });
});
