import fc from 'fast-check';
import { fsrs, Rating } from 'ts-fsrs';
import { describe, expect, it } from 'vitest';
import { departureBoard } from '../../demo/units/departure-board';
import { hearingLoop } from '../../demo/units/hearing-loop';
import { photoPrinter } from '../../demo/units/photo-printer';
import { ticketKiosk } from '../../demo/units/ticket-kiosk';
import { tideInverter } from '../../demo/units/tide-inverter';
import { judge } from '../job';
import { mixups } from '../mixups';
import { Refusal } from '../refusal';
import { deriveChecks, describeUnit, type UnitMap, validateMap } from '../unit';
import {
  endsABoard,
  gradeOf,
  heldAt,
  hide,
  judgeAnswer,
  KINDS,
  kindOf,
  type MissingQuestion,
  madeUnit,
  type PlugsBackQuestion,
  type ReadingQuestion,
  rehearse,
  SHAPES,
  SKILLS,
  skillsOf,
  tearDown,
  type WayBackQuestion,
  weakest,
} from '.';

const demo = [hearingLoop, photoPrinter, ticketKiosk, tideInverter, departureBoard];
const units = fc
  .record({
    shape: fc.constantFrom(...SHAPES),
    size: fc.integer({ min: 4, max: 40 }),
    seed: fc.integer({ min: 0, max: 2 ** 31 }),
  })
  .map(({ shape, size, seed }) => ({ map: madeUnit(shape, size, seed), seed, shape, size }));
const refusal = (f: () => unknown): string => {
  try {
    f();
  } catch (error) {
    if (error instanceof Refusal) return error.message;
    throw error;
  }
  return 'taken';
};
/** A question of a kind, without its types. */
const made = (id: string, map: UnitMap, seed: number): unknown => {
  const kind = kindOf(id);
  if (!kind) throw new Error(id);
  return kind.make(map, seed);
};
/** As somebody describes one in a minute. */
const described = (over: Partial<Parameters<typeof describeUnit>[0]> = {}): UnitMap =>
  describeUnit({
    name: 'Fog bell',
    maker: '',
    model: '',
    does: 'Bell rings',
    rows: [
      { id: 'S1', name: 'push', kind: 'sensor', outside: true },
      { id: 'W1', name: 'push lead', kind: 'cable' },
      { id: 'A1', name: 'bell board', kind: 'board' },
      { id: 'M1', name: 'striker', kind: 'motor' },
    ],
    cover: 'front plate',
    coverMinutes: 2,
    hazards: ['mains'],
    ...over,
  } as Parameters<typeof describeUnit>[0]);

describe('a made-up unit', () => {
  it('is a valid map of its size in every shape, and the same for the same seed', () => {
    fc.assert(
      fc.property(units, ({ map, seed, shape, size }) => {
        expect(() => validateMap(map)).not.toThrow();
        expect(map.elements).toHaveLength(size);
        expect(madeUnit(shape, size, seed)).toEqual(map);
        expect(map.functions.length).toBeGreaterThan(0);
        if (shape === 'two channels' && size > 5) expect(map.functions.length).toBe(2);
      }),
      { numRuns: 60 },
    );
  });
  it.each([3, 41, 4.5])('has 4 to 40 elements, not %s', (size) => {
    expect(refusal(() => madeUnit('chain', size, 1))).toContain('4 to 40 elements');
  });
});

describe('a hidden fault', () => {
  it('has a remedy and shows at every function it is taken in with, on made-up units and on the demo', () => {
    const look = (map: UnitMap, seed: number) => {
      const { hidden, intake, practises } = hide(map, seed);
      const [fault] = hidden.faults;
      expect(map.elements.find((e) => e.id === fault?.id)?.remedies.length).toBeGreaterThan(0);
      for (const f of [intake.function, ...(intake.alsoFails ?? [])]) {
        const symptom = deriveChecks(map).find((c) => c.id === `symptom:${f}`);
        expect(symptom?.trace.exercises).toContain(fault?.id);
      }
      for (const s of practises) expect(SKILLS).toContain(s);
      expect(hide(map, seed)).toEqual({ hidden, intake, practises });
    };
    fc.assert(
      fc.property(units, ({ map, seed }) => {
        look(map, seed);
      }),
      { numRuns: 40 },
    );
    for (const map of demo) for (let seed = 0; seed < 10; seed++) look(map, seed);
  });

  it('falls on every element in the end, as often as it weighs', () => {
    const map = described();
    const seen = new Map<string, number>();
    for (let seed = 0; seed < 2000; seed++) {
      const id = hide(map, seed).hidden.faults[0]?.id ?? '';
      seen.set(id, (seen.get(id) ?? 0) + 1);
    }
    const all = map.elements.reduce((s, e) => s + e.weight, 0);
    for (const e of map.elements) {
      const p = e.weight / all;
      // Four standard deviations of a share.
      expect(Math.abs((seen.get(e.id) ?? 0) / 2000 - p)).toBeLessThan(4 * Math.sqrt((p * (1 - p)) / 2000));
    }
  });

  it('is the likeliest, or two at once, where that was asked for', () => {
    const map = described();
    const most = map.elements.reduce((a, b) => (b.weight > a.weight ? b : a));
    for (let seed = 0; seed < 20; seed++) {
      expect(hide(map, seed, { likeliest: true }).hidden.faults[0]?.id).toBe(most.id);
      const [a, b] = hide(map, seed, { faults: 2 }).hidden.faults;
      expect(a?.id).not.toBe(b?.id);
      expect(hide(map, seed, { pattern: 'rarely' }).intake.pattern).toBe('rarely');
    }
    const { elements } = map;
    const lone = { ...map, elements: elements.map((e) => (e.id === 'W1' ? e : { ...e, remedies: [] })) };
    expect(refusal(() => hide(lone, 1, { faults: 2 }))).toContain('no second element');
  });

  it.each([
    ['a map without functions', { functions: [] }, {}, 'has no function on its map'],
    ['an element without remedy', {}, { element: 'M1' }, 'M1 has no remedy on the map'],
    ['an element that no function needs', {}, { element: 'X9' }, 'no check can show its fault'],
    ['an element that is none', {}, { element: 'nobody' }, 'is no element'],
  ])('answers %s in words', (_, over, wish, words) => {
    const map = described();
    const bare = {
      ...map,
      elements: [
        ...map.elements.map((e) => (e.id === 'M1' ? { ...e, remedies: [] } : e)),
        { ...(map.elements[0] as UnitMap['elements'][number]), id: 'X9' },
      ],
      ...over,
    };
    expect(refusal(() => hide(bare, 1, wish))).toContain(words);
  });

  it('answers a map without checks in words', () => {
    const map: UnitMap = {
      ...described({ cover: '', hazards: [] }),
      taps: [],
      elements: [
        {
          id: 'A1',
          name: 'board',
          kind: 'board',
          weight: 1,
          remedies: [{ id: 'r', kind: 'replace', name: 'Replace', minutes: 1, fixes: 1 }],
        },
      ],
      feeds: [],
      functions: [{ id: 'f', name: 'works', output: 'A1' }],
    };
    expect(deriveChecks(map).every((c) => c.id.startsWith('symptom:'))).toBe(true);
    expect(refusal(() => hide(map, 1))).toContain('has no check on its map');
  });
});

describe('a rehearsed job', () => {
  it('is taken to its end by the rules of real jobs, on made-up, described and demo units', () => {
    const look = (map: UnitMap, seed: number) => {
      const { start, lines } = rehearse(map, seed);
      expect(
        heldAt(
          start,
          lines.map((l) => l.event),
        ),
      ).toBeNull();
      expect(lines.filter((l) => l.part === 'close').length).toBe(
        new Set(lines.flatMap((l) => (l.event.type === 'cover.closed' ? [l.event.cover] : []))).size,
      );
      return lines;
    };
    fc.assert(
      fc.property(units, ({ map, seed }) => {
        look(map, seed);
      }),
      { numRuns: 25 },
    );
    expect(look(described(), 4).some((l) => l.part === 'gate')).toBe(true);
    for (const map of demo) for (let seed = 0; seed < 4; seed++) look(map, seed);
  });
  it('says why a unit with nothing to take off has none', () => {
    const bare = described({ cover: '', rows: [{ id: 'S1', name: 'push', kind: 'sensor' }] as never });
    expect(refusal(() => tearDown(bare, 1))).toContain('names too little that comes off');
  });
});

describe('every kind of exercise', () => {
  it('is made and judged for the same seed the same, on made-up units', () => {
    fc.assert(
      fc.property(units, fc.constantFrom(...KINDS.map((k) => k.id)), ({ map, seed }, id) => {
        const kind = kindOf(id);
        const again = () => kind?.make(map, seed);
        const said = refusal(again);
        if (said !== 'taken') return;
        expect(again()).toEqual(again());
        for (const s of kind ? kind.practises(again()) : []) expect(kind?.skills).toContain(s);
      }),
      { numRuns: 60 },
    );
  });

  it('what is missing: only the line that the rules refuse is right, and it is one', () => {
    for (let seed = 0; seed < 25; seed++) {
      const map = seed % 2 ? described() : madeUnit('nested covers', 8, seed);
      const question = made('what is missing', map, seed) as MissingQuestion;
      // Up to there everything is taken: played by the rules, without the exercise.
      let record = null as ReturnType<typeof judge> | null;
      for (const e of question.start) record = judge(record, e);
      let place = -1;
      for (const [i, l] of question.lines.entries()) {
        try {
          record = judge(record, l.event);
        } catch {
          place = i;
          break;
        }
      }
      expect(place).toBeGreaterThanOrEqual(0);
      const scores = question.lines.map(
        (_, i) => judgeAnswer('what is missing', map, seed, { place: i }).score,
      );
      expect(scores.map((s, i) => (s > 0 ? i : -1)).filter((i) => i >= 0)).toEqual([place]);
      expect(judgeAnswer('what is missing', map, seed, { place }).lines[0]?.right).toBe(true);
    }
    expect(refusal(() => judgeAnswer('what is missing', described(), 1, { place: 999 }))).toContain(
      'no line',
    );
  });

  it('way back: last off first on is whole, and a cover over what lies in the tray is named', () => {
    fc.assert(
      fc.property(units, ({ map, seed }) => {
        const { moves, laid } = made('way back', map, seed) as WayBackQuestion;
        expect([...laid].sort()).toEqual(moves.map((m) => m.id).sort());
        const back = moves.map((m) => m.id).reverse();
        const good = judgeAnswer('way back', map, seed, { order: back });
        expect(good.lines.every((l) => l.right)).toBe(true);
        expect(good.score).toBeGreaterThan(0.5);
        // As it came off: the outer screws go in first.
        const wrong = judgeAnswer('way back', map, seed, { order: moves.map((m) => m.id) });
        expect(wrong.score).toBeLessThanOrEqual(0.5);
        expect(wrong.lines.some((l) => !l.right)).toBe(true);
        expect(refusal(() => judgeAnswer('way back', map, seed, { order: back.slice(1) }))).toContain(
          'not laid yet',
        );
        expect(refusal(() => judgeAnswer('way back', map, seed, { order: [...back, 'x'] }))).toContain(
          'no move',
        );
        expect(refusal(() => judgeAnswer('way back', map, seed, { order: [back[0], ...back] }))).toContain(
          'twice',
        );
      }),
      { numRuns: 20 },
    );
    // What somebody wrote down as several, and not counted, can be laid; what cannot come off twice is said at once.
    const moves = ['several x M3x8 PH1 cover > cup 1', 'lift cover', 'unplug W1', 'lift A1'].map(
      (text, i) => ({
        id: `m${i}`,
        text,
        tool: null,
        sideUp: null,
        minutes: 1,
        ...(i ? { after: [`m${i - 1}`] } : {}),
      }),
    );
    const written = { ...described(), moves };
    expect(judgeAnswer('way back', written, 1, { order: ['m3', 'm2', 'm1', 'm0'] }).score).toBe(1);
    const twice = { ...written, moves: [...moves, { ...(moves[2] as (typeof moves)[0]), id: 'm4' }] };
    expect(refusal(() => made('way back', twice, 1))).toContain('off already');
    const lid = judgeAnswer('way back', described(), 3, {
      order: tearDown(described(), 3)
        .map((m) => m.id)
        .sort((a, b) => Number(b === 'lift cover') - Number(a === 'lift cover')),
    });
    expect(lid.lines[0]?.why).toMatch(/would close over|too early/);
  });

  it('plugs back: home is whole, and every wrong mating costs what the mix-ups of real boards say', () => {
    fc.assert(
      fc.property(units, ({ map, seed }) => {
        const question = made('plugs back', map, seed) as PlugsBackQuestion;
        const { plugs, headers } = question;
        const { labels, orientationMarks, risks } = mixups({ plugs, headers });
        const home = plugs.map((p) => ({ plug: p.id, header: p.home, turned: false }));
        const best = judgeAnswer('plugs back', map, seed, { labels, marks: orientationMarks, placed: home });
        expect(best.score).toBe(1);
        const bare = judgeAnswer('plugs back', map, seed, { labels: [], marks: [], placed: home });
        expect(bare.score < 1).toBe(risks.some((r) => r.severity > 0 && r.how !== 'shifted'));
        const turned = risks.find((r) => r.how === 'reversed' && r.severity > 0);
        if (turned) {
          const wrong = judgeAnswer('plugs back', map, seed, {
            labels,
            marks: orientationMarks,
            placed: home.map((x) => (x.plug === turned.plug ? { ...x, turned: true } : x)),
          });
          expect(wrong.score).toBeCloseTo(1 / (1 + turned.severity), 12);
          expect(wrong.lines.find((l) => l.text.startsWith(`${turned.plug} into`))?.why).toBe(turned.why);
        }
        // A mating that would end a board stops it there, with the rest hanging loose.
        const fatal = risks.find((r) => r.severity === 3 && r.how !== 'shifted');
        if (fatal) {
          const at = { plug: fatal.plug, header: fatal.header, turned: fatal.how === 'reversed' };
          expect(endsABoard(question, at)).toBe(true);
          const stopped = judgeAnswer('plugs back', map, seed, {
            labels,
            marks: orientationMarks,
            placed: [at],
          });
          expect(stopped.score).toBeLessThanOrEqual(0.25);
          expect(stopped.remember).toContain('ends a board');
        }
        expect(home.some((x) => endsABoard(question, x))).toBe(false);
        const first = home[0] as (typeof home)[number];
        const placed = (list: object[]) =>
          refusal(() => judgeAnswer('plugs back', map, seed, { labels, marks: [], placed: list }));
        expect(placed(home.slice(1))).toContain('hang loose');
        expect(placed([...home, first])).toContain('placed twice');
        expect(placed([{ ...first, header: 'nowhere' }])).toContain('no header');
      }),
      { numRuns: 40 },
    );
    expect(refusal(() => kindOf('plugs back')?.make(described(), 1))).toContain('no board with 3 plugs');
  });

  it('fits, or not: at most one line is right, and no answer key is kept', () => {
    const kinds = new Set<string>();
    for (let seed = 0; seed < 60; seed++) {
      const question = made('fits, or not', described(), seed) as {
        what: string;
        lines: { line: string }[];
      };
      const answers = [null, ...question.lines.map((l) => l.line)];
      const right = answers.filter(
        (line) => judgeAnswer('fits, or not', described(), seed, { line }).score === 1,
      );
      expect(right).toHaveLength(1);
      kinds.add(`${question.what}: ${right[0]}`);
      expect(JSON.stringify(question)).not.toContain('verdict');
    }
    // Packs and boards, fitting and not, in several ways.
    expect(kinds.size).toBeGreaterThan(6);
    expect(kinds).toContain('pack: null');
    expect([...kinds].some((k) => /^cable: contact/.test(k))).toBe(true);
    expect(refusal(() => judgeAnswer('fits, or not', described(), 1, { line: 'taste' }))).toContain(
      'no line',
    );
  });

  it('quick reading: one of what stands beside it is right, and it is what the bench sums say', () => {
    const kinds = new Set<string>();
    for (let seed = 0; seed < 200; seed++) {
      const question = made('quick reading', described(), seed) as ReadingQuestion;
      expect(question.options.length).toBeGreaterThan(1);
      expect(new Set(question.options).size).toBe(question.options.length);
      const right = question.options.filter(
        (value) => judgeAnswer('quick reading', described(), seed, { value }).score === 1,
      );
      expect(right, question.seen).toHaveLength(1);
      kinds.add(question.kind);
      if (question.kind === 'bands') {
        // IEC 60062 by hand: yellow violet red is 47 × 10².
        const digits = [
          'black',
          'brown',
          'red',
          'orange',
          'yellow',
          'green',
          'blue',
          'violet',
          'grey',
          'white',
        ];
        const [a, b, c] = (question.bands ?? []).map((x) => digits.indexOf(x)) as [number, number, number];
        const ohms = (10 * a + b) * 10 ** c;
        const [n, unit] = (right[0] as string).split(' ');
        expect(Number(n) * ({ Ω: 1, kΩ: 1e3, MΩ: 1e6 }[unit as 'Ω'] ?? 0)).toBeCloseTo(ohms, 6);
      }
    }
    expect(kinds.size).toBe(6);
  });
});

describe('skills that come back', () => {
  const at = (day: number) => new Date(Date.UTC(2026, 0, 1 + day)).toISOString();
  it('are due as the scheduling package says, graded by the score', () => {
    const done = [0, 3, 9].map((d, i) => ({
      at: at(d),
      score: [0.3, 0.9, 0.99][i] as number,
      skills: ['bands' as const],
    }));
    const scheduler = fsrs({ enable_fuzz: false });
    let card = { ...scheduler.next(emptyCard(at(0)), new Date(at(0)), Rating.Again).card };
    card = scheduler.next(card, new Date(at(3)), Rating.Good).card;
    card = scheduler.next(card, new Date(at(9)), Rating.Easy).card;
    const bands = skillsOf([...done].reverse(), at(10)).find((s) => s.skill === 'bands');
    expect(bands?.due).toBe(card.due.toISOString());
    expect(bands?.times).toBe(3);
    expect(bands?.lately).toBeCloseTo(0.73, 10);
    expect([0, 0.5, 0.8, 0.97].map(gradeOf)).toEqual([Rating.Again, Rating.Hard, Rating.Good, Rating.Easy]);
  });
  it('stand in the order in which they are due: overdue, never practised, ahead', () => {
    const done = [
      { at: at(0), score: 0.1, skills: ['threads' as const] },
      { at: at(99), score: 1, skills: ['claims' as const] },
    ];
    const stands = skillsOf(done, at(100));
    expect(stands[0]?.skill).toBe('threads');
    expect(stands.at(-1)?.skill).toBe('claims');
    expect(stands).toHaveLength(SKILLS.length);
    expect(stands[1]?.due).toBeNull();
    expect(weakest(stands).map((s) => s.skill)).toEqual(['threads', 'claims']);
  });
});

const emptyCard = (iso: string) => ({
  due: new Date(iso),
  stability: 0,
  difficulty: 0,
  elapsed_days: 0,
  scheduled_days: 0,
  learning_steps: 0,
  reps: 0,
  lapses: 0,
  state: 0,
});
