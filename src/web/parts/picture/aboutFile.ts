/** What a picture's file says of itself before it is opened: its format, how far it unpacks, and when it was taken. */
import type { Tags } from 'exifreader';

/** What stands in front of the pixels; what comes later is not looked at. */
const HEAD_BYTES = 512 * 1024;

export interface AboutFile {
  /** As a camera calls it, "HEIC"; null: the file does not say. */
  readonly format: string | null;
  readonly pixels: number | null;
  readonly takenAtMs: number;
}

/** By the camera's own clock where it wrote one (EXIF 2.31, DateTimeOriginal), else by the file's. */
export async function aboutFile(file: File): Promise<AboutFile> {
  const fileMs = file.lastModified || Date.now();
  try {
    const { load } = await import('exifreader');
    const tags = load(await file.slice(0, HEAD_BYTES).arrayBuffer());
    const [width, height] = [tags['Image Width']?.value, tags['Image Height']?.value];
    const isMeasured = typeof width === 'number' && typeof height === 'number';
    return {
      format: tags.FileType?.description ?? null,
      pixels: isMeasured ? width * height : null,
      takenAtMs: cameraMs(tags) ?? fileMs,
    };
  } catch {
    // No such head: the browser may open it all the same.
    return { format: null, pixels: null, takenAtMs: fileMs };
  }
}

/** "2026:11:29 18:05:09", by the zone that stands beside it, else by this device's. */
function cameraMs({ DateTimeOriginal, OffsetTimeOriginal }: Tags): number | null {
  const said = /^(\d{4}):(\d\d):(\d\d) (\d\d:\d\d:\d\d)/.exec(DateTimeOriginal?.description ?? '');
  if (!said) return null;
  const zone = /^[+-]\d\d:\d\d$/.exec(OffsetTimeOriginal?.description ?? '')?.[0] ?? '';
  const ms = Date.parse(`${said[1]}-${said[2]}-${said[3]}T${said[4]}${zone}`);
  return Number.isFinite(ms) ? ms : null;
}
