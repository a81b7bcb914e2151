// The server: static files from the build, everything else to the application.
import http from 'node:http';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import sirv from 'sirv';

process.env.NODE_ENV ??= 'production';
process.env.MULCH_ROOT ??= fileURLToPath(new URL('../', import.meta.url));
const host = process.env.HOST ?? '127.0.0.1';
const port = Number(process.env.PORT ?? 4321);

if (!['127.0.0.1', 'localhost', '::1'].includes(host)) {
  console.error(`HOST is ${host}: without sign-in Mulch listens on loopback only (127.0.0.1).`);
  process.exit(1);
}

const { handler } = await import('../dist/server/entry.mjs');
const files = sirv(path.join(process.env.MULCH_ROOT, 'dist/client'), {
  etag: true,
  gzip: true,
  brotli: true,
  dotfiles: false,
  setHeaders(res, at) {
    res.setHeader('x-content-type-options', 'nosniff');
    res.setHeader('content-security-policy', "default-src 'none'; frame-ancestors 'none'");
    res.setHeader(
      'cache-control',
      at.startsWith('/_astro/') ? 'public, max-age=31536000, immutable' : 'no-cache',
    );
  },
});
const server = http.createServer((req, res) =>
  files(req, res, () =>
    handler(req, res, (error) => {
      if (error) console.error(error);
      res.statusCode = error ? 500 : 404;
      res.end(error ? 'Mulch could not answer this. The log says why.' : 'There is nothing here.');
    }),
  ),
);
server.on('error', (error) => {
  console.error(error.code === 'EADDRINUSE' ? `Port ${port} is in use. Set PORT to another one.` : error);
  process.exit(1);
});
server.listen(port, host, async () => {
  const url = `http://${host === '::1' ? '[::1]' : host}:${server.address().port}/`;
  // Opens the database and brings its tables up to date before anybody is told to come.
  const ready = await fetch(`${url}api/jobs`).catch(() => null);
  if (!ready?.ok) {
    console.error('Mulch cannot open its data. The line above says why; MULCH_DATA names the folder.');
    process.exit(1);
  }
  console.log(`Mulch is at ${url}`);
});
for (const signal of ['SIGINT', 'SIGTERM']) {
  process.on(signal, () => {
    server.close(() => process.exit(0));
    server.closeIdleConnections();
    setTimeout(() => process.exit(0), 3000).unref();
  });
}
