import { useState } from 'react';
import { tally } from '../../core/ledger';
import { Action, Second } from '../../ui/Action';
import { Dialog } from '../../ui/Dialog';
import { TextField, Wrong } from '../../ui/Field';
import type { Refused } from './store';
import { useJob } from './use-job';

/** Over every view while hands are in a unit inside the unit: its own goal, its own things off. */
export function SubUnitBar() {
  const { job, record } = useJob();
  const [wrong, setWrong] = useState<string | null>(null);
  const here = job.subUnits.find((u) => !u.leftAt);
  if (!here) return null;
  const own = job.ledger.items.filter((i) => i.within === here.id);
  const off = own.reduce((n, i) => n + tally(i).off, 0);
  const leave = (as: 'whole' | 'open') => setWrong(record('unit.left', { as })?.reason ?? null);
  return (
    <section
      aria-label="Unit inside the unit"
      className="no-print pad border-b border-rule-strong bg-kraft flex flex-wrap gap-x-4 gap-y-2 items-center"
    >
      <span className="flex-1 min-w-[220px] leading-[1.2]">
        Hands in the <b>{here.name}</b>
        {here.goal && `, to ${here.goal}`}. {off === 0 ? 'Nothing of it is off' : `${off} of it off`}
      </span>
      <Second small onClick={() => leave('whole')}>
        It is whole again
      </Second>
      <Second small onClick={() => leave('open')}>
        Leave it open
      </Second>
      {wrong && (
        <div className="basis-full bg-paper p-2">
          <Wrong>{wrong}</Wrong>
        </div>
      )}
    </section>
  );
}

/** Begins work in a unit inside the unit, or goes on where one was left open. */
export function SubUnitButton() {
  const { job, record } = useJob();
  const [open, setOpen] = useState(false);
  const [name, setName] = useState('');
  const [goal, setGoal] = useState('');
  const [wrong, setWrong] = useState<Refused | null>(null);
  if (job.subUnits.some((u) => !u.leftAt)) return null;
  const leftOpen = job.subUnits.filter((u) =>
    job.ledger.items.some((i) => i.within === u.id && tally(i).off > 0),
  );
  const enter = (n: string, g: string) => {
    const refused = record('unit.entered', { name: n, goal: g });
    setWrong(refused);
    if (!refused) setOpen(false);
  };
  return (
    <>
      <Second small onClick={() => setOpen(true)}>
        A unit inside it
      </Second>
      <Dialog open={open} onClose={() => setOpen(false)} title="A unit inside this one">
        <form
          className="grid gap-4"
          onSubmit={(e) => {
            e.preventDefault();
            e.stopPropagation();
            enter(name, goal);
          }}
        >
          <p className="note">
            A feeder in a printer, a pair of boards: what comes off from now on is its own, and it has to be
            whole before the larger one closes over it.
          </p>
          {leftOpen.map((u) => (
            <Second key={u.id} small className="justify-self-start" onClick={() => enter(u.name, u.goal)}>
              Go on in the {u.name}
            </Second>
          ))}
          <TextField
            label="Which"
            placeholder="paper feeder"
            value={name}
            onChange={(e) => setName(e.target.value)}
            wrong={wrong?.path === '/name' ? wrong.reason : undefined}
          />
          <TextField
            label="What for"
            placeholder="free the roller"
            value={goal}
            onChange={(e) => setGoal(e.target.value)}
            hint="may stay empty"
          />
          <Action type="submit" keyName="Enter" className="justify-self-start">
            Hands in
          </Action>
        </form>
      </Dialog>
    </>
  );
}
