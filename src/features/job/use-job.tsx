import {
  createContext,
  type ReactNode,
  useContext,
  useEffect,
  useMemo,
  useState,
  useSyncExternalStore,
} from 'react';
import type { EventType, JobEvent, JobState, Payload, Stop } from '../../core/job';
import { reaches } from '../../core/people';
import { signedIn } from '../people/signed-in';
import { author } from './author';
import { JobStore, type Refused, type Snapshot } from './store';

interface JobDesk {
  job: JobState;
  events: JobEvent[];
  /** records an event; null when taken, otherwise why not and at which field */
  record<T extends EventType>(type: T, payload: Payload<T>): Refused | null;
  undo(): Refused | null;
  redo(): Refused | null;
  /** takes one entry back, wherever it stands */
  takeBack(event: string): Refused | null;
  /** the stop that is looked at, and how to look at another */
  stop: Stop;
  go(stop: Stop): void;
}

/** How the job and the server stand to one another. */
interface JobLink extends Omit<Snapshot, 'record'> {
  dismiss(): void;
  /** what the server has not got yet */
  waiting(): JobEvent[];
}

const Desk = createContext<JobDesk | null>(null);
const Link = createContext<JobLink | null>(null);

/** The job on the bench, for every component of a job view. */
export function useJob(): JobDesk {
  const desk = useContext(Desk);
  if (!desk) throw new Error('useJob belongs inside a job view');
  return desk;
}

/** What is sent and what waits: apart, since it changes with every answer of the server and the job does not. */
export function useLink(): JobLink {
  const link = useContext(Link);
  if (!link) throw new Error('useLink belongs inside a job view');
  return link;
}

/** Why somebody who only looks on records nothing; null for everybody else. */
export const looksOn = (): Refused | null => {
  const me = signedIn();
  return me && !reaches(me.role, 'bench')
    ? { reason: `${me.name} looks on here: entries are made by bench and lead`, path: '' }
    : null;
};

export function JobDeskProvider({
  id,
  events,
  stop,
  go,
  children,
}: {
  id: string;
  events: JobEvent[];
  stop: Stop;
  go(stop: Stop): void;
  children: ReactNode;
}) {
  const [store] = useState(() => new JobStore(id, events));
  const snapshot = useSyncExternalStore(store.subscribe, store.get, store.get);
  useEffect(() => store.start(), [store]);
  const { record: now } = snapshot;
  const desk = useMemo<JobDesk>(
    () => ({
      job: now.state,
      events: now.events,
      record: (type, payload) => looksOn() ?? store.record(type, payload, author.get()),
      undo: () => looksOn() ?? store.undo(author.get()),
      redo: () => looksOn() ?? store.redo(author.get()),
      takeBack: (event) => looksOn() ?? store.takeBack(event, author.get()),
      stop,
      go,
    }),
    [now, store, stop, go],
  );
  const link = useMemo<JobLink>(
    () => ({ ...snapshot, dismiss: store.dismiss, waiting: store.waiting }),
    [snapshot, store],
  );
  return (
    <Link value={link}>
      <Desk value={desk}>{children}</Desk>
    </Link>
  );
}
