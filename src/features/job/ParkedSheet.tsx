import { useEffect, useState } from 'react';
import { liveLines } from '../../core/hazard';
import { history, openAccess } from '../../core/job';
import { placeWords, specOf, tally } from '../../core/ledger';
import { Action } from '../../ui/Action';
import { Clock } from '../../ui/Clock';
import { TextField } from '../../ui/Field';
import { Foot } from '../../ui/Foot';
import { signedIn } from '../people/signed-in';
import { author } from './author';
import { STOP_TITLE } from './stop-title';
import { useJob } from './use-job';

const LATEST = 5;
const SHOWN = 4;

/** A job at rest, for whoever takes it up: where it stood, what lies where, what is live, what was done last. */
export function ParkedSheet() {
  const { job, events, record } = useJob();
  const [by, setBy] = useState('');
  useEffect(() => {
    const name = author.get();
    setBy(name === 'bench' ? '' : name);
  }, []);
  const { parked } = job;
  if (!parked) return null;
  const off = job.ledger.items.filter((i) => tally(i).off > 0);
  const open = openAccess(job);
  const live = liveLines(job.map.hazards, job.hazards, open).filter((l) => l.state.status !== 'made safe');
  const names = job.ledger.covers.filter((c) => open.includes(c.id)).map((c) => c.name);
  const last = history(events).slice(-LATEST).reverse();
  const other = parked.by && by.trim() && parked.by !== by.trim();
  return (
    <section
      aria-label="Parked"
      className="no-print border-b-2 border-slate-fill bg-slate-wash grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)_280px] max-[1000px]:grid-cols-1 gap-x-6 gap-y-3 pad"
    >
      <div className="grid gap-1 content-start">
        <h2 className="text-[22px] text-slate">Parked: {parked.why}</h2>
        <p>
          {parked.until && <b>{parked.until}. </b>}
          {parked.by && `By ${parked.by}, `}
          <Clock at={parked.at} day />. It stood at {STOP_TITLE[job.stop]}.
        </p>
        <p>
          {names.length ? <b>{names.join(', ')} off. </b> : 'It is shut. '}
          {off.length === 0
            ? 'Nothing is off.'
            : `${off.length} ${off.length === 1 ? 'place' : 'places'} in use:`}
        </p>
        {off.length > 0 && (
          <ul className="text-[14px] leading-[1.3]">
            {off.map((i) => (
              <li key={i.id}>
                {i.count === null ? 'several' : tally(i).off} × {specOf(i)}, {placeWords(i.place)}
                {i.missing ? `, ${i.missing} missing` : ''}
              </li>
            ))}
          </ul>
        )}
        {live.length > 0 && (
          <p className="text-brick font-[600]">
            Live or not known: {live.map((l) => l.hazard.name).join(', ')}. Read again before a hand goes in.
          </p>
        )}
      </div>
      <div className="grid gap-1 content-start">
        <h3 className="sec">Done last</h3>
        <ol className="text-[14px] leading-[1.3]">
          {last.map((l) => (
            <li key={l.id} className="flex gap-2">
              <Clock at={l.at} day />
              <span>{l.text}</span>
            </li>
          ))}
        </ol>
        {job.photos.length > 0 && (
          <ul className="flex gap-2 pt-1">
            {job.photos.slice(-SHOWN).map((p) => (
              <li key={p.id}>
                <img
                  src={`/api/photos/${p.file}?size=small`}
                  alt={p.caption || `Picture taken in ${p.stop}`}
                  className="w-[84px] h-[60px] object-cover border border-rule-strong"
                />
              </li>
            ))}
          </ul>
        )}
      </div>
      <form
        id="take-up"
        className="grid gap-2 content-start"
        onSubmit={(e) => {
          e.preventDefault();
          if (by.trim()) author.set(by);
          record('job.resumed', {});
        }}
      >
        <TextField
          label="Who takes it up"
          value={by}
          onChange={(e) => setBy(e.target.value)}
          placeholder="your name"
          readOnly={signedIn() !== null}
          autoComplete="name"
        />
        {other && <p className="note">From {parked.by} to you: go through the tray before a hand goes in.</p>}
        <Foot>
          <Action type="submit" form="take-up" keyName="Enter" data-first>
            Take it up
          </Action>
        </Foot>
      </form>
    </section>
  );
}
