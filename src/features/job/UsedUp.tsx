import { useState } from 'react';
import { Action, Second } from '../../ui/Action';
import { Dialog } from '../../ui/Dialog';
import { TextField } from '../../ui/Field';
import type { Refused } from './store';
import { useJob } from './use-job';

/** What is usual, with its setting time in minutes. Common practice, no source; the tube says it better. */
const USUAL: { what: string; sets?: string }[] = [
  { what: 'sealant', sets: '30' },
  { what: 'glue', sets: '20' },
  { what: 'thread lock', sets: '15' },
  { what: 'foam tape' },
  { what: 'cable tie' },
  { what: 'ferrule' },
  { what: 'solder' },
  { what: 'isopropyl alcohol', sets: '3' },
];

/** Glue, tape, solder, ties: used up, with a timer where it has to set. */
export function UsedUp() {
  const { job, record } = useJob();
  const [open, setOpen] = useState(false);
  const [form, setForm] = useState({ what: '', amount: '', sets: '', on: '' });
  const [wrong, setWrong] = useState<Refused | null>(null);
  const set = (key: keyof typeof form) => (e: React.ChangeEvent<HTMLInputElement>) =>
    setForm({ ...form, [key]: e.target.value });
  const at = (path: string) => (wrong?.path === path ? wrong.reason : undefined);
  const use = (e: React.FormEvent) => {
    e.preventDefault();
    e.stopPropagation();
    const sets = form.sets.trim() ? Number(form.sets.replace(',', '.')) : undefined;
    if (sets !== undefined && !(sets > 0)) {
      setWrong({ reason: 'a setting time is a number over 0 min', path: '/setsMinutes' });
      return;
    }
    const refused = record('consumable.used', {
      what: form.what,
      ...(form.amount.trim() ? { amount: form.amount.trim() } : {}),
      ...(form.on.trim() ? { on: form.on.trim() } : {}),
      ...(sets === undefined ? {} : { setsMinutes: sets }),
    });
    setWrong(refused);
    if (refused) return;
    setForm({ what: '', amount: '', sets: '', on: '' });
    setOpen(false);
  };
  return (
    <>
      <Second small onClick={() => setOpen(true)}>
        Used up
      </Second>
      <Dialog open={open} onClose={() => setOpen(false)} title="Used up">
        <form onSubmit={use} className="grid gap-4" noValidate>
          <div className="flex flex-wrap gap-2">
            {USUAL.map((u) => (
              <Second
                key={u.what}
                small
                onClick={() => setForm({ ...form, what: u.what, sets: u.sets ?? '' })}
              >
                {u.what}
              </Second>
            ))}
          </div>
          <div className="grid grid-cols-2 gap-4">
            <TextField label="What" value={form.what} onChange={set('what')} wrong={at('/what')} />
            <TextField
              label="How much"
              placeholder="2, or 5 ml"
              value={form.amount}
              onChange={set('amount')}
            />
            <TextField label="Where" placeholder="lid gasket" value={form.on} onChange={set('on')} />
            <TextField
              label="Sets in, min"
              inputMode="decimal"
              value={form.sets}
              onChange={set('sets')}
              wrong={at('/setsMinutes')}
              hint="a timer starts"
            />
          </div>
          {job.consumables.length > 0 && (
            <p className="note">
              So far: {job.consumables.map((c) => [c.amount, c.what].filter(Boolean).join(' ')).join(', ')}
            </p>
          )}
          <Action type="submit" keyName="Enter" className="justify-self-start">
            Used
          </Action>
        </form>
      </Dialog>
    </>
  );
}
