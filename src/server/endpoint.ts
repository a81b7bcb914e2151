import type { ErrorObject } from 'ajv';
import type { APIContext, APIRoute } from 'astro';
import { Refusal } from '../core/refusal';
import { explain } from '../schemas/explain';
import { log } from './log';
import { Problem, problemResponse, refused } from './problem';

interface Guard<T> {
  (data: unknown): data is T;
  errors?: ErrorObject[] | null;
}

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

/** Reads a JSON body, bounded in size, and checks it against its schema. */
export async function readBody<T>(request: Request, guard: Guard<T>, megabytes = 1): Promise<T> {
  const type = request.headers.get('content-type') ?? '';
  if (!/^application\/([\w.+-]+\+)?json\b/.test(type)) {
    throw new Problem(415, 'Not JSON', 'send the body as application/json');
  }
  const bytes = await readBytes(request, megabytes);
  return checkJson(Buffer.from(bytes).toString('utf8'), guard);
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

/** Answers JSON. */
export const json = (data: unknown, status = 200, headers: Record<string, string> = {}): Response =>
  new Response(JSON.stringify(data), {
    status,
    headers: { 'content-type': 'application/json', 'cache-control': 'no-store', ...headers },
  });

/** Wraps a handler so that every failure leaves as problem+json, and only a fault of ours as a 500. */
export function endpoint(handle: (ctx: APIContext) => Promise<Response>): APIRoute {
  return async (ctx) => {
    try {
      return await handle(ctx);
    } catch (error) {
      if (error instanceof Problem) {
        const response = problemResponse(error);
        // What is left of a body that is too large is not read: the connection ends with the answer.
        if (error.status === 413) response.headers.set('connection', 'close');
        return response;
      }
      if (error instanceof Refusal) return problemResponse(refused(error));
      log.error({ err: error, url: ctx.url.pathname }, 'endpoint failed');
      return problemResponse(
        new Problem(
          500,
          'Fault in Mulch',
          'this is a fault of Mulch, not of yours. What was sent has not been kept',
        ),
      );
    }
  };
}
