import { useState } from 'react';
import type { UnitMap } from '../../core/unit';
import { Second } from '../../ui/Action';
import { ElementDrawing } from '../../ui/ElementDrawing';
import { Wrong } from '../../ui/Field';
import { FileButton } from '../../ui/FileButton';
import { HazardGlyph } from '../../ui/HazardGlyph';
import { openJobOn } from './open-job';
import { sendMapFile } from './send-map-file';
import { UnitsFrame } from './UnitsFrame';

interface Row {
  id: string;
  place: string;
  map: UnitMap;
}

const plural = (n: number, one: string) => `${n} ${n === 1 ? one : `${one}s`}`;

/** Units that are known, each with its map, and a job at one press. */
export function Units({ units }: { units: Row[] }) {
  const [wrong, setWrong] = useState<{ id: string; reason: string } | null>(null);
  const [busy, setBusy] = useState('');
  const open = async (id: string) => {
    setBusy(id);
    const failure = await openJobOn(id);
    setBusy('');
    if (failure) setWrong({ id, reason: failure.reason });
  };
  const [fileWrong, setFileWrong] = useState<string | null>(null);
  const take = async ([chosen]: [File, ...File[]]) => {
    setBusy('file');
    const read = await sendMapFile(chosen);
    setBusy('');
    if (read.ok) window.location.assign(`/units/${read.data.id}`);
    else setFileWrong(read.failure.reason);
  };
  return (
    <UnitsFrame tag="Units" title="Units" about={`${plural(units.length, 'map')} kept here`}>
      <div className="pad flex flex-wrap gap-3 justify-end items-center border-b border-rule-strong">
        {fileWrong && <Wrong>Nothing was taken in. {fileWrong}</Wrong>}
        <FileButton
          disabled={busy !== ''}
          label="Map file"
          accept=".json,.zip,application/json,application/zip"
          onFiles={take}
        >
          {busy === 'file' ? 'Reading the file' : 'A map from a file'}
        </FileButton>
        <a className="act" href="/units/new">
          Describe a unit
        </a>
      </div>
      {units.length === 0 && (
        <div className="empty">
          <h2>No unit is known yet</h2>
          <p>
            A map says what a unit is made of, how signal and power run, what can be measured and what can
            hurt. One is described in a minute, at the bench.
          </p>
        </div>
      )}
      <ul>
        {units.map((u) => (
          <li
            key={u.id}
            className="grid grid-cols-[minmax(0,1fr)_minmax(0,1.4fr)_auto] max-[900px]:grid-cols-1 gap-5 items-center px-4 py-3 border-b border-rule"
          >
            <div className="leading-[1.25]">
              <h2 className="text-[20px]">{u.map.name}</h2>
              <span>
                {[u.map.maker, u.map.model].filter(Boolean).join(' ')}
                {u.place && `, ${u.place}`}
              </span>
              <span className="note block">
                {plural(u.map.elements.length, 'element')}, {plural(u.map.taps.length, 'point')},{' '}
                {plural(u.map.access.length, 'cover')}
              </span>
              <span className="flex flex-wrap gap-x-4 text-brick text-[14px] pt-1">
                {u.map.hazards.map((h) => (
                  <span key={h.id} className="flex gap-1 items-center">
                    <HazardGlyph kind={h.kind} /> {h.name}
                  </span>
                ))}
              </span>
            </div>
            <div className="flex gap-[3px] overflow-hidden" aria-hidden="true">
              {u.map.elements.slice(0, 12).map((e) => (
                <span key={e.id} className="text-center">
                  <svg
                    width="44"
                    height="48"
                    viewBox="0 0 116 126"
                    preserveAspectRatio="none"
                    aria-hidden="true"
                  >
                    <ElementDrawing kind={e.kind} w={116} h={126} />
                    <rect width="116" height="126" fill="none" stroke="var(--color-bark)" strokeWidth="3" />
                  </svg>
                  <span className="mono text-[13px]">{e.id}</span>
                </span>
              ))}
            </div>
            <div className="flex flex-wrap gap-2">
              <a className="act-2" href={`/units/${u.id}`} aria-label={`Map of ${u.map.name}`}>
                Its map
              </a>
              <Second onClick={() => open(u.id)} disabled={busy !== ''} aria-label={`Take in ${u.map.name}`}>
                {busy === u.id ? 'Opening' : 'Take it in'}
              </Second>
              {wrong?.id === u.id && <Wrong>{wrong.reason}</Wrong>}
            </div>
          </li>
        ))}
      </ul>
    </UnitsFrame>
  );
}
