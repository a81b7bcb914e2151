import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import ICAL from 'ical.js';
import Papa from 'papaparse';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import sharp from 'sharp';
import { ulid } from 'ulid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { fold, forgotten, type JobEvent, type JobState, REMOVED } from '../src/core/job';
import { bench } from '../src/core/job/bench.test.fixture';
import { shownOf, teach } from '../src/core/record';
import { ownersPage } from '../src/core/report';
import { demandWorkshop, NEW_WORKSHOP, warrantyEnd } from '../src/core/workshop';
import { type Database, openDatabase } from '../src/data/database';
import { factsPage } from '../src/data/facts';
import { eventsOf, insertJob, owingSummaries } from '../src/data/jobs';
import { seedDemo } from '../src/demo/seed';
import { hearingLoop } from '../src/demo/units/hearing-loop';
import { demoYears } from '../src/demo/years';
import { bundleOf, importBundle } from '../src/server/hand-over/bundle';
import { owedCalendar } from '../src/server/hand-over/owed-calendar';
import { readingsCsv } from '../src/server/hand-over/readings';
import { reportPdf } from '../src/server/hand-over/reports';
import { ownersData, removeOwner } from '../src/server/owners/owner-data';
import { folderStore, type PhotoStore } from '../src/server/photo-store';
import { keepPhoto } from '../src/server/photos';
import { postEvents } from '../src/server/post-events';
import { findAnything } from '../src/server/search';
import { saveWorkshop, workshopOf } from '../src/server/workshop';

const now = new Date('2026-11-27T12:00:00Z');
const folder = mkdtempSync(path.join(tmpdir(), 'mulch-over-'));
const open = (name: string) =>
  openDatabase({ folder: path.join(folder, name), migrations: path.resolve('drizzle') });
let db: Database;
let store: PhotoStore;
beforeAll(async () => {
  db = await open('a');
  store = folderStore(path.join(folder, 'photos'));
  await seedDemo(db, now, true);
});
afterAll(async () => {
  await db.settle();
  db.close();
  rmSync(folder, { recursive: true, force: true });
});
const stamp = () => ({ id: ulid(), at: now.toISOString(), by: 'Ines' });

/** Without blanks: where one font ends and the next begins, a reader sees a gap. */
const bare = (text: string): string => text.replace(/\s+/g, '');
/** Words of a PDF, page by page. Outside check: pdf.js. */
async function textOf(pdf: Uint8Array): Promise<string[]> {
  const doc = await getDocument({ data: new Uint8Array(pdf), useSystemFonts: false, verbosity: 0 }).promise;
  const pages: string[] = [];
  for (let i = 1; i <= doc.numPages; i++) {
    const { items } = await (await doc.getPage(i)).getTextContent();
    pages.push(
      items
        .map((t) => ('str' in t ? t.str : ''))
        .join(' ')
        .replace(/\s+/g, ''),
    );
  }
  return pages;
}
const closed = async () => {
  const all = await factsPage(db.read, { result: 'works' });
  const [one] = all.filter((f) => f.parts.length && f.tag.startsWith('SY'));
  if (!one) throw new Error('no closed job with a part');
  return one;
};

describe('entries of Hand over', () => {
  const b = () => {
    const x = bench(hearingLoop);
    x.tell({ type: 'intake.recorded', function: 'left', symptom: 'silent', pattern: 'always', keep: [] });
    return x;
  };
  it('what is owed stands until it is ticked, once, and its day is a day', () => {
    const x = b();
    x.tell({ type: 'owed.noted', owed: 'core to return', what: ' drive to its maker ', due: '2026-12-24' });
    const [o] = x.state().owed;
    expect(o).toMatchObject({ kind: 'core to return', what: 'drive to its maker', due: '2026-12-24' });
    for (const [told, why] of [
      [{ what: ' ' }, 'say what is owed'],
      [{ what: 'slip', due: '2026-02-30' }, 'no day of the calendar'],
      [{ what: 'slip', due: 'soon' }, 'no day of the calendar'],
    ] as const)
      expect(() => x.tell({ type: 'owed.noted', owed: 'other', ...told } as never)).toThrow(why);
    expect(shownOf(x.record()).summary.owing).toEqual([
      { id: o?.id, what: 'drive to its maker', due: '2026-12-24' },
    ]);
    x.tell({ type: 'owed.settled', owed: o?.id ?? '' });
    expect(shownOf(x.record()).summary.owing).toBeUndefined();
    expect(() => x.tell({ type: 'owed.settled', owed: o?.id ?? '' })).toThrow('done already');
    expect(() => x.tell({ type: 'owed.settled', owed: 'none' })).toThrow('nothing like that is owed');
  });
  it('is ticked, signed and pictured after the hand over too; a repair is not', () => {
    const x = b();
    x.tell({ type: 'owed.noted', owed: 'follow-up', what: 'look again' });
    x.tell({
      type: 'job.handed-over',
      to: 'office',
      result: 'returned as it was',
      warrantyUntil: '2027-02-28',
    });
    x.tell({ type: 'owed.settled', owed: x.state().owed[0]?.id ?? '' });
    x.tell({ type: 'receipt.signed', name: ' M. Wren ', wide: 2.5, lines: [[0, 0.5, 1, 0.5]] });
    x.tell({ type: 'pictures.chosen', photos: [] });
    expect(x.state().receipt).toMatchObject({ name: 'M. Wren', wide: 2.5 });
    expect(shownOf(x.record()).summary.warrantyUntil).toBe('2027-02-28');
    expect(() => x.tell({ type: 'job.referred', to: 'maker', why: 'x' })).toThrow('handed over');
  });
  it('a signature is lines of points, by somebody, and no novel; a name alone does', () => {
    const x = b();
    x.tell({ type: 'receipt.signed', name: 'M. Wren', wide: 2, lines: [] });
    expect(x.state().receipt?.lines).toEqual([]);
    const sign = (more: object) =>
      x.tell({ type: 'receipt.signed', name: 'M', wide: 2, lines: [[0, 0]], ...more } as never);
    expect(() => sign({ name: '' })).toThrow('say who signs');
    expect(() => sign({ lines: [[0, 0, 1]] })).toThrow('points of two numbers');
    expect(() => sign({ lines: Array.from({ length: 9 }, () => Array(1000).fill(0.5)) })).toThrow('shorter');
    expect(() => x.tell({ type: 'pictures.chosen', photos: [ulid()] })).toThrow('not in this job');
  });
  it('a unit kept for its parts goes as it lies, but not with a hot iron on it', () => {
    const x = b();
    x.tell({ type: 'gate.cleared', hazard: 'mains', acted: true, reading: 0, unit: 'V', source: 'meter' });
    x.tell({ type: 'gate.cleared', hazard: 'C11', acted: true, reading: 2, unit: 'V', source: 'meter' });
    x.line('lift hatch > shelf');
    expect(() => x.tell({ type: 'job.handed-over', to: 'shelf', result: 'returned as it was' })).toThrow(
      'Held',
    );
    x.tell({ type: 'job.handed-over', to: 'shelf', result: 'kept for parts' });
    expect(x.state().handedOver?.result).toBe('kept for parts');
  });
});

describe('a workshop and its warranty', () => {
  it('the end of a warranty is a day that there is', () => {
    expect(warrantyEnd('2026-11-30', 3)).toBe('2027-02-28');
    expect(warrantyEnd('2027-11-30', 3)).toBe('2028-02-29');
    expect(warrantyEnd('2026-12-31', 12)).toBe('2027-12-31');
    expect(warrantyEnd('2026-01-15', 0)).toBe('2026-01-15');
  });
  it('says of itself what can be; else names the field', async () => {
    const empty = await open('d');
    expect(await workshopOf(empty.read)).toEqual(NEW_WORKSHOP);
    await empty.settle();
    empty.close();
    for (const [more, path] of [
      [{ currency: 'euro' }, '/currency'],
      [{ ratePerHour: 0.5 }, '/ratePerHour'],
      [{ warrantyMonths: 121 }, '/warrantyMonths'],
    ] as const)
      await expect(saveWorkshop(db, { ...NEW_WORKSHOP, ...more })).rejects.toMatchObject({
        status: 422,
        path,
      });
    expect(() => demandWorkshop({ ...NEW_WORKSHOP, warrantyMonths: 120, ratePerHour: 0 })).not.toThrow();
    const own = { ...NEW_WORKSHOP, name: 'Pier Workshop', address: 'Boardwalk 3\nSaltmarsh' };
    await saveWorkshop(db, own);
    expect(await workshopOf(db.read)).toEqual(own);
  });
});

describe('the owner’s page', () => {
  it('says in plain words what the record says, and nothing else', () => {
    const [job] = demoYears(now, 12).filter((j) => j.state.fix?.newItem);
    if (!job) throw new Error('no job');
    const page = ownersPage(job.state);
    const { fix, identity, handedOver } = job.state;
    expect(page).toMatchObject({
      owner: identity?.owner,
      handedOver: { result: 'works', to: handedOver?.to },
    });
    expect(page.fitted).toEqual([{ name: fix?.name, stamps: '' }]);
    expect(page.wrong[0]).toBe(`“${job.state.intake?.symptom}”`);
    expect(page.shown[0]?.result).toContain('it did not before');
    expect(page.done.at(-1)).toMatch(/^Replace .*\.$/);
  });
  it('a reading that was bad stands beside its repeat', () => {
    const b = bench(hearingLoop);
    b.tell({ type: 'intake.recorded', function: 'left', symptom: 'low', pattern: 'always', keep: [] });
    const state: JobState = {
      ...b.state(),
      trace: [{ id: 'x', at: now.toISOString(), by: 'I', check: 'tap:TP1', reading: 0.131, source: 'meter' }],
    };
    const [r] = ownersPage(state).readings;
    const expect_ = hearingLoop.taps.find((t) => t.id === 'TP1')?.expect;
    expect(r).toMatchObject({ before: 0.131, nominal: expect_?.nominal, unit: expect_?.unit });
    expect(r).not.toHaveProperty('after');
  });
});

describe('on paper', () => {
  it('both reports as PDF, read back by a package: head of the workshop, every line of the record', async () => {
    const { job, tag } = await closed();
    const events = await eventsOf(db.read, job);
    const [owner, ...more] = await textOf(await reportPdf(db.read, store, events, 'owner'));
    expect(more).toEqual([]);
    const page = ownersPage(fold(events).state);
    for (const words of ['Pier Workshop', 'Saltmarsh', tag, page.unit, ...page.wrong, ...page.done])
      expect(owner).toContain(bare(words));
    const whole = (await textOf(await reportPdf(db.read, store, events, 'workshop'))).join(' ');
    for (const part of [
      'Workshop report',
      'Taken in',
      'Made safe',
      'Handed over',
      fold(events).state.fix?.name ?? '',
    ])
      expect(whole).toContain(bare(part));
  });
  it('in three scripts, and with a word as long as a page', async () => {
    const { job } = await closed();
    const note = (text: string) => ({ ...stamp(), type: 'note.added', text }) as JobEvent;
    const events = [
      ...(await eventsOf(db.read, job)).filter((e) => e.type !== 'job.handed-over'),
      note('Κάτι σφυρίζει'),
      note('скрипит под крышкой'),
      note('Ćma świeci'),
      note('x'.repeat(3000)),
    ];
    const whole = (await textOf(await reportPdf(db.read, store, events, 'workshop'))).join(' ');
    for (const words of ['Κάτι σφυρίζει', 'скрипит под крышкой', 'Ćma świeci'])
      expect(whole).toContain(bare(words));
    expect(whole.replaceAll(/[^x]/g, '').length).toBeGreaterThanOrEqual(3000);
  });
  it('pictures that were chosen, and a signature, stand on it', async () => {
    const png = await sharp({ create: { width: 60, height: 40, channels: 3, background: '#c33' } })
      .png()
      .toBuffer();
    const kept = await keepPhoto(db, store, png, now);
    const { job } = await closed();
    const photo = { ...stamp(), type: 'photo.added', ...kept, caption: 'burnt pin' } as JobEvent;
    const sign = {
      ...stamp(),
      type: 'receipt.signed',
      name: 'M. Wren',
      wide: 3,
      lines: [
        [0.1, 0.2, 0.9, 0.4],
        [0.5, 0.5],
      ],
    } as JobEvent;
    await postEvents(db, job, [photo, sign], 0);
    const read = async () =>
      (await textOf(await reportPdf(db.read, store, await eventsOf(db.read, job), 'owner'))).join(' ');
    expect(await read()).not.toContain(bare('burnt pin'));
    await postEvents(db, job, [{ ...stamp(), type: 'pictures.chosen', photos: [photo.id] } as JobEvent], 0);
    expect(await read()).toContain(bare('burnt pin'));
    expect(await read()).toContain(bare('M. Wren'));
  });
  it('the mark of the workshop stands at its head; one that is gone is left out', async () => {
    const { job } = await closed();
    const events = await eventsOf(db.read, job);
    const own = await workshopOf(db.read);
    const mark = await sharp({ create: { width: 80, height: 40, channels: 4, background: '#1a6' } })
      .png()
      .toBuffer();
    const { file: logo } = await keepPhoto(db, store, mark, now);
    const without = (await reportPdf(db.read, store, events, 'owner')).byteLength;
    await saveWorkshop(db, { ...own, logo });
    expect((await reportPdf(db.read, store, events, 'owner')).byteLength).toBeGreaterThan(without + 300);
    await saveWorkshop(db, { ...own, logo: '0'.repeat(64) });
    const [page] = await textOf(await reportPdf(db.read, store, events, 'owner'));
    expect(page).toContain(bare(own.name));
    await saveWorkshop(db, own);
  });
  it('readings as a table that a package reads back', async () => {
    const { job } = await closed();
    const { state } = fold(await eventsOf(db.read, job));
    const { data, errors } = Papa.parse<Record<string, string>>(readingsCsv(state), { header: true });
    expect(errors).toEqual([]);
    expect(data).toHaveLength(state.trace.filter((t) => t.check).length + state.proofs.length);
    expect(data.filter((r) => r.when === 'after')).toHaveLength(state.proofs.length);
  });
  it('what is owed goes into a calendar, read back by a package', async () => {
    const b = bench(hearingLoop);
    expect(() => owedCalendar(b.state())).toThrow('nothing is owed by a day');
    b.tell({ type: 'owed.noted', owed: 'follow-up', what: 'look; again, \n twice', due: '2026-12-24' });
    b.tell({ type: 'owed.noted', owed: 'other', what: 'no day' });
    // Outside check: ical.js.
    const events = new ICAL.Component(ICAL.parse(owedCalendar(b.state()))).getAllSubcomponents('vevent');
    expect(events).toHaveLength(1);
    const event = new ICAL.Event(events[0] as never);
    expect(event.startDate.toString()).toBe('2026-12-24');
    expect(event.summary).toContain('look; again,');
  });
});

describe('a bundle', () => {
  it('is read by another Mulch whole: the same story, pictures and facts', async () => {
    const { job, tag } = await closed();
    const { bytes } = await bundleOf(db, store, job, now);
    const other = await open('b');
    const elsewhere = folderStore(path.join(folder, 'photos-b'));
    try {
      const sent = await eventsOf(db.read, job);
      expect(await importBundle(other, elsewhere, bytes)).toEqual({ id: job, tag, added: sent.length });
      expect(await eventsOf(other.read, job)).toEqual(sent);
      const photo = sent.find((e) => e.type === 'photo.added');
      if (photo?.type !== 'photo.added') throw new Error('no picture in it');
      expect(await elsewhere.get(photo.file)).toEqual(await store.get(photo.file));
      expect(await factsPage(other.read, {})).toEqual(
        (await factsPage(db.read, {})).filter((f) => f.job === job),
      );
      // Twice is once.
      expect(await importBundle(other, elsewhere, bytes)).toMatchObject({ added: 0 });
    } finally {
      await other.settle();
      other.close();
    }
  });
  it('with anything wrong in it is refused in words, and leaves nothing', async () => {
    const { job } = await closed();
    const files = unzipSync((await bundleOf(db, store, job, now)).bytes);
    const picture = Object.keys(files).find((n) => n.startsWith('pictures/')) ?? '';
    expect(picture).not.toBe('');
    const { [picture]: _, ...without } = files;
    const { SHA256SUMS: sums, ...bare } = files;
    const cases: [Record<string, Uint8Array>, string][] = [
      [{ ...files, 'job.mulch.json': strToU8('{}') }, 'job.mulch.json is not what it was'],
      [without, `${picture} stands in SHA256SUMS and is not there`],
      [{ ...files, 'more.txt': strToU8('x') }, 'more.txt does not stand in SHA256SUMS'],
      [bare, 'there is no SHA256SUMS in it'],
      [{ ...files, SHA256SUMS: strToU8('abc') }, 'is no checksum'],
    ];
    const other = await open('c');
    try {
      for (const [list, why] of cases)
        await expect(importBundle(other, store, zipSync(list)), why).rejects.toMatchObject({
          status: 422,
          message: expect.stringContaining(why),
        });
      for (const bytes of [new Uint8Array(0), strToU8('no zip'), zipSync(files).slice(0, 900)])
        await expect(importBundle(other, store, bytes)).rejects.toMatchObject({ status: 422 });
      expect(strFromU8(sums as Uint8Array)).toContain('  job.mulch.json\n');
      expect(await factsPage(other.read, {})).toEqual([]);
    } finally {
      await other.settle();
      other.close();
    }
  });
});

describe('the data of an owner', () => {
  it('what is forgotten of an entry is what somebody said; the story still holds, and its figures', () => {
    for (const job of demoYears(now, 40)) {
      const events = job.events.map(forgotten);
      expect(events.map((e) => [e.id, e.at, e.type])).toEqual(job.events.map((e) => [e.id, e.at, e.type]));
      const [a, b] = [shownOf(job).facts, shownOf(fold(events)).facts];
      expect(b.remedies).toEqual(a.remedies);
      expect(b.minutes).toEqual(a.minutes);
      expect(b.checks).toEqual(a.checks);
      const text = JSON.stringify(events.filter((e) => e.type !== 'job.opened'));
      for (const said of [a.owner, a.mark, a.symptom].filter(Boolean)) expect(text).not.toContain(said);
    }
  });
  it('what a person may be named in is blanked, whoever typed it where', () => {
    const stamp = { id: '01M2JS9ZC08V33PPE0SBJHWRA6', at: now.toISOString(), by: 'Ines' };
    const who = 'Mrs Wren';
    const said: Partial<Record<JobEvent['type'], object>> = {
      'note.added': { text: `rings ${who}` },
      'unit.identified': { owner: who, reach: `by ${who}`, mark: who },
      'intake.recorded': {
        symptom: `${who} says silent`,
        since: `since ${who} moved`,
        keep: [`songs of ${who}`],
      },
      'look.answered': { note: who },
      'check.recorded': { note: who },
      'plan.chosen': { why: who },
      'quote.sent': { to: who, how: `by post to ${who}` },
      'quote.answered': { who, note: who },
      'job.referred': { to: who, why: who },
      'party.told': { how: `rang ${who}` },
      'gate.passed': { reason: `${who} wants it live` },
      'point.passed': { reason: `agreed with ${who}` },
      'job.parked': { why: `waits for ${who}`, until: who },
      'photo.added': { caption: `hand of ${who}` },
      'proof.recorded': { note: who },
      'job.handed-over': { to: who, settings: who, note: who, followUp: who, decidedBy: who },
      'receipt.signed': { name: who, lines: [who] },
    };
    for (const [type, fields] of Object.entries(said)) {
      const after = forgotten({ ...stamp, type, ...fields } as JobEvent);
      expect(after).toMatchObject({ ...stamp, type });
      expect(JSON.stringify(after), type).not.toContain(who);
    }
  });
  it('is given out whole, and taken out while the figures stay', async () => {
    const all = (await factsPage(db.read, {})).filter((f) => f.handedOverAt);
    const owner = 'Wren & Daughters';
    const theirs = all.filter((f) => f.owner === owner);
    expect(theirs.length).toBeGreaterThan(3);
    const first = theirs[0];
    if (!first) throw new Error('none');
    const png = await sharp({ create: { width: 50, height: 50, channels: 3, background: '#345' } })
      .png()
      .toBuffer();
    const kept = await keepPhoto(db, store, png, now);
    await postEvents(
      db,
      first.job,
      [{ ...stamp(), type: 'photo.added', ...kept, caption: 'Mrs Wren at the counter' } as JobEvent],
      0,
    );

    const zip = unzipSync(await ownersData(db, store, owner, now));
    expect(Object.keys(zip).sort()).toEqual(['jobs.csv', ...theirs.map((f) => `${f.tag}.zip`)].sort());
    expect(Object.keys(unzipSync(zip[`${first.tag}.zip`] as Uint8Array))).toContain('report-owner.pdf');

    const pictures = new Set<string>();
    for (const f of theirs)
      for (const e of await eventsOf(db.read, f.job)) if (e.type === 'photo.added') pictures.add(e.file);
    const before = teach(theirs, [], { now: now.toISOString() });
    // Another process has the story in hand.
    const other = await open('a');
    const note = (text: string) => ({ ...stamp(), type: 'note.added', text }) as JobEvent;
    await postEvents(other, first.job, [note('feet worn')], 0);
    const removed = await removeOwner(db, store, owner);
    expect(removed.jobs.sort()).toEqual(theirs.map((f) => f.tag).sort());
    expect(removed.pictures).toBe(pictures.size);
    expect(await store.get(kept.file)).toBeNull();
    const ids = new Set(theirs.map((f) => f.job));
    const after = (await factsPage(db.read, {})).filter((f) => ids.has(f.job));
    expect(after.every((f) => f.owner === REMOVED && !f.mark && f.place === '')).toBe(true);
    const again = teach(after, [], { now: now.toISOString() });
    expect([again.failed, again.stops, again.moves]).toEqual([before.failed, before.stops, before.moves]);
    for (const words of ['Wren', 'Daughters', '"Mrs Wren"', first.mark ?? 'none'])
      expect(await findAnything(db.read, words, 20)).toEqual([]);
    // What is posted now is judged by the story as it stands.
    await postEvents(
      db,
      first.job,
      [{ ...stamp(), type: 'owed.noted', owed: 'other', what: 'key' } as JobEvent],
      0,
    );
    expect(JSON.stringify(await eventsOf(db.read, first.job))).not.toContain('Wren');
    await postEvents(other, first.job, [note('wiped')], 0);
    other.close();
    expect((await factsPage(db.read, {})).find((f) => f.job === first.job)?.owner).toBe(REMOVED);
    expect((await owingSummaries(db.read)).map((s) => s.id)).toContain(first.job);
    await expect(removeOwner(db, store, owner)).rejects.toMatchObject({ status: 404 });
  });
  it('stays while a job of theirs is here, and says which', async () => {
    const [job] = demoYears(now, 1);
    if (!job) throw new Error('none');
    const b = bench(hearingLoop);
    b.tell({ type: 'unit.identified', owner: 'Bell & Son' });
    await db.write((tx) => insertJob(tx, shownOf(b.record()), b.events()));
    await expect(removeOwner(db, store, 'Bell & Son')).rejects.toMatchObject({
      status: 409,
      message: expect.stringContaining('T-1: hand it over first'),
    });
    await expect(ownersData(db, store, 'nobody', now)).rejects.toMatchObject({ status: 404 });
  });
});
