// The server: static files from the build, everything else to the application.
import http from 'node:http';
import https from 'node:https';
import { hostname, networkInterfaces } from 'node:os';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import sirv from 'sirv';
import { encryption } from './tls.mjs';

process.env.NODE_ENV ??= 'production';
process.env.MULCH_ROOT ??= fileURLToPath(new URL('../', import.meta.url));
process.env.MULCH_THREAD ??= path.join(process.env.MULCH_ROOT, 'dist/thread/thread.mjs');
const host = process.env.HOST ?? '127.0.0.1';
const port = Number(process.env.PORT ?? 4321);

const data = process.env.MULCH_DATA ?? './data';
/** Other machines can come to it. */
const beyond = !['127.0.0.1', 'localhost', '::1'].includes(host);

function refuse(why) {
  console.error(why);
  process.exit(1);
}

/** Addresses of this machine in its networks; its first is the one other devices are told. */
const own = Object.values(networkInterfaces())
  .flatMap((list) => list ?? [])
  .filter((a) => !a.internal && a.family === 'IPv4')
  .map((a) => a.address);
const everywhere = host === '0.0.0.0' || host === '::';
const names = [
  ...new Set(
    [
      'localhost',
      '127.0.0.1',
      ...(everywhere ? [] : [host]),
      ...(beyond ? [...own, hostname()] : []),
      ...(process.env.MULCH_NAMES ?? '').split(',').map((n) => n.trim()),
    ].filter((n) => n !== ''),
  ),
];
const tls = await encryption(process.env, data, names).catch((error) => refuse(`${error.message}.`));
if (beyond && !tls && process.env.MULCH_PLAIN !== 'yes')
  refuse(
    `HOST is ${host}, and nothing is encrypted: whoever is in the same network could read passcodes and pictures ` +
      'on their way, and act as somebody else. Set MULCH_TLS=self, or MULCH_TLS_CERT and MULCH_TLS_KEY; ' +
      'MULCH_PLAIN=yes goes without, where nobody else is in the network.',
  );
process.env.MULCH_TLS_FINGERPRINT = tls?.fingerprint ?? '';

/** Files that need more than to be read: a worker fetches for its pages, and is bound by its own policy. */
const OWN_CSP = {
  '/sw.js': "default-src 'none'; connect-src 'self'; script-src 'self'",
  '/not-kept.html': "default-src 'none'; style-src 'self'; frame-ancestors 'none'",
};
const PLAIN_CSP = "default-src 'none'; frame-ancestors 'none'";

const { handler } = await import('../dist/server/entry.mjs');
const files = sirv(path.join(process.env.MULCH_ROOT, 'dist/client'), {
  // Looks at the disk for each request: a build replaced under a running server is a 404, not its end.
  dev: true,
  etag: true,
  gzip: true,
  brotli: true,
  dotfiles: false,
  setHeaders(res, at) {
    res.setHeader('content-security-policy', OWN_CSP[at] ?? PLAIN_CSP);
    res.setHeader(
      'cache-control',
      at.startsWith('/_astro/') ? 'public, max-age=31536000, immutable' : 'no-cache',
    );
  },
});
function nothing(res, error) {
  if (error) console.error(error);
  if (res.headersSent) return res.destroy();
  res.setHeader('content-security-policy', PLAIN_CSP);
  res.statusCode = error ? 500 : 404;
  res.end(error ? 'Mulch could not answer this. The log says why.' : 'There is nothing here.');
}
/** Whoever begins a request and does not end it does not hold a place for long. */
const TIMES = { headersTimeout: 10_000, requestTimeout: 300_000, connectionsCheckingInterval: 2_000 };
/** On every answer, whoever gives it. */
const HEADERS = {
  'x-content-type-options': 'nosniff',
  'referrer-policy': 'same-origin',
  'cross-origin-opener-policy': 'same-origin',
};
/** What other programs on the way say of a request; anybody could say it. */
const BY_THE_WAY = [
  'forwarded',
  'x-forwarded-for',
  'x-forwarded-host',
  'x-forwarded-port',
  'x-forwarded-proto',
];

function answer(req, res) {
  const passedOn = BY_THE_WAY.some((name) => req.headers[name] !== undefined);
  for (const name of [...BY_THE_WAY, 'x-mulch-forwarded']) delete req.headers[name];
  if (passedOn) req.headers['x-mulch-forwarded'] = 'yes';
  for (const [name, value] of Object.entries(HEADERS)) res.setHeader(name, value);
  // A part of a file is never needed, and a range turned round would throw where nobody catches it.
  delete req.headers.range;
  // Methods a Request cannot be made of; all others are the endpoints' to answer.
  if (req.method === 'TRACE' || req.method === 'TRACK') {
    res.setHeader('content-security-policy', PLAIN_CSP);
    res.writeHead(405, { allow: 'GET, HEAD, POST, PUT, PATCH, DELETE, OPTIONS' });
    return res.end();
  }
  try {
    files(req, res, () => handler(req, res, (error) => nothing(res, error)));
  } catch (error) {
    nothing(res, error);
  }
}

/** Listens; answers the port. */
const listening = (server, at, on) =>
  new Promise((done) => {
    server.on('error', (error) => {
      const { code } = error;
      refuse(
        code === 'EADDRINUSE'
          ? `Port ${at} is in use. Set PORT to another one.`
          : code === 'EADDRNOTAVAIL'
            ? `HOST is ${on}: this machine has no such address.`
            : error,
      );
    });
    server.listen(at, on, () => done(server.address().port));
  });

// Opens the database and brings its tables up to date before anybody is told to come, and asks who may.
const inside = http.createServer(answer);
const ready = await fetch(
  `http://127.0.0.1:${await listening(inside, 0, '127.0.0.1')}/api/people/first`,
).catch(() => null);
const told = await ready?.json().catch(() => null);
inside.close();
inside.closeAllConnections();
if (!ready?.ok)
  refuse(`Mulch cannot open its data in ${data} (MULCH_DATA): ${told?.detail ?? 'the line above says why'}.`);
if (beyond && !told.registered)
  refuse(
    `HOST is ${host}, and nobody is registered: without sign-in Mulch listens on loopback only (127.0.0.1). ` +
      'Start it without HOST, register the first person under People, then start it again.',
  );

const server = tls
  ? https.createServer({ ...TIMES, key: tls.key, cert: tls.cert }, answer)
  : http.createServer(TIMES, answer);
// Before anybody is told where it is: whoever stops it at once finds it ready to end well.
for (const signal of ['SIGINT', 'SIGTERM']) {
  process.on(signal, () => {
    const end = async () => {
      await globalThis[Symbol.for('mulch.settle')]?.().catch((error) => console.error(error));
      process.exit(0);
    };
    // Whoever listens to a job is told that this ends.
    globalThis[Symbol.for('mulch.ending')]?.();
    server.close(end);
    // A connection whose answer has just ended becomes idle a moment later.
    setInterval(() => server.closeIdleConnections(), 50);
    // Whoever still holds a connection does not keep it from ending.
    setTimeout(end, 3000).unref();
  });
}
const bound = await listening(server, port, host);
const at = (name) => `${tls ? 'https' : 'http'}://${name.includes(':') ? `[${name}]` : name}:${bound}`;
/** What other devices are told. */
process.env.MULCH_AT = at(everywhere ? (own[0] ?? '127.0.0.1') : host);
console.log(`Mulch is at ${at(everywhere ? '127.0.0.1' : host)}/`);
if (everywhere) for (const name of own) console.log(`  and at ${at(name)}/`);
if (tls) console.log(`Fingerprint of its certificate (SHA-256): ${tls.fingerprint}`);
