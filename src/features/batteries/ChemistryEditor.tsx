import { useEffect, useState } from 'react';
import {
  CHEMISTRY_CLASSES,
  CHEMISTRY_ROWS,
  type ChemistryRow,
  type ChemistryTable,
  checkChemistry,
  FIGURE_NAMES,
  pointsText,
  readPoints,
} from '../../core/chemistry';
import { Refusal } from '../../core/refusal';
import { parseReading } from '../../core/unit';
import { Action, Second } from '../../ui/Action';
import { AreaField, SelectField, TextField, Wrong } from '../../ui/Field';

type Figure = keyof typeof FIGURE_NAMES;
const FIGURES = Object.keys(FIGURE_NAMES) as Figure[];

interface Typed {
  row: ChemistryRow;
  figures: Record<Figure, string>;
  points: string;
}
const typedOf = (row: ChemistryRow): Typed => ({
  row,
  figures: Object.fromEntries(FIGURES.map((f) => [f, String(row[f])])) as Record<Figure, string>,
  points: pointsText(row.points),
});

function readRow(t: Typed, i: number): ChemistryRow {
  const at = (path: string, work: () => number) => {
    try {
      return work();
    } catch (error) {
      if (error instanceof Refusal) throw new Refusal(error.message, `/rows/${i}/${path}`);
      throw error;
    }
  };
  let points: ChemistryRow['points'];
  try {
    points = readPoints(t.points);
  } catch (error) {
    if (error instanceof Refusal) throw new Refusal(error.message, `/rows/${i}/points`);
    throw error;
  }
  return {
    ...t.row,
    ...(Object.fromEntries(
      FIGURES.map((f) => [f, at(f, () => parseReading(t.figures[f]))]),
    ) as unknown as Record<Figure, number>),
    points,
  };
}

/** The chemistry rows as data: every figure can be changed, every row says where it is from. */
export function ChemistryEditor({
  table,
  onTable,
}: {
  table: ChemistryTable;
  onTable(t: ChemistryTable): void;
}) {
  const [typed, setTyped] = useState<Typed[]>(table.rows.map(typedOf));
  const [open, setOpen] = useState(0);
  const [wrong, setWrong] = useState<{ reason: string; path: string } | null>(null);
  const [said, setSaid] = useState('');
  const [busy, setBusy] = useState(false);
  useEffect(() => setTyped(table.rows.map(typedOf)), [table]);
  const shown = Math.min(open, typed.length - 1);
  const t = typed[shown];
  const change = (next: Typed) => {
    setTyped(typed.map((x, i) => (i === shown ? next : x)));
    setWrong(null);
    setSaid('');
  };
  const at = (field: string) => (wrong?.path === `/rows/${shown}/${field}` ? wrong.reason : undefined);
  const keep = async (rows: ChemistryRow[]) => {
    setBusy(true);
    try {
      const res = await fetch('/api/chemistry', {
        method: 'PUT',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ version: table.version, rows }),
      });
      const answer = (await res.json()) as ChemistryTable & { detail?: string; path?: string };
      if (!res.ok) {
        setWrong({
          reason: `${answer.detail ?? `the server answered ${res.status}`}. What you typed is still here`,
          path: answer.path ?? '',
        });
      } else {
        onTable(answer);
        setSaid(`kept as version ${answer.version}`);
        setWrong(null);
      }
    } catch {
      setWrong({ reason: 'no connection to the server. What you typed is still here', path: '' });
    }
    setBusy(false);
  };
  const save = () => {
    try {
      const rows = typed.map(readRow);
      checkChemistry(rows);
      void keep(rows);
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      setWrong({ reason: error.message, path: error.path });
      const row = /^\/rows\/(\d+)/.exec(error.path)?.[1];
      if (row) setOpen(Number(row));
    }
  };
  if (!t) return null;
  return (
    <div className="grid grid-cols-[240px_minmax(0,1fr)] max-[760px]:grid-cols-1 min-h-full [&>*+*]:border-l [&>*+*]:border-rule">
      <nav aria-label="Chemistry rows" className="pad grid gap-2 content-start">
        {typed.map((x, i) => (
          <button
            // biome-ignore lint/suspicious/noArrayIndexKey: a row is renamed while it is typed
            key={i}
            type="button"
            aria-pressed={i === shown}
            className={`act-2 small justify-start! ${i === shown ? 'border-bark! border-2! font-[650]' : ''}`}
            onClick={() => setOpen(i)}
          >
            {x.row.chemistry || 'without a name'}
          </button>
        ))}
        <Second
          small
          onClick={() => {
            setTyped([...typed, { ...t, row: { ...t.row, chemistry: `${t.row.chemistry} 2` } }]);
            setOpen(typed.length);
          }}
        >
          A row like this
        </Second>
        <p className="note">
          {table.version === 0 ? 'As shipped.' : `Version ${table.version}.`} A job keeps the rows it was
          judged with; changing them here does not change what was recorded.
        </p>
      </nav>
      <section className="pad grid gap-4 content-start" aria-label="Chemistry row">
        <div className="grid grid-cols-3 max-[900px]:grid-cols-2 gap-3">
          <TextField
            label="Name"
            value={t.row.chemistry}
            onChange={(e) => change({ ...t, row: { ...t.row, chemistry: e.target.value } })}
            wrong={at('chemistry')}
          />
          <SelectField
            label="Charger made for"
            value={t.row.class}
            onChange={(e) =>
              change({ ...t, row: { ...t.row, class: e.target.value as ChemistryRow['class'] } })
            }
          >
            {CHEMISTRY_CLASSES.map((c) => (
              <option key={c}>{c}</option>
            ))}
          </SelectField>
          {FIGURES.map((f) => (
            <TextField
              key={f}
              label={FIGURE_NAMES[f].replace(/^./, (c) => c.toUpperCase())}
              value={t.figures[f]}
              onChange={(e) => change({ ...t, figures: { ...t.figures, [f]: e.target.value } })}
              wrong={at(f)}
              inputMode="decimal"
              autoComplete="off"
            />
          ))}
        </div>
        <AreaField
          label="Rest voltages, V and %, from full to empty"
          rows={3}
          value={t.points}
          onChange={(e) => change({ ...t, points: e.target.value })}
          wrong={at('points')}
          hint="4.2 100; 3.98 80; 3 0"
        />
        <TextField
          label="Caution"
          value={t.row.caution}
          onChange={(e) => change({ ...t, row: { ...t.row, caution: e.target.value } })}
        />
        <TextField
          label="Source"
          value={t.row.source}
          onChange={(e) => change({ ...t, row: { ...t.row, source: e.target.value } })}
          wrong={at('source')}
          hint="a data sheet, a standard, or: from memory"
        />
        {wrong && !/^\/rows\/\d+\//.test(wrong.path) && <Wrong>{wrong.reason}</Wrong>}
        <div className="flex flex-wrap gap-3 items-center">
          <Action onClick={save} held={busy ? 'keeping' : undefined}>
            Keep the rows
          </Action>
          {typed.length > 1 && (
            <Second small onClick={() => setTyped(typed.filter((_, i) => i !== shown))}>
              Take this row away
            </Second>
          )}
          {table.version > 0 && (
            <Second small disabled={busy} onClick={() => void keep(CHEMISTRY_ROWS)}>
              All as shipped
            </Second>
          )}
          <output className="note">{said}</output>
        </div>
      </section>
    </div>
  );
}
