import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { EMPTY_PLAN, type DressingRecord, type PlanRecord } from '#contract';
import type { RunningKitchen } from './start';
import { closeDown, openHouse, tempFolder, type Client } from './testing/kitchen';

const folder = tempFolder();
let kitchen: RunningKitchen;
let client: Client;
const by = { cookId: 'ida', deviceId: 'tablet' };

beforeAll(async () => {
  ({ kitchen, client } = await openHouse(folder));
});
afterAll(() => closeDown(kitchen, folder));

describe('the plan of a day over HTTP', () => {
  it('is kept whole, and never written over what somebody else changed', async () => {
    const day = '2026-12-24';
    const empty = (await client.get<PlanRecord>(`plans/${day}`)).body;
    expect(empty).toEqual({ day, revision: 0, content: EMPTY_PLAN });
    const service = { id: 's1', name: 'Lunch', atMin: 720, covers: 40, dishes: [] };
    const content = { ...EMPTY_PLAN, services: [service] };
    const put = (revision: number, more: object = {}) =>
      client.put<PlanRecord>(`plans/${day}`, { day, revision, content: { ...content, ...more } });
    expect((await put(0)).body).toMatchObject({ revision: 1 });
    expect((await put(0, { cooks: 3 })).status).toBe(409);
    expect((await put(1, { cooks: 0 })).status).toBe(400);
    expect((await put(1, { cooks: 2 })).body).toMatchObject({
      revision: 2,
      content: { cooks: 2, services: [service] },
    });
    expect((await client.get<string[]>('plans')).body).toEqual([day]);
    expect((await client.get('plans/someday')).status).toBe(400);
  });

  it('what a dish really took is kept once', async () => {
    const taken = {
      id: 'd1',
      formulaId: 'house',
      version: 1,
      kind: 'slaw',
      dressed: 'well',
      massG: 900,
      ml: 400,
      by,
    };
    for (let i = 0; i < 2; i++) expect((await client.post('dressings', taken)).status).toBe(201);
    expect((await client.get<DressingRecord[]>('dressings')).body).toHaveLength(1);
    expect((await client.post('dressings', { ...taken, id: 'd2', ml: 0 })).status).toBe(400);
  });
});
