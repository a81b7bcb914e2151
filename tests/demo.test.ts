import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { advised, halving } from '../bench/hand-ways';
import { optimum } from '../bench/optimum';
import { dice, play, randomUnit } from '../bench/ways';
import {
  beforeAfter,
  beliefHistory,
  fold,
  handOverHeldBy,
  history,
  type JobEvent,
  runOf,
  summarise,
  traceView,
} from '../src/core/job';
import { reportOf } from '../src/core/report';
import { trace } from '../src/core/trace';
import { cone, deriveChecks, hazardsOf, validateMap } from '../src/core/unit';
import { UnitMapSchema } from '../src/core/unit/schema';
import { DEMO_UNITS, demoJobs } from '../src/demo/jobs';
import { JobEventSchema } from '../src/schemas/job-event';
import { guardOf } from '../src/server/guard';

const isJobEvent = guardOf(JobEventSchema);
const isUnitMap = guardOf(UnitMapSchema);
const JOBS = demoJobs(new Date('2026-11-25T15:00:00Z'), ['a', 'b', 'c', 'd', 'e']);
const units = DEMO_UNITS.map(({ map }) => [map.name, map] as const);

describe('demo units', () => {
  it.each(units)('%s is a valid map, and its checks hold together', (_n, map) => {
    validateMap(map);
    expect(isUnitMap(map), JSON.stringify(isUnitMap.errors)).toBe(true);
    const checks = deriveChecks(map);
    expect(new Set(checks.map((c) => c.id)).size).toBe(checks.length);
    const ids = new Set(map.elements.map((e) => e.id));
    for (const c of checks) {
      const tested = c.trace.exercises ?? c.trace.outcomes?.flatMap((o) => o.points) ?? [];
      expect(tested.every((id) => ids.has(id))).toBe(true);
      expect(tested.length).toBeGreaterThan(0);
      if (c.trace.power !== 'on') expect(hazardsOf(map, c)).toEqual([]);
    }
    for (const h of map.hazards) expect(h.clear.caution).toMatch(/come first/);
  });

  it.each(units)('%s: whatever element fails for good, truthful answers lead to it', (_n, map) => {
    const fn = map.functions[0];
    if (!fn) throw new Error('no function');
    const checks = deriveChecks(map);
    for (const fault of cone(map, fn.output)) {
      const log: { check: string; outcome: string }[] = [{ check: `symptom:${fn.id}`, outcome: 'bad' }];
      const request = {
        elements: map.elements.map(({ id, weight, remedies }) => ({ id, weight, remedies })),
        checks: checks.map((c) => c.trace),
        access: map.access,
        log,
        options: { lookahead: 2 as const, top: 1 },
      };
      let repair = '';
      const replaced = new Set<string>();
      for (let guard = 0; guard < 60 && !repair; guard++) {
        const [next] = trace({
          ...request,
          log: [...log, ...[...replaced].map((r) => ({ repaired: r }))],
        }).next;
        if (!next) throw new Error('nothing to do');
        if (next.kind === 'repair') {
          if (next.id === fault) repair = next.id;
          else replaced.add(next.id);
        } else {
          const c = checks.find((x) => x.id === next.id);
          log.push({ check: next.id, outcome: c?.trace.exercises?.includes(fault) ? 'bad' : 'ok' });
        }
      }
      expect(repair).toBe(fault);
    }
  });
});

describe('demo jobs, at every point of their stories', () => {
  const points = JOBS.flatMap(({ events }) => events.map((_, k) => events.slice(0, k + 1)));

  it('events are what the schema says, and no event passes without one of its required properties', () => {
    for (const { events } of JOBS) {
      for (const e of events) {
        expect(isJobEvent(e), `${e.type} ${JSON.stringify(isJobEvent.errors)}`).toBe(true);
        for (const key of ['id', 'at', 'by', 'type'] as const) {
          const { [key]: _gone, ...rest } = e;
          expect(isJobEvent(rest)).toBe(false);
        }
        expect(isJobEvent({ ...e, colour: 'red' })).toBe(false);
      }
    }
  });

  it('nothing shown is missing a figure: no NaN, no undefined, no negative time', () => {
    for (const events of points) {
      const { state } = fold(events);
      const parts = [
        summarise(state),
        runOf(state),
        reportOf(state, events),
        history(events),
        beforeAfter(state),
        handOverHeldBy(state, 'works'),
        ...(state.intake ? [traceView(state), beliefHistory(state).map((m) => [...m])] : []),
      ];
      // As text a number that is none would be null.
      const shown = JSON.stringify(parts, (_key, v) =>
        typeof v === 'number' && !Number.isFinite(v) ? String(v) : v,
      );
      expect(shown).not.toMatch(/NaN|undefined|Infinity|\[object/);
      if (state.intake) {
        for (const n of traceView(state).next) {
          expect(n.minutes).toBeGreaterThan(0);
          expect(n.expectedMinutes).toBeGreaterThanOrEqual(0);
          expect(n.why.length).toBeGreaterThan(10);
        }
      }
    }
  });

  it('every stop has one state, and what is done has its reason', () => {
    for (const events of points) {
      const { state } = fold(events);
      const run = runOf(state);
      expect(run).toHaveLength(9);
      if (!state.intake) expect(run.filter((r) => r.status === 'done')).toEqual([]);
      if (state.handedOver) expect(run.at(-1)?.status).toBe('done');
    }
  });

  it('the report names every gate that was cleared, with its reading', () => {
    for (const { events, state } of JOBS) {
      const all = reportOf(state, events).find((s) => s.title === 'Made safe')?.lines ?? [];
      const steps = events.filter((e) => e.type === 'power-down.done').length;
      expect(all.filter((l) => l.text.startsWith('Powered down'))).toHaveLength(steps);
      const lines = all.filter((l) => !l.text.startsWith('Powered down'));
      expect(lines).toHaveLength(events.filter((e) => e.type === 'gate.cleared').length);
      for (const l of lines) expect(l.result).toMatch(/^read -?[\d.]+\u00a0V by meter$/);
    }
  });

  it('a story cut and told again from a file is the same story', () => {
    fc.assert(
      fc.property(fc.constantFrom(...points), (events: JobEvent[]) => {
        expect(fold(JSON.parse(JSON.stringify(events)) as JobEvent[]).state).toEqual(fold(events).state);
      }),
      { numRuns: 40 },
    );
  });
});

describe('ways of working', () => {
  it('Mulch stays within 3 % of the exact optimum on small units', () => {
    let mine = 0;
    let exact = 0;
    for (let u = 0; u < 24; u++) {
      const roll = dice(u);
      const request = {
        ...randomUnit(['chain', 'tree', 'two channels'][u % 3] ?? 'chain', 6, 1, roll),
        log: [],
      };
      const all = request.elements.reduce((a, e) => a + e.weight, 0);
      for (const e of request.elements) mine += (e.weight / all) * play(request, advised, e.id, roll);
      exact += optimum(request);
    }
    expect(mine).toBeGreaterThanOrEqual(exact - 1e-9);
    expect(mine / exact).toBeLessThan(1.03);
  });

  it('every way ends at the fault, and Mulch not later than halving on average where faults come and go', () => {
    let mine = 0;
    let half = 0;
    for (let u = 0; u < 12; u++) {
      const roll = dice(900 + u);
      const request = randomUnit('chain', 12, 0.6, roll);
      const fault = request.elements[u]?.id ?? '';
      mine += play(request, advised, fault, dice(u));
      half += play(request, halving, fault, dice(u));
    }
    expect(Number.isFinite(mine + half)).toBe(true);
    expect(mine).toBeLessThan(half);
  });
});
