import { useState } from 'react';
import type { UnitMap } from '../../../core/unit';
import { Second } from '../../../ui/Action';
import { Wrong } from '../../../ui/Field';
import type { Failure } from '../send';
import { Cell, MOST_LISTED } from './Cell';
import type { Sheet } from './sheet';

/** Rows shown at once. */
const PAGE = 50;
const listId = (sheet: string, head: string) => `options-${sheet}-${head}`;

/** One list of the map as a table to be filled with the keyboard. */
export function EditTable({
  sheet,
  map,
  wrong,
  onChange,
}: {
  sheet: Sheet;
  map: UnitMap;
  wrong: Failure | null;
  onChange(map: UnitMap, at: string): void;
}) {
  const [unread, setUnread] = useState<Record<string, string>>({});
  const [first, setFirst] = useState(0);
  const rows = sheet.count(map);
  const from = Math.min(first, Math.max(0, Math.ceil(rows / PAGE) - 1) * PAGE);
  const shown = Array.from({ length: Math.min(PAGE, rows - from) }, (_, k) => from + k);
  const note = (cell: string, reason: string | null) =>
    setUnread(({ [cell]: _, ...rest }) => (reason ? { ...rest, [cell]: reason } : rest));
  const inRow = (i: number) =>
    Object.entries(unread)
      .filter(([cell]) => cell.startsWith(`${i}:`))
      .map(([, reason]) => reason);
  const wrongRow = new RegExp(`^/${sheet.id}/(\\d+)`).exec(wrong?.path ?? '')?.[1];
  const beyond = wrongRow !== undefined && !shown.includes(Number(wrongRow));
  const whole = wrong && wrong.path === `/${sheet.id}` ? wrong.reason : null;
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-2">
      <p className="note">{sheet.note}</p>
      {rows === 0 && <p className="pad bg-inset">{sheet.empty}</p>}
      {whole && <Wrong>{whole}</Wrong>}
      {rows > PAGE && (
        <div className="flex flex-wrap gap-2 items-center">
          <Second small disabled={from === 0} onClick={() => setFirst(from - PAGE)}>
            Earlier rows
          </Second>
          <span className="note">
            {from + 1} to {from + shown.length} of {rows}
          </span>
          <Second small disabled={from + PAGE >= rows} onClick={() => setFirst(from + PAGE)}>
            Later rows
          </Second>
          {beyond && (
            <Second small onClick={() => setFirst(Math.floor(Number(wrongRow) / PAGE) * PAGE)}>
              Row {Number(wrongRow) + 1} is wrong: show it
            </Second>
          )}
        </div>
      )}
      {sheet.columns.map((c) => {
        const options = c.kind === 'choice' ? (c.options?.(map) ?? []) : [];
        return options.length > MOST_LISTED ? (
          <datalist key={c.head} id={listId(sheet.id, c.head)}>
            {options.map((o) => (
              <option key={o.value} value={o.value}>
                {o.words}
              </option>
            ))}
          </datalist>
        ) : null;
      })}
      {rows > 0 && (
        <section className="overflow-x-auto" aria-label={sheet.title}>
          <table className="plain" style={{ width: 'max-content', minWidth: '100%' }}>
            <thead>
              <tr>
                {sheet.columns.map((c) => (
                  <th key={c.head} scope="col">
                    {c.head}
                  </th>
                ))}
                <th scope="col">
                  <span className="sr-only">Take the row away</span>
                </th>
              </tr>
            </thead>
            <tbody>
              {shown.map((i) => {
                const reasons = [...inRow(i), ...(wrongRow === String(i) && wrong ? [wrong.reason] : [])];
                return (
                  // Rows are known by their place: their marks change while they are typed.
                  <tr key={i}>
                    {sheet.columns.map((c, k) => (
                      <td key={c.head} className="py-1! pr-2!" style={{ minWidth: c.width }}>
                        <Cell
                          column={c}
                          map={map}
                          row={i}
                          list={listId(sheet.id, c.head)}
                          label={`${c.head} of ${sheet.called(map, i) || `row ${i + 1}`}`}
                          wrong={wrongRow === String(i)}
                          onChange={(m) => onChange(m, `${sheet.id}/${i}/${c.head}`)}
                          onWrong={(reason) => note(`${i}:${c.head}`, reason)}
                        />
                        {k === 0 && reasons.map((r) => <Wrong key={r}>{r}</Wrong>)}
                      </td>
                    ))}
                    <td className="py-1! w-[50px]">
                      <Second
                        small
                        aria-label={`Take ${sheet.called(map, i) || `row ${i + 1}`} away`}
                        onClick={() => {
                          setUnread({});
                          onChange(sheet.remove(map, i), '');
                        }}
                      >
                        −
                      </Second>
                    </td>
                  </tr>
                );
              })}
            </tbody>
          </table>
        </section>
      )}
    </div>
  );
}
