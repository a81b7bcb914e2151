/** Finding among many jobs: the time until the first hits are there, on the server. */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { ulid } from 'ulid';
import { type JobEvent, type JobRecord, judge } from '../src/core/job';
import { type JobFacts, shownOf } from '../src/core/record';
import { openDatabase } from '../src/data/database';
import { countFacts, factsPage } from '../src/data/facts';
import { insertJob } from '../src/data/jobs';
import { hearingLoop } from '../src/demo/units/hearing-loop';
import { demoYears } from '../src/demo/years';
import { taught } from '../src/server/record/taught';
import { findAnything } from '../src/server/search';
import { spread } from './figures';
import { dice } from './ways';

const JOBS = 10_000;
const WORDS =
  'ribbon brittle fan loud lamp dark hum loop relay stuck board corroded pack swollen plug loose screw missing seal cracked belt worn dust salt water heat cold door hinge'.split(
    ' ',
  );
const QUERIES = [
  'ribbon',
  'corro',
  'loop hum',
  '"fan loud"',
  'board -dust',
  'tag:J-77',
  'QF-1234',
  'swollen pack heat',
  'hearing',
  'nothing-like-it',
];

/** Prints how long queries take among ten thousand jobs. */
export async function measureSearch(say: (line: string) => void): Promise<void> {
  const folder = mkdtempSync(path.join(tmpdir(), 'mulch-bench-search-'));
  const db = await openDatabase({ folder, migrations: path.resolve('drizzle') });
  try {
    const roll = dice(5);
    const words = (n: number) =>
      Array.from({ length: n }, () => WORDS[Math.floor(roll() * WORDS.length)]).join(' ');
    const at = '2026-11-27T10:00:00.000Z';
    const stamp = () => ({ id: ulid(), at, by: 'bench' });
    const years = demoYears(new Date(at)).map((j) => shownOf(j).facts);
    for (let from = 0; from < JOBS; from += 500)
      await db.write(async (tx) => {
        for (let i = from; i < from + 500; i++) {
          let r: JobRecord = judge(null, {
            ...stamp(),
            type: 'job.opened',
            job: ulid(),
            tag: `J-${i}`,
            map: hearingLoop,
            place: 'hall',
          });
          for (const told of [
            { type: 'unit.identified', mark: `QF-${i}`, owner: words(2) },
            { type: 'intake.recorded', function: 'left', symptom: words(4), pattern: 'always', keep: [] },
            { type: 'note.added', text: words(12) },
          ])
            r = judge(r, { ...stamp(), ...told } as JobEvent);
          const facts = { ...(years[i % years.length] as JobFacts), job: r.state.id, tag: r.state.tag };
          await insertJob(tx, { ...shownOf(r), facts }, r.events);
        }
      });
    const took: number[] = [];
    for (let k = 0; k < 5; k++)
      for (const q of QUERIES) {
        const begun = performance.now();
        await findAnything(db.read, q, 20);
        took.push(performance.now() - begun);
      }
    const { p50, p95 } = spread(took);
    const timed = async (what: string, ask: () => Promise<unknown>) => {
      const all: number[] = [];
      for (let k = 0; k < 7; k++) {
        const begun = performance.now();
        await ask();
        all.push(performance.now() - begun);
      }
      say(`${what} of ${JOBS} jobs: p50 ${spread(all).p50.toFixed(0)} ms`);
    };
    await timed('a page', () => factsPage(db.read, {}, 5000, 100));
    await timed('a page by words and model', async () => {
      const asked = { q: QUERIES[0] ?? '', model: hearingLoop.model };
      await countFacts(db.read, asked);
      await factsPage(db.read, asked, 0, 100);
    });
    await timed('what they teach', () => taught(db.read, {}, new Date(at)));
    say(`finding among ${JOBS} jobs: p50 ${p50.toFixed(1)} ms, p95 ${p95.toFixed(1)} ms`);
  } finally {
    await db.settle();
    rmSync(folder, { recursive: true, force: true });
  }
}
