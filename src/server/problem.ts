import type { Refusal } from '../core/refusal';

/** A failure that a person or a program caused, as RFC 9457 wants it told. */
export class Problem extends Error {
  constructor(
    readonly status: number,
    readonly title: string,
    readonly detail: string,
    readonly path?: string,
    readonly event?: string,
  ) {
    super(detail);
    this.name = 'Problem';
  }
}

/** A rule of the core said no: nothing has changed. */
export const refused = (r: Refusal, path = r.path, event?: string): Problem =>
  new Problem(422, 'Refused', r.message, path || undefined, event);

/** Answers a problem as `application/problem+json`. */
export function problemResponse(p: Problem): Response {
  const { status, title, detail, path, event } = p;
  const body = Buffer.from(
    JSON.stringify({
      type: 'about:blank',
      title,
      status,
      detail,
      ...(path ? { path } : {}),
      ...(event ? { event } : {}),
    }),
  );
  return new Response(body, {
    status,
    headers: { 'content-type': 'application/problem+json', 'content-length': String(body.byteLength) },
  });
}
