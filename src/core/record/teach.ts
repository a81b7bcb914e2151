import { COMEBACK_DAYS } from '../identity';
import { RESULTS, STOPS } from '../job';
import {
  FEWEST_DURATIONS,
  type KaplanMeierStep,
  kaplanMeier,
  type LastingAnswer,
  lasting,
  lognormal,
  wilson,
} from '../stats';
import { type Followed, followedUp, isRepair } from './comebacks';
import type { JobFacts, RemedyFact } from './facts';

/** A share, with the count and the Wilson interval behind it. */
export interface Share {
  count: number;
  of: number;
  share: number;
  low: number;
  high: number;
}

/** How long something takes, once enough of it is known. */
export interface Spread {
  /** how many durations stand behind it */
  count: number;
  /** minutes, each with the share that is done by then; null below five of them */
  median: number | null;
  p70: number | null;
  p90: number | null;
}

/** How one remedy fares. */
export interface RemedyTaught {
  key: string;
  words: string;
  done: number;
  mended: number;
  withOthers: number;
  inVain: number;
  /** of those followed for the days that count */
  lasted: number;
  cameBack: number;
  /** chance that the next one lasts */
  lasts: LastingAnswer;
}

/** Quotes in one currency: amounts of two are never added up. */
export interface MoneyTaught {
  currency: string;
  quotes: number;
  /** of those that were answered */
  accepted: Share | null;
  /** of the accepted, in minor units: all of them, and each on average, rounded half up */
  sum: number;
  average: number | null;
  /** minutes at work for each minute that was quoted, of accepted jobs that are handed over */
  workedPerQuoted: { count: number; ratio: number } | null;
}

export interface Taught {
  money: MoneyTaught[];
  jobs: number;
  handedOver: number;
  repairs: number;
  outcomes: { result: string; share: Share }[];
  /** one visit, nothing tried in vain, and no comeback: of the repairs followed that long */
  firstTime: Share | null;
  cameBack: Share | null;
  comebackDays: number;
  /** repairs of units without a mark: nobody knows whether they came back */
  notFollowed: number;
  followed: number;
  lasting: KaplanMeierStep[];
  /** grouped by element where all are of one model, else by kind of element */
  by: 'element' | 'kind';
  failed: { key: string; words: string; share: Share }[];
  remedies: RemedyTaught[];
  foundBy: { check: string; words: string; count: number }[];
  /** minutes of what was done, on one model only: each by its id on the map */
  checkMinutes: { check: string; words: string; minutes: Spread }[];
  /** doing it and seeing whether it helped, where it was the only remedy of its job */
  remedyMinutes: { element: string; remedy: string; words: string; minutes: Spread }[];
  stops: { stop: string; minutes: Spread }[];
  moves: { verb: string; minutes: Spread }[];
  parts: { name: string; count: number }[];
  partsPerRepair: number | null;
  referred: { to: string; count: number }[];
}

function shareOf(count: number, of: number): Share | null {
  const { share, low, high } = wilson({ successes: count, trials: of });
  return share === null || low === null || high === null ? null : { count, of, share, low, high };
}

/**
 * How long something takes: quantiles of a lognormal fit once five are known.
 *
 * @param minutes durations over 0
 * @returns its count and quantiles
 * @example spreadOfMinutes([4, 5, 6]).median // null
 */
export function spreadOfMinutes(minutes: number[]): Spread {
  const count = minutes.length;
  if (count < FEWEST_DURATIONS) return { count, median: null, p70: null, p90: null };
  const { quantiles } = lognormal({ minutes, quantiles: [0.5, 0.7, 0.9] });
  const [median, p70, p90] = quantiles.map((q) => q.minutes);
  return { count, median: median ?? null, p70: p70 ?? null, p90: p90 ?? null };
}

/** Counts of what has the same name, the most frequent first. */
function counted<T>(items: T[], keyOf: (t: T) => string): { key: string; first: T; count: number }[] {
  const counts = new Map<string, { first: T; count: number }>();
  for (const item of items) {
    const key = keyOf(item);
    const there = counts.get(key);
    if (there) there.count++;
    else counts.set(key, { first: item, count: 1 });
  }
  return [...counts]
    .map(([key, c]) => ({ key, ...c }))
    .sort((a, b) => b.count - a.count || (a.key < b.key ? -1 : 1));
}

function grouped<T>(items: T[], keyOf: (t: T) => string, minutesOf: (t: T) => number): Map<string, number[]> {
  const groups = new Map<string, number[]>();
  for (const i of items) {
    const there = groups.get(keyOf(i));
    if (there) there.push(minutesOf(i));
    else groups.set(keyOf(i), [minutesOf(i)]);
  }
  return groups;
}

interface Done {
  fact: RemedyFact;
  facts: JobFacts;
}

function remedyTaught(key: string, words: string, done: Done[], follow: Map<string, Followed>, days: number) {
  const of = (end: RemedyFact['end']) => done.filter((d) => d.fact.end === end).length;
  // Of two mended at once nobody knows which of them it was.
  const followed = done.flatMap((d) => {
    const f = d.fact.end === 'mended' ? follow.get(d.facts.job) : undefined;
    return f ? [f] : [];
  });
  const cameBack = followed.filter((f) => f.cameBack && f.days <= days).length;
  const lasted = followed.filter((f) => f.days >= days && !(f.cameBack && f.days <= days)).length;
  const mean = done.reduce((sum, d) => sum + d.fact.fixes, 0) / done.length;
  return {
    key,
    words,
    done: done.length,
    mended: of('mended'),
    withOthers: of('mended with others'),
    inVain: of('in vain'),
    lasted,
    cameBack,
    lasts: lasting({ lasted, cameBack, prior: { mean, count: 2 } }),
  };
}

/** What was quoted and accepted, by currency. */
function moneyOf(chosen: JobFacts[]): MoneyTaught[] {
  const quoted = chosen.flatMap((f) => (f.quote ? [{ f, q: f.quote }] : []));
  return counted(quoted, ({ q }) => q.currency).map(({ key, count }) => {
    const of = quoted.filter(({ q }) => q.currency === key);
    const accepted = of.filter(({ q }) => q.answer === 'accepted');
    const answered = of.filter(({ q }) => q.answer !== 'open').length;
    const sum = accepted.reduce((s, { q }) => s + q.price, 0);
    const done = accepted.filter(({ f, q }) => f.minutes && q.minutes > 0);
    const worked = done.reduce(
      (s, { f }) => s + (f.minutes?.stops ?? []).reduce((t, x) => t + x.minutes, 0),
      0,
    );
    const said = done.reduce((s, { q }) => s + q.minutes, 0);
    return {
      currency: key,
      quotes: count,
      accepted: shareOf(accepted.length, answered),
      sum,
      average: accepted.length ? Math.floor((2 * sum + accepted.length) / (2 * accepted.length)) : null,
      workedPerQuoted: said > 0 ? { count: done.length, ratio: worked / said } : null,
    };
  });
}

/** Minutes of each check of one model. */
function checkMinutes(over: JobFacts[]): Taught['checkMinutes'] {
  const words = new Map(over.flatMap((f) => f.checks.map((c) => [c.check, c.words] as const)));
  const all = over.flatMap((f) => f.minutes?.checks ?? []);
  const by = grouped(
    all,
    (c) => c.check,
    (c) => c.minutes,
  );
  return [...by].flatMap(([check, minutes]) => {
    const said = words.get(check);
    return said ? [{ check, words: said, minutes: spreadOfMinutes(minutes) }] : [];
  });
}

/** Minutes of each remedy of one model, with seeing whether it helped. */
function remedyMinutes(over: JobFacts[]): Taught['remedyMinutes'] {
  const alone = over.flatMap((f) => {
    const [only, ...more] = f.remedies;
    const at = f.minutes?.stops.filter((s) => s.stop === 'swap' || s.stop === 'prove') ?? [];
    const minutes = at.reduce((sum, s) => sum + s.minutes, 0);
    return only && more.length === 0 && minutes > 0 ? [{ only, minutes }] : [];
  });
  return counted(alone, (a) => `${a.only.element}/${a.only.remedy}`).map(({ key, first }) => ({
    element: first.only.element,
    remedy: first.only.remedy,
    words: first.only.words,
    minutes: spreadOfMinutes(
      alone.filter((a) => `${a.only.element}/${a.only.remedy}` === key).map((a) => a.minutes),
    ),
  }));
}

/**
 * What closed jobs teach: what fails, what mends it, what lasts, how long it takes. Every figure with its
 * count; shares with their Wilson interval; no share where there is nothing to share.
 *
 * Method: Wilson 1927 for shares, Kaplan and Meier 1958 for comebacks, a Beta estimate for remedies with the
 * map’s own chance as two remedies before, a lognormal fit for minutes.
 *
 * @param chosen facts of the jobs that are asked about
 * @param all facts of every job: a unit may come back under another heading
 * @param at ISO time up to which units are followed, and the days within which the same fault is a comeback
 * @returns figures; empty lists where nothing is known
 * @example teach([], [], { now }).firstTime // null
 */
export function teach(
  chosen: JobFacts[],
  all: JobFacts[],
  { now, comebackDays = COMEBACK_DAYS }: { now: string; comebackDays?: number },
): Taught {
  const over = chosen.filter((f) => f.handedOverAt !== undefined);
  const repairs = chosen.filter(isRepair);
  const follow = new Map(followedUp(all, now).map((f) => [f.facts.job, f]));
  const followed = repairs.flatMap((f) => follow.get(f.job) ?? []);
  const back = (f: Followed) => f.cameBack && f.days <= comebackDays;
  const long = followed.filter((f) => f.cameBack || f.days >= comebackDays);
  const whole = long.filter((f) => {
    // Followed long enough by the calendar, so that early comebacks do not outweigh what lasts.
    const out = Date.parse(f.facts.handedOverAt ?? now);
    return Date.parse(now) - out >= comebackDays * 86_400_000;
  });
  const models = new Set(chosen.map((f) => f.model));
  const by = models.size === 1 && !models.has('') ? 'element' : 'kind';
  const done = chosen.flatMap((facts) => facts.remedies.map((fact) => ({ fact, facts })));
  const mended = done.filter((d) => d.fact.end === 'mended');
  const keyOf = (d: Done) => (by === 'element' ? d.fact.element : d.fact.kind);
  const wordsOf = (d: Done) => (by === 'element' ? `${d.fact.element} ${d.fact.name}` : d.fact.kind);
  const remedyKey = (d: Done) =>
    by === 'element' ? `${d.fact.element}/${d.fact.remedy}` : `${d.fact.kind}/${d.fact.remedyKind}`;
  const remedyWords = (d: Done) => (by === 'element' ? d.fact.words : `${d.fact.remedyKind} ${d.fact.kind}`);
  const stops = grouped(
    over.flatMap((f) => f.minutes?.stops ?? []),
    (s) => s.stop,
    (s) => s.minutes,
  );
  const moves = grouped(
    over.flatMap((f) => f.minutes?.moves ?? []),
    (m) => m.verb,
    (m) => m.minutes,
  );
  const parts = over.flatMap((f) => f.parts);
  const found = mended.flatMap((d) => {
    const last = d.facts.checks.findLast((c) => c.bad);
    return last ? [last] : [];
  });
  return {
    money: moneyOf(chosen),
    jobs: chosen.length,
    handedOver: over.length,
    repairs: repairs.length,
    outcomes: RESULTS.flatMap((result) => {
      const share = shareOf(over.filter((f) => f.result === result).length, over.length);
      return share && share.count > 0 ? [{ result, share }] : [];
    }),
    firstTime: shareOf(
      whole.filter(
        (f) => !back(f) && f.facts.visits === 1 && f.facts.remedies.every((r) => r.end !== 'in vain'),
      ).length,
      whole.length,
    ),
    cameBack: shareOf(whole.filter(back).length, whole.length),
    comebackDays,
    notFollowed: repairs.length - followed.length,
    followed: followed.length,
    lasting: kaplanMeier({ followUps: followed.map(({ days, cameBack }) => ({ days, cameBack })) }).steps,
    by,
    failed: counted(mended, keyOf).flatMap(({ key, first, count }) => {
      const share = shareOf(count, mended.length);
      return share ? [{ key, words: wordsOf(first), share }] : [];
    }),
    remedies: counted(done, remedyKey).map(({ key, first }) =>
      remedyTaught(
        key,
        remedyWords(first),
        done.filter((d) => remedyKey(d) === key),
        follow,
        comebackDays,
      ),
    ),
    foundBy: counted(found, (c) => (by === 'element' ? c.check : (c.check.split(':')[0] ?? ''))).map(
      ({ key, first, count }) => ({
        check: key,
        words: by === 'element' ? first.words : key,
        count,
      }),
    ),
    checkMinutes: by === 'element' ? checkMinutes(over) : [],
    remedyMinutes: by === 'element' ? remedyMinutes(over) : [],
    stops: STOPS.flatMap((stop) => {
      const minutes = stops.get(stop);
      return minutes ? [{ stop, minutes: spreadOfMinutes(minutes) }] : [];
    }),
    moves: [...moves]
      .map(([verb, minutes]) => ({ verb, minutes: spreadOfMinutes(minutes) }))
      .sort((a, b) => b.minutes.count - a.minutes.count),
    parts: counted(parts, (p) => p.name).map(({ key, count }) => ({ name: key, count })),
    partsPerRepair: repairs.length ? repairs.reduce((n, f) => n + f.parts.length, 0) / repairs.length : null,
    referred: counted(
      over.flatMap((f) => (f.referred ? [f.referred.to] : [])),
      (to) => to,
    ).map(({ key, count }) => ({ to: key, count })),
  };
}
