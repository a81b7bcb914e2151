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

  fetch = async (url: string, init?: RequestInit): Promise<Response> => {
    if (this.away) throw new TypeError('network');
    if (!init) {
      const after = Number(new URL(url, 'http://x').searchParams.get('after'));
      return Response.json({ events: this.events.slice(after), seq: this.events.length });
    }
    this.posts++;
    const { events, after } = JSON.parse(String(init.body)) as { events: JobEvent[]; after: number };
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
    expect(store.get()).toMatchObject({ offline: true, unsent: 3 });
    expect(notes(store)).toEqual(['one', 'two', 'three']);
    server.away = false;
    await vi.advanceTimersByTimeAsync(25_000);
    expect(store.get()).toMatchObject({ offline: false, unsent: 0 });
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
    expect(store.get().turnedBack).toEqual({ reason: 'somebody was quicker' });
    expect(notes(store)).toEqual(['one', 'three']);
    expect(server.events).toHaveLength(3);
    store.dismiss();
    expect(store.get().turnedBack).toBeNull();
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
});
