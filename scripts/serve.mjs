// The server: static files from the build, everything else to the application.
import http from 'node:http';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import sirv from 'sirv';

process.env.NODE_ENV ??= 'production';
process.env.MULCH_ROOT ??= fileURLToPath(new URL('../', import.meta.url));
process.env.MULCH_THREAD ??= path.join(process.env.MULCH_ROOT, 'dist/thread/thread.mjs');
const host = process.env.HOST ?? '127.0.0.1';
const port = Number(process.env.PORT ?? 4321);

if (!['127.0.0.1', 'localhost', '::1'].includes(host)) {
  console.error(`HOST is ${host}: without sign-in Mulch listens on loopback only (127.0.0.1).`);
  process.exit(1);
}

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
    res.setHeader('content-security-policy', PLAIN_CSP);
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
const server = http.createServer(TIMES, (req, res) => {
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
});
server.on('error', (error) => {
  console.error(error.code === 'EADDRINUSE' ? `Port ${port} is in use. Set PORT to another one.` : error);
  process.exit(1);
});
server.listen(port, host, async () => {
  const url = `http://${host === '::1' ? '[::1]' : host}:${server.address().port}/`;
  // Opens the database and brings its tables up to date before anybody is told to come.
  const ready = await fetch(`${url}api/jobs`).catch(() => null);
  if (!ready?.ok) {
    const why = (await ready?.json().catch(() => null))?.detail ?? 'the line above says why';
    console.error(
      `Mulch cannot open its data in ${process.env.MULCH_DATA ?? './data'} (MULCH_DATA): ${why}.`,
    );
    process.exit(1);
  }
  console.log(`Mulch is at ${url}`);
});
for (const signal of ['SIGINT', 'SIGTERM']) {
  process.on(signal, () => {
    const end = async () => {
      await globalThis[Symbol.for('mulch.settle')]?.().catch((error) => console.error(error));
      process.exit(0);
    };
    server.close(end);
    server.closeIdleConnections();
    // Whoever still holds a connection does not keep it from ending.
    setTimeout(end, 3000).unref();
  });
}
