// @vitest-environment jsdom
import { afterEach, describe, expect, it, vi } from 'vitest';
import { KITCHEN_HEADER } from '#contract';
import { portOf } from './ports';

const SENT = { key: 'key-of-this-change', changes: [{ path: ['name'], from: 'House', to: 'Terrace' }] };
const RECORD = { id: 'house', revision: 4, formula: { name: 'Terrace' }, baseVersion: null, latestNumber: 2 };
const sentWith = async (answer: () => Response | Promise<Response>, kind: 'formula' | 'plan' = 'formula') => {
  const asked = vi.fn(answer);
  vi.stubGlobal('fetch', asked);
  return { outcome: await portOf(kind).send('house', SENT, 3), asked };
};
const json = (status: number, body: unknown): Response =>
  new Response(JSON.stringify(body), { status, headers: { [KITCHEN_HEADER]: 'lake' } });
const refused = (status: number, code: string, details?: unknown): Response =>
  json(status, { error: { code, message: 'Because.', details } });

afterEach(() => {
  vi.unstubAllGlobals();
});

describe('a change that is sent', () => {
  it('goes to its formula as a diff, with its key and the kitchen it is meant for', async () => {
    const { outcome, asked } = await sentWith(() => json(200, RECORD));
    expect(outcome).toMatchObject({
      status: 'taken',
      held: { revision: 4, doc: { name: 'Terrace' }, beside: { latestNumber: 2 } },
    });
    const [path, options] = asked.mock.calls[0] as unknown as [string, RequestInit];
    expect([path, options.method]).toEqual(['/api/formulas/house/changes', 'POST']);
    expect(JSON.parse(options.body as string)).toEqual({
      baseRevision: 3,
      idempotencyKey: SENT.key,
      diff: {
        added: [],
        removed: [],
        updated: [{ additionId: null, field: 'name', from: 'House', to: 'Terrace' }],
      },
    });
    const again = await sentWith(() => json(200, RECORD));
    const [, second] = again.asked.mock.calls[0] as unknown as [string, RequestInit];
    expect(second.headers).toMatchObject({ [KITCHEN_HEADER]: 'lake' });
  });

  it('of anything else goes as changes', async () => {
    const { outcome, asked } = await sentWith(
      () => json(200, { kind: 'plan', id: 'd', revision: 2, doc: {} }),
      'plan',
    );
    expect(outcome).toMatchObject({ status: 'taken', held: { revision: 2 } });
    const [path, options] = asked.mock.calls[0] as unknown as [string, RequestInit];
    expect(path).toBe('/api/shared/plan/house/changes');
    expect(JSON.parse(options.body as string)).toEqual({ idempotencyKey: SENT.key, changes: SENT.changes });
  });

  it('brings back what it conflicts with', async () => {
    const { outcome } = await sentWith(() => refused(409, 'conflict', { record: RECORD, conflicts: [] }));
    expect(outcome).toMatchObject({ status: 'clash', held: { revision: 4 } });
  });

  it.each([
    ['a database that is away', () => refused(503, 'unavailable'), 'away'],
    ['a fault of the kitchen', () => refused(500, 'internal'), 'broke'],
    ['another kitchen', () => refused(409, 'other-kitchen'), 'away'],
    ['too many at once', () => refused(429, 'too-many'), 'away'],
    ['a proxy’s own page', () => new Response('<html>Bad gateway</html>', { status: 502 }), 'away'],
    ['a page where an answer should be', () => new Response('<html>', { status: 200 }), 'away'],
    ['no network', () => Promise.reject(new TypeError('Failed to fetch')), 'away'],
    ['a passcode that ran out', () => refused(401, 'sign-in'), 'signed-out'],
  ] as const)('over %s is kept', async (_name, answer, status) => {
    expect((await sentWith(answer)).outcome.status).toBe(status);
  });

  it.each([
    [400, 'invalid'],
    [404, 'not-found'],
    [409, 'exists'],
    [422, 'circle'],
  ] as const)('is told why it can never be taken: %s %s', async (status, code) => {
    expect((await sentWith(() => refused(status, code))).outcome).toEqual({
      status: 'refused',
      why: 'Because.',
    });
  });
});
