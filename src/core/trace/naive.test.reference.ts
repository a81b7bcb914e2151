/**
 * The trace computation once more, as slow and as plain as its definition: every fault set listed,
 * every sequence walked. It shares no code with the real one and checks it on small random models.
 */
import type { TraceElement, TraceRequest } from './types';

type Weighted = { set: Set<string>; w: number }[];

const closure = (r: TraceRequest, ids: string[] = []): Set<string> => {
  const out = new Set<string>();
  const add = (id: string) => {
    if (out.has(id)) return;
    out.add(id);
    for (const n of r.access?.find((a) => a.id === id)?.needs ?? []) add(n);
  };
  ids.forEach(add);
  return out;
};
const cost = (r: TraceRequest, ids: Iterable<string>, open: Set<string>) =>
  [...ids]
    .filter((id) => !open.has(id))
    .reduce((m, id) => m + (r.access?.find((a) => a.id === id)?.minutes ?? 0), 0);

function priorSets(r: TraceRequest): Weighted {
  const sum = r.elements.reduce((a, e) => a + e.weight, 0);
  const sets: Weighted = r.elements.map((e) => ({ set: new Set([e.id]), w: e.weight }));
  if (r.options?.maxFaults === 2) {
    r.elements.forEach((a, i) => {
      for (const b of r.elements.slice(i + 1)) {
        sets.push({
          set: new Set([a.id, b.id]),
          w: ((r.options?.pairFactor ?? 0.02) * a.weight * b.weight) / sum,
        });
      }
    });
  }
  if (r.options?.noFaultWeight) sets.push({ set: new Set(), w: r.options.noFaultWeight });
  return normal(sets);
}

const normal = (sets: Weighted): Weighted => {
  const t = sets.reduce((a, s) => a + s.w, 0);
  return sets.map((s) => ({ set: s.set, w: s.w / t }));
};

export function pAnswer(r: TraceRequest, check: string, answer: string, set: Set<string>): number {
  const c = r.checks.find((x) => x.id === check);
  if (!c) throw new Error(check);
  if (c.outcomes) {
    const w = c.outcomes.map((o) => (o.points.some((p) => set.has(p)) ? 1 : 0.03));
    return (w[c.outcomes.findIndex((o) => o.id === answer)] ?? 0) / w.reduce((a, b) => a + b, 0);
  }
  let hidden = 1 - (c.falseAlarm ?? 0.02);
  for (const e of r.elements) {
    if (!set.has(e.id) || !c.exercises?.includes(e.id)) continue;
    hidden *= 1 - (c.sensitivity ?? 0.97) * (c.provokes?.[e.id] ?? e.q ?? 1);
  }
  return answer === 'bad' ? 1 - hidden : hidden;
}

const answersOf = (r: TraceRequest, check: string) =>
  r.checks.find((c) => c.id === check)?.outcomes?.map((o) => o.id) ?? ['bad', 'ok'];

/** Sets that have become equal, added up. */
function added(sets: Weighted): Weighted {
  const merged = new Map<string, Weighted[number]>();
  for (const { set, w } of sets) {
    const key = [...set].sort().join('+');
    const known = merged.get(key);
    merged.set(key, { set, w: w + (known?.w ?? 0) });
  }
  return [...merged.values()];
}

function believe(r: TraceRequest): Weighted {
  let sets = priorSets(r);
  for (const entry of r.log ?? []) {
    if ('repaired' in entry) {
      const left = sets.flatMap((s) => {
        const set = new Set([...s.set].filter((x) => x !== entry.repaired));
        return set.size === 0 && s.set.size > 0 ? [] : [{ set, w: s.w }];
      });
      sets = normal(added(left));
    } else if ('tried' in entry) {
      const fixes =
        r.elements.find((e) => e.id === entry.element)?.remedies?.find((x) => x.id === entry.tried)?.fixes ??
        1;
      // It lasts with this chance: then what else was at fault is what is left.
      const split = sets.flatMap((s) =>
        s.set.has(entry.element)
          ? [
              { set: s.set, w: s.w * (1 - fixes) },
              { set: new Set([...s.set].filter((x) => x !== entry.element)), w: s.w * fixes },
            ].filter((x) => x.set.size > 0)
          : [s],
      );
      sets = normal(added(split));
    } else if ('reading' in entry) {
      const { reading: x, expect: e } = entry;
      const sigma = e.tolerance / 1.96;
      const good = Math.exp(-((x - e.nominal) ** 2) / (2 * sigma ** 2)) / (sigma * Math.sqrt(2 * Math.PI));
      const bad = 1 / (Math.max(e.high, x) - Math.min(e.low, x));
      sets = normal(
        sets.map((s) => {
          const p = pAnswer(r, entry.check, 'bad', s.set);
          return { set: s.set, w: s.w * (p * bad + (1 - p) * good) };
        }),
      );
    } else
      sets = normal(
        sets.map((s) => ({ set: s.set, w: s.w * pAnswer(r, entry.check, entry.outcome, s.set) })),
      );
  }
  return sets;
}

const steps = (r: TraceRequest, e: TraceElement) => {
  const tried = new Set((r.log ?? []).flatMap((l) => ('tried' in l && l.element === e.id ? [l.tried] : [])));
  if (!e.remedies) return [{ id: '', minutes: e.repairMinutes ?? 0, fixes: 1 }];
  const rungs = e.remedies
    .filter((x) => !tried.has(x.id))
    .map((x) => ({
      id: x.id,
      minutes: x.minutes + (r.options?.ratePerMinute && x.cost ? x.cost / r.options.ratePerMinute : 0),
      fixes: x.fixes,
    }));
  // Least expected minutes of what stands above a rung, over every choice of what to leave out of it.
  const least = (above: typeof rungs): number =>
    above.length < 2
      ? (above[0]?.minutes ?? 0)
      : Math.min(
          least(above.slice(1)),
          (above[0]?.minutes ?? 0) + (1 - (above[0]?.fixes ?? 1)) * least(above.slice(1)),
        );
  return rungs.filter((x, k) => k === rungs.length - 1 || x.minutes < x.fixes * least(rungs.slice(k + 1)));
};

const marginal = (sets: Weighted, id: string) =>
  sets.filter((s) => s.set.has(id)).reduce((a, s) => a + s.w, 0);

/** Order of [element, rung] by repeatedly taking the best ratio over all prefixes of what is left of each ladder. */
function sequence(r: TraceRequest, sets: Weighted, open: Set<string>): [string, number][] {
  const at = new Map(r.elements.map((e) => [e.id, 0]));
  const left = new Map(r.elements.map((e) => [e.id, 1]));
  const order: [string, number][] = [];
  for (;;) {
    let best: { id: string; to: number; ratio: number } | null = null;
    for (const e of r.elements) {
      const ladder = steps(r, e);
      const p = marginal(sets, e.id);
      let gained = 0;
      let spent = at.get(e.id) === 0 ? cost(r, closure(r, e.needs), open) : 0;
      let rest = left.get(e.id) ?? 1;
      for (let k = at.get(e.id) ?? 0; k < ladder.length; k++) {
        const s = ladder[k];
        if (!s) continue;
        gained += rest * s.fixes;
        rest *= 1 - s.fixes;
        spent += s.minutes;
        const ratio = (p * gained) / spent;
        if (!best || ratio > best.ratio + 1e-15) best = { id: e.id, to: k + 1, ratio };
      }
    }
    if (!best) return order;
    const e = r.elements.find((x) => x.id === best.id) as TraceElement;
    const ladder = steps(r, e);
    for (let k = at.get(e.id) ?? 0; k < best.to; k++) {
      order.push([e.id, k]);
      left.set(e.id, (left.get(e.id) ?? 1) * (1 - (ladder[k]?.fixes ?? 0)));
    }
    at.set(e.id, best.to);
  }
}

function walk(
  r: TraceRequest,
  sets: Weighted,
  order: [string, number][],
  open: Set<string>,
  power: string | undefined,
): number {
  const now = new Set(open);
  let state = power;
  const still = new Map(r.elements.map((e) => [e.id, 1]));
  let minutes = 0;
  for (const [id, k] of order) {
    const e = r.elements.find((x) => x.id === id) as TraceElement;
    const s = steps(r, e)[k];
    if (!s) continue;
    const broken = sets.reduce(
      (a, x) => a + x.w * (1 - [...x.set].reduce((f, y) => f * (1 - (still.get(y) ?? 1)), 1)),
      0,
    );
    const needed = closure(r, e.needs);
    const change = r.power && e.power && e.power !== state ? r.power[`${e.power}Minutes`] : 0;
    minutes += (s.minutes + cost(r, needed, now) + change) * broken;
    state = e.power ?? state;
    for (const n of needed) now.add(n);
    still.set(id, (still.get(id) ?? 1) * (1 - s.fixes));
  }
  return minutes;
}

const repairNow = (r: TraceRequest, sets: Weighted, open: Set<string>, power: string | undefined) =>
  walk(r, sets, sequence(r, sets, open), open, power);

function checkMinutes(
  r: TraceRequest,
  sets: Weighted,
  open: Set<string>,
  power: string | undefined,
  id: string,
  deep: number,
  telling: string[],
): number {
  const c = r.checks.find((x) => x.id === id);
  if (!c) throw new Error(id);
  const needed = closure(r, c.needs);
  let minutes = c.minutes + cost(r, needed, open);
  if (r.power && c.power && c.power !== power)
    minutes += c.power === 'on' ? r.power.onMinutes : r.power.offMinutes;
  const after = new Set([...open, ...needed]);
  for (const a of answersOf(r, id)) {
    const seen = sets.map((s) => ({ set: s.set, w: s.w * pAnswer(r, id, a, s.set) }));
    const p = seen.reduce((x, s) => x + s.w, 0);
    if (p <= 0) continue;
    const then = normal(seen);
    let value = repairNow(r, then, after, c.power ?? power);
    if (deep > 1)
      for (const d of telling)
        value = Math.min(value, checkMinutes(r, then, after, c.power ?? power, d, 1, telling));
    minutes += p * value;
  }
  return minutes;
}

/** Everything the real answer says, the slow way. */
export function naive(r: TraceRequest) {
  const sets = believe(r);
  const open = new Set(r.opened ?? []);
  const entropy = (p: number) => (p > 0 ? -p * Math.log2(p) : 0);
  const bits = new Map(
    r.checks.map((c) => {
      let h = 0;
      for (const a of answersOf(r, c.id)) {
        const p = sets.reduce((x, s) => x + s.w * pAnswer(r, c.id, a, s.set), 0);
        h += entropy(p) - sets.reduce((x, s) => x + s.w * entropy(pAnswer(r, c.id, a, s.set)), 0);
      }
      return [c.id, h];
    }),
  );
  // A check that tells nothing is legal and may be left out: it is no step of any plan either.
  const telling = r.checks.map((c) => c.id).filter((id) => (bits.get(id) as number) > 1e-12);
  return {
    belief: r.elements.map((e) => marginal(sets, e.id)),
    repairNowMinutes: repairNow(r, sets, open, r.power?.now),
    checks: new Map(
      r.checks.map((c) => [
        c.id,
        checkMinutes(r, sets, open, r.power?.now, c.id, r.options?.lookahead ?? 1, telling),
      ]),
    ),
    repairs: new Map(
      r.elements.map((e) => {
        const order = sequence(r, sets, open);
        return [
          e.id,
          walk(
            r,
            sets,
            [[e.id, 0], ...order.filter(([id, k]) => !(id === e.id && k === 0))],
            open,
            r.power?.now,
          ),
        ];
      }),
    ),
    bits,
  };
}
