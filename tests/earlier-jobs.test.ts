import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import fc from 'fast-check';
import { ulid } from 'ulid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { daysBetween, isComeback, markKey, maybeSame, nearMarks, sameUnit } from '../src/core/identity';
import { type JobEvent, judge } from '../src/core/job';
import { shownOf } from '../src/core/record';
import { Refusal } from '../src/core/refusal';
import { reportOf } from '../src/core/report';
import { type Database, openDatabase } from '../src/data/database';
import { insertJob, saveShown } from '../src/data/jobs';
import { hearingLoop } from '../src/demo/units/hearing-loop';
import { earlierJobs } from '../src/server/earlier-jobs';
import { Problem } from '../src/server/problem';

const folder = mkdtempSync(path.join(tmpdir(), 'mulch-earlier-'));
let db: Database;
beforeAll(async () => {
  db = await openDatabase({ folder, migrations: path.resolve('drizzle') });
});
afterAll(async () => {
  await db.settle();
  rmSync(folder, { recursive: true, force: true });
});

/** A job on the loop amplifier, opened some days after the first of January. */
function job(
  day: number,
  mark: string | undefined,
  more: { maker?: string; handedOver?: boolean; function?: string } = {},
) {
  const at = new Date(Date.UTC(2026, 0, 1 + day, 9)).toISOString();
  const stamp = () => ({ id: ulid(), at, by: 'Ines' });
  const map = { ...hearingLoop, maker: more.maker ?? hearingLoop.maker };
  let r = judge(null, { ...stamp(), type: 'job.opened', job: ulid(), tag: `J-${day}`, map });
  const then = (told: object) => {
    r = judge(r, { ...stamp(), ...told } as JobEvent);
  };
  if (mark !== undefined) then({ type: 'unit.identified', mark, owner: 'pier office' });
  then({
    type: 'intake.recorded',
    function: more.function ?? 'left',
    symptom: 'silent',
    pattern: 'always',
    keep: [],
  });
  return { r, day };
}
async function kept(j: ReturnType<typeof job>, handedOver?: number): Promise<string> {
  const shown = shownOf(j.r);
  const { summary, facts } = shown;
  await db.write((tx) => insertJob(tx, shown, j.r.events));
  // Handed over: as a job that went all the way sums up.
  if (handedOver !== undefined)
    await db.write((tx) =>
      saveShown(tx, {
        facts,
        summary: {
          ...summary,
          handedOver: true,
          handedOverAt: new Date(Date.UTC(2026, 0, 1 + handedOver, 9)).toISOString(),
          mended: ['Replace W7 left ribbon'],
        },
      }),
    );
  return summary.id;
}

describe('marks', () => {
  it('are the same whatever blanks, dashes and capitals they were written with', () => {
    expect(markKey(' sp-04 411')).toBe('SP04411');
    expect(markKey('Ж-7')).toBe('Ж7');
    expect(markKey('--')).toBe('');
    fc.assert(
      fc.property(fc.stringMatching(/^[A-Z0-9]{4,12}$/), fc.nat(11), (mark, at) => {
        const written = `${mark.slice(0, at).toLowerCase()}- ${mark.slice(at)}`;
        expect(sameUnit({ mark, maker: 'Quayle & Finch' }, { mark: written, maker: 'quayle  &finch' })).toBe(
          true,
        );
        expect(nearMarks(mark, written)).toBe(false);
      }),
    );
  });
  it('are nearly the same one sign apart, or where signs wear alike; short ones never', () => {
    expect(nearMarks('SP-O4411', 'SP-04411')).toBe(true);
    expect(nearMarks('5B-11G8', 'SB-1IG8')).toBe(true);
    expect(nearMarks('SP-04411', 'SP-04412')).toBe(true);
    expect(nearMarks('SP-04411', 'SP-0441')).toBe(true);
    expect(nearMarks('SP-04411', 'SP-04423')).toBe(false);
    expect(nearMarks('A12', 'A13')).toBe(false);
    fc.assert(
      fc.property(fc.string({ maxLength: 12 }), fc.string({ maxLength: 12 }), (a, b) => {
        expect(nearMarks(a, b)).toBe(nearMarks(b, a));
        expect(nearMarks(a, a)).toBe(false);
      }),
    );
  });
  it('name a unit together with who made it', () => {
    expect(sameUnit({ mark: 'SP-1', maker: 'A' }, { mark: 'SP-1', maker: 'B' })).toBe(false);
    expect(sameUnit({ maker: 'A' }, { maker: 'A' })).toBe(false);
    expect(sameUnit({ mark: '--', maker: 'A' }, { mark: '..', maker: 'A' })).toBe(false);
    expect(maybeSame({ mark: 'SP-O4411', maker: 'A' }, { mark: 'SP-04411', maker: 'B' })).toBe(false);
    expect(maybeSame({ maker: 'A' }, { mark: 'SP-04411', maker: 'A' })).toBe(false);
  });
  it('a comeback is the same function within the days that count, to the day', () => {
    const at = (day: number) => new Date(Date.UTC(2026, 0, 1 + day)).toISOString();
    const back = (day: number, f = 'left') =>
      isComeback({ at: at(0), functions: ['left'] }, { at: at(day), functions: [f, 'lamp'] });
    expect([back(0), back(90), back(91), back(-1), back(5, 'right')]).toEqual([
      true,
      true,
      false,
      false,
      false,
    ]);
    expect(daysBetween('2026-11-01T10:00:00Z', '2026-11-13T09:00:00Z')).toBe(11);
  });
});

describe('which unit this is', () => {
  it('shows its earlier jobs, a comeback as such, and asks about marks that are nearly the same', async () => {
    await kept(job(0, 'QF-40-0311'), 2);
    await kept(job(40, 'QF 40 0311', { function: 'right' }), 41);
    await kept(job(50, 'QF-40-O311'));
    await kept(job(55, 'QF-40-0311', { maker: 'Somebody else' }));
    await kept(job(58, undefined));
    const later = await kept(job(80, 'qf-40-0311'));
    const now = await kept(job(60, 'qf400311'));
    const { jobs, near, comebackDays } = await earlierJobs(db.read, now);
    expect(jobs.map((j) => [j.tag, j.days, j.comeback])).toEqual([
      ['J-40', 19, false],
      ['J-0', 58, true],
    ]);
    expect(jobs[1]).toMatchObject({
      symptom: 'silent',
      mended: ['Replace W7 left ribbon'],
      failed: [hearingLoop.functions[0]?.name],
    });
    expect(near).toEqual([{ mark: 'QF-40-O311', unit: hearingLoop.name, tag: 'J-50' }]);
    expect(comebackDays).toBe(90);
    expect((await earlierJobs(db.read, later)).jobs.map((j) => j.tag)).toEqual(['J-60', 'J-40', 'J-0']);
    // A unit that nobody named has no story.
    const nameless = await kept(job(61, undefined));
    expect((await earlierJobs(db.read, nameless)).jobs).toEqual([]);
    await expect(earlierJobs(db.read, 'nobody')).rejects.toBeInstanceOf(Problem);
  });

  it('stands in the report as it was said last, and is refused where nothing can be read', () => {
    const { r } = job(1, 'QF-1');
    const stamp = () => ({ id: ulid(), at: '2026-01-02T10:00:00Z', by: 'Ines' });
    const more = judge(r, {
      ...stamp(),
      type: 'unit.identified',
      mark: 'QF-40-0311',
      owner: 'pier',
      reach: 'ext. 12',
    });
    expect(more.state.identity).toEqual({ mark: 'QF-40-0311', owner: 'pier', reach: 'ext. 12', apart: [] });
    const told = JSON.stringify(reportOf(more.state, more.events));
    expect(told).toContain('QF-40-0311');
    expect(told).toContain('pier, ext. 12');
    expect(told).not.toContain('QF-1"');
    for (const payload of [{}, { mark: ' ' }, { mark: '--' }])
      expect(() => judge(r, { ...stamp(), type: 'unit.identified', ...payload })).toThrow(Refusal);
    const undone = judge(more, { ...stamp(), type: 'undone', event: more.events.at(-1)?.id ?? '' });
    expect(undone.state.identity?.mark).toBe('QF-1');
  });
});
