import { spawnSync } from 'node:child_process';
import { mkdtempSync, readdirSync, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { ulid } from 'ulid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type Running, startMulch } from '../e2e/mulch';
import { type Role, reaches } from '../src/core/people';
import { ENDPOINTS } from '../src/server/endpoints';
import { note } from './fixtures/entries';
import { PASSCODES, registered, Visitor } from './fixtures/signed';

const root = mkdtempSync(path.join(tmpdir(), 'mulch-people-'));
const data = path.join(root, 'data');
let mulch: Running;
let people: Record<Role, Visitor>;

beforeAll(async () => {
  mulch = await startMulch({ demo: true, data, env: { MULCH_BACKUPS: 'no' } });
});
afterAll(async () => {
  await mulch.stop();
  rmSync(root, { recursive: true, force: true });
});

/** Pages of the build, each with something in the place of what varies. */
const PAGES = readdirSync('src/pages', { recursive: true, encoding: 'utf8' })
  .filter((f) => f.endsWith('.astro') && !f.startsWith('[...'))
  .map(
    (f) =>
      `/${f
        .replace(/\.astro$/, '')
        .replace(/\[[^\]]+\]/g, 'x1')
        .replace(/(^|\/)index$/, '')}`,
  );
const OPEN = ['/sign-in', '/beside', '/404', '/500'];

describe('while nobody is registered', () => {
  it('nothing is asked', async () => {
    const anybody = new Visitor(mulch.url);
    expect((await anybody.ask('GET', '/')).status).toBe(200);
    expect((await anybody.ask('GET', '/api/jobs')).status).toBe(200);
    expect((await anybody.ask('GET', '/people')).text).toContain('Nobody is registered');
    expect((await anybody.ask('GET', '/sign-in')).location).toBe('/people');
    expect((await anybody.ask('GET', '/api/people/first')).body).toEqual({ registered: false });
    for (const [method, at] of [
      ['POST', '/api/people'],
      ['PUT', '/api/people/x1'],
      ['DELETE', '/api/people/x1'],
      ['PUT', '/api/people/x1/passcode'],
      ['PUT', '/api/passcode'],
      ['DELETE', '/api/devices/x1'],
    ] as const) {
      const body = at.endsWith('passcode')
        ? at === '/api/passcode'
          ? { now: 'a', next: 'b' }
          : { passcode: 'a' }
        : { name: 'Ines', role: 'lead', passcode: 'long enough' };
      const sent = method === 'DELETE' ? undefined : at === '/api/people/x1' ? { role: 'lead' } : body;
      expect((await anybody.ask(method, at, sent)).status, `${method} ${at}`).toBe(409);
    }
    expect((await anybody.ask('GET', '/api/devices')).body).toEqual([]);
  });
  it('the first is registered on the machine itself, and no other way', async () => {
    const who = { name: 'Mallory', passcode: 'let me in please' };
    const other = await new Visitor(mulch.url, '127.0.0.2').ask('POST', '/api/people/first', who);
    expect(other.status).toBe(403);
    expect(other.text).toContain('on the machine that Mulch runs on');
    const here = new Visitor(mulch.url);
    // Through another program it may be anybody, whatever that program says of it.
    for (const line of ['x-forwarded-for', 'forwarded', 'x-forwarded-host'])
      expect((await here.ask('POST', '/api/people/first', who, { [line]: '127.0.0.1' })).status).toBe(403);
    const short = await here.ask('POST', '/api/people/first', { ...who, passcode: 'short' });
    expect([short.status, (short.body as { path: string }).path]).toEqual([422, '/passcode']);
    expect((await here.ask('POST', '/api/people/first', { ...who, name: '  ' })).status).toBe(422);
    expect((await here.ask('GET', '/api/people/first')).body).toEqual({ registered: false });
  });
});

describe('once somebody is', () => {
  beforeAll(async () => {
    people = await registered(mulch.url);
  });

  it('every address of the build asks, and each role gets what it may have and no more', async () => {
    const nobody = new Visitor(mulch.url);
    const stranger = new Visitor(mulch.url);
    stranger.cookie = 'mulch-device=0123456789abcdefghijklmnopqrstuvwxyzABCDEFG';
    let asked = 0;
    for (const e of ENDPOINTS) {
      const at = e.path.replace(/\{\w+\}/g, 'x1');
      // Signing out ends the browser that asks; the others go on with theirs.
      if (at === '/api/sign-out') continue;
      const method = e.method.toUpperCase();
      const body = e.body ? {} : undefined;
      for (const who of [nobody, stranger]) {
        const { status, headers } = await who.ask(method, at, body);
        if (e.who === 'anyone') expect(status, `${method} ${at}`).not.toBe(401);
        else {
          expect(status, `${method} ${at} by nobody`).toBe(401);
          expect(headers['content-type']).toBe('application/problem+json');
        }
        asked++;
      }
      for (const role of ['looker', 'bench', 'lead'] as const) {
        const { status, text } = await people[role].ask(method, at, body);
        const may = e.who === 'anyone' || reaches(role, e.who);
        if (may) expect([401, 403], `${method} ${at} by ${role}: ${text}`).not.toContain(status);
        else expect(status, `${method} ${at} by ${role}`).toBe(403);
        expect(status, `${method} ${at} by ${role}: ${text}`).not.toBe(500);
        asked++;
      }
    }
    expect(asked).toBeGreaterThan(300);
    expect((await nobody.ask('POST', '/api/sign-out')).status).toBe(401);
  });

  it('every page of the build asks', async () => {
    const nobody = new Visitor(mulch.url);
    expect(PAGES.length).toBeGreaterThan(10);
    for (const at of PAGES.filter((p) => !OPEN.includes(p))) {
      const turned = await nobody.ask('GET', at);
      expect(turned.status, at).toBe(303);
      expect(turned.location, at).toBe(at === '/' ? '/sign-in' : `/sign-in?to=${encodeURIComponent(at)}`);
      expect(turned.text).toBe('');
      for (const role of ['looker', 'bench', 'lead'] as const)
        expect((await people[role].ask('GET', at)).location, `${at} by ${role}`).not.toContain('sign-in');
    }
    // What is not there is no way round it.
    for (const at of [
      '/nothing',
      '/jobs//x',
      '/people/',
      '/API/jobs',
      '//api/jobs',
      '/%61pi/jobs',
      '/units/../people',
    ])
      expect([303, 401], at).toContain((await nobody.ask('GET', at)).status);
    const [doc] = ((await people.lead.ask('GET', '/api/jobs')).body as { id: string }[]).map((j) => j.id);
    for (const at of [`/jobs/${doc}/trace`, `/api/jobs/${doc}/file`, '/api/openapi.json'])
      expect((await nobody.ask('GET', at)).text).not.toContain('SP-');
  });

  it('a name and a passcode bring one in, and back to where one was going, never to another site', async () => {
    const tomek = new Visitor(mulch.url);
    const came = await tomek.signIn('  TOMEK ', PASSCODES.bench);
    expect(came.body).toMatchObject({ name: 'Tomek', role: 'bench' });
    expect(came.cookie).toMatch(
      /^mulch-device=[\w-]{43}; Path=\/; Max-Age=2592000; HttpOnly; SameSite=Strict$/,
    );
    expect(came.text).not.toContain('argon2');
    const to = async (q: string) => (await tomek.ask('GET', `/sign-in?to=${encodeURIComponent(q)}`)).location;
    expect(await to('/units?x=1')).toBe('/units?x=1');
    for (const bad of ['//elsewhere.example', '/\\elsewhere.example', 'https://elsewhere.example', 'x'])
      expect(await to(bad)).toBe('/');
    await tomek.ask('POST', '/api/sign-out');
    expect((await tomek.ask('GET', '/api/jobs')).status).toBe(401);
    tomek.cookie = came.cookie.split(';')[0] ?? '';
    expect((await tomek.ask('GET', '/api/jobs')).status).toBe(401);
  });

  it('an entry carries who is signed in, whatever the page says, and is the same whoever sends it again', async () => {
    const [job] = (await people.lead.ask('GET', '/api/jobs?handedOver=no')).body as { id: string }[];
    const path_ = `/api/jobs/${job?.id}/events`;
    const { seq } = (await people.bench.ask('GET', path_)).body as { seq: number };
    const event = { ...note('seen'), by: 'Somebody Else' };
    const body = { events: [event], after: seq };
    expect((await people.looker.ask('POST', path_, body)).status).toBe(403);
    const sent = await people.bench.ask('POST', path_, body);
    expect((sent.body as { events: { by: string }[] }).events.map((e) => e.by)).toEqual(['Tomek']);
    const again = await people.lead.ask('POST', path_, body);
    expect(again.status).toBe(200);
    expect((again.body as { events: { by: string }[] }).events.map((e) => e.by)).toEqual(['Tomek']);
    const other = await people.lead.ask('POST', path_, { events: [{ ...event, text: 'x' }], after: seq });
    expect(other.status).toBe(409);
    const [unit] = (await people.bench.ask('GET', '/api/units')).body as { id: string }[];
    const open = { job: ulid(), event: ulid(), at: new Date().toISOString(), by: 'X', unit: unit?.id };
    expect((await people.bench.ask('POST', '/api/jobs', open)).status).toBe(201);
    const { events } = (await people.bench.ask('GET', `/api/jobs/${open.job}/events`)).body as {
      events: { by: string }[];
    };
    expect(events.map((e) => e.by)).toEqual(['Tomek']);
  });

  it('a map that is there is changed by a lead; a new one is described by whoever stands before the unit', async () => {
    const [known] = (await people.bench.ask('GET', '/api/units')).body as { id: string; version: number }[];
    const { map } = (await people.bench.ask('GET', `/api/units/${known?.id}/map`)).body as { map: object };
    const save = { id: known?.id, version: 1, map };
    expect((await people.bench.ask('POST', '/api/units', save)).status).toBe(403);
    expect((await people.lead.ask('POST', '/api/units', save)).status).toBe(201);
    expect((await people.bench.ask('POST', '/api/units', { id: ulid(), version: 0, map })).status).toBe(201);
  });

  it('unknown name and wrong passcode are answered alike; after some tries it is shut, for that person alone', async () => {
    const visitor = new Visitor(mulch.url, '127.0.0.3');
    const wrong = await visitor.signIn('Ines', 'wrong wrong');
    const unknown = await visitor.signIn('Nobody At All', 'wrong wrong');
    expect(wrong.status).toBe(401);
    expect(unknown.text).toBe(wrong.text);
    expect(wrong.cookie).toBe('');
    const tries = await Promise.all(
      Array.from({ length: 20 }, () => visitor.signIn('Harbour office', 'no no no no')),
    );
    expect(tries.filter((t) => t.status === 401)).toHaveLength(8);
    expect(tries.filter((t) => t.status === 429)).toHaveLength(12);
    // The right one does not open it either, nor from elsewhere.
    const right = await new Visitor(mulch.url).signIn('Harbour office', PASSCODES.looker);
    expect(right.status).toBe(429);
    expect(right.text).toMatch(/shut for 1[45] more minutes/);
    // Who is in stays in, and others come in.
    expect((await people.looker.ask('GET', '/api/jobs')).status).toBe(200);
    expect((await visitor.signIn('Tomek', PASSCODES.bench)).status).toBe(200);
    // An address that tries one name after another is shut too.
    const many = await Promise.all(
      Array.from({ length: 40 }, (_, i) => visitor.signIn(`name ${i}`, 'no no no no')),
    );
    expect(many.some((t) => t.status === 429)).toBe(true);
    expect((await visitor.signIn('Tomek', PASSCODES.bench)).status).toBe(429);
    expect((await new Visitor(mulch.url).signIn('Tomek', PASSCODES.bench)).status).toBe(200);
  });

  it('a device, a passcode and a person end at once wherever they are signed in', async () => {
    const lead = people.lead;
    const made = await lead.ask('POST', '/api/people', {
      name: 'Guest',
      role: 'bench',
      passcode: 'here for a day',
    });
    const { id } = made.body as { id: string };
    expect(
      (await lead.ask('POST', '/api/people', { name: 'GUEST', role: 'bench', passcode: 'long enough' }))
        .status,
    ).toBe(409);
    const [phone, laptop] = [new Visitor(mulch.url, '127.0.0.4'), new Visitor(mulch.url, '127.0.0.4')];
    const here = async (v: Visitor) => (await v.ask('GET', '/api/jobs')).status;
    for (const v of [phone, laptop]) await v.signIn('Guest', 'here for a day');
    const list = (await laptop.ask('GET', '/api/devices')).body as { id: string; here: boolean }[];
    expect(list.map((d) => d.here).sort()).toEqual([false, true]);
    // Nobody ends the device of another.
    const strange = list.find((d) => !d.here)?.id;
    expect((await people.bench.ask('DELETE', `/api/devices/${strange}`)).status).toBe(404);
    expect((await laptop.ask('DELETE', `/api/devices/${strange}`)).status).toBe(200);
    expect([await here(phone), await here(laptop)]).toEqual([401, 200]);

    await phone.signIn('Guest', 'here for a day');
    expect((await laptop.ask('PUT', '/api/passcode', { now: 'not this', next: 'another one' })).status).toBe(
      401,
    );
    expect((await laptop.ask('PUT', '/api/passcode', { now: 'here for a day', next: 'guest' })).status).toBe(
      422,
    );
    expect(
      (await laptop.ask('PUT', '/api/passcode', { now: 'here for a day', next: 'another one' })).status,
    ).toBe(200);
    expect([await here(phone), await here(laptop)]).toEqual([401, 200]);

    await lead.ask('PUT', `/api/people/${id}/passcode`, { passcode: 'given by a lead' });
    expect(await here(laptop)).toBe(401);
    await laptop.signIn('Guest', 'given by a lead');
    await lead.ask('PUT', `/api/people/${id}`, { role: 'looker' });
    expect((await laptop.ask('POST', '/api/photos')).status).toBe(403);
    expect((await lead.ask('DELETE', `/api/people/${id}`)).status).toBe(200);
    expect(await here(laptop)).toBe(401);
    expect((await laptop.signIn('Guest', 'given by a lead')).status).toBe(401);
  });

  it('the last lead stays, and a lost passcode is replaced on the machine itself', async () => {
    const all = (await people.lead.ask('GET', '/api/people')).body as {
      id: string;
      name: string;
      role: Role;
    }[];
    const ines = all.find((p) => p.name === 'Ines');
    const alone = await people.lead.ask('DELETE', `/api/people/${ines?.id}`);
    expect([alone.status, alone.text]).toEqual([422, expect.stringContaining('the last lead stays')]);
    expect((await people.lead.ask('PUT', `/api/people/${ines?.id}`, { role: 'bench' })).status).toBe(422);

    const command = (...name: string[]) =>
      spawnSync(process.execPath, ['--import', 'tsx', 'scripts/passcode.ts', ...name], {
        env: { ...process.env, MULCH_DATA: data },
        encoding: 'utf8',
      });
    expect(command('Nobody').stderr).toContain('Registered are Harbour office, Ines, Tomek');
    const { stdout } = command('tomek');
    const given = /comes in with (\S+) now/.exec(stdout)?.[1] ?? '';
    expect((await people.bench.ask('GET', '/api/jobs')).status).toBe(401);
    expect((await people.bench.signIn('Tomek', given)).status).toBe(200);
    // What is kept is a hash with its salt and its cost; the passcode is in no file of the folder.
    const kept = spawnSync('grep', ['-rlF', given, data], { encoding: 'utf8' });
    expect(kept.stdout).toBe('');
    expect(
      spawnSync('grep', ['-rlaF', '$argon2id$v=19$m=19456,t=2,p=1$', data], { encoding: 'utf8' }).stdout,
    ).toContain('mulch.db');
    expect(statSync(data).isDirectory()).toBe(true);
  });
});
