import { createHash } from 'node:crypto';
import { createReadStream } from 'node:fs';
import { pipeline } from 'node:stream/promises';

/** What is in a backup, and how each file of it can be known again. */
export interface Manifest {
  format: 'mulch backup';
  version: 1;
  madeAt: string;
  /** the last change of the tables that the database has seen */
  tables: number;
  jobs: number;
  entries: number;
  /** pictures that the database names and that were not there */
  missing: string[];
  files: { path: string; bytes: number; sha256: string }[];
  /** SHA-256 of all of the above */
  sum: string;
}

export const MANIFEST = 'manifest.json';

/** SHA-256 of a file, read piece by piece. */
export async function sumOf(file: string): Promise<string> {
  const hash = createHash('sha256');
  await pipeline(createReadStream(file), hash);
  return hash.digest('hex');
}

const over = (m: Omit<Manifest, 'sum'>) => createHash('sha256').update(JSON.stringify(m)).digest('hex');

/** A manifest with the sum over itself. */
export const summed = (m: Omit<Manifest, 'sum'>): Manifest => ({ ...m, sum: over(m) });

/** Reads a manifest; null when it is none, or not as it was written. */
export function readManifest(text: string): Manifest | null {
  try {
    const { sum, ...rest } = JSON.parse(text) as Manifest;
    return rest.format === 'mulch backup' && rest.version === 1 && over(rest) === sum
      ? { ...rest, sum }
      : null;
  } catch {
    return null;
  }
}
