import Papa from 'papaparse';
import { useState } from 'react';
import {
  FORMULA,
  HARNESS_COLUMNS,
  type HarnessTable,
  harnessFrom,
  harnessTable,
  meant,
} from '../../../core/map-file';
import { Refusal } from '../../../core/refusal';
import type { UnitMap } from '../../../core/unit';
import { Second } from '../../../ui/Action';
import { Wrong } from '../../../ui/Field';
import { FileButton } from '../../../ui/FileButton';

const MOST_BYTES = 20 * 1024 * 1024;

/** A cell as it was meant; what stands beyond the headings is a list and stays one. */
const plain = <V,>(v: V) => (typeof v === 'string' ? (meant(v) as V) : v);

/** Rows of a CSV file, its separator found out; read beside the page. */
const rowsOf = (file: File) =>
  new Promise<Record<string, string>[]>((ok, fail) => {
    Papa.parse<Record<string, string>>(file, {
      header: true,
      skipEmptyLines: 'greedy',
      transformHeader: (h) => h.replace(/^\uFEFF/, '').trim(),
      complete: ({ data, errors }) => {
        const broken = errors.find((e) => e.type === 'Quotes');
        if (broken) fail(new Refusal(`row ${(broken.row ?? 0) + 2}: a quote is opened and not closed`));
        else ok(data.map((row) => Object.fromEntries(Object.entries(row).map(([k, v]) => [k, plain(v)]))));
      },
      error: (e) => fail(new Refusal(e.message)),
    });
  });

/** Headers and plugs as CSV, in and out; which of both a file holds, its headings say. */
export function HarnessFile({ map, onChange }: { map: UnitMap; onChange(map: UnitMap, at: string): void }) {
  const [busy, setBusy] = useState(false);
  const [said, setSaid] = useState('');
  const [wrong, setWrong] = useState<string | null>(null);
  const read = async ([one]: [File, ...File[]]) => {
    setSaid('');
    setWrong(null);
    if (one.size > MOST_BYTES) return setWrong('the file is over 20 MB');
    setBusy(true);
    try {
      const next = harnessFrom(map, await rowsOf(one));
      onChange(next, '');
      setSaid(
        `read: ${next.headers?.length ?? 0} headers, ${next.plugs?.length ?? 0} plugs now. Undo takes it back`,
      );
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      setWrong(`${one.name}: ${error.message}. Nothing has changed`);
    }
    setBusy(false);
  };
  const save = (table: HarnessTable) => {
    const csv = Papa.unparse(harnessTable(map, table), {
      columns: [...HARNESS_COLUMNS[table]],
      escapeFormulae: FORMULA,
    });
    const link = document.createElement('a');
    link.href = URL.createObjectURL(new Blob([csv], { type: 'text/csv' }));
    link.download = `${map.name} ${table}.csv`;
    link.click();
    URL.revokeObjectURL(link.href);
  };
  return (
    <div className="grid gap-2 border-t border-rule pt-3">
      <span className="flex flex-wrap gap-2 items-center">
        <FileButton
          small
          disabled={busy}
          label="CSV of headers or plugs"
          accept=".csv,text/csv,text/plain"
          onFiles={read}
        >
          {busy ? 'Reading' : 'Read headers or plugs from CSV'}
        </FileButton>
        <Second small onClick={() => save('headers')}>
          Headers as CSV
        </Second>
        <Second small onClick={() => save('plugs')}>
          Plugs as CSV
        </Second>
        <output className="note">{said}</output>
      </span>
      {wrong && <Wrong>{wrong}</Wrong>}
    </div>
  );
}
