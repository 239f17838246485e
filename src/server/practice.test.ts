/** What a cook practised, and what was said of bowls, over HTTP. */
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { DressingRecord, SharedRecord } from '#contract';
import { lessonOfDish } from '#core/dish';
import { skillOf } from '#core/practise';
import { entriesOf } from '#kitchen/bowl';
import type { RunningKitchen } from './start';
import { Client, closeDown, openKitchen, sampleFormula, tempFolder } from './testing/kitchen';

const folder = tempFolder();
let kitchen: RunningKitchen;
let client: Client;
let now = Date.parse('2026-11-26T12:00:00.000Z');
const by = { cookId: 'ida', deviceId: 'tablet' };

beforeAll(async () => {
  kitchen = await openKitchen(folder, { now: () => new Date(now) });
  client = new Client(kitchen.address);
  await client.post('formulas', { id: 'house', formula: sampleFormula('House') });
  await client.post('formulas/house/versions', { revision: 0 });
});
afterAll(() => closeDown(kitchen, folder));

describe('practice', () => {
  const answer = (id: string, score: number) => ({
    ...{ id, score, kind: 'wrong', item: 'flat', difficulty: 1000, at: '2026-11-26T12:00:00.000Z' },
  });
  const put = (cook: string, key: string, from: unknown, to: unknown) =>
    client.post(`shared/practice/${cook}/changes`, {
      idempotencyKey: key,
      changes: [{ path: ['answers'], from, to }],
    });
  const of = async (cook: string) =>
    (await client.get<SharedRecord<'practice'>>(`shared/practice/${cook}`)).body.doc;

  it('is kept by cook, and once though it was sent twice', async () => {
    const one = [answer('a1', 1)];
    for (let i = 0; i < 2; i++) expect((await put('ida', 'practice-1', [], one)).status).toBe(200);
    expect((await of('ida')).answers).toEqual(one);
    expect((await of('jon')).answers).toEqual([]);
    expect(skillOf((await of('ida')).answers, 'wrong').rating).toBe(1070);
  });
  it('refuses what no round comes to, and says where', async () => {
    for (const [i, wrong] of [
      [answer('b', 2)],
      [{ ...answer('b', 1), kind: 'guessing' }],
      [{ ...answer('b', 1), item: '' }],
      [answer('no id!', 1)],
    ].entries()) {
      const { status } = await put('jon', `practice-wrong-${i}`, [], wrong);
      expect(status).toBe(400);
    }
    expect((await of('jon')).answers).toEqual([]);
  });
  it('is forgotten whole', async () => {
    const { answers } = await of('ida');
    expect((await put('ida', 'practice-forget', answers, [])).status).toBe(200);
    expect((await of('ida')).answers).toEqual([]);
  });
});

describe('what was said of a bowl', () => {
  const bowl = {
    formulaId: 'house',
    version: 1,
    kind: 'cooked',
    dressed: 'normally',
    massG: 900,
    ml: 240,
    by,
  };
  const said = (id: string, about: object) => client.post('dressings', { ...bowl, id, ...about });
  const entries = async () => entriesOf((await client.get<DressingRecord[]>('dressings')).body);

  it('is kept with its dish; one without a word of it counts as before', async () => {
    expect((await said('b1', { dishId: 'soba', verdict: 'soggy', tableMl: 240 })).status).toBe(201);
    expect((await said('b2', {})).status).toBe(201);
    const plain = (await entries()).find(({ dishId }) => dishId === null)!;
    expect([plain.verdict, plain.tableMl]).toEqual([null, null]);
    expect(lessonOfDish('soba', await entries())).toMatchObject({ bowls: 1, tooSalty: 0 });
  });
  it('is put right by the last word within the hour', async () => {
    now += 60_000;
    expect((await said('b3', { dishId: 'soba', verdict: 'right', tableMl: 240 })).status).toBe(201);
    expect(lessonOfDish('soba', await entries())).toMatchObject({ bowls: 1, mlTimes: 1 });
  });
  it('refuses a word that nobody says of a bowl', async () => {
    expect((await said('b4', { verdict: 'delicious' })).status).toBe(400);
    expect((await said('b5', { dishId: '../house' })).status).toBe(400);
    expect((await said('b6', { tableMl: 0 })).status).toBe(400);
  });
});

describe('a plan that names a dish', () => {
  it('keeps its name beside its kind; a plan without one is as valid as ever', async () => {
    const dish = {
      ...{ id: 'd', formulaId: 'house', version: null, kind: 'cooked', dressed: 'normally', servingG: 150 },
      ...{ moment: 'hour', fresh: true },
    };
    const service = (dishes: readonly object[]) => ({
      id: 's',
      name: 'Lunch',
      atMin: 720,
      covers: 40,
      dishes,
    });
    const plan = (revision: number, ...dishes: readonly object[]) =>
      client.put('plans/2026-12-02', {
        day: '2026-12-02',
        revision,
        content: {
          cooks: 1,
          fromMin: 420,
          services: [service(dishes)],
          jobs: [],
          begun: {},
          done: {},
          movedMin: {},
        },
      });
    expect((await plan(0, dish, { ...dish, id: 'e', bowlId: 'soba' })).status).toBe(200);
    expect((await client.get('plans/2026-12-02')).body).toMatchObject({
      content: { services: [{ dishes: [dish, { bowlId: 'soba' }] }] },
    });
    expect((await plan(1, { ...dish, bowlId: 'so ba' })).status).toBe(400);
  });
});
