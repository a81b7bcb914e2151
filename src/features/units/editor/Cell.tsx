import { useEffect, useRef, useState } from 'react';
import { Refusal } from '../../../core/refusal';
import type { UnitMap } from '../../../core/unit';
import type { Column } from './sheet';

/** Choices up to which they are laid out in the cell; more are typed, with what there is offered. */
export const MOST_LISTED = 60;

interface CellProps {
  column: Column;
  map: UnitMap;
  row: number;
  label: string;
  /** id of the offered choices, when there are many */
  list: string;
  wrong: boolean;
  onChange(map: UnitMap): void;
  /** why what stands in the cell is not read, or null */
  onWrong(reason: string | null): void;
}

/** One cell. What is typed stays as typed, even while it cannot be read. */
export function Cell({ column, map, row, label, list, wrong, onChange, onWrong }: CellProps) {
  const value = column.read(map, row);
  const [text, setText] = useState(value);
  const [bad, setBad] = useState(false);
  const typing = useRef(false);
  useEffect(() => {
    if (!typing.current && !bad) setText(value);
  }, [value, bad]);
  const write = (typed: string) => {
    setText(typed);
    try {
      const next = column.write(map, row, typed);
      setBad(false);
      onWrong(null);
      onChange(next);
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      setBad(true);
      onWrong(error.message);
    }
  };
  const idle = column.idle?.(map, row) ?? false;
  if (column.kind === 'flag')
    return (
      <label className="grid place-items-center min-h-[48px]">
        <input
          type="checkbox"
          className="w-6 h-6 accent-current"
          aria-label={label}
          disabled={idle}
          checked={value === 'yes'}
          onChange={(e) => write(e.target.checked ? 'yes' : '')}
        />
      </label>
    );
  const options = column.kind === 'choice' ? (column.options?.(map) ?? []) : [];
  const many = options.length > MOST_LISTED;
  if (column.kind === 'choice' && !many) {
    return (
      <select className="input" aria-label={label} value={value} onChange={(e) => write(e.target.value)}>
        {!options.some((o) => o.value === value) && <option value={value}>{value || 'choose'}</option>}
        {options.map((o) => (
          <option key={o.value} value={o.value}>
            {o.words}
          </option>
        ))}
      </select>
    );
  }
  return (
    <input
      size={1}
      {...(many ? { list } : {})}
      className={`input ${column.kind === 'text' ? '' : 'mono'}`}
      aria-label={label}
      aria-invalid={bad || wrong ? true : undefined}
      disabled={idle}
      value={idle ? '' : text}
      autoComplete="off"
      onFocus={() => {
        typing.current = true;
      }}
      onBlur={() => {
        typing.current = false;
        if (!bad) setText(column.read(map, row));
      }}
      onChange={(e) => write(e.target.value)}
    />
  );
}
