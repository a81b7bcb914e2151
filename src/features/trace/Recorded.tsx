import { useMemo } from 'react';
import { answerWords, beliefHistory, type JobState, type TraceRecord, verdictOf } from '../../core/job';
import { formatReading, type MapCheck, spreadOf } from '../../core/unit';
import { Clock } from '../../ui/Clock';
import { TickBox } from '../../ui/Signs';

/** The element whose suspicion an entry moved most, in words. */
function moved(before: Map<string, number>, after: Map<string, number>): string {
  let best = '';
  let most = 0.005;
  for (const [id, p] of after) {
    const d = Math.abs(p - (before.get(id) ?? 0));
    if (d > most) {
      most = d;
      best = id;
    }
  }
  if (!best) return 'moves little';
  return `${best} ${Math.round((before.get(best) ?? 0) * 100)} to ${Math.round((after.get(best) ?? 0) * 100)}\u00a0%`;
}

/** What was found so far, the newest first, and what each entry did to the suspicion. */
export function Recorded({ job, checks }: { job: JobState; checks: MapCheck[] }) {
  const beliefs = useMemo(() => beliefHistory(job), [job]);
  const words = (r: TraceRecord) => {
    if (r.tried)
      return { text: `${r.tried.element}, ${r.tried.remedy} tried`, verdict: 'bad', said: 'symptom stayed' };
    const check = checks.find((c) => c.id === r.check);
    if (!check) return { text: r.check ?? '', verdict: 'bad', said: '' };
    const verdict = verdictOf(check, r);
    const text =
      r.reading === undefined
        ? check.title
        : `${check.tap?.id} ${formatReading(r.reading, r.unit ?? '')}, wanted ${r.expect?.nominal} ± ${r.expect?.tolerance}\u00a0${r.unit}${r.takes ? `; mean of ${r.takes.length}, spread ${formatReading(Number((spreadOf(r.takes).spread ?? 0).toPrecision(2)), r.unit ?? '')}` : ''}`;
    return { text, verdict, said: answerWords(check, r) };
  };
  const rows = job.trace
    .map((r, i) => ({ r, ...words(r), effect: moved(beliefs[i] ?? new Map(), beliefs[i + 1] ?? new Map()) }))
    .reverse();
  return (
    <section aria-label="Recorded">
      <div className="lead">
        <h3 className="sec">Recorded</h3>
        <span className="note">
          {job.trace.length} {job.trace.length === 1 ? 'entry' : 'entries'}
        </span>
      </div>
      {rows.length === 0 && (
        <p className="note pt-2">
          Nothing yet. The symptom itself already counts: it clears what cannot cause it.
        </p>
      )}
      <ol className="rows pt-2">
        {rows.map(({ r, text, verdict, said, effect }) => (
          <li key={r.id} className="grid grid-cols-[52px_minmax(0,1fr)_auto] gap-1 text-[14px] leading-[1.2]">
            <Clock at={r.at} />
            <span>{text}</span>
            <span className="text-right">
              <span
                className={`flex gap-1 items-center justify-end font-[600] ${verdict === 'ok' ? 'text-moss' : 'text-ochre'}`}
              >
                {verdict === 'ok' ? <TickBox size={13} /> : null} {said}
              </span>
              <span className="text-bark-2">{effect}</span>
            </span>
          </li>
        ))}
      </ol>
    </section>
  );
}
