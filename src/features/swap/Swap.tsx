import { useState } from 'react';
import { Action, Second } from '../../ui/Action';
import { TextField, Wrong } from '../../ui/Field';
import { Arrow, TickBox } from '../../ui/Signs';
import type { Refused } from '../job/store';
import { useJob } from '../job/use-job';

/** The part out, the part in; or the gentler remedy, done. */
export function Swap() {
  const { job, go } = useJob();
  const { plan } = job;
  if (!plan || plan.kind === 'refer') {
    return (
      <div className="empty">
        <h2>{plan ? 'This job is referred' : 'No remedy is planned yet'}</h2>
        <p>
          {plan
            ? 'Nothing is mended here. Hand over says to whom it goes.'
            : 'Plan says what is reseated, cleaned or replaced.'}
        </p>
        <Action onClick={() => go(plan ? 'hand over' : 'plan')}>{plan ? 'Hand over' : 'Plan'}</Action>
      </div>
    );
  }
  const element = job.map.elements.find((e) => e.id === plan.element);
  return (
    <div className="cols">
      <section className="pad grid gap-5 content-start">
        <div className="lead">
          <h2 className="headline">{plan.name}</h2>
          <span className="note">{plan.why}</span>
        </div>
        {job.fix ? (
          <div className="grid gap-3 justify-items-start">
            <p className="flex gap-2 items-center text-[18px]">
              <TickBox size={20} /> Done: {job.fix.name}
              {job.fix.serial && `, serial ${job.fix.serial}`}
            </p>
            <Action keyName="7" onClick={() => go('close up')}>
              Close up
            </Action>
          </div>
        ) : plan.remedyKind === 'replace' ? (
          <OutIn name={`${element?.name ?? ''} ${element?.id ?? ''}`.trim()} part={plan.parts[0] ?? ''} />
        ) : (
          <Gentle />
        )}
      </section>
      <section className="pad grid gap-3 content-start">
        <h2 className="sec">Before it goes in</h2>
        <ul className="rows">
          {[
            ['Same plug', 'family, contacts, key: beside the old one'],
            ['Same way round', 'mark contact 1 before the old one leaves'],
            ['Pins straight', 'look along both rows'],
            ['Nothing left on the old one', 'heat sink, bracket, shield, jumpers'],
            ['Polarity', 'red and black read with the meter, not by colour'],
          ].map(([head, note]) => (
            <li key={head}>
              <b>{head}</b>
              <span className="note block">{note}</span>
            </li>
          ))}
        </ul>
        <p className="note">Common practice, no source. The maker’s instructions come first.</p>
      </section>
    </div>
  );
}

function OutIn({ name, part }: { name: string; part: string }) {
  const { job, record } = useJob();
  const [old, setOld] = useState(`old ${name}`);
  const [carry, setCarry] = useState('');
  const [fresh, setFresh] = useState(part);
  const [serial, setSerial] = useState('');
  const [wrong, setWrong] = useState<Refused | null>(null);
  const out = (e: React.FormEvent) => {
    e.preventDefault();
    const list = carry
      .split(',')
      .map((c) => c.trim())
      .filter(Boolean);
    setWrong(record('part.removed', { name: old, ...(list.length ? { carry: list } : {}) }));
  };
  const fit = (e: React.FormEvent) => {
    e.preventDefault();
    setWrong(record('part.fitted', { name: fresh, ...(serial.trim() ? { serial: serial.trim() } : {}) }));
  };
  const isOut = job.out !== null;
  const at = (path: string) => (wrong?.path === path ? wrong.reason : undefined);
  return (
    <div className="grid grid-cols-[1fr_44px_1fr] max-[760px]:grid-cols-1 gap-4 items-start">
      <form
        onSubmit={out}
        className={`grid gap-3 p-4 border ${isOut ? 'border-rule' : 'border-bark border-2'}`}
      >
        <h3 className="sec flex gap-2 items-center">{isOut && <TickBox size={18} />} Out</h3>
        {isOut ? (
          <p>
            {job.ledger.items.find((i) => i.id === job.out?.item)?.name} is out, kept in a bag marked old.
          </p>
        ) : (
          <>
            <TextField
              label="What comes out"
              value={old}
              onChange={(e) => setOld(e.target.value)}
              wrong={at('/name')}
            />
            <TextField
              label="Goes over to the new one"
              placeholder="heat sink, bracket"
              value={carry}
              onChange={(e) => setCarry(e.target.value)}
              hint="Parted by commas. Each stays in the tray until it has moved."
            />
            {wrong && wrong.path !== '/name' && <Wrong>{wrong.reason}</Wrong>}
            <Action type="submit" keyName="Enter" className="justify-self-start">
              It is out
            </Action>
          </>
        )}
      </form>
      <span className="self-center justify-self-center">
        <Arrow size={32} />
      </span>
      <form
        onSubmit={fit}
        className={`grid gap-3 p-4 border ${isOut ? 'border-bark border-2' : 'border-rule'}`}
      >
        <h3 className="sec">In</h3>
        <TextField
          label="What goes in"
          value={fresh}
          onChange={(e) => setFresh(e.target.value)}
          disabled={!isOut}
          wrong={isOut ? at('/name') : undefined}
        />
        <TextField
          label="Serial or date code"
          value={serial}
          onChange={(e) => setSerial(e.target.value)}
          disabled={!isOut}
        />
        {isOut && wrong && wrong.path !== '/name' && <Wrong>{wrong.reason}</Wrong>}
        {isOut ? (
          <Action type="submit" keyName="Enter" className="justify-self-start">
            It is in
          </Action>
        ) : (
          <p className="note">Opens once the old one is out.</p>
        )}
      </form>
    </div>
  );
}

function Gentle() {
  const { job, record, go } = useJob();
  const [note, setNote] = useState('');
  const [wrong, setWrong] = useState<Refused | null>(null);
  const done = (e: React.FormEvent) => {
    e.preventDefault();
    const refused = record('remedy.done', note.trim() ? { note: note.trim() } : {});
    setWrong(refused);
    if (!refused) go('close up');
  };
  return (
    <form onSubmit={done} className="grid gap-3 max-w-[560px]">
      <p>
        {job.plan?.remedyKind === 'reseat' &&
          'Part both ends, look at the contacts, press them home until the latch clicks. A plug that you part goes on the line in Open up, so that it is proven at the close.'}
        {job.plan?.remedyKind === 'clean' &&
          'Power out first. Alcohol and a lint-free swab on the contacts, let it dry. Never where it can run under a display.'}
        {job.plan?.remedyKind === 'set' &&
          'Note what it was, then set it. The old value belongs in the report.'}
      </p>
      <TextField
        label="What was seen"
        placeholder="contact 7 dull, latch half open"
        value={note}
        onChange={(e) => setNote(e.target.value)}
      />
      {wrong && <Wrong>{wrong.reason}</Wrong>}
      <div className="flex gap-3 flex-wrap">
        <Action type="submit" keyName="Enter">
          Done
        </Action>
        <Second onClick={() => go('open up')}>Record a plug first</Second>
      </div>
    </form>
  );
}
