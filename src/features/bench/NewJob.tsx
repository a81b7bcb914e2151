import { useEffect, useState } from 'react';
import { jobPath } from '../../schemas/job-path';
import { Action } from '../../ui/Action';
import { SelectField, TextField, Wrong } from '../../ui/Field';
import { FileButton } from '../../ui/FileButton';
import { author } from '../job/author';
import { signedIn } from '../people/signed-in';
import { openJobOn } from '../units/open-job';
import { type Failure, send } from '../units/send';
import { sendBytes } from '../units/send-bytes';

const MOST_MEGABYTES = 256;

/** Ways a job comes onto the bench: on a unit that is known, on one described now, from a file. */
export function NewJob({ units }: { units: { id: string; name: string; place: string }[] }) {
  const [unit, setUnit] = useState(units[0]?.id ?? '');
  const [by, setBy] = useState('');
  const [busy, setBusy] = useState('');
  const [wrong, setWrong] = useState<{ where: 'open' | 'file'; failure: Failure } | null>(null);
  const [me, setMe] = useState<ReturnType<typeof signedIn>>(null);
  useEffect(() => {
    setBy(author.get());
    setMe(signedIn());
  }, []);

  const open = async (e: React.FormEvent) => {
    e.preventDefault();
    setBusy('opening');
    const failure = await openJobOn(unit);
    setBusy('');
    setWrong(failure ? { where: 'open', failure } : null);
  };
  const take = async ([chosen]: [File, ...File[]]) => {
    setBusy('reading the file');
    const tooLarge = chosen.size > MOST_MEGABYTES * 1024 * 1024;
    const sent = tooLarge
      ? { ok: false as const, failure: { reason: `the file is over ${MOST_MEGABYTES} MB`, path: '' } }
      : /\.zip$/i.test(chosen.name)
        ? await sendBytes<{ id: string; added: number }>('/api/jobs/bundle', chosen)
        : await send<{ id: string; added: number }>('/api/jobs/import', await chosen.text());
    setBusy('');
    if (sent.ok) window.location.assign(jobPath(sent.data.id, 'hand over'));
    else setWrong({ where: 'file', failure: sent.failure });
  };

  return (
    <section className="pad grid gap-5 content-start" aria-label="New job">
      <h2 className="headline text-[26px]!">New job</h2>
      {units.length > 0 ? (
        <form onSubmit={open} className="grid gap-3">
          <SelectField label="Unit" value={unit} onChange={(e) => setUnit(e.target.value)} data-key="find">
            {units.map((u) => (
              <option key={u.id} value={u.id}>
                {u.name}
                {u.place && `, ${u.place}`}
              </option>
            ))}
          </SelectField>
          {wrong?.where === 'open' && <Wrong>{wrong.failure.reason}</Wrong>}
          <Action type="submit" className="justify-self-start" held={busy || undefined}>
            {busy === 'opening' ? 'Opening' : 'Take it in'}
          </Action>
        </form>
      ) : (
        <p className="note">No unit is known yet. Describe the one in front of you: it takes a minute.</p>
      )}
      <div className="grid gap-3 border-t border-rule pt-4">
        <a className="act-2 justify-self-start" href="/units/new">
          A unit not met before
        </a>
        <FileButton
          className="justify-self-start"
          disabled={busy !== ''}
          label="Job file or bundle"
          accept=".json,.zip,application/json,application/zip"
          onFiles={take}
        >
          {busy === 'reading the file' ? 'Reading the file' : 'A job from a file'}
        </FileButton>
        {wrong?.where === 'file' && (
          <Wrong>
            Nothing was taken in. {wrong.failure.path && <span className="mono">{wrong.failure.path} </span>}
            {wrong.failure.reason}
          </Wrong>
        )}
      </div>
      <div className="border-t border-rule pt-4">
        {me ? (
          <p>
            <b>{me.name}</b>, {me.role}, stands beside every entry made at this bench.
          </p>
        ) : (
          <TextField
            label="Working as"
            value={by}
            onChange={(e) => {
              setBy(e.target.value);
              author.set(e.target.value);
            }}
            hint="Stands beside every entry made at this bench."
          />
        )}
      </div>
    </section>
  );
}
