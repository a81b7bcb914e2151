import { useState } from 'react';
import type { UnitMap } from '../../../core/unit';
import { Second } from '../../../ui/Action';
import { Wrong } from '../../../ui/Field';
import type { Failure } from '../send';
import { Cell } from './Cell';
import type { Sheet } from './sheet';

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
  const rows = sheet.count(map);
  const note = (cell: string, reason: string | null) =>
    setUnread(({ [cell]: _, ...rest }) => (reason ? { ...rest, [cell]: reason } : rest));
  const inRow = (i: number) =>
    Object.entries(unread)
      .filter(([cell]) => cell.startsWith(`${i}:`))
      .map(([, reason]) => reason);
  const wrongRow = new RegExp(`^/${sheet.id}/(\\d+)`).exec(wrong?.path ?? '')?.[1];
  const whole = wrong && wrong.path === `/${sheet.id}` ? wrong.reason : null;
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-2">
      <p className="note">{sheet.note}</p>
      {rows === 0 && <p className="pad bg-inset">{sheet.empty}</p>}
      {whole && <Wrong>{whole}</Wrong>}
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
              {Array.from({ length: rows }, (_, i) => {
                const reasons = [...inRow(i), ...(wrongRow === String(i) && wrong ? [wrong.reason] : [])];
                return (
                  // Rows are known by their place: their marks change while they are typed.
                  // biome-ignore lint/suspicious/noArrayIndexKey: a row has no other name
                  <tr key={i}>
                    {sheet.columns.map((c, k) => (
                      <td key={c.head} className="py-1! pr-2!" style={{ minWidth: c.width }}>
                        <Cell
                          column={c}
                          map={map}
                          row={i}
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
