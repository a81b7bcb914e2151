// What encrypts the way between a device and Mulch: files of one's own, or a certificate made here.
import { createHash, createPrivateKey, X509Certificate } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { isIP } from 'node:net';
import path from 'node:path';
import selfsigned from 'selfsigned';

const DAYS = 825;
const DAY_MS = 86_400_000;

/** A key and a certificate from files, or the reason why they do not serve. */
function fromFiles(cert, key) {
  if (!cert || !key) throw new Error('MULCH_TLS_CERT and MULCH_TLS_KEY go together: name both files');
  try {
    return { cert: readFileSync(cert, 'utf8'), key: readFileSync(key, 'utf8') };
  } catch (error) {
    throw new Error(`the certificate cannot be read: ${error.message}`);
  }
}

/** A certificate of this Mulch's own, made once and kept beside its data. */
async function ownCertificate(folder, names) {
  const at = { cert: path.join(folder, 'tls', 'cert.pem'), key: path.join(folder, 'tls', 'key.pem') };
  if (existsSync(at.cert) && existsSync(at.key)) {
    const kept = fromFiles(at.cert, at.key);
    if (new Date(new X509Certificate(kept.cert).validTo) > new Date()) return kept;
  }
  const from = new Date();
  const made = await selfsigned.generate([{ name: 'commonName', value: 'Mulch on this bench' }], {
    keyType: 'ec',
    curve: 'P-256',
    algorithm: 'sha256',
    notBeforeDate: from,
    notAfterDate: new Date(from.getTime() + DAYS * DAY_MS),
    extensions: [
      { name: 'basicConstraints', cA: false, critical: true },
      { name: 'keyUsage', digitalSignature: true, critical: true },
      { name: 'extKeyUsage', serverAuth: true },
      {
        name: 'subjectAltName',
        altNames: names.map((n) => (isIP(n) ? { type: 7, ip: n } : { type: 2, value: n })),
      },
    ],
  });
  mkdirSync(path.dirname(at.cert), { recursive: true, mode: 0o700 });
  writeFileSync(at.key, made.private, { mode: 0o600 });
  writeFileSync(at.cert, made.cert);
  return { cert: made.cert, key: made.private };
}

/** The fingerprint of a certificate as browsers show it: SHA-256 in pairs. */
export const fingerprintOf = (cert) =>
  createHash('sha256')
    .update(new X509Certificate(cert).raw)
    .digest('hex')
    .toUpperCase()
    .match(/../g)
    .join(':');

/**
 * What the settings of the machine say about encryption: key, certificate and fingerprint, or null for none.
 *
 * @throws Error with the reason in words
 */
export async function encryption(env, folder, names) {
  const { MULCH_TLS: mode, MULCH_TLS_CERT: cert, MULCH_TLS_KEY: key } = env;
  if (mode && mode !== 'self') throw new Error(`MULCH_TLS is ${mode}: it is self, or nothing`);
  const made =
    cert || key ? fromFiles(cert, key) : mode === 'self' ? await ownCertificate(folder, names) : null;
  if (!made) return null;
  let fingerprint = '';
  try {
    fingerprint = fingerprintOf(made.cert);
  } catch (error) {
    throw new Error(`the certificate is none: ${error.message}`);
  }
  let fits = false;
  try {
    fits = new X509Certificate(made.cert).checkPrivateKey(createPrivateKey(made.key));
  } catch {
    // A key that cannot be read is that of nothing.
  }
  if (!fits) throw new Error('the certificate and the key do not belong together');
  return { ...made, fingerprint };
}
