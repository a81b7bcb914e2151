import { BlockList, isIP } from 'node:net';
import type { Address } from './line';
import { Problem } from './problem';

/** Places that are never an instrument: link-local addresses, where machines in a cloud tell of themselves. */
const NEVER = new BlockList();
NEVER.addSubnet('169.254.0.0', 16, 'ipv4');
NEVER.addSubnet('fe80::', 10, 'ipv6');
NEVER.addAddress('fd00:ec2::254', 'ipv6');
NEVER.addSubnet('0.0.0.0', 8, 'ipv4');

const LOOPBACK = new BlockList();
LOOPBACK.addSubnet('127.0.0.0', 8, 'ipv4');
LOOPBACK.addAddress('::1', 'ipv6');

const family = (ip: string) => (isIP(ip) === 6 ? 'ipv6' : 'ipv4');

/** Whether a numeric address may not be talked to, whoever named it. An IPv4 written as IPv6 is that IPv4. */
export function isNever(ip: string): boolean {
  const plain = ip.replace(/^::ffff:(?=\d+\.)/i, '');
  return isIP(plain) !== 0 && NEVER.check(plain, family(plain));
}

/** Hosts that the machine's settings name, `name` or `name:port`. */
function named(): string[] {
  const { MULCH_INSTRUMENTS = '', MULCH_METER = '', MULCH_CONSOLE = '' } = process.env;
  return [MULCH_INSTRUMENTS, MULCH_METER, MULCH_CONSOLE]
    .join(',')
    .split(',')
    .map((a) => a.trim())
    .filter(Boolean);
}

/**
 * Lets an address through that a page asks for: one on this machine, or one that its settings name.
 *
 * @throws Problem 422 for any other, so that no page can make this machine knock at doors of its network
 */
export function demandAllowed({ host, port }: Address): void {
  if (isNever(host))
    throw new Problem(422, 'No instrument', `${host} is no place for an instrument`, '/address');
  const plain = host.replace(/^::ffff:(?=\d+\.)/i, '');
  if (host === 'localhost' || (isIP(plain) !== 0 && LOOPBACK.check(plain, family(plain)))) return;
  if (named().some((a) => a === host || a === `${host}:${port}` || a === `[${host}]:${port}`)) return;
  throw new Problem(
    422,
    'No instrument',
    `${host} is not among the instruments of this machine. Start Mulch with MULCH_INSTRUMENTS=${host} to let it be one`,
    '/address',
  );
}
