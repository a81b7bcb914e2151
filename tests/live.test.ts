import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type Running, startMulch } from '../e2e/mulch';
import { note } from './fixtures/entries';
import { registered, type Visitor } from './fixtures/signed';

const root = mkdtempSync(path.join(tmpdir(), 'mulch-live-'));
const data = path.join(root, 'data');
let mulch: Running;
let job = '';

interface Heard {
  event: string;
  data: never;
  id: string;
}

/** Listens to a job as a page does, and keeps what it hears; read by the format of the HTML Living Standard. */
class Ear {
  readonly heard: Heard[] = [];
  ended = false;
  private readonly stop = new AbortController();
  readonly done: Promise<void>;
  constructor(url: string, headers: Record<string, string> = {}) {
    this.done = this.listen(url, headers).finally(() => {
      this.ended = true;
    });
  }
  private async listen(url: string, headers: Record<string, string>) {
    const res = await fetch(url, {
      headers: { 'accept-encoding': 'gzip', ...headers },
      signal: this.stop.signal,
    });
    expect(res.headers.get('content-type')).toBe('text/event-stream');
    expect(res.headers.get('cache-control')).toContain('no-transform');
    // Packed, it would be held back until there is more of it.
    expect(res.headers.get('content-encoding')).toBeNull();
    const text = new TextDecoder();
    let left = '';
    for await (const part of res.body as unknown as AsyncIterable<Uint8Array>) {
      left += text.decode(part, { stream: true });
      const blocks = left.split('\n\n');
      left = blocks.pop() ?? '';
      for (const block of blocks) {
        const field = (name: string) => new RegExp(`^${name}: (.*)$`, 'm').exec(block)?.[1] ?? '';
        if (field('event'))
          this.heard.push({
            event: field('event'),
            data: JSON.parse(field('data')) as never,
            id: field('id'),
          });
      }
    }
  }
  /** Waits until something was heard. */
  async until(event: string, fits: (data: never) => boolean = () => true): Promise<Heard> {
    for (let n = 0; n < 300; n++) {
      const found = this.heard.find((h) => h.event === event && fits(h.data));
      if (found) return found;
      await new Promise((done) => setTimeout(done, 10));
    }
    throw new Error(`no ${event} was heard: ${JSON.stringify(this.heard)}`);
  }
  close() {
    this.stop.abort();
    return this.done.catch(() => {});
  }
}

const post = (events: object[], after: number) =>
  fetch(`${mulch.url}/api/jobs/${job}/events`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ events, after }),
  });
const count = async () =>
  ((await (await fetch(`${mulch.url}/api/jobs/${job}/events?after=100000`)).json()) as { seq: number }).seq;

beforeAll(async () => {
  mulch = await startMulch({ demo: true, data });
  const list = (await (await fetch(`${mulch.url}/api/jobs?handedOver=no`)).json()) as { id: string }[];
  job = list[0]?.id ?? '';
});
afterAll(async () => {
  await mulch.stop();
  rmSync(root, { recursive: true, force: true });
});

describe('what happens in a job', () => {
  it('is heard by all who have it open, with who they are; what was missed is told to who comes back', async () => {
    const seq = await count();
    const one = new Ear(`${mulch.url}/api/jobs/${job}/live?after=${seq}`);
    const me = (await one.until('hello')).data;
    expect(await one.until('others', (all: { id: string }[]) => all.length === 1)).toMatchObject({
      data: [{ id: me, name: '' }],
    });
    const two = new Ear(`${mulch.url}/api/jobs/${job}/live?after=${seq}`, {
      'user-agent': 'Firefox Android Mobile',
    });
    await one.until('others', (all: { device: string }[]) =>
      all.some((o) => o.device === 'Firefox on Android phone'),
    );
    expect((await post([note('one')], seq)).status).toBe(200);
    for (const ear of [one, two]) {
      const { data: told, id } = await ear.until('moved');
      expect([told, id]).toEqual([seq + 1, String(seq + 1)]);
    }
    await two.close();
    await one.until('others', (all: unknown[]) => all.length === 1);
    expect((await post([note('two'), note('three')], seq + 1)).status).toBe(200);
    const back = new Ear(`${mulch.url}/api/jobs/${job}/live?after=0`, { 'last-event-id': String(seq + 1) });
    expect((await back.until('moved')).data).toBe(seq + 3);
    // Who knows everything is told nothing.
    const knows = new Ear(`${mulch.url}/api/jobs/${job}/live?after=${seq + 3}`);
    await knows.until('beat');
    expect(knows.heard.filter((h) => h.event === 'moved')).toEqual([]);
    await Promise.all([one, back, knows].map((e) => e.close()));
  });

  it('both who record at once are kept, in one order that both hear of', async () => {
    const seq = await count();
    const ear = new Ear(`${mulch.url}/api/jobs/${job}/live?after=${seq}`);
    await ear.until('hello');
    const answers = await Promise.all(
      Array.from({ length: 12 }, (_, i) => post([note(`at once ${i}`)], seq)),
    );
    expect(answers.every((a) => a.status === 200)).toBe(true);
    await ear.until('moved', (n) => n === seq + 12);
    expect(await count()).toBe(seq + 12);
    await ear.close();
  });

  it('asks for what is there, and a look at the head leaves nobody listening', async () => {
    const seq = await count();
    const of = (at: string, init?: RequestInit) => fetch(`${mulch.url}/api/jobs/${at}`, init);
    expect((await of('01ARZ3NDEKTSV4RRFFQ69G5FAV/live')).status).toBe(404);
    expect((await of(`${job}/live?after=x`)).status).toBe(400);
    expect((await of(`${job}/live`, { method: 'HEAD' })).status).toBe(200);
    const alone = new Ear(`${mulch.url}/api/jobs/${job}/live?after=${seq}`);
    await alone.until('beat');
    expect(alone.heard.filter((h) => h.event === 'others').map((h) => (h.data as unknown[]).length)).toEqual([
      1,
    ]);
    await alone.close();
  });

  it('ends with the server, and with the device that listens', async () => {
    const ear = new Ear(`${mulch.url}/api/jobs/${job}/live?after=0`);
    await ear.until('hello');
    mulch.process.kill('SIGTERM');
    // It ends as a whole answer does; cut off, this would throw.
    await ear.done;
    await new Promise((done) => mulch.process.once('close', done));
    mulch = await startMulch({ data });
    const people: Record<'lead' | 'bench', Visitor> = await registered(mulch.url);
    const seen = new Ear(`${mulch.url}/api/jobs/${job}/live?after=0`, { cookie: people.bench.cookie });
    expect(await seen.until('others')).toMatchObject({ data: [{ name: 'Tomek' }] });
    await people.bench.ask('POST', '/api/sign-out');
    await seen.done;
    expect(seen.ended).toBe(true);
    // Who goes on listening hears on.
    const other = new Ear(`${mulch.url}/api/jobs/${job}/live?after=0`, { cookie: people.lead.cookie });
    await other.until('beat');
    expect(other.ended).toBe(false);
    await other.close();
  });
});
