import { spawn, spawnSync } from 'node:child_process';
import { createHash, X509Certificate } from 'node:crypto';
import { mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import tls from 'node:tls';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { startMulch } from '../e2e/mulch';
import { PASSCODES, registered, Visitor } from './fixtures/signed';

const root = mkdtempSync(path.join(tmpdir(), 'mulch-serve-'));
const nobody = path.join(root, 'nobody');
const people = path.join(root, 'people');

/** Starts it and waits until it gives up; what it says. */
const refused = (data: string, env: Record<string, string>) => {
  const { status, stderr } = spawnSync(process.execPath, ['scripts/serve.mjs'], {
    env: { ...process.env, NODE_ENV: 'production', PORT: '0', MULCH_DATA: data, MULCH_LOG: 'warn', ...env },
    encoding: 'utf8',
    timeout: 120_000,
  });
  return { status, stderr };
};
/** The certificate that is shown at an address. */
const shown = (url: string) =>
  new Promise<X509Certificate>((done, fail) => {
    const { hostname, port } = new URL(url);
    const socket = tls.connect({ host: hostname, port: Number(port), rejectUnauthorized: false }, () => {
      done(socket.getPeerX509Certificate() as X509Certificate);
      socket.end();
    });
    socket.on('error', fail);
  });

beforeAll(async () => {
  const mulch = await startMulch({ data: people });
  await registered(mulch.url);
  await mulch.kill();
});
afterAll(() => rmSync(root, { recursive: true, force: true }));

describe('beyond this machine', () => {
  it('it listens only with somebody registered and the way encrypted, or plain on purpose', async () => {
    const plain = refused(people, { HOST: '127.0.0.2' });
    expect([plain.status, plain.stderr]).toEqual([1, expect.stringContaining('nothing is encrypted')]);
    expect(plain.stderr).toContain('MULCH_PLAIN=yes');
    const empty = refused(nobody, { HOST: '127.0.0.2', MULCH_TLS: 'self' });
    expect([empty.status, empty.stderr]).toEqual([1, expect.stringContaining('nobody is registered')]);
    expect(empty.stderr).toContain('listens on loopback only');
    const away = refused(people, { HOST: '203.0.113.7', MULCH_PLAIN: 'yes' });
    expect(away.stderr).toContain('no such address');

    const mulch = await startMulch({ data: people, env: { HOST: '127.0.0.2', MULCH_PLAIN: 'yes' } });
    try {
      expect(mulch.url).toMatch(/^http:\/\/127\.0\.0\.2:\d+$/);
      const phone = new Visitor(mulch.url, '127.0.0.5');
      expect((await phone.ask('GET', '/api/jobs')).status).toBe(401);
      const { cookie, status } = await phone.signIn('Tomek', PASSCODES.bench);
      expect([status, cookie.includes('Secure')]).toEqual([200, false]);
      expect((await phone.ask('GET', '/api/jobs')).status).toBe(200);
      // A foreign name that is pointed here is not this Mulch.
      expect((await phone.ask('GET', '/api/jobs', undefined, { host: 'elsewhere.example' })).status).toBe(
        421,
      );
    } finally {
      await mulch.kill();
    }
  });

  it('it makes a certificate of its own once, tells its fingerprint, and marks the cookie secure', async () => {
    const env = { HOST: '127.0.0.2', MULCH_TLS: 'self', MULCH_NAMES: 'bench.example, ' };
    let said = '';
    const first = spawn(process.execPath, ['scripts/serve.mjs'], {
      env: {
        ...process.env,
        NODE_ENV: 'production',
        PORT: '0',
        MULCH_DATA: people,
        MULCH_LOG: 'warn',
        ...env,
      },
      stdio: ['ignore', 'pipe', 'inherit'],
    });
    await new Promise<void>((done) =>
      first.stdout.on('data', (d) => {
        said += d;
        if (said.includes('Fingerprint')) done();
      }),
    );
    const url = /(https:\/\/\S+?)\/\s/.exec(said)?.[1] ?? '';
    const certificate = await shown(url);
    // SHA-256 over the certificate as it came over the wire, by Node's own crypto.
    expect(said).toContain(certificate.fingerprint256);
    expect(certificate.fingerprint256.replaceAll(':', '').toLowerCase()).toBe(
      createHash('sha256').update(certificate.raw).digest('hex'),
    );
    for (const name of ['localhost', 'bench.example']) expect(certificate.checkHost(name)).toBe(name);
    for (const ip of ['127.0.0.1', '127.0.0.2']) expect(certificate.checkIP(ip)).toBe(ip);
    expect(certificate.verify(certificate.publicKey)).toBe(true);
    expect(statSync(path.join(people, 'tls', 'key.pem')).mode & 0o777).toBe(0o600);
    const phone = new Visitor(url, '127.0.0.5');
    expect((await phone.signIn('Tomek', PASSCODES.bench)).cookie).toContain('; Secure');
    expect((await phone.ask('GET', '/people')).text).toContain('Tomek');
    // A write from a page that came over the plain way is another origin.
    const plain = { origin: url.replace('https', 'http') };
    expect((await phone.ask('POST', '/api/sign-out', undefined, plain)).status).toBe(403);
    first.kill('SIGKILL');

    const again = await startMulch({ data: people, env });
    try {
      expect((await shown(again.url)).fingerprint256).toBe(certificate.fingerprint256);
      // Who was signed in stays signed in over a restart.
      const same = new Visitor(again.url, '127.0.0.5');
      same.cookie = phone.cookie;
      expect((await same.ask('GET', '/api/jobs')).status).toBe(200);
    } finally {
      await again.kill();
    }
  });

  it('files of one’s own are taken, and what is wrong with them is said', async () => {
    const cert = path.join(people, 'tls', 'cert.pem');
    const key = path.join(people, 'tls', 'key.pem');
    const bad = path.join(root, 'bad.pem');
    writeFileSync(bad, 'no certificate');
    const one = refused(people, { MULCH_TLS_CERT: cert });
    expect([one.status, one.stderr]).toEqual([1, expect.stringContaining('go together')]);
    expect(refused(people, { MULCH_TLS_CERT: cert, MULCH_TLS_KEY: `${key}.none` }).stderr).toContain(
      'cannot be read',
    );
    expect(refused(people, { MULCH_TLS_CERT: bad, MULCH_TLS_KEY: key }).stderr).toContain(
      'the certificate is none',
    );
    expect(refused(people, { MULCH_TLS_CERT: cert, MULCH_TLS_KEY: bad }).stderr).toContain(
      'do not belong together',
    );
    expect(refused(people, { MULCH_TLS: 'always' }).stderr).toContain('it is self, or nothing');
    const mulch = await startMulch({ data: nobody, env: { MULCH_TLS_CERT: cert, MULCH_TLS_KEY: key } });
    try {
      expect((await shown(mulch.url)).fingerprint256).toBe(
        new X509Certificate(readFileSync(cert)).fingerprint256,
      );
      expect((await new Visitor(mulch.url).ask('GET', '/api/jobs')).status).toBe(200);
    } finally {
      await mulch.kill();
    }
  });
});
