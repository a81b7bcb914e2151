import { useCallback, useEffect, useRef, useState } from 'react';
import type { DayHouse, DayOffer, DayPlan, DaySheet } from '../../core/day-plan';
import { kept } from '../../ui/kept';
import { type Failure, send } from '../units/send';

/** Changes rest for so long before they are sent. */
const REST_MS = 500;
/** What could not be sent is tried again after so long. */
const AGAIN_MS = 5000;
/** Steps that can be taken back. */
const MOST_UNDO = 50;

const AWAY: Failure = { reason: 'the server does not answer: try again', path: '' };

const idsOf = (plan: DayPlan) => plan.jobs.map((j) => j.job).join(',');
const keyOf = (day: string, person: string) => `mulch-day-${day}-${person}`;

/** A new day begins like the last one that was planned. */
const begun = (day: string, person: string, before: DayPlan | null): DayPlan => ({
  day,
  person,
  zone: 'UTC',
  start: before?.start ?? { place: '', at: '08:00' },
  end: before?.end ?? { at: '17:00' },
  jobs: [],
  order: [],
  busy: [],
  van: { ticked: [], back: [] },
});

/** Fields of a plan that change. */
export type Changes = { [K in keyof DayPlan]?: DayPlan[K] | undefined };

export interface DayLink {
  plan: DayPlan;
  offers: DayOffer[];
  house: DayHouse;
  learned: DayHouse['travel'];
  others: DayPlan[];
  people: string[];
  /** what could not be kept, and why */
  failed: Failure | null;
  /** somebody else changed it meanwhile */
  clash: boolean;
  saved: boolean;
  /** how often it was sent and kept here */
  version: number;
  /** undefined takes a field away */
  change(more: Changes): void;
  undo(): void;
  canUndo: boolean;
  theirs(): Promise<void>;
  mine(): void;
  saveHouse(house: DayHouse): Promise<Failure | null>;
}

/** One technician’s day: changed at once, kept in this browser until the server has it. */
export function useDay(first: DaySheet, day: string, person: string): DayLink {
  const [sheet, setSheet] = useState(first);
  const [plan, setPlan] = useState<DayPlan>(first.plan ?? begun(day, person, first.before));
  const [past, setPast] = useState<DayPlan[]>([]);
  const [failed, setFailed] = useState<Failure | null>(null);
  const [clash, setClash] = useState(false);
  const [dirty, setDirty] = useState(false);
  const version = useRef(first.version);
  const refused = useRef<DayPlan | null>(null);
  const latest = useRef(plan);
  latest.current = plan;
  // What is changed while something is on its way goes with the next.
  const [sending, setSending] = useState(false);
  const key = keyOf(day, person);
  useEffect(() => {
    const zone = Intl.DateTimeFormat().resolvedOptions().timeZone;
    const had = kept.read<{ plan: DayPlan; version: number }>(key);
    if (had) {
      // Typed before a reload, and not sent by then.
      version.current = had.version;
      setPlan(had.plan);
      setDirty(true);
    } else if (!first.plan) setPlan((p) => ({ ...p, zone }));
  }, [key, first.plan]);
  const put = useCallback(
    (next: DayPlan) => {
      setPlan(next);
      setDirty(true);
      kept.write(key, { plan: next, version: version.current });
    },
    [key],
  );
  const again = useCallback(
    async (ids: string) => {
      const res = await fetch(
        `/api/days/${day}?person=${encodeURIComponent(person)}&with=${encodeURIComponent(ids)}`,
      ).catch(() => null);
      if (!res?.ok) return null;
      const next = (await res.json()) as DaySheet;
      setSheet(next);
      return next;
    },
    [day, person],
  );
  useEffect(() => {
    if (!dirty || clash || sending) return;
    // What was refused is not sent again as it is.
    if (failed?.path && refused.current === plan) return;
    const timer = setTimeout(
      async () => {
        setSending(true);
        const told = await send<{ version: number }>('/api/days', { version: version.current, plan }, 'PUT');
        setSending(false);
        if (told.ok) {
          version.current = told.data.version;
          setFailed(null);
          // Changed on while it was sent: what stands here is newer, and goes with the next one.
          if (latest.current === plan) {
            kept.drop(key);
            setDirty(false);
          } else kept.write(key, { plan: latest.current, version: version.current });
          await again(idsOf(plan));
        } else {
          refused.current = plan;
          setClash(told.failure.path === '/version');
          setFailed(told.failure);
        }
      },
      failed && failed.path === '' ? AGAIN_MS : REST_MS,
    );
    return () => clearTimeout(timer);
  }, [dirty, clash, sending, plan, key, failed, again]);
  // A job that was just taken in came without its minutes.
  const light = plan.jobs
    .map((j) => j.job)
    .filter((id) => {
      const o = sheet.offers.find((x) => x.job === id);
      return !o || (o.tasks.length === 0 && !o.over);
    })
    .join(',');
  useEffect(() => {
    if (light) void again(light);
  }, [light, again]);
  return {
    plan,
    offers: sheet.offers,
    house: sheet.house,
    learned: sheet.learned,
    others: sheet.others,
    people: sheet.people,
    failed: failed?.path === '/version' ? null : failed,
    clash,
    saved: !dirty,
    version: version.current,
    change(more) {
      setPast((all) => [...all.slice(-MOST_UNDO), plan]);
      const next = Object.entries({ ...plan, ...more }).filter(([, v]) => v !== undefined);
      put(Object.fromEntries(next) as unknown as DayPlan);
    },
    undo() {
      const last = past.at(-1);
      if (!last) return;
      setPast((all) => all.slice(0, -1));
      put(last);
    },
    canUndo: past.length > 0,
    async theirs() {
      const next = await again(idsOf(plan));
      if (!next?.plan) return setFailed(AWAY);
      version.current = next.version;
      setPlan(next.plan);
      setDirty(false);
      setClash(false);
      setFailed(null);
      kept.drop(key);
    },
    mine() {
      void again(idsOf(plan)).then((next) => {
        if (!next) return setFailed(AWAY);
        version.current = next.version;
        setClash(false);
        setFailed(null);
        put(plan);
      });
    },
    async saveHouse(house) {
      const sent = await send<{ house: DayHouse; version: number }>(
        '/api/days/ways',
        { version: sheet.houseVersion, house },
        'PUT',
      );
      if (!sent.ok) {
        if (sent.failure.path === '/version') await again(idsOf(plan));
        return sent.failure;
      }
      setSheet((s) => ({ ...s, house: sent.data.house, houseVersion: sent.data.version }));
      return null;
    },
  };
}
