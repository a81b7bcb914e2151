import { useEffect, useState } from 'react';
import type { Tap } from '../../core/unit';
import { Action, Second } from '../../ui/Action';
import { Dialog } from '../../ui/Dialog';
import { TextField } from '../../ui/Field';
import { useJob } from '../job/use-job';
import { send } from '../units/send';

/** Asked once per page: whether a bench meter is set. */
let known: Promise<string | null> | undefined;
const askAddress = () => {
  known ??= fetch('/api/meter')
    .then((r) => (r.ok ? (r.json() as Promise<{ address: string | null }>) : { address: null }))
    .then((a) => a.address)
    .catch(() => null);
  return known;
};

/** A reading from the bench meter at one press, and where that meter is. */
export function FromMeter({
  tap,
  unit,
  onReading,
  onWrong,
}: {
  tap: Tap;
  unit: string;
  onReading(value: number): void;
  onWrong(reason: string | null): void;
}) {
  const { job } = useJob();
  const [address, setAddress] = useState<string | null | undefined>(undefined);
  const [busy, setBusy] = useState(false);
  const [setting, setSetting] = useState(false);
  useEffect(() => void askAddress().then(setAddress), []);

  const read = async () => {
    onWrong(null);
    setBusy(true);
    const sent = await send<{ reading: number }>('/api/meter/read', {
      unit,
      ...(tap.ac ? { ac: true } : {}),
      probe: { model: `${job.map.maker} ${job.map.model}`.trim().replaceAll('"', ''), tap: tap.id },
    });
    setBusy(false);
    if (sent.ok) onReading(sent.data.reading);
    else onWrong(sent.failure.reason);
  };
  if (address === undefined) return null;
  return (
    <>
      {address ? (
        <Second small onClick={read} disabled={busy}>
          {busy ? 'Reading' : 'From the meter'}
        </Second>
      ) : (
        <Second small onClick={() => setSetting(true)}>
          Set up a meter
        </Second>
      )}
      {address && (
        <button
          type="button"
          className="note underline min-h-[44px] order-last"
          onClick={() => setSetting(true)}
          aria-label={`Bench meter at ${address}: change`}
        >
          meter at {address}
        </button>
      )}
      <Dialog open={setting} onClose={() => setSetting(false)} title="Bench meter">
        {setting && (
          <MeterAddress
            now={address ?? ''}
            onSet={(a) => {
              known = Promise.resolve(a);
              setAddress(a);
              setSetting(false);
            }}
          />
        )}
      </Dialog>
    </>
  );
}

function MeterAddress({ now, onSet }: { now: string; onSet(address: string | null): void }) {
  const [text, setText] = useState(now);
  const [wrong, setWrong] = useState<string>();
  const save = async (e: React.FormEvent) => {
    e.preventDefault();
    e.stopPropagation();
    const sent = await send<{ address: string | null }>('/api/meter', { address: text.trim() || null });
    if (sent.ok) onSet(sent.data.address);
    else setWrong(sent.failure.reason);
  };
  return (
    <form onSubmit={save} className="grid gap-4" noValidate>
      <TextField
        label="Its address"
        value={text}
        onChange={(e) => {
          setText(e.target.value);
          setWrong(undefined);
        }}
        placeholder="127.0.0.1:5025"
        hint="Name and port of a meter that speaks SCPI over the network. Empty goes back to the setting of this machine."
        wrong={wrong}
        autoComplete="off"
      />
      <Action type="submit" className="justify-self-start" keyName="Enter">
        Set
      </Action>
    </form>
  );
}
