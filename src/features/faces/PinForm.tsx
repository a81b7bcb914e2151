import { type ReactNode, useId, useState } from 'react';
import type { UnitMap } from '../../core/unit';
import { Second } from '../../ui/Action';
import { TextField } from '../../ui/Field';

/** Everything on the map that a pin can be on. */
export function pinChoices(map: UnitMap): { value: string; words: string }[] {
  return [
    ...map.elements.map((e) => ({ value: e.id, words: e.name })),
    ...(map.plugs ?? []).map((p) => ({ value: p.id, words: `plug, goes to ${p.home}` })),
    ...(map.headers ?? []).map((h) => ({ value: h.id, words: h.landmark ?? 'header' })),
    ...map.taps.map((t) => ({ value: t.id, words: t.name })),
    ...map.hazards.map((h) => ({ value: h.id, words: h.detail })),
    ...map.access.map((a) => ({ value: a.id, words: 'cover' })),
  ].filter((c, i, all) => all.findIndex((x) => x.value === c.value) === i);
}

interface Props {
  map: UnitMap;
  /** further things a pin can be on */
  more?: { value: string; words: string }[];
  /** what the next tap is on; null when no pin is being placed */
  placing: string | null;
  onPlacing(on: string | null): void;
  size: { width: number; height: number; unit: string };
  onPlace(x: number, y: number): void;
  children?: ReactNode;
}

/** A pin in two taps: what it is on, then where. By keyboard the place is typed. */
export function PinForm({ map, more = [], placing, onPlacing, size, onPlace, children }: Props) {
  const [on, setOn] = useState('');
  const [at, setAt] = useState('');
  const list = useId();
  const pair = at
    .trim()
    .split(/[\s;]+/)
    .map((v) => Number(v.replace(',', '.')));
  const typed = pair.length === 2 && pair.every(Number.isFinite);
  if (placing === null)
    return (
      <div className="flex flex-wrap gap-2 items-end">
        <TextField
          label="Pin on"
          value={on}
          list={list}
          placeholder="A2, J4, C14"
          autoComplete="off"
          onChange={(e) => setOn(e.target.value)}
          className="w-[170px]"
        />
        <datalist id={list}>
          {[...pinChoices(map), ...more].map((c) => (
            <option key={`${c.value} ${c.words}`} value={c.value}>
              {c.words}
            </option>
          ))}
        </datalist>
        <Second small disabled={!on.trim()} onClick={() => onPlacing(on.trim())}>
          Tap where it sits
        </Second>
        {children}
      </div>
    );
  return (
    <div className="flex flex-wrap gap-2 items-end border-l-4 border-ochre-fill pl-3">
      <p className="basis-full">
        Tap where <b>{placing}</b> sits, or type it.
      </p>
      <TextField
        label={`x and y, up to ${size.width} ${size.height} ${size.unit}`}
        value={at}
        placeholder="40 12"
        autoComplete="off"
        onChange={(e) => setAt(e.target.value)}
        className="w-[220px]"
      />
      <Second
        small
        disabled={!typed}
        onClick={() => {
          onPlace(pair[0] as number, pair[1] as number);
          setAt('');
          setOn('');
        }}
      >
        Place it
      </Second>
      <Second small onClick={() => onPlacing(null)}>
        Leave it
      </Second>
    </div>
  );
}
