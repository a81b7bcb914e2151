/**
 * Decisions once more, as plain as their definition: every act at every moment tried, every answer
 * followed, nothing shared or remembered. It shares no code with the real ones.
 */
import type { Power, TraceCheck, TraceElement } from '../trace';

export interface Plain {
  elements: TraceElement[];
  checks: TraceCheck[];
  access: { id: string; minutes: number; needs?: string[] }[];
  power: { now: Power; onMinutes: number; offMinutes: number };
}

export interface Moment {
  /** weight of each fault, together with what was answered so far */
  w: number[];
  /** rungs tried of each ladder */
  rungs: number[];
  made: number[];
  open: string[];
  power: Power;
}

export type PlainAct = { check: number } | { element: number; rung: number };

export const start = (m: Plain): Moment => {
  const all = m.elements.reduce((s, e) => s + e.weight, 0);
  return {
    w: m.elements.map((e) => e.weight / all),
    rungs: m.elements.map(() => 0),
    made: m.checks.map(() => 0),
    open: [],
    power: m.power.now,
  };
};
export const mass = (s: Moment): number => s.w.reduce((a, b) => a + b, 0);

export const ladderOf = (e: TraceElement): { minutes: number; fixes: number }[] => {
  const list = e.remedies ?? [{ minutes: e.repairMinutes as number, fixes: 1 }];
  return list.map((r, k) => ({ minutes: r.minutes, fixes: k === list.length - 1 ? 1 : r.fixes }));
};

const shut = (m: Plain, open: string[], needs: string[] = []): string[] => {
  const wanted: string[] = [];
  const add = (id: string) => {
    if (wanted.includes(id) || open.includes(id)) return;
    wanted.push(id);
    for (const n of m.access.find((a) => a.id === id)?.needs ?? []) add(n);
  };
  needs.forEach(add);
  return wanted;
};

/** Minutes of an act now, and what stands open and powered after it. */
export function charge(m: Plain, s: Moment, act: PlainAct) {
  const thing = ('check' in act ? m.checks[act.check] : m.elements[act.element]) as TraceCheck | TraceElement;
  const opened = shut(m, s.open, thing.needs);
  const change = thing.power && thing.power !== s.power ? m.power[`${thing.power}Minutes`] : 0;
  const own =
    'check' in act
      ? (m.checks[act.check] as TraceCheck).minutes
      : (ladderOf(m.elements[act.element] as TraceElement)[act.rung]?.minutes as number);
  return {
    minutes:
      own + change + opened.reduce((t, id) => t + (m.access.find((a) => a.id === id)?.minutes ?? 0), 0),
    open: [...s.open, ...opened],
    power: thing.power ?? s.power,
  };
}

/** Chance of an answer when one element is at fault. */
export function chance(m: Plain, check: number, answer: string, element: number): number {
  const c = m.checks[check] as TraceCheck;
  const e = m.elements[element] as TraceElement;
  if (c.outcomes) {
    const weights = c.outcomes.map((o) => (o.points.includes(e.id) ? 1 : 0.03));
    return (
      (weights[c.outcomes.findIndex((o) => o.id === answer)] as number) / weights.reduce((a, b) => a + b, 0)
    );
  }
  const shows = c.exercises?.includes(e.id) ? (c.sensitivity ?? 0.97) * (c.provokes?.[e.id] ?? e.q ?? 1) : 0;
  const ok = (1 - (c.falseAlarm ?? 0.02)) * (1 - shows);
  return answer === 'ok' ? ok : 1 - ok;
}

export const answersOf = (c: TraceCheck): string[] => c.outcomes?.map((o) => o.id) ?? ['bad', 'ok'];

/** What may follow an act, unweighted: each with its moment. */
export function leadsTo(m: Plain, s: Moment, act: PlainAct): { answer?: string; then: Moment }[] {
  const { open, power } = charge(m, s, act);
  if ('check' in act) {
    const made = s.made.map((x, i) => (i === act.check ? x + 1 : x));
    return answersOf(m.checks[act.check] as TraceCheck).map((answer) => ({
      answer,
      then: { ...s, open, power, made, w: s.w.map((w, e) => w * chance(m, act.check, answer, e)) },
    }));
  }
  const fixes = ladderOf(m.elements[act.element] as TraceElement)[act.rung]?.fixes as number;
  const w = s.w.map((x, e) => (e === act.element ? x * (1 - fixes) : x));
  const rungs = s.rungs.map((x, e) => (e === act.element ? act.rung + 1 : x));
  return [{ then: { ...s, open, power, rungs, w } }];
}

export function acts(m: Plain, s: Moment): PlainAct[] {
  const repairs = m.elements.flatMap((e, element) =>
    (s.w[element] as number) / mass(s) > 1e-12
      ? ladderOf(e).flatMap((_, rung) => (rung >= (s.rungs[element] as number) ? [{ element, rung }] : []))
      : [],
  );
  const checks = m.checks.flatMap((c, check) => {
    const hides = m.elements.some(
      (e, i) =>
        c.exercises?.includes(e.id) &&
        (c.provokes?.[e.id] ?? e.q ?? 1) < 1 &&
        (s.w[i] as number) / mass(s) > 1e-12,
    );
    return (s.made[check] as number) < (hides ? 2 : 1) ? [{ check }] : [];
  });
  return [...repairs, ...checks];
}

/** Minutes expected when an act is done now and the best from there. */
export function q(m: Plain, s: Moment, act: PlainAct): number {
  const all = mass(s);
  return leadsTo(m, s, act).reduce(
    (sum, { then }) => {
      const p = mass(then) / all;
      return p > 1e-12 ? sum + p * best(m, then) : sum;
    },
    charge(m, s, act).minutes,
  );
}

export const best = (m: Plain, s: Moment): number =>
  mass(s) <= 1e-15 ? 0 : Math.min(...acts(m, s).map((a) => q(m, s, a)));

/** Mean minutes of somebody who follows a rule, one fault after the other; every answer by its chance. */
export function follow(m: Plain, rule: (s: Moment, log: Entry[]) => PlainAct): number {
  const from = (s: Moment, log: Entry[], fault: number, p: number): number => {
    if (p < 1e-9) return 0;
    const act = rule(s, log);
    const { minutes } = charge(m, s, act);
    if ('check' in act)
      return leadsTo(m, s, act).reduce((sum, { answer, then }) => {
        const likely = chance(m, act.check, answer as string, fault);
        return likely > 0
          ? sum + from(then, [...log, { act, answer: answer as string }], fault, p * likely)
          : sum;
      }, minutes * p);
    const [{ then }] = leadsTo(m, s, act) as [{ then: Moment }];
    const fixes = ladderOf(m.elements[act.element] as TraceElement)[act.rung]?.fixes as number;
    const left = act.element === fault ? 1 - fixes : 1;
    return minutes * p + from(then, [...log, { act }], fault, p * left);
  };
  const s = start(m);
  return m.elements.reduce((sum, _, fault) => sum + from(s, [], fault, s.w[fault] as number), 0);
}
export interface Entry {
  act: PlainAct;
  answer?: string;
}
