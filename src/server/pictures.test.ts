/** Pictures of jars: what is kept of them, what is refused, and that they go where the kitchen goes. */
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { PICTURE_LIMITS, type ErrorBody, type PictureRecord, type PicturesAnswer } from '#contract';
import { cleanJpeg } from './features/pictures/jpeg';
import type { RunningKitchen } from './start';
import { closeDown, openHouse, tempFolder, type Client } from './testing/kitchen';

const folder = tempFolder();
let kitchen: RunningKitchen;
let client: Client;
const by = { cookId: 'ida', deviceId: 'tablet' };
const segment = (marker: number, ...bytes: readonly number[]): Buffer =>
  Buffer.from([0xff, marker, (bytes.length + 2) >> 8, (bytes.length + 2) & 255, ...bytes]);
const text = (value: string): readonly number[] => [...Buffer.from(value)];
/** A JPEG as a phone writes it, to its markers (ITU-T T.81): with where and by what it was taken. */
const photo = (widthPx = 640, heightPx = 480, marker = 0xc0): Buffer =>
  Buffer.concat([
    Buffer.from([0xff, 0xd8]),
    segment(0xe0, ...text('JFIF\0'), 1, 2, 0, 0, 1, 0, 1, 0, 0),
    segment(0xe1, ...text('Exif\0\0GPS 47.1 N')),
    segment(0xfe, ...text('made by a phone')),
    segment(0xdb, 0, ...Array.from({ length: 64 }, () => 1)),
    segment(marker, 8, heightPx >> 8, heightPx & 255, widthPx >> 8, widthPx & 255, 1, 1, 0x11, 0),
    segment(0xda, 1, 1, 0, 0, 63, 0),
    Buffer.from([0x12, 0x34, 0xff, 0x00, 0x56, 0xff, 0xd9]),
    Buffer.from('behind the end'),
  ]);
const seen = {
  marks: {
    floor: [
      { x: 100, y: 400 },
      { x: 300, y: 400 },
    ],
    surface: [
      { x: 100, y: 100 },
      { x: 300, y: 100 },
    ],
  },
  layers: [
    { kind: 'watery', from: 0, to: 0.2, doubt: [0, 0.01] },
    { kind: 'creamed', from: 0.2, to: 1, doubt: [0.01, 0] },
  ],
  byHand: false,
};
const picture = (id: string, more: object = {}) => ({
  ...{ id, by, seen, takenAt: '2026-11-26T09:20:00.000Z', seconds: 1200 },
  jpeg: photo().toString('base64'),
  ...more,
});
const jar = {
  ...{ id: 'jar-1', formulaId: 'house', version: 1, vesselId: 'swing_top_500', styleId: null, by },
  lines: [{ ingredientId: 'vin_cider5', form: '', massG: 30 }],
  making: null,
};

beforeAll(async () => {
  ({ kitchen, client } = await openHouse(folder));
  expect((await client.post('trials', jar)).status).toBe(201);
});
afterAll(() => closeDown(kitchen, folder));

describe('a picture of a jar', () => {
  it('is kept without what is no picture, once, and shown as nothing but a picture', async () => {
    const first = await client.post<PictureRecord>('trials/jar-1/pictures', picture('p-1'));
    expect(first.status).toBe(201);
    expect(first.body).toMatchObject({ widthPx: 640, heightPx: 480, trialId: 'jar-1', seen });
    await client.post('trials/jar-1/pictures', picture('p-1'));
    const earlier = picture('p-0', { takenAt: '2026-11-26T09:10:00.000Z', seconds: null });
    await client.post('trials/jar-1/pictures', earlier);
    const { body } = await client.get<PicturesAnswer>('trials/jar-1/pictures');
    // By their own time, not by when they came.
    expect(body.pictures.map(({ id }) => id)).toEqual(['p-0', 'p-1']);
    expect(body.usedBytes).toBeGreaterThan(100);
    expect(body.mostBytes).toBe(PICTURE_LIMITS.kitchenBytes);
    const shown = await fetch(`${client.address}/api/pictures/p-1`);
    expect(shown.headers.get('content-type')).toBe('image/jpeg');
    expect(shown.headers.get('content-security-policy')).toContain('sandbox');
    expect(shown.headers.get('x-content-type-options')).toBe('nosniff');
    const bytes = Buffer.from(await shown.arrayBuffer());
    for (const word of ['GPS', 'phone', 'behind']) expect(bytes.includes(word)).toBe(false);
    expect(bytes.subarray(-2)).toEqual(Buffer.from([0xff, 0xd9]));
    expect(bytes.includes('JFIF')).toBe(true);
  });

  it('is refused with a word where it is none, too large, cut off or of no jar', async () => {
    const refused = async (more: object, jarId = 'jar-1') =>
      (
        await client.post<ErrorBody>(
          `trials/${jarId}/pictures`,
          picture(`x-${Math.random()}`.replace('.', ''), more),
        )
      ).body.error;
    const base64 = (bytes: Buffer): string => bytes.toString('base64');
    const page = base64(Buffer.from('<svg onload="x()">'));
    expect(await refused({ jpeg: page })).toMatchObject({ code: 'invalid', message: /no picture/ as never });
    expect((await refused({ jpeg: base64(photo(1601, 100)) })).message).toContain('1600 pixels');
    expect((await refused({ jpeg: base64(photo().subarray(0, 150)) })).message).toContain('cut off');
    // Lossless and arithmetic frames are drawn by no browser.
    expect((await refused({ jpeg: base64(photo(10, 10, 0xc9)) })).message).toContain('no picture');
    expect((await refused({ seconds: -1 })).code).toBe('invalid');
    expect((await refused({ seen: { ...seen, layers: [] } })).code).toBe('invalid');
    expect((await refused({}, 'no-jar')).code).toBe('not-found');
    expect((await client.get<ErrorBody>('pictures/none')).status).toBe(404);
  });

  it('is taken away for good', async () => {
    await client.post('trials/jar-1/pictures', picture('p-9'));
    expect((await client.delete('pictures/p-9')).status).toBe(200);
    expect((await client.get('pictures/p-9')).status).toBe(404);
    expect((await client.delete('pictures/p-9')).status).toBe(200);
  });
});

describe('the segments of a JPEG', () => {
  it('are walked to their end: every cut of it is refused, none is read beyond', () => {
    const whole = photo().subarray(0, photo().length - 'behind the end'.length);
    const clean = cleanJpeg(whole, 2000);
    expect(clean).toMatchObject({ widthPx: 640, heightPx: 480 });
    for (let end = 0; end < whole.length; end++) {
      expect(typeof cleanJpeg(whole.subarray(0, end), 2000), `cut at ${end}`).toBe('string');
    }
    const twice = Buffer.concat([
      whole.subarray(0, 2),
      segment(0xc0, 8, 0, 9, 0, 9, 1, 1, 17, 0),
      whole.subarray(2),
    ]);
    expect(cleanJpeg(twice, 2000)).toBe('no-jpeg');
  });
});
