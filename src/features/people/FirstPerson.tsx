import { useState } from 'react';
import { PASSCODE } from '../../core/people';
import { Action } from '../../ui/Action';
import { TextField } from '../../ui/Field';
import { type Failure, send } from '../units/send';

const at = (failure: Failure | null, path: string) => (failure?.path === path ? failure.reason : undefined);

/** Nobody is registered yet: the first one switches sign-in on. */
export function FirstPerson({ own }: { own: boolean }) {
  const [name, setName] = useState('');
  const [passcode, setPasscode] = useState('');
  const [busy, setBusy] = useState(false);
  const [wrong, setWrong] = useState<Failure | null>(null);
  if (!own)
    return (
      <section className="pad grid gap-3 content-start" aria-label="The first person">
        <h2 className="headline">Nobody is registered yet</h2>
        <p>The first person is registered on the machine that Mulch runs on, at 127.0.0.1.</p>
      </section>
    );
  return (
    <div className="cols">
      <section className="pad grid gap-3 content-start max-w-[640px]" aria-label="What it changes">
        <h2 className="headline">Nobody is registered: whoever is at this machine may do everything</h2>
        <p>
          That is enough for one bench. Register the first person to bring the phone in the pocket to the job,
          or to work with others.
        </p>
        <ul className="grid gap-2 list-disc pl-5">
          <li>From then on every page asks who comes in, on this machine too.</li>
          <li>Each entry carries the name of the person signed in.</li>
          <li>Mulch may listen beyond this machine: start it again with HOST and MULCH_TLS=self.</li>
          <li>You are lead: you add others and say what each may do.</li>
        </ul>
      </section>
      <form
        className="pad grid gap-4 content-start"
        aria-label="The first person"
        onSubmit={async (e) => {
          e.preventDefault();
          if (busy) return;
          setBusy(true);
          const sent = await send('/api/people/first', { name, passcode });
          setBusy(false);
          if (sent.ok) window.location.assign('/people');
          else setWrong(sent.failure);
        }}
      >
        <h2 className="sec">The first person</h2>
        <TextField
          label="Name"
          value={name}
          onChange={(e) => setName(e.target.value)}
          autoComplete="username"
          hint="As it is to stand on entries and reports."
          wrong={at(wrong, '/name')}
          required
        />
        <TextField
          label="Passcode"
          type="password"
          value={passcode}
          onChange={(e) => setPasscode(e.target.value)}
          autoComplete="new-password"
          hint={`${PASSCODE.least} characters or more; a few words are easy to keep in mind.`}
          wrong={at(wrong, '/passcode') ?? (wrong && !wrong.path ? wrong.reason : undefined)}
          required
        />
        <Action type="submit" className="justify-self-start" held={busy ? 'Registering' : undefined}>
          Register
        </Action>
      </form>
    </div>
  );
}
