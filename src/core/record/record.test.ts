import fc from 'fast-check';
import jstat from 'jstat';
import { describe, expect, it } from 'vitest';
import { hearingLoop } from '../../demo/units/hearing-loop';
import { openPoints } from '../job';
import { bench } from '../job/bench.test.fixture';
import {
  donorsFor,
  durationsOf,
  factsOf,
  followedUp,
  type JobFacts,
  minutesLearned,
  type RemedyEnd,
  recordChoices,
  rowOf,
  spreadOfMinutes,
  teach,
  withMinutes,
} from '.';

const DAY = 86_400_000;
const day = (n: number) => new Date(Date.UTC(2025, 0, 1) + n * DAY).toISOString();
let n = 0;

/** A repair as the record has it: opened on a day, out the same day. */
function repair(at: number, more: Partial<JobFacts> & { end?: RemedyEnd; element?: string } = {}): JobFacts {
  const { end = 'mended', element = 'W7', ...rest } = more;
  n++;
  return {
    job: `job-${n}`,
    tag: `T-${n}`,
    unit: 'Hearing loop',
    model: 'Quayle & Finch HL-40',
    maker: 'Quayle & Finch',
    place: 'ticket hall',
    mark: 'QF-1',
    openedAt: day(at),
    handedOverAt: new Date(Date.parse(day(at)) + 3_600_000).toISOString(),
    result: 'works',
    stop: 'hand over',
    aim: 'fault',
    symptom: 'silent',
    failed: [{ id: 'left', name: 'Left' }],
    people: ['Ines'],
    remedies: [
      {
        element,
        name: 'left ribbon',
        kind: 'cable',
        remedy: 'replace',
        words: `Replace ${element}`,
        remedyKind: 'replace',
        end,
        fixes: 0.9,
      },
    ],
    checks: [{ check: 'tap:TP1', words: 'Measure at TP1', bad: true }],
    parts: [],
    visits: 1,
    ...rest,
  };
}

/** A loop amplifier whose ribbon is replaced and shown to work. */
function mended() {
  const b = bench(hearingLoop);
  b.tell({ type: 'unit.identified', mark: 'QF-40-0311', owner: 'ticket office' });
  b.tell({ type: 'intake.recorded', function: 'left', symptom: 'crackles', pattern: 'always', keep: [] }, 4);
  b.tell({ type: 'check.recorded', check: 'symptom:left', outcome: 'bad', source: 'eye' }, 3);
  b.tell({ type: 'plan.chosen', element: 'W7', remedy: 'replace', why: 'flexed' }, 2);
  b.tell({ type: 'gate.cleared', hazard: 'mains', acted: true, reading: 0, unit: 'V', source: 'meter' }, 5);
  b.tell({ type: 'gate.cleared', hazard: 'C11', acted: true, reading: 2, unit: 'V', source: 'meter' }, 5);
  b.line('lift hatch > shelf', 2);
  b.line('lift lid > shelf', 2);
  b.tell({ type: 'part.removed', name: 'old W7' }, 8);
  b.tell({ type: 'part.fitted', name: 'ribbon 10-way' }, 7);
  b.tell({ type: 'item.proven', item: b.state().fix?.newItem ?? '', how: 'both ends looked at' });
  for (const c of ['lid', 'service hatch']) {
    b.tell({ type: 'item.returned', item: b.item(c), count: 1, state: 'fitted' });
    const cover = b.state().ledger.covers.find((x) => x.name === c)?.id ?? '';
    b.tell({ type: 'cover.closed', cover, kind: 'final' });
  }
  b.tell({ type: 'party.told', party: 'hall', how: 'at the counter' });
  b.tell({ type: 'proof.recorded', check: 'symptom:left', outcome: 'ok', source: 'eye' }, 2);
  return b;
}

describe('facts of a job', () => {
  it('what failed, what mended it, who worked and how long at which stop', () => {
    const b = mended();
    expect(factsOf(b.record()).remedies).toEqual([]);
    for (const p of openPoints(b.state())) b.tell({ type: 'point.passed', point: p.id, reason: 'agreed' });
    b.tell({ type: 'job.handed-over', to: 'ticket office', result: 'works' }, 3);
    const facts = factsOf(b.record());
    expect(facts).toMatchObject({
      model: 'Quayle & Finch HL-40',
      mark: 'QF-40-0311',
      owner: 'ticket office',
      result: 'works',
      failed: [{ id: 'left' }],
      people: ['Ines'],
      remedies: [{ element: 'W7', remedyKind: 'replace', end: 'mended' }],
      parts: [{ name: 'ribbon 10-way' }],
      checks: [{ check: 'symptom:left', bad: true }],
      visits: 1,
    });
    const stops = Object.fromEntries((facts.minutes?.stops ?? []).map((s) => [s.stop, s.minutes]));
    // By hand from the minutes told above.
    expect(stops).toMatchObject({ 'take in': 5, trace: 3, plan: 2, 'make safe': 10, 'open up': 4, swap: 15 });
    expect(facts.minutes?.moves).toEqual([
      { verb: 'lift', minutes: 2 },
      { verb: 'lift', minutes: 2 },
    ]);
    expect(facts.minutes?.checks).toEqual([{ check: 'symptom:left', minutes: 3 }]);
    expect(rowOf(facts).done).toEqual(['Replace W7 left ribbon']);
  });
  it('a wait, a long pause and what was taken back are no work', () => {
    const b = bench(hearingLoop);
    b.tell({ type: 'intake.recorded', function: 'left', symptom: 'x', pattern: 'always', keep: [] }, 4);
    b.tell({ type: 'job.parked', why: 'a part' }, 1);
    b.tell({ type: 'note.added', text: 'come back' }, 20);
    b.tell({ type: 'job.resumed' }, 20);
    b.tell({ type: 'note.added', text: 'after lunch' }, 45);
    b.tell({ type: 'note.added', text: 'in vain' }, 30);
    const sum = () => durationsOf(b.events()).stops.reduce((s, x) => s + x.minutes, 0);
    expect(sum()).toBe(4 + 1 + 30);
    b.tell({ type: 'undone', event: b.events().at(-1)?.id ?? '' } as never);
    expect(sum()).toBe(4 + 1);
    expect(factsOf(b.record()).visits).toBe(2);
  });
  it('of two that were mended at once neither is the one; what did not help was in vain', () => {
    const done = (e: RemedyEnd) => rowOf(repair(0, { end: e })).done[0];
    expect([done('mended'), done('mended with others'), done('in vain')]).toEqual([
      'Replace W7',
      'Replace W7, with others',
      'Replace W7, in vain',
    ]);
    const t = teach([repair(0, { end: 'mended with others' })], [], { now: day(200) });
    expect(t.failed).toEqual([]);
    expect(t.remedies[0]).toMatchObject({ mended: 0, withOthers: 1, inVain: 0, lasted: 0 });
  });
});

describe('following repairs up', () => {
  it('to the same fault on the same unit, whatever its mark was written like', () => {
    const first = repair(0);
    const back = repair(12, { mark: 'qf 1' });
    const [a, b] = followedUp([back, first], day(100));
    expect(a).toMatchObject({ facts: first, days: 11, cameBack: true, by: back.job });
    expect(b).toMatchObject({ facts: back, days: 87, cameBack: false });
  });
  it('another function, another unit, another maker are no comeback; without a mark nobody can tell', () => {
    const others = [
      repair(12, { failed: [{ id: 'right', name: 'Right' }] }),
      repair(12, { mark: 'QF-2' }),
      repair(12, { maker: 'Hapstock' }),
      repair(12, { aim: 'service' }),
    ];
    for (const o of others) expect(followedUp([repair(0), o], day(100))[0]?.cameBack).toBe(false);
    expect(followedUp([repair(0, { mark: '-' }), repair(1, { mark: '-' })], day(9))).toEqual([]);
  });
  it('a unit that is kept for its parts is followed no further', () => {
    const end = repair(30, { result: 'kept for parts', failed: [{ id: 'right', name: 'Right' }] });
    expect(followedUp([repair(0), end], day(400))[0]).toMatchObject({ days: 30, cameBack: false });
  });
});

describe('units kept for their parts', () => {
  it('the same model first, with what was at fault in them and what they gave', () => {
    const donor = repair(0, { result: 'kept for parts', tag: 'T-900' });
    const other = repair(0, { result: 'kept for parts', tag: 'T-100', model: 'Hapstock PB-3' });
    const taker = repair(3, { tag: 'T-901', parts: [{ name: 'amplifier board', donor: donor.job }] });
    expect(donorsFor([other, taker, donor], donor.model)).toMatchObject([
      { tag: 'T-900', same: true, faulty: ['W7'], given: [{ name: 'amplifier board', tag: 'T-901' }] },
      { tag: 'T-100', same: false, given: [] },
    ]);
    // Two units that say nothing of their model are not of the same one.
    expect(donorsFor([{ ...donor, model: '' }], '')[0]?.same).toBe(false);
  });
});

describe('what the record teaches', () => {
  it('nothing of nothing, and no share of none', () => {
    const t = teach([], [], { now: day(0) });
    expect([t.firstTime, t.cameBack, t.partsPerRepair]).toEqual([null, null, null]);
    expect([t.failed, t.remedies, t.stops, t.lasting]).toEqual([[], [], [], []]);
  });
  it('a share with its interval: 4 of 20 came back', () => {
    const all = Array.from({ length: 20 }, (_, i) => repair(i, { mark: `M-${i}` }));
    const again = [0, 1, 2, 3].map((i) => repair(i + 40, { mark: `M-${i}` }));
    const t = teach(all, [...all, ...again], { now: day(400) });
    expect(t.cameBack).toMatchObject({ count: 4, of: 20, share: 0.2 });
    // Source: Wilson 1927, by the formula: (p + z²/2n ± z √(p q/n + z²/4n²)) / (1 + z²/n).
    expect(t.cameBack?.low).toBeCloseTo(0.0807, 4);
    expect(t.cameBack?.high).toBeCloseTo(0.416, 3);
    expect(t.firstTime).toMatchObject({ count: 16, of: 20 });
  });
  it('only what was followed long enough is counted, from both sides of the days that count', () => {
    const out = repair(0);
    const at = (d: number) => new Date(Date.parse(out.handedOverAt ?? '') + d * DAY).toISOString();
    expect(teach([out], [out], { now: at(89.9) }).cameBack).toBeNull();
    expect(teach([out], [out], { now: at(90) }).cameBack).toMatchObject({ count: 0, of: 1 });
    const back = (d: number) => repair(0, { openedAt: at(d), handedOverAt: at(d + 0.1) });
    for (const [d, n] of [
      [90.5, 1],
      [91.1, 0],
    ] as const)
      expect(teach([out], [out, back(d)], { now: at(200) }).cameBack, String(d)).toMatchObject({ count: n });
    expect(teach([out], [out, back(20)], { now: at(200), comebackDays: 10 }).cameBack).toMatchObject({
      count: 0,
      of: 1,
    });
  });
  it('a comeback under another heading counts all the same', () => {
    const [a, b] = [repair(0), repair(5, { place: 'pier head' })];
    expect(teach([a], [a, b], { now: day(300) }).cameBack).toMatchObject({ count: 1, of: 1 });
  });
  it('chance that a remedy lasts: the map’s word is worth two, as a Beta estimate has it', () => {
    const all = [repair(0, { mark: 'A' }), repair(0, { mark: 'B' }), repair(0, { mark: 'C' })];
    const [r] = teach(all, [...all, repair(9, { mark: 'C' })], { now: day(300) }).remedies;
    expect(r).toMatchObject({ lasted: 2, cameBack: 1 });
    // Outside check: mean and quantiles of Beta(2 + 1.8, 1 + 0.2), its distribution by a statistics package.
    const betaInverse = (p: number) => {
      let [a, b] = [0, 1];
      for (let k = 0; k < 60; k++) {
        const m = (a + b) / 2;
        if (jstat.beta.cdf(m, 3.8, 1.2) < p) a = m;
        else b = m;
      }
      return a;
    };
    expect(r?.lasts.chance).toBeCloseTo(3.8 / 5, 12);
    expect(r?.lasts.low).toBeCloseTo(betaInverse(0.025), 5);
    expect(r?.lasts.high).toBeCloseTo(betaInverse(0.975), 5);
  });
  it('first visit: parked, or something tried in vain, is not', () => {
    const t = (more: Parameters<typeof repair>[1]) => teach([repair(0, more)], [], { now: day(300) });
    const followed = (f: JobFacts) => teach([f], [f], { now: day(300) }).firstTime?.count;
    expect(t({}).firstTime).toBeNull();
    expect(followed(repair(0))).toBe(1);
    expect(followed(repair(0, { visits: 2 }))).toBe(0);
    const two = repair(0);
    const [one] = two.remedies;
    if (one) two.remedies = [{ ...one, end: 'in vain' }, one];
    expect(followed(two)).toBe(0);
  });
  it('minutes have no figure below five, and then those of the lognormal fit', () => {
    expect(spreadOfMinutes([1, 2, 3, 4])).toEqual({ count: 4, median: null, p70: null, p90: null });
    const minutes = [4, 6, 9, 5, 12, 7];
    const logs = minutes.map(Math.log);
    const [mean, sd] = [jstat.mean(logs), jstat.stdev(logs, true)];
    const s = spreadOfMinutes(minutes);
    // Outside check: a statistics package.
    expect(s.median).toBeCloseTo(Math.exp(mean), 9);
    expect(s.p70).toBeCloseTo(jstat.lognormal.inv(0.7, mean, sd), 6);
    expect(s.p90).toBeCloseTo(jstat.lognormal.inv(0.9, mean, sd), 6);
  });
  it('of one model by element, of several by kind; counts add up to what was mended', () => {
    fc.assert(
      fc.property(
        fc.array(fc.record({ element: fc.constantFrom('W7', 'W4', 'A1'), at: fc.nat(300) }), {
          minLength: 1,
          maxLength: 30,
        }),
        (jobs) => {
          const all = jobs.map((j) => repair(j.at, { element: j.element }));
          const t = teach(all, all, { now: day(500) });
          expect(t.by).toBe('element');
          expect(t.failed.reduce((s, f) => s + f.share.count, 0)).toBe(all.length);
          expect(t.failed.every((f) => f.share.low <= f.share.share && f.share.share <= f.share.high)).toBe(
            true,
          );
          expect(t.followed + t.notFollowed).toBe(t.repairs);
          expect(teach([...all, repair(0, { model: '' })], all, { now: day(500) }).by).toBe('kind');
        },
      ),
    );
  });
  it('what the filters may be set to, each with its count', () => {
    const c = recordChoices([
      repair(0),
      repair(1, { owner: 'Wren', place: '' }),
      repair(2, { element: 'W4' }),
    ]);
    expect(c.element).toEqual([
      { value: 'W7', count: 2 },
      { value: 'W4', count: 1 },
    ]);
    expect(c.owner).toEqual([{ value: 'Wren', count: 1 }]);
    expect(c.place).toEqual([{ value: 'ticket hall', count: 2 }]);
    expect(c.stop).toEqual([]);
    // The most frequent first, whichever came first; those alike by their names.
    const places = ['pump house', 'ferry', 'arcade', 'ferry', 'boat yard'];
    expect(recordChoices(places.map((place) => repair(0, { place }))).place.map((p) => p.value)).toEqual([
      'ferry',
      'arcade',
      'boat yard',
      'pump house',
    ]);
  });
});

describe('money', () => {
  const quoted = (answer: 'accepted' | 'refused' | 'open', price: number, currency = 'EUR') =>
    repair(0, {
      quote: { currency, price, minutes: 20, answer },
      minutes: { stops: [{ stop: 'swap', minutes: 25 }], moves: [], checks: [] },
    });
  it('what was accepted, of what was answered; the average half up; minutes against those quoted', () => {
    const all = [
      quoted('accepted', 1000),
      quoted('accepted', 1001),
      quoted('refused', 9999),
      quoted('open', 1),
    ];
    const [eur] = teach(all, all, { now: day(9) }).money;
    expect(eur).toMatchObject({ quotes: 4, accepted: { count: 2, of: 3 }, sum: 2001, average: 1001 });
    expect(eur?.workedPerQuoted).toEqual({ count: 2, ratio: 1.25 });
  });
  it('two currencies are never added up, and nothing is shared where nothing was answered', () => {
    const money = teach([quoted('accepted', 100), quoted('open', 700, 'SEK')], [], { now: day(9) }).money;
    expect(money.map((m) => [m.currency, m.sum, m.average])).toEqual([
      ['EUR', 100, 100],
      ['SEK', 0, null],
    ]);
    expect(money[1]).toMatchObject({ accepted: null, workedPerQuoted: null });
    expect(teach([repair(0)], [], { now: day(9) }).money).toEqual([]);
  });
});

describe('minutes for a map', () => {
  const with7 = (minutes: number) =>
    repair(0, {
      minutes: {
        stops: [
          { stop: 'swap', minutes },
          { stop: 'prove', minutes: 2 },
        ],
        moves: [],
        checks: [{ check: 'tap:TP1', minutes: minutes / 10 }],
      },
    });
  const taught = teach([20, 20, 20, 20, 20].map(with7), [], { now: day(9) });
  it('are offered once five jobs know them, and stand on it where somebody says so', () => {
    expect(
      teach([20, 20, 20, 20].map(with7), [], { now: day(9) }).remedyMinutes[0]?.minutes.median,
    ).toBeNull();
    const learned = minutesLearned(hearingLoop, taught);
    expect(learned).toMatchObject([
      { what: 'remedy', key: 'W7/replace', learned: 22, count: 5 },
      { what: 'tap', key: 'TP1', learned: 2, count: 5 },
    ]);
    const next = withMinutes(hearingLoop, learned);
    const minutesOf = (m: typeof hearingLoop) =>
      m.elements.find((e) => e.id === 'W7')?.remedies.find((r) => r.id === 'replace')?.minutes;
    expect(minutesOf(next)).toBe(22);
    expect(next.taps.find((t) => t.id === 'TP1')?.minutes).toBe(2);
    // What was taken is no longer offered, and putting the old ones back gives the old map.
    expect(minutesLearned(next, taught)).toEqual([]);
    const old = learned.map((m) => ({ ...m, learned: m.now }));
    expect(withMinutes(next, old)).toEqual(hearingLoop);
  });
  it('of something that is no longer on the map are refused', () => {
    const [one] = minutesLearned(hearingLoop, taught);
    if (!one) throw new Error('nothing learned');
    expect(() => withMinutes(hearingLoop, [{ ...one, key: 'W99/replace' }])).toThrow('no longer on this map');
  });
});
