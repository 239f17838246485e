import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type {
  DevicesAnswer,
  DevicesFrame,
  LogAnswer,
  PanelRecord,
  Standings,
  TimersAnswer,
  TrialRecord,
} from '#contract';
import { cardsFor } from '#core/sensory';
import { simulatedInstruments } from './devices/simulated';
import type { RunningKitchen } from './start';
import {
  Client,
  dropFolder,
  openKitchen,
  tempFolder,
  type Refused,
  closeDown,
  openHouse,
} from './testing/kitchen';

const folder = tempFolder();
let kitchen: RunningKitchen;
let client: Client;
let now = new Date('2026-11-26T09:00:00.000Z');
const by = { cookId: 'ida', deviceId: 'tablet' };
const step = (id: string, massG: number) => ({
  kind: 'weigh',
  id,
  said: '',
  paced: false,
  line: { ingredientId: 'vin_cider5', form: '', massG },
});
const making = {
  scaleFactor: 1,
  plannedVolumeMl: 120,
  tool: 'shake',
  seconds: 20,
  roomC: 21,
  bottles: { vin_cider5: 'lot 7' },
  steps: [step('a', 30), step('b', 82)],
};
const jar = (id: string, more: object = {}) => ({
  id,
  formulaId: 'house',
  version: 1,
  vesselId: 'swing_top_500',
  styleId: 'classic_3_1',
  lines: [],
  making,
  by,
  ...more,
});
const took = (id: string, source: string, deviceId = '', more: object = {}) => ({
  id,
  by,
  event: {
    kind: 'took',
    stepId: 'a',
    line: { ingredientId: 'vin_cider5', form: '', massG: 30.2 },
    reading: { source, deviceId },
    seen: null,
  },
  ...more,
});

beforeAll(async () => {
  ({ kitchen, client } = await openHouse(folder, { instruments: simulatedInstruments(1), now: () => now }));
});
afterAll(() => closeDown(kitchen, folder));

/** Reads server-sent events until a test is met. */
async function heard<T>(
  path: string,
  name: string,
  enough: (data: T) => boolean,
  act?: () => Promise<unknown>,
): Promise<T> {
  const stop = new AbortController();
  const response = await fetch(`${client.address}/api/${path}`, { signal: stop.signal });
  expect(response.headers.get('content-type')).toContain('text/event-stream');
  const reader = response.body!.pipeThrough(new TextDecoderStream()).getReader();
  let text = '';
  void act?.();
  try {
    for (;;) {
      const { value, done } = await reader.read();
      if (done) throw new Error('The stream ended.');
      text += value;
      const parts = text.split('\n\n');
      text = parts.pop()!;
      for (const part of parts) {
        const data = /^data: (.*)$/m.exec(part)?.[1];
        if (!part.includes(`event: ${name}`) || !data) continue;
        const read = JSON.parse(data) as T;
        if (enough(read)) return read;
      }
    }
  } finally {
    stop.abort();
  }
}

describe('makings over HTTP', () => {
  it('keep their plan, and every step in order, once', async () => {
    const begun = await client.post<TrialRecord>('trials', jar('one'));
    expect(begun.body).toMatchObject({ making, styleId: 'classic_3_1', lines: [] });
    await client.post('trials/one/events', took('t1', 'typed'));
    await client.post('trials/one/events', took('t1', 'typed'));
    await client.post('trials/one/events', { id: 'd1', by, event: { kind: 'did', stepId: 'b' } });
    const [first] = (await client.get<TrialRecord[]>('trials')).body;
    expect(first!.events.map(({ event }) => event.kind)).toEqual(['took', 'did']);
  });
  it('refuse a jar that holds nothing and is not made, and numbers that are none', async () => {
    expect((await client.post('trials', jar('two', { making: null }))).status).toBe(400);
    for (const massG of [0, -3, null, 1e9, 'x']) {
      const wrong = took('t2', 'typed');
      const event = { ...wrong.event, line: { ...wrong.event.line, massG } };
      expect((await client.post<Refused['body']>('trials/one/events', { ...wrong, event })).status).toBe(400);
    }
    const ph = { kind: 'measured', what: 'ph', value: 15, reading: { source: 'typed', deviceId: '' } };
    const answer = await client.post<Refused['body']>('trials/one/events', { id: 'm1', by, event: ph });
    expect(answer.status).toBe(400);
    expect(answer.body.error.message).toContain('pH');
  });
  it('vouch for the source: what is no device here counts as simulated', async () => {
    await client.post('trials', jar('three'));
    for (const [id, source, deviceId] of [
      ['s1', 'device', 'simulated-scale'],
      ['s2', 'device', 'made-up'],
      ['s3', 'simulated', 'simulated-scale'],
      ['s4', 'typed', 'whatever'],
    ] as const)
      await client.post('trials/three/events', took(id, source, deviceId));
    const all = (await client.get<TrialRecord[]>('trials')).body;
    const sources = all
      .find(({ id }) => id === 'three')!
      .events.map(({ event }) => (event.kind === 'took' ? event.reading.source : ''));
    expect(sources).toEqual(['simulated', 'simulated', 'simulated', 'typed']);
  });
  it('keep when a waiting step happened, and never in the future', async () => {
    await client.post('trials', jar('four'));
    await client.post(
      'trials/four/events',
      took('w1', 'typed', '', { happenedAt: '2026-11-26T08:30:00.000Z' }),
    );
    await client.post(
      'trials/four/events',
      took('w2', 'typed', '', { happenedAt: '2031-01-01T00:00:00.000Z' }),
    );
    const four = (await client.get<TrialRecord[]>('trials')).body.find(({ id }) => id === 'four')!;
    expect(four.events.map(({ at }) => at)).toEqual(['2026-11-26T08:30:00.000Z', '2026-11-26T09:00:00.000Z']);
  });
  it('are told to every open screen', async () => {
    const news = await heard<{ about: string; formulaId: string }>(
      'live',
      'news',
      ({ about }) => about === 'trials',
      () => client.post('trials/one/events', { id: 'd2', by, event: { kind: 'shook', seconds: 20 } }),
    );
    expect(news.formulaId).toBe('house');
  });
});

describe('the counter over HTTP', () => {
  it('streams what the scale shows as it is poured, and tares for the making that has it', async () => {
    const { body } = await client.get<DevicesAnswer>('devices');
    expect(body.instruments.map(({ instrument, source }) => [instrument, source])).toEqual([
      ['scale', 'simulated'],
      ['thermometer', 'simulated'],
      ['ph-meter', 'simulated'],
    ]);
    const claim = { trialId: 'one', screenId: 'left', label: 'House, Ida' };
    expect((await client.post('devices/scale/claim', claim)).status).toBe(200);
    const other = await client.post<Refused['body']>('devices/scale/claim', { ...claim, trialId: 'three' });
    expect([other.status, other.body.error.code]).toEqual([409, 'claimed']);
    expect(other.body.error.message).toContain('House, Ida');
    const value = ({ readings }: DevicesFrame): number =>
      readings.scale?.status === 'ok' ? readings.scale.value : NaN;
    await heard<DevicesFrame>(
      'devices/stream?trial=one&screen=left',
      'frame',
      (frame) => Math.abs(value(frame) - 50) < 1,
      () => client.post('devices/hand', { does: 'drop', massG: 50 }),
    );
    expect((await client.post('devices/scale/tare', { trialId: 'three' })).status).toBe(409);
    expect((await client.post('devices/scale/tare', { trialId: 'one' })).status).toBe(200);
    const zero = await heard<DevicesFrame>('devices/stream', 'frame', () => true);
    expect(Math.abs(value(zero))).toBeLessThanOrEqual(0.2);
    await client.post('devices/hand', { does: 'plug', in: false });
    const dead = await heard<DevicesFrame>(
      'devices/stream',
      'frame',
      ({ readings }) => readings.scale?.status !== 'ok',
    );
    expect(dead.readings.scale).toEqual({ status: 'unplugged' });
    expect(
      (await client.post<Refused['body']>('devices/scale/tare', { trialId: 'one' })).body.error.code,
    ).toBe('no-instrument');
    expect((await client.post('devices/scale/release', { trialId: 'one' })).status).toBe(200);
  });
  it('has nothing simulated in a real kitchen', async () => {
    const plain = tempFolder();
    const real = await openKitchen(plain);
    const at = new Client(real.address);
    try {
      expect((await at.get<DevicesAnswer>('devices')).body).toEqual({ instruments: [], claim: null });
      expect((await at.post('devices/hand', { does: 'drop', massG: 5 })).status).toBe(409);
      expect((await at.post('devices/scale/tare', { trialId: 'one' })).status).toBe(409);
    } finally {
      await real.stop();
      dropFolder(plain);
    }
  });
});

describe('timers', () => {
  const timer = (id: string, more: object = {}) => ({
    id,
    label: 'Leave the shallot',
    seconds: 600,
    formulaId: 'house',
    trialId: 'one',
    ...more,
  });
  it('run on the server’s clock, once each, until they are ended', async () => {
    await client.post('timers', timer('t1'));
    now = new Date('2026-11-26T09:04:00.000Z');
    const again = await client.post<TimersAnswer>('timers', timer('t1'));
    expect(again.body).toMatchObject({
      now: '2026-11-26T09:04:00.000Z',
      timers: [{ id: 't1', startedAt: '2026-11-26T09:00:00.000Z', seconds: 600 }],
    });
    expect((await client.post<TimersAnswer>('timers/t1/end', {})).body.timers).toEqual([]);
    expect((await client.post('timers/t1/end', {})).status).toBe(200);
    expect((await client.post('timers/never/end', {})).status).toBe(404);
    for (const wrong of [
      timer('x', { seconds: 0 }),
      timer('x', { label: ' ' }),
      timer('x', { seconds: 'long' }),
    ])
      expect((await client.post('timers', wrong)).status).toBe(400);
  });
  it('outlast the server, and are forgotten a day after they rang', async () => {
    await client.post('timers', timer('t2'));
    await kitchen.stop();
    kitchen = await openKitchen(folder, { instruments: simulatedInstruments(1), now: () => now });
    client = new Client(kitchen.address);
    expect((await client.get<TimersAnswer>('timers')).body.timers.map(({ id }) => id)).toEqual(['t2']);
    now = new Date('2026-11-27T09:20:00.000Z');
    expect((await client.get<TimersAnswer>('timers')).body.timers).toEqual([]);
  });
});

describe('own measures', () => {
  const pinch = (id: string, ...grams: number[]) => ({
    id,
    cookId: 'ida',
    unit: 'pinch',
    ingredientId: 'salt_sea_fine',
    weighings: grams.map((massG) => ({ massG, source: 'typed' })),
  });
  it('are kept each as weighed; anew they are a new record, and the old one stays', async () => {
    expect((await client.post('measures', pinch('p1', 0.4, 0.5, 0.45))).status).toBe(201);
    expect((await client.post('measures', pinch('p1', 9))).status).toBe(201);
    await client.post('measures', pinch('p2', 0.6));
    const { body } = await client.get<{ id: string; weighings: { massG: number }[] }[]>('measures');
    expect(body.map(({ id, weighings }) => [id, weighings.length])).toEqual([
      ['p1', 3],
      ['p2', 1],
    ]);
    for (const wrong of [pinch('x', 0), pinch('x', -1), { ...pinch('x', 1), unit: 'bucket' }])
      expect((await client.post('measures', wrong)).status).toBe(400);
    expect((await client.post('measures', { ...pinch('p1', 1), unit: 'grind' })).status).toBe(409);
  });
});

describe('side by side over HTTP', () => {
  const panel = (id: string, more: object = {}) => ({
    id,
    kind: 'paired',
    a: { formulaId: 'house', version: 1 },
    b: { formulaId: 'house', version: 2 },
    tasters: 2,
    seed: 7,
    by,
    ...more,
  });
  it('keeps every answer, and takes none for a sample that was not served', async () => {
    expect((await client.post('panels', panel('s1'))).status).toBe(201);
    const [card] = cardsFor('paired', 2, 7);
    const answer = (id: string, code: string, taster = 1) => ({ id, taster, code, by });
    const [first, second] = card!.servings.map(({ code }) => code) as [string, string];
    await client.post('panels/s1/answers', answer('n1', first));
    await client.post('panels/s1/answers', answer('n1', first));
    const { body } = await client.post<PanelRecord>('panels/s1/answers', answer('n2', second));
    expect(body.answers.map(({ code }) => code)).toEqual([first, second]);
    const wrong = await client.post<Refused['body']>('panels/s1/answers', answer('n3', '000'));
    expect([wrong.status, wrong.body.error.message]).toEqual([
      400,
      expect.stringContaining('Look at the codes'),
    ]);
    expect((await client.post('panels/s1/answers', answer('n4', first, 3))).status).toBe(400);
    expect((await client.post('panels/none/answers', answer('n5', first))).status).toBe(404);
    expect((await client.post('panels', panel('s2', { b: { formulaId: 'house', version: 1 } }))).status).toBe(
      400,
    );
    expect((await client.post('panels', panel('s3', { tasters: 0 }))).status).toBe(400);
  });
});

describe('the kitchen’s log', () => {
  const noted = (id: string, note: string) => ({
    id,
    by,
    event: { kind: 'looked', saw: 'fine', seconds: 600, predicted: null, note },
  });
  it('comes newest first, a page at a time, and is searched by words and cook', async () => {
    await client.post('trials', jar('log'));
    for (let i = 1; i <= 55; i++)
      await client.post('trials/log/events', noted(`l${i}`, `look ${i}, 100% clear`));
    const first = (await client.get<LogAnswer>('log')).body;
    expect(first.entries).toHaveLength(50);
    expect(first.entries[0]).toMatchObject({ id: 'l55', formulaName: 'House', version: 1 });
    const second = (await client.get<LogAnswer>(`log?before=${first.next!}`)).body;
    expect(second.entries[0]!.id).toBe('l5');
    expect((await client.get<LogAnswer>('log?q=LOOK%2055')).body.entries.map(({ id }) => id)).toEqual([
      'l55',
    ]);
    // A per cent sign is a per cent sign.
    expect((await client.get<LogAnswer>('log?q=100%25')).body.entries).toHaveLength(50);
    expect((await client.get<LogAnswer>('log?q=5%25')).body.entries).toHaveLength(0);
    expect((await client.get<LogAnswer>('log?cook=nobody')).body.entries).toEqual([]);
    expect((await client.get('log?before=yesterday')).status).toBe(400);
  });
  it('says how versions stand, and a later “not right” takes it back', async () => {
    const taste = (id: string, right: boolean) => ({
      id,
      by,
      event: {
        kind: 'tasted',
        on: 'leaf',
        temperatureC: null,
        minutesAfterShake: null,
        rows: {},
        bite: null,
        flat: !right,
        right,
        note: '',
        drawnG: 2,
      },
    });
    for (const name of ['p1', 'p2']) {
      await client.post('trials', jar(name));
      await client.post(`trials/${name}/events`, taste(`${name}-r`, true));
    }
    const state = async (): Promise<unknown> =>
      (await client.get<Standings>('formulas/house/standings')).body[1]?.state;
    expect(await state()).toBe('proven');
    await client.post('trials/p2/events', taste('p2-n', false));
    expect(await state()).toBe('tried');
  });
});
