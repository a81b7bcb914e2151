import { useEffect, useState } from 'react';
import { Refusal } from '../../core/refusal';
import { readDump, type SettingsDiffAnswer, settingsDiff } from '../../core/settings';
import { Second } from '../../ui/Action';
import { AreaField, TextField, Wrong } from '../../ui/Field';
import { useTyped } from '../../ui/use-kept';
import { send } from '../units/send';
import { FromFile } from './FromFile';
import { KeysApart } from './KeysApart';
import { AskWriting, ReadBack, type Written } from './WriteBack';

const EMPTY = { before: '', after: '', must: '', tolerance: '0', unit: '' };

/** Settings before and after, key by key; dumps pasted, from a file or from the console; chosen keys written back and read back. */
export function SettingsSheet() {
  const [t, put] = useTyped('settings', EMPTY);
  const [address, setAddress] = useState<string | null>(null);
  const [busy, setBusy] = useState('');
  const [failed, setFailed] = useState<string | null>(null);
  const [chosen, setChosen] = useState<string[]>([]);
  const [asking, setAsking] = useState(false);
  const [written, setWritten] = useState<Written[] | null>(null);
  useEffect(() => {
    void fetch('/api/console')
      .then((r) => r.json())
      .then((a: { address: string | null }) => setAddress(a.address ?? ''))
      .catch(() => setAddress(''));
  }, []);
  let diff: SettingsDiffAnswer | null = null;
  let wrong: { reason: string; path: string } | null = null;
  if (t.before.trim() && t.after.trim())
    try {
      diff = settingsDiff({
        before: t.before,
        after: t.after,
        mustDiffer: t.must.split(/[,;\s]+/).filter(Boolean),
        tolerance: Number(t.tolerance.replace(',', '.')) || 0,
      });
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      wrong = { reason: error.message, path: error.path };
    }
  const read = async (into: 'before' | 'after') => {
    setBusy('reading');
    setFailed(null);
    const sent = await send<{ who: string; dump: string }>('/api/console/read', unitOf(t.unit));
    if (sent.ok) put({ [into]: sent.data.dump });
    else setFailed(sent.failure.reason);
    setBusy('');
  };
  const keepAddress = async () => {
    const sent = await send<{ address: string | null }>('/api/console', { address: address?.trim() || null });
    setFailed(sent.ok ? null : sent.failure.reason);
    if (sent.ok) setAddress(sent.data.address ?? '');
  };
  const before = readDump(t.before);
  const write = async () => {
    setBusy('writing');
    setFailed(null);
    setAsking(false);
    const changes = chosen.flatMap((key) => {
      const value = before.get(key);
      return value ? [{ key, value }] : [];
    });
    const sent = await send<{ written: Written[] }>('/api/console/write', { ...unitOf(t.unit), changes });
    if (sent.ok) {
      setWritten(sent.data.written);
      setChosen([]);
      await read('after');
    } else setFailed(sent.failure.reason);
    setBusy('');
  };
  const verdicts = Object.entries(diff?.verdict ?? {});
  const apart = verdicts.filter(([, v]) => v !== 'same');
  return (
    <div className="grid grid-cols-[minmax(0,1.6fr)_minmax(0,1fr)] max-[1000px]:grid-cols-1 gap-6">
      <section className="grid gap-3 content-start" aria-label="Dumps">
        <div className="flex flex-wrap gap-2 items-end border border-rule p-3">
          <TextField
            label="Console"
            value={address ?? ''}
            placeholder="127.0.0.1:7023"
            onChange={(e) => setAddress(e.target.value)}
            className="w-[190px]"
            autoComplete="off"
          />
          <Second small onClick={() => void keepAddress()}>
            Set
          </Second>
          <TextField
            label="Unit on it"
            value={t.unit}
            onChange={(e) => put({ unit: e.target.value })}
            className="w-[110px]"
            autoComplete="off"
          />
          {(['before', 'after'] as const).map((k) => (
            <Second key={k} small disabled={busy !== ''} onClick={() => void read(k)}>
              Read as {k}
            </Second>
          ))}
          {busy && (
            <span className="note" role="status">
              {busy === 'reading' ? 'Reading' : 'Writing and reading back'}
            </span>
          )}
        </div>
        {failed && <Wrong>{failed}</Wrong>}
        <div className="grid grid-cols-2 max-[760px]:grid-cols-1 gap-3">
          {(['before', 'after'] as const).map((k) => (
            <div key={k} className="grid gap-1 content-start">
              <AreaField
                label={k === 'before' ? 'Before' : 'After'}
                rows={12}
                value={t[k]}
                onChange={(e) => put({ [k]: e.target.value })}
                placeholder="key = value, key value, or line commands"
                wrong={wrong?.path === `/${k}` ? wrong.reason : undefined}
                spellCheck={false}
              />
              <FromFile label={k} onText={(text) => put({ [k]: text })} />
            </div>
          ))}
        </div>
        <div className="grid grid-cols-[minmax(0,1fr)_140px] gap-3">
          <TextField
            label="Keys that must differ"
            value={t.must}
            onChange={(e) => put({ must: e.target.value })}
            placeholder="serial, calibration"
          />
          <TextField
            label="Tolerance"
            value={t.tolerance}
            onChange={(e) => put({ tolerance: e.target.value })}
            inputMode="decimal"
            wrong={wrong?.path === '/tolerance' ? wrong.reason : undefined}
          />
        </div>
      </section>
      <section className="grid gap-3 content-start" aria-label="Differences">
        <h2 className="headline">
          {!diff
            ? 'Put a dump in on both sides'
            : apart.length === 0
              ? 'The same, key by key'
              : `${apart.length} of ${verdicts.length} keys apart`}
        </h2>
        {diff && apart.length > 0 && (
          <KeysApart
            apart={apart}
            before={before}
            after={readDump(t.after)}
            chosen={chosen}
            onChosen={setChosen}
          />
        )}
        {chosen.length > 0 && !asking && (
          <Second className="justify-self-start" onClick={() => setAsking(true)} disabled={busy !== ''}>
            Write {chosen.length} back as before
          </Second>
        )}
        {asking && (
          <AskWriting
            lines={chosen.map((k) => `${k} = ${before.get(k)}`)}
            unit={t.unit}
            onWrite={() => void write()}
            onLeave={() => setAsking(false)}
          />
        )}
        {written && <ReadBack written={written} />}
        <p className="note">
          Dump before the board comes out, dump after: what was set by hand over the years stands in the
          difference. Serial numbers and calibrations of the new board have to stay its own.
        </p>
      </section>
    </div>
  );
}

const unitOf = (unit: string) => (unit.trim() ? { unit: unit.trim() } : {});
