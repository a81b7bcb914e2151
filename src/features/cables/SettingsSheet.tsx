import { useEffect, useState } from 'react';
import { Refusal } from '../../core/refusal';
import { readDump, type SettingsDiffAnswer, settingsDiff } from '../../core/settings';
import { Second } from '../../ui/Action';
import { AreaField, TextField, Wrong } from '../../ui/Field';
import { FileButton } from '../../ui/FileButton';
import { TickBox, Warn } from '../../ui/Signs';
import { send } from '../units/send';
import { useTyped } from './use-typed';

const EMPTY = { before: '', after: '', must: '', tolerance: '0', unit: 'PB-3' };

interface Written {
  key: string;
  wanted: string;
  readBack: string | null;
  kept: boolean;
  said: string;
}

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
    <div className="grid grid-cols-[minmax(0,1fr)_minmax(0,1.1fr)] max-[1000px]:grid-cols-1 gap-6">
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
        {(['before', 'after'] as const).map((k) => (
          <div key={k} className="grid gap-1">
            <AreaField
              label={k === 'before' ? 'Before' : 'After'}
              rows={8}
              value={t[k]}
              onChange={(e) => put({ [k]: e.target.value })}
              placeholder="key = value, key value, or line commands"
              wrong={wrong?.path === `/${k}` ? wrong.reason : undefined}
              spellCheck={false}
            />
            <FromFile label={k} onText={(text) => put({ [k]: text })} />
          </div>
        ))}
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
          <table className="plain">
            <thead>
              <tr>
                <th scope="col">
                  <span className="sr-only">Write back</span>
                </th>
                <th scope="col">Key</th>
                <th scope="col">Before</th>
                <th scope="col">After</th>
                <th scope="col">Verdict</th>
              </tr>
            </thead>
            <tbody>
              {apart.map(([key, v]) => (
                <tr key={key}>
                  <td className="py-0!">
                    {before.has(key) && (
                      <label className="grid place-items-center w-[44px] h-[44px]">
                        <input
                          type="checkbox"
                          className="w-6 h-6 accent-current"
                          aria-label={`Write ${key} back`}
                          checked={chosen.includes(key)}
                          onChange={(e) =>
                            setChosen(e.target.checked ? [...chosen, key] : chosen.filter((k) => k !== key))
                          }
                        />
                      </label>
                    )}
                  </td>
                  <th scope="row" className="mono text-bark! text-[14px]!">
                    {key}
                  </th>
                  <td>{before.get(key) ?? '–'}</td>
                  <td>{readDump(t.after).get(key) ?? '–'}</td>
                  <td>
                    <span className="flex gap-1 items-center">
                      {v === 'within tolerance' || v === 'differs as it must' ? (
                        <TickBox size={14} />
                      ) : (
                        <Warn size={14} />
                      )}
                      {v}
                    </span>
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
        {chosen.length > 0 && !asking && (
          <Second className="justify-self-start" onClick={() => setAsking(true)} disabled={busy !== ''}>
            Write {chosen.length} back as before
          </Second>
        )}
        {asking && (
          <div className="border-2 border-bark p-3 grid gap-2" role="alertdialog" aria-label="Write back">
            <p>
              Write <b>{chosen.map((k) => `${k} = ${before.get(k)}`).join(', ')}</b> to {t.unit || 'the unit'}
              ? Each is read back: only that counts.
            </p>
            <span className="flex gap-2">
              <Second onClick={() => void write()}>Write them</Second>
              <Second onClick={() => setAsking(false)}>Leave it</Second>
            </span>
          </div>
        )}
        {written && (
          <ul className="rows" aria-label="Read back">
            {written.map((w) => (
              <li key={w.key} className="flex gap-2 items-center">
                {w.kept ? <TickBox size={16} /> : <Warn size={16} />}
                <span>
                  <b className="mono">{w.key}</b> {w.kept ? 'reads' : `wanted ${w.wanted}, reads`}{' '}
                  {w.readBack ?? 'nothing'}
                  {!w.kept && w.said !== 'OK' && <span className="note block">{w.said}</span>}
                </span>
              </li>
            ))}
          </ul>
        )}
        <p className="note">
          Dump before the board comes out, dump after: what was set by hand over the years stands in the
          difference. Serial numbers and calibrations of the new board have to stay its own.
        </p>
      </section>
    </div>
  );
}

const unitOf = (unit: string) => (unit.trim() ? { unit: unit.trim() } : {});

function FromFile({ label, onText }: { label: string; onText(text: string): void }) {
  const [wrong, setWrong] = useState<string | null>(null);
  const read = async ([one]: [File, ...File[]]) => {
    if (one.size > 500_000) return setWrong('the file is over 500 kB: that is no dump of settings');
    setWrong(null);
    onText((await one.text()).replace(/^\uFEFF/, ''));
  };
  return (
    <span className="flex gap-2 items-center">
      <FileButton
        small
        label={`File of the dump ${label}`}
        accept=".txt,.cfg,.ini,.log,.g,text/plain"
        onFiles={read}
      >
        From a file
      </FileButton>
      {wrong && <Wrong>{wrong}</Wrong>}
    </span>
  );
}
