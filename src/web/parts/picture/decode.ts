/** A file, or what a camera sees, as a picture that may be kept: turned as it was held, scaled down, written anew as JPEG. */
import { PICTURE_LIMITS } from '#contract';
import type { Photo } from '#core/glass';
import { pictureWords } from '#words/screens/picture';
import { aboutFile } from './aboutFile';

export interface Taken {
  readonly jpeg: Blob;
  readonly width: number;
  readonly height: number;
  readonly takenAt: string;
}
type NotTaken =
  { readonly why: 'cannot-open'; readonly format: string | null } | { readonly why: 'too-large' };

/** A larger file is not opened at all. */
const MOST_FILE_BYTES = 40 * 1024 * 1024;
/** Nor one that unpacks to more pixels than this: 200 MB. */
const MOST_PIXELS = 50_000_000;
export const inMb = (bytes: number): string => `${Math.ceil(bytes / 1024 / 1024)} MB`;

/** What is said of a file that was not taken. */
export const sayNotTaken = (name: string, not: NotTaken): string =>
  not.why === 'too-large'
    ? pictureWords.tooLarge(name, inMb(MOST_FILE_BYTES), MOST_PIXELS / 1e6)
    : pictureWords.cannotOpen(name, not.format);

const QUALITIES: readonly number[] = [0.85, 0.7, 0.5, 0.35];

export async function takePicture(file: File): Promise<Taken | NotTaken> {
  if (file.size > MOST_FILE_BYTES) return { why: 'too-large' };
  const { format, pixels, takenAtMs } = await aboutFile(file);
  if (pixels !== null && pixels > MOST_PIXELS) return { why: 'too-large' };
  let bitmap: ImageBitmap;
  try {
    bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' });
  } catch {
    return { why: 'cannot-open', format };
  }
  if (bitmap.width * bitmap.height > MOST_PIXELS) {
    bitmap.close();
    return { why: 'too-large' };
  }
  const canvas = scaled(bitmap, bitmap);
  bitmap.close();
  const jpeg = canvas && (await smallJpeg(canvas));
  if (!jpeg) return { why: 'cannot-open', format };
  return { jpeg, width: canvas.width, height: canvas.height, takenAt: new Date(takenAtMs).toISOString() };
}

/** The pixels of one that was taken. */
export async function photoOf(jpeg: Blob): Promise<Photo> {
  const bitmap = await createImageBitmap(jpeg);
  const canvas = scaled(bitmap, bitmap);
  bitmap.close();
  if (!canvas) throw new Error('This browser has no canvas to measure on.');
  return pixelsOf(canvas);
}

/** What a camera sees, and how to keep it. */
export interface Frame {
  readonly photo: Photo;
  readonly kept: () => Promise<Taken | null>;
}
/** Null while it sees nothing. */
export function frameOf(video: HTMLVideoElement): Frame | null {
  if (video.videoWidth === 0) return null;
  const canvas = scaled(video, { width: video.videoWidth, height: video.videoHeight });
  if (!canvas) return null;
  const { width, height } = canvas;
  const takenAt = new Date().toISOString();
  return {
    photo: pixelsOf(canvas),
    kept: async () => {
      const jpeg = await smallJpeg(canvas);
      return jpeg && { jpeg, width, height, takenAt };
    },
  };
}

function scaled(
  source: CanvasImageSource,
  size: { readonly width: number; readonly height: number },
): HTMLCanvasElement | null {
  const scale = Math.min(1, PICTURE_LIMITS.longEdgePx / Math.max(size.width, size.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(size.width * scale));
  canvas.height = Math.max(1, Math.round(size.height * scale));
  const context = canvas.getContext('2d', { willReadFrequently: true });
  if (!context) return null;
  context.drawImage(source, 0, 0, canvas.width, canvas.height);
  return canvas;
}
function pixelsOf(canvas: HTMLCanvasElement): Photo {
  const { width, height } = canvas;
  return { width, height, rgba: canvas.getContext('2d')!.getImageData(0, 0, width, height).data };
}

/** As good as fits into what is kept. */
async function smallJpeg(canvas: HTMLCanvasElement): Promise<Blob | null> {
  for (const quality of QUALITIES) {
    const blob = await new Promise<Blob | null>((resolve) => {
      canvas.toBlob(resolve, 'image/jpeg', quality);
    });
    if (blob && blob.size <= PICTURE_LIMITS.jpegBytes) return blob;
  }
  return null;
}

export const base64Of = (blob: Blob): Promise<string> =>
  new Promise((resolve, reject) => {
    const reader = new FileReader();
    reader.onload = () => {
      resolve(String(reader.result).replace(/^[^,]*,/, ''));
    };
    reader.onerror = () => {
      reject(reader.error ?? new Error(String(blob.size)));
    };
    reader.readAsDataURL(blob);
  });
