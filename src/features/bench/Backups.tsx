import { format, formatDistanceToNow } from 'date-fns';
import { useEffect, useState } from 'react';
import { Wrong } from '../../ui/Field';
import { send } from '../units/send';

export interface Backup {
  name: string;
  bytes: number;
  at: string;
}

/** Older than this, the last backup is marked. */
const OLD_MS = 2 * 24 * 3_600_000;

const size = (bytes: number) =>
  bytes < 1e6 ? `${Math.ceil(bytes / 1e3)} kB` : `${(bytes / 1e6).toFixed(1)} MB`;

/** When everything was last put into one file, and a way to do it now. */
export function Backups({ last: first }: { last: Backup | 'none' }) {
  const [last, setLast] = useState(first);
  const [busy, setBusy] = useState(false);
  const [wrong, setWrong] = useState('');
  // Times are those of whoever looks, so they are written when the page is alive.
  const [when, setWhen] = useState<{ said: string; old: boolean } | null>(null);
  useEffect(() => {
    if (last === 'none') return;
    const at = new Date(last.at);
    setWhen({
      said: `${format(at, 'EEE d MMM, HH:mm')}, ${formatDistanceToNow(at, { addSuffix: true })}`,
      old: Date.now() - at.getTime() > OLD_MS,
    });
  }, [last]);
  const make = async () => {
    setBusy(true);
    const made = await send<Backup>('/api/backups', null);
    setBusy(false);
    setWrong(made.ok ? '' : made.failure.reason);
    if (made.ok) setLast(made.data);
  };
  return (
    <section className="pad grid gap-2 border-t border-rule" aria-label="Backup">
      <h2 className="headline text-[20px]!">Backup</h2>
      {last === 'none' ? (
        <p className="note">None yet. While Mulch runs it makes one each night.</p>
      ) : (
        <p className={when?.old ? 'font-[600] text-ochre' : 'note'}>
          {when?.old && 'Old: '}
          {when?.said}
          <span className="block mono text-[13px]">
            {last.name}, {size(last.bytes)}
          </span>
        </p>
      )}
      <p className="note">It lies on the same disk. Carry a copy elsewhere now and then.</p>
      <button type="button" className="act-2 justify-self-start" disabled={busy} onClick={make}>
        {busy ? 'Backing up' : 'Back up now'}
      </button>
      {wrong && <Wrong>{wrong}</Wrong>}
    </section>
  );
}
