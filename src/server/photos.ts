import { createHash } from 'node:crypto';
import sharp from 'sharp';
import type { Database } from '../data/database';
import { insertPhoto, photoById } from '../data/photos';
import type { PhotoStore } from './photo-store';
import { Problem } from './problem';

export interface KeptPhoto {
  /** SHA-256 of what is kept */
  file: string;
  width: number;
  height: number;
}

export const PHOTO_MEGABYTES = 25;
const MOST_PIXELS = 60_000_000;
const LONG_SIDE = 2400;
const SMALL_SIDE = 360;
const KINDS = new Set(['jpeg', 'png', 'webp', 'gif', 'tiff', 'avif', 'heif']);

const small = (file: string) => `${file}.small`;
const notAPicture = (why: string) => new Problem(422, 'Not a picture', why, '/photo');

/**
 * Reads a picture by its bytes, whatever it is called, turns it upright, makes it as large as a
 * bench screen needs, and writes it anew: what the camera wrote beside it, place and time and maker,
 * is not kept.
 *
 * @throws Problem 422 when it is no picture or has too many pixels
 */
export async function keepPhoto(
  db: Database,
  store: PhotoStore,
  bytes: Uint8Array,
  now: Date,
): Promise<KeptPhoto> {
  if (bytes.byteLength === 0) throw notAPicture('there is nothing in it');
  const input = () => sharp(bytes, { limitInputPixels: MOST_PIXELS, failOn: 'error' });
  try {
    const { format, width, height } = await input().metadata();
    if (!format || !KINDS.has(format)) throw notAPicture('it is not a photograph that can be read here');
    if (width * height > MOST_PIXELS) throw notAPicture('it has more than 60 million pixels');
    const upright = input().rotate();
    const { data, info } = await upright
      .clone()
      .resize(LONG_SIDE, LONG_SIDE, { fit: 'inside', withoutEnlargement: true })
      .webp({ quality: 82 })
      .toBuffer({ resolveWithObject: true });
    const preview = await upright
      .clone()
      .resize(SMALL_SIDE, SMALL_SIDE, { fit: 'inside', withoutEnlargement: true })
      .webp({ quality: 74 })
      .toBuffer();
    return await keep(db, store, { data, preview, width: info.width, height: info.height }, now);
  } catch (error) {
    if (error instanceof Problem) throw error;
    throw notAPicture(`it cannot be read as a picture: ${(error as Error).message}`);
  }
}

async function keep(
  db: Database,
  store: PhotoStore,
  p: { data: Buffer; preview: Buffer; width: number; height: number },
  now: Date,
): Promise<KeptPhoto> {
  const file = createHash('sha256').update(p.data).digest('hex');
  await store.put(file, p.data);
  await store.put(small(file), p.preview);
  const { width, height } = p;
  await db.write((tx) =>
    insertPhoto(tx, { id: file, width, height, bytes: p.data.byteLength, keptAt: now.toISOString() }),
  );
  return { file, width, height };
}

/** A kept picture, or its small one; null when there is none. */
export const readPhoto = (store: PhotoStore, file: string, asSmall: boolean): Promise<Uint8Array | null> =>
  store.get(asSmall ? small(file) : file);

/**
 * Takes a picture that comes with a job file. Its name must be its own sum, and it must be what this
 * Mulch would have kept.
 *
 * @throws Problem 422 when it is not
 */
export async function adoptPhoto(
  db: Database,
  store: PhotoStore,
  file: string,
  data: Buffer,
  now: Date,
): Promise<void> {
  if (await photoById(db.read, file)) return;
  if (createHash('sha256').update(data).digest('hex') !== file)
    throw notAPicture(`the picture ${file.slice(0, 8)} is damaged: its sum is another`);
  try {
    const image = sharp(data, { limitInputPixels: MOST_PIXELS, failOn: 'error' });
    const { format, width, height, exif } = await image.metadata();
    if (format !== 'webp' || exif)
      throw notAPicture(`the picture ${file.slice(0, 8)} was not kept by a Mulch`);
    const preview = await image
      .clone()
      .resize(SMALL_SIDE, SMALL_SIDE, { fit: 'inside', withoutEnlargement: true })
      .webp({ quality: 74 })
      .toBuffer();
    await keep(db, store, { data, preview, width, height }, now);
  } catch (error) {
    if (error instanceof Problem) throw error;
    throw notAPicture(`the picture ${file.slice(0, 8)} cannot be read`);
  }
}
