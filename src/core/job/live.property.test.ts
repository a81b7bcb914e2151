import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { belongsTo, leadsOf, workOf } from '../hazard';
import { tally } from '../ledger';
import { Refusal } from '../refusal';
import { describeUnit, HAZARD_KINDS, HAZARDS, type UnitMap } from '../unit';
import {
  type BenchEvent,
  type JobEvent,
  type JobRecord,
  type JobState,
  judge,
  plugsOff,
  plugsToMove,
} from '.';

type Told = BenchEvent extends infer E ? (E extends BenchEvent ? Omit<E, 'id' | 'at' | 'by'> : never) : never;

const LEADS = ['main lead', 'balance lead', 'data lead'];
const PLUGS = ['fan plug', 'W3', 'motor lead', 'aerial'];
const PARTS = ['bracket', 'fan', 'board A1', 'drive pack', 'frame', 'B1 bracket', 'battery tray'];

/** Units as people describe them: with and without covers, with packs whose leads are named or not. */
const maps: fc.Arbitrary<UnitMap> = fc
  .record({
    covers: fc.constantFrom('', 'lid', 'lid, shield', 'back panel, tray, inner plate'),
    hazards: fc.subarray([...HAZARD_KINDS]),
    leads: fc.shuffledSubarray(LEADS),
    cells: fc.integer({ min: 1, max: 13 }),
    outside: fc.boolean(),
    steps: fc.nat(2),
  })
  .map(({ covers, hazards, leads, cells, outside, steps }) => ({
    ...describeUnit({
      name: 'unit',
      maker: '',
      model: '',
      does: 'works',
      cover: covers,
      coverMinutes: 2,
      hazards,
      rows: [
        { id: 'A1', name: 'board', kind: 'board', tap: { id: 'TP1', how: 'look' } },
        { id: 'M1', name: 'motor', kind: 'motor', outside },
        { id: 'B1', name: 'drive pack', kind: 'battery', leads, cells },
      ],
    }),
    powerDown: Array.from({ length: steps }, (_, i) => ({ id: `p${i}`, text: `step ${i}` })),
  }));

/** What a technician may try at any moment; most of it is refused at most moments. */
const tries = fc.array(fc.record({ act: fc.nat(20), n: fc.nat(20), m: fc.nat(20), flag: fc.boolean() }), {
  maxLength: 50,
  // As long as it may be: most of what is tried is refused.
  size: 'max',
});
type Try = { act: number; n: number; m: number; flag: boolean };

const pick = <T>(list: readonly T[], n: number): T | undefined => list[n % Math.max(1, list.length)];

function told(s: JobState, { act, n, m, flag }: Try): Told | null {
  const cover = pick(s.map.access, n);
  const hazard = pick(s.map.hazards, n);
  const item = pick(s.ledger.items, n);
  const open = pick(
    s.ledger.covers.filter((c) => c.state !== 'final'),
    n,
  );
  const part = (name: string, verb: string): Told => ({
    type: 'move.recorded',
    verb,
    text: `${verb} ${name}`,
    item: { kind: 'part', name, count: 1, place: { kind: 'shelf' } },
  });
  const plug = pick([...LEADS, ...PLUGS], m) ?? '';
  const acts: (() => Told | null)[] = [
    () => (cover ? part(cover.name, flag ? 'lift' : 'pry') : null),
    () => part(pick(PARTS, m) ?? '', pick(['lift', 'pry', 'heat', 'slide'], n) ?? 'lift'),
    () => ({
      type: 'move.recorded',
      verb: 'unplug',
      text: `unplug ${plug}`,
      item: { kind: 'plug', name: plug, count: 1, place: { kind: 'left in the part' } },
    }),
    () => ({
      type: 'move.recorded',
      verb: 'undo',
      text: 'screws',
      item: {
        kind: 'fastener',
        name: 'screw',
        thread: 'M3',
        count: 2,
        from: flag ? (cover?.name ?? 'edge') : (pick(PARTS, m) ?? ''),
        place: { kind: 'cup', label: String(n) },
      },
    }),
    () => {
      if (!hazard) return null;
      const { power, signals } = leadsOf(s.map, hazard);
      const off = new Set(plugsOff(s));
      const leads = HAZARDS[hazard.kind].isPack
        ? (flag ? [...signals, power] : [power, ...signals]).filter(
            (l): l is string => l !== undefined && !off.has(l),
          )
        : [];
      return {
        type: 'gate.cleared',
        hazard: hazard.id,
        acted: true,
        source: 'meter',
        ...(hazard.clear.reading ? { reading: 0, unit: hazard.clear.reading.unit } : {}),
        ...(leads.length ? { leads } : {}),
      };
    },
    () => ({ type: 'power.set', power: flag ? 'on' : 'off' }),
    () => ({ type: 'check.recorded', check: 'tap:TP1', outcome: 'ok', source: 'eye' }),
    () => (hazard ? { type: 'charge.read', hazard: hazard.id, percent: m * 5, source: 'unit' } : null),
    () =>
      item
        ? {
            type: 'item.returned',
            item: item.id,
            count: 1,
            state: pick(['plugged', 'fitted', 'tight'] as const, m) ?? 'fitted',
          }
        : null,
    () => (item ? { type: 'item.taken', item: item.id, count: 1 } : null),
    () => (item ? { type: 'item.proven', item: item.id, how: 'looked at' } : null),
    () => (open ? { type: 'cover.closed', cover: open.id, kind: flag ? 'final' : 'trial' } : null),
    () => ({ type: 'power-down.done', step: `p${n % 2}` }),
    () => ({ type: 'part.removed', name: 'old pack' }),
    () =>
      flag
        ? { type: 'preparation.ticked', line: 'polarity', note: '+3.7 V' }
        : { type: 'part.fitted', name: 'new pack' },
    () =>
      item
        ? {
            type: 'item.written-off',
            item: item.id,
            count: 1,
            reason: 'worn',
            replacement: 'new',
            ...(flag ? { goesIn: true } : {}),
          }
        : null,
    () => standing(pick(['heat', 'solvent', 'solder', 'clean', 'look'], n) ?? 'heat', 'edge'),
    () => standing('tape', plug),
    () => ({
      type: 'move.recorded',
      verb: 'unsolder',
      text: `unsolder ${plug}`,
      item: { kind: 'plug', name: plug, count: 1, place: { kind: 'left in the part' } },
    }),
    () => {
      const use = pick(s.inUse, n);
      return use ? { type: 'use.ended', use: use.id } : null;
    },
    () =>
      flag
        ? { type: 'plan.chosen', element: 'A1', remedy: 'replace', why: 'it too', also: true }
        : { type: 'plan.dropped', element: 'A1' },
  ];
  return acts[act % acts.length]?.() ?? null;
}

const standing = (verb: string, on: string): Told => ({
  type: 'move.recorded',
  verb,
  text: `${verb} ${on}`,
  item: null,
  on,
});

let n = 0;
const stamp = () => ({
  id: `01BRZ3NDEKTSV4RRFFQ${String(1_000_000 + n++)}`,
  at: new Date(Date.UTC(2026, 10, 26, 9, 0, n % 50_000)).toISOString(),
  by: 'Ines',
});
const start = (map: UnitMap): JobRecord =>
  [
    { type: 'intake.recorded', function: 'works', symptom: 'dead', pattern: 'always', keep: [] } as const,
    { type: 'plan.chosen', element: 'B1', remedy: 'replace', why: 'looked at' } as const,
  ].reduce<JobRecord>(
    (r, t) => judge(r, { ...stamp(), ...t } as JobEvent),
    judge(null, { ...stamp(), type: 'job.opened', job: '01ARZ3NDEKTSV4RRFFQ69G5FAV', tag: 'J-1', map }),
  );

/** Runs what was tried; every accepted entry is shown with the job before and after it. */
function run(
  map: UnitMap,
  list: Try[],
  seen: (before: JobState, t: Told, after: JobState) => void,
  from = start(map),
): JobRecord {
  let r = from;
  for (const one of list) {
    const t = told(r.state, one);
    if (!t) continue;
    try {
      const next = judge(r, { ...stamp(), ...t } as JobEvent);
      seen(r.state, t, next.state);
      r = next;
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
    }
  }
  return r;
}
let why = '';
const accepts = (r: JobRecord, t: Told): JobRecord | null => {
  try {
    return judge(r, { ...stamp(), ...t } as JobEvent);
  } catch (error) {
    if (!(error instanceof Refusal)) throw error;
    why = error.message;
    return null;
  }
};
const RUNS = { numRuns: 250 };

/** Powered down, and every gate cleared that can be: the leads of a pack by its map's order, or the other way round. */
function madeSafe(from: JobRecord): JobRecord {
  let r = from;
  const go = (t: Told) => {
    const next = accepts(r, t);
    if (next) r = next;
    return next !== null;
  };
  go({ type: 'power.set', power: 'off' });
  for (const step of r.state.map.powerDown ?? []) go({ type: 'power-down.done', step: step.id });
  for (const h of r.state.map.hazards) {
    if (r.state.hazards.find((s) => s.id === h.id)?.status === 'made safe') continue;
    const { power, signals } = leadsOf(r.state.map, h);
    const off = new Set(plugsOff(r.state).map((o) => o.toLowerCase()));
    const leads = [...signals, power].filter(
      (l): l is string => l !== undefined && !off.has(l.toLowerCase()),
    );
    for (const order of [leads, [...leads].reverse()])
      if (
        go({
          type: 'gate.cleared',
          hazard: h.id,
          acted: true,
          source: 'meter',
          ...(h.clear.reading ? { reading: 0, unit: h.clear.reading.unit } : {}),
          ...(HAZARDS[h.kind].isPack ? { leads: order } : {}),
        })
      )
        break;
  }
  return r;
}

/** Made safe, every cover off and made safe again. */
function openedUp(from: JobRecord, each: (lifted: boolean, cover: string) => void = () => {}): JobRecord {
  let r = madeSafe(from);
  for (const a of r.state.map.access) {
    if (r.state.ledger.covers.some((c) => c.id === a.id && c.state !== 'final')) continue;
    const home = r.state.ledger.items.find((i) => i.cover === a.id && tally(i).back > 0);
    const next = accepts(
      r,
      home
        ? { type: 'item.taken', item: home.id, count: 1 }
        : {
            type: 'move.recorded',
            verb: 'lift',
            text: `lift ${a.name}`,
            item: { kind: 'part', name: a.name, count: 1, place: { kind: 'shelf' } },
          },
    );
    each(next !== null, a.name);
    r = madeSafe(next ?? r);
  }
  return madeSafe(r);
}

describe('over random jobs on units as they are described', () => {
  it('nothing that is plugged or fitted to a pack leaves “made safe” standing', () => {
    // Told here by what it is called on the form; where no lead is named there, by what only a pack has.
    const OF_PACK = new Set(['balance lead', 'drive pack', 'B1']);
    let armed = 0;
    fc.assert(
      fc.property(maps, tries, fc.array(fc.nat(20), { minLength: 4, maxLength: 12 }), (map, list, home) => {
        const named = map.hazards.some((h) => HAZARDS[h.kind].isPack && h.clear.unplugs);
        const seen = (before: JobState, t: Told, after: JobState) => {
          const back =
            t.type === 'item.returned'
              ? before.ledger.items.find((i) => i.id === t.item && !i.cover && i.kind !== 'fastener')?.name
              : t.type === 'part.fitted'
                ? 'B1'
                : undefined;
          if (!back) return;
          for (const h of after.map.hazards.filter((x) => HAZARDS[x.kind].isPack)) {
            const leads = [h.clear.unplugs, ...(h.clear.signals ?? []), 'drive pack', 'B1'];
            if (named ? !leads.includes(back) : !OF_PACK.has(back)) continue;
            if (before.hazards.find((s) => s.id === h.id)?.status === 'made safe') armed++;
            expect(after.hazards.find((s) => s.id === h.id)?.status, back).toBe('live');
          }
        };
        let r = openedUp(run(map, list, seen));
        for (const k of home) {
          const off = r.state.ledger.items.filter((i) => i.kind !== 'fastener' && tally(i).off > 0);
          const item = pick(off, k);
          if (!item) break;
          const state = item.kind === 'plug' ? 'plugged' : 'fitted';
          const t: Told = { type: 'item.returned', item: item.id, count: 1, state };
          const next = accepts(r, t);
          if (!next) continue;
          seen(r.state, t, next.state);
          r = next;
        }
      }),
      RUNS,
    );
    // Stories in which a pack that was made safe is live again.
    expect(armed).toBeGreaterThan(10);
  });

  it('no lever and no heat while the power is on, or while the charge was not read since', () => {
    fc.assert(
      fc.property(maps, tries, (map, list) => {
        let ranSince = new Set<string>();
        run(map, list, (before, t, after) => {
          if (t.type === 'move.recorded' && workOf(t.verb, t.text)) {
            const packs = before.map.hazards.filter((h) => HAZARDS[h.kind].isPack);
            const inside = packs.filter(
              (h) =>
                before.out?.element !== h.on &&
                !before.ledger.items.some(
                  (i) => i.kind === 'part' && !i.cover && tally(i).off > 0 && i.name === 'drive pack',
                ),
            );
            if (inside.length) expect(before.power).not.toBe('on');
            for (const h of inside) expect(ranSince.has(h.id), h.id).toBe(true);
          }
          if (t.type === 'charge.read') ranSince.add(t.hazard);
          if (after.power === 'on' && (before.power !== 'on' || t.type === 'power.set')) ranSince = new Set();
          if (t.type === 'part.fitted') ranSince = new Set();
        });
      }),
      RUNS,
    );
  });

  it('nothing hot beside wet solvent, no power before it is dry, no lead beside a bare end', () => {
    fc.assert(
      fc.property(maps, tries, (map, list) => {
        // An oracle of its own: what was begun and not ended, which leads lie bare.
        const bare = new Set<string>();
        run(map, list, (before, t, after) => {
          const wet = before.inUse.some((u) => u.use === 'solvent');
          const hot = before.inUse.some((u) => u.use !== 'solvent');
          if (wet) expect(after.power === 'on' && before.power !== 'on').toBe(false);
          // What went back, or is no longer there, lies bare no more.
          for (const i of after.ledger.items) if (tally(i).off === 0) bare.delete(i.name);
          if (t.type !== 'move.recorded') return;
          if (/^(?:heat|solder|unsolder)$/.test(t.verb)) expect(wet).toBe(false);
          if (t.verb === 'solvent') expect(hot).toBe(false);
          if (t.item?.kind === 'plug') expect([...bare]).toEqual([]);
          const pack = before.map.hazards.find((h) => HAZARDS[h.kind].isPack);
          if (t.verb === 'unsolder' && pack && belongsTo(before.map, pack, t.item?.name ?? ''))
            bare.add(t.item?.name ?? '');
          if (t.verb === 'tape') bare.clear();
        });
      }),
      RUNS,
    );
  });

  it('no cover that bares something comes off while it is live, not known and not passed', () => {
    fc.assert(
      fc.property(maps, tries, (map, list) => {
        run(map, list, (before, t, after) => {
          if (t.type !== 'move.recorded' || t.item?.kind !== 'part') return;
          const cover = after.ledger.items.at(-1)?.cover;
          if (!cover) return;
          for (const h of before.map.hazards) {
            if (h.clear.inside || (h.exposedBy && !h.exposedBy.includes(cover))) continue;
            expect(before.hazards.find((s) => s.id === h.id)?.status, h.name).toBe('made safe');
          }
        });
      }),
      RUNS,
    );
  });

  it('no cover closes for good over a screw of its own, a loose one or an old part', () => {
    fc.assert(
      fc.property(maps, tries, (map, list) => {
        run(map, list, (before, t) => {
          if (t.type !== 'cover.closed' || t.kind !== 'final') return;
          const cover = before.ledger.covers.find((c) => c.id === t.cover);
          for (const i of before.ledger.items) {
            const own = i.from?.toLowerCase().includes(cover?.name.toLowerCase() ?? '–');
            if (!own && !i.inside.includes(t.cover)) continue;
            expect(tally(i).off, i.name).toBe(0);
            expect(i.by.loose ?? 0).toBe(0);
          }
        });
      }),
      RUNS,
    );
  });

  it('a pack that was taken out is never fitted again', () => {
    fc.assert(
      fc.property(maps, tries, (map, list) => {
        const r = run(map, list, () => {});
        const { out, outBeside } = r.state;
        const packs = [out, ...outBeside].filter((o) => o?.element === 'B1').map((o) => o?.item);
        for (const i of r.state.ledger.items)
          if (packs.includes(i.id) && tally(i).off > 0)
            expect(accepts(r, { type: 'item.returned', item: i.id, count: 1, state: 'fitted' })).toBeNull();
      }),
      RUNS,
    );
  });

  it('from every job some way leads on to the old part out, without any gate passed against advice', () => {
    fc.assert(
      fc.property(maps, tries, (map, list) => {
        let r = run(map, list, () => {});
        const go = (t: Told) => {
          const next = accepts(r, t);
          if (next) r = next;
          return next !== null;
        };
        for (const u of r.state.inUse) go({ type: 'use.ended', use: u.id });
        go(standing('tape', 'bare contacts'));
        if (!r.state.out && !r.state.fix) {
          r = openedUp(r, (lifted, cover) => {
            expect(lifted, `${cover} comes off: ${why}`).toBe(true);
          });
          expect(
            go({ type: 'part.removed', name: 'the old one', along: plugsToMove(r.state) }),
            `the old part comes out: ${why}`,
          ).toBe(true);
        }
        if (!r.state.fix) {
          // What came on since is made safe again first.
          r = madeSafe(r);
          go({ type: 'preparation.ticked', line: 'polarity', note: '+3.7 V' });
          expect(go({ type: 'part.fitted', name: 'the new one' }), `the new part goes in: ${why}`).toBe(true);
        }
        // And home: whatever is off and not old goes back, in some order.
        for (let guard = 0; guard < 60; guard++) {
          const moved = r.state.ledger.items.some(
            (i) =>
              tally(i).off > 0 &&
              !i.old &&
              (['plugged', 'fitted', 'tight'] as const).some((state) =>
                go({ type: 'item.returned', item: i.id, count: 1, state }),
              ),
          );
          if (!moved) break;
        }
        const left = r.state.ledger.items.filter((i) => tally(i).off > 0 && !i.old);
        expect(
          left.map((i) => i.name),
          why,
        ).toEqual([]);
      }),
      RUNS,
    );
  });
});
