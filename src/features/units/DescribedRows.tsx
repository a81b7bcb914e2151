import { ELEMENT_KINDS, freeMark, type HazardKind } from '../../core/unit';
import { Second } from '../../ui/Action';
import { Wrong } from '../../ui/Field';
import { type Row, row, toleranceSaid } from './describe-form';
import type { Failure } from './send';

/** Value of the choice that stands for no cover. */
const OUTSIDE = ' ';

type TextKey = 'mark' | 'name' | 'kind' | 'tap' | 'how' | 'should' | 'tolerance' | 'unit';

/** What the unit is made of, a row each, with the point that can be reached after it. */
export function DescribedRows({
  rows,
  covers,
  hazards,
  onRows,
  failure,
}: {
  rows: Row[];
  covers: string[];
  /** what can hurt in the unit */
  hazards: readonly HazardKind[];
  onRows(rows: Row[]): void;
  failure: Failure | null;
}) {
  const put = (i: number, more: object) => onRows(rows.map((r, k) => (k === i ? { ...r, ...more } : r)));
  const inRow = /^\/rows\/(\d+)/.exec(failure?.path ?? '');
  return (
    <fieldset className="grid grid-cols-[minmax(0,1fr)] gap-2">
      <legend className="sec pb-1">From source to output, one row each</legend>
      <p className="note">
        Supplies, batteries and settings feed all the others; put them last. A point to look or measure at is
        what you can reach after that element; where ± is left empty, what stands there in grey is taken.
      </p>
      <div className="overflow-x-auto">
        <table className="plain min-w-[1180px]">
          <thead>
            <tr>
              <th scope="col">Mark</th>
              <th scope="col">What it is</th>
              <th scope="col">Kind</th>
              <th scope="col">Under the cover</th>
              <th scope="col">Point after it</th>
              <th scope="col">How</th>
              <th scope="col">Should read</th>
              <th scope="col">± </th>
              <th scope="col">Unit</th>
              <th scope="col">Inside</th>
              <th scope="col">
                <span className="sr-only">Take the row away</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {rows.map((r, i) => {
              const measure = r.how === 'measure' && Boolean(r.tap.trim());
              const text = (key: TextKey) => ({
                value: r[key],
                onChange: (e: { target: { value: string } }) => put(i, { [key]: e.target.value }),
                autoComplete: 'off',
              });
              const bad = (p: string) => (failure?.path === `/rows/${i}/${p}` ? true : undefined);
              const cell = 'py-1! pr-2!';
              return (
                <tr key={r.key}>
                  <td className={`${cell} w-[84px]`}>
                    <input
                      className="input mono"
                      aria-label={`Mark of row ${i + 1}`}
                      aria-invalid={bad('id')}
                      {...text('mark')}
                    />
                  </td>
                  <td className={cell}>
                    <input
                      className="input"
                      aria-label={`What row ${i + 1} is`}
                      placeholder={r.kind}
                      aria-invalid={bad('name')}
                      {...text('name')}
                    />
                  </td>
                  <td className={`${cell} w-[124px]`}>
                    <select className="input" aria-label={`Kind of row ${i + 1}`} {...text('kind')}>
                      {ELEMENT_KINDS.map((k) => (
                        <option key={k}>{k}</option>
                      ))}
                    </select>
                  </td>
                  <td className={`${cell} w-[134px]`}>
                    {covers.length > 1 ? (
                      <select
                        className="input"
                        aria-label={`What row ${i + 1} lies under`}
                        value={r.outside ? OUTSIDE : r.under || (covers.at(-1) ?? '')}
                        onChange={(e) =>
                          put(
                            i,
                            e.target.value === OUTSIDE
                              ? { outside: true, under: '', inside: false }
                              : {
                                  outside: false,
                                  under: e.target.value,
                                  ...(r.outside ? { inside: true } : {}),
                                },
                          )
                        }
                      >
                        <option value={OUTSIDE}>nothing</option>
                        {covers.map((c) => (
                          <option key={c}>{c}</option>
                        ))}
                      </select>
                    ) : (
                      <label className="grid place-items-center min-h-[48px]">
                        <input
                          type="checkbox"
                          className="w-6 h-6 accent-current"
                          aria-label={`Row ${i + 1} lies under the cover`}
                          checked={!r.outside}
                          onChange={(e) => put(i, { outside: !e.target.checked, inside: e.target.checked })}
                        />
                      </label>
                    )}
                  </td>
                  <td className={`${cell} w-[232px]`}>
                    <input
                      className="input"
                      placeholder="none"
                      aria-label={`Point after row ${i + 1}`}
                      aria-invalid={bad('tap/id')}
                      {...text('tap')}
                    />
                  </td>
                  <td className={`${cell} w-[114px]`}>
                    <select
                      className="input"
                      aria-label={`How the point of row ${i + 1} is seen`}
                      {...text('how')}
                    >
                      {['measure', 'look', 'listen'].map((k) => (
                        <option key={k}>{k}</option>
                      ))}
                    </select>
                  </td>
                  <td className={`${cell} w-[92px]`}>
                    <input
                      className="input mono"
                      disabled={!measure}
                      aria-label={`What the point of row ${i + 1} should read`}
                      aria-invalid={bad('tap/nominal')}
                      {...text('should')}
                    />
                  </td>
                  <td className={`${cell} w-[74px]`}>
                    <input
                      className="input mono"
                      disabled={!measure}
                      placeholder={measure ? toleranceSaid(r, { rows, hazards })?.toString() : undefined}
                      aria-label={`Tolerance at the point of row ${i + 1}`}
                      aria-invalid={bad('tap/tolerance')}
                      {...text('tolerance')}
                    />
                  </td>
                  <td className={`${cell} w-[72px]`}>
                    <input
                      className="input mono"
                      disabled={!measure}
                      aria-label={`Unit at the point of row ${i + 1}`}
                      aria-invalid={bad('tap/unit')}
                      {...text('unit')}
                    />
                  </td>
                  <td className={`${cell} w-[54px]`}>
                    <label className="grid place-items-center min-h-[48px]">
                      <input
                        type="checkbox"
                        className="w-6 h-6 accent-current"
                        aria-label={`The point of row ${i + 1} is inside`}
                        checked={r.inside}
                        onChange={(e) => put(i, { inside: e.target.checked })}
                      />
                    </label>
                  </td>
                  <td className={`${cell} w-[50px]`}>
                    <Second
                      small
                      onClick={() => onRows(rows.filter((_, k) => k !== i))}
                      aria-label={`Take row ${i + 1} away`}
                    >
                      −
                    </Second>
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
      {inRow && (
        <Wrong>
          Row {Number(inRow[1]) + 1}: {failure?.reason}
        </Wrong>
      )}
      {failure?.path === '/rows' && <Wrong>{failure.reason}</Wrong>}
      <div className="flex flex-wrap gap-2">
        {ELEMENT_KINDS.map((kind) => (
          <Second
            key={kind}
            small
            onClick={() => {
              const marks = { elements: rows.map((x) => ({ id: x.mark })) };
              onRows([...rows, row(freeMark(marks, kind), kind)]);
            }}
          >
            + {kind}
          </Second>
        ))}
      </div>
    </fieldset>
  );
}
