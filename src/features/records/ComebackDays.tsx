import { useState } from 'react';
import { Second } from '../../ui/Action';
import { TextField } from '../../ui/Field';
import { send } from '../units/send';

/** The days within which the same fault counts as a comeback, for this Mulch. */
export function ComebackDays({ days, onSet }: { days: number; onSet(): void }) {
  const [text, setText] = useState(String(days));
  const [wrong, setWrong] = useState('');
  const [busy, setBusy] = useState(false);
  const set = async (e: React.FormEvent) => {
    e.preventDefault();
    const n = Number(text);
    if (!/^\d+$/.test(text.trim()) || n < 1 || n > 3650)
      return setWrong('a whole number of days, from 1 to 3650');
    setBusy(true);
    const sent = await send('/api/records/comeback-days', { days: n }, 'PUT');
    setBusy(false);
    setWrong(sent.ok ? '' : sent.failure.reason);
    if (sent.ok) onSet();
  };
  return (
    <form onSubmit={set} noValidate className="flex flex-wrap gap-3 items-start">
      <TextField
        label="A comeback is the same fault within"
        hint="days after the hand over"
        value={text}
        onChange={(e) => setText(e.target.value)}
        inputMode="numeric"
        wrong={wrong || undefined}
        autoComplete="off"
        className="w-[260px]"
      />
      <Second small type="submit" disabled={busy || text.trim() === String(days)} className="mt-6!">
        {busy ? 'Setting' : 'Set'}
      </Second>
    </form>
  );
}
