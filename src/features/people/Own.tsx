import { useState } from 'react';
import { type Person, ROLE_WORDS } from '../../core/people';
import { Second } from '../../ui/Action';
import { Clock } from '../../ui/Clock';
import { TextField, Wrong } from '../../ui/Field';
import { forgetHere } from '../offline/forget';
import { useKeptHere } from '../offline/use-kept-here';
import { type Failure, send } from '../units/send';
import { sendWaiting } from '../unsent/send-waiting';

interface Device {
  id: string;
  words: string;
  startedAt: string;
  seenAt: string;
  here: boolean;
}

/** One's own: devices that are signed in, the passcode, the way out. */
export function Own({
  person,
  devices: first,
  fingerprint,
}: {
  person: Person;
  devices: Device[];
  fingerprint: string | null;
}) {
  const [devices, setDevices] = useState(first);
  const [wrong, setWrong] = useState('');
  return (
    <section className="pad grid gap-5 content-start" aria-label="You">
      <div>
        <h2 className="headline text-[26px]!">{person.name}</h2>
        <p className="note">
          {person.role}: {ROLE_WORDS[person.role]}
        </p>
        <Second
          className="mt-3"
          onClick={async () => {
            // What waits here is sent in the name of who recorded it, or not at all.
            const left = await sendWaiting(null).catch(() => []);
            if (left.length > 0)
              return setWrong('entries of yours wait here and could not be sent: sign out once they are');
            const sent = await send('/api/sign-out', null);
            if (sent.ok) {
              await forgetHere();
              window.location.assign('/sign-in');
            } else setWrong(sent.failure.reason);
          }}
        >
          Sign out here
        </Second>
      </div>
      <div className="grid gap-2">
        <h3 className="sec">Your devices</h3>
        <ul>
          {devices.map((d) => (
            <li
              key={d.id}
              className="flex flex-wrap items-center justify-between gap-3 border-t border-rule last:border-b py-2"
            >
              <span>
                <b>{d.words}</b>
                {d.here && <span className="note"> this one</span>}
                <br />
                <span className="note">
                  since <Clock at={d.startedAt} day />, seen <Clock at={d.seenAt} day />
                </span>
              </span>
              {!d.here && (
                <Second
                  small
                  onClick={async () => {
                    const sent = await send(`/api/devices/${d.id}`, null, 'DELETE');
                    setWrong(sent.ok ? '' : sent.failure.reason);
                    if (sent.ok) setDevices(devices.filter((x) => x.id !== d.id));
                  }}
                >
                  Sign it out
                </Second>
              )}
            </li>
          ))}
        </ul>
        {wrong && <Wrong>{wrong}</Wrong>}
      </div>
      {fingerprint && (
        <div className="grid gap-1">
          <h3 className="sec">The way here</h3>
          <p className="note">Encrypted. The certificate of this Mulch has the fingerprint (SHA-256)</p>
          <p className="mono text-[13px] leading-[1.35] [overflow-wrap:anywhere]">{fingerprint}</p>
        </div>
      )}
      <WithoutNetwork />
      <OwnPasscode onChanged={() => setDevices(devices.filter((d) => d.here))} />
    </section>
  );
}

/** Whether this device can go on without a network, and what it takes. */
function WithoutNetwork() {
  const here = useKeptHere();
  return (
    <div className="grid gap-1">
      <h3 className="sec">Without a network</h3>
      <p className="note">
        {here === false
          ? 'This browser keeps no pages: it does so only where it trusts the certificate of the way, and on the machine itself. Entries and pictures on an open page wait all the same.'
          : 'The jobs in hand and the views are kept on this device; what is recorded waits and is sent later.'}
      </p>
    </div>
  );
}

function OwnPasscode({ onChanged }: { onChanged(): void }) {
  const [now, setNow] = useState('');
  const [next, setNext] = useState('');
  const [said, setSaid] = useState('');
  const [busy, setBusy] = useState(false);
  const [wrong, setWrong] = useState<Failure | null>(null);
  const at = (path: string) => (wrong?.path === path ? wrong.reason : undefined);
  return (
    <form
      className="grid gap-3 border-t border-rule pt-4"
      aria-label="Your passcode"
      onSubmit={async (e) => {
        e.preventDefault();
        setSaid('');
        setBusy(true);
        // After some wrong tries the answer is held back for a while.
        const sent = await send('/api/passcode', { now, next }, 'PUT');
        setBusy(false);
        setWrong(sent.ok ? null : sent.failure);
        if (!sent.ok) return;
        setNow('');
        setNext('');
        setSaid('Changed. Your other devices have to sign in again.');
        onChanged();
      }}
    >
      <h3 className="sec">Your passcode</h3>
      <TextField
        label="Present passcode"
        type="password"
        autoComplete="current-password"
        value={now}
        onChange={(e) => setNow(e.target.value)}
        wrong={at('/now')}
        required
      />
      <TextField
        label="New passcode"
        type="password"
        autoComplete="new-password"
        value={next}
        onChange={(e) => setNext(e.target.value)}
        wrong={at('/next')}
        required
      />
      {wrong && !['/now', '/next'].includes(wrong.path) && <Wrong>{wrong.reason}</Wrong>}
      <Second type="submit" className="justify-self-start" disabled={busy}>
        {busy ? 'Looking' : 'Change it'}
      </Second>
      {said && (
        <p className="note" role="status">
          {said}
        </p>
      )}
    </form>
  );
}
