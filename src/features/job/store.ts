import { ulid } from 'ulid';
import {
  type EventType,
  fold,
  type JobEvent,
  type JobRecord,
  judge,
  type Payload,
  redoTarget,
  undoTarget,
} from '../../core/job';
import { Refusal } from '../../core/refusal';
import { outbox } from './outbox';

/** What the page shows of a job and of its link to the server. */
export interface Snapshot {
  record: JobRecord;
  /** events recorded here that are not kept by the server yet */
  unsent: number;
  /** the last attempt to send failed for want of a connection */
  offline: boolean;
  /** an entry the server refused after it had been shown: what and why */
  turnedBack: { reason: string } | null;
}

export interface Refused {
  reason: string;
  path: string;
}

interface Problem {
  status: number;
  detail: string;
  event?: string;
}

const RETRY_SECONDS = [1, 2, 5, 10, 20];
const POLL_SECONDS = 15;

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
  private order = 0;
  private channel: BroadcastChannel | undefined;
  private timer: ReturnType<typeof setTimeout> | undefined;

  constructor(
    private readonly job: string,
    events: JobEvent[],
  ) {
    this.server = events;
    this.snapshot = { record: fold(events), unsent: 0, offline: false, turnedBack: null };
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
      if (document.visibilityState === 'visible') void this.pull();
    };
    const poll = setInterval(wake, POLL_SECONDS * 1000);
    window.addEventListener('online', wake);
    document.addEventListener('visibilitychange', wake);
    void this.restore();
    return () => {
      clearInterval(poll);
      clearTimeout(this.timer);
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

  /** Puts the notice about a refused entry away. */
  dismiss = () => this.set({ turnedBack: null });

  private add(event: JobEvent): Refused | null {
    try {
      const record = judge(this.snapshot.record, event);
      this.pending.push(event);
      this.set({ record, unsent: this.pending.length });
      void outbox
        .put(this.job, event, Date.now() * 1000 + this.order++)
        .catch(() => {})
        .finally(() => void this.flush());
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

  private async restore() {
    const left = await outbox.of(this.job).catch(() => []);
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
  }

  /** Folds anew after the server's story has moved on; an entry that no longer holds is taken back. */
  private rebuild() {
    let record = fold(this.server);
    const kept: JobEvent[] = [];
    let turnedBack = this.snapshot.turnedBack;
    for (const event of this.pending) {
      try {
        record = judge(record, event);
        kept.push(event);
      } catch (error) {
        if (!(error instanceof Refusal)) throw error;
        turnedBack = { reason: error.message };
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
    this.server = [...this.server, ...fresh];
    const arrived = new Set(fresh.map((e) => e.id));
    this.pending = this.pending.filter((e) => !arrived.has(e.id));
    void outbox.drop([...arrived]).catch(() => {});
    if (own) this.set({ unsent: this.pending.length });
    else this.rebuild();
  }

  private async pull() {
    if (this.pending.length) return this.flush();
    try {
      const res = await fetch(`/api/jobs/${this.job}/events?after=${this.server.length}`);
      if (!res.ok) return;
      this.absorb(((await res.json()) as { events: JobEvent[] }).events);
      if (this.snapshot.offline) this.set({ offline: false });
    } catch {
      this.set({ offline: true });
    }
  }

  private async flush(): Promise<void> {
    if (this.sending) {
      this.again = true;
      return;
    }
    if (this.pending.length === 0) return;
    this.sending = true;
    clearTimeout(this.timer);
    const batch = this.pending.slice(0, 200);
    try {
      const res = await fetch(`/api/jobs/${this.job}/events`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ events: batch, after: this.server.length }),
      });
      if (res.ok) {
        this.failures = 0;
        this.absorb(((await res.json()) as { events: JobEvent[] }).events);
        this.set({ offline: false });
        this.channel?.postMessage('moved on');
      } else await this.refusedByServer(res, batch);
    } catch {
      this.later();
    } finally {
      this.sending = false;
    }
    if (this.again || (this.pending.length && !this.snapshot.offline)) {
      this.again = false;
      await this.flush();
    }
  }

  private async refusedByServer(res: Response, batch: JobEvent[]) {
    const problem = (await res.json().catch(() => null)) as Problem | null;
    const culprit =
      batch.find((e) => e.id === problem?.event) ??
      (res.status < 500 && batch.length === 1 ? batch[0] : undefined);
    if (!culprit) return this.later();
    this.pending = this.pending.filter((e) => e.id !== culprit.id);
    await outbox.drop([culprit.id]).catch(() => {});
    const missed = await fetch(`/api/jobs/${this.job}/events?after=${this.server.length}`);
    if (missed.ok)
      this.server = [...this.server, ...((await missed.json()) as { events: JobEvent[] }).events];
    this.set({ turnedBack: { reason: problem?.detail ?? 'the server refused it' } });
    this.rebuild();
  }

  private later() {
    this.set({ offline: true });
    const wait = RETRY_SECONDS[Math.min(this.failures++, RETRY_SECONDS.length - 1)] as number;
    this.timer = setTimeout(() => {
      this.set({ offline: false });
      void this.flush();
    }, wait * 1000);
  }
}
