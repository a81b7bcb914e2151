import { useMemo, useState } from 'react';
import { ulid } from 'ulid';
import { Refusal } from '../../../core/refusal';
import { gapsOf, type UnitMap } from '../../../core/unit';
import { Action, Second } from '../../../ui/Action';
import { Wrong } from '../../../ui/Field';
import { useKeys } from '../../../ui/Keys';
import { Warn } from '../../../ui/Signs';
import { openJobOn } from '../open-job';
import { type Failure, send } from '../send';
import { UnitsFrame } from '../UnitsFrame';
import { ChainEditor } from './ChainEditor';
import type { EditedUnit } from './edited-unit';
import { Learned, type LearnedRow } from './Learned';
import { MapNames } from './MapNames';
import { MapTables } from './MapTables';
import type { Sheet } from './sheet';
import { Theirs } from './Theirs';
import { useDraft } from './use-draft';

/** The map of a unit, worked on as a drawing and as tables. */
export function MapEditor({ unit, learned }: { unit: EditedUnit; learned: LearnedRow[] }) {
  const d = useDraft(`mulch-map-${unit.id}`, {
    map: unit.map,
    place: unit.place,
    version: unit.version,
  });
  const { map, place, version } = d.draft;
  const [open, setOpen] = useState<Sheet['id']>('elements');
  const [chosen, setChosen] = useState<string | null>(null);
  const [refusal, setRefusal] = useState<string | null>(null);
  const [failure, setFailure] = useState<Failure | null>(null);
  const [theirs, setTheirs] = useState<EditedUnit | null>(null);
  const [busy, setBusy] = useState('');
  const [saved, setSaved] = useState('');
  const bindings = useMemo(() => ({ u: d.undo, 'Shift+U': d.redo }), [d.undo, d.redo]);
  useKeys(bindings);

  const put = (next: UnitMap, at = '') => {
    setRefusal(null);
    setSaved('');
    d.change({ map: next, place, version }, at);
  };
  const attempt = (work: () => UnitMap) => {
    try {
      put(work());
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      setRefusal(error.message);
    }
  };
  const save = async (over = version) => {
    setBusy('saving');
    const sent = await send<{ version: number }>('/api/units', {
      id: unit.id,
      version: over,
      map,
      ...(place.trim() ? { place: place.trim() } : {}),
    });
    if (sent.ok) {
      d.restart({ map, place, version: sent.data.version });
      setTheirs(null);
      setFailure(null);
      setSaved(`kept as version ${sent.data.version}`);
    } else if (sent.failure.path === '/version') {
      const all = (await fetch('/api/units')
        .then((r) => r.json())
        .catch(() => [])) as EditedUnit[];
      setTheirs(all.find((u) => u.id === unit.id) ?? null);
      setFailure(sent.failure);
    } else setFailure(sent.failure);
    setBusy('');
  };
  const copy = async () => {
    setBusy('copying');
    const id = ulid();
    const sent = await send('/api/units', { id, version: 0, map: { ...map, name: `${map.name}, copy` } });
    setBusy('');
    if (sent.ok) window.location.assign(`/units/${id}`);
    else setFailure(sent.failure);
  };
  const takeIn = async () => {
    setBusy('opening');
    setFailure(await openJobOn(unit.id));
    setBusy('');
  };

  const gaps = gapsOf(map);

  return (
    <UnitsFrame
      tag="Map"
      title={map.name || 'A unit without a name'}
      about={`${[map.maker, map.model].filter(Boolean).join(' ')}, version ${version}${d.changed ? ', changed since' : ''}`}
    >
      <div className="pad flex flex-wrap gap-2 items-center border-b border-rule-strong">
        <Action held={d.wrong ? 'something is wrong on the map' : busy || undefined} onClick={() => save()}>
          {busy === 'saving' ? 'Saving' : 'Keep this map'}
        </Action>
        <Second small onClick={d.undo} disabled={!d.canUndo} keyName="U">
          Undo
        </Second>
        <Second small onClick={d.redo} disabled={!d.canRedo}>
          Redo
        </Second>
        <Second small onClick={takeIn} disabled={busy !== '' || d.changed}>
          Take it in
        </Second>
        <Second small onClick={copy} disabled={busy !== '' || d.wrong !== null}>
          A similar unit from this
        </Second>
        <a className="act-2 small" href={`/units/${unit.id}/plugs`}>
          Plugs
        </a>
        <a className="act-2 small" href={`/api/units/${unit.id}/map`} download>
          As JSON
        </a>
        <a className="act-2 small" href={`/api/units/${unit.id}/map?as=zip`} download>
          As tables
        </a>
        {d.found && (
          <Second
            small
            onClick={() => d.restart({ map: unit.map, place: unit.place, version: unit.version })}
          >
            Drop what was left unsaved
          </Second>
        )}
        <output className="note">{saved}</output>
      </div>
      {d.wrong && (
        <p className="pad flex gap-2 text-ochre font-[600] border-b border-rule" role="status">
          <Warn /> {d.wrong.reason}
        </p>
      )}
      {refusal && (
        <div className="pad">
          <Wrong>{refusal}</Wrong>
        </div>
      )}
      {failure && (
        <div className="pad grid gap-2 border-b border-rule">
          <Wrong>{failure.reason}. What you changed is still here.</Wrong>
          {theirs && (
            <Theirs
              mine={map}
              theirs={theirs}
              onTake={() => {
                d.restart({ map: theirs.map, place: theirs.place, version: theirs.version });
                setTheirs(null);
                setFailure(null);
              }}
              onKeep={() => save(theirs.version)}
            />
          )}
        </div>
      )}
      <MapNames
        map={map}
        place={place}
        onName={(k, text) => put({ ...map, [k]: text }, k)}
        onPlace={(text) => d.change({ map, place: text, version }, 'place')}
      />
      <ChainEditor
        map={map}
        chosen={chosen}
        onChosen={(id) => {
          setChosen(id);
          if (id) setOpen('elements');
        }}
        onChange={put}
        attempt={attempt}
      />
      {gaps.map((g) => (
        <p key={g.says} className="px-4 py-2 flex gap-2 text-[14px] border-b border-rule">
          <span className="text-ochre">
            <Warn size={14} />
          </span>
          {g.says}
        </p>
      ))}
      <MapTables map={map} open={open} onOpen={setOpen} wrong={d.wrong} onChange={put} />
      <Learned rows={learned} map={map} />
    </UnitsFrame>
  );
}
