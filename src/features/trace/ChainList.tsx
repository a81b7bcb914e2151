import { useState } from 'react';
import { testedBy } from '../../core/unit';
import { Second } from '../../ui/Action';
import type { ChainProps } from './Chain';

const SHOWN = 12;
const percent = (p: number) => (p >= 0.995 ? 'over 99' : p < 0.005 ? 'under 1' : String(Math.round(p * 100)));

/** The same chain as a list, most suspect first: for long maps, small screens and those who read rather than see. */
export function ChainList({ map, suspicion, forecast, chosen, path }: ChainProps) {
  const [all, setAll] = useState(false);
  const tested = new Set(chosen ? testedBy(chosen) : []);
  const rows = map.elements.map((e) => ({ e, p: suspicion.get(e.id) ?? 0 })).sort((a, b) => b.p - a.p);
  const shown = all ? rows : rows.slice(0, SHOWN);
  return (
    <div>
      <ol className="rows max-h-[420px] overflow-y-auto">
        {shown.map(({ e, p }) => {
          const then = forecast?.get(e.id);
          const moved = then !== undefined && Math.abs(then - p) >= 0.01;
          return (
            <li
              key={e.id}
              className="grid grid-cols-[64px_minmax(0,1fr)_minmax(0,1.2fr)_92px] gap-3 items-center text-[15px]"
            >
              <b className="mono">{e.id}</b>
              <span>
                {e.name}
                <span className="note">
                  {' '}
                  {e.kind}
                  {!path.has(e.id) && ', not on the way'}
                  {tested.has(e.id) && ', tested by this check'}
                </span>
              </span>
              <svg
                viewBox="0 0 200 16"
                width="100%"
                height="16"
                preserveAspectRatio="none"
                aria-hidden="true"
              >
                <rect width="200" height="16" fill="var(--color-inset)" stroke="var(--color-rule-strong)" />
                <rect
                  width={200 * p}
                  height="16"
                  fill="var(--color-ochre-fill)"
                  stroke="var(--color-ochre)"
                />
                {moved && (
                  <path
                    d={`M${200 * (then ?? 0)} 0V16`}
                    stroke="var(--color-bark)"
                    strokeWidth="2"
                    strokeDasharray="4 2"
                  />
                )}
                {tested.has(e.id) && <rect y="13" width="200" height="3" fill="var(--color-slate)" />}
              </svg>
              <span className="text-right">
                <b>{percent(p)} %</b>
                {moved && <span className="note block">then {percent(then ?? 0)} %</span>}
              </span>
            </li>
          );
        })}
      </ol>
      {rows.length > SHOWN && (
        <Second small className="mt-2" onClick={() => setAll(!all)}>
          {all ? `The ${SHOWN} most suspect` : `All ${rows.length}`}
        </Second>
      )}
    </div>
  );
}
