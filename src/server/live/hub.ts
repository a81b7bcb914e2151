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
  /** whether whoever listens may still do so, asked now */
  look(): void;
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

const everybody = (): Listener[] => [...jobs.values()].flatMap((here) => [...here]);

/** Somebody was signed out: who may not listen any more is told no more. */
export function lookAgain(): void {
  for (const l of everybody()) l.look();
}

/** What the process that serves calls when it begins to end: nobody holds it up. */
Object.assign(globalThis, {
  [Symbol.for('mulch.ending')]: () => {
    for (const l of everybody()) l.end();
  },
});
