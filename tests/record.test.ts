import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import fc from 'fast-check';
import Papa from 'papaparse';
import { ulid } from 'ulid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { recordChoices, shownOf, teach } from '../src/core/record';
import { type Database, openDatabase } from '../src/data/database';
import { countFacts, factsPage, isRecordOld, rebuildFacts } from '../src/data/facts';
import { eventsOf, insertJob } from '../src/data/jobs';
import { putSetting } from '../src/data/settings';
import { allUnits } from '../src/data/units';
import { seedDemo } from '../src/demo/seed';
import { demoYears, TRUTH } from '../src/demo/years';
import { setComebackDays } from '../src/server/comeback-days';
import { postEvents } from '../src/server/post-events';
import { Problem } from '../src/server/problem';
import { askedOrAll, recordAsked } from '../src/server/record/asked';
import { jobsCsv, taughtCsv } from '../src/server/record/record-csv';
import { taught } from '../src/server/record/taught';
import { minutesFor, takeMinutes } from '../src/server/record/unit-minutes';

const now = new Date('2026-11-27T12:00:00Z');
const folder = mkdtempSync(path.join(tmpdir(), 'mulch-record-'));
let db: Database;
beforeAll(async () => {
  db = await openDatabase({ folder, migrations: path.resolve('drizzle') });
  await seedDemo(db, now, true);
});
afterAll(async () => {
  await db.settle();
  db.close();
  rmSync(folder, { recursive: true, force: true });
});

describe('two years of the pier', () => {
  const years = demoYears(now);
  const facts = years.map((j) => shownOf(j).facts);
  const t = teach(facts, facts, { now: now.toISOString() });

  it('are whole stories, told by the rules, the same ones every time', () => {
    expect(years.length).toBeGreaterThan(TRUTH.jobs * 0.9);
    expect(years.every((j) => j.state.handedOver)).toBe(true);
    const hours = facts.map((f) => new Date(f.openedAt).getUTCHours());
    expect(Math.min(...hours)).toBeGreaterThanOrEqual(8);
    expect(Math.max(...hours)).toBeLessThan(16);
    expect(new Set(facts.map((f) => f.tag)).size).toBe(years.length);
    const told = (list: typeof years) => list.map((j) => j.state.trace.map(({ id: _, ...t }) => t));
    expect(told(demoYears(now, 5))).toEqual(told(years.slice(0, 5)));
    const span = facts.map((f) => Date.parse(f.openedAt));
    expect((Math.max(...span) - Math.min(...span)) / 86_400_000).toBeGreaterThan(TRUTH.days * 0.9);
  });
  it('what the record says of them lies near to what is true of them', () => {
    // A lift takes two minutes in the middle: the median of n lognormal durations is within 3 σ/√n of it.
    const lift = t.moves.find((m) => m.verb === 'lift')?.minutes;
    const off = Math.abs(Math.log((lift?.median ?? 0) / 2));
    expect(off).toBeLessThan((3 * TRUTH.sigma) / Math.sqrt(lift?.count ?? 1));
    // Nine of ten are done within median · e^(1.2816 σ).
    expect(Math.log((lift?.p90 ?? 0) / (lift?.median ?? 1)) / 1.2816).toBeCloseTo(TRUTH.sigma, 1);
    // Most repairs hold; the interval of what came back holds the share that was made to, and a little more
    // for faults that came by chance within the days that count.
    const made = 1 - (TRUTH.lasts.replace ?? 0);
    expect(t.cameBack?.high).toBeGreaterThan(made);
    expect(t.cameBack?.low).toBeLessThan(0.25);
  });
  it('what fails is what the map says fails: the heavier half more often than the lighter', () => {
    const one = facts.filter((f) => f.model === 'Murrowby TK-2');
    const map = years.find((j) => j.state.map.model === 'TK-2')?.state.map;
    const order = [...(map?.elements ?? [])].sort((a, b) => b.weight - a.weight).map((e) => e.id);
    const failed = teach(one, facts, { now: now.toISOString() }).failed;
    const inHalf = (ids: string[]) =>
      failed.filter((f) => ids.includes(f.key)).reduce((s, f) => s + f.share.count, 0);
    const half = Math.ceil(order.length / 2);
    expect(inHalf(order.slice(0, half))).toBeGreaterThan(inHalf(order.slice(half)));
  });
});

describe('the record as it is kept', () => {
  it('has every job but simulated ones, the newest first, page by page', async () => {
    const all = await factsPage(db.read, {});
    expect(await countFacts(db.read, {})).toBe(all.length);
    expect(all.some((f) => f.tag === 'practice')).toBe(false);
    expect(all.map((f) => f.openedAt)).toEqual(
      all
        .map((f) => f.openedAt)
        .sort()
        .reverse(),
    );
    const pages = [...(await factsPage(db.read, {}, 0, 50)), ...(await factsPage(db.read, {}, 50, 500))];
    expect(pages).toEqual(all);
  });
  it('each filter finds exactly the jobs whose facts say so', async () => {
    const all = await factsPage(db.read, {});
    const choices = recordChoices(all);
    for (const [key, values] of Object.entries(choices))
      for (const { value, count } of values)
        expect(await countFacts(db.read, { [key]: value }), `${key} ${value}`).toBe(count);
    const [some] = all.filter((f) => f.result === 'works');
    const both = { model: some?.model ?? '', place: some?.place ?? '' };
    expect(
      (await factsPage(db.read, both)).every((f) => f.model === both.model && f.place === both.place),
    ).toBe(true);
    const day = (some?.openedAt ?? '').slice(0, 10);
    const thatDay = await factsPage(db.read, { from: day, to: day });
    expect(thatDay.map((f) => f.job)).toContain(some?.job);
    expect(thatDay.every((f) => f.openedAt.startsWith(day))).toBe(true);
    expect((await factsPage(db.read, { code: 'ERROR 14' })).map((f) => f.tag)).toContain('SP-126');
    expect((await factsPage(db.read, { q: 'tag:SP-10 dark' })).map((f) => f.tag)).toEqual(['SP-109']);
    expect(await countFacts(db.read, { q: 'dark -mid' })).toBe(0);
  });
  it('nothing that is typed breaks it, or reaches beyond it', async () => {
    const all = await countFacts(db.read, {});
    await fc.assert(
      fc.asyncProperty(
        fc.constantFrom('q', 'model', 'element', 'person', 'owner', 'code', 'result', 'remedy'),
        fc.oneof(
          fc.string({ unit: 'grapheme' }),
          fc.constantFrom("' or 1=1 --", '"', '%', 'a" NEAR b', '$.x', '*', '-', '日本'),
        ),
        async (key, text) => {
          const asked = recordAsked(new URL(`http://x/?${new URLSearchParams({ [key]: text })}`));
          const n = await countFacts(db.read, asked);
          expect(n <= all && n >= 0).toBe(true);
        },
      ),
      { numRuns: 120 },
    );
    expect(await countFacts(db.read, { model: "x' or '1'='1" })).toBe(0);
    expect(() => recordAsked(new URL('http://x/?from=yesterday'))).toThrow(Problem);
    expect(() => recordAsked(new URL('http://x/?from=2026-13-45'))).toThrow('is no day');
    expect(askedOrAll(new URL('http://x/?from=yesterday&q=fan'))).toEqual({ q: 'fan' });
  });
  it('follows an entry at once, and its undo', async () => {
    const [open] = (await factsPage(db.read, { result: 'works' })).filter((f) => f.handedOverAt);
    if (!open) throw new Error('nothing handed over');
    const last = (await eventsOf(db.read, open.job)).at(-1);
    const undo = {
      id: ulid(),
      at: now.toISOString(),
      by: 'Ines',
      type: 'undone',
      event: last?.id ?? '',
    } as const;
    await postEvents(db, open.job, [undo], 0);
    const factsNow = async () => (await factsPage(db.read, {})).find((f) => f.job === open.job);
    expect((await factsNow())?.handedOverAt).toBeUndefined();
    expect((await factsNow())?.minutes).toBeUndefined();
    await postEvents(db, open.job, [{ ...undo, id: ulid(), event: undo.id }], 0);
    expect((await factsNow())?.handedOverAt).toBe(open.handedOverAt);
  });
  it('is written anew where another Mulch kept other facts, to the same', async () => {
    const before = await factsPage(db.read, {});
    expect(await isRecordOld(db.read)).toBe(false);
    await db.write((tx) => putSetting(tx, 'record shape', 0));
    expect(await isRecordOld(db.read)).toBe(true);
    await db.write(rebuildFacts);
    expect(await factsPage(db.read, {})).toEqual(before);
    expect(await isRecordOld(db.read)).toBe(false);
  });
  it('goes out as tables that a reader package reads back', async () => {
    const all = await factsPage(db.read, {});
    // Outside check: Papa Parse.
    const jobs = Papa.parse<Record<string, string>>(jobsCsv(all), { header: true });
    expect(jobs.errors).toEqual([]);
    expect(jobs.data.map((r) => r.tag)).toEqual(all.map((f) => f.tag));
    const t = await taught(db.read, {}, now);
    const figures = Papa.parse<Record<string, string>>(taughtCsv(t), { header: true }).data;
    const back = figures.find((r) => r.figure === 'came back within 90 days');
    expect(Number(back?.value)).toBeCloseTo(t.cameBack?.share ?? -1, 4);
    expect([back?.count, back?.of]).toEqual([String(t.cameBack?.count), String(t.cameBack?.of)]);
    expect(figures.every((r) => !/^[=+@]/.test(r.what ?? ''))).toBe(true);
    const [one] = all;
    if (one) expect(jobsCsv([{ ...one, symptom: '=1+1' }])).toContain("'=1+1");
  });
  it('the days of a comeback are this Mulch’s own', async () => {
    const before = await taught(db.read, {}, now);
    await setComebackDays(db, 20);
    const after = await taught(db.read, {}, now);
    expect(after.comebackDays).toBe(20);
    expect(after.cameBack?.count).toBeLessThan(before.cameBack?.count ?? 0);
    await setComebackDays(db, 90);
    expect(await taught(db.read, {}, now)).toEqual(before);
  });
  it('minutes are taken onto a map, version by version, and taken back', async () => {
    const unit = (await allUnits(db.read)).find((u) => u.map.model === 'SI-900');
    if (!unit) throw new Error('no inverter');
    const [first] = await minutesFor(db.read, unit.map, now);
    if (!first) throw new Error('nothing learned');
    const put = (version: number, minutes: number) =>
      takeMinutes(db, unit.id, { version, minutes: [{ what: first.what, key: first.key, minutes }] }, now);
    expect(await put(1, first.learned)).toMatchObject({ version: 2 });
    await expect(put(1, 5)).rejects.toMatchObject({ status: 409 });
    const map = async () => (await allUnits(db.read)).find((u) => u.id === unit.id)?.map;
    expect((await minutesFor(db.read, (await map()) ?? unit.map, now)).some((m) => m.key === first.key)).toBe(
      false,
    );
    await put(2, first.now);
    expect(await map()).toEqual(unit.map);
    await expect(
      takeMinutes(db, unit.id, { version: 3, minutes: [{ what: 'tap', key: 'no', minutes: 1 }] }, now),
    ).rejects.toThrow('no longer on this map');
    await expect(takeMinutes(db, ulid(), { version: 1, minutes: [] }, now)).rejects.toMatchObject({
      status: 404,
    });
  });
  it('a simulated unit leaves nothing in it', async () => {
    const [job] = demoYears(now, 1);
    if (!job) throw new Error('no job');
    const shown = shownOf(job);
    const id = ulid();
    await db.write((tx) =>
      insertJob(
        tx,
        {
          summary: { ...shown.summary, id, practice: true },
          facts: { ...shown.facts, job: id, model: 'none such' },
        },
        [],
      ),
    );
    expect(await countFacts(db.read, { model: 'none such' })).toBe(0);
  });
});
