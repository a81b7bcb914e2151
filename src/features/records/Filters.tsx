import { type ReactNode, useState } from 'react';
import type { RecordAsked, RecordChoices } from '../../core/record';
import { Second } from '../../ui/Action';
import { SelectField, TextField } from '../../ui/Field';
import { STOP_TITLE } from '../job/stop-title';
import { filtersSet } from './query';

const SELECTS: { key: keyof RecordChoices; label: string; any: string }[] = [
  { key: 'model', label: 'Model', any: 'any model' },
  { key: 'result', label: 'Outcome', any: 'any outcome' },
  { key: 'stop', label: 'In hand at', any: 'here or handed over' },
  { key: 'element', label: 'Element', any: 'any element' },
  { key: 'remedy', label: 'Remedy', any: 'any remedy' },
  { key: 'place', label: 'Place', any: 'any place' },
  { key: 'owner', label: 'Owner', any: 'any owner' },
  { key: 'person', label: 'Recorded by', any: 'anybody' },
];
const TITLES: Record<string, string> = STOP_TITLE;

/** What the jobs of the record are narrowed down by. */
export function Filters({
  asked,
  choices,
  onPut,
  onDrop,
  children,
}: {
  asked: RecordAsked;
  choices: RecordChoices | null;
  onPut(more: RecordAsked): void;
  onDrop(): void;
  /** what can be done with what is chosen */
  children?: ReactNode;
}) {
  // On a narrow screen the jobs come first, and the filters when they are wanted.
  const [open, setOpen] = useState(false);
  const set = filtersSet(asked);
  const put = (key: keyof RecordAsked, value: string) => onPut({ [key]: value });
  return (
    <section aria-label="Filters" className="pad grid gap-3 content-start max-[1180px]:order-first">
      <TextField
        label="Words"
        type="search"
        data-key="find"
        value={asked.q ?? ''}
        onChange={(e) => put('q', e.target.value)}
        placeholder={'ribbon -left "hall a" tag:SP-0'}
        hint="Of symptoms, notes, parts, codes, marks, owners, captions"
        autoComplete="off"
      />
      <p className="min-[1181px]:hidden">
        <Second small onClick={() => setOpen(!open)} aria-expanded={open}>
          {open ? 'Fewer filters' : 'More filters'}
        </Second>
      </p>
      <div className={`grid gap-3 min-[700px]:max-[1180px]:grid-cols-3 ${open ? '' : 'max-[1180px]:hidden'}`}>
        {SELECTS.map(({ key, label, any }) => (
          <SelectField
            key={key}
            label={label}
            value={asked[key] ?? ''}
            onChange={(e) => put(key, e.target.value)}
          >
            <option value="">{any}</option>
            {(choices?.[key] ?? (asked[key] ? [{ value: asked[key], count: 0 }] : [])).map((c) => (
              <option key={c.value} value={c.value}>
                {(key === 'stop' && TITLES[c.value]) || c.value}
                {choices && ` (${c.count})`}
              </option>
            ))}
          </SelectField>
        ))}
        <TextField
          label="The unit said"
          value={asked.code ?? ''}
          onChange={(e) => put('code', e.target.value)}
          placeholder="error 14"
          autoComplete="off"
        />
        <div className="grid grid-cols-2 gap-3">
          <TextField
            label="Opened from"
            type="date"
            value={asked.from ?? ''}
            onChange={(e) => put('from', e.target.value)}
          />
          <TextField
            label="to"
            type="date"
            value={asked.to ?? ''}
            onChange={(e) => put('to', e.target.value)}
          />
        </div>
      </div>
      {set > 0 && (
        <p>
          <Second small onClick={onDrop}>
            Drop all filters
          </Second>
        </p>
      )}
      {children}
    </section>
  );
}
