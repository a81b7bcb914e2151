import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { hearingLoop } from '../../demo/units/hearing-loop';
import { hide, madeUnit, storyOf } from '../practice';
import { Refusal } from '../refusal';
import { type Valued, valued } from '../regret';
import { simulate } from '../simulate';
import type { UnitMap } from '../unit';
import {
  actsOf,
  decisionNow,
  decisionsOf,
  entryOf,
  type JobEvent,
  type JobRecord,
  judge,
  lessonOf,
  type PracticeAct,
  practiceClock,
  practiceMinutes,
  summarise,
  traceRequest,
} from '.';

let n = 0;
const stamp = () => ({
  id: `01CRZ3NDEKTSV4RRFFQ${String(1_000_000 + n++)}`,
  at: '2026-11-27T09:00:00.000Z',
  by: 'Ines',
});
const then = (r: JobRecord, told: object) => judge(r, { ...stamp(), ...told } as JobEvent);
const opened = (map: UnitMap, seed: number, practice = true): JobRecord => {
  const { hidden, intake } = hide(map, seed);
  const exercise = '01ARZ3NDEKTSV4RRFFQ69G5FAV';
  const r = judge(null, {
    ...stamp(),
    type: 'job.opened',
    job: '01ARZ3NDEKTSV4RRFFQ69G5FAV',
    tag: 'practice',
    map,
    ...(practice ? { practice: { exercise, hidden, seed, coach: false } } : {}),
  });
  return then(r, { type: 'intake.recorded', ...intake });
};
/** Does an act as the unit answers it. */
const does = (r: JobRecord, act: PracticeAct): JobRecord => {
  const { type, payload } = entryOf(r.state, act);
  return then(r, { type, ...payload });
};
const refusal = (f: () => unknown): string => {
  try {
    f();
  } catch (error) {
    if (error instanceof Refusal) return error.message;
    throw error;
  }
  return 'taken';
};
/** Everything a hand can do from outside, and every remedy of what lies outside. */
const outside = (r: JobRecord): PracticeAct[] => [
  ...traceRequest(r.state).checks.flatMap((c) =>
    c.needs?.length || c.id.startsWith('symptom:') ? [] : [{ check: c.id }],
  ),
  ...r.state.map.elements.flatMap((e) => e.remedies.map((x) => ({ tried: x.id, element: e.id }))),
];

describe('a practice job', () => {
  it('is played to its end by the same events: every answer is what the simulator says to all acts', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 9999 }), fc.array(fc.nat(), { maxLength: 8 }), (seed, dice) => {
        let r = opened(madeUnit('chain', 7, seed), seed);
        for (const die of dice) {
          if (r.state.practiceOver) break;
          const list = outside(r);
          const act = list[die % list.length] as PracticeAct;
          const cost = practiceMinutes(r.state, list)[die % list.length] as number;
          const before = practiceClock(r.state).total;
          r = does(r, act);
          expect(practiceClock(r.state).total).toBeCloseTo(before + cost, 9);
        }
        const acts = actsOf(r.state).map((a) => a.act);
        const decided = decisionsOf(r.state);
        expect(decided.map((d) => d.chosen)).toEqual(
          acts.map((a) => ('check' in a ? { check: a.check } : { repair: a.element, remedy: a.tried })),
        );
        // Each decision stands on what was known then: its log is one entry longer than that before it.
        decided.forEach((d, k) => {
          expect(d.request.log).toHaveLength((decided[0]?.request.log?.length ?? 0) + k);
        });
        if (!r.state.practiceOver) return;
        expect(r.state.practiceOver.how).toBe('mended');
        const fault = r.state.practice?.hidden.faults[0]?.id;
        expect(r.state.mendedBy?.element).toBe(fault);
        // The simulator by itself, without the job.
        const { elements, checks, access, power } = decisionsOf(r.state)[0]?.request ?? decisionNow(r.state);
        const alone = simulate({
          elements,
          checks,
          ...(access ? { access } : {}),
          ...(power ? { power } : {}),
          hidden: r.state.practice?.hidden ?? { faults: [] },
          seed,
          acts,
        });
        expect(alone.totalMinutes).toBeCloseTo(practiceClock(r.state).total, 9);
      }),
      { numRuns: 25 },
    );
  });

  it('answers nothing but what the unit answers, and nothing more once it is over', () => {
    const r = opened(madeUnit('chain', 7, 3), 3);
    const fault = r.state.practice?.hidden.faults[0]?.id ?? '';
    const other = r.state.map.elements.find(
      (e) => e.id !== fault && e.remedies.length,
    ) as UnitMap['elements'][0];
    const told = { type: 'remedy.practised', element: other.id, remedy: other.remedies.at(-1)?.id };
    expect(refusal(() => then(r, { ...told, mended: true }))).toBe('the unit answers otherwise');
    const last = r.state.map.elements.find((e) => e.id === fault)?.remedies.at(-1)?.id ?? '';
    const over = does(r, { tried: last, element: fault });
    expect(over.state.practiceOver?.how).toBe('mended');
    expect(refusal(() => then(over, { type: 'note.added', text: 'late' }))).toContain(
      'this practice is over',
    );
    expect(refusal(() => then(r, { type: 'practice.ended', how: 'mended' }))).toContain('still there');
    const left = then(r, { type: 'practice.ended', how: 'left' });
    expect(left.state.practiceOver?.how).toBe('left');
  });

  it('is taken in once: what it comes in with belongs to what it hides', () => {
    const r = opened(hearingLoop, 4);
    const again = { type: 'intake.recorded', function: 'right', symptom: 'hum', pattern: 'rarely', keep: [] };
    expect(refusal(() => then(r, again))).toBe('a practice unit is taken in already');
    expect(refusal(() => then(opened(hearingLoop, 4, false), again))).toBe('taken');
  });

  it('is held by the gates of a real job', () => {
    const r = opened(madeUnit('nested covers', 8, 5), 5);
    const lift = {
      type: 'move.recorded',
      verb: 'lift',
      text: 'lift service flap',
      item: { kind: 'part', name: 'service flap', count: 1, place: { kind: 'shelf' } },
    };
    expect(refusal(() => then(r, lift))).toContain('Mains');
    const safe = then(r, {
      type: 'gate.cleared',
      hazard: 'mains',
      acted: true,
      reading: 1,
      unit: 'V',
      source: 'meter',
    });
    expect(refusal(() => then(safe, lift))).toBe('taken');
  });

  it('teaches nothing, and its summary says what it is', () => {
    const r = opened(hearingLoop, 4);
    expect(summarise(r.state).practice).toBe(true);
    expect(lessonOf(r.state)).toBeNull();
    const real = opened(hearingLoop, 4, false);
    expect(summarise(real.state).practice).toBeUndefined();
    for (const type of ['practice.ended', 'remedy.practised'])
      expect(
        refusal(() => then(real, { type, how: 'left', element: 'W4', remedy: 'reseat', mended: false })),
      ).toContain('no practice');
  });
});

describe('two faults at once', () => {
  it('are mended when both are gone; the story has no score', () => {
    const map = madeUnit('chain', 7, 8);
    const { hidden, intake } = hide(map, 8, { faults: 2, pattern: 'always' });
    let r = judge(null, {
      ...stamp(),
      type: 'job.opened',
      job: '01ARZ3NDEKTSV4RRFFQ69G5FAV',
      tag: 'practice',
      map,
      practice: { exercise: '01ARZ3NDEKTSV4RRFFQ69G5FAV', hidden, seed: 8, coach: false },
    });
    r = then(r, { type: 'intake.recorded', ...intake });
    for (const { id } of hidden.faults) {
      expect(r.state.practiceOver).toBeNull();
      r = does(r, { tried: map.elements.find((e) => e.id === id)?.remedies.at(-1)?.id ?? '', element: id });
    }
    expect(r.state.practiceOver?.how).toBe('mended');
    const story = storyOf(decisionsOf(r.state));
    expect(story.lines.map((l) => l.method)).toEqual(['lookahead 2', 'lookahead 2']);
    expect(story.score).toBeNull();
    expect(story.optimum).toBeGreaterThan(0);
  });
});

describe('its story', () => {
  it('loses nothing for whoever always does the best, and names what was costly', () => {
    let r = opened(madeUnit('chain', 5, 11), 11);
    for (let guard = 0; guard < 30 && !r.state.practiceOver; guard++) {
      const best = valued(decisionNow(r.state)).acts[0] as Valued;
      // Covers come off as they do on a real job.
      for (const g of r.state.map.hazards)
        if (r.state.power !== 'off')
          r = then(r, {
            type: 'gate.cleared',
            hazard: g.id,
            acted: true,
            reading: 1,
            unit: 'V',
            source: 'meter',
          });
      for (const a of r.state.map.access)
        if (!r.state.ledger.covers.some((c) => c.id === a.id))
          r = then(r, {
            type: 'move.recorded',
            verb: 'lift',
            text: `lift ${a.name}`,
            item: { kind: 'part', name: a.name, count: 1, place: { kind: 'shelf' } },
          });
      const remedy = best.remedy ?? r.state.map.elements.find((e) => e.id === best.id)?.remedies[0]?.id ?? '';
      r = does(r, best.kind === 'check' ? { check: best.id } : { tried: remedy, element: best.id });
    }
    const story = storyOf(decisionsOf(r.state));
    expect(r.state.practiceOver?.how).toBe('mended');
    expect(story.lines.every((l) => l.regret < 1e-6)).toBe(true);
    expect(story.score).toBeCloseTo(1, 9);
    expect(story.remember).toContain('Nothing was lost');

    const wasteful = opened(madeUnit('chain', 7, 11), 11);
    const fault = wasteful.state.practice?.hidden.faults[0]?.id;
    const other = wasteful.state.map.elements.find((e) => e.kind === 'board' && e.id !== fault);
    const after = does(wasteful, { tried: 'replace', element: other?.id ?? '' });
    const poor = storyOf(decisionsOf(after.state));
    expect(poor.lines[0]?.regret).toBeGreaterThan(1);
    expect(poor.score).toBeLessThan(1);
    expect(poor.score).toBeCloseTo(
      (poor.optimum ?? 0) / ((poor.optimum ?? 0) + (poor.lines[0]?.regret ?? 0)),
      12,
    );
    expect(poor.remember).not.toContain('Nothing was lost');
    expect(storyOf([]).score).toBeNull();
  });
});
