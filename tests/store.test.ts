import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { type JobEvent, judge } from '../src/core/job';
import { hearingLoop } from '../src/demo/units/hearing-loop';
import { JobStore } from '../src/features/job/store';

const JOB = '01ARZ3NDEKTSV4RRFFQ69G5FAV';
const opened: JobEvent = {
  id: '01ARZ3NDEKTSV4RRFFQ69G5FA0',
  at: '2026-11-25T10:00:00.000Z',
  by: 'Ines',
  type: 'job.opened',
  job: JOB,
  tag: 'J-1',
  map: hearingLoop,
};
const foreign = (text: string): JobEvent => ({
  id: `01ARZ3NDEKTSV4RRFFQ69G5F${text}`,
  at: '2026-11-25T10:01:00.000Z',
  by: 'Bo',
  type: 'note.added',
  text,
});

/** A server that keeps what it is sent, and can be told to refuse or to be away. */
class FakeServer {
  events: JobEvent[] = [opened];
  away = false;
  refuse: ((e: JobEvent) => string | null) | null = null;
  posts = 0;
  /** answers every post with this instead */
  down: { status: number; detail: string } | null = null;
  /** whether it says which entry it refuses */
  says = true;
  /** refuses a batch as a schema does: by the place of the entry in it */
  schema: ((e: JobEvent) => string | null) | null = null;

  fetch = async (url: string, init?: RequestInit): Promise<Response> => {
    if (this.away) throw new TypeError('network');
    if (!init?.method) {
      if (this.events.length === 0) return Response.json({ status: 404 }, { status: 404 });
      const after = Number(new URL(url, 'http://x').searchParams.get('after'));
      return Response.json({ events: this.events.slice(after), seq: this.events.length });
    }
    this.posts++;
    if (this.down) return Response.json(this.down, { status: this.down.status });
    if (this.events.length === 0)
      return Response.json({ status: 404, detail: 'no such job' }, { status: 404 });
    const { events, after } = JSON.parse(String(init.body)) as { events: JobEvent[]; after: number };
    for (const [i, e] of events.entries()) {
      const detail = this.schema?.(e);
      if (detail)
        return Response.json(
          { status: 400, detail, ...(this.says ? { path: `/events/${i}/text` } : {}) },
          { status: 400 },
        );
    }
    for (const e of events) {
      const reason = this.refuse?.(e);
      if (reason) return Response.json({ status: 422, detail: reason, event: e.id }, { status: 422 });
    }
    const known = new Set(this.events.map((e) => e.id));
    this.events.push(...events.filter((e) => !known.has(e.id)));
    return Response.json({ events: this.events.slice(after), seq: this.events.length });
  };
}

let server: FakeServer;
beforeEach(() => {
  server = new FakeServer();
  vi.useFakeTimers();
  vi.stubGlobal('fetch', server.fetch);
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});
const settle = () => vi.advanceTimersByTimeAsync(5);
const note = (store: JobStore, text: string) => store.record('note.added', { text }, 'Ines');
const notes = (store: JobStore) => store.get().record.state.notes.map((n) => n.text);

describe('the story in the browser', () => {
  it('shows an entry at once and has it kept by the server', async () => {
    const store = new JobStore(JOB, [opened]);
    expect(note(store, 'smells of salt')).toBeNull();
    expect(notes(store)).toEqual(['smells of salt']);
    expect(store.get().unsent).toBe(1);
    await settle();
    expect(store.get().unsent).toBe(0);
    expect(server.events.map((e) => e.type)).toEqual(['job.opened', 'note.added']);
  });

  it('refuses at once what a rule forbids, with the field, and sends nothing', async () => {
    const store = new JobStore(JOB, [opened]);
    expect(note(store, '  ')).toEqual({ reason: 'the note is empty', path: '/text' });
    await settle();
    expect(server.posts).toBe(0);
    expect(notes(store)).toEqual([]);
  });

  it('goes on without a connection and sends everything in order when it is back', async () => {
    const store = new JobStore(JOB, [opened]);
    server.away = true;
    for (const t of ['one', 'two', 'three']) note(store, t);
    await settle();
    expect(store.get()).toMatchObject({ trouble: { kind: 'connection' }, unsent: 3 });
    expect(notes(store)).toEqual(['one', 'two', 'three']);
    server.away = false;
    await vi.advanceTimersByTimeAsync(25_000);
    expect(store.get()).toMatchObject({ trouble: null, unsent: 0 });
    expect(server.events.slice(1).map((e) => (e.type === 'note.added' ? e.text : ''))).toEqual([
      'one',
      'two',
      'three',
    ]);
  });

  it('takes in what another window did meanwhile, in the order of the server', async () => {
    const store = new JobStore(JOB, [opened]);
    server.events.push(foreign('A1'));
    note(store, 'mine');
    await settle();
    expect(notes(store)).toEqual(['A1', 'mine']);
  });

  it('takes an entry back that the server refuses, says why, and keeps the others', async () => {
    const store = new JobStore(JOB, [opened]);
    server.refuse = (e) => (e.type === 'note.added' && e.text === 'two' ? 'somebody was quicker' : null);
    for (const t of ['one', 'two', 'three']) note(store, t);
    await settle();
    expect(store.get().turnedBack).toMatchObject([{ reason: 'somebody was quicker', said: 'Note: two' }]);
    expect(notes(store)).toEqual(['one', 'three']);
    expect(server.events).toHaveLength(3);
    store.dismiss();
    expect(store.get().turnedBack).toEqual([]);
  });

  it('undoes and redoes through entries of its own', async () => {
    const store = new JobStore(JOB, [opened]);
    expect(store.undo('Ines')?.reason).toMatch(/nothing to undo/);
    note(store, 'slip');
    expect(store.undo('Ines')).toBeNull();
    expect(notes(store)).toEqual([]);
    expect(store.redo('Ines')).toBeNull();
    expect(notes(store)).toEqual(['slip']);
    expect(store.redo('Ines')?.reason).toMatch(/nothing to redo/);
    await settle();
    expect(server.events.map((e) => e.type)).toEqual(['job.opened', 'note.added', 'undone', 'undone']);
    expect(judge(null, opened).state.notes).toEqual([]);
  });

  it('tells its listeners of every change, and stops when they leave', async () => {
    const store = new JobStore(JOB, [opened]);
    const heard = vi.fn();
    const leave = store.subscribe(heard);
    note(store, 'one');
    expect(heard).toHaveBeenCalledTimes(1);
    leave();
    note(store, 'two');
    expect(heard).toHaveBeenCalledTimes(1);
    await settle();
  });

  it('sends what stands behind an entry that a schema refuses, and gives that one back with its words', async () => {
    const store = new JobStore(JOB, [opened]);
    server.away = true;
    for (const t of ['one', 'far too long', 'three']) note(store, t);
    await settle();
    server.away = false;
    server.schema = (e) => (e.type === 'note.added' && e.text.length > 5 ? 'at most 5 characters' : null);
    await vi.advanceTimersByTimeAsync(25_000);
    expect(notes(store)).toEqual(['one', 'three']);
    expect(store.get()).toMatchObject({
      unsent: 0,
      trouble: null,
      turnedBack: [{ reason: 'at most 5 characters', said: 'Note: far too long' }],
    });
    expect(server.events).toHaveLength(3);
  });

  it('refuses at once, with the field, what is longer than can be kept', () => {
    const store = new JobStore(JOB, [opened]);
    expect(note(store, 'x'.repeat(4001))).toEqual({
      reason: 'at most 4000 characters: these are 4001',
      path: '/text',
    });
    expect(note(store, 'x'.repeat(4000))).toBeNull();
  });

  it('finds by itself which of many is refused where the server does not say, and gives every one back', async () => {
    const store = new JobStore(JOB, [opened]);
    server.away = true;
    for (const t of ['a', 'too much', 'b', 'c', 'over it', 'd']) note(store, t);
    await settle();
    server.away = false;
    server.schema = (e) => (e.type === 'note.added' && e.text.length > 2 ? 'too long' : null);
    server.says = false;
    await vi.advanceTimersByTimeAsync(25_000);
    expect(notes(store)).toEqual(['a', 'b', 'c', 'd']);
    expect(store.get().turnedBack.map((t) => t.said)).toEqual(['Note: too much', 'Note: over it']);
    expect(store.get()).toMatchObject({ unsent: 0, trouble: null });
  });

  it('gives no entry up for what is not about it', async () => {
    const store = new JobStore(JOB, [opened]);
    server.down = { status: 403, detail: 'writes are taken from this Mulch only' };
    note(store, 'one');
    await settle();
    expect(store.get()).toMatchObject({ unsent: 1, turnedBack: [], trouble: { kind: 'server' } });
    server.down = null;
    await vi.advanceTimersByTimeAsync(25_000);
    expect(store.get()).toMatchObject({ unsent: 0, trouble: null });
  });

  it('a fault of the server is not called a lost connection, and is tried again', async () => {
    const store = new JobStore(JOB, [opened]);
    server.down = { status: 507, detail: 'the disk is full' };
    note(store, 'one');
    await settle();
    expect(store.get()).toMatchObject({
      unsent: 1,
      trouble: { kind: 'server', reason: 'the disk is full' },
    });
    server.down = null;
    await vi.advanceTimersByTimeAsync(25_000);
    expect(store.get()).toMatchObject({ unsent: 0, trouble: null });
  });

  it('sends a server that went back to an older copy what it lacks, and says so', async () => {
    const store = new JobStore(JOB, [opened]);
    for (const t of ['one', 'two', 'three']) note(store, t);
    await settle();
    server.events = server.events.slice(0, 2);
    note(store, 'four');
    await settle();
    // What was recorded since was there first; what was lacking follows in its own order.
    expect(notes(store)).toEqual(['one', 'four', 'two', 'three']);
    expect(server.events.slice(1).map((e) => (e.type === 'note.added' ? e.text : ''))).toEqual(notes(store));
    expect(store.get()).toMatchObject({ unsent: 0, sentAgain: 2 });
  });

  it('keeps an entry for a job that the server does not know, to be saved as a file', async () => {
    const store = new JobStore(JOB, [opened]);
    server.events = [];
    note(store, 'only here');
    await settle();
    expect(store.get()).toMatchObject({ unsent: 1, trouble: { kind: 'unknown job' } });
    expect(store.waiting()).toMatchObject([{ type: 'note.added', text: 'only here' }]);
    expect(notes(store)).toEqual(['only here']);
  });

  it('says that nothing is kept where the browser keeps nothing', async () => {
    // There is no storage here at all.
    const store = new JobStore(JOB, [opened]);
    note(store, 'one');
    await settle();
    expect(store.get().keepsNothing).toBe(true);
  });
});
