/**
 * A JPEG as it may be kept (ITU-T T.81, Annex B): its segments are walked, its size read before anything is decoded, and
 * all that is not picture (place, device, comments: APP1 to APP15 and COM) is left out.
 */
export type JpegTrouble = 'no-jpeg' | 'too-large' | 'cut-off';

export interface CleanJpeg {
  readonly bytes: Buffer;
  readonly widthPx: number;
  readonly heightPx: number;
}

const [SOI, EOI, SOS, APP0, APP15, COM] = [0xd8, 0xd9, 0xda, 0xe0, 0xef, 0xfe];
/** Frame headers; of them only baseline, extended and progressive are drawn by every browser. */
const DRAWN: ReadonlySet<number> = new Set([0xc0, 0xc1, 0xc2]);
const isFrame = (marker: number): boolean =>
  marker >= 0xc0 && marker <= 0xcf && marker !== 0xc4 && marker !== 0xc8 && marker !== 0xcc;

/** @param longEdgePx at most this in either direction */
export function cleanJpeg(bytes: Buffer, longEdgePx: number): CleanJpeg | JpegTrouble {
  if (bytes.length < 4 || bytes[0] !== 0xff || bytes[1] !== SOI) return 'no-jpeg';
  const kept: Buffer[] = [bytes.subarray(0, 2)];
  let size: { readonly widthPx: number; readonly heightPx: number } | null = null;
  let at = 2;
  for (;;) {
    if (at + 4 > bytes.length) return 'cut-off';
    if (bytes[at] !== 0xff) return 'no-jpeg';
    const marker = bytes[at + 1]!;
    // Fill bytes may stand before a marker.
    if (marker === 0xff) {
      at += 1;
      continue;
    }
    const length = bytes.readUInt16BE(at + 2);
    const end = at + 2 + length;
    if (length < 2 || end > bytes.length) return 'cut-off';
    if (isFrame(marker)) {
      if (size || !DRAWN.has(marker) || length < 8) return 'no-jpeg';
      size = { heightPx: bytes.readUInt16BE(at + 5), widthPx: bytes.readUInt16BE(at + 7) };
      if (size.heightPx < 1 || size.widthPx < 1) return 'no-jpeg';
      if (Math.max(size.heightPx, size.widthPx) > longEdgePx) return 'too-large';
    }
    if (marker === SOS) {
      if (!size) return 'no-jpeg';
      // What follows is the picture itself, to its end; nothing behind that end is kept.
      const last = bytes.lastIndexOf(Buffer.from([0xff, EOI]));
      if (last < end) return 'cut-off';
      kept.push(bytes.subarray(at, last + 2));
      return { bytes: Buffer.concat(kept), ...size };
    }
    const isPicture = marker !== COM && !(marker > APP0 && marker <= APP15);
    if (isPicture) kept.push(bytes.subarray(at, end));
    at = end;
  }
}
