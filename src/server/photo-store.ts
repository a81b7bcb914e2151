import { mkdir, readFile, rename, rm, writeFile } from 'node:fs/promises';
import path from 'node:path';
import { ulid } from 'ulid';
import { keeping } from '../data/store-fault';

/** Where pictures lie. One folder now; anything that keeps bytes under a name can take its place. */
export interface PhotoStore {
  put(name: string, bytes: Uint8Array): Promise<void>;
  get(name: string): Promise<Uint8Array | null>;
  /** takes it away, where it is there */
  remove(name: string): Promise<void>;
}

/** Pictures in a folder. A file is written beside its place and moved there, so that it is whole or not there. */
export function folderStore(folder: string): PhotoStore {
  const place = (name: string) => path.join(folder, name.slice(0, 2), name);
  return {
    async put(name, bytes) {
      const to = place(name);
      // The same picture may be on its way more than once.
      const half = `${to}.${ulid()}.half`;
      await keeping(async () => {
        await mkdir(path.dirname(to), { recursive: true });
        try {
          await writeFile(half, bytes);
          await rename(half, to);
        } catch (error) {
          await rm(half, { force: true }).catch(() => {});
          throw error;
        }
      });
    },
    remove: (name) => keeping(() => rm(place(name), { force: true })),
    async get(name) {
      try {
        return await readFile(place(name));
      } catch (error) {
        if ((error as NodeJS.ErrnoException).code === 'ENOENT') return null;
        throw error;
      }
    },
  };
}

/** The store of this process. */
export const photoStore = (): PhotoStore =>
  folderStore(path.join(process.env.MULCH_DATA ?? './data', 'photos'));
