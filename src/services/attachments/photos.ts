import { createHash } from 'node:crypto';
import sharp from 'sharp';
import type { BlobStore } from '../../server/blobs';

/** Longest side in pixels of each size that is kept. */
export const PHOTO_SIZES = { small: 360, medium: 1400, large: 3600 } as const;
export type PhotoSize = keyof typeof PHOTO_SIZES;

/** Largest file that is taken in. */
export const PHOTO_LIMIT_BYTES = 30 * 1024 * 1024;
/** Largest picture, in pixels: a bomb of nothing but zeroes stays out. */
const PHOTO_LIMIT_PIXELS = 120e6;
const ACCEPTED = ['jpeg', 'png', 'webp', 'heif'] as const;

/** A photo as it lies in the store: its content's hash, and the upright size in pixels of the largest picture. */
export interface StoredPhoto {
  readonly hash: string;
  readonly width: number;
  readonly height: number;
}

export type PhotoProblem =
  | { readonly kind: 'too-large'; readonly bytes: number }
  | { readonly kind: 'empty' }
  | { readonly kind: 'not-a-picture' }
  | { readonly kind: 'format'; readonly format: string }
  | { readonly kind: 'heic' }
  | { readonly kind: 'damaged' };

/** What is wrong with a file, for the person who sent it. */
export function photoProblemText(name: string, problem: PhotoProblem): string {
  switch (problem.kind) {
    case 'too-large':
      return `${name} has ${(problem.bytes / 1024 / 1024).toFixed(0)} MB. At most ${PHOTO_LIMIT_BYTES / 1024 / 1024} MB a photo are taken.`;
    case 'empty':
      return `${name} is empty.`;
    case 'not-a-picture':
      return `${name} is no picture. JPEG, PNG, WebP or AVIF is expected.`;
    case 'format':
      return `${name} is a picture of the kind ${problem.format}. JPEG, PNG, WebP or AVIF is expected.`;
    case 'heic':
      return `${name} is a HEIC picture, which this server cannot read. Set the camera to JPEG, or share it as JPEG.`;
    case 'damaged':
      return `${name} is damaged: it cannot be read to its end.`;
  }
}

/**
 * Takes a photo in: it is decoded in full, turned upright, and written out as new JPEG in three sizes
 * without any metadata, so that neither place nor camera travels along. The name is the hash of the
 * largest picture's content; the same picture twice is kept once.
 */
export async function storePhoto(
  store: BlobStore,
  bytes: Uint8Array,
): Promise<{ ok: true; photo: StoredPhoto } | { ok: false; problem: PhotoProblem }> {
  const problem = await inspect(bytes);
  if (problem) return { ok: false, problem };
  try {
    const upright = sharp(bytes, { limitInputPixels: PHOTO_LIMIT_PIXELS, failOn: 'error' })
      .autoOrient()
      .flatten({ background: '#ffffff' })
      .toColourspace('srgb');
    const large = await upright
      .resize({ width: PHOTO_SIZES.large, height: PHOTO_SIZES.large, fit: 'inside', withoutEnlargement: true })
      .jpeg({ quality: 84, mozjpeg: true })
      .toBuffer({ resolveWithObject: true });
    const hash = createHash('sha256').update(large.data).digest('hex');
    await store.put(photoName(hash, 'large'), large.data);
    for (const size of ['medium', 'small'] as const)
      await store.put(
        photoName(hash, size),
        await sharp(large.data)
          .resize({ width: PHOTO_SIZES[size], height: PHOTO_SIZES[size], fit: 'inside', withoutEnlargement: true })
          .jpeg({ quality: 80, mozjpeg: true })
          .toBuffer(),
      );
    return { ok: true, photo: { hash, width: large.info.width, height: large.info.height } };
  } catch (error) {
    if (error instanceof Error && 'code' in error && typeof error.code === 'string' && error.code.startsWith('E'))
      throw error;
    return { ok: false, problem: { kind: 'damaged' } };
  }
}

/** What a picture is called in the store. */
export const photoName = (hash: string, size: PhotoSize) => `${hash.slice(0, 2)}/${hash}-${size}.jpg`;

async function inspect(bytes: Uint8Array): Promise<PhotoProblem | undefined> {
  if (bytes.length === 0) return { kind: 'empty' };
  if (bytes.length > PHOTO_LIMIT_BYTES) return { kind: 'too-large', bytes: bytes.length };
  // sharp's prebuilt library has no decoder for the HEVC inside HEIC; the brand tells before it tries.
  const brand = Buffer.from(bytes.subarray(4, 12)).toString('latin1');
  if (/^ftyp(?:hei[cxms]|hev[cx]|mif1|msf1)/.test(brand) && !Buffer.from(bytes.subarray(0, 64)).includes('avif'))
    return { kind: 'heic' };
  try {
    const { format } = await sharp(bytes, { limitInputPixels: PHOTO_LIMIT_PIXELS }).metadata();
    return (ACCEPTED as readonly string[]).includes(format) ? undefined : { kind: 'format', format };
  } catch {
    return { kind: 'not-a-picture' };
  }
}
