import { useState } from 'react';
import { Action, Second } from '../../ui/Action';
import { Dialog } from '../../ui/Dialog';
import { TextField, Wrong } from '../../ui/Field';
import { send } from '../units/send';

/** What is kept of an owner: given out whole, or taken out. */
export function OwnersData({ owner }: { owner: string }) {
  const [asking, setAsking] = useState(false);
  const [typed, setTyped] = useState('');
  const [wrong, setWrong] = useState('');
  const [busy, setBusy] = useState(false);
  const [gone, setGone] = useState<{ jobs: string[]; pictures: number } | null>(null);
  const remove = async (e: React.FormEvent) => {
    e.preventDefault();
    if (typed.trim() !== owner) return setWrong(`write the name as it stands here: ${owner}`);
    setBusy(true);
    const sent = await send<{ jobs: string[]; pictures: number }>('/api/owners/remove', { owner });
    setBusy(false);
    setWrong(sent.ok ? '' : sent.failure.reason);
    if (sent.ok) setGone(sent.data);
  };
  return (
    <section className="grid gap-2 border-t border-rule-strong pt-3" aria-label="Data of this owner">
      <h2 className="sec">Data of {owner}</h2>
      <p className="note">
        Every job with its pictures and reports, in one zip: it takes about a second for two jobs. Or taken
        out for good.
      </p>
      <span className="flex flex-wrap gap-3">
        <a className="act-2 small" href={`/api/owners/data?${new URLSearchParams({ owner })}`} download>
          Give it out
        </a>
        <Second small onClick={() => setAsking(true)}>
          Take it out
        </Second>
      </span>
      <Dialog
        open={asking}
        onClose={() => (gone ? window.location.assign('/records') : setAsking(false))}
        title="Take an owner out"
      >
        {gone ? (
          <div className="grid gap-3">
            <p>
              Out of {gone.jobs.length} {gone.jobs.length === 1 ? 'job' : 'jobs'}: {gone.jobs.join(', ')}.{' '}
              {gone.pictures > 0 && `${gone.pictures} pictures are gone.`}
            </p>
            <p className="note">Backups made before today still hold it, and devices that kept these jobs.</p>
            <a className="act justify-self-start" href="/records">
              Records
            </a>
          </div>
        ) : (
          <form onSubmit={remove} noValidate className="grid gap-3">
            <p>
              Names, marks, places, pictures and free words go, for good and without undo. What was measured,
              done and fitted stays, and the figures with it. Backups made before still hold it.
            </p>
            <TextField
              label="Its name, once more"
              value={typed}
              onChange={(e) => {
                setTyped(e.target.value);
                setWrong('');
              }}
              autoComplete="off"
            />
            {wrong && <Wrong>{wrong}</Wrong>}
            <Action type="submit" held={busy ? 'taking it out' : undefined} className="justify-self-start">
              {busy ? 'Taking it out' : 'Take it out'}
            </Action>
          </form>
        )}
      </Dialog>
    </section>
  );
}
