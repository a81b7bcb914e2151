import QRCode from 'qrcode';
import type { Stop } from '../../core/job';
import type { Person } from '../../core/people';
import type { Database } from '../../data/database';
import { insertLink, personById, spendLink } from '../../data/people';
import { jobPath } from '../../schemas/job-path';
import { isLoopback } from '../addresses';
import type { From } from '../endpoint';
import { Problem } from '../problem';
import { keptToken, newToken } from './token';
import { beforeAnArrival } from './tries';

/** How long a link waits to be used. */
const MINUTES = 5;

/**
 * The address that another device finds this Mulch at: the one asked for, or, where that is the machine's
 * own, the one it was started with.
 *
 * @throws Problem 409 where it listens on its own machine only
 */
export function reachedAt(url: URL, at = process.env.MULCH_AT): string {
  for (const found of [url, at ? new URL(at) : null])
    if (found && !isLoopback(found.hostname)) return found.origin;
  throw new Problem(
    409,
    'On this machine only',
    'Mulch listens on this machine only: start it again with HOST=0.0.0.0 and MULCH_TLS=self',
  );
}

/** A way for one more device to come to a job. */
export interface Beside {
  /** what its code says */
  link: string;
  /** the code, as a drawing */
  code: string;
  /** how long it waits */
  seconds: number;
  /** of the certificate, where the way is encrypted by one of its own */
  fingerprint: string | null;
}

/**
 * Makes a link that brings one device more of somebody to a job: valid once, for five minutes. What it
 * says stands behind the address, so that it is sent to no server and written in no log on its way.
 */
export async function offerBeside(
  db: Database,
  { person, job, stop, at }: { person: Person; job: string; stop: Stop; at: string },
  now: Date,
): Promise<Beside> {
  const token = newToken();
  const endsAt = new Date(now.getTime() + MINUTES * 60_000).toISOString();
  await db.write((tx) =>
    insertLink(
      tx,
      { token: keptToken(token), person: person.id, to: jobPath(job, stop), endsAt, usedAt: null },
      now.toISOString(),
    ),
  );
  const link = `${at}/beside#${token}`;
  return {
    link,
    code: await QRCode.toString(link, { type: 'svg', margin: 2, errorCorrectionLevel: 'M' }),
    seconds: MINUTES * 60,
    fingerprint: process.env.MULCH_TLS_FINGERPRINT || null,
  };
}

/**
 * Uses a link up.
 *
 * @returns whose it was, and where it leads
 * @throws Problem 410 when it was used, is over or never was, 429 after too many tries
 */
export async function arrive(
  db: Database,
  token: string,
  { address }: From,
  now: Date,
): Promise<{ person: Person; to: string }> {
  await beforeAnArrival(address);
  const link = await db.write((tx) => spendLink(tx, keptToken(token), now.toISOString()));
  const person = link && (await personById(db.read, link.person));
  if (!person)
    throw new Problem(
      410,
      'Used or over',
      'this link was used already, or its five minutes are over: ask for a new one at the job, Beside this',
    );
  return { person: { id: person.id, name: person.name, role: person.role }, to: link.to };
}
