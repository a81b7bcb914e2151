import { ulid } from 'ulid';
import {
  type EventType,
  fold,
  inWords,
  type JobEvent,
  type JobRecord,
  judge,
  type Payload,
  redoTarget,
  undoTarget,
} from '../../core/job';
import { Refusal } from '../../core/refusal';
import { picturesWaiting, WAITS, type WaitsDetail } from '../photos/waiting';
import { keptStory } from './kept-story';
import { LiveLink, type Other } from './live-link';
import { outbox } from './outbox';

/** Why entries wait: no connection, a server that says why, a job that it does not know, nobody signed in. */
export type Trouble =
  | { kind: 'connection' }
  | { kind: 'server'; reason: string }
  | { kind: 'unknown job' }
  | { kind: 'signed out' };

/** What the page shows of a job and of its link to the server. */
export interface Snapshot {
  record: JobRecord;
  /** events recorded here that are not kept by the server yet */
  unsent: number;
  /** why the last attempt to send failed */
  trouble: Trouble | null;
  /** entries that were refused after they had been shown: what each said, and why; until they are read */
  turnedBack: { id: string; reason: string; said: string }[];
  /** this browser keeps nothing that is not sent */
  keepsNothing: boolean;
  /** entries that the server had and has no more, which are sent to it again */
  sentAgain: number;
  /** who else has this job open */
  others: Other[];
  /** pictures taken here that the server has not got yet */
  pictures: number;
}

export interface Refused {
  reason: string;
  path: string;
}

interface Problem {
  status: number;
  detail: string;
  event?: string;
  path?: string;
}

/** What the server answers with the entries it has. */
interface Told {
  seq: number;
  events: JobEvent[];
}

const RETRY_SECONDS = [1, 2, 5, 10, 20];
const POLL_SECONDS = 15;
/** Entries sent at once. */
const BATCH = 200;

/** How long the storage of the browser may take; a window of an earlier Mulch can hold it. */
const STORAGE_MS = 2000;

/** Sending does not wait for a storage that does not answer. */
const soon = <T>(work: Promise<T>): Promise<T> =>
  Promise.race([
    work,
    new Promise<T>((_, fail) => {
      setTimeout(() => fail(new Error('the storage of the browser does not answer')), STORAGE_MS);
    }),
  ]);

/** Answers that are about an entry; all others are about the way to the server, or the server. */
const ABOUT_ENTRIES = new Set([400, 409, 413, 422]);

/**
 * The story of one job in the browser: judged here at once, kept in the outbox, sent when it can be.
 * The server judges again and its order counts; what it refuses is taken back and said.
 */
export class JobStore {
  private server: JobEvent[];
  private pending: JobEvent[] = [];
  private snapshot: Snapshot;
  private readonly listeners = new Set<() => void>();
  private sending = false;
  private again = false;
  private failures = 0;
  /** entries sent at once now */
  private most = BATCH;
  /** entries put into the outbox one after another, so that they keep their order */
  private boxed: Promise<void> = Promise.resolve();
  /** the story as it is kept, one part after another */
  private storied: Promise<void> = Promise.resolve();
  private channel: BroadcastChannel | undefined;
  private timer: ReturnType<typeof setTimeout> | undefined;
  /** how many entries the server said it has, while something was on its way there */
  private movedTo = 0;
  private readonly live: LiveLink;

  constructor(
    private readonly job: string,
    events: JobEvent[],
  ) {
    this.server = events;
    this.live = new LiveLink(job, () => this.server.length, {
      moved: (seq) => this.moved(seq),
      others: (others) => {
        if (others.length || this.snapshot.others.length) this.set({ others });
      },
    });
    this.snapshot = {
      record: fold(events),
      unsent: 0,
      trouble: null,
      turnedBack: [],
      keepsNothing: false,
      sentAgain: 0,
      others: [],
      pictures: 0,
    };
  }

  subscribe = (listener: () => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  get = () => this.snapshot;

  /** Takes up what an earlier page left unsent, and keeps in step with other windows. Returns how to stop. */
  start(): () => void {
    this.channel = new BroadcastChannel(`mulch job ${this.job}`);
    this.channel.onmessage = () => void this.pull();
    const wake = () => {
      if (document.visibilityState !== 'visible') return this.live.close();
      this.live.open();
      void this.pull();
    };
    // What is heard need not be asked for.
    const poll = setInterval(() => {
      if (!this.live.hears) wake();
    }, POLL_SECONDS * 1000);
    // The last words of a page: what is on its way into the outbox may not get there any more.
    const leave = () => {
      if (this.pending.length) void this.post(this.pending.slice(0, BATCH), true).catch(() => {});
    };
    const waits = (e: Event) => void this.waits((e as CustomEvent<WaitsDetail>).detail);
    window.addEventListener(WAITS, waits);
    window.addEventListener('pagehide', leave);
    window.addEventListener('online', wake);
    document.addEventListener('visibilitychange', wake);
    if (document.visibilityState === 'visible') this.live.open();
    void this.restore();
    return () => {
      this.live.close();
      clearInterval(poll);
      clearTimeout(this.timer);
      window.removeEventListener(WAITS, waits);
      window.removeEventListener('pagehide', leave);
      window.removeEventListener('online', wake);
      document.removeEventListener('visibilitychange', wake);
      this.channel?.close();
      this.channel = undefined;
    };
  }

  /**
   * Records an event. It is shown at once; null means it was taken, otherwise the reason and the
   * field it belongs to.
   */
  record<T extends EventType>(type: T, payload: Payload<T>, by: string): Refused | null {
    return this.add({
      id: ulid(),
      at: new Date().toISOString(),
      by,
      type,
      ...payload,
    } as unknown as JobEvent);
  }

  /** Takes the last entry back. */
  undo(by: string): Refused | null {
    const target = undoTarget(this.snapshot.record.events);
    return target
      ? this.add({ id: ulid(), at: new Date().toISOString(), by, type: 'undone', event: target.id })
      : { reason: 'There is nothing to undo', path: '' };
  }

  /** Takes one entry back, wherever it stands; refused while a later one needs it. */
  takeBack(event: string, by: string): Refused | null {
    return this.add({ id: ulid(), at: new Date().toISOString(), by, type: 'undone', event });
  }

  /** Brings the entry last taken back again. */
  redo(by: string): Refused | null {
    const target = redoTarget(this.snapshot.record.events);
    return target
      ? this.add({ id: ulid(), at: new Date().toISOString(), by, type: 'undone', event: target })
      : { reason: 'There is nothing to redo', path: '' };
  }

  /** Puts the notices that were read away. */
  dismiss = () => this.set({ turnedBack: [], sentAgain: 0 });

  /** What waits, to be saved as a file where the server does not take it. */
  waiting = (): JobEvent[] => [...this.pending];

  private add(event: JobEvent): Refused | null {
    try {
      const record = judge(this.snapshot.record, event);
      this.pending.push(event);
      this.set({ record, unsent: this.pending.length });
      this.boxed = this.boxed
        .then(() => soon(outbox.put(this.job, event)))
        .then(
          () => this.keeps(true),
          () => this.keeps(false),
        );
      void this.boxed.then(() => this.flush());
      return null;
    } catch (error) {
      if (error instanceof Refusal) return { reason: error.message, path: error.path };
      throw error;
    }
  }

  private set(change: Partial<Snapshot>) {
    this.snapshot = { ...this.snapshot, ...change };
    for (const l of this.listeners) l();
  }

  /** Whether the browser keeps what waits. */
  private keeps(yes: boolean) {
    if (this.snapshot.keepsNothing === yes) this.set({ keepsNothing: !yes });
  }

  /** A picture of this job has come to wait, or has become an entry, or never will. */
  private async waits({ job, refused }: WaitsDetail) {
    if (job !== this.job) return;
    if (refused) {
      const said = 'a picture taken without a connection';
      this.set({ turnedBack: [...this.snapshot.turnedBack, { ...refused, said }] });
    }
    await this.restore();
  }

  private async restore() {
    const pictures = await soon(picturesWaiting(this.job)).catch(() => 0);
    if (pictures !== this.snapshot.pictures) this.set({ pictures });
    // Before what waits is judged: it may follow from entries that this page came without.
    await this.asKept();
    const left = await soon(outbox.of(this.job)).catch(() => {
      this.keeps(false);
      return [];
    });
    const known = new Set([...this.server, ...this.pending].map((e) => e.id));
    const lost = left.filter((e) => !known.has(e.id));
    void outbox
      .drop(left.filter((e) => this.server.some((s) => s.id === e.id)).map((e) => e.id))
      .catch(() => {});
    if (lost.length) {
      this.pending = [...lost, ...this.pending];
      this.rebuild();
    }
    if (this.pending.length) await this.flush();
    else await this.pull();
    const { count, last } = await this.keptEnd();
    this.keepStory(count > 0 && this.server[count - 1]?.id === last ? count : 0);
  }

  private keptEnd = () =>
    soon(keptStory.end(this.job)).catch(() => ({ count: 0, last: undefined as string | undefined }));

  /** A page that comes as it was kept is older than the story that is kept beside it: that one goes on. */
  private async asKept(): Promise<void> {
    if ((await this.keptEnd()).count <= this.server.length) return;
    const kept = await soon(keptStory.of(this.job)).catch(() => []);
    const here = this.server.length;
    if (kept.length <= here || kept[here - 1]?.id !== this.server[here - 1]?.id) return;
    this.server = kept;
    this.rebuild();
  }

  /** Keeps what the server has, from a place on. */
  private keepStory(from: number) {
    const events = this.server.slice(from);
    if (events.length === 0) return;
    // What cannot be kept is only missing without a connection.
    this.storied = this.storied.then(() => soon(keptStory.keep(this.job, from, events))).catch(() => {});
  }

  /** Folds anew after the server's story has moved on; an entry that no longer holds is taken back. */
  private rebuild() {
    let record = fold(this.server);
    const kept: JobEvent[] = [];
    const turnedBack = [...this.snapshot.turnedBack];
    for (const event of this.pending) {
      try {
        record = judge(record, event);
        kept.push(event);
      } catch (error) {
        if (!(error instanceof Refusal)) throw error;
        turnedBack.push({ id: event.id, reason: error.message, said: inWords(event, record.state) });
        void outbox.drop([event.id]).catch(() => {});
      }
    }
    this.pending = kept;
    this.set({ record, unsent: kept.length, turnedBack });
  }

  private absorb(events: JobEvent[]) {
    const had = new Set(this.server.map((e) => e.id));
    const fresh = events.filter((e) => !had.has(e.id));
    if (fresh.length === 0) return;
    const own = fresh.every((e, i) => this.pending[i]?.id === e.id);
    const from = this.server.length;
    this.server = [...this.server, ...fresh];
    this.keepStory(from);
    const arrived = new Set(fresh.map((e) => e.id));
    this.pending = this.pending.filter((e) => !arrived.has(e.id));
    // It waits no more once it is kept as what the server has: a page may end between the two.
    void this.storied.then(() => outbox.drop([...arrived])).catch(() => {});
    if (own) this.set({ unsent: this.pending.length });
    else this.rebuild();
  }

  /** The job has moved on elsewhere. */
  private moved(seq: number) {
    // Fewer than it had: an older copy was put in the place of the server’s.
    if (seq === this.server.length) return;
    this.movedTo = seq;
    // What is on its way there comes back with what it lacks here.
    if (!this.sending) void this.pull();
  }

  private async pull() {
    if (this.pending.length) return this.flush();
    try {
      const res = await fetch(`/api/jobs/${this.job}/events?after=${this.server.length}`);
      if (res.ok) {
        const told = (await res.json()) as Told;
        if (told.seq < this.server.length) return await this.serverIsBehind();
        this.absorb(told.events);
      } else if (res.status === 404) return await this.serverIsBehind();
      else if (res.status === 401) return this.set({ trouble: { kind: 'signed out' } });
      if (this.snapshot.trouble) this.set({ trouble: null });
    } catch {
      this.set({ trouble: { kind: 'connection' } });
    }
  }

  private post = (events: JobEvent[], keepalive = false) =>
    fetch(`/api/jobs/${this.job}/events`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ events, after: this.server.length }),
      ...(keepalive ? { keepalive } : {}),
    });

  private async flush(): Promise<void> {
    if (this.sending) {
      this.again = true;
      return;
    }
    if (this.pending.length === 0) return;
    this.sending = true;
    clearTimeout(this.timer);
    const batch = this.pending.slice(0, this.most);
    try {
      const res = await this.post(batch);
      if (res.ok) {
        this.failures = 0;
        this.most = BATCH;
        const told = (await res.json()) as Told;
        const behind = told.seq < this.server.length + batch.length;
        this.absorb(told.events);
        this.set({ trouble: null });
        this.channel?.postMessage('moved on');
        if (behind) await this.serverIsBehind();
      } else await this.refusedByServer(res, batch);
    } catch {
      this.later({ kind: 'connection' });
    } finally {
      this.sending = false;
    }
    if (this.movedTo > this.server.length && this.pending.length === 0) {
      this.movedTo = 0;
      return this.pull();
    }
    if (this.again || (this.pending.length && !this.snapshot.trouble)) {
      this.again = false;
      await this.flush();
    }
  }

  /**
   * The server has fewer entries than it had: an older copy was put in its place. What it lacks is sent
   * again, before what was recorded since.
   */
  private async serverIsBehind(): Promise<void> {
    const res = await fetch(`/api/jobs/${this.job}/events?after=0`);
    if (res.status === 404) return this.set({ trouble: { kind: 'unknown job' } });
    if (!res.ok) return;
    const { events } = (await res.json()) as Told;
    const there = new Set(events.map((e) => e.id));
    const lacks = this.server.filter((e) => !there.has(e.id));
    this.server = events;
    this.keepStory(0);
    if (lacks.length === 0) return this.rebuild();
    const again = new Set(lacks.map((e) => e.id));
    this.pending = [...lacks, ...this.pending.filter((e) => !again.has(e.id) && !there.has(e.id))];
    for (const event of lacks)
      this.boxed = this.boxed.then(() => outbox.put(this.job, event)).catch(() => {});
    this.rebuild();
    this.set({ sentAgain: lacks.length });
    if (!this.sending) await this.flush();
    else this.again = true;
  }

  private async refusedByServer(res: Response, batch: JobEvent[]) {
    const problem = (await res.json().catch(() => null)) as Problem | null;
    const reason = problem?.detail ?? `the server answered ${res.status}`;
    if (res.status === 404) return this.set({ trouble: { kind: 'unknown job' } });
    const at = /^\/events\/(\d+)(\/|$)/.exec(problem?.path ?? '')?.[1];
    const culprit =
      batch.find((e) => e.id === problem?.event) ??
      (at === undefined ? undefined : batch[Number(at)]) ??
      (batch.length === 1 ? batch[0] : undefined);
    if (res.status === 401) return this.later({ kind: 'signed out' });
    if (!ABOUT_ENTRIES.has(res.status)) return this.later({ kind: 'server', reason });
    if (!culprit) {
      // Which of them it was is not said: fewer at once, until it is one.
      this.most = batch.length >> 1;
      return this.set({ trouble: null });
    }
    this.pending = this.pending.filter((e) => e.id !== culprit.id);
    await outbox.drop([culprit.id]).catch(() => {});
    const missed = await fetch(`/api/jobs/${this.job}/events?after=${this.server.length}`);
    if (missed.ok) this.absorb(((await missed.json()) as Told).events);
    const said = inWords(culprit, this.snapshot.record.state);
    this.set({ trouble: null, turnedBack: [...this.snapshot.turnedBack, { id: culprit.id, reason, said }] });
    this.rebuild();
  }

  private later(trouble: Trouble) {
    this.set({ trouble });
    const wait = RETRY_SECONDS[Math.min(this.failures++, RETRY_SECONDS.length - 1)] as number;
    this.timer = setTimeout(() => {
      // Whatever the trouble is, it is tried again; it is said until that went well.
      void this.flush();
    }, wait * 1000);
  }
}
