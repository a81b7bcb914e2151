import { Tabs } from 'radix-ui';
import { lazy, Suspense, useEffect, useMemo, useState } from 'react';
import { ulid } from 'ulid';
import { Refusal } from '../../../core/refusal';
import { addElement, connect, ELEMENT_KINDS, gapsOf, type UnitMap } from '../../../core/unit';
import { Action, Second } from '../../../ui/Action';
import { TextField, Wrong } from '../../../ui/Field';
import { useKeys } from '../../../ui/Keys';
import { Warn } from '../../../ui/Signs';
import { openJobOn } from '../open-job';
import { type Failure, send } from '../send';
import { UnitsFrame } from '../UnitsFrame';
import { EditTable } from './EditTable';
import { Learned, type LearnedRow } from './Learned';
import type { Sheet } from './sheet';
import { SHEETS } from './sheets/index';
import { useDraft } from './use-draft';

/** The drawing board is fetched when the page is alive. */
const Canvas = lazy(() => import('./Canvas').then((m) => ({ default: m.Canvas })));

export interface EditedUnit {
  id: string;
  version: number;
  place: string;
  map: UnitMap;
}

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
  const [alive, setAlive] = useState(false);
  const [refusal, setRefusal] = useState<string | null>(null);
  const [failure, setFailure] = useState<Failure | null>(null);
  const [theirs, setTheirs] = useState<EditedUnit | null>(null);
  const [busy, setBusy] = useState('');
  const [saved, setSaved] = useState('');
  useEffect(() => setAlive(true), []);
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
  const wrongIn = (id: string) => d.wrong?.path.startsWith(`/${id}`);

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
            <div className="flex flex-wrap gap-2 items-center">
              <span className="note">{differences(map, theirs.map)}</span>
              <Second
                small
                onClick={() => {
                  d.restart({ map: theirs.map, place: theirs.place, version: theirs.version });
                  setTheirs(null);
                  setFailure(null);
                }}
              >
                Take theirs, drop mine
              </Second>
              <Second small onClick={() => save(theirs.version)}>
                Keep mine over theirs
              </Second>
            </div>
          )}
        </div>
      )}
      <div className="pad grid grid-cols-4 max-[900px]:grid-cols-2 gap-4">
        {(['name', 'maker', 'model'] as const).map((k) => (
          <TextField
            key={k}
            label={{ name: 'What it is', maker: 'Maker', model: 'Model' }[k]}
            value={map[k]}
            onChange={(e) => put({ ...map, [k]: e.target.value }, k)}
            wrong={k === 'name' && !map.name.trim() ? 'give the unit a name' : undefined}
            autoComplete="off"
          />
        ))}
        <TextField
          label="Where it stands"
          value={place}
          onChange={(e) => d.change({ map, place: e.target.value, version }, 'place')}
          autoComplete="off"
        />
      </div>
      {alive ? (
        <Suspense fallback={<p className="pad note h-[300px]">Drawing the chain</p>}>
          <Canvas
            map={map}
            chosen={chosen}
            onConnect={(from, to) => attempt(() => connect(map, from, to))}
            onCut={(gone) => put({ ...map, feeds: map.feeds.filter((_, k) => !gone.includes(k)) })}
            onChoose={(id) => {
              setChosen(id);
              setOpen('elements');
            }}
          />
        </Suspense>
      ) : (
        <p className="pad note h-[300px]">Drawing the chain</p>
      )}
      <div className="pad flex flex-wrap gap-2 items-center border-b border-rule">
        <span className="note">{chosen ? `Add after ${chosen}:` : 'Add:'}</span>
        {ELEMENT_KINDS.map((kind) => (
          <Second
            key={kind}
            small
            onClick={() =>
              attempt(() => {
                const next = addElement(
                  map,
                  kind,
                  map.elements.some((e) => e.id === chosen) ? (chosen ?? undefined) : undefined,
                );
                setChosen(next.elements.at(-1)?.id ?? null);
                return next;
              })
            }
          >
            + {kind}
          </Second>
        ))}
        {chosen && (
          <Second small onClick={() => setChosen(null)}>
            not after {chosen}
          </Second>
        )}
      </div>
      {gaps.map((g) => (
        <p key={g.says} className="px-4 py-2 flex gap-2 text-[14px] border-b border-rule">
          <span className="text-ochre">
            <Warn size={14} />
          </span>
          {g.says}
        </p>
      ))}
      <Tabs.Root
        value={open}
        onValueChange={(v) => setOpen(v as Sheet['id'])}
        className="pad grid grid-cols-[minmax(0,1fr)] gap-3"
      >
        <Tabs.List className="tabs" aria-label="Lists of the map">
          {SHEETS.map((s) => (
            <Tabs.Trigger key={s.id} value={s.id}>
              {s.title} <b>{s.count(map)}</b>
              {wrongIn(s.id) && <Warn size={14} />}
            </Tabs.Trigger>
          ))}
        </Tabs.List>
        {SHEETS.map((s) => (
          <Tabs.Content key={s.id} value={s.id} className="grid grid-cols-[minmax(0,1fr)] gap-3">
            <EditTable sheet={s} map={map} wrong={d.wrong} onChange={put} />
            {s.id !== 'elements' && (
              <Second small className="justify-self-start" onClick={() => put(s.add(map))}>
                Add a row
              </Second>
            )}
            {s.below && <s.below map={map} onChange={put} />}
          </Tabs.Content>
        ))}
      </Tabs.Root>
      <Learned rows={learned} map={map} />
    </UnitsFrame>
  );
}

/** In which lists two maps differ. */
function differences(mine: UnitMap, other: UnitMap): string {
  const apart = SHEETS.filter((s) => JSON.stringify(mine[s.id] ?? []) !== JSON.stringify(other[s.id] ?? []));
  const lists = apart.map((s) => `${s.title.toLowerCase()} (${s.count(mine)} here, ${s.count(other)} there)`);
  return lists.length
    ? `Yours and theirs differ in ${lists.join(', ')}.`
    : 'Yours and theirs differ in names only.';
}
