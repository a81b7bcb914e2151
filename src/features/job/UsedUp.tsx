import { useState } from 'react';
import { amountOf, placeOf } from '../../core/stock';
import { Action, Second } from '../../ui/Action';
import { Dialog } from '../../ui/Dialog';
import { SelectField, TextField } from '../../ui/Field';
import { useStock } from '../stores/use-stock';
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

/** How much of it the store gives: the number that was said, else one. */
const countOf = (amount: string): number => {
  const n = Number(/^\s*(\d+(?:[.,]\d{1,3})?)/.exec(amount)?.[1]?.replace(',', '.') ?? '1');
  return n > 0 ? n : 1;
};

/** Glue, tape, solder, ties: used up, with a timer where it has to set. */
export function UsedUp() {
  const { job, record } = useJob();
  const [open, setOpen] = useState(false);
  const [form, setForm] = useState({ what: '', amount: '', sets: '', on: '' });
  const [stock, setStock] = useState('');
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
      ...(stock ? { stock, count: countOf(form.amount) } : {}),
    });
    setWrong(refused);
    if (refused) return;
    setForm({ what: '', amount: '', sets: '', on: '' });
    setStock('');
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
          <FromStock what={form.what} value={stock} onStock={setStock} />
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

/** The thing of the store that it was, where the store has something called so. */
function FromStock({ what, value, onStock }: { what: string; value: string; onStock(id: string): void }) {
  const { stock } = useStock();
  const said = what.trim().toLowerCase();
  const like = stock.filter((s) => said.length > 1 && s.item.what.toLowerCase().includes(said));
  if (like.length === 0) return null;
  return (
    <SelectField label="From the store" value={value} onChange={(e) => onStock(e.target.value)}>
      <option value="">not from the store</option>
      {like.map(({ item, holding }) => (
        <option key={item.id} value={item.id}>
          {item.what}, {placeOf(item)} ({amountOf(holding.onHand, item.unit)})
          {item.useBy ? `, use by ${item.useBy}` : ''}
        </option>
      ))}
    </SelectField>
  );
}
