import { useEffect, useState } from 'react';
import { soakNow } from '../../core/job';
import { Second } from '../../ui/Action';
import { Clock } from '../../ui/Clock';
import { TextField, Wrong } from '../../ui/Field';
import { TickBox, Warn } from '../../ui/Signs';
import type { Refused } from '../job/store';
import { useJob } from '../job/use-job';

/** The unit left running and looked at now and again: which looks were made, when the next is due. */
export function SoakTest({ onLook }: { onLook(): void }) {
  const { job, record } = useJob();
  const [form, setForm] = useState({ minutes: '60', every: '15' });
  const [wrong, setWrong] = useState<Refused | null>(null);
  const [now, setNow] = useState<string | null>(null);
  const running = job.soak !== null && !job.soak.endedAt;
  useEffect(() => {
    if (!running) return;
    const tick = () => setNow(new Date().toISOString());
    tick();
    const beat = setInterval(tick, 5000);
    return () => clearInterval(beat);
  }, [running]);
  const intermittent = job.intake?.pattern !== 'always';
  const s = job.soak ? soakNow(job, now ?? job.soak.startedAt) : null;
  const number = (t: string) => Number(t.replace(',', '.')) || 0;
  const begin = (e: React.FormEvent) => {
    e.preventDefault();
    setWrong(record('soak.started', { minutes: number(form.minutes), everyMinutes: number(form.every) }));
  };
  return (
    <div className="border-t border-rule pt-3 grid gap-2">
      <h3 className="sec">Soak</h3>
      {s && job.soak && (
        <div className={`grid gap-1 ${s.due ? 'border-2 border-ochre-fill p-2' : ''}`}>
          <p>
            <b className="big text-[27px]">{s.looks.length}</b> of{' '}
            {Math.floor(job.soak.minutes / job.soak.everyMinutes)} looks, {Math.round(s.minutes)} of{' '}
            {job.soak.minutes}&nbsp;min, since <Clock at={job.soak.startedAt} day />
          </p>
          {s.failed ? (
            <p className="flex gap-2 text-ochre font-[650]">
              <Warn /> It failed during the soak
            </p>
          ) : s.passed ? (
            <p className="flex gap-2 items-center text-moss font-[650]">
              <TickBox /> Every look was good
            </p>
          ) : s.due ? (
            <p className="font-[650]" role="status">
              A look is due now
            </p>
          ) : (
            running && <p className="note">The next look in {Math.ceil(s.nextIn)}&nbsp;min</p>
          )}
          {running && (
            <span className="flex gap-2 flex-wrap">
              <Second small onClick={onLook}>
                Look now
              </Second>
              <Second small onClick={() => record('soak.ended', {})}>
                End it
              </Second>
            </span>
          )}
        </div>
      )}
      {!running && (
        <form onSubmit={begin} className="flex flex-wrap gap-2 items-end">
          <TextField
            label="For, min"
            value={form.minutes}
            onChange={(e) => setForm({ ...form, minutes: e.target.value })}
            inputMode="decimal"
            autoComplete="off"
            className="w-[92px]"
            wrong={wrong?.path === '/minutes' ? wrong.reason : undefined}
          />
          <TextField
            label="Look every, min"
            value={form.every}
            onChange={(e) => setForm({ ...form, every: e.target.value })}
            inputMode="decimal"
            autoComplete="off"
            className="w-[110px]"
            wrong={wrong?.path === '/everyMinutes' ? wrong.reason : undefined}
          />
          <Second small type="submit">
            Begin
          </Second>
          {wrong && !wrong.path && <Wrong>{wrong.reason}</Wrong>}
        </form>
      )}
      {!s && (
        <p className="note">
          {intermittent
            ? `The fault came ${job.intake?.pattern}: leave it running, warm, and look now and again.`
            : 'It was always there: one good look mostly does.'}
        </p>
      )}
    </div>
  );
}
