import { useEffect, useState } from 'react';
import { Action, Second } from '../../ui/Action';
import { Dialog } from '../../ui/Dialog';
import { TextField } from '../../ui/Field';
import { later } from '../../ui/later';
import type { Refused } from './store';
import { useJob } from './use-job';

/** Fetched with the first timer that runs long enough. */
const Meanwhile = later(() => import('../day/Meanwhile').then((m) => m.Meanwhile));

const USUAL = [
  { what: 'soak with alcohol', minutes: '3' },
  { what: 'warm the edge', minutes: '2' },
  { what: 'glue cures', minutes: '30' },
  { what: 'boots', minutes: '2' },
  { what: 'charges', minutes: '60' },
  { what: 'soak test', minutes: '60' },
];

const clock = (seconds: number) => {
  const s = Math.max(0, Math.round(seconds));
  const h = Math.floor(s / 3600);
  const m = Math.floor((s % 3600) / 60);
  return `${h ? `${h}:` : ''}${String(m).padStart(h ? 2 : 1, '0')}:${String(s % 60).padStart(2, '0')}`;
};

/** Timers that run, over every view of the job: what is left, and over when it is over. */
export function RunningTimers() {
  const { job, record } = useJob();
  const running = job.timers.filter((t) => !t.endedAt);
  const [now, setNow] = useState<number | null>(null);
  useEffect(() => {
    if (running.length === 0) return;
    setNow(Date.now());
    const tick = setInterval(() => setNow(Date.now()), 1000);
    return () => clearInterval(tick);
  }, [running.length]);
  if (running.length === 0) return null;
  return (
    <ul className="no-print" aria-label="Timers">
      {running.map((t) => {
        const left = now === null ? null : (Date.parse(t.startedAt) + t.minutes * 60_000 - now) / 1000;
        const over = left !== null && left <= 0;
        return (
          <li key={t.id} className={`notice ${over ? 'bg-ochre-wash' : ''}`}>
            <span aria-hidden="true" className="mono">
              {over ? '!' : '…'}
            </span>
            <span>
              <b>{t.what}</b>{' '}
              {left === null ? '' : over ? `over since ${clock(-left)}` : `${clock(left)} left`}
              <span className="note"> of {t.minutes} min</span>
              {left !== null && left > 0 && !job.practice && (
                <Meanwhile minutes={Math.floor(left / 60)} job={job.id} place={job.place ?? ''} />
              )}
            </span>
            <button type="button" onClick={() => record('timer.ended', { timer: t.id })}>
              {over ? 'Seen' : 'End it'}
            </button>
            {over && (
              <span className="sr-only" role="status">
                {t.what} is over
              </span>
            )}
          </li>
        );
      })}
    </ul>
  );
}

/** Starts a timer; several run at once. */
export function TimerDialog({ open, onClose }: { open: boolean; onClose(): void }) {
  return (
    <Dialog open={open} onClose={onClose} title="Timer">
      {open && <Form onClose={onClose} />}
    </Dialog>
  );
}

function Form({ onClose }: { onClose(): void }) {
  const { record } = useJob();
  const [what, setWhat] = useState('');
  const [minutes, setMinutes] = useState('');
  const [wrong, setWrong] = useState<Refused | null>(null);
  const start = (e: React.FormEvent) => {
    e.preventDefault();
    const refused = record('timer.started', { what, minutes: Number(minutes.replace(',', '.')) || 0 });
    setWrong(refused);
    if (!refused) onClose();
  };
  const at = (path: string) => (wrong?.path === path ? wrong.reason : undefined);
  return (
    <form onSubmit={start} className="grid gap-4" noValidate>
      <div className="flex flex-wrap gap-2">
        {USUAL.map((u) => (
          <Second
            key={u.what}
            small
            onClick={() => {
              setWhat(u.what);
              setMinutes(u.minutes);
            }}
          >
            {u.what}, {u.minutes} min
          </Second>
        ))}
      </div>
      <div className="grid grid-cols-[minmax(0,1fr)_120px] gap-4">
        <TextField
          label="What for"
          value={what}
          onChange={(e) => setWhat(e.target.value)}
          wrong={at('/what')}
          autoComplete="off"
        />
        <TextField
          label="Minutes"
          value={minutes}
          onChange={(e) => setMinutes(e.target.value)}
          wrong={at('/minutes')}
          inputMode="decimal"
          autoComplete="off"
        />
      </div>
      <Action type="submit" keyName="Enter" className="justify-self-start">
        Start it
      </Action>
    </form>
  );
}
