import { useMemo } from 'react';
import { ifAnswered, type JobState } from '../../core/job';
import type { MapCheck } from '../../core/unit';

const percent = (p: number) => `${p >= 0.995 ? 'over 99' : Math.round(p * 100)}\u00a0%`;

/** What each answer of a check would leave suspect, and what it would clear. */
export function WouldClear({ job, check }: { job: JobState; check: MapCheck }) {
  const answers = useMemo(() => ifAnswered(job, check), [job, check]);
  return (
    <span className="grid gap-[2px] border-l-4 border-slate-fill bg-slate-wash px-2 py-1 text-[13.5px] leading-[1.25]">
      {answers.map((a) => (
        <span key={a.id}>
          <b>{a.words}</b>:{' '}
          {a.left.map((l) => `${l.id} ${percent(l.p)}`).join(', ') || `${a.among} elements share it`}
          {a.cleared.length > 0 &&
            `; clears ${a.cleared.slice(0, 6).join(' ')}${a.cleared.length > 6 ? ` and ${a.cleared.length - 6} more` : ''}`}
        </span>
      ))}
    </span>
  );
}
