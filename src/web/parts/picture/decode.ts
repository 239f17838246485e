/** A file as a picture that may be kept: opened, turned as it was held, scaled down, and written anew as JPEG. */
import { PICTURE_LIMITS } from '#contract';
import type { Photo } from '#core/glass';

export interface Decoded {
  readonly name: string;
  readonly photo: Photo;
  /** To be shown; revoke it when it is not any more. */
  readonly url: string;
  readonly jpeg: Blob;
  readonly takenAt: string;
}

/** A larger file is not opened at all. */
export const MOST_FILE_BYTES = 40 * 1024 * 1024;
/** Nor is one kept open that unpacks to more pixels than a camera of a phone gives. */
const MOST_PIXELS = 120_000_000;
const QUALITIES: readonly number[] = [0.85, 0.7, 0.5, 0.35];

/** @returns null where the browser cannot open it, or it holds more than a picture should */
export async function decodePicture(file: File): Promise<Decoded | null> {
  if (file.size > MOST_FILE_BYTES) return null;
  let bitmap: ImageBitmap;
  try {
    bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' });
  } catch {
    return null;
  }
  if (bitmap.width * bitmap.height > MOST_PIXELS) {
    bitmap.close();
    return null;
  }
  const decoded = await drawn(bitmap, bitmap, file.name, file.lastModified || Date.now());
  bitmap.close();
  return decoded;
}

/** What the camera sees now; null while it sees nothing. */
export const frameOf = (video: HTMLVideoElement): Promise<Decoded | null> =>
  video.videoWidth > 0
    ? drawn(video, { width: video.videoWidth, height: video.videoHeight }, '', Date.now())
    : Promise.resolve(null);

async function drawn(
  source: CanvasImageSource,
  size: { readonly width: number; readonly height: number },
  name: string,
  takenAtMs: number,
): Promise<Decoded | null> {
  const scale = Math.min(1, PICTURE_LIMITS.longEdgePx / Math.max(size.width, size.height));
  const [width, height] = [
    Math.max(1, Math.round(size.width * scale)),
    Math.max(1, Math.round(size.height * scale)),
  ];
  const canvas = document.createElement('canvas');
  canvas.width = width;
  canvas.height = height;
  const context = canvas.getContext('2d', { willReadFrequently: true });
  if (!context) return null;
  context.drawImage(source, 0, 0, width, height);
  const { data } = context.getImageData(0, 0, width, height);
  const jpeg = await smallJpeg(canvas);
  if (!jpeg) return null;
  return {
    name,
    photo: { width, height, rgba: data },
    url: URL.createObjectURL(jpeg),
    jpeg,
    takenAt: new Date(takenAtMs).toISOString(),
  };
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
