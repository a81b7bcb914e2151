import { readFileSync } from 'node:fs';
import { gunzipSync } from 'node:zlib';
import { describe, expect, it } from 'vitest';
import { EVENT_KINDS, fold, history, type JobEvent, type JobState } from '../src/core/job';
import { reportOf } from '../src/core/report';

interface Stored {
  events: JobEvent[];
  state: JobState;
  report: { title: string; lines: object[] }[];
  history: string[];
}

/** Jobs as version 0.1.0 stored, folded and reported them: every kind it knew is among them. */
const stored: Stored[] = JSON.parse(
  gunzipSync(readFileSync('tests/fixtures/stored-jobs.json.gz')).toString('utf8'),
);
const plain = (x: unknown) => JSON.parse(JSON.stringify(x));
/** A write-off kept the id of its own item by mistake; it said nothing and is left out since. */
const without = (state: JobState): JobState => ({
  ...state,
  ledger: {
    ...state.ledger,
    items: state.ledger.items.map((i) => ({
      ...i,
      writtenOff: i.writtenOff.map(({ count, reason, replacement }) => ({ count, reason, replacement })),
    })),
  },
});

describe('jobs that an earlier version stored', () => {
  it('hold every kind of event there was', () => {
    const seen = new Set(stored.flatMap((s) => s.events.map((e) => e.type)));
    // Fifty-three kinds within a job, its opening, and undoing.
    expect(seen.size).toBe(55);
    for (const kind of seen)
      if (kind !== 'job.opened' && kind !== 'undone') expect(EVENT_KINDS[kind].type).toBe(kind);
  });
  it.each(stored.map((s, i) => [`${i}, ${s.events.length} entries`, s] as const))(
    '%s reads as before',
    (_n, s) => {
      const { state } = fold(s.events);
      const { map: _m, whole: _w, ...rest } = state;
      expect(plain(rest)).toMatchObject(without(s.state));
      expect(history(s.events).map((h) => h.text)).toEqual(s.history);
    },
  );
  it.each(stored.map((s, i) => [`${i}, ${s.events.length} entries`, s] as const))(
    '%s is reported as before',
    (_n, s) => {
      const lines = (sections: Stored['report']) =>
        sections.map((x) => [
          x.title,
          x.lines.map((l) => JSON.stringify(plain(l), Object.keys(l).sort())).sort(),
        ]);
      expect(lines(reportOf(fold(s.events).state, s.events))).toEqual(lines(s.report));
    },
  );
});
