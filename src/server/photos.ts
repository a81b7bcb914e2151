import { createHash } from 'node:crypto';
import sharp from 'sharp';
import type { Database, Handle } from '../data/database';
import { deletePhoto, insertPhoto, photoById } from '../data/photos';
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
  const drawn = await anew(bytes).catch((error) => {
    if (error instanceof Problem) throw error;
    throw notAPicture('it cannot be read as a picture: it is broken off, or damaged');
  });
  return keep(db, store, drawn, now);
}

interface Drawn {
  data: Buffer;
  preview: Buffer;
  width: number;
  height: number;
}

const shrunk = (image: sharp.Sharp, side: number, quality: number) =>
  image.clone().resize(side, side, { fit: 'inside', withoutEnlargement: true }).webp({ quality });

/** A picture as it is kept, and its small one. */
async function anew(bytes: Uint8Array): Promise<Drawn> {
  const input = () => sharp(bytes, { limitInputPixels: MOST_PIXELS, failOn: 'error' });
  const { format, width, height } = await input().metadata();
  if (!format || !KINDS.has(format)) throw notAPicture('it is not a photograph that can be read here');
  if (width * height > MOST_PIXELS) throw notAPicture('it has more than 60 million pixels');
  const upright = input().rotate();
  const { data, info } = await shrunk(upright, LONG_SIDE, 82).toBuffer({ resolveWithObject: true });
  const preview = await shrunk(upright, SMALL_SIDE, 74).toBuffer();
  return { data, preview, width: info.width, height: info.height };
}

async function keep(db: Database, store: PhotoStore, p: Drawn, now: Date): Promise<KeptPhoto> {
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

/** A picture that comes with a job file. */
export interface Sent {
  file: string;
  data: Buffer;
}

/**
 * Looks at pictures that come with a job file, and keeps none of them yet. The name of each must be its own
 * sum, and it must be what this Mulch would have kept.
 *
 * @returns how to keep those that are not here
 * @throws Problem 422 when one is not
 */
export async function checkPhotos(
  db: Database,
  store: PhotoStore,
  sent: Sent[],
  now: Date,
): Promise<() => Promise<void>> {
  const fresh: Sent[] = [];
  for (const { file, data } of sent) {
    if (await photoById(db.read, file)) continue;
    if (createHash('sha256').update(data).digest('hex') !== file)
      throw notAPicture(`the picture ${file.slice(0, 8)} is damaged: its sum is another`);
    await asKept(file, data).catch((error) => {
      if (error instanceof Problem) throw error;
      throw notAPicture(`the picture ${file.slice(0, 8)} cannot be read`);
    });
    fresh.push({ file, data });
  }
  return async () => {
    for (const { file, data } of fresh) await keep(db, store, await asKept(file, data), now);
  };
}

/** A picture that a Mulch has kept before, with a small one made for it. */
async function asKept(file: string, data: Buffer): Promise<Drawn> {
  const image = sharp(data, { limitInputPixels: MOST_PIXELS, failOn: 'error' });
  const { format, width, height, exif } = await image.metadata();
  if (format !== 'webp' || exif) throw notAPicture(`the picture ${file.slice(0, 8)} was not kept by a Mulch`);
  return { data, preview: await shrunk(image, SMALL_SIDE, 74).toBuffer(), width, height };
}

/** Takes a picture away, and its small one. */
export async function removePhoto(db: Handle, store: PhotoStore, file: string): Promise<void> {
  await deletePhoto(db, file);
  await store.remove(file);
  await store.remove(small(file));
}
