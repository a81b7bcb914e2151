import { answering, json } from './answer';
import { readBody, readJsonBytes } from './body';
import type { Asked, Endpoint } from './endpoint';
import { ENDPOINTS } from './endpoints';
import { guardOf } from './guard';
import { Problem } from './problem';
import { beside } from './threads/beside';

/** A path with what varies in it named: `/api/jobs/{id}` reads `id`. */
const ROUTES = ENDPOINTS.map((endpoint) => ({
  endpoint,
  varies: endpoint.path.includes('{'),
  pattern: new RegExp(`^${endpoint.path.replaceAll('.', '\\.').replace(/\{(\w+)\}/g, '(?<$1>[^/]+)')}/?$`),
})).sort((a, b) => Number(a.varies) - Number(b.varies));

interface Found {
  endpoint: Endpoint;
  params: Record<string, string>;
}

function decoded(text: string): string {
  try {
    return decodeURIComponent(text);
  } catch {
    throw new Problem(400, 'Not as described', `“${text}” is no part of an address`);
  }
}

/**
 * The endpoint at an address.
 *
 * @throws Problem 404 when nothing is there, 405 when it takes other methods
 */
export function endpointAt(method: string, path: string): Found {
  const wanted = method === 'HEAD' ? 'get' : method.toLowerCase();
  const there = ROUTES.flatMap((r) => {
    const m = r.pattern.exec(path);
    return m ? [{ endpoint: r.endpoint, groups: m.groups ?? {} }] : [];
  });
  const found = there.find((t) => t.endpoint.method === wanted);
  if (found)
    return {
      endpoint: found.endpoint,
      params: Object.fromEntries(Object.entries(found.groups).map(([k, v]) => [k, decoded(v)])),
    };
  if (there.length)
    throw new Problem(
      405,
      'Not this way',
      `${path} takes ${there.map((t) => t.endpoint.method.toUpperCase()).join(' and ')}, not ${method}`,
    );
  throw new Problem(
    404,
    'No such address',
    `${method} ${path} is not known. /api/openapi.json lists what is`,
  );
}

/** The document that an endpoint takes, checked. */
async function bodyOf({ body, megabytes, reader }: Endpoint, request: Request): Promise<unknown> {
  if (!body) return null;
  if (!reader) return readBody(request, guardOf(body), megabytes);
  return beside(reader)({ bytes: await readJsonBytes(request, megabytes) });
}

/** What is known of who asks. */
export type Asking = Pick<Asked<null>, 'person' | 'device' | 'from'>;
/** A program on this machine, where nobody is registered. */
const NOBODY: Asking = { person: null, device: '', from: { address: '127.0.0.1', own: true } };

/** Answers a request to any endpoint. */
export function route(request: Request, asking: Asking = NOBODY): Promise<Response> {
  const url = new URL(request.url);
  return answering(url.pathname, async () => {
    const { endpoint, params } = endpointAt(request.method, url.pathname);
    const body = await bodyOf(endpoint, request);
    const headers = new Headers();
    const answer: unknown = await endpoint.handle({
      body: body as null,
      params,
      url,
      request,
      headers,
      ...asking,
    });
    const response = answer instanceof Response ? answer : json(answer, endpoint.status);
    headers.forEach((value, name) => {
      response.headers.append(name, value);
    });
    if (request.method !== 'HEAD') return response;
    // What would have been said goes on nowhere.
    await response.body?.cancel();
    return new Response(null, response);
  });
}
