import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { createClient } from '@libsql/client';
import { ulid } from 'ulid';
import { startMulch } from '../e2e/mulch';
import { spread } from './figures';

const note = (text: string) => ({
  id: ulid(),
  at: new Date().toISOString(),
  by: 'bench',
  type: 'note.added',
  text,
});

/** One row into a table of its own, durably, as SQLite does it without anything around. */
async function rawInserts(times: number): Promise<number[]> {
  const folder = mkdtempSync(path.join(tmpdir(), 'mulch-raw-'));
  const client = createClient({ url: `file:${path.join(folder, 'raw.db')}` });
  try {
    await client.execute('PRAGMA journal_mode=WAL');
    await client.execute('create table t (id text primary key, body text)');
    const list: number[] = [];
    for (let i = 0; i < times; i++) {
      const t = performance.now();
      await client.execute({
        sql: 'insert into t values (?, ?)',
        args: [ulid(), JSON.stringify(note(`${i}`))],
      });
      list.push(performance.now() - t);
    }
    return list;
  } finally {
    client.close();
    rmSync(folder, { recursive: true, force: true });
  }
}

/** What one entry costs as its job grows, beside a raw insert and an empty request of the same run. */
export async function measureEntries(say: (line: string) => void): Promise<void> {
  const mulch = await startMulch({ demo: true });
  try {
    const jobs = (await (await fetch(`${mulch.url}/api/jobs`)).json()) as { id: string; tag: string }[];
    const job = jobs.find((j) => j.tag === 'SP-098')?.id ?? '';
    let seq = 0;
    const post = async (events: object[], id = job, after = seq) => {
      const t = performance.now();
      const res = await fetch(`${mulch.url}/api/jobs/${id}/events`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ after, events }),
      });
      const said = (await res.json()) as { seq: number };
      if (!res.ok) throw new Error(`entry refused: ${res.status}`);
      if (id === job) seq = said.seq;
      return performance.now() - t;
    };
    const empty: number[] = [];
    for (let i = 0; i < 100; i++) {
      const t = performance.now();
      await (await fetch(`${mulch.url}/api/nothing`)).text();
      empty.push(performance.now() - t);
    }
    const raw = spread(await rawInserts(200)).p50;
    say(
      `raw insert p50 ${raw.toFixed(2)} ms; a request for nothing p50 ${spread(empty).p50.toFixed(1)} ms; an entry is both`,
    );
    for (const n of [100, 1000, 5000]) {
      while (seq < n)
        await post(Array.from({ length: Math.min(500, n - seq) }, (_, k) => note(`note ${seq + k}`)));
      const list: number[] = [];
      for (let i = 0; i < 40; i++) list.push(await post([note(`one ${i}`)]));
      const { p50, p95 } = spread(list.slice(10));
      const own = Math.max(0, p50 - spread(empty).p50);
      say(
        `entry in a job of ${n}: p50 ${p50.toFixed(1)} ms, p95 ${p95.toFixed(1)} ms; without the request ${own.toFixed(1)} ms, ${(own / raw).toFixed(1)} raw inserts`,
      );
    }
    const page = async (at: string) => {
      const list: number[] = [];
      for (let i = 0; i < 12; i++) {
        const t = performance.now();
        await (await fetch(mulch.url + at)).text();
        list.push(performance.now() - t);
      }
      return spread(list.slice(2)).p50;
    };
    const nothing = await page('/nothing');
    for (const [what, at] of [
      ['bench', '/'],
      [`job of ${seq} entries, Open up`, `/jobs/${job}/open-up`],
      ['another job, Trace', `/jobs/${jobs.find((j) => j.id !== job)?.id}/trace`],
    ] as const) {
      const ms = await page(at);
      say(
        `page, ${what}: p50 ${ms.toFixed(0)} ms, ${(ms / nothing).toFixed(1)} times the page that says there is nothing`,
      );
    }
    const by = (c: number) => post([note(`client ${c}`)], jobs[c % jobs.length]?.id, 1e6);
    const at50 = Array.from({ length: 50 }, (_, c) => c);
    const crowd: number[] = [];
    await Promise.all(
      at50.map(async (c) => {
        // Nobody begins at the same moment as everybody else.
        const waits = Array.from({ length: 12 }, (_, i) => (i ? 200 : 0) + ((c * 137 + i * 61) % 600));
        for (const wait of waits) {
          await new Promise((done) => setTimeout(done, wait));
          crowd.push(await by(c));
        }
      }),
    );
    say(
      `50 clients, an entry each twice a second: p50 ${spread(crowd).p50.toFixed(1)} ms, p95 ${spread(crowd).p95.toFixed(1)} ms`,
    );
    const once = spread(await Promise.all(at50.map(by)));
    say(`50 entries at the same moment: p50 ${once.p50.toFixed(0)} ms, p95 ${once.p95.toFixed(0)} ms`);
  } finally {
    await mulch.stop();
  }
}
