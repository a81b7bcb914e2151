import { useState } from 'react';
import { type Person, ROLE_WORDS, ROLES, type Role } from '../../core/people';
import { Second } from '../../ui/Action';
import { SelectField, TextField, Wrong } from '../../ui/Field';
import { type Failure, send } from '../units/send';
import { AddPerson } from './AddPerson';

/** Who may come in, for a lead: what each may do, another passcode, out. */
export function Everybody({ people: first, me }: { people: Person[]; me: string }) {
  const [people, setPeople] = useState(first);
  return (
    <section aria-label="Everybody">
      <div className="lead pad pb-2! border-b border-rule-strong">
        <h2 className="headline text-[26px]!">Everybody</h2>
        <span className="note">
          {people.length} {people.length === 1 ? 'person' : 'people'}
        </span>
      </div>
      <ul>
        {people.map((p) => (
          <One
            key={p.id}
            person={p}
            me={p.id === me}
            onChanged={(q) => setPeople(people.map((x) => (x.id === q.id ? q : x)))}
            onGone={() => {
              if (p.id === me) window.location.assign('/sign-in');
              else setPeople(people.filter((x) => x.id !== p.id));
            }}
          />
        ))}
      </ul>
      <AddPerson onAdded={(p) => setPeople([...people, p])} />
    </section>
  );
}

type Asking = 'passcode' | 'out' | null;

function One({
  person,
  me,
  onChanged,
  onGone,
}: {
  person: Person;
  me: boolean;
  onChanged(p: Person): void;
  onGone(): void;
}) {
  const [asking, setAsking] = useState<Asking>(null);
  const [passcode, setPasscode] = useState('');
  const [wrong, setWrong] = useState<Failure | null>(null);
  const [said, setSaid] = useState('');
  const path = `/api/people/${person.id}`;
  const done = (sent: { ok: true } | { ok: false; failure: Failure }, then: () => void) => {
    setWrong(sent.ok ? null : sent.failure);
    if (!sent.ok) return;
    setAsking(null);
    setPasscode('');
    then();
  };
  return (
    <li className="pad grid gap-2 border-b border-rule">
      <div className="flex flex-wrap items-end gap-x-4 gap-y-2">
        <p className="min-w-[180px] flex-1 self-center">
          <b className="text-[18px]">{person.name}</b>
          {me && <span className="note"> you</span>}
          <br />
          <span className="note">{ROLE_WORDS[person.role]}</span>
        </p>
        <SelectField
          label="Here as"
          aria-label={`What ${person.name} is here`}
          value={person.role}
          className="w-[150px]"
          onChange={async (e) => {
            const sent = await send<Person>(path, { role: e.target.value as Role }, 'PUT');
            done(sent, () => sent.ok && onChanged(sent.data));
          }}
        >
          {ROLES.map((r) => (
            <option key={r}>{r}</option>
          ))}
        </SelectField>
        <Second onClick={() => setAsking(asking === 'passcode' ? null : 'passcode')}>New passcode</Second>
        <Second onClick={() => setAsking(asking === 'out' ? null : 'out')}>Take out</Second>
      </div>
      {asking === 'passcode' && (
        <form
          className="flex flex-wrap items-end gap-3"
          onSubmit={async (e) => {
            e.preventDefault();
            const sent = await send<Person>(`${path}/passcode`, { passcode }, 'PUT');
            done(sent, () =>
              setSaid(`Tell ${person.name} the new passcode. Every device of theirs has to sign in again.`),
            );
          }}
        >
          <TextField
            label={`New passcode for ${person.name}`}
            type="password"
            autoComplete="new-password"
            value={passcode}
            onChange={(e) => setPasscode(e.target.value)}
            wrong={wrong?.reason}
          />
          <Second type="submit">Give it</Second>
        </form>
      )}
      {asking === 'out' && (
        <p className="flex flex-wrap items-center gap-3">
          <span>
            {me ? 'You leave at once.' : `Every device of ${person.name} is out at once.`} Entries keep the
            name.
          </span>
          <Second
            onClick={async () => {
              const sent = await send(path, null, 'DELETE');
              done(sent, onGone);
            }}
          >
            Take {person.name} out
          </Second>
        </p>
      )}
      {wrong && asking !== 'passcode' && <Wrong>{wrong.reason}</Wrong>}
      {said && (
        <p className="note" role="status">
          {said}
        </p>
      )}
    </li>
  );
}
