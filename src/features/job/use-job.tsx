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
import { author } from './author';
import { JobStore, type Refused, type Snapshot } from './store';

interface JobDesk {
  job: JobState;
  events: JobEvent[];
  snapshot: Snapshot;
  /** records an event; null when taken, otherwise why not and at which field */
  record<T extends EventType>(type: T, payload: Payload<T>): Refused | null;
  undo(): Refused | null;
  redo(): Refused | null;
  /** takes one entry back, wherever it stands */
  takeBack(event: string): Refused | null;
  dismiss(): void;
  /** what the server has not got yet */
  waiting(): JobEvent[];
  /** the stop that is looked at, and how to look at another */
  stop: Stop;
  go(stop: Stop): void;
}

const Desk = createContext<JobDesk | null>(null);

/** The job on the bench, for every component of a job view. */
export function useJob(): JobDesk {
  const desk = useContext(Desk);
  if (!desk) throw new Error('useJob belongs inside a job view');
  return desk;
}

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
  const desk = useMemo<JobDesk>(
    () => ({
      job: snapshot.record.state,
      events: snapshot.record.events,
      snapshot,
      record: (type, payload) => store.record(type, payload, author.get()),
      undo: () => store.undo(author.get()),
      redo: () => store.redo(author.get()),
      takeBack: (event) => store.takeBack(event, author.get()),
      dismiss: store.dismiss,
      waiting: store.waiting,
      stop,
      go,
    }),
    [snapshot, store, stop, go],
  );
  return <Desk value={desk}>{children}</Desk>;
}
