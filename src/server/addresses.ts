import { hostname, networkInterfaces } from 'node:os';

/** Names by which a machine asks itself, as they stand in an address line. */
const LOOPBACK = ['127.0.0.1', 'localhost', '[::1]'];

/** Whether only the machine itself can come by a name. */
export const isLoopback = (name: string): boolean => LOOPBACK.includes(name) || name === '::1';

/** Whether a request comes from the machine that Mulch runs on. */
export const isOwnAddress = (address: string): boolean => isLoopback(address.replace(/^::ffff:/, ''));

/** Addresses of this machine in its networks, as they stand in an address line. */
const ownAddresses = (): string[] =>
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
  const name = hostname().toLowerCase();
  return new Set([
    ...LOOPBACK,
    host,
    ...(isLoopback(host) ? [] : [...ownAddresses(), name, `${name}.local`]),
    ...(env.MULCH_NAMES ?? '')
      .split(',')
      .map((n) => n.trim().toLowerCase())
      .filter((n) => n !== ''),
  ]);
}
