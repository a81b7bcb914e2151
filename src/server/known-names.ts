import { hostname, networkInterfaces } from 'node:os';

const LOOPBACK = ['127.0.0.1', 'localhost', '[::1]'];

/** Addresses of this machine in its networks, as they stand in an address line. */
export const ownAddresses = (): string[] =>
  Object.values(networkInterfaces())
    .flatMap((list) => list ?? [])
    .filter((a) => !a.internal && !a.address.startsWith('fe80'))
    .map((a) => (a.family === 'IPv6' ? `[${a.address}]` : a.address));

/**
 * Names that this Mulch may be asked for by: loopback, what HOST names, and, beyond loopback, the
 * addresses and the name of the machine and what MULCH_NAMES adds.
 */
export function knownNames(env: NodeJS.ProcessEnv = process.env): Set<string> {
  const host = (env.HOST ?? '127.0.0.1').toLowerCase();
  const beyond = !['127.0.0.1', 'localhost', '::1'].includes(host);
  return new Set([
    ...LOOPBACK,
    host,
    ...(beyond ? [...ownAddresses(), hostname().toLowerCase(), `${hostname().toLowerCase()}.local`] : []),
    ...(env.MULCH_NAMES ?? '')
      .split(',')
      .map((n) => n.trim().toLowerCase())
      .filter((n) => n !== ''),
  ]);
}
