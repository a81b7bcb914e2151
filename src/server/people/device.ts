import { ulid } from 'ulid';
import type { Person } from '../../core/people';
import type { Database } from '../../data/database';
import { deviceById, deviceByToken, deviceSeen, insertDevice } from '../../data/people';
import { keptToken, newToken } from './token';

/** Days a device stays signed in. */
const DAYS = 30;
const DAY_MS = 86_400_000;
/** How often it is noted that a device was seen. */
const NOTED_MS = 600_000;

export const COOKIE = 'mulch-device';

/** Somebody at one device. */
export interface Here {
  person: Person;
  device: string;
}

const KINDS: [RegExp, string][] = [
  [/iPad/, 'iPad'],
  [/iPhone/, 'iPhone'],
  [/Android.*Mobile/, 'Android phone'],
  [/Android/, 'Android tablet'],
  [/CrOS/, 'Chromebook'],
  [/Mac OS X/, 'Mac'],
  [/Windows/, 'Windows'],
  [/Linux|X11/, 'Linux'],
];
const BROWSERS: [RegExp, string][] = [
  [/Firefox|FxiOS/, 'Firefox'],
  [/Edg/, 'Edge'],
  [/Chrom|CriOS/, 'Chrome'],
  [/Safari/, 'Safari'],
];

/** What a browser says it is, in two words. */
export function deviceWords(agent: string | null): string {
  const first = (list: [RegExp, string][]) => list.find(([p]) => p.test(agent ?? ''))?.[1];
  const [browser, kind] = [first(BROWSERS), first(KINDS)];
  if (!browser && !kind) return 'Another program';
  return [browser, kind].filter(Boolean).join(' on ');
}

/** The line that gives a browser its token, or takes it away. */
const cookie = (token: string, seconds: number, secure: boolean) =>
  `${COOKIE}=${token}; Path=/; Max-Age=${seconds}; HttpOnly; SameSite=Strict${secure ? '; Secure' : ''}`;

/** The line that takes the token of a browser away. */
export const noCookie = (secure: boolean): string => cookie('', 0, secure);

/**
 * Signs a device of somebody in.
 *
 * @returns the line that gives its browser the token
 */
export async function startDevice(
  db: Database,
  person: Person,
  { request, url }: { request: Request; url: URL },
  now: Date,
): Promise<string> {
  const token = newToken();
  const at = now.toISOString();
  await db.write((tx) =>
    insertDevice(tx, {
      id: ulid(),
      token: keptToken(token),
      person: person.id,
      words: deviceWords(request.headers.get('user-agent')),
      startedAt: at,
      seenAt: at,
      endsAt: new Date(now.getTime() + DAYS * DAY_MS).toISOString(),
    }),
  );
  return cookie(token, (DAYS * DAY_MS) / 1000, url.protocol === 'https:');
}

/** Who is at a browser that shows a token; null where it shows none that counts. */
export async function whoShows(db: Database, token: string | undefined, now: Date): Promise<Here | null> {
  if (!token) return null;
  const found = await deviceByToken(db.read, keptToken(token), now.toISOString());
  if (!found) return null;
  const { device, person } = found;
  if (now.getTime() - Date.parse(device.seenAt) > NOTED_MS)
    await db.write((tx) => deviceSeen(tx, device.id, now.toISOString())).catch(() => {});
  return { person, device: device.id };
}

/** Whether a device is still signed in. */
export const isSignedIn = async (db: Database, device: string, now: Date): Promise<boolean> =>
  (await deviceById(db.read, device, now.toISOString())) !== undefined;
