import { useState } from 'react';
import { closeRefusals } from '../../core/ledger';
import { Second } from '../../ui/Action';
import { Wrong } from '../../ui/Field';
import { TickBox } from '../../ui/Signs';
import { FoundScrew } from '../job/FoundScrew';
import { UsedUp } from '../job/UsedUp';
import { useJob } from '../job/use-job';

const SHOWN = 3;

/** The covers that are off, what each still waits for, and its trial or final close. */
export function Covers() {
  const { job, record } = useJob();
  const [wrong, setWrong] = useState<{ id: string; reason: string } | null>(null);
  if (job.ledger.covers.length === 0) return null;
  const close = (id: string, kind: 'trial' | 'final') => {
    const refused = record('cover.closed', { cover: id, kind });
    setWrong(refused ? { id, reason: refused.reason } : null);
  };
  return (
    <section className="pad border-t border-rule-strong" aria-label="Covers">
      <div className="lead pb-2">
        <h3 className="sec">Covers</h3>
        <span className="flex flex-wrap gap-2">
          <UsedUp />
          <FoundScrew />
        </span>
      </div>
      <ul className="rows">
        {job.ledger.covers.map((c) => {
          const reasons = c.state === 'final' ? [] : closeRefusals(job.ledger, c.id);
          return (
            <li key={c.id} className="grid gap-2">
              <span className="flex gap-2 items-center">
                {c.state === 'final' && <TickBox />}
                <b>{c.name}</b>
                <span className={c.state === 'final' ? 'text-moss' : 'text-ochre'}>
                  {c.state === 'final'
                    ? 'closed'
                    : c.state === 'trial'
                      ? 'laid on for a trial, not closed'
                      : 'open'}
                </span>
              </span>
              {reasons.length > 0 && (
                <ul className="note list-disc pl-5">
                  {reasons.slice(0, SHOWN).map((r) => (
                    <li key={r}>{r}</li>
                  ))}
                  {reasons.length > SHOWN && <li>and {reasons.length - SHOWN} more</li>}
                </ul>
              )}
              {c.state !== 'final' && (
                <span className="flex flex-wrap gap-2">
                  {c.state === 'open' && (
                    <Second small onClick={() => close(c.id, 'trial')}>
                      Laid on for a trial
                    </Second>
                  )}
                  <Second small onClick={() => close(c.id, 'final')}>
                    Closed for good
                  </Second>
                </span>
              )}
              {wrong?.id === c.id && <Wrong>{wrong.reason}</Wrong>}
            </li>
          );
        })}
      </ul>
    </section>
  );
}
