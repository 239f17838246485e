import { describe, expect, it } from 'vitest';
import { aboutFile } from './aboutFile';

/** A file's head as a camera writes it: EXIF 2.31 in APP1 (TIFF, big-endian), then the frame's size (ITU T.81, SOF0). */
function jpegHead(texts: Readonly<Record<number, string>>, width: number, height: number): Uint8Array {
  const entries = Object.entries(texts);
  const [exifAt, textAt] = [26, 26 + 2 + 12 * entries.length + 4];
  const long = (n: number): number[] => [n >>> 24, (n >>> 16) & 255, (n >>> 8) & 255, n & 255];
  const short = (n: number): number[] => [n >>> 8, n & 255];
  const ascii = (text: string): number[] => [...text].map((sign) => sign.charCodeAt(0));
  let at = textAt;
  const rows: number[] = [];
  const tail: number[] = [];
  for (const [tag, text] of entries) {
    rows.push(...short(Number(tag)), ...short(2), ...long(text.length + 1), ...long(at));
    tail.push(...ascii(text), 0);
    at += text.length + 1;
  }
  const tiff = [
    ...[...ascii('MM'), ...short(42), ...long(8)],
    // IFD0 has one entry: where the EXIF directory stands.
    ...[...short(1), ...short(0x8769), ...short(4), ...long(1), ...long(exifAt), ...long(0)],
    ...[...short(entries.length), ...rows, ...long(0), ...tail],
  ];
  const app1 = [...ascii('Exif'), 0, 0, ...tiff];
  const sof = [8, ...short(height), ...short(width), 3, 1, 0x22, 0, 2, 0x11, 1, 3, 0x11, 1];
  return new Uint8Array([
    ...[0xff, 0xd8, 0xff, 0xe1, ...short(app1.length + 2), ...app1],
    ...[0xff, 0xc0, ...short(sof.length + 2), ...sof, 0xff, 0xda, 0, 2, 0xff, 0xd9],
  ]);
}
const [ORIGINAL, OFFSET] = [0x9003, 0x9011];
const file = (bytes: Uint8Array, name = 'jar.jpg'): File =>
  new File([bytes as BlobPart], name, { lastModified: Date.UTC(2026, 0, 2) });

describe('what a picture’s file says of itself', () => {
  it('when it was taken, by the camera’s clock and zone, not by when it was copied', async () => {
    const bytes = jpegHead({ [ORIGINAL]: '2026:11:29 18:05:09', [OFFSET]: '+02:00' }, 4032, 3024);
    expect(await aboutFile(file(bytes))).toEqual({
      format: 'JPEG',
      pixels: 4032 * 3024,
      takenAtMs: Date.UTC(2026, 10, 29, 16, 5, 9),
    });
  });
  it('by this device’s zone where the camera says none', async () => {
    const { takenAtMs } = await aboutFile(file(jpegHead({ [ORIGINAL]: '2026:11:29 18:05:09' }, 40, 30)));
    expect(takenAtMs).toBe(new Date(2026, 10, 29, 18, 5, 9).getTime());
  });
  it('by the file’s time where the camera wrote none, or no time at all', async () => {
    for (const text of ['0000:00:00 00:00:00', 'yesterday', '2026:13:41 99:00:00']) {
      const { takenAtMs } = await aboutFile(file(jpegHead({ [ORIGINAL]: text }, 40, 30)));
      expect(takenAtMs).toBe(Date.UTC(2026, 0, 2));
    }
    const { takenAtMs, pixels } = await aboutFile(file(jpegHead({}, 40, 30)));
    expect([takenAtMs, pixels]).toEqual([Date.UTC(2026, 0, 2), 1200]);
  });
  it('nothing where it is no picture', async () => {
    const text = new TextEncoder().encode('no picture at all');
    const nothing = { format: null, pixels: null, takenAtMs: Date.UTC(2026, 0, 2) };
    expect(await aboutFile(file(text))).toEqual(nothing);
    expect(await aboutFile(file(new Uint8Array()))).toEqual(nothing);
  });
  it('names a format that a browser may not open', async () => {
    // ISO/IEC 23008-12: a box "ftyp" of the brand "heic".
    const box = [0, 0, 0, 24, ...new TextEncoder().encode('ftypheic'), 0, 0, 0, 0];
    const brands = [...new TextEncoder().encode('mif1heic')];
    expect((await aboutFile(file(new Uint8Array([...box, ...brands]), 'jar.heic'))).format).toBe('HEIC');
  });
});
