import { useEffect, useState } from 'react';
import { Action } from '../../ui/Action';
import { TextField } from '../../ui/Field';
import { type Failure, send } from '../units/send';

/** Who comes in: a name and a passcode, and back to where they were going. */
export function SignIn({ to, secure }: { to: string; secure: boolean }) {
  const [name, setName] = useState('');
  const [passcode, setPasscode] = useState('');
  const [busy, setBusy] = useState(false);
  const [wrong, setWrong] = useState<Failure | null>(null);
  const [alive, setAlive] = useState(false);
  useEffect(() => setAlive(true), []);
  return (
    <main className="min-h-dvh bg-paper grid content-center justify-items-center p-4">
      <form
        className="grid gap-4 w-full max-w-[380px]"
        // Nothing is typed into a page that would lose it.
        inert={!alive}
        onSubmit={async (e) => {
          e.preventDefault();
          if (busy) return;
          setBusy(true);
          setWrong(null);
          const sent = await send('/api/sign-in', { name, passcode });
          if (sent.ok) return window.location.assign(to);
          setBusy(false);
          setWrong(sent.failure);
        }}
      >
        <h1 className="headline">Who is at the bench?</h1>
        <TextField
          label="Name"
          value={name}
          onChange={(e) => setName(e.target.value)}
          autoComplete="username"
          required
        />
        <TextField
          label="Passcode"
          type="password"
          value={passcode}
          onChange={(e) => setPasscode(e.target.value)}
          autoComplete="current-password"
          wrong={wrong?.reason}
          required
        />
        <Action type="submit" className="justify-self-start" held={busy ? 'Looking' : undefined}>
          {busy ? 'Looking' : 'Come in'}
        </Action>
        <p className="note">
          This device stays signed in for 30 days. Lost the passcode? A lead gives you another one under
          People.
        </p>
        {!secure && (
          <p className="note">
            The way to this Mulch is not encrypted: use a passcode that you use nowhere else.
          </p>
        )}
      </form>
    </main>
  );
}
