import { createHash } from 'node:crypto';
import { createReadStream } from 'node:fs';
import { open } from 'node:fs/promises';
import { pipeline } from 'node:stream/promises';
import { createGunzip } from 'node:zlib';
import { Parser, type ReadEntry } from 'tar';
import { Refusal } from '../core/refusal';
import { MANIFEST, type Manifest, readManifest } from './manifest';

/** What every backup begins with: packed by gzip, at level 1, without time and system. */
const BEGINS = Buffer.from([0x1f, 0x8b, 8, 0, 0, 0, 0, 0, 4, 255]);

/** What was found out about a backup: nothing is wrong where `faults` is empty. */
export interface Verified {
  manifest: Manifest | null;
  faults: string[];
}

async function beginsRight(file: string): Promise<boolean> {
  const handle = await open(file, 'r').catch(() => {
    throw new Refusal(`${file} is not there, or cannot be read`);
  });
  try {
    const { buffer, bytesRead } = await handle.read(Buffer.alloc(BEGINS.length), 0, BEGINS.length, 0);
    return bytesRead === BEGINS.length && buffer.equals(BEGINS);
  } finally {
    await handle.close();
  }
}

/**
 * Reads a backup from end to end and holds every file of it against its sum.
 *
 * @param file the backup
 * @returns what it says of itself, and what is wrong with it
 * @throws Refusal when there is no such file
 */
export async function verifyBackup(file: string): Promise<Verified> {
  if (!(await beginsRight(file))) return { manifest: null, faults: ['it is no backup of a Mulch'] };
  const sums = new Map<string, { sha256: string; bytes: number }>();
  let text = '';
  const faults: string[] = [];
  const onReadEntry = (entry: ReadEntry) => {
    const hash = createHash('sha256');
    let bytes = 0;
    entry.on('data', (chunk: Buffer) => {
      hash.update(chunk);
      bytes += chunk.length;
      if (entry.path === MANIFEST) text += chunk.toString('utf8');
    });
    entry.on('end', () => sums.set(entry.path, { sha256: hash.digest('hex'), bytes }));
  };
  try {
    // Unpacked by itself, so that the sum at the end of the file counts too.
    await pipeline(createReadStream(file), createGunzip(), async (chunks) => {
      const parser = new Parser({ strict: true, onReadEntry });
      const ended = new Promise<void>((done, fail) => {
        parser.once('end', done);
        // A damaged head may be told several times over, also when nobody is waiting for the end.
        parser.on('error', fail);
      });
      ended.catch(() => {});
      for await (const chunk of chunks)
        if (!parser.write(chunk)) await Promise.race([new Promise((r) => parser.once('drain', r)), ended]);
      parser.end();
      await ended;
    });
  } catch (error) {
    faults.push(`it is damaged or cut short: ${(error as Error).message}`);
  }
  const manifest = readManifest(text);
  if (!manifest) return { manifest, faults: [...faults, 'what it says of itself is missing or damaged'] };
  for (const { path, bytes, sha256 } of manifest.files) {
    const there = sums.get(path);
    if (!there) faults.push(`${path} is missing`);
    else if (there.sha256 !== sha256 || there.bytes !== bytes) faults.push(`${path} is damaged`);
  }
  const named = new Set([MANIFEST, ...manifest.files.map((f) => f.path)]);
  for (const path of sums.keys()) if (!named.has(path)) faults.push(`${path} does not belong to it`);
  return { manifest, faults };
}
