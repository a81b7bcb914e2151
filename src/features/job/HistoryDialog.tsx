import { useMemo, useState } from 'react';
import { story } from '../../core/job';
import { Second } from '../../ui/Action';
import { Clock } from '../../ui/Clock';
import { Dialog } from '../../ui/Dialog';
import { Wrong } from '../../ui/Field';
import { LongList } from '../../ui/LongList';
import { useJob } from './use-job';

/** The whole story of a job, the newest first: what was done, when, by whom, and what was taken back. */
export function HistoryDialog({ open, onClose }: { open: boolean; onClose(): void }) {
  return (
    <Dialog open={open} onClose={onClose} title="History">
      {open && <Story />}
    </Dialog>
  );
}

function Story() {
  const { job, events, takeBack } = useJob();
  const [wrong, setWrong] = useState<{ id: string; reason: string } | null>(null);
  const [checksOnly, setChecksOnly] = useState(false);
  const all = useMemo(() => story(events), [events]);
  const lines = all.filter((l) => !checksOnly || /^(check|proof)\./.test(l.type)).reverse();
  return (
    <div className="grid gap-3">
      <div className="flex flex-wrap gap-2 items-center">
        <Second small aria-pressed={checksOnly} onClick={() => setChecksOnly(!checksOnly)}>
          {checksOnly ? 'Everything' : 'Checks and readings only'}
        </Second>
        <a className="act-2 small" href={`/api/jobs/${job.id}/history`} download>
          As a table
        </a>
        <span className="note">
          {lines.length} {lines.length === 1 ? 'entry' : 'entries'}
        </span>
      </div>
      {lines.length === 0 && <p className="note">No check is recorded yet.</p>}
      <div className="rows border-t border-rule">
        <LongList items={lines} keyOf={(l) => l.id}>
          {(l) => (
            <div className="grid grid-cols-[104px_minmax(0,1fr)_auto] gap-3 items-center text-[15px]">
              <span className="text-bark-2 text-[14px]">
                <Clock at={l.at} day />
              </span>
              <span className={l.undone ? 'line-through text-bark-2' : ''}>
                {l.text}
                <span className="note">
                  {' '}
                  {l.by}
                  {l.undone && ', taken back'}
                  {l.minutesBehind !== undefined &&
                    `, dated ${l.minutesBehind} min before an entry below: it came in late, or its clock was set back`}
                </span>
                {wrong?.id === l.id && <Wrong>{wrong.reason}</Wrong>}
              </span>
              {l.canUndo ? (
                <Second
                  small
                  aria-label={`Take back: ${l.text}`}
                  onClick={() => {
                    const refused = takeBack(l.id);
                    setWrong(refused ? { id: l.id, reason: refused.reason } : null);
                  }}
                >
                  Take back
                </Second>
              ) : (
                <span />
              )}
            </div>
          )}
        </LongList>
      </div>
    </div>
  );
}
