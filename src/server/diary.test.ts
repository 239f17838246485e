import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { extractText, getDocumentProxy } from 'unpdf';
import type { FindAnswer, JarsAnswer, JarTimes, KitchenDocument, KitchenNews } from '#contract';
import type { RunningKitchen } from './start';
import {
  closeDown,
  openHouse,
  sampleFormula,
  tempFolder,
  type Client,
  type Refused,
} from './testing/kitchen';

const folder = tempFolder();
let kitchen: RunningKitchen;
let client: Client;
let now = new Date('2026-11-01T09:00:00Z');
const by = (cookId: string | null) => ({ cookId, deviceId: 'tablet' });

async function jarOf(
  id: string,
  { formulaId = 'house', cook = 'ida', bottle = '', note = '', acid = 0, right = false } = {},
): Promise<void> {
  now = new Date(now.getTime() + 86_400_000);
  const making = {
    ...{ scaleFactor: 1, plannedVolumeMl: 100, tool: 'shake', seconds: 20, roomC: null, steps: [] },
    bottles: bottle ? { vin_cider5: bottle } : {},
  };
  const begun = await client.post('trials', {
    ...{ id, formulaId, version: 1, vesselId: 'swing_top_500', making, by: by(cook) },
    lines: [{ ingredientId: 'rapeseed', form: '', massG: 82 }],
  });
  expect(begun.status).toBe(201);
  const event = {
    ...{ kind: 'tasted', on: 'leaf', temperatureC: null, minutesAfterShake: null, bite: null, flat: false },
    ...{ rows: acid ? { acid } : {}, right, note, drawnG: 2 },
  };
  expect((await client.post(`trials/${id}/events`, { id: `${id}-t`, event, by: by(cook) })).status).toBe(201);
}

beforeAll(async () => {
  ({ kitchen, client } = await openHouse(folder, { now: () => now }));
  await client.post('formulas', { id: 'lake', formula: sampleFormula('Lake & lovage') });
  await client.post('formulas/lake/versions', { revision: 0 });
  await jarOf('one', { bottle: 'summer crate', right: true });
  await jarOf('two', { bottle: 'harbour 100%', acid: 1, note: 'catches in the throat' });
  await jarOf('three', { bottle: 'harbour 100%', acid: 2, cook: 'bo' });
  await jarOf('four', { formulaId: 'lake', right: true });
});
afterAll(() => closeDown(kitchen, folder));

const jars = async (query: string): Promise<JarsAnswer> =>
  (await client.get<JarsAnswer>(`log/jars?${query}`)).body;
const idsOf = async (query: string): Promise<readonly string[]> =>
  (await jars(query)).jars.map(({ id }) => id);

describe('the diary of a kitchen', () => {
  it('has the jars newest first, with the names of what they are of', async () => {
    const all = await jars('');
    expect(all.jars.map(({ id }) => id)).toEqual(['four', 'three', 'two', 'one']);
    expect(all.names).toEqual({ house: 'House', lake: 'Lake & lovage' });
    expect(all.next).toBeNull();
    expect(all.jars[0]!.events).toHaveLength(1);
  });

  it('is chosen by word, bottle, cook, formula and time; a sign of the search is a sign of the text', async () => {
    expect(await idsOf('q=throat')).toEqual(['two']);
    expect(await idsOf('q=lovage')).toEqual(['four']);
    expect(await idsOf('q=crate')).toEqual(['one']);
    expect(await idsOf('q=100%25')).toEqual(['three', 'two']);
    expect(await idsOf('q=1_0')).toEqual([]);
    expect(await idsOf('cook=bo')).toEqual(['three']);
    expect(await idsOf(`bottle=${encodeURIComponent('harbour 100%')}`)).toEqual(['three', 'two']);
    expect(await idsOf('formula=lake')).toEqual(['four']);
    expect(await idsOf('from=2026-11-03T00:00:00Z&to=2026-11-04T00:00:00Z')).toEqual(['two']);
    expect(await idsOf('before=three')).toEqual(['two', 'one']);
    expect(await idsOf('before=nobody')).toEqual([]);
  });

  it('says when they were begun and what to choose by', async () => {
    const { body } = await client.get<JarTimes>('log/times?formula=house');
    expect(body.times).toHaveLength(3);
    expect([...body.times].sort().reverse()).toEqual(body.times);
    expect(body.bottles).toEqual(['harbour 100%', 'summer crate']);
    expect(body.formulas.map(({ name }) => name)).toEqual(['House', 'Lake & lovage']);
  });

  it('refuses what is no question, and says why', async () => {
    for (const query of ['from=yesterday', 'colour=red', 'before=%20']) {
      const answer = await client.get<Refused['body']>(`log/jars?${query}`);
      expect(answer.status, query).toBe(400);
      expect(answer.body.error.message).not.toBe('');
    }
  });

  it('comes to a sentence: too sharp twice since the new bottle', async () => {
    const { comesTo } = (await client.get<KitchenNews>('log/news')).body;
    expect(comesTo).toEqual([
      {
        ...{ formulaId: 'house', complaint: 'too-sharp', jarIds: ['two', 'three'], of: 3 },
        since: { ingredientId: 'vin_cider5', bottle: 'harbour 100%' },
      },
    ]);
  });
});

describe('one field finds', () => {
  const find = async (q: string): Promise<FindAnswer> =>
    (await client.get<FindAnswer>(`find?${new URLSearchParams({ q }).toString()}`)).body;

  it('formulas by name and ingredient, jars by note, batches by number', async () => {
    expect((await find('lake')).formulas).toEqual([{ id: 'lake', name: 'Lake & lovage' }]);
    expect((await find('HOUSE')).formulas.map(({ id }) => id)).toEqual(['house']);
    const [first] = sampleFormula('House').additions;
    expect((await find(first!.ingredientText)).formulas.map(({ id }) => id).sort()).toEqual([
      'house',
      'lake',
    ]);
    expect((await find('throat')).jars).toMatchObject([
      { id: 'two', formulaName: 'House', version: 1, note: 'catches in the throat' },
    ]);
    expect((await find('%')).jars).toEqual([]);
    expect((await find('20261101')).batches).toEqual([]);
  });

  it('a formula in the bin is not found; nothing asked is refused', async () => {
    const move = async (shelf: string): Promise<void> => {
      now = new Date(now.getTime() + 60_000);
      await client.post('formulas/lake/shelf', { shelf });
    };
    await move('bin');
    expect((await find('lovage')).formulas).toEqual([]);
    await move('shelf');
    expect((await find('lovage')).formulas).toHaveLength(1);
    expect((await client.get('find?q=')).status).toBe(400);
    expect((await client.get('find')).status).toBe(400);
  });
});

describe('what is chosen on the shelf', () => {
  it('is one document of just these', async () => {
    const { body } = await client.get<KitchenDocument>('document?formulas=house,lake');
    expect(body.formulas.map(({ id }) => id)).toEqual(['house', 'lake']);
    const one = await client.get<KitchenDocument>('document?formulas=lake');
    expect(one.body.formulas.map(({ id }) => id)).toEqual(['lake']);
    expect((await client.get('document?formulas=')).status).toBe(400);
    expect((await client.get('document?formulas=nobody')).status).toBe(404);
  });

  it('has a label each, made today, in the language that was asked for', async () => {
    const label = async (query: string): Promise<string> => {
      const response = await fetch(`${kitchen.address}/api/print/labels?size=a4-8&language=en-GB&${query}`);
      expect(response.status).toBe(200);
      const pdf = await getDocumentProxy(new Uint8Array(await response.arrayBuffer()));
      return (await extractText(pdf, { mergePages: true })).text.replace(/\s+/g, ' ');
    };
    const english = await label('formulas=house,lake');
    expect(english).toContain('House');
    expect(english).toContain('Lake & lovage');
    expect(english).toMatch(/Use by .* 2026/);
    expect(english).not.toContain('batch');
    const german = await label('formulas=house&tongue=de');
    expect(german).toMatch(/Hergestellt .*Zu verbrauchen bis/);
    // What was said in German to one is English again to the next.
    expect(await label('formulas=house')).toContain('Made');
    const missing = await client.get('print/labels?size=a4-8&formulas=nobody');
    expect(missing.status).toBe(404);
    expect((await client.get('print/labels?size=poster&formulas=house')).status).toBe(400);
  });
});
