import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type Database, openDatabase } from '../src/data/database';
import { removePerson } from '../src/data/people';
import { arrive, offerBeside, reachedAt } from '../src/server/people/beside';
import { addPerson } from '../src/server/people/people';
import { Problem } from '../src/server/problem';

const folder = mkdtempSync(path.join(tmpdir(), 'mulch-links-'));
const now = new Date('2026-11-27T10:00:00Z');
const later = (seconds: number) => new Date(now.getTime() + seconds * 1000);
const from = (address: string) => ({ address, own: false });
let db: Database;

beforeAll(async () => {
  db = await openDatabase({ folder, migrations: path.resolve('drizzle') });
});
afterAll(async () => {
  await db.settle();
  rmSync(folder, { recursive: true, force: true });
});

const person = (name: string) => addPerson(db, { name, role: 'bench', passcode: 'long enough' }, now);
const offered = async (who: Awaited<ReturnType<typeof person>>) => {
  const { link, seconds } = await offerBeside(
    db,
    { person: who, job: '01ARZ3NDEKTSV4RRFFQ69G5FAV', stop: 'open up', at: 'https://192.0.2.7:4321' },
    now,
  );
  return { token: new URL(link).hash.slice(1), link, seconds };
};
const status = (work: Promise<unknown>) =>
  work.then(
    () => 200,
    (e) => (e instanceof Problem ? e.status : e),
  );

describe('a link for one device more', () => {
  it('leads to its job at its stop, for its person, once', async () => {
    const ines = await person('Ines');
    const { token, link, seconds } = await offered(ines);
    expect(link).toBe(`https://192.0.2.7:4321/beside#${token}`);
    expect(seconds).toBe(300);
    const came = await arrive(db, token, from('192.0.2.9'), later(299));
    expect(came).toEqual({ person: ines, to: '/jobs/01ARZ3NDEKTSV4RRFFQ69G5FAV/open-up' });
    expect(await status(arrive(db, token, from('192.0.2.9'), later(299)))).toBe(410);
  });
  it('is over after five minutes, and with its person', async () => {
    const tomek = await person('Tomek');
    const { token } = await offered(tomek);
    expect(await status(arrive(db, token, from('192.0.2.10'), later(301)))).toBe(410);
    const other = await offered(tomek);
    await db.write((tx) => removePerson(tx, tomek.id));
    expect(await status(arrive(db, other.token, from('192.0.2.10'), later(1)))).toBe(410);
  });
  it('two who use it at once: one of them is let in', async () => {
    const { token } = await offered(await person('Rosa'));
    const both = await Promise.all(
      ['192.0.2.11', '192.0.2.12'].map((a) => status(arrive(db, token, from(a), later(1)))),
    );
    expect(both.sort()).toEqual([200, 410]);
  });
  it('is not to be guessed: it has 256 bits, and an address that tries is shut', async () => {
    const { token } = await offered(await person('Lev'));
    // 32 bytes as base64url, RFC 4648, 5: 43 signs without padding.
    expect(token).toMatch(/^[\w-]{43}$/);
    expect(Buffer.from(token, 'base64url')).toHaveLength(32);
    const guesses = await Promise.all(
      Array.from({ length: 30 }, (_, i) => status(arrive(db, `guess ${i}`, from('192.0.2.13'), later(1)))),
    );
    expect(guesses.filter((s) => s === 410)).toHaveLength(20);
    expect(guesses.filter((s) => s === 429)).toHaveLength(10);
    expect(await status(arrive(db, token, from('192.0.2.13'), later(1)))).toBe(429);
    expect(await status(arrive(db, token, from('192.0.2.14'), later(1)))).toBe(200);
  });
  it('says an address that another device finds, or that there is none', () => {
    const at = (asked: string, started?: string) => reachedAt(new URL(asked), started);
    expect(at('https://192.0.2.7:4321/api/x')).toBe('https://192.0.2.7:4321');
    expect(at('https://127.0.0.1:4321/api/x', 'https://192.0.2.7:4321')).toBe('https://192.0.2.7:4321');
    expect(() => at('http://127.0.0.1:4321/', 'http://127.0.0.1:4321')).toThrow('on this machine only');
  });
});
