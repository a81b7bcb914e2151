/** Somebody who has a job open. */
export interface Present {
  /** of this connection, for as long as it stands */
  id: string;
  /** who is signed in; empty where nobody is registered */
  name: string;
  /** the device, in words */
  device: string;
}

/** What those who have a job open hear. */
export interface Listener {
  present: Present;
  /** the job has so many entries now */
  moved(seq: number): void;
  /** who has it open changed */
  others(present: Present[]): void;
  end(): void;
}

const jobs = new Map<string, Set<Listener>>();

const present = (job: string): Present[] => [...(jobs.get(job) ?? [])].map((l) => l.present);

function tellWho(job: string): void {
  const now = present(job);
  for (const l of jobs.get(job) ?? []) l.others(now);
}

/** Somebody opens a job; answers how they leave it. */
export function join(job: string, listener: Listener): () => void {
  const here = jobs.get(job) ?? new Set();
  jobs.set(job, here.add(listener));
  tellWho(job);
  return () => {
    if (!here.delete(listener)) return;
    if (here.size === 0) jobs.delete(job);
    tellWho(job);
  };
}

/** Tells all who have a job open how many entries it has. */
export function tellMoved(job: string, seq: number): void {
  for (const l of jobs.get(job) ?? []) l.moved(seq);
}

/** Who is signed out is told no more. */
export function endAll(which: (present: Present) => boolean = () => true): void {
  for (const here of [...jobs.values()]) for (const l of [...here]) if (which(l.present)) l.end();
}

/** What the process that serves calls when it begins to end: nobody holds it up. */
Object.assign(globalThis, { [Symbol.for('mulch.ending')]: () => endAll() });
