import { Refusal } from '../core/refusal';
import { storeFaultOf } from '../data/store-fault';
import { log } from './log';
import { Problem, problemResponse, refused } from './problem';

/** Answers JSON. */
export const json = (data: unknown, status = 200, headers: Record<string, string> = {}): Response => {
  const body = Buffer.from(JSON.stringify(data));
  return new Response(body, {
    status,
    headers: {
      'content-type': 'application/json',
      'content-length': String(body.byteLength),
      'cache-control': 'no-store',
      ...headers,
    },
  });
};

/** A file name that every system takes. */
export const fileName = (text: string): string => text.replace(/[^\w.-]+/g, '_');

/**
 * Answers a file.
 *
 * @param data its bytes or text
 * @param type media type
 * @param name as it is offered; shown in the page instead of kept where `inline` is given
 */
export const file = (
  data: Uint8Array | string,
  type: string,
  name: string,
  how: 'attachment' | 'inline' = 'attachment',
): Response =>
  new Response(data as Uint8Array<ArrayBuffer> | string, {
    headers: {
      'content-type': type,
      'content-disposition': `${how}; filename="${name}"`,
      'cache-control': 'no-store',
    },
  });

export const CSV = 'text/csv; charset=utf-8';
export const PDF = 'application/pdf';
export const SVG = 'image/svg+xml; charset=utf-8';

/** Every failure leaves as problem+json, and only a fault of ours as a 500. */
export async function answering(address: string, handle: () => Promise<Response>): Promise<Response> {
  try {
    return await handle();
  } catch (error) {
    if (error instanceof Problem) {
      const response = problemResponse(error);
      // What is left of a body that is too large is not read: the connection ends with the answer.
      if (error.status === 413) response.headers.set('connection', 'close');
      return response;
    }
    if (error instanceof Refusal) return problemResponse(refused(error));
    const fault = storeFaultOf(error);
    log.error({ err: error, url: address }, fault ? 'the data cannot be kept' : 'endpoint failed');
    if (fault)
      return problemResponse(new Problem(fault.kind === 'full' ? 507 : 503, 'Not kept', fault.message));
    return problemResponse(
      new Problem(
        500,
        'Fault in Mulch',
        'this is a fault of Mulch, not of yours. What was sent has not been kept',
      ),
    );
  }
}
