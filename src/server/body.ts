import { explain } from '../schemas/explain';
import type { Guard } from './guard';
import { Problem } from './problem';

const MEGABYTE = 1024 * 1024;

/** Reads a body, bounded in size. */
export async function readBytes(request: Request, megabytes: number): Promise<Uint8Array> {
  const limit = megabytes * MEGABYTE;
  const chunks: Uint8Array[] = [];
  let size = 0;
  if (request.body) {
    const reader = request.body.getReader();
    for (let r = await reader.read(); !r.done; r = await reader.read()) {
      size += r.value.byteLength;
      if (size > limit) {
        await reader.cancel();
        throw new Problem(413, 'Too large', `the body is over ${megabytes} MB`);
      }
      chunks.push(r.value);
    }
  }
  return Buffer.concat(chunks);
}

/** Reads the bytes of a JSON body, bounded in size. */
export async function readJsonBytes(request: Request, megabytes: number): Promise<Uint8Array> {
  const type = request.headers.get('content-type') ?? '';
  if (!/^application\/([\w.+-]+\+)?json\b/.test(type)) {
    throw new Problem(415, 'Not JSON', 'send the body as application/json');
  }
  return readBytes(request, megabytes);
}

/** Bytes as text. */
export const textOf = (bytes: Uint8Array): string =>
  Buffer.from(bytes.buffer, bytes.byteOffset, bytes.byteLength).toString('utf8');

/** Reads a JSON body, bounded in size, and checks it against its schema. */
export async function readBody<T>(request: Request, guard: Guard<T>, megabytes = 1): Promise<T> {
  return checkJson(textOf(await readJsonBytes(request, megabytes)), guard);
}

/** Parses text as JSON and checks it against its schema. */
export function checkJson<T>(text: string, guard: Guard<T>): T {
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch (error) {
    throw new Problem(400, 'Not JSON', `the body is not JSON: ${(error as Error).message}`);
  }
  if (!guard(data)) {
    const { path, reason } = explain(guard.errors);
    throw new Problem(400, 'Not as described', path ? `${path} ${reason}` : reason, path);
  }
  return data;
}
