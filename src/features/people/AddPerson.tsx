import { useState } from 'react';
import { type Person, ROLE_WORDS, ROLES, type Role } from '../../core/people';
import { Second } from '../../ui/Action';
import { SelectField, TextField, Wrong } from '../../ui/Field';
import { type Failure, send } from '../units/send';

/** Somebody more: a name, what they are here, a passcode to begin with. */
export function AddPerson({ onAdded }: { onAdded(p: Person): void }) {
  const [name, setName] = useState('');
  const [role, setRole] = useState<Role>('bench');
  const [passcode, setPasscode] = useState('');
  const [busy, setBusy] = useState(false);
  const [wrong, setWrong] = useState<Failure | null>(null);
  const at = (path: string) => (wrong?.path === path ? wrong.reason : undefined);
  return (
    <form
      className="pad grid gap-3"
      aria-label="Somebody more"
      onSubmit={async (e) => {
        e.preventDefault();
        setBusy(true);
        const sent = await send<Person>('/api/people', { name, role, passcode });
        setBusy(false);
        setWrong(sent.ok ? null : sent.failure);
        if (!sent.ok) return;
        onAdded(sent.data);
        setName('');
        setPasscode('');
      }}
    >
      <h3 className="sec">Somebody more</h3>
      <div className="flex flex-wrap items-start gap-3">
        <TextField
          label="Name"
          value={name}
          onChange={(e) => setName(e.target.value)}
          autoComplete="off"
          wrong={at('/name')}
          required
          data-key="find"
        />
        <SelectField
          label="What they are here"
          value={role}
          onChange={(e) => setRole(e.target.value as Role)}
          hint={ROLE_WORDS[role]}
        >
          {ROLES.map((r) => (
            <option key={r}>{r}</option>
          ))}
        </SelectField>
        <TextField
          label="Passcode to begin with"
          type="password"
          value={passcode}
          onChange={(e) => setPasscode(e.target.value)}
          autoComplete="new-password"
          wrong={at('/passcode')}
          required
        />
      </div>
      {wrong && !['/name', '/passcode'].includes(wrong.path) && <Wrong>{wrong.reason}</Wrong>}
      <Second type="submit" disabled={busy} className="justify-self-start">
        Add
      </Second>
    </form>
  );
}
