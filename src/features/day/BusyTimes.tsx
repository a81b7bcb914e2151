import { useState } from 'react';
import type { BusyTime, DayPlan } from '../../core/day-plan';
import { Second } from '../../ui/Action';
import { TextField, Wrong } from '../../ui/Field';
import { FileButton } from '../../ui/FileButton';
import { send } from '../units/send';

const NONE: BusyTime = { from: '', until: '', what: '' };

/** When somebody is not to be had: typed, or out of a calendar; and the day as a calendar. */
export function BusyTimes({
  plan,
  onPut,
  at,
  saved,
}: {
  plan: DayPlan;
  onPut(more: Partial<DayPlan>): void;
  at(path: string): string | undefined;
  saved: boolean;
}) {
  const [next, setNext] = useState(NONE);
  const [wrong, setWrong] = useState('');
  const [told, setTold] = useState('');
  const add = (e: React.FormEvent) => {
    e.preventDefault();
    if (!next.from || !next.until) return setWrong('say from when to when');
    if (next.until <= next.from && plan.end.at > plan.start.at)
      return setWrong(`${next.until} is not after ${next.from}`);
    onPut({ busy: [...plan.busy, { ...next, what: next.what.trim() || 'busy' }] });
    setNext(NONE);
    setWrong('');
  };
  const read = async (file: File) => {
    const sent = await send<{ busy: BusyTime[]; passed: string[] }>(`/api/days/${plan.day}/calendar`, {
      zone: plan.zone,
      text: await file.text(),
    });
    if (!sent.ok) {
      setTold('');
      return setWrong(`${file.name}, ${sent.failure.reason}`);
    }
    const there = new Set(plan.busy.map((b) => `${b.from} ${b.until} ${b.what}`));
    const fresh = sent.data.busy.filter((b) => !there.has(`${b.from} ${b.until} ${b.what}`));
    setWrong('');
    setTold(
      [
        fresh.length === 0 ? 'Nothing of this day that is not here already.' : `${fresh.length} taken in.`,
        ...(sent.data.passed.length ? [`Passed over: ${sent.data.passed.join('; ')}.`] : []),
      ].join(' '),
    );
    if (fresh.length) onPut({ busy: [...plan.busy, ...fresh] });
  };
  return (
    <section aria-label="Busy elsewhere" className="grid gap-2">
      <h2 className="sec">Busy elsewhere</h2>
      <ul>
        {plan.busy.map((b, i) => (
          <li
            key={`${b.from} ${b.until} ${b.what}`}
            className="grid grid-cols-[minmax(0,1fr)_auto] gap-2 items-center border-t border-rule min-h-11"
          >
            <span className="leading-[1.2]">
              <span className="mono">
                {b.from} to {b.until}
              </span>{' '}
              {b.what}
              {b.place && `, ${b.place}`}
              {[at(`/busy/${i}`), at(`/busy/${i}/until`), at(`/busy/${i}/place`)].map(
                (w) => w && <Wrong key={w}>{w}</Wrong>,
              )}
            </span>
            <Second
              small
              aria-label={`Not busy: ${b.what}, ${b.from}`}
              onClick={() => onPut({ busy: plan.busy.filter((x) => x !== b) })}
            >
              ×
            </Second>
          </li>
        ))}
      </ul>
      <form noValidate onSubmit={add} className="grid gap-2">
        <div className="grid grid-cols-2 gap-2 items-start">
          <TextField
            label="Busy from"
            type="time"
            value={next.from}
            onChange={(e) => setNext({ ...next, from: e.target.value })}
          />
          <TextField
            label="Busy until"
            type="time"
            value={next.until}
            onChange={(e) => setNext({ ...next, until: e.target.value })}
          />
          <TextField
            label="With what"
            value={next.what}
            onChange={(e) => setNext({ ...next, what: e.target.value })}
            autoComplete="off"
          />
          <TextField
            label="At which place"
            placeholder="anywhere"
            value={next.place ?? ''}
            onChange={(e) => {
              const { place: _place, ...rest } = next;
              setNext(e.target.value ? { ...rest, place: e.target.value } : rest);
            }}
            autoComplete="off"
          />
        </div>
        {wrong && <Wrong>{wrong}</Wrong>}
        {told && (
          <p className="note" role="status">
            {told}
          </p>
        )}
        <span className="flex flex-wrap gap-2">
          <Second small type="submit">
            Add
          </Second>
          <FileButton
            small
            label="A calendar file"
            accept=".ics,text/calendar"
            onFiles={([file]) => void read(file)}
          >
            Out of a calendar
          </FileButton>
          {saved && plan.jobs.length > 0 && (
            <a
              className="act-2 small"
              href={`/api/days/${plan.day}/calendar?person=${encodeURIComponent(plan.person)}`}
              download
            >
              <span>The day as a calendar</span>
            </a>
          )}
        </span>
      </form>
    </section>
  );
}
