import type { KeyVerdict } from '../../core/settings';
import { TickBox, Warn } from '../../ui/Signs';

/** Keys that stand apart, with what to write back. */
export function KeysApart({
  apart,
  before,
  after,
  chosen,
  onChosen,
}: {
  apart: [string, KeyVerdict][];
  before: Map<string, string>;
  after: Map<string, string>;
  chosen: string[];
  onChosen(keys: string[]): void;
}) {
  return (
    <table className="plain">
      <thead>
        <tr>
          <th scope="col">
            <span className="sr-only">Write back</span>
          </th>
          <th scope="col">Key</th>
          <th scope="col">Before</th>
          <th scope="col">After</th>
          <th scope="col">Verdict</th>
        </tr>
      </thead>
      <tbody>
        {apart.map(([key, v]) => (
          <tr key={key}>
            <td className="py-0!">
              {before.has(key) && (
                <label className="grid place-items-center w-[44px] h-[44px]">
                  <input
                    type="checkbox"
                    className="w-6 h-6 accent-current"
                    aria-label={`Write ${key} back`}
                    checked={chosen.includes(key)}
                    onChange={(e) =>
                      onChosen(e.target.checked ? [...chosen, key] : chosen.filter((k) => k !== key))
                    }
                  />
                </label>
              )}
            </td>
            <th scope="row" className="mono text-bark! text-[14px]!">
              {key}
            </th>
            <td>{before.get(key) ?? '–'}</td>
            <td>{after.get(key) ?? '–'}</td>
            <td>
              <span className="flex gap-1 items-center">
                {v === 'within tolerance' || v === 'differs as it must' ? (
                  <TickBox size={14} />
                ) : (
                  <Warn size={14} />
                )}
                {v}
              </span>
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
