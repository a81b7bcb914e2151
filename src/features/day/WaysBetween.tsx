import { useState } from 'react';
import { Second } from '../../ui/Action';
import { TextField, Wrong } from '../../ui/Field';
import type { DayLink } from './use-day';

/** How far it is from place to place: typed, or as the record knows it. */
export function WaysBetween({
  link: { plan, offers, house, learned, saveHouse },
  apart,
}: {
  link: DayLink;
  apart: string[];
}) {
  const by = new Map(offers.map((o) => [o.job, o]));
  const places = [
    ...new Set([
      plan.start.place.trim(),
      ...plan.jobs.map((j) => (j.place || by.get(j.job)?.place || '').trim()),
      ...plan.busy.map((b) => b.place?.trim() ?? ''),
      (plan.end.place ?? '').trim(),
    ]),
  ].filter(Boolean);
  const inUse = new Set(places);
  const ways = house.travel.filter((t) => inUse.has(t.from) && inUse.has(t.to));
  const [from, setFrom] = useState('');
  const [to, setTo] = useState('');
  const [minutes, setMinutes] = useState('');
  const [wrong, setWrong] = useState('');
  const keep = async (a: string, b: string, m: number) => {
    const rest = house.travel.filter((t) => !(t.from === a && t.to === b));
    const failed = await saveHouse({ ...house, travel: [...rest, { from: a, to: b, minutes: m }] });
    setWrong(failed?.reason ?? '');
    return !failed;
  };
  const known = (a: string, b: string) =>
    house.travel.some((t) => (t.from === a && t.to === b) || (t.from === b && t.to === a));
  const offersOfRecord = learned.filter((t) => inUse.has(t.from) && inUse.has(t.to) && !known(t.from, t.to));
  // What is missing is asked for first: from where the day begins to a place without a way.
  const nextFrom = from || plan.start.place.trim();
  const nextTo = to || apart[0] || '';
  return (
    <section aria-label="Ways" className="grid gap-2">
      <h2 className="sec">Ways</h2>
      {apart.length > 0 && (
        <Wrong>{`How far is it to ${apart.join(', ')}? What is there is left until somebody says so.`}</Wrong>
      )}
      {ways.length === 0 && apart.length === 0 && (
        <p className="note">Minutes from place to place, both ways unless the other is written too.</p>
      )}
      <ul>
        {ways.map((t) => (
          <li
            key={`${t.from} ${t.to}`}
            className="grid grid-cols-[minmax(0,1fr)_auto_auto] gap-2 items-center border-t border-rule min-h-11"
          >
            <span className="leading-[1.2]">
              {t.from} to {t.to}
            </span>
            <b className="tabular-nums">{t.minutes}&nbsp;min</b>
            <Second
              small
              aria-label={`Forget ${t.from} to ${t.to}`}
              onClick={async () => {
                const failed = await saveHouse({ ...house, travel: house.travel.filter((x) => x !== t) });
                setWrong(failed?.reason ?? '');
              }}
            >
              ×
            </Second>
          </li>
        ))}
      </ul>
      {offersOfRecord.map((t) => (
        <p key={`${t.from} ${t.to}`} className="flex gap-2 items-center justify-between">
          <span className="leading-[1.2]">
            By the record {t.from} to {t.to}: {t.minutes}&nbsp;min
          </span>
          <Second small onClick={() => void keep(t.from, t.to, t.minutes)}>
            Use it
          </Second>
        </p>
      ))}
      <form
        noValidate
        className="grid gap-2"
        onSubmit={async (e) => {
          e.preventDefault();
          const m = Number(minutes.trim().replace(',', '.'));
          if (!nextFrom || !nextTo) return setWrong('say from where to where');
          if (minutes.trim() === '' || !(m >= 0 && m <= 1440)) return setWrong('minutes, 0 to 1,440');
          if (nextFrom === nextTo) return setWrong('two places, one for each end');
          if (!(await keep(nextFrom, nextTo, m))) return;
          setTo('');
          setMinutes('');
        }}
      >
        <div className="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)_72px] gap-2 items-start">
          <TextField
            label="Way from"
            list="day-places"
            value={from}
            placeholder={nextFrom}
            onChange={(e) => setFrom(e.target.value)}
            autoComplete="off"
          />
          <TextField
            label="Way to"
            list="day-places"
            value={to}
            placeholder={nextTo || 'place'}
            onChange={(e) => setTo(e.target.value)}
            autoComplete="off"
          />
          <TextField
            label="Takes"
            inputMode="decimal"
            placeholder="min"
            value={minutes}
            onChange={(e) => {
              setMinutes(e.target.value);
              setWrong('');
            }}
            autoComplete="off"
          />
        </div>
        <datalist id="day-places">
          {places.map((p) => (
            <option key={p} value={p} />
          ))}
        </datalist>
        {wrong && <Wrong>{wrong}</Wrong>}
        <Second small type="submit" className="justify-self-start">
          Keep the way
        </Second>
      </form>
    </section>
  );
}
