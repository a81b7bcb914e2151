import { defineMiddleware } from 'astro:middleware';
import type { MiddlewareHandler } from 'astro';
import { seedDemo } from './demo/seed';
import { isOwnAddress, knownNames } from './server/addresses';
import { answering } from './server/answer';
import { backUpNightly } from './server/backups';
import { database, whenOpened } from './server/context';
import { log } from './server/log';
import { COOKIE } from './server/people/device';
import { atTheDoor } from './server/people/door';
import { Problem, problemResponse } from './server/problem';

const demo = process.env.MULCH_DEMO;
if (demo === '1' || demo === 'years')
  whenOpened(async (db) => {
    if (await seedDemo(db, new Date(), demo === 'years')) log.info('seeded Saltmarsh Pier');
  });

whenOpened(async () => backUpNightly());

const FALLBACK_CSP =
  "default-src 'self'; style-src 'self' 'unsafe-inline'; object-src 'none'; base-uri 'none'; frame-ancestors 'none'";
/** Bytes that go over a network in one piece. */
const PACKET = 1400;
let names = knownNames();
/** Keeps a foreign name from being pointed here. */
function known(host: string | null): boolean {
  const name = (host ?? '').replace(/:\d+$/, '').toLowerCase();
  if (names.has(name)) return true;
  // A machine may get another address while Mulch runs.
  names = knownNames();
  return names.has(name);
}

/** A write from another site: browsers say where a request comes from, other programs need not. */
const foreign = (request: Request, here: URL) => {
  if (request.method === 'GET' || request.method === 'HEAD') return false;
  const origin = request.headers.get('origin');
  const site = request.headers.get('sec-fetch-site');
  if (site && site !== 'same-origin' && site !== 'none') return true;
  if (origin === null) return false;
  const from = new URL(origin);
  return from.host !== request.headers.get('host') || from.protocol !== here.protocol;
};

const guarded = (request: Request, here: URL): Response | null => {
  if (!known(request.headers.get('host'))) {
    return problemResponse(new Problem(421, 'Not this Mulch', 'ask for it by the address it is bound to'));
  }
  let from = true;
  try {
    from = foreign(request, here);
  } catch {
    // An Origin that is no address is foreign.
  }
  return from
    ? problemResponse(new Problem(403, 'Other origin', 'writes are taken from this Mulch only'))
    : null;
};

type Context = Parameters<MiddlewareHandler>[0];

/** Who comes in; answers what turns them away. */
async function turnedAway(ctx: Context): Promise<Response | null> {
  // A rewrite passes here twice.
  if (ctx.locals.asking) return null;
  const address = ctx.clientAddress;
  // The server takes what other programs say of the way away, and notes that there was one.
  const own = isOwnAddress(address) && !ctx.request.headers.has('x-mulch-forwarded');
  const door = await atTheDoor(
    await database(),
    { request: ctx.request, url: ctx.url, from: { address, own }, token: ctx.cookies.get(COOKIE)?.value },
    new Date(),
  );
  if (door.turned) return door.turned;
  ctx.locals.asking = door.asking;
  ctx.locals.registered = door.registered;
  return null;
}

const GOES_ON = new Response(null);

/** The same; a fault of the data is told to programs in words, and shown to people by its page. */
async function turned(ctx: Context): Promise<Response | null> {
  if (!ctx.url.pathname.startsWith('/api/')) return turnedAway(ctx);
  const answer = await answering(ctx.url.pathname, async () => (await turnedAway(ctx)) ?? GOES_ON);
  return answer === GOES_ON ? null : answer;
}

export const onRequest = defineMiddleware(async (ctx, next) => {
  const response = guarded(ctx.request, ctx.url) ?? (await turned(ctx)) ?? (await next());
  const { headers } = response;
  const csp = headers.get('content-security-policy');
  // Astro hashes its style tags, which would switch off the style attributes that drawings need.
  headers.set(
    'content-security-policy',
    csp ? csp.replace(/style-src [^;]*;/, "style-src 'self' 'unsafe-inline';") : FALLBACK_CSP,
  );
  headers.set('x-content-type-options', 'nosniff');
  headers.set('referrer-policy', 'same-origin');
  headers.set('cross-origin-opener-policy', 'same-origin');
  const type = headers.get('content-type') ?? '';
  const accepts = ctx.request.headers.get('accept-encoding') ?? '';
  // A rewrite passes here twice; its inner answer is packed already.
  if (headers.has('content-encoding')) return response;
  // What fits into one packet is not worth packing.
  const small = Number(headers.get('content-length') ?? Number.POSITIVE_INFINITY) < PACKET;
  if (
    !small &&
    response.body &&
    // What is told as it happens does not wait to be packed.
    !type.startsWith('text/event-stream') &&
    /^(text\/|application\/(problem\+)?json)/.test(type) &&
    accepts.includes('gzip')
  ) {
    const zipped = new Headers(headers);
    zipped.set('content-encoding', 'gzip');
    zipped.delete('content-length');
    zipped.append('vary', 'accept-encoding');
    return new Response(response.body.pipeThrough(new CompressionStream('gzip')), {
      status: response.status,
      statusText: response.statusText,
      headers: zipped,
    });
  }
  return response;
});
