import { useState } from 'react';
import { Second } from '../../ui/Action';
import { Clock } from '../../ui/Clock';
import { TextField, Wrong } from '../../ui/Field';
import { Posts, TickBox } from '../../ui/Signs';
import { useJob } from '../job/use-job';

/** Who has to be told before the unit is tried, or has to allow it. */
export function Parties() {
  const { job } = useJob();
  const parties = job.map.parties ?? [];
  if (parties.length === 0) return null;
  return (
    <div className="grid gap-2 border-b border-rule pb-3">
      <h2 className="sec">Who has to know</h2>
      <ul className="rows">
        {parties.map((p) => (
          <Row key={p.id} id={p.id} />
        ))}
      </ul>
    </div>
  );
}

function Row({ id }: { id: string }) {
  const { job, record } = useJob();
  const party = job.map.parties?.find((p) => p.id === id);
  const told = job.told.find((t) => t.party === id);
  const [how, setHow] = useState('');
  const [wrong, setWrong] = useState<string | null>(null);
  if (!party) return null;
  const allow = party.must === 'allow';
  if (told)
    return (
      <li className="flex gap-2 items-center">
        <TickBox size={18} />
        <span className="leading-[1.2]">
          <b>{party.who}</b> {allow ? 'allows it' : 'told'}
          <span className="note block">
            {told.how}, <Clock at={told.at} day />
          </span>
        </span>
      </li>
    );
  return (
    <li className="grid gap-1">
      <span className="leading-[1.2] flex gap-2 items-center">
        {allow && <Posts size={22} />}
        <span>
          <b>{party.who}</b> {allow ? 'has to allow it' : 'has to be told'}
          {party.why && <span className="note block">{party.why}</span>}
        </span>
      </span>
      <form
        className="flex gap-2 items-end"
        onSubmit={(e) => {
          e.preventDefault();
          setWrong(record('party.told', { party: id, how })?.reason ?? null);
        }}
      >
        <TextField
          label={allow ? 'Who gave leave, and how' : 'Whom, and how'}
          value={how}
          onChange={(e) => setHow(e.target.value)}
          placeholder="by telephone"
          data-next={how.trim() ? undefined : 'ask'}
          autoComplete="off"
          className="flex-1"
        />
        <Second small type="submit" data-next={how.trim() ? true : undefined}>
          {allow ? 'Allowed' : 'Told'}
        </Second>
      </form>
      {wrong && <Wrong>{wrong}</Wrong>}
    </li>
  );
}
